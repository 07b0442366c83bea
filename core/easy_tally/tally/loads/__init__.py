"""From the figures that a builder knows to loads: part, rail, feed, watts per state."""

from __future__ import annotations

from collections.abc import Hashable, Iterator

from ...base.reuse import Reuse
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


#: Loads of parts, by the part, what is assumed, and what else of the build they follow from.
_LOADS: Reuse[tuple[Load, ...]] = Reuse(400)
#: Loads by what they are: a part of which one figure is another still draws the rest as it did.
_KNOWN: Reuse[Load] = Reuse(800)


def loads(wired: Wired) -> tuple[Load, ...]:
    """Every load of a build, in the order of its parts."""
    return tuple(load for part in wired.build.parts for load in loads_of_part(part, wired))


def loads_of_part(part: Part, wired: Wired) -> tuple[Load, ...]:
    """Every load of one part, which may stand in the place of one of the build."""
    build = wired.build
    more: Hashable = build.spin_up_at_once is not None
    match part:
        case Processor():
            more = wired.board is not None and not wired.processor_inputs
        case Card():
            each = (cards.granted_w(part, n, wired) for n in range(1, part.count + 1))
            more = (wired.lanes_of(part), *each)
        case Drive():
            pass
        case _:
            more = None

    def made() -> tuple[Load, ...]:
        return tuple([_KNOWN.first(x, x) for x in _part_loads(part, wired)])

    return _LOADS.of((part, build.assumptions), more, made)


def _part_loads(part: Part, wired: Wired) -> Iterator[Load]:
    """The loads of one part; of one instance each, with how many there are."""
    assume = wired.build.assumptions
    match part:
        case Processor():
            yield from board.processor(part, wired)
        case Board():
            yield from board.board(part, assume)
        case Card():
            yield from cards.card(part, wired)
        case Memory():
            yield from board.memory(part, assume)
        case M2Drive():
            yield from board.m2(part, assume)
        case Drive():
            yield from drives.drive(part, assume, wired.build.spin_up_at_once is not None)
        case Fan():
            yield from cooling.fan(part, assume)
        case Pump():
            yield from cooling.pump(part, assume)
        case Cooler():
            yield from cooling.cooler(part, assume)
        case LightStrip():
            yield from cooling.strip(part, assume)
        case Hub():
            yield from cooling.hub(part, assume)
        case UsbLoad():
            yield from board.usb(part, assume)
        case Other():
            yield from board.other(part, assume)
