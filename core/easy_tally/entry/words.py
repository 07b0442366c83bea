"""The words of the entry line: one table each, for reading and printing alike."""

from __future__ import annotations

from dataclasses import dataclass

from ..standards.connectors import CONNECTORS, SocketKind
from ..things.parts import KINDS as PARTS
from ..things.parts import KindOfPart

#: Slots of a thing: the name of each, from which character of a line to which.
Spans = tuple[tuple[str, int, int], ...]

#: Word → what it says the part is. `drive` and `ssd` leave open which; they are asked about.
KINDS: dict[str, str] = {
    word: name
    for kind in PARTS.values()
    for name, called in kind.traits.names.items()
    for word in called.words
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


#: Kind → its figures; the first of a unit is meant where a number stands alone, but for a
#: board, a disk and a load by hand, which have no main figure.
FIGURES: dict[str, tuple[Named, ...]] = {
    name: tuple(Named(f.said, f.unit.lower(), f.name) for f in kind.figures)
    for name, kind in PARTS.items()
}
#: Every word that names a figure of some kind.
FIGURE_NAMES = frozenset(n.word for of in FIGURES.values() for n in of)


DRIVE_KINDS = tuple(PARTS["drive"].traits.names)


def figures_of(kind: str) -> str:
    """The kind whose figures a kind word's part has: all drives have a drive's."""
    return "drive" if kind in DRIVE_KINDS else kind


def main_figure(kind: str, unit: str) -> Named | None:
    """The figure of a kind that a number of `unit` means where no word names it."""
    if not PARTS[kind].traits.has_main_figure or (kind, unit) == ("cooler", "w"):
        return None  # a cooler's watts are as likely those of all of it
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


def drive_socket(form: str, data_by: str | None) -> str:
    """The word of a drive's usual power socket; one on a ribbon is as old as the 4-pin plug."""
    return "4pin" if data_by == "ribbon" and form != "floppy" else DRIVES[form][3]


#: Kinds that may hang on a header. Their `4pin` is a plug or a fan header: it is asked about.
HANG = tuple(name for name, kind in PARTS.items() if kind.hangs)


def _said_sockets(kind: KindOfPart) -> tuple[str, ...]:
    """The words of the sockets that one may say it has: of what hangs on a header the drives'
    plugs that say nothing else; a card is fed by those alone that take a wire's whole load."""
    if kind.hangs:
        return "sata", "peripheral"
    families = kind.traits.fed_by
    return tuple(
        word
        for word, socket in SOCKETS.items()
        if not families
        or (c := CONNECTORS[socket]).family == families[0]
        or (c.family in families and c.relieves)
    )


#: Kind → words of the sockets that one may say it has; of others any, by name (`sockets:`).
SAID_SOCKETS: dict[str, tuple[str, ...]] = {
    name: _said_sockets(kind) for name, kind in PARTS.items() if kind.has_sockets
}
#: Kinds that are asked what feeds them.
FED_EITHER_WAY = tuple(name for name, kind in PARTS.items() if kind.traits.asked_how_fed)
#: Names of parts that nobody named.
NAMES: dict[str, str] = {name: kind.traits.name for name, kind in PARTS.items() if kind.traits.name}
#: Kind of part → the kind word that is printed; a drive's goes by its form.
KIND_WORDS: dict[str, str] = {name: kind.traits.printed for name, kind in PARTS.items()}

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
    name: {f.said: (f.name, dict(f.said_as) if f.said_as else None) for f in said}
    for name, kind in PARTS.items()
    if (said := [f for f in kind.fields if f.said and f.shape != "figure"])
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
    "boxed",
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
#: Largest draw of a kind in its own unit (W or A); beyond, the figure is of something else. Source:
#: the field.
MOST: dict[str, float] = {
    "processor": 1000,
    "card": 1000,
    "memory": 20,
    "m2": 30,
    "fan": 5,
    "pump": 5,
    "strip": 10,
    "usb": 100,
    "hub": 20,
}
