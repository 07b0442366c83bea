"""Where who asks and who works meet: a broker, which is a file beside the database or a Redis
server. What lies there is JSON, and nothing of it is trusted beyond its format.

A job is a token in the queue and a text under its name; who works on it tells how far it is and
puts its answer there. Each worker says by the second that it is there, and on what it works."""

from __future__ import annotations

import hashlib
import json
import os
import secrets
import socket
import sqlite3
import time
from collections.abc import Callable
from contextlib import suppress
from datetime import UTC, datetime, timedelta
from functools import lru_cache
from pathlib import Path
from typing import Any, NamedTuple

from huey.api import Huey
from huey.constants import EmptyData
from huey.exceptions import HueyException
from huey.registry import Message
from huey.serializer import Serializer
from huey.storage import MemoryStorage, PriorityRedisExpireStorage, SqliteStorage
from redis import ConnectionPool
from redis.exceptions import RedisError

#: Seconds between two words of a worker; without one for so long it is taken for gone.
BEAT_S, GONE_S = 1.0, 5.0
#: Seconds that what nobody fetches lies at a Redis server; that a broker has to answer.
KEPT_S, ANSWERS_S = 3600, 5
#: Bytes of a job, or of an answer, at the most.
MOST_BYTES = 16_000_000
_REDIS = ("redis://", "rediss://")
_CORE = Path(__file__).resolve().parent.parent.parent / "core" / "easy_tally"


class Unreachable(Exception):
    """The broker does not answer, or can't be read; the message says what to do."""


class _Json(Serializer):  # type: ignore[misc]
    """Messages of the queue as JSON: reading one runs nothing."""

    def _serialize(self, message: Any) -> bytes:
        return json.dumps(message).encode()

    def _deserialize(self, raw: bytes) -> Any:
        message = json.loads(bytes(raw))
        return Message(*message) if isinstance(message, list) else message


@lru_cache(maxsize=1)
def version() -> str:
    """Tells this version of core and jobs from any other: workers of another take no part."""
    digest = hashlib.sha256()
    for file in sorted([*_CORE.rglob("*.py"), *Path(__file__).parent.glob("*.py")]):
        digest.update(file.read_bytes())
    return digest.hexdigest()[:12]


class Worker(NamedTuple):
    """One that is there: where, of which version, on what it works since when, or nothing. `heard`:
    it said something twice, so that it is there for certain, and not what one left that is gone."""

    id: str
    host: str
    version: str
    busy: str
    since: datetime | None
    heard: bool


class Told(NamedTuple):
    """What was last told of a job: by which of its words, and what."""

    beat: str
    what: dict[str, Any]


