"""The tally: loads of every part, their sums, what each input carries, spikes."""

from __future__ import annotations

from .demand import Carried, Demand, demands
from .loads import Load, loads
from .spikes import Spikes, spikes
from .sums import PATHS, Tally, tally

__all__ = [
    "PATHS",
    "Carried",
    "Demand",
    "Load",
    "Spikes",
    "Tally",
    "demands",
    "loads",
    "spikes",
    "tally",
]
