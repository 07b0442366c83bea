"""What a channel comes to in a state: settled mean, percentiles, the worst."""

from __future__ import annotations

from dataclasses import dataclass

from ..base.arrays import np
from ..base.units import State
from .channels import Channel
from .held import Named, Readings
from .segments import settled


@dataclass(frozen=True, slots=True, kw_only=True)
class Stats:
    """A channel in a state, from where it had settled: in the channel's unit. `worst` is the most
    (of volts the least); `high` and `top` are the 95th and the 99.9th percentile (of volts the 5th
    and the 0.1st)."""

    channel: Channel
    state: State
    mean: float
    high: float
    top: float
    worst: float
    samples: int
    settle_s: float


def stats(r: Readings, channel: Channel, named: Named) -> Stats | None:
    """Of one channel in one span; None where it has no value there."""
    rows = r.rows(named.from_s, named.to_s)
    column, times = r.columns[channel][rows], r.times[rows]
    if not len(column):
        return None
    at = settled(times, column)
    known = column[at:]
    known = known[~np.isnan(known)]
    if not len(known):
        return None
    low = channel.unit == "v"
    high, top = np.percentile(known, (5, 0.1) if low else (95, 99.9))
    return Stats(
        channel=channel,
        state=named.state,
        mean=float(known.mean()),
        high=float(high),
        top=float(top),
        worst=float(known.min() if low else known.max()),
        samples=len(known),
        settle_s=float(times[at] - times[0]),
    )


def all_stats(r: Readings, named: tuple[Named, ...]) -> dict[tuple[State, Channel], Stats]:
    """Of every channel in every state; of a state with several spans the one that lasts longest."""
    longest: dict[State, Named] = {}
    for n in named:
        old = longest.get(n.state)
        if old is None or n.to_s - n.from_s > old.to_s - old.from_s:
            longest[n.state] = n
    all_stats = {}
    for state, span in longest.items():
        for c in r.columns:
            own = stats(r, c, span)
            if own is not None:
                all_stats[state, c] = own
    return all_stats
