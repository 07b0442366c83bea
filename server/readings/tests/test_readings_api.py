"""Readings through the interface: typed, from files, simulated; held, drawn, taken over."""

from __future__ import annotations

import errno
import tempfile
from datetime import timedelta
from pathlib import Path
from typing import Any
from unittest.mock import patch

import numpy as np
from bench.models import Entry
from builds.tests.support import ROOT, ApiCase
from django.core.files.uploadedfile import SimpleUploadedFile
from django.test import override_settings
from django.utils import timezone
from jobs.tests.test_map_api import Apart
from owners.thrown import sweep_files
from work.exchange import GONE_S

from readings import reading, rows
from readings.models import Attempt, Reading, Taken

MAPPED = (ROOT / "demo/training/heron.tally.json").read_text(encoding="utf-8")


class ReadingsCase(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        settings = override_settings(VAR=Path(folder.name))
        settings.enable()
        self.addCleanup(settings.disable)
        self.built = self.open(MAPPED)
        self.at = f"/builds/{self.built['key']}/readings"

    def send(self, text: str | bytes, **fields: Any) -> tuple[int, Any]:
        """Send a file."""
        content = text.encode() if isinstance(text, str) else text
        # The worker is asked once the transaction is through.
        with self.captureOnCommitCallbacks(execute=True):
            response = self.client.post(
                f"/api/v1{self.at}/file", {"file": SimpleUploadedFile("log.csv", content)} | fields
            )
        answer = response.json()
        if response.status_code != 200:
            return response.status_code, answer
        return self.call("get", f"{self.at}/file/{answer['key']}")


class Sets(ReadingsCase):
    def test_typed_figures_are_held_and_recorded(self) -> None:
        body = {"name": "wall", "rows": [["wall.w", "full", 905], ["dc.w", "full", 815]]}
        status, row = self.call("post", f"{self.at}/typed", body)
        self.assertEqual((status, row["samples"], row["source"]), (200, 2, "typed"))
        _, held = self.call("get", f"{self.at}/{row['key']}/held")
        self.assertEqual(held["verdict"], "unknown")  # nothing of idle, everyday, plugs
        self.assertIn("The supply turns 90.1 %", " ".join(f["text"] for f in held["found"]))
        wall = next(f for f in held["figures"] if f["channel"] == "wall.w")
        self.assertAlmostEqual(wall["band"]["likely"], 908, delta=2)
        self.assertEqual(Entry.objects.get().kind, "measured")

    def test_what_can_not_be_typed(self) -> None:
        for rows_, said in (
            ([], "1 to 500"),
            ([["wall.w", "full", -1]], "nothing or more"),
            ([["no#1/x.v12.v", "full", 1]], "channel of this build"),
            ([["x", "full", 1]], "channel"),
        ):
            status, found = self.call("post", f"{self.at}/typed", {"rows": rows_})
            self.assertEqual(status, 422)
            self.assertIn(said, str(found))
        self.assertEqual(Taken.objects.count(), 0)

    def test_simulated_is_within_and_with_a_fault_is_not(self) -> None:
        _, row = self.call("post", f"{self.at}/simulated", {"seed": 3})
        _, held = self.call("get", f"{self.at}/{row['key']}/held")
        self.assertEqual(held["verdict"], "within")
        self.assertEqual([n["state"] for n in held["named"]], ["idle", "everyday", "full"])
        plug = next(
            p for p in held["plugs"] if p["ref"] == "card-1#1/power" and p["state"] == "full"
        )
        self.assertEqual((len(plug["pins"]), plug["limit"]), (6, 9.2))
        body = {"seed": 3, "fault": "open pin", "at": "card-1#1/power"}
        _, row = self.call("post", f"{self.at}/simulated", body)
        _, held = self.call("get", f"{self.at}/{row['key']}/held")
        self.assertEqual((held["verdict"], held["found"][0]["id"]), ("over", "pin away"))
        self.assertIn("Switch off at the wall", held["found"][0]["look"])
        status, found = self.call("post", f"{self.at}/simulated", {"fault": "hub state"})
        self.assertEqual((status, "no place" in found["detail"]), (404, True))
        status, found = self.call("post", f"{self.at}/simulated", {"rate_hz": 5000})
        self.assertEqual(status, 422)

    def test_drawn_named_written_and_thrown_away(self) -> None:
        _, row = self.call("post", f"{self.at}/simulated", {})
        at = f"{self.at}/{row['key']}"
        _, found = self.call(
            "get", f"{at}/series?channels=wall.w,dc.w&from_s=90&to_s=100&buckets=20"
        )
        self.assertEqual([x["channel"] for x in found], ["wall.w", "dc.w"])
        self.assertLessEqual(len(found[0]["drawn"]["times"]), 20)
        status, _ = self.call("get", f"{at}/series?channels=nonsense.w")
        self.assertEqual(status, 422)
        spans = [{"from_s": 90, "to_s": 200, "state": "full"}]
        _, held = self.call("put", f"{at}/named", spans)
        self.assertEqual([(n["state"], n["recognised"]) for n in held["named"]], [("full", False)])
        self.assertEqual(held["verdict"], "unknown")
        for bad in (
            [{"from_s": 5, "to_s": 5, "state": "full"}],
            [*spans, {"from_s": 100, "to_s": 300, "state": "idle"}],
        ):
            status, _ = self.call("put", f"{at}/named", bad)
            self.assertEqual(status, 422)
        text = self.client.get(f"/api/v1{at}/file.csv").getvalue().decode()  # type: ignore[attr-defined]
        self.assertTrue(text.startswith("simulated time (s),"))
        picture = self.client.get(
            f"/api/v1{at}/picture.svg?channels=wall.w,card-1%231/power.pin1.a"
        )
        self.assertIn(b"<svg", picture.content)
        status, left = self.call("delete", at)
        self.assertEqual((status, left["sets"]), (200, []))
        self.assertEqual(self.call("get", at)[0], 404)

    def test_thirty_days_in_the_bin(self) -> None:
        """Thrown away it is nowhere else; it comes back whole; after thirty days it is gone."""
        _, row = self.call("post", f"{self.at}/simulated", {})
        at, bin_ = f"{self.at}/{row['key']}", f"/builds/{self.built['key']}/bin/readings"
        self.assertEqual(self.call("get", bin_)[1], [])
        self.call("delete", at)
        _, found = self.call("get", bin_)
        self.assertEqual([(x["kind"], x["key"]) for x in found], [("readings", row["key"])])
        self.assertEqual(self.call("post", f"{bin_}/nothing", {})[0], 404)
        status, back = self.call("post", f"{bin_}/{row['key']}", {})
        self.assertEqual((status, back["samples"]), (200, row["samples"]))
        self.assertEqual(self.call("get", at)[0], 200)
        self.call("delete", at)
        sweep_files(Taken, rows.path_of)
        self.assertTrue(rows.path_of(row["key"]).exists())
        long_ago = timezone.now() - timedelta(days=31)
        Taken.every.filter(key=row["key"]).update(thrown=long_ago)
        sweep_files(Taken, rows.path_of)
        self.assertFalse(rows.path_of(row["key"]).exists())
        self.assertEqual(self.call("get", bin_)[1], [])

    def test_taken_over_and_undone(self) -> None:
        """Simulated it stays: the figure, its note, the record, and nobody calls it measured."""
        _, row = self.call("post", f"{self.at}/simulated", {})
        _, settled = self.call("get", f"{self.at}/{row['key']}/settled")
        one = next(s for s in settled if s["field"] == "idle_w" and s["of"] == "card-2")
        self.assertEqual((one["now"], one["instrument"]), (None, "simulated card"))
        self.assertNotIn("efficiency", [s["field"] for s in settled])
        record = self.client.get(f"/api/v1/builds/{self.built['key']}/bench.csv").content.decode()
        self.assertIn(',simulated,readings,"Simulated readings: simulated', record)
        self.assertNotIn("measured", record)
        status, then = self.act(self.built["key"], self.built["version"], **one["edit"])
        self.assertEqual(status, 200, then)
        _, again = self.call("get", f"{self.at}/{row['key']}/settled")
        one = next(s for s in again if s["field"] == "idle_w" and s["of"] == "card-2")
        self.assertEqual(one["origin"], "simulated")
        figure = one["edit"]["changes"]["idle_w"]
        self.assertIn("simulated card", figure["note"])
        lie = {
            "type": "change part",
            "part": "card-2",
            "changes": {"idle_w": figure | {"origin": "measured"}},
        }
        now = {"type": "change part", "part": "card-2", "changes": {"idle_w": figure}}
        _, then = self.act(self.built["key"], then["version"], **now)
        status, problem = self.act(self.built["key"], then["version"], **lie)
        self.assertEqual(status, 422)
        self.assertIn("this one was simulated", problem["problems"][0]["required"])
        body = {"base_version": then["version"]}
        self.assertEqual(self.call("post", f"/builds/{self.built['key']}/undo", body)[0], 200)


class Files(ReadingsCase):
    def test_a_file_with_heads_that_are_learnt_once(self) -> None:
        text = "Zeit (s);Kanal 1 (kW)\n0,0;0,9\n1,0;0,91\n"
        _, columns = self.call("post", f"{self.at}/head", {"text": text})
        self.assertEqual([c["means"] for c in columns], ["time", ""])
        _, job = self.send(text)
        self.assertEqual(job["state"], "failed")
        self.assertIn("Kanal 1", job["error"])
        self.call("put", "/readings/names", {"names": {"Kanal 1 (kW)": "wall.w"}})
        _, columns = self.call("post", f"{self.at}/head", {"text": text})
        self.assertEqual([c["means"] for c in columns], ["time", "wall.w"])
        _, job = self.send(text)
        self.assertEqual((job["state"], Taken.objects.get().samples), ("done", 2))
        status, _ = self.call("put", "/readings/names", {"names": {"x": "nonsense"}})
        self.assertEqual(status, 422)

    def test_broken_lines_are_said_and_the_builder_chooses(self) -> None:
        text = "t,wall (W)\n0,100\n1,x\n2,101\n"
        _, job = self.send(text, keep_good="false")
        self.assertEqual((job["state"], Taken.objects.count()), ("failed", 0))
        self.assertEqual(job["problems"][0]["line"], 3)
        _, job = self.send(text, keep_good="true")
        self.assertEqual((job["state"], job["of_problems"]), ("done", 1))
        row = Taken.objects.get()
        self.assertEqual((row.samples, row.said), (2, "1 lines left out"))

    def test_numbers_that_do_not_end_are_said_with_their_line(self) -> None:
        for text, left in (
            ("t,wall (W)\nnan,1\n0,100\n1,101\n", 2),
            ("t,wall (W)\n0,100\ninf,1\n2,101\n", 2),
            ("t,wall (W)\n0,100\n1,1e999\n2,101\n", 2),
            ("t,wall (W)\n0,100\n1,inf\n2,101\n", 2),
            ("t,wall (W)\n5,100\n4,101\n6,99\n", 2),
            ("t,wall (W)\n-inf,1\n0,100\n", 1),
            ("t,wall (kW)\n0,100\n1,1e308\n", 1),
            ("t,12 V (V)\n0,12\n1,nan\n", 2),
        ):
            _, job = self.send(text)
            row = self.call("get", f"{self.at}/{job['taken']}")[1]
            self.assertEqual((job["state"], row["samples"]), ("done", left), text)
            self.assertEqual(self.call("get", f"{self.at}/{job['taken']}/held")[0], 200)
        self.send("t,wall (W)\nnan,1\ninf,2\n")
        self.assertEqual(Taken.objects.count(), 8)

    def test_a_set_of_an_earlier_version_that_can_not_be_shown_takes_no_other_down(self) -> None:
        _, good = self.call("post", f"{self.at}/simulated", {})
        for number in (np.nan, np.inf):
            _, bad = self.call("post", f"{self.at}/simulated", {})
            odd = np.fromfile(rows.path_of(bad["key"]))
            odd[0] = number
            odd.tofile(rows.path_of(bad["key"]))
            Taken.objects.filter(key=bad["key"]).update(looked_over=False)
            status, found = self.call("get", self.at)
            self.assertEqual(status, 200)
            states = {s["key"]: s["state"] for s in found["sets"]}
            self.assertEqual((states[bad["key"]], states[good["key"]]), ("damaged", "whole"))
            for what in (
                "held",
                "settled",
                "series?channels=wall.w",
                "file.csv",
                "picture.svg?channels=wall.w",
            ):
                answer = self.client.get(f"/api/v1{self.at}/{bad['key']}/{what}")
                self.assertEqual(answer.status_code, 422, what)
            self.assertEqual(self.call("delete", f"{self.at}/{bad['key']}")[0], 200)

    def test_a_full_disk_keeps_nothing_of_it(self) -> None:
        full = OSError(errno.ENOSPC, "No space left on device")
        with patch.object(rows, "append", side_effect=full), self.assertLogs("easy_tally"):
            self.assertEqual(self.call("post", f"{self.at}/simulated", {})[0], 507)
        with patch.object(Reading, "save", side_effect=full), self.assertLogs("easy_tally"):
            self.assertEqual(self.send("t,wall (W)\n0,100\n")[0], 507)
        self.assertEqual((list(rows.folder().iterdir()), Taken.objects.count()), ([], 0))

    def test_whose_reader_is_gone_is_taken_up_again_and_then_ended(self) -> None:
        at = Apart(f"{rows.folder()}/queue.sqlite3", "files")
        self.addCleanup(at.huey.storage.close)
        with patch.object(reading, "exchange", return_value=at):
            _, job = self.send("t,wall (W)\n0,100\n1,101\n")
            path, upload = f"{self.at}/file/{job['key']}", reading.upload_of(job["key"])

            def gone() -> Any:
                """Whoever read it said something, and then nothing more."""
                Reading.objects.update(state="running")
                at.tell(job["key"], {})
                self.assertEqual(self.call("get", path)[1]["state"], "running")
                at.pass_s(GONE_S + 1)
                return self.call("get", path)[1]

            self.assertEqual((gone()["state"], upload.exists()), ("waiting", True))
            found = gone()
            self.assertEqual((found["state"], upload.exists()), ("failed", False))
            self.assertIn("Nothing was kept: send it again", found["error"])
            _, job = self.send("t,wall (W)\n0,100\n1,101\n")
            path, upload = f"{self.at}/file/{job['key']}", reading.upload_of(job["key"])
            at.pass_s(2)
            at.here("w1", "large.csv", 12)
            self.assertEqual(self.call("get", path)[1]["busy"][0]["what"], "large.csv")
            self.call("delete", path)
            self.assertEqual(
                (self.call("get", path)[1]["state"], upload.exists()), ("stopped", False)
            )
            _, job = self.send("t,wall (W)\n0,100\n1,101\n")
            Reading.objects.filter(key=job["key"]).update(state="running")
            at.tell(job["key"], {})
            reading.look_after_all()
            at.pass_s(GONE_S + 1)
            reading.look_after_all()  # nobody looks; it is taken up all the same
            reading.read_file(job["key"], None)
            self.assertEqual(self.call("get", f"{self.at}/file/{job['key']}")[1]["state"], "done")

    def test_an_upload_that_was_cut_off(self) -> None:
        status, found = self.send("t,wall (W)\n0,100\n", size=5000)
        self.assertEqual((status, "cut off" in str(found)), (422, True))
        self.assertEqual(Reading.objects.count(), 0)

    def test_what_is_no_table(self) -> None:
        for content in (b"", b"\x00\x01\x02", b"just words", b"1,2\n3,4\n"):
            status, job = self.send(content)
            self.assertTrue(status == 422 or job["state"] == "failed", content)
        self.assertEqual(Taken.objects.count(), 0)
        self.assertEqual(list(rows.folder().iterdir()), [])


class Trainer(ReadingsCase):
    def test_an_exercise_from_the_list_to_the_result(self) -> None:
        _, found = self.call("get", "/trainer")
        self.assertGreaterEqual(len(found["exercises"]), 20)
        _, e = self.call("get", "/trainer/1")
        self.assertEqual((e["held"]["found"], e["held"]["verdict"]), ([], ""))
        joints = {j["ref"] for j in e["joints"]}
        self.assertIn("card-1#1/power", joints)
        path = "/trainer/1/series?channels=card-1%231/power.pin1.a"
        self.assertEqual(self.call("get", path)[0], 200)
        _, look = self.call("post", "/trainer/1/seen", {"joint": "card-1#1/power"})
        self.assertIn("one contact stands further back", look["text"])
        body = {"joint": "card-1#1/power", "reason": "part-seated", "looks": 1}
        _, judged = self.call("post", "/trainer/1/answer", body)
        self.assertEqual((judged["right_joint"], judged["right_reason"]), (True, False))
        self.assertIn("carries 0.00 A", " ".join(judged["numbers"]))
        self.call("post", "/trainer/1/answer", body | {"reason": "open pin"})
        _, found = self.call("get", "/trainer")
        first = found["exercises"][0]
        self.assertEqual((first["tries"], first["solved"]), (2, True))
        self.assertEqual(Attempt.objects.count(), 2)

    def test_one_of_ones_own_builds(self) -> None:
        path = f"/trainer/0?build={self.built['key']}&seed=7"
        _, e = self.call("get", path)
        self.assertEqual(e["machine"], "Heron")
        self.assertEqual(self.call("get", path)[1], e)
        self.assertEqual(self.call("get", "/trainer/999")[0], 404)
        self.assertEqual(self.call("get", "/trainer/0")[0], 404)
