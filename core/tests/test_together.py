"""Several shortages at once: why each socket is left, in figures, and what mends them together."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.advice import map_it
from easy_tally.analysis import analyse
from easy_tally.editing import TakeMap
from easy_tally.mapping import InStock, Repair, Wish, repairs, solve
from easy_tally.publishing import MapAnswer, map_answer
from easy_tally.things.build import Build

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    graphics_cable,
    processor_cable,
    sata_cable,
    supply,
)
from .test_between import adapter


def _sold(thing: Any, price: float | None = None) -> InStock:
    return InStock(thing=thing, owned=False, price=price)


def _mine(thing: Any, free: int = 1) -> InStock:
    return InStock(thing=thing, owned=True, free=free)


def _mended(b: Build, *stock: InStock) -> list[Repair]:
    """Repairs, each with a whole map by the checker too."""
    partial = solve(b, Wish(partial=True))
    assert partial is not None
    several = list(repairs(b, partial.unfed, stock))
    for r in several:
        laid = TakeMap(runs=r.found.runs, between=r.found.between, added=r.added).apply(b)
        a = analyse(laid)
        assert all(ref in a.wired.live for ref in a.needed), r.steps
        assert not any(run.verdict == "over" for run in a.runs), r.steps
    return several


def _steps(several: list[Repair]) -> list[list[tuple[str, int]]]:
    return [sorted((s.name or s.id, s.count) for s in r.steps) for r in several]


class Together(unittest.TestCase):
    def test_a_cable_and_an_adapter(self) -> None:
        """A card that draws 240 W by a 16-pin socket, and one graphics cable: an adapter of two
        leads asks for another cable."""
        b = build(
            board(),
            card(290, "16pin"),
            cables=(board_cable(), processor_cable(), graphics_cable("one", 1)),
        )
        lead = adapter(2, connections=())
        more = graphics_cable("more", 1)
        self.assertEqual(_mended(b, _mine(more)), [])
        self.assertEqual(_mended(b, _sold(lead)), [])
        both = _mended(b, _mine(more), _sold(lead, 9.0))
        self.assertEqual(_steps(both), [[("Adapter", 1), ("More", 1)]])
        self.assertEqual((both[0].id, both[0].cost), ("together", 9.0))

    def test_two_shortages_and_the_cheapest_first(self) -> None:
        """No processor cable, and a plug too few for five disks: of two kinds of drive cables the
        one that is owned before the one that costs."""
        b = build(board(), disk(5), cables=(board_cable(), sata_cable("s")))
        stock = (
            _sold(sata_cable("dear", 2), 8.0),
            _mine(sata_cable("own", 3)),
            _sold(processor_cable("cpu"), 5.0),
        )
        several = _mended(b, *stock)
        self.assertEqual(_steps(several), [[("cpu", 1), ("own", 1)], [("cpu", 1), ("dear", 1)]])
        self.assertEqual([r.cost for r in several], [5.0, 13.0])

    def test_three_shortages(self) -> None:
        b = build(board(), card(200, "pcie8"), disk(1), cables=(board_cable(),))
        stock = (
            _mine(sata_cable("own")),
            _mine(processor_cable("cpu")),
            _mine(graphics_cable("g", 1)),
        )
        self.assertEqual(_steps(_mended(b, *stock)), [[("G", 1), ("cpu", 1), ("own", 1)]])

    def test_a_limit_and_a_cable(self) -> None:
        """No drive cable; and a card of 320 W on one chained cable, held to 200 W: 150 W by it."""
        b = build(
            board(),
            card(320),
            disk(1),
            cables=(board_cable(), processor_cable(), graphics_cable("chain")),
        )
        several = _mended(b, _mine(sata_cable("own")))
        held = next(r for r in several if any(s.watts for s in r.steps))
        self.assertEqual(
            [(s.id, s.watts) for s in held.steps], [("cable", 0), ("power-limit", 200)]
        )

    def test_two_cards_of_one_name_are_told_apart(self) -> None:
        """Two cards of 320 W on a chained cable each: the rule, and either of them held."""
        cables = (board_cable(), processor_cable(), graphics_cable("c1"), graphics_cable("c2"))
        b = build(board(), card(320), card(320, key="other"), cables=cables)
        held = [[*r.added.power_limits] for r in _mended(b)]
        self.assertIn(["card"], held)
        self.assertIn(["other"], held)

    def test_where_one_does_alone_none_is_put_together(self) -> None:
        b = build(board(), disk(5), cables=(board_cable(), processor_cable(), sata_cable("s")))
        several = _mended(b, _mine(sata_cable("own", 3)), _sold(adapter(2, connections=())))
        self.assertEqual([r.id for r in several], ["cable"])

    def test_in_words_and_as_one_edit(self) -> None:
        b = build(board(), disk(1), cables=(board_cable(),))
        answer = map_answer(map_it(b, stock=(_mine(processor_cable()), _mine(sata_cable()))))
        text = (
            "Add cpu, from your drawer, in a free port. Add sata, from your drawer, in a free port."
        )
        self.assertEqual([r.text for r in answer.repairs], [text])


class WhyEachIsLeft(unittest.TestCase):
    def _why(self, answer: MapAnswer) -> dict[tuple[str, ...], tuple[str, ...]]:
        return {left.sockets: left.why for left in answer.left}

    def test_of_each_by_itself(self) -> None:
        """No cable for the processor; five disks and four plugs."""
        b = build(board(), disk(5), cables=(board_cable(), sata_cable("s")))
        why = self._why(map_answer(map_it(b)))
        self.assertEqual(len(why), 2)
        self.assertEqual(
            why[("Board · cpu-1",)],
            (
                "1 socket has to be fed, 8-pin processor: Board.",
                "No cable in the box has a plug and a port for it.",
            ),
        )
        (disks,) = (w for sockets, w in why.items() if sockets[0].startswith("Disk"))
        self.assertIn("There is 1 cable like s, with 4 plugs (SATA power plug).", disks)

    def test_the_house_rule_in_figures(self) -> None:
        """Both sockets by one chained cable: 270 W where one plug's worth is 150 W, 180 %."""
        b = build(
            board(), card(320), cables=(board_cable(), processor_cable(), graphics_cable("chain"))
        )
        (said,) = map_answer(map_it(b)).left
        self.assertTrue(
            any("G1 Chain: 270 W of 150 W, 180 %" in words for words in said.why), said.why
        )

    def test_a_rating_in_figures(self) -> None:
        """Raised to 400 W a card takes 175 W by each of its two sockets: 117 % of 150 W."""
        cables = (board_cable(), processor_cable(), graphics_cable("a", 1), graphics_cable("b", 1))
        (said,) = map_answer(map_it(build(board(), card(400), cables=cables))).left
        figures = [words for words in said.why if "175 W of 150 W, 117 %" in words]
        self.assertEqual(len(figures), 1)

    def test_a_group_in_figures(self) -> None:
        """270 W are 22.5 A, of a group of 20 A 113 %."""
        of = supply(groups=(supply().groups[0].model_copy(update={"limit_a": 20.0}),))
        cables = (board_cable(), processor_cable(), graphics_cable("a", 1), graphics_cable("b", 1))
        b = build(board(), card(320), cables=cables, supply=of)
        (said,) = map_answer(map_it(b)).left
        self.assertTrue(any("Port group G: 22.50 A of 20.00 A, 113 %" in w for w in said.why))


if __name__ == "__main__":
    unittest.main()
