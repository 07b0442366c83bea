"""States recognised by the level of the watts, and when each has settled."""

from __future__ import annotations

from ..base.arrays import np
from ..base.units import State
from .channels import Channel
from .expected import Against
from .held import Floats, Named, Readings

#: States that are told by their level; `start` lasts seconds, and is named or not at all.
LEVELS: tuple[State, ...] = ("idle", "everyday", "full")
#: A step is one of this share of the level, and of so many watts, between two seconds; a state
#: lasts at least so many seconds. Source: assumptions.
STEP_SHARE, STEP_W, SHORTEST_S = 0.15, 8.0, 8.0
#: Means that are looked at, at the most.
MOST_MEANS = 20_000
#: A level is a state's where it lies within this factor of what is expected. Source: assumption.
WITHIN_FACTOR = 1.35
#: Channels that tell the level, best first.
_TELL = (Channel("dc", "", "w"), Channel("wall", "", "w"))


def recognise(against: Against, r: Readings) -> tuple[Named, ...]:
    """Spans whose level is that of a state; what is named already stands."""
    if r.named or r.samples < 2:
        return r.named
    tell = next((c for c in _tellers(r) if c in r.columns), None)
    if tell is None:
        return ()
    spans = []
    for from_s, to_s, level in _plateaus(r.times, r.columns[tell]):
        state = _nearest(against, tell, level)
        if state is not None:
            spans.append(Named(from_s=from_s, to_s=to_s, state=state, recognised=True))
    return tuple(spans)


def _tellers(r: Readings) -> tuple[Channel, ...]:
    cards = tuple(c for c in r.columns if c.unit == "w" and c not in _TELL)
    return (*_TELL, *cards)


def _plateaus(times: Floats, column: Floats) -> list[tuple[float, float, float]]:
    """(from, to, level) of spans without a step, off the means of each second (of each part of the
    whole, where that is long)."""
    second = np.floor(times / max(1.0, (times[-1] - times[0]) / MOST_MEANS))
    starts = np.flatnonzero(np.diff(second, prepend=second[0] - 1))
    sums = np.add.reduceat(np.nan_to_num(column), starts)
    known = np.add.reduceat((~np.isnan(column)).astype(float), starts)
    levels = np.divide(sums, known, out=np.full(len(starts), np.nan), where=known > 0)
    ends = np.append(times[starts[1:] - 1], times[-1])
    plateaus: list[tuple[float, float, float]] = []
    begun, whole, n = 0, 0.0, 0
    for i, here in enumerate([*levels.tolist(), None]):
        level = whole / n if n else float("nan")
        if here is not None and not abs(here - level) > max(STEP_W, STEP_SHARE * level):
            if here == here:
                whole, n = whole + here, n + 1
            continue
        if n and ends[i - 1] - times[starts[begun]] >= SHORTEST_S:
            plateaus.append((float(times[starts[begun]]), float(ends[i - 1]), level))
        begun, whole, n = i, here or 0.0, 1
    return plateaus


def _nearest(against: Against, tell: Channel, level: float) -> State | None:
    best: tuple[float, State] | None = None
    for state in LEVELS:
        span = against.expected(tell, state)
        if span is None or span.likely <= 0 or level <= 0:
            continue
        factor = max(level / span.likely, span.likely / level)
        if span.low <= level <= span.high:
            factor = min(factor, 1.0 + 0.01 * factor)
        if best is None or factor < best[0]:
            best = (factor, state)
    return best[1] if best and best[0] <= WITHIN_FACTOR else None


def settled(times: Floats, column: Floats, share: float = 0.02) -> int:
    """The row from which the value stays, by tenths of the span, within a share of what its last
    quarter is on average; 0: from the first."""
    n = len(column)
    if n < 40:
        return 0
    edges = np.linspace(0, n, 41).astype(int)
    known = ~np.isnan(column)
    sums = np.add.reduceat(np.where(known, column, 0.0), edges[:-1])
    counts = np.add.reduceat(known.astype(float), edges[:-1])
    means = np.divide(sums, counts, out=np.full(40, np.nan), where=counts > 0)
    last = np.nanmean(means[30:]) if not np.isnan(means[30:]).all() else np.nan
    off = np.flatnonzero(np.abs(means[:30] - last) > max(share * abs(last), 1e-9))
    return int(edges[off[-1] + 1]) if len(off) else 0
