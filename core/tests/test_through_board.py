"""What comes through the board, and the kinds of parts that hang on headers and hubs."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis.analyse import analyse
from easy_tally.publishing.publish import compact
from easy_tally.ratings.through_board import BoardElement
from easy_tally.things.build import Build
from easy_tally.things.parts import (
    Card,
    Cooler,
    Drive,
    Fan,
    Header,
    Hub,
    LightStrip,
    Other,
    Part,
    Pump,
    Slot,
    Socket,
    UsbLoad,
)
from easy_tally.wiring import Wired

from .helpers import board, build, card, carried, disk, exact, run, sata_cable, supply, told

SATA = (Socket(key="power", kind="sata"),)


def _elements(b: Build) -> dict[tuple[str, str, str], BoardElement]:
    return {(e.kind, e.part, e.line if e.kind != "header" else e.at): e for e in analyse(b).board}


def _headers(*amps: float) -> tuple[Header, ...]:
    return tuple(Header(key=f"h{i + 1}", limit_a=exact(a)) for i, a in enumerate(amps))


def _fan(count: int = 1, **more: Any) -> Fan:
    return Fan(**({"key": "fan", "name": "Fan", "count": count, "rated_a": exact(0.3)} | more))


def _hub(**more: Any) -> Hub:
    fields = {"key": "hub", "name": "Hub", "own_w": exact(1), "sockets": SATA}
    return Hub(**(fields | {"outputs": _headers(1, 1)} | more))


def _full(b: Build, part: str) -> float:
    return sum(r.watts[3 * 3 + 1] for r in analyse(b).tally.rows if r.part == part)


class MainPlug(unittest.TestCase):
    def test_two_slots_on_two_pins(self) -> None:
        """12 W + 2 × 66 W = 144 W ÷ 12 V = 12 A ÷ 2 pins = 6 A of 6 A: tight; 13.2 A are over."""
        slot = {"slot_w": exact(66), "sockets": "pcie8"}
        two = [card(200, **slot), card(200, key="card-2", name="C2", **slot)]
        e = _elements(build(board(), *two))["main plug pins", "board", "v12"]
        self.assertAlmostEqual(e.judged.load, 6.0)
        self.assertEqual((e.judged.limit, e.judged.verdict), (6.0, "tight"))
        heavy = board(own_12v_w=exact(26.4))
        over = _elements(build(heavy, *two))["main plug pins", "board", "v12"]
        self.assertEqual(over.judged.verdict, "over")
        self.assertEqual(over.causes, ("Card", "C2", "Board"))

    def test_standby_is_judged_where_it_is_used_awake(self) -> None:
        """Asleep the board takes 2 W and an Other 10 W: 12 W ÷ 5 V = 2.4 A on one pin of 6 A."""
        b = build(board(), Other(key="o", name="O", v5sb_w=exact(10)))
        self.assertAlmostEqual(_elements(b)["main plug pins", "board", "v5sb"].judged.load, 2.4)

    def test_standby_is_judged_asleep(self) -> None:
        """A charger of 40 W asleep and 2 W of the board: 42 W ÷ 5 V = 8.4 A on one pin of 6 A."""
        usb = UsbLoad(key="u", name="Charger", draw_w=exact(4), asleep_w=exact(40))
        e = _elements(build(board(), usb))["main plug pins", "board", "v5sb"]
        self.assertAlmostEqual(e.judged.load, 8.4)
        self.assertEqual((e.judged.verdict, e.judged.state), ("over", "sleep"))
        self.assertEqual(e.causes, ("Charger", "Board"))

    def test_causes_are_those_of_the_line(self) -> None:
        """Of 5 V only the board takes; a card's slot at 12 V is no cause there."""
        e = _elements(build(board(), card(200)))["main plug pins", "board", "v5"]
        self.assertEqual(e.causes, ("Board",))

    def test_a_board_without_a_main_socket_is_unknown(self) -> None:
        """Its own 12 W at 12 V: 1 A, and nothing to carry it."""
        b = build(board(sockets=(Socket(key="cpu-1", kind="eps8"),)))
        e = _elements(b)["main plug pins", "board", "v12"]
        self.assertEqual((e.judged.verdict, e.at), ("unknown", ""))
        self.assertAlmostEqual(e.judged.load, 1.0)
        titles = [(m.kind, m.title, m.fix) for m in told(compact(analyse(b)))]
        self.assertIn(
            ("unknown", "Board, no main socket", "Give the board its main socket."), titles
        )

    def test_no_board_is_unknown_where_something_comes_through_it(self) -> None:
        found = told(compact(analyse(build(card(200)))))
        self.assertIn(
            ("unknown", "No board", "Add the board."), [(m.kind, m.title, m.fix) for m in found]
        )
        disks = told(compact(analyse(build(disk()))))
        self.assertNotIn("No board", [m.title for m in disks])

    def test_ground_is_among_them(self) -> None:
        self.assertIn(("main plug pins", "board", "ground"), _elements(build(board())))


