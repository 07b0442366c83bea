"""Words and phrases with their senses: what one may be in a line. Tables only."""

from __future__ import annotations

from collections.abc import Iterable
from typing import NamedTuple

from ..vocabulary import (
    CATEGORIES,
    DESCRIPTIVE,
    ELSEWHERE,
    FEED_PHRASES,
    FIGURE_PHRASES,
    FILLERS,
    KIND_PHRASES,
    OTHER_UNITS,
)
from ..words import GENERATIONS, KINDS, PLURALS, SOCKETS
from .tokens import tokens_of


class Sense(NamedTuple):
    """What a word or phrase may be: a role, and what it says in it."""

    role: str
    value: str = ""


#: Spellings of units → (unit of the line's own, factor).
UNITS: dict[str, tuple[str, float]] = {
    **dict.fromkeys(("w", "watt", "watts"), ("w", 1.0)),
    **dict.fromkeys(("kw", "kilowatt", "kilowatts"), ("w", 1000.0)),
    **dict.fromkeys(("a", "amp", "amps", "ampere", "amperes"), ("a", 1.0)),
    **dict.fromkeys(("ma", "milliamp", "milliamps", "milliampere", "milliamperes"), ("a", 0.001)),
    **dict.fromkeys(("v", "volt", "volts", "vdc"), ("v", 1.0)),
    **dict.fromkeys(("mm", "millimeter", "millimeters", "millimetre", "millimetres"), ("mm", 1.0)),
    **dict.fromkeys(("cm", "centimeter", "centimeters", "centimetres"), ("mm", 10.0)),
    **dict.fromkeys(("in", "inch", "inches", '"'), ("in", 1.0)),
    **dict.fromkeys(("gb", "gig", "gigs", "giga", "gigabyte", "gigabytes"), ("gb", 1.0)),
    **dict.fromkeys(("tb", "tera", "terabyte", "terabytes"), ("tb", 1.0)),
    "ghz": ("ghz", 1.0),
    "mhz": ("mhz", 1.0),
    "mt/s": ("mt/s", 1.0),
    "rpm": ("rpm", 1.0),
    **dict.fromkeys(("core", "cores"), ("core", 1.0)),
    **dict.fromkeys(("%", "percent"), ("%", 1.0)),
    **dict.fromkeys(("m3/h", "m³/h"), ("m3h", 1.0)),
    "cfm": ("m3h", 1.699),
    **dict.fromkeys(("pin", "pins"), ("pin", 1.0)),
    **dict.fromkeys(("slot", "slots"), ("slot", 1.0)),
    **dict.fromkeys(("lane", "lanes"), ("lane", 1.0)),
    **dict.fromkeys(("s", "sec", "seconds"), ("s", 1.0)),
}
#: Units that say nothing of a draw: they go behind the name with their number.
_ASIDE = tuple(u for u in OTHER_UNITS if u not in (*UNITS, "port", "ports"))

