"""The parts of a build: what a builder knows of each, declared once.

Every figure may be missing. Where a default is honest (`assumptions.py`) the tally uses it and
marks it assumed; where none is, the tally reads unknown.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Amps, Key, Model, Name, Note, Rating, Watts, rated
from ..standards.connectors import SocketKind, SocketVersion, is_coded
from ..standards.forms import Side


def _known(text: str, *default_from: str, share_of: str = "", needed: bool = False) -> Any:
    """A figure that may be missing; `default_from` names the assumptions, one of which is used
    then (see `defaults.py`), as a share of the figure `share_of` where that is named. A figure
    that is `needed` has none: without it totals read “at least”."""
    extra = {"default_from": list(default_from), "share_of": share_of or None, "needed": needed}
    return Field(default=None, description=text, json_schema_extra=extra)  # type: ignore[arg-type]


class Socket(Model):
    """A power input on a part."""

    key: Key
    kind: SocketKind
    required: bool = True
    version: Annotated[
        SocketVersion, Field(description="of a 16-pin socket: first (H+) or revised (H++)")
    ] = "revised"
    pins_12v: Annotated[
        int | None, Field(ge=1, le=6, description="12 V pins wired, where not the usual number")
    ] = None


HeaderKind = Literal["fan", "pump", "lights-5v", "lights-12v"]
HEADER_WORDS: dict[HeaderKind, str] = {
    "fan": "fan",
    "pump": "pump",
    "lights-5v": "5 V lights",
    "lights-12v": "12 V lights",
}


class Header(Model):
    """A power output on the board or on a hub; one for 5 V lights gives 5 V, the others 12 V."""

    key: Key
    kind: HeaderKind = "fan"
    limit_a: Annotated[Amps, Field(description="what the header gives at its volts")] = None
    speed: Annotated[
        bool | None, Field(description="whether the speed of what hangs on it is seen; none: usual")
    ] = None


class Slot(Model):
    """A slot on the board, by its wired lanes."""

    key: Key
    lanes: Literal[1, 4, 8, 16] = 16
    fed_by: Annotated[
        Key | None,
        Field(description="the board's socket that feeds it at 12 V, where the manual says so"),
    ] = None
    place: Annotated[
        int | None,
        Field(ge=1, le=16, description="the case's slot place that it lies behind, 1 the topmost"),
    ] = None


class M2Slot(Model):
    """An M.2 slot on the board, and the SATA data ports that go dead once a drive is in it."""

    key: Key
    off: Annotated[
        tuple[Annotated[int, Field(ge=1, le=32)], ...],
        Field(max_length=32, description="numbers of the SATA data ports that it switches off"),
    ] = ()

    @model_validator(mode="after")
    def _each_once(self) -> Self:
        if len(set(self.off)) < len(self.off):
            raise ValueError("every port that it switches off once")
        return self


def _ports(of: str, most: int = 8) -> Any:
    """How many signal ports of a kind a part has; none: not known."""
    return Field(default=None, ge=0, le=most, description=of)


class _Signals(Model):
    """Ports that carry signals: counted against what needs one, nothing is rated on them."""

    sata_ports: int | None = _ports("SATA data ports", 32)
    usb2_headers: int | None = _ports("internal USB 2 headers, 9-pin")
    usb3_headers: int | None = _ports("internal USB 3 headers, 19-pin")
    usbc_headers: int | None = _ports("internal USB-C headers for the front")
    audio_headers: int | None = _ports("front audio headers")


class _Part(Model):
    key: Key
    name: Name
    count: Annotated[int, Field(ge=1, le=64)] = 1
    note: Note = ""
    catalogue: Annotated[
        str,
        Field(
            pattern=r"^([a-z0-9][a-z0-9-]{0,59}@[1-9][0-9]{0,3})?$",
            description="slug@revision of the catalogue entry that it was copied from, if any",
        ),
    ] = ""


class _Plain(_Part):
    @property
    def sockets(self) -> tuple[Socket, ...]:
        """Power inputs of one instance: none, it is fed through the board."""
        return ()


class _Socketed(_Part):
    sockets: Annotated[tuple[Socket, ...], Field(max_length=16)] = ()

    @model_validator(mode="after")
    def _keys_differ(self) -> Self:
        keys = [s.key for s in self.sockets]
        if len(set(keys)) < len(keys):
            raise ValueError("every socket of a part a key of its own")
        return self


def _own_spikes(of: str) -> Any:
    """A part's own spike factors in the four windows, on what a text names."""
    return Field(
        default=None,
        min_length=4,
        max_length=4,
        description=f"its own factors on {of} at 0.1, 1, 10 and 100 ms",
    )


