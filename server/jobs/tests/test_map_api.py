"""Maps asked for over the interface: done, stopped, late, broken; the map stays as it was."""

from __future__ import annotations

import io
from datetime import timedelta
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any
from unittest.mock import patch

from builds.models import Build
from builds.tests.support import HERON, ROOT, ApiCase
from django.core.management import call_command
from django.test import override_settings
from django.utils import timezone
from easy_tally.files import build_file
from easy_tally.findings import analyse

from jobs import tasks
from jobs.models import MapJob

CURLEW = (ROOT / "demo/builds/curlew.tally.json").read_text(encoding="utf-8")


class Maps(ApiCase):
    def ask(self, key: str, version: int, **more: Any) -> tuple[int, Any]:
        """Ask for a map; the worker is done when this returns."""
        with self.captureOnCommitCallbacks(execute=True):
            status, found = self.call(
                "post", f"/builds/{key}/map", {"base_version": version, **more}
            )
        if status != 200:
            return status, found
        return self.call("get", f"/builds/{key}/map")

    def test_mapped_proven_and_taken_in_one_step_and_undone(self) -> None:
        built = self.open()
        key = built["key"]
        status, found = self.ask(key, built["version"])
        self.assertEqual((status, found["state"]), (200, "done"))
        answer = found["answer"]
        self.assertEqual((answer["status"], answer["proven"]), ("mapped", True))
        status, done = self.act(key, built["version"], **answer["edit"])
        self.assertEqual(status, 200)
        self.assertEqual(done["result"]["strip"]["mend"], {})
        self.call("post", f"/builds/{key}/undo", {"base_version": done["version"]})
        _, now = self.call("get", f"/builds/{key}")
        self.assertEqual(now["doc"]["runs"], built["doc"]["runs"])

    def test_the_rest_one_part_and_the_least_change(self) -> None:
        built = self.open()
        for wish in ({"what": "least"}, {"what": "part", "part": "disk"}, {"what": "rest"}):
            with self.subTest(wish):
                _, found = self.ask(built["key"], built["version"], **wish)
                self.assertEqual(found["wish"], {"part": ""} | wish)
                self.assertEqual(found["state"], "done")
        # What is plugged breaks the rule, so nothing can be laid beside it; the facts say so.
        self.assertTrue(any("stay as it is" in w for w in found["answer"]["why"]))

    def test_no_map_says_why_and_a_repair_mends_it(self) -> None:
        built = self.open(CURLEW)
        _, found = self.ask(built["key"], built["version"])
        answer = found["answer"]
        self.assertEqual((answer["status"], len(answer["why"])), ("impossible", 3))
        status, done = self.act(built["key"], built["version"], **answer["repairs"][0]["edit"])
        self.assertEqual(status, 200)
        strip = done["result"]["strip"]
        self.assertEqual(strip["sockets_fed"], strip["sockets_needed"])

    def test_of_a_version_that_is_gone_it_is_refused(self) -> None:
        built = self.open()
        self.act(built["key"], built["version"], type="change build", changes={"note": "x"})
        status, found = self.ask(built["key"], built["version"])
        self.assertEqual(
            (status, found["detail"]), (422, "The build has changed meanwhile; ask again.")
        )

    def test_an_edit_ends_it(self) -> None:
        built = self.open()
        row = Build.objects.get(key=built["key"])
        wish = {"what": "all", "part": ""}
        job = MapJob.objects.create(build=row, token="t", version=row.version, wish=wish)
        self.act(built["key"], built["version"], type="change build", changes={"note": "x"})
        tasks.run_map.call_local(job.pk, "t")
        job.refresh_from_db()
        self.assertEqual((job.state, job.answer), ("stopped", None))

    def test_a_stop_is_heard_and_one_replaced_writes_nothing(self) -> None:
        built = self.open()
        row = Build.objects.get(key=built["key"])
        job = MapJob.objects.create(
            build=row, token="t", version=row.version, wish={"what": "all", "part": ""}
        )
        status, found = self.call("delete", f"/builds/{built['key']}/map")
        self.assertEqual((status, found["state"]), (200, "waiting"))
        tasks.run_map.call_local(job.pk, "other")
        job.refresh_from_db()
        self.assertEqual(job.state, "waiting")
        tasks.run_map.call_local(job.pk, "t")
        job.refresh_from_db()
        self.assertEqual(job.state, "stopped")
        self.call("delete", f"/builds/{built['key']}/map")
        self.assertEqual(self.call("get", f"/builds/{built['key']}/map")[1]["state"], "none")

    def test_a_solver_that_breaks_down_leaves_the_map_and_says_so(self) -> None:
        built = self.open()
        with patch("jobs.tasks.map_it", side_effect=MemoryError), self.assertLogs("jobs.tasks"):
            _, found = self.ask(built["key"], built["version"])
        self.assertEqual((found["state"], found["error"]), ("failed", "MemoryError"))
        _, now = self.call("get", f"/builds/{built['key']}")
        self.assertEqual((now["version"], now["doc"]), (built["version"], built["doc"]))

    @override_settings(TASKS_AT_ONCE=False)
    def test_a_worker_that_is_gone_is_told(self) -> None:
        built = self.open()
        row = Build.objects.get(key=built["key"])
        MapJob.objects.create(build=row, token="t", version=row.version, wish={}, state="running")
        MapJob.objects.update(seen=timezone.now() - timedelta(minutes=2))
        _, found = self.call("get", f"/builds/{built['key']}/map")
        self.assertEqual(found["state"], "failed")
        self.assertIn("The map is as it was", found["error"])

    def test_which_supplies_feed_all_sockets_and_which_rules(self) -> None:
        built = self.open()
        key = built["key"]
        with self.captureOnCommitCallbacks(execute=True):
            self.call("post", f"/builds/{key}/feeds")
            self.call("post", f"/builds/{key}/rule-feeds")
        _, found = self.call("get", f"/builds/{key}/feeds")
        by_slug = {f["slug"]: f["unfed"] for f in found}
        self.assertEqual(by_slug["rule:by pins"], 0)
        self.assertEqual(sum(not s.startswith("rule:") for s in by_slug), 4)
        self.assertTrue(all(f["needed"] == 10 for f in found))


class ByCommand(ApiCase):
    def _map(self, text: str) -> tuple[int, str, str]:
        with TemporaryDirectory() as folder:
            path, out = Path(folder) / "in.json", Path(folder) / "out.json"
            path.write_text(text, encoding="utf-8")
            said = io.StringIO()
            with self.assertRaises(SystemExit) as ended:
                call_command("tally", str(path), "--map", str(out), stdout=said)
            return int(ended.exception.code or 0), said.getvalue(), out.read_text(encoding="utf-8")

    def test_mapped_and_proven(self) -> None:
        status, said, out = self._map(HERON)
        self.assertEqual(status, 0)
        self.assertIn("Mapped, proven best.", said)
        a = analyse(build_file.read(out))
        self.assertEqual([r for r in a.needed if r not in a.wired.live], [])

    def test_impossible(self) -> None:
        status, said, _ = self._map(CURLEW)
        self.assertEqual(status, 4)
        self.assertIn("Left unfed: Whimbrel XL · c", said)
