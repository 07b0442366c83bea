"""The rooms and their faces: sorted, whole, and the only thing that anyone outside looks at."""

from __future__ import annotations

import ast
import importlib
import unittest
from pathlib import Path

from easy_tally.base.units import RAIL_WORDS, RAILS
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.assumed.defaults import default, default_name
from easy_tally.things.parts import PART_KINDS, Card, Drive, Socket

from .helpers import card, disk

ROOT = Path(__file__).resolve().parents[2]
CORE = ROOT / "core/easy_tally"
ROOMS = sorted(p.parent.name for p in CORE.glob("*/__init__.py"))


def _imported(file: Path) -> set[str]:
    """Modules of the core that a file imports."""
    found: set[str] = set()
    for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
        if isinstance(node, ast.ImportFrom) and node.module:
            found.add(node.module)
        elif isinstance(node, ast.Import):
            found |= {a.name for a in node.names}
    return {m for m in found if m.split(".")[0] == "easy_tally"}


class Faces(unittest.TestCase):
    def test_each_says_what_it_shows_in_order_and_has_it(self) -> None:
        """Capitals first, as ruff sorts them."""
        for room in ("", *(f".{r}" for r in ROOMS)):
            face = importlib.import_module(f"easy_tally{room}")
            names = list(face.__all__)
            with self.subTest(room or "easy_tally"):
                kind = {n: 0 if n.isupper() else 1 if n[0].isupper() else 2 for n in names}
                self.assertEqual(names, sorted(names, key=lambda n: (kind[n], n)))
                self.assertEqual(len(set(names)), len(names))
                for name in names:
                    self.assertTrue(hasattr(face, name), name)

    def test_server_and_tools_look_no_further(self) -> None:
        files = [*(ROOT / "server").rglob("*.py"), *(ROOT / "tools").glob("*.py")]
        for file in (f for f in files if "tests" not in f.parts):
            for module in _imported(file):
                self.assertLessEqual(module.count("."), 1, f"{file.name} imports {module}")


class Defaults(unittest.TestCase):
    """What is declared to stand in for a figure is there, and is of the figure's own unit."""

    def test_every_assumption_that_is_named_exists(self) -> None:
        for kind in PART_KINDS:
            for name, field in kind.model_fields.items():
                extra = field.json_schema_extra
                named = extra.get("default_from") if isinstance(extra, dict) else None
                for assumption in named or ():  # type: ignore[union-attr]
                    self.assertIn(assumption, Assumptions.model_fields, f"{kind.__name__}.{name}")
                whole = extra.get("share_of") if isinstance(extra, dict) else None
                if whole:
                    self.assertIn(whole, kind.model_fields)

    def test_a_drives_by_its_form(self) -> None:
        assume = Assumptions()
        for form, amps in (("3.5", 0.6), ("optical", 1.0), ("floppy", 0.1), ("2.5", 0.0)):
            part = Drive(key="d", name="D", form=form)  # type: ignore[arg-type]
            span = default(part, "run_12v_a", assume)
            self.assertEqual(span and span.likely, amps)
        self.assertIsNone(default_name(Drive(key="d", name="D", form="2.5"), "start_12v_a"))

    def test_a_share_is_given_as_watts(self) -> None:
        """6 % of 320 W at a power limit of 1.5: 28.8 W; of a board power that is missing: none."""
        assume = Assumptions()
        span = default(card(power_limit=1.5), "idle_w", assume)
        self.assertAlmostEqual(span.likely if span else 0, 28.8)
        self.assertIsNone(default(card(board_power_w=None), "idle_w", assume))

    def test_a_slots_share_by_the_sockets(self) -> None:
        assume = Assumptions()
        for kind, watts in (("16pin", 10), ("pcie8", 50), ("sata", 50)):
            sockets = (Socket(key="a", kind=kind),)  # type: ignore[arg-type]
            span = default(Card(key="c", name="C", sockets=sockets), "slot_w", assume)
            self.assertEqual(span and span.likely, watts)
        self.assertIsNone(default(Card(key="c", name="C"), "slot_w", assume))

    def test_what_has_no_honest_default(self) -> None:
        assume = Assumptions()
        self.assertIsNone(default(card(), "board_power_w", assume))
        self.assertIsNotNone(default(disk(), "start_5v_a", assume))


class Words(unittest.TestCase):
    def test_every_rail_has_one(self) -> None:
        self.assertEqual(set(RAIL_WORDS), set(RAILS))
