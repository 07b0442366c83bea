"""Several shortages at once: the fewest steps that mend them together, where none does alone."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from itertools import combinations

from ..things.buying import Price, cheapest_first
from ..things.cables import SocketRef
from .going import Going, Limited
from .steps import MOST, Repair, Step, cost_of

#: Steps that are looked at, cheapest first, and how many of their combinations; repairs told.
_MOST_STEPS, _MOST_TRIED, _MOST_TOLD = 14, 60, 3


def combined(
    goes: Going, unfed: tuple[str, ...], steps: Iterable[Step], cards: dict[str, Limited]
) -> Iterator[Repair]:
    """Two or three of some steps by which all can be fed, none of them needless, the cheapest
    first. `cards`: those that may be held lower than now, by key."""
    several = sorted(steps, key=lambda s: _price((s,)))[:_MOST_STEPS]
    # What each does by itself for the sockets of one part, the other parts' left as they are.
    short = _by_part(unfed)
    does = {
        n: frozenset(p for p, refs in short.items() if goes.does((s,), frozenset(unfed) - refs))
        for n, s in enumerate(several)
    }
    alone = frozenset().union(*does.values())
    tried = 0
    told: list[dict[str, int]] = []
    every = [c for size in (2, 3) for c in combinations(range(len(several)), size)]
    for combo in sorted(every, key=lambda c: _price([several[n] for n in c])):
        own = [several[n] for n in combo]
        mends = frozenset().union(*(does[n] for n in combo))
        if not (alone <= mends and _may_be(own)) or any(_holds(own, t) for t in told):
            continue
        tried += 1
        if tried > _MOST_TRIED or len(told) == _MOST_TOLD:
            return
        if repair := _by(goes, own, cards):
            told.append(_what(own))
            yield repair


def _by(goes: Going, steps: list[Step], cards: dict[str, Limited]) -> Repair | None:
    """The repair by some steps; each card among them is held as high as does."""
    for held in [s for s in steps if s.watts]:
        others = [s for s in steps if s is not held]
        (key,) = held.sets.power_limits
        step = goes.highest(cards[key], tuple(others))
        if step is None:
            return None
        steps = [*others, step]
    return goes.by(*steps)


def _by_part(unfed: tuple[str, ...]) -> dict[str, frozenset[str]]:
    parts = dict.fromkeys(SocketRef.read(ref).part for ref in unfed)
    return {p: frozenset(r for r in unfed if SocketRef.read(r).part == p) for p in parts}


def _price(steps: Iterable[Step]) -> tuple[tuple[bool, float, int, int], int]:
    several = list(steps)
    return cheapest_first(Price(cost_of(several))), sum(s.count for s in several)


def _may_be(steps: list[Step]) -> bool:
    """Whether steps go together: three at the most, each thing in one number, a rule in one
    position."""
    rules = [rule for s in steps for rule in s.sets.house_rules]
    few = sum(s.count for s in steps) <= MOST
    return few and len(_what(steps)) == len(steps) and len({*rules}) == len(rules)


def _what(steps: list[Step]) -> dict[str, int]:
    """How much of what some steps take."""
    return {
        f"{id(s.stock)}" if s.stock else f"{s.sets.house_rules} {[*s.sets.power_limits]}": s.count
        for s in steps
    }


def _holds(steps: list[Step], told: dict[str, int]) -> bool:
    """Whether steps take all that others do, and more."""
    counts = _what(steps)
    return all(counts.get(k, 0) >= n for k, n in told.items())
