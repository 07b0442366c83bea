"""The line by its tokens: a grammar over them, weighed readings, each thing in its own words."""

from __future__ import annotations

from .amounts import Amount, Line, unit_at
from .chart import ways
from .grammar import rails
from .heads import Misread
from .items import Item
from .lexicon import (
    GOES,
    PARTS,
    PLACES,
    SAID_OF_ALL,
    UNITS,
    Lexicon,
    Table,
    add,
    in_digits,
    phrases_of,
    tokens_of,
)
from .measures import dimensions
from .patterns import Rows, Slot
from .reading import SURE, Reading, readings

__all__ = [
    "GOES",
    "PARTS",
    "PLACES",
    "SAID_OF_ALL",
    "SURE",
    "UNITS",
    "Amount",
    "Item",
    "Lexicon",
    "Line",
    "Misread",
    "Reading",
    "Rows",
    "Slot",
    "Table",
    "add",
    "dimensions",
    "in_digits",
    "phrases_of",
    "rails",
    "readings",
    "tokens_of",
    "unit_at",
    "ways",
]
