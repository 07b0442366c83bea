"""An owner's own words for plugs, parts and grades: learned, and forgotten."""

from __future__ import annotations

from collections.abc import Iterable, Mapping

from base.writing import writing
from easy_tally import BadInput
from easy_tally.entry import MOST_WORDS, checked, label_of
from owners.models import Owner

from catalogue.models import OwnWord


def own(owner: Owner) -> dict[str, str]:
    """Word → what it means to an owner."""
    return dict(OwnWord.objects.filter(owner=owner).values_list("word", "means"))


def told(own: Mapping[str, str], some: Iterable[str]) -> list[dict[str, str]]:
    """Some own words with what they mean, in words."""
    return [{"word": w, "means": own[w], "label": label_of(own[w])} for w in some]


@writing()
def learn(owner: Owner, word: str, means: str) -> str:
    """Keep what a word means to an owner; the word as it is kept. Raises BadInput."""
    told = checked(word, means)
    others = OwnWord.objects.filter(owner=owner).exclude(word=told).count()
    if others >= MOST_WORDS:
        raise BadInput([("word", f"at most {MOST_WORDS} own words: forget one", f"{others}")])
    OwnWord.objects.update_or_create(owner=owner, word=told, defaults={"means": means})
    return told


@writing()
def forget(owner: Owner, word: str) -> None:
    """Forget a word; nothing where nobody learned it."""
    OwnWord.objects.filter(owner=owner, word=word).delete()
