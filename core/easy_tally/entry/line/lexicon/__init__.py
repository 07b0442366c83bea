"""The words of a line: cut into tokens, each with what it may be; tables and a look-up."""

from __future__ import annotations

from .parts import ONE_OF, PARTS
from .senses import SAID_OF_ALL, UNITS, Lexicon, Table, add, phrases_of
from .tokens import in_digits, tokens_of
from .vocabulary import FIGURES_OF_ONE, GOES, PLACES

__all__ = [
    "FIGURES_OF_ONE",
    "GOES",
    "ONE_OF",
    "PARTS",
    "PLACES",
    "SAID_OF_ALL",
    "UNITS",
    "Lexicon",
    "Table",
    "add",
    "in_digits",
    "phrases_of",
    "tokens_of",
]
