"""Maps: asked of the workers with all that they need, looked after, and kept once they answer. This
process alone writes."""

from __future__ import annotations

import logging
from typing import Any

from base.writing import writing
from bench import record
from builds import candidates, results
from builds.models import Build
from django.conf import settings
from django.db import transaction
from django.utils import timezone
from drawer.prices import in_currency
from easy_tally.files import build_file
from easy_tally.things import RULES
from pydantic import ValidationError
from work.exchange import Unreachable
from work.jobs import (
    ANSWER,
    UNFED,
    Answered,
    FeedsAsked,
    KitSent,
    MapAsked,
    PaceSent,
    RulesAsked,
    Stock,
    Unfed,
)
from work.outcomes import Outcome, look

from jobs import rows
from jobs.models import Feeds, Job, MapJob
from jobs.rows import Kind, State

_log = logging.getLogger(__name__)
#: Supplies that are mapped where no worker is started.
_AT_ONCE = 4
#: In front of a position of the rule, where a supply is called by its slug.
OF_RULE = "rule:"


# -- a map -------------------------------------------------------------------------


def ask(row: Build, part_of_build: str, part: str) -> MapJob:
    """Ask for a map of a build as it is; one before it is dropped."""
    build = results.current(row)
    asked = MapAsked.model_validate(
        {
            **what_is_asked_of(row, "the map"),
            "what": part_of_build,
            "part": part,
            "stock": [Stock.of(s) for s in candidates.stock(row.owner, build)],
            "kits": [KitSent.of(k) for k in candidates.others(row.owner, build)],
            "pace": PaceSent.of_pace(record.pace_of(row.owner_id)),
        }
    )
    wish = {"what": part_of_build, "part": part}
    with writing():
        rows.drop(job_of(row))
        job: MapJob = MapJob.objects.create(build=row, version=row.version, wish=wish, token="")
    rows.send_later(job, asked.model_dump_json())
    return job


def job_of(row: Build) -> MapJob | None:
    """The map that was asked for last."""
    job: MapJob | None = MapJob.objects.filter(build=row).first()
    return job


def state(row: Build) -> State:
    """How far a map is."""
    return rows.state(row, job_of(row), _MAP)


def _ask_anew(job: Job) -> Job | None:
    wish = job.wish if isinstance(job, MapJob) else {}
    return ask(job.build, wish.get("what", "all"), wish.get("part", ""))


def _read(answer: Any) -> dict[str, Any]:
    return {"answer": ANSWER.dump_python(ANSWER.validate_python(answer), mode="json")}


_MAP = Kind(_ask_anew, _read)


def what_is_asked_of(row: Build, part_of_build: str) -> dict[str, Any]:
    """What every job on a build says: what it is called, the build, the year."""
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
    asked = FeedsAsked(**what_is_asked_of(row, "supplies"), kits=kits, most=most)
    _ask_feeds(row, "supplies", asked)


def ask_rules(row: Build) -> None:
    """Ask of each position of the house rules that decide a map what it then comes to."""
    positions = [(k, p.value) for k, rule in RULES.items() if rule.maps for p in rule.positions]
    _ask_feeds(row, "rules", RulesAsked(**what_is_asked_of(row, "rules"), positions=positions))


def _ask_feeds(row: Build, kind: str, asked: FeedsAsked | RulesAsked) -> None:
    token = _token(row, kind)
    Feeds.objects.filter(build=row).exclude(version=row.version).delete()
    text = asked.model_dump_json()

    def send() -> None:
        before, _last_asked[row.pk, kind] = _last_asked.get((row.pk, kind)), token
        try:
            if before and before != token:  # of the build as it was
                rows.exchange().drop(before)
            if not _is_asked(token):
                rows.exchange().ask(text, token, urgent=False)
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
        return rows.exchange().job(token) is not None
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
    if rows.exchange().job(token) is None:
        return
    told = look(rows.exchange(), token)
    if told.state in ("lost", "forgotten"):
        rows.exchange().send(token, urgent=False)
    _remember(row, kind, told)
    if told.state == "answered":
        rows.exchange().drop(token)


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
