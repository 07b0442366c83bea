"""Sockets and plugs: circuits, pins per rail, what the standards grant, which fits which.

Sources: ATX12V and SFX design guides (board, processor, drive connectors), PCI Express card
electromechanical specification (slot, 6- and 8-pin, 16-pin), Serial ATA specification.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

SocketKind = Literal[
    "atx24", "atx20", "aux6", "eps8", "eps4", "pcie8", "pcie6", "16pin", "sata", "per4", "fdd4"
]
SOCKET_KINDS: tuple[SocketKind, ...] = get_args(SocketKind)

PlugKind = Literal[
    "atx20+4",
    "atx24",
    "atx20",
    "aux6",
    "eps4+4",
    "eps8",
    "eps4",
    "pcie6+2",
    "pcie8",
    "pcie6",
    "16pin",
    "sata",
    "per4",
    "fdd4",
]

#: Which part of a plug is mated: all of it, its marked half, or the loose rest.
Half = Literal["whole", "marked", "loose"]

Sense = Literal["both_grounded", "sense1_grounded", "sense0_grounded", "joined", "open"]
SocketVersion = Literal["first", "revised"]

PortKind = Literal[
    "board-a", "board-b", "processor", "graphics", "processor-graphics", "16pin", "drive"
]


@dataclass(frozen=True, slots=True)
class UsualCable:
    """A cable with such plugs, where nothing else is said: its name, its key, the ports it goes
    into, contacts of its supply end. Source: the usual cables of the field."""

    name: str
    key: str
    needs: tuple[PortKind, ...]
    circuits: int


_BOARD_CABLE = UsualCable("Board cable", "board", ("board-a", "board-b"), 18)
_PROCESSOR_CABLE = UsualCable("Processor cable", "processor", ("processor",), 8)
_GRAPHICS_CABLE = UsualCable("Graphics cable", "graphics", ("graphics",), 8)

#: What a connector is for. Plugs of the processor's and of graphics look alike and are never
#: exchanged; what is for drives brings too little for graphics.
Family = Literal["main", "auxiliary", "processor", "graphics", "drive"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Connector:
    """One connector: how it looks into the mated face, what is granted, and how it is treated.

    `face` holds its rows of pins, a letter a pin: y 12 V, r 5 V, o 3.3 V, v 5 V standby,
    m −12 V, k ground, s signal, n not used. `side` are sideband pins. `grant_w` is what the
    standard grants at 12 V, `grant_rail_a` what it grants on each rail.
    """

    kind: SocketKind
    words: str
    family: Family
    face: tuple[str, ...]
    #: How a lead for it is counted with others of its family, and by itself where that is less.
    lead: str
    narrow_lead: str = ""
    #: Words of the entry line for a socket of it, as they are printed, the last one wherever it is
    #: on; words that say the same as the first; a word that means it on a board alone; and those of
    #: its plug on a cable.
    said: tuple[str, ...]
    said_too: tuple[str, ...] = ()
    said_on_board: str = ""
    said_of_plug: tuple[str, ...] = ()
    cable: UsualCable
    grant_w: float | None = None
    grant_rail_a: float | None = None
    side: str = ""
    #: Its latch stands on the side of the last row of `face`; not said where it has none there.
    latch: bool = False
    source: str = ""
    #: Amperes a contact, whatever its wire and housing; by gauge alone. Else by the tables.
    contact_a: float | None = None
    contact_by_gauge_a: Mapping[int, float] | None = None
    #: Whose figure that is, where it is not the terminal makers'.
    contact_source: str = ""
    #: Sense contacts say what it is granted, and its contacts share unevenly.
    coded: bool = False
    #: A plug that has its 12 V pins, but fewer, and goes into it; where the board has to allow it.
    narrower: SocketKind | None = None
    narrower_if_allowed: bool = False
    #: Never plugged into what is of this family, or the other way round: 12 V would meet ground.
    apart_from: Family | None = None
    #: What it brings is too little for this family, through any adapter.
    too_little_for: Family | None = None
    #: Moulded adapters from it to this are known to burn.
    burns_moulded_to: SocketKind | None = None
    #: On a board it takes slot load off the main plug. A 6-pin auxiliary takes none: assumption.
    relieves: bool = False
    #: Boards and cards are known that wire fewer 12 V pins of it.
    may_lack_pins: bool = False
    #: Meters are made that stand in line with it.
    metered: bool = False
    #: Its pin 3 keeps a drive off that has power disable.
    keeps_off: bool = False
    #: Nothing clicks: it is pushed home.
    pushed_home: bool = False
    #: How thick what goes there is, among all that is laid on a board: thick first.
    thickness: int = 0
    #: What to look at when it is plugged in, beside what is looked at of each: (id, text).
    looks: tuple[tuple[str, str], ...] = ()

    def count(self, letter: str) -> int:
        """Pins that carry `letter`."""
        return sum(row.count(letter) for row in self.face)

    @property
    def circuits(self) -> int:
        """Power and signal contacts without the sideband."""
        return sum(len(row) for row in self.face)

    @property
    def chains(self) -> bool:
        """Two of them on one cable fall under the house rule for chained plugs."""
        return self.family == "graphics" and not self.coded


_ATX = "ATX12V design guide, connector pin-outs"
_CEM = "PCI Express card electromechanical specification"
_NOT_A_CARDS = ("like", "It is the processor’s plug, 4 and 4: not a card’s 6 and 2.")
_NOT_THE_PROCESSORS = ("like", "It is a card’s plug, 6 and 2: not the processor’s 4 and 4.")

CONNECTORS: dict[str, Connector] = {
    c.kind: c
    for c in (
        Connector(
            kind="atx24",
            words="24-pin board",
            family="main",
            face=("ookrkrksvyyo", "omkskkknrrrk"),
            lead="board",
            said=("24pin",),
            said_too=("24-pin", "20+4pin"),
            said_of_plug=("24",),
            cable=_BOARD_CABLE,
            latch=True,
            source=_ATX,
            narrower="atx20",
            metered=True,
            thickness=0,
        ),
        Connector(
            kind="atx20",
            words="20-pin board",
            family="main",
            face=("ookrkrksvy", "omkskkknrr"),
            lead="board",
            said=("20pin",),
            said_too=("20-pin",),
            said_of_plug=("20",),
            cable=_BOARD_CABLE,
            latch=True,
            source=_ATX,
            metered=True,
            thickness=1,
        ),
        Connector(
            kind="eps8",
            words="8-pin processor",
            family="processor",
            apart_from="graphics",
            face=("kkkk", "yyyy"),
            lead="processor",
            narrow_lead="8-pin processor",
            said=("cpu8",),
            said_too=("eps8", "4+4pin"),
            said_on_board="8pin",
            said_of_plug=("cpu8",),
            cable=_PROCESSOR_CABLE,
            latch=True,
            source=_ATX,
            narrower="eps4",
            narrower_if_allowed=True,
            may_lack_pins=True,
            metered=True,
            thickness=2,
            looks=(_NOT_A_CARDS,),
        ),
        Connector(
            kind="eps4",
            words="4-pin processor",
            family="processor",
            apart_from="graphics",
            face=("kk", "yy"),
            lead="processor",
            said=("cpu4",),
            said_too=("eps4",),
            said_on_board="4pin",
            said_of_plug=("cpu4",),
            cable=_PROCESSOR_CABLE,
            latch=True,
            source=_ATX,
            metered=True,
            thickness=3,
            looks=(_NOT_A_CARDS,),
        ),
        Connector(
            kind="aux6",
            words="6-pin auxiliary",
            family="auxiliary",
            face=("kkkoor",),
            lead="auxiliary",
            said=("aux6",),
            said_of_plug=("aux6", "aux", "auxiliary"),
            cable=UsualCable("Auxiliary cable", "aux6", (), 6),
            source=_ATX,
            pushed_home=True,
            thickness=4,
        ),
        Connector(
            kind="16pin",
            words="16-pin graphics",
            family="graphics",
            apart_from="processor",
            face=("yyyyyy", "kkkkkk"),
            lead="16-pin",
            said=("16pin",),
            said_too=("12v-2x6", "16", "16-pin"),
            said_of_plug=("16", "12v-2x6"),
            cable=UsualCable("16-pin cable", "sixteen", ("16pin",), 12),
            grant_w=600,
            side="ssss",
            source=_CEM,
            contact_by_gauge_a={16: 9.2, 18: 5.5},  # PCI Express CEM 5.x
            contact_source=_CEM,
            coded=True,
            metered=True,
        ),
        Connector(
            kind="pcie8",
            words="8-pin graphics",
            family="graphics",
            apart_from="processor",
            face=("yyys", "kskk"),
            lead="card",
            narrow_lead="8-pin card",
            said=("8pin", "pcie8"),
            said_too=("8", "8-pin", "6+2pin"),
            said_of_plug=("pcie8",),
            cable=_GRAPHICS_CABLE,
            grant_w=150,
            latch=True,
            source=_CEM,
            relieves=True,
            may_lack_pins=True,
            metered=True,
            thickness=5,
            looks=(_NOT_THE_PROCESSORS,),
        ),
        Connector(
            kind="pcie6",
            words="6-pin graphics",
            family="graphics",
            apart_from="processor",
            face=("yyy", "ksk"),
            lead="card",
            said=("6pin", "pcie6"),
            said_too=("6", "6-pin"),
            said_of_plug=("pcie6",),
            cable=_GRAPHICS_CABLE,
            grant_w=75,
            latch=True,
            source=_CEM,
            relieves=True,
            may_lack_pins=True,
            metered=True,
            thickness=6,
            looks=(_NOT_THE_PROCESSORS,),
        ),
        Connector(
            kind="sata",
            words="SATA power",
            family="drive",
            too_little_for="graphics",
            face=("oookkkrrrkskyyy",),
            lead="SATA",
            said=("sata",),
            said_of_plug=("sata",),
            cable=UsualCable("SATA cable", "sata", ("drive",), 6),
            grant_rail_a=4.5,
            source="Serial ATA specification: 3 pins of 1.5 A a rail",
            contact_a=1.5,
            contact_source="Serial ATA specification: 3 pins of 1.5 A a rail",
            relieves=True,
            keeps_off=True,
            pushed_home=True,
            thickness=8,
            looks=(("key", "The step of the plug meets the step of the socket."),),
        ),
        Connector(
            kind="per4",
            words="4-pin peripheral",
            family="drive",
            burns_moulded_to="sata",
            face=("ykkr",),
            lead="4-pin peripheral",
            said=("4pin", "peripheral"),
            said_too=("4-pin", "per4"),
            said_of_plug=("peripheral", "4"),
            cable=UsualCable("4-pin cable", "peripheral", ("drive",), 6),
            source=_ATX,
            contact_a=11.0,
            relieves=True,
            pushed_home=True,
            thickness=7,
        ),
        Connector(
            kind="fdd4",
            words="4-pin floppy",
            family="drive",
            face=("rkky",),
            lead="floppy",
            said=("floppy4",),
            said_of_plug=("floppy",),
            cable=UsualCable("Floppy cable", "floppy", ("drive",), 6),
            grant_rail_a=2.0,
            source=_ATX,
            contact_a=2.0,  # ATX design guide
            pushed_home=True,
            looks=(("one-off", "All 4 pins are in the plug: it is not one pin off."),),
        ),
    )
}


def of_family(*families: Family) -> tuple[SocketKind, ...]:
    """The kinds of some families."""
    return tuple(c.kind for c in CONNECTORS.values() if c.family in families)


def is_of(kind: str, *families: Family) -> bool:
    """Whether a connector is of one of some families."""
    return CONNECTORS[kind].family in families


def is_coded(kind: str) -> bool:
    """Whether sense contacts say what a connector is granted."""
    return CONNECTORS[kind].coded


LETTER_OF_RAIL = {"v12": "y", "v5": "r", "v3v3": "o", "v5sb": "v", "ground": "k"}


#: Kind → rail (or `"ground"`) → pins, counted off the faces once.
PINS: dict[str, dict[str, int]] = {
    kind: {rail: c.count(letter) for rail, letter in LETTER_OF_RAIL.items()}
    for kind, c in CONNECTORS.items()
}


#: Watts that a 4-pin peripheral socket counts as where loads are shared: as a SATA socket is
#: granted, since no standard grants it any. Source: assumption.
PERIPHERAL_W = 54.0
#: Watts a 12 V pin by which sockets without a grant share a load: as the 8-pin graphics socket's
#: grant comes to. Source: assumption.
SHARED_W_A_PIN = 50.0


def grant_12v_w(kind: str) -> float:
    """What a socket is granted at 12 V [W]; a 16-pin one 600 W whatever its code. 0: nothing."""
    row = CONNECTORS[kind]
    if row.grant_w is not None:
        return row.grant_w
    if row.grant_rail_a is not None:
        return row.grant_rail_a * 12.0
    return PERIPHERAL_W if kind == "per4" else 0.0


def share_weight(kind: str) -> float:
    """By what a part's own sockets share its load: their grants, or where there is none pins."""
    return grant_12v_w(kind) or SHARED_W_A_PIN * max(PINS[kind]["v12"], 1)


