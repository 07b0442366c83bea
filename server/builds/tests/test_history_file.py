"""A build's whole history goes out and comes in: the same at every step back and forth."""

from __future__ import annotations

import json
from typing import Any
from unittest.mock import patch

from easy_tally.files import build_file
from owners.models import current_owner

from builds import actions, history, results
from builds.models import Build, Change
from builds.tests.support import ApiCase


class HistoryFile(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        key = self.open()["key"]
        self.act(key, 1, type="change part", part="card-1", changes={"name": "Left"})
        self.act(key, 2, type="remove part", part="card-2", release=True)
        self.act(key, 3, type="change build", changes={"name": "Heron two"})
        self.act(key, 4, type="change part", part="card-1", changes={"name": "Right"})
        self.call("post", f"/builds/{key}/undo", {"base_version": 5})
        self.row = Build.objects.get(key=key)
        self.text = history.export(self.row)

    def states(self, row: Build) -> list[str]:
        """The file of a build at every step of its history, from its beginning on."""
        owner, found, row = current_owner(), [], self._begun(row)
        while True:
            found.append(build_file.write(results.current(row)))
            if row.head == Change.objects.filter(build=row, seq__gt=0).count():
                return found
            row = actions.redo(owner, row.key, row.version).row

    def test_the_same_at_every_step(self) -> None:
        status, opened = self.call("post", "/builds/open", {"text": self.text})
        self.assertEqual(status, 201)
        self.assertEqual(opened["history"], {"undo": "change build", "redo": "change Left"})
        copy = Build.objects.get(key=opened["key"])
        self.assertEqual(history.export(copy), self.text)
        self.assertEqual(self.states(copy), self.states(self.row))

    def test_written_piece_by_piece_it_is_the_same(self) -> None:
        with patch.object(history, "_AT_ONCE", 2):
            status, opened = self.call("post", "/builds/open", {"text": self.text})
        self.assertEqual(status, 201)
        copy = Build.objects.get(key=opened["key"])
        self.assertEqual(history.export(copy), self.text)
        self.assertEqual(copy.owner, current_owner())

    def test_a_change_that_touched_nothing_is_a_step_like_any_other(self) -> None:
        value = json.loads(self.text)
        value["changes"][1]["images"] = []
        value["changes"][2:] = []
        value["head"] = 0
        value["build"] = json.loads(build_file.write(results.current(self._begun(self.row))))
        row = history.take(current_owner(), json.dumps(value))
        self.assertEqual(len(self.states(row)), 3)
        self.assertEqual(Build.objects.get(pk=row.pk).head, 2)

    def _begun(self, row: Build) -> Build:
        while row.head:
            row = actions.undo(current_owner(), row.key, row.version).row
        return row

    def test_a_fault_in_the_middle_leaves_nothing(self) -> None:
        real, calls = history._add, []

        def fails(*given: Any) -> None:
            calls.append(given[1])
            if len(calls) > 1:
                raise OSError("No space left on device")
            real(*given)

        before = Build.objects.count(), Change.objects.count()
        with patch.object(history, "_AT_ONCE", 1), patch.object(history, "_add", fails):
            self.assertRaises(OSError, history.take, current_owner(), self.text)
        self.assertEqual(calls, [0, 1])
        self.assertEqual((Build.objects.count(), Change.objects.count()), before)

    def test_one_that_does_not_hold_together_is_refused(self) -> None:
        def broken(change: Any) -> str:
            value = json.loads(self.text)
            change(value)
            return json.dumps(value)

        builds = Build.objects.count()
        for change, said in (
            (lambda v: v["changes"].pop(0), "changes."),
            (lambda v: v["changes"][0]["images"][0]["after"].update(name="Other"), "changes.1"),
            (lambda v: v["changes"].reverse(), "changes."),
            (lambda v: v["build"].update(name="Other"), "changes.3"),
            (lambda v: v["changes"][0]["images"][0].update(entity="secret"), "entity"),
            (lambda v: v.update(head=99), "head"),
            (lambda v: v.update(changes="x"), "changes"),
        ):
            status, found = self.call("post", "/builds/open", {"text": broken(change)})
            self.assertEqual(status, 422, said)
            self.assertIn(said, found["detail"])
        self.assertEqual(Build.objects.count(), builds)
