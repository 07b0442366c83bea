"""How a supply fits and lives: each figure worked out by hand."""

from __future__ import annotations

import unittest
from dataclasses import replace
from typing import Any
from unittest.mock import patch

from easy_tally.analysis import Analysis, analyse
from easy_tally.publishing import compact
from easy_tally.publishing.wording.living import living_words
from easy_tally.standards.efficiency import GRADES
from easy_tally.supplies import checks as checks_module
from easy_tally.supplies.asked import SupplyCheck
from easy_tally.supplies.box import leads
from easy_tally.supplies.energy import (
    circuit_w,
    efficiency_at,
    heat_btu_h,
    mains_a,
    points_of,
    wall_by_state,
    wall_w,
    year,
)
from easy_tally.things.adapters import Adapter, CodeAt, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Plug
from easy_tally.things.case import Area, Case, Route
from easy_tally.things.parts import Other, Socket
from easy_tally.things.place import Hours, Place
from easy_tally.things.supply import EfficiencyPoint, Port, Supply
from easy_tally.wiring import Wired
from hypothesis import given
from hypothesis import strategies as st

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor_cable,
    rules,
    sata_cable,
    sixteen_cable,
    supply,
    told,
)

GOLD = GRADES["gold", 230]


def _check(a: Analysis, id: str) -> SupplyCheck:
    assert a.supply is not None
    return next(c for c in a.supply.checks if c.id == id)


def _of(id: str, *parts: Any, **more: Any) -> SupplyCheck:
    year = more.pop("year", 2026)
    return _check(analyse(build(*parts, **more), year), id)


def _load(v12: float = 0, v5: float = 0, **more: Any) -> Other:
    """A load that is the same in every state."""
    sockets = (Socket(key="power", kind="per4"),)
    return Other(
        key="load",
        name="Load",
        v12_w=exact(v12),
        v5_w=exact(v5),
        idle_share=1.0,
        sockets=sockets,
        **more,
    )


class Efficiency(unittest.TestCase):
    """Gold at 230 V: 90 % at a fifth, 92 % at half, 89 % at full."""

    def test_on_and_between_the_points(self) -> None:
        for share, value in ((0.2, 0.90), (0.35, 0.91), (0.5, 0.92), (0.75, 0.905), (1.0, 0.89)):
            self.assertAlmostEqual(efficiency_at(GOLD, share), value)
        self.assertAlmostEqual(efficiency_at(GOLD, 1.2), 0.89)

    def test_below_a_fifth_the_loss_shrinks(self) -> None:
        """1000 W: 200 W lose 22.22 W; at 100 W 0.7 of it, 15.56 W: 86.54 %."""
        self.assertAlmostEqual(efficiency_at(GOLD, 0.1), 100 / 115.5556, places=5)
        self.assertAlmostEqual(wall_w(100, 1000, GOLD), 115.5556, places=3)
        self.assertAlmostEqual(wall_w(0, 1000, GOLD), 0.4 * 22.2222, places=3)

    def test_titanium_has_a_point_at_a_tenth(self) -> None:
        self.assertAlmostEqual(efficiency_at(GRADES["titanium", 115], 0.1), 0.90)
        self.assertAlmostEqual(efficiency_at(GRADES["titanium", 115], 0.15), 0.91)

    def test_each_grade_rises_with_the_grade(self) -> None:
        names = ("base", "bronze", "silver", "gold", "platinum", "titanium")
        for volts in (115, 230):
            for share in (0.2, 0.5, 1.0):
                found = [efficiency_at(GRADES[n, volts], share) for n in names]  # type: ignore[index]
                self.assertEqual(found, sorted(found))

    def test_its_own_points_win(self) -> None:
        own = supply(efficiency=(EfficiencyPoint(share=0.5, value=0.8),))
        self.assertEqual(points_of(own, 230), ((0.5, 0.8),))
        self.assertEqual(points_of(supply(), 115), GRADES["gold", 115])
        self.assertIsNone(points_of(supply(grade=None), 230))

    def test_points_that_contradict_are_refused(self) -> None:
        with self.assertRaisesRegex(ValueError, "less than or equal to 1"):
            EfficiencyPoint(share=0.5, value=1.02)
        twice = tuple(EfficiencyPoint(share=0.5, value=v) for v in (0.8, 0.9))
        with self.assertRaisesRegex(ValueError, "rising order of load"):
            supply(efficiency=twice)

    @given(st.floats(0, 1500), st.floats(0, 1500), st.sampled_from(sorted(GRADES)))
    def test_more_load_never_draws_less(self, a: float, b: float, grade: Any) -> None:
        less, more = sorted((a, b))
        points = GRADES[grade]
        self.assertLessEqual(wall_w(less, 1000, points), wall_w(more, 1000, points) + 1e-9)
        self.assertGreaterEqual(wall_w(more, 1000, points), more)


