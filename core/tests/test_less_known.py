"""Less knowledge is never better: every fact of the demo builds and of random machines taken away,
one by one. What is wrong may turn into what is not known, nothing into what reads fine."""

from __future__ import annotations

import copy
import json
import unittest
from collections import defaultdict
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from easy_tally import Build, analyse
from easy_tally.base.declared import Figure
from easy_tally.files import build_file
from easy_tally.things.assumed.defaults import default
from pydantic import ValidationError

from .helpers import board, build, card, supply
from .machines import machine, seeds

DEMO = sorted((Path(__file__).resolve().parents[2] / "demo/builds").glob("*.json"))
_LEVEL = {
    "over": 3,
    "refused": 3,
    "failed": 3,
    "unfed": 3,
    "unknown": 2,
    "tight": 1,
    "warn": 1,
    "note": 0,
}
#: Which group a port is in, and what that carries: few makers state it, so without it its runs are
#: judged by everything else, and that is said (the settled readings of the model).
_OF_GROUPS = ("group", "groups", "limit_a")
#: Where nobody says them an assumption of the builder's map stands in, and is marked as one; or
#: what is usual, at both ends: what that may hide is told by `test_usual.py`.
_ASSUMED = ("insulation_degc", "slot_w")
_USUAL = (
    *(
        "gauge",
        "at_mm",
        "grade",
        "contact_a",
        "supply_end",
        "conductors",
        "circuits",
        "pins_12v",
        "routes",
    ),
    *("headers", "outputs", "sata_ports", "m2_slots", "usb2_headers", "usb3_headers"),
    *("usbc_headers", "audio_headers", "front_usb2", "front_usb3", "front_usbc", "front_audio"),
    *("length_mm", "supply_length_mm", "size", "regulation", "fan_off_share", "made"),
)
_Path = tuple[str | int, ...]
_Of = tuple[str, str, str]


def facts(of: Any, path: _Path = ()) -> Iterator[_Path]:
    """Every field of a build that says something, by its place in the file."""
    if isinstance(of, dict):
        for key, value in of.items():
            yield from facts(value, (*path, key))
    elif isinstance(of, list):
        for i, value in enumerate(of):
            yield from facts(value, (*path, i))
    if (
        of is not None
        and path
        and isinstance(path[-1], str)
        and path[-1] not in (*_OF_GROUPS, *_ASSUMED, *_USUAL)
    ):
        yield path


def _has_default(b: Build, path: _Path) -> bool:
    """Whether a default by its kind stands in for a part's figure, with bounds and marked so."""
    if len(path) != 3 or path[0] != "parts" or not isinstance(path[1], int):
        return False
    part, name = b.parts[path[1]], str(path[2])
    figure = isinstance(getattr(part, name), Figure)
    return figure and default(part, name, b.assumptions) is not None


def without(doc: Any, path: _Path) -> Build | None:
    """The build without a fact; None where the file has to have it."""
    left = copy.deepcopy(doc)
    at = left
    for key in path[:-1]:
        at = at[key]
    at[path[-1]] = None
    try:
        return Build.model_validate(left)
    except ValidationError:
        return None


def levels(b: Build) -> dict[_Of, int]:
    """How bad what is found is, by its family and what it is about. Room and air are asked only of
    a case that is chosen: what is not, stands as not checked."""
    found: dict[_Of, int] = defaultdict(int)
    for f in analyse(b).findings:
        family = f.id.partition(".")[0]
        if family != "fit":
            key = (family, f.subject.of, f.subject.key or "")
            found[key] = max(found[key], _LEVEL[f.severity])
    return found


class LessKnown(unittest.TestCase):
    def _never_better(self, b: Build, nth: int, of: int) -> int:
        doc, before = json.loads(b.model_dump_json()), levels(b)
        several = [p for i, p in enumerate(facts(doc)) if i % of == nth % of]
        several = [p for p in several if not _has_default(b, p)]
        seen = 0
        for path in several:
            less = without(doc, path)
            if less is not None:
                now = levels(less)
                better = {k: x for k, x in before.items() if now.get(k, 0) < min(x, 2)}
                self.assertEqual(better, {}, f"{b.name} without {path}")
                seen += 1
        return seen

    def test_a_fact_taken_away_from_a_demo_build(self) -> None:
        """A quarter of them each time; all where `make prove` asks for more."""
        seen = 0
        for n in seeds(1):
            for path in DEMO:
                seen += self._never_better(build_file.read(path.read_text(encoding="utf-8")), n, 4)
        self.assertGreater(seen, 40)

    def test_a_fact_taken_away_from_a_random_machine(self) -> None:
        for seed in seeds(5):
            self._never_better(machine(seed), seed, 2)

    def test_its_design(self) -> None:
        """A classic supply of 450 W trips, 665 W of 585; so it does where nobody says which it
        is."""
        of = supply(rated_w=450, design="classic")
        known = analyse(build(board(), card(), supply=of))
        blank = of.model_copy(update={"design": None})
        less = analyse(build(board(), card(), supply=blank))
        for a in (known, less):
            assert a.supply is not None
            self.assertEqual(a.supply.verdict, "too small")
            self.assertEqual(a.sizing.pick_w, 550)  # 665 ÷ 1.3 = 511.5
