"""Parts to start from, as a builder would name them: sockets as usual, figures left open."""

from __future__ import annotations

from dataclasses import dataclass

from .parts import (
    Board,
    Card,
    Cooler,
    Drive,
    Fan,
    Header,
    Hub,
    LightStrip,
    M2Drive,
    Memory,
    Other,
    Part,
    Processor,
    Pump,
    Slot,
    Socket,
    UsbLoad,
)


@dataclass(frozen=True, slots=True)
class Template:
    """A part to start from, and the words it is found by."""

    id: str
    words: str
    also: str
    part: Part


def _eights(n: int) -> tuple[Socket, ...]:
    return tuple(Socket(key="abcd"[i], kind="pcie8") for i in range(n))


_BOARD_SOCKETS = (
    Socket(key="main", kind="atx24"),
    Socket(key="cpu-1", kind="eps8"),
    Socket(key="cpu-2", kind="eps8", required=False),
)
_HEADERS = tuple(Header(key=f"fan-{n}") for n in (1, 2, 3, 4))

TEMPLATES: tuple[Template, ...] = (
    Template(
        "board-2eps", "Board, 24-pin and two 8-pin processor sockets", "motherboard atx",
        Board(key="board", name="Board", sockets=_BOARD_SOCKETS, headers=_HEADERS,
              slots=(Slot(key="slot-1"), Slot(key="slot-2", lanes=4))),
    ),
    Template(
        "board-1eps", "Board, 24-pin and one 8-pin processor socket", "motherboard small itx",
        Board(key="board", name="Board", sockets=_BOARD_SOCKETS[:2], headers=_HEADERS[:2],
              slots=(Slot(key="slot-1"),)),
    ),
    Template("processor", "Processor", "cpu chip", Processor(key="processor", name="Processor")),
    Template("memory", "Memory, DDR5 module", "ram dimm ddr5",
             Memory(key="memory", name="Memory", count=2)),
    Template("card-16pin", "Card with one 16-pin socket", "graphics gpu video 12v-2x6",
             Card(key="card", name="Card", sockets=(Socket(key="power", kind="16pin"),))),
    Template("card-2x8", "Card with two 8-pin sockets", "graphics gpu video pcie",
             Card(key="card", name="Card", sockets=_eights(2))),
    Template("card-1x8", "Card with one 8-pin socket", "graphics gpu video pcie",
             Card(key="card", name="Card", sockets=_eights(1))),
    Template("card-3x8", "Card with three 8-pin sockets", "graphics gpu video pcie",
             Card(key="card", name="Card", sockets=_eights(3))),
    Template("card-6pin", "Card with one 6-pin socket", "graphics gpu video pcie",
             Card(key="card", name="Card", sockets=(Socket(key="a", kind="pcie6"),))),
    Template("card-slot", "Card fed by its slot alone", "network sound capture x4",
             Card(key="card", name="Card", lanes=4)),
    Template("m2", "M.2 drive", "nvme ssd", M2Drive(key="m2", name="M.2 drive")),
    Template("disk-35", "3.5-inch disk, SATA", "hard drive hdd storage",
             Drive(key="disk", name="3.5-inch disk", sockets=(Socket(key="power", kind="sata"),))),
    Template("drive-25", "2.5-inch drive, SATA", "ssd solid state storage",
             Drive(key="drive", name="2.5-inch drive", form="2.5",
                   sockets=(Socket(key="power", kind="sata"),))),
    Template("optical", "Optical drive, SATA", "disc dvd",
             Drive(key="optical", name="Optical drive", form="optical",
                   sockets=(Socket(key="power", kind="sata"),))),
    Template("floppy", "Floppy drive", "diskette",
             Drive(key="floppy", name="Floppy drive", form="floppy",
                   sockets=(Socket(key="power", kind="fdd4"),))),
    Template("hub-sata", "Fan and light hub, fed by SATA", "controller splitter argb",
             Hub(key="hub", name="Hub", sockets=(Socket(key="power", kind="sata"),),
                 outputs=_HEADERS)),
    Template("pump-per4", "Pump, fed by a 4-pin peripheral plug", "water liquid loop",
             Pump(key="pump", name="Pump", sockets=(Socket(key="power", kind="per4"),))),
    Template("pump-header", "Pump on a header", "water liquid",
             Pump(key="pump", name="Pump")),
    Template("cooler", "Liquid cooler, fed by SATA", "pump radiator aio water",
             Cooler(key="cooler", name="Liquid cooler",
                    sockets=(Socket(key="power", kind="sata"),))),
    Template("strip-5", "Light strip, 5 V", "led argb",
             LightStrip(key="strip", name="Light strip 5 V")),
    Template("strip-12", "Light strip, 12 V", "led rgb",
             LightStrip(key="strip", name="Light strip 12 V", volts=12)),
    Template("usb", "USB load", "keyboard receiver charger",
             UsbLoad(key="usb", name="USB load")),
    Template("other", "Load by hand, by rail", "anything else serial instrument",
             Other(key="other", name="Load")),
    Template("fan-120", "Fan, 120 mm", "case cooling", Fan(key="fan", name="Fan 120 mm")),
    Template("fan-140", "Fan, 140 mm", "case cooling",
             Fan(key="fan", name="Fan 140 mm", size_mm=140)),
)  # fmt: skip
