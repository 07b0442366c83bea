"""What is kept between edits is what would be worked out anew: over random sequences of edits, undo
and redo, the one is the other, to the last digit."""

from __future__ import annotations

import random
import unittest
from pathlib import Path

from easy_tally.base.errors import EasyTallyError
from easy_tally.base.reuse import Reuse
from easy_tally.editing import ChangeBuild, ChangePart, ChangeSupply, Connect, Park, RemovePart
from easy_tally.files import build_file
from easy_tally.findings import Report, analyse, forget, report
from easy_tally.things.build import Build
from easy_tally.wiring import Wired

ROOT = Path(__file__).resolve().parents[2]
FILES = (
    "demo/builds/heron", "demo/builds/cormorant", "demo/builds/curlew", "demo/builds/godwit",
    "core/tests/data/sixty", "demo/training/heron",
)  # fmt: skip
_FIGURES = {
    "card": ("board_power_w", "idle_w", "slot_w"), "processor": ("package_w", "package_idle_w"),
    "board": ("own_12v_w", "own_5v_w"), "drive": ("run_12v_a", "run_5v_a", "start_12v_a"),
    "fan": ("full_a",), "other": ("full_w",),
}  # fmt: skip


def _edited(b: Build, rng: random.Random) -> Build:
    """A build after an edit at random; the same where that edit can't be."""
    part = rng.choice(b.parts)
    value = round(rng.uniform(0.1, 3 if part.kind in ("drive", "fan") else 250), 1)
    figure = {"low": value * 0.8, "likely": value, "high": value * 1.3}
    wired = Wired(b)
    fed = [f for f in wired.feeds.values() if f.input.between is None]
    try:
        match rng.randrange(9):
            case 0 | 1 | 2:
                fields = [f for f in _FIGURES.get(part.kind, ()) if f in type(part).model_fields]
                changes = {rng.choice(fields): figure if rng.random() < 0.9 else None}
                return ChangePart(part=part.key, changes=changes).apply(b)
            case 3:
                n = rng.randint(1, 4)
                return ChangePart(part=part.key, changes={"count": n}, release=True).apply(b)
            case 4:
                return RemovePart(part=part.key, release=True).apply(b)
            case 5:
                rule = rng.choice(("never", "by plug", "by pins", "as delivered"))
                return ChangeBuild(house_rules={"chained_graphics": rule}).apply(b)
            case 6:
                at_once = rng.choice((None, 1, 2))
                return ChangeBuild(changes={"spin_up_at_once": at_once}).apply(b)
            case 7:
                f = rng.choice(fed)
                return Park(cable=f.cable.key, plug=f.plug.key).apply(b)
        if rng.random() < 0.3:
            return ChangeSupply(changes={"rated_w": rng.randint(300, 1200)}).apply(b)
        free = [i for r, i in wired.inputs.items() if r not in wired.feeds]
        into, cable = rng.choice(free), rng.choice(b.cables)
        plug = rng.choice(cable.plugs)
        return Connect(cable=cable.key, plug=plug.key, socket=into.at).apply(b)
    except (EasyTallyError, IndexError, ValueError):
        return b


class Edits(unittest.TestCase):
    def test_kept_is_anew_over_edits_undo_and_redo(self) -> None:
        for seed in range(18):
            rng = random.Random(seed)
            name = FILES[seed % len(FILES)]
            b = build_file.read((ROOT / f"{name}.tally.json").read_text(encoding="utf-8"))
            builds, kept = [b], []
            for _ in range(6):
                builds.append(_edited(builds[-1], rng))
            # Forth, back as undo goes, and forth again.
            order = [*builds, *reversed(builds), *builds]
            forget()
            kept = [self._whole(x) for x in order]
            for i, x in enumerate(builds):
                forget()
                fresh = self._whole(x)
                for j, y in enumerate(order):
                    if y is x:
                        self.assertEqual(kept[j], fresh, f"seed {seed}, build {i}")

    def test_runs_that_an_edit_does_not_touch_are_the_same(self) -> None:
        b = build_file.read((ROOT / "demo/training/heron.tally.json").read_text(encoding="utf-8"))
        forget()
        before = analyse(b, 2026)
        figure = {"low": 200, "likely": 210, "high": 220}
        edit = ChangePart(part="card-1", changes={"board_power_w": figure})
        after = analyse(edit.apply(b), 2026)
        fed = {f.cable.key for f in after.wired.feeds.values() if f.input.at.part == "card-1"}
        for was, now in zip(before.runs, after.runs, strict=True):
            key = now.wired.cable.key
            # The board's main plug carries the card's slot.
            if key not in fed and not any(f.mated == "atx24" for f in now.wired.feeds):
                self.assertIs(now.elements, was.elements, key)

    def _whole(self, b: Build) -> Report:
        a = analyse(b, 2026)
        # What is published, and below it every element and who it is of.
        for run, wired in zip(a.runs, a.wired.runs, strict=True):
            self.assertIs(run.wired, wired)
        return report(a)


class Kept(unittest.TestCase):
    def setUp(self) -> None:
        self.made: list[str] = []
        self.reuse: Reuse[str] = Reuse(2)

    def _ask(self, *asked: tuple[object, object]) -> None:
        for thing, more in asked:
            self.reuse.of((thing,), more, lambda more=more: self._make(str(more)))  # type: ignore[misc,arg-type]

    def _make(self, what: str) -> str:
        self.made.append(what)
        return what

    def test_by_identity_and_an_equal_rest(self) -> None:
        one, like = [1], [1]
        self._ask((one, 0), (one, 0), (like, 0), (one, 1), (one, 0))
        self.assertEqual(self.made, ["0", "0", "1"])

    def test_what_was_not_asked_for_goes(self) -> None:
        one = [1]
        # 0 and 1 are the old once both are there; 2 and 3 push them out; what is asked for stays.
        self._ask((one, 0), (one, 1), (one, 2), (one, 1), (one, 3), (one, 1), (one, 0))
        self.assertEqual(self.made, ["0", "1", "2", "3", "0"])

    def test_forgotten_is_made_anew(self) -> None:
        one = [1]
        self._ask((one, 0))
        forget()
        self._ask((one, 0))
        self.assertEqual(self.made, ["0", "0"])
