"""What moves air and water, what lights, and what feeds them: by a header or a plug."""

from __future__ import annotations

from typing import Annotated, Any, ClassVar, Literal, Self, get_args

from pydantic import Field, model_validator

from ...base.declared import Amps, Key, Rating, Watts, rated, shown
from ...standards.forms import Side
from .common import Header, HeaderKind, WithSockets, known, usb_lead
from .traits import Called, Traits


class HangsOnHeader(WithSockets):
    """Fed from a header of the board or of a hub; or by a plug, where it has a socket."""

    on: Annotated[Key | None, Field(description="the hub it hangs on; none: the board")] = None
    headers: Annotated[
        tuple[Key, ...],
        Field(max_length=32, description="headers used, in turn; none: all of its kind, in turn"),
    ] = ()

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """Kinds of header that feed it, the usual one first."""
        return ("fan", "pump")


def _flow() -> Any:
    """Air that a fan moves with nothing in its way."""
    return rated(
        "air that one of its fans moves at full speed, in the open",
        "m³/h",
        1000,
        shown=shown("Air that one moves", said="flow", told="moves {} m³/h"),
    )


def _side(text: str) -> Any:
    """A side of the case that something is on; none: not known."""
    words = {None: "not known", **{side: side for side in get_args(Side)}}
    same = {side: side for side in get_args(Side)}
    return Field(
        description=text,
        **shown("Mounted at the", words=words, said="mounted", told="at the {}", said_as=same),
    )


#: Which way a fan moves air: into the case, or out of it.
Blows = Annotated[
    Literal["in", "out"] | None,
    Field(
        description="whether its fans blow into the case or out",
        **shown(
            "Blows",
            words={None: "not known", "in": "into the case", "out": "out of the case"},
            said="blows",
            said_as={"in": "in", "out": "out"},
        ),
    ),
]


class Fan(HangsOnHeader):
    """Fans."""

    kind: Literal["fan"] = "fan"
    traits: ClassVar[Traits] = Traits({"fan": Called(("fan",), "fans")})
    size_mm: Annotated[int, Field(ge=20, le=400, **shown("Size", unit="mm"))] = 120
    rated_a: Amps = known("rated current at 12 V", "fan_a", said="rated", missed="amps")
    flow_m3h: Rating = _flow()
    side: Annotated[Side | None, _side("side of the case that it is on")] = None
    blows: Blows = None


class Pump(HangsOnHeader):
    """A pump by itself."""

    kind: Literal["pump"] = "pump"
    traits: ClassVar[Traits] = Traits(
        {"pump": Called(("pump",), "pumps")}, "Pump", asked_how_fed=True
    )
    rated_a: Amps = known("rated current at 12 V", "pump_a", said="rated", missed="amps")

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A pump header before a fan header."""
        return ("pump", "fan")


_RADIATORS: dict[int | None, str] = {
    None: "not known",
    0: "none: cooled by air",
    **{mm: f"{mm} mm" for mm in (120, 140, 240, 280, 360, 420, 480)},
}


class Cooler(HangsOnHeader):
    """A liquid cooler: pump, fans and controller as one."""

    kind: Literal["cooler"] = "cooler"
    traits: ClassVar[Traits] = Traits(
        {"cooler": Called(("cooler", "radiator", "aio"), "coolers")},
        "Liquid cooler",
        asked_how_fed=True,
    )
    pump_a: Amps = known("its pump at 12 V", "pump_a", said="pump", missed="amps of its pump")
    fans: Annotated[
        int, Field(ge=0, le=12, description="fans that come with it", **shown("Fans with it"))
    ] = 2
    fan_a: Amps = known("one of its fans at 12 V", "fan_a", said="fan", missed="amps of its fans")
    controller_w: Watts = known(
        "its controller and lights at 5 V", "controller_w", said="controller"
    )
    flow_m3h: Rating = _flow()
    side: Annotated[Side | None, _side("side of the case its radiator is on")] = None
    blows: Blows = None
    radiator_mm: Annotated[
        int | None,
        Field(
            ge=0,
            le=560,
            description="its radiator, by its fans: 240, 280, 360; 0: it has none",
            **shown("Radiator", unit="mm", words=_RADIATORS, said="radiator", told="radiator {}"),
        ),
    ] = None
    thick_mm: Rating = rated(
        "its radiator's thickness, without the fans",
        "mm",
        120,
        shown=shown("Thick, without fans", said="thick", told="{} mm thick"),
    )
    usb_lead: bool | None = usb_lead()

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A pump header before a fan header; one without a radiator the other way round."""
        return ("fan", "pump") if self.radiator_mm == 0 else ("pump", "fan")


class LightStrip(HangsOnHeader):
    """A light strip at 5 V or 12 V."""

    kind: Literal["strip"] = "strip"
    traits: ClassVar[Traits] = Traits({"strip": Called(("strip", "light", "led"), "lights")})
    volts: Annotated[Literal[5, 12], Field(**shown("Volts", words={5: "5 V", 12: "12 V"}))] = 5
    rated_a: Amps = known("all lights on, at its volts", "strip_a", said="rated", missed="amps")

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A header of its own volts only."""
        return ("lights-5v",) if self.volts == 5 else ("lights-12v",)


class Hub(HangsOnHeader):
    """A fan or light controller: what hangs on it comes through its own socket, or at 12 V
    through a header."""

    kind: Literal["hub"] = "hub"
    traits: ClassVar[Traits] = Traits(
        {"hub": Called(("hub", "controller"), "hubs")}, "Hub", asked_how_fed=True
    )
    own_w: Watts = known(
        "its own draw at 5 V", "controller_w", said="own", missed="watts of its own"
    )
    outputs: Annotated[tuple[Header, ...], Field(max_length=32)] = ()
    usb_lead: bool | None = usb_lead()

    @model_validator(mode="after")
    def _one_hub(self) -> Self:
        if self.count != 1:
            raise ValueError("a count of 1 for a hub: each has its own plug")
        if len({h.key for h in self.outputs}) < len(self.outputs):
            raise ValueError("every output a key of its own")
        return self
