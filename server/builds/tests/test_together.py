"""What is asked of one thing at once is done together, and comes to the same as one by one."""

from __future__ import annotations

import random
import threading
import time
from collections.abc import Callable
from typing import Any
from unittest.mock import patch

from base import writing
from django.db import connection, transaction
from django.test import TransactionTestCase
from easy_tally import EasyTallyError
from easy_tally import editing as edits
from easy_tally.files import build_file
from easy_tally.things import SocketRef
from owners.models import current_owner

from builds import actions, results, store
from builds.collisions import StaleEdit
from builds.models import Build, Change
from builds.tests.support import HERON, act, heron
from builds.together import Together, _Waiting


def _watts(part: str, likely: float) -> edits.ChangePart:
    figure = {"low": likely, "likely": likely, "high": likely}
    return edits.ChangePart(part=part, changes={"board_power_w": figure})


def _called(part: str, name: str) -> edits.ChangePart:
    return edits.ChangePart(part=part, changes={"name": name})


def _at_once(
    asked: list[Callable[[], Any]], begin: threading.Event, waits: Callable[[int], bool]
) -> list[Any]:
    """What each gives, or the error that it raises. Each comes once the one before is where it
    waits, and `begin` is set when all of them do."""
    found: list[Any] = [None] * len(asked)

    def one(n: int) -> None:
        try:
            found[n] = asked[n]()
        except Exception as error:  # noqa: BLE001 - looked at below
            found[n] = error
        finally:
            connection.close()

    threads = [threading.Thread(target=one, args=(n,)) for n in range(len(asked))]
    for n, thread in enumerate(threads):
        thread.start()
        until = time.monotonic() + 30
        while not waits(n) and time.monotonic() < until:
            time.sleep(0.002)
    begin.set()
    for thread in threads:
        thread.join()
    return found


def _are_waiting(together: Together[Any, Any, Any], thing: Any, many: int) -> bool:
    """Whether somebody is at a thing and so many wait until he is done."""
    lock = together.one_at_a_time(thing)
    if lock.acquire(blocking=False):
        lock.release()
        return False
    return len(together._waiting.get(thing, [])) == many


class DoneTogether(TransactionTestCase):
    """Numbers, of which nobody may ask for 13 and 7 spoils it for all who are with it."""

    def setUp(self) -> None:
        self.begin = threading.Event()
        self.runs: list[list[int]] = []
        self.together = Together(self._all_of)

    def _all_of(self, thing: str, asked: list[int]) -> list[str | Exception]:
        self.runs.append(asked)
        self.begin.wait(10)
        if 7 in asked:
            raise ZeroDivisionError(f"{len(asked)} asked")
        return [ValueError(n) if n == 13 else f"{thing} {n} of {len(asked)}" for n in asked]

    def _ask(self, *numbers: int) -> list[Any]:
        asked = [lambda n=n: self.together.do("a", n) for n in numbers]
        return _at_once(asked, self.begin, lambda n: _are_waiting(self.together, "a", n))

    def test_those_who_come_while_one_is_at_it_are_done_in_one_go(self) -> None:
        self.assertEqual(self._ask(1, 2, 3, 4), ["a 1 of 1", *(f"a {n} of 3" for n in (2, 3, 4))])
        self.assertEqual(self.runs, [[1], [2, 3, 4]])

    def test_an_error_is_his_alone(self) -> None:
        found = self._ask(1, 2, 13, 3)
        self.assertIsInstance(found[2], ValueError)
        self.assertEqual([found[1], found[3]], ["a 2 of 3", "a 3 of 3"])

    def test_what_spoils_it_for_all_is_met_by_him_alone(self) -> None:
        found = self._ask(1, 2, 7, 3)
        self.assertEqual(str(found[2]), "1 asked")
        self.assertEqual([found[1], found[3]], ["a 2 of 1", "a 3 of 1"])
        self.assertEqual(self.runs[:2], [[1], [2, 7, 3]])
        self.assertEqual(sorted(self.runs[2:]), [[2], [3], [7]])

    def test_another_thing_does_not_wait(self) -> None:
        other = next(
            n
            for n in range(100)
            if self.together.one_at_a_time(n) is not self.together.one_at_a_time("a")
        )
        asked = [lambda: self.together.do("a", 1), lambda: self.together.do(other, 2)]
        found = _at_once(asked, self.begin, lambda n: len(self.runs) == n + 1)
        self.assertEqual(found, ["a 1 of 1", f"{other} 2 of 1"])

    def test_within_a_transaction_nobody_elses_is_done(self) -> None:
        together = Together[str, int, int](lambda _, asked: [n + 1 for n in asked])
        # Somebody is first, and can't come to it before this transaction is over.
        together._waiting["a"] = [_Waiting(0)]
        with patch.object(threading.Event, "wait", side_effect=AssertionError):
            with transaction.atomic():
                self.assertEqual(together.do("a", 1), 2)
            with self.assertRaises(AssertionError):
                together.do("a", 1)


