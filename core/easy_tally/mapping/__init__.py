"""Mapping: the best map of a build, proven, or what forbids one.

Shares tables and the tally with the checker, and none of its judging: each proves the other.
"""

from __future__ import annotations

from .program import GOALS
from .solve import GoalValue, Mapping, Progress, Wish, applied, solve

__all__ = ["GOALS", "GoalValue", "Mapping", "Progress", "Wish", "applied", "solve"]
