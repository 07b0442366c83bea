"""What nobody measures: usual figures, each with the cautious end of what is still usual.

A verdict is worked out by both ends. Source of every row, where it names no other: the usual goods
of the field, an **assumption** of Easy Tally.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal, NamedTuple

from .connectors import PINS, Connector, PortKind, SocketKind, is_coded
from .forms import SupplyForm


class Band(NamedTuple):
    """A usual figure, and the worst that is still usual; the same, where nothing worse is."""

    likely: float
    cautious: float


# -- wires ---------------------------------------------------------------------------------

#: Gauge [AWG] of a lead. Source: the cables that come with supplies; the ATX design guide asks for
#: 18 AWG, PCI Express CEM for 16 AWG at a 16-pin plug.
GAUGE = Band(18, 20)
GAUGE_16PIN = Band(16, 18)
#: Of cables that are fixed to a small or an old supply.
GAUGE_SMALL = Band(20, 22)
#: A supply is small up to this rating [W] or by its form, and old up to this year.
SMALL_W, OLD_YEAR = 400.0, 2010
SMALL_FORMS = ("TFX", "Flex ATX")


def gauge(kind: SocketKind, small: bool) -> Band:
    """Gauge [AWG] of a lead by its plug; `small`: fixed to a small or an old supply."""
    if is_coded(kind):
        return GAUGE_16PIN
    return GAUGE_SMALL if small else GAUGE


#: Grade of a contact: nothing that is sold is less.
GRADE: Literal["standard"] = "standard"


# -- how far plugs hang --------------------------------------------------------------------


class Away(NamedTuple):
    """How far the first plug hangs from the supply, and from there plug to plug [mm]."""

    first: Band
    step: float


#: By the family of the first plug.
AWAY: Mapping[str, Away] = {
    "main": Away(Band(600, 500), 100),
    "auxiliary": Away(Band(600, 500), 100),
    "processor": Away(Band(650, 550), 150),
    "graphics": Away(Band(650, 550), 150),
    "drive": Away(Band(450, 350), 130),
}
#: Of a supply whose form is for small cases.
AWAY_SMALL: Mapping[str, Away] = {
    "main": Away(Band(350, 300), 100),
    "auxiliary": Away(Band(350, 300), 100),
    "processor": Away(Band(450, 400), 150),
    "graphics": Away(Band(450, 400), 150),
    "drive": Away(Band(300, 200), 115),
}
SHORT_FORMS = ("SFX", "TFX", "Flex ATX")
#: The wires of an adapter, and of an extension.
ADAPTER_MM = Band(150, 100)
EXTENSION_MM = Band(300, 250)


# -- ways through a case -------------------------------------------------------------------

CaseSize = Literal["small", "mid", "large"]
CASE_SIZES: Mapping[CaseSize, str] = {
    "small": "small: up to about 25 litres",
    "mid": "mid tower",
    "large": "full tower",
}
#: Where nobody says how large it is, it may be large.
USUAL_SIZE: CaseSize = "mid"
#: How much longer than usual a way may be [mm].
ROUTE_MORE_MM = 80.0
#: The way from the supply's panel to each area, behind the tray [mm].
ROUTES_MM: Mapping[CaseSize, Mapping[str, float]] = {
    "small": {
        "main plug": 200,
        "processor": 280,
        "card": 250,
        "board extra": 220,
        "3.5-inch bays": 150,
        "2.5-inch places": 150,
        "optical bay": 220,
        "fans and hubs": 150,
    },
    "mid": {
        "main plug": 350,
        "processor": 430,
        "card": 400,
        "board extra": 380,
        "3.5-inch bays": 220,
        "2.5-inch places": 230,
        "optical bay": 450,
        "fans and hubs": 230,
    },
    "large": {
        "main plug": 400,
        "processor": 540,
        "card": 430,
        "board extra": 420,
        "3.5-inch bays": 300,
        "2.5-inch places": 300,
        "optical bay": 550,
        "fans and hubs": 300,
    },
}


def route(size: CaseSize | None, area: str) -> Band:
    """The way to an area [mm] by the case's size; its cautious end is longer, of a case whose size
    nobody says that of a large one."""
    likely = ROUTES_MM[size or USUAL_SIZE][area]
    return Band(likely, ROUTES_MM[size or "large"][area] + ROUTE_MORE_MM)


# -- headers, fans -------------------------------------------------------------------------

#: Amperes of a header by its kind. Source: boards' manuals; the 4-wire fan specification asks for
#: 1 A at the least; of lights the usual strips of a board's own figures.
HEADER_A: Mapping[str, Band] = {
    "fan": Band(1.0, 1.0),
    "pump": Band(2.0, 1.0),
    "lights-5v": Band(3.0, 2.0),
    "lights-12v": Band(3.0, 2.0),
}
#: Air that a case fan moves in the open, by its size [mm → m³/h].
FLOW_M3H: Mapping[int, Band] = {
    40: Band(10, 6),
    60: Band(25, 15),
    80: Band(50, 35),
    92: Band(65, 45),
    120: Band(85, 60),
    140: Band(115, 80),
    180: Band(160, 115),
    200: Band(190, 135),
}


def flow_m3h(size_mm: int) -> Band:
    """Air that a fan of a size moves [m³/h]: of the largest known size that is no larger."""
    known = [size for size in FLOW_M3H if size <= size_mm] or [min(FLOW_M3H)]
    return FLOW_M3H[max(known)]


# -- cards ---------------------------------------------------------------------------------


#: Measures of a thing by the field that has them.
Measures = Mapping[str, Band]


def _card(length: tuple[float, float], height: tuple[float, float], covers: Band) -> Measures:
    return {"length_mm": Band(*length), "height_mm": Band(*height), "covers": covers}


#: Up to so many watts → what such a graphics card measures.
CARD_SIZES: tuple[tuple[float, Measures], ...] = (
    (75, _card((170, 200), (112, 125), Band(2, 2))),
    (150, _card((230, 270), (120, 135), Band(2, 2))),
    (250, _card((280, 320), (120, 137), Band(3, 3))),
    (350, _card((320, 345), (130, 145), Band(3, 4))),
    (10_000, _card((340, 360), (137, 152), Band(4, 4))),
)
PLAIN_CARD = _card((120, 170), (70, 112), Band(1, 1))


def card_measures(watts: float, plain: bool) -> Measures:
    """Length, height and places of a card by the watts that it draws."""
    if plain:
        return PLAIN_CARD
    return next(m for most, m in CARD_SIZES if watts <= most)


#: Room in a case by its size.
CASE_MEASURES: Mapping[CaseSize, Measures] = {
    "small": {
        "card_length_mm": Band(300, 250),
        "card_height_mm": Band(150, 135),
        "supply_length_mm": Band(150, 130),
        "slots": Band(3, 2),
        "bays_35": Band(1, 0),
        "bays_25": Band(2, 1),
    },
    "mid": {
        "card_length_mm": Band(370, 340),
        "card_height_mm": Band(185, 165),
        "supply_length_mm": Band(210, 190),
        "slots": Band(7, 7),
        "bays_35": Band(2, 2),
        "bays_25": Band(2, 2),
    },
    "large": {
        "card_length_mm": Band(420, 380),
        "card_height_mm": Band(205, 185),
        "supply_length_mm": Band(250, 210),
        "slots": Band(8, 8),
        "bays_35": Band(4, 4),
        "bays_25": Band(4, 2),
    },
}


def case_measures(size: CaseSize | None) -> Measures:
    """Room in a case by its size; of one whose size nobody says as usual, cautiously as in a small
    one."""
    usual, least = CASE_MEASURES[size or USUAL_SIZE], CASE_MEASURES[size or "small"]
    return {name: Band(band.likely, least[name].cautious) for name, band in usual.items()}


#: The form of supply that a case of a size takes.
CASE_TAKES: Mapping[CaseSize, tuple[SupplyForm, ...]] = {"mid": ("ATX",), "large": ("ATX",)}
#: How long a supply is without its plugs [mm], by its form; large ones are longer.
SUPPLY_MM: Mapping[SupplyForm, Band] = {
    "ATX": Band(150, 165),
    "SFX": Band(100, 100),
    "SFX-L": Band(130, 130),
    "TFX": Band(175, 175),
    "Flex ATX": Band(150, 190),
}
LARGE_SUPPLY_W, LARGE_SUPPLY_MM = 1000.0, Band(180, 210)


def supply_mm(form: SupplyForm, rated_w: float | None) -> Band:
    """How long a supply is without its plugs [mm]."""
    if form == "ATX" and rated_w is not None and rated_w >= LARGE_SUPPLY_W:
        return LARGE_SUPPLY_MM
    return SUPPLY_MM[form]


# -- what follows from the kind of a plug or a port -----------------------------------------

#: Kind → circuits and 12 V pins of a port. Source: the usual panels of the field.
PORT_SHAPE: Mapping[PortKind, tuple[int, int]] = {
    "board-a": (18, 1),
    "board-b": (10, 1),
    "processor": (8, 4),
    "graphics": (8, 3),
    "processor-graphics": (8, 4),
    "16pin": (12, 6),
    "drive": (6, 1),
}


def lead_pins(connector: Connector) -> dict[str, int]:
    """Pins and conductors of a cable by rail: as many as the plug has; of a drive lead one a rail
    and two of ground. Source: the usual cables of the field."""
    whole = PINS[connector.kind]
    if connector.family != "drive":
        return dict(whole)
    return {"v12": 1, "v5": 1, "v3v3": min(whole["v3v3"], 1), "ground": 2}
