"""The checker on whole runs, with currents worked out by hand."""

from __future__ import annotations

import unittest

from easy_tally.ratings.runs import RunResult
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.build import Build
from easy_tally.things.cables import Plug, RailPins, SupplyEnd
from easy_tally.things.parts import Card, Processor, Socket
from easy_tally.things.supply import PortGroup

from .helpers import (
    board,
    board_cable,
    build,
    card,
    element_of,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    rules,
    run,
    run_of,
    sixteen_cable,
    supply,
    warning_of,
)


def _chain(power: float = 320, rule: str = "by pins", **more: object) -> Build:
    return build(
        card(power),
        cables=(graphics_cable(**more),),
        runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
        house_rules=rules(chained_graphics=rule),
    )


class ChainedGraphics(unittest.TestCase):
    """A 320 W card, 50 W by its slot: 270 W over two 8-pin sockets, 22.5 A at 12 V."""

    def test_supply_end_carries_both_plugs(self) -> None:
        """22.5 A ÷ 3 pins = 7.5 A of 7 A (standard grade, 8 circuits, 18 AWG): 107.1 %."""
        e = element_of(run_of(_chain()), "supply-end pins")
        self.assertAlmostEqual(e.judged.load, 7.5)
        self.assertEqual(e.judged.limit, 7.0)
        self.assertAlmostEqual(e.judged.share, 7.5 / 7)  # type: ignore[arg-type]
        self.assertEqual(e.judged.verdict, "over")

    def test_each_plug_carries_half(self) -> None:
        """11.25 A ÷ 3 pins = 3.75 A of 7 A."""
        e = element_of(run_of(_chain()), "plug pins", at="a")
        self.assertAlmostEqual(e.judged.load, 3.75)
        self.assertEqual(e.judged.verdict, "within")

    def test_each_socket_is_within_its_grant(self) -> None:
        """135 W of 150 W."""
        e = element_of(run_of(_chain()), "grant", at="b")
        self.assertAlmostEqual(e.judged.load, 135)
        self.assertEqual((e.judged.limit, e.judged.verdict), (150, "within"))

    def test_wires_step_down_at_each_plug(self) -> None:
        """22.5 ÷ 3 = 7.5 A a conductor to 600 mm, 3.75 A beyond, of 10 A."""
        wires = [e for e in run_of(_chain()).elements if e.kind == "wire" and e.line == "v12"]
        found = sorted((e.from_mm, e.to_mm, round(e.judged.load, 9)) for e in wires)
        self.assertEqual(found, [(0, 600, 7.5), (600, 750, 3.75)])

    def test_profile(self) -> None:
        """Against 3 × 7 A = 21 A at the supply end; beyond, the 12.5 A granted to the last plug."""
        steps = run_of(_chain()).steps
        self.assertEqual([(s.from_mm, s.to_mm) for s in steps], [(0, 600), (600, 750)])
        self.assertAlmostEqual(steps[0].amps["full"], 22.5)
        self.assertAlmostEqual(steps[1].amps["full"], 11.25)
        self.assertEqual([s.limit_a for s in steps], [21.0, 12.5])

    def test_volts_lost_at_the_far_plug(self) -> None:
        """18 AWG 23.2 mΩ/m. One way: 22.5 A × 23.2 × 0.6 ÷ 3 = 104.4 mV, 11.25 A × 23.2 × 0.15
        ÷ 3 = 13.05 mV, contacts 22.5 × 5 ÷ 3 = 37.5 mV and 11.25 × 5 ÷ 3 = 18.75 mV: 173.7 mV;
        out and back 347.4 mV, of 5 % of 12 V = 600 mV."""
        e = element_of(run_of(_chain()), "drop", at="b")
        self.assertAlmostEqual(e.judged.load, 0.3474)
        self.assertAlmostEqual(e.judged.limit, 0.6)  # type: ignore[arg-type]
        self.assertEqual(e.judged.verdict, "within")

    def test_house_rule_by_plug(self) -> None:
        """270 W on a cable that may carry 150 W: 180 %, refused but standing."""
        r = run_of(_chain(rule="by plug"))
        e = element_of(r, "house rule")
        self.assertAlmostEqual(e.judged.share, 1.8)  # type: ignore[arg-type]
        self.assertEqual((r.verdict, e.refused), ("over", True))

    def test_house_rule_by_plug_at_its_limit(self) -> None:
        """200 W less 50 W is 150 W: within; a watt more is refused."""
        self.assertFalse(element_of(run_of(_chain(200, "by plug")), "house rule").refused)
        self.assertTrue(element_of(run_of(_chain(201, "by plug")), "house rule").refused)

    def test_house_rule_never(self) -> None:
        """Two plugs of one allowed, however little they carry."""
        e = element_of(run_of(_chain(100, "never")), "house rule")
        self.assertEqual((e.judged.load, e.judged.limit, e.refused), (2, 1, True))

    def test_house_rule_by_pins_adds_nothing(self) -> None:
        kinds = {e.kind for e in run_of(_chain(200, "by pins")).elements}
        self.assertNotIn("house rule", kinds)

    def test_one_plug_of_a_chain_is_no_chain(self) -> None:
        b = build(
            card(150, "pcie8"),
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a="card#1/a"),),
            house_rules=rules(chained_graphics="never"),
        )
        self.assertNotIn("house rule", {e.kind for e in run_of(b).elements})

    def test_high_current_grade_carries_it(self) -> None:
        """7.5 A of 9 A at 18 AWG: 83.3 %, tight."""
        end = SupplyEnd(circuits=8, pins=RailPins(v12=3, ground=3), grade="high")
        e = element_of(run_of(_chain(supply_end=end)), "supply-end pins")
        self.assertEqual((e.judged.limit, e.judged.verdict), (9.0, "tight"))

    def test_thin_wire_lowers_pins_and_wires(self) -> None:
        """20 AWG: pins 5 A, conductors 7.5 A: 7.5 A is 150 % and 100 %."""
        r = run_of(_chain(gauge=20))
        self.assertEqual(element_of(r, "supply-end pins").judged.verdict, "over")
        wire = next(e for e in r.elements if e.kind == "wire" and e.from_mm == 0)
        self.assertEqual(wire.judged.verdict, "tight")
        self.assertAlmostEqual(wire.judged.share, 1.0)  # type: ignore[arg-type]

    def test_a_gauge_that_nobody_says(self) -> None:
        """A supply end of 8 circuits: 7 A a pin by 18 AWG as usual, 5 A by 20."""
        pins = element_of(run_of(_chain(100, gauge=None)), "supply-end pins").judged
        self.assertEqual((pins.verdict, pins.limit, pins.usual), ("within", 7.0, "holds"))
        self.assertEqual(pins.at_cautious and pins.at_cautious.limit, 5.0)

    def test_a_grade_that_nobody_says_is_standard(self) -> None:
        end = SupplyEnd(circuits=8, pins=RailPins(v12=3, ground=3), grade=None)
        e = element_of(run_of(_chain(100, supply_end=end)), "supply-end pins")
        self.assertEqual((e.judged.limit, e.judged.usual), (7.0, ""))

    def test_missing_board_power_is_unknown(self) -> None:
        b = _chain()
        bare = b.parts[0].model_copy(update={"board_power_w": None})
        self.assertEqual(run_of(b.model_copy(update={"parts": (bare,)})).verdict, "unknown")

    def test_missing_conductor_is_over(self) -> None:
        r = run_of(_chain(conductors=RailPins(v12=3, ground=0)))
        e = element_of(r, "wire", "ground")
        self.assertEqual((e.judged.verdict, e.judged.share), ("over", None))

    def test_hot_air_takes_from_the_contact(self) -> None:
        """Room 50 °C, at the plug 65 °C: 7 A × √(15 ÷ 30) = 4.95 A."""
        b = _chain().model_copy(update={"assumptions": Assumptions(room_degc=50)})
        self.assertAlmostEqual(element_of(run_of(b), "supply-end pins").judged.limit, 4.949747468)  # type: ignore[arg-type]

    def test_safety_factor(self) -> None:
        """3 × 7 A × 12 V = 252 W for 150 W: 1.68."""
        self.assertAlmostEqual(run_of(_chain()).safety["a"], 1.68)

    def test_plug_without_its_third_pin(self) -> None:
        """11.25 A ÷ 2 pins = 5.625 A."""
        plugs = (
            Plug(key="a", kind="pcie6+2", at_mm=600, pins_12v=2),
            Plug(key="b", kind="pcie6+2", at_mm=750),
        )
        e = element_of(run_of(_chain(plugs=plugs)), "plug pins", at="a")
        self.assertAlmostEqual(e.judged.load, 5.625)

    def test_makers_contact_data_wins(self) -> None:
        plugs = (Plug(key="a", kind="pcie6+2", at_mm=600, contact_a=11), graphics_cable().plugs[1])
        self.assertEqual(
            element_of(run_of(_chain(plugs=plugs)), "plug pins", at="a").judged.limit, 11
        )


