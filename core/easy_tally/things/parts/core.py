"""The board, and what stands on it without a cable of its own."""

from __future__ import annotations

from typing import Annotated, ClassVar, Literal, Self

from pydantic import Field, model_validator

from ...base.declared import Key, Watts, shown
from .common import (
    FedThroughBoard,
    Header,
    M2Slot,
    Slot,
    SpikeFactor,
    WithSignals,
    WithSockets,
    known,
    own_spikes,
)
from .traits import Called, Traits


class Processor(FedThroughBoard):
    """Fed through the board's processor sockets."""

    kind: Literal["processor"] = "processor"
    traits: ClassVar[Traits] = Traits(
        {"processor": Called(("processor", "cpu"), "processors")}, "Processor"
    )
    package_w: Watts = known(
        "package limit, sustained: the figure on the page",
        needed=True,
        said="package",
        missed="package watts",
    )
    package_short_w: Watts = known(
        "package limit for the short time, tens of seconds",
        "processor_short_ratio",
        share_of="package_w",
        said="short",
        missed="short limit",
    )
    package_idle_w: Watts = known("package at idle", "processor_idle_w", said="idle")
    spike_factors: tuple[SpikeFactor, ...] | None = own_spikes("its sustained load")


class Board(WithSignals, WithSockets):
    """The board: main plug, processor sockets, extra sockets, slots, headers."""

    kind: Literal["board"] = "board"
    traits: ClassVar[Traits] = Traits(
        {"board": Called(("board", "motherboard", "mainboard"), "boards")},
        "Board",
        has_main_figure=False,
    )
    own_12v_w: Watts = known("the board's own draw at 12 V, at full", "board_12v_w", said="own-12v")
    own_5v_w: Watts = known("the board's own draw at 5 V, at full", "board_5v_w", said="own-5v")
    own_3v3_w: Watts = known(
        "the board's own draw at 3.3 V, at full", "board_3v3_w", said="own-3.3v"
    )
    standby_w: Watts = known(
        "the board asleep, from 5 V standby", "board_standby_w", said="standby"
    )
    slots: Annotated[tuple[Slot, ...], Field(max_length=16)] = ()
    headers: Annotated[tuple[Header, ...], Field(max_length=32)] = ()
    eps4_in_eps8: Annotated[
        bool,
        Field(
            description="the manual allows a 4-pin processor plug in the 8-pin socket",
            **shown("Manual allows a 4-pin processor plug in the 8-pin socket"),
        ),
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


class Memory(FedThroughBoard):
    """Memory modules; the count is of modules."""

    kind: Literal["memory"] = "memory"
    traits: ClassVar[Traits] = Traits(
        {"memory": Called(("memory", "ram", "dimm", "module", "ddr5", "ddr4", "ddr3"), "memory")}
    )
    generation: Annotated[
        Literal["ddr5", "ddr5-registered", "ddr4", "ddr3"],
        Field(
            **shown(
                "Generation",
                words={
                    "ddr5": "DDR5, unbuffered",
                    "ddr5-registered": "DDR5, registered",
                    "ddr4": "DDR4",
                    "ddr3": "DDR3",
                },
            )
        ),
    ] = "ddr5"
    module_w: Watts = known(
        "one module at full", "memory_module_w", said="each", missed="watts a module"
    )


class M2Drive(FedThroughBoard):
    """A drive in the board's M.2 slot."""

    kind: Literal["m2"] = "m2"
    traits: ClassVar[Traits] = Traits({"m2": Called(("m.2", "m2", "nvme"), "M.2")}, "M.2 drive")
    full_w: Watts = known("at full", "m2_w", said="full", missed="watts")
    idle_w: Watts = known("at idle", "m2_idle_share", share_of="full_w", said="idle")
    slot: Annotated[Key | None, Field(description="the board's M.2 slot that it is in")] = None

    @model_validator(mode="after")
    def _one_slot(self) -> Self:
        if self.slot is not None and self.count != 1:
            raise ValueError("a count of 1 for a drive whose slot is named")
        return self


class UsbLoad(FedThroughBoard):
    """What hangs on the board's USB ports: outside, or on a header inside the case."""

    kind: Literal["usb"] = "usb"
    traits: ClassVar[Traits] = Traits({"usb": Called(("usb",), "USB")}, "USB load")
    draw_w: Watts = known("at 5 V, in use", needed=True, said="draw", missed="watts")
    asleep_w: Watts = known(
        "asleep, from standby: what may wake or charge", "usb_asleep_w", said="asleep"
    )
    port: Annotated[
        Literal["outside", "usb2", "usb3", "usb-c"],
        Field(
            description="a port outside, or an internal header that one takes to itself",
            **shown(
                "Plugged into",
                words={
                    "outside": "a port outside",
                    "usb2": "an internal USB 2 header",
                    "usb3": "an internal USB 3 header",
                    "usb-c": "an internal USB-C header",
                },
            ),
        ),
    ] = "outside"
    usb2_headers: Annotated[
        int | None,
        Field(
            ge=0,
            le=8,
            description="internal USB 2 headers that it gives: a hub inside",
            **shown("Headers it gives", only=("port", "outside")),
        ),
    ] = None
