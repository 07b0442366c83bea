"""Two windows on one build."""

from __future__ import annotations

import json
import threading
from typing import Any

from django.db import connection
from django.test import TransactionTestCase
from easy_tally import Build as CoreBuild
from easy_tally import editing as edits
from easy_tally.things import SocketRef
from owners.models import current_owner

from builds import actions, results
from builds.collisions import StaleEdit
from builds.models import Build, Change
from builds.tests.support import ROOT, ApiCase, act, heron


def _watts(value: float) -> dict[str, Any]:
    return {"low": value, "likely": value, "high": value, "origin": "maker", "note": ""}


class TwoWindows(ApiCase):
    def test_edits_to_different_things_both_go_in(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change part", part="card-1", changes={"name": "Left"})
        status, written = self.act(
            key, 1, type="change part", part="card-2", changes={"name": "Right"}
        )
        self.assertEqual((status, written["version"]), (200, 3))
        names = [p["name"] for p in self.call("get", f"/builds/{key}")[1]["doc"]["parts"]]
        self.assertIn("Left", names)
        self.assertIn("Right", names)

    def test_different_fields_of_one_part_both_go_in(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change part", part="card-1", changes={"name": "Left"})
        status, _ = self.act(key, 1, type="change part", part="card-1", changes={"lanes": 8})
        self.assertEqual(status, 200)

    def test_notes_on_two_adapters_both_go_in_and_undo_keeps_one_alone(self) -> None:
        file = json.loads((ROOT / "demo/builds/curlew.tally.json").read_text(encoding="utf-8"))
        file["adapters"].append(file["adapters"][0] | {"key": "another", "connections": []})
        built = self.open(json.dumps(file))
        key, adapters = built["key"], [a["key"] for a in built["doc"]["adapters"]]
        self.assertEqual(len(adapters), 2)

        def rename(adapter: str, name: str) -> tuple[int, Any]:
            action = {"type": "change adapter", "key": adapter, "changes": {"name": name}}
            body = {"base_version": 1, "action": action}
            return self.call("post", f"/builds/{key}/actions", body)

        self.assertEqual([rename(a, f"The {a}")[0] for a in adapters], [200, 200])
        doc = self.call("get", f"/builds/{key}")[1]["doc"]
        self.assertEqual({a["name"] for a in doc["adapters"]}, {f"The {a}" for a in adapters})
        (touched,) = Change.objects.get(seq=1).images
        self.assertEqual(touched["entity"], f"adapter:{adapters[0]}")
        cable = len(json.dumps(built["doc"]["cables"][0]))
        self.assertLess(len(json.dumps(touched["before"])), 2 * cable)
        status, problem = rename(adapters[1], "Mine")
        self.assertEqual(status, 409)
        self.assertEqual(problem["conflicts"][0]["path"], f"adapter:{adapters[1]}/name")
        self.call("post", f"/builds/{key}/undo", {"base_version": 3})
        doc = self.call("get", f"/builds/{key}")[1]["doc"]
        self.assertEqual(doc["adapters"][0]["name"], f"The {adapters[0]}")

    def test_what_undo_took_back_and_a_new_edit_buried_still_collides(self) -> None:
        key = self.open()["key"]
        change = {"type": "change part", "part": "card-1"}
        self.act(key, 1, **change, changes={"name": "Left"})
        self.call("post", f"/builds/{key}/undo", {"base_version": 2})
        self.act(key, 3, type="change build", changes={"note": "buries it"})
        status, problem = self.act(key, 2, **change, changes={"name": "Mine"})
        self.assertEqual((status, problem["conflicts"][0]["path"]), (409, "part:card-1/name"))

    def test_the_same_field_gives_both_values(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change part", part="card-1", changes={"board_power_w": _watts(300)})
        status, problem = self.act(
            key, 1, type="change part", part="card-1", changes={"board_power_w": _watts(350)}
        )
        self.assertEqual(
            (status, problem["type"], problem["version"]), (409, "urn:easy-tally:stale", 2)
        )
        conflict = problem["conflicts"][0]
        self.assertEqual(conflict["path"], "part:card-1/board_power_w")
        self.assertEqual((conflict["yours"]["likely"], conflict["theirs"]["likely"]), (350, 300))

    def test_either_can_be_taken(self) -> None:
        """Keeping mine is the same edit on the version that the conflict named."""
        key = self.open()["key"]
        change = {"type": "change part", "part": "card-1"}
        self.act(key, 1, **change, changes={"board_power_w": _watts(300)})
        status, _ = self.act(key, 2, **change, changes={"board_power_w": _watts(350)})
        self.assertEqual(status, 200)

    def test_one_socket_wanted_by_both(self) -> None:
        key = self.open()["key"]
        socket = {"part": "disk", "instance": 3, "socket": "power"}
        self.act(key, 1, type="connect", cable="sata-1", plug="p3", socket=socket)
        status, problem = self.act(key, 1, type="connect", cable="sata-2", plug="p1", socket=socket)
        self.assertEqual((status, problem["type"]), (409, "urn:easy-tally:stale"))
        paths = {c["path"]: c["theirs"] for c in problem["conflicts"]}
        self.assertEqual(paths["socket:disk#3/power"], "sata-1 p3")

    def test_plugs_of_one_chain_go_in_from_both(self) -> None:
        key = self.open()["key"]
        self.act(
            key,
            1,
            type="connect",
            cable="sata-1",
            plug="p3",
            socket={"part": "disk", "instance": 3, "socket": "power"},
        )
        status, _ = self.act(key, 1, type="park", cable="sata-1", plug="p1")
        self.assertEqual(status, 200)

    def test_removed_meanwhile(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="remove part", part="card-1", release=True)
        status, problem = self.act(key, 1, type="change part", part="card-1", changes={"name": "X"})
        self.assertEqual((status, problem["type"]), (404, "urn:easy-tally:not-there"))

    def test_single_assumptions_and_rules_do_not_collide(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change build", assumptions={"room_degc": 30})
        status, _ = self.act(
            key,
            1,
            type="change build",
            assumptions={"fan_idle_share": {"low": 0.1, "likely": 0.3, "high": 1}},
        )
        self.assertEqual(status, 200)
        status, problem = self.act(key, 1, type="change build", assumptions={"room_degc": 20})
        self.assertEqual(problem["conflicts"][0]["path"], "build/assumptions/room_degc")

    def test_undo_of_what_the_window_has_not_seen_is_told(self) -> None:
        key = self.open()["key"]
        self.act(key, 1, type="change build", changes={"name": "Theirs"})
        status, problem = self.call("post", f"/builds/{key}/undo", {"base_version": 1})
        self.assertEqual((status, problem["type"]), (409, "urn:easy-tally:stale"))
        self.assertEqual(self.call("post", f"/builds/{key}/undo", {"base_version": 2})[0], 200)

    def test_a_version_from_the_future(self) -> None:
        key = self.open()["key"]
        status, _ = self.act(key, 9, type="change build", changes={"name": "X"})
        self.assertEqual(status, 409)

    def test_a_stale_edit_that_is_refused_by_what_came_meanwhile(self) -> None:
        row = heron()
        act(
            row,
            edits.Connect(
                cable="sata-2",
                plug="p1",
                socket=SocketRef(part="disk", instance=3, socket="power"),
                ports=("d2",),
            ),
        )
        with self.assertRaises(StaleEdit):
            act(
                row,
                edits.Connect(
                    cable="peripheral-1",
                    plug="p1",
                    socket=SocketRef(part="disk", instance=3, socket="power"),
                    ports=("d2",),
                ),
                base=1,
            )


class AtOnce(TransactionTestCase):
    def test_many_writers_lose_nothing(self) -> None:
        """Four threads, ten edits each to a part of their own: forty versions, every edit in."""
        results.forget()
        row = heron()
        errors: list[BaseException] = []

        def work(part: str) -> None:
            try:
                for i in range(10):
                    change = edits.ChangePart(part=part, changes={"note": f"{part} {i}"})
                    # Every thread stands on the first version: none has seen the others.
                    base = 1 if i == 0 else None
                    act(row, change, base)
            except BaseException as error:  # noqa: BLE001 - told by the test
                errors.append(error)
            finally:
                connection.close()

        current_owner()
        threads = [
            threading.Thread(target=work, args=(p,)) for p in ("card-1", "card-2", "disk", "fan")
        ]
        for t in threads:
            t.start()
        for t in threads:
            t.join()
        self.assertEqual(errors, [])
        found = Build.objects.get(pk=row.pk)
        self.assertEqual((found.version, found.head), (41, 40))
        results.forget()
        notes = [
            p.note
            for p in results.current(found).parts
            if p.key in ("card-1", "card-2", "disk", "fan")
        ]
        self.assertEqual(notes, ["card-1 9", "card-2 9", "disk 9", "fan 9"])


class Snapshots(TransactionTestCase):
    """As with two servers on one database: what is read is of the version that is told."""

    def test_version_and_document_are_of_one_moment(self) -> None:
        owner = current_owner()
        row = actions.create(owner, CoreBuild(name="v1"))
        over = threading.Event()

        def write() -> None:
            try:
                while not over.is_set():
                    now = actions.find(owner, row.key)
                    edit = edits.ChangeBuild(changes={"name": f"v{now.version + 1}"})
                    actions.act(owner, row.key, now.version, edit)
            finally:
                connection.close()

        writer = threading.Thread(target=write)
        writer.start()
        versions = set()
        try:
            for _ in range(60):
                read = actions.find(owner, row.key)
                results.forget()  # as in a process that did not write it
                build = results.current(read)
                self.assertEqual(build.name, f"v{read.version}")
                versions.add(read.version)
        finally:
            over.set()
            writer.join()
        self.assertGreater(len(versions), 1)
