"""The things of a build: parts, supply, cables, case, rules and assumptions, declared once."""

from __future__ import annotations

from .adapters import Adapter, Backplane, Extension
from .assumed.assumptions import Assumptions
from .assumed.presets import PRESETS
from .boxed import Boxed
from .build import FORMAT_VERSION, Build
from .buying import Price, ToBuy, cheapest_first, to_be_had
from .cables import Cable, Connection, Plug, RailPins, Run, SocketRef, SupplyEnd
from .case import Case
from .individuals import (
    Gone,
    Individual,
    identity_of,
    individuals,
    kept,
    read_kept,
    settled,
    unsettled,
)
from .parts import (
    HEADER_WORDS,
    KINDS,
    PART_KINDS,
    Board,
    Card,
    DeclaredField,
    Drive,
    Fan,
    Header,
    Hub,
    Part,
    Processor,
    Slot,
    Socket,
    ties,
)
from .place import Place
from .rules import RULES, HouseRules
from .same import same
from .schools import SCHOOLS, School
from .supply import PORT_WORDS, Port, PortGroup, Supply

__all__ = [
    "FORMAT_VERSION",
    "HEADER_WORDS",
    "KINDS",
    "PART_KINDS",
    "PORT_WORDS",
    "PRESETS",
    "RULES",
    "SCHOOLS",
    "Adapter",
    "Assumptions",
    "Backplane",
    "Board",
    "Boxed",
    "Build",
    "Cable",
    "Card",
    "Case",
    "Connection",
    "DeclaredField",
    "Drive",
    "Extension",
    "Fan",
    "Gone",
    "Header",
    "HouseRules",
    "Hub",
    "Individual",
    "Part",
    "Place",
    "Plug",
    "Port",
    "PortGroup",
    "Price",
    "Processor",
    "RailPins",
    "Run",
    "School",
    "Slot",
    "Socket",
    "SocketRef",
    "Supply",
    "SupplyEnd",
    "ToBuy",
    "cheapest_first",
    "identity_of",
    "individuals",
    "kept",
    "read_kept",
    "same",
    "settled",
    "ties",
    "to_be_had",
    "unsettled",
]
