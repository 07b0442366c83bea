"""Builds and their results, cached in this worker by build and version; never stored."""

from __future__ import annotations

from collections import OrderedDict
from threading import Lock

from easy_tally.build import Build
from easy_tally.report import Analysis, analyse

from builds import models, store

_MOST = 64
_builds: OrderedDict[tuple[int, int], Build] = OrderedDict()
_analyses: OrderedDict[tuple[int, int], Analysis] = OrderedDict()
_lock = Lock()


def remember(pk: int, version: int, build: Build) -> None:
    """Keep a build that was just written, once its transaction is through."""
    with _lock:
        _builds[pk, version] = build
        while len(_builds) > _MOST:
            _builds.popitem(last=False)


def current(row: models.Build) -> Build:
    """The build as it is at the row's version."""
    with _lock:
        build = _builds.get((row.pk, row.version))
    if build is None:
        build = store.assemble(row)
        remember(row.pk, row.version, build)
    return build


def analysis(row: models.Build, build: Build | None = None) -> Analysis:
    """Everything computed about a build at the row's version."""
    at = (row.pk, row.version)
    with _lock:
        found = _analyses.get(at)
    if found is None:
        found = analyse(build if build is not None else current(row))
        with _lock:
            _analyses[at] = found
            while len(_analyses) > _MOST:
                _analyses.popitem(last=False)
    return found


def forget() -> None:
    """Empty the caches, as a restart would."""
    with _lock:
        _builds.clear()
        _analyses.clear()
