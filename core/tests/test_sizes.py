"""The sizes beside the needed one, what raised limits add, spikes by the standard's worst."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.advice.sizes import added, steps
from easy_tally.analysis import analyse
from easy_tally.publishing import Compact, compact, sizes_answer
from easy_tally.things.labels import label_problems
from easy_tally.things.parts import Other

from .helpers import board, build, card, exact, rules, supply, told


class Steps(unittest.TestCase):
    def test_a_size_down_and_a_size_up(self) -> None:
        """25 + 320 = 345 W, a fifth on top 414: 450 W; 400 W is 14 W short and too small by its
        spikes as well."""
        a = analyse(build(board(), card(spike_factors=(1, 1, 1, 1))))
        found = {s.at: s for s in steps(a)}
        self.assertEqual([s.rated_w for s in found.values()], [400, 450, 500])
        self.assertEqual([(r, round(w)) for r, w in found["below"].short], [("sum", 14)])
        self.assertEqual(found["needed"].short, ())
        self.assertAlmostEqual(found["needed"].full, 345 / 450)
        words = {s.at: s.text for s in sizes_answer(a).sizes}
        self.assertIn("too small: 14 W short of full load + 20 %", words["below"])
        self.assertTrue(words["needed"].startswith("every rule is met"))
        self.assertIn("nothing more passes", words["above"])

    def test_the_smallest_and_the_largest_have_one_neighbour(self) -> None:
        few = analyse(build(board()))
        self.assertEqual([s.rated_w for s in steps(few)], [300, 350])
        many = analyse(build(board(), card(power=1600, count=1)))
        self.assertEqual([s.rated_w for s in steps(many)][-1:], [many.sizing.pick_w or 2000])

    def test_nothing_is_said_of_what_is_not_known(self) -> None:
        self.assertEqual(steps(analyse(build(board(), card(board_power_w=None)))), ())


class Raised(unittest.TestCase):
    def test_what_a_raised_limit_adds_to_each_rule(self) -> None:
        """320 W raised by a tenth: 32 W more, 38.4 W with a fifth; the maker's floor 32 W."""
        tuned = card(power_limit=1.1, system_floor_w=exact(600))
        found = {x.rule: x.watts for x in added(analyse(build(board(), tuned)))}
        self.assertAlmostEqual(found["sum"], 38.4)
        self.assertAlmostEqual(found["short"], 32)
        self.assertAlmostEqual(found["floor"], 32)
        self.assertEqual(added(analyse(build(board(), card(power_limit=0.9)))), ())


class Worst(unittest.TestCase):
    def test_usual_beside_the_standards_worst(self) -> None:
        """25 + 300 W: usual 25 + 600 = 625 W at 0.1 ms, by the standard's worst 25 + 900 = 925."""
        found = compact(analyse(build(board(), card(power=300, sockets="16pin"))))
        assert found.supply is not None
        ride = found.supply.rides[0]
        self.assertAlmostEqual(ride.watts.likely, 625)
        self.assertAlmostEqual(ride.worst.likely if ride.worst else 0, 925)
        self.assertEqual((ride.rides, ride.holds, ride.worst_holds), (2000, True, True))
        small = build(board(), card(power=300, sockets="16pin"), supply=supply(rated_w=450))
        tight = compact(analyse(small)).supply
        assert tight is not None
        self.assertEqual((tight.rides[0].holds, tight.rides[0].worst_holds), (True, False))

    def test_none_where_no_card_may_be_worse(self) -> None:
        found = compact(analyse(build(board(), card())))
        self.assertTrue(found.supply and all(r.worst is None for r in found.supply.rides))


class Labels(unittest.TestCase):
    def test_rails_against_the_rating(self) -> None:
        self.assertEqual(label_problems(supply()), [])
        fields = [p[0] for p in label_problems(supply(rated_w=450))]
        self.assertEqual(fields, ["v12_a"])
        self.assertEqual([p[0] for p in label_problems(supply(rated_w=2000))], ["rated_w"])
        found = compact(analyse(build(board(), supply=supply(rated_w=450))))
        said = [m.text for m in told(found) if m.id == "supply.contradiction"]
        text = "Its label contradicts itself: 12 V: at most 450 W ÷ 12 V = 37.5 A, got 80 A."
        self.assertEqual(said, [text])


class LittleShort(unittest.TestCase):
    """850 W and 20 % are 1,020 W; people take 1,000 W: 150 ÷ 850 = 17.6 %, 18 % in whole percents
    rounded up, is nine tenths of 20 %."""

    def _of(self, watts: float, **house: Any) -> Compact:
        own = supply(rated_w=1000, v12_a=83, design="3.1")
        load = Other(key="o", name="O", v12_w=exact(watts))
        return compact(analyse(build(load, supply=own, house_rules=rules(**house)), 2026))

    def test_by_whole_percents(self) -> None:
        for watts, verdict in (
            (833, "right size"),
            (850, "a little short"),
            (854, "a little short"),
        ):
            found = self._of(watts).supply
            self.assertEqual(found and found.verdict, verdict, watts)
        # 1000 ÷ 855 − 1 = 16.96 %: 17 % is less than nine tenths.
        found = self._of(855).supply
        self.assertEqual(found and found.verdict, "too small")

    def test_it_is_told_and_no_fault(self) -> None:
        found = self._of(850)
        check = next(c for c in found.supply.checks if c.id == "watts") if found.supply else None
        self.assertEqual(
            check and (check.status, check.text),
            ("warn", "a little short: 18 % headroom; the rules ask for 1,020 W"),
        )
        self.assertNotIn("supply.watts", [m.id for m in found.mend])

    def test_it_is_a_position_of_the_house_rule(self) -> None:
        found = self._of(850, little_short="not enough").supply
        self.assertEqual(found and found.verdict, "too small")

    def test_other_rules_are_not_eased(self) -> None:
        """A card whose maker asks for 1,010 W: 1,000 W is too small, however little."""
        of = card(600, system_floor_w=exact(1010))
        own = supply(rated_w=1000, v12_a=83, design="3.1")
        found = compact(analyse(build(of, supply=own), 2026)).supply
        self.assertEqual(found and found.verdict, "too small")
