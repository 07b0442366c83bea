"""A line taken apart into words, and numbers with their units."""

from __future__ import annotations

import json
import re
from typing import Any

from ..words import DETAILS, PLURALS, SOCKET_SYNONYMS, SOCKETS, UNITS

NUMBER = r"[0-9]{1,9}(?:[.,][0-9]{1,20})?(?:e-?[0-9]{1,3})?"
QUOTED = r'"(?:[^"\\]|\\.)*"'
_REST_OF_QUOTED = re.compile(r'(?:[^"\\]|\\.)*"')
_ORIGIN = rf"\((?P<origin>maker|measured|assumed|simulated)?,?(?P<note>{QUOTED})?\)"
FIGURE = re.compile(
    rf"(?P<low>{NUMBER})(?:/(?P<likely>{NUMBER})/(?P<high>{NUMBER}))?"
    rf"(?P<unit>w|ma|a|mm|in|lanes|v)(?:{_ORIGIN})?"
)
_JOINED_UNITS = ("w", "a", "ma", "mm", "in", "lanes", "v", "pin", "headers", "outputs", *DETAILS)


def words_of(line: str) -> list[str]:
    """The words of a line: lower case but inside quotes, a number joined with its unit."""
    line = re.sub(r"(?:(?<=\s)|^),(?=[0-9])", "0.", line)
    return _joined([word for raw in _raw_words(line) for word in _split(raw)])


def _raw_words(line: str) -> list[str]:
    """Runs of characters without a space, quoted texts whole."""
    raw_words: list[str] = []
    start = at = 0
    quotes = True  # whether a quote may still find its end: keeps the work in step with the length
    while at <= len(line):
        if at == len(line) or line[at].isspace():
            if at > start:
                raw_words.append(line[start:at])
            start = at = at + 1
            continue
        inch = at + 1 == len(line) or line[at + 1].isspace()
        if line[at] == '"' and quotes and not (inch and re.fullmatch(NUMBER, line[start:at])):
            match = _REST_OF_QUOTED.match(line, at + 1)
            quotes = match is not None
            at = match.end() if match else at + 1
        else:
            at += 1
    return raw_words


def _split(word: str) -> list[str]:
    """A word as it counts; commas between words are as good as spaces."""
    if '"' in word:
        if word.endswith('"') and re.fullmatch(NUMBER, word[:-1]):
            return [word[:-1] + "in"]
        pieces = re.split(f"({QUOTED})", word)
        return ["".join(p if p.startswith('"') else _plain(p) for p in pieces)]
    word = _plain(word).rstrip(",")
    if generation := re.fullmatch(r"(ddr[345])-([0-9]{3,5})", word):
        return [generation[1], f"{generation[2]}mt/s"]
    pieces = word.split("+")
    if len(pieces) > 1 and all(_is_socket(w) for w in pieces):
        return pieces
    if ":" in word or re.fullmatch(f"{NUMBER}[a-z]*", word):
        return [word]
    return [w for w in word.split(",") if w]


def _is_socket(word: str) -> bool:
    word = re.sub("^[1-9]x", "", word)
    return word in SOCKETS or (word in SOCKET_SYNONYMS and not word.isdigit())


def _plain(text: str) -> str:
    return text.lower().replace("×", "x").replace("−", "-")


def _joined(words: list[str]) -> list[str]:
    """Numbers put together with the unit, the `x` or the `pin` that stands behind them."""
    joined: list[str] = []
    for word in words:
        word = re.sub(rf"^({NUMBER})-?([a-z]+)$", lambda m: m[1] + UNITS.get(m[2], m[2]), word)
        unit = UNITS.get(word, word)
        last = joined[-1] if joined else ""
        if word == "peripheral" and last == "4pin":
            joined[-1] = word
            continue
        is_number = re.fullmatch(rf"{NUMBER}(/{NUMBER}/{NUMBER})?", last)
        if (is_number and (unit in _JOINED_UNITS or unit == "x")) or (
            re.fullmatch(r"[0-9]x", last) and word in SOCKETS
        ):
            joined[-1] += unit
        elif re.fullmatch(r"[0-9]{1,4}", last) and word in PLURALS:
            joined[-1] += " " + word
        else:
            joined.append(word)
    return _with_their_sockets(joined)


def _with_their_sockets(words: list[str]) -> list[str]:
    """`2x` put together with the socket that stands behind it: `2 x 6 pin`."""
    grouped: list[str] = []
    for word in words:
        if word in SOCKETS and grouped and re.fullmatch("[1-9]x", grouped[-1]):
            grouped[-1] += word
        else:
            grouped.append(word)
    return grouped


def number(text: str) -> float:
    """The value of a number as the line writes it."""
    return float(text.replace(",", "."))


def figure(text: str) -> tuple[str, dict[str, Any]] | None:
    """(unit, figure) of a word such as `230w`, `220/230/245w(measured,"wall meter")`, or None."""
    match = FIGURE.fullmatch(text)
    if match is None:
        return None
    low, unit = number(match["low"]), match["unit"]
    likely = number(match["likely"]) if match["likely"] else low
    high = number(match["high"]) if match["high"] else low
    if unit == "ma":
        unit, low, likely, high = "a", low / 1000, likely / 1000, high / 1000
    return unit, {
        "low": low,
        "likely": likely,
        "high": high,
        "origin": match["origin"] or "maker",
        "note": unquoted(match["note"] or '""'),
    }


def unquoted(text: str) -> str:
    """What stands between quotes; what is no quoted text is given as it is."""
    try:
        value = json.loads(text, strict=False)
    except ValueError:
        return text.strip('"')
    return value if isinstance(value, str) else text


def quoted(text: str) -> str:
    """A text between quotes, on one line."""
    text_in_quotes = json.dumps(text, ensure_ascii=False)
    # What ends a line somewhere must not end one here.
    return "".join(c if c.isprintable() or c == " " else _escaped(c) for c in text_in_quotes)


def _escaped(character: str) -> str:
    return json.dumps(character)[1:-1]


def split_outside(text: str, mark: str) -> list[str]:
    """`text` split at `mark`, but not between quotes or in brackets."""
    pieces, depth, start = [], 0, 0
    for match in re.finditer(rf"{QUOTED}|[()]|{re.escape(mark)}", text):
        sign = match.group()
        depth += (sign == "(") - (sign == ")")
        if sign == mark and depth == 0:
            pieces.append(text[start : match.start()])
            start = match.end()
    return [*pieces, text[start:]]
