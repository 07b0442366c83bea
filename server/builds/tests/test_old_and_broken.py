"""An old database opens, undoes and edits as before; a build that can't be read takes no other
down, is shown as what it is, and what is there of it is not lost."""

from __future__ import annotations

import gzip
import json
import sqlite3
import subprocess
import sys
import tempfile
import unittest
from contextlib import AbstractContextManager
from pathlib import Path
from typing import Any
from unittest.mock import patch

from easy_tally import Build as CoreBuild
from easy_tally.editing import ChangeSupply
from easy_tally.files import build_file
from keeping.whole import damage
from owners.models import current_owner

from builds import actions, results
from builds.models import Build
from builds.tests.support import HERON, ROOT, ApiCase, heron

OLD = Path(__file__).parent / "data/database.v1.sql"
#: Opens, undoes twice, brings one back, edits, and tells what it holds.
WORK = """
from builds import actions, results
from builds.models import Build
from catalogue import parts
from easy_tally.editing import ChangeBuild
from easy_tally.files import build_file
from keeping.whole import damage
from owners.models import current_owner
import json
owner, row = current_owner(), lambda: Build.objects.get()
before = build_file.write(results.current(row()))
for _ in range(2): actions.undo(owner, row().key, row().version)
fans = [p.count for p in results.current(row()).parts if p.name == "Kestrel fan"]
runs = [r.cable for r in results.current(row()).runs]
for _ in range(2): actions.redo(owner, row().key, row().version)
same = build_file.write(results.current(row())) == before
actions.act(owner, row().key, row().version, ChangeBuild(changes={"note": "Edited"}))
now = results.current(row())
print(json.dumps({"same": same, "fans": fans, "runs": runs, "note": now.note,
                  "room": now.assumptions.room_degc, "own": list(parts.own(owner))}))
"""

WALK = """
import json, os
from pathlib import Path
from django.core.management import call_command
call_command("migrate", verbosity=0)
call_command("integrity")
from builds import actions, history, store
from builds.models import Change
from easy_tally import Build
from easy_tally.files import upgraded
from owners.models import current_owner
told = json.loads(Path(os.environ["EASY_TALLY_VAR"], "states.json").read_text())
owner, key = current_owner(), told["key"]
row = actions.find(owner, key)
version, copy = row.version, history.take(owner, history.export(row)).key
back, forth = ([Build.model_validate_json(json.dumps(upgraded(d, 2))) for d in told[w]]
               for w in ("back", "forth"))
differ, steps = [], 0
for at in (key, copy):
    def look(wanted, what):
        global steps
        steps += 1
        if store.read(actions.find(owner, at)) != wanted:
            differ.append(f"{what} {at == copy}")
    for i, wanted in enumerate(back):
        if i:
            actions.undo(owner, at, actions.find(owner, at).version)
        look(wanted, f"back {i}")
    assert actions.find(owner, at).head == 0
    for i, wanted in enumerate([*back[-2::-1], *forth]):
        actions.redo(owner, at, actions.find(owner, at).version)
        look(wanted, f"forth {i}")
    row = actions.find(owner, at)
    assert row.head == Change.objects.filter(build=row, seq__gt=0).count()
print(json.dumps({"differ": differ, "steps": steps, "version": version,
                  "as_it_was": told["version"]}))
"""


def _unpacked(name: str) -> str:
    return gzip.decompress((OLD.parent / name).read_bytes()).decode()


def _broken() -> AbstractContextManager[object]:
    """Nothing can be worked out."""
    return patch("builds.results.compact", side_effect=OverflowError("infinity"))