class Slots(unittest.TestCase):
    def test_by_lanes(self) -> None:
        """A card of 30 W by its slot alone: 45.5 % of 66 W in x16, over in x8 and x1."""
        for lanes, verdict in ((16, "within"), (8, "over"), (1, "over")):
            bare = Card(key="c", name="C", board_power_w=exact(30), lanes=lanes)  # type: ignore[arg-type]
            e = _elements(build(board(), bare))["slot", "c", "v12"]
            self.assertEqual(e.judged.verdict, verdict)

    def test_75_w_in_all_is_the_end_of_a_slot(self) -> None:
        """75 W: 66 + 9 W; 76 W: 66.1 W at 12 V beside 9.9 W: over."""
        for watts, verdict in ((75, "within"), (76.1, "over")):
            bare = Card(key="c", name="C", board_power_w=exact(watts))
            self.assertEqual(
                _elements(build(board(), bare))["slot", "c", "v12"].judged.verdict, verdict
            )


class SlotsOfTheBoard(unittest.TestCase):
    def test_a_narrow_slot_limits_a_wide_card(self) -> None:
        """30 W by the slot alone: x16 edge in an x4 slot, 25 W: over. 30 ÷ 25 = 120 %."""
        bare = Card(key="c", name="C", board_power_w=exact(30), slot="slot-2")
        slots = (Slot(key="slot-1"), Slot(key="slot-2", lanes=4))
        e = _elements(build(board(slots=slots), bare))["slot", "c", "v12"]
        self.assertEqual((e.judged.verdict, e.at), ("over", "slot-2"))
        self.assertAlmostEqual(e.judged.share or 0, 1.2)

    def test_a_slot_that_the_manual_gives_to_an_extra_socket_leaves_the_main_plug(self) -> None:
        """66 W by the slot come through the extra 6-pin; the main plug keeps the board's 12 W:
        1 A ÷ 2 pins = 0.5 A. The extra, optional by itself, then has to be fed."""
        sockets = (
            Socket(key="main", kind="atx24"),
            Socket(key="extra", kind="pcie6", required=False),
        )
        slots = (Slot(key="slot-1", fed_by="extra"),)
        b = build(
            board(sockets=sockets, slots=slots), card(66, sockets="", slot_w=None, slot="slot-1")
        )
        self.assertAlmostEqual(_elements(b)["main plug pins", "board", "v12"].judged.load, 0.5)
        self.assertIn("board#1/extra", analyse(b).needed)
        self.assertAlmostEqual(carried(b)["board#1/extra"].amps["v12"][7], 5.5)
        self.assertTrue(any(m.subject == "board#1/extra" for m in told(compact(analyse(b)))))

    def test_a_slot_that_the_board_lacks_or_that_is_taken(self) -> None:
        with self.assertRaisesRegex(ValueError, "no slot-9, it has slot-1"):
            build(board(), card(slot="slot-9"))
        with self.assertRaisesRegex(ValueError, "it lists none"):
            build(card(slot="slot-1"))
        with self.assertRaisesRegex(ValueError, "Card stands in slot-1"):
            build(board(), card(slot="slot-1"), card(key="card-2", name="C2", slot="slot-1"))
        with self.assertRaisesRegex(ValueError, "count of 1"):
            card(slot="slot-1", count=2)

    def test_a_slot_fed_by_no_socket_of_the_board(self) -> None:
        with self.assertRaisesRegex(ValueError, "no extra"):
            board(slots=(Slot(key="slot-1", fed_by="extra"),))


