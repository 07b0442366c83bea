"""The command line: the same result as the application, with its exit statuses."""

from __future__ import annotations

import io
import json
import tempfile
from pathlib import Path

from config.snapshots import snapshots
from django.core.management import call_command
from django.test import TestCase

from builds import results
from builds.models import Build
from builds.tests.support import HERON, ROOT, ApiCase


def _tally(path: str, *flags: str) -> tuple[int, str, str]:
    """(exit status, output, errors) of `manage.py tally`."""
    out, err = io.StringIO(), io.StringIO()
    try:
        call_command("tally", path, *flags, stdout=out, stderr=err)
    except SystemExit as stop:
        return int(str(stop.code)), out.getvalue(), err.getvalue()
    return 0, out.getvalue(), err.getvalue()


class TallyCommand(ApiCase):
    def test_the_command_and_the_application_agree(self) -> None:
        status, out, _ = _tally(str(ROOT / "demo/builds/heron.tally.json"), "--json")
        self.assertEqual(status, 1)
        self.assertEqual(json.loads(out)["result"], self.open()["result"])

    def test_text(self) -> None:
        status, out, _ = _tally(str(ROOT / "demo/builds/heron.tally.json"))
        self.assertEqual(status, 1)
        self.assertIn("9 of 10 required sockets fed", out)

    def test_unreadable_files_exit_2_and_say_where(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            for text, said in (
                ("{", "line 1"),
                (HERON.replace('"count": 3', '"count": 0'), "parts.6.drive.count"),
                (HERON.replace('"count": 3', '"count": 0'), "case.in_box.0.loose.count"),
                ("\x00", "line 1"),
            ):
                path = Path(folder, "bad.tally.json")
                path.write_text(text, encoding="utf-8")
                status, out, err = _tally(str(path))
                self.assertEqual((status, out), (2, ""))
                self.assertIn(said, err)
            path.write_bytes(b"\xff\xfe")
            self.assertEqual(_tally(str(path))[0], 2)
            self.assertEqual(_tally(str(Path(folder, "none.json")))[0], 2)


class Demo(TestCase):
    def test_demo_is_loaded_once_by_the_ordinary_import(self) -> None:
        results.forget()
        for expected in ("Loaded heron.tally.json.", "nothing was loaded"):
            out = io.StringIO()
            call_command("load_demo", stdout=out)
            self.assertIn(expected, out.getvalue())
        self.assertEqual(Build.objects.count(), 5)


class Snapshots(TestCase):
    def test_published_schemas_are_those_of_the_code(self) -> None:
        """Run `make schemas` after a change of the interface or of a declaration."""
        for name, text in snapshots().items():
            self.assertEqual((ROOT / "docs" / name).read_text(encoding="utf-8"), text, name)
