"""Which figure moves the total most, and what finding it out would settle."""

from __future__ import annotations

import re
from dataclasses import dataclass

from .build import Build
from .loads import Load, assumed, part_loads
from .parts import Card, Part
from .quantities import STATES, Figure, Series
from .sizing import Sizing, size
from .spikes import spikes_of
from .tally import Sum, Tally, tally
from .wording import number


@dataclass(frozen=True, slots=True)
class Mover:
    """The figure that moves the total at full most: its part and field, the ends of its load [W],
    and the next common sizes if it turned out at its low or at its high end, the others likely."""

    part: str
    name: str
    field: str
    figure: str
    assumed: bool
    low_w: float
    high_w: float
    pick_w: int | None
    pick_low_w: int | None
    pick_high_w: int | None


def mover(build: Build, loads: tuple[Load, ...], found: Tally, sizing: Sizing) -> Mover | None:
    """The assumption that moves the total most, or where none does any figure with bounds; None
    where nothing has any width. Loads of one part by one field count together."""
    at = 3 * STATES.index("full")
    ends: dict[tuple[str, str], tuple[bool, float, float]] = {}
    cards = {p.key: p for p in build.parts if isinstance(p, Card)}
    for row in found.rows:
        key, guess = (row.part, row.field), row.assumed
        if card := cards.get(row.part):
            # How a card splits between slot and sockets moves no total; its board power does.
            power = card.board_power_w
            key, guess = (card.key, "board_power_w"), bool(power and power.origin == "assumed")
        was, low, high = ends.get(key, (False, 0.0, 0.0))
        ends[key] = (was or guess, low + row.watts[at], high + row.watts[at + 2])
    wide = {k: x for k, x in ends.items() if x[2] - x[1] > 1e-9}
    if not wide:
        return None
    key = max(wide, key=lambda k: (wide[k][0], wide[k][2] - wide[k][1]))
    guessed, low_w, high_w = wide[key]
    part = next(p for p in build.parts if p.key == key[0])
    picks = [_pick_at(build, loads, found, part, key[1], end) for end in ("low", "high")]
    text = type(part).model_fields[key[1]].description or key[1]
    return Mover(
        part.key, part.name, key[1], re.split("[:,]", text)[0], guessed, low_w, high_w,
        sizing.pick_w, picks[0], picks[1],
    )  # fmt: skip


def _pick_at(
    build: Build, loads: tuple[Load, ...], found: Tally, part: Part, field: str, end: str
) -> int | None:
    """The next common size if one figure turned out at one of its ends."""
    figure: Figure | None = getattr(part, field)
    span = figure.span() if figure else assumed(part, field, build.assumptions)
    if span is None:
        return None
    value = getattr(span, end)
    exact = Figure(low=value, likely=value, high=value)
    changed = part.model_copy(update={field: exact})
    parts = tuple(changed if p.key == part.key else p for p in build.parts)
    turned = build.model_copy(update={"parts": parts})
    own = tuple(part_loads(changed, turned))
    others = tuple(x for x in loads if x.part != part.key)
    rows = tally(turned, own).rows
    watts: Series = tuple(
        sum(column)
        for column in zip(
            *(r.watts for r in found.rows if r.part != part.key), *(r.watts for r in rows),
            strict=True,
        )
    )  # fmt: skip
    total = Sum(watts, found.total.missing)
    return size(turned, total, spikes_of(turned, (*others, *own))).pick_w


def mover_words(found: Mover) -> str:
    """The finding in a sentence or two."""
    said = (
        f"{found.name}, {found.figure}{' (assumed)' if found.assumed else ''}, moves the total "
        f"most: {number(found.low_w, 'W')} to {number(found.high_w, 'W')} at full."
    )
    if found.pick_w is None or found.pick_low_w is None or found.pick_high_w is None:
        return said
    if found.pick_low_w == found.pick_high_w:
        return f"{said} Finding it out would leave the next common size at {found.pick_w} W."
    return (
        f"{said} Finding it out would settle whether the next common size is "
        f"{found.pick_low_w} or {found.pick_high_w} W."
    )
