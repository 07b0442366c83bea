"""Whether one supply does: every check of it, by name, with its numbers.

`SUPPLY_CHECKS` names each check once, what is not built yet too. A check that breaks down or
lacks a figure reads unknown; one whose known part is already too much fails.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from typing import Any, Literal

from ..base.rounding import exceeds
from ..base.series import Span, add, scale
from ..base.units import RAIL_V, RAILS, TALLY_STATES, WINDOWS, Rail, State, Window
from ..ratings.limits import Limit
from ..ratings.verdicts import Judgement, Verdict, judge
from ..standards.margins import WITHIN_GRANT
from ..standards.sizes import COMMON_W, TOO_BIG
from ..things.supply import Supply
from . import living
from .asked import Asked, CheckStatus, CheckUnit, SupplyCheck
from .sizing import little_short, ride_through

#: Of its size first; of its size it may be right and still not fit.
SupplyVerdict = Literal[
    "right size", "a little short", "too small", "too big", "does not fit", "unknown"
]
#: Checks of its size: what the build draws against what its label says.
OF_SIZE = frozenset({"watts", "rating", "rail", "combined", "spikes", "too big"})


@dataclass(frozen=True, slots=True, kw_only=True)
class Ride:
    """The spikes of a window [W], in all and at 12 V, and what the supply rides through; None
    where its rating or its 12 V is not known. `worst` is by the standard's worst of a
    card with a 16-pin socket, where there is one."""

    window: Window
    total: Span
    rides: float | None
    v12: Span
    rides_v12: float | None
    worst: Span | None
    worst_v12: Span | None


@dataclass(frozen=True, slots=True, kw_only=True)
class SupplyResult:
    """A supply judged for a build; `share` of its rating idle, everyday, full, start."""

    verdict: SupplyVerdict
    checks: tuple[SupplyCheck, ...]
    share: dict[State, float | None] = field(default_factory=dict)
    rides: tuple[Ride, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class CheckOfSupply:
    """A check by name, and what it finds; None: not built yet."""

    id: str
    words: str
    find: Callable[[Supply, Asked], Iterator[SupplyCheck]] | None


def check_supply(supply: Supply, asked: Asked) -> SupplyResult:
    """Hold a build against one supply's label."""
    checks = [one for check in SUPPLY_CHECKS for one in _find(check, supply, asked)]
    rated = supply.rated_w
    return SupplyResult(
        verdict=_verdict(checks),
        checks=tuple(checks),
        share={s: asked.tally.total.at(s).likely / rated if rated else None for s in TALLY_STATES},
        rides=tuple(_rides(supply, asked)),
    )


def _find(check: CheckOfSupply, supply: Supply, asked: Asked) -> list[SupplyCheck]:
    if check.find is None:
        return []
    try:
        return list(check.find(supply, asked))
    except Exception:  # noqa: BLE001 - a check that breaks down is unknown, whatever broke
        return [SupplyCheck(id=check.id, status="unknown")]


def _verdict(checks: list[SupplyCheck]) -> SupplyVerdict:
    statuses = {c.status for c in checks if c.id in OF_SIZE}
    if "fail" in statuses:
        return "too small"
    if any(c.status == "fail" for c in checks):
        return "does not fit"
    if "unknown" in statuses:
        return "unknown"
    if any("headroom" in c.more for c in checks):
        return "a little short"
    big = any(c.id == "too big" and c.status == "warn" for c in checks)
    return "too big" if big else "right size"


# -- the checks ----------------------------------------------------------------------------


