"""Can it stay: what would have to change for the supply in place to do.

Each way is worked out by judging the build with it, so that what is offered is what passes.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Iterable, Sequence

from ..analysis.analyse import sized
from ..analysis.facts import Analysis
from ..editing import AddBetween, AddCable, ChangeBuild, ChangePart, Edit
from ..mapping import LOWEST_LIMIT, InStock, by_cost
from ..supplies.checks import OF_SIZE
from ..supplies.living import is_coded_for
from ..things.adapters import Adapter
from ..things.build import Build
from ..things.buying import Price, cheapest_first, to_be_had
from ..things.cables import Cable
from ..things.parts import Card
from .ways import Way

#: Cards of which a lower limit is looked for, those that draw the most: each takes some ten walks.
MOST_CARDS = 4


def ways_to_stay(a: Analysis, stock: Iterable[InStock] = ()) -> tuple[Way, ...]:
    """What lets the supply in place stay, each by itself, the cheapest first: a lower power limit
    or a house rule where its size does not do; of the `stock` a cable of its family, and an
    adapter, where a lead is short. None where it does already, or none of them is enough."""
    if a.build.supply is None:
        return ()
    ways: list[Way | None] = []
    if not _does(a, little=True):
        ways += [power_limit_that_does(a, card) for card in cards_by_watts(a.build)[:MOST_CARDS]]
        ways.append(_house_rule(a))
    if _fails(a, "ports"):
        several = sorted(stock, key=by_cost)
        ways.append(_lead(a, [s for s in several if isinstance(s.thing, Cable)]))
        needed = [a.wired.inputs[ref] for ref in a.needed]
        coded = (
            s
            for s in several
            if isinstance(s.thing, Adapter) and is_coded_for(s.thing, a.asked, needed)
        )
        ways.append(_lead(a, list(coded)))
    return tuple(
        sorted((w for w in ways if w is not None), key=lambda w: cheapest_first(Price(w.cost)))
    )


def cards_by_watts(build: Build) -> list[Card]:
    """Cards of which somebody says what they draw, those that draw the most first."""
    known = [
        (p.board_power_w.likely, p) for p in build.parts if isinstance(p, Card) and p.board_power_w
    ]
    return [card for _, card in sorted(known, key=lambda x: -x[0])]


def _fails(a: Analysis, id: str) -> bool:
    return a.supply is not None and any(c.id == id and c.status == "fail" for c in a.supply.checks)


def _lead(a: Analysis, stock: Sequence[InStock]) -> Way | None:
    """The first of some cables of the supply's family, or of some adapters, with which no lead is
    short."""
    family = a.build.supply.family if a.build.supply else ""
    for s in stock:
        bought = to_be_had(s.owned, s.price)
        thing = s.thing.model_copy(update={"to_buy": bought})
        edit: Edit
        if isinstance(thing, Adapter):
            edit = AddBetween(thing=thing)
        elif isinstance(thing, Cable) and thing.family == family:
            edit = AddCable(cable=thing)
        else:
            continue
        changed = edit.where_it_goes(a.build)
        if changed is not None and not _fails(sized(a, changed), "ports"):
            id, name = type(thing).__name__.lower(), thing.name
            return Way(id=id, edit=edit, name=name, owned=s.owned, cost=s.cost)
    return None


def _does(a: Analysis, little: bool = False) -> bool:
    """Whether every check of its size passes, or warns; `little`: a little short does too. What is
    offered makes it whole."""
    checks = [c for c in a.supply.checks if c.id in OF_SIZE] if a.supply else []
    if not little and any("headroom" in c.more for c in checks):
        return False
    return all(c.status in ("pass", "warn") for c in checks)


def power_limit_that_does(a: Analysis, card: Card) -> Way | None:
    """The highest power limit of a card, in whole watts, at which every check passes. The lower
    the limit the less there is to carry."""
    power = card.board_power_w
    if power is None or power.likely <= 0:
        return None
    most = math.floor(power.likely * card.power_limit - 1e-9)
    least = math.ceil(power.likely * LOWEST_LIMIT)

    def does(watts: int) -> bool:
        changed = _limit(card, watts, power.likely).where_it_goes(a.build)
        return changed is not None and _does(sized(a, changed))

    best = _highest(least, most, does)
    if best is None:
        return None
    return Way(
        id="power-limit",
        edit=_limit(card, best, power.likely),
        part=card.key,
        name=card.name,
        watts=best,
        share=best / power.likely,
    )


def _highest(least: int, most: int, does: Callable[[int], bool]) -> int | None:
    """The highest whole number that does, where all below one that does do too; None: none."""
    if most < least or not does(least):
        return None
    while least < most:
        middle = (least + most + 1) // 2
        if does(middle):
            least = middle
        else:
            most = middle - 1
    return least


def _limit(card: Card, watts: int, power_w: float) -> ChangePart:
    # Rounded down, so that the card is never let draw more than was found to do.
    share = math.floor(watts / power_w * 1e6) / 1e6
    return ChangePart(part=card.key, changes={"power_limit": share})


def _house_rule(a: Analysis) -> Way | None:
    """The largest headroom at which it does, in whole percents, where that rule governs: it is the
    builder's own, and the supply's own limits hold below it too."""
    if not any(r.id == "sum" and r.governs for r in a.sizing.rules):
        return None

    def edit(percent: int) -> ChangeBuild:
        return ChangeBuild(house_rules={"headroom": percent / 100})

    def does(percent: int) -> bool:
        changed = edit(percent).where_it_goes(a.build)
        return changed is not None and _does(sized(a, changed))

    best = _highest(0, math.ceil(a.build.house_rules.headroom * 100) - 1, does)
    return None if best is None else Way(id="headroom", edit=edit(best), share=best / 100)
