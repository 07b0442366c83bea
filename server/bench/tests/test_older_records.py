"""Records of the version before acts, whose database is kept here: four machines of which steps
were ticked. What they say stays said."""

from __future__ import annotations

import gzip
import json
import sqlite3
import subprocess
import sys
import tempfile
import unittest
from contextlib import closing
from pathlib import Path

from builds.tests.support import ROOT

OLD = Path(__file__).parent / "data/steps.sql.gz"
LOOK = """
import json
from builds.models import Build
from django.core.management import call_command
call_command("migrate", verbosity=0)
from bench import record
print(json.dumps([[s.step.title for s in record.plan_of(row).steps if s.state == "open"]
                  for row in Build.objects.order_by("pk")]))
"""


class OfSteps(unittest.TestCase):
    def test_what_they_say_stays_said(self) -> None:
        """Ticked to the end; to the end and then another card; twelve steps of which one was taken
        back; to the end, and then a plug was parked."""
        with tempfile.TemporaryDirectory() as var:
            with closing(sqlite3.connect(Path(var, "easy-tally.sqlite3"))) as old:
                old.executescript(gzip.decompress(OLD.read_bytes()).decode())
            manage = [sys.executable, str(ROOT / "server/manage.py"), "shell", "--no-imports", "-c"]
            env = {"EASY_TALLY_VAR": var, "PATH": "/usr/bin:/bin"}
            ran = subprocess.run(
                [*manage, LOOK], env=env, check=True, capture_output=True, text=True
            )
        done, card, half, parked = json.loads(ran.stdout.splitlines()[-1])
        after = ["Tie the leads where no fan reaches them", "A last look", "Switch on"]
        self.assertEqual(done, [])
        self.assertEqual(
            card,
            [
                "Make it safe",
                "Photograph the wiring as it is",
                "Unplug Graphics cable 1 from G1 into Stint S",
                "Mount Another card",
                "Graphics cable 1 from G1 into Another card",
                *after,
                "Install the card’s driver",
                "Take readings",
            ],
        )
        self.assertNotIn("Make it safe", half)
        self.assertNotIn("Mount the supply: Marram 1000", half)
        self.assertIn("Processor cable 1 from C1 into Tideline board · cpu-1", half)
        self.assertEqual(parked[2], "Unplug 4-pin cable 1 into Floppy drive")
        self.assertEqual(parked[3:], [*after, "Take readings"])
