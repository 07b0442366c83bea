"""What the solver says of small builds against every map that there is: goal by goal, what is left,
reason by reason, repair by repair. `make prove` takes as many seeds as one has time for."""

from __future__ import annotations

import unittest
from itertools import islice

from easy_tally.advice import map_goals
from easy_tally.analysis import analyse
from easy_tally.editing import TakeMap
from easy_tally.mapping import InStock, Mapping, Wish, moved, solve, why_not
from easy_tally.things.build import Build
from easy_tally.things.cables import RailPins

from .exhaustive import (
    Asked,
    Laid,
    TooMany,
    best,
    best_part,
    fewest_moves,
    legal,
    values,
    wrong_with,
)
from .helpers import graphics_cable, map_said, processor_cable, sata_cable, sixteen_cable
from .machines import seeds
from .small import extension, made_up, splitter
from .test_between import adapter

#: Maps that are looked at for one answer.
_MOST = 300


def _stock() -> tuple[InStock, ...]:
    """What lies in the drawer: what mends some builds, and what may never be used in others."""
    drive, graphics = RailPins(v12=1, v5=1, v3v3=1, ground=2), RailPins(v12=3, ground=3)
    things = (
        graphics_cable("spare-g", count=2),
        sata_cable("spare-s", plugs=3),
        processor_cable("spare-c"),
        sixteen_cable(key="spare-h"),
        splitter("sata", "sata", (300, 700, 700), drive, 22),
        splitter("pcie8", "pcie6+2", (150, 150), graphics, 20),
        extension("pcie6+2", graphics, 18),
        adapter(2, connections=()),
    )
    return tuple(InStock(thing=t, owned=True) for t in things)


class AgainstExhaustiveSearch(unittest.TestCase):
    def test_the_same_goal_by_goal_and_reason_by_reason(self) -> None:
        seen = reasons = 0
        for seed in seeds(14):
            with self.subTest(seed=seed):
                b = made_up(seed)
                try:
                    want = best(b, _MOST)
                except TooMany:
                    continue
                found = solve(b)
                self.assertEqual(values(found), want)
                seen += 1
                if found is not None:
                    self.assertTrue(found.proven)
                    self._passes(b, found)
                else:
                    reasons += self._none(b)
        self.assertGreater(seen, 7)
        self.assertGreater(reasons, 1)

    def _none(self, b: Build) -> bool:
        """What is said where there is no whole map; whether its reason could be looked at."""
        for way in map_said(b, stock=_stock()).repairs:
            a = analyse(TakeMap.model_validate(way.edit).apply(b))
            self.assertEqual([r for r in a.needed if r not in a.wired.live], [], way.text)
            self.assertNotIn("over", [r.verdict for r in a.runs], way.text)
        part = solve(b, Wish(partial=True))
        try:
            want = best_part(b, _MOST)
            self.assertEqual(values(part), want)
        except TooMany:
            pass
        if part is not None:
            self._passes(b, part)
        try:
            self.assertEqual(wrong_with(b, why_not(b), _MOST), "")
        except TooMany:
            return False
        return True

    def test_no_needless_move(self) -> None:
        """Of the maps that are best in all else the solver's is one that moves the least, from a
        map that is there and legal."""
        seen = moving = 0
        for seed in seeds(40):
            with self.subTest(seed=seed):
                b = made_up(seed)
                if any(r.pinned for r in b.runs):
                    continue
                several = _some_legal(b)
                if not several:
                    continue
                there = several[seed % len(several)].build
                try:
                    want = fewest_moves(there, 6 * _MOST)
                except TooMany:
                    continue
                found = solve(there)
                assert found is not None
                moves = next(g for g in found.goals if g.id == "moves")
                self.assertEqual((moves.value, moves.proven), (want, True))
                self.assertEqual(moved(there, found.runs), want)
                seen += 1
                moving += want > 0
        self.assertGreater(seen, 5)
        self.assertGreater(moving, 1)

    def _passes(self, b: Build, found: Mapping) -> None:
        """The checker finds nothing over, and counts the goals alike."""
        a = analyse(TakeMap(runs=found.runs, between=found.between).apply(b))
        self.assertEqual([r.wired.cable.key for r in a.runs if r.verdict == "over"], [])
        counted = map_goals(a) | {"moves": moved(b, found.runs)}
        self.assertEqual(
            {g.id: g.value for g in found.goals}, {g.id: counted[g.id] for g in found.goals}
        )


def _some_legal(b: Build) -> list[Laid]:
    """A few legal maps; none where there are too many to look at."""
    try:
        return list(islice(legal(b, Asked(most=_MOST)), 20))
    except TooMany:
        return []
