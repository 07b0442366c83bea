"""Ratings: every run, and what comes through the board, held against what limits it."""

from __future__ import annotations

from .elements import Element
from .limits import Limit
from .places import Place
from .runs import MAP_CHECKS, RunResult, check_runs
from .through_board import BoardElement, through_board
from .verdicts import VERDICTS, Judgement, Verdict, judge

__all__ = [
    "MAP_CHECKS",
    "VERDICTS",
    "BoardElement",
    "Element",
    "Judgement",
    "Limit",
    "Place",
    "RunResult",
    "Verdict",
    "check_runs",
    "judge",
    "through_board",
]
