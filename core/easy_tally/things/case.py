"""The case: which supplies and cards it has room for, its vents, and how far its sockets lie."""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Identity, Model, Name, Note, Rating, rated, shown
from ..standards.forms import Side, SupplyForm
from ..standards.unmeasured import CASE_SIZES, CaseSize
from .boxed import InBox

#: Where sockets lie, as a cable is routed to them.
Area = Literal[
    "main plug",
    "processor",
    "card",
    "board extra",
    "3.5-inch bays",
    "2.5-inch places",
    "optical bay",
    "fans and hubs",
]


class Vent(Model):
    """An opening for air."""

    side: Side
    filtered: bool = False


class RadiatorPlace(Model):
    """A place for a radiator."""

    side: Side
    up_to_mm: Annotated[int, Field(ge=80, le=560, description="the largest radiator, by its fans")]
    room_mm: Rating = rated("room for the radiator with its fans", "mm", 200)


class Route(Model):
    """The way of a cable from the supply's place to an area, around the corners."""

    area: Area
    length_mm: Annotated[float, Field(gt=0, le=3000, json_schema_extra={"unit": "mm"})]


def _front(leads_for: str) -> Any:
    """How many leads of a kind the front panel has; none: not known."""
    return Field(default=None, ge=0, le=8, description=f"leads of its front panel for {leads_for}")


class Case(Model):
    """A case as its page and a tape measure describe it."""

    name: Name
    note: Note = ""
    slug: Annotated[str, Field(max_length=60, description="of the catalogue entry, if any")] = ""
    size: Annotated[
        CaseSize | None,
        Field(
            description="how large it is: by it ways through it are taken that nobody measured",
            **shown("Size", words={None: "not known", **CASE_SIZES}),
        ),
    ] = None
    supply_forms: Annotated[
        tuple[SupplyForm, ...], Field(max_length=5, description="forms of supply that it takes")
    ] = ()
    brackets: Annotated[
        tuple[SupplyForm, ...], Field(max_length=5, description="forms that it takes by a bracket")
    ] = ()
    supply_length_mm: Rating = rated("room for the supply, its plugs included", "mm", 600)
    supply_at: Annotated[
        Literal["bottom", "top", "front"] | None, Field(description="where the supply stands")
    ] = None
    card_length_mm: Rating = rated("room for a card's length, no radiator in front", "mm", 800)
    card_height_mm: Rating = rated("from the slot to the side panel", "mm", 400)
    slots: Annotated[int | None, Field(ge=0, le=16, description="places for slot brackets")] = None
    bays_35: Annotated[int | None, Field(ge=0, le=60, description="3.5-inch bays")] = None
    bays_25: Annotated[int | None, Field(ge=0, le=60, description="2.5-inch places")] = None
    front_usb2: int | None = _front("an internal USB 2 header, 9-pin")
    front_usb3: int | None = _front("an internal USB 3 header, 19-pin")
    front_usbc: int | None = _front("an internal USB-C header")
    front_audio: int | None = _front("a front audio header")
    feet_mm: Rating = rated("room under its bottom", "mm", 200)
    vents: Annotated[tuple[Vent, ...], Field(max_length=12)] = ()
    radiators: Annotated[
        tuple[RadiatorPlace, ...] | None,
        Field(max_length=8, description="places for radiators; none: not known"),
    ] = None
    routes: Annotated[tuple[Route, ...], Field(max_length=8)] = ()
    in_box: InBox = ()
    individual: Identity = ""

    @model_validator(mode="after")
    def _routes_differ(self) -> Self:
        areas = [r.area for r in self.routes]
        if len(set(areas)) < len(areas):
            raise ValueError("one route to each area")
        sides = [r.side for r in self.radiators or ()]
        if len(set(sides)) < len(sides):
            raise ValueError("one place for a radiator on each side")
        return self
