"""The supply catalogue, and what is sold by itself: CSV files, by slug; read once."""

from functools import lru_cache

from django.conf import settings
from easy_tally import NotThere
from easy_tally.catalogue import LooseEntry, SupplyKit
from easy_tally.files import kits_csv


@lru_cache(maxsize=1)
def catalogue() -> dict[str, SupplyKit]:
    """Every supply of the shipped catalogue, by slug."""
    text = (settings.CATALOGUE / "supplies.csv").read_text(encoding="utf-8")
    return {kit.slug: kit for kit in kits_csv.SUPPLIES.read(text)}


def kit(slug: str) -> SupplyKit:
    """The catalogue entry called `slug`. Raises NotThere."""
    if slug not in catalogue():
        raise NotThere(f"There is no supply {slug} in the catalogue.")
    return catalogue()[slug]


@lru_cache(maxsize=1)
def loose() -> dict[str, LooseEntry]:
    """Cables, adapters, extensions and brackets that are sold by themselves, by slug."""
    text = (settings.CATALOGUE / "loose.csv").read_text(encoding="utf-8")
    return {entry.slug: entry for entry in kits_csv.LOOSE.read(text)}
