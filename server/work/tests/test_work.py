"""Workers: they need a broker and nothing else, and trust nothing that lies there."""

from __future__ import annotations

import os
import pickle
import sqlite3
import subprocess
import sys
import time
import unittest
from contextlib import closing
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any
from unittest.mock import patch

from easy_tally.advice import map_it
from easy_tally.files import build_file, kits_csv
from easy_tally.mapping import InStock
from easy_tally.publishing import map_answer
from easy_tally.things import Build

from work.exchange import Exchange, Unreachable, set_aside
from work.jobs import ANSWER, Answered, Desk, FeedsAsked, KitSent, MapAsked, RulesAsked, Stock, do
from work.outcomes import look
from work.worker import QUEUE, Busy, work_on

SERVER = Path(__file__).resolve().parent.parent.parent
HERON = (SERVER.parent / "demo/builds/heron.tally.json").read_text(encoding="utf-8")

SUPPLIES = (SERVER.parent / "catalogue/supplies.csv").read_text(encoding="utf-8")


def asked(**more: Any) -> MapAsked:
    """A map of Heron."""
    fields = {"called": "the map of Heron", "document": HERON, "year": 2026, "what": "all"}
    return MapAsked.model_validate(fields | more)


class Worked(unittest.TestCase):
    def setUp(self) -> None:
        folder = TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.file = Path(folder.name) / "queue.sqlite3"
        self.at = Exchange(str(self.file), QUEUE)
        self.addCleanup(self.at.huey.storage.close)

    def answer_of(self, token: str, seconds: float = 30) -> Answered:
        """What comes of a job, within some time."""
        until = time.monotonic() + seconds
        while time.monotonic() < until:
            text = self.at.answer_of(token)
            if text is not None:
                return Answered.model_validate_json(text)
            time.sleep(0.05)
        raise AssertionError("nothing came")

    def test_a_worker_needs_a_broker_alone_and_ends_with_who_started_it(self) -> None:
        with TemporaryDirectory() as elsewhere:
            starts = (
                "import subprocess, sys, os, time\n"
                "os.environ['EASY_TALLY_PARENT'] = str(os.getpid())\n"
                "print(subprocess.Popen([sys.executable, '-m', 'work.worker']).pid, flush=True)\n"
                "time.sleep(60)\n"
            )
            env = {
                "EASY_TALLY_BROKER": str(self.file),
                "PYTHONPATH": str(SERVER),
                "HOME": "/nope",
                "EASY_TALLY_VAR": "/dev/null/nowhere",
                "PATH": "",
            }
            parent = subprocess.Popen(
                [sys.executable, "-c", starts],
                cwd=elsewhere,
                env=env,
                text=True,
                stdout=subprocess.PIPE,
            )
            assert parent.stdout is not None
            pid = int(parent.stdout.readline())
            try:
                token = self.at.ask(asked().model_dump_json())
                found = self.answer_of(token)
                self.assertEqual((found.state, found.answer["status"]), ("done", "mapped"))
                self.assertEqual(os.listdir(elsewhere), [])
                self.assertEqual([w.busy for w in self.at.workers()], [""])
            finally:
                parent.kill()
                parent.wait()
                parent.stdout.close()
            until = time.monotonic() + 20
            while Path(f"/proc/{pid}").exists() and time.monotonic() < until:
                time.sleep(0.1)
            self.assertFalse(Path(f"/proc/{pid}").exists())

    def test_it_knows_the_core_alone(self) -> None:
        code = (
            "import sys; sys.path.insert(0, '.'); import work.worker\n"
            "print([m for m in sys.modules if m.split('.')[0] in ('django', 'ninja', 'config')])"
        )
        said = subprocess.run(
            [sys.executable, "-c", code], cwd=SERVER, capture_output=True, text=True, check=True
        )
        self.assertEqual(said.stdout.strip(), "[]")

    def test_what_is_no_job_is_answered_with_a_sentence_or_passed_over(self) -> None:
        for text in (
            "",
            "null",
            "[]",
            "{}",
            '{"kind": "map"}',
            "[" * 100_000,
            HERON,
            asked().model_dump_json().replace('"what":"all"', '"what":"rm"'),
        ):
            token = self.at.ask(text)
            work_on(self.at, token)
            self.assertEqual(self.answer_of(token).state, "failed", text[:40])
        bad = asked(document=HERON.replace('"version"', '"virsion"')).model_dump_json()
        token = self.at.ask(bad)
        work_on(self.at, token)
        self.assertEqual(self.answer_of(token).state, "failed")
        work_on(self.at, "nobody asked")
        self.assertIsNone(self.at.answer_of("nobody asked"))

    def test_a_message_that_is_no_json_runs_nothing(self) -> None:
        class Evil:
            def __reduce__(self) -> Any:
                return (self_destruct, ())

        self.at.huey.storage.enqueue(pickle.dumps(Evil()), 1)
        with self.assertRaises((ValueError, Unreachable)):
            self.at.huey.dequeue()
        self.assertEqual(DESTROYED, [])

    def test_workers_of_another_version_get_nothing_and_are_seen(self) -> None:
        with patch("work.exchange.version", return_value="older"):
            older = Exchange(str(self.file), "mapsolder")
            self.addCleanup(older.huey.storage.close)
            token = self.at.ask(asked().model_dump_json())
        self.assertEqual((older.waiting(), self.at.waiting()), (0, 1))
        self.assertIsNone(older.job(token))
        with patch("work.exchange.version", return_value="older"):
            older.here("old", "", 0)
        self.assertEqual([w.version for w in self.at.workers()], ["older"])

    def test_a_job_that_makes_way_goes_on_where_it_was(self) -> None:
        kits = [
            KitSent(slug=k.slug, source="catalogue", supply=k.supply, cables=k.cables)
            for k in kits_csv.SUPPLIES.read(SUPPLIES)[:3]
        ]
        job = FeedsAsked(called="supplies", document=HERON, year=2026, kits=kits)
        token = self.at.ask(job.model_dump_json(), urgent=False)
        self.at.huey.storage.flush_queue()
        asked_before = self.at.ask(asked().model_dump_json())
        work_on(self.at, token)
        self.assertIsNone(self.at.answer_of(token))
        self.assertEqual(self.at.waiting(), 2)
        self.at.huey.storage.flush_queue()
        work_on(self.at, asked_before)
        self.at.tell(token, {"unfed": {kits[0].slug: [7, 9, ""]}})
        work_on(self.at, token)
        found = self.answer_of(token).answer
        self.assertEqual((len(found), found[kits[0].slug]), (3, [7, 9, ""]))

    def test_who_is_cut_off_stops_by_itself(self) -> None:
        token = self.at.ask(asked().model_dump_json())
        with (
            patch.object(self.at, "wanted", side_effect=Unreachable("cut off")),
            patch("work.worker._HOLDS_S", 0.0),
            patch("work.jobs.Desk.LOOK_S", 0.0),
        ):
            work_on(self.at, token)
        self.assertEqual(self.answer_of(token).state, "stopped")

    def test_a_word_by_the_second_while_it_works(self) -> None:
        token = self.at.ask(asked().model_dump_json())
        busy = Busy(self.at)
        beats = []

        def slowly(*args: Any) -> Any:
            for _ in range(2):
                busy.say()
                told = self.at.told(token)
                beats.append(told and told.beat)
            self.assertEqual([w.busy for w in self.at.workers()], ["the map of Heron"])
            self.assertEqual(look(self.at, token).state, "running")
            return Answered(state="stopped")

        with patch("work.jobs.do", slowly):
            work_on(self.at, token, busy)
        self.assertEqual(len(set(beats)), 2)
        self.assertEqual(look(self.at, token).state, "answered")

    def test_a_damaged_queue_is_set_aside_with_a_sentence(self) -> None:
        self.assertEqual(set_aside(self.file), "")
        self.at.huey.storage.close()
        for content in (b"no database", bytes(9000), self.file.read_bytes()[:3000] + b"x" * 9000):
            self.file.write_bytes(content)
            Path(f"{self.file}-wal").unlink(missing_ok=True)
            self.assertIn("it was set aside as queue.sqlite3.damaged-", set_aside(self.file))
            self.assertFalse(self.file.exists())
        self.assertEqual(set_aside(self.file), "")


