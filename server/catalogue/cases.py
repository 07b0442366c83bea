"""The cases that ship: a CSV file, read once."""

from functools import lru_cache

from django.conf import settings
from easy_tally.files import kits_csv
from easy_tally.things import Case


@lru_cache(maxsize=1)
def shipped() -> tuple[Case, ...]:
    """Every case of the catalogue."""
    text = (settings.CATALOGUE / "cases.csv").read_text(encoding="utf-8")
    return kits_csv.CASES.read(text)
