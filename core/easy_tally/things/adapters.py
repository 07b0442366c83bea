"""What goes between a cable and a socket: adapters, extensions, backplanes; and brackets, between a
supply and its case. Declared once."""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Identity, Key, Model, Name, Note, Owned, Rating, rated
from ..standards.connectors import PlugKind
from ..standards.contacts import Gauge
from ..standards.forms import SupplyForm
from .buying import Buy
from .cables import Connection, Plug, RailPins, first_kind, with_usual_pins

#: What a lead of an adapter takes: the socket that a plug goes into.
LeadKind = Literal["pcie8", "pcie6", "per4", "sata", "fdd4"]


#: What the plugs (or bays) of a thing in between are plugged into.
Plugged = Annotated[tuple[Connection, ...], Field(max_length=64)]


class Lead(Model):
    """An input of an adapter."""

    key: Key
    kind: LeadKind
    pins_12v: Annotated[int | None, Field(ge=1, le=6)] = None


class CodeAt(Model):
    """What a 16-pin plug is coded for with so many leads plugged in."""

    leads: Annotated[int, Field(ge=1, le=4)]
    watts: Literal[150, 300, 450, 600]


class Adapter(Model):
    """One or more leads, each its own plug to go into it, and one or more plugs. A Y-piece, and a
    lead from 4-pin to SATA, are adapters."""

    key: Key
    name: Name
    note: Note = ""
    leads: Annotated[tuple[Lead, ...], Field(min_length=1, max_length=4)]
    plugs: Annotated[tuple[Plug, ...], Field(min_length=1, max_length=8)]
    gauge: Gauge | None = None
    conductors: Annotated[RailPins, Field(description="of one lead")] = RailPins()
    insulation_degc: Rating = rated("printed on the insulation", "°C", 260)
    moulded: Annotated[
        bool | None, Field(description="4-pin to SATA moulded over its wires, or crimped")
    ] = None
    codes: Annotated[
        tuple[CodeAt, ...], Field(max_length=4, description="of its 16-pin plug, by leads")
    ] = ()
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None
    connections: Plugged = ()

    @model_validator(mode="before")
    @classmethod
    def _pins_as_usual(cls, given: Any) -> Any:
        """What follows from the kind of its leads needs no saying."""
        return (
            with_usual_pins(given, first_kind(given.get("leads")))
            if isinstance(given, dict)
            else given
        )

    @model_validator(mode="after")
    def _in_order(self) -> Self:
        keys = [*(lead.key for lead in self.leads), *(plug.key for plug in self.plugs)]
        if len(set(keys)) < len(keys):
            raise ValueError("every lead and every plug of an adapter a key of its own")
        leads = [c.leads for c in self.codes]
        if leads != sorted(set(leads)):
            raise ValueError("its codes by leads in rising order, each number once")
        if leads and leads[-1] > len(self.leads):
            raise ValueError(f"codes for its {len(self.leads)} leads, none for {leads[-1]}")
        watts = [c.watts for c in self.codes]
        if watts != sorted(watts):
            raise ValueError("no less watts with more leads plugged in")
        return self


class Extension(Model):
    """One lead and one plug of the same kind, wires between: its ends are standard, so it has no
    pinout family."""

    key: Key
    name: Name
    note: Note = ""
    kind: PlugKind
    length_mm: Annotated[float | None, Field(gt=0, le=3000, json_schema_extra={"unit": "mm"})] = (
        None
    )
    gauge: Gauge | None = None
    conductors: RailPins = RailPins()
    insulation_degc: Rating = rated("printed on the insulation", "°C", 260)
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None
    connections: Plugged = ()

    @model_validator(mode="before")
    @classmethod
    def _pins_as_usual(cls, given: Any) -> Any:
        """What follows from the kind of its plug needs no saying."""
        return with_usual_pins(given, given.get("kind")) if isinstance(given, dict) else given


class BackplaneInput(Model):
    """A power input of a backplane, and the bays that it feeds."""

    key: Key
    kind: Literal["sata", "per4"]
    bays: Annotated[tuple[Key, ...], Field(min_length=1, max_length=16)]


class Backplane(Model):
    """A drive cage: drives stand in its bays and reach the supply through its inputs."""

    key: Key
    name: Name
    note: Note = ""
    inputs: Annotated[tuple[BackplaneInput, ...], Field(min_length=1, max_length=8)]
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None
    connections: Annotated[
        Plugged, Field(description="a bay, and the drive that stands in it")
    ] = ()

    @model_validator(mode="after")
    def _each_once(self) -> Self:
        keys = [i.key for i in self.inputs] + [b for i in self.inputs for b in i.bays]
        if len(set(keys)) < len(keys):
            raise ValueError("every input and every bay a key of its own, each bay of one input")
        return self


class Bracket(Model):
    """Holds a supply of one form in a place for another."""

    name: Name
    form: Annotated[SupplyForm, Field(description="of the supply that it holds")]
    place: Annotated[SupplyForm, Field(description="of the place that it goes into")]
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None

    @model_validator(mode="after")
    def _of_two_forms(self) -> Self:
        if self.form == self.place:
            raise ValueError(f"a bracket between two forms, not from {self.form} to itself")
        return self
