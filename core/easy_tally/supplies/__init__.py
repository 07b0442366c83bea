"""Supplies: how large one has to be, whether one is, and which of several does best."""

from __future__ import annotations

from .asked import Asked, SupplyCheck
from .checks import SUPPLY_CHECKS, SupplyResult, check_supply
from .compare import Candidate, Offered, asked_of, compare
from .sizing import Sizing, SizingRule, size

__all__ = [
    "SUPPLY_CHECKS", "Asked", "Candidate", "Offered", "Sizing", "SizingRule", "SupplyCheck",
    "SupplyResult", "asked_of", "check_supply", "compare", "size",
]  # fmt: skip
