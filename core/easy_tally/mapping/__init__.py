"""Mapping: the best map of a build, proven, or what forbids one.

Judges with the limits of the checker (`ratings.limits`); what proves both stands in the tests: a
second computation that shares nothing, and the search through every map of small builds.
"""

from __future__ import annotations

from .goals import KEPT, MOVES, goals_of
from .going import feeds_all
from .model.scenarios import scenarios_of
from .model.world import world
from .program import Facts, Program, Stopped
from .repairs import LOWEST_LIMIT, other_supplies, repairs, repairs_of_reach
from .solve import GoalValue, Mapping, Progress, Wish, Wished, applied, moved, solve, wish
from .steps import InStock, OtherSupply, Repair, Step, by_cost
from .swap import Needed, Swap, bill, swaps
from .why import Fact, Left, why_left, why_not

__all__ = [
    "KEPT",
    "LOWEST_LIMIT",
    "MOVES",
    "Fact",
    "Facts",
    "GoalValue",
    "InStock",
    "Left",
    "Mapping",
    "Needed",
    "OtherSupply",
    "Program",
    "Progress",
    "Repair",
    "Step",
    "Stopped",
    "Swap",
    "Wish",
    "Wished",
    "applied",
    "bill",
    "by_cost",
    "feeds_all",
    "goals_of",
    "moved",
    "other_supplies",
    "repairs",
    "repairs_of_reach",
    "scenarios_of",
    "solve",
    "swaps",
    "why_left",
    "why_not",
    "wish",
    "world",
]
