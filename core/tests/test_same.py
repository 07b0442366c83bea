"""Equal things are made one, and stay what they are to the last digit."""

from __future__ import annotations

import unittest
from pathlib import Path

from easy_tally.analysis import analyse
from easy_tally.base import Memory
from easy_tally.editing import ChangePart, Park
from easy_tally.files import build_file
from easy_tally.things import Build
from easy_tally.things import same as made_same

FILE = Path(__file__).resolve().parents[2] / "demo/builds/heron.tally.json"


def _read() -> Build:
    return build_file.read(FILE.read_text(encoding="utf-8"))


def _power(watts: float) -> ChangePart:
    figure = {"low": watts, "likely": watts, "high": watts}
    return ChangePart(part="card-2", changes={"board_power_w": figure})


class Same(unittest.TestCase):
    def setUp(self) -> None:
        self.memory = Memory(64_000_000)

    def same(self, b: Build, like: Build | None = None) -> Build:
        return made_same(b, self.memory, like)

    def test_two_readings_of_a_file_are_of_the_same_things(self) -> None:
        one, two = self.same(_read()), self.same(_read())
        for a, b in zip(
            (*one.parts, *one.cables, *one.runs), (*two.parts, *two.cables, *two.runs), strict=True
        ):
            self.assertIs(a, b)
        self.assertIs(one.supply, two.supply)

    def test_it_is_equal_and_is_written_alike(self) -> None:
        b = _read()
        self.assertEqual(self.same(b), b)
        self.assertEqual(build_file.write(self.same(b)), FILE.read_text(encoding="utf-8"))

    def test_a_figure_typed_again_is_the_part_that_was(self) -> None:
        b = self.same(_read())
        first = self.same(_power(230).apply(b), b)
        other = self.same(_power(231).apply(first), first)
        again = self.same(_power(230).apply(other), other)
        self.assertIs(again.part("card-2"), first.part("card-2"))
        self.assertIsNot(other.part("card-2"), first.part("card-2"))

    def test_what_is_known_already_stays_and_the_rest_is_looked_up(self) -> None:
        b = self.same(_read())
        run = next(r for r in b.runs if r.connections)
        plug = run.connections[0].plug
        parked = self.same(Park(cable=run.cable, plug=plug).apply(b), b)
        for part in b.parts:
            self.assertIs(parked.part(part.key), part)
        twice = self.same(Park(cable=run.cable, plug=plug).apply(b), b)
        self.assertIs(twice.run(run.cable), parked.run(run.cable))

    def test_what_runs_carry_is_kept_over_two_readings(self) -> None:
        one, two = (analyse(self.same(_read()), None, self.memory) for _ in range(2))
        for a, b in zip(one.runs, two.runs, strict=True):
            self.assertIs(a, b)

    def test_what_differs_in_a_word_is_another(self) -> None:
        b = self.same(_read())
        part = b.parts[0].model_copy(update={"note": "a"})
        like = part.model_copy(update={"note": "b"})
        made = self.same(b.model_copy(update={"parts": (part, *b.parts[1:])}), b)
        self.assertEqual(made.parts[0].note, "a")
        self.assertEqual(
            self.same(b.model_copy(update={"parts": (like, *b.parts[1:])}), b).parts[0].note, "b"
        )

    def test_a_build_that_was_there_is_that_one(self) -> None:
        b = self.same(_read())
        changed = self.same(_power(230).apply(b), b)
        back = self.same(_power(231).apply(changed), changed)
        self.assertIs(self.same(_power(230).apply(back), back), changed)
        self.assertIs(self.same(_read()), b)

    def test_a_build_of_the_same_things_by_another_name_is_another(self) -> None:
        b = self.same(_read())
        other = self.same(b.model_copy(update={"name": "Other"}), b)
        self.assertEqual((b.name, other.name), ("Heron", "Other"))
        self.assertIs(other.parts[0], b.parts[0])

    def test_the_order_of_things_counts(self) -> None:
        b = self.same(_read())
        turned = self.same(b.model_copy(update={"cables": tuple(reversed(b.cables))}), b)
        self.assertEqual(turned.cables, tuple(reversed(b.cables)))
