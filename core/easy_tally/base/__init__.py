"""Units, series, figures, errors and numbers: what everything else is said in."""

from __future__ import annotations

from .declared import Bounds, Figure
from .units import RAIL_WORDS, TALLY_STATES

__all__ = ["RAIL_WORDS", "TALLY_STATES", "Bounds", "Figure"]
