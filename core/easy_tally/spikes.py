"""Spikes: what the build draws for a fraction of a second, in four windows.

Factors on a part's full load at 0.1, 1, 10 and 100 ms. A card: `usual` (assumptions), or the
worst that the standard allows with a 16-pin socket, or its own. The processor: the larger of its
sustained and its short load, each with its factors. All else does not spike.
"""

from __future__ import annotations

from dataclasses import dataclass

from .build import Build
from .loads import Load
from .parts import Card, Processor
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
    missing = tuple(dict.fromkeys(parts[x.part].name for x in loads if x.missing))
    return Spikes(
        {w: _window(build, loads, i, w, "") for i, w in enumerate(WINDOWS)},
        {w: _window(build, loads, i, w, "v12") for i, w in enumerate(WINDOWS)},
        missing,
    )


def _window(build: Build, loads: tuple[Load, ...], i: int, window: Window, rail: str) -> Span:
    full = [0.0, 0.0, 0.0]
    excess: dict[str, list[float]] = {}
    count: dict[str, int] = {}
    for load in loads:
        if rail and load.rail != rail:
            continue
        own = excess.setdefault(load.part, [0.0, 0.0, 0.0])
        count[load.part] = load.count
        for k, (watts, more) in enumerate(zip(load.net.full, _excess(build, load, i), strict=True)):
            full[k] += watts * load.count
            own[k] += more
    # Instances spike one by one, the loads of one instance together.
    power = 2 if window in SQUARED else 1
    return Span(
        *(
            full[k] + sum(n * excess[p][k] ** power for p, n in count.items()) ** (1 / power)
            for k in range(3)
        )
    )


def _excess(build: Build, load: Load, i: int) -> Span:
    """What one instance's load goes above its full load in window `i`."""
    part = build.part(load.part)
    full, short = load.net.full, load.net.short
    if isinstance(part, Processor):
        peak = [
            max(f * SUSTAINED_FACTORS[i], s * SHORT_FACTORS[i])
            for f, s in zip(full, short, strict=True)
        ]
        return Span(*(p - f for p, f in zip(peak, full, strict=True)))
    if isinstance(part, Card) and (part.sockets or part.spike_factors):
        return full.times(card_factors(build, part)[i] - 1)
    return Span(0, 0, 0)


def card_factors(build: Build, part: Card) -> tuple[float, ...]:
    """Spike factors of a card in the four windows."""
    if part.spike_factors is not None:
        return part.spike_factors
    if part.spikes == "by-standard worst":
        return STANDARD_WORST
    a = build.assumptions
    return a.spike_card_0_1ms, a.spike_card_1ms, a.spike_card_10ms, a.spike_card_100ms
