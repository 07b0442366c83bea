"""Words and phrases with their senses: what one may be in a line. Tables only."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from typing import NamedTuple

from ..words import FLAGS, GENERATIONS, KINDS, PLURALS, SOCKETS
from .tokens import tokens_of
from .vocabulary import (
    AIR_COOLERS,
    CATEGORIES,
    DESCRIPTIVE,
    ELSEWHERE,
    FEEDS_SAID,
    FIGURES_SAID,
    FILLERS,
    KINDS_SAID,
    LIGHT_HUBS,
    MEANT,
    OTHER_UNITS,
    PLAIN_CARDS,
    USB_THINGS,
)


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
    **dict.fromkeys(("in", "inch", "inches"), ("in", 1.0)),
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
_ASIDE = frozenset(OTHER_UNITS.split()) - {*UNITS, "port", "ports"}

#: What may stand before a front panel's header.
_FRONT = ("", "front ", "internal ", "front panel ")
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
    (
        "floor",
        "",
        "supply | recommended | supply recommended | psu recommended | recommended power supply",
    ),
    (
        "floor",
        "",
        "recommended psu | recommended supply | minimum psu | min psu | psu | power supply",
    ),
    ("with", "", "with | w/ | w / | incl | incl. | including | includes | has | plus"),
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
    ("lanes", "", "lane | lanes"),
    ("pins", "", "pin | pins"),
    (
        "ports",
        "",
        "port | ports | connector | connectors | header | headers | socket | sockets | data ports",
    ),
    (
        "sata data",
        "",
        "sata | sata3 | sata 3 | sata iii | sata ii | s-ata | sata 6 gb/s | sata3 6 gb/s | sata 6g",
    ),
    ("m2 data", "", "m.2 | m2 | nvme | m.2 nvme | nvme m.2 | m.2 ssd | nvme ssd"),
    *(
        (f"{role} header", "", " | ".join(f"{front}{w}" for front in _FRONT for w in words))
        for role, words in (
            ("usb2", ("usb 2 header", "usb 2.0 header", "usb2 header")),
            ("usb2", ("usb 2 headers", "usb 2.0 headers", "usb2 headers")),
            ("usb3", ("usb 3 header", "usb 3.0 header", "usb3 header", "usb 3.2 header")),
            ("usb3", ("usb 3 headers", "usb 3.0 headers", "usb3 headers", "usb 3.2 headers")),
            ("usbc", ("usb-c header", "usb c header", "type-c header", "usb type-c header")),
            ("usbc", ("usb-c headers", "usb c headers", "type-c headers")),
            ("audio", ("audio", "audio header", "panel audio")),
        )
    ),
    (
        "fan headers",
        "",
        "fan header | fan headers | pwm headers | pwm header | pwm fan headers | fan connectors "
        "| fan plugs | case fan headers | chassis fan headers | system fan headers | headers",
    ),
    (
        "outputs",
        "",
        "output | outputs | channel | channels | port | ports | way | ways | fan ports "
        "| fan outputs | fan channels | pwm outputs",
    ),
    (
        "memory slots",
        "",
        "dimm | dimms | memory slots | ram slots | dimm slots | memory slot | memory banks",
    ),
    ("eps", "", "eps | eps12v | eps 12v | eps 12 v"),
    (
        "cpu",
        "",
        "cpu | processor | eps | eps12v | eps 12v | eps 12 v | cpu power | processor power",
    ),
    (
        "plugs",
        "",
        "plug | plugs | connector | connectors | socket | sockets | power plug | power plugs "
        "| power connector | power connectors | power socket | power sockets | power | input "
        "| inputs | header",
    ),
    ("no plug", "", "without any plugs | without any plug | no plugs at all | needs no plug"),
    ("inside", "", "internal | on the board | on a board header | inside"),
    ("between", "", "between | from"),
    ("ribbon", "", "ide | pata | parallel ata | ribbon | ribbon cable | on a ribbon"),
    ("figure", "main", "full | package | package limit | package power tracking | power limit"),
    ("figure", "pump", "pump"),
    (
        "usb lead",
        "",
        "usb header | on usb header | on a usb header | usb 2 header | usb 2.0 header",
    ),
    ("described", "", "dual rank | single rank | dual channel | design | range | mid | mid range"),
    ("described", "", "low end | high end | entry level | staggered spin up | stock | long | eco"),
    ("described", "", "eco mode | low power | gaming | big | small | tall | wide | loud"),
    ("described", "", "external | sas | rpm | water | loop | reservoir | combo | identical"),
    ("kind", "cooler", "cpu cooler | processor cooler | cooler"),
    ("kind", "usb", "usb3 | usb 3 | usb 3.0 | usb2 | usb 2.0 | usb 2"),
    ("filler", "", "needs | draws up to | up to | only | in slot | in a slot | in the slot"),
    ("filler", "", "module | modules"),
)


_LIGHT_HUB = (
    'hub outputs:out-1=lights-5v,out-2=lights-5v,out-3=lights-5v,out-4=lights-5v called:"Light hub"'
)


def _phrases(text: str) -> list[str]:
    return [p.strip() for p in text.split("|")]


def _names() -> Iterator[tuple[str, str]]:
    """What people call a part, and the line's own words for it; `called:` is the name that goes
    with it where the builder gives none."""
    for meant, phrases in KINDS_SAID.items():
        yield from ((p, meant) for p in _phrases(phrases))
    for called, phrases in PLAIN_CARDS.items():
        yield from ((p, f'card slot-only plain called:"{called}"') for p in _phrases(phrases))
    for called, phrases in USB_THINGS.items():
        yield from ((p, f'usb called:"{called}"') for p in _phrases(phrases))
    yield from ((p, 'fan called:"Air cooler"') for p in _phrases(AIR_COOLERS))
    yield from ((p, _LIGHT_HUB) for p in _phrases(LIGHT_HUBS))


def _lexicon() -> dict[tuple[str, ...], tuple[Sense, ...]]:
    table: dict[tuple[str, ...], list[Sense]] = {}

    def add(phrases: Iterable[str], role: str, value: str = "") -> None:
        for phrase in phrases:
            key = tuple(t.text for t in tokens_of(phrase))
            sense = Sense(role, value)
            if key and sense not in table.setdefault(key, []):
                table[key].append(sense)

    names = dict(_names())
    for word in (*KINDS, *PLURALS):
        if word not in names:
            add((word,), "kind", word if word not in GENERATIONS else f"memory {word}")
    for phrase, meant in names.items():
        add((phrase,), "kind", meant)
        if phrase[-1].isalpha() and f"{phrase}s" not in names:
            word, space, rest = meant.partition(" ")
            several = f"{word}s" if f"{word}s" in PLURALS and word != "usb" else word
            add((f"{phrase}s",), "kind", several + space + rest)
    for word in FLAGS:
        if word not in (*GENERATIONS, "header", "slot-only", "power-disable"):
            add((word,), "flag", word)
    for word, phrases in FEEDS_SAID.items():
        every = _phrases(phrases)
        add([*every, *(f"{p}s" for p in every)], "feed" if word else "filler", word)
    for word, phrases in FIGURES_SAID.items():
        add(_phrases(phrases), "figure", word)
    add(("memories",), "kind", "memory")
    add(("m dot two", "m dot two drive", "m dot 2 drive", "em dot two"), "kind", "m.2")
    add(("boosts", "boosting", "turbo boost"), "figure", "short")
    for word in ("idle", "idles", "slot", "short", "standby", "floor", "start"):
        add((word,), "figure", word.removesuffix("s") if word == "idles" else word)
    add(DESCRIPTIVE.split(), "described")
    add((*FILLERS.split(), *_phrases(CATEGORIES)), "filler")
    for why, phrases in ELSEWHERE.items():
        add(_phrases(phrases), "elsewhere", why)
    for unit in UNITS:
        add((unit,), "unit", unit)
    for unit in _ASIDE:
        add((unit,), "aside", unit)
    for socket in SOCKETS:
        add((socket,), "socket one", socket)
    for role, value, phrases in _ROWS:
        add(_phrases(phrases), role, value)
    return {key: tuple(senses) for key, senses in table.items()}


#: Kinds that the names of one part say → the one that it is.
ONE_OF: dict[frozenset[str], str] = {
    frozenset(kinds.split()): kind for kind, of in MEANT.items() for kinds in _phrases(of)
}
#: Words of a phrase → its senses.
LEXICON = _lexicon()


def _less_one(word: str) -> set[str]:
    return {word} | {word[:i] + word[i + 1 :] for i in range(len(word))}


#: Every word of a phrase.
_WORDS = frozenset(w for key in LEXICON for w in key)
#: A word less one of its letters → the words that it may be.
_LESS_ONE: dict[str, set[str]] = {}
for _word in _WORDS:
    if _word.isalpha() and len(_word) >= 3:
        for _less in _less_one(_word):
            _LESS_ONE.setdefault(_less, set()).add(_word)


def corrected(word: str) -> str:
    """The only word of the tables that is one letter off, where the word itself is in none;
    otherwise the word. The first letter is never mistyped."""
    if word in _WORDS or not word.isalpha() or len(word) < 4:
        return word
    near = {w for less in _less_one(word) for w in _LESS_ONE.get(less, ())}
    near = {w for w in near if w[0] == word[0] and _is_one_off(word, w)}
    near -= {f"{w}s" for w in near}
    return near.pop() if len(near) == 1 else word


def _is_one_off(one: str, other: str) -> bool:
    """Whether a letter is left out, put in, changed, or two neighbours are exchanged."""
    if len(one) != len(other):
        less, more = sorted((one, other), key=len)
        return less in _less_one(more)
    differ = [i for i in range(len(one)) if one[i] != other[i]]
    swapped = len(differ) == 2 and differ[1] == differ[0] + 1
    return len(differ) == 1 or (
        swapped and one[differ[0]] == other[differ[1]] and one[differ[1]] == other[differ[0]]
    )
