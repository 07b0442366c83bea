"""What a supply draws from the wall, what that warms the room by, and what it costs."""

from __future__ import annotations

from collections.abc import Mapping
from itertools import pairwise
from typing import NamedTuple

from ..base.memory import NO_MEMORY, Memory
from ..base.units import State
from ..standards.efficiency import (
    BTU_H_PER_W,
    CIRCUIT_SHARE,
    GRADES,
    LOSS_AT_NOTHING,
    POWER_FACTOR,
    STANDBY,
    Mains,
    Points,
)
from ..things.place import DAY_H, WEEK, WEEKEND, Day, Place
from ..things.supply import Supply

#: Days of a year.
DAYS = 365


def points_of(supply: Supply, mains_v: Mains) -> Points | None:
    """Its own measured points, or the floors of its grade at these mains volts; None: neither."""
    if supply.efficiency:
        return tuple((p.share, p.value) for p in supply.efficiency)
    return None if supply.grade is None else GRADES[supply.grade, mains_v]


def efficiency_at(points: Points, share: float) -> float:
    """Efficiency at a share of the rating: linear between points, the last one's beyond it; below
    the first its loss shrinks to `LOSS_AT_NOTHING` of itself."""
    if share <= 0:
        return 0.0
    if share < points[0][0]:
        return share / (share + _light_loss(points, share))
    for (low, at_low), (high, at_high) in pairwise(points):
        if share <= high:
            return at_low + (at_high - at_low) * (share - low) / (high - low)
    return points[-1][1]


def _light_loss(points: Points, share: float) -> float:
    """The loss below the first point, as a share of the rating."""
    first, at_first = points[0]
    part = LOSS_AT_NOTHING + (1 - LOSS_AT_NOTHING) * share / first
    return first * (1 / at_first - 1) * part


def wall_w(dc_w: float, rated_w: float, points: Points) -> float:
    """Watts from the wall [W]. With nothing drawn it is what the supply itself loses."""
    share = dc_w / rated_w
    if share < points[0][0]:
        return dc_w + rated_w * _light_loss(points, share)
    return dc_w / efficiency_at(points, share)


def wall_by_state(
    drawn: Mapping[State, float], rated_w: float, points: Points
) -> dict[State, float]:
    """Watts from the wall [W] in each state; asleep by the standby converter alone."""
    return {
        state: dc / STANDBY if state == "sleep" else wall_w(dc, rated_w, points)
        for state, dc in drawn.items()
    }


def heat_btu_h(wall: float) -> float:
    """Heat in the room [BTU/h]: all that is drawn ends there."""
    return wall * BTU_H_PER_W


def mains_a(wall: float, mains_v: float) -> float:
    """Amperes from the mains [A]."""
    return wall / (mains_v * POWER_FACTOR)


def circuit_w(mains_v: float, breaker_a: float) -> float:
    """What a circuit may carry for hours [W], as arithmetic: local codes decide."""
    return mains_v * breaker_a * CIRCUIT_SHARE


class Stretch(NamedTuple):
    """A state that a day is in from one hour to another [h]."""

    state: State
    from_h: float
    to_h: float


def day_of(place: Place, day: Day) -> tuple[Stretch, ...]:
    """A day in stretches, by the clock: from `begins_h` on everyday use, then full load, idle,
    asleep; what is left it is off, and no stretch. What runs past midnight is put at the day's
    own start: every day of a kind is alike."""
    hours = place.weekend if place.weekend is not None and day in WEEKEND else place.hours
    stretches: list[Stretch] = []
    at = place.begins_h
    for state in ("everyday", "full", "idle", "sleep"):
        ends = at + getattr(hours, state)
        if at < DAY_H:
            stretches.append(Stretch(state, at, min(ends, DAY_H)))
        if ends > DAY_H:
            stretches.append(Stretch(state, max(at - DAY_H, 0.0), ends - DAY_H))
        at = ends
    return tuple(sorted((s for s in stretches if s.to_h > s.from_h), key=lambda s: s.from_h))


class Billed(NamedTuple):
    """A part of a stretch under one price: watts from the wall [W], price of a kilowatt-hour; None:
    no price is known."""

    state: State
    from_h: float
    to_h: float
    wall_w: float
    band: str
    price: float | None

    @property
    def kwh(self) -> float:
        """Kilowatt-hours of it."""
        return self.wall_w * (self.to_h - self.from_h) / 1000


#: A part of a stretch under one price, before anything is drawn: state, hours, band, price.
_Cut = tuple[State, float, float, str, float | None]


def billed(
    place: Place, day: Day, wall: Mapping[State, float], memory: Memory = NO_MEMORY
) -> tuple[Billed, ...]:
    """A day's stretches cut where the price changes."""
    return tuple(
        Billed(s, start, end, wall[s], band, price)
        for s, start, end, band, price in memory.of(_cut, (place,), (day,))
    )


def _cut(day: Day, place: Place) -> tuple[_Cut, ...]:
    bands = [(*span, b) for b in place.tariff for span in b.on(day)]
    cuts: list[_Cut] = []
    for s in day_of(place, day):
        if not bands:
            cuts.append((s.state, s.from_h, s.to_h, "", place.price_kwh))
        for starts, ends, band in bands:
            first, last = max(s.from_h, starts), min(s.to_h, ends)
            if first < last:
                cuts.append((s.state, first, last, band.name, band.price_kwh))
    return tuple(sorted(cuts, key=lambda b: b[1]))


class Year(NamedTuple):
    """Kilowatt-hours of a year, and their cost as the price is written; None: no price known."""

    kwh: float
    cost: float | None


def year(wall: Mapping[State, float], place: Place, memory: Memory = NO_MEMORY) -> Year:
    """A year of weeks alike: 365 days, by the hours a day in each state and the tariff."""
    week = [b for day in WEEK for b in billed(place, day, wall, memory)]
    weeks = DAYS / len(WEEK)
    kwh = sum(b.kwh for b in week) * weeks
    costs = [None if b.price is None else b.kwh * b.price for b in week]
    known = [c for c in costs if c is not None]
    priced = bool(place.tariff) or place.price_kwh is not None
    return Year(kwh, sum(known) * weeks if priced and len(known) == len(costs) else None)
