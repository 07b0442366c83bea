"""The catalogue: entries of parts, supplies with what is in their box, parts to start from."""

from __future__ import annotations

from .entries import FIGURE_WORDS, CatalogueEntry, lacks, said_count, search, search_text
from .starters import STARTERS, Starter
from .supplies import SupplyKit, read_kit
from .templates import OFTEN, TEMPLATES, Template

__all__ = [
    "FIGURE_WORDS", "OFTEN", "STARTERS", "TEMPLATES", "CatalogueEntry", "Starter", "SupplyKit",
    "Template", "lacks", "read_kit", "said_count", "search", "search_text",
]  # fmt: skip
