"""Patterns over tokens, as rows of elements: the grammar's own small language.

`N` a number, `I` a whole one that counts, `Q.w,a` a number with one of these units, `<role>` a word
of the lexicon, `_` what may stand between (a mark, a word that says nothing), `*` any word; else
words as they stand, `|` between them. With `?` behind it an element may be left out; it gives None
then.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any, NamedTuple

from .amounts import Line

#: As many as are counted of anything in a line.
MOST_COUNTED = 64
_MARKS = (":", "=", ",", "(")
_FILLS = ("filler", "at", "for", "with")


class Element(NamedTuple):
    """One element of a pattern: what it takes, and whether it may be left out."""

    kind: str
    values: frozenset[str] = frozenset()
    role: str = ""
    is_optional: bool = False

    def ends(self, line: Line, i: int) -> Iterator[tuple[int, Any]]:
        """Where it may end from a place on, and what it says."""
        match self.kind:
            case "words":
                if line.text(i) in self.values:
                    yield i + 1, None
            case "number":
                if (n := line.number(i)) is not None:
                    yield i + 1, n
            case "whole":
                n = line.number(i)
                if n is not None and line.text(i).isdigit() and n <= MOST_COUNTED:
                    yield i + 1, int(n)
            case "amount":
                for to, x in line.amounts(i):
                    if x.unit in self.values:
                        yield to, x
            case "role":
                yield from line.of_role(i, self.role)
            case "unknown":
                if i < len(line.tokens) and line.number(i) is None and not line.of_role(i, "unit"):
                    yield i + 1, None
            case _:
                yield from ((to, None) for to in over(line, i))


def element(text: str) -> Element:
    """An element as it is written."""
    is_optional = len(text) > 1 and text.endswith("?")
    text = text.removesuffix("?") if is_optional else text
    if text in ("N", "I", "_", "*"):
        kind = {"N": "number", "I": "whole", "_": "between", "*": "unknown"}[text]
        return Element(kind, is_optional=is_optional)
    if text.startswith("Q."):
        return Element("amount", frozenset(text[2:].split(",")), is_optional=is_optional)
    if text.startswith("<") and text.endswith(">"):
        return Element("role", role=text[1:-1].replace("_", " "), is_optional=is_optional)
    return Element("words", frozenset(text.split("|")), is_optional=is_optional)


def pattern(text: str) -> tuple[Element, ...]:
    """A pattern as it is written, its elements between spaces."""
    return tuple(map(element, text.split()))


def matches(
    line: Line, i: int, elements: tuple[Element, ...], said: tuple[Any, ...] = ()
) -> Iterator[tuple[int, tuple[Any, ...]]]:
    """Where a pattern may end from a place on, and what its elements say: numbers, amounts, and
    the values of roles; None for one that is left out."""
    if not elements:
        yield i, said
        return
    first, rest = elements[0], elements[1:]
    says = first.kind in ("number", "whole", "amount", "role")
    for to, value in first.ends(line, i):
        yield from matches(line, to, rest, (*said, value) if says else said)
    if first.is_optional:
        yield from matches(line, i, rest, (*said, None) if says else said)


def over(line: Line, i: int) -> list[int]:
    """A place, and that behind a mark or one or two words that say nothing."""
    places = [i]
    for _ in range(2):
        last = places[-1]
        fills = [to for role in _FILLS for to, _ in line.of_role(last, role)]
        if line.text(last) in _MARKS:
            places.append(last + 1)
        elif fills:
            places.append(min(fills))
        else:
            break
    return places


class Slot(NamedTuple):
    """A piece of a line and the role that it has: `value` by role."""

    role: str
    value: Any
    at: int
    to: int
    weight: float

    def by_length(self) -> Slot:
        """The same, weighed by how many tokens it takes together: more are likelier meant so."""
        return self._replace(weight=self.weight + 0.5 * (self.to - self.at - 1))


@dataclass(frozen=True, slots=True, eq=False)
class Row:
    """A pattern, the role of what it finds, and the slot's value from what its elements say; None
    where it says nothing after all."""

    role: str
    elements: tuple[Element, ...]
    weight: float
    value: Callable[..., Any]


class Rows:
    """Patterns with the roles of what they find, by what they may begin with."""

    def __init__(self, *rows: tuple[str, str, float, Callable[..., Any]]) -> None:
        #: A number (`0`), a word, a `<role>` → rows.
        self._by_beginning: dict[str, list[Row]] = {}
        for role, text, weight, value in rows:
            row = Row(role, pattern(text), weight, value)
            for first in row.elements:
                keys = {"words": first.values, "role": {f"<{first.role}>"}}.get(first.kind, {"0"})
                for key in keys:
                    self._by_beginning.setdefault(key, []).append(row)
                if not first.is_optional:
                    break

    def slots(self, line: Line, i: int) -> Iterator[Slot]:
        """What its patterns find at a place."""
        keys = [line.text(i), *(f"<{role}>" for role in line.senses[i])]
        keys += [] if line.number(i) is None else ["0"]
        for row in dict.fromkeys(row for key in keys for row in self._by_beginning.get(key, ())):
            for to, said in matches(line, i, row.elements):
                value = row.value(*said) if to > i else None
                if value is not None:
                    yield Slot(row.role, value, i, to, row.weight)
