"""The words of the entry line: one table each, for reading and printing alike."""

from __future__ import annotations

from dataclasses import dataclass
from typing import get_args

from ..standards.connectors import CONNECTORS, Family, SocketKind
from ..standards.forms import Side

#: Word → what it says the part is. `drive` and `ssd` leave open which; they are asked about.
KINDS: dict[str, str] = {
    "board": "board",
    "motherboard": "board",
    "mainboard": "board",
    "processor": "processor",
    "cpu": "processor",
    "memory": "memory",
    "ram": "memory",
    "dimm": "memory",
    "module": "memory",
    "ddr5": "memory",
    "ddr4": "memory",
    "ddr3": "memory",
    "card": "card",
    "gpu": "card",
    "graphics": "card",
    "pcie": "card",
    "m.2": "m2",
    "m2": "m2",
    "nvme": "m2",
    "disk": "disk",
    "hdd": "disk",
    "harddisk": "disk",
    "drive": "drive",
    "ssd": "ssd",
    "optical": "optical",
    "dvd": "optical",
    "floppy": "floppy",
    "fan": "fan",
    "pump": "pump",
    "cooler": "cooler",
    "radiator": "cooler",
    "hub": "hub",
    "controller": "hub",
    "strip": "strip",
    "light": "strip",
    "led": "strip",
    "usb": "usb",
    "load": "other",
    "other": "other",
    "aio": "cooler",
}
#: Words of several, each after its number: `5 fans`.
PLURALS: dict[str, str] = {
    f"{word}s": word for word in KINDS if word[-1].isalpha() and word != "led"
}

GENERATIONS = ("ddr5", "ddr4", "ddr3")


@dataclass(frozen=True, slots=True)
class Named:
    """A figure of a kind: the word that names it, its unit, its field."""

    word: str
    unit: str
    field: str


def _named(*rows: tuple[str, str, str]) -> tuple[Named, ...]:
    return tuple(Named(*row) for row in rows)


_RATED = _named(("rated", "a", "rated_a"))
#: Kind → its figures; the first of a unit is meant where a number stands alone, but for a
#: board, a disk and a load by hand, which have no main figure.
FIGURES: dict[str, tuple[Named, ...]] = {
    "processor": _named(
        ("package", "w", "package_w"),
        ("short", "w", "package_short_w"),
        ("idle", "w", "package_idle_w"),
    ),
    "board": _named(
        ("own-12v", "w", "own_12v_w"),
        ("own-5v", "w", "own_5v_w"),
        ("own-3.3v", "w", "own_3v3_w"),
        ("standby", "w", "standby_w"),
    ),
    "card": _named(
        ("power", "w", "board_power_w"),
        ("slot", "w", "slot_w"),
        ("idle", "w", "idle_w"),
        ("floor", "w", "system_floor_w"),
    ),
    "memory": _named(("each", "w", "module_w")),
    "m2": _named(("full", "w", "full_w"), ("idle", "w", "idle_w")),
    "drive": _named(
        ("12v", "a", "run_12v_a"),
        ("5v", "a", "run_5v_a"),
        ("start", "a", "start_12v_a"),
        ("start-5v", "a", "start_5v_a"),
    ),
    "fan": _RATED,
    "pump": _RATED,
    "cooler": _named(
        ("pump", "a", "pump_a"), ("fan", "a", "fan_a"), ("controller", "w", "controller_w")
    ),
    "strip": _RATED,
    "hub": _named(("own", "w", "own_w")),
    "usb": _named(("draw", "w", "draw_w"), ("asleep", "w", "asleep_w")),
    "other": _named(
        ("12v", "w", "v12_w"),
        ("5v", "w", "v5_w"),
        ("3.3v", "w", "v3v3_w"),
        ("standby", "w", "v5sb_w"),
        ("-12v", "w", "vneg12_w"),
        ("-5v", "w", "vneg5_w"),
    ),
}
NO_MAIN_FIGURE = ("board", "drive", "other")
#: Every word that names a figure of some kind.
FIGURE_NAMES = frozenset(n.word for of in FIGURES.values() for n in of)


DRIVE_KINDS = ("disk", "drive", "ssd", "optical", "floppy")


def figures_of(kind: str) -> str:
    """The kind whose figures a kind word's part has: all drives have a drive's."""
    return "drive" if kind in DRIVE_KINDS else kind


def main_figure(kind: str, unit: str) -> Named | None:
    """The figure of a kind that a number of `unit` means where no word names it."""
    if kind in NO_MAIN_FIGURE:
        return None
    return next((n for n in FIGURES[kind] if n.unit == unit), None)


_STORES = ("memory", "drive", "m2", "card")
#: What tells parts apart and says nothing of their draw: unit → how it is written, and the kinds
#: that it is said of. It goes into the name, in this order.
DETAILS: dict[str, tuple[str, tuple[str, ...]]] = {
    "core": ("cores", ("processor",)),
    "gb": ("GB", _STORES),
    "tb": ("TB", _STORES),
    "ghz": ("GHz", ("processor",)),
    "mhz": ("MHz", ("processor", "memory", "card")),
    "mt/s": ("MT/s", ("memory",)),
    "rpm": ("rpm", ("drive", "fan", "pump")),
    "mm": ("mm", ("cooler",)),
}

#: Word of a socket → its kind, in the order in which sockets are laid out and printed, whatever
#: order they were said in. A board's 8- and 4-pin are the processor's.
SOCKETS: dict[str, SocketKind] = {word: c.kind for c in CONNECTORS.values() for word in c.said}
SOCKET_ORDER: tuple[str, ...] = tuple(SOCKETS)
#: Word that says the same → the word; the name of a kind is never another on a board.
SOCKET_SYNONYMS: dict[str, str] = {
    word: c.said[-1] if word == c.kind else c.said[0]
    for c in CONNECTORS.values()
    for word in c.said_too
}
_ON_BOARD: dict[str, SocketKind] = {
    c.said_on_board: c.kind for c in CONNECTORS.values() if c.said_on_board
}