class EditsAtOnce(TransactionTestCase):
    """Edits of Heron that wait for the turn to write."""

    def setUp(self) -> None:
        results.forget()
        self.row = heron()
        act(self.row, edits.ChangeBuild(changes={"note": "known to be small"}))
        self.worked: list[int] = []

    def _edits(self, *asked: edits.Edit) -> list[Any]:
        """All made on one version, while somebody has the turn to write."""
        owner, version = current_owner(), self._now().version
        acts = [lambda e=e: actions.act(owner, self.row.key, version, e) for e in asked]
        with patch.object(results, "_work_out", self._work_out):
            return self._at_once(acts)

    def _at_once(self, asked: list[Callable[[], Any]]) -> list[Any]:
        begin, held = threading.Event(), threading.Event()

        def busy() -> None:
            with writing._TURN:
                held.set()
                begin.wait(30)

        def waits(n: int) -> bool:
            of = (current_owner(), self.row.key)
            return _are_waiting(actions._TOGETHER, of, n - 1) if n else held.is_set()

        return _at_once([busy, *asked], begin, waits)[1:]

    def _work_out(self, year: int, build: Any) -> results.Worked:
        self.worked.append(1)
        return results.Worked(found := results.analyse(build, year), results.compact(found))

    def _now(self) -> Build:
        return Build.objects.get(pk=self.row.pk)

    def test_each_is_a_change_of_its_own_and_all_are_worked_out_at_most_twice(self) -> None:
        before = store.read(self._now())
        found = self._edits(
            _called("card-1", "Left"),
            _watts("card-2", 290),
            _called("disk", "Disks"),
            _called("fan", "Fans"),
            edits.RemovePart(part="usb"),
        )
        self.assertEqual([type(f) for f in found], [actions.Written] * 5)
        self.assertLessEqual(len(self.worked), 2)
        now = self._now()
        self.assertEqual((now.version, now.head), (7, 6))
        self.assertEqual({f.row.version for f in found[1:]}, {7})
        self.assertEqual(results.current(now), store.read(now))
        self.assertEqual(found[-1].build, store.read(now))
        for _ in range(5):
            now = actions.undo(current_owner(), self.row.key, now.version).row
        self.assertEqual(store.read(now), before)

    def test_the_second_of_two_that_change_the_same_is_told_of_the_first(self) -> None:
        found = self._edits(
            _called("fan", "Before"),
            _watts("card-1", 311),
            _watts("card-1", 290),
            _called("card-1", "Left"),
        )
        self.assertIsInstance(found[2], StaleEdit)
        ((path, mine, theirs),) = found[2].conflicts
        self.assertEqual(path, "part:card-1/board_power_w")
        self.assertEqual((mine["likely"], theirs["likely"]), (290, 311))
        self.assertEqual(self._now().head, 4)

    def test_all_are_told_what_they_changed_between_them(self) -> None:
        found = self._edits(
            _called("fan", "Before"),
            _watts("card-1", 311),
            _called("card-1", "Left"),
            edits.RemovePart(part="usb"),
            _called("fan", "Before"),
        )
        told = {t["entity"]: t["after"] for t in found[1].changed}
        self.assertEqual(told.keys() - {"part:fan"}, {"part:card-1", "part:usb"})
        self.assertIsNone(told["part:usb"])
        self.assertEqual(told["part:card-1"]["name"], "Left")
        self.assertEqual(told["part:card-1"]["board_power_w"]["likely"], 311)
        self.assertEqual(found[4].changed, [])  # it was called that already

    def test_the_page_is_told_so(self) -> None:
        version = self._now().version

        def post(part: str) -> Any:
            action = {"type": "change part", "part": part, "changes": {"name": "New"}}
            body = {"base_version": version, "action": action}
            at = f"/api/v1/builds/{self.row.key}/actions"
            return self.client_class().post(at, body, content_type="application/json").json()

        parts = ["fan", "card-1", "card-2", "disk"]
        told = self._at_once([lambda p=p: post(p) for p in parts])
        self.assertEqual(told[1], told[3])
        self.assertEqual(told[3]["version"], version + 4)
        changed = {c["entity"] for c in told[3]["changed"]}
        self.assertLessEqual({f"part:{p}" for p in parts[1:]}, changed)


