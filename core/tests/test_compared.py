"""Builds side by side, and schools: by hand, and that an answer is none of chance."""

from __future__ import annotations

import unittest

from easy_tally.base.errors import EasyTallyError
from easy_tally.editing import AddPart, ChangePart, RemovePart
from easy_tally.files import compared_csv, compared_pdf
from easy_tally.question import Around, Before, ComparedAnswer, Patience, Side, compared
from easy_tally.question.schools import otherwise
from easy_tally.things import SCHOOLS, Build, HouseRules, School, settled

from .helpers import disk, supply
from .test_question import plugged


def side(name: str, b: Build, like: Build | None = None) -> Side:
    return Side(name=name, outcome=Before(like or b, Around(year=2026)).judged(b))


def cells(answer: ComparedAnswer, group: str, words: str) -> list[str]:
    line = next(x for x in answer.lines if (x.group, x.words) == (group, words))
    return [c.text for c in line.cells]


class SideBySide(unittest.TestCase):
    def setUp(self) -> None:
        self.was = plugged()
        held = ChangePart(part="card", changes={"power_limit": 0.5}).apply(self.was)
        self.then = settled(self.was, AddPart(part=disk(2, key="more")).apply(held), "2")

    def answer(self, *builds: Build) -> ComparedAnswer:
        return compared([side(f"No. {n}", b, self.was) for n, b in enumerate(builds, 1)])

    def test_figures_with_their_bounds_line_up(self) -> None:
        answer = self.answer(self.was, self.then)
        # 453.5 W; half of the card is 160 W less, two disks 17 W more: 310.5 W.
        self.assertEqual(cells(answer, "watts", "full"), ["≥ 454 W", "≥ 311 W"])
        self.assertEqual(
            cells(answer, "parts", "Card"), ["Card, 320 W", "Card, 320 W, held to 160 W"]
        )
        self.assertEqual(cells(answer, "leads", "Sockets fed"), ["5 of 5", "5 of 7"])
        self.assertEqual(cells(answer, "mend", "To mend")[1], "2")

    def test_what_is_the_same_is_in_one_row_and_what_came_has_its_own(self) -> None:
        answer = self.answer(self.was, self.then)
        rows = [x for x in answer.lines if x.group == "parts" and x.words == "Drive"]
        told = [[c.text for c in x.cells] for x in rows]
        self.assertEqual(told, [["—", "2 × Disk"], ["Disk", "Disk"]])
        self.assertEqual([x.differs for x in rows], [True, False])

    def test_in_each_group_what_differs_is_first(self) -> None:
        answer = self.answer(self.was, self.then)
        for group, _ in answer.groups:
            differs = [x.differs for x in answer.lines if x.group == group]
            self.assertEqual(differs, sorted(differs, reverse=True), group)

    def test_a_build_beside_itself_differs_in_nothing(self) -> None:
        self.assertFalse(any(x.differs for x in self.answer(self.was, self.was).lines))

    def test_what_comes_out_counts_from_how_the_machine_stands(self) -> None:
        less = RemovePart(part="disk", release=True).apply(self.was)
        answer = self.answer(self.was, less)
        # The plug leaves the disk; its cable stays in its port.
        moved = cells(answer, "work", "Plugs and port ends that move")
        self.assertEqual(moved, ["0", "1"])
        self.assertEqual(answer.sides[1].price.moves, 1)

    def test_as_text_and_on_paper(self) -> None:
        answer = self.answer(self.was, self.then)
        rows = compared_csv.write(answer).splitlines()
        self.assertEqual(rows[0], "of,what,differs,No. 1,No. 2")
        self.assertIn("Watts,full,yes,≥ 454 W,≥ 311 W", rows)
        self.assertTrue(compared_pdf.pages_of(answer).startswith(b"%PDF"))


class Schools(unittest.TestCase):
    def test_each_that_ships_sets_what_it_says_and_leaves_the_rest(self) -> None:
        rules = HouseRules(supply_fan="up", headroom=0.07)
        for school in SCHOOLS:
            then = school.of(rules)
            self.assertEqual(then.supply_fan, "up")
            self.assertTrue(school.text and school.risk)
            for rule, position in school.positions.items():
                self.assertEqual(getattr(then, rule), position)
        self.assertEqual(len({s.id for s in SCHOOLS}), 4)

    def test_positions_that_are_none_are_refused(self) -> None:
        for positions in ({"headroom": 9}, {"no_rule": "x"}, {}):
            with self.assertRaises((EasyTallyError, ValueError)):
                School(id="x", name="X", positions=positions)

    def test_where_they_differ_it_is_told_under_which(self) -> None:
        # 25 + 100 + 160 + 8.5 = 293.5 W: a fifth more is 352.2 W, half more 440.3 W.
        small = plugged(supply=supply(rated_w=400, v12_a=33))
        b = ChangePart(part="card", changes={"power_limit": 0.5}).apply(small)
        then = Before(b, Around(year=2026)).as_it_is()
        told = otherwise(then, set(), Patience())
        self.assertEqual(
            told["watts"], ["By “Cool and quiet” it is too small: the next common size is 450 W."]
        )
        # 110 W on one chained cable: within one plug’s 150 W, and never both plugs by two schools.
        self.assertEqual(
            [t.partition("”")[0] for t in told["leads"]],
            ["By “A cable for every socket", "By “Cool and quiet"],
        )
