"""Supplies: how large one has to be, whether one is, and which of several does best."""

from __future__ import annotations

from .asked import Asked, SupplyCheck
from .checks import SUPPLY_CHECKS, SupplyResult, check_supply
from .compare import Candidate, Offered, asked_of, compare
from .kits import Kit, Source, ranked
from .sizing import Sizing, SizingRule, size

__all__ = [
    "SUPPLY_CHECKS",
    "Asked",
    "Candidate",
    "Kit",
    "Offered",
    "Sizing",
    "SizingRule",
    "Source",
    "SupplyCheck",
    "SupplyResult",
    "asked_of",
    "check_supply",
    "compare",
    "ranked",
    "size",
]
