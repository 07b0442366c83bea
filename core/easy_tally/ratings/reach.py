"""Whether plugs reach: along the case's routes, and between the plugs of a chain."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import pairwise

from ..things.case import Case
from ..wiring.areas import place_of
from .elements import Element, reach
from .flows import CarriedRun
from .limits import reached, spanned, way_mm
from .onward import Onward
from .places import Place


def reaches(case: Case | None, run: CarriedRun, onwards: tuple[Onward, ...]) -> Iterator[Element]:
    """How far each plug of a run reaches, that of what stands in between along the whole way.
    Nothing without a case; unknown where it states no route."""
    if case is None:
        return
    routes = {r.area: r.length_mm for r in case.routes}
    ends = [(x.feed, Place(x.feed.plug.key), x.feed.plug.at_mm) for x in run.lives]
    ends += [(x.feed, x.at, x.mm) for x in onwards if not x.between.is_backplane]
    placed: list[tuple[float, float, Place]] = []
    for feed, at, mm in ends:
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