_Factor = Annotated[float, Field(ge=1, le=5)]


class Processor(_Plain):
    """Fed through the board's processor sockets."""

    kind: Literal["processor"] = "processor"
    package_w: Watts = _known("package limit, sustained: the figure on the page", needed=True)
    package_short_w: Watts = _known(
        "package limit for the short time, tens of seconds",
        "processor_short_ratio",
        share_of="package_w",
    )
    package_idle_w: Watts = _known("package at idle", "processor_idle_w")
    spike_factors: tuple[_Factor, ...] | None = _own_spikes("its sustained load")


class Board(_Signals, _Socketed):
    """The board: main plug, processor sockets, extra sockets, slots, headers."""

    kind: Literal["board"] = "board"
    own_12v_w: Watts = _known("the board's own draw at 12 V, at full", "board_12v_w")
    own_5v_w: Watts = _known("the board's own draw at 5 V, at full", "board_5v_w")
    own_3v3_w: Watts = _known("the board's own draw at 3.3 V, at full", "board_3v3_w")
    standby_w: Watts = _known("the board asleep, from 5 V standby", "board_standby_w")
    slots: Annotated[tuple[Slot, ...], Field(max_length=16)] = ()
    headers: Annotated[tuple[Header, ...], Field(max_length=32)] = ()
    eps4_in_eps8: Annotated[
        bool, Field(description="the manual allows a 4-pin processor plug in the 8-pin socket")
    ] = False
    m2_slots: Annotated[
        tuple[M2Slot, ...] | None, Field(max_length=12, description="M.2 slots; none: not known")
    ] = None

    @model_validator(mode="after")
    def _one_board(self) -> Self:
        if self.count != 1:
            raise ValueError("a count of 1 for a board")
        for things in (self.slots, self.headers, self.m2_slots or ()):
            if len({t.key for t in things}) < len(things):
                raise ValueError("every slot and every header a key of its own")
        sockets = {s.key for s in self.sockets}
        for slot in self.slots:
            if slot.fed_by is not None and slot.fed_by not in sockets:
                raise ValueError(f"{slot.key} fed by a socket of this board; no {slot.fed_by}")
        for m2 in self.m2_slots or ():
            if self.sata_ports is not None and m2.off and max(m2.off) > self.sata_ports:
                raise ValueError(
                    f"{m2.key} to switch off SATA data ports of this board; it has "
                    f"{self.sata_ports}, no {max(m2.off)}"
                )
        return self


class Card(_Signals, _Socketed):
    """A graphics or other card in a slot."""

    kind: Literal["card"] = "card"
    board_power_w: Watts = _known("board power: all that the card draws", needed=True)
    slot_w: Watts = _known(
        "what it takes from the slot at 12 V", "slot_share_with_8pin_w", "slot_share_with_16pin_w"
    )
    idle_w: Watts = _known("the card at idle", "card_idle_share", share_of="board_power_w")
    spikes: Annotated[
        Literal["usual", "by-standard worst"], Field(description="which spike factors it gets")
    ] = "usual"
    spike_factors: tuple[_Factor, ...] | None = _own_spikes("board power")
    system_floor_w: Watts = _known("the smallest supply that the card's maker states")
    use: Annotated[
        Literal["graphics", "plain"],
        Field(description="a graphics card spikes; a plain one (sound, network, capture) does not"),
    ] = "graphics"
    lanes: Annotated[Literal[1, 4, 8, 16], Field(description="lanes of its edge")] = 16
    slot: Annotated[Key | None, Field(description="the board's slot that it stands in")] = None
    power_limit: Annotated[
        float, Field(ge=0.3, le=2, description="power limit set by the builder, 1 as delivered")
    ] = 1.0
    m2_slots: int | None = _ports("M.2 slots on the card")
    length_mm: Rating = rated("its length, without the slot bracket", "mm", 600)
    height_mm: Rating = rated("its height above the slot, without a plug", "mm", 300)
    covers: Annotated[int | None, Field(ge=1, le=6, description="slot places that it covers")] = (
        None
    )
    support: Annotated[
        Literal["not needed", "in the box", "needed"] | None,
        Field(description="whether its weight asks for a support"),
    ] = None
    plugs_face: Annotated[
        Literal["side panel", "front"], Field(description="where its plugs stand out to")
    ] = "side panel"

    @model_validator(mode="after")
    def _spikes_fit(self) -> Self:
        if self.spikes == "by-standard worst" and not any(is_coded(s.kind) for s in self.sockets):
            raise ValueError("a 16-pin socket for the standard's worst spikes")
        if self.slot is not None and self.count != 1:
            raise ValueError("a count of 1 for a card whose slot is named")
        return self