@dataclass(frozen=True, slots=True)
class PlugShape:
    """A kind of plug: how it is called, and what its whole and its marked half are."""

    words: str
    whole: SocketKind
    marked: SocketKind | None = None
    loose_words: str = ""


PLUGS: dict[PlugKind, PlugShape] = {
    "atx20+4": PlugShape("20+4-pin board plug", "atx24", "atx20", "loose 4 of a 20+4-pin plug"),
    "atx24": PlugShape("24-pin board plug", "atx24"),
    "atx20": PlugShape("20-pin board plug", "atx20"),
    "aux6": PlugShape("6-pin auxiliary plug", "aux6"),
    "eps4+4": PlugShape("4+4-pin processor plug", "eps8", "eps4", "second 4 of a 4+4-pin plug"),
    "eps8": PlugShape("8-pin processor plug", "eps8"),
    "eps4": PlugShape("4-pin processor plug", "eps4"),
    "pcie6+2": PlugShape("6+2-pin graphics plug", "pcie8", "pcie6", "loose 2 of a 6+2-pin plug"),
    "pcie8": PlugShape("8-pin graphics plug", "pcie8"),
    "pcie6": PlugShape("6-pin graphics plug", "pcie6"),
    "16pin": PlugShape("16-pin graphics plug", "16pin"),
    "sata": PlugShape("SATA power plug", "sata"),
    "per4": PlugShape("4-pin peripheral plug", "per4"),
    "fdd4": PlugShape("4-pin floppy plug", "fdd4"),
}

