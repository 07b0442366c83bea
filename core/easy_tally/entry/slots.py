"""A part in slots, as they stand under the line before it is taken: kind, count, each, in all, what
feeds it, sizes, what is left over; and where in the line each of them was said."""

from __future__ import annotations

from collections.abc import Mapping
from typing import NamedTuple

from ..things.parts import Part
from .line import PARTS, readings
from .own import NO_WORDS
from .strict.asking import Entry
from .telling import fed_by, figures_told, in_all, measures_told
from .words import NAMES, Spans


class SaidSlot(NamedTuple):
    """A slot: its name, what it holds, and the characters of the line that say it, `at` to `to`;
    both 0 where the line says nothing of it."""

    name: str
    words: str
    at: int = 0
    to: int = 0


def slots_of(
    line: str, entry: Entry, own: Mapping[str, str] = NO_WORDS, spans: bool = True
) -> tuple[SaidSlot, ...]:
    """The slots of what a line is taken as; of several things those of each. None where it is not
    taken. Without `spans` it is not told where in the line they stand: of a list nobody asks."""
    parts = entry.taken
    if not parts:
        return ()
    told = (entry.spans or _spans(line, own)) if spans else ()
    slots: list[SaidSlot] = []
    for i, part in enumerate(parts):
        seen = told[i] if len(told) == len(parts) else ()
        slots += _of_part(part, seen, entry.loose if len(parts) == 1 else ())
    if entry.dropped:
        slots.append(SaidSlot("left out", ", ".join(entry.dropped)))
    return tuple(slots)


def _spans(line: str, own: Mapping[str, str]) -> tuple[Spans, ...]:
    """Where the slots stand of a line that its own grammar took."""
    every = readings(line, PARTS.knowing(own))
    return tuple(item.spans for item in every[0].items) if every else ()


def _of_part(part: Part, spans: Spans, loose: tuple[str, ...]) -> list[SaidSlot]:
    held = {
        "kind": NAMES.get(part.kind, part.name.split(",")[0]),
        "count": f"{part.count}",
        "each": ", ".join(figures_told(part)) or "?",
        "in all": in_all(part).removesuffix(" in all"),
        "fed by": ", ".join(fed_by(part)),
        "measures": ", ".join(measures_told(part)),
        "note": ", ".join(loose),
    }
    first = {name: (at, to) for name, at, to in reversed(spans)}
    return [
        SaidSlot(name, words, *first.get(name, (0, 0))) for name, words in held.items() if words
    ]
