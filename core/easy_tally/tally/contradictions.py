"""Figures of one part that can't both be so: said at the field, never cut."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..base.declared import Figure
from ..base.memory import NO_MEMORY, Memory
from ..base.rounding import exceeds
from ..things.assumed.assumptions import Assumptions
from ..things.assumed.defaults import taken
from ..things.build import Build
from ..things.parts import Card, Part

#: Kind → (figure that is the lower, figure that is the higher).
_PAIRS: dict[str, tuple[tuple[str, str], ...]] = {
    "processor": (
        ("package_idle_w", "package_w"),
        ("package_w", "package_short_w"),
        ("package_idle_w", "package_short_w"),
    ),
    "card": (("idle_w", "board_power_w"),),
    "m2": (("idle_w", "full_w"),),
    "drive": (("run_12v_a", "start_12v_a"), ("run_5v_a", "start_5v_a")),
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Contradiction:
    """`field` should not be above `other`, and is: both stated, at likely, in their own unit."""

    part: Part
    field: str
    value: float
    other: str
    limit: float


def contradictions(build: Build, memory: Memory = NO_MEMORY) -> Iterator[Contradiction]:
    """Every pair of stated figures of which the lower one is the higher."""
    assume = build.assumptions
    for part in build.parts:
        if part.kind in _PAIRS:
            yield from memory.of(_of_part, (part, assume))


def _of_part(part: Part, assume: Assumptions) -> tuple[Contradiction, ...]:
    by_field: dict[str, Contradiction] = {}
    for field, other in _PAIRS[part.kind]:
        low, high = _stated(part, field, assume), _stated(part, other, assume)
        if field not in by_field and low is not None and high is not None and exceeds(low, high):
            by_field[field] = Contradiction(
                part=part, field=field, value=low, other=other, limit=high
            )
    return tuple(by_field.values())


def _stated(part: Part, field: str, assume: Assumptions) -> float | None:
    figure: Figure | None = getattr(part, field)
    if figure is None:
        return None
    span = taken(part, field, assume) if isinstance(part, Card) else figure.span()
    return span.likely if span else None
