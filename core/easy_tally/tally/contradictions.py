"""Figures of one part that can't both be so: said at the field, never cut."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..base.declared import Figure
from ..base.rounding import exceeds
from ..things.build import Build
from ..things.defaults import taken
from ..things.parts import Card, Part

#: Kind → (figure that is the lower, figure that is the higher).
_PAIRS: dict[str, tuple[tuple[str, str], ...]] = {
    "processor": (
        ("package_idle_w", "package_w"), ("package_w", "package_short_w"),
        ("package_idle_w", "package_short_w"),
    ),
    "card": (("idle_w", "board_power_w"),),
    "m2": (("idle_w", "full_w"),),
    "drive": (("run_12v_a", "start_12v_a"), ("run_5v_a", "start_5v_a")),
}  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class Contradiction:
    """`field` should not be above `other`, and is: both stated, at likely, in their own unit."""

    part: Part
    field: str
    value: float
    other: str
    limit: float


def contradictions(build: Build) -> Iterator[Contradiction]:
    """Every pair of stated figures of which the lower one is the higher."""
    for part in build.parts:
        said: set[str] = set()
        for field, other in _PAIRS.get(part.kind, ()):
            low, high = _stated(part, field, build), _stated(part, other, build)
            if field not in said and low is not None and high is not None and exceeds(low, high):
                said.add(field)
                yield Contradiction(part=part, field=field, value=low, other=other, limit=high)


def _stated(part: Part, field: str, build: Build) -> float | None:
    figure: Figure | None = getattr(part, field)
    if figure is None:
        return None
    span = taken(part, field, build.assumptions) if isinstance(part, Card) else figure.span()
    return span.likely if span else None
