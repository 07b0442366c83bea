"""How large a supply has to be, and whether one is: rules side by side, one governs."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Literal

from .build import Build
from .parts import Card
from .quantities import RAIL_V, RAILS, STATES, Rail, Span, State, add, scale
from .ratings.verdicts import WITHIN_GRANT, Verdict, judge
from .standards.sizes import TOO_BIG, next_common_w
from .supply import Supply
from .tally import Tally

RuleId = Literal["sum", "floor", "floor and a fifth", "quiet"]
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


def size(build: Build, tally: Tally) -> Sizing:
    """Apply every sizing rule to the tally. Spikes are not among them yet."""
    full, everyday = tally.total.at("full"), tally.total.at("everyday")
    missing = tally.total.missing
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


#: Checks of a supply that are not built yet; listed wherever a supply's verdict is shown.
SUPPLY_NOT_CHECKED: tuple[str, ...] = (
    "spikes and ride-through",
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


def check_supply(supply: Supply, tally: Tally, sizing: Sizing) -> SupplyResult:
    """Hold the tally against one supply's label."""
    checks = [_watts(supply, sizing), *(_rail(supply, tally, r) for r in RAILS)]
    checks.append(_combined(supply, tally))
    if supply.rated_w is not None and sizing.needed is not None:
        big = supply.rated_w > TOO_BIG * sizing.needed.likely
        limit = TOO_BIG * sizing.needed.likely
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


_STATUS: dict[Verdict, CheckStatus] = {
    "over": "fail",
    "unknown": "unknown",
    "tight": "warn",
    "within": "pass",
}
_RATED_A: dict[Rail, str] = {"v12": "v12_a", "v5": "v5_a", "v3v3": "v3v3_a", "v5sb": "v5sb_a"}


def _rail(supply: Supply, tally: Tally, rail: Rail) -> SupplyCheck:
    """Amperes of one rail in its worst state. A rail that nothing loads needs no rating."""
    drawn = tally.by_rail[rail]
    loads, missing = scale(drawn.watts, 1 / RAIL_V[rail]), bool(drawn.missing)
    rated = getattr(supply, _RATED_A[rail])
    if not missing and not any(loads):
        return SupplyCheck("rail", "pass", 0.0, rated, "A", rail)
    judged = judge(loads, rated, WITHIN_GRANT, missing=missing)
    return SupplyCheck(
        "rail", _STATUS[judged.verdict], judged.load, rated, "A", rail, judged.only_at_high
    )


def _combined(supply: Supply, tally: Tally) -> SupplyCheck:
    """Watts of 5 V and 3.3 V together."""
    v5, v3v3 = tally.by_rail["v5"], tally.by_rail["v3v3"]
    loads, missing = add(v5.watts, v3v3.watts), bool(v5.missing or v3v3.missing)
    judged = judge(loads, supply.combined_w, WITHIN_GRANT, missing=missing)
    return SupplyCheck(
        "combined", _STATUS[judged.verdict], judged.load, supply.combined_w, "W",
        only_at_high=judged.only_at_high,
    )  # fmt: skip
