"""How large a supply has to be, and whether one is: rules side by side, one governs."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Literal

from .assumptions import Assumptions
from .build import Build
from .parts import Card
from .quantities import RAIL_V, RAILS, STATES, WINDOWS, Rail, Span, State, Window, add, scale
from .ratings.verdicts import WITHIN_GRANT, Verdict, judge
from .spikes import Spikes
from .standards.sizes import (
    COMMON_W,
    LARGE_W,
    RIDE_3X,
    RIDE_LARGE_16PIN,
    TOO_BIG,
    next_common_w,
)
from .supply import Supply
from .tally import Sum, Tally

RuleId = Literal["sum", "floor", "floor and a fifth", "quiet", "spikes"]
#: A fifth on top of the card maker's floor. Source: a school of builders.
FIFTH = 0.20
#: Share of the rating at which everyday use is quiet. Source: a school of builders.
QUIET_SHARE = 0.50


@dataclass(frozen=True, slots=True)
class SizingRule:
    """What one rule asks for: watts [W] with bounds, or None where a figure is missing."""

    id: RuleId
    watts: Span | None
    binding: bool
    governs: bool
    missing: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Sizing:
    """The rules, what they need together [W], and the next common size [W]."""

    rules: tuple[SizingRule, ...]
    needed: Span | None
    pick_w: int | None
    #: Where a figure is missing: what is needed at the least.
    at_least_w: float


def ride_through(
    design: str | None, rated_w: float, has_16pin: bool, assume: Assumptions
) -> tuple[float, ...] | None:
    """Multiples of the rating that a supply rides through in the four windows; None: not known."""
    if design is None:
        return None
    if design == "classic":
        a = assume
        return (
            a.ride_classic_0_1ms, a.ride_classic_1ms, a.ride_classic_10ms, a.ride_classic_100ms
        )  # fmt: skip
    return RIDE_LARGE_16PIN if rated_w > LARGE_W and has_16pin else RIDE_3X


def _spike_need(build: Build, spikes: dict[Window, Span]) -> Span:
    """The smallest rating whose design rides through every window.

    Of the design of the supply in the build; without one, of a 3.x supply of the kind that the
    build needs: with a 16-pin port where a card has such a socket. Of a 3.x supply, too, where
    the design is not known: that supply's own check reads unknown.
    """
    supply = build.supply
    has_16pin = (
        any(p.kind == "16pin" for p in supply.ports)
        if supply
        else any(s.kind == "16pin" for _, s in build.sockets())
    )
    design = (supply.design if supply else None) or "3.1"
    small, large = (
        ride_through(design, w, has_16pin, build.assumptions) or RIDE_3X
        for w in (LARGE_W, LARGE_W + 1)
    )

    def rating(ride: tuple[float, ...], k: int) -> float:
        return max(spikes[w][k] / ride[i] for i, w in enumerate(WINDOWS))

    # What a supply rides through depends on its rating too: up to 450 W it has to be enough by
    # the smaller multiples, or the smallest that has the larger ones is taken.
    needs = [(rating(small, k), rating(large, k)) for k in range(3)]
    return Span(*(s if s <= LARGE_W or s == n else max(n, LARGE_W + 1) for s, n in needs))


def size(build: Build, total: Sum, spikes: dict[Window, Span]) -> Sizing:
    """Apply every sizing rule to the tally's total and its spikes in every window [W]."""
    full, everyday = total.at("full"), total.at("everyday")
    missing = total.missing
    house = build.house_rules
    sum_w = full.times(1 + house.headroom)
    floor = _floor(build)
    asked: list[tuple[RuleId, Span | None, bool, tuple[str, ...]]] = [
        ("sum", None if missing else sum_w, True, missing),
        (
            "quiet",
            None if missing else everyday.times(1 / QUIET_SHARE),
            False,
            missing,
        ),
    ]
    asked.append(("spikes", None if missing else _spike_need(build, spikes), True, missing))
    if floor is not None:
        asked.append(("floor", floor, house.maker_floor == "keep", ()))
        plus = floor.times(1 + FIFTH)
        binding = house.maker_floor == "keep and add a fifth"
        asked.append(("floor and a fifth", plus, binding, ()))
    binding_now = [(i, s) for i, s, b, _ in asked if b and s is not None]
    known = not missing and full.likely > 0
    governing = max(binding_now, key=lambda x: x[1].likely)[0] if known else None
    needed = Span(*(max(s[k] for _, s in binding_now) for k in range(3))) if known else None
    at_least = max([sum_w.likely, *(s.likely for _, s in binding_now)])
    return Sizing(
        tuple(SizingRule(i, s, b, i == governing, m) for i, s, b, m in asked),
        needed,
        next_common_w(needed.likely) if needed else None,
        at_least,
    )


def _floor(build: Build) -> Span | None:
    """The largest smallest-supply figure that a card's maker states."""
    floors = [
        p.system_floor_w.span() for p in build.parts if isinstance(p, Card) and p.system_floor_w
    ]
    return max(floors, key=lambda s: s.likely, default=None)


CheckStatus = Literal["pass", "warn", "fail", "unknown", "not checked"]


@dataclass(frozen=True, slots=True)
class SupplyCheck:
    """One check of a supply: its status and its numbers (see `wording.py` for the sentence)."""

    id: str
    status: CheckStatus
    load: float | None = None
    limit: float | None = None
    unit: str = ""
    rail: Rail | None = None
    only_at_high: bool = False
    window: Window | None = None


#: Checks of a supply that are not built yet; listed wherever a supply's verdict is shown.
SUPPLY_NOT_CHECKED: tuple[str, ...] = (
    "regulation",
    "ports and cables by a full mapping",
    "form and length",
    "efficiency, wall draw and quiet",
    "hold-up and age",
)

