"""`make soak`: kills, floods, idle and dripping connections, many clients, disks that are full or
can't be written. A few minutes, on this machine's loopback only; prints what was tried and lost."""

from __future__ import annotations

import http.client
import io
import json
import os
import random
import shutil
import signal
import socket
import statistics
import subprocess
import sys
import tempfile
import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from pathlib import Path
from typing import Any, NamedTuple
from urllib.parse import urlencode

from PIL import Image

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "server")]

import soak_broker  # noqa: E402
import soak_kills  # noqa: E402
import soak_much  # noqa: E402
from builds.tests import flooding  # noqa: E402
from config.supervise import MEMORY  # noqa: E402

HERON = (ROOT / "demo/builds/heron.tally.json").read_text(encoding="utf-8")
_rows: list[tuple[str, str, str]] = []


def told(title: str, tried: str, lost: str) -> None:
    """One line of the table."""
    _rows.append((title, tried, lost))
    print(f"{title:34} {tried:44} {lost}", flush=True)


class Served:
    """The application on a port and a folder of its own."""

    def __init__(self, var: Path, env: dict[str, str] | None = None) -> None:
        self.var = var
        with socket.socket() as s:
            s.bind(("127.0.0.1", 0))
            self.port = s.getsockname()[1]
        self.env = os.environ | {
            "EASY_TALLY_VAR": str(var),
            "EASY_TALLY_TASKS": "at once",
            **MEMORY,
            **(env or {}),
        }
        manage = [sys.executable, str(ROOT / "server/manage.py"), "load_demo", "--migrate"]
        subprocess.run(manage, env=self.env, check=True, stdout=subprocess.DEVNULL)
        self.start()

    def start(self) -> None:
        """Start it and wait until it answers."""
        command = [sys.executable, "-m", "config.serve", str(self.port)]
        self.process = subprocess.Popen(
            command, cwd=ROOT / "server", env=self.env, stderr=subprocess.DEVNULL
        )
        for _ in range(200):
            try:
                if self.call("GET", "/api/v1/builds")[0] == 200:
                    return
            except OSError:
                time.sleep(0.05)
        raise RuntimeError("the server did not start")

    def kill(self) -> None:
        """As when the power goes."""
        self.process.send_signal(signal.SIGKILL)
        self.process.wait()

    def call(
        self, method: str, path: str, body: Any = None, form: tuple[bytes, str] | None = None
    ) -> tuple[int, Any, str]:
        """(status, parsed answer, content type). Raises OSError where nobody answers."""
        at = http.client.HTTPConnection("127.0.0.1", self.port, timeout=60)
        headers = {
            "Cookie": "csrftoken=" + "a" * 32,
            "X-CSRFToken": "a" * 32,
            "Content-Type": "application/json",
        }
        try:
            text: Any = None if body is None else json.dumps(body)
            if form is not None:
                text, headers["Content-Type"] = form
            at.request(method, path, text, headers)
            response = at.getresponse()
            content = response.read()
        except http.client.HTTPException as error:
            raise OSError(str(error)) from error
        finally:
            at.close()
        kind = response.getheader("Content-Type") or ""
        return response.status, json.loads(content) if "json" in kind and content else None, kind

    def edit(self, key: str, version: int, name: str) -> tuple[int, Any]:
        """Rename the first card of a build."""
        action = {"type": "change part", "part": "card-1", "changes": {"name": name}}
        body = {"base_version": version, "action": action}
        status, answer, _ = self.call("POST", f"/api/v1/builds/{key}/actions", body)
        return status, answer


def kills(served: Served, times: int) -> None:
    """Edits until a kill; each that was acknowledged is there after it, and undo goes back to the
    beginning."""
    key = served.call("POST", "/api/v1/builds/open", {"text": HERON})[1]["key"]
    acknowledged, lost = 0, 0
    for n in range(times):
        version = served.call("GET", f"/api/v1/builds/{key}")[1]["version"]
        timer = threading.Timer(random.Random(n).uniform(0.1, 0.6), served.kill)
        timer.start()
        last = ""
        try:
            while True:
                name = f"Card {n} {version}"
                status, answer = served.edit(key, version, name)
                if status != 200:
                    break
                last, version, acknowledged = name, answer["version"], acknowledged + 1
        except OSError:
            pass
        timer.join()
        served.start()
        after = served.call("GET", f"/api/v1/builds/{key}")[1]
        if after["version"] < version:
            lost += version - after["version"]
        names = [p["name"] for p in after["doc"]["parts"] if p["key"] == "card-1"]
        lost += bool(last) and after["version"] == version and names != [last]
    undone = 0
    while True:
        now = served.call("GET", f"/api/v1/builds/{key}")[1]
        body = {"base_version": now["version"]}
        if served.call("POST", f"/api/v1/builds/{key}/undo", body)[0] != 200:
            break
        undone += 1
    told(
        "kills during edits",
        f"{times} kills, {acknowledged} edits, {undone} undone",
        f"{lost} lost",
    )


