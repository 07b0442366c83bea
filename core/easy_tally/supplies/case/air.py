"""Air through a case: what carries the heat away, against what the fans move.

Source: heat = flow × density × heat capacity × rise; a fan's share of its flow in the open is an
assumption (`fan_flow_share`), as is the rise that is allowed (`air_rise_degc`).
"""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass

from ...base.rounding import exceeds
from ...standards.unmeasured import flow_m3h as flow_m3h_of
from ...tally.sums import Tally
from ...things.case import Case
from ...things.parts import Cooler, Fan
from ...wiring import Wired
from ..asked import CheckStatus
from .fit import FitCheck

#: Density [kg/m³] and heat capacity [J/(kg·K)] of air in a room.
AIR_KG_M3, AIR_J_KGK = 1.2, 1005.0
HOUR_S = 3600


def flow_m3h(heat_w: float, rise_degc: float) -> float:
    """Air [m³/h] that carries a heat [W] away, warmed by a rise [°C]."""
    return heat_w / (AIR_KG_M3 * AIR_J_KGK * rise_degc) * HOUR_S


@dataclass(frozen=True, slots=True, kw_only=True)
class Moved:
    """Air that the fans move through the case [m³/h], at the least and at the most."""

    least: float
    most: float


def moved(wired: Wired) -> Moved:
    """What the fans move. What blows in has to leave: of fans in and out the stronger side counts;
    those of which nobody says which way may be on either, at the least as many in as out."""
    share = wired.build.assumptions.fan_flow_share
    ways: dict[str | None, float] = {"in": 0.0, "out": 0.0, None: 0.0}
    for part in wired.build.parts:
        if not isinstance(part, Fan | Cooler):
            continue
        fans = part.count * (part.fans if isinstance(part, Cooler) else 1)
        ways[part.blows] += fans * (part.flow_m3h or 0.0) * share
    into, out, either = ways["in"], ways["out"], ways[None]
    return Moved(least=max(into, out, (into + out + either) / 2), most=max(into, out) + either)


def airflow(wired: Wired, tally: Tally, case: Case) -> Iterator[FitCheck]:
    """Air needed at full load against what the fans move."""
    total = tally.total
    heat = total.at("full").likely
    if not heat:
        return
    need = flow_m3h(heat, wired.build.assumptions.air_rise_degc)
    fans = moved(wired)
    # Without saying which way fans blow they are taken as most are mounted: as many in as out.
    status: CheckStatus = "warn" if exceeds(need, fans.least) else "pass"
    if total.missing and status == "pass":
        status = "unknown"
    size = _size(wired)
    one = flow_m3h_of(size).likely * wired.build.assumptions.fan_flow_share
    yield FitCheck(
        id="airflow",
        status=status,
        load=need,
        limit=fans.least,
        unit="m³/h",
        more={
            "heat_w": heat,
            "most": fans.most,
            "rise": wired.build.assumptions.air_rise_degc,
            "lacking": math.ceil(max(0.0, need - fans.least) / one - 1e-9),
            "size_mm": size,
        },
    )


def _size(wired: Wired) -> int:
    """The size of a fan that would be added [mm]: as the largest that is there."""
    sizes = [p.size_mm for p in wired.build.parts if isinstance(p, Fan)]
    return max(sizes, default=120)