def _watts(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """The rating against what the sizing rules ask for."""
    rated, sizing = supply.rated_w, asked.sizing
    status: CheckStatus = "unknown"
    load, high = sizing.at_least_w, False
    more: dict[str, Any] = {}
    if rated is not None and exceeds(load, rated):
        has = little_short(rated, sizing, asked.tally.total, asked.wired.build.house_rules)
        status = "fail" if has is None else "warn"
        more = {} if has is None else {"headroom": has}
    elif rated is not None and sizing.needed is not None:
        high = exceeds(sizing.needed.high, rated)
        status = "warn" if high else "pass"
        load = sizing.needed.high if high else sizing.needed.likely
    yield SupplyCheck(
        id="watts", status=status, load=load, limit=rated, unit="W", only_at_high=high, more=more
    )


def _rating(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """The rating against everything that the build draws for longer than a spike."""
    total = asked.tally.total
    judged = judge(
        total.watts, Limit(supply.rated_w), WITHIN_GRANT, bool(total.missing), TALLY_STATES
    )
    yield _judged("rating", judged, "W")


def _rails(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Amperes of each rail in its worst state. A rail that nothing loads needs no rating."""
    for rail in RAILS:
        drawn = asked.tally.by_rail[rail]
        loads, missing = scale(drawn.watts, 1 / RAIL_V[rail]), bool(drawn.missing)
        rated: float | None = getattr(supply, f"{rail}_a")
        if not missing and not any(loads):
            yield SupplyCheck(id="rail", status="pass", load=0.0, limit=rated, unit="A", rail=rail)
            continue
        judged = judge(loads, Limit(rated), WITHIN_GRANT, missing, TALLY_STATES)
        yield _judged("rail", judged, "A", rail)


def _combined(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """Watts of 5 V and 3.3 V together."""
    v5, v3v3 = asked.tally.by_rail["v5"], asked.tally.by_rail["v3v3"]
    judged = judge(
        add(v5.watts, v3v3.watts),
        Limit(supply.combined_w),
        WITHIN_GRANT,
        bool(v5.missing or v3v3.missing),
        TALLY_STATES,
    )
    yield _judged("combined", judged, "W")


def _rides(supply: Supply, asked: Asked) -> Iterator[Ride]:
    """Each window of the spikes beside what the supply's design rides through."""
    rated, spikes = supply.rated_w, asked.spikes
    has_16pin = any(p.kind == "16pin" for p in supply.ports)
    ride = None if rated is None else ride_through(supply.design, rated, has_16pin, asked.assume)
    v12_w = None if supply.v12_a is None else supply.v12_a * RAIL_V["v12"]
    for i, w in enumerate(WINDOWS):
        yield Ride(
            window=w,
            total=spikes.total[w],
            v12=spikes.v12[w],
            rides=None if ride is None or rated is None else rated * ride[i],
            rides_v12=None if ride is None or v12_w is None else v12_w * ride[i],
            worst=asked.worst.total[w] if asked.worst else None,
            worst_v12=asked.worst.v12[w] if asked.worst else None,
        )


def _spikes(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    """The worst window of the spikes against what the design rides through, in all and at 12 V.

    Beyond it the supply may trip: a failure of the choice, though nothing is damaged.
    """
    spikes, rides = asked.spikes, tuple(_rides(supply, asked))
    if rides[0].rides is None:
        load = spikes.total["0.1"].likely
        yield SupplyCheck(id="spikes", status="unknown", load=load, unit="W")
        return
    held = [(r.total, r.rides or 0.0, r.window) for r in rides]
    held += [(r.v12, r.rides_v12, r.window) for r in rides if r.rides_v12 is not None]
    span, limit, window = max(held, key=lambda x: x[0].likely / x[1] if x[1] else float("inf"))
    status: CheckStatus = "pass"
    if any(exceeds(s.likely, most) for s, most, _ in held):
        trusted = asked.wired.build.house_rules.spikes == "trust headroom"
        status = "warn" if trusted else "fail"
    elif spikes.missing or supply.v12_a is None:
        status = "unknown"
    high = status == "pass" and any(exceeds(s.high, most) for s, most, _ in held)
    yield SupplyCheck(
        id="spikes",
        status="warn" if high else status,
        load=span.likely,
        limit=limit,
        unit="W",
        only_at_high=high,
        window=window,
        more={"design": supply.design},
    )


def _too_big(supply: Supply, asked: Asked) -> Iterator[SupplyCheck]:
    needed = asked.sizing.needed
    if supply.rated_w is None or needed is None:
        return
    # Nothing smaller than the smallest common size can be had.
    limit = TOO_BIG * max(needed.likely, COMMON_W[0])
    status: CheckStatus = "warn" if supply.rated_w > limit else "pass"
    yield SupplyCheck(id="too big", status=status, load=supply.rated_w, limit=limit, unit="W")


#: Every check of a supply. One that is not built yet is listed wherever its verdict is shown.
SUPPLY_CHECKS: tuple[CheckOfSupply, ...] = (
    CheckOfSupply(id="watts", words="what the rules ask for", find=_watts),
    CheckOfSupply(id="rating", words="the rating in every state", find=_rating),
    CheckOfSupply(id="rail", words="every rail", find=_rails),
    CheckOfSupply(id="combined", words="5 V and 3.3 V together", find=_combined),
    CheckOfSupply(id="spikes", words="spikes", find=_spikes),
    CheckOfSupply(id="too big", words="not needlessly large", find=_too_big),
    CheckOfSupply(id="regulation", words="regulation", find=living.regulation),
    CheckOfSupply(id="ports", words="ports and cables for every socket", find=living.ports),
    CheckOfSupply(id="form", words="form", find=living.form),
    CheckOfSupply(id="length", words="length with its plugs", find=living.length),
    CheckOfSupply(id="reach", words="reach of its cables", find=living.reach),
    CheckOfSupply(id="share", words="share of its rating", find=living.share),
    CheckOfSupply(id="quiet", words="quiet in everyday use", find=living.quiet),
    CheckOfSupply(id="efficiency", words="efficiency, wall watts, heat", find=living.efficiency),
    CheckOfSupply(id="cost", words="cost a year", find=living.cost),
    CheckOfSupply(id="mains", words="mains share and circuit", find=living.mains),
    CheckOfSupply(id="hold-up", words="hold-up against a UPS", find=living.hold_up),
    CheckOfSupply(id="age", words="age", find=living.age),
)

_STATUS: dict[Verdict, CheckStatus] = {
    "over": "fail",
    "unknown": "unknown",
    "tight": "warn",
    "within": "pass",
}


def _judged(id: str, judged: Judgement, unit: CheckUnit, rail: Rail | None = None) -> SupplyCheck:
    return SupplyCheck(
        id=id,
        status=_STATUS[judged.verdict],
        load=judged.load,
        limit=judged.rated,
        unit=unit,
        rail=rail,
        state=judged.state,
        only_at_high=judged.only_at_high,
    )
