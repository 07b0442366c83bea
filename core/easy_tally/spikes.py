"""Spikes: what the build draws for a fraction of a second, in four windows.

Factors on a part's full load at 0.1, 1, 10 and 100 ms. A card: `usual` (assumptions), or the
worst that the standard allows with a 16-pin socket, or its own. The processor: the larger of its
sustained and its short load, each with its factors. All else does not spike.
"""

from __future__ import annotations

from dataclasses import dataclass

from .build import Build
from .loads import Load
from .parts import Card, Part, Processor
from .quantities import WINDOWS, Span, Window

#: Source: PCI Express CEM 5.x, power excursions with a 16-pin connector.
STANDARD_WORST: tuple[float, ...] = (3.0, 2.5, 2.0, 1.5)
#: On the sustained and on the short load of a processor. Source: assumption.
SUSTAINED_FACTORS: tuple[float, ...] = (1.5, 1.3, 1.2, 1.1)
SHORT_FACTORS: tuple[float, ...] = (1.2, 1.1, 1.0, 1.0)
#: Windows in which several parts hardly spike together: their excesses add as squares.
SQUARED: tuple[Window, ...] = ("0.1", "1")


@dataclass(frozen=True, slots=True)
class Spikes:
    """Watts [W] in each window: of the whole build, and of 12 V alone. Missing: at least."""

    total: dict[Window, Span]
    v12: dict[Window, Span]
    missing: tuple[str, ...] = ()


def spikes(build: Build, loads: tuple[Load, ...]) -> Spikes:
    """Spikes of a build in every window."""
    parts = {p.key: p for p in build.parts}
    excess = [_excess(build, parts[x.part], x) for x in loads]
    missing = tuple(dict.fromkeys(parts[x.part].name for x in loads if x.missing))
    at_12v = [i for i, x in enumerate(loads) if x.rail == "v12"]
    every = list(range(len(loads)))
    return Spikes(
        {w: _window(loads, excess, every, i, w) for i, w in enumerate(WINDOWS)},
        {w: _window(loads, excess, at_12v, i, w) for i, w in enumerate(WINDOWS)},
        missing,
    )


def _window(
    loads: tuple[Load, ...],
    excess: list[tuple[Span, ...] | None],
    chosen: list[int],
    i: int,
    window: Window,
) -> Span:
    """Full load and the excesses above it, of the chosen loads in window `i`."""
    full = [0.0, 0.0, 0.0]
    above: dict[str, list[float]] = {}
    count: dict[str, int] = {}
    for at in chosen:
        load, more = loads[at], excess[at]
        for k, watts in enumerate(load.net.full):
            full[k] += watts * load.count
        if more is not None:
            own = above.setdefault(load.part, [0.0, 0.0, 0.0])
            count[load.part] = load.count
            for k, watts in enumerate(more[i]):
                own[k] += watts
    # Instances spike one by one, the loads of one instance together.
    power = 2 if window in SQUARED else 1
    return Span(
        *(
            full[k] + sum(n * above[p][k] ** power for p, n in count.items()) ** (1 / power)
            for k in range(3)
        )
    )


def _excess(build: Build, part: Part, load: Load) -> tuple[Span, ...] | None:
    """What one instance's load goes above its full load in each window; None: never."""
    full, short = load.net.full, load.net.short
    if isinstance(part, Processor):
        return tuple(
            Span(*(max(f * a, s * b) - f for f, s in zip(full, short, strict=True)))
            for a, b in zip(SUSTAINED_FACTORS, SHORT_FACTORS, strict=True)
        )
    if isinstance(part, Card) and (part.sockets or part.spike_factors):
        return tuple(full.times(f - 1) for f in card_factors(build, part))
    return None


def card_factors(build: Build, part: Card) -> tuple[float, ...]:
    """Spike factors of a card in the four windows."""
    if part.spike_factors is not None:
        return part.spike_factors
    if part.spikes == "by-standard worst":
        return STANDARD_WORST
    a = build.assumptions
    return a.spike_card_0_1ms, a.spike_card_1ms, a.spike_card_10ms, a.spike_card_100ms