class OldDatabase(unittest.TestCase):
    def test_opens_undoes_and_edits(self) -> None:
        """One of before the rooms: a build edited five times, one of these undone, and an entry
        of one's own. Its last change but one put a fan's plug in, the last room at 30 °C."""
        with tempfile.TemporaryDirectory() as var:
            with sqlite3.connect(Path(var, "easy-tally.sqlite3")) as old:
                old.executescript(OLD.read_text(encoding="utf-8"))
            old.close()
            env = {"EASY_TALLY_VAR": var, "PATH": "/usr/bin:/bin"}
            manage = [sys.executable, str(ROOT / "server/manage.py")]
            subprocess.run([*manage, "migrate", "-v0"], env=env, check=True, capture_output=True)
            ran = subprocess.run(
                [*manage, "shell", "--no-imports", "-c", WORK],
                env=env,
                check=True,
                capture_output=True,
                text=True,
            )
        found = json.loads(ran.stdout.splitlines()[-1])
        self.assertEqual((found["same"], found["fans"], found["note"]), (True, [3], "Edited"))
        self.assertEqual(found["room"], 30)
        self.assertEqual(found["own"], ["tidepool-disk"])

    def test_every_step_of_a_history_is_what_it_was(self) -> None:
        """A build edited sixty times by three earlier versions: the first that landed, one of the
        tables' early days, the last of the tables. Each step back and forth, also by way of its
        history's file, is the very build that the version itself showed there."""
        for name in ("first-landed", "by-words", "tables"):
            with self.subTest(name), tempfile.TemporaryDirectory() as var:
                with sqlite3.connect(Path(var, "easy-tally.sqlite3")) as old:
                    old.executescript(_unpacked(f"{name}.sql.gz"))
                old.close()
                Path(var, "states.json").write_text(_unpacked(f"{name}.states.json.gz"))
                env = {"EASY_TALLY_VAR": var, "PATH": "/usr/bin:/bin"}
                ran = subprocess.run(
                    [
                        sys.executable,
                        ROOT / "server/manage.py",
                        "shell",
                        "--no-imports",
                        "-c",
                        WALK,
                    ],
                    env=env,
                    check=True,
                    capture_output=True,
                    text=True,
                )
                found = json.loads(ran.stdout.splitlines()[-1])
                self.assertGreater(found["steps"], 60)
                self.assertEqual((found["differ"], found["version"]), ([], found["as_it_was"]))

    def test_an_old_file_opens_and_is_saved_with_what_is_new(self) -> None:
        text = (ROOT / "core/tests/data/frozen.v1.tally.json").read_text(encoding="utf-8")
        build = build_file.read(text)
        self.assertEqual({p.use for p in build.parts if p.kind == "card"}, {"graphics"})
        self.assertEqual(build_file.read(build_file.write(build)), build)


def _twice_plugged(whole: dict[str, Any]) -> str:
    """A build of which two plugs are in one socket."""
    runs = json.loads(json.dumps(whole["runs"]))
    plugged = [c for run in runs for c in run["connections"]]
    plugged[1]["socket"] = plugged[0]["socket"]
    return json.dumps(whole | {"runs": runs})


