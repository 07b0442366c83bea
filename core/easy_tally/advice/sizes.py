"""Beside the size that is needed: the next smaller and larger, what each would cost in checks, and
what a raised power limit adds to each rule."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..analysis.analyse import tried
from ..analysis.facts import Analysis
from ..editing import ChangePart
from ..standards.connectors import is_coded
from ..standards.sizes import COMMON_W
from ..supplies.asked import SupplyCheck
from ..supplies.checks import check_supply
from ..supplies.sizing import RuleId, size
from ..things.parts import Card
from ..things.supply import Port, Supply

_SIXTEEN = Port(key="h1", label="H1", kind="16pin", circuits=12, pins_12v=6)
#: Checks that a size alone decides; the others need a supply's own figures.
BY_SIZE = ("watts", "rating", "spikes", "too big", "quiet")


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """A common size [W] beside the one that is needed: its share of load, the rules that it falls
    short of with by how much [W], and the checks by which it is worse or better."""

    rated_w: int
    at: str
    everyday: float
    full: float
    short: tuple[tuple[RuleId, float], ...]
    checks: tuple[SupplyCheck, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Added:
    """What raised power limits add to a rule [W]."""

    rule: RuleId
    watts: float


def steps(a: Analysis) -> tuple[Step, ...]:
    """The size below the one that is needed, that one, and the size above, by the design and the
    ports of the supply in the build, or of a 3.1 supply where there is none."""
    pick = a.sizing.pick_w
    if pick is None:
        return ()
    at = COMMON_W.index(pick)
    near = (("below", at - 1), ("needed", at), ("above", at + 1))
    return tuple(_step(a, COMMON_W[i], size) for size, i in near if 0 <= i < len(COMMON_W))


def _step(a: Analysis, rated_w: int, at: str) -> Step:
    now = a.build.supply
    supply = Supply(
        name=f"{rated_w} W",
        rated_w=rated_w,
        family="any",
        design=now.design if now else "3.1",
        fan_off_share=now.fan_off_share if now else 0.0,
    )
    if now is not None:
        supply = supply.model_copy(update={"ports": now.ports})
    elif any(is_coded(i.socket.kind) for i in a.wired.inputs.values()):
        supply = supply.model_copy(update={"ports": (_SIXTEEN,)})
    sizing = size(a.wired, a.tally.total, a.spikes.total, supply)
    result = check_supply(supply, replace(a.asked, sizing=sizing, new=True))
    short = tuple(
        (r.id, r.watts.likely - rated_w)
        for r in sizing.rules
        if r.binding and r.watts is not None and r.watts.likely > rated_w
    )
    total = a.tally.total
    return Step(
        rated_w=rated_w,
        at=at,
        everyday=total.at("everyday").likely / rated_w,
        full=total.at("full").likely / rated_w,
        short=short,
        checks=tuple(c for c in result.checks if c.id in BY_SIZE),
    )


def added(a: Analysis) -> tuple[Added, ...]:
    """What the cards' raised power limits add to each rule, against the cards as delivered."""
    build = a.build
    for part in build.parts:
        if isinstance(part, Card) and part.power_limit > 1:
            build = ChangePart(part=part.key, changes={"power_limit": 1.0}).apply(build)
    if build is a.build:
        return ()
    before = {r.id: r.watts for r in tried(a, build).sizing.rules}
    limits = []
    for rule in a.sizing.rules:
        was = before.get(rule.id)
        if rule.watts is not None and was is not None:
            limits.append(Added(rule=rule.id, watts=rule.watts.likely - was.likely))
    return tuple(limits)