class Exchange:
    """One queue of a broker, as who asks and who works see it. `address`: a file, the address of a
    Redis server, or nothing: what is asked for is done at once, in this process."""

    def __init__(self, address: str, queue: str) -> None:
        self.address, self.at_once = address, not address
        self._huey = _of(address, f"easytally{queue}")
        #: Where workers of every version say that they are there.
        self._there = _of(address, f"easytally{queue.removesuffix(version())}workers")
        #: Of a worker or a job: what it said last, when that was first heard, how often it changed.
        self._seen: dict[str, tuple[str, float, int]] = {}
        self._do: Callable[[str], None] = lambda token: None
        self._task = self._huey.task()(self._run)

    def _run(self, token: str) -> None:
        self._do(token)

    def works(self, do: Callable[[str], None]) -> None:
        """What is done with the token of a job that came."""
        self._do = do

    @property
    def huey(self) -> Huey:
        """The queue itself, for who consumes it."""
        return self._huey

    # -- who asks ------------------------------------------------------------------

    def ask(self, text: str, token: str = "", urgent: bool = True) -> str:
        """Put a job there; gives its token. Raises Unreachable."""
        token = token or secrets.token_hex(16)
        with _Reached(self.address):
            if not self.at_once:
                self._there.storage.put_data("server", version().encode(), is_result=True)
            self._put(f"job:{token}", text)
            self.send(token, urgent)
        return token

    def send(self, token: str, urgent: bool = True) -> None:
        """Put a job into the queue, once more where it got lost. Raises Unreachable."""
        with _Reached(self.address):
            # From now on it waits anew: it is not taken for forgotten before somebody could come.
            self._seen.pop(f"job:{token}", None)
            self.quiet_s(f"job:{token}", "waits")
            self._huey.enqueue(self._task.s(token, priority=1 if urgent else 0))

    def stop(self, token: str) -> None:
        """Who works on it should end with what it has. Raises Unreachable."""
        with _Reached(self.address):
            self._put(f"stop:{token}", "1")

    def drop(self, token: str) -> None:
        """Nobody waits for it any more. Raises Unreachable."""
        with _Reached(self.address):
            for kind in ("job", "stop", "at", "answer"):
                self._huey.storage.delete_data(f"{kind}:{token}")
            self._seen.pop(f"job:{token}", None)

    def answer_of(self, token: str) -> str | None:
        """What came of a job; None: nothing yet. Raises Unreachable."""
        return self._peek(f"answer:{token}")

    def told(self, token: str) -> Told | None:
        """What was last told of a job; None: nobody has taken it. Raises Unreachable."""
        fields = _fields(self._peek(f"at:{token}"))
        return Told(str(fields.get("beat")), fields) if fields else None

    def quiet_s(self, token: str, beat: str) -> float:
        """Seconds since `of` said something else than `beat`, by this process's clock: those of
        other machines may go otherwise. 0 where it is seen for the first time."""
        now = time.monotonic()
        known = self._seen.get(token)
        if known is None or known[0] != beat:
            self._seen[token] = known = (beat, now, known[2] + 1 if known else 0)
            if len(self._seen) > 1000:
                self._seen = dict([*self._seen.items()][-500:])
        return now - known[1]

    def workers(self) -> list[Worker]:
        """Those that are there, of every version. Raises Unreachable."""
        with _Reached(self.address):
            items = self._there.storage.result_items()
        workers = []
        for key, content in items.items():
            said = _fields(_text(content))
            if key == "server" or self.quiet_s(f"worker:{key}", str(said.get("beat"))) > GONE_S:
                continue
            busy, busy_s = str(said.get("busy", ""))[:200], said.get("busy_s")
            since = None
            if busy and isinstance(busy_s, int | float) and 0 <= busy_s < 1e6:
                since = datetime.now(UTC) - timedelta(seconds=busy_s)
            host, its_version = str(said.get("host", ""))[:60], str(said.get("version", ""))[:12]
            heard = self._seen.get(f"worker:{key}", ("", 0.0, 0))[2] > 0
            workers.append(Worker(str(key), host, its_version, busy, since, heard))
        return workers

    # -- who works -----------------------------------------------------------------

    def job(self, token: str) -> str | None:
        """The text of a job; None: nobody waits for it any more. Raises Unreachable."""
        return self._peek(f"job:{token}")

    def wanted(self, token: str) -> bool:
        """Whether somebody waits for a job and did not ask for its end. Raises Unreachable."""
        with _Reached(self.address):
            kept = self._huey.storage.peek_many([f"job:{token}", f"stop:{token}"])
        return f"job:{token}" in kept and f"stop:{token}" not in kept

    def waiting(self) -> int:
        """How many jobs wait in the queue. Raises Unreachable."""
        with _Reached(self.address):
            return int(self._huey.pending_count())

    def tell(self, token: str, news: dict[str, Any]) -> None:
        """Say how far a job is. Raises Unreachable."""
        with _Reached(self.address):
            self._put(f"at:{token}", json.dumps({"beat": secrets.token_hex(4)} | news))

    def answer(self, token: str, text: str) -> None:
        """Say what came of a job; nobody needs its text any more. Raises Unreachable."""
        with _Reached(self.address):
            if self._huey.storage.has_data_for_key(f"job:{token}"):
                self._put(f"answer:{token}", text)

    def here(self, worker: str, busy: str, busy_s: float) -> str:
        """Say that a worker is there; gives the version of the server. Raises Unreachable."""
        said = {
            "beat": secrets.token_hex(4),
            "host": socket.gethostname(),
            "version": version(),
            "busy": busy,
            "busy_s": busy_s,
        }
        with _Reached(self.address):
            store = self._there.storage
            store.put_data(worker, json.dumps(said).encode(), is_result=True)
            return _text(store.peek_data("server")) or ""

    def leave(self, worker: str) -> None:
        """A worker goes."""
        with suppress(Unreachable), _Reached(self.address):
            self._there.storage.delete_data(worker)

    # -- what lies there -----------------------------------------------------------

    def _put(self, key: str, text: str) -> None:
        if len(text) > MOST_BYTES:
            raise Unreachable(f"It is larger than {MOST_BYTES // 1_000_000} MB.")
        self._huey.storage.put_data(key, text.encode(), is_result=True)

    def _peek(self, key: str) -> str | None:
        with _Reached(self.address):
            return _text(self._huey.storage.peek_data(key))


