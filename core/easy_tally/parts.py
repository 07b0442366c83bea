"""The parts of a build: what a builder knows of each, declared once.

Every figure may be missing. Where a default is honest (`assumptions.py`) the tally uses it and
marks it assumed; where none is, the tally reads unknown.
"""

from __future__ import annotations

from typing import Annotated, Any, Literal, Self

from pydantic import Field, model_validator

from .quantities import Amps, Key, Model, Name, Note, Watts
from .standards.connectors import SocketKind, SocketVersion


def _known(text: str, default_from: str = "") -> Any:
    """A figure that may be missing; `default_from` names the assumption used then."""
    return Field(
        default=None, description=text, json_schema_extra={"default_from": default_from or None}
    )


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


class Header(Model):
    """A power output on the board, for fans and pumps."""

    key: Key
    limit_a: Annotated[Amps, Field(description="what the header gives at 12 V")] = None


class Slot(Model):
    """A slot on the board, by its wired lanes."""

    key: Key
    lanes: Literal[1, 4, 8, 16] = 16


class _Part(Model):
    key: Key
    name: Name
    count: Annotated[int, Field(ge=1, le=64)] = 1
    note: Note = ""


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


class Processor(_Plain):
    """Fed through the board's processor sockets."""

    kind: Literal["processor"] = "processor"
    package_w: Watts = _known("package limit, sustained: the figure on the page")
    package_short_w: Watts = _known(
        "package limit for the short time, tens of seconds", "processor_short_ratio"
    )
    package_idle_w: Watts = _known("package at idle", "processor_idle_w")


class Board(_Socketed):
    """The board: main plug, processor sockets, extra sockets, slots, headers."""

    kind: Literal["board"] = "board"
    own_12v_w: Watts = _known("the board's own draw at 12 V, at full", "board_12v_w")
    own_5v_w: Watts = _known("the board's own draw at 5 V, at full", "board_5v_w")
    own_3v3_w: Watts = _known("the board's own draw at 3.3 V, at full", "board_3v3_w")
    slots: tuple[Slot, ...] = ()
    headers: tuple[Header, ...] = ()
    eps4_in_eps8: Annotated[
        bool, Field(description="the manual allows a 4-pin processor plug in the 8-pin socket")
    ] = False

    @model_validator(mode="after")
    def _one_board(self) -> Self:
        if self.count != 1:
            raise ValueError("a count of 1 for a board")
        for things in (self.slots, self.headers):
            if len({t.key for t in things}) < len(things):
                raise ValueError("every slot and every header a key of its own")
        return self


class Card(_Socketed):
    """A graphics or other card in a slot."""

    kind: Literal["card"] = "card"
    board_power_w: Watts = _known("board power: all that the card draws")
    slot_w: Watts = _known("what it takes from the slot at 12 V", "slot_share")
    idle_w: Watts = _known("the card at idle", "card_idle_share")
    system_floor_w: Watts = _known("the smallest supply that the card's maker states")
    lanes: Literal[1, 4, 8, 16] = 16
    power_limit: Annotated[
        float, Field(ge=0.3, le=2, description="power limit set by the builder, 1 as delivered")
    ] = 1.0


class Memory(_Plain):
    """Memory modules; the count is of modules."""

    kind: Literal["memory"] = "memory"
    generation: Literal["ddr5", "ddr5-registered", "ddr4", "ddr3"] = "ddr5"
    module_w: Watts = _known("one module at full", "memory_module_w")


class M2Drive(_Plain):
    """A drive in the board's M.2 slot."""

    kind: Literal["m2"] = "m2"
    full_w: Watts = _known("at full", "m2_w")
    idle_w: Watts = _known("at idle", "m2_idle_share")


class Drive(_Socketed):
    """A 2.5- or 3.5-inch drive with a power socket of its own."""

    kind: Literal["drive"] = "drive"
    form: Literal["3.5", "2.5"] = "3.5"
    run_12v_a: Amps = _known("running, at 12 V", "disk_12v")
    run_5v_a: Amps = _known("running, at 5 V", "disk_5v")
    start_12v_a: Amps = _known("at spin-up, at 12 V: the label's peak", "disk_start_12v")
    start_5v_a: Amps = _known("at spin-up, at 5 V", "disk_start_5v")


class Fan(_Plain):
    """Fans on the board's headers."""

    kind: Literal["fan"] = "fan"
    size_mm: Annotated[int, Field(ge=20, le=400)] = 120
    rated_a: Amps = _known("rated current at 12 V", "fan_a")
    headers: Annotated[
        tuple[Key, ...],
        Field(description="headers used, in turn; none: all of the board's, in turn"),
    ] = ()


Part = Annotated[
    Processor | Board | Card | Memory | M2Drive | Drive | Fan, Field(discriminator="kind")
]
PART_KINDS: tuple[type[_Part], ...] = (Processor, Board, Card, Memory, M2Drive, Drive, Fan)