class Broken(ApiCase):
    def _break(self, row: Build, document: str) -> None:
        Build.objects.filter(pk=row.pk).update(document=document)
        results.forget()

    def _cards(self) -> dict[str, dict[str, object]]:
        status, cards = self.call("get", "/builds")
        self.assertEqual(status, 200)
        return {c["key"]: c for c in cards}

    def _each_break(self) -> dict[str, str]:
        """What is wrong → the document with that."""
        whole = json.loads(HERON)
        long = "1" * 5_000

        def with_part(**fields: Any) -> str:
            return json.dumps(whole | {"parts": [whole["parts"][0] | fields, *whole["parts"][1:]]})

        return {
            "a rating that limits to nothing": json.dumps(
                whole | {"supply": whole["supply"] | {"rated_w": 5e-324}}
            ),
            "a field nobody knows": with_part(colour="red"),
            "a document that is no object": "[]",
            "a part that is no object": json.dumps(whole | {"parts": [5]}),
            "a number that is too long": HERON.replace('"name": "Heron"', f'"name": {long}'),
            "a number in a part that is too long": with_part(key="long").replace('"long"', long),
            "a name that is gone": json.dumps({k: v for k, v in whole.items() if k != "name"}),
            "what is no JSON": HERON[:200],
            "a plug in two sockets": _twice_plugged(whole),
        }

    def test_the_others_are_listed_and_it_says_so(self) -> None:
        for what, document in self._each_break().items():
            with self.subTest(what):
                good, bad = heron(), heron()
                self._break(bad, document)
                cards = self._cards()
                self.assertEqual(cards[good.key]["problem"], "")
                self.assertIsNone(cards[bad.key]["strip"])
                self.assertIn("can’t be read", str(cards[bad.key]["problem"]))
                status, told = self.call("get", f"/builds/{bad.key}")
                self.assertEqual((status, told["type"]), (422, "urn:easy-tally:unreadable"))
                told_of = [t for t in damage() if "can’t be read" in t]
                self.assertEqual(len(told_of), 1)
                self.assertIn(actions.name_of(current_owner(), bad.key), told_of[0])
                Build.objects.filter(pk__in=(good.pk, bad.pk)).delete()

    def test_what_is_there_can_be_saved_and_it_can_be_removed(self) -> None:
        for what, document in self._each_break().items():
            with self.subTest(what):
                bad = heron()
                self._break(bad, document)
                answer = self.client.get(f"/api/v1/builds/{bad.key}/file")
                self.assertEqual(answer.status_code, 200)
                self.assertEqual(answer.content.decode(), document)
                self.assertIn("rescued.json", answer.headers["Content-Disposition"])
                status, _ = self.call("delete", f"/builds/{bad.key}")
                self.assertEqual(status, 204)
                self.assertFalse(Build.objects.filter(pk=bad.pk).exists())

    def test_no_edit_and_no_undo_makes_it_worse(self) -> None:
        bad = heron()
        self._break(bad, self._each_break()["a field nobody knows"])
        status, told = self.act(bad.key, 1, type="change build", changes={"note": "x"})
        self.assertEqual((status, told["type"]), (422, "urn:easy-tally:unreadable"))

    def test_a_rating_of_a_hair_is_refused_and_nothing_is_stored(self) -> None:
        row = heron()
        status, told = self.act(row.key, 1, type="change supply", changes={"rated_w": 5e-324})
        self.assertEqual(status, 422)
        self.assertIn("0, or at least 0.001", told["detail"])
        self.assertEqual(Build.objects.get(pk=row.pk).version, 1)
        text = HERON.replace('"rated_w": 1000', '"rated_w": 5e-324')
        self.assertNotEqual(text, HERON)
        status, told = self.call("post", "/builds/open", {"text": text})
        self.assertEqual(status, 422)
        self.assertEqual(Build.objects.count(), 1)

    def test_what_can_not_be_worked_out_is_not_written(self) -> None:
        row = heron()
        with _broken(), self.assertLogs("easy_tally", "ERROR"):
            status, told = self.act(row.key, 1, type="change build", changes={"note": "New"})
            self.assertEqual((status, told["type"]), (500, "urn:easy-tally:fault"))
            # One that was not worked out before.
            other = HERON.replace('"name": "Heron"', '"name": "Other"')
            opened, _ = self.call("post", "/builds/open", {"text": other})
            self.assertEqual(opened, 500)
        self.assertEqual(Build.objects.count(), 1)
        again = Build.objects.get(pk=row.pk)
        self.assertEqual((again.version, again.changes.count()), (1, 0))
        results.forget()
        self.assertNotEqual(results.current(again).note, "New")
        self.assertEqual(self.call("get", "/builds")[0], 200)

    def test_a_build_that_can_not_be_worked_out_is_listed_as_such(self) -> None:
        row = heron()
        results.forget()
        with _broken(), self.assertLogs("builds.listing", "ERROR"):
            self.assertIn("worked out", str(self._cards()[row.key]["problem"]))
        self.assertEqual(self._cards()[row.key]["problem"], "")

    def test_extreme_figures_never_bring_the_list_down(self) -> None:
        """The least and the most that every rating may be, in turn."""
        row = heron()
        supply = results.current(row).supply
        assert supply is not None
        for name in ("rated_w", "v12_a", "v5_a", "v3v3_a", "v5sb_a", "combined_w"):
            for value in (0, 0.001, None):
                now = Build.objects.get(pk=row.pk)
                edit = ChangeSupply(changes={name: value})
                actions.act(current_owner(), row.key, now.version, edit)
                self.assertEqual(self._cards()[row.key]["problem"], "", (name, value))
        self.assertIsInstance(results.current(Build.objects.get(pk=row.pk)), CoreBuild)
