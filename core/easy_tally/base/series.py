"""Spans with bounds, and series of them over the states, read through their accessors."""

from __future__ import annotations

import operator
from typing import Literal, NamedTuple

from .units import RUN_STATES, TALLY_STATES, State

Bound = Literal["low", "likely", "high"]
BOUNDS: tuple[Bound, ...] = ("low", "likely", "high")


class Span(NamedTuple):
    """Low, likely and high value of one quantity; sums add as intervals."""

    low: float
    likely: float
    high: float

    def plus(self, other: Span) -> Span:
        """Interval sum."""
        return Span(self.low + other.low, self.likely + other.likely, self.high + other.high)

    def times(self, factor: float) -> Span:
        """Scale by a factor that is not negative."""
        return Span(self.low * factor, self.likely * factor, self.high * factor)

    def by(self, other: Span) -> Span:
        """Interval product of two spans that are not negative."""
        return Span(self.low * other.low, self.likely * other.likely, self.high * other.high)

    def least(self, other: Span) -> Span:
        """The smaller of two, bound by bound."""
        return Span(*map(min, self, other))

    def most(self, other: Span) -> Span:
        """The larger of two, bound by bound."""
        return Span(*map(max, self, other))


ZERO = Span(0.0, 0.0, 0.0)

#: Low, likely and high in each of some states in turn: eighteen numbers in the tally, twelve for
#: a run. The checker adds and scales thousands of these for one build, so they are bare tuples.
Series = tuple[float, ...]
NO_TALLY: Series = (0.0,) * (3 * len(TALLY_STATES))
NO_SERIES: Series = (0.0,) * (3 * len(RUN_STATES))


def add(a: Series, b: Series) -> Series:
    """Sum, number by number."""
    return tuple(map(operator.add, a, b))


def scale(a: Series, factor: float) -> Series:
    """Scale by a factor that is not negative."""
    return tuple([x * factor for x in a])


def span_at(series: Series, state: State, states: tuple[State, ...] = TALLY_STATES) -> Span:
    """The span of one state; nothing in a state that the series does not have."""
    if state not in states:
        return ZERO
    i = 3 * states.index(state)
    return Span(*series[i : i + 3])


def likelies(series: Series) -> Series:
    """The likely value in each state."""
    return series[1::3]


def highs(series: Series) -> Series:
    """The high value in each state."""
    return series[2::3]


def only_at(state: State, span: Span, states: tuple[State, ...] = RUN_STATES) -> Series:
    """A series with a span in one state and nothing in the others."""
    return tuple(x for s in states for x in (span if s == state else ZERO))
