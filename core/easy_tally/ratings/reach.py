"""Whether plugs reach: along the case's routes, and between the plugs of a chain."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import pairwise

from ..standards.connectors import SocketKind
from ..things.case import Area
from ..things.parts import Board, Card, Drive
from ..wiring import Input, Wired
from ..wiring.wired import Owner
from .elements import Element, reach
from .flows import CarriedRun
from .onward import Onward

#: Slack that a plug takes at its socket [mm]. Source: assumption.
SLACK_MM = 40.0


def area_of(part: Owner, kind: SocketKind) -> Area:
    """Where in the case a socket lies."""
    if isinstance(part, Board):
        if kind in ("atx24", "atx20"):
            return "main plug"
        return "processor" if kind in ("eps8", "eps4") else "board extra"
    if isinstance(part, Card):
        return "card"
    if isinstance(part, Drive):
        return {
            "3.5": "3.5-inch bays", "2.5": "2.5-inch places", "optical": "optical bay",
            "floppy": "3.5-inch bays",
        }[part.form]  # type: ignore[return-value]  # fmt: skip
    return "fans and hubs"


def reaches(wired: Wired, run: CarriedRun, found: tuple[Onward, ...]) -> Iterator[Element]:
    """How far each plug of a run reaches, that of what stands in between along the whole way.
    Nothing without a case; unknown where it states no route."""
    case = wired.build.case
    if case is None:
        return
    routes = {r.area: r.length_mm for r in case.routes}
    ends = [(x.feed, x.feed.plug.key, x.feed.plug.at_mm) for x in run.lives]
    ends += [(x.feed, x.at, x.mm) for x in found if not x.between.is_backplane]
    placed: list[tuple[float, float, str]] = []
    for feed, at, mm in ends:
        area = _area(feed.input)
        if area is None:
            continue
        way = routes.get(area)
        yield reach(at, None if way is None else way + SLACK_MM, mm)
        if way is not None and feed.cable is run.wired.cable:
            placed.append((mm, way, at))
    # Between two plugs of a chain lies at the least what their areas' routes differ by.
    for (near, way, _), (far, further, at) in pairwise(sorted(placed)):
        if abs(further - way) > far - near:
            yield reach(f"{at} span", abs(further - way), far - near)


def _area(into: Input) -> Area | None:
    """Where an input lies; None of a lead that hangs wherever its cable ends."""
    if into.between is None:
        return area_of(into.part, into.socket.kind)
    return "3.5-inch bays" if into.between.is_backplane else None
