"""Kills among everything that is written: edits, ticks, photos, readings, files, streams, maps,
copies put back. What was acknowledged is there after it, nothing is stuck, `integrity` agrees."""

from __future__ import annotations

import http.client
import io
import json
import os
import random
import signal
import socket
import subprocess
import sys
import threading
import time
from collections import Counter
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path
from typing import Any

from PIL import Image

ROOT = Path(__file__).resolve().parent.parent
_TOKEN = "a" * 32
#: What stands between the fields of a form.
_BETWEEN = "easy-tally-soak-3f9b1c7d5e"
#: Seconds that a map or a file has to come to its end in, whoever was killed.
_ENDS_S = 60


class Whole:
    """All that `make demo` starts, on a port and a folder of its own."""

    def __init__(self, var: Path) -> None:
        self.var = var
        with socket.socket() as s:
            s.bind(("127.0.0.1", 0))
            self.port = s.getsockname()[1]
        self.env = os.environ | {"EASY_TALLY_VAR": str(var), "EASY_TALLY_WORKERS": "2"}
        self.manage("load_demo", "--migrate")
        self.start()

    def manage(self, *command: object) -> str:
        """A command of manage.py; gives what it says. Raises where it ends with a fault."""
        done = subprocess.run(
            [sys.executable, str(ROOT / "server/manage.py"), *map(str, command)],
            env=self.env,
            capture_output=True,
            text=True,
            check=False,
        )
        if done.returncode:
            raise RuntimeError(f"{command}: {done.stdout[-600:]} {done.stderr[-600:]}")
        return done.stdout

    def start(self) -> None:
        """Start it and wait until it answers."""
        self.process = subprocess.Popen(
            [sys.executable, "-m", "config.supervise", str(self.port)],
            cwd=ROOT / "server",
            env=self.env,
            stderr=subprocess.DEVNULL,
        )
        for _ in range(400):
            with suppress(OSError):
                if self.call("GET", "/builds")[0] == 200:
                    return
            time.sleep(0.05)
        raise RuntimeError("it did not start")

    def children(self) -> dict[str, list[int]]:
        """What runs, by what it is: server, files, maps."""
        pids: dict[str, list[int]] = {"server": [], "files": [], "maps": []}
        for stat in Path("/proc").glob("[0-9]*/stat"):
            with suppress(OSError):
                if stat.read_text().rsplit(")", 1)[1].split()[1] != str(self.process.pid):
                    continue
                line = stat.with_name("cmdline").read_bytes()
                kind = (
                    "server"
                    if b"config.serve" in line
                    else "maps"
                    if b"work.worker" in line
                    else "files"
                )
                pids[kind].append(int(stat.parent.name))
        return pids

    def kill(self, victim: str) -> None:
        """Kill one of them, or the one that started all: then all go."""
        if victim == "all":
            everything = [p for ps in self.children().values() for p in ps]
            self.process.kill()
            self.process.wait()
            end = time.monotonic() + 10
            while any(Path(f"/proc/{p}").exists() for p in everything):
                if time.monotonic() > end:
                    raise RuntimeError("something lives on")
                time.sleep(0.05)
        else:
            for pid in self.children()[victim][:1]:
                with suppress(OSError):
                    os.kill(pid, signal.SIGKILL)
            if victim == "server":
                self.process.wait()
        if self.process.poll() is not None:
            self.start()

    def stop(self) -> None:
        """End it as Ctrl-C does."""
        self.process.send_signal(signal.SIGINT)
        self.process.wait()

    def call(
        self, method: str, path: str, body: Any = None, form: tuple[bytes, str] | None = None
    ) -> tuple[int, Any]:
        """(status, answer). Raises OSError where nobody answers."""
        at = http.client.HTTPConnection("127.0.0.1", self.port, timeout=60)
        headers = {"Cookie": f"csrftoken={_TOKEN}", "X-CSRFToken": _TOKEN}
        content: bytes | None = None
        if form is not None:
            content, headers["Content-Type"] = form
        elif body is not None:
            content, headers["Content-Type"] = json.dumps(body).encode(), "application/json"
        try:
            at.request(method, f"/api/v1{path}", content, headers)
            response = at.getresponse()
            said = response.read()
        except http.client.HTTPException as error:
            raise OSError(str(error)) from error
        finally:
            at.close()
        kind = response.getheader("Content-Type") or ""
        return response.status, json.loads(said) if "json" in kind and said else said