DESTROYED: list[int] = []


def self_destruct() -> None:
    """What a message that is trusted could do."""
    DESTROYED.append(1)


class Formats(unittest.TestCase):
    def test_a_map_by_way_of_the_format_is_the_map_itself(self) -> None:
        build = build_file.read(HERON)
        stock = [InStock(thing=c, owned=True, free=2) for c in build.cables[:3]]
        sent = asked(stock=[Stock.of(s) for s in stock]).model_dump_json()
        came = do(MapAsked.model_validate_json(sent), Desk(lambda w: None, lambda: True))
        answer = map_answer(map_it(build, stock=stock))
        self.assertEqual(came.answer, ANSWER.dump_python(answer, mode="json"))

    def test_rules_and_a_build_that_breaks_down(self) -> None:
        job = RulesAsked(
            called="",
            document=HERON,
            year=2026,
            positions=[("chained_graphics", "by pins"), ("chained_graphics", "nonsense")],
        )
        found = do(job, Desk(lambda w: None, lambda: True))
        self.assertEqual((found.state, [*found.answer]), ("done", ["chained_graphics:by pins"]))
        unfed, needed, said = found.answer["chained_graphics:by pins"]
        self.assertEqual((unfed, needed), (0, 10))
        self.assertIn("A map feeds all 10 sockets by 8 cables, 3 for graphics", said)
        with patch("work.jobs.map_it", side_effect=MemoryError), self.assertLogs("work.jobs"):
            found = do(asked(), Desk(lambda w: None, lambda: True))
        self.assertEqual((found.state, found.error), ("failed", "MemoryError"))

    def test_queues_in_a_broken_file_say_so(self) -> None:
        with TemporaryDirectory() as folder:
            at = Exchange(f"{folder}/queue.sqlite3", QUEUE)
            with closing(sqlite3.connect(f"{folder}/queue.sqlite3")) as raw:
                raw.execute("DROP TABLE kv")
            with self.assertRaisesRegex(Unreachable, "stop Easy Tally and start it again"):
                at.ask("x")
            at.huey.storage.close()
        self.assertIsInstance(build_file.read(HERON), Build)


if __name__ == "__main__":
    unittest.main()
