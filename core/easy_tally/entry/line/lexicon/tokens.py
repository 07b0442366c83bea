"""A line cut into tokens: numbers in every form, words, marks; nothing is rewritten.

Each token keeps its place in the line, so that a question can name the words that it is about.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import NamedTuple

from ...words import FIGURE_NAMES, SETTINGS

#: Number words that stand alone or are put together: `two hundred and eighty`.
_ONES = dict(
    zip(
        [
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen",
        ],
        range(1, 20),
        strict=True,
    )
)
_TENS = dict(
    zip(
        ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"],
        range(20, 100, 10),
        strict=True,
    )
)
#: Digits as they are said one by one behind a point.
_DIGITS = {"zero": 0, "nought": 0, "oh": 0} | {w: n for w, n in _ONES.items() if n < 10}
_SCALES = {"hundred": 100, "thousand": 1000}
#: Words that say a number of things: `a pair of`, `two dozen`.
_SETS = {"dozen": 12, "pair": 2, "pairs": 2, "couple": 2}

_TOKEN = re.compile(
    r"""
    (?P<link>(?:https?://|www\.)\S+)
  | (?P<quoted>"[^"]+"|“[^”]+”)
  | (?P<setting>[a-z][a-z0-9.-]*:(?=\S)(?:"[^"]*"|\S)+)
  | (?P<known>m\.2s?|12vhpwr|12v-2x6|dvd-r(?:om|w)|cd-rom|blu-ray|so-dimm
      |i/o|m[³3]/h|mt/s|gb/s|mb/s)(?![a-z0-9])
  | (?P<number>(?:[0-9]{1,3}(?:[,.'][0-9]{3})+(?![0-9])|[0-9]+)(?:[.,][0-9]+)?
      |(?<![^\W\d_])[.,][0-9]+)
  | (?P<word>[^\W\d_]+(?:['’][^\W\d_]+)*)
  | (?P<mark>[^\s])
    """,
    re.VERBOSE | re.IGNORECASE,
)
#: What is behind its number without a space and is no unit: the whole is one word, as in `d5`.
#: A number with decimals stands by itself: `ATX3.1`.
_MIXED = re.compile(
    r"(?:[a-z]+[0-9]+[a-z0-9]*|[0-9]+[a-z]+[0-9]+[a-z0-9]*)(?![a-z0-9]|\.[0-9])", re.IGNORECASE
)
#: Words that stand before a figure without a space: `gpu300w` is no model.
_BEFORE_FIGURE = re.compile(
    r"(gpu|cpu|fans?|hdd|ssd|ram|card|pump|disk|board|tdp|tgp|tbp)(?=[0-9.,]+(?:w|mm|cm|ma|a|gb|tb)\b)",
    re.IGNORECASE,
)
_WORD = re.compile(r"[^\W\d_]+(?:['’][^\W\d_]+)*")
#: What stands before a colon in the line's own words.
_LABELS = frozenset(SETTINGS) | FIGURE_NAMES
#: Marks within a number.
_MARKS = "[,.']"
_DASHES = str.maketrans("–—−‐‑‒×″”", '------x""')


class Token(NamedTuple):
    """A piece of a line: its text in lower case, where it stands, the number that it says, and
    whether it hangs on the token before."""

    text: str
    at: int
    to: int
    number: float | None = None
    glued: bool = False
    #: What a number says where its mark is of thousands, and not of decimals.
    thousands: float | None = None

    @property
    def is_quoted(self) -> bool:
        """Whether it is a name in quotes."""
        return self.text[:1] == '"'


def tokens_of(line: str) -> list[Token]:
    """The tokens of a line, number words put together."""
    return list(_joined([*_cut(line.translate(_DASHES))]))


def in_digits(line: str) -> str:
    """A line with each number that is said in words as a count in digits: `four` as `x4`."""
    for token in reversed(tokens_of(line)):
        if token.number is not None and line[token.at].isalpha():
            line = f"{line[: token.at]} x{token.text} {line[token.to :]}"
    return line


def _cut(line: str) -> Iterator[Token]:
    end, lower = -1, line.lower()
    at = 0
    while match := _TOKEN.search(lower, at):
        start, at = match.span()
        text, kind = match.group(), match.lastgroup
        if text[0] == '"' and kind in ("quoted", "mark") and lower[:start][-1:].isdigit():
            text, at, kind = "inch", start + 1, "word"
        mixed = _MIXED.match(lower, start)
        if kind == "setting" and text.partition(":")[0] not in _LABELS:
            match = _WORD.match(lower, start) or match
            text, at, kind = match.group(), match.end(), "word"
            mixed = _MIXED.match(lower, start)
        if kind in ("word", "number") and mixed and _is_one(mixed.group()):
            text, at, kind = mixed.group(), mixed.end(), "word"
        if of_figure := _BEFORE_FIGURE.match(lower, start):
            text, at, kind = of_figure.group(), of_figure.end(), "word"
        elif kind == "word" and text[0] == "x" and len(text) > 2 and lower[:start][-1:].isdigit():
            text, at = "x", start + 1  # `3xfan`
        glued = start == end
        end = at
        if (
            kind == "mark"
            and text == "-"
            and glued
            and re.match(r"[^\W\d_]|[0-9]", lower[at : at + 1])
        ):
            before = lower[start - 1 : start]
            if not (before.isdigit() and lower[at].isdigit()):
                end = at  # `8-pin`: the two stand together
                continue
        if kind == "number":
            yield Token(text, start, at, _value(text), glued, _thousands(text))
        else:
            yield Token(text, start, at, None, glued)


def _is_one(text: str) -> bool:
    """Whether letters and digits together are one word: a model, a form, `ddr5`; not `2x8`, `x3`,
    nor a number with its unit."""
    return not re.fullmatch(
        r"x[0-9]{1,3}(?:x[0-9]+)*[a-z]*|[0-9]+x[0-9]+(?:x[0-9]+)?(?:[a-z]+)?|[0-9]+[a-z]+", text
    )


def _value(text: str) -> float:
    """What digits say: a mark is of decimals, but for those before the last and where all of them
    are of thousands."""
    marks = re.findall(_MARKS, text)
    if len(marks) < 2:
        return float(text.replace("'", "").replace(",", "."))
    thousands = _thousands(text)
    if thousands is not None:
        return thousands
    whole, _, decimals = text.rpartition(marks[-1])
    return float(f"{re.sub(_MARKS, '', whole)}.{decimals}")


def _thousands(text: str) -> float | None:
    """`1.200` as twelve hundred; None where its digits can't be read so."""
    if not re.fullmatch(r"[1-9][0-9]{0,2}(?:[,.'][0-9]{3})+", text):
        return None
    return float(re.sub(_MARKS, "", text))


def _joined(tokens: list[Token]) -> Iterator[Token]:
    """Tokens with each number that is said in words as one."""
    i = 0
    while i < len(tokens):
        said = _said_number(tokens, i)
        if said is None:
            yield tokens[i]
            i += 1
            continue
        to, value = said
        if [t.text for t in tokens[to : to + 3]] == ["and", "a", "half"]:
            to, value = to + 3, value + 0.5
        first, last = tokens[i], tokens[to - 1]
        yield Token(f"{value:g}", first.at, last.to, value, first.glued)
        i = to


def _digits_after(spoken: _Spoken) -> str:
    """The digits behind a `point`, said one by one: `point one five`."""
    digits = ""
    while (n := _DIGITS.get(spoken.word(1 + len(digits)))) is not None:
        digits += str(n)
    return digits


class _Spoken:
    """A number in words, taken word by word: thousands, and what stands behind them."""

    def __init__(self, words: list[str]) -> None:
        self.words, self.at = words, 0
        self.thousands = self.below = 0.0

    @property
    def value(self) -> float:
        """What the words come to so far."""
        return self.thousands + self.below

    def word(self, ahead: int = 0) -> str:
        """The next word, or one behind it; nothing beyond the end."""
        at = self.at + ahead
        return self.words[at] if at < len(self.words) else ""

    def takes(self) -> bool:
        """Whether the next word goes on with the number; it is taken then."""
        skipped = 1 if self._is_joined() else 0
        word = self.word(skipped)
        if word in _ONES and self._has_room(_ONES[word]):
            self.below += _ONES[word]
        elif word in _TENS and self.below % 100 == 0:
            self.below += _TENS[word]
        elif word in _SCALES and self.value:
            self.below *= _SCALES[word]
            if word == "thousand":
                self.thousands, self.below = self.value, 0
        else:
            return False
        self.at += skipped + 1
        return True

    def _has_room(self, ones: int) -> bool:
        tens = self.below % 100
        return tens == 0 or (tens % 10 == 0 and tens >= 20 and ones < 10)

    def _is_joined(self) -> bool:
        """Whether the next word only joins: `one hundred and ten`, `twenty-five`."""
        if self.word() == "and":
            return self.below >= 100 and (self.word(1) in _ONES or self.word(1) in _TENS)
        return self.word() == "-" and self.value > 0 and self.word(1) in _ONES


def _said_number(tokens: list[Token], i: int) -> tuple[int, float] | None:
    """The number that words from here on say, and where they end."""
    words = [t.text for t in tokens[i : i + 9]]
    if words[:3] == ["half", "a", "dozen"]:
        return i + 3, 6
    if words[:2] in (["half", "a"], ["half", "an"]):
        return i + 2, 0.5
    spoken = _Spoken(words)
    if words[0] in ("zero", "nought") and spoken.word(1) == "point":
        spoken.at = 1
    if words[0] in _SCALES:
        spoken.below = 1  # `hundred watt`
    has_article = words[0] == "a" and spoken.word(1) in (*_SETS, *_SCALES)
    if has_article:
        spoken.at = 1
        spoken.below = 1 if spoken.word() in _SCALES else 0
    while spoken.takes():
        pass
    word = spoken.word()
    if word == "point" and (digits := _digits_after(spoken)):
        return i + spoken.at + 1 + len(digits), spoken.value + float(f"0.{digits}")
    is_set = spoken.value or has_article or word != "pair" or spoken.word(1) == "of"
    if word in _SETS and is_set:
        end = spoken.at + 1 + (spoken.word(1) == "of")
        return i + end, (spoken.value or 1) * _SETS[word]
    return (i + spoken.at, spoken.value) if spoken.value else None
