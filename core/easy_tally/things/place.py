"""Where a build stands: its mains, what a kilowatt-hour costs, how long it runs, what feeds it."""

from __future__ import annotations

from typing import Annotated, Self

from pydantic import Field, model_validator

from ..base.declared import Model, Rating, rated
from ..standards.efficiency import Mains

_Hours = Annotated[float, Field(ge=0, le=24, json_schema_extra={"unit": "h"})]


class Hours(Model):
    """Hours a day in each state; what is left of the day it is unplugged or switched off."""

    sleep: _Hours = 14
    idle: _Hours = 2
    everyday: _Hours = 6
    full: _Hours = 2

    @model_validator(mode="after")
    def _one_day(self) -> Self:
        total = self.sleep + self.idle + self.everyday + self.full
        if total > 24 + 1e-9:
            raise ValueError(f"at most 24 hours in all; they are {total:g}")
        return self


class Place(Model):
    """Where a build stands."""

    mains_v: Annotated[Mains, Field(description="mains voltage")] = 230
    hours: Hours = Hours()
    price_kwh: Rating = rated("price of a kilowatt-hour, as written on the bill", "", 100)
    currency: Annotated[str, Field(max_length=8, description="as written on the bill")] = ""
    breaker_a: Rating = rated("breaker of the circuit", "A", 200, zero=False)
    other_w: Annotated[
        float,
        Field(ge=0, le=20000, description="what else hangs on the circuit",
              json_schema_extra={"unit": "W"}),
    ] = 0  # fmt: skip
    ups_transfer_ms: Rating = rated("time that a UPS takes to step in", "ms", 1000)