def socket_kind(kind: str, word: str) -> SocketKind:
    """What a word of a socket means on a part of a kind."""
    return _ON_BOARD.get(word, SOCKETS[word]) if kind == "board" else SOCKETS[word]


#: Drive form → (kind word, key, name, word of its socket).
DRIVES: dict[str, tuple[str, str, str, str]] = {
    "3.5": ("disk", "disk", "3.5-inch disk", "sata"),
    "2.5": ("drive", "drive", "2.5-inch drive", "sata"),
    "optical": ("optical", "optical", "Optical drive", "sata"),
    "floppy": ("floppy", "floppy", "Floppy drive", "floppy4"),
}


def drive_socket(form: str, data: str | None) -> str:
    """The word of a drive's usual power socket; one on a ribbon is as old as the 4-pin plug."""
    return "4pin" if data == "ribbon" and form != "floppy" else DRIVES[form][3]


def _said_of(*families: Family) -> tuple[str, ...]:
    return tuple(w for c in CONNECTORS.values() if c.family in families for w in c.said)


_DRIVE_LEADS = tuple(w for w in _said_of("drive") if CONNECTORS[SOCKETS[w]].relieves)
#: Kinds that may hang on a header. Their `4pin` is a plug or a fan header: it is asked about.
HANG = ("fan", "pump", "cooler", "hub", "strip")
#: Kind → words of the sockets that one may say it has; of others any, by name (`sockets:`).
SAID_SOCKETS: dict[str, tuple[str, ...]] = {
    "board": SOCKET_ORDER,
    "other": SOCKET_ORDER,
    "drive": _said_of("drive"),
    "card": (*_said_of("graphics"), *_DRIVE_LEADS),
    **dict.fromkeys(HANG, ("sata", "peripheral")),
}
#: Kinds that are asked what feeds them: nothing is usual enough to be taken.
FED_EITHER_WAY = ("pump", "cooler", "hub")
#: Names of parts that nobody named.
NAMES: dict[str, str] = {
    "board": "Board",
    "processor": "Processor",
    "card": "Card",
    "m2": "M.2 drive",
    "pump": "Pump",
    "cooler": "Liquid cooler",
    "hub": "Hub",
    "usb": "USB load",
    "other": "Load",
}
#: Kind of part → the kind word that is printed; a drive's goes by its form.
KIND_WORDS: dict[str, str] = {
    "board": "board",
    "processor": "processor",
    "memory": "memory",
    "card": "card",
    "m2": "m.2",
    "fan": "fan",
    "pump": "pump",
    "cooler": "cooler",
    "hub": "hub",
    "strip": "strip",
    "usb": "usb",
    "other": "load",
}

#: Words that say the same as another: a fan's 3 pins and its speed signal are a header's.
SAME: dict[str, str] = {"3pin": "header", "pwm": "header"}
#: Words of what is chosen elsewhere.
SUPPLY_WORDS = ("psu", "supply")
#: Words that stand alone, and what they say.
FLAGS: tuple[str, ...] = (
    "registered",
    "slot-only",
    "plain",
    "header",
    "no-socket",
    "no-cpu",
    "power-disable",
    "eps4-in-eps8",
    "usb-lead",
    "no-usb-lead",
    "measured",
    "assumed",
    *GENERATIONS,
)
#: Word → the field of a board or a card that holds how many signal ports of a kind it has.
SIGNALS: dict[str, str] = {
    "sata-ports": "sata_ports",
    "usb2-headers": "usb2_headers",
    "usb3-headers": "usb3_headers",
    "usbc-headers": "usbc_headers",
    "audio-headers": "audio_headers",
}
#: Kind → word of a measure or a place → its field, and its choices by the word that says each;
#: none: it is a number.
MEASURES: dict[str, dict[str, tuple[str, dict[str, str] | None]]] = {
    "card": {
        "long": ("length_mm", None),
        "high": ("height_mm", None),
        "covers": ("covers", None),
        "support": ("support", {"no": "not needed", "boxed": "in the box", "needed": "needed"}),
        "plugs": ("plugs_face", {"side": "side panel", "front": "front"}),
    },
    "fan": {
        "flow": ("flow_m3h", None),
        "mounted": ("side", {s: s for s in get_args(Side)}),
        "blows": ("blows", {"in": "in", "out": "out"}),
    },
}
MEASURES["cooler"] = MEASURES["fan"] | {
    "radiator": ("radiator_mm", None),
    "thick": ("thick_mm", None),
}
#: Words that take a value behind a colon, beside the figures.
SETTINGS: tuple[str, ...] = (
    "sockets",
    "headers",
    "outputs",
    "slots",
    "in",
    "limit",
    "spikes",
    "on",
    "at",
    "fans",
    "idle-share",
    "lanes",
    "note",
    "key",
    "from",
    "m2-slots",
    "data",
    "port",
    *SIGNALS,
    *(w for of in MEASURES.values() for w in of),
)
UNITS: dict[str, str] = {
    "watt": "w",
    "watts": "w",
    "amp": "a",
    "amps": "a",
    "ampere": "a",
    "amperes": "a",
    "inch": "in",
    "inches": "in",
    '"': "in",
    "lane": "lanes",
    "volt": "v",
    "volts": "v",
    "pins": "pin",
    "cores": "core",
}
