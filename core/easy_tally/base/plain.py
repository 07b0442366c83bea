"""What may come in at all: text that every print, drawing and sheet takes, and numbers that end.
The one rule of every door: files, lines, streams, forms, the interface."""

from __future__ import annotations

import json
import math
import re
from typing import Any

from .errors import BadInput, NoJson

#: Half a pair, characters that steer a printer or a terminal, ends of lines that are no line feed,
#: and what XML forbids; a tab and a line feed are text.
_ODD = re.compile(
    "[\x00-\x08\x0b\x0c\x0e-\x1f\x7f-\x9f\u2028\u2029\ufffe\uffff\ud800-\udfff]|\r(?!\n)"
)
_NEED = "text: letters, digits, signs, tabs and line feeds"
#: Digits of a number, brackets in brackets, values in all at the most; a build of 400 parts with
#: 2,000 sockets has a third of them.
MOST_DIGITS, MOST_DEPTH, MOST_VALUES = 400, 200, 150_000
#: Commas for each value at the most, those in texts among them.
_COMMAS = 4
_MOST_BITS, _FEWER = int(MOST_DIGITS * 3.33), f"numbers of at most {MOST_DIGITS} digits"
_DIGITS = re.compile(f"[0-9]{{{MOST_DIGITS + 1},}}")
_BRACKET = re.compile(r'"(?:[^"\\]|\\.)*"|[\[\]{}]')


def odd_in(text: str) -> str:
    """The first character of a text that is none, in words; "" where all are."""
    odd = _ODD.search(text)
    if odd is None:
        return ""
    code = ord(odd[0][0])
    line = text.count("\n", 0, odd.start()) + 1
    sort = "half of a pair" if 0xD800 <= code <= 0xDFFF else "a lone carriage return"
    if code != 0x0D and not 0xD800 <= code <= 0xDFFF:
        sort = "a control character"
    return f"{sort} (U+{code:04X}) in line {line}"


def without_odd(text: str) -> str:
    """A text without the characters that are none: of what was kept before there was this rule."""
    return _ODD.sub("", text)


def plain(text: str, field: str) -> str:
    """A text with line feeds as its ends of lines. Raises BadInput for what is no text."""
    odd = odd_in(text)
    if odd:
        raise BadInput([(field, _NEED, odd)])
    return text.replace("\r\n", "\n")


def finite(value: float, field: str) -> float:
    """A number that is one. Raises BadInput."""
    if not math.isfinite(value):
        raise BadInput([(field, "a number that ends", f"{value}")])
    return value


def read_json(text: str, whole: str, most: int = MOST_VALUES) -> Any:
    """What a text of JSON holds: every text of it plain, every number finite, each key once, no
    more than `most` values. Raises BadInput with the place; `what`: what it is called as a
    whole."""
    if text.count(",") > _COMMAS * most:  # far more than texts have: not even read
        raise BadInput([(whole, f"at most {most:,} values", "far more")])
    try:
        value = json.loads(text, parse_constant=_no_constant, object_pairs_hook=_no_twins)
        return _Walk(whole, most).through(value, "")
    except json.JSONDecodeError as error:
        where = f"line {error.lineno}, column {error.colno}"
        raise NoJson([(where, "JSON", error.msg)]) from error
    except RecursionError as error:
        where = _too_deep(text) or whole
        raise BadInput([(where, "JSON nested less deeply", "too many brackets")]) from error
    except ValueError as error:  # Python itself reads no more digits than some thousands
        digits = _DIGITS.search(text)
        where = _place(text, digits.start()) if digits else whole
        raise BadInput([(where, _FEWER, "more")]) from error


class _Walk:
    def __init__(self, whole: str, most: int) -> None:
        self.what, self.most, self.count = whole, most, 0

    def through(self, value: Any, at: str) -> Any:
        """The same, its texts with line feeds alone."""
        if isinstance(value, str):
            return plain(value, at or self.what)
        if isinstance(value, float):
            return finite(value, at or self.what)
        if isinstance(value, int) and value.bit_length() > _MOST_BITS:
            raise BadInput([(at or self.what, _FEWER, "more")])
        if not isinstance(value, dict | list):
            return value
        self.count += len(value)
        if self.count > self.most:
            raise BadInput([(self.what, f"at most {self.most:,} values", "more")])
        inner = f"{at}." if at else ""
        if isinstance(value, list):
            return [self.through(x, f"{inner}{i}") for i, x in enumerate(value)]
        return {plain(k, f"{inner}key"): self.through(x, f"{inner}{k}") for k, x in value.items()}


def _place(text: str, at: int) -> str:
    line = text.count("\n", 0, at) + 1
    return f"line {line}, column {at - text.rfind(chr(10), 0, at)}"


def _too_deep(text: str) -> str:
    """Where brackets stand deeper than any of ours; "" where they do not."""
    depth = 0
    for bracket in _BRACKET.finditer(text):
        depth += {"[": 1, "{": 1, "]": -1, "}": -1}.get(bracket[0], 0)
        if depth > MOST_DEPTH:
            return _place(text, bracket.start())
    return ""


def _no_constant(name: str) -> float:
    raise BadInput([("file", "finite numbers", name)])


def _no_twins(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    fields: dict[str, Any] = {}
    for key, value in pairs:
        if key in fields:
            raise BadInput([(key, "each key once in an object", "it twice")])
        fields[key] = value
    return fields
