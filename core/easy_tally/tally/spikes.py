"""Spikes: what the build draws for a fraction of a second, in four windows.

Factors on a part's full load at 0.1, 1, 10 and 100 ms. A card: `usual` (assumptions), or the
worst that the standard allows with a 16-pin socket, or its own. The processor: the larger of its
sustained and its short load, each with its factors (assumptions); its own are on its sustained
load, and it is never below its short one. All else does not spike.
"""

from __future__ import annotations

import math
from collections.abc import Collection, Iterable
from dataclasses import dataclass, replace

from ..base.series import Span
from ..base.units import WINDOWS, Rail, Window
from ..standards.connectors import is_coded
from ..standards.excursions import CARD_WORST, SQUARED
from ..things.assumed.assumptions import Assumptions
from ..things.parts import Card, Part, Processor
from ..wiring import Wired
from .loads import Load


@dataclass(frozen=True, slots=True)
class Spikes:
    """Watts [W] in each window: of the whole build, and of 12 V alone. Missing: at least."""

    total: dict[Window, Span]
    v12: dict[Window, Span]
    missing: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class SpikeRow:
    """One row of a spike: a load at full, or what a part goes above it, in each window. The rows
    of a window add up to its figure: where excesses add as squares, each counts its share."""

    part: str
    count: int
    rail: Rail | None
    field: str
    formula: str
    assumed: bool
    missing: bool
    watts: dict[Window, Span]


def worst_spikes(wired: Wired, loads: tuple[Load, ...], usual: Spikes) -> Spikes | None:
    """The same as `usual` with the worst that the standard allows of each card with a 16-pin socket
    whose maker states no factors; None where there is no such card."""
    may = {p.key for p in wired.build.parts if isinstance(p, Card) and _may_be_worse(p)}
    if not may:
        return None
    return Spikes(*_both(wired, loads, may), usual.missing)


def _may_be_worse(card: Card) -> bool:
    return (
        card.use == "graphics"
        and card.spike_factors is None
        and any(is_coded(s.kind) for s in card.sockets)
    )


def spikes(wired: Wired, loads: tuple[Load, ...]) -> Spikes:
    """Spikes of a build in every window."""
    missing = tuple(dict.fromkeys([wired.parts[x.part].name for x in loads if x.missing]))
    return Spikes(*_both(wired, loads), missing)


def _both(
    wired: Wired, loads: tuple[Load, ...], worst: Collection[str] = ()
) -> tuple[dict[Window, Span], dict[Window, Span]]:
    """In all, and at 12 V alone."""
    total = Together(wired, loads, worst)
    v12 = Together(wired, [x for x in loads if x.rail == "v12"], worst)
    return total.windows(), v12.windows()


def spiking_loads(wired: Wired, loads: tuple[Load, ...], window: Window) -> tuple[Load, ...]:
    """Loads as they are in a spike: what a run takes for full is full and the excess. Most do not
    spike: they are the very same, of which all that was worked out holds."""
    i, assume, parts = WINDOWS.index(window), wired.build.assumptions, wired.parts

    def spiking(load: Load) -> Load:
        part = parts[load.part]
        if part.kind not in ("processor", "card") and load.spans.short == load.spans.full:
            return load
        return wired.memory.of(_spiking, (load, part, assume), (i,))

    return tuple([spiking(x) for x in loads])


def _spiking(i: int, load: Load, part: Part, assume: Assumptions) -> Load:
    more, short = _excess(False, assume, part, load), load.spans.full
    if more is not None:  # each bound goes above its own full
        above = (
            x / full if full > 0 else 0.0 for x, full in zip(more[i], load.net.full, strict=True)
        )
        short = Span(*(x * (1 + a) for x, a in zip(short, above, strict=True)))
    if short == load.spans.short:
        return load
    return replace(load, spans=load.spans._replace(short=short))


#: A part, and which of its instances.
_Alike = tuple[str, tuple[int, ...]]


@dataclass(slots=True)
class _Above:
    """What one instance of a part goes above its full load, in each window; how many there are."""

    count: int
    watts: list[list[float]]


class Together:
    """Loads in a spike: all at full, and what goes above it. Instances spike one by one, the loads
    of one instance together."""

    def __init__(self, wired: Wired, loads: Iterable[Load], worst: Collection[str] = ()) -> None:
        self.low = self.likely = self.high = 0.0
        self.above: dict[_Alike, _Above] = {}
        for load in loads:
            self._add(load, _more(wired, load, worst))

    def _add(self, load: Load, more: _Excess | None) -> None:
        (low, likely, high), count = load.net.full, len(load.instances)
        self.low += low * count
        self.likely += likely * count
        self.high += high * count
        if more is None:
            return
        new = _Above(count, [[0.0] * 3 for _ in WINDOWS])
        own = self.above.setdefault((load.part, load.instances), new)
        for so_far, span in zip(own.watts, more, strict=True):
            for k, watts in enumerate(span):
                so_far[k] += watts

    def windows(self, other: Together | None = None) -> dict[Window, Span]:
        """Full load and the excesses above it in every window; with `other`: those of other parts
        beside them."""
        full, above = (self.low, self.likely, self.high), self.above
        if other is not None:
            full = (self.low + other.low, self.likely + other.likely, self.high + other.high)
            above = above | other.above
        return {
            w: Span(*[full[k] + _root(above, i, w, k) for k in range(3)])
            for i, w in enumerate(WINDOWS)
        }


