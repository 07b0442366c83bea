"""What a supply draws from the wall, what that warms the room by, and what it costs."""

from __future__ import annotations

from collections.abc import Mapping
from itertools import pairwise

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
from ..things.place import Place
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


def year_kwh(wall: dict[State, float], place: Place) -> float:
    """Kilowatt-hours of a year, by the hours a day in each state."""
    hours = place.hours
    a_day = (
        wall["sleep"] * hours.sleep + wall["idle"] * hours.idle
        + wall["everyday"] * hours.everyday + wall["full"] * hours.full
    )  # fmt: skip
    return a_day * DAYS / 1000
