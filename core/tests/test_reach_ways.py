"""A map of which a plug does not reach, and what mends it: each way worked out and held against the
checker."""

from __future__ import annotations

import unittest

from easy_tally.advice import ways_to_reach
from easy_tally.analysis import analyse
from easy_tally.mapping import InStock
from easy_tally.publishing import compact, repair_answer
from easy_tally.things.adapters import Extension
from easy_tally.things.build import Build
from easy_tally.things.case import Case, Route

from .helpers import apply, board, board_cable, build, processor, processor_cable, run

LONG = Extension(key="ext", name="Long", kind="eps4+4", length_mm=250)


def _build(way_mm: float, *more: object, **fields: object) -> Build:
    """A processor cable of 700 mm, and a way of `way_mm` to it; 40 mm of slack are needed too."""
    routes = (Route(area="main plug", length_mm=400), Route(area="processor", length_mm=way_mm))
    case = Case(name="Case", routes=routes, size="mid")
    near = processor_cable()
    plug = near.plugs[0].model_copy(update={"at_mm": 700})
    cables = (board_cable(), near.model_copy(update={"plugs": (plug,)}), *more)
    runs = (run("board", "b1 b2", main="board#1/main"), run("cpu", "p1", a="board#1/cpu-1"))
    return build(board(), processor(), cables=cables, runs=runs, case=case, **fields)  # type: ignore[arg-type]


class Ways(unittest.TestCase):
    def _proven(self, b: Build, stock: tuple[InStock, ...]) -> list[tuple[str, int]]:
        a = analyse(b, 2026)
        ways = ways_to_reach(a, stock)
        for way in ways:
            then = compact(analyse(apply(b, repair_answer(b, way).edit), 2026))
            self.assertEqual([m.id for m in then.mend if m.id == "run.reach"], [])
            self.assertEqual(then.strip.sockets_fed, compact(a).strip.sockets_fed)
        return [(s.id, s.count) for w in ways for s in w.steps]

    def test_one_extension_or_two(self) -> None:
        """700 reaches 660; 950 reaches 910, and 1,200 reaches 1,160."""
        stock = (InStock(thing=LONG, owned=False),)
        for way_mm, ways in (
            (660, []),
            (661, [("extension", 1)]),
            (910, [("extension", 1)]),
            (911, [("extension", 2)]),
            (1160, [("extension", 2)]),
            (1161, [("extension", 3)]),
            (1500, []),
        ):
            self.assertEqual(self._proven(_build(way_mm), stock), ways, way_mm)

    def test_a_longer_cable_and_not_one_as_short(self) -> None:
        other = processor_cable("other")
        plug = other.plugs[0]
        for mm, ways in ((740, []), (760, [("cable", 1)])):
            cable = other.model_copy(update={"plugs": (plug.model_copy(update={"at_mm": mm}),)})
            found = self._proven(_build(720), (InStock(thing=cable, owned=True, free=1),))
            self.assertEqual(found, ways, mm)

    def test_another_way_round_by_a_cable_of_the_bag(self) -> None:
        longer = processor_cable("longer")
        plugs = (longer.plugs[0].model_copy(update={"at_mm": 900}),)
        b = _build(720, longer.model_copy(update={"plugs": plugs}))
        self.assertEqual(self._proven(b, ()), [("way round", 1)])

    def test_out_of_a_box(self) -> None:
        case = _build(720).case
        assert case is not None
        boxed = case.model_copy(update={"in_box": (LONG,)})
        b = _build(720).model_copy(update={"case": boxed})
        ways = ways_to_reach(analyse(b, 2026))
        self.assertEqual([(w.id, w.cost) for w in ways], [("extension", 0.0)])
        self.assertIn("out of a box", repair_answer(b, ways[0]).text)
