"""From the figures that a builder knows to loads: part, rail, feed, watts per state."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from typing import Any

from ...base.memory import NO_MEMORY
from ...base.memory import Memory as Kept
from ...things.assumed.assumptions import Assumptions
from ...things.parts import (
    Board,
    Card,
    Cooler,
    Drive,
    Fan,
    Hub,
    LightStrip,
    M2Drive,
    Memory,
    Other,
    Part,
    Processor,
    Pump,
    UsbLoad,
)
from ...wiring import Wired
from . import board, cards, cooling, drives
from .common import NOTHING, Feed, Load, PerState

__all__ = ["NOTHING", "Feed", "Load", "PerState", "loads", "loads_of_part"]


def loads(wired: Wired) -> tuple[Load, ...]:
    """Every load of a build, in the order of its parts."""
    memory = wired.memory
    return tuple([x for part in wired.build.parts for x in loads_of_part(part, wired, memory)])


def loads_of_part(part: Part, wired: Wired, memory: Kept = NO_MEMORY) -> tuple[Load, ...]:
    """Every load of one part, which may stand in the place of one of the build."""
    things = (part, wired.build.assumptions)
    match part:
        case Processor():
            through_board = wired.board is not None and not wired.processor_inputs
            return memory.of(_processor_loads, things, (through_board,))
        case Card():
            each = tuple([cards.granted_w(part, n, wired) for n in range(1, part.count + 1)])
            return memory.of(_card_loads, things, (wired.lanes_of(part), each))
        case Drive():
            staggered = wired.build.spin_up_at_once is not None
            return memory.of(_drive_loads, things, (staggered,))
        case _:
            return memory.of(_other_loads, things)


def _processor_loads(through_board: bool, part: Processor, assume: Assumptions) -> tuple[Load, ...]:
    return tuple(board.processor(part, assume, through_board))


def _card_loads(
    lanes: int, granted_w: tuple[float, ...], part: Card, assume: Assumptions
) -> tuple[Load, ...]:
    return tuple(cards.card(part, assume, lanes, granted_w))


def _drive_loads(staggered: bool, part: Drive, assume: Assumptions) -> tuple[Load, ...]:
    return tuple(drives.drive(part, assume, staggered))


#: What a part draws that follows from it alone, by its kind; of one instance, with how many there
#: are.
_LOADS: dict[type[Part], Callable[[Any, Assumptions], Iterator[Load]]] = {
    Board: board.board,
    Memory: board.memory,
    M2Drive: board.m2,
    Fan: cooling.fan,
    Pump: cooling.pump,
    Cooler: cooling.cooler,
    LightStrip: cooling.strip,
    Hub: cooling.hub,
    UsbLoad: board.usb,
    Other: board.other,
}


def _other_loads(part: Part, assume: Assumptions) -> tuple[Load, ...]:
    return tuple(_LOADS[type(part)](part, assume))
