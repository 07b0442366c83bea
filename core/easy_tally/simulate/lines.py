"""The protocol of the instruments: one JSON object a line, UTF-8, over a local socket or in a file.

    {"easy-tally readings": 1, "channels": ["wall.w", "card#1/power.pin1.a"], "began": "…"}
    {"t": 0.1, "wall.w": 312.4, "card#1/power.pin1.a": 5.61}

The first line names the channels, and says `"simulated": true` where no machine was measured; `t`
is in seconds and rises. A channel may be left out of a line. A line that can't be read is passed
over and counted. The stream ends when the socket does.
"""

from __future__ import annotations

import json
import math
from collections.abc import Iterator
from datetime import datetime
from typing import NamedTuple

from ..base.errors import BadInput
from ..readings import Channel, Readings, parse

VERSION = 1
_NAME = "easy-tally readings"
#: Characters of a line at the most.
MOST = 20_000


def lines(r: Readings) -> Iterator[str]:
    """Readings as lines."""
    names = [str(c) for c in r.columns]
    about = {"simulated": True} if r.simulated else {}
    yield json.dumps({_NAME: VERSION, "channels": names, "began": r.began} | about)
    columns = list(r.columns.values())
    for i, t in enumerate(r.times.tolist()):
        row = {"t": round(t, 6)}
        for name, column in zip(names, columns, strict=True):
            value = float(column[i])
            if value == value:
                row[name] = round(value, 4)
        yield json.dumps(row)


class First(NamedTuple):
    """What the first line says."""

    channels: tuple[Channel, ...]
    began: str
    simulated: bool


def read_first(line: str) -> First:
    """What the first line says. Raises BadInput."""
    head = _object(line)
    channels = head.get("channels")
    if head.get(_NAME) != VERSION or not isinstance(channels, list):
        need = f'a first line with "{_NAME}": {VERSION} and its "channels"'
        raise BadInput([("line 1", need, line[:80])])
    if not 1 <= len(channels) <= 200:
        raise BadInput([("line 1", "1 to 200 channels", str(len(channels)))])
    several = tuple(parse(str(x)) for x in channels)
    if len(set(several)) < len(several):
        raise BadInput([("line 1", "each channel once", "one of them twice")])
    return First(several, moment(head.get("began")), bool(head.get("simulated")))


def moment(said: object) -> str:
    """A moment in ISO form, as it was said; nothing said is nothing known. Raises BadInput for what
    is none."""
    text = "" if said is None else str(said)
    try:
        return text and datetime.fromisoformat(text).isoformat(timespec="seconds")
    except ValueError as error:
        need = "when it began, as 2026-11-30T20:15:00, or nothing"
        raise BadInput([("began", need, text[:40])]) from error


def read_line(line: str, channels: tuple[Channel, ...]) -> tuple[float, dict[Channel, float]]:
    """(seconds, values) off any other line. Raises BadInput."""
    row = _object(line)
    t = _number(row.get("t"))
    if t is None:
        raise BadInput([("t", "seconds", repr(row.get("t"))[:40])])
    values = {}
    for c in channels:
        said = row.get(str(c))
        if said is None:
            continue
        value = _number(said)
        if value is None:
            raise BadInput([(str(c), "a number", repr(said)[:40])])
        values[c] = value
    return t, values


def _number(x: object) -> float | None:
    if not isinstance(x, int | float) or isinstance(x, bool):
        return None
    try:
        return float(x) if math.isfinite(x) else None
    except OverflowError:
        return None


def _object(line: str) -> dict[str, object]:
    try:
        fields = json.loads(line[:MOST])
    except (ValueError, RecursionError) as error:
        raise BadInput([("line", "a JSON object", line[:80])]) from error
    if not isinstance(fields, dict):
        raise BadInput([("line", "a JSON object", line[:80])])
    return fields
