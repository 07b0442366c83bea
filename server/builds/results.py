"""Builds by version and what follows from them, kept in this worker; never stored."""

from __future__ import annotations

from collections import OrderedDict
from threading import Lock
from typing import NamedTuple

from base.memory import memory
from django.utils import timezone
from drawer import store as drawer
from easy_tally import Analysis, Build, analyse, compact
from easy_tally.publishing import Compact
from easy_tally.things import Adapter, same

from builds import models, store

#: Builds that are kept.
_MOST = 64
_At = tuple[int, int]


class Worked(NamedTuple):
    """Everything computed about a build, and its compact result."""

    analysis: Analysis
    result: Compact

    @property
    def takes_bytes(self) -> int:
        """About what it takes beside what is kept of its parts and runs: as measured on builds of
        15 to 120 parts and sockets."""
        build = self.analysis.build
        return 100_000 + 6_000 * (len(build.parts) + build.sockets_in_all())


#: A build with more sockets than this takes long enough to be worked out before a turn to write.
_SMALL = 100

_builds: OrderedDict[_At, Build] = OrderedDict()
#: Keys of builds that were small when they were last seen.
_small: set[str] = set()
#: Builds with the version that an edit made: then there is nothing that could be redone.
at_the_end: dict[int, int] = {}
_lock = Lock()


def work_out(owner: int, build: Build) -> Worked:
    """Compute everything about a build of an owner, by its id, or what was computed of this very
    one. The drawer is looked into only where leads are short without it."""
    year = (timezone.now().year,)
    worked = memory.of(_work_out, (build,), year)
    supply = worked.analysis.supply
    if supply is None or not any(c.id == "ports" and c.status == "fail" for c in supply.checks):
        return worked
    lying = drawer.adapters(owner)
    # Equal ones made one, so that what was worked out with them is known again.
    kept = [memory.first(a, a.model_dump_json(), 2_000) for a in lying]
    return memory.of(_work_out, (build, *kept), year) if kept else worked


def same_as(build: Build, like: Build | None = None) -> Build:
    """An equal build, made of things that were there before wherever they are equal."""
    return same(build, memory, like)


def _work_out(year: int, build: Build, *lying: Adapter) -> Worked:
    analysis = analyse(build, year, memory, lying)
    return Worked(analysis, compact(analysis))


def remember(row: models.Build, version: int, build: Build) -> None:
    """Keep a build that was just written, once its transaction is through."""
    with _lock:
        (_small.add if build.sockets_in_all() <= _SMALL else _small.discard)(row.key)
        _builds[row.pk, version] = build
        while len(_builds) > _MOST:
            _builds.popitem(last=False)


def current(row: models.Build) -> Build:
    """The build as it is at the row's version. Raises store.Unreadable."""
    at = (row.pk, row.version)
    with _lock:
        build = _builds.get(at)
    if build is None:
        try:
            build = same_as(store.read(row))
        except store.Unreadable:
            # The list says so from now on, instead of what it kept of it.
            models.Card.objects.filter(build_id=row.pk).delete()
            raise
        # The row's version may be a later one by now: the one that was read.
        remember(row, row.version, build)
    return build


def is_small(key: str) -> bool:
    """Whether a build is known to be worked out in no time."""
    return key in _small


def worked(row: models.Build) -> Worked:
    """Everything computed about a build at the row's version. Raises store.Unreadable."""
    return work_out(row.owner_id, current(row))


def analysis(row: models.Build) -> Analysis:
    """The analysis of a build at the row's version. Raises store.Unreadable."""
    return worked(row).analysis


def forget() -> None:
    """Empty the caches, as a restart would."""
    with _lock:
        _builds.clear()
        _small.clear()
        at_the_end.clear()
    memory.forget()
