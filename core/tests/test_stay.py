"""Can it stay: what is offered is what passes, and one watt more does not."""

from __future__ import annotations

import unittest

from easy_tally.editing import ChangeBuild, ChangePart
from easy_tally.findings import analyse, ways_to_stay
from easy_tally.findings.stay import _does
from easy_tally.things.build import Build

from .helpers import board, build, card, rules, supply


def _build(rated_w: float, power: float = 400, **more: float) -> Build:
    """25 W of the board and the card's own."""
    return build(board(), card(power), supply=supply(rated_w=rated_w, **more))


class PowerLimit(unittest.TestCase):
    def test_the_highest_whole_watt(self) -> None:
        """480 W ÷ 1.2 = 400 W, less 25 W of the board: 375 W."""
        ways = ways_to_stay(analyse(_build(480)))
        limit = next(w for w in ways if w.id == "power-limit")
        self.assertEqual((limit.watts, limit.part), (375, "card"))

    def test_one_watt_more_does_not_do(self) -> None:
        for rated in (420, 455, 470.5, 509):
            b = _build(rated)
            limit = next(w for w in ways_to_stay(analyse(b)) if w.id == "power-limit")
            self.assertTrue(_does(analyse(limit.edit.apply(b))))
            more = ChangePart(part="card", changes={"power_limit": (limit.watts + 1) / 400})
            self.assertFalse(_does(analyse(more.apply(b))), rated)

    def test_none_where_it_does_or_nothing_helps(self) -> None:
        self.assertEqual(ways_to_stay(analyse(_build(510))), ())
        self.assertEqual(ways_to_stay(analyse(_build(100))), ())
        self.assertEqual(ways_to_stay(analyse(build(board(), card(), supply=None))), ())

    def test_a_limit_that_is_set_already_is_gone_on_from(self) -> None:
        """Up to 450 W it rides through 1.5 times its rating: 675 W, less 25 W, by half: 325 W."""
        b = build(board(), card(400, power_limit=0.95), supply=supply(rated_w=450))
        limit = next(w for w in ways_to_stay(analyse(b)) if w.id == "power-limit")
        self.assertEqual(limit.watts, 325)


class Headroom(unittest.TestCase):
    def test_the_largest_whole_percent(self) -> None:
        """425 W and 12 % are 476 W, 13 % are 480.25 W, of 480 W."""
        b = _build(480)
        way = next(w for w in ways_to_stay(analyse(b)) if w.id == "headroom")
        self.assertAlmostEqual(way.share, 0.12)
        self.assertTrue(_does(analyse(way.edit.apply(b))))
        more = ChangeBuild(house_rules={"headroom": 0.13})
        self.assertFalse(_does(analyse(more.apply(b))))

    def test_not_where_another_rule_governs(self) -> None:
        b = build(board(), card(400, system_floor_w=None), supply=supply(rated_w=300),
                  house_rules=rules(headroom=0))  # fmt: skip
        self.assertEqual([w.id for w in ways_to_stay(analyse(b)) if w.id == "headroom"], [])
