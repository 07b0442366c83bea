"""A job as a row: asked of the workers, looked after, and its answer kept. This process alone
writes."""

from __future__ import annotations

import logging
from collections.abc import Callable
from functools import lru_cache
from typing import Any, NamedTuple

from builds.models import Build
from django.conf import settings
from django.db import transaction
from pydantic import ValidationError
from work.exchange import Exchange, Unreachable, Worker
from work.jobs import Answered
from work.outcomes import Outcome, look, why_it_waits
from work.worker import QUEUE, work_on

from jobs.models import Job

_log = logging.getLogger(__name__)
#: How often a job is given to somebody before it is given up.
TRIES = 2
#: Seconds that a job is on its way to the queue.
_SENDS_S = 2.0
UNDER_WAY = ("waiting", "running")
_LOST = (
    "Whoever worked on it was ended, and so was the next who took it up; the build is as it was. "
    "Ask again."
)


@lru_cache(maxsize=1)
def exchange() -> Exchange:
    """Where the workers are asked."""
    exchange = Exchange(settings.WORKERS_AT, QUEUE)
    exchange.works(lambda token: work_on(exchange, token))
    return exchange


class State(NamedTuple):
    """A job as the page sees it; `waits`: why it does, in a sentence; `busy`: on what its workers
    are."""

    job: Job | None
    waits: str = ""
    busy: tuple[Worker, ...] = ()


class Kind(NamedTuple):
    """A kind of job: how it is asked anew, giving its row, and how its answer is read, as fields
    of the row; that raises ValidationError."""

    anew: Callable[[Job], Job | None]
    read: Callable[[Any], dict[str, Any]]


def send_later(job: Job, text: str) -> None:
    """Ask the workers once the transaction is through: who does it at once answers into the row."""
    transaction.on_commit(lambda: _send(job, text))


def _send(job: Job, text: str) -> None:
    try:
        token = exchange().ask(text)
    except Unreachable as error:
        _end(job, "failed", error=str(error))
        return
    type(job).objects.filter(pk=job.pk).update(token=token)


def state(row: Build, job: Job | None, kind: Kind) -> State:
    """How far a job on a build is; what came of it is kept by this. A build that changed since ends
    it."""
    if job is None or job.state not in UNDER_WAY:
        return State(job)
    try:
        if job.version != row.version:
            return _stopped(job)
        if not job.token:  # it is being sent; or who should have sent it was killed
            if exchange().quiet_s(f"unsent:{job.pk}", "") < _SENDS_S:
                return State(job)
            return _stopped(job) if job.stop else State(kind.anew(job))
        told = look(exchange(), job.token)
        match told.state:
            case "answered":
                return _keep(job, told.answer, kind)
            case "lost" | "forgotten":
                return _again(job, kind, lost=told.state == "lost")
            case "running":
                return _under_way(job, told)
        if job.stop:
            return _stopped(job)
        words, busy = why_it_waits(exchange(), job.token)
    except Unreachable as error:
        return State(job, str(error))
    return State(job, words, tuple(busy))


def _under_way(job: Job, outcome: Outcome) -> State:
    fields: dict[str, Any] = {"state": "running"}
    for name in ("done", "of"):
        value = outcome.told.get(name, 0)
        fields[name] = value if isinstance(value, int) and 0 <= value < 1_000 else 0
    if fields != {n: getattr(job, n) for n in fields}:
        type(job).objects.filter(pk=job.pk).update(**fields)
    for name, value in fields.items():
        setattr(job, name, value)
    return State(job)


def _again(job: Job, kind: Kind, lost: bool) -> State:
    """Who works on it is gone: give it to the next; or end it."""
    if job.stop:
        return _stopped(job)
    text = exchange().job(job.token)
    if text is None:  # the queue was begun anew
        return State(kind.anew(job))
    if job.tries >= TRIES:
        exchange().drop(job.token)
        return _end(job, "failed", error=_LOST)
    if not lost:
        exchange().send(job.token)
        type(job).objects.filter(pk=job.pk).update(tries=job.tries + 1)
        return State(job)
    # By another name: whoever was cut off and comes back finds that nobody waits for it.
    exchange().drop(job.token)
    token = exchange().ask(text)
    fields: dict[str, Any] = {"token": token, "tries": job.tries + 1, "state": "waiting", "done": 0}
    type(job).objects.filter(pk=job.pk).update(**fields)
    job.state = "waiting"
    return State(job)


def _keep(job: Job, text: str, kind: Kind) -> State:
    exchange().drop(job.token)
    try:
        came = Answered.model_validate_json(text)
        fields = {} if came.answer is None else kind.read(came.answer)
    except ValidationError:
        _log.warning("A worker's answer was not of the format; it was left out.")
        return _end(job, "failed", error="The worker’s answer can’t be read; ask again.")
    return _end(job, came.state, error=came.error, **fields)


def _stopped(job: Job) -> State:
    exchange().drop(job.token)
    return _end(job, "stopped")


def _end(job: Job, state_: str, **fields: Any) -> State:
    type(job).objects.filter(pk=job.pk).update(state=state_, **fields)
    job.refresh_from_db()
    return State(job)


def stop(job: Job | None) -> None:
    """Stop a job that is under way: what it has so far is its answer; or put its answer away."""
    if job is None:
        return
    if job.state not in UNDER_WAY or job.stop:
        drop(job)
        return
    type(job).objects.filter(pk=job.pk).update(stop=True)
    try:
        exchange().stop(job.token)
    except Unreachable as error:
        _end(job, "stopped", error=str(error))


def drop(job: Job | None) -> None:
    """Forget a job, whether it is under way or not."""
    if job is None:
        return
    job.delete()
    if job.state in UNDER_WAY and job.token:
        try:
            exchange().drop(job.token)
        except Unreachable as error:
            _log.warning("A job that nobody waits for could not be called off: %s", error)
