"""Sockets and plugs: circuits, pins per rail, what the standards grant, which fits which.

Sources: ATX12V and SFX design guides (board, processor, drive connectors), PCI Express card
electromechanical specification (slot, 6- and 8-pin, 16-pin), Serial ATA specification.
"""

from __future__ import annotations

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


@dataclass(frozen=True, slots=True)
class Connector:
    """One connector as it looks into the mated face.

    `face` holds its rows of pins, a letter a pin: y 12 V, r 5 V, o 3.3 V, v 5 V standby,
    m −12 V, k ground, s signal, n not used. `side` are sideband pins. `grant_w` is what the
    standard grants at 12 V, `grant_rail_a` what it grants on each rail.
    """

    kind: str
    words: str
    face: tuple[str, ...]
    grant_w: float | None = None
    grant_rail_a: float | None = None
    side: str = ""
    #: Its latch stands on the side of the last row of `face`; not said where it has none there.
    latch: bool = False
    source: str = ""

    def count(self, letter: str) -> int:
        """Pins that carry `letter`."""
        return sum(row.count(letter) for row in self.face)

    @property
    def circuits(self) -> int:
        """Power and signal contacts without the sideband."""
        return sum(len(row) for row in self.face)


_ATX = "ATX12V design guide, connector pin-outs"
_CEM = "PCI Express card electromechanical specification"

CONNECTORS: dict[str, Connector] = {
    c.kind: c
    for c in (
        Connector(
            "atx24", "24-pin board", ("ookrkrksvyyo", "omkskkknrrrk"), latch=True, source=_ATX
        ),
        Connector("atx20", "20-pin board", ("ookrkrksvy", "omkskkknrr"), latch=True, source=_ATX),
        Connector("aux6", "6-pin auxiliary", ("kkkoor",), source=_ATX),
        Connector("eps8", "8-pin processor", ("kkkk", "yyyy"), latch=True, source=_ATX),
        Connector("eps4", "4-pin processor", ("kk", "yy"), latch=True, source=_ATX),
        Connector(
            "pcie8", "8-pin graphics", ("yyys", "kskk"), grant_w=150, latch=True, source=_CEM
        ),
        Connector("pcie6", "6-pin graphics", ("yyy", "ksk"), grant_w=75, latch=True, source=_CEM),
        Connector(
            "16pin", "16-pin graphics", ("yyyyyy", "kkkkkk"), grant_w=600, side="ssss", source=_CEM
        ),
        Connector(
            "sata",
            "SATA power",
            ("oookkkrrrkskyyy",),
            grant_rail_a=4.5,
            source="Serial ATA specification: 3 pins of 1.5 A a rail",
        ),
        Connector("per4", "4-pin peripheral", ("ykkr",), source=_ATX),
        Connector("fdd4", "4-pin floppy", ("rkky",), grant_rail_a=2.0, source=_ATX),
    )
}

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
