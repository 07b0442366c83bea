"""Whether a supply goes into the case, and its cables reach: form, length, routes."""

from __future__ import annotations

from collections.abc import Iterable

from ...standards.connectors import SocketKind
from ...things.cables import Cable
from ...things.case import Area, Case
from ...things.fits import goes_into
from ...wiring import Input
from ...wiring.areas import SLACK_MM, place_of

#: How far modular plugs stand out of the panel, their bend included [mm]. Source: assumption.
PLUG_ROOM_MM = 25.0


def _longest_mm(cables: tuple[Cable, ...], kind: SocketKind, eps4_in_eps8: bool) -> float | None:
    """How far the plug that reaches furthest is of those that go into a kind of socket [mm]; None
    where none does."""
    plugs = (p for c in cables for p in c.plugs)
    fitting = [p.mm for p in plugs if goes_into(p.kind, kind, eps4_in_eps8)]
    return max(fitting, default=None)


def out_of_reach(
    case: Case, cables: tuple[Cable, ...], needed: Iterable[Input], eps4_in_eps8: bool
) -> list[tuple[Area, float, float]]:
    """Areas that no cable's plug reaches, as (area, way with slack, longest plug) [mm], of a case
    and cables as they are taken. A socket that no plug fits is told by the count of leads."""
    routes = {r.area: r.length_mm for r in case.routes}
    longest_of: dict[SocketKind, float | None] = {}
    short: dict[Area, tuple[float, float]] = {}
    for into in needed:
        area = place_of(into)
        if area is None:
            continue  # a lead hangs wherever its cable ends
        kind = into.socket.kind
        if kind not in longest_of:
            longest_of[kind] = _longest_mm(cables, kind, eps4_in_eps8)
        longest = longest_of[kind]
        way = routes[area] + SLACK_MM
        if longest is not None and longest < way:
            short[area] = (way, longest)
    return [(area, *both) for area, both in short.items()]
