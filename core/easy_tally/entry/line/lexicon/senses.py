"""Words and phrases with what they may be in a line; a word that is one letter off."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from copy import copy
from typing import NamedTuple

from .tokens import tokens_of

#: Spellings of units → (unit of the line's own, factor).
UNITS: dict[str, tuple[str, float]] = {
    **dict.fromkeys(("w", "watt", "watts"), ("w", 1.0)),
    **dict.fromkeys(("kw", "kilowatt", "kilowatts"), ("w", 1000.0)),
    **dict.fromkeys(("a", "amp", "amps", "ampere", "amperes"), ("a", 1.0)),
    **dict.fromkeys(("ma", "milliamp", "milliamps", "milliampere", "milliamperes"), ("a", 0.001)),
    **dict.fromkeys(("v", "volt", "volts", "vdc"), ("v", 1.0)),
    **dict.fromkeys(("mm", "millimeter", "millimeters", "millimetre", "millimetres"), ("mm", 1.0)),
    **dict.fromkeys(
        ("cm", "centimeter", "centimeters", "centimetres", "centimetre", "centimeter"), ("mm", 10.0)
    ),
    **dict.fromkeys(("in", "inch", "inches", "zoll"), ("in", 1.0)),
    **dict.fromkeys(("gb", "gig", "gigs", "giga", "gigabyte", "gigabytes"), ("gb", 1.0)),
    **dict.fromkeys(("tb", "tera", "terabyte", "terabytes"), ("tb", 1.0)),
    "ghz": ("ghz", 1.0),
    "mhz": ("mhz", 1.0),
    "mt/s": ("mt/s", 1.0),
    "rpm": ("rpm", 1.0),
    **dict.fromkeys(("core", "cores"), ("core", 1.0)),
    **dict.fromkeys(("%", "percent"), ("%", 1.0)),
    **dict.fromkeys(("m3/h", "m³/h"), ("m3h", 1.0)),
    "cfm": ("m3h", 1.699),
    **dict.fromkeys(("pin", "pins"), ("pin", 1.0)),
    **dict.fromkeys(("slot", "slots"), ("slot", 1.0)),
    **dict.fromkeys(("lane", "lanes"), ("lane", 1.0)),
    **dict.fromkeys(("s", "sec", "seconds"), ("s", 1.0)),
    **dict.fromkeys(("m", "metre", "metres", "meter", "meters"), ("mm", 1000.0)),
    "awg": ("awg", 1.0),
    **dict.fromkeys(("ms", "milliseconds"), ("ms", 1.0)),
    **dict.fromkeys(("years", "year", "yr"), ("year", 1.0)),
}
#: Units that are said of supplies and cables alone.
UNITS_OF_KITS: frozenset[str] = frozenset(
    ("m", "metre", "metres", "meter", "meters", "awg", "ms", "milliseconds", "years", "year", "yr")
)
#: Role, what it says, its words: what is said alike of whatever there is.
SAID_OF_ALL: tuple[tuple[str, str, str], ...] = (
    ("money", "", "$ | € | £ | eur | euro | euros | usd | dollar | dollars | gbp | chf"),
    ("about", "", "about | approx | approx. | circa | ca. | ca | around | roughly"),
    ("or so", "", "or so | or thereabouts | ish | give or take | more or less | approximately"),
    ("or so", "", "roughly | approx | approx. | circa | about"),
    ("plus minus", "", "± | +/- | +-"),
    ("count", "", "qty | quantity"),
)


class Sense(NamedTuple):
    """What a word or phrase may be: a role, and what it says in it."""

    role: str
    value: str = ""


#: Words of a phrase → its senses.
Table = dict[tuple[str, ...], list[Sense]]


def phrases_of(text: str) -> list[str]:
    """Phrases as a table writes them: ` | ` between them."""
    return [p.strip() for p in text.split("|")]


def add(table: Table, spoken: Iterable[str], role: str, value: str = "") -> None:
    """Give phrases a sense in a table."""
    for phrase in spoken:
        key = tuple(t.text for t in tokens_of(phrase))
        sense = Sense(role, value)
        if key and sense not in table.setdefault(key, []):
            table[key].append(sense)


#: Roles of words that nothing is taken for: a name one letter off stays a name.
_SAYING_LITTLE = {"place", "blows", "side", "described", "filler", "told", "maybe", "no"}


class Lexicon:
    """A table of phrases, and what a mistyped word of it is."""

    def __init__(self, table: Mapping[tuple[str, ...], list[Sense]]) -> None:
        self.table = {key: tuple(senses) for key, senses in table.items()}
        self.longest = max(map(len, table))
        self._words = frozenset(w for key in table for w in key)
        #: A word less one of its letters → the words that it may be.
        self._less_one: dict[str, set[str]] = {}
        said = (
            key for key, senses in self.table.items() if {s.role for s in senses} - _SAYING_LITTLE
        )
        for word in {word for key in said for word in key}:
            if word.isalpha() and len(word) >= 3:
                for less in _less_one(word):
                    self._less_one.setdefault(less, set()).add(word)

    def knowing(self, own: Mapping[str, str]) -> Lexicon:
        """The same with somebody's own words: each has the senses of what it means; one that means
        nothing describes, and says no more."""
        if not own:
            return self
        knowing = copy(self)
        knowing.table = dict(self.table)
        for word, means in own.items():
            key, meant = (tuple(t.text for t in tokens_of(text)) for text in (word, means))
            senses = self.table.get(meant, ()) if means else (Sense("described"),)
            if key and senses:
                knowing.table[key] = senses
        own_words = {t.text for word in own for t in tokens_of(word)}
        knowing._words = self._words | own_words
        knowing.longest = max(self.longest, *(len(tokens_of(word)) for word in own))
        return knowing

    def has(self, word: str) -> bool:
        """Whether a word is in the table, alone or within a phrase."""
        return word in self._words

    def corrected(self, word: str) -> str:
        """The only word of the table that is one letter off, where the word itself is in none;
        otherwise the word. The first letter is never mistyped."""
        if word in self._words or not word.isalpha() or len(word) < 4:
            return word
        near = {w for less in _less_one(word) for w in self._less_one.get(less, ())}
        near = {w for w in near if w[0] == word[0] and _is_one_off(word, w)}
        near -= {f"{w}s" for w in near}
        return near.pop() if len(near) == 1 else word


def _less_one(word: str) -> set[str]:
    return {word} | {word[:i] + word[i + 1 :] for i in range(len(word))}


def _is_one_off(one: str, other: str) -> bool:
    """Whether a letter is left out, put in, changed, or two neighbours are exchanged."""
    if len(one) != len(other):
        less, more = sorted((one, other), key=len)
        return less in _less_one(more)
    differ = [i for i in range(len(one)) if one[i] != other[i]]
    swapped = len(differ) == 2 and differ[1] == differ[0] + 1
    return len(differ) == 1 or (
        swapped and one[differ[0]] == other[differ[1]] and one[differ[1]] == other[differ[0]]
    )
