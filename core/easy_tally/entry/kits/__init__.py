"""Supplies, their cables and cases, said in lines: read, and printed so that they read back."""

from __future__ import annotations

from .boxed import read_box, read_boxed, say_box
from .cables import read_cable, say_cable
from .cases import CASE_WORDS, read_case_line, say_case
from .heard import unknown_words
from .lines import Unread
from .loose import head_noun, is_cage, read_cage, read_loose, say_loose
from .supplies import SUPPLY_WORDS, read_kit_lines, read_supply, say_supply

__all__ = [
    "CASE_WORDS",
    "SUPPLY_WORDS",
    "Unread",
    "head_noun",
    "is_cage",
    "read_box",
    "read_boxed",
    "read_cable",
    "read_cage",
    "read_case_line",
    "read_kit_lines",
    "read_loose",
    "read_supply",
    "say_box",
    "say_cable",
    "say_case",
    "say_loose",
    "say_supply",
    "unknown_words",
]
