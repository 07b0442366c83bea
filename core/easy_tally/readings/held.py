"""Readings as they are held: one time axis, a column a channel, gaps as nothing."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, TypeAlias

from ..base.arrays import np
from ..base.errors import BadInput
from ..base.units import State
from .channels import Channel

if TYPE_CHECKING:
    from numpy.typing import NDArray

Floats: TypeAlias = "NDArray[np.float64]"


@dataclass(frozen=True, slots=True, kw_only=True)
class Named:
    """A span of time [s] in a state that somebody named, or that was recognised."""

    from_s: float
    to_s: float
    state: State
    recognised: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Readings:
    """Times [s] since the first, strictly rising; a column of values a channel, NaN where there
    is none; spans that were named. `began`: when, in ISO form; empty where it is not known."""

    times: Floats
    columns: Mapping[Channel, Floats]
    named: tuple[Named, ...] = ()
    began: str = ""
    #: Said by simulated instruments: never taken for measured, wherever it goes.
    simulated: bool = False

    @property
    def samples(self) -> int:
        """How many rows there are."""
        return len(self.times)

    def look_over(self) -> None:
        """See that no number of it is without end. Raises BadInput: whatever brings readings asks
        this before they are kept."""
        if not np.isfinite(self.times).all() or (np.diff(self.times) <= 0).any():
            raise BadInput([("times", "numbers that end and rise", "others")])
        for channel, column in self.columns.items():
            if np.isinf(column).any():
                raise BadInput([(str(channel), "numbers that end", "one that does not")])

    def rows(self, from_s: float, to_s: float) -> slice:
        """The rows of a span of time, both ends included."""
        low = int(np.searchsorted(self.times, from_s, "left"))
        return slice(low, int(np.searchsorted(self.times, to_s, "right")))

    def calling(self, named: tuple[Named, ...]) -> Readings:
        """The same with other spans named."""
        return replace(self, named=named)


@dataclass(frozen=True, slots=True, kw_only=True)
class Typed:
    """One figure read off and typed in: of which channel, in which state."""

    channel: Channel
    state: State
    value: float


def of_typed(typed: tuple[Typed, ...]) -> Readings:
    """Typed figures as readings: a second of each state, in the order in which they come."""
    states = tuple(dict.fromkeys(t.state for t in typed))
    columns: dict[Channel, Floats] = {}
    for t in typed:
        column = columns.setdefault(t.channel, np.full(2 * len(states), np.nan))
        at = states.index(t.state)
        column[2 * at : 2 * at + 2] = t.value
    times = np.array([x for i in range(len(states)) for x in (2.0 * i, 2.0 * i + 1)])
    named = tuple(Named(from_s=2.0 * i, to_s=2.0 * i + 1, state=s) for i, s in enumerate(states))
    return Readings(times=times, columns=columns, named=named)
