"""The catalogue: entries of parts, supplies with what is in their box, parts to start from."""

from __future__ import annotations

from .drawer import (
    DrawerKind,
    DrawerThing,
    drawer_words,
    read_drawer,
    say_drawer,
    thing_words,
    used_of,
    without,
)
from .entries import FIGURE_WORDS, CatalogueEntry, lacks, said_count, search, search_text
from .loose import LooseEntry, LooseKind, LooseThing, kind_of, read_said, read_thing, say_thing
from .starters import STARTERS, Starter
from .supplies import SupplyKit
from .templates import OFTEN, TEMPLATES, Template

__all__ = [
    "FIGURE_WORDS",
    "OFTEN",
    "STARTERS",
    "TEMPLATES",
    "CatalogueEntry",
    "DrawerKind",
    "DrawerThing",
    "LooseEntry",
    "LooseKind",
    "LooseThing",
    "Starter",
    "SupplyKit",
    "Template",
    "drawer_words",
    "kind_of",
    "lacks",
    "read_drawer",
    "read_said",
    "read_thing",
    "said_count",
    "say_drawer",
    "say_thing",
    "search",
    "search_text",
    "thing_words",
    "used_of",
    "without",
]
