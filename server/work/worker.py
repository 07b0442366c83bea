"""A worker: `python -m work.worker`. It needs a broker and this package with the core, and nothing
else: no folder, no database, no secret of the server's."""

from __future__ import annotations

import logging
import os
import secrets
import sys
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path
from typing import Any

sys.path.insert(0, str(Path(__file__).resolve().parent.parent.parent / "core"))

from huey.consumer import Consumer
from pydantic import ValidationError

from work import jobs
from work.exchange import BEAT_S, Exchange, Unreachable, version

_log = logging.getLogger(__name__)
#: Seconds that an answer waits for a broker that does not take it; that one works on unheard.
_HOLDS_S = 20.0
QUEUE = f"maps{version()}"


class Busy:
    """What a worker works on, said by the second while it does; a word to the broker from another
    thread than the work's, so that a long step is no silence."""

    def __init__(self, exchange: Exchange) -> None:
        self.exchange, self.id = exchange, secrets.token_hex(6)
        self.called, self.since, self._warned = "", 0.0, False
        self.retell: Callable[[], None] = lambda: None

    def start(self) -> None:
        """Say it from now on."""
        threading.Thread(target=self._beat, daemon=True).start()

    def on(self, called: str, retell: Callable[[], None] = lambda: None) -> None:
        """It works on something; on nothing: ""."""
        self.called, self.since, self.retell = called, time.monotonic(), retell
        self.say()

    def say(self) -> None:
        """Say it once."""
        if self.exchange.at_once:
            return
        busy_s = round(time.monotonic() - self.since, 1) if self.called else 0.0
        with suppress(Unreachable):
            servers = self.exchange.here(self.id, self.called, busy_s)
            if servers and servers != version() and not self._warned:
                self._warned = True
                _log.warning(
                    "The server is of another version (%s) than this worker (%s): nothing comes "
                    "here until both are of one. Update the older one.",
                    servers,
                    version(),
                )
            if self.called:
                self.retell()

    def _beat(self) -> None:
        while True:
            self.say()
            time.sleep(BEAT_S)


def work_on(exchange: Exchange, token: str, busy: Busy | None = None) -> None:
    """Do the job of a token, if somebody still waits for it."""
    text = exchange.job(token)
    if text is None or exchange.answer_of(token) is not None:
        return
    asked = jobs.read(text)
    if asked is None:
        error = "The job was not of the format that this worker knows."
        exchange.answer(token, jobs.Answered(state="failed", error=error).model_dump_json())
        return
    heard = time.monotonic()

    def tell(news: dict[str, Any]) -> None:
        with suppress(Unreachable):  # cut off: the next word says it
            exchange.tell(token, news)

    def wanted() -> bool:
        nonlocal heard
        try:
            is_wanted = exchange.wanted(token)
        except Unreachable:
            return time.monotonic() - heard < _HOLDS_S
        heard = time.monotonic()
        return is_wanted

    desk = jobs.Desk(
        tell,
        wanted,
        lambda: not exchange.at_once and exchange.waiting() > 0,
        _found_before(exchange, token),
    )
    desk.tell()
    if busy:
        busy.on(asked.called, lambda: tell(desk.said))
    try:
        answer = jobs.do(asked, desk)
    except jobs.Aside:
        exchange.send(token, urgent=False)
        return
    finally:
        if busy:
            busy.on("")
    _give(exchange, token, answer.model_dump_json())


def _found_before(exchange: Exchange, token: str) -> jobs.Unfed:
    told = exchange.told(token)
    try:
        return jobs.UNFED.validate_python(told.what.get("unfed", {})) if told else {}
    except ValidationError:
        return {}


def _give(exchange: Exchange, token: str, text: str) -> None:
    """Answer; where the broker is away, for a while again and again."""
    until = time.monotonic() + _HOLDS_S
    while True:
        try:
            exchange.answer(token, text)
            return
        except Unreachable as error:
            if exchange.at_once or time.monotonic() > until:
                _log.warning("An answer could not be given: %s", error)
                return
            time.sleep(0.5)


class _Quietly(logging.Filter):
    """What the broker does not do, in a line each half minute instead of a traceback a second."""

    def __init__(self) -> None:
        super().__init__()
        self._said = -60.0

    def filter(self, record: logging.LogRecord) -> bool:
        """Whether a record is said, and how."""
        error = record.exc_info[1] if record.exc_info else None
        if record.levelno < logging.ERROR or error is None:
            return record.levelno > logging.INFO
        now = time.monotonic()
        record.msg, record.args = f"{record.getMessage().rstrip('.')}: {error}", ()
        record.exc_info = None
        said, self._said = self._said, now if now - self._said > 30 else self._said
        return now - said > 30


def consume(exchange: Exchange, do: Callable[[str, Busy], None], periodic: bool = False) -> None:
    """Work on what comes until this process is asked to end."""
    end_with_parent()
    quietly = _Quietly()
    for name in ("huey", "huey.consumer", "huey.consumer.Worker", "huey.consumer.Scheduler"):
        logging.getLogger(name).addFilter(quietly)
    busy = Busy(exchange)
    exchange.works(lambda token: do(token, busy))
    busy.start()
    Consumer(
        exchange.huey,
        workers=1,
        worker_type="thread",
        periodic=periodic,
        initial_delay=0.05,
        max_delay=0.2,
        check_worker_health=True,
    ).run()
    exchange.leave(busy.id)


def end_with_parent() -> None:
    """End where the process that started this one is gone, however it went."""
    said = os.environ.get("EASY_TALLY_PARENT", "")
    if not said.isdecimal():
        return

    def watch() -> None:
        while os.getppid() == int(said):
            time.sleep(0.5)
        os._exit(0)

    threading.Thread(target=watch, daemon=True).start()


def main() -> None:
    """A worker of a broker: EASY_TALLY_BROKER has its address (redis://, rediss:// with TLS, each
    with a password where it has one), or the path of the queue's file."""
    logging.basicConfig(format="{asctime} worker: {message}", style="{", level=logging.WARNING)
    address = os.environ.get("EASY_TALLY_BROKER", "")
    if not address:
        sys.exit("Easy Tally: EASY_TALLY_BROKER has no address of a broker for this worker.")
    exchange = Exchange(address, QUEUE)
    consume(exchange, lambda token, busy: work_on(exchange, token, busy))


if __name__ == "__main__":
    main()
