"""The tasks. The queue lies in a file beside the database, or with a broker by a setting; the page
asks the row of the job, never the queue."""

from __future__ import annotations

import logging
import time
from collections.abc import Iterator
from typing import Any

from builds import candidates, results
from builds.models import Build
from config.writing import writing
from django.conf import settings
from django.db import IntegrityError
from django.utils import timezone
from drawer import store as drawer
from easy_tally import Build as CoreBuild
from easy_tally import EasyTallyError, NotDecided, Wired
from easy_tally.editing import ChangeBuild, TakeSupply
from easy_tally.findings import MapAnswer, map_it
from easy_tally.mapping import InStock, Mapping, OtherSupply, Progress, Stopped, Wish, solve
from easy_tally.things import POSITIONS, Adapter, Cable, Extension
from huey.contrib.djhuey import db_task
from pydantic import TypeAdapter

from catalogue import supplies
from jobs.models import Feeds, MapJob

_log = logging.getLogger(__name__)
_ANSWER: TypeAdapter[Any] = TypeAdapter(MapAnswer)
#: Seconds between two looks at the row, so that looking costs nothing.
_LOOK_S = 0.2
#: In front of a position of the rule, where a supply is called by its slug.
OF_RULE = "rule:"
#: Supplies that are mapped where no worker is started.
_AT_ONCE = 4


class _Watch:
    """Tells the row how far it is, and when to stop: asked to, replaced, or the build changed."""

    def __init__(self, job: MapJob) -> None:
        self.job, self.looked, self.off = job, 0.0, False

    def tell(self, done: int, of: int, best: Mapping | None) -> None:
        """How many goals are done of how many."""
        MapJob.objects.filter(pk=self.job.pk, token=self.job.token).update(
            done=done, of=of, seen=timezone.now()
        )

    def stop(self) -> bool:
        """Whether to stop."""
        now = time.monotonic()
        if not self.off and now - self.looked > _LOOK_S:
            self.looked = now
            row = MapJob.objects.filter(pk=self.job.pk, token=self.job.token)
            found = row.values_list("stop", "build__version").first()
            self.off = found is None or found[0] or found[1] != self.job.version
        return self.off


@db_task()  # type: ignore[untyped-decorator]
def run_map(pk: int, token: str) -> None:
    """Map a build; what came of it stands in the row. A build that changed meanwhile ends it."""
    job = MapJob.objects.select_related("build", "build__owner").filter(pk=pk, token=token).first()
    if job is None or job.state != "waiting":
        return
    _set(job, state="running")
    watch = _Watch(job)
    try:
        build = results.current(job.build)
        if job.build.version != job.version:
            _set(job, state="stopped")
            return
        wish = wish_of(build, job.wish)
        progress = Progress(tell=watch.tell, stop=watch.stop)
        owner = job.build.owner
        answer = map_it(build, wish, stock(owner), progress, others(owner, job.build))
        state = "stopped" if watch.off and answer.status == "impossible" else "done"
        _set(job, state=state, answer=_ANSWER.dump_python(answer, mode="json"))
    except Stopped:
        _set(job, state="stopped")
    except Exception as error:  # noqa: BLE001 - whatever broke, the map stays and the page says so
        _log.exception("mapping broke down")
        said = str(error) if isinstance(error, EasyTallyError) else type(error).__name__
        _set(job, state="failed", error=said[:300])


def _set(job: MapJob, **fields: Any) -> None:
    MapJob.objects.filter(pk=job.pk, token=job.token).update(seen=timezone.now(), **fields)


def wish_of(build: CoreBuild, wish: dict[str, Any]) -> Wish:
    """What was asked, in the core's terms: all anew, the rest beside what is there, one part's
    sockets, or as little change as may be."""
    there = frozenset(r.cable for r in build.runs if r.connections)
    match wish["what"]:
        case "rest":
            return Wish(keep=there)
        case "part":
            wired = Wired(build)
            of = {r for r, i in wired.inputs.items() if i.at.part == wish["part"]}
            return Wish(keep=there, only=frozenset(of | set(wired.feeds)))
        case "least":
            return Wish(prefer=True)
    return Wish()


