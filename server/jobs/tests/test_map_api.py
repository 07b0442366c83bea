"""Maps asked for over the interface: done, stopped, late, broken; the map stays as it was."""

from __future__ import annotations

import io
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any
from unittest.mock import patch

from builds.tests.support import HERON, ROOT, ApiCase
from django.core.management import call_command
from easy_tally.analysis import analyse
from easy_tally.files import build_file
from work.exchange import GONE_S, Exchange
from work.worker import QUEUE, work_on

from jobs import rows
from jobs.models import MapJob

CURLEW = (ROOT / "demo/builds/curlew.tally.json").read_text(encoding="utf-8")


class Apart(Exchange):
    """A queue in a file, whose clock goes as it is told."""

    past_s = 0.0

    def pass_s(self, seconds: float) -> None:
        """Let some seconds pass."""
        self.past_s += seconds

    def quiet_s(self, of: str, beat: str) -> float:
        with patch("time.monotonic", return_value=self.past_s):
            return super().quiet_s(of, beat)


@contextmanager
def workers(case: ApiCase) -> Iterator[Apart]:
    """Maps are asked of workers that are somewhere else."""
    with TemporaryDirectory() as folder:
        at = Apart(f"{folder}/queue.sqlite3", QUEUE)
        with patch.object(rows, "exchange", return_value=at):
            yield at
        at.huey.storage.close()


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
        (left,) = answer["left"]
        self.assertEqual((answer["status"], len(left["why"])), ("impossible", 3))
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

    def test_an_edit_ends_it_and_nothing_is_left_of_it(self) -> None:
        with workers(self) as at:
            key, _ = self._asked()
            token = MapJob.objects.get().token
            self.act(key, 1, type="change build", changes={"note": "x"})
            _, found = self.call("get", f"/builds/{key}/map")
            self.assertEqual((found["state"], found["answer"]), ("stopped", None))
            self.assertIsNone(at.job(token))
            work_on(at, token)  # whoever takes it now finds that nobody waits
            self.assertIsNone(at.answer_of(token))

    def test_a_stop_is_heard_and_what_is_so_far_is_the_answer(self) -> None:
        with workers(self) as at:
            key, _ = self._asked()
            token = MapJob.objects.get().token
            at.tell(token, {"done": 1, "of": 11})
            _, found = self.call("delete", f"/builds/{key}/map")
            self.assertEqual((found["state"], found["done"]), ("running", 1))
            self.assertFalse(at.wanted(token))
            work_on(at, token)
            _, found = self.call("get", f"/builds/{key}/map")
            self.assertEqual(found["state"], "stopped")
            self.call("delete", f"/builds/{key}/map")
            self.assertEqual(self.call("get", f"/builds/{key}/map")[1]["state"], "none")

    def test_a_stop_of_what_nobody_took_ends_it_at_once(self) -> None:
        with workers(self):
            key, _ = self._asked()
            _, found = self.call("delete", f"/builds/{key}/map")
            self.assertEqual(found["state"], "stopped")

    def test_one_replaced_is_called_off(self) -> None:
        with workers(self) as at:
            key, built = self._asked()
            first = MapJob.objects.get().token
            self._ask(key, built["version"])
            self.assertIsNone(at.job(first))
            self.assertNotEqual(MapJob.objects.get().token, first)

    def test_whose_worker_is_gone_is_given_to_the_next_and_then_ended(self) -> None:
        with workers(self) as at:
            key, _ = self._asked()
            first = MapJob.objects.get().token
            at.tell(first, {"done": 2, "of": 11})
            self.assertEqual(self.call("get", f"/builds/{key}/map")[1]["state"], "running")
            at.pass_s(GONE_S + 1)
            self.assertEqual(self.call("get", f"/builds/{key}/map")[1]["state"], "waiting")
            second = MapJob.objects.get().token
            # Whoever was cut off, not ended, and comes back is not heard.
            self.assertFalse(at.wanted(first))
            work_on(at, first)
            self.assertIsNone(at.answer_of(first))
            at.tell(second, {})
            self.call("get", f"/builds/{key}/map")
            at.pass_s(GONE_S + 1)
            _, found = self.call("get", f"/builds/{key}/map")
            self.assertEqual(found["state"], "failed")
            self.assertIn("the build is as it was", found["error"])

    def test_one_that_got_lost_in_the_queue_is_sent_again(self) -> None:
        with workers(self) as at:
            key, _ = self._asked()
            at.huey.storage.flush_queue()

            def look() -> int:
                at.here("w1", "", 0)
                with self.captureOnCommitCallbacks(execute=True):
                    self.call("get", f"/builds/{key}/map")
                return at.waiting()

            look()
            at.pass_s(2)
            look()
            at.pass_s(GONE_S + 1)
            self.assertEqual(look(), 1)
            at.huey.storage.flush_queue()
            at.huey.storage.flush_results()  # and one of a queue that was begun anew
            look()
            at.pass_s(GONE_S + 1)
            self.assertEqual(look(), 1)

    def test_one_that_is_sent_again_is_waited_for_anew(self) -> None:
        """Looks that come before somebody could take it neither send it once more nor end it."""
        with workers(self) as at:
            key, _ = self._asked()
            for _ in range(2):
                at.here("w1", "", 0)
                self.call("get", f"/builds/{key}/map")
                at.pass_s(GONE_S / 2 + 1)
            at.here("w1", "", 0)
            for _ in range(4):
                self.assertEqual(self.call("get", f"/builds/{key}/map")[1]["state"], "waiting")
            self.assertEqual((at.waiting(), MapJob.objects.get().tries), (2, 2))

    def test_what_feeds_a_build_as_it_was_is_called_off(self) -> None:
        with workers(self) as at:
            key = self.open()["key"]
            with self.captureOnCommitCallbacks(execute=True):
                self.call("post", f"/builds/{key}/feeds")
            self.assertIsNotNone(at.job(f"supplies-{key}-1"))
            self.act(key, 1, type="change build", changes={"note": "x"})
            with self.captureOnCommitCallbacks(execute=True):
                self.call("post", f"/builds/{key}/feeds")
            self.assertIsNone(at.job(f"supplies-{key}-1"))
            self.assertIsNotNone(at.job(f"supplies-{key}-2"))

    def test_one_that_was_never_sent_is_sent(self) -> None:
        with workers(self) as at:
            built = self.open()
            self.call("post", f"/builds/{built['key']}/map", {"base_version": built["version"]})
            self.assertEqual(MapJob.objects.get().token, "")  # the server was killed here
            for seconds, waiting in ((0, 0), (1, 0), (2, 1)):
                at.pass_s(seconds)
                with self.captureOnCommitCallbacks(execute=True):
                    self.call("get", f"/builds/{built['key']}/map")
                self.assertEqual(at.waiting(), waiting)

    def test_what_a_worker_left_that_is_gone_is_no_worker(self) -> None:
        with workers(self) as at:
            at.here("gone", "", 0)
            key, _ = self._asked()
            for _ in range(8):
                self.call("get", f"/builds/{key}/map")
                at.pass_s(2)
            _, found = self.call("get", f"/builds/{key}/map")
            self.assertEqual((found["state"], MapJob.objects.get().tries), ("waiting", 1))
            self.assertIn("No worker is there", found["waits"])

    def test_why_it_waits_is_said(self) -> None:
        with workers(self) as at:
            key, _ = self._asked()

            def said() -> tuple[str, list[str]]:
                _, found = self.call("get", f"/builds/{key}/map")
                return found["waits"], [b["what"] for b in found["busy"]]

            self.assertEqual(said(), ("", []))
            at.pass_s(2)
            at.here("w1", "the map of Curlew", 12)
            self.assertEqual(said(), ("", ["the map of Curlew"]))
            at.pass_s(GONE_S + 1)
            self.assertIn("No worker is there", said()[0])
            with patch("work.exchange.version", return_value="another"):
                at.here("w2", "", 0)
            self.assertIn("of another version", said()[0])
            at.pass_s(GONE_S + 1)
            self.assertIn("No worker is there", said()[0])

    def test_answers_that_are_none_are_left_out(self) -> None:
        for text in ("", "null", '{"state": "done", "answer": {"status": "mapped"}}', "[" * 9999):
            with self.subTest(text[:40]), workers(self) as at, self.assertLogs("jobs.rows"):
                key, _ = self._asked()
                at.answer(MapJob.objects.get(build__key=key).token, text)
                _, found = self.call("get", f"/builds/{key}/map")
                self.assertEqual((found["state"], found["answer"]), ("failed", None))

    def test_a_broker_that_is_away_is_told_and_the_map_waits(self) -> None:
        with workers(self) as at:
            key, built = self._asked()
            gone = patch.object(at.huey.storage, "peek_data", side_effect=OSError("no route"))
            with gone:
                _, found = self.call("get", f"/builds/{key}/map")
                self.assertEqual(found["state"], "waiting")
                self.assertIn("The broker does not answer (no route)", found["waits"])
            with patch.object(at.huey.storage, "put_data", side_effect=OSError("no route")):
                self._ask(key, built["version"])
            _, found = self.call("get", f"/builds/{key}/map")
            self.assertEqual(found["state"], "failed")
            self.assertIn("The broker does not answer", found["error"])

    def _ask(self, key: str, version: int) -> None:
        with self.captureOnCommitCallbacks(execute=True):
            self.call("post", f"/builds/{key}/map", {"base_version": version})

    def _asked(self) -> tuple[str, Any]:
        built = self.open()
        self._ask(built["key"], built["version"])
        return built["key"], built

    def test_a_solver_that_breaks_down_leaves_the_map_and_says_so(self) -> None:
        built = self.open()
        with patch("work.jobs.map_it", side_effect=MemoryError), self.assertLogs("work.jobs"):
            _, found = self.ask(built["key"], built["version"])
        self.assertEqual((found["state"], found["error"]), ("failed", "MemoryError"))
        _, now = self.call("get", f"/builds/{built['key']}")
        self.assertEqual((now["version"], now["doc"]), (built["version"], built["doc"]))

    def test_which_supplies_feed_all_sockets_and_which_rules(self) -> None:
        built = self.open()
        key = built["key"]
        with self.captureOnCommitCallbacks(execute=True):
            self.call("post", f"/builds/{key}/feeds")
            self.call("post", f"/builds/{key}/rule-feeds")
        _, found = self.call("get", f"/builds/{key}/feeds")
        by_slug = {f["slug"]: f["unfed"] for f in found}
        self.assertEqual(by_slug["rule:chained_graphics:by pins"], 0)
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