def files(served: Served, count: int) -> None:
    """Broken files by the thousand."""
    faults, worst, opened = 0, 0.0, 0
    for text in flooding.broken_files(HERON, seed=7, count=count):
        start = time.perf_counter()
        status, answer, _ = served.call("POST", "/api/v1/builds/open", {"text": text})
        worst = max(worst, time.perf_counter() - start)
        faults += status >= 500
        if status == 201:
            opened += 1
            served.call("DELETE", f"/api/v1/builds/{answer['key']}")
    told("broken files", f"{count} sent, {opened} opened, worst {worst:.2f} s", f"{faults} faults")


def operations(served: Served, each: int) -> None:
    """Every operation with generated input, held against the interface's description."""
    described = json.loads((ROOT / "docs/openapi.json").read_text(encoding="utf-8"))
    key = served.call("POST", "/api/v1/builds/open", {"text": HERON})[1]["key"]
    faults, other, asked, worst = [], 0, 0, 0.0
    for r in flooding.requests(described, key, seed=11, each=each):
        query = f"?{urlencode(r.query, errors='replace')}" if r.query else ""
        path = r.path.encode("ascii", "replace").decode() + query
        start = time.perf_counter()
        try:
            status, _, kind = served.call(r.method.upper(), path.replace(" ", "%20"), r.body)
        except (ValueError, UnicodeError):
            continue
        worst = max(worst, time.perf_counter() - start)
        asked += 1
        if status >= 500:
            faults.append(r.operation)
        shaped = status < 400 or kind.startswith("application/problem+json")
        other += status not in r.documented or not shaped
        if r.operation == "removeBuild" and status == 204:
            key = served.call("POST", "/api/v1/builds/open", {"text": HERON})[1]["key"]
    lost = f"{len(faults)} faults {sorted(set(faults))}, {other} not as described"
    told("generated requests", f"{asked} sent, worst {worst:.2f} s", lost)


def _longest(served: Served, path: str, times: int) -> float:
    """The longest that a reader waits [s]."""
    taken = []
    for _ in range(times):
        start = time.perf_counter()
        served.call("GET", path)
        taken.append(time.perf_counter() - start)
    return max(taken)


def heavy(served: Served, most: int) -> None:
    """What a reader of Heron waits beside those who ask for the heaviest of a large build."""
    file = json.loads(HERON)
    disk = next(p for p in file["parts"] if p["key"] == "disk") | {"count": 64}
    file["parts"] += [disk | {"key": f"disk-{i}"} for i in range(27)]
    opened = (
        served.call("POST", "/api/v1/builds/open", {"text": x})[1]
        for x in (HERON, json.dumps(file))
    )
    small, large = (f"/api/v1/builds/{built['key']}" for built in opened)
    waits = []
    for askers in (0, 1, most):
        over = threading.Event()

        def ask(over: threading.Event = over) -> None:
            while not over.is_set():
                served.call("GET", f"{large}/positions")

        threads = [threading.Thread(target=ask) for _ in range(askers)]
        for t in threads:
            t.start()
        time.sleep(0.5)
        waits.append(f"{_longest(served, small, 20) * 1000:.0f}")
        over.set()
        for t in threads:
            t.join()
    told(
        f"1 and {most} heavy requests at once",
        f"a reader waits {waits[1]} and {waits[2]} ms",
        f"{waits[0]} ms without them",
    )