def form(fields: dict[str, str], name: str, content: bytes) -> tuple[bytes, str]:
    """A form with a file in it, and its kind."""
    parts = [
        f'--{_BETWEEN}\r\nContent-Disposition: form-data; name="{n}"\r\n\r\n{v}\r\n'.encode()
        for n, v in fields.items()
    ]
    head = f'--{_BETWEEN}\r\nContent-Disposition: form-data; name="{name}"; filename="a"\r\n\r\n'
    return b"".join(
        [*parts, head.encode(), content, f"\r\n--{_BETWEEN}--\r\n".encode()]
    ), f"multipart/form-data; boundary={_BETWEEN}"


class Doing:
    """What is done to one build, each thing until a kill, and what of it was acknowledged."""

    def __init__(self, whole: Whole, heron: str, seed: int) -> None:
        self.of, self.rng, self.heron = whole, random.Random(seed), heron
        self.key = whole.call("POST", "/builds/open", {"text": heron})[1]["key"]
        self.at = f"/builds/{self.key}"
        self.done: Counter[str] = Counter()
        self.lost: list[str] = []
        self.forget()
        out = io.BytesIO()
        Image.radial_gradient("L").resize((300, 200)).save(out, "PNG")
        self.picture = out.getvalue()
        rows = "".join(f"{i},{100 + i % 7}\n" for i in range(60_000))
        self.log = f"t,wall (W)\n{rows}".encode()

    def forget(self) -> None:
        """Nothing is expected any more: a copy was put back."""
        self.version, self.name = 0, ""
        self.ticks: set[str] = set()
        self.photos: set[str] = set()
        self.sets: dict[str, int] = {}
        self.jobs: set[str] = set()

    # -- one thing each: acknowledged or not --------------------------------------------

    def edit(self, n: int) -> bool:
        """Rename a card."""
        build = self.of.call("GET", self.at)[1]
        name = f"Card {n}"
        action = {"type": "change part", "part": "card-1", "changes": {"name": name}}
        body = {"base_version": build["version"], "action": action}
        status, answer = self.of.call("POST", f"{self.at}/actions", body)
        if status != 200:
            return False
        self.version, self.name = answer["version"], name
        return True

    def tick(self, n: int) -> bool:
        """Tick a step."""
        uid = f"tick-{n}-{self.rng.random()}"
        entry = {
            "uid": uid,
            "step": f"step {uid}",
            "kind": "done",
            "words": uid,
            "at": "2026-11-30T20:15:00Z",
        }
        if self.of.call("POST", f"{self.at}/bench", {"entries": [entry]})[0] != 200:
            return False
        self.ticks.add(uid)
        return True

    def photo(self, n: int) -> bool:
        """Take a photo."""
        sent = form({"step": f"photo {n}"}, "photo", self.picture)
        if self.of.call("POST", f"{self.at}/photos", form=sent)[0] != 200:
            return False
        self.photos.add(f"photo {n}")
        return True

    def typed(self, n: int) -> bool:
        """Type a reading."""
        body = {"name": f"typed {n}", "rows": [["wall.w", "full", 500 + n % 50]]}
        return self._set(*self.of.call("POST", f"{self.at}/readings/typed", body))

    def simulated(self, n: int) -> bool:
        """Run the simulated instruments."""
        body = {"seed": n, "states": [["idle", 5], ["full", 5]]}
        return self._set(*self.of.call("POST", f"{self.at}/readings/simulated", body))

    def stream(self, n: int) -> bool:
        """Hear instruments, live."""
        body = {"simulated": True, "seed": n, "speed": 20}
        return self._set(*self.of.call("POST", f"{self.at}/readings/stream", body))

    def _set(self, status: int, answer: Any) -> bool:
        if status == 200:
            self.sets[answer["key"]] = answer["samples"]
        return status == 200

    def file(self, n: int) -> bool:
        """Send a file of readings."""
        sent = form({"name": f"log {n}"}, "file", self.log)
        status, answer = self.of.call("POST", f"{self.at}/readings/file", form=sent)
        if status == 200:
            self.jobs.add(answer["key"])
        return status == 200

    def map(self, n: int) -> bool:
        """Ask for a map."""
        version = self.of.call("GET", self.at)[1]["version"]
        body = {"base_version": version, "what": "all"}
        return self.of.call("POST", f"{self.at}/map", body)[0] == 200

    def until_killed(self, act: Callable[[int], bool], over: threading.Event) -> None:
        """One thing after another, until nobody answers or it is over."""
        for n in range(10_000):
            if over.is_set():
                return
            try:
                if act(self.rng.randrange(10**9) + n):
                    self.done[act.__name__] += 1
            except (OSError, ValueError):
                return
            if act.__name__ in ("stream", "file", "map", "simulated"):
                time.sleep(0.3)

    # -- after a kill ------------------------------------------------------------------

    def look(self) -> None:
        """See that what was acknowledged is there."""
        build = self.of.call("GET", self.at)[1]
        names = [p["name"] for p in build["doc"]["parts"] if p["key"] == "card-1"]
        if build["version"] < self.version:
            self.lost.append(f"edits: version {build['version']} of {self.version}")
        elif build["version"] == self.version and self.name and names != [self.name]:
            self.lost.append(f"an edit: {names} for {self.name}")
        record = self.of.call("GET", f"{self.at}/bench.csv")[1].decode()
        self.lost += [f"tick {t}" for t in self.ticks if t not in record]
        bench = self.of.call("GET", f"{self.at}/record.zip")[1]
        packed = bench.count(b"photos/photo-")
        if packed < len(self.photos):
            self.lost.append(f"photos: {packed} of {len(self.photos)}")
        sets = {s["key"]: s for s in self.of.call("GET", f"{self.at}/readings")[1]["sets"]}
        for key, samples in self.sets.items():
            if key not in sets or sets[key]["samples"] < samples:
                self.lost.append(f"readings {key}")
        self._ends()

    def _ends(self) -> None:
        """See that whatever was asked for comes to its end."""
        end = time.monotonic() + _ENDS_S
        waits = [f"{self.at}/map", *(f"{self.at}/readings/file/{j}" for j in self.jobs)]
        while waits and time.monotonic() < end:
            waits = [
                w for w in waits if self.of.call("GET", w)[1]["state"] in ("waiting", "running")
            ]
            time.sleep(0.1)
        self.lost += [f"stuck: {w}" for w in waits]
        for job in self.jobs:
            said = self.of.call("GET", f"{self.at}/readings/file/{job}")[1]
            if said["state"] == "done":
                self.sets[said["taken"]] = 60_000
            elif "next" not in said["error"] and "at most 200 sets" not in said["error"]:
                self.lost.append(f"a file: {said}")
        self.jobs.clear()

    def fresh(self) -> None:
        """Another build, where this one holds much: it is about kills, not about size."""
        kept = len(self.of.call("GET", f"{self.at}/readings")[1]["sets"])
        if kept > 120 or len(self.photos) > 150:
            self.key = self.of.call("POST", "/builds/open", {"text": self.heron})[1]["key"]
            self.at = f"/builds/{self.key}"
            self.forget()


