"""The supply catalogue: data files, by slug; read once."""

from functools import lru_cache

from django.conf import settings
from easy_tally import NotThere
from easy_tally.catalogue import SupplyKit, read_kit


@lru_cache(maxsize=1)
def catalogue() -> dict[str, SupplyKit]:
    """Every supply of the shipped catalogue, by slug."""
    files = sorted((settings.CATALOGUE / "supplies").glob("*.supply.json"))
    kits = [read_kit(f.read_text(encoding="utf-8")) for f in files]
    return {kit.slug: kit for kit in kits}


def kit(slug: str) -> SupplyKit:
    """The catalogue entry called `slug`. Raises NotThere."""
    if slug not in catalogue():
        raise NotThere(f"There is no supply {slug} in the catalogue.")
    return catalogue()[slug]