SupplyVerdict = Literal["right size", "too small", "too big", "unknown"]


@dataclass(frozen=True, slots=True)
class SupplyResult:
    """A supply judged for a build; `share` of its rating idle, everyday, full, start."""

    verdict: SupplyVerdict
    checks: tuple[SupplyCheck, ...]
    share: dict[State, float | None] = field(default_factory=dict)


def check_supply(
    supply: Supply, tally: Tally, sizing: Sizing, found: Spikes, assume: Assumptions
) -> SupplyResult:
    """Hold the tally and the spikes against one supply's label."""
    checks = [_watts(supply, sizing), *(_rail(supply, tally, r) for r in RAILS)]
    checks += [_combined(supply, tally), _spikes(supply, found, assume)]
    if supply.rated_w is not None and sizing.needed is not None:
        # Nothing smaller than the smallest common size can be had.
        limit = TOO_BIG * max(sizing.needed.likely, COMMON_W[0])
        big = supply.rated_w > limit
        checks.append(SupplyCheck("too big", "warn" if big else "pass", supply.rated_w, limit, "W"))
    statuses = {c.status for c in checks}
    verdict: SupplyVerdict = (
        "too small"
        if "fail" in statuses
        else "unknown"
        if "unknown" in statuses
        else "too big"
        if any(c.id == "too big" and c.status == "warn" for c in checks)
        else "right size"
    )
    rated = supply.rated_w
    share = {s: tally.total.at(s).likely / rated if rated else None for s in STATES}
    return SupplyResult(verdict, tuple(checks), share)


def _watts(supply: Supply, sizing: Sizing) -> SupplyCheck:
    rated, needed = supply.rated_w, sizing.needed
    if rated is None:
        return SupplyCheck("watts", "unknown", sizing.at_least_w, None, "W")
    if sizing.at_least_w > rated * (1 + 1e-9):
        return SupplyCheck("watts", "fail", sizing.at_least_w, rated, "W")
    if needed is None:
        return SupplyCheck("watts", "unknown", sizing.at_least_w, rated, "W")
    high = needed.high > rated * (1 + 1e-9)
    load = needed.high if high else needed.likely
    return SupplyCheck("watts", "warn" if high else "pass", load, rated, "W", only_at_high=high)


def _spikes(supply: Supply, found: Spikes, assume: Assumptions) -> SupplyCheck:
    """The worst window of the spikes against what the design rides through, in all and at 12 V.

    Beyond it the supply may trip: a failure of the choice, though nothing is damaged.
    """
    rated = supply.rated_w
    has_16pin = any(p.kind == "16pin" for p in supply.ports)
    ride = None if rated is None else ride_through(supply.design, rated, has_16pin, assume)
    if rated is None or ride is None:
        return SupplyCheck("spikes", "unknown", found.total["0.1"].likely, None, "W")
    v12_w = None if supply.v12_a is None else supply.v12_a * RAIL_V["v12"]
    held = [(found.total[w], rated * ride[i], w) for i, w in enumerate(WINDOWS)]
    if v12_w is not None:
        held += [(found.v12[w], v12_w * ride[i], w) for i, w in enumerate(WINDOWS)]
    load, limit, window = max(held, key=lambda x: x[0].likely / x[1] if x[1] else float("inf"))
    status: CheckStatus = "pass"
    if any(s.likely > most * (1 + 1e-9) for s, most, _ in held):
        status = "fail"
    elif found.missing or v12_w is None:
        status = "unknown"
    high = status == "pass" and any(s.high > most * (1 + 1e-9) for s, most, _ in held)
    return SupplyCheck(
        "spikes", "warn" if high else status, load.likely, limit, "W",
        only_at_high=high, window=window,
    )  # fmt: skip


_STATUS: dict[Verdict, CheckStatus] = {
    "over": "fail",
    "unknown": "unknown",
    "tight": "warn",
    "within": "pass",
}
_RATED_A: dict[Rail, str] = {
    "v12": "v12_a",
    "v5": "v5_a",
    "v3v3": "v3v3_a",
    "v5sb": "v5sb_a",
    "vneg12": "vneg12_a",
    "vneg5": "vneg5_a",
}


def _rail(supply: Supply, tally: Tally, rail: Rail) -> SupplyCheck:
    """Amperes of one rail in its worst state. A rail that nothing loads needs no rating."""
    drawn = tally.by_rail[rail]
    loads, missing = scale(drawn.watts, 1 / RAIL_V[rail]), bool(drawn.missing)
    rated = getattr(supply, _RATED_A[rail])
    if not missing and not any(loads):
        return SupplyCheck("rail", "pass", 0.0, rated, "A", rail)
    judged = judge(loads, rated, WITHIN_GRANT, missing=missing, states=STATES)
    return SupplyCheck(
        "rail", _STATUS[judged.verdict], judged.load, rated, "A", rail, judged.only_at_high
    )


def _combined(supply: Supply, tally: Tally) -> SupplyCheck:
    """Watts of 5 V and 3.3 V together."""
    v5, v3v3 = tally.by_rail["v5"], tally.by_rail["v3v3"]
    loads, missing = add(v5.watts, v3v3.watts), bool(v5.missing or v3v3.missing)
    judged = judge(loads, supply.combined_w, WITHIN_GRANT, missing=missing, states=STATES)
    return SupplyCheck(
        "combined", _STATUS[judged.verdict], judged.load, supply.combined_w, "W",
        only_at_high=judged.only_at_high,
    )  # fmt: skip
