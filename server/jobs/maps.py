"""Maps: asked of the workers with all that they need, looked after, and kept once they answer. This
process alone writes."""

from __future__ import annotations

import logging
from functools import lru_cache
from typing import Any, NamedTuple

from base.writing import writing
from builds import candidates, results
from builds.models import Build
from django.conf import settings
from django.db import transaction
from django.utils import timezone
from drawer.prices import in_currency
from easy_tally.files import build_file
from easy_tally.things import RULES
from pydantic import ValidationError
from work.exchange import Exchange, Unreachable, Worker
from work.jobs import (
    ANSWER,
    UNFED,
    Answered,
    FeedsAsked,
    KitSent,
    MapAsked,
    RulesAsked,
    Stock,
    Unfed,
)
from work.outcomes import Outcome, look, why_it_waits
from work.worker import QUEUE, work_on

from jobs.models import Feeds, MapJob

_log = logging.getLogger(__name__)
#: How often a job is given to somebody before it is given up.
TRIES = 2
#: Seconds that a job is on its way to the queue.
_SENDS_S = 2.0
#: Supplies that are mapped where no worker is started.
_AT_ONCE = 4
#: In front of a position of the rule, where a supply is called by its slug.
OF_RULE = "rule:"
_UNDER_WAY = ("waiting", "running")
_LOST = (
    "Whoever mapped it was ended, and so was the next who took it up; the map is as it was. "
    "Ask again."
)


@lru_cache(maxsize=1)
def exchange() -> Exchange:
    """Where the workers are asked."""
    exchange = Exchange(settings.WORKERS_AT, QUEUE)
    exchange.works(lambda token: work_on(exchange, token))
    return exchange


class State(NamedTuple):
    """A map as the page sees it; `waits`: why it does, in a sentence; `busy`: on what its workers
    are."""

    job: MapJob | None
    waits: str = ""
    busy: tuple[Worker, ...] = ()


# -- a map -------------------------------------------------------------------------


def ask(row: Build, part_of_build: str, part: str) -> None:
    """Ask for a map of a build as it is; one before it is dropped."""
    build = results.current(row)
    asked = MapAsked.model_validate(
        {
            **_of(row, "the map"),
            "what": part_of_build,
            "part": part,
            "stock": [Stock.of(s) for s in candidates.stock(row.owner, build)],
            "kits": [KitSent.of(k) for k in candidates.others(row.owner, build)],
        }
    )
    wish = {"what": part_of_build, "part": part}
    with writing():
        drop(row)
        job = MapJob.objects.create(build=row, version=row.version, wish=wish, token="")
    # Who does it at once answers into the row: it is asked once the transaction is through.
    transaction.on_commit(lambda: _send(job, asked.model_dump_json()))


def _send(job: MapJob, text: str) -> None:
    try:
        token = exchange().ask(text)
    except Unreachable as error:
        _end(job, "failed", error=str(error))
        return
    MapJob.objects.filter(pk=job.pk).update(token=token)


def state(row: Build) -> State:
    """How far a map is; what came of it is kept by this. A build that changed since ends it."""
    job = MapJob.objects.filter(build=row).first()
    if job is None or job.state not in _UNDER_WAY:
        return State(job)
    try:
        if job.version != row.version:
            return _stopped(job)
        if not job.token:  # it is being sent; or who should have sent it was killed
            if exchange().quiet_s(f"unsent:{job.pk}", "") < _SENDS_S:
                return State(job)
            return _stopped(job) if job.stop else _ask_anew(job)
        told = look(exchange(), job.token)
        match told.state:
            case "answered":
                return _keep(job, told.answer)
            case "lost" | "forgotten":
                return _again(job, lost=told.state == "lost")
            case "running":
                return _under_way(job, told)
        if job.stop:
            return _stopped(job)
        words, busy = why_it_waits(exchange(), job.token)
    except Unreachable as error:
        return State(job, str(error))
    return State(job, words, tuple(busy))


def _under_way(job: MapJob, outcome: Outcome) -> State:
    fields: dict[str, Any] = {"state": "running"}
    for name in ("done", "of"):
        value = outcome.told.get(name, 0)
        fields[name] = value if isinstance(value, int) and 0 <= value < 1_000 else 0
    if fields != {n: getattr(job, n) for n in fields}:
        MapJob.objects.filter(pk=job.pk).update(**fields)
    for name, value in fields.items():
        setattr(job, name, value)
    return State(job)


def _again(job: MapJob, lost: bool) -> State:
    """Who works on it is gone: give it to the next; or end it."""
    if job.stop:
        return _stopped(job)
    text = exchange().job(job.token)
    if text is None:  # the queue was begun anew
        return _ask_anew(job)
    if job.tries >= TRIES:
        exchange().drop(job.token)
        return _end(job, "failed", error=_LOST)
    if not lost:
        exchange().send(job.token)
        MapJob.objects.filter(pk=job.pk).update(tries=job.tries + 1)
        return State(job)
    # By another name: whoever was cut off and comes back finds that nobody waits for it.
    exchange().drop(job.token)
    token = exchange().ask(text)
    fields: dict[str, Any] = {"token": token, "tries": job.tries + 1, "state": "waiting", "done": 0}
    MapJob.objects.filter(pk=job.pk).update(**fields)
    job.state = "waiting"
    return State(job)


def _ask_anew(job: MapJob) -> State:
    row = job.build
    ask(row, job.wish.get("what", "all"), job.wish.get("part", ""))
    return State(MapJob.objects.filter(build=row).first())


