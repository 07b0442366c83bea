"""Readings of a line: every token in one role, weighed; the best put into the line's own words."""

from __future__ import annotations

import math
import re
from collections.abc import Iterator
from typing import NamedTuple

from .amounts import Line
from .chart import ways
from .grammar import slots
from .items import Item, items_of
from .lexicon import PARTS, Lexicon
from .patterns import Slot

#: How much better one reading has to be than another to be taken unasked.
SURE = 1.0
#: Longest line that is read so, in tokens: nobody says more of one part.
MOST_TOKENS = 60
#: A word that the tables don't know.
_LOOSE = -1.6


class Reading(NamedTuple):
    """A line as it was read: its items, and how well they stand."""

    items: tuple[Item, ...]
    weight: float


def readings(text: str, lexicon: Lexicon = PARTS) -> list[Reading]:
    """Readings of a line that make different things of it, the best first."""
    line = Line(text, lexicon)
    if len(line.tokens) > MOST_TOKENS:
        return []
    heaviest: dict[tuple[str, ...], Reading] = {}
    best = -math.inf
    for way in ways(line, _slots):
        if best - way.weight > SURE:
            break  # no thing weighs more than its slots: nothing as sure comes after
        items = items_of(way.slots, line)
        if items is None:
            continue
        weight = way.weight + sum(item.weight for item in items)
        best = max(best, weight)
        key = tuple(item.said for item in items)
        if key not in heaviest or heaviest[key].weight < weight:
            heaviest[key] = Reading(tuple(items), weight)
    return sorted(heaviest.values(), key=lambda r: -r.weight)


def _slots(line: Line, i: int) -> Iterator[Slot]:
    yield from slots(line, i)
    yield from _loose(line, i)


def _loose(line: Line, i: int) -> Iterator[Slot]:
    token = line.tokens[i]
    is_word = token.text[0].isalpha() and not re.fullmatch(r"x[0-9]+|.*:.*", token.text)
    if token.number is None and is_word and not line.is_unit(i):
        known = bool(line.senses[i])
        yield Slot("loose", token.text, i, i + 1, _LOOSE - 1.2 * known)
        to = i + 1
        while to < len(line.tokens) and line.raw[line.tokens[to].at - 1] == "-":
            to += 1  # `b-series`
        if to > i + 1:
            yield Slot("loose", token.text, i, to, _LOOSE)
