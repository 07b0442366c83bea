"""Readings of a line: every token in one role, weighed; the best put into the line's own words."""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import NamedTuple

from .amounts import Line
from .grammar import Slot, slots
from .items import Item, items_of

#: How many readings are kept at each place; how much better one has to be to be taken unasked.
_KEPT, SURE = 10, 1.0
#: Longest line that is read so, in tokens: nobody says more of one part.
MOST_TOKENS = 60
#: A word that the tables don't know.
_LOOSE = -1.6


class Reading(NamedTuple):
    """A line as it was read: its items, and how well they stand."""

    items: tuple[Item, ...]
    weight: float


class _Way(NamedTuple):
    weight: float
    slots: tuple[Slot, ...]


def readings(text: str) -> list[Reading]:
    """Readings of a line that make different things of it, the best first."""
    line = Line(text)
    if len(line.tokens) > MOST_TOKENS:
        return []
    heaviest: dict[tuple[str, ...], Reading] = {}
    for way in _ways(line):
        items = items_of(way.slots, line)
        if items is None:
            continue
        weight = way.weight + sum(item.weight for item in items)
        key = tuple(item.said for item in items)
        if key not in heaviest or heaviest[key].weight < weight:
            heaviest[key] = Reading(tuple(items), weight)
    return sorted(heaviest.values(), key=lambda r: -r.weight)


def _ways(line: Line) -> list[_Way]:
    """The heaviest rows of slots that cover a line from its beginning to its end."""
    n = len(line.tokens)
    best: list[list[_Way]] = [[] for _ in range(n + 1)]
    best[0] = [_Way(0.0, ())]
    for i in range(n):
        if not best[i]:
            continue
        here = sorted(best[i], key=lambda w: -w.weight)[:_KEPT]
        for slot in (*_merged(slots(line, i)), *_loose(line, i)):
            for way in here:
                best[slot.to].append(_Way(way.weight + slot.weight, (*way.slots, slot)))
    return sorted(best[n], key=lambda w: -w.weight)[: 4 * _KEPT]


def _merged(every: Iterator[Slot]) -> list[Slot]:
    """Slots that say the same of the same words once, at their heaviest."""
    kept: dict[tuple[object, ...], Slot] = {}
    for slot in every:
        key = (slot.role, slot.value, slot.to)
        if key not in kept or kept[key].weight < slot.weight:
            kept[key] = slot
    return list(kept.values())


def _loose(line: Line, i: int) -> Iterator[Slot]:
    token = line.tokens[i]
    is_unit = i > 0 and line.number(i - 1) is not None and line.of_role(i, "unit")
    is_word = token.text[0].isalpha() and not re.fullmatch(r"x[0-9]+|.*:.*", token.text)
    if token.number is None and is_word and not is_unit:
        known = bool(line.senses[i])
        yield Slot("loose", token.text, i, i + 1, _LOOSE - 1.2 * known)
        to = i + 1
        while to < len(line.tokens) and line.raw[line.tokens[to].at - 1] == "-":
            to += 1  # `b-series`
        if to > i + 1:
            yield Slot("loose", token.text, i, to, _LOOSE)