_DISK_3 = SocketRef(part="disk", instance=3, socket="power")
#: Some that go well together, some that are refused, some of which the second collides.
_POOL: list[edits.Edit] = [
    _called("card-1", "Left"),
    _called("fan", "Fans"),
    _called("fan", "Blowers"),
    _watts("card-1", 311),
    _watts("card-1", 290),
    _watts("card-2", 305),
    edits.ChangeBuild(changes={"note": "edited"}),
    edits.ChangeBuild(changes={"name": "H2"}),
    edits.RemovePart(part="usb"),
    edits.RemovePart(part="strip"),
    edits.RemovePart(part="disk"),
    edits.RemovePart(part="disk", release=True),
    edits.RemovePart(part="nothing"),
    edits.AddPart.model_validate({"part": {"kind": "fan", "key": "new", "name": "New"}}),
    edits.AddPart.model_validate({"part": {"kind": "fan", "key": "usb", "name": "Not USB"}}),
    edits.Connect(cable="sata-1", plug="p3", socket=_DISK_3),
    edits.Connect(cable="sata-2", plug="p3", socket=_DISK_3),
    edits.Park(cable="sata-1", plug="p1"),
    edits.Unplug(cable="sixteen-1"),
    edits.RemoveCable(cable="graphics-3"),
    edits.RemoveCable(cable="peripheral-1"),
    edits.ChangePart(part="disk", changes={"count": 5}),
]


class AsOneByOne(TransactionTestCase):
    """Any edits together come to what they come to one after another."""

    def _log(self, row: Build) -> list[Any]:
        changes = Change.objects.filter(build=row)
        return list(changes.values_list("version", "seq", "title", "images", "paths"))

    def _one_by_one(self, row: Build, asked: list[edits.Edit], base: int) -> list[type]:
        kinds: list[type] = []
        for edit in asked:
            try:
                kinds.append(type(act(row, edit, base=base)))
            except (EasyTallyError, StaleEdit) as error:
                kinds.append(type(error))
        return kinds

    def test_over_many_mixed_up_ones(self) -> None:
        owner, met = current_owner(), set()
        for seed in range(24):
            mixed = random.Random(seed).sample(_POOL, 9) if seed else _POOL[8:9] + _POOL[13:15]
            with self.subTest(seed), patch.object(results, "_SMALL", 5 if seed % 4 == 0 else 100):
                alone, together = heron(), heron()
                for row in (alone, together):
                    act(row, _called("hub", "Hub 1"))  # a base that is not the newest version
                asked = [actions._Asked(1, edit) for edit in mixed]
                kinds = self._one_by_one(alone, mixed, 1)
                found = actions._act((owner, together.key), asked)
                self.assertEqual([type(f) for f in found], kinds)
                self.assertEqual(self._log(together), self._log(alone))
                now = Build.objects.get(pk=together.pk)
                self.assertEqual(store.read(now), store.read(_now(alone)))
                self.assertEqual(results.current(now), store.read(now))
                self.assertEqual(now.version, _now(alone).version)
                met |= set(kinds)
        self.assertGreaterEqual(len(met), 4)  # written, refused, would unplug, stale, not there

    def test_undone_they_leave_what_was(self) -> None:
        row = heron()
        asked = [actions._Asked(1, edit) for edit in _POOL]
        actions._act((current_owner(), row.key), asked)
        now = _now(row)
        while now.head:
            now = actions.undo(current_owner(), row.key, now.version).row
        self.assertEqual(store.read(now), build_file.read(HERON))


def _now(row: Build) -> Build:
    """The row as it is now."""
    return Build.objects.get(pk=row.pk)