class Mains(unittest.TestCase):
    def test_amperes_heat_and_circuit(self) -> None:
        """500 W of 1000 at 92 %: 543.48 W, ÷ (230 × 0.95) = 2.487 A, × 3.412 = 1854 BTU/h."""
        wall = wall_w(500, 1000, GOLD)
        self.assertAlmostEqual(wall, 543.478, places=3)
        self.assertAlmostEqual(mains_a(wall, 230), 2.4873, places=3)
        self.assertAlmostEqual(heat_btu_h(wall), 1854.35, places=1)
        self.assertAlmostEqual(circuit_w(115, 15), 1380)

    def test_a_year(self) -> None:
        """100 W for 6 h, 400 W for 2 h, 50 W for 2 h and 3 W for 14 h: 1.542 kWh a day."""
        wall = {"sleep": 3.0, "idle": 50.0, "everyday": 100.0, "full": 400.0}
        self.assertAlmostEqual(year(wall, Place()).kwh, 562.83, places=2)  # type: ignore[arg-type]
        off = Place(hours=Hours(sleep=0, idle=0, everyday=8, full=0))
        self.assertAlmostEqual(year(wall, off).kwh, 292.0)  # type: ignore[arg-type]

    def test_asleep_the_small_converter_works(self) -> None:
        found = wall_by_state({"sleep": 3.0, "full": 500.0}, 1000, GOLD)
        self.assertAlmostEqual(found["sleep"], 5.0)
        self.assertAlmostEqual(found["full"], 543.478, places=3)

    def test_a_day_has_24_hours(self) -> None:
        with self.assertRaisesRegex(ValueError, "at most 24 hours in all; they are 25"):
            Hours(sleep=14, idle=2, everyday=6, full=3)

    def test_the_circuit_and_what_else_hangs_on_it(self) -> None:
        """500 W: 543.5 W from the wall; of 230 V × 3 A × 0.8 = 552 W, with 10 W beside 553.5 W."""
        load = _load(v12=500)
        for other, status in ((8, "pass"), (10, "fail")):
            place = Place(breaker_a=3, other_w=other)
            self.assertEqual(_of("mains", load, place=place).status, status)
        found = _of("mains", load)
        self.assertEqual((found.status, found.limit), ("pass", None))
        self.assertAlmostEqual(found.more["amps"], 2.4873, places=3)

    def test_cost_by_the_price(self) -> None:
        """500 W all day: 543.478 W × 24 h × 365 = 4760.9 kWh, at 0.25: 1190.22."""
        place = Place(
            price_kwh=0.25, currency="€", hours=Hours(sleep=0, idle=0, everyday=0, full=24)
        )
        found = _of("cost", _load(v12=500), place=place)
        self.assertAlmostEqual(found.load or 0, 4760.87, places=1)
        self.assertAlmostEqual(found.more["price"], 1190.22, places=1)
        unsaid = _of("cost", _load(v12=500), supply=supply(grade=None), place=place)
        self.assertEqual(unsaid.status, "pass")  # by the lowest grade: 500 ÷ 0.85 × 8.76
        self.assertAlmostEqual(unsaid.load or 0, 5152.9, places=1)


