"""A second opinion on what a builder said: the line read by its tokens (`line/`), each of them in a
role of its own. Where the two readings would make different parts, neither is taken: it is asked.

What is read so takes the place of `talk` step by step.
"""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Any, NamedTuple

from ..things.parts import Part
from .asking import Entry
from .line import SURE, Item, Reading, readings
from .printer import say

#: Reads a thing in the line's own words, and gives it its name.
Read = Callable[[Item], Entry]
TWO_WAYS = "It can be meant in two ways: which one?"
TOO_MUCH = "No part of that kind draws so much: say which part the figure is of."
SEVERAL = "There are several things in this line: which one first?"


class Second(NamedTuple):
    """What the second reading gives: an entry; whether what it asks is of what can't be told from
    the line at all."""

    entry: Entry
    is_open: bool = False
    #: Of two that are nearly alike the better one.
    best: Part | None = None
    #: Not every word has a role: it says of what kind of part it takes the line to be, no more.
    doubts: str = ""


def second(line: str, read: Read) -> Second | None:
    """The second reading of a line; None where not every word of it has a role."""
    every = readings(line)
    if not every:
        return None
    best, *others = every
    if not _is_sure(best):
        return _doubt(best, read)
    if len(best.items) > 1:
        return _several(best.items, read)
    item = best.items[0]
    if item.open:
        return Second(_asked(item), is_open=item.open.is_told_nowhere)
    entry = read(item)
    if entry.part is None:
        too_much = entry.question == TOO_MUCH
        return Second(entry, is_open=too_much) if entry.choices or too_much else None
    other = _other(others, best.weight, entry.part, read)
    if other is not None:
        asked = Entry(None, question=TWO_WAYS, choices=(say(entry.part), say(other)))
        return Second(asked, best=entry.part)
    return Second(entry)


def _doubt(best: Reading, read: Read) -> Second | None:
    """Of a reading with words that have no role no more than its kind, where another takes it."""
    item = best.items[0]
    if len(best.items) > 1 or item.unsure:
        return None
    entry = _asked(item) if item.open else read(item)
    return Second(entry, doubts=item.kind) if entry.part or entry.choices else None


def _is_sure(reading: Reading) -> bool:
    """Whether every word of it has a role that says something sure."""
    return not any(item.unsure or item.loose for item in reading.items)


def _asked(item: Item) -> Entry:
    asks = item.open
    if asks is None:
        raise ValueError("an item with something open")
    choices = tuple(f"{item.said} {word}".strip() for word in asks.words)
    return Entry(None, question=asks.question, choices=choices)


def _several(items: tuple[Item, ...], read: Read) -> Second | None:
    """Several things: which first? One that asks something itself is offered as it was said."""
    entries = [_asked(item) if item.open else read(item) for item in items]
    asked = [item for entry, item in zip(entries, items, strict=True) if entry.part is None]
    if asked and (len({i.kind for i in items}) < len(items) or not all(map(_is_bare, asked))):
        return None  # it may be one thing, and what is told of it
    if all(item.kind == "usb" for item in items):
        return None
    choices = [say(e.part) if e.part else item.said for e, item in zip(entries, items, strict=True)]
    return Second(Entry(None, question=SEVERAL, choices=tuple(choices)), is_open=True)


def _is_bare(item: Item) -> bool:
    """Whether nothing is said of a thing but what it is, and how many."""
    return len([w for w in item.said.split() if not re.fullmatch("x[0-9]+", w)]) == 1


def _other(others: list[Reading], weight: float, part: Part, read: Read) -> Part | None:
    """The part of another reading that is nearly as likely, where it differs."""
    for reading in others:
        if weight - reading.weight >= SURE:
            return None
        if len(reading.items) == 1 and _is_sure(reading) and not reading.items[0].open:
            other = read(reading.items[0]).part
            if other is not None and figures_of(other) != figures_of(part):
                return other
    return None


def figures_of(part: Part) -> dict[str, Any]:
    """What a part is but for how it is called."""
    return part.model_dump(exclude={"key", "name", "note"})


def of_both(first: Entry, opinion: Second | None) -> Entry:
    """What two readings of a line come to: what both say, or the one that says more; a question
    where they differ."""
    if opinion is None:
        return first
    entry = opinion.entry
    if opinion.doubts:
        if first.part is None or opinion.doubts == first.part.kind or first.part.kind == "usb":
            return first
        choices = entry.choices or ((say(entry.part),) if entry.part else ())
        question = entry.question or TWO_WAYS
        return Entry(None, question=question, choices=(*choices, say(first.part)))
    if opinion.best is not None and first.part is not None:
        agreed = figures_of(first.part) == figures_of(opinion.best)
        return first if agreed or _says_more(first.part, opinion.best) else entry
    if entry.part is None:
        taken = first.part is None and not first.choices
        return entry if taken or opinion.is_open else first
    if first.part is None:
        return entry
    if entry.part.kind == "usb":
        return first  # what hangs on USB goes by its names: those are known to the first alone
    if figures_of(first.part) == figures_of(entry.part) or _says_more(first.part, entry.part):
        return first
    if _says_more(entry.part, first.part) or _numbers(first) > _numbers(entry):
        return entry
    return Entry(None, question=TWO_WAYS, choices=(say(entry.part), say(first.part)))


def _numbers(entry: Entry) -> int:
    """How many numbers ended in the name, where they say nothing."""
    return len(re.findall("[0-9]+", " ".join(entry.described)))


def _says_more(part: Part, than: Part) -> bool:
    """Whether a part is the other one with more said of it."""
    if type(part) is not type(than):
        return False
    usual = {name: f.default for name, f in type(part).model_fields.items()}
    ours, theirs = figures_of(part), figures_of(than)
    differ = [name for name in ours if ours[name] != theirs[name]]
    return all(name != "count" and theirs[name] == usual[name] for name in differ)
