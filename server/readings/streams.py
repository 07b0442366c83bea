"""Streams: one thread a stream, which reads lines off a local socket and adds rows to its set. What
has come in is kept, however it ends."""

from __future__ import annotations

import logging
import socket
import subprocess
import sys
import tempfile
import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import timedelta
from pathlib import Path

from builds import results
from builds.models import Build
from django.conf import settings
from django.db import connection
from django.utils import timezone
from easy_tally import BadInput
from easy_tally.base import np
from easy_tally.files import build_file
from easy_tally.readings import Channel, Readings
from easy_tally.simulate import read_first, read_line

from readings import rows, sets
from readings.models import Taken

_log = logging.getLogger(__name__)
#: Only instruments of this machine; seconds without a line after which a stream has stopped;
#: seconds between two writings; samples and streams at the most.
HOSTS = ("127.0.0.1", "localhost", "::1")
SILENT_S, WRITE_S, MOST, STREAMS = 10.0, 0.4, 5_000_000, 4
#: Lines that can't be read, after which a stream is no stream of ours.
_BAD = 100
#: Bytes of a line at the most; seconds that instruments have to start in.
_LINE, _STARTS_S = 1_000_000, 15.0
_GUARD = threading.Lock()
#: How many are being started: each has its place already.
_starting = 0


def start(build: Build, address: str, name: str) -> Taken:
    """Connect to instruments and begin a set; within a `place`. Raises BadInput where nobody speaks
    there."""
    host, _, port = address.rpartition(":")
    if host not in HOSTS or not port.isdecimal() or not 0 < int(port) < 65536:
        need = "an address of this machine, as 127.0.0.1:9100"
        raise BadInput([("address", need, address[:60])])
    try:
        at = socket.create_connection((host, int(port)), timeout=3)
    except OSError as error:
        raise BadInput([("address", "instruments that answer there", str(error)[:80])]) from error
    at.settimeout(1.0)
    reader = _Lines(at)
    first = reader.next(time.monotonic() + 3)
    if first is None:
        at.close()
        raise BadInput([("address", "a first line within 3 s", "nothing")])
    try:
        channels, began, simulated = read_first(first)
    except BadInput:
        at.close()
        raise
    empty = Readings(
        times=np.empty(0),
        columns={c: np.empty(0) for c in channels},
        began=began,
        simulated=simulated,
    )
    try:
        row = sets.make(build, name, "stream", empty, state="coming")
    except BaseException:
        at.close()
        raise
    thread = threading.Thread(target=_run, args=(row, reader, channels), daemon=True)
    thread.start()
    return row


@contextmanager
def place() -> Iterator[None]:
    """A place among the streams, while one is started: of many at once those that have none are
    refused before anything is begun. Raises BadInput."""
    global _starting
    with _GUARD:
        end_gone()
        if Taken.objects.filter(state="coming").count() + _starting >= STREAMS:
            raise BadInput([("address", f"at most {STREAMS} streams at once", "one more")])
        _starting += 1
    try:
        yield
    finally:
        with _GUARD:
            _starting -= 1


class _Lines:
    """Lines off a socket, without more of one than a line may have."""

    def __init__(self, at: socket.socket) -> None:
        self.at, self.rest, self.over, self.too_long = at, b"", False, False

    def next(self, until: float) -> str | None:
        """The next line; None: nothing until then, or the end."""
        while b"\n" not in self.rest:
            self.too_long = len(self.rest) > _LINE
            if self.over or time.monotonic() > until or self.too_long:
                return None
            try:
                more = self.at.recv(65536)
            except TimeoutError:
                continue
            except OSError:
                more = b""
            self.over = not more
            self.rest += more
        line, self.rest = self.rest.split(b"\n", 1)
        return line.decode("utf-8", errors="replace")