class HoldUp(unittest.TestCase):
    def test_by_design_and_load(self) -> None:
        """17 ms to 80 % load; at full 16, of a 3.1 12; its own figure wins."""
        for design, load, transfer, status in (
            ("3.1", 700, 17, "pass"),
            ("3.1", 700, 17.1, "fail"),
            ("3.1", 900, 12, "pass"),
            ("3.1", 900, 12.1, "fail"),
            ("3.0", 900, 16, "pass"),
            ("classic", 900, 16.1, "fail"),
        ):
            found = _of(
                "hold-up",
                _load(v12=load),
                supply=supply(design=design, v12_a=83),
                place=Place(ups_transfer_ms=transfer),
            )
            self.assertEqual(found.status, status, (design, load, transfer))
        own, place = supply(hold_up_ms=20), Place(ups_transfer_ms=20)
        self.assertEqual(_of("hold-up", _load(v12=900), supply=own, place=place).status, "pass")

    def test_without_a_ups_or_a_design(self) -> None:
        self.assertEqual(_of("hold-up", _load(v12=100)).status, "pass")
        for load, transfer, status in ((700, 17, "pass"), (900, 12, "pass"), (900, 12.1, "fail")):
            blank = supply(design=None, v12_a=83)  # the shortest of any design
            place = Place(ups_transfer_ms=transfer)
            found = _of("hold-up", _load(v12=load), supply=blank, place=place)
            self.assertEqual(found.status, status, (load, transfer))


class Lives(unittest.TestCase):
    def test_regulation(self) -> None:
        """Old: over half on 5 V; new: over four fifths on 12 V."""
        for regulation, v12, v5, status in (
            ("independent", 49, 51, "warn"),
            ("independent", 51, 49, "pass"),
            ("group", 79, 21, "pass"),
            ("group", 81, 19, "warn"),
            ("group", 40, 60, "pass"),
            (None, 50, 50, "pass"),
            (None, 49, 51, "warn"),
            (None, 81, 19, "warn"),
        ):
            own = supply(regulation=regulation, design=None, v12_a=60)  # 720 W of its 1000
            found = _of("regulation", _load(v12, v5), supply=own)
            self.assertEqual(found.status, status, (regulation, v12))

    def test_quiet(self) -> None:
        """Its fan stands to 30 %; over half its rating it is loud."""
        for watts, status in ((300, "pass"), (301, "pass"), (500, "pass"), (501, "warn")):
            self.assertEqual(_of("quiet", _load(v12=watts)).status, status, watts)
        stands = _of("quiet", _load(v12=600), supply=supply(fan_off_share=0.6))
        self.assertEqual(stands.status, "pass")
        for watts, status in ((500, "pass"), (501, "warn")):
            unsaid = _of("quiet", _load(v12=watts), supply=supply(fan_off_share=None))
            self.assertEqual(unsaid.status, status)

    def test_age(self) -> None:
        for now, status in ((2032, "pass"), (2033, "warn"), (None, "not checked")):
            self.assertEqual(_of("age", _load(v12=10), year=now).status, status)
        self.assertEqual(_of("age", _load(v12=10), supply=supply(made=None)).status, "pass")

    def test_figures_that_are_missing_are_one_thing_to_find_out(self) -> None:
        blank = supply(grade=None, regulation=None, fan_off_share=None, rated_w=None)
        found = compact(analyse(build(_load(v12=100), supply=blank), 2026))
        lacking = [m for m in told(found) if m.id == "supply.unknown"]
        self.assertEqual(len(lacking), 1)
        self.assertEqual(
            lacking[0].fix,
            "Find out its ports and cables and its rating, and enter it on the Supply page.",
        )


def _way(area: Area, length_mm: float) -> Route:
    return Route(area=area, length_mm=length_mm)


