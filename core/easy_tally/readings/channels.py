"""Channels: what an instrument measures, and where. A channel's text is its column's name.

`wall.w`, `dc.v12.a`, `supply.degc`, `card#1.w`, `card#1/power.v12.v`, `card#1/power.pin3.a`.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal, NamedTuple, get_args

from ..analysis import Analysis
from ..base.errors import BadInput
from ..base.units import RAIL_V, RAIL_WORDS, Rail
from ..standards.connectors import CONNECTORS
from ..things.cables import Device
from ..wiring import Feed, Wired

Unit = Literal["w", "v", "a", "degc", "rpm"]


class _Quantity(NamedTuple):
    sign: str
    words: str


_QUANTITIES: dict[Unit, _Quantity] = {
    "w": _Quantity("W", "watts"),
    "v": _Quantity("V", "volts"),
    "a": _Quantity("A", "amps"),
    "degc": _Quantity("°C", "temperature"),
    "rpm": _Quantity("rpm", "fan"),
}
UNIT_WORDS: dict[Unit, str] = {unit: quantity.sign for unit, quantity in _QUANTITIES.items()}
#: What the instruments are; a reading says by which it was taken.
Instrument = Literal["wall meter", "supply telemetry", "connector meter", "multimeter", "card"]
#: Where something is measured: at the wall, on the supply's outputs together, in the supply, on a
#: part, at a plug in its socket.
Where = Literal["wall", "dc", "supply", "part", "plug"]
#: Of what there: of the whole, of one rail, of one 12 V pin.
Of = Literal["whole", "rail", "pin"]
#: Kinds of plugs that a meter is put in line with.
METERED = tuple(c.kind for c in CONNECTORS.values() if c.metered)
#: The rails that are measured.
_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3")
_TEXT = re.compile(
    r"(?P<at>wall|dc|supply|[a-z0-9][a-z0-9-]*#[0-9]{1,2}(?:/[a-z0-9-]+)?)"
    r"(?:\.(?P<what>v12|v5|v3v3|v5sb|pin[0-9]{1,2}))?"
    rf"\.(?P<unit>{'|'.join(get_args(Unit))})"
)


class Sort(NamedTuple):
    """What sort of channel one is; by it expectations, limits and stand-ins are looked up."""

    where: Where
    of: Of
    unit: Unit


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

    @property
    def sort(self) -> Sort:
        """What sort of channel it is."""
        where: Where = "plug" if "/" in self.at else "part"
        if self.at in ("wall", "dc", "supply"):
            where = self.at  # type: ignore[assignment]
        return Sort(where, "rail" if self.rail else "pin" if self.what else "whole", self.unit)


def parse(text: str) -> Channel:
    """A channel off its text. Raises BadInput."""
    match = _TEXT.fullmatch(text)
    if match is None:
        raise BadInput([("channel", "a channel such as wall.w or card#1/power.pin3.a", text)])
    return Channel(match["at"], match["what"] or "", match["unit"])  # type: ignore[arg-type]


def words(wired: Wired, c: Channel) -> str:
    """How a channel is called to a builder."""
    part_of_it = RAIL_WORDS[c.rail] if c.rail else f"pin {c.pin}" if c.pin else ""
    quantity = _QUANTITIES[c.unit].words
    if c.at == "wall":
        return f"from the wall, {quantity}"
    if c.at == "dc":
        return f"supply’s output{', ' + part_of_it if part_of_it else ''}, {quantity}"
    if c.at == "supply":
        return f"supply, {quantity}"
    where = wired.words(c.at) if c.at in wired.inputs else None
    if where is None:
        device = Device.read(c.at.partition("/")[0])
        known = wired.parts.get(device.part)
        number = str(device.instance) if known is not None and known.count > 1 else ""
        where = f"{known.name} {number}".strip() if known is not None else c.at
    return f"{where}{', ' + part_of_it if part_of_it else ''}, {quantity}"


# -- the sorts there are ------------------------------------------------------------------------

_OfBuild = Callable[[Analysis], Iterator[Channel]]


def _at(place: str, unit: Unit) -> _OfBuild:
    return lambda a: iter((Channel(place, "", unit),))


def _of_cards(a: Analysis) -> Iterator[Channel]:
    for part in a.build.parts:
        if part.kind == "card":
            several = (str(Device(part.key, n)) for n in range(1, part.count + 1))
            yield from (Channel(at, "", "w") for at in several)


def _rails(unit: Unit) -> _OfBuild:
    return lambda a: (Channel("dc", rail, unit) for rail in _RAILS)


def _plugs(a: Analysis) -> Iterator[Feed]:
    """Plugs that stand in the sockets of parts, not in what lies between."""
    return (feed for feed in a.wired.feeds.values() if feed.input.between is None)


def _rails_of_plugs(unit: Unit) -> _OfBuild:
    return lambda a: (
        Channel(feed.input.ref, rail, unit)
        for feed in _plugs(a)
        for rail in _RAILS
        if feed.pins.get(rail)
    )


def _pins_of_plugs(a: Analysis) -> Iterator[Channel]:
    for feed in _plugs(a):
        if feed.mated in METERED:
            ref = feed.input.ref
            yield from (Channel(ref, f"pin{n}", "a") for n in range(1, feed.pins["v12"] + 1))


def _warmth_of_plugs(a: Analysis) -> Iterator[Channel]:
    return (Channel(feed.input.ref, "", "degc") for feed in _plugs(a))


class Measured(NamedTuple):
    """A row: what usually measures a sort of channel, and which of it a build has. What it should
    read and must not cross stands in `expected.py`, a stand-in for it in `simulate/running.py`;
    a sort without either is kept, drawn, and told as held against nothing."""

    instrument: Instrument
    of_build: _OfBuild


SORTS: dict[Sort, Measured] = {
    Sort("wall", "whole", "w"): Measured("wall meter", _at("wall", "w")),
    Sort("wall", "whole", "v"): Measured("wall meter", _at("wall", "v")),
    Sort("dc", "whole", "w"): Measured("supply telemetry", _at("dc", "w")),
    Sort("dc", "rail", "v"): Measured("supply telemetry", _rails("v")),
    Sort("dc", "rail", "a"): Measured("supply telemetry", _rails("a")),
    Sort("supply", "whole", "degc"): Measured("supply telemetry", _at("supply", "degc")),
    Sort("supply", "whole", "rpm"): Measured("supply telemetry", _at("supply", "rpm")),
    Sort("part", "whole", "w"): Measured("card", _of_cards),
    Sort("plug", "rail", "v"): Measured("multimeter", _rails_of_plugs("v")),
    Sort("plug", "rail", "a"): Measured("multimeter", _rails_of_plugs("a")),
    Sort("plug", "pin", "a"): Measured("connector meter", _pins_of_plugs),
    Sort("plug", "whole", "degc"): Measured("connector meter", _warmth_of_plugs),
}
#: What measures there where the sort is none of these: a file may bring more than is listed.
_BY_PLACE: dict[Where, Instrument] = {
    "wall": "wall meter",
    "dc": "supply telemetry",
    "supply": "supply telemetry",
    "part": "card",
    "plug": "multimeter",
}


def instrument_of(c: Channel) -> Instrument:
    """What usually measures a channel."""
    row = SORTS.get(c.sort)
    return row.instrument if row else _BY_PLACE[c.sort.where]


def channels_of(a: Analysis) -> Iterator[Channel]:
    """What can be measured of a build, sort by sort; of plugs, plug by plug."""
    channels = [c for row in SORTS.values() for c in row.of_build(a)]
    plugs = {ref: i for i, ref in enumerate(a.wired.feeds)}
    return iter(sorted(channels, key=lambda c: plugs.get(c.at, -1)))
