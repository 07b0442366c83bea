"""Streams off a local socket: each row is kept as it comes, however it ends."""

from __future__ import annotations

import errno
import json
import socket
import tempfile
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from datetime import timedelta
from pathlib import Path
from typing import Any
from unittest.mock import patch

from builds import actions
from builds.tests.support import HERON, ROOT
from django.test import TransactionTestCase, override_settings
from django.utils import timezone
from easy_tally import BadInput
from owners.models import current_owner

from readings import rows, streams
from readings.models import Taken

FIRST = json.dumps({"easy-tally readings": 1, "channels": ["wall.w"]}) + "\n"


def _first(at: socket.socket) -> None:
    at.sendall(FIRST.encode())


class Streams(TransactionTestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        settings = override_settings(VAR=Path(folder.name))
        settings.enable()
        self.addCleanup(settings.disable)
        self.build = actions.open_file(current_owner(), HERON)

    def speak(self, say: Callable[[socket.socket], None]) -> str:
        """Instruments that say something to the first who comes; gives their address."""
        listening = socket.create_server(("127.0.0.1", 0))

        def run() -> None:
            with listening, listening.accept()[0] as at:
                say(at)

        threading.Thread(target=run, daemon=True).start()
        return f"127.0.0.1:{listening.getsockname()[1]}"

    def ended(self, row: Taken) -> Taken:
        """The row once its stream is over."""
        for _ in range(200):
            row.refresh_from_db()
            if row.state != "coming":
                return row
            time.sleep(0.05)
        raise AssertionError(row.state)

    def test_rows_come_in_and_lines_that_are_none_are_passed_over(self) -> None:
        def say(at: socket.socket) -> None:
            at.sendall(FIRST.encode())
            at.sendall(b'{"t": 0, "wall.w": 100}\nrubbish\n{"t": 1, "wall.w": 101}\n')
            at.sendall(b'{"t": 0.5, "wall.w": 1}\n{"t": 2}\n')

        row = self.ended(streams.start(self.build, self.speak(say), "meter"))
        self.assertEqual((row.state, row.samples), ("broken off", 3))
        self.assertIn("1 lines could not be read", row.said)
        self.assertEqual(rows.load(row).times.tolist(), [0.0, 1.0, 2.0])

    def test_a_stream_that_falls_silent(self) -> None:
        done = threading.Event()

        def say(at: socket.socket) -> None:
            at.sendall(FIRST.encode() + b'{"t": 0, "wall.w": 100}\n')
            done.wait(10)

        with patch.object(streams, "SILENT_S", 0.5):
            row = self.ended(streams.start(self.build, self.speak(say), "meter"))
        done.set()
        self.assertEqual((row.state, row.samples), ("broken off", 1))
        self.assertIn("Nothing came for 0.5 s", row.said)

    def test_it_is_stopped_when_asked(self) -> None:
        def say(at: socket.socket) -> None:
            at.sendall(FIRST.encode())
            try:
                for i in range(10_000):
                    at.sendall(json.dumps({"t": i / 10, "wall.w": 100}).encode() + b"\n")
                    time.sleep(0.01)
            except OSError:
                pass

        row = streams.start(self.build, self.speak(say), "meter")
        time.sleep(0.6)
        Taken.objects.filter(pk=row.pk).update(stop=True)
        row = self.ended(row)
        self.assertEqual((row.state, row.said), ("whole", ""))
        self.assertGreater(row.samples, 5)

    def test_many_bad_lines_end_it_and_the_good_ones_stay(self) -> None:
        def say(at: socket.socket) -> None:
            good = "".join(f'{{"t": {i}, "wall.w": 100}}\n' for i in range(50))
            at.sendall((FIRST + good + "rubbish\n" * 101).encode())
            time.sleep(0.5)

        row = self.ended(streams.start(self.build, self.speak(say), "meter"))
        self.assertEqual((row.said, row.samples), ("101 lines could not be read", 50))

    def test_a_line_without_end(self) -> None:
        def say(at: socket.socket) -> None:
            with suppress(OSError):
                at.sendall(FIRST.encode() + b"x" * 1_200_000)
                time.sleep(0.5)

        row = self.ended(streams.start(self.build, self.speak(say), "meter"))
        self.assertEqual((row.state, row.samples), ("broken off", 0))
        self.assertIn("longer than a megabyte", row.said)

    def test_a_full_disk_ends_it_and_what_came_before_stays(self) -> None:
        def say(at: socket.socket) -> None:
            at.sendall(FIRST.encode())
            with suppress(OSError):
                for i in range(100):
                    at.sendall(f'{{"t": {i}, "wall.w": 100}}\n'.encode())
                    time.sleep(0.02)

        full, real, calls = OSError(errno.ENOSPC, "No space left on device"), rows.append, []

        def append(*of: Any) -> None:
            calls.append(1)
            if len(calls) > 2:
                raise full
            real(*of)

        with patch.object(streams, "WRITE_S", 0.2), patch.object(rows, "append", append):
            row = self.ended(streams.start(self.build, self.speak(say), "meter"))
        self.assertIn("It could not be kept (No space left on device)", row.said)
        self.assertEqual(rows.count(row), row.samples)
        self.assertGreater(row.samples, 0)

    def test_what_a_kill_left_takes_no_place(self) -> None:
        left = [streams.start(self.build, self.speak(_first), "left") for _ in range(3)]
        for row in left:
            self.ended(row)
        long_ago = timezone.now() - timedelta(minutes=1)
        Taken.objects.update(state="coming", seen=long_ago)
        with streams.place():
            pass
        self.assertEqual(set(Taken.objects.values_list("state", flat=True)), {"broken off"})
        Taken.objects.update(state="coming", seen=timezone.now())
        with streams.place(), self.assertRaisesRegex(BadInput, "at most 4"), streams.place():
            pass  # the place of one that is being started is taken
        self.ended(streams.start(self.build, self.speak(_first), "one more"))
        Taken.objects.update(state="coming", seen=timezone.now())
        with self.assertRaisesRegex(BadInput, "at most 4 streams at once"), streams.place():
            pass

    def test_instruments_that_do_not_start_are_given_up(self) -> None:
        with (
            patch.object(streams, "_STARTS_S", 0.01),
            self.assertRaisesRegex(BadInput, "a build that can be simulated"),
        ):
            streams.simulated(self.build, 1, 1, "", "")

    def test_fields_without_end_start_nothing(self) -> None:
        self.client.cookies["csrftoken"] = "a" * 32
        for name in ("name", "fault", "at", "address"):
            body = json.dumps({"simulated": True, name: "x" * 100_000})
            answer = self.client.post(
                f"/api/v1/builds/{self.build.key}/readings/stream",
                body,
                content_type="application/json",
                headers={"X-CSRFToken": "a" * 32},
            )
            self.assertEqual(answer.status_code, 422, name)
        self.assertEqual(Taken.objects.count(), 0)

    def test_when_it_began(self) -> None:
        for began, taken in (("", ""), ("2026-11-30T20:15:00", "2026-11-30T20:15:00")):
            first = {"easy-tally readings": 1, "channels": ["wall.w"], "began": began}
            address = self.speak(lambda at, f=first: at.sendall(json.dumps(f).encode() + b"\n"))  # type: ignore[misc]
            self.assertEqual(self.ended(streams.start(self.build, address, "x")).began, taken)
        first = {"easy-tally readings": 1, "channels": ["wall.w"], "began": "yesterday"}
        address = self.speak(lambda at: at.sendall(json.dumps(first).encode() + b"\n"))
        with self.assertRaisesRegex(BadInput, "began: needs when it began"):
            streams.start(self.build, address, "x")

    def test_nobody_elsewhere_and_no_nonsense(self) -> None:
        for address in ("192.0.2.1:80", "example:80", "127.0.0.1:x", "127.0.0.1:0", ""):
            with self.assertRaisesRegex(BadInput, "an address of this machine"):
                streams.start(self.build, address, "x")
        with self.assertRaisesRegex(BadInput, "instruments that answer there"):
            streams.start(self.build, "127.0.0.1:1", "x")
        address = self.speak(lambda at: at.sendall(b"HTTP/1.1 400 Bad Request\n"))
        with self.assertRaisesRegex(BadInput, "a JSON object"):
            streams.start(self.build, address, "x")
        self.assertEqual(Taken.objects.count(), 0)

    def test_the_simulated_instruments_as_a_process(self) -> None:
        text = (ROOT / "demo/training/dunlin.tally.json").read_text(encoding="utf-8")
        build = actions.open_file(current_owner(), text)
        address = streams.simulated(build, 0, 4, "tired contact", "")
        row = self.ended(streams.start(build, address, "live"))
        self.assertEqual((row.state, row.said, row.samples), ("whole", "", 2100))
        self.assertIn("card#1/a.pin1.a", row.channels)