class NeverFineByOmission(unittest.TestCase):
    def test_a_missing_figure_of_a_part_is_no_pass(self) -> None:
        blank = Other(key="b", name="Blank", sockets=(Socket(key="power", kind="per4"),))
        checks = analyse(
            build(
                _load(v12=50, v5=40),
                card(board_power_w=None),
                blank,
                place=Place(ups_transfer_ms=5),
            ),
            2026,
        ).supply.checks  # type: ignore[union-attr]
        for id in ("regulation", "share", "quiet", "efficiency", "cost", "mains", "hold-up"):
            found = next(c for c in checks if c.id == id)
            self.assertEqual((id, found.status), (id, "unknown"))

    def test_what_is_too_much_already_fails_whatever_is_missing(self) -> None:
        place = Place(breaker_a=1)
        found = _of("mains", _load(v12=500), card(board_power_w=None), place=place)
        self.assertEqual(found.status, "fail")

    def test_a_check_that_breaks_down_is_told(self) -> None:
        broken = tuple(
            replace(c, find=lambda *_: 1 / 0) if c.id == "quiet" else c
            for c in checks_module.SUPPLY_CHECKS
        )
        with patch.object(checks_module, "SUPPLY_CHECKS", broken):
            found = told(compact(analyse(build(_load(v12=100)), 2026)))
        self.assertTrue(any("broke down" in m.text for m in found))

    def test_what_lacks_its_rating_says_so(self) -> None:
        for id in ("efficiency", "cost", "mains"):
            found = _of(id, _load(v12=100), supply=supply(rated_w=None))
            self.assertEqual(found.missing, ("rated_w",))

    def test_a_4_pin_plug_that_may_go_into_8_pins_has_to_reach(self) -> None:
        four = processor_cable(plugs=(Plug(key="a", kind="eps4", at_mm=300),))
        case = Case(name="C", routes=(_way("main plug", 400), _way("processor", 400)))
        own = board(eps4_in_eps8=True)
        found = _of("reach", own, case=case, cables=(board_cable(), four))
        self.assertEqual((found.status, found.limit), ("fail", 300))


class Room(unittest.TestCase):
    def _case(self, **more: Any) -> Case:
        fields: dict[str, Any] = {
            "name": "Case",
            "supply_forms": ("ATX",),
            "brackets": ("SFX",),
            "supply_length_mm": 185,
            "routes": (_way("main plug", 560), _way("processor", 400)),
        }
        return Case(**(fields | more))

    def test_form(self) -> None:
        for form, status in (("ATX", "pass"), ("SFX", "warn"), ("TFX", "fail"), (None, "unknown")):
            found = _of("form", _load(v12=9), case=self._case(), supply=supply(form=form))
            self.assertEqual(found.status, status, form)
        self.assertEqual(_of("form", _load(v12=9)).status, "not checked")
        blank = self._case(supply_forms=())
        self.assertEqual(_of("form", _load(v12=9), case=blank).status, "unknown")

    def test_length_with_its_plugs(self) -> None:
        """160 mm and 25 mm of plugs in 185 mm; fixed cables take no room of theirs."""
        for length, modular, status in (
            (160, "fully", "pass"),
            (161, "fully", "fail"),
            (185, "not", "pass"),
            (186, "not", "fail"),
            (None, "fully", "unknown"),
        ):
            own = supply(length_mm=length, modular=modular)
            self.assertEqual(
                _of("length", _load(v12=9), case=self._case(), supply=own).status, status
            )

    def test_reach_by_the_route(self) -> None:
        """560 mm and 40 mm of slack: the 600 mm plug reaches, from 561 mm on it does not."""
        box = (board_cable(), processor_cable())
        for way, status in ((560, "pass"), (561, "fail")):
            routes = (
                Route(area="main plug", length_mm=way),
                Route(area="processor", length_mm=400),
            )
            found = _of("reach", board(), case=self._case(routes=routes), cables=box)
            self.assertEqual(found.status, status)
        # The processor's plug hangs at 700 mm; the usual way to it is 430, in a large case up to
        # 620, with slack 660 mm.
        blank = self._case(routes=(Route(area="main plug", length_mm=400),))
        self.assertEqual(_of("reach", board(), case=blank, cables=box).status, "pass")
        short = processor_cable(plugs=(Plug(key="a", kind="eps4+4", at_mm=650),))
        found = _of("reach", board(), case=blank, cables=(board_cable(), short))
        self.assertEqual((found.status, found.load, found.limit), ("warn", 660, 650))


