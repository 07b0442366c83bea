"""What a builder said, read by its tokens (`line/`): taken where every word has a role, else asked.

Where two readings would make different parts, neither is taken: it is asked.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..things.parts import Part
from .line import GOES, SURE, Item, Lexicon, Reading, readings
from .printer import say
from .strict.asking import Entry
from .strict.lexer import quoted
from .words import NAMES

#: Reads a thing in the line's own words, and gives it its name.
Read = Callable[[Item], Entry]
TWO_WAYS = "It can be meant in two ways: which one?"
TOO_MUCH = "No part of that kind draws so much: say which part the figure is of."
SEVERAL = "There are several things in this line: all of them, or one?"
EITHER = "It is one of these: which?"
#: As many questions are asked of one line.
_MOST_QUESTIONS = 3
#: As many words that nobody knows are kept with a part unasked.
_KEPT_WORDS = 2


def heard(line: str, strict: Entry, read: Read, lexicon: Lexicon) -> Entry:
    """What a line comes to; `strict`, what the line's own grammar says of it."""
    every = readings(line, lexicon)
    if not every:
        return replace(strict, choices=()) if strict.unknown else strict
    best, *others = every
    if not best.items[0].kind or any(item.elsewhere for item in best.items):
        return _of_nothing(best.items[0], strict, lexicon, read)
    unsure = tuple(word for item in best.items for word in item.unsure)
    if len(best.items) > 1 and set(unsure) == {"or"}:
        return replace(_several(best.items, read), question=EITHER, parts=(), understood="")
    if unsure:
        return _in_doubt(unsure, strict)
    if len(best.items) > 1:
        return _several(best.items, read)
    item = best.items[0]
    entry = _read(item, read)
    if entry.part is None:
        return _still_asked(entry, strict, item, read)
    if len(item.loose) > _KEPT_WORDS or item.doubtful:
        return _but_for_words(entry.part, strict, item, read)
    other = _other(others, best.weight, entry.part, read)
    if other is not None:
        return Entry(None, question=TWO_WAYS, choices=(say(entry.part), say(other)))
    return replace(entry, spans=(item.spans,))


def _in_doubt(unsure: tuple[str, ...], strict: Entry) -> Entry:
    """Of a line with words that may turn it round: no answer to what else is asked makes up for
    them."""
    if not set(strict.unknown) <= set(unsure):
        return Entry(None, unknown=unsure)
    return replace(strict, choices=() if strict.unknown else strict.choices)


def _still_asked(entry: Entry, strict: Entry, item: Item, read: Read) -> Entry:
    """What is asked of a thing: by the line's own grammar where that knows every word of it."""
    if strict.question and not (strict.unknown or item.open):
        answers = tuple(_answers(strict.choices, item, read))
        if answers or not strict.choices:
            return replace(strict, choices=answers)
    return entry if entry.question or entry.unknown else replace(entry, unknown=strict.unknown)


def _but_for_words(part: Part, strict: Entry, item: Item, read: Read) -> Entry:
    """Of a thing with words that may matter: whether it is that without them."""
    if not strict.unknown and (answers := _answers(strict.choices, item, read)):
        return replace(strict, choices=tuple(answers))
    words = " ".join(f"“{word}”" for word in item.loose)
    question = f"{words}: not understood. Take the rest as it stands?"
    return Entry(None, unknown=item.loose, question=question, choices=(say(part),))


def _of_nothing(item: Item, strict: Entry, lexicon: Lexicon, read: Read) -> Entry:
    """Of a line that no word of says a kind of part: why it is none, or what is asked."""
    if item.elsewhere:
        return Entry(None, question=item.elsewhere, goes=GOES.get(item.elsewhere, ""))
    # What the words' table knows is no riddle, whatever the line's own grammar makes of it.
    unknown = tuple(w for w in strict.unknown if not lexicon.has(w.lower().strip(",;:.")))
    answers = tuple(_answers(strict.choices, item, read))
    return replace(strict, unknown=unknown or item.loose, choices=answers)


def _read(item: Item, read: Read) -> Entry:
    """A thing as it is taken, or what is asked of it: answers with what was said beside."""
    if item.open:
        lines = tuple(f"{item.said} {word}".strip() for word in item.open.words)
        entry = Entry(None, question=item.open.question, choices=lines)
    else:
        entry = read(item)
    if entry.part is not None or not entry.choices:
        return replace(entry, dropped=item.dropped)
    beside = (*item.described, *item.loose)
    answers = _answers(entry.choices, item, read)
    choices = tuple(_with(line, then, item) if beside else line for line, then in answers.items())
    return replace(entry, choices=choices, dropped=item.dropped, described=beside, loose=item.loose)


def _answers(lines: tuple[str, ...], item: Item, read: Read) -> dict[str, Entry]:
    """Lines that answer a question, and what each comes to: what leads to no part, nor to a
    question more, is none."""

    def leads_on(then: Entry, more: int) -> bool:
        return then.part is not None or (
            more > 0
            and any(leads_on(read(item._replace(said=line)), more - 1) for line in then.choices)
        )

    come_to = {line: read(item._replace(said=line)) for line in lines}
    return {line: then for line, then in come_to.items() if leads_on(then, _MOST_QUESTIONS)}


def _with(line: str, then: Entry, item: Item) -> str:
    """A line that answers a question, with what describes the thing and says nothing else."""
    if then.part is not None:
        return say(then.part)
    name = item.called or NAMES.get(item.kind, item.kind.capitalize())
    return f"{line} {quoted(', '.join([name, *item.described, *item.loose]))}"


def _several(items: tuple[Item, ...], read: Read) -> Entry:
    """Several things: all, or one? One that asks something itself is offered as it was said."""
    entries = [_read(item, read) for item in items]
    choices = [say(e.part) if e.part else item.said for e, item in zip(entries, items, strict=True)]
    parts = [e.part for e, item in zip(entries, items, strict=True) if e.part and not item.doubtful]
    return Entry(
        None,
        understood="; ".join(e.understood for e in entries if e.part),
        question=SEVERAL,
        choices=tuple(choices),
        dropped=tuple(d for e in entries for d in e.dropped),
        loose=tuple(word for item in items for word in item.loose),
        parts=tuple(parts) if len(parts) == len(items) else (),
        spans=tuple(item.spans for item in items),
    )


def _other(others: list[Reading], weight: float, part: Part, read: Read) -> Part | None:
    """The part of another reading that is nearly as likely, where it differs."""
    for reading in others:
        if weight - reading.weight >= SURE:
            return None
        item = reading.items[0]
        if len(reading.items) == 1 and item.kind and not (item.open or item.unsure or item.loose):
            other = read(item).part
            if other is not None and figures_of(other) != figures_of(part):
                return other
    return None


def figures_of(part: Part) -> dict[str, Any]:
    """What a part is but for how it is called."""
    return part.model_dump(exclude={"key", "name", "note"})
