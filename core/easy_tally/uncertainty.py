"""Which figure moves the total most, and what finding it out would settle."""

from __future__ import annotations

from dataclasses import dataclass

from .quantities import STATES
from .sizing import Sizing
from .standards.sizes import next_common_w
from .tally import Tally
from .wording import number


@dataclass(frozen=True, slots=True)
class Mover:
    """The figure with the widest bounds at full load: its part and field, by how much it moves
    the total [W], and the common sizes needed at the low and the high end of all figures."""

    part: str
    name: str
    field: str
    assumed: bool
    low_w: float
    high_w: float
    pick_low_w: int | None
    pick_high_w: int | None


def mover(tally: Tally, sizing: Sizing) -> Mover | None:
    """The figure that moves the total most; None where nothing has any width."""
    spans: dict[tuple[str, str, str, bool], list[float]] = {}
    at = 3 * STATES.index("full")
    for row in tally.rows:
        own = spans.setdefault((row.part, row.name, row.field, row.assumed), [0.0, 0.0])
        own[0] += row.watts[at]
        own[1] += row.watts[at + 2]
    widest = max(spans, key=lambda k: spans[k][1] - spans[k][0], default=None)
    if widest is None or spans[widest][1] - spans[widest][0] <= 0:
        return None
    part, name, field, assumed = widest
    low_w, high_w = spans[widest]
    needed = sizing.needed
    return Mover(
        part, name, field, assumed, low_w, high_w,
        next_common_w(needed.low) if needed else None,
        next_common_w(needed.high) if needed else None,
    )  # fmt: skip


def mover_words(found: Mover) -> str:
    """The finding in a sentence or two."""
    said = (
        f"{found.name} moves the total most: {number(found.low_w, 'W')} to "
        f"{number(found.high_w, 'W')}{', assumed' if found.assumed else ''}."
    )
    if found.pick_low_w is None or found.pick_high_w is None:
        return said
    if found.pick_low_w == found.pick_high_w:
        return f"{said} Within all bounds the next common size stays {found.pick_low_w} W."
    return (
        f"{said} Over all bounds the next common size lies between {found.pick_low_w} and "
        f"{found.pick_high_w} W: finding it out would narrow that."
    )