class Leads(unittest.TestCase):
    def _count(self, b: Build, **more: Any) -> dict[str, tuple[int, int]]:
        wired = Wired(b)
        needed = [wired.inputs[r] for r in sorted(wired.needed)]
        assert b.supply is not None
        found, _ = leads(b.supply, b.cables, needed, **({"one_each": False} | more))
        return {c.kind: (c.there, c.needed) for c in found}

    def test_one_card_lead_short(self) -> None:
        three = card(320, "pcie8 pcie8 pcie8")
        box = (board_cable(), processor_cable(), graphics_cable("g1"))
        b = build(board(), three, cables=box)
        self.assertEqual(self._count(b)["card"], (2, 3))
        text = next(m.text for m in told(compact(analyse(b))) if m.id == "supply.ports")
        self.assertIn("one card lead short, 2 of 3", text)

    def test_a_port_for_each_cable(self) -> None:
        """Four chains in the box and three ports: six plugs; by *never* three."""
        box = tuple(graphics_cable(f"g{n}") for n in range(4))
        b = build(card(), cables=box)
        self.assertEqual(self._count(b)["card"], (6, 2))
        self.assertEqual(self._count(b, one_each=True)["card"], (3, 2))
        ports = (Port(key="p", label="P", kind="processor-graphics"),)
        shared = build(card(), cables=box, supply=supply(ports=ports, groups=()))
        self.assertEqual(self._count(shared)["card"], (2, 2))

    def test_an_adapter_of_the_build_counts(self) -> None:
        """One 16-pin socket and no such lead: an adapter of two 8-pin takes both plugs of the one
        graphics cable; one of three would still be one short."""
        for inputs, status, words in (
            ("ab", "pass", "enough of each kind with 16-pin adapter of this build"),
            ("abc", "fail", "one 16-pin lead short, 0 of 1"),
        ):
            leads_of_it = tuple(Lead(key=key, kind="pcie8") for key in inputs)
            plug = Plug(key="x", kind="16pin", at_mm=200, grade="high")
            codes = (CodeAt(leads=len(inputs), watts=300),)
            adapter = Adapter(
                key="a", name="16-pin adapter", leads=leads_of_it, plugs=(plug,), codes=codes
            )
            box = (board_cable(), processor_cable(), graphics_cable("g1"))
            b = build(board(), card(300, "16pin"), cables=box, adapters=(adapter,))
            check = next(c for c in analyse(b).supply.checks if c.id == "ports")
            self.assertEqual(check.status, status)
            self.assertIn(words, living_words(check) or "")

    def test_another_family_counts_for_nothing(self) -> None:
        b = build(card(), cables=(graphics_cable(family="Other B"),))
        self.assertEqual(self._count(b)["card"], (0, 2))

    def test_a_4_pin_plug_is_none_for_8_pins_and_4_and_4_are_two(self) -> None:
        four = processor_cable(plugs=(Plug(key="a", kind="eps4", at_mm=500),))
        b = build(board(), cables=(board_cable(), four))
        self.assertEqual(self._count(b)["8-pin processor"], (0, 1))
        sockets = tuple(Socket(key=k, kind="eps4") for k in ("a", "b"))
        split = build(board(sockets=(board().sockets[0], *sockets)), cables=(processor_cable(),))
        self.assertEqual(self._count(split)["processor"], (2, 2))

    def test_drives_and_the_16_pin(self) -> None:
        b = build(disk(5), card(320, "16pin"), cables=(sata_cable(plugs=4), sixteen_cable()))
        self.assertEqual(self._count(b), {"16-pin": (1, 1), "SATA": (4, 5)})

    def test_house_rule_never_counts_one_a_cable(self) -> None:
        b = build(card(), cables=(graphics_cable(),), house_rules=rules(chained_graphics="never"))
        self.assertEqual(_check(analyse(b), "ports").status, "fail")
        self.assertEqual(
            _check(analyse(build(card(), cables=(graphics_cable(),))), "ports").status, "pass"
        )

    def test_an_empty_box_is_not_known(self) -> None:
        self.assertEqual(_of("ports", card()).missing, ("ports",))
        fixed = Supply(name="Old", family="Test A", rated_w=300)
        cable = graphics_cable(needs=())
        self.assertEqual(_of("ports", card(), supply=fixed, cables=(cable,)).status, "pass")
