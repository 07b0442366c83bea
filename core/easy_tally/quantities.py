"""Units, rails, load states, and figures with their bounds and origin.

Names end in their unit: `_w` watt, `_a` ampere, `_v` volt, `_mm` millimetre,
`_ohm` ohm, `_degc` degree Celsius. Shares are plain ratios: 1.0 is 100 %.
"""

from __future__ import annotations

import operator
from typing import Annotated, Any, Literal, NamedTuple, Self

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, model_validator

Rail = Literal["v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5"]
RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5")
#: Nominal volts. Source: ATX design guide, DC voltage regulation table.
RAIL_V: dict[Rail, float] = {
    "v12": 12.0,
    "v5": 5.0,
    "v3v3": 3.3,
    "v5sb": 5.0,
    "vneg12": 12.0,
    "vneg5": 5.0,
}
RAIL_WORDS: dict[Rail, str] = {
    "v12": "12 V",
    "v5": "5 V",
    "v3v3": "3.3 V",
    "v5sb": "5 V standby",
    "vneg12": "−12 V",
    "vneg5": "−5 V",
}

#: The states that the tally shows.
State = Literal["sleep", "idle", "everyday", "full", "start"]
STATES: tuple[State, ...] = ("sleep", "idle", "everyday", "full", "start")
#: The states in which a run is judged; asleep nothing flows but on standby.
RUN_STATES: tuple[State, ...] = ("idle", "everyday", "full", "start")

#: Windows of the spikes, in ms.
Window = Literal["0.1", "1", "10", "100"]
WINDOWS: tuple[Window, ...] = ("0.1", "1", "10", "100")

Origin = Literal["maker", "measured", "assumed"]


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

    def over(self, other: Span) -> Span:
        """Interval quotient; `other` is above zero."""
        return Span(self.low / other.high, self.likely / other.likely, self.high / other.low)


ZERO = Span(0.0, 0.0, 0.0)

#: Low, likely and high in each of some states in turn: fifteen numbers in the tally, twelve for a
#: run. The checker adds and scales thousands of these for one build, so they are bare tuples.
Series = tuple[float, ...]
NO_TALLY: Series = (0.0,) * (3 * len(STATES))
NO_SERIES: Series = (0.0,) * (3 * len(RUN_STATES))


def add(a: Series, b: Series) -> Series:
    """Sum, number by number."""
    return tuple(map(operator.add, a, b))


def scale(a: Series, factor: float) -> Series:
    """Scale by a factor that is not negative."""
    return tuple([x * factor for x in a])


def span_at(series: Series, state: State, states: tuple[State, ...] = STATES) -> Span:
    """The span of one state; nothing in a state that the series does not have."""
    if state not in states:
        return ZERO
    i = 3 * states.index(state)
    return Span(*series[i : i + 3])


class Model(BaseModel):
    """Base of every declared input: frozen, finite, unknown keys refused."""

    model_config = ConfigDict(frozen=True, extra="forbid", allow_inf_nan=False)


class Bounds(Model):
    """Low, likely and high of a default that the product assumes."""

    low: float
    likely: float
    high: float

    @model_validator(mode="after")
    def _in_order(self) -> Self:
        if not self.low <= self.likely <= self.high:
            raise ValueError("low ≤ likely ≤ high")
        return self

    def span(self) -> Span:
        """The three values, without where they came from."""
        return Span(self.low, self.likely, self.high)


class Figure(Bounds):
    """What a builder knows of a quantity: bounds, and where it came from."""

    origin: Origin = "maker"
    note: Annotated[str, Field(max_length=400)] = ""


def within(unit: str, at_most: float) -> Any:
    """Declare range and unit of a figure in one place, for validation and schema alike."""

    def check(value: Any) -> Any:
        low = value.low if isinstance(value, Bounds) else value
        high = value.high if isinstance(value, Bounds) else value
        if value is not None and (low < 0 or high > at_most):
            raise ValueError(f"between 0 and {at_most:g} {unit}")
        return value

    return AfterValidator(check), Field(json_schema_extra={"unit": unit, "maximum": at_most})


def rated(text: str, unit: str, at_most: float) -> Any:
    """A plain number that may be missing, from 0 to `at_most` [`unit`]."""
    return Field(default=None, ge=0, le=at_most, description=text, json_schema_extra={"unit": unit})


_W, _W_FIELD = within("W", 3000)
_A, _A_FIELD = within("A", 60)
#: Watts of one part, with bounds, or missing.
Watts = Annotated[Figure | None, _W, _W_FIELD]
#: Amperes of one part on one rail, with bounds, or missing.
Amps = Annotated[Figure | None, _A, _A_FIELD]

Key = Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9-]{0,39}$")]
Name = Annotated[str, Field(min_length=1, max_length=80)]
Note = Annotated[str, Field(max_length=2000)]