def soak(var: Path, heron: str, rounds: int, told: Callable[[str, str, str], None]) -> None:
    """So many rounds."""
    whole = Whole(var)
    doing, rng, agreed, restored = Doing(whole, heron, 7), random.Random(11), 0, 0
    killed: Counter[str] = Counter()
    for n in range(rounds):
        things = rng.sample(
            [
                doing.edit,
                doing.tick,
                doing.photo,
                doing.typed,
                doing.simulated,
                doing.stream,
                doing.file,
                doing.map,
            ],
            5,
        )
        over = threading.Event()
        threads = [
            threading.Thread(target=doing.until_killed, args=(thing, over)) for thing in things
        ]
        for t in threads:
            t.start()
        time.sleep(rng.uniform(0.1, 1.2))
        victim = rng.choice(("server", "files", "maps", "all"))
        restoring = n % 30 == 29
        if restoring:
            whole.manage("backup", var / "copy.zip")
            restored += 1
        whole.kill(victim)
        killed[victim] += 1
        over.set()
        for t in threads:
            t.join()
        doing.look()
        if restoring:
            whole.stop()
            whole.manage("restore", var / "copy.zip")
            doing.forget()
            whole.start()
        if restoring or n == rounds - 1:
            agreed += "all is whole" in whole.manage("integrity")
        doing.fresh()
        if n % 30 == 29:
            print(f"  {n + 1} rounds: {dict(doing.done)}, lost {doing.lost[-3:]}", flush=True)
    whole.stop()
    asked = restored + bool(rounds % 30)
    told(
        "kills among everything",
        f"{rounds} kills {dict(killed)}, {restored} copies put back; {dict(doing.done)}",
        f"{len(doing.lost)} lost or stuck {doing.lost[:5]}; integrity agreed {agreed} of {asked}",
    )
