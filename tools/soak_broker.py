"""Workers on other machines: a Redis server with a password and TLS, two workers in network
namespaces of their own, which are killed, cut off, slow, of another version. Part of `make soak`;
needs root, `ip`, and Debian's redis-server, and says so where it has none of them."""

from __future__ import annotations

import json
import os
import shutil
import signal
import socket
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import ExitStack, contextmanager, suppress
from pathlib import Path
from typing import Any

ROOT = Path(__file__).resolve().parent.parent
_PASSWORD = "not-a-secret-but-one"
#: Host's end of a worker's line, and the worker's: one network each.
_HOST, _AWAY = "10.77.{}.1", "10.77.{}.2"


def _run(*command: object) -> None:
    subprocess.run([str(c) for c in command], check=True, capture_output=True)


def lacks() -> str:
    """What this machine lacks for it; "" nothing."""
    if os.geteuid():
        return "root"
    for tool in ("ip", "redis-server", "openssl"):
        if not shutil.which(tool):
            return tool
    return ""


def _port() -> int:
    with socket.socket() as s:
        s.bind(("127.0.0.1", 0))
        return int(s.getsockname()[1])


class Broker:
    """A Redis server that asks for a password, with and without TLS."""

    def __init__(self, folder: Path) -> None:
        self.folder, self.port, self.tls_port = folder, _port(), _port()
        key, cert = folder / "key.pem", folder / "cert.pem"
        _run(
            "openssl",
            "req",
            "-x509",
            "-newkey",
            "rsa:2048",
            "-nodes",
            "-days",
            "2",
            "-subj",
            "/CN=broker",
            "-keyout",
            key,
            "-out",
            cert,
        )
        self.cert = cert
        self.process = subprocess.Popen(
            [
                "redis-server",
                "--port",
                str(self.port),
                "--tls-port",
                str(self.tls_port),
                "--tls-cert-file",
                str(cert),
                "--tls-key-file",
                str(key),
                "--tls-ca-cert-file",
                str(cert),
                "--tls-auth-clients",
                "no",
                "--requirepass",
                _PASSWORD,
                "--bind",
                "0.0.0.0",
                "--save",
                "",
                "--dir",
                str(folder),
            ],
            stdout=subprocess.DEVNULL,
        )
        for _ in range(100):
            with suppress(OSError):
                socket.create_connection(("127.0.0.1", self.port), 1).close()
                return
            time.sleep(0.05)
        raise RuntimeError("redis-server did not start")

    def address(self, host: str, tls: bool = False) -> str:
        """How it is reached from a host."""
        if not tls:
            return f"redis://:{_PASSWORD}@{host}:{self.port}/0"
        more = f"ssl_ca_certs={self.cert}&ssl_check_hostname=false"
        return f"rediss://:{_PASSWORD}@{host}:{self.tls_port}/0?{more}"


class Worker:
    """A worker on a machine of its own, which has no folder of the server's and no secret."""

    def __init__(self, number: int, broker: Broker, tls: bool = False, root: Path = ROOT) -> None:
        self.space, self.line = f"easytally{number}", f"etally{number}"
        host, away = _HOST.format(number), _AWAY.format(number)
        _run("ip", "netns", "add", self.space)
        _run(
            "ip",
            "link",
            "add",
            self.line,
            "type",
            "veth",
            "peer",
            "name",
            "away",
            "netns",
            self.space,
        )
        _run("ip", "addr", "add", f"{host}/24", "dev", self.line)
        _run("ip", "link", "set", self.line, "up")
        _run("ip", "-n", self.space, "addr", "add", f"{away}/24", "dev", "away")
        _run("ip", "-n", self.space, "link", "set", "away", "up")
        self.env = {
            "EASY_TALLY_BROKER": broker.address(host, tls),
            "PATH": os.environ["PATH"],
            "EASY_TALLY_VAR": "/dev/null/nowhere",
            "HOME": "/nonexistent",
        }
        self.root = root
        self.start()

    def start(self) -> None:
        """Start it."""
        self.process = subprocess.Popen(
            ["ip", "netns", "exec", self.space, sys.executable, "-m", "work.worker"],
            cwd=self.root / "server",
            env=self.env,
            stderr=subprocess.DEVNULL,
        )

    def kill(self) -> None:
        """As when its power goes."""
        self.process.send_signal(signal.SIGKILL)
        self.process.wait()

    def cut_off(self, off: bool = True) -> None:
        """Take its line away, or put it back."""
        _run("ip", "link", "set", self.line, "down" if off else "up")

    def close(self) -> None:
        """Take the machine away."""
        with suppress(OSError):
            self.kill()
        for command in (("ip", "netns", "del", self.space), ("ip", "link", "del", self.line)):
            subprocess.run(command, check=False, capture_output=True)


