"""The trainer: faults to be found by their readings."""

from __future__ import annotations

from .exercises import (
    EXERCISES,
    OWN,
    Choice,
    Exercise,
    Judged,
    choices,
    judge,
    of_own,
    planted,
    readings_and_held,
    seen,
)

__all__ = [
    "EXERCISES",
    "OWN",
    "Choice",
    "Exercise",
    "Judged",
    "choices",
    "judge",
    "of_own",
    "planted",
    "readings_and_held",
    "seen",
]
