"""What a map is brought to, goal after goal, in this order: the less of each the better.

What a goal comes to in a map that is there is counted by `advice/goals.py`, off the checker\'s own
results; what it is called stands in `publishing/wording/mapped.py`. Source: model, section 5.
"""

from __future__ import annotations

from collections.abc import Callable, Collection
from typing import TYPE_CHECKING, Any, NamedTuple

from ..things.build import Build
from ..things.rules import HouseRules
from ..wiring.areas import drive_places
from .model.columns import Column, has_fewer

if TYPE_CHECKING:
    from .program import Program


class Goal(NamedTuple):
    """A goal: its expression in a program; of one that is the most of any cable, what each comes
    to [in the unit of the goal], so that what could only be worse is left out."""

    id: str
    term: Callable[[Program], Any]
    of_each: Callable[[Column], int] | None = None


def _of_cables(worth: Callable[[Column], int]) -> Callable[[Program], Any]:
    return lambda program: program.sum_of(worth)


def _most(id: str, of_each: Callable[[Column], int], least: int) -> Goal:
    return Goal(id, lambda program: program.most_of(of_each, least), of_each)


def _unfed(program: Program) -> Any:
    return sum(program.unfed.values()) + len(program.world.scenario.left)


def _groups(program: Program) -> Any:
    rule = group_rule(program.world.build)
    return program.fullest_group() if rule == "by amperes" else program.pairs(rule == "spread")


def group_rule(build: Build) -> str:
    """How one device's cables stand in port groups: `spread`, `keep together`, or `by amperes`
    where the limit of every group that has a port is known. Source: model, section 5."""
    rule, supply = build.house_rules.port_groups, build.supply
    if rule != "by what is known" or supply is None:
        return "spread" if rule == "spread" else "keep together"
    there = {p.group for p in supply.ports if p.group is not None}
    known = all(g.limit_a is not None for g in supply.groups if g.key in there)
    return "by amperes" if there and known else "keep together"


def _fewer(program: Program) -> Any:
    beyond = program.ways_in_use(lambda way: sum(map(has_fewer, way.beyond)))
    return program.sum_of(lambda c: c.fewer) + beyond


def _places(program: Program) -> Any:
    wired = program.world.wired
    there = {p for i in wired.inputs.values() for p in drive_places(wired, i)}
    return program.sum_of(lambda c: _too_many(set(c.places))) - len(there)


def _too_many(places: Collection[str]) -> int:
    """What a cable adds that feeds drives at some places, of which there had better be one."""
    return 2 * len(places) - 1 if places else 0


#: As many connections stay as can be, where that is wished; of a map that may leave some unfed, as
#: few of those as can be.
KEPT = Goal("kept", lambda program: -program.sum_of(lambda c: c.kept))
UNFED = Goal("unfed", _unfed)
#: Below 60 % nothing is gained: it is worked for only down to there.
WORST = _most("worst", lambda c: c.percent, 60)
GOALS: tuple[Goal, ...] = (
    UNFED,
    Goal("chained", _of_cables(lambda c: int(c.chained))),
    Goal("adapters", lambda program: program.ways_in_use(lambda way: not way.extension)),
    Goal("extensions", lambda program: program.ways_in_use(lambda way: way.extension)),
    Goal("optional", lambda program: -len(program.world.scenario.optional)),
    Goal("unknown", _of_cables(lambda c: c.unknown)),
    WORST,
    Goal("groups", _groups),
    Goal("fewer", _fewer),
    Goal("runs", _of_cables(lambda c: 1)),
    _most("start", lambda c: c.start_tenths, 0),
    Goal("hanging", _of_cables(lambda c: c.hanging)),
    Goal("length", _of_cables(lambda c: c.last_mm)),
)
#: Goals that a house rule asks for: graphics cables, leads of adapters in use that hang, drives on
#: the fullest cable, cables and places of drives beyond one a place.
_BY_RULE = {
    "graphics": Goal("graphics", _of_cables(lambda c: int(c.graphics))),
    "leads": Goal("leads", lambda program: program.ways_in_use(lambda way: way.hanging)),
    "balance": _most("balance", lambda c: len(c.places), 0),
    "places": Goal("places", _places),
}


def goals_of(rules: HouseRules) -> tuple[Goal, ...]:
    """What a map is brought to by some house rules, in this order."""
    goals = list(GOALS)

    def put(id: str, before: str) -> None:
        goals.insert([g.id for g in goals].index(before), _BY_RULE[id])

    if rules.graphics_cables == "fewest":
        put("graphics", "chained")
    if rules.adapter_leads == "all":
        put("leads", "optional")
    if rules.drives != "fewest cables":
        put("balance" if rules.drives == "balanced" else "places", "runs")
    return tuple(goals)


#: Of maps that come to the same in all of these, the one with the fewest plugs and port ends that
#: are not where they are now.
MOVES = Goal("moves", _of_cables(lambda c: c.moves))