def _builds(heron: str, count: int) -> list[str]:
    """Builds whose maps take a while: Heron with disks of several makes."""
    builds = []
    for n in range(count):
        file = json.loads(heron)
        disk = next(p for p in file["parts"] if p["key"] == "disk")
        file["name"] = f"Heron {n}"
        file["parts"] += [
            disk | {"key": f"more-{i}", "name": f"Archive disk {n} {i}", "count": 3}
            for i in range(5)
        ]
        builds.append(json.dumps(file))
    return builds


class Shop:
    """A server that asks the workers of a broker, and its maps."""

    def __init__(self, whole: Any, heron: str) -> None:
        self.of = whole
        self.keys = [
            whole.call("POST", "/api/v1/builds/open", {"text": t})[1]["key"]
            for t in _builds(heron, 12)
        ]

    def ask(self, key: str) -> dict[str, Any]:
        """Ask for a map."""
        version = self.of.call("GET", f"/api/v1/builds/{key}")[1]["version"]
        body = {"base_version": version, "what": "all"}
        answer: dict[str, Any] = self.of.call("POST", f"/api/v1/builds/{key}/map", body)[1]
        return answer

    def look(self, key: str) -> dict[str, Any]:
        """How far a map is."""
        answer: dict[str, Any] = self.of.call("GET", f"/api/v1/builds/{key}/map")[1]
        return answer

    def until(self, key: str, is_so: Callable[[dict[str, Any]], bool], seconds: float) -> Any:
        """Look until something is so; None: it was not, in time."""
        end = time.monotonic() + seconds
        while time.monotonic() < end:
            job = self.look(key)
            if is_so(job):
                return job
            time.sleep(0.1)
        return None

    def all_at_once(self) -> tuple[float, int]:
        """(seconds, how many were mapped) of twelve maps asked for together."""
        begun = time.monotonic()
        for key in self.keys:
            self.ask(key)
        mapped = sum((self.until(k, _over, 240) or {}).get("state") == "done" for k in self.keys)
        return time.monotonic() - begun, mapped


def _over(job: dict[str, Any]) -> bool:
    return job["state"] not in ("waiting", "running")


def _runs(job: dict[str, Any]) -> bool:
    return bool(job["state"] == "running" and job["done"] >= 1)


@contextmanager
def _another_version() -> Iterator[Path]:
    """A checkout of another version: one line of its core differs."""
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        for part in ("core", "server"):
            shutil.copytree(ROOT / part, root / part, ignore=shutil.ignore_patterns("__pycache__"))
        file = root / "core/easy_tally/mapping/solve.py"
        file.write_text(file.read_text(encoding="utf-8") + "\n# older\n", encoding="utf-8")
        yield root


