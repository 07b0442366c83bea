"""Undo and redo: all the way back to the first byte, and all the way forth, over restarts."""

from __future__ import annotations

import os
import subprocess
import sys
from unittest.mock import patch

from django.db import connection
from django.test import TestCase, TransactionTestCase
from easy_tally import EasyTallyError, Refused
from easy_tally import editing as edits
from easy_tally.catalogue import TEMPLATES
from easy_tally.files import build_file
from easy_tally.things import SocketRef
from hypothesis import given, settings
from hypothesis import strategies as st
from hypothesis.extra.django import TestCase as HypothesisCase
from owners.models import current_owner

from builds import actions, results, store
from builds.models import Build, Change
from builds.tests.support import HERON, ROOT, act, heron
from catalogue import supplies


def _file(row: Build) -> str:
    results.forget()  # as a restart would: only the database remembers
    return build_file.write(results.current(Build.objects.get(pk=row.pk)))


def _step(row: Build, way: str) -> None:
    """One step of undo or redo; what is kept of it is what the document holds."""
    row = Build.objects.get(pk=row.pk)
    done = getattr(actions, way)(current_owner(), row.key, row.version)
    held = store.read(Build.objects.get(pk=row.pk))
    if build_file.write(done.build) != build_file.write(held):
        raise AssertionError(f"after {way} another build is kept than is written")


def _edits(draw: st.DrawFn, row: Build) -> edits.Edit:
    """Any edit that a builder could make to the build as it is now."""
    build = results.current(Build.objects.get(pk=row.pk))
    part = draw(st.sampled_from(build.parts)) if build.parts else TEMPLATES[0].part
    cable = draw(st.sampled_from(build.cables))
    plug = draw(st.sampled_from(cable.plugs)).key
    sockets = [r for r, _ in build.sockets()] or [SocketRef(part="board", socket="main")]
    socket = draw(st.sampled_from(sockets))
    kit = draw(st.sampled_from(list(supplies.catalogue().values())))
    watts = draw(st.integers(0, 400))
    figure = {"low": watts, "likely": watts, "high": watts}
    return draw(
        st.sampled_from(
            [
                edits.AddPart(part=draw(st.sampled_from(TEMPLATES)).part),
                edits.ChangePart(part=part.key, changes={"name": f"N{watts}"}),
                edits.ChangePart(part=part.key, changes={"count": watts % 4 + 1}, release=True),
                edits.ChangePart(part="card-1", changes={"board_power_w": figure}),
                edits.RemovePart(part=part.key, release=True),
                edits.ChangeBuild(house_rules={"headroom": watts / 1000}),
                edits.ChangeBuild(changes={"note": f"note {watts}"}),
                edits.TakeSupply(supply=kit.supply, cables=kit.cables, release=True),
                edits.ChangeSupply(changes={"rated_w": watts + 300}),
                edits.RemoveCable(cable=cable.key, release=True),
                edits.AddCable(cable=cable),
                edits.Connect(cable=cable.key, plug=plug, socket=socket),
                edits.Park(cable=cable.key, plug=plug),
                edits.Unplug(cable=cable.key),
                edits.PlugIn(cable=cable.key),
            ]
        )
    )


class RandomHistories(HypothesisCase):
    @settings(max_examples=25)
    @given(st.data())
    def test_undoing_all_gives_the_first_file_and_redoing_all_the_last(
        self, data: st.DataObject
    ) -> None:
        # What is large is worked out ahead, before the turn to write.
        with patch.object(results, "_SMALL", data.draw(st.sampled_from([-1, 100]))):
            self._there_and_back(data)

    def _there_and_back(self, data: st.DataObject) -> None:
        results.forget()
        row = heron()
        taken = 0
        for _ in range(data.draw(st.integers(1, 12))):
            if not results.current(Build.objects.get(pk=row.pk)).cables:
                break
            try:
                taken += bool(act(row, data.draw(st.composite(_edits)(row))).changed)
            except EasyTallyError:
                continue
            if taken > 1 and data.draw(st.booleans()):
                _step(row, "undo")
                taken -= 1
        last = _file(row)
        for _ in range(taken):
            _step(row, "undo")
        self.assertEqual(_file(row), HERON)
        for _ in range(taken):
            _step(row, "redo")
        self.assertEqual(_file(row), last)