def stock(owner: Any) -> list[InStock]:
    """What could be had: what lies free in the drawer, then what is sold by itself."""
    found = []
    for thing, used in drawer.every(owner):
        of, free = thing.thing, thing.count - len(used)
        if (
            isinstance(of, Cable | Adapter | Extension)
            and free > 0
            and thing.condition != "not to be used"
        ):
            own = of.model_copy(update={"owned": thing.key})
            found.append(InStock(thing=own, owned=True, free=free))
    sold = (e.thing for e in supplies.loose().values())
    found += [
        InStock(thing=t, owned=False) for t in sold if isinstance(t, Cable | Adapter | Extension)
    ]
    return found


def others(owner: Any, row: Build) -> Iterator[OtherSupply]:
    """Supplies that would do by every other check, best first; asked for only where they are
    wanted."""
    for c in candidates.judged(owner, results.analysis(row)):
        elsewhere = c.of.source == "owned" and c.of.builds
        if c.result.verdict in ("right size", "too big") and not elsewhere:
            yield OtherSupply(supply=c.supply, cables=c.of.cables, owned=c.of.source == "owned")


@db_task()  # type: ignore[untyped-decorator]
def feed_candidates(pk: int, version: int) -> None:
    """Whether each supply that may be taken has a whole map, best candidates first; of a few only
    where no worker is there and somebody waits for it."""
    row = Build.objects.filter(pk=pk).select_related("owner").first()
    if row is None or row.version != version:
        return
    Feeds.objects.filter(build=row).exclude(version=version).delete()
    known = set(Feeds.objects.filter(build=row, version=version).values_list("slug", flat=True))
    found = results.analysis(row)
    ranked = candidates.judged(row.owner, found)
    for c in ranked[:_AT_ONCE] if settings.TASKS_AT_ONCE else ranked:
        if c.of.slug in known:
            continue
        if not Build.objects.filter(pk=pk, version=version).exists():
            return
        if MapJob.objects.filter(state="waiting").exists():  # somebody waits for a map: that first
            feed_candidates(pk, version)
            return
        told = feeds(found.build, c.of)
        if told is not None and not _remember(row, c.of.slug, *told):
            return


@db_task()  # type: ignore[untyped-decorator]
def feed_rules(pk: int, version: int) -> None:
    """How many sockets each position of the rule for chained graphics plugs leaves unfed."""
    row = Build.objects.filter(pk=pk, version=version).first()
    if row is None:
        return
    build = results.current(row)
    for position in POSITIONS["chained_graphics"]:
        then = ChangeBuild(house_rules={"chained_graphics": position.value}).apply(build)
        told = _unfed(then.model_copy(update={"runs": ()}))
        if told is not None and not _remember(row, f"{OF_RULE}{position.value}", *told):
            return


def _remember(row: Build, slug: str, unfed: int, needed: int) -> bool:
    """Keep an answer; False where the build was removed meanwhile."""
    try:
        with writing():
            Feeds.objects.update_or_create(
                build=row, version=row.version, slug=slug,
                defaults={"unfed": unfed, "needed": needed},
            )  # fmt: skip
    except IntegrityError:
        return False
    return True


def _unfed(build: CoreBuild) -> tuple[int, int] | None:
    """(inputs left unfed, inputs to be fed); None where it is not decided."""
    try:
        found = solve(build) or solve(build, Wish(partial=True))
    except NotDecided:
        return None
    if found is not None and not found.whole and not found.goals[0].proven:
        return None
    needed = results.work_out(build).result.strip.sockets_needed
    return (len(found.unfed) if found else needed), needed


def feeds(build: CoreBuild, kit: candidates.Kit) -> tuple[int, int] | None:
    """(inputs left unfed, inputs to be fed) of a build with a supply and its cables in it; None
    where it is not decided, or the supply can't be taken."""
    bare = build.model_copy(update={"runs": (), "cables": (), "supply": None})
    try:
        then = TakeSupply(supply=kit.supply, cables=kit.cables, release=True).apply(bare)
    except EasyTallyError:
        return None
    return _unfed(then)
