"""A line with the senses of its words, and the amounts in it."""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import NamedTuple

from ..words import KINDS
from .lexicon import PARTS, UNITS, Lexicon, tokens_of


class Amount(NamedTuple):
    """A number with its unit: low, likely, high, in the line's own unit; how it was said."""

    low: float
    likely: float
    high: float
    unit: str
    assumed: bool = False

    @property
    def exact(self) -> bool:
        """Whether it is one number."""
        return self.low == self.likely == self.high


class Line:
    """The tokens of a line with all their senses."""

    def __init__(self, raw: str, lexicon: Lexicon = PARTS) -> None:
        self.raw, self._lexicon = raw, lexicon
        self.tokens = tokens = tokens_of(raw)
        self.senses: list[dict[str, list[tuple[int, str]]]] = [{} for _ in tokens]
        self._amounts: dict[int, list[tuple[int, Amount]]] = {}
        table, longest = lexicon.table, lexicon.longest
        # A name is written with a capital: nothing of it is mistyped.
        said = [re.sub("['’]s$", "", t.text) for t in tokens]  # `the card's power`
        texts = [
            text if raw[t.at].isupper() else lexicon.corrected(text)
            for t, text in zip(tokens, said, strict=True)
        ]
        self.corrected = [t != text for t, text in zip(texts, said, strict=True)]
        for i in range(len(tokens)):
            for n in range(min(longest, len(tokens) - i), 0, -1):
                for sense in table.get(tuple(texts[i : i + n]), ()):
                    self.senses[i].setdefault(sense.role, []).append((i + n, sense.value))
        for i, senses in enumerate(self.senses):
            # A figure's name of several words is that alone: `board power` is no board.
            ends = [to for to, _ in senses.get("figure", ()) if to > i + 1]
            for j in range(i, max(ends, default=i)):
                self.senses[j].pop("kind", None)
        #: Kinds of parts that the line speaks of, whatever it says of them.
        self.kinds = {
            KINDS.get(value.partition(" ")[0])
            for senses in self.senses
            for _, value in senses.get("kind", ())
        }
        self.speaks_of_board = "board" in self.kinds

    def of_role(self, i: int, role: str) -> list[tuple[int, str]]:
        """Where a sense of a role that begins here ends, and its value; the longest first."""
        if i >= len(self.tokens):
            return []
        return self.senses[i].get(role, [])

    def knows(self, i: int) -> bool:
        """Whether a word is in the tables, alone or within a phrase, mistyped or not."""
        return self.corrected[i] or self._lexicon.has(self.tokens[i].text)

    def amounts(self, i: int) -> list[tuple[int, Amount]]:
        """Numbers with a unit that begin at a place, and where they end."""
        if i not in self._amounts:
            self._amounts[i] = [*amounts(self, i)]
        return self._amounts[i]

    def number(self, i: int) -> float | None:
        """The number at a place."""
        return self.tokens[i].number if i < len(self.tokens) else None

    def text(self, i: int) -> str:
        """The token's text; nothing beyond the end."""
        return self.tokens[i].text if i < len(self.tokens) else ""

    def typed(self, at: int, to: int) -> str:
        """Some tokens as they were typed, `to` not among them."""
        return self.raw[self.tokens[at].at : self.tokens[to - 1].to]

    def is_unit(self, i: int) -> bool:
        """Whether a token is the unit of the number before it."""
        return i > 0 and self.number(i - 1) is not None and bool(self.of_role(i, "unit"))


#: A part that nobody measured: a tenth either way. Source: assumption.
_ABOUT = 0.1


def unit_at(line: Line, i: int) -> Iterator[tuple[int, str, float]]:
    """Units that stand at a place: where they end, the line's own unit, and the factor to it."""
    # `3 in front`: no inches.
    if line.text(i) == "in" and (line.text(i + 1) == "the" or line.of_role(i + 1, "place")):
        return
    for to, unit in line.of_role(i, "unit"):
        own, factor = UNITS[unit]
        yield to, own, factor


def amounts(line: Line, i: int) -> Iterator[tuple[int, Amount]]:
    """Numbers with a unit from here on: one, a range, give or take, three by slashes, about."""
    for to, _ in line.of_role(i, "about"):
        for end, x in plain_amounts(line, to):
            if x.exact:
                yield end, _about(x)
    for end, x in plain_amounts(line, i):
        yield end, x
        for to, _ in line.of_role(end, "or so") if x.exact else ():
            yield to, _about(x)


def _about(x: Amount) -> Amount:
    low, high = x.likely * (1 - _ABOUT), x.likely * (1 + _ABOUT)
    return Amount(low, x.likely, high, x.unit, assumed=True)


def plain_amounts(line: Line, i: int) -> Iterator[tuple[int, Amount]]:
    """The same without `about`."""
    first = line.number(i)
    if first is None:
        for to, _ in line.of_role(i, "between"):
            low = line.number(to)
            if low is not None and line.text(to + 1) in ("and", "to"):
                yield from _range(line, i, low, to + 2)
        return
    thousands = line.tokens[i].thousands
    for to, unit, factor in unit_at(line, i + 1):
        value = thousands if thousands is not None and unit == "w" else first
        value *= factor
        yield to, Amount(value, value, value, unit)
        yield from _give_or_take(line, to, value, unit)
    for to, _ in line.of_role(i + 1, "to"):
        yield from _range(line, i, first, to)
    for j, unit, _ in unit_at(line, i + 1):  # `40 W to 60 W`
        for behind, _ in line.of_role(j, "to"):
            yield from (x for x in _range(line, i, first, behind) if x[1].unit == unit)
    if line.text(i + 1) == "/" and line.text(i + 3) == "/":
        middle, last = line.number(i + 2), line.number(i + 4)
        if middle is not None and last is not None and first <= middle <= last:
            for to, unit, factor in unit_at(line, i + 5):
                yield to, Amount(first * factor, middle * factor, last * factor, unit)


def _range(line: Line, i: int, low: float, at: int) -> Iterator[tuple[int, Amount]]:
    high = line.number(at)
    if high is None or high < low:
        return
    for to, unit, factor in unit_at(line, at + 1):
        yield to, Amount(low * factor, (low + high) / 2 * factor, high * factor, unit)


def _give_or_take(line: Line, i: int, value: float, unit: str) -> Iterator[tuple[int, Amount]]:
    signs = [to for to, _ in line.of_role(i, "plus minus")]
    if line.text(i) == "+" and line.text(i + 1) == "/" and line.text(i + 2) == "-":
        signs.append(i + 3)
    for to in signs:
        width = line.number(to)
        if width is None:
            continue
        ends = [(end, own) for end, own, _ in unit_at(line, to + 1)] or [(to + 1, unit)]
        for end, own in ends:
            more = value * width / 100 if own == "%" else width
            if own in ("%", unit):
                yield end, Amount(max(value - more, 0), value, value + more, unit)
