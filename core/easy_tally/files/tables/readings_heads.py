"""The heads of a file of readings: which column is which channel, in which unit."""

from __future__ import annotations

import csv
import re
from collections.abc import Mapping
from dataclasses import dataclass

from ...base.errors import BadInput
from ...readings import parse

#: Columns of a file at the most, and bytes that its head is looked for in.
MOST_COLUMNS, HEAD_BYTES = 200, 64_000
TIME, STATE, IGNORE = "time", "state", "ignore"
#: Unit as written → (unit of ours, factor, offset).
UNITS: dict[str, tuple[str, float, float]] = {
    "w": ("w", 1, 0),
    "watt": ("w", 1, 0),
    "watts": ("w", 1, 0),
    "kw": ("w", 1000, 0),
    "mw": ("w", 0.001, 0),
    "v": ("v", 1, 0),
    "volt": ("v", 1, 0),
    "volts": ("v", 1, 0),
    "mv": ("v", 0.001, 0),
    "a": ("a", 1, 0),
    "amp": ("a", 1, 0),
    "amps": ("a", 1, 0),
    "ma": ("a", 0.001, 0),
    "°c": ("degc", 1, 0),
    "c": ("degc", 1, 0),
    "degc": ("degc", 1, 0),
    "°f": ("degc", 5 / 9, -32),
    "f": ("degc", 5 / 9, -32),
    "rpm": ("rpm", 1, 0),
    "1/min": ("rpm", 1, 0),
}
_TIME_UNITS = {
    "s": 1.0,
    "sec": 1.0,
    "seconds": 1.0,
    "ms": 0.001,
    "us": 1e-6,
    "µs": 1e-6,
    "min": 60.0,
    "h": 3600.0,
}
_BRACKETS = re.compile(r"^(.*?)\s*[\[(]\s*([^\])]+?)\s*[\])]\s*$")
CELL = re.compile(r"^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z°µ/1]*)$", re.IGNORECASE)


@dataclass(frozen=True, slots=True, kw_only=True)
class Column:
    """A column of a file: its head as written, what it is taken for (`time`, `state`, `ignore`, a
    channel, or empty: not recognised), and how its numbers become ours."""

    head: str
    means: str
    factor: float = 1.0
    offset: float = 0.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Shape:
    """How a file is laid out: what parts its cells, whether numbers have a comma, its columns, the
    lines before the first of data."""

    delimiter: str
    comma: bool
    columns: tuple[Column, ...]
    skip: int


#: What a head says, by its words and its unit. `{card}` and `{plug}` are the one card, the one
#: 16-pin plug of a build.
_KNOWN: tuple[tuple[str, str, str], ...] = (
    (r"(wall|mains|socket|outlet|ac|input)( power| watts| draw)?", "w", "wall.w"),
    (r"(wall|mains|socket|outlet|ac|input)( voltage| volts)?", "v", "wall.v"),
    (r"(dc|output|supply|psu|total)( output)?( power| watts)?( out)?", "w", "dc.w"),
    (r"\+?12 ?v( rail)?( voltage| volts)?", "v", "dc.v12.v"),
    (r"\+?12 ?v( rail)?( current| amps)?", "a", "dc.v12.a"),
    (r"\+?12 ?v( rail)?( power| watts)?", "w", "dc.v12.w"),
    (r"\+?5 ?v( rail)?( voltage| volts)?", "v", "dc.v5.v"),
    (r"\+?5 ?v( rail)?( current| amps)?", "a", "dc.v5.a"),
    (r"\+?3[.,]3 ?v( rail)?( voltage| volts)?", "v", "dc.v3v3.v"),
    (r"\+?3[.,]3 ?v( rail)?( current| amps)?", "a", "dc.v3v3.a"),
    (r"(supply|psu)( temp(erature)?)?", "degc", "supply.degc"),
    (r"(supply|psu)? ?fan( speed)?", "rpm", "supply.rpm"),
    (r"(card|gpu|graphics|board)( card| board)?( power| watts| draw)?", "w", "{card}.w"),
    (r"pin ?([0-9]{1,2})( current| amps)?", "a", "{plug}.pin\\1.a"),
    (r"(plug|connector)( temp(erature)?)?", "degc", "{plug}.degc"),
    (r"(plug|connector)( voltage| volts)?", "v", "{plug}.v12.v"),
)
#: In front of the time's head where simulated instruments said what follows.
SIMULATED = "simulated "
_TIMES = re.compile(r"(simulated )?(time|timestamp|date ?time|date|t|elapsed|seconds|zeit|clock)")


