"""Units, series, figures, errors and numbers: what everything else is said in."""

from __future__ import annotations

from .arrays import np
from .declared import Bounds, Figure
from .errors import NoJson
from .memory import NO_MEMORY, Memory
from .plain import odd_in, plain, read_json, without_odd
from .problems import problems_of
from .units import RAIL_WORDS, STATE_NAMES, TALLY_STATES, State

__all__ = [
    "NO_MEMORY",
    "RAIL_WORDS",
    "STATE_NAMES",
    "TALLY_STATES",
    "Bounds",
    "Figure",
    "Memory",
    "NoJson",
    "State",
    "np",
    "odd_in",
    "plain",
    "problems_of",
    "read_json",
    "without_odd",
]
