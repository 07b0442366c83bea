"""The trainer: every exercise can be solved by its readings, is judged by what was planted, and is
the same each time."""

from __future__ import annotations

import unittest

from easy_tally import BadInput
from easy_tally.training import EXERCISES, choices, judge, of_own, planted, readings_and_held, seen

from .test_readings import mapped


class Exercises(unittest.TestCase):
    def test_at_least_twenty_in_order_of_difficulty(self) -> None:
        self.assertGreaterEqual(len(EXERCISES), 20)
        self.assertEqual([e.number for e in EXERCISES], list(range(1, len(EXERCISES) + 1)))
        first, last = EXERCISES[: len(EXERCISES) // 3], EXERCISES[-len(EXERCISES) // 3 :]
        self.assertGreater(min(e.severity for e in first), max(e.severity for e in last) - 0.31)
        self.assertLess(max(e.spread for e in first), max(e.spread for e in last))

    def test_each_can_be_found_and_is_explained_with_numbers(self) -> None:
        for e in EXERCISES:
            a = mapped(e.machine)
            of = planted(a, e)
            _, held = readings_and_held(a, e, of)
            worst = next(f for f in held.found if f.severity in ("over", "tight"))
            self.assertIn(worst.channel.at, of.joints, str(e))
            right = judge(a, e, of, held, of.joints[0], e.kind)
            self.assertTrue(right.right_joint and right.right_reason and right.numbers, str(e))
            refs = [c.ref for c in choices(a)]
            self.assertGreaterEqual(set(refs), set(of.joints))
            wrong = next((x for x in refs if x not in of.joints), None)
            if wrong is not None:
                self.assertFalse(judge(a, e, of, held, wrong, e.kind).right_joint)
                self.assertIn("no gap", seen(a, of, wrong))
            self.assertNotIn("no gap", seen(a, of, of.joints[0]))

    def test_the_same_each_time(self) -> None:
        e = EXERCISES[2]
        a = mapped(e.machine)
        one, _ = readings_and_held(a, e, planted(a, e))
        other, _ = readings_and_held(a, e, planted(a, e))
        for c, column in one.columns.items():
            self.assertTrue((column == other.columns[c]).all())

    def test_any_build_of_ones_own(self) -> None:
        for seed in range(12):
            a = mapped("heron")
            e = of_own(a, seed)
            _, held = readings_and_held(a, e, of := planted(a, e))
            self.assertTrue(judge(a, e, of, held, of.joints[0], e.kind).right_joint)

    def test_an_answer_that_there_is_none_of(self) -> None:
        e = EXERCISES[0]
        a = mapped(e.machine)
        of = planted(a, e)
        _, held = readings_and_held(a, e, of)
        with self.assertRaisesRegex(BadInput, "one of the joints listed"):
            judge(a, e, of, held, "nowhere", e.kind)
        with self.assertRaisesRegex(BadInput, "part-seated"):
            judge(a, e, of, held, of.joints[0], "sunspots")