class Memory(_Plain):
    """Memory modules; the count is of modules."""

    kind: Literal["memory"] = "memory"
    generation: Literal["ddr5", "ddr5-registered", "ddr4", "ddr3"] = "ddr5"
    module_w: Watts = _known("one module at full", "memory_module_w")


class M2Drive(_Plain):
    """A drive in the board's M.2 slot."""

    kind: Literal["m2"] = "m2"
    full_w: Watts = _known("at full", "m2_w")
    idle_w: Watts = _known("at idle", "m2_idle_share", share_of="full_w")
    slot: Annotated[Key | None, Field(description="the board's M.2 slot that it is in")] = None

    @model_validator(mode="after")
    def _one_slot(self) -> Self:
        if self.slot is not None and self.count != 1:
            raise ValueError("a count of 1 for a drive whose slot is named")
        return self


class Drive(_Socketed):
    """A drive with a power socket of its own: 3.5- or 2.5-inch, optical, floppy."""

    kind: Literal["drive"] = "drive"
    form: Literal["3.5", "2.5", "optical", "floppy"] = "3.5"
    run_12v_a: Amps = _known("running, at 12 V", "disk35_12v_a", "optical_12v_a", "floppy_12v_a")
    run_5v_a: Amps = _known(
        "running, at 5 V", "disk35_5v_a", "drive25_5v_a", "optical_5v_a", "floppy_5v_a"
    )
    start_12v_a: Amps = _known("at spin-up, at 12 V: the label's peak", "disk35_start_12v_a")
    start_5v_a: Amps = _known("at spin-up, at 5 V", "disk35_start_5v_a")
    power_disable: Annotated[
        bool, Field(description="stays off where the third pin carries 3.3 V")
    ] = False
    data: Annotated[
        Literal["sata", "ribbon", "expander"] | None,
        Field(description="where its data goes; none: SATA, where its power plug is SATA"),
    ] = None


def _usb_lead() -> Any:
    """Whether a controller has a lead for an internal USB header."""
    text = "whether its controller has a lead for an internal USB 2 header; none: not known"
    return Field(default=None, description=text)


class _OnHeader(_Socketed):
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
    return rated("air that one of its fans moves at full speed, in the open", "m³/h", 1000)


#: Which way a fan moves air: into the case, or out of it.
Blows = Annotated[
    Literal["in", "out"] | None, Field(description="whether its fans blow into the case or out")
]


class Fan(_OnHeader):
    """Fans."""

    kind: Literal["fan"] = "fan"
    size_mm: Annotated[int, Field(ge=20, le=400)] = 120
    rated_a: Amps = _known("rated current at 12 V", "fan_a")
    flow_m3h: Rating = _flow()
    side: Annotated[Side | None, Field(description="side of the case that it is on")] = None
    blows: Blows = None


