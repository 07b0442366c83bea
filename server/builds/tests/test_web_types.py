"""The front end's types are those of the committed interface description."""

from __future__ import annotations

import subprocess
import tempfile
import unittest
from pathlib import Path

from builds.tests.support import ROOT


class Types(unittest.TestCase):
    def test_generated_types_are_current(self) -> None:
        """Run `make schemas` after a change of the interface."""
        with tempfile.TemporaryDirectory() as folder:
            out = Path(folder, "schema.ts")
            web = ROOT / "web"
            subprocess.run(["node", "api.js", str(out)], cwd=web, check=True, capture_output=True)
            committed = (ROOT / "web/src/api/schema.ts").read_text(encoding="utf-8")
            self.assertEqual(out.read_text(encoding="utf-8"), committed)
