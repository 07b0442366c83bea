"""The checker on drive cables: chains, spin-up at once and staggered, power disable."""

from __future__ import annotations

import unittest

from easy_tally.analysis.analyse import analyse
from easy_tally.ratings.runs import RunResult
from easy_tally.things.build import Build
from easy_tally.things.cables import RailPins, SupplyEnd

from .helpers import build, disk, element_of, exact, run, run_of, sata_cable, warning_of, wide


class SataChains(unittest.TestCase):
    def _judged(self, disks: int, **more: object) -> RunResult:
        plugs = {f"p{i}": f"disk#{i}/power" for i in range(1, disks + 1)}
        cable = sata_cable(plugs=max(disks, 1), **more)
        return run_of(build(disk(disks), cables=(cable,), runs=(run("sata", "d1", **plugs),)))

    def test_spin_up_on_one_pin(self) -> None:
        """Four disks × 2 A = 8 A on one pin of 8 A (6 circuits), for seconds 12 A: 66.7 %."""
        e = element_of(self._judged(4), "supply-end pins")
        self.assertEqual((e.judged.state, e.judged.limit), ("start", 12.0))
        self.assertAlmostEqual(e.judged.load, 8)
        self.assertEqual(e.judged.verdict, "within")

    def test_above_the_continuous_limit_is_tight(self) -> None:
        """Five disks: 10 A, above 8 A for long, 83.3 % of 12 A for seconds."""
        self.assertEqual(element_of(self._judged(5), "supply-end pins").judged.verdict, "tight")

    def test_beyond_what_seconds_allow_is_over(self) -> None:
        """Seven disks: 14 A of 12 A."""
        self.assertEqual(element_of(self._judged(7), "supply-end pins").judged.verdict, "over")

    def test_profile_at_spin_up(self) -> None:
        """8, 6, 4, 2 A at 12 V."""
        steps = [s for s in self._judged(4).steps if s.line == "v12"]
        self.assertEqual([round(s.amps["start"], 9) for s in steps], [8, 6, 4, 2])

    def test_grant_of_a_rail_does_not_stretch_at_start(self) -> None:
        """A disk of 5 A at spin-up against 4.5 A: over."""
        b = build(
            disk(start_12v_a=exact(5)),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="disk#1/power"),),
        )
        self.assertEqual(element_of(run_of(b), "grant").judged.verdict, "over")

    def test_high_end_only_is_tight(self) -> None:
        b = build(
            disk(start_12v_a=wide(1, 2, 5)),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="disk#1/power"),),
        )
        e = element_of(run_of(b), "grant")
        self.assertEqual((e.judged.verdict, e.judged.only_at_high), ("tight", True))

    def test_ground_carries_both_rails(self) -> None:
        """Four disks at start: 8 A + 4 A = 12 A over two ground pins: 6 A."""
        self.assertAlmostEqual(
            element_of(self._judged(4), "supply-end pins", "ground").judged.loads[10], 6
        )

    def test_parked_plugs_carry_nothing(self) -> None:
        b = build(disk(1), cables=(sata_cable(),), runs=(run("sata", "d1", p3="disk#1/power"),))
        steps = [s for s in run_of(b).steps if s.line == "v12"]
        self.assertEqual([(s.from_mm, s.to_mm) for s in steps], [(0, 600)])


class Staggered(unittest.TestCase):
    """Four disks of 0.5 A running and 2 A at spin-up, one or two at a time."""

    def _build(self, at_once: int | None) -> Build:
        plugs = {f"p{i}": f"disk#{i}/power" for i in range(1, 5)}
        return build(
            disk(4),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", **plugs),),
            spin_up_at_once=at_once,
        )

    def _start(self, at_once: int | None) -> float:
        return element_of(run_of(self._build(at_once)), "supply-end pins").judged.loads[10]

    def test_chain_current(self) -> None:
        """All: 8 A; one at a time 3 × 0.5 + 2 = 3.5 A; two 2 × 0.5 + 2 × 2 = 5 A; nine: 8 A."""
        found = [self._start(n) for n in (None, 1, 2, 9)]
        for value, expected in zip(found, (8, 3.5, 5, 8), strict=True):
            self.assertAlmostEqual(value, expected)

    def test_of_equal_watts_the_one_with_more_at_12_v_whichever_is_plugged_in_first(self) -> None:
        """24 W each: 2 A at 12 V, or 1 A with 2.4 A at 5 V. Both run at 0.5 A, one starts: 3 A."""
        calm = {"run_12v_a": exact(0.5), "run_5v_a": exact(0.5)}
        first = disk(key="a", start_12v_a=exact(2.5), start_5v_a=exact(0.5), **calm)
        second = disk(key="b", start_12v_a=exact(1.5), start_5v_a=exact(2.9), **calm)
        for order in ("ab", "ba"):
            plugs = {f"p{i}": f"{key}#1/power" for i, key in enumerate(order, 1)}
            b = build(
                first,
                second,
                cables=(sata_cable(),),
                runs=(run("sata", "d1", **plugs),),
                spin_up_at_once=1,
            )
            found = element_of(run_of(b), "supply-end pins").judged.loads[10]
            self.assertAlmostEqual(found, 3.0)

    def test_each_stretch_by_itself(self) -> None:
        """Beyond each plug 4, 3, 2, 1 disks: 3.5, 3, 2.5, 2 A with one spinning up."""
        steps = [s for s in run_of(self._build(1)).steps if s.line == "v12"]
        for step, expected in zip(steps, (3.5, 3, 2.5, 2), strict=True):
            self.assertAlmostEqual(step.amps["start"], expected)

    def test_the_tally_counts_the_worst_moment(self) -> None:
        """12 V: 3 × 6 + 24 = 42 W; 5 V: 3 × 2.5 + 5 = 12.5 W. All at once 96 and 20 W."""
        for at_once, v12, v5 in ((1, 42, 12.5), (None, 96, 20)):
            tally = analyse(self._build(at_once)).tally
            self.assertAlmostEqual(tally.by_rail["v12"].at("start").likely, v12)
            self.assertAlmostEqual(tally.by_rail["v5"].at("start").likely, v5)

    def test_running_is_as_ever(self) -> None:
        for state in ("idle", "full"):
            found = [analyse(self._build(n)).tally.total.at(state).likely for n in (None, 1)]  # type: ignore[arg-type]
            self.assertAlmostEqual(*found)


class PowerDisable(unittest.TestCase):
    def _warning(self, disables: bool, v3v3: int) -> str:
        pins = RailPins(v12=1, v5=1, v3v3=v3v3, ground=2)
        cable = sata_cable(conductors=pins, supply_end=SupplyEnd(circuits=6, pins=pins))
        runs = (run("sata", "d1", p1="disk#1/power"),)
        b = build(disk(power_disable=disables), cables=(cable,), runs=runs)
        return warning_of(b)

    def test_a_drive_that_3_v_turns_off_warns(self) -> None:
        self.assertIn("Disk stays off", self._warning(True, 1))

    def test_not_without_3_v_and_not_without_the_feature(self) -> None:
        self.assertEqual((self._warning(True, 0), self._warning(False, 1)), ("", ""))
