"""All that runs: the server, the workers that map, the process that reads files. They begin and end
together; a worker that ends by itself is started again. `python -m config.supervise PORT`."""

from __future__ import annotations

import fcntl
import os
import signal
import subprocess
import sys
import time
from pathlib import Path

sys.path.insert(0, str(Path(__file__).resolve().parent.parent.parent / "core"))

SERVER = Path(__file__).resolve().parent.parent
#: Seconds between two starts of a worker that ends at once; that all have to end in.
_AGAIN_S, _ENDS_S = 1.0, 6.0


#: Two pools of memory for all threads of a process: each would have one of its own, 10 MB in all.
#: What is large comes from the system and goes back to it: a photo's pixels, a file.
MEMORY = {
    "MALLOC_ARENA_MAX": "2",
    "MALLOC_MMAP_THRESHOLD_": "8000000",
    "MALLOC_TRIM_THRESHOLD_": "8000000",
}


def _workers() -> int:
    """How many map side by side: as many as there are cores, two at least, four at most."""
    said = os.environ.get("EASY_TALLY_WORKERS", "")
    if said.isdecimal():
        return min(64, int(said))
    return max(2, min(4, os.cpu_count() or 1))


def _begin_queue(var: Path) -> None:
    """A queue begun anew where nobody else uses it: what waits stands in the database, and is asked
    for again. One that is damaged is kept aside."""
    from work.exchange import set_aside

    file = var / "queue.sqlite3"
    handle = os.open(var / "in-use", os.O_RDWR | os.O_CREAT, 0o600)
    try:
        fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        said = set_aside(file) if file.exists() else ""
        if said:
            print(f"Easy Tally: {said}", file=sys.stderr, flush=True)
        for end in ("", "-wal", "-shm"):
            Path(f"{file}{end}").unlink(missing_ok=True)
    except BlockingIOError:
        return
    finally:
        os.close(handle)


class Supervised:
    """One process, which ends with this one."""

    def __init__(self, *command: str, **more: str) -> None:
        self.env = os.environ | MEMORY | {"EASY_TALLY_PARENT": str(os.getpid())} | more
        self.command = [sys.executable, *command]
        self.start()

    def start(self) -> None:
        """Start it."""
        self.began = time.monotonic()
        # Signals of the terminal come to this process alone, which passes them on.
        self.process = subprocess.Popen(
            self.command, cwd=SERVER, env=self.env, start_new_session=True
        )

    def see(self) -> None:
        """Start it again if it ended, not more often than by the second."""
        if self.process.poll() is not None and time.monotonic() - self.began > _AGAIN_S:
            self.start()


def main(port: str) -> int:
    """Run until the server ends, or this process is asked to."""
    var = Path(os.environ.get("EASY_TALLY_VAR", SERVER.parent / "var"))
    var.mkdir(parents=True, exist_ok=True)
    _begin_queue(var)
    broker = os.environ.get("EASY_TALLY_BROKER", "") or str(var / "queue.sqlite3")
    server = Supervised("-m", "config.serve", port)
    workers = [Supervised("manage.py", "work")]
    workers += [
        Supervised("-m", "work.worker", EASY_TALLY_BROKER=broker) for _ in range(_workers())
    ]
    asked: list[int] = []
    for number in (signal.SIGINT, signal.SIGTERM, signal.SIGHUP):
        signal.signal(number, lambda n, frame: asked.append(n))
    while not asked and server.process.poll() is None:
        for worker in workers:
            worker.see()
        time.sleep(0.1)
    for one in (server, *workers):
        one.process.terminate()
    until = time.monotonic() + _ENDS_S
    for one in (server, *workers):
        try:
            one.process.wait(max(0.1, until - time.monotonic()))
        except subprocess.TimeoutExpired:
            one.process.kill()
    return 0 if asked else server.process.returncode or 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1]))
