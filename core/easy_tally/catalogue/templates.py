"""Parts to start from, as a builder would name them: sockets as usual, figures left open."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ..entry import parse
from ..things.forgotten import Topic
from ..things.parts import Part


@dataclass(frozen=True, slots=True)
class Template:
    """A part to start from, and the words it is found by."""

    id: str
    words: str
    also: str
    part: Part


#: Id, name, other words that find it, and its line.
_ROWS: tuple[tuple[str, str, str, str], ...] = (
    (
        "board-2eps",
        "Board, 24-pin and two 8-pin processor sockets",
        "motherboard atx",
        "board 2x8 slots:x16,x4",
    ),
    (
        "board-1eps",
        "Board, 24-pin and one 8-pin processor socket",
        "motherboard small itx",
        "board 8pin headers:2",
    ),
    ("processor", "Processor", "cpu chip", "processor"),
    ("memory", "Memory, DDR5 module", "ram dimm ddr5", "memory ddr5 x2"),
    ("card-16pin", "Card with one 16-pin socket", "graphics gpu video 12v-2x6", "card 16pin"),
    ("card-2x8", "Card with two 8-pin sockets", "graphics gpu video pcie", "card 2x8"),
    ("card-1x8", "Card with one 8-pin socket", "graphics gpu video pcie", "card 8pin"),
    ("card-3x8", "Card with three 8-pin sockets", "graphics gpu video pcie", "card 3x8"),
    ("card-6pin", "Card with one 6-pin socket", "graphics gpu video pcie", "card 6pin"),
    ("card-slot", "Card fed by its slot alone, graphics", "gpu video small", "card slot-only"),
    (
        "card-plain",
        "Plain card: sound, network, capture",
        "slot x4 x1 controller",
        "card slot-only plain 4lanes",
    ),
    ("m2", "M.2 drive", "nvme ssd", "m.2"),
    ("disk-35", "3.5-inch disk, SATA", "hard drive hdd storage", "disk"),
    ("drive-25", "2.5-inch drive, SATA", "ssd solid state storage", "drive 2.5in"),
    ("optical", "Optical drive, SATA", "disc dvd", "optical"),
    ("floppy", "Floppy drive", "diskette", "floppy"),
    ("hub-sata", "Fan and light hub, fed by SATA", "controller splitter argb", "hub sata"),
    ("pump-per4", "Pump, fed by a 4-pin peripheral plug", "water liquid loop", "pump peripheral"),
    ("pump-header", "Pump on a header", "water liquid", "pump header"),
    ("cooler", "Liquid cooler, fed by SATA", "pump radiator aio water", "cooler sata"),
    ("strip-5", "Light strip, 5 V", "led argb", "strip 5v"),
    ("strip-12", "Light strip, 12 V", "led rgb", "strip 12v"),
    ("usb", "USB load", "keyboard receiver charger", "usb"),
    ("other", "Load by hand, by rail", "anything else serial instrument", "load"),
    ("fan-120", "Fan, 120 mm", "case cooling", "fan 120"),
    ("fan-140", "Fan, 140 mm", "case cooling", "fan 140"),
)


def _templates() -> Iterator[Template]:
    for key, words, also, line in _ROWS:
        part = parse(line).part
        if part is None:
            raise ValueError(f"a template that the entry line reads; {line!r} is none")
        yield Template(key, words, also, part)


TEMPLATES: tuple[Template, ...] = tuple(_templates())

_USUAL = '(assumed,"usual for its kind")'
#: What is often forgotten → lines to add; their figures are what is usual, and say so.
_OFTEN: dict[Topic, tuple[str, ...]] = {
    "cooling": (
        f'fan 120mm 0.08/0.15/0.3a{_USUAL} "Air cooler, its fan"',
        f'fan 120mm 0.08/0.15/0.3a{_USUAL} x2 "Air cooler, its fans"',
        f"cooler sata fans:2 fan:0.08/0.15/0.3a{_USUAL}",
    ),
    "fans": (f"fan 120mm 0.08/0.15/0.3a{_USUAL} x2", f"fan 140mm 0.08/0.18/0.35a{_USUAL} x2"),
    "storage": ("m.2", "drive 2.5in", "disk"),
    "usb": (
        f'usb "Keyboard and mouse" 0.4/1/3.5w{_USUAL}',
        f'usb "Keyboard, mouse and camera" 1.2/3/6w{_USUAL}',
    ),
    "pump": ("pump header", "pump sata", "pump peripheral"),
    "lights": ("strip 5v", "strip 12v", "hub sata outputs:out-1=lights-5v,out-2=lights-5v"),
    "front-panel": (f'usb "Front panel" 0/2.5/15w{_USUAL}',),
}


def _often() -> Iterator[tuple[Topic, tuple[Part, ...]]]:
    for topic, lines in _OFTEN.items():
        yield topic, tuple(part for line in lines if (part := parse(line).part) is not None)


#: What is often forgotten → parts that add it. What has none is set at the board.
OFTEN: dict[Topic, tuple[Part, ...]] = dict(_often())