#: Socket → the plug that is made for it alone.
PLUG_OF: dict[SocketKind, PlugKind] = {
    shape.whole: kind for kind, shape in PLUGS.items() if shape.marked is None
}

#: (sense, socket version) → watts granted. Source: PCI Express CEM 5.0 (first) and 5.1
#: (revised), sideband tables. On the first version a joined pair reads as two open contacts.
SENSE_GRANT_W: dict[tuple[Sense, SocketVersion], float] = {
    ("both_grounded", "first"): 600.0,
    ("both_grounded", "revised"): 600.0,
    ("sense1_grounded", "first"): 450.0,
    ("sense1_grounded", "revised"): 450.0,
    ("sense0_grounded", "first"): 300.0,
    ("sense0_grounded", "revised"): 300.0,
    ("joined", "first"): 150.0,
    ("joined", "revised"): 150.0,
    ("open", "first"): 150.0,
    ("open", "revised"): 0.0,
}

SENSE_WORDS: dict[Sense, str] = {
    "both_grounded": "both sense contacts grounded",
    "sense1_grounded": "sense 1 grounded, sense 0 open",
    "sense0_grounded": "sense 0 grounded, sense 1 open",
    "joined": "sense contacts joined, not grounded",
    "open": "both sense contacts open",
}

#: Slot limits by lanes: watts at 12 V, at 3.3 V, and in all. Source: PCI Express CEM, slot
#: power: x16 5.5 A at 12 V and 3 A at 3.3 V, 75 W in all; x4 and x8 25 W; x1 10 W.
SLOT_W: dict[int, tuple[float, float, float]] = {
    16: (66.0, 9.9, 75.0),
    8: (25.0, 9.9, 25.0),
    4: (25.0, 9.9, 25.0),
    1: (10.0, 9.9, 10.0),
}


def clash(plug: SocketKind, socket: SocketKind) -> int:
    """Pins where 12 V of the plug would meet ground of the socket, laid row on row."""
    return sum(
        a == "y" and b == "k"
        for plug_row, socket_row in zip(
            CONNECTORS[plug].face, CONNECTORS[socket].face, strict=False
        )
        for a, b in zip(plug_row, socket_row, strict=False)
    )
