"""The parts of a build: what a builder knows of each, declared once, a class a kind."""

from __future__ import annotations

from typing import Annotated, get_args

from pydantic import Field

from .cards import Card
from .common import HEADER_WORDS, Header, HeaderKind, M2Slot, PartOfBuild, Slot, Socket
from .cooling import Blows, Cooler, Fan, Hub, LightStrip, Pump
from .core import Board, M2Drive, Memory, Processor, UsbLoad
from .drives import Drive
from .kinds import DeclaredField, KindOfPart, kind_of
from .other import Other
from .traits import Called, Traits

__all__ = [
    "HEADER_WORDS",
    "IN_SLOTS",
    "KINDS",
    "ON_HEADER",
    "PART_KINDS",
    "Blows",
    "Board",
    "Called",
    "Card",
    "Cooler",
    "DeclaredField",
    "Drive",
    "Fan",
    "Header",
    "HeaderKind",
    "Hub",
    "KindOfPart",
    "LightStrip",
    "M2Drive",
    "M2Slot",
    "Memory",
    "OnHeader",
    "Other",
    "Part",
    "PartOfBuild",
    "Processor",
    "Pump",
    "Slot",
    "Socket",
    "Traits",
    "UsbLoad",
    "ties",
]

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
PART_KINDS: tuple[type[PartOfBuild], ...] = get_args(get_args(Part)[0])
#: Kind → its row, and its fields as its class declares them.
KINDS: dict[str, KindOfPart] = {
    part.model_fields["kind"].default: kind_of(part, part.traits) for part in PART_KINDS
}
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
