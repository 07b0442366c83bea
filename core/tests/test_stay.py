"""Can it stay: what is offered is what passes, and one watt more does not."""

from __future__ import annotations

import unittest

from easy_tally.advice import effects, ways_to_stay
from easy_tally.advice.stay import _does
from easy_tally.analysis import analyse
from easy_tally.editing import ChangeBuild, ChangePart
from easy_tally.mapping import InStock
from easy_tally.publishing import effect_words
from easy_tally.things.build import Build

from .helpers import (
    apply,
    board,
    board_cable,
    build,
    card,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    rules,
    run,
    supply,
)


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
        for rated in (420, 455, 470.5, 497):
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
        b = build(
            board(),
            card(400, system_floor_w=None),
            supply=supply(rated_w=300),
            house_rules=rules(headroom=0),
        )
        self.assertEqual([w.id for w in ways_to_stay(analyse(b)) if w.id == "headroom"], [])


class Positions(unittest.TestCase):
    """What each position would make of the build, before it is chosen."""

    def test_the_rules_and_the_supply_under_each(self) -> None:
        """345 W: the spikes ask for 443.3 W, the sum for 414 W; of 420 W only the latter does."""
        b = build(board(), card(320), supply=supply(rated_w=420))
        found = {(e.rule, e.value): e for e in effects(analyse(b))}
        ride, trust = found["spikes", "ride through"], found["spikes", "trust headroom"]
        self.assertAlmostEqual(ride.needed_w or 0, 443.33, places=1)
        self.assertAlmostEqual(trust.needed_w or 0, 414, places=3)
        self.assertEqual((ride.verdict, trust.verdict), ("too small", "right size"))

    def test_a_floor_and_a_fifth(self) -> None:
        b = build(board(), card(320, system_floor_w=exact(600)), supply=supply(rated_w=700))
        found = {e.value: e for e in effects(analyse(b)) if e.rule == "maker_floor"}
        picks = [found[v].pick_w for v in ("keep", "keep and add a fifth", "ignore")]
        self.assertEqual(picks[:2], [600, 750])
        self.assertLess(picks[2] or 0, 600)

    def test_runs_that_a_rule_refuses(self) -> None:
        """210 W on two plugs of one chained cable: 5.83 A a pin may be, 150 W a cable may not."""
        b = build(
            card(260),
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
        )
        found = [e for e in effects(analyse(b)) if e.rule == "chained_graphics"]
        want = [("never", 1), ("by plug", 1), ("as delivered", 0), ("by pins", 0)]
        self.assertEqual([(e.value, e.bad_runs) for e in found], want)
        told = effect_words(analyse(b), found[0])
        self.assertEqual(told, "On this build: 1 run over or refused.")

    def test_spikes_are_a_warning_where_headroom_is_trusted(self) -> None:
        b = build(
            board(),
            card(320),
            supply=supply(rated_w=420),
            house_rules=rules(spikes="trust headroom"),
        )
        supplied = analyse(b).supply
        assert supplied is not None
        self.assertEqual([c.status for c in supplied.checks if c.id == "spikes"], ["warn"])


class Cables(unittest.TestCase):
    def test_one_more_cable_of_its_family(self) -> None:
        """Two 8-pin sockets, one lead: a graphics cable of the family does, one of another not."""
        cables = (board_cable(), processor_cable(), graphics_cable("g1", count=1))
        b = build(board(), processor(), card(), cables=cables)
        other = graphics_cable("g2", count=1, family="Other")
        own = graphics_cable("g3", count=1, name="One more")
        stock = [InStock(thing=t, owned=True) for t in (other, own)]
        ways = ways_to_stay(analyse(b), stock)
        self.assertEqual([(w.id, w.name) for w in ways], [("cable", "One more")])
        self.assertEqual(ways_to_stay(analyse(b), stock[:1]), ())
        then = analyse(apply(b, ways[0].edit))
        self.assertNotIn("fail", [c.status for c in then.supply.checks])  # type: ignore[union-attr]