def _run(row: Taken, reader: _Lines, channels: tuple[Channel, ...]) -> None:
    said = "The worker that heard it broke down"
    try:
        said = _hear(row, reader, channels)
    except OSError as error:
        said = f"It could not be kept ({error.strerror}); what had come before is"
    except Exception:  # noqa: BLE001 - the set says that it broke off, and keeps what came
        _log.exception("a stream broke down")
    finally:
        reader.at.close()
        state = "whole" if said == "" else "broken off"
        Taken.every.filter(pk=row.pk).update(state=state, said=said[:300])
        connection.close()


def _hear(row: Taken, reader: _Lines, channels: tuple[Channel, ...]) -> str:
    """Add rows until the stream ends; gives why it ended, nothing where it was asked to."""
    bad, last_t, count, written = 0, -np.inf, 0, time.monotonic()
    block: list[list[float]] = []
    with rows.path_of(row.key).open("ab", buffering=0) as out:
        while True:
            line = reader.next(time.monotonic() + SILENT_S)
            if line is not None:
                try:
                    t, values = read_line(line, channels)
                except BadInput:
                    bad += 1
                else:
                    if t > last_t:
                        last_t = t
                        block.append([t, *(values.get(c, np.nan) for c in channels)])
            ends = line is None or bad > _BAD or count + len(block) > MOST
            if ends or time.monotonic() - written > WRITE_S or len(block) > 5000:
                rows.append(out, np.array(block, dtype="<f8"))
                count, block, written = count + len(block), [], time.monotonic()
                Taken.every.filter(pk=row.pk).update(samples=count, seen=timezone.now())
                if not Taken.objects.filter(pk=row.pk, stop=False, build__thrown=None).exists():
                    return ""
            if line is None:
                left = f"; {bad} lines could not be read" if bad else ""
                if reader.too_long:
                    return "A line came that is longer than a megabyte"
                if reader.over:
                    return f"The instruments ended the stream{left}" if bad else ""
                return f"Nothing came for {SILENT_S:g} s{left}"
            if ends:
                return f"{bad} lines could not be read" if bad > _BAD else "It is full"


def simulated(build: Build, speed: float, seed: int, fault: str, at: str) -> str:
    """Start simulated instruments of a build, a process of their own; gives their address."""
    file = Path(tempfile.mkdtemp()) / "build.tally.json"
    file.write_text(build_file.write(results.current(build)), encoding="utf-8")
    command = [
        sys.executable,
        "-m",
        "easy_tally.instruments",
        str(file),
        "--port",
        "0",
        "--speed",
        f"{speed:g}",
        "--seed",
        str(seed),
    ]
    if fault:
        command += ["--fault", fault, *(["--at", at] if at else [])]
    # No shell, and nothing of the build in the command: its file alone.
    process = subprocess.Popen(
        command,
        stdout=subprocess.PIPE,
        stderr=subprocess.PIPE,
        text=True,
        cwd=settings.ROOT / "core",
        env={"PYTHONPATH": str(settings.ROOT / "core"), "PATH": ""},
    )
    assert process.stdout is not None
    late = threading.Timer(_STARTS_S, process.kill)
    late.start()
    said = process.stdout.readline()
    late.cancel()
    file.unlink(missing_ok=True)
    file.parent.rmdir()
    if not said.startswith("port "):
        process.kill()
        error = process.stderr.read() if process.stderr else ""
        process.wait()
        got = error[-200:].strip() or f"nothing within {_STARTS_S:g} s"
        raise BadInput([("instruments", "a build that can be simulated", got)])
    threading.Thread(target=process.wait, daemon=True).start()
    return f"127.0.0.1:{int(said.split()[1])}"


def end_gone() -> None:
    """End the streams that should run and have no thread any more: after a kill, say. They make
    room for others."""
    quiet = timezone.now() - timedelta(seconds=SILENT_S + 5)
    gone = Taken.every.filter(state="coming", seen__lt=quiet)
    if gone.exists():
        said = "Easy Tally was stopped meanwhile; what had come is kept"
        gone.update(state="broken off", said=said)
