"""Cables, their plugs, and what they are plugged into: declared once."""

from __future__ import annotations

from itertools import pairwise
from typing import Annotated, Any, NamedTuple, Self

from pydantic import Field, model_validator

from ..base.declared import Identity, Key, Model, Name, Note, Owned, Rating, rated
from ..standards.connectors import CONNECTORS, PLUGS, Half, PlugKind, PortKind, Sense
from ..standards.contacts import Gauge, Grade
from ..standards.unmeasured import lead_pins
from .buying import Buy


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
    grade: Grade | None = None


class Plug(Model):
    """A plug at its place along the cable."""

    key: Key
    kind: PlugKind
    at_mm: Annotated[
        float | None, Field(gt=0, le=3000, description="from the supply; none: not measured")
    ] = None
    grade: Grade | None = None
    pins_12v: Annotated[int | None, Field(ge=1, le=6)] = None
    contact_a: Rating = rated("maker's given for one contact", "A", 30, zero=False)
    sense: Annotated[Sense | None, Field(description="coding of a 16-pin plug")] = None
    straight_mm: Rating = rated("straight length before a bend", "mm", 200)
    matings: Annotated[int, Field(ge=0, le=1000, description="times it was plugged in")] = 0

    @property
    def mm(self) -> float:
        """How far from the supply [mm], of a plug as it is taken: measured, or as usual."""
        if self.at_mm is None:
            raise TypeError(f"a plug as it is taken, got {self.key} of which nobody says how far")
        return self.at_mm


def with_usual_pins(given: Any, *kinds: Any) -> Any:
    """What a file says of a thing with wires; where it leaves its conductors out, those that follow
    from the `kinds` of its plugs or leads, the first that is one."""
    if not isinstance(given, dict) or given.get("conductors") is not None:
        return given
    shape = next((PLUGS[k] for k in kinds if isinstance(k, str) and k in PLUGS), None)
    if shape is None:
        return {k: v for k, v in given.items() if k != "conductors"}
    return {**given, "conductors": lead_pins(CONNECTORS[shape.whole])}


def first_kind(things: Any) -> Any:
    """The kind of the first of some plugs or leads, as a file or the code has them."""
    first = things[0] if isinstance(things, list | tuple) and things else None
    return first.get("kind") if isinstance(first, dict) else getattr(first, "kind", None)


class Cable(Model):
    """A cable: modular, or fixed to the supply where `needs` is empty."""

    key: Key
    name: Name
    note: Note = ""
    family: Annotated[str, Field(min_length=1, max_length=60, description="pinout family")]
    needs: Annotated[tuple[PortKind, ...], Field(max_length=3)] = ()
    supply_end: SupplyEnd = SupplyEnd()
    gauge: Gauge | None = None
    conductors: RailPins = RailPins()
    insulation_degc: Rating = rated("printed on the insulation", "°C", 260)
    plugs: Annotated[tuple[Plug, ...], Field(min_length=1, max_length=12)]
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None

    @model_validator(mode="before")
    @classmethod
    def _pins_as_usual(cls, given: Any) -> Any:
        """What follows from the kind of its plugs needs no saying."""
        if not isinstance(given, dict):
            return given
        given = with_usual_pins(given, kind := first_kind(given.get("plugs")))
        if given.get("supply_end") is None and given.get("needs") and kind in PLUGS:
            given = {**given, "supply_end": usual_end(kind)}
        return {k: v for k, v in given.items() if k != "supply_end" or v is not None}

    @model_validator(mode="after")
    def _plugs_in_order(self) -> Self:
        keys = [p.key for p in self.plugs]
        if len(set(keys)) < len(keys):
            raise ValueError("every plug of a cable a key of its own")
        away = [p.at_mm for p in self.plugs if p.at_mm is not None]
        if any(a > b for a, b in pairwise(away)):
            raise ValueError("plugs in order of distance from the supply")
        return self


def usual_end(kind: PlugKind) -> dict[str, Any]:
    """The supply end of a modular cable by its first plug, as a file has it."""
    connector = CONNECTORS[PLUGS[kind].whole]
    return {"circuits": connector.cable.circuits, "pins": lead_pins(connector)}


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
