"""Cables, their plugs, and what they are plugged into: declared once."""

from __future__ import annotations

from typing import Annotated, NamedTuple, Self

from pydantic import Field, model_validator

from ..base.declared import Key, Model, Name, Note, Owned, Rating, rated
from ..standards.connectors import Half, PlugKind, PortKind, Sense
from ..standards.contacts import Gauge, Grade


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
    contact_a: Rating = rated("maker's data for one contact", "A", 30, zero=False)
    sense: Annotated[Sense | None, Field(description="coding of a 16-pin plug")] = None
    straight_mm: Rating = rated("straight length before a bend", "mm", 200)
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
    insulation_degc: Rating = rated("printed on the insulation", "°C", 260)
    plugs: Annotated[tuple[Plug, ...], Field(min_length=1, max_length=12)]
    owned: Owned = ""

    @model_validator(mode="after")
    def _plugs_in_order(self) -> Self:
        keys = [p.key for p in self.plugs]
        if len(set(keys)) < len(keys):
            raise ValueError("every plug of a cable a key of its own")
        if any(a.at_mm > b.at_mm for a, b in zip(self.plugs, self.plugs[1:], strict=False)):
            raise ValueError("plugs in order of distance from the supply")
        return self


class Device(NamedTuple):
    """One instance of a part."""

    part: str
    instance: int = 1

    def __str__(self) -> str:
        return f"{self.part}#{self.instance}"

    @classmethod
    def read(cls, text: str) -> Self:
        """The instance that a text like `card-1#1` names. Raises ValueError where it is none."""
        part, _, instance = text.partition("#")
        return cls(part, int(instance))


class SocketRef(Model):
    """One input: a socket of one instance of a part, or a lead of an adapter, an extension or a
    backplane, called by its key in place of the part's."""

    part: Key
    instance: Annotated[int, Field(ge=1, le=64)] = 1
    socket: Key

    def __str__(self) -> str:
        return f"{self.device}/{self.socket}"

    @property
    def device(self) -> Device:
        """The instance that it is of."""
        return Device(self.part, self.instance)

    @classmethod
    def read(cls, text: str) -> Self:
        """The reference that a text like `card#1/a` names. Raises ValueError where it is none."""
        device, _, socket = text.partition("/")
        part, instance = Device.read(device)
        return cls(part=part, instance=instance, socket=socket)


class Connection(Model):
    """A plug, or its marked half, in a socket."""

    plug: Key
    half: Half = "whole"
    socket: SocketRef


class Run(Model):
    """One cable in its ports, with what its plugs feed; a plug not named is parked."""

    cable: Key
    ports: Annotated[tuple[Key, ...], Field(max_length=8)] = ()
    connections: Annotated[tuple[Connection, ...], Field(max_length=64)] = ()
    pinned: Annotated[
        bool, Field(description="mapping leaves its ports and connections as they are")
    ] = False
