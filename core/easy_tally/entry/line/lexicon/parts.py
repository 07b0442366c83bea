"""Words and phrases with their senses: what one may be in a line. Tables only."""

from __future__ import annotations

from collections.abc import Iterator

from ...words import FLAGS, GENERATIONS, KINDS, PLURALS, SOCKETS
from .senses import SAID_OF_ALL, UNITS, UNITS_OF_KITS, Lexicon, Table, add, phrases_of
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

_UNITS = UNITS.keys() - UNITS_OF_KITS
#: Units that say nothing of a draw: they go behind the name with their number.
_ASIDE = set(OTHER_UNITS.split()) - _UNITS

#: What may stand before a front panel's header.
_FRONT = ("", "front ", "internal ", "front panel ")
#: Role → its words and phrases, one sense a word; a word may stand in several rows.
_ROWS: tuple[tuple[str, str, str], ...] = (
    *SAID_OF_ALL,
    ("count", "", "count | number of | amount"),
    ("pieces", "", "pcs | pc | pieces | piece | nos | off | units | unit | ea | stk"),
    ("each", "", "per port | per channel | per output | per header | per fan | per module"),
    ("each", "", "each | apiece | per piece | a piece | each of them | every one"),
    (
        "total",
        "",
        "in all | in total | total | altogether | all together | combined | together | for both "
        "| for all | in sum | sum",
    ),
    ("about", "", "approximately | ~"),
    ("to", "", "- | to | ..."),
    ("and", "", "and | & | +"),
    (
        "limit",
        "",
        "limit | limited | power limit | power limited | capped | cap | pl | power target | target",
    ),
    (
        "limit",
        "",
        "undervolted | turned down | turned | set | lowered | raised | tuned "
        "| reduced | cut | throttled",
    ),
    ("raised", "", "overclocked | oc | overclock | raised"),
    ("money", "", "pounds"),
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
    ("on hub", "", "on the hub | on a hub | on hub | connected to the hub | connected to a hub"),
    (
        "on hub",
        "",
        "attached to the hub | attached to a hub | plugged into the hub | through a hub",
    ),
    ("blows", "out", "exhaust | blowing out | out of the case"),
    ("blows", "in", "intake | blowing in | into the case"),
    ("place", "front", "front | at the front | in front | in the front"),
    ("place", "rear", "rear | at the rear | back | in the rear | in the back"),
    ("place", "top", "at the top | on top | in the top"),
    ("place", "bottom", "at the bottom | in the bottom"),
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
    (
        "with",
        "",
        "with | w/ | w / | incl | incl. | including | includes | has | plus | via | feeding "
        "| driving",
    ),
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
        "maybe | perhaps | possibly | or | not | no | without | either | several | some day "
        "| removed | sold | gone | dead | broken",
    ),
    ("at", "", "at | @ | / | from | on"),
    ("fans of", "", "fan | fans"),
    ("tau", "", "tau"),
    ("kind", "memory", "memories"),
    ("kind", "memory ddr3", "ddr3l | ddr 3"),
    ("kind", "memory ddr4", "ddr 4"),
    ("kind", "memory ddr5", "ddr 5"),
    ("kind", "m.2", "m dot two | m dot two drive | m dot 2 drive | em dot two"),
    ("figure", "short", "boosts | boosting | turbo boost | short"),
    ("figure", "idle", "idle | idles"),
    *(("figure", word, word) for word in ("slot", "standby", "floor", "start")),
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
    ("eps", "", "eps | eps12v | eps 12v | eps 12 v | eps8"),
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
    ("described", "", "slot loading | slot load | tray loading | hot plug | boxed"),
    ("described", "", "per metre | per meter"),
    ("described", "", "no backplate | no box"),
    ("described", "", "air cooled | water cooled | liquid cooled | x86 | x64 | 64 bit | 32 bit"),
    ("described", "", "without wifi | no wifi | without backplate | without box | without lights"),
    ("described", "", "no rgb | no lights | without rgb | without cooler | without heatsink"),
    ("maybe", "", "at least | at most | more than | less than | no more than | not more than"),
    ("described", "", "dual rank | single rank | dual channel | design | range | mid | mid range"),
    ("described", "", "low end | high end | entry level | staggered spin up | stock | long | eco"),
    ("described", "", "eco mode | low power | gaming | big | small | tall | wide | loud"),
    ("described", "", "external | sas | rpm | water | loop | reservoir | combo | identical"),
    ("kind", "cooler", "cpu cooler | processor cooler | cooler"),
    ("kind", "usb", "usb3 | usb 3 | usb 3.0 | usb2 | usb 2.0 | usb 2"),
    (
        "filler",
        "",
        "altogether | needs | draws up to | up to | only | in slot | in a slot | in the slot",
    ),
    ("filler", "", "module | modules"),
)


_LIGHT_HUB = (
    'hub outputs:out-1=lights-5v,out-2=lights-5v,out-3=lights-5v,out-4=lights-5v called:"Light hub"'
)


def _names() -> Iterator[tuple[str, str]]:
    """What people call a part, and the line's own words for it; `called:` is the name that goes
    with it where the builder gives none."""
    for meant, phrases in KINDS_SAID.items():
        yield from ((p, meant) for p in phrases_of(phrases))
    for called, phrases in PLAIN_CARDS.items():
        yield from ((p, f'card slot-only plain called:"{called}"') for p in phrases_of(phrases))
    for called, phrases in USB_THINGS.items():
        yield from ((p, f'usb called:"{called}"') for p in phrases_of(phrases))
    yield from ((p, 'fan called:"Air cooler"') for p in phrases_of(AIR_COOLERS))
    yield from ((p, _LIGHT_HUB) for p in phrases_of(LIGHT_HUBS))


def _lexicon() -> Table:
    table: Table = {}
    _add_names(table)
    for word in FLAGS:
        if word not in (*GENERATIONS, "header", "slot-only", "power-disable"):
            add(table, (word,), "flag", word)
    for word, phrases in FEEDS_SAID.items():
        every = phrases_of(phrases)
        add(table, [*every, *(f"{p}s" for p in every)], "feed" if word else "filler", word)
    for word, phrases in FIGURES_SAID.items():
        add(table, phrases_of(phrases), "figure", word)
    for why, phrases in ELSEWHERE.items():
        add(table, phrases_of(phrases), "elsewhere", why)
    add(table, DESCRIPTIVE.split(), "described")
    add(table, (*FILLERS.split(), *phrases_of(CATEGORIES)), "filler")
    for role, words in (("unit", _UNITS), ("aside", _ASIDE), ("socket one", SOCKETS)):
        for word in words:
            add(table, (word,), role, word)
    for role, value, phrases in _ROWS:
        add(table, phrases_of(phrases), role, value)
    return table


def _add_names(table: Table) -> None:
    """Words and phrases of kinds, with the plural of each."""
    names = dict(_names())
    for word in (*KINDS, *PLURALS):
        if word not in names:
            add(table, (word,), "kind", word if word not in GENERATIONS else f"memory {word}")
    for phrase, meant in names.items():
        add(table, (phrase,), "kind", meant)
        if phrase[-1].isalpha() and f"{phrase}s" not in names:
            word, space, rest = meant.partition(" ")
            several = f"{word}s" if f"{word}s" in PLURALS and word != "usb" else word
            add(table, (f"{phrase}s",), "kind", several + space + rest)


#: Kinds that the names of one part say → the one that it is.
ONE_OF: dict[frozenset[str], str] = {
    frozenset(kinds.split()): kind for kind, of in MEANT.items() for kinds in phrases_of(of)
}
PARTS = Lexicon(_lexicon())
