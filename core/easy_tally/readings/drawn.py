"""Readings as they are drawn: so many buckets across, each with its least and its most, so that no
peak is lost however many samples there are."""

from __future__ import annotations

from dataclasses import dataclass

from ..base.arrays import np
from .channels import Channel
from .held import Readings


@dataclass(frozen=True, slots=True, kw_only=True)
class Drawn:
    """Times [s] at which buckets begin, and the least and the most of each; None: a gap."""

    times: tuple[float, ...]
    low: tuple[float | None, ...]
    high: tuple[float | None, ...]


def drawn(r: Readings, channel: Channel, from_s: float, to_s: float, buckets: int) -> Drawn:
    """A channel between two times in at most `buckets` buckets."""
    rows = r.rows(from_s, to_s)
    times, column = r.times[rows], r.columns[channel][rows]
    if not len(times):
        return Drawn(times=(), low=(), high=())
    size = -(-len(times) // buckets)
    starts = np.arange(0, len(times), size)
    # Gaps count for neither end; a bucket of gaps alone stays one.
    low = np.minimum.reduceat(np.where(np.isnan(column), np.inf, column), starts)
    high = np.maximum.reduceat(np.where(np.isnan(column), -np.inf, column), starts)
    return Drawn(
        times=tuple(times[starts].tolist()), low=_without_gaps(low), high=_without_gaps(high)
    )


def _without_gaps(values: np.ndarray[tuple[int], np.dtype[np.float64]]) -> tuple[float | None, ...]:
    return tuple(x if np.isfinite(x) else None for x in values.tolist())
