"""What every declared input is built of: models, figures with bounds, ranges of ratings."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Annotated, Any, Self

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, model_validator

from .series import Span
from .units import Origin


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

    @property
    def is_assumed(self) -> bool:
        """Whether nobody states or measured it: assumed, or read off simulated instruments."""
        return self.origin in ("assumed", "simulated")


#: The least that a figure or a rating may be, where it is not nothing at all: less is a slip of
#: the keyboard, and divides to infinity where it limits something.
LEAST = 0.001


def _not_tiny(value: float | None) -> float | None:
    if value is not None and 0 < value < LEAST:
        raise ValueError(f"0, or at least {LEAST:g}")
    return value


def within(unit: str, at_most: float) -> Any:
    """Declare range and unit of a figure in one place, for validation and schema alike."""

    def check(value: Bounds | None) -> Bounds | None:
        if value is not None:
            if value.low < 0 or value.high > at_most:
                raise ValueError(f"between 0 and {at_most:g} {unit}")
            for end in value.span():
                _not_tiny(end)
        return value

    return AfterValidator(check), Field(json_schema_extra={"unit": unit, "maximum": at_most})


#: A plain number that may be missing; declared with `rated`.
Rating = Annotated[float | None, AfterValidator(_not_tiny)]


def shown(
    label: str,
    *,
    unit: str = "",
    words: Mapping[Any, str] | None = None,
    said: str = "",
    said_as: Mapping[str, str] | None = None,
    told: str = "",
    group: str = "",
    only: tuple[str, str] | None = None,
) -> dict[str, Any]:
    """How a plain field is shown in a form and said in a line, for its `Field`.

    `words`: what each value is called (None: what its absence is), where it is chosen. `said`: the
    word before its value in a line; `said_as`: word in a line → value, where it is not the same;
    `told`: how the value is told back, `{}` in its place.
    `group`: the title of those that stand together. `only`: another field, and the value of it at
    which this one means nothing."""
    declared = {
        "words": [[value, word] for value, word in words.items()] if words else None,
        "said": said,
        "said_as": said_as,
        "told": told,
        "group": group,
        "only": only,
    }
    extra: dict[str, Any] = {"shown": {name: v for name, v in declared.items() if v}}
    return {"title": label, "json_schema_extra": extra | ({"unit": unit} if unit else {})}


def rated(
    text: str, unit: str, at_most: float, zero: bool = True, shown: dict[str, Any] | None = None
) -> Any:
    """What a rating is called and how large it may be [`unit`]; `zero`: it may be none at all;
    `shown`: how it is shown, where a form draws it by its declaration."""
    declared = shown or {"json_schema_extra": {}}
    extra = declared["json_schema_extra"] | {"unit": unit}
    limits: dict[str, Any] = {"ge" if zero else "gt": 0, "le": at_most}
    return Field(
        default=None, description=text, **limits, **declared | {"json_schema_extra": extra}
    )


_W, _W_FIELD = within("W", 3000)
_A, _A_FIELD = within("A", 60)
#: Watts of one part, with bounds, or missing.
Watts = Annotated[Figure | None, _W, _W_FIELD]
#: Amperes of one part on one rail, with bounds, or missing.
Amps = Annotated[Figure | None, _A, _A_FIELD]

Key = Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9-]{0,39}$")]
Name = Annotated[str, Field(min_length=1, max_length=80)]
#: The key of the thing in the builder's drawer that something in a build is; empty: none.
Owned = Annotated[
    str, Field(pattern=r"^[a-z0-9-]{0,40}$", description="the thing in the drawer that it is")
]
Note = Annotated[str, Field(max_length=2000)]
#: Which very thing something in a build is, whatever its figures; given by whoever keeps the build.
Identity = Annotated[
    str,
    Field(
        pattern=r"^[a-z0-9-]{0,80}$",
        description="which very thing it is: stays while its figures are edited; empty: not given",
    ),
]
