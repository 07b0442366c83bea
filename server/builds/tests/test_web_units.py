"""The unit tests of the front end's plain classes and functions, each reported here."""

from __future__ import annotations

import json
import subprocess
import unittest

from builds.tests.support import ROOT


class Units(unittest.TestCase):
    def test_each_of_them(self) -> None:
        """Run them by themselves with `npx vitest` in web/."""
        ran = subprocess.run(
            ["npm", "run", "--silent", "test"],
            cwd=ROOT / "web",
            capture_output=True,
            text=True,
            check=False,
        )
        start = ran.stdout.find("{")
        self.assertGreaterEqual(start, 0, ran.stderr[-2000:])
        found = [
            (test["fullName"], test["status"], test.get("failureMessages", []))
            for file in json.loads(ran.stdout[start:])["testResults"]
            for test in file["assertionResults"]
        ]
        self.assertGreater(len(found), 20, ran.stderr[-2000:])
        for name, status, messages in found:
            with self.subTest(name):
                self.assertEqual(status, "passed", "\n".join(messages))
        self.assertEqual(ran.returncode, 0, ran.stderr[-2000:])
