"""The supply, its ports and their groups: declared once."""

from __future__ import annotations

from collections import Counter
from itertools import pairwise
from typing import Annotated, Any, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Identity, Key, Model, Name, Note, Owned, Rating, rated
from ..standards.connectors import PortKind
from ..standards.efficiency import Grade
from ..standards.forms import SupplyForm
from ..standards.unmeasured import PORT_SHAPE
from .boxed import InBox
from .buying import Buy

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

    @model_validator(mode="before")
    @classmethod
    def _shape_as_usual(cls, given: Any) -> Any:
        """What follows from its kind needs no saying."""
        shape = PORT_SHAPE.get(given.get("kind")) if isinstance(given, dict) else None  # type: ignore[arg-type]
        if shape is None:
            return given
        usual = dict(zip(("circuits", "pins_12v"), shape, strict=True))
        return usual | {k: v for k, v in given.items() if k not in usual or v is not None}


class PortGroup(Model):
    """Ports that share one over-current limit."""

    key: Key
    label: Annotated[str, Field(min_length=1, max_length=24)]
    limit_a: Rating = rated("over-current limit at 12 V", "A", 300)


class EfficiencyPoint(Model):
    """What a supply converts at a share of its rating."""

    share: Annotated[float, Field(gt=0, le=1.2, description="share of the rating")]
    value: Annotated[float, Field(ge=0.3, le=1, description="efficiency")]


class Supply(Model):
    """A power supply as its label and its panel describe it."""

    name: Name
    note: Note = ""
    slug: Annotated[str, Field(max_length=60, description="of the catalogue entry, if any")] = ""
    rated_w: Rating = rated("rated watts", "W", 4000)
    v12_a: Rating = rated("12 V rail", "A", 400)
    v5_a: Rating = rated("5 V rail", "A", 100)
    v3v3_a: Rating = rated("3.3 V rail", "A", 100)
    v5sb_a: Rating = rated("5 V standby", "A", 20)
    vneg12_a: Rating = rated("−12 V; 0 where the supply has none", "A", 5)
    vneg5_a: Rating = rated("−5 V; 0 where the supply has none", "A", 5)
    combined_w: Rating = rated("5 V and 3.3 V together", "W", 600)
    design: Literal["3.1", "3.0", "classic"] | None = None
    telemetry_lead: Annotated[
        bool, Field(description="a lead for an internal USB 2 header, by which it tells its watts")
    ] = False
    form: Annotated[SupplyForm | None, Field(description="form")] = None
    length_mm: Rating = rated("length without its plugs", "mm", 400)
    modular: Annotated[
        Literal["fully", "semi", "not"] | None, Field(description="which of its cables come off")
    ] = None
    regulation: Annotated[
        Literal["independent", "group"] | None,
        Field(description="each rail regulated by itself, or 12 V and 5 V together"),
    ] = None
    grade: Annotated[Grade | None, Field(description="efficiency grade")] = None
    efficiency: Annotated[
        tuple[EfficiencyPoint, ...],
        Field(max_length=12, description="its own measured points; they win over the grade"),
    ] = ()
    fan_off_share: Annotated[
        float | None,
        Field(ge=0, le=1, description="share of the rating up to which its fan stands; 0: never"),
    ] = None
    fan_off_degc: Rating = rated("its fan stands until its inside is so warm", "°C", 120)
    fan_side: Annotated[
        Literal["wide", "end", "none"] | None,
        Field(description="its fan: in a wide face, at an end, or it has none"),
    ] = None
    hold_up_ms: Rating = rated("hold-up at full load", "ms", 200)
    made: Annotated[int | None, Field(ge=1990, le=2200, description="year made")] = None
    owned: Owned = ""
    individual: Identity = ""
    to_buy: Buy = None
    in_box: InBox = ()
    family: Annotated[str, Field(min_length=1, max_length=60, description="pinout family")]
    groups: Annotated[tuple[PortGroup, ...], Field(max_length=64)] = ()
    ports: Annotated[tuple[Port, ...], Field(max_length=64)] = ()

    @model_validator(mode="after")
    def _ports_fit(self) -> Self:
        shares = [p.share for p in self.efficiency]
        if any(b <= a for a, b in pairwise(shares)):
            raise ValueError("efficiency points in rising order of load, each load once")
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
