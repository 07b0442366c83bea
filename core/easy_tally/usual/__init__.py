"""What nobody measured, taken as usual: facts that are missing, and builds with them filled in."""

from __future__ import annotations

from .facts import Fact, FactOf, facts_of, is_of_runs
from .taken import (
    CORNERS,
    LENGTHS,
    WHOLE,
    End,
    taken,
    taken_cables,
    taken_case,
    taken_supply,
    with_found,
)

__all__ = [
    "CORNERS",
    "LENGTHS",
    "WHOLE",
    "End",
    "Fact",
    "FactOf",
    "facts_of",
    "is_of_runs",
    "taken",
    "taken_cables",
    "taken_case",
    "taken_supply",
    "with_found",
]
