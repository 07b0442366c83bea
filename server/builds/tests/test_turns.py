"""What takes its time is done outside the turn to write, and comes to the same."""

from __future__ import annotations

from typing import Any
from unittest.mock import patch

from base.memory import memory
from django.db import connection
from django.test import TestCase, TransactionTestCase
from django.test.utils import CaptureQueriesContext
from easy_tally import Build as CoreBuild
from easy_tally import Refused, WouldRelease
from easy_tally import editing as edits
from easy_tally.things import HouseRules, SocketRef
from owners.models import current_owner

from builds import actions, results, store, timely
from builds.collisions import StaleEdit
from builds.models import Build, Change
from builds.tests.support import ApiCase, act, heron

_WORK_OUT = results._work_out


def _watts(likely: float) -> edits.ChangePart:
    figure = {"low": likely, "likely": likely, "high": likely}
    return edits.ChangePart(part="card-1", changes={"board_power_w": figure})


class LargeBuilds(TransactionTestCase):
    """Heron, taken for a large build."""

    def setUp(self) -> None:
        patched = patch.object(results, "_SMALL", 5)
        patched.start()
        self.addCleanup(patched.stop)
        results.forget()
        self.row = heron()
        #: Whether the turn to write was held, of each build that was worked out.
        self.held: list[bool] = []
        spied = patch.object(results, "_work_out", self._work_out)
        spied.start()
        self.addCleanup(spied.stop)

    def _work_out(self, year: int, build: CoreBuild) -> results.Worked:
        self.held.append(connection.in_atomic_block)
        return _WORK_OUT(year, build)

    def test_an_edit_a_step_back_and_a_step_forth_are_worked_out_before_the_turn(self) -> None:
        owner = current_owner()
        act(self.row, _watts(311))
        act(self.row, edits.RemovePart(part="disk", release=True))
        memory.forget()
        for way in (actions.undo, actions.redo):
            row = Build.objects.get(pk=self.row.pk)
            way(owner, row.key, row.version)
            memory.forget()
        self.assertEqual(self.held, [False] * 4)

    def test_a_small_build_is_looked_at_once(self) -> None:
        with patch.object(results, "_SMALL", 100):
            act(self.row, _watts(311))  # its first, after a start: not known to be small
            self.held.clear()
            act(self.row, _watts(312))
        self.assertEqual(self.held, [True])

    def test_what_is_refused_changes_nothing(self) -> None:
        with self.assertRaises(WouldRelease) as caught:
            act(self.row, edits.RemovePart(part="disk"))
        self.assertEqual(len(caught.exception.released), 2)
        with self.assertRaises(Refused):
            actions.undo(current_owner(), self.row.key, 1)
        self.assertEqual(Change.objects.count(), 0)
        self.assertEqual(Build.objects.get(pk=self.row.pk).version, 1)

    def _meanwhile(self, other: edits.Edit) -> Any:
        """Somebody else's edit comes between what is worked out ahead and the turn."""
        ahead = actions._ahead

        def between(*given: Any) -> Any:
            found = ahead(*given)
            with patch.object(actions, "_ahead", ahead):
                act(self.row, other)
            return found

        return patch.object(actions, "_ahead", between)

    def test_what_somebody_else_wrote_in_between_stays(self) -> None:
        with self._meanwhile(edits.ChangeBuild(changes={"note": "theirs"})):
            act(self.row, _watts(311), base=1)
        row = Build.objects.get(pk=self.row.pk)
        now = store.read(row)
        card = now.part("card-1")
        assert card is not None
        assert card.kind == "card"
        assert card.board_power_w is not None
        self.assertEqual((row.version, now.note), (3, "theirs"))
        self.assertEqual(card.board_power_w.likely, 311)
        self.assertEqual(results.current(row), now)

    def test_the_same_figure_written_in_between_is_a_collision(self) -> None:
        with self._meanwhile(_watts(290)), self.assertRaises(StaleEdit):
            act(self.row, _watts(311), base=1)
        self.assertEqual(Build.objects.get(pk=self.row.pk).version, 2)

    def test_a_plug_that_was_free_ahead_and_is_taken_by_then_is_a_collision(self) -> None:
        at = SocketRef(part="disk", instance=3, socket="power")
        theirs = edits.Connect(cable="sata-1", plug="p3", socket=at)
        mine = edits.Connect(cable="sata-2", plug="p3", socket=at)
        with self._meanwhile(theirs), self.assertRaises(StaleEdit):
            act(self.row, mine, base=1)


class NothingToRedo(TransactionTestCase):
    """What could be redone is looked for only where there may be something."""

    def _looks(self, edit: edits.Edit) -> int:
        with CaptureQueriesContext(connection) as asked:
            act(self.row, edit)
        return sum("UPDATE" in q["sql"] and "builds_change" in q["sql"] for q in asked)

    def _places(self) -> list[int]:
        found = Change.objects.filter(seq__gt=0).values_list("seq", flat=True)
        return [seq for seq in found if seq]

    def test_behind_an_edit_there_is_none_and_behind_undo_there_is(self) -> None:
        results.forget()
        self.row = heron()
        self.assertEqual([self._looks(_watts(w)) for w in (311, 312, 313)], [1, 0, 0])
        row = Build.objects.get(pk=self.row.pk)
        actions.undo(current_owner(), row.key, row.version)
        self.assertEqual([self._looks(_watts(w)) for w in (314, 315)], [1, 0])
        self.assertEqual(self._places(), [1, 2, 3, 4])

    def test_another_process_undid_meanwhile(self) -> None:
        results.forget()
        self.row = heron()
        for watts in (311, 312):
            act(self.row, _watts(watts))
        known = dict(results.at_the_end)
        row = Build.objects.get(pk=self.row.pk)
        actions.undo(current_owner(), row.key, row.version)
        with patch.dict(results.at_the_end, known, clear=True):
            self.assertEqual(self._looks(_watts(313)), 1)
        self.assertEqual(self._places(), [1, 2])


