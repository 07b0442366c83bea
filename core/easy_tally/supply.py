"""The supply, its ports, and the cables that go with it: declared once."""

from __future__ import annotations

from collections import Counter
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from .quantities import Key, Model, Name, Note, rated
from .standards.connectors import Half, PlugKind, Sense
from .standards.contacts import Gauge, Grade

PortKind = Literal[
    "board-a", "board-b", "processor", "graphics", "processor-graphics", "16pin", "drive"
]
PORT_WORDS: dict[PortKind, str] = {
    "board-a": "board A",
    "board-b": "board B",
    "processor": "processor",
    "graphics": "graphics",
    "processor-graphics": "processor or graphics",
    "16pin": "16-pin",
    "drive": "drive",
}


def port_takes(port: PortKind, need: PortKind) -> bool:
    """Whether a supply-end plug that needs a `need` port goes into a `port` port."""
    return port == need or (port == "processor-graphics" and need in ("processor", "graphics"))


class Port(Model):
    """A socket on the supply's panel."""

    key: Key
    label: Annotated[str, Field(min_length=1, max_length=12)]
    kind: PortKind
    row: Annotated[int, Field(ge=0, le=9)] = 0
    column: Annotated[int, Field(ge=0, le=19)] = 0
    circuits: Annotated[int, Field(ge=2, le=24)] = 8
    pins_12v: Annotated[int, Field(ge=0, le=12)] = 3
    group: Key | None = None


class PortGroup(Model):
    """Ports that share one over-current limit."""

    key: Key
    label: Annotated[str, Field(min_length=1, max_length=24)]
    limit_a: float | None = rated("over-current limit at 12 V", "A", 300)


class Supply(Model):
    """A power supply as its label and its panel describe it."""

    name: Name
    note: Note = ""
    slug: Annotated[str, Field(max_length=60, description="of the catalogue entry, if any")] = ""
    rated_w: float | None = rated("rated watts", "W", 4000)
    v12_a: float | None = rated("12 V rail", "A", 400)
    v5_a: float | None = rated("5 V rail", "A", 100)
    v3v3_a: float | None = rated("3.3 V rail", "A", 100)
    v5sb_a: float | None = rated("5 V standby", "A", 20)
    vneg12_a: float | None = rated("−12 V; 0 where the supply has none", "A", 5)
    vneg5_a: float | None = rated("−5 V; 0 where the supply has none", "A", 5)
    combined_w: float | None = rated("5 V and 3.3 V together", "W", 600)
    design: Literal["3.1", "3.0", "classic"] | None = None
    family: Annotated[str, Field(min_length=1, max_length=60, description="pinout family")]
    groups: tuple[PortGroup, ...] = ()
    ports: tuple[Port, ...] = ()

    @model_validator(mode="after")
    def _ports_fit(self) -> Self:
        keys = [p.key for p in self.ports]
        if len(set(keys)) < len(keys):
            raise ValueError("every port a key of its own")
        places = Counter((p.row, p.column) for p in self.ports)
        if places and max(places.values()) > 1:
            raise ValueError("every port a place of its own on the panel")
        groups = [g.key for g in self.groups]
        if len(set(groups)) < len(groups):
            raise ValueError("every port group a key of its own")
        if missing := {p.group for p in self.ports if p.group} - set(groups):
            raise ValueError(f"a group named {sorted(missing)[0]} in this supply")
        return self


class RailPins(Model):
    """Pins or conductors per rail."""

    v12: Annotated[int, Field(ge=0, le=24)] = 0
    v5: Annotated[int, Field(ge=0, le=24)] = 0
    v3v3: Annotated[int, Field(ge=0, le=24)] = 0
    v5sb: Annotated[int, Field(ge=0, le=24)] = 0
    ground: Annotated[int, Field(ge=0, le=24)] = 0

    def of(self, rail: str) -> int:
        """Number on `rail` or `"ground"`."""
        return int(getattr(self, rail))


class SupplyEnd(Model):
    """The supply end of a modular cable."""

    circuits: Annotated[int, Field(ge=2, le=24, description="of one of its plugs")] = 8
    pins: RailPins = RailPins()
    grade: Grade | None = "standard"


class Plug(Model):
    """A plug at its place along the cable."""

    key: Key
    kind: PlugKind
    at_mm: Annotated[float, Field(gt=0, le=3000, description="from the supply")]
    grade: Grade | None = "standard"
    pins_12v: Annotated[int | None, Field(ge=1, le=6)] = None
    contact_a: float | None = rated("maker's data for one contact", "A", 30)
    sense: Annotated[Sense | None, Field(description="coding of a 16-pin plug")] = None
    straight_mm: float | None = rated("straight length before a bend", "mm", 200)
    matings: Annotated[int, Field(ge=0, le=1000, description="times it was plugged in")] = 0


class Cable(Model):
    """A cable: modular, or fixed to the supply where `needs` is empty."""

    key: Key
    name: Name
    note: Note = ""
    family: Annotated[str, Field(min_length=1, max_length=60, description="pinout family")]
    needs: Annotated[tuple[PortKind, ...], Field(max_length=3)] = ()
    supply_end: SupplyEnd = SupplyEnd()
    gauge: Gauge | None = 18
    conductors: RailPins = RailPins()
    insulation_degc: float | None = rated("printed on the insulation", "°C", 260)
    plugs: Annotated[tuple[Plug, ...], Field(min_length=1, max_length=12)]

    @model_validator(mode="after")
    def _plugs_in_order(self) -> Self:
        keys = [p.key for p in self.plugs]
        if len(set(keys)) < len(keys):
            raise ValueError("every plug of a cable a key of its own")
        if any(a.at_mm > b.at_mm for a, b in zip(self.plugs, self.plugs[1:], strict=False)):
            raise ValueError("plugs in order of distance from the supply")
        return self


class SocketRef(Model):
    """One socket of one instance of a part."""

    part: Key
    instance: Annotated[int, Field(ge=1, le=64)] = 1
    socket: Key

    def __str__(self) -> str:
        return f"{self.part}#{self.instance}/{self.socket}"


class Connection(Model):
    """A plug, or its marked half, in a socket."""

    plug: Key
    half: Half = "whole"
    socket: SocketRef


class Run(Model):
    """One cable in its ports, with what its plugs feed; a plug not named is parked."""

    cable: Key
    ports: tuple[Key, ...] = ()
    connections: tuple[Connection, ...] = ()
