"""The current profile of a run: a staircase along the cable, each step against its limit."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from ..base.series import likelies
from ..base.units import GROUND, RAIL_V, RUN_STATES, Line, State
from .elements import Element
from .flows import CarriedRun
from .onward import LeadStretch
from .places import Place


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """One stretch of the current profile: amperes [A] on a rail in each state, against the
    tightest limit [A] that this same current meets, or None where that is not known. `through` is
    the adapter or extension whose lead it is, by its key; empty along the cable itself."""

    line: Line
    from_mm: float
    to_mm: float
    amps: dict[State, float]
    limit_a: float | None
    through: str = ""


def profile(
    run: CarriedRun, elements: Sequence[Element], beyond: tuple[LeadStretch, ...] = ()
) -> Iterator[Step]:
    """The staircase along the cable and through the leads beyond, each step against the tightest
    limit that the same current meets."""
    lives = run.lives
    met: dict[tuple[Line, object], list[float | None]] = {}
    for e in elements:
        if e.line != GROUND and (at := _met_at(e)) is not None:
            met.setdefault((e.line, at), []).append(_rail_limit_a(e))
    for stretch, flow in run.stretches:
        start, end = stretch.from_mm, stretch.to_mm
        places: list[object] = [(start, end)]
        if start == 0:
            places.append("supply end")
        if len(lives) == 1 or lives[-2].feed.plug.mm < end:
            places.append(Place(lives[-1].feed.plug.key))
        for line, loads, _ in flow.lines():
            if line == GROUND:
                continue
            limits = [x for place in places for x in met.get((line, place), ())]
            known = [x for x in limits if x is not None]
            yield Step(
                line=line,
                from_mm=start,
                to_mm=end,
                amps=dict(zip(RUN_STATES, likelies(loads), strict=True)),
                limit_a=min(known) if known and len(known) == len(limits) else None,
            )
    for s in beyond:
        yield from _through(s, elements)


def _through(s: LeadStretch, elements: Sequence[Element]) -> Iterator[Step]:
    for line, loads, _ in s.flow.lines():
        if line == GROUND:
            continue
        limits = [
            _rail_limit_a(e)
            for e in elements
            if e.kind == "wire" and e.line == line and e.at == s.at and e.from_mm == s.from_mm
        ]
        yield Step(
            line=line,
            from_mm=s.base_mm + s.from_mm,
            to_mm=s.base_mm + s.to_mm,
            amps=dict(zip(RUN_STATES, likelies(loads), strict=True)),
            limit_a=limits[0] if limits else None,
            through=s.between.key,
        )


def _met_at(element: Element) -> object:
    """Where the current of a stretch is the one that the element is judged by: along the stretch
    itself, at the supply end, or at the only plug beyond it; None elsewhere."""
    if element.kind == "wire":
        return element.from_mm, element.to_mm
    if element.kind in ("grant", "plug pins"):
        return element.at
    return "supply end" if element.kind in ("supply-end pins", "house rule") else None


def _rail_limit_a(element: Element) -> float | None:
    """An element's continuous limit as amperes [A] on its whole rail."""
    limit = element.judged.rated
    if limit is None:
        return None
    if element.unit == "plugs":
        return math.inf  # the rule counts plugs; it sets no limit on the current
    if element.unit == "W":
        return limit / RAIL_V["v12"]
    count = element.terms.get("pins") or element.terms.get("conductors") or 1.0
    return limit * count / element.terms.get("uneven", 1.0)
