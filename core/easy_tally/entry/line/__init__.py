"""The line by its tokens: a grammar over them, weighed readings, each thing in its own words."""

from __future__ import annotations

from .items import Item
from .reading import SURE, Reading, readings
from .tokens import in_digits

__all__ = ["SURE", "Item", "Reading", "in_digits", "readings"]
