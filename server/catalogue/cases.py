"""The cases that ship: data files, read once."""

from functools import lru_cache

from django.conf import settings
from easy_tally.things import Case, read_case


@lru_cache(maxsize=1)
def shipped() -> tuple[Case, ...]:
    """Every case of the catalogue."""
    files = sorted((settings.CATALOGUE / "cases").glob("*.case.json"))
    return tuple(read_case(f.read_text(encoding="utf-8")) for f in files)
