"""Channels: what an instrument measures, and where. A channel's text is its column's name.

`wall.w`, `dc.v12.a`, `supply.degc`, `card#1.w`, `card#1/power.v12.v`, `card#1/power.pin3.a`.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from ..analysis import Analysis
from ..base.errors import BadInput
from ..base.units import RAIL_V, RAIL_WORDS, Rail
from ..standards.connectors import CONNECTORS
from ..wiring import Wired

Unit = Literal["w", "v", "a", "degc", "rpm"]
UNIT_WORDS: dict[Unit, str] = {"w": "W", "v": "V", "a": "A", "degc": "°C", "rpm": "rpm"}
#: What the instruments are; a reading says by which it was taken.
Instrument = Literal["wall meter", "supply telemetry", "connector meter", "multimeter", "card"]
#: Kinds of plugs that a meter is put in line with.
METERED = tuple(c.kind for c in CONNECTORS.values() if c.metered)
_TEXT = re.compile(
    r"(?P<at>wall|dc|supply|[a-z0-9][a-z0-9-]*#[0-9]{1,2}(?:/[a-z0-9-]+)?)"
    r"(?:\.(?P<what>v12|v5|v3v3|v5sb|pin[0-9]{1,2}))?\.(?P<unit>w|v|a|degc|rpm)"
)


@dataclass(frozen=True, slots=True, order=True)
class Channel:
    """One measured quantity: `at` the wall, the supply's outputs together (`dc`), the supply
    itself, an input by its ref, or an instance of a part; `what`: a rail or a pin."""

    at: str
    what: str
    unit: Unit

    def __str__(self) -> str:
        return ".".join(x for x in (self.at, self.what, self.unit) if x)

    @property
    def pin(self) -> int | None:
        """The number of the 12 V pin that it is of."""
        return int(self.what[3:]) if self.what.startswith("pin") else None

    @property
    def rail(self) -> Rail | None:
        """The rail that it is of."""
        return self.what if self.what in RAIL_V else None


def parse(text: str) -> Channel:
    """A channel off its text. Raises BadInput."""
    found = _TEXT.fullmatch(text)
    if found is None:
        raise BadInput([("channel", "a channel such as wall.w or card#1/power.pin3.a", text)])
    return Channel(found["at"], found["what"] or "", found["unit"])  # type: ignore[arg-type]


def words(wired: Wired, c: Channel) -> str:
    """How a channel is called to a builder."""
    what = RAIL_WORDS[c.rail] if c.rail else f"pin {c.pin}" if c.pin else ""
    quantity = {"w": "watts", "v": "volts", "a": "amps", "degc": "temperature", "rpm": "fan"}[
        c.unit
    ]
    if c.at == "wall":
        return f"from the wall, {quantity}"
    if c.at == "dc":
        return f"supply’s output{', ' + what if what else ''}, {quantity}"
    if c.at == "supply":
        return f"supply, {quantity}"
    part, _, of = c.at.partition("#")
    where = wired.words(c.at) if c.at in wired.inputs else None
    if where is None:
        known = wired.parts.get(part)
        number = of if known is not None and known.count > 1 else ""
        where = f"{known.name} {number}".strip() if known is not None else c.at
    return f"{where}{', ' + what if what else ''}, {quantity}"


def instrument_of(c: Channel) -> Instrument:
    """What usually measures a channel."""
    if c.at == "wall":
        return "wall meter"
    if c.at in ("dc", "supply"):
        return "supply telemetry"
    if "/" not in c.at:
        return "card"
    return "connector meter" if c.pin or c.unit == "degc" else "multimeter"


def channels_of(a: Analysis) -> Iterator[Channel]:
    """What can be measured of a build, instrument by instrument."""
    yield Channel("wall", "", "w")
    yield Channel("wall", "", "v")
    yield Channel("dc", "", "w")
    for rail in ("v12", "v5", "v3v3"):
        yield from (Channel("dc", rail, unit) for unit in ("v", "a"))
    yield Channel("supply", "", "degc")
    yield Channel("supply", "", "rpm")
    for part in a.build.parts:
        if part.kind == "card":
            yield from (Channel(f"{part.key}#{n}", "", "w") for n in range(1, part.count + 1))
    for feed in a.wired.feeds.values():
        if feed.input.between is not None:
            continue
        ref = feed.input.ref
        for rail in ("v12", "v5", "v3v3"):
            if feed.pins.get(rail):
                yield Channel(ref, rail, "v")
                yield Channel(ref, rail, "a")
        if feed.mated in METERED:
            yield from (Channel(ref, f"pin{n}", "a") for n in range(1, feed.pins["v12"] + 1))
        yield Channel(ref, "", "degc")
