"""Whether a supply goes into the case, and its cables reach: form, length, routes."""

from __future__ import annotations

from collections.abc import Iterable

from ..things.cables import Cable
from ..things.case import Area, Case
from ..things.fits import goes_into
from ..wiring import Input
from ..wiring.areas import SLACK_MM, area_of

#: How far modular plugs stand out of the panel, their bend included [mm]. Source: assumption.
PLUG_ROOM_MM = 25.0


def out_of_reach(
    case: Case, cables: Iterable[Cable], needed: Iterable[Input], eps4_in_eps8: bool
) -> tuple[list[tuple[Area, float, float]], list[Area]]:
    """Areas that no cable's plug reaches, as (area, way with slack, longest plug) [mm], and those
    whose route is not known. A socket that no plug fits is told by the count of leads."""
    routes = {r.area: r.length_mm for r in case.routes}
    short: dict[Area, tuple[float, float]] = {}
    unknown: list[Area] = []
    held = list(cables)
    for into in needed:
        area = area_of(into.part, into.socket.kind)
        if area not in routes:
            unknown.append(area)
            continue
        kind = into.socket.kind
        plugs = [p.at_mm for c in held for p in c.plugs if goes_into(p.kind, kind, eps4_in_eps8)]
        way = routes[area] + SLACK_MM
        if plugs and max(plugs) < way:
            short[area] = (way, max(plugs))
    return [(area, *both) for area, both in short.items()], list(dict.fromkeys(unknown))
