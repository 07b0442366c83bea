"""The published types of what the Supply station asks for beside the result: sizes, fit, energy."""

from __future__ import annotations

from dataclasses import dataclass

from ..analysis.finding import Of
from ..supplies.asked import CheckStatus
from ..supplies.case.side_view import Shape
from .result import CheckAnswer


@dataclass(frozen=True, slots=True, kw_only=True)
class SizeAnswer:
    """A common size [W] below, at or above the one that is needed, and what it costs in checks."""

    rated_w: int
    at: str
    text: str
    checks: tuple[CheckAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class AddedAnswer:
    """What raised power limits add to a rule [W]."""

    rule: str
    words: str
    watts: float


@dataclass(frozen=True, slots=True, kw_only=True)
class SizesAnswer:
    """The sizes beside the needed one, and what raised power limits add."""

    sizes: tuple[SizeAnswer, ...]
    added: tuple[AddedAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class MeasureAnswer:
    """A measure that is missing, and where it is entered."""

    text: str
    of: Of
    subject: str
    field: str


@dataclass(frozen=True, slots=True, kw_only=True)
class RoomAnswer:
    """One check of room or air: of a part by its key and name, or of the case."""

    id: str
    status: CheckStatus
    part: str
    name: str
    words: str
    text: str
    load: float | None
    limit: float | None
    unit: str
    missing: tuple[MeasureAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class FitAnswer:
    """Every check of room and air, and the drawing [mm]."""

    case: str
    checks: tuple[RoomAnswer, ...]
    shapes: tuple[Shape, ...]
    not_drawn: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class BilledAnswer:
    """A stretch of a day in one state under one price."""

    state: str
    from_h: float
    to_h: float
    wall_w: float
    band: str
    price: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class DayAnswer:
    """A day of the week in stretches."""

    day: str
    stretches: tuple[BilledAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class SpanAnswer:
    """A price band on a day [h]."""

    day: str
    name: str
    from_h: float
    to_h: float
    price: float


@dataclass(frozen=True, slots=True, kw_only=True)
class WeekAnswer:
    """A week of one supply: watts from the wall by hour under the tariff's bands, and a year.
    `lacks`: what is missing for it, in words; then there are no days."""

    name: str
    days: tuple[DayAnswer, ...]
    bands: tuple[SpanAnswer, ...]
    kwh: float | None
    cost: float | None
    currency: str
    lacks: str