class RulesEverywhere(ApiCase):
    """House rules set in every build, some at a time."""

    def _of_all(self) -> list[str]:
        rows = Build.objects.order_by("pk")
        return [results.current(r).house_rules.chained_graphics for r in rows if r.pk]

    def test_of_many_builds_some_are_left_for_the_next_time(self) -> None:
        rows = [heron() for _ in range(3)]
        self.assertEqual(self._of_all(), ["by plug"] * 3)
        body = {"house_rules": {"chained_graphics": "never"}, "everywhere": True}
        with patch.object(timely, "MOST_S", -1):
            status, told = self.call("put", "/house-rules", body)
            self.assertEqual((status, told["changed"]), (200, 1))
            self.assertEqual(told["left"], [r.key for r in rows[1:]])
            self.assertEqual(self._of_all(), ["never", "by plug", "by plug"])
            body["everywhere"] = told["left"]
            told = self.call("put", "/house-rules", body)[1]
            self.assertEqual((told["changed"], told["left"]), (1, [rows[2].key]))
        body["everywhere"] = told["left"]
        told = self.call("put", "/house-rules", body)[1]
        self.assertEqual((told["changed"], told["left"]), (1, []))
        self.assertEqual(self._of_all(), ["never"] * 3)
        self.assertEqual(Change.objects.count(), 3)

    def test_what_cannot_be_read_is_passed_over_and_what_is_gone_too(self) -> None:
        bad, good = heron(), heron()
        Build.objects.filter(pk=bad.pk).update(document='{"name": "Bad", "house_rules": 7}')
        results.forget()
        done = actions.set_rules(current_owner(), HouseRules(chained_graphics="never"), True)
        self.assertEqual(done, (1, []))
        left = [good.key, "nosuchbuild"]
        done = actions.set_rules(current_owner(), HouseRules(chained_graphics="by pins"), left)
        self.assertEqual(done, (1, []))

    def test_where_another_window_sets_them_in_the_same_moment_it_is_asked_again(self) -> None:
        row, ahead = heron(), actions._ahead

        def between(*given: Any) -> Any:
            with patch.object(actions, "_ahead", ahead):
                act(row, edits.ChangeBuild(house_rules={"chained_graphics": "by pins"}))
            return {}

        never = HouseRules(chained_graphics="never")
        with patch.object(actions, "_ahead", between):
            self.assertEqual(actions.set_rules(current_owner(), never, True), (0, [row.key]))
        self.assertEqual(self._of_all(), ["by pins"])
        self.assertEqual(actions.set_rules(current_owner(), never, [row.key]), (1, []))
        self.assertEqual(self._of_all(), ["never"])

    def test_new_builds_alone(self) -> None:
        heron()
        body = {"house_rules": {"chained_graphics": "never"}}
        told = self.call("put", "/house-rules", body)[1]
        self.assertEqual((told["changed"], told["left"]), (0, []))
        self.assertEqual(self._of_all(), ["by plug"])
        self.assertEqual(current_owner().house_rules["chained_graphics"], "never")

    def test_rules_that_are_the_same_already_change_nothing(self) -> None:
        heron()
        now = results.current(Build.objects.get()).house_rules
        self.assertEqual(actions.set_rules(current_owner(), now, True), (0, []))
        self.assertEqual(Change.objects.count(), 0)


class SomeAtATime(ApiCase):
    """What is computed for each position and each assumption."""

    def _whole(self, path: str) -> list[Any]:
        """All of it, asked for until none comes."""
        found: list[Any] = []
        while True:
            status, told = self.call("get", f"{path}?after={len(found)}")
            self.assertEqual(status, 200)
            if not told:
                return found
            found += told.items() if isinstance(told, dict) else told

    def test_asked_for_one_by_one_it_is_the_same(self) -> None:
        at = f"/builds/{self.open()['key']}"
        for name in ("positions", "assumptions"):
            with self.subTest(name):
                with patch.object(timely, "MOST_S", 60):
                    at_once = self.call("get", f"{at}/{name}")[1]
                with patch.object(timely, "MOST_S", -1):
                    self.assertEqual(len(self.call("get", f"{at}/{name}")[1]), 1)
                    one_by_one = self._whole(f"{at}/{name}")
                if isinstance(at_once, dict):
                    at_once = list(at_once.items())
                self.assertEqual(one_by_one, [*map(type(one_by_one[0]), at_once)])
        self.assertEqual(self.call("get", f"{at}/positions?after=-3")[0], 200)


class DocumentThatCannotBeRead(TestCase):
    def test_a_build_is_found_without_it(self) -> None:
        results.forget()
        row = heron()
        document = '{"name": ' + "1" * 5_000 + "}"  # more digits than Python takes
        Build.objects.filter(pk=row.pk).update(document=document)
        found = actions.find(current_owner(), row.key)
        self.assertEqual((found.pk, found.version), (row.pk, 1))
        with self.assertRaises(store.Unreadable):
            results.current(found)
        with self.assertRaises(actions.NoBuild):
            actions.find(current_owner(), "nosuchbuild")
