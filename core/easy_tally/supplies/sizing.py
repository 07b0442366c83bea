"""How large a supply has to be: rules side by side, one governs."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..base.rounding import TOLERANCE, exceeds, percent
from ..base.series import ZERO, Span
from ..base.units import WINDOWS, Window
from ..standards.connectors import is_coded
from ..standards.excursions import JUST_LARGE_W, LARGE_W, RIDE_3X, RIDE_LARGE_16PIN
from ..standards.sizes import FIFTH, LITTLE, QUIET_SHARE, next_common_w
from ..tally.sums import Sum
from ..things.assumed.assumptions import Assumptions
from ..things.assumed.defaults import taken
from ..things.parts import Card
from ..things.rules import HouseRules
from ..things.supply import Supply
from ..wiring import Wired

RuleId = Literal["sum", "floor", "floor and a fifth", "quiet", "spikes", "start", "short"]


@dataclass(frozen=True, slots=True, kw_only=True)
class SizingRule:
    """What one rule asks for: watts [W] with bounds, or None where a figure is missing."""

    id: RuleId
    watts: Span | None
    binding: bool
    governs: bool = False
    missing: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Sizing:
    """The rules, what they need together [W], and the next common size [W]."""

    rules: tuple[SizingRule, ...]
    needed: Span | None
    pick_w: int | None
    #: Where a figure is missing: what is needed at the least.
    at_least_w: float


def ride_through(
    design: str | None, rated_w: float, has_16pin: bool, assume: Assumptions
) -> tuple[float, ...]:
    """Multiples of the rating that a supply rides through in the four windows. Of a design that is
    not known what any rides through: the least of each window."""
    a = assume
    classic = (a.ride_classic_0_1ms, a.ride_classic_1ms, a.ride_classic_10ms, a.ride_classic_100ms)
    newer = RIDE_LARGE_16PIN if rated_w > LARGE_W and has_16pin else RIDE_3X
    if design is None:
        return tuple(map(min, classic, newer))
    return classic if design == "classic" else newer


def spike_need(wired: Wired, spikes: dict[Window, Span], supply: Supply | None) -> Span:
    """The smallest rating [W] whose design rides through every window.

    Of the design of `supply`; without one, of a 3.x supply of the kind that the
    build needs: with a 16-pin port where a card has such a socket.
    """
    has_16pin = (
        any(p.kind == "16pin" for p in supply.ports)
        if supply
        else any(is_coded(i.socket.kind) for i in wired.inputs.values())
    )
    design = supply.design if supply else "3.1"
    small, large = (
        ride_through(design, w, has_16pin, wired.build.assumptions) for w in (LARGE_W, JUST_LARGE_W)
    )

    def rating(ride: tuple[float, ...], k: int) -> float:
        return max(spikes[w][k] / ride[i] for i, w in enumerate(WINDOWS))

    # What a supply rides through depends on its rating too: up to 450 W it has to be enough by
    # the smaller multiples, or the smallest that has the larger ones is taken.
    needs = [(rating(small, k), rating(large, k)) for k in range(3)]
    return Span(
        *(s if s == n or not exceeds(s, LARGE_W) else max(n, JUST_LARGE_W) for s, n in needs)
    )


def size(wired: Wired, total: Sum, spikes: dict[Window, Span], supply: Supply | None) -> Sizing:
    """Apply every sizing rule to the tally's total and its spikes in every window [W]; those by
    the design of `supply`, where there is one."""
    rules = _rules(wired, total, spikes, supply)
    known, binding = _known(total), _binding(rules)
    governing = max(binding, key=lambda x: x[1].likely)[0] if known else None
    needed = Span(*(max(w[k] for _, w in binding) for k in range(3))) if known else None
    return Sizing(
        rules=tuple(
            SizingRule(
                id=r.id,
                watts=r.watts,
                binding=r.binding,
                governs=r.id == governing,
                missing=r.missing,
            )
            for r in rules
        ),
        needed=needed,
        pick_w=next_common_w(needed.likely) if needed else None,
        at_least_w=max([*_known_needs(wired, total), *(w.likely for _, w in binding)]),
    )


def next_size_w(
    wired: Wired, total: Sum, spikes: dict[Window, Span], supply: Supply | None
) -> int | None:
    """The next common size [W] that the binding rules ask for, and nothing beside it; None where
    a figure is missing, or none is large enough."""
    if not _known(total):
        return None
    binding = _binding(_rules(wired, total, spikes, supply))
    return next_common_w(max(watts.likely for _, watts in binding))


def little_short(rated_w: float, sizing: Sizing, total: Sum, house: HouseRules) -> int | None:
    """The headroom that a supply has, in whole percents rounded up, where it is short of that rule
    alone, and by no more than a tenth; None elsewhere."""
    full = total.at("full").likely
    others = [r.watts.likely for r in sizing.rules if r.binding and r.watts and r.id != "sum"]
    if house.little_short != "worth a look" or full <= 0 or total.missing:
        return None
    if any(exceeds(w, rated_w) for w in others):
        return None
    has = percent(rated_w / full - 1)
    least = house.headroom * 100 * (1 - LITTLE)
    return has if has is not None and rated_w > full and has >= least / TOLERANCE else None


def _known(total: Sum) -> bool:
    return not total.missing and total.at("full").likely > 0


def _binding(rules: list[SizingRule]) -> list[tuple[RuleId, Span]]:
    return [(r.id, r.watts) for r in rules if r.binding and r.watts is not None]


def _known_needs(wired: Wired, total: Sum) -> list[float]:
    """What the known part of the tally asks for [W], whatever is missing beside it."""
    headroom = 1 + wired.build.house_rules.headroom
    states = (total.at("start"), total.at("short"), total.at("full").times(headroom))
    return [s.likely for s in states]


def _rules(
    wired: Wired, total: Sum, spikes: dict[Window, Span], supply: Supply | None
) -> list[SizingRule]:
    house, missing = wired.build.house_rules, total.missing

    def rule(id: RuleId, watts: Span, binding: bool = True) -> SizingRule:
        known = None if missing else watts
        return SizingRule(id=id, watts=known, binding=binding, missing=missing)

    sizing_rules = [
        rule("sum", total.at("full").times(1 + house.headroom)),
        rule("quiet", total.at("everyday").times(1 / QUIET_SHARE), binding=False),
        rule("spikes", spike_need(wired, spikes, supply), house.spikes == "ride through"),
        rule("start", total.at("start")),
        rule("short", total.at("short")),
    ]
    floor = _floor(wired)
    if floor is not None:
        keep, more = house.maker_floor == "keep", house.maker_floor == "keep and add a fifth"
        fifth = floor.times(1 + FIFTH)
        sizing_rules.append(SizingRule(id="floor", watts=floor, binding=keep))
        sizing_rules.append(SizingRule(id="floor and a fifth", watts=fifth, binding=more))
    return sizing_rules


def _floor(wired: Wired) -> Span | None:
    """The largest smallest-supply figure that a card's maker states. It holds for the card as
    delivered: a raised power limit adds the watts that it adds to that card (assumption)."""
    floors = [
        p.system_floor_w.span().plus(_raised(p, wired.build.assumptions))
        for p in wired.build.parts
        if isinstance(p, Card) and p.system_floor_w
    ]
    return max(floors, key=lambda s: s.likely, default=None)


def _raised(card: Card, assume: Assumptions) -> Span:
    """Watts [W] that a raised power limit adds to one card; none where it is as delivered."""
    power = taken(card, "board_power_w", assume)
    more = max(card.power_limit - 1, 0.0) / card.power_limit
    return ZERO if power is None else power.times(more)