def connections(served: Served) -> None:
    """What a reader waits while others idle and drip."""

    def waits() -> float:
        return _longest(served, "/api/v1/builds", 8)

    waits()
    quiet = waits()
    idle = [socket.create_connection(("127.0.0.1", served.port)) for _ in range(200)]
    drips = [socket.create_connection(("127.0.0.1", served.port)) for _ in range(50)]
    over = threading.Event()

    def drip() -> None:
        text = b"POST /api/v1/builds HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 9999\r\n\r\n"
        for i in range(10_000):
            if over.wait(0.05):
                return
            for s in drips:
                with suppress(OSError):
                    s.sendall(text[i % len(text) : i % len(text) + 1])

    thread = threading.Thread(target=drip)
    thread.start()
    time.sleep(0.5)
    busy = waits()
    over.set()
    thread.join()
    for s in (*idle, *drips):
        s.close()
    told(
        "200 idle, 50 dripping",
        f"a reader waits {busy * 1000:.0f} ms at the most",
        f"{quiet * 1000:.0f} ms without them",
    )


class Crowd(NamedTuple):
    """What came of clients at one build: seconds that each answer took, edits that went in, how
    often one came too late, versions that are missing, statuses that should not be, a second."""

    taken: list[float]
    done: int
    late: int
    lost: int
    failed: list[int]
    seconds: float

    @property
    def p95(self) -> float:
        """Seconds under which 95 % of the answers are."""
        return statistics.quantiles(self.taken, n=20)[18]


def crowd(served: Served, clients: int, edits: int) -> Crowd:
    """Clients that edit one build together, several each part: who comes too late to what another
    changed asks again."""
    shared = served.call("POST", "/api/v1/builds/open", {"text": HERON})[1]
    at, parts = f"/api/v1/builds/{shared['key']}", [p["key"] for p in shared["doc"]["parts"]]
    taken: list[float] = []
    failed, done = [], []

    def work(n: int) -> None:
        version = shared["version"]
        for i in range(edits):
            changes = {"note": f"client {n}, edit {i}"}
            action = {"type": "change part", "part": parts[n % len(parts)], "changes": changes}
            for _ in range(200):
                body = {"base_version": version, "action": action}
                start = time.perf_counter()
                status, answer, _ = served.call("POST", f"{at}/actions", body)
                taken.append(time.perf_counter() - start)
                if status not in (200, 409):
                    failed.append(status)
                    return
                version = answer["version"]
                if status == 200:
                    done.append(1)
                    break

    start = time.perf_counter()
    threads = [threading.Thread(target=work, args=(n,)) for n in range(clients)]
    for t in threads:
        t.start()
    for t in threads:
        t.join()
    seconds = time.perf_counter() - start
    lost = shared["version"] + len(done) - served.call("GET", at)[1]["version"]
    return Crowd(taken, len(done), len(taken) - len(done) - len(failed), lost, failed, seconds)


def clients(served: Served, clients: int, edits: int) -> None:
    """A crowd of which no update is lost."""
    c = crowd(served, clients, edits)
    told(
        f"{clients} clients on one build",
        f"{c.done} edits, {c.done / c.seconds:.0f} a second "
        f"beside {c.late} that came too late, 95 % under {c.p95:.2f} s",
        f"{c.lost} lost, {len(c.failed)} failed",
    )


def _ran(*command: object, good: tuple[int, ...] = (0,)) -> bool:
    done = subprocess.run([str(c) for c in command], capture_output=True, check=False)
    return done.returncode in good


@contextmanager
def _disk(kind: str, megabytes: int) -> Iterator[Path | None]:
    """A small disk of its own, in memory or of a file, where this machine lets one be mounted."""
    folder = Path(tempfile.mkdtemp())
    at, image = folder / "disk", folder / "image"
    at.mkdir()
    size = f"size={megabytes}m"
    if kind == "memory":
        mounted = _ran("mount", "-t", "tmpfs", "-o", size, "tmpfs", at)
    else:
        with image.open("wb") as file:
            file.truncate(megabytes * 1_000_000)
        mounted = _ran("mkfs.ext4", "-q", "-F", image) and _ran("mount", "-o", "loop", image, at)
    try:
        yield at if mounted else None
    finally:
        if mounted:
            _ran("umount", "-l", at)
        shutil.rmtree(folder, ignore_errors=True)