class Halves(unittest.TestCase):
    def test_6_of_6_plus_2_counts_as_6_pin(self) -> None:
        """100 W card less 50 W: 50 W of 75 W; 6 circuits: 8 A a contact, 50 ÷ 12 ÷ 3 = 1.389 A."""
        b = build(
            card(100, "pcie6"),
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a__marked="card#1/a"),),
        )
        r = run_of(b)
        self.assertEqual(element_of(r, "grant").judged.limit, 75)
        self.assertEqual(element_of(r, "plug pins").judged.limit, 8.0)
        self.assertAlmostEqual(element_of(r, "plug pins").judged.load, 50 / 36)

    def test_6_pin_ground_is_two_pins(self) -> None:
        """50 W ÷ 12 V ÷ 2 pins = 2.083 A."""
        b = build(
            card(100, "pcie6"),
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a__marked="card#1/a"),),
        )
        self.assertAlmostEqual(element_of(run_of(b), "plug pins", "ground").judged.load, 50 / 24)

    def test_4_of_4_plus_4_counts_as_4_pin(self) -> None:
        """120 W short ÷ 12 V = 10 A over 2 pins: 5 A of 8 A (4 circuits)."""
        old = board(sockets=(Socket(key="main", kind="atx24"), Socket(key="cpu", kind="eps4")))
        b = build(
            old,
            processor(),
            cables=(processor_cable(),),
            runs=(run("cpu", "p1", a__marked="board#1/cpu"),),
        )
        e = element_of(run_of(b), "plug pins")
        self.assertAlmostEqual(e.judged.load, 5)
        self.assertEqual(e.judged.limit, 8.0)

    def test_20_pin_plug_in_a_24_pin_socket_has_one_12_v_pin(self) -> None:
        """12 W board and 50 W by the slot: 62 W ÷ 12 V = 5.167 A on one pin of 6 A: tight."""
        b = build(
            board(),
            card(150, "pcie8"),
            cables=(board_cable(),),
            runs=(run("board", "b1 b2", main__marked="board#1/main"),),
        )
        r = run_of(b)
        e = element_of(r, "plug pins")
        self.assertAlmostEqual(e.judged.load, 62 / 12)
        self.assertEqual(e.judged.verdict, "tight")
        self.assertIn("20-pin plug", warning_of(b))


