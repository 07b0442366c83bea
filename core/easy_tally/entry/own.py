"""One's own words: what somebody calls a plug, a part or a grade that the tables have no word for.

Trade names stay out of the product, and people may say them.
"""

from __future__ import annotations

from collections.abc import Mapping
from types import MappingProxyType
from typing import NamedTuple, get_args

from ..base.errors import BadInput
from ..standards.efficiency import Grade
from .line import PARTS, tokens_of
from .words import NAMES

#: Nobody's.
NO_WORDS: Mapping[str, str] = MappingProxyType({})
#: Most characters and words of one, and how many somebody has.
_MOST_CHARACTERS, _MOST_TOKENS, MOST_WORDS = 40, 4, 200


class Meaning(NamedTuple):
    """What a word may mean: the tables' own word for it, how it is called, and what it is of."""

    means: str
    label: str
    group: str


#: All that a word may mean, in the order in which it is offered.
MEANINGS: tuple[Meaning, ...] = (
    Meaning("", "a name: it says nothing more", "other"),
    Meaning("peripheral", "4-pin peripheral plug", "plug"),
    Meaning("sata", "SATA power plug", "plug"),
    Meaning("8 pin", "8-pin plug", "plug"),
    Meaning("6 pin", "6-pin graphics plug", "plug"),
    Meaning("16 pin", "16-pin graphics plug", "plug"),
    Meaning("floppy", "4-pin floppy plug", "plug"),
    Meaning("header", "fan or pump header", "plug"),
    Meaning("board", "board", "part"),
    Meaning("processor", "processor", "part"),
    Meaning("memory", "memory", "part"),
    Meaning("card", "graphics card", "part"),
    Meaning("disk", "3.5-inch disk", "part"),
    Meaning("ssd 2.5in", "2.5-inch drive", "part"),
    Meaning("m.2", NAMES["m2"], "part"),
    Meaning("fan", "fan", "part"),
    Meaning("aio", "liquid cooler", "part"),
    Meaning("pump", "pump", "part"),
    Meaning("hub", "fan hub", "part"),
    Meaning("strip", "light strip", "part"),
    Meaning("usb", "thing on USB", "part"),
    *(Meaning(grade, grade, "grade of a supply") for grade in get_args(Grade)),
)
_BY_MEANS = {m.means: m for m in MEANINGS}


def checked(word: str, means: str) -> str:
    """A word to be learned, as it is kept. Raises BadInput: for one that the tables know, that is
    a number, or too long; for a meaning that is none."""
    told = " ".join(word.lower().split())
    tokens = tokens_of(told)
    problem = ""
    if not tokens or len(told) > _MOST_CHARACTERS or len(tokens) > _MOST_TOKENS:
        problem = f"1 to {_MOST_TOKENS} words of at most {_MOST_CHARACTERS} characters"
    elif not any(t.text[0].isalpha() for t in tokens) or any(t.is_quoted for t in tokens):
        problem = "a word, and no number or mark alone"
    elif tuple(t.text for t in tokens) in PARTS.table:
        problem = "a word that says nothing here yet"
    if problem:
        raise BadInput([("word", problem, repr(word)[:60])])
    if means not in _BY_MEANS:
        raise BadInput([("means", "one of what a word may mean", repr(means)[:60])])
    return told


def label_of(means: str) -> str:
    """How a meaning is called."""
    meaning = _BY_MEANS.get(means)
    return meaning.label if meaning else means


def used_in(line: str, own: Mapping[str, str]) -> tuple[str, ...]:
    """The own words that stand in a line."""
    if not own:
        return ()
    texts = [t.text for t in tokens_of(line)]
    keys = {word: [t.text for t in tokens_of(word)] for word in own}
    return tuple(
        word
        for word, key in keys.items()
        if any(texts[i : i + len(key)] == key for i in range(len(texts)))
    )