class Pump(_OnHeader):
    """A pump by itself."""

    kind: Literal["pump"] = "pump"
    rated_a: Amps = _known("rated current at 12 V", "pump_a")

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A pump header before a fan header."""
        return ("pump", "fan")


class Cooler(_OnHeader):
    """A liquid cooler: pump, fans and controller as one."""

    kind: Literal["cooler"] = "cooler"
    pump_a: Amps = _known("its pump at 12 V", "pump_a")
    fans: Annotated[int, Field(ge=0, le=12, description="fans that come with it")] = 2
    fan_a: Amps = _known("one of its fans at 12 V", "fan_a")
    controller_w: Watts = _known("its controller and lights at 5 V", "controller_w")
    flow_m3h: Rating = _flow()
    side: Annotated[Side | None, Field(description="side of the case its radiator is on")] = None
    blows: Blows = None
    radiator_mm: Annotated[
        int | None,
        Field(ge=0, le=560, description="its radiator, by its fans: 240, 280, 360; 0: it has none"),
    ] = None
    thick_mm: Rating = rated("its radiator's thickness, without the fans", "mm", 120)
    usb_lead: bool | None = _usb_lead()

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A pump header before a fan header."""
        return ("pump", "fan")


class LightStrip(_OnHeader):
    """A light strip at 5 V or 12 V."""

    kind: Literal["strip"] = "strip"
    volts: Literal[5, 12] = 5
    rated_a: Amps = _known("all lights on, at its volts", "strip_a")

    def may_hang_on(self) -> tuple[HeaderKind, ...]:
        """A header of its own volts only."""
        return ("lights-5v",) if self.volts == 5 else ("lights-12v",)


class Hub(_OnHeader):
    """A fan or light controller: what hangs on it comes through its own socket, or at 12 V
    through a header."""

    kind: Literal["hub"] = "hub"
    own_w: Watts = _known("its own draw at 5 V", "controller_w")
    outputs: Annotated[tuple[Header, ...], Field(max_length=32)] = ()
    usb_lead: bool | None = _usb_lead()

    @model_validator(mode="after")
    def _one_hub(self) -> Self:
        if self.count != 1:
            raise ValueError("a count of 1 for a hub: each has its own plug")
        if len({h.key for h in self.outputs}) < len(self.outputs):
            raise ValueError("every output a key of its own")
        return self


class UsbLoad(_Plain):
    """What hangs on the board's USB ports: outside, or on a header inside the case."""

    kind: Literal["usb"] = "usb"
    draw_w: Watts = _known("at 5 V, in use", needed=True)
    asleep_w: Watts = _known("asleep, from standby: what may wake or charge", "usb_asleep_w")
    port: Annotated[
        Literal["outside", "usb2", "usb3", "usb-c"],
        Field(description="a port outside, or an internal header that one takes to itself"),
    ] = "outside"
    usb2_headers: int | None = _ports("internal USB 2 headers that it gives: a hub inside")


class Other(_Socketed):
    """Anything else, by rail: what it draws through its own socket, or through the board."""

    kind: Literal["other"] = "other"
    v12_w: Watts = _known("at 12 V")
    v5_w: Watts = _known("at 5 V")
    v3v3_w: Watts = _known("at 3.3 V")
    v5sb_w: Watts = _known("at 5 V standby, asleep too")
    vneg12_w: Watts = _known("at −12 V")
    vneg5_w: Watts = _known("at −5 V")
    idle_share: Annotated[float, Field(ge=0, le=1, description="idle as a share of full")] = 0.5


Part = Annotated[
    Processor
    | Board
    | Card
    | Memory
    | M2Drive
    | Drive
    | Fan
    | Pump
    | Cooler
    | LightStrip
    | Hub
    | UsbLoad
    | Other,
    Field(discriminator="kind"),
]
PART_KINDS: tuple[type[_Part], ...] = (
    Processor,
    Board,
    Card,
    Memory,
    M2Drive,
    Drive,
    Fan,
    Pump,
    Cooler,
    LightStrip,
    Hub,
    UsbLoad,
    Other,
)
#: Kinds that may hang on a header.
OnHeader = Fan | Pump | Cooler | LightStrip | Hub
ON_HEADER = (Fan, Pump, Cooler, LightStrip, Hub)
#: Kinds that stand in a slot of the board.
IN_SLOTS = (Card, M2Drive)


def ties(part: Part) -> tuple[str, ...]:
    """Fields that tie a part to the build that it is in: a catalogue entry has none of them, and
    taking one over leaves them as they are."""
    own = ("count", "note", "on", "slot", *(() if isinstance(part, Board) else ("headers",)))
    return tuple(n for n in own if n in type(part).model_fields)