class ProcessorRuns(unittest.TestCase):
    def _build(self, second: bool) -> Build:
        cables = (processor_cable("cpu"), processor_cable("cpu-2"))
        runs = [run("cpu", "p1", a="board#1/cpu-1")]
        if second:
            runs.append(run("cpu-2", "p2", a="board#1/cpu-2"))
        return build(board(), processor(), cables=cables, runs=tuple(runs))

    def test_full_is_the_short_limit(self) -> None:
        """108 ÷ 0.9 = 120 W: 10 A ÷ 4 pins = 2.5 A, though the tally counts 100 W."""
        e = element_of(run_of(self._build(False)), "plug pins")
        self.assertAlmostEqual(e.judged.load, 2.5)

    def test_two_sockets_share_by_pins(self) -> None:
        """5 A each: 1.25 A a pin."""
        for index in (0, 1):
            e = element_of(run_of(self._build(True), index), "plug pins")
            self.assertAlmostEqual(e.judged.load, 1.25)

    def test_4_pin_beside_8_pin_shares_by_pins(self) -> None:
        """4 of 6 pins: 6.667 A; 2 of 6: 3.333 A; 1.667 A a pin on both."""
        mixed = board(
            sockets=(
                Socket(key="main", kind="atx24"),
                Socket(key="cpu-1", kind="eps8"),
                Socket(key="cpu-2", kind="eps4"),
            )
        )
        b = build(
            mixed,
            processor(),
            cables=(processor_cable("cpu"), processor_cable("cpu-2")),
            runs=(
                run("cpu", "p1", a="board#1/cpu-1"),
                run("cpu-2", "p2", a__marked="board#1/cpu-2"),
            ),
        )
        for index in (0, 1):
            self.assertAlmostEqual(element_of(run_of(b, index), "plug pins").judged.load, 10 / 6)

    def test_missing_package_limit_is_unknown(self) -> None:
        b = build(
            board(),
            Processor(key="processor", name="P"),
            cables=(processor_cable(),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
        )
        self.assertEqual(run_of(b).verdict, "unknown")

    def test_no_grant_is_stated_for_it(self) -> None:
        self.assertNotIn("grant", {e.kind for e in run_of(self._build(False)).elements})


class BoardRun(unittest.TestCase):
    def run_of(self, *cards: Card) -> RunResult:
        b = build(
            board(),
            *cards,
            cables=(board_cable(),),
            runs=(run("board", "b1 b2", main="board#1/main"),),
        )
        return run_of(b)

    def test_slots_come_through_the_main_plug(self) -> None:
        """Board 12 W and two slots of 50 W: 112 W ÷ 12 V = 9.333 A ÷ 2 pins = 4.667 A of 6 A."""
        r = self.run_of(card(150, "pcie8"), card(150, "pcie8", key="card-2", name="C2"))
        e = element_of(r, "plug pins")
        self.assertAlmostEqual(e.judged.load, 112 / 24)
        self.assertEqual(e.judged.limit, 6.0)

    def test_each_rail_by_its_own_pins(self) -> None:
        """5 V: 6 W ÷ 5 V ÷ 5 pins = 0.24 A; 3.3 V: 7 W ÷ 3.3 V ÷ 4 pins = 0.530 A."""
        r = self.run_of()
        self.assertAlmostEqual(element_of(r, "plug pins", "v5").judged.load, 0.24)
        self.assertAlmostEqual(element_of(r, "plug pins", "v3v3").judged.load, 7 / 3.3 / 4)

    def test_ground_carries_the_sum_of_the_rails(self) -> None:
        """12 ÷ 12 + 6 ÷ 5 + 7 ÷ 3.3 = 4.321 A over 8 pins."""
        e = element_of(self.run_of(), "plug pins", "ground")
        self.assertAlmostEqual(e.judged.load, (1 + 1.2 + 7 / 3.3) / 8)

    def test_two_ports_share_by_their_12_v_pins(self) -> None:
        """One 12 V pin each: 1 A through the two ports, 0.5 A a port."""
        r = self.run_of()
        for port in ("b1", "b2"):
            self.assertAlmostEqual(element_of(r, "port pins", at=port).judged.load, 0.5)

    def test_a_port_without_12_v_carries_none(self) -> None:
        ports = tuple(
            p.model_copy(update={"pins_12v": 0}) if p.key == "b2" else p for p in supply().ports
        )
        b = build(
            board(),
            cables=(board_cable(),),
            runs=(run("board", "b1 b2", main="board#1/main"),),
            supply=supply(ports=ports),
        )
        r = run_of(b)
        self.assertAlmostEqual(element_of(r, "port pins", at="b1").judged.load, 1.0)
        self.assertEqual([str(e.at) for e in r.elements if e.kind == "port pins"], ["b1"])

    def test_connected_board_extra_shares_the_slots(self) -> None:
        """Slot 50 W over 2 pins of the 24-pin and 3 of the extra 6-pin: 20 W and 30 W."""
        extra = board(
            sockets=(
                Socket(key="main", kind="atx24"),
                Socket(key="extra", kind="pcie6", required=False),
            )
        )
        b = build(
            extra,
            card(150, "pcie8"),
            cables=(board_cable(), graphics_cable()),
            runs=(
                run("board", "b1 b2", main="board#1/main"),
                run("chain", "g1", a__marked="board#1/extra"),
            ),
        )
        self.assertAlmostEqual(element_of(run_of(b), "plug pins").judged.load, (12 + 20) / 12 / 2)
        self.assertAlmostEqual(element_of(run_of(b, 1), "grant").judged.load, 30)


class SixteenPin(unittest.TestCase):
    def run_of(
        self,
        power: float = 610,
        sense: str | None = "both_grounded",
        version: str = "revised",
        **more: object,
    ) -> RunResult:
        big = card(power, "16pin", slot_w=exact(10))
        socket = big.sockets[0].model_copy(update={"version": version})
        big = big.model_copy(update={"sockets": (socket,)})
        return run_of(
            build(
                big,
                cables=(sixteen_cable(sense, **more),),
                runs=(run("sixteen", "h1", a="card#1/a"),),
            )
        )

    def test_worst_pin_at_600_w(self) -> None:
        """600 W ÷ 12 V = 50 A ÷ 6 × 1.10 = 9.167 A of 9.2 A: 99.6 %, tight."""
        e = element_of(self.run_of(), "plug pins")
        self.assertAlmostEqual(e.judged.load, 50 / 6 * 1.1)
        self.assertEqual((e.judged.limit, e.judged.verdict), (9.2, "tight"))

    def test_grant_by_sense_code(self) -> None:
        """600 W against 600, 450, 300, 150 and 0 W."""
        found = [
            element_of(self.run_of(sense=s), "grant").judged.limit
            for s in ("both_grounded", "sense1_grounded", "sense0_grounded", "joined", "open")
        ]
        self.assertEqual(found, [600, 450, 300, 150, 0])

    def test_the_sockets_version_decides_what_open_means(self) -> None:
        e = element_of(self.run_of(140, "open", "first"), "grant")
        self.assertEqual((e.judged.limit, e.judged.verdict), (150, "within"))
        e = element_of(self.run_of(140, "open", "revised"), "grant")
        self.assertEqual((e.judged.limit, e.judged.verdict), (0, "over"))

    def test_unknown_sense_code_is_unknown(self) -> None:
        self.assertEqual(element_of(self.run_of(300, None), "grant").judged.verdict, "unknown")

    def test_thin_wire(self) -> None:
        """18 AWG: 5.5 A a pin; 300 W is 25 A ÷ 6 × 1.1 = 4.583 A: 83.3 %."""
        e = element_of(self.run_of(310, gauge=18), "plug pins")
        self.assertEqual((e.judged.limit, e.judged.verdict), (5.5, "tight"))

    def test_safety_factor(self) -> None:
        """6 × 9.2 A × 12 V = 662.4 W for 600 W: 1.104."""
        self.assertAlmostEqual(self.run_of().safety["a"], 1.104)

    def test_cable_in_two_graphics_ports(self) -> None:
        """300 W = 25 A over 2 × 3 pins at the supply: 4.167 A of 7 A; each port 12.5 A ÷ 3."""
        two = sixteen_cable(
            needs=("graphics", "graphics"),
            gauge=16,
            supply_end=SupplyEnd(circuits=8, pins=RailPins(v12=6, ground=6)),
        )
        big = card(310, "16pin", slot_w=exact(10))
        r = run_of(build(big, cables=(two,), runs=(run("sixteen", "g1 g2", a="card#1/a"),)))
        e = element_of(r, "supply-end pins")
        self.assertAlmostEqual(e.judged.load, 25 / 6)
        self.assertEqual(e.judged.limit, 7.0)
        self.assertAlmostEqual(element_of(r, "port pins", at="g2").judged.load, 12.5 / 3)


class Groups(unittest.TestCase):
    def _runs(self, limit: float | None) -> RunResult:
        """Two cards of 270 W on two cables each: 45 A in one group."""
        cables = tuple(graphics_cable(f"c{i}", 1) for i in range(4))
        targets = ("card#1/a", "card#1/b", "card-2#1/a")
        runs = tuple(run(f"c{i}", f"g{i + 1}", a=t) for i, t in enumerate(targets))
        b = build(
            card(320),
            card(185, "pcie8", key="card-2", name="C2"),
            cables=cables,
            runs=runs,
            supply=supply(groups=(PortGroup(key="g", label="G", limit_a=limit),)),
        )
        return run_of(b)

    def test_group_adds_up_its_runs(self) -> None:
        """270 W + 135 W = 405 W: 33.75 A."""
        for limit, verdict in ((60, "within"), (42, "tight"), (33, "over")):
            e = element_of(self._runs(limit), "group")
            self.assertAlmostEqual(e.judged.load, 33.75)
            self.assertEqual(e.judged.verdict, verdict)

    def test_a_group_without_a_limit_is_a_note(self) -> None:
        """Few makers state it: its runs are judged by everything else."""
        r = self._runs(None)
        self.assertNotIn("group", [e.kind for e in r.elements])
        self.assertEqual(r.unlimited, ("g",))


class Governing(unittest.TestCase):
    def test_worst_verdict_first_then_highest_share(self) -> None:
        found = [
            (e.judged.verdict, e.judged.share or 9) for e in run_of(_chain(rule="by plug")).elements
        ]
        order = {"over": 0, "unknown": 1, "tight": 2, "within": 3}
        self.assertEqual(found, sorted(found, key=lambda x: (order[x[0]], -x[1])))

    def test_cable_in_its_port_feeding_nothing_is_within(self) -> None:
        r = run_of(build(cables=(graphics_cable(),), runs=(run("chain", "g1"),)))
        self.assertEqual((r.verdict, r.elements), ("within", ()))
