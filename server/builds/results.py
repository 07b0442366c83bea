"""Builds by version and what follows from them, kept in this worker; never stored."""

from __future__ import annotations

from collections import OrderedDict
from functools import partial
from threading import Lock
from typing import NamedTuple

from django.utils import timezone
from easy_tally import Analysis, Build, analyse, compact
from easy_tally.base import Reuse
from easy_tally.findings import Compact
from easy_tally.findings import forget as forget_all
from easy_tally.things import same

from builds import models, store

#: Builds that are kept, and results, of large ones fewer: at least so many of the last.
_MOST, _MOST_WORKED, _MOST_LARGE = 64, 16, 3
_At = tuple[int, int]


class Worked(NamedTuple):
    """Everything computed about a build, and its compact result."""

    analysis: Analysis
    result: Compact


#: A build with more sockets than this takes long enough to be worked out before a turn to write.
_SMALL = 100

_builds: OrderedDict[_At, Build] = OrderedDict()
#: Keys of builds that were small when they were last seen.
_small: set[str] = set()
#: Builds with the version that an edit made: then there is nothing that could be redone.
at_the_end: dict[int, int] = {}
_lock = Lock()
#: What was worked out, by the build itself: a preview that is made, a step that is taken back.
_WORKED: Reuse[Worked] = Reuse(_MOST_WORKED)
_LARGE: Reuse[Worked] = Reuse(_MOST_LARGE)


def work_out(build: Build) -> Worked:
    """Compute everything about a build, or what was computed of this very one."""
    year = timezone.now().year
    kept = _WORKED if build.sockets_in_all() <= _SMALL else _LARGE
    return kept.of((build,), year, partial(_work_out, build, year))


def _work_out(build: Build, year: int) -> Worked:
    found = analyse(build, year)
    return Worked(found, compact(found))


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
            build = same(store.read(row))
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
    return work_out(current(row))


def analysis(row: models.Build) -> Analysis:
    """The analysis of a build at the row's version. Raises store.Unreadable."""
    return worked(row).analysis


def forget() -> None:
    """Empty the caches, as a restart would."""
    with _lock:
        _builds.clear()
        _small.clear()
        at_the_end.clear()
    forget_all()