class Lights(unittest.TestCase):
    """A 5 V strip of 2 A; only a 5 V header feeds it."""

    strip = LightStrip(key="s", name="Strip", rated_a=exact(2))

    def test_amperes_on_a_header_of_its_volts(self) -> None:
        """Lights keep to a header of 3 A, beside fans on theirs: 2 A of 3 A."""
        headers = (
            Header(key="h1", limit_a=exact(1)),
            Header(key="l1", kind="lights-5v", limit_a=exact(3)),
        )
        found = _elements(build(board(headers=headers), self.strip, _fan()))
        e = found["header", "board", "l1"]
        self.assertAlmostEqual(e.judged.load, 2.0)
        self.assertEqual((e.line, e.judged.verdict), ("v5", "within"))
        self.assertAlmostEqual(found["header", "board", "h1"].judged.load, 0.3)

    def test_no_header_of_its_volts_is_unknown(self) -> None:
        e = _elements(build(board(headers=_headers(1)), self.strip))["header", "s", ""]
        self.assertEqual(e.judged.verdict, "unknown")

    def test_a_fan_header_named_for_lights_is_refused(self) -> None:
        strip = self.strip.model_copy(update={"headers": ("h1",)})
        with self.assertRaisesRegex(ValueError, "for 5 V lights; h1 is for fan"):
            build(board(headers=_headers(1)), strip)

    def test_a_hub_on_a_header_gives_no_5_v(self) -> None:
        hub = _hub(sockets=(), outputs=(Header(key="l1", kind="lights-5v"),))
        with self.assertRaisesRegex(ValueError, "12 V only"):
            build(board(headers=_headers(1)), hub, self.strip.model_copy(update={"on": "hub"}))

    def test_a_pump_prefers_a_pump_header(self) -> None:
        headers = (
            Header(key="h1", limit_a=exact(1)),
            Header(key="p1", kind="pump", limit_a=exact(2)),
        )
        found = _elements(build(board(headers=headers), Pump(key="p", name="P")))
        self.assertIn(("header", "board", "p1"), found)
        self.assertNotIn(("header", "board", "h1"), found)


class Headers(unittest.TestCase):
    def test_fans_take_the_headers_in_turn(self) -> None:
        """Five fans of 0.3 A over two headers: 0.9 A and 0.6 A, of 1 A."""
        found = _elements(build(board(headers=_headers(1, 1)), _fan(5)))
        self.assertAlmostEqual(found["header", "board", "h1"].judged.load, 0.9)
        self.assertAlmostEqual(found["header", "board", "h2"].judged.load, 0.6)

    def test_fans_of_several_parts_take_free_headers_first(self) -> None:
        """Two and two on four headers: each its own; one more shares the first."""
        both = (_fan(2), Fan(key="rear", name="Rear", count=2, rated_a=exact(0.3)))
        b = build(board(headers=_headers(1, 1, 1, 1)), *both)
        loads = {at: e.judged.load for (kind, _, at), e in _elements(b).items() if kind == "header"}
        self.assertEqual(loads, {"h1": 0.3, "h2": 0.3, "h3": 0.3, "h4": 0.3})
        more = Fan(key="more", name="More", rated_a=exact(0.2))
        b = build(board(headers=_headers(1, 1, 1, 1)), *both, more)
        self.assertAlmostEqual(_elements(b)["header", "board", "h1"].judged.load, 0.5)

    def test_the_processors_header_is_its_coolers_and_a_pumps_the_pumps(self) -> None:
        headers = (
            Header(key="fan-1"),
            Header(key="cpu-fan"),
            Header(key="fan-2"),
            Header(key="pump-1", kind="pump"),
        )
        air = Cooler(key="air", name="Cooler", radiator_mm=0, fans=1)
        pump = Pump(key="pump", name="Pump")
        wired = Wired(build(board(headers=headers), _fan(3), air, pump))
        on = {key: [h.key for h in several] for key, several in wired.hung.items()}
        self.assertEqual(
            on, {"air": ["cpu-fan"], "fan": ["fan-1", "fan-2", "fan-1"], "pump": ["pump-1"]}
        )

    def test_a_header_named_takes_them_all(self) -> None:
        b = build(board(headers=_headers(1, 1)), _fan(4, headers=("h2",)))
        e = _elements(b)["header", "board", "h2"]
        self.assertAlmostEqual(e.judged.load, 1.2)
        self.assertEqual(e.judged.verdict, "over")

    def test_a_header_of_which_nobody_says_its_limit(self) -> None:
        """A fan header 1 A: four fans of 0.3 A are over it. A pump header 2 A, cautiously 1 A: a
        pump of 1.2 A is tight there, and what to find out."""
        b = build(board(headers=(Header(key="h1"),)), _fan(4))
        judged = _elements(b)["header", "board", "h1"].judged
        self.assertEqual((judged.verdict, judged.rated), ("over", 1.0))
        pump = Pump(key="pump", name="Pump", rated_a=exact(1.2))
        b = build(board(headers=(Header(key="h1", kind="pump"),)), pump)
        judged = _elements(b)["header", "board", "h1"].judged
        self.assertEqual((judged.verdict, judged.rated, judged.usual), ("tight", 2.0, "breaks"))
        asked = compact(analyse(b)).find_out[0]
        self.assertTrue(asked.means.startswith("1.2 A or more: within; less: over"), asked.means)

    def test_a_fan_without_any_header_is_unknown(self) -> None:
        e = _elements(build(board(), _fan(2)))["header", "fan", ""]
        self.assertEqual(e.judged.verdict, "unknown")

    def test_header_that_is_not_there(self) -> None:
        with self.assertRaisesRegex(ValueError, "it has no h9"):
            build(board(headers=_headers(1)), _fan(headers=("h9",)))


