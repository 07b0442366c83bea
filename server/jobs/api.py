"""Maps asked for, looked at and stopped."""

from __future__ import annotations

import secrets
from typing import Any, Literal

from builds import actions
from config.writing import writing
from django.conf import settings
from django.db import transaction
from django.http import HttpRequest
from django.utils import timezone
from easy_tally import Refused
from easy_tally.findings import MapAnswer
from ninja import Router, Schema
from owners.models import owner_of

from jobs import tasks
from jobs.models import Feeds, MapJob

router = Router()
#: Seconds without a word after which a worker is taken for gone.
GONE_S = 30


class Wish(Schema):
    """What to map: `all` anew, the `rest` beside what is there, the sockets of one `part`, or with
    the `least` change. Pinned runs stay always."""

    what: Literal["all", "rest", "part", "least"] = "all"
    part: str = ""


class MapIn(Wish):
    """A map to be made, and the version of the build that it is asked of."""

    base_version: int


class MapOut(Schema):
    """A map that is asked for: how far it is, and what came of it. `version` is the build's that it
    is of; `wish` what was asked for."""

    state: Literal["none", "waiting", "running", "done", "stopped", "failed"]
    wish: Wish = Wish()
    version: int = 0
    done: int = 0
    of: int = 0
    error: str = ""
    answer: MapAnswer | None = None


class FeedOut(Schema):
    """Whether a supply feeds all sockets of a build: how many it leaves; none yet: not known."""

    slug: str
    unfed: int
    needed: int


@router.post("/builds/{key}/map", response=MapOut, operation_id="mapIt")
def map_it(request: HttpRequest, key: str, body: MapIn) -> dict[str, Any]:
    """Ask for a map. One before it is dropped."""
    row = actions.find(owner_of(request), key)
    if body.base_version != row.version:
        raise Refused("The build has changed meanwhile; ask again.")
    token = secrets.token_hex(16)
    wish = {"what": body.what, "part": body.part}
    with writing():
        MapJob.objects.filter(build=row).delete()
        job = MapJob.objects.create(build=row, token=token, version=row.version, wish=wish)
    # The worker must find the row: it is asked once the transaction is through.
    transaction.on_commit(lambda: _send(job.pk, token))
    return _answer(row.pk)


def _send(pk: int, token: str) -> None:
    tasks.run_map(pk, token)


@router.get("/builds/{key}/map", response=MapOut, operation_id="mapState")
def state(request: HttpRequest, key: str) -> dict[str, Any]:
    """How far a map is."""
    return _answer(actions.find(owner_of(request), key).pk)


@router.delete("/builds/{key}/map", response=MapOut, operation_id="stopMap")
def stop(request: HttpRequest, key: str) -> dict[str, Any]:
    """Stop a map that is under way, or put its answer away."""
    row = actions.find(owner_of(request), key)
    job = MapJob.objects.filter(build=row)
    if job.filter(state__in=("waiting", "running")).update(stop=True):
        return _answer(row.pk)
    job.delete()
    return _answer(row.pk)


def _answer(build: int) -> dict[str, Any]:
    job = MapJob.objects.filter(build_id=build).first()
    if job is None:
        return {"state": "none"}
    quiet = (timezone.now() - job.seen).total_seconds()
    if job.state in ("waiting", "running") and quiet > GONE_S and not settings.TASKS_AT_ONCE:
        return {
            "state": "failed", "version": job.version, "wish": job.wish,
            "error": "The worker that maps does not answer; start Easy Tally again. "
            "The map is as it was.",
        }  # fmt: skip
    return {
        "state": job.state, "version": job.version, "wish": job.wish, "done": job.done,
        "of": job.of, "error": job.error, "answer": job.answer,
    }  # fmt: skip


@router.post("/builds/{key}/feeds", response=list[FeedOut], operation_id="askFeeds")
def ask_feeds(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """Which supplies feed all sockets, as far as is known; the rest follows in the background."""
    row = actions.find(owner_of(request), key)
    pk, version = row.pk, row.version
    transaction.on_commit(lambda: tasks.feed_candidates(pk, version))
    return _feeds(pk, version)


@router.post("/builds/{key}/rule-feeds", response=list[FeedOut], operation_id="askRuleFeeds")
def ask_rule_feeds(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The same of each position of the rule for chained graphics plugs, called `rule:position`."""
    row = actions.find(owner_of(request), key)
    pk, version = row.pk, row.version
    transaction.on_commit(lambda: tasks.feed_rules(pk, version))
    return _feeds(pk, version)


@router.get("/builds/{key}/feeds", response=list[FeedOut], operation_id="feeds")
def list_feeds(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """Which supplies feed all sockets, as far as that is known."""
    row = actions.find(owner_of(request), key)
    return _feeds(row.pk, row.version)


def _feeds(pk: int, version: int) -> list[dict[str, Any]]:
    rows = Feeds.objects.filter(build_id=pk, version=version)
    return [{"slug": f.slug, "unfed": f.unfed, "needed": f.needed} for f in rows]