#: Role → its words and phrases, one sense a word; a word may stand in several rows.
_ROWS: tuple[tuple[str, str, str], ...] = (
    ("count", "", "qty | quantity | count | number of | amount"),
    ("pieces", "", "pcs | pc | pieces | piece | nos | off | units | unit | ea | stk"),
    ("each", "", "each | apiece | per piece | a piece | each of them | every one"),
    (
        "total",
        "",
        "in all | in total | total | altogether | all together | combined | together | for both "
        "| for all | in sum | sum",
    ),
    (
        "about",
        "",
        "about | approx | approx. | approximately | around | roughly | circa | ca | ca. | ~",
    ),
    ("to", "", "- | to | ..."),
    ("and", "", "and | & | +"),
    ("plus minus", "", "± | +/- | +-"),
    (
        "limit",
        "",
        "limit | limited | power limit | power limited | capped | cap | pl | power target | target",
    ),
    ("limit", "", "undervolted | turned down | turned | set | lowered | raised | tuned"),
    ("raised", "", "overclocked | oc | overclock | raised"),
    ("money", "", "$ | € | £ | eur | euro | euros | usd | dollar | dollars | gbp | pounds | chf"),
    ("price", "", "price | cost | costs | msrp | paid | for only"),
    ("socket one", "8pin", "eight pin | eight pins | 8 pin | 8 pins"),
    ("socket one", "6pin", "six pin | six pins | 6 pin | 6 pins"),
    ("socket one", "8pin", "( 6+2 ) | 6+2 | 6+2 pin | ( 6 + 2 ) pin"),
    ("socket one", "16pin", "sixteen pin | 16 pin | 16 pins | 12vhpwr | 12v-2x6 | 12+4 pin"),
    ("socket one", "24pin", "24 pin | 24 pins | 20+4 pin"),
    ("socket one", "4pin", "4 pin | four pin"),
    ("feed", "sata", "sata | sata power | sata plug | sata powered"),
    ("feed", "peripheral", "peripheral | 4 pin peripheral | big 4 pin | lp4"),
    ("feed", "header", "header | pwm header | fan header | pump header | pwm | 3 pin"),
    ("feed", "slot-only", "slot only | no power plug | without power plugs | without power plug"),
    ("usb lead", "", "usb lead | usb cable | internal usb lead | usb connector"),
    ("on hub", "", "on the hub | on a hub | on hub"),
    ("blows", "out", "exhaust | blowing out | out of the case"),
    ("blows", "in", "intake | blowing in | into the case"),
    ("place", "front", "front | at the front | in front"),
    ("place", "rear", "rear | at the rear | back"),
    ("place", "top", "at the top | on top"),
    ("place", "bottom", "at the bottom"),
    ("floor", "", "recommended | supply recommended | psu recommended | recommended power supply"),
    (
        "floor",
        "",
        "recommended psu | recommended supply | minimum psu | min psu | psu | power supply",
    ),
    ("with", "", "with | incl | incl. | including | includes | has | plus"),
    ("for", "", "for | on | of a | of the | by"),
    ("adapter", "", "adapter | adaptor | adapter cable | adapter cables"),
    ("thick", "", "thick | thickness"),
    ("covers", "", "slot | slots | slot wide | slots wide | slot design | slots thick"),
    ("takes", "", "takes | occupies | covers | uses"),
    ("multiple", "1", "single"),
    ("multiple", "2", "dual | double | twin"),
    ("multiple", "3", "triple"),
    ("multiple", "4", "quad"),
    (
        "maybe",
        "",
        "maybe | perhaps | possibly | or | not | no | without | either | several | some day",
    ),
    ("at", "", "at | @ | / | from | on"),
    ("fans of", "", "fan | fans"),
    ("tau", "", "tau"),
)


def _lexicon() -> dict[tuple[str, ...], tuple[Sense, ...]]:
    table: dict[tuple[str, ...], list[Sense]] = {}

    def add(phrases: Iterable[str], role: str, value: str = "") -> None:
        for phrase in phrases:
            key = tuple(t.text for t in tokens_of(phrase))
            sense = Sense(role, value)
            if key and sense not in table.setdefault(key, []):
                table[key].append(sense)

    for word in (*KINDS, *PLURALS):
        add((word,), "kind", word if word not in GENERATIONS else f"memory {word}")
    for phrase, meaning in KIND_PHRASES.items():
        if not phrase.startswith(("exhaust", "intake")):  # which way it blows is told apart
            add((phrase, f"{phrase}s") if phrase[-1].isalpha() else (phrase,), "kind", meaning)
    for phrase, word in FEED_PHRASES.items():
        add((phrase,), "feed" if word else "filler", word)
    for phrase, word in FIGURE_PHRASES.items():
        add((phrase,), "figure", word)
    add(("memories",), "kind", "memory")
    add(("m dot two", "m dot two drive", "m dot 2 drive", "em dot two"), "kind", "m.2")
    add(("boosts", "boosting", "turbo boost"), "figure", "short")
    for word in ("idle", "idles", "short", "standby", "floor", "start"):
        add((word,), "figure", word.removesuffix("s") if word == "idles" else word)
    add(DESCRIPTIVE, "described")
    add(FILLERS, "filler")
    add(CATEGORIES, "filler")
    for phrase, why in ELSEWHERE.items():
        add((phrase,), "elsewhere", why)
    for unit in UNITS:
        add((unit,), "unit", unit)
    for unit in _ASIDE:
        add((unit,), "aside", unit)
    for socket in SOCKETS:
        add((socket,), "socket one", socket)
    for role, value, phrases in _ROWS:
        add((p.strip() for p in phrases.split(" | ")), role, value)
    return {key: tuple(senses) for key, senses in table.items()}


#: Words of a phrase → its senses.
LEXICON = _lexicon()