class OneHistory(TestCase):
    def setUp(self) -> None:
        results.forget()

    def test_two_runs_that_change_at_once_come_back_at_once(self) -> None:
        """Each stays in its place: what is kept is put together without reading the document."""
        row = heron()
        first, second = (SocketRef(part="card-2", instance=1, socket=s) for s in ("a", "b"))
        act(row, edits.Connect(cable="graphics-1", plug="a", socket=first))
        act(row, edits.Connect(cable="graphics-2", plug="a", socket=second))
        before = _file(row)
        act(
            row,
            edits.SwapPlugs(cable="graphics-1", plug="a", other_cable="graphics-2", other_plug="a"),
        )
        after = _file(row)
        self.assertNotEqual(before, after)
        _step(row, "undo")
        self.assertEqual(_file(row), before)
        _step(row, "redo")
        self.assertEqual(_file(row), after)

    def test_a_new_change_ends_what_could_be_redone(self) -> None:
        row = heron()
        act(row, edits.ChangeBuild(changes={"name": "A"}))
        act(row, edits.ChangeBuild(changes={"name": "B"}))
        _step(row, "undo")
        act(row, edits.ChangeBuild(changes={"name": "C"}))
        places = Change.objects.filter(seq__gt=0).values_list("seq", flat=True)
        self.assertEqual(list(places), [1, 2])
        self.assertEqual(results.current(Build.objects.get(pk=row.pk)).name, "C")

    def test_a_part_comes_back_to_its_place_with_its_plugs(self) -> None:
        row = heron()
        act(row, edits.RemovePart(part="card-2", release=True))
        act(row, edits.AddPart(part=TEMPLATES[-1].part))
        _step(row, "undo")
        _step(row, "undo")
        self.assertEqual(_file(row), HERON)

    def test_a_step_to_what_is_no_build_any_more_is_refused(self) -> None:
        row = heron()
        act(row, edits.ChangePart(part="card-1", changes={"note": "x"}))
        change = Change.objects.get()
        change.images[0]["before"]["count"] = -1
        change.save()
        with self.assertRaisesRegex(Refused, "no build by today’s rules: parts.*count"):
            _step(row, "undo")
        self.assertEqual(Build.objects.get(pk=row.pk).version, 2)

    def test_a_failed_edit_leaves_no_trace(self) -> None:
        row = heron()
        with self.assertRaises(EasyTallyError):
            act(row, edits.ChangePart(part="card-1", changes={"count": -1}))
        self.assertEqual(_file(row), HERON)
        self.assertEqual(Change.objects.count(), 0)


class AcrossProcesses(TransactionTestCase):
    def test_another_process_undoes_and_redoes_it_all(self) -> None:
        results.forget()
        row = heron()
        act(
            row,
            edits.Connect(
                cable="graphics-3", plug="a", socket=SocketRef(part="card-2", socket="b")
            ),
        )
        act(row, edits.RemovePart(part="disk", release=True))
        last = _file(row)
        self.assertEqual(self._elsewhere(row, "undo", 2), HERON)
        self.assertEqual(self._elsewhere(row, "redo", 2), last)

    def _elsewhere(self, row: Build, way: str, times: int) -> str:
        code = (
            "from builds import actions, results; from builds.models import *\n"
            "from owners.models import current_owner\n"
            "from easy_tally.files import build_file\n"
            f"row = lambda: Build.objects.get(pk={row.pk})\n"
            f"for _ in range({times}): actions.{way}(current_owner(), row().key, row().version)\n"
            "print(build_file.write(results.current(row())), end='')"
        )
        name = str(connection.settings_dict["NAME"])
        done = subprocess.run(
            [sys.executable, str(ROOT / "server/manage.py"), "shell", "--no-imports", "-c", code],
            capture_output=True,
            text=True,
            check=True,
            env=os.environ | {"EASY_TALLY_DB": name, "EASY_TALLY_TESTING": "1"},
        )
        return done.stdout