def recognise_head(head: str, names: Mapping[str, str], card: str = "", plug: str = "") -> Column:
    """What a column is, by its head: a channel's own text, a name that was learnt (`names`: head →
    meaning), or usual words with a unit in brackets."""
    text = head.strip().strip("\ufeff").strip()
    low = " ".join(text.lower().split())
    bare, unit = (m[1].strip(), m[2].strip()) if (m := _BRACKETS.match(low)) else (low, "")
    own, factor, offset = UNITS.get(unit, ("", 1.0, 0.0))
    if text in names:
        return Column(
            head=text, means=names[text], factor=_TIME_UNITS.get(unit, factor), offset=offset
        )
    if _TIMES.fullmatch(bare):
        return Column(head=text, means=TIME, factor=_TIME_UNITS.get(unit, 1.0))
    if bare == STATE:
        return Column(head=text, means=STATE)
    try:
        return Column(head=text, means=str(parse(bare)), factor=factor, offset=offset)
    except BadInput:
        pass
    for pattern, head_unit, means in _KNOWN:
        match = re.fullmatch(pattern, bare)
        if match is None or (own or _said(bare)) != head_unit:
            continue
        filled = match.expand(means).format(card=card, plug=plug)
        if not filled.startswith("."):
            return Column(head=text, means=filled, factor=factor, offset=offset)
    return Column(head=text, means="", factor=factor, offset=offset)


def _said(bare: str) -> str:
    """The unit that a head's own words tell."""
    for word, unit in (
        ("volt", "v"),
        ("current", "a"),
        ("amps", "a"),
        ("temp", "degc"),
        ("power", "w"),
        ("watts", "w"),
        ("draw", "w"),
        ("fan", "rpm"),
    ):
        if word in bare:
            return unit
    whole = bare in ("wall", "dc", "mains") or "output" in bare
    return "w" if whole else "a" if bare.startswith("pin") else ""


def heads(
    head: bytes, names: Mapping[str, str], card: str = "", plug: str = ""
) -> tuple[Column, ...]:
    """The columns of a file, off its first bytes. Raises BadInput where it has no head."""
    return shape_of(head, names, card, plug).columns


def shape_of(head: bytes, names: Mapping[str, str], card: str, plug: str) -> Shape:
    text = head[:HEAD_BYTES].decode("utf-8-sig", errors="replace")
    if "\x00" in text:
        raise BadInput([("line 1", "a CSV file in UTF-8", "something else")])
    lines = text.splitlines()
    skip = next((i for i, x in enumerate(lines) if x.strip() and not x.startswith("#")), None)
    if skip is None:
        raise BadInput([("line 1", "a line of column names", "an empty file")])
    first = lines[skip]
    delimiter = max(";\t,", key=lambda d: first.count(d))
    cells = next(csv.reader([first], delimiter=delimiter))
    if len(cells) < 2 or len(cells) > MOST_COLUMNS:
        got = f"{len(cells)} column" + ("" if len(cells) == 1 else "s")
        raise BadInput(
            [(f"line {skip + 1}", f"2 to {MOST_COLUMNS} columns, a time among them", got)]
        )
    if all(CELL.match(c.strip()) for c in cells):
        raise BadInput(
            [(f"line {skip + 1}", "a line of column names before the numbers", first[:60])]
        )
    columns = tuple(recognise_head(c, names, card, plug) for c in cells)
    sample = [c for x in lines[skip + 1 : skip + 60] for c in x.split(delimiter)]
    comma = delimiter != "," and any(re.fullmatch(r"\s*[+-]?\d+,\d+\s*", c) for c in sample)
    return Shape(delimiter=delimiter, comma=comma, columns=columns, skip=skip + 1)
