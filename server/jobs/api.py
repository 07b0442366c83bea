"""Maps asked for, looked at and stopped."""

from __future__ import annotations

from time import monotonic
from typing import Any, Literal

from base.formats import BusyOut, busy_out
from bench.record import pace_of
from builds import actions, candidates, results
from builds.models import Build
from builds.routes.answering import dump
from django.http import HttpRequest, HttpResponse
from drawer.prices import in_currency
from easy_tally import Refused
from easy_tally.advice import ways_to_reach as reach_ways
from easy_tally.publishing import MapAnswer, RepairAnswer, repair_answer
from ninja import Router, Schema
from owners.models import owner_of

from jobs import maps, rows
from jobs.models import Feeds, MapJob

router = Router()
#: Seconds after which no more ways to reach are looked for: somebody waits.
_REACH_S = 4.0


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
    is of; `wish` what was asked for. Where it waits for long: why, or on what the workers are."""

    state: Literal["none", "waiting", "running", "done", "stopped", "failed"]
    wish: Wish = Wish()
    version: int = 0
    done: int = 0
    of: int = 0
    error: str = ""
    waits: str = ""
    busy: list[BusyOut] = []
    answer: MapAnswer | None = None


class FeedOut(Schema):
    """Whether a supply feeds all sockets of a build: how many it leaves; none yet: not known."""

    slug: str
    unfed: int
    needed: int
    text: str


@router.post("/builds/{key}/map", response=MapOut, operation_id="mapIt")
def map_it(request: HttpRequest, key: str, body: MapIn) -> dict[str, Any]:
    """Ask for a map. One before it is dropped."""
    row = actions.find(owner_of(request), key)
    if body.base_version != row.version:
        raise Refused("The build has changed meanwhile; ask again.")
    maps.ask(row, body.what, body.part)
    return _answer(row)


@router.get("/builds/{key}/map", response=MapOut, operation_id="mapState")
def state(request: HttpRequest, key: str) -> dict[str, Any]:
    """How far a map is."""
    return _answer(actions.find(owner_of(request), key))


@router.delete("/builds/{key}/map", response=MapOut, operation_id="stopMap")
def stop(request: HttpRequest, key: str) -> dict[str, Any]:
    """Stop a map that is under way, or put its answer away."""
    row = actions.find(owner_of(request), key)
    rows.stop(maps.job_of(row))
    return _answer(row)


def _answer(row: Build) -> dict[str, Any]:
    job_state = maps.state(row)
    job = job_state.job
    if not isinstance(job, MapJob):
        return {"state": "none"}
    return {
        "state": job.state,
        "version": job.version,
        "wish": job.wish,
        "done": job.done,
        "of": job.of,
        "error": job.error,
        "answer": job.answer,
        "waits": job_state.waits,
        "busy": busy_out(job_state.busy),
    }


@router.get("/builds/{key}/reach", response=list[RepairAnswer], operation_id="waysToReach")
def ways_to_reach(request: HttpRequest, key: str) -> HttpResponse:
    """What mends plugs of the map that do not reach, each way worked out; nothing where all do."""
    owner = owner_of(request)
    analysis = results.analysis(actions.find(owner, key))
    until = monotonic() + _REACH_S
    ways = reach_ways(
        analysis, candidates.stock(owner, analysis.build), lambda: monotonic() > until
    )
    build = in_currency(owner, analysis.build)
    minutes = pace_of(owner.pk).to_move
    answers = [repair_answer(build, way, minutes) for way in ways]
    return HttpResponse(dump(list[RepairAnswer], answers), content_type="application/json")


@router.post("/builds/{key}/feeds", response=list[FeedOut], operation_id="askFeeds")
def ask_feeds(request: HttpRequest, key: str) -> list[Feeds]:
    """Which supplies feed all sockets, as far as is known; the rest follows in the background."""
    row = actions.find(owner_of(request), key)
    maps.ask_feeds(row)
    return maps.feeds(row)


@router.post("/builds/{key}/rule-feeds", response=list[FeedOut], operation_id="askRuleFeeds")
def ask_rule_feeds(request: HttpRequest, key: str) -> list[Feeds]:
    """The same of each position of the house rules that decide a map, called
    `rule:the-rule:position`; in words too."""
    row = actions.find(owner_of(request), key)
    maps.ask_rules(row)
    return maps.feeds(row)


@router.get("/builds/{key}/feeds", response=list[FeedOut], operation_id="feeds")
def list_feeds(request: HttpRequest, key: str) -> list[Feeds]:
    """Which supplies feed all sockets, as far as that is known."""
    return maps.feeds(actions.find(owner_of(request), key))
