"""Much at once: streams, bodies without end, photos; what a reader waits beside it, and what the
server holds."""

from __future__ import annotations

import http.client
import io
import os
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path
from typing import Any

import soak_kills
from PIL import Image

ROOT = Path(__file__).resolve().parent.parent
Told = Callable[[str, str, str], None]


class Beside:
    """A reader beside something, and the most that the server holds meanwhile."""

    def __init__(self, whole: Any) -> None:
        self.of, self.over = whole, threading.Event()
        self.longest, self.peak_mb = 0.0, 0.0

    def __enter__(self) -> Beside:
        self.threads = [threading.Thread(target=t) for t in (self._read, self._watch)]
        for t in self.threads:
            t.start()
        return self

    def __exit__(self, *of: object) -> None:
        self.over.set()
        for t in self.threads:
            t.join()

    def _read(self) -> None:
        while not self.over.wait(0.05):
            begun = time.perf_counter()
            self.of.call("GET", "/api/v1/builds")
            self.longest = max(self.longest, time.perf_counter() - begun)

    def _watch(self) -> None:
        status = Path(f"/proc/{self.of.process.pid}/status")
        while not self.over.wait(0.005):
            lines = status.read_text().splitlines()
            held = next(line for line in lines if line.startswith("VmRSS"))
            self.peak_mb = max(self.peak_mb, int(held.split()[1]) / 1024)

    def words(self) -> str:
        """What it came to."""
        return f"a reader waits {self.longest * 1000:.0f} ms, {self.peak_mb:.0f} MB held"


def _all(several: list[Callable[[], int]]) -> list[int]:
    """Do several things at once; the status of each."""
    statuses: list[int] = []
    threads = [threading.Thread(target=lambda do=do: statuses.append(do())) for do in several]
    for t in threads:
        t.start()
    for t in threads:
        t.join()
    return sorted(statuses)


def _counted(statuses: list[int]) -> str:
    return ", ".join(f"{statuses.count(s)} × {s}" for s in sorted(set(statuses)))


def _picture(width: int, height: int, kind: str, mode: str = "RGB", **more: Any) -> bytes:
    out = io.BytesIO()
    Image.radial_gradient("L").resize((width, height)).convert(mode).save(out, kind, **more)
    return out.getvalue()


def soak(whole: Any, told: Told) -> None:
    """Sixteen streams, four bodies of 400 MB without a token, fourteen photos."""
    text = (ROOT / "demo/training/heron.tally.json").read_text(encoding="utf-8")
    key = whole.call("POST", "/api/v1/builds/open", {"text": text})[1]["key"]
    at = f"/api/v1/builds/{key}"

    def stream(n: int) -> int:
        body = {"simulated": True, "seed": n, "speed": 20}
        return int(whole.call("POST", f"{at}/readings/stream", body)[0])

    def endless(_: int) -> int:
        to = http.client.HTTPConnection("127.0.0.1", whole.port, timeout=30)
        try:
            to.putrequest("POST", f"{at}/readings/file")
            to.putheader("Content-Length", "400000000")
            to.endheaders()
            with suppress(OSError):
                for _piece in range(400):
                    to.send(bytes(1_000_000))
            return to.getresponse().status
        except OSError:
            return 0
        finally:
            to.close()

    def photo(content: bytes) -> int:
        sent = soak_kills.form({"step": "safe"}, "photo", content)
        return int(whole.call("POST", f"{at}/photos", form=sent)[0])

    with Beside(whole) as beside:
        statuses = _all([lambda n=n: stream(n) for n in range(16)])  # type: ignore[misc]
    told("sixteen streams at once", _counted(statuses), beside.words())
    free = os.statvfs("/tmp").f_bavail
    with Beside(whole) as beside:
        statuses = _all([lambda n=n: endless(n) for n in range(4)])  # type: ignore[misc]
    used = (free - os.statvfs("/tmp").f_bavail) * os.statvfs("/tmp").f_frsize / 1e6
    told(
        "four bodies of 400 MB, no token",
        f"{_counted(statuses)}, {max(0, used):.0f} MB of disk",
        beside.words(),
    )
    pictures = [
        *[_picture(9000, 6660, "JPEG", quality=60)] * 6,
        *[_picture(9000, 6660, "PNG")] * 2,
        *[_picture(3600, 2490, "PNG", "RGBA")] * 3,
        *[_picture(3200, 2490, "WEBP")] * 2,
        _picture(4600, 3450, "JPEG", quality=60, progressive=True),
    ]
    with Beside(whole) as beside:
        statuses = _all([lambda p=p: photo(p) for p in pictures])  # type: ignore[misc]
    told("fourteen photos at once", _counted(statuses), beside.words())