def _keep(job: MapJob, text: str) -> State:
    exchange().drop(job.token)
    try:
        came = Answered.model_validate_json(text)
        answer = None if came.answer is None else ANSWER.validate_python(came.answer)
    except ValidationError:
        _log.warning("A worker's answer was not of the format; it was left out.")
        return _end(job, "failed", error="The worker’s answer can’t be read; ask again.")
    kept = None if answer is None else ANSWER.dump_python(answer, mode="json")
    return _end(job, came.state, error=came.error, answer=kept)


def _stopped(job: MapJob) -> State:
    exchange().drop(job.token)
    return _end(job, "stopped")


def _end(job: MapJob, state_: str, **fields: Any) -> State:
    MapJob.objects.filter(pk=job.pk).update(state=state_, **fields)
    job.refresh_from_db()
    return State(job)


def stop(row: Build) -> None:
    """Stop a map that is under way: what it has so far is its answer; or put its answer away."""
    job = MapJob.objects.filter(build=row).first()
    if job is None:
        return
    if job.state not in _UNDER_WAY or job.stop:
        drop(row)
        return
    MapJob.objects.filter(pk=job.pk).update(stop=True)
    try:
        exchange().stop(job.token)
    except Unreachable as error:
        _end(job, "stopped", error=str(error))


def drop(row: Build) -> None:
    """Forget a map, whether it is under way or not."""
    job = MapJob.objects.filter(build=row).first()
    if job is None:
        return
    job.delete()
    if job.state in _UNDER_WAY and job.token:
        try:
            exchange().drop(job.token)
        except Unreachable as error:
            _log.warning("A map that nobody waits for could not be called off: %s", error)


def _of(row: Build, part_of_build: str) -> dict[str, Any]:
    build = in_currency(row.owner, results.current(row))
    return {
        "called": f"{part_of_build} of {build.name}"[:200],
        "document": build_file.write(build),
        "year": timezone.now().year,
    }


# -- which supplies and rules feed all -----------------------------------------------


def ask_feeds(row: Build) -> None:
    """Ask of each supply that may be taken whether it has a whole map; of a few only where no
    worker is there and somebody waits for it."""
    if _is_asked(_token(row, "supplies")):
        return
    known = set(_feeds(row).values_list("slug", flat=True))
    others = candidates.others(row.owner, results.current(row))
    kits = [KitSent.of(k) for k in others if k.slug not in known]
    most = _AT_ONCE if settings.TASKS_AT_ONCE else len(kits)
    asked = FeedsAsked(**_of(row, "supplies"), kits=kits, most=most)
    _ask_feeds(row, "supplies", asked)


def ask_rules(row: Build) -> None:
    """Ask of each position of the house rules that decide a map what it then comes to."""
    positions = [(k, p.value) for k, rule in RULES.items() if rule.maps for p in rule.positions]
    _ask_feeds(row, "rules", RulesAsked(**_of(row, "rules"), positions=positions))


def _ask_feeds(row: Build, kind: str, asked: FeedsAsked | RulesAsked) -> None:
    token = _token(row, kind)
    Feeds.objects.filter(build=row).exclude(version=row.version).delete()
    text = asked.model_dump_json()

    def send() -> None:
        before, _last_asked[row.pk, kind] = _last_asked.get((row.pk, kind)), token
        try:
            if before and before != token:  # of the build as it was
                exchange().drop(before)
            if not _is_asked(token):
                exchange().ask(text, token, urgent=False)
        except Unreachable as error:
            _log.warning("Which %s feed all could not be asked: %s", kind, error)

    transaction.on_commit(send)


#: What was asked last of each build and kind, by this process.
_last_asked: dict[tuple[int, str], str] = {}


def _token(row: Build, kind: str) -> str:
    """The same in every process that serves, and another once the build changed."""
    return f"{kind}-{row.key}-{row.version}"


def _is_asked(token: str) -> bool:
    try:
        return exchange().job(token) is not None
    except Unreachable:
        return True


def _feeds(row: Build) -> Any:
    return Feeds.objects.filter(build=row, version=row.version)


def feeds(row: Build) -> list[Feeds]:
    """What is known of them by now; what came since is kept by this."""
    for kind in ("supplies", "rules"):
        try:
            _take_in(row, kind)
        except Unreachable as error:
            _log.warning("Which %s feed all can’t be heard: %s", kind, error)
    return list(_feeds(row))


def _take_in(row: Build, kind: str) -> None:
    token = _token(row, kind)
    if exchange().job(token) is None:
        return
    told = look(exchange(), token)
    if told.state in ("lost", "forgotten"):
        exchange().send(token, urgent=False)
    _remember(row, kind, told)
    if told.state == "answered":
        exchange().drop(token)


def _remember(row: Build, kind: str, outcome: Outcome) -> None:
    told: Any = outcome.told.get("unfed", {})
    try:
        if outcome.answer:
            told = Answered.model_validate_json(outcome.answer).answer or {}
        unfed: Unfed = UNFED.validate_python(told)
    except ValidationError:
        _log.warning("A worker's answer was not of the format; it was left out.")
        return
    front = OF_RULE if kind == "rules" else ""
    known = set(_feeds(row).values_list("slug", flat=True))
    new = {
        f"{front}{name}": needed for name, needed in unfed.items() if f"{front}{name}" not in known
    }
    if not new:
        return
    with writing():
        if not Build.objects.filter(pk=row.pk, version=row.version).exists():
            return
        Feeds.objects.bulk_create(
            (
                Feeds(
                    build=row,
                    version=row.version,
                    slug=slug,
                    unfed=least,
                    needed=needed,
                    text=text[:300],
                )
                for slug, (least, needed, text) in new.items()
            ),
            ignore_conflicts=True,
        )
