"""Whether plugs reach: along the case's routes, and between the plugs of a chain."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import pairwise

from ..things.case import Area, Case
from ..wiring import Feed
from ..wiring.areas import place_of
from .elements import Element, reach
from .flows import CarriedRun
from .limits import reached, spanned, way_mm
from .onward import Onward
from .places import Place

#: Areas that a run's plugs go to, each with the way to it [mm]; None: not known.
Ways = tuple[tuple[Area, float | None], ...]


def ways_of(case: Case | None, run: CarriedRun, onwards: tuple[Onward, ...]) -> Ways | None:
    """The ways through a case to what a run feeds; None without a case."""
    if case is None:
        return None
    routes = {r.area: r.length_mm for r in case.routes}
    areas = dict.fromkeys(place_of(feed.input) for feed, _, _ in _ends(run, onwards))
    return tuple((area, routes.get(area)) for area in areas if area is not None)


def _ends(run: CarriedRun, onwards: tuple[Onward, ...]) -> list[tuple[Feed, Place, float]]:
    """Each plug in something, with how far it hangs along the whole way [mm]."""
    ends = [(x.feed, Place(x.feed.plug.key), x.feed.plug.mm) for x in run.lives]
    return ends + [(x.feed, x.at, x.mm) for x in onwards if not x.between.is_backplane]


def reaches(ways: Ways | None, run: CarriedRun, onwards: tuple[Onward, ...]) -> Iterator[Element]:
    """How far each plug of a run reaches, that of what stands in between along the whole way.
    Nothing without a case; unknown where it states no route."""
    if ways is None:
        return
    routes = dict(ways)
    placed: list[tuple[float, float, Place]] = []
    for feed, at, mm in _ends(run, onwards):
        area = place_of(feed.input)
        if area is None:
            continue
        way = routes.get(area)
        yield reach(at, None if way is None else way_mm(way), reached(mm))
        if way is not None and feed.cable is run.wired.cable:
            placed.append((mm, way, at))
    # Between two plugs of a chain lies at the least what their areas' routes differ by.
    for near, far in pairwise(sorted(placed)):
        between, wire = spanned(near[:2], far[:2])
        if wire.exceeded(between):
            yield reach(far[2]._replace(is_span=True), between, wire)
