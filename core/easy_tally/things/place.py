"""Where a build stands: its mains, what a kilowatt-hour costs, how long it runs, what feeds it."""

from __future__ import annotations

from itertools import pairwise
from typing import Annotated, Literal, Self, get_args

from pydantic import Field, model_validator

from ..base.declared import Model, Rating, rated
from ..standards.efficiency import Mains

_Hours = Annotated[float, Field(ge=0, le=24, json_schema_extra={"unit": "h"})]
Day = Literal["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"]
WEEK: tuple[Day, ...] = get_args(Day)
WEEKEND: tuple[Day, ...] = ("Sat", "Sun")
DAY_H = 24.0


class Hours(Model):
    """Hours a day in each state; what is left of the day it is unplugged or switched off."""

    sleep: _Hours = 14
    idle: _Hours = 2
    everyday: _Hours = 6
    full: _Hours = 2

    @model_validator(mode="after")
    def _one_day(self) -> Self:
        total = self.sleep + self.idle + self.everyday + self.full
        if total > DAY_H + 1e-9:
            raise ValueError(f"at most 24 hours in all; they are {total:g}")
        return self


class Band(Model):
    """A price that holds on some days from one hour to another; over midnight where `from_h` is
    the later: it belongs to the day on which it begins."""

    name: Annotated[str, Field(min_length=1, max_length=30)]
    days: Annotated[tuple[Day, ...], Field(min_length=1, max_length=7)] = WEEK
    from_h: Annotated[float, Field(ge=0, lt=24, json_schema_extra={"unit": "h"})]
    to_h: Annotated[float, Field(gt=0, le=24, json_schema_extra={"unit": "h"})]
    price_kwh: Annotated[float, Field(ge=0, le=100)]

    @model_validator(mode="after")
    def _some_time(self) -> Self:
        if self.from_h == self.to_h:
            raise ValueError("a band that ends later than it begins, or the next day")
        if len(set(self.days)) < len(self.days):
            raise ValueError("each day of a band once")
        return self

    def on(self, day: Day) -> tuple[tuple[float, float], ...]:
        """From and to [h] on a day of the week, what reaches over from the day before too."""
        hours = []
        before = WEEK[WEEK.index(day) - 1]
        over = self.from_h > self.to_h
        if over and before in self.days:
            hours.append((0.0, self.to_h))
        if day in self.days:
            hours.append((self.from_h, DAY_H if over else self.to_h))
        return tuple(hours)


def clock(hour: float) -> str:
    """An hour of the day as a clock tells it."""
    minutes = round(hour * 60)
    return f"{minutes // 60:02d}:{minutes % 60:02d}"


class Place(Model):
    """Where a build stands."""

    mains_v: Annotated[Mains, Field(description="mains voltage")] = 230
    hours: Hours = Hours()
    weekend: Annotated[
        Hours | None, Field(description="hours on Saturday and Sunday; none: as on other days")
    ] = None
    begins_h: Annotated[
        float,
        Field(
            ge=0,
            lt=24,
            description="when a day's work begins: everyday use, then full, idle, asleep, off",
            json_schema_extra={"unit": "h"},
        ),
    ] = 8
    price_kwh: Rating = rated("price of a kilowatt-hour, as written on the bill", "", 100)
    tariff: Annotated[
        tuple[Band, ...],
        Field(max_length=24, description="prices by time of use, the whole week; none: one price"),
    ] = ()
    currency: Annotated[str, Field(max_length=8, description="as written on the bill")] = ""
    breaker_a: Rating = rated("breaker of the circuit", "A", 200, zero=False)
    other_w: Annotated[
        float,
        Field(
            ge=0,
            le=20000,
            description="what else hangs on the circuit",
            json_schema_extra={"unit": "W"},
        ),
    ] = 0
    ups_transfer_ms: Rating = rated("time that a UPS takes to step in", "ms", 1000)
    stands_on: Annotated[
        Literal["table", "hard floor", "carpet"] | None, Field(description="what it stands on")
    ] = None

    @model_validator(mode="after")
    def _whole_week(self) -> Self:
        for day in WEEK if self.tariff else ():
            spans = sorted((*span, b.name) for b in self.tariff for span in b.on(day))
            if spans[0][0] > 0 if spans else True:
                until = spans[0][0] if spans else DAY_H
                raise ValueError(f"a price for {day} 00:00 to {clock(until)}; no band has it")
            for (_, ends, first), (starts, until, then) in pairwise(spans):
                if starts < ends:
                    both = f"{clock(starts)} to {clock(min(ends, until))}"
                    raise ValueError(f"one price at a time; {first} and {then} meet {day} {both}")
                if starts > ends:
                    gap = f"{clock(ends)} to {clock(starts)}"
                    raise ValueError(f"a price for {day} {gap}; no band has it")
            if spans[-1][1] < DAY_H:
                last = clock(spans[-1][1])
                raise ValueError(f"a price for {day} {last} to 24:00; no band has it")
        return self