def _edits(served: Served, key: str, version: int, times: int, by: str = "") -> tuple[int, str]:
    """Edits one after another: the version of the last that went in, and how the others were
    answered."""
    kinds: dict[str, int] = {}
    for i in range(times):
        status, answer = served.edit(key, version, f"Card {i} {by}" + "x" * 60)
        if status == 200:
            version = answer["version"]
        else:
            kind = answer["type"].rsplit(":", 1)[1] if answer else str(status)
            kinds[kind] = kinds.get(kind, 0) + 1
    return version, ", ".join(f"{n} {k}" for k, n in kinds.items())


def _opened(served: Served) -> tuple[str, int]:
    built = served.call("POST", "/api/v1/builds/open", {"text": HERON})[1]
    return built["key"], built["version"]


def _then(served: Served, key: str, version: int) -> str:
    """What is lost of the edits up to a version, and whether it is written again."""
    after = served.call("GET", f"/api/v1/builds/{key}")[1]["version"]
    again = served.edit(key, after, "Once more")[0]
    return f"{version - after} lost, {'writes again' if again == 200 else f'answers {again}'}"


def _sent(name: str, content: bytes) -> tuple[bytes, str]:
    return soak_kills.form({"step": "safe"}, name, content)


def _photo() -> bytes:
    out = io.BytesIO()
    Image.effect_noise((1500, 1000), 90).save(out, "PNG")
    return out.getvalue()


def full_disk() -> None:
    """A disk that fills up under a running server, and has room again."""
    title = "a disk that is full"
    with _disk("memory", 24) as var:
        if var is None:
            told(title, "not tried: no disk can be mounted here", "")
            return
        served = Served(var)
        key, first = _opened(served)
        with suppress(OSError), (var / "filler").open("wb", buffering=0) as filler:
            while filler.write(bytes(4096)):
                pass
        version, said = _edits(served, key, first, 40)
        build = f"/api/v1/builds/{key}"
        log, picture = (
            _sent("file", b"t,wall (W)\n" + b"0,100\n" * 99_999),
            _sent("photo", _photo()),
        )
        answers = [
            served.call("POST", f"{build}/readings/simulated", {})[0],
            served.call("POST", f"{build}/readings/file", form=log)[0],
            served.call("POST", f"{build}/photos", form=picture)[0],
        ]
        left = [f.name for of_ in ("readings", "photos") for f in (var / of_).glob("*")]
        said += f"; readings, a file, a photo answer {answers}, {len(left)} files left"
        (var / "filler").unlink()
        told(title, f"{version - first} edits went in, then {said}", _then(served, key, version))
        served.kill()


def read_only_disk() -> None:
    """A disk that the system makes read-only under a running server, as it does where a disk fails;
    read from as long as it is so, mended, and started again."""
    title = "a disk made read-only"
    with _disk("file", 64) as var:
        if var is None or not shutil.which("e2fsck"):
            told(title, "not tried: no such disk can be mounted here", "")
            return
        served = Served(var)
        key, version = _opened(served)
        version, _ = _edits(served, key, version, 10)
        if not _ran("mount", "-o", "remount,abort", var):
            served.kill()
            told(title, "not tried: it can't be made so while it is in use here", "")
            return
        last, said = _edits(served, key, version, 20, "then")
        reads = served.call("GET", f"/api/v1/builds/{key}")
        served.kill()
        _ran("umount", var)
        mended = _ran("e2fsck", "-p", "-f", var.with_name("image"), good=(0, 1))
        _ran("mount", "-o", "loop", var.with_name("image"), var)
        served.start()
        read = "read on" if (reads[0], reads[1]["version"]) == (200, version) else f"{reads[0]}"
        told(
            title,
            f"{last - version} edits went in, then {said}; {read}",
            _then(served, key, version) + ("" if mended else "; the disk was not whole"),
        )
        served.kill()


def main() -> None:
    """All of it, and the table."""
    begun = time.perf_counter()
    with tempfile.TemporaryDirectory() as folder:
        served = Served(Path(folder))
        kills(served, 25)
        files(served, 2000)
        operations(served, 12)
        connections(served)
        heavy(served, 8)
        clients(served, 32, 6)
        soak_much.soak(served, told)
        served.kill()
    full_disk()
    read_only_disk()
    with tempfile.TemporaryDirectory() as folder:
        soak_kills.soak(Path(folder), HERON, int(os.environ.get("ROUNDS", "300")), told)
    soak_broker.soak(Served, HERON, told)
    print(f"in {time.perf_counter() - begun:.0f} s")


if __name__ == "__main__":
    main()