def soak(served: Callable[..., Any], heron: str, told: Callable[[str, str, str], None]) -> None:
    """All of it. `served` starts a server on a folder with an environment."""
    if lacks():
        told("workers on other machines", f"not tried: this machine lacks {lacks()}", "")
        return
    with ExitStack() as stack:
        folder = Path(stack.enter_context(tempfile.TemporaryDirectory()))
        broker = Broker(folder)
        stack.callback(broker.process.kill)
        (folder / "var").mkdir()
        env = {"EASY_TALLY_TASKS": "", "EASY_TALLY_BROKER": broker.address("127.0.0.1")}
        shop_server = served(folder / "var", env)
        stack.callback(shop_server.kill)
        shop = Shop(shop_server, heron)
        first = Worker(1, broker)
        stack.callback(first.close)
        key = shop.keys[0]
        shop.ask(key)
        shop.until(key, _over, 120)  # the worker has loaded its solver
        one, of_one = shop.all_at_once()
        second = Worker(2, broker, tls=True)
        stack.callback(second.close)
        shop.all_at_once()
        two, of_two = shop.all_at_once()
        told(
            "twelve maps, one and two workers",
            f"{one:.1f} s, {two:.1f} s; the second over TLS",
            f"{24 - of_one - of_two} lost, {one / two:.2f} times as soon",
        )
        second.kill()
        _killed(shop, first, told)
        _cut_off(shop, first, second, told)
        _slow(shop, first, told)
        first.kill()
        with _another_version() as root:
            _older(shop, broker, root, told, stack)
        broker.process.kill()
        broker.process.wait()
        said = shop.ask(key)
        told(
            "the broker is gone",
            f"answers {said['state']}: {said['error'][:40]}…",
            "0 lost" if shop_server.call("GET", f"/api/v1/builds/{key}")[0] == 200 else "lost",
        )


def _killed(shop: Shop, worker: Worker, told: Callable[[str, str, str], None]) -> None:
    lost, longest = 0, 0.0
    for key in shop.keys[:4]:
        shop.ask(key)
        shop.until(key, lambda f: f["state"] == "running", 20)
        worker.kill()
        begun = time.monotonic()
        again = shop.until(key, lambda f: f["state"] == "waiting" or _over(f), 20)
        longest = max(longest, time.monotonic() - begun)
        worker.start()
        job = shop.until(key, _over, 120) if again else None
        lost += not (job and job["state"] == "done")
    told(
        "a worker killed under way",
        f"4 times; told within {longest:.1f} s, mapped by the next",
        f"{lost} lost",
    )


def _cut_off(
    shop: Shop, first: Worker, second: Worker, told: Callable[[str, str, str], None]
) -> None:
    key = shop.keys[5]
    shop.ask(key)
    shop.until(key, lambda f: f["state"] == "running", 20)
    first.cut_off()
    second.start()
    job = shop.until(key, _over, 120)
    second.kill()
    first.cut_off(off=False)
    time.sleep(8)  # what it did meanwhile is of nobody
    after = shop.look(key)
    shop.ask(shop.keys[6])
    again = shop.until(shop.keys[6], _over, 120)
    good = all(f and f["state"] == "done" for f in (job, after, again)) and after == job
    told(
        "a worker cut off under way",
        "the other took it up; the first is heard again",
        f"{0 if good else 1} lost",
    )


def _slow(shop: Shop, worker: Worker, told: Callable[[str, str, str], None]) -> None:
    key = shop.keys[7]
    shop.ask(key)
    shop.until(key, lambda f: f["state"] == "running", 20)
    tries = 0
    while not _over(shop.look(key)) and tries < 40:  # half of each second it gets nothing
        worker.process.send_signal(signal.SIGSTOP)
        time.sleep(0.5)
        worker.process.send_signal(signal.SIGCONT)
        time.sleep(0.5)
        tries += 1
    job = shop.until(key, _over, 60)
    told(
        "a slow worker",
        f"half its time taken away for {tries} s",
        f"{0 if job and job['state'] == 'done' else 1} lost",
    )


def _older(
    shop: Shop, broker: Broker, root: Path, told: Callable[[str, str, str], None], stack: ExitStack
) -> None:
    older = Worker(3, broker, root=root)
    stack.callback(older.close)
    key = shop.keys[8]
    shop.ask(key)
    said = shop.until(key, lambda f: bool(f["waits"]), 30)
    older.kill()
    words = said["waits"] if said else "nothing was said"
    mixed = said is None or said["state"] != "waiting"
    told("a worker of another version", f"“{words[:70]}…”", "mixed in" if mixed else "not mixed in")