class _Reached:
    """What a broker can't do, as Unreachable."""

    def __init__(self, address: str) -> None:
        self.address = address

    def __enter__(self) -> None:
        return None

    def __exit__(self, kind: Any, error: BaseException | None, trace: Any) -> None:
        if isinstance(error, RedisError | OSError):
            why = str(error) if isinstance(error, OSError) else type(error).__name__
            raise Unreachable(f"The broker does not answer ({why[:80]}): see to it.") from error
        if isinstance(error, sqlite3.Error | HueyException):
            raise Unreachable(
                f"The queue can’t be used ({error}): stop Easy Tally and start it again; a damaged "
                "one is set aside then."
            ) from error


def _of(address: str, name: str) -> Huey:
    more: dict[str, Any] = {"results": False, "serializer": _Json()}
    if not address:
        return Huey(name, immediate=True, storage_class=MemoryStorage, **more)
    if address.startswith(_REDIS):
        patience = {"socket_timeout": ANSWERS_S, "socket_connect_timeout": ANSWERS_S}
        return Huey(
            name,
            storage_class=PriorityRedisExpireStorage,
            expire_time=KEPT_S,
            read_timeout=1,
            connection_pool=ConnectionPool.from_url(address, **patience),
            **more,
        )
    # What is lost of it in a power cut is asked for again: it need not reach the disk.
    return Huey(name, storage_class=SqliteStorage, filename=address, fsync=False, **more)


def _text(content: Any) -> str | None:
    if content is EmptyData or content is None or len(content) > MOST_BYTES:
        return None
    return bytes(content).decode("utf-8", errors="replace")


def _fields(text: str | None) -> dict[str, Any]:
    """An object of JSON; an empty one where it is none."""
    try:
        fields = json.loads(text or "null")
    except (ValueError, RecursionError):
        return {}
    return fields if isinstance(fields, dict) else {}


def set_aside(file: Path) -> str:
    """Put a queue that is damaged out of the way; says so in a sentence, or nothing."""
    try:
        at = sqlite3.connect(f"file:{file}?mode=rw", uri=True)
    except sqlite3.Error:
        return ""
    try:
        (said,) = at.execute("PRAGMA quick_check").fetchone()
        if said == "ok":
            return ""
    except sqlite3.OperationalError as error:
        if "locked" in str(error) or "unable to open" in str(error):
            return ""  # somebody uses it, or there is none
        said = str(error)
    except sqlite3.DatabaseError as error:
        said = str(error)
    finally:
        at.close()
    aside = file.with_name(f"{file.name}.damaged-{datetime.now(UTC):%Y%m%dT%H%M%S}")
    os.replace(file, aside)
    for end in ("-wal", "-shm"):
        file.with_name(file.name + end).unlink(missing_ok=True)
    return (
        f"The queue was damaged ({said}); it was set aside as {aside.name}, and a new one begun. "
        "What waited in it is asked for again."
    )