class Hubs(unittest.TestCase):
    def test_what_hangs_on_a_hub_comes_through_its_plug(self) -> None:
        """Four fans of 0.3 A: 1.2 A at 12 V, and 1 W ÷ 5 V = 0.2 A, on the hub's SATA socket."""
        b = build(
            board(),
            _hub(),
            _fan(4, on="hub"),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="hub#1/power"),),
        )
        grants = {e.line: e.judged.load for e in analyse(b).runs[0].elements if e.kind == "grant"}
        self.assertAlmostEqual(grants["v12"], 1.2)
        self.assertAlmostEqual(grants["v5"], 0.2)

    def test_its_watts_stand_under_the_drive_leads(self) -> None:
        a = analyse(build(board(), _hub(), _fan(4, on="hub")))
        self.assertAlmostEqual(a.tally.by_path["drive leads"].at("full").likely, 15.4)

    def test_outputs_are_judged(self) -> None:
        found = _elements(build(board(), _hub(), _fan(8, on="hub")))
        self.assertEqual(found["header", "hub", "h1"].judged.verdict, "over")

    def test_hub_on_a_header_carries_all_that_hangs_on_it(self) -> None:
        """Hub without a plug on a 1 A header: two fans of 0.3 A and 1 W ÷ 12 V: 0.683 A."""
        on_header = _hub(sockets=())
        b = build(board(headers=_headers(1)), on_header, _fan(2, on="hub"))
        self.assertAlmostEqual(_elements(b)["header", "board", "h1"].judged.load, 0.6 + 1 / 12)
        self.assertAlmostEqual(analyse(b).tally.by_path["drive leads"].at("full").likely, 0)

    def test_a_hub_on_itself_is_refused(self) -> None:
        with self.assertRaisesRegex(ValueError, "not fed by itself"):
            build(board(), _hub(sockets=(), on="hub"))
        with self.assertRaisesRegex(ValueError, "not fed by itself"):
            build(board(), _hub(on="b"), _hub(key="b", name="B", on="hub"))

    def test_hanging_on_what_is_no_hub_is_refused(self) -> None:
        with self.assertRaisesRegex(ValueError, "a hub in this build"):
            build(board(), _fan(on="board"))


class Kinds(unittest.TestCase):
    def test_watts_at_full(self) -> None:
        """Worked out from the figures: amperes × volts, controllers at their watts."""
        cases: tuple[tuple[Part, float], ...] = (
            (Pump(key="x", name="X", rated_a=exact(0.5)), 6),
            (
                Cooler(
                    key="x",
                    name="X",
                    pump_a=exact(0.5),
                    fans=3,
                    fan_a=exact(0.2),
                    controller_w=exact(2),
                    sockets=SATA,
                ),
                6 + 7.2 + 2,
            ),
            (LightStrip(key="x", name="X", volts=5, rated_a=exact(2)), 10),
            (LightStrip(key="x", name="X", volts=12, rated_a=exact(2)), 24),
            (UsbLoad(key="x", name="X", draw_w=exact(4)), 4),
            (Other(key="x", name="X", v12_w=exact(3), vneg12_w=exact(1)), 4),
            (Drive(key="x", name="X", form="optical", sockets=SATA), 12 + 4.5),
            (Drive(key="x", name="X", form="floppy"), 1.2 + 2),
        )
        for part, watts in cases:
            with self.subTest(part.kind):
                self.assertAlmostEqual(_full(build(board(), part), "x"), watts)

    def test_asleep_only_standby_flows(self) -> None:
        """Board 2 W assumed and a USB load of 0.5 W."""
        usb = UsbLoad(key="u", name="U", draw_w=exact(4), asleep_w=exact(0.5))
        a = analyse(build(board(standby_w=exact(2)), usb))
        self.assertAlmostEqual(a.tally.total.at("sleep").likely, 2.5)
        self.assertAlmostEqual(a.tally.by_rail["v12"].at("sleep").likely, 0)

    def test_negative_rail_that_the_supply_lacks_fails(self) -> None:
        """1 W ÷ 12 V = 0.083 A at −12 V: none, not stated, 0.3 A."""
        other = Other(key="o", name="O", vneg12_w=exact(1))
        for amps, status in ((0, "fail"), (None, "unknown"), (0.3, "pass")):
            a = analyse(build(board(), other, supply=supply(vneg12_a=amps)))
            check = next(c for c in a.supply.checks if c.rail == "vneg12")  # type: ignore[union-attr]
            self.assertEqual(check.status, status)

    def test_usb_and_other_without_figures_are_missing(self) -> None:
        for part in (UsbLoad(key="x", name="X"), Other(key="x", name="X")):
            self.assertEqual(analyse(build(board(), part)).tally.total.missing, ("X",))
