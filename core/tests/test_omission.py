"""Nothing reads fine because nobody judged it: each case with its figures worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import Analysis, analyse
from easy_tally.base.series import Span
from easy_tally.publishing import compact
from easy_tally.publishing.result import Mend
from easy_tally.supplies.checks import SupplyCheck
from easy_tally.tally.loads import loads
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.build import Build
from easy_tally.things.cables import Plug
from easy_tally.things.parts import Fan, Header, Other, Processor, Slot, Socket
from easy_tally.things.supply import Port, PortGroup
from easy_tally.wiring import Wired
from pydantic import ValidationError

from .helpers import (
    board,
    board_cable,
    build,
    card,
    carried,
    disk,
    element_of,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    run,
    run_of,
    sata_cable,
    supply,
    told,
    wide,
)

OPTIONAL_EPS = (
    Socket(key="main", kind="atx24"),
    Socket(key="cpu-1", kind="eps8", required=False),
    Socket(key="cpu-2", kind="eps8", required=False),
)


def _with(part: Any, **more: Any) -> Any:
    return part.model_copy(update=more)


def _mend(b: Build, id: str) -> list[Mend]:
    return [m for m in told(compact(analyse(b))) if m.id == id]


def _check(a: Analysis, id: str, rail: str | None = None) -> SupplyCheck:
    assert a.supply is not None
    return next(c for c in a.supply.checks if c.id == id and c.rail == rail)


def _full(b: Build, part: str, rail: str, feed: str) -> Span:
    found = loads(Wired(b))
    return next(x for x in found if (x.part, x.rail, x.feed) == (part, rail, feed)).spans.full


class NothingThere(unittest.TestCase):
    """A port, plug or cable without a pin for what it carries."""

    def _two_in_a_group(self, pins: int) -> Build:
        ports = (
            Port(key="g1", label="G1", kind="graphics", pins_12v=pins, group="g"),
            Port(key="g2", label="G2", kind="graphics", column=1, pins_12v=3, group="g"),
        )
        box = supply(groups=(PortGroup(key="g", label="G", limit_a=25),), ports=ports)
        return build(
            board(),
            card(),
            cables=(graphics_cable("one", 1), graphics_cable("two", 1)),
            runs=(run("one", "g1", a="card#1/a"), run("two", "g2", a="card#1/b")),
            supply=box,
        )

    def test_a_port_without_12_v_pins_is_over(self) -> None:
        """270 W over two sockets: 135 W, 11.25 A by each port, one of them without a pin."""
        e = element_of(run_of(self._two_in_a_group(0)), "port pins")
        self.assertEqual((e.judged.verdict, e.judged.limit), ("over", 0))
        self.assertAlmostEqual(e.judged.load, 11.25)
        self.assertEqual(run_of(self._two_in_a_group(0)).verdict, "over")

    def test_its_current_still_counts_in_its_group(self) -> None:
        """2 × 11.25 A = 22.5 A of 25 A, whatever pins it has: 90 %, tight."""
        for pins in (0, 3):
            for index in (0, 1):
                e = element_of(run_of(self._two_in_a_group(pins), index), "group")
                self.assertAlmostEqual(e.judged.load, 22.5)
                self.assertEqual(e.judged.verdict, "tight")

    def test_a_stated_contact_of_nothing_is_refused(self) -> None:
        for amps in (0, 1e-9, -1):
            with self.assertRaises(ValidationError):
                Plug(key="a", kind="pcie8", at_mm=600, contact_a=amps)

    def test_a_stated_contact_is_used_however_small(self) -> None:
        plugs = (Plug(key="a", kind="pcie8", at_mm=600, contact_a=0.5),)
        b = build(
            card(320, "pcie8"),
            cables=(graphics_cable("one", plugs=plugs),),
            runs=(run("one", "g1", a="card#1/a"),),
        )
        self.assertEqual(element_of(run_of(b), "plug pins").judged.limit, 0.5)


class PowerOn(unittest.TestCase):
    """The supply is held against more than full."""

    def test_36_disks_spinning_up(self) -> None:
        """36 × (2 A × 12 V + 1 A × 5 V) = 1,044 W, and the board idling, 0.6 × 25 W = 15 W:
        1,059 W on 1,000 W. Full is 36 × 8.5 + 25 = 331 W."""
        a = analyse(build(board(), disk(36)))
        rating = _check(a, "rating")
        self.assertEqual((rating.status, rating.state), ("fail", "start"))
        self.assertAlmostEqual(rating.load or 0, 1059)
        self.assertEqual(a.supply and a.supply.verdict, "too small")
        governs = next(r for r in a.sizing.rules if r.governs)
        self.assertEqual((governs.id, a.sizing.pick_w), ("start", 1200))

    def test_the_processors_short_limit(self) -> None:
        """90 W package, 630 W for the short time: 25 + 700 W for tens of seconds on 700 W."""
        a = analyse(build(board(), processor(90, 630), supply=supply(rated_w=700)))
        rating = _check(a, "rating")
        self.assertEqual((rating.status, rating.state), ("fail", "short"))
        self.assertAlmostEqual(rating.load or 0, 725)
        self.assertEqual(_check(a, "rail", "v12").state, "short")
        self.assertAlmostEqual(_check(a, "rail", "v12").load or 0, 712 / 12)
        self.assertEqual(a.sizing.pick_w, 750)

    def test_what_is_picked_passes_its_own_check(self) -> None:
        for parts in ((board(), disk(36)), (board(), processor(90, 630))):
            pick = analyse(build(*parts)).sizing.pick_w
            a = analyse(build(*parts, supply=supply(rated_w=pick)))
            self.assertNotEqual(_check(a, "rating").status, "fail")
            self.assertNotEqual(_check(a, "watts").status, "fail")

    def test_a_supply_just_above_450_w(self) -> None:
        """16-pin card, 300 W by the standard's worst: 12 + 300 × 3 = 925 W with the board at 0.1
        ms; twice 450 W is 900 W, so 462.5 W is needed by the larger multiples."""
        worst = card(225, "16pin", spikes="by-standard worst")
        ports = supply().ports
        for rated, status in ((450, "fail"), (450.5, "pass"), (451, "pass")):
            b = build(board(), worst, supply=supply(rated_w=rated, ports=ports))
            # 25 W + 225 W × 3 = 700 W: 466.7 W by the smaller multiples, 350 W by the larger.
            a = analyse(b)
            self.assertEqual(_check(a, "spikes").status, status, rated)
            self.assertEqual(_check(a, "watts").status, status, rated)

    def test_a_known_part_that_is_too_much_fails_whatever_is_missing(self) -> None:
        a = analyse(build(board(), disk(36), card(board_power_w=None)))
        self.assertEqual(_check(a, "watts").status, "fail")
        self.assertEqual(_check(a, "rating").status, "fail")


class WaysIn(unittest.TestCase):
    def test_a_drive_without_a_socket(self) -> None:
        """0.5 A × 12 V + 0.5 A × 5 V running, 29 W at spin-up: judged nowhere, so it is named."""
        b = build(board(), disk(2, sockets=()))
        found = _mend(b, "part.no-way-in")
        self.assertEqual(
            [(m.kind, m.subject, m.field) for m in found], [("unknown", "disk", "sockets")]
        )
        self.assertIn("58 W", found[0].text)

    def test_a_processor_whose_only_socket_is_optional(self) -> None:
        one = board(sockets=OPTIONAL_EPS[:2])
        found = _mend(build(one, processor()), "socket.unfed")
        self.assertIn("board#1/cpu-1", [m.subject for m in found])
        self.assertIn("only way in", next(m.text for m in found if "cpu-1" in m.subject))

    def test_a_processor_whose_two_sockets_are_optional(self) -> None:
        """Either would do, so neither is demanded; 120 W at the short limit have no way in."""
        b = build(board(sockets=OPTIONAL_EPS), processor())
        found = _mend(b, "part.unfed")
        self.assertEqual([m.kind for m in found], ["unfed"])
        self.assertIn("cpu-1, cpu-2", found[0].text)
        self.assertIn("120 W", found[0].text)

    def test_one_of_them_fed_is_enough(self) -> None:
        b = build(
            board(sockets=OPTIONAL_EPS),
            processor(),
            cables=(processor_cable(),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
        )
        self.assertEqual(_mend(b, "part.unfed"), [])
        self.assertAlmostEqual(element_of(run_of(b), "plug pins").judged.load, 2.5)

    def test_a_card_whose_sockets_are_all_optional_and_unfed(self) -> None:
        """320 W: the slot gives 66 + 9 W, the other 245 W have no way in."""
        sockets = tuple(Socket(key=k, kind="pcie8", required=False) for k in "ab")
        b = build(board(), _with(card(slot_w=None), sockets=sockets))
        self.assertAlmostEqual(_full(b, "card", "v12", "slot").likely, 66)
        self.assertAlmostEqual(_full(b, "card", "v3v3", "slot").likely, 9)
        self.assertIn("245 W", _mend(b, "part.unfed")[0].text)

    def test_a_board_whose_main_socket_is_optional(self) -> None:
        b = build(board(sockets=(Socket(key="main", kind="atx24", required=False),)))
        self.assertEqual([m.subject for m in _mend(b, "socket.unfed")], ["board#1/main"])

    def test_a_card_draws_on_what_its_instances_have_fed(self) -> None:
        """Two cards of 200 W with an optional 8-pin each, one of them fed: that one takes 50 W by
        its slot and 150 W by its socket; the other 75 W by its slot, 125 W have no way in."""
        sockets = (Socket(key="a", kind="pcie8", required=False),)
        pair = _with(card(200, "", slot_w=None, count=2), sockets=sockets)
        b = build(
            board(),
            pair,
            cables=(graphics_cable("one", 1),),
            runs=(run("one", "g1", a="card#1/a"),),
        )
        self.assertAlmostEqual(carried(b)["card#1/a"].amps["v12"][7], 150 / 12)
        self.assertAlmostEqual(carried(b)["card#2/a"].amps["v12"][7], 125 / 12)
        self.assertEqual([m.subject for m in _mend(b, "socket.unfed")][-1], "card#2/a")


class Sharing(unittest.TestCase):
    """By the pins that are wired on both sides, the same count that the limit uses."""

    def test_main_plug_and_extra(self) -> None:
        """Two cards of 66 W by their slots, 11 A; the board's own 1 A. A main plug with one 12 V
        pin beside an extra of three: 2.75 A and 8.25 A, but the 6-pin is granted 75 W, 6.25 A: the
        other 2 A stay on the main plug: 1 + 2.75 + 2 = 5.75 A on one pin of 6 A, 95.8 %."""
        sockets = (
            Socket(key="main", kind="atx24"),
            Socket(key="extra", kind="pcie6", required=False),
        )
        slots = (Slot(key="slot-1"), Slot(key="slot-2"))
        plugs = (Plug(key="main", kind="atx20+4", at_mm=600, pins_12v=1),)
        b = build(
            board(sockets=sockets, slots=slots),
            card(66, "", key="c1", slot_w=None, slot="slot-1"),
            card(66, "", key="c2", slot_w=None, slot="slot-2"),
            cables=(board_cable().model_copy(update={"plugs": plugs}), graphics_cable("one", 1)),
            runs=(
                run("board", "b1 b2", main="board#1/main"),
                run("one", "g1", a__marked="board#1/extra"),
            ),
        )
        e = element_of(run_of(b), "plug pins")
        self.assertAlmostEqual(e.judged.load, 5.75)
        self.assertEqual(e.judged.verdict, "tight")
        self.assertAlmostEqual(element_of(run_of(b, 1), "grant").judged.load, 75)

    def test_two_processor_plugs(self) -> None:
        """120 W = 10 A over a plug of four pins and one that wires two: 6.67 A and 3.33 A, 1.67 A
        a pin on both."""
        two = processor_cable("cpu-b", plugs=(Plug(key="a", kind="eps8", at_mm=700, pins_12v=2),))
        b = build(
            board(),
            processor(),
            cables=(processor_cable(), two),
            runs=(run("cpu", "p1", a="board#1/cpu-1"), run("cpu-b", "p2", a="board#1/cpu-2")),
        )
        for index in (0, 1):
            self.assertAlmostEqual(element_of(run_of(b, index), "plug pins").judged.load, 10 / 6)

    def test_a_cards_sata_socket_is_granted_54_w(self) -> None:
        """100 W: its SATA socket is granted 4.5 A × 12 V = 54 W, so the slot keeps its 50 W."""
        b = build(board(), card(100, "sata", slot_w=None))
        self.assertAlmostEqual(_full(b, "card", "v12", "slot").likely, 50)
        b = build(board(), card(204, "pcie8 sata", slot_w=exact(0)))
        amps = carried(b)
        self.assertAlmostEqual(amps["card#1/a"].amps["v12"][7] * 12, 150)
        self.assertAlmostEqual(amps["card#1/b"].amps["v12"][7] * 12, 54)

    def test_a_certain_load_gives_a_certain_share(self) -> None:
        """200 W with one 8-pin: the slot must give 50 W at every bound, so the socket carries at
        most 150 W, all that it is granted: within."""
        b = build(
            board(),
            card(200, "pcie8", slot_w=None),
            cables=(graphics_cable("one", 1),),
            runs=(run("one", "g1", a="card#1/a"),),
        )
        self.assertEqual(_full(b, "card", "v12", "slot"), Span(50, 50, 66))
        self.assertEqual(_full(b, "card", "v12", "own"), Span(134, 150, 150))
        self.assertEqual(element_of(run_of(b), "grant").judged.verdict, "within")

    def test_each_bound_is_split_by_itself(self) -> None:
        """180 to 240 W, likely 200 W, with one 8-pin: the slot gives 30 to 66 W at 12 V and at
        the high end 9 W at 3.3 V; the socket 114 to 165 W."""
        b = build(board(), card(board_power_w=wide(180, 200, 240), sockets="pcie8", slot_w=None))
        self.assertEqual(_full(b, "card", "v12", "slot"), Span(30, 50, 66))
        self.assertEqual(_full(b, "card", "v3v3", "slot"), Span(0, 0, 9))
        self.assertEqual(_full(b, "card", "v12", "own"), Span(114, 150, 165))


class Staggered(unittest.TestCase):
    def test_over_a_whole_group(self) -> None:
        """Eight disks on two cables in one group, one at a time: 8 × 0.5 A and one surge of 1.5 A:
        5.5 A at start; 2 A and one surge on each cable: 3.5 A."""
        ports = tuple(
            Port(key=f"d{i}", label=f"D{i}", kind="drive", column=i, pins_12v=1, group="g")
            for i in (1, 2)
        )
        box = supply(groups=(PortGroup(key="g", label="G", limit_a=50),), ports=ports)
        uses = [{f"p{n}": f"disk#{n + 4 * i}/power" for n in (1, 2, 3, 4)} for i in (0, 1)]
        b = build(
            board(),
            disk(8),
            cables=(sata_cable("one"), sata_cable("two")),
            supply=box,
            runs=(run("one", "d1", **uses[0]), run("two", "d2", **uses[1])),
            spin_up_at_once=1,
        )
        for index in (0, 1):
            r = run_of(b, index)
            self.assertAlmostEqual(element_of(r, "group").judged.loads[10], 5.5)
            self.assertAlmostEqual(element_of(r, "supply-end pins").judged.loads[10], 3.5)

    def test_a_start_below_running_counts_once(self) -> None:
        """Two disks of 0.6 A at 5 V, 0.4 A at start, one at a time: both run, 1.2 A."""
        b = build(disk(2, run_5v_a=exact(0.6), start_5v_a=exact(0.4)), spin_up_at_once=1)
        watts = analyse(b).tally.by_rail["v5"].at("start").likely
        self.assertAlmostEqual(watts / 5, 1.2)


class Known(unittest.TestCase):
    """What is known counts even where something is missing."""

    def test_a_short_limit_without_the_sustained_one(self) -> None:
        """180 W ÷ 0.9 = 200 W on an 8-pin plug: 16.67 A, 4.17 A a pin."""
        chip = Processor(key="processor", name="P", package_short_w=exact(180))
        b = build(
            board(), chip, cables=(processor_cable(),), runs=(run("cpu", "p1", a="board#1/cpu-1"),)
        )
        e = element_of(run_of(b), "plug pins")
        self.assertAlmostEqual(e.judged.load, 200 / 12 / 4)
        self.assertEqual(e.judged.verdict, "unknown")
        heavy = chip.model_copy(update={"package_short_w": exact(900)})
        b = b.model_copy(update={"parts": (board(), heavy)})
        self.assertEqual(run_of(b).verdict, "over")

    def test_a_drop_with_an_unknown_ground_current(self) -> None:
        """A disk beside one whose amps at 5 V nobody knows: the volts at 12 V are not known."""
        other = Other(key="other", name="O", sockets=(Socket(key="p", kind="sata"),))
        b = build(
            disk(),
            other,
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="disk#1/power", p2="other#1/p"),),
        )
        drops = [e for e in run_of(b).elements if e.kind == "drop"]
        self.assertEqual({e.judged.verdict for e in drops}, {"unknown"})

    def test_idle_above_full_is_said_and_not_cut(self) -> None:
        """40 W at idle of a card of 30 W: used as it stands, and told at its field."""
        b = build(board(), card(30, "", slot_w=None, idle_w=exact(40)))
        a = analyse(b)
        self.assertAlmostEqual(a.tally.by_part["card", "board lead"].at("idle").likely, 40)
        found = _mend(b, "part.contradiction")
        self.assertEqual([(m.subject, m.field) for m in found], [("card", "idle_w")])
        self.assertIn("40 W", found[0].text)

    def test_each_pair_that_can_contradict_itself(self) -> None:
        chip = Processor(key="processor", name="P", package_w=exact(90), package_short_w=exact(80))
        for part, field in (
            (chip, "package_w"),
            (disk(run_12v_a=exact(3)), "run_12v_a"),
            (disk(run_5v_a=exact(3)), "run_5v_a"),
        ):
            found = _mend(build(board(), part), "part.contradiction")
            self.assertEqual([m.field for m in found], [field])
        self.assertEqual(_mend(build(board(), processor(), disk()), "part.contradiction"), [])

    def test_a_default_gives_way_to_what_is_stated(self) -> None:
        """An assumed idle of 15 W is cut at a package of 9 W; an assumed start of 2 A raised to
        running at 2.5 A; an assumed running of 0.6 A cut at a start of 0.3 A."""
        chip = Processor(key="processor", name="P", package_w=exact(9))
        idle = next(x for x in loads(Wired(build(board(), chip))) if x.part == "processor")
        self.assertAlmostEqual(idle.spans.idle.likely, 10)
        fast = disk(run_12v_a=exact(2.5), start_12v_a=None)
        self.assertAlmostEqual(_start(fast) / 12, 2.5)
        slow = disk(run_12v_a=None, start_12v_a=exact(0.3))
        self.assertAlmostEqual(_start(slow) / 12, 0.3)
        self.assertEqual(_mend(build(board(), chip, fast), "part.contradiction"), [])


def _start(part: Any) -> float:
    found = next(x for x in loads(Wired(build(part))) if x.rail == "v12")
    return found.spans.start.likely


class Told(unittest.TestCase):
    def test_a_plug_without_load_is_not_nothing_plugged_in(self) -> None:
        idle = Other(key="other", name="O", v12_w=exact(0), sockets=(Socket(key="p", kind="sata"),))
        b = build(idle, cables=(sata_cable(),), runs=(run("sata", "d1", p1="other#1/p"),))
        self.assertIn("draws anything", compact(analyse(b)).lanes[0].cause)
        bare = build(cables=(sata_cable(),), runs=(run("sata", "d1"),))
        self.assertIn("Nothing is plugged into it", compact(analyse(bare)).lanes[0].cause)

    def test_a_drive_that_power_disable_keeps_off_is_to_mend(self) -> None:
        b = build(
            disk(power_disable=True),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="disk#1/power"),),
        )
        found = _mend(b, "drive.kept-off")
        self.assertEqual(
            [(m.kind, m.of, m.subject) for m in found], [("failed", "socket", "disk#1/power")]
        )

    def test_a_case_that_is_not_chosen_is_listed_as_not_checked(self) -> None:
        found = compact(analyse(build(board()))).not_checked
        self.assertTrue(any("no case is chosen" in x for x in found))

    def test_a_slot_share_of_a_card_without_sockets_does_not_count(self) -> None:
        found = compact(analyse(build(board(), card(30, ""))))
        self.assertIn("card.slot-share-ignored", [n.id for n in found.notes])

    def test_a_long_card_in_a_short_slot_runs_on_its_lanes(self) -> None:
        """16 lanes in a slot of 4: 25 W; in one of 16 nothing is said."""
        slots = (Slot(key="s1", lanes=16), Slot(key="s2", lanes=4))
        for slot, notes_told in (("s1", 0), ("s2", 1)):
            found = compact(analyse(build(board(slots=slots), card(30, "", slot=slot))))
            notes = [n for n in found.notes if n.id == "card.few-lanes"]
            self.assertEqual(len(notes), notes_told)
            self.assertTrue(all("grants 25 W" in n.text for n in notes))

    def test_a_raised_power_limit_raises_that_cards_floor(self) -> None:
        """320 W × 1.2 is 64 W more: 650 + 64 = 714 W, above another card's 700 W."""
        cards = (
            card(320, key="a", system_floor_w=exact(650), power_limit=1.2),
            card(200, key="b", system_floor_w=exact(700)),
        )
        rules = analyse(build(board(), *cards)).sizing.rules
        floor = next(r for r in rules if r.id == "floor").watts
        self.assertAlmostEqual(floor.likely if floor else 0, 714)

    def test_a_header_limit_of_a_hair_is_refused(self) -> None:
        with self.assertRaisesRegex(ValidationError, "0, or at least"):
            Header(key="h", limit_a=exact(5e-324))
        with self.assertRaisesRegex(ValidationError, "0, or at least"):
            supply(rated_w=5e-324)
        with self.assertRaisesRegex(ValidationError, "between 0 and"):
            Assumptions.model_validate({"fan_a": {"low": 0, "likely": 1, "high": 1e300}})

    def test_the_most_that_can_be_said_is_still_said(self) -> None:
        """The smallest rating and the largest load: the numbers stay numbers."""
        found = compact(
            analyse(
                build(
                    board(),
                    card(3000),
                    Fan(key="f", name="F", rated_a=exact(60)),
                    supply=supply(rated_w=0.001, v12_a=0.001),
                )
            )
        )
        self.assertGreater(found.strip.supply_percent or 0, 1_000_000)
