"""A line as `word:value` pairs by a table: declared once for the line and a CSV's columns."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from typing import Any, TypeVar

from pydantic import BaseModel, ValidationError

from ...base.errors import BadInput
from ...base.problems import problems_of
from ..printer import number_word
from ..strict.lexer import QUOTED, quoted, unquoted

_T = TypeVar("_T", bound=BaseModel)


class Unread(BadInput):
    """A line that says something which can't be taken: its words, what they need."""


@dataclass(frozen=True, slots=True)
class Word:
    """A word of a line: its field, its unit, how a value is read (ValueError: what it needs) and
    said."""

    word: str
    field: str
    unit: str = ""
    read: Callable[[str], Any] = str
    say: Callable[[Any], str] = str

    @property
    def column(self) -> str:
        """Its column in a CSV."""
        return f"{self.word} {self.unit}".strip()


def number(text: str) -> float:
    """A number, with a decimal point or comma, its unit behind it or not."""
    match = re.fullmatch(r"([0-9]{1,9}(?:[.,][0-9]{1,12})?)\s*[a-z%°³/]*3?h?", text.lower())
    if match is None:
        raise ValueError("a number")
    return float(match[1].replace(",", "."))


def whole(text: str) -> int:
    """A whole number."""
    if not re.fullmatch(r"[0-9]{1,6}", text):
        raise ValueError("a whole number")
    return int(text)


def percent(text: str) -> float:
    """A share in percent."""
    return round(number(text) / 100, 6)


def said_percent(share: float) -> str:
    """A share in percent."""
    return number_word(round(share * 100, 6))


def yes(text: str) -> bool:
    """Yes or no."""
    if text not in ("yes", "no"):
        raise ValueError("yes or no")
    return text == "yes"


def said_yes(value: bool) -> str:
    """Yes or no."""
    return "yes" if value else "no"


def one_of(*choices: str) -> Callable[[str], str]:
    """One of some words, in any case."""

    def read(text: str) -> str:
        choice = {c.lower(): c for c in choices}.get(text.lower())
        if choice is None:
            raise ValueError(f"one of {', '.join(choices)}")
        return choice

    return read


def several(read: Callable[[str], Any]) -> Callable[[str], tuple[Any, ...]]:
    """Some of them between commas; `none`: none."""
    return lambda text: () if text == "none" else tuple(read(t.strip()) for t in text.split(","))


def listed(say: Callable[[Any], str]) -> Callable[[Any], str]:
    """Some of them between commas."""
    return lambda values: ",".join(map(say, values)) or "none"


def numbers(word: str, field: str, unit: str) -> Word:
    """A word of a plain number."""
    return Word(word, field, unit, number, number_word)


#: What is not known, where something else goes without saying.
_UNKNOWN = "?"
_PAIR = re.compile(rf"(?<!\S)([a-z0-9.-]+):({QUOTED}|\S+)")
_NAME = re.compile(rf"(?<![0-9]){QUOTED}")


def pairs_of(line: str, words: Iterable[Word]) -> tuple[dict[str, str], str]:
    """Word → value of a line, `name` what stands in quotes; and what is left of the line."""
    known = {w.word for w in words}
    pairs: dict[str, str] = {}

    def take(match: re.Match[str]) -> str:
        if match[1] not in known or match[1] in pairs:
            return match[0]
        value = match[2]
        pairs[match[1]] = unquoted(value) if value.startswith('"') else value
        return " "

    rest = _PAIR.sub(take, line)
    if name := _NAME.search(rest):
        pairs["name"] = unquoted(name.group())
        rest = rest.replace(name.group(), " ", 1)
    return pairs, " ".join(rest.split())


def fields_of(words: Iterable[Word], values: Mapping[str, str]) -> dict[str, Any]:
    """Fields by their words' values. Raises Unread with every word that can't be read."""
    fields: dict[str, Any] = {}
    wrong = []
    for w in words:
        text = values.get(w.word, "").strip()
        if not text:
            continue
        if text == _UNKNOWN:
            fields[w.field] = None
            continue
        try:
            fields[w.field] = w.read(text)
        except ValueError as error:
            wrong.append((w.word, str(error), repr(text)[:60]))
    if wrong:
        raise Unread(wrong)
    return fields


def made(kind: type[_T], fields: dict[str, Any]) -> _T:
    """The thing of some fields. Raises Unread."""
    try:
        return kind.model_validate(fields)
    except ValidationError as error:
        raise Unread(problems_of(error)) from error


def values_of(words: Iterable[Word], thing: BaseModel) -> dict[str, str]:
    """Word → value of a thing, where it is not what nobody says."""
    values = {}
    for w in words:
        value = getattr(thing, w.field)
        if value != type(thing).model_fields[w.field].get_default():
            values[w.word] = _UNKNOWN if value is None else w.say(value)
    return values


def line_of(name: str, values: Mapping[str, str]) -> str:
    """The line of some words' values, the name first."""

    def said(text: str) -> str:
        return text if re.fullmatch(r'[^\s"]+', text) else quoted(text)

    return " ".join([quoted(name), *(f"{w}:{said(v)}" for w, v in values.items())])
