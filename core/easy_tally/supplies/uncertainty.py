"""Which figure moves the total most, and what finding it out would settle.

It stands here and not with the tally, since what it would settle is the size of a supply.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import reduce

from ..base.declared import Figure
from ..base.series import ZERO, Bound, Span, add, span_at
from ..tally.loads import Load, loads_of_part
from ..tally.spikes import Together
from ..tally.sums import Sum, Tally, rows_of, sum_of
from ..things.assumed.defaults import default
from ..things.parts import Card, Part
from ..wiring import Wired
from .sizing import Sizing, next_size_w


@dataclass(frozen=True, slots=True, kw_only=True)
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


def mover(wired: Wired, loads: tuple[Load, ...], tally: Tally, sizing: Sizing) -> Mover | None:
    """The assumption that moves the total most, or where none does any figure with bounds; None
    where nothing has any width. Loads of one part by one field count together."""
    ends: dict[tuple[str, str], tuple[bool, Span]] = {}
    for row in tally.rows:
        part = wired.parts[row.part]
        key, guess = (row.part, row.field), row.assumed
        if isinstance(part, Card):
            # How a card splits between slot and sockets moves no total; its board power does.
            power = part.board_power_w
            key, guess = (row.part, "board_power_w"), bool(power and power.is_assumed)
        full = span_at(row.watts, "full")
        was, so_far = ends.get(key, (False, ZERO))
        ends[key] = (was or guess, so_far.plus(full))
    wide = {k: x for k, x in ends.items() if x[1].high - x[1].low > 1e-9}
    if not wide:
        return None
    key = max(wide, key=lambda k: (wide[k][0], wide[k][1].high - wide[k][1].low))
    guessed, span = wide[key]
    part = wired.parts[key[0]]
    rest = _Rest(
        spikes=Together(wired, [x for x in loads if x.part != part.key]),
        rows=sum_of(*[r for r in tally.rows if r.part != part.key]),
    )
    ends_of: tuple[Bound, Bound] = ("low", "high")
    low, high = (_pick_at(wired, rest, tally.total, part, key[1], end) for end in ends_of)
    return Mover(
        part=part.key,
        name=part.name,
        field=key[1],
        figure=figure_words(part, key[1]),
        assumed=guessed,
        low_w=span.low,
        high_w=span.high,
        pick_w=sizing.pick_w,
        pick_low_w=low,
        pick_high_w=high,
    )


def figure_words(part: Part, field: str) -> str:
    """How a figure is called, without its explanation."""
    text = type(part).model_fields[field].description or field
    return text.partition(":")[0].partition(",")[0]


@dataclass(frozen=True, slots=True, kw_only=True)
class _Rest:
    """All other parts: what they draw in a spike, and their rows added up."""

    spikes: Together
    rows: Sum


def _at(part: Part, field: str, value: float) -> Part:
    return part.model_copy(update={field: Figure(low=value, likely=value, high=value)})


def _pick_at(
    wired: Wired, rest: _Rest, total: Sum, part: Part, field: str, end: Bound
) -> int | None:
    """The next common size if one figure turned out at one of its ends."""
    figure: Figure | None = getattr(part, field)
    span = figure.span() if figure else default(part, field, wired.build.assumptions)
    if span is None:
        return None
    value: float = getattr(span, end)
    own = loads_of_part(_at(part, field, value), wired)
    watts = reduce(add, (r.watts for r in rows_of(wired, own)), rest.rows.watts)
    spiking = rest.spikes.windows(Together(wired, own))
    return next_size_w(wired, Sum(watts, total.missing), spiking, wired.build.supply)