def _root(above: dict[_Alike, _Above], i: int, window: Window, k: int) -> float:
    """What the excesses come to together in window `i`, at bound `k`."""
    if window in SQUARED:
        return math.sqrt(sum([x.count * x.watts[i][k] ** 2 for x in above.values()]))
    return float(sum([x.count * x.watts[i][k] for x in above.values()]))


#: What a load goes above its full load in each window.
_Excess = tuple[Span, ...]


def _more(wired: Wired, load: Load, worst: Collection[str] = ()) -> _Excess | None:
    """What one instance's load goes above its full load in each window; None: never. `worst`:
    parts that are taken at the standard's worst."""
    part = wired.parts[load.part]
    if part.kind not in ("processor", "card"):
        return None
    return wired.memory.of(_excess, (wired.build.assumptions, part, load), (load.part in worst,))


def spike_rows(wired: Wired, loads: tuple[Load, ...]) -> tuple[SpikeRow, ...]:
    """The rows that add up to the spikes: every load at full, then what goes above it."""
    rows = [
        SpikeRow(
            part=x.part,
            count=x.count,
            rail=x.rail,
            field=x.field,
            formula=f"{x.formula}, at full",
            assumed=x.assumed,
            missing=x.missing,
            watts=dict.fromkeys(WINDOWS, x.net.full.times(x.count)),
        )
        for x in loads
    ]
    above = Together(wired, loads).above
    for (key, _), own in above.items():
        watts = {w: _share(above, own, i, w) for i, w in enumerate(WINDOWS)}
        part = wired.parts[key]
        assumed = not (isinstance(part, Card | Processor) and part.spike_factors is not None)
        rows.append(
            SpikeRow(
                part=key,
                count=own.count,
                rail=None,
                field="spikes",
                formula=_formula(wired.build.assumptions, part),
                assumed=assumed,
                missing=False,
                watts=watts,
            )
        )
    return tuple(rows)


def _share(above: dict[_Alike, _Above], own: _Above, i: int, window: Window) -> Span:
    """What one part's excess counts in a window."""
    excesses = []
    for k in range(3):
        excess = own.watts[i][k]
        if window in SQUARED:
            whole = _root(above, i, window, k)
            excesses.append(own.count * excess**2 / whole if whole else 0.0)
        else:
            excesses.append(own.count * excess)
    return Span(*excesses)


def _formula(assume: Assumptions, part: Part) -> str:
    """How a part's excess comes about."""
    together = "; at 0.1 and 1 ms excesses add as squares"
    if isinstance(part, Card):
        return f"above full, board power × {_list(card_factors(part, assume))}{together}"
    if not isinstance(part, Processor):
        raise TypeError(f"a part that spikes, got {type(part).__name__}")
    sustained, short = map(_list, processor_factors(part, assume))
    above = "short" if part.spike_factors is not None else f"short × {short}"
    return f"above full, the larger of sustained × {sustained} and {above}{together}"


def _list(factors: tuple[float, ...]) -> str:
    return " / ".join(f"{f:g}" for f in factors)


def _excess(at_worst: bool, assume: Assumptions, part: Part, load: Load) -> _Excess | None:
    full, short = load.net.full, load.net.short
    if at_worst:
        return _times(full, CARD_WORST)
    if isinstance(part, Processor):
        return tuple(
            Span(*(max(f * a, s * b) - f for f, s in zip(full, short, strict=True)))
            for a, b in zip(*processor_factors(part, assume), strict=True)
        )
    if isinstance(part, Card) and (part.use == "graphics" or part.spike_factors):
        return _times(full, card_factors(part, assume))
    return None


def _times(full: Span, factors: tuple[float, ...]) -> tuple[Span, ...]:
    return tuple(full.times(f - 1) for f in factors)


def card_factors(part: Card, assume: Assumptions) -> tuple[float, ...]:
    """Spike factors of a card in the four windows."""
    if part.spike_factors is not None:
        return part.spike_factors
    if part.spikes == "by-standard worst":
        return CARD_WORST
    a = assume
    return a.spike_card_0_1ms, a.spike_card_1ms, a.spike_card_10ms, a.spike_card_100ms


def processor_factors(
    part: Processor, assume: Assumptions
) -> tuple[tuple[float, ...], tuple[float, ...]]:
    """Spike factors on a processor's sustained and on its short load in the four windows."""
    if part.spike_factors is not None:
        return part.spike_factors, (1.0,) * len(WINDOWS)
    a = assume
    return (
        (
            a.spike_sustained_0_1ms,
            a.spike_sustained_1ms,
            a.spike_sustained_10ms,
            a.spike_sustained_100ms,
        ),
        (a.spike_short_0_1ms, a.spike_short_1ms, a.spike_short_10ms, a.spike_short_100ms),
    )
