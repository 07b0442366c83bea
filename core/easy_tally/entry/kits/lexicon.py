"""Words and phrases of supplies, cables, what is sold by itself, and cases, with their senses."""

from __future__ import annotations

from itertools import product
from typing import get_args

from ...standards.connectors import CONNECTORS, PLUG_OF
from ...standards.efficiency import Grade
from ..line import SAID_OF_ALL, UNITS, Lexicon, Table, add, phrases_of

#: Role → what it says → its words and phrases.
_ROWS: tuple[tuple[str, str, str], ...] = (
    # Which cable it is, by the plug that it usually has.
    ("use", "eps4+4", "processor | cpu | eps | eps12v | processor power | cpu power"),
    ("use", "pcie6+2", "card | graphics | gpu | pcie | pci-e | pci express | vga | graphics card"),
    ("use", "pcie6+2", "pcie power | video card | graphics power"),
    ("use", "atx20+4", "board | mainboard | motherboard | main board | main | mobo | board power"),
    ("use", "sata", "drive | drives | disk | disks | hdd | hard drive | hard disk"),
    # Plugs that say which they are.
    ("plug", "eps4+4", "4+4 | 4 + 4 | 4+4 pin | 4 + 4 pin | 8 pin eps | eps 8 pin"),
    ("plug twice", "eps4+4", "8 pin ( 4+4 ) | 4+4 ( 8 pin ) | 8 pin ( 4+4 pin )"),
    ("plug", "pcie6+2", "6+2 | 6 + 2 | 6+2 pin | 6 + 2 pin | ( 6+2 ) pin"),
    ("plug twice", "pcie6+2", "8 pin ( 6+2 ) | 6+2 ( 8 pin ) | 8 pin ( 6+2 pin )"),
    ("plug", "atx20+4", "20+4 | 20 + 4 | 20+4 pin | 20 + 4 pin"),
    ("plug twice", "atx20+4", "24 pin ( 20+4 ) | 20+4 ( 24 pin ) | 24 pin ( 20+4 pin )"),
    ("plug", "atx24", "24 pin | 24 pins"),
    ("plug", "atx20", "20 pin | 20 pins"),
    ("plug", "16pin", "16 pin | 16 pins | 12+4 pin | 12 + 4 pin | 12vhpwr | 12v-2x6 | 12v 2x6"),
    ("plug", "pcie6", "6 pin | 6 pins"),
    ("plug", "sata", "sata | sata power | serial ata"),
    ("plug", "per4", "peripheral | 4 pin peripheral | peripheral 4 pin | lp4 | big 4 pin"),
    ("plug", "per4", "old 4 pin | large 4 pin | old drive plug"),
    ("plug", "fdd4", "floppy | floppy 4 pin | 4 pin floppy | small 4 pin"),
    ("plug", "8", "8 pin | 8 pins"),
    ("plug", "4", "4 pin | 4 pins"),
    # Ports of a panel.
    ("port", "processor", "processor | cpu | eps | cpu 8 pin | eps 8 pin"),
    ("port", "graphics", "graphics | card | pcie | pci-e | gpu | vga | pcie 8 pin | graphics card"),
    ("port", "graphics", "pcie 6+2 | pcie ( 6+2 ) | 6+2 pin pcie | 8 pin pcie"),
    ("port", "16pin", "16 pin | 12v-2x6 | 12vhpwr | 12+4 pin | native 16 pin | pcie 16 pin"),
    ("port", "16pin", "16 pin pcie | native 12v-2x6 | native 12vhpwr"),
    ("port", "drive", "drive | drives | sata | peripheral | disk | hdd | accessory"),
    ("port", "drive", "sata/peripheral | sata / peripheral | sata or peripheral"),
    ("port", "drive", "sata and peripheral | peripheral and sata | peripheral/sata"),
    (
        "port",
        "board-a",
        "20+4 | 20+4 pin | 20 + 4 pin | 20 pin | board | board a | 24 pin | mainboard | "
        "motherboard | main | atx 24 pin",
    ),
    ("port", "board-b", "board b"),
    ("multiple", "1", "single"),
    ("multiple", "2", "dual | double | twin"),
    ("multiple", "3", "triple"),
    ("multiple", "4", "quad"),
    # What things are.
    ("cable", "", "cable | cables | lead | leads | cord | cords | wire | wires"),
    ("plugs", "", "plug | plugs | connector | connectors | end | ends | head | heads"),
    ("ports", "", "port | ports | socket | sockets | output | outputs"),
    ("pins", "", "pin | pins"),
    ("native", "", "native | built in | one native | a native"),
    (
        "supply",
        "",
        "supply | supplies | psus | psu | power supply | power supply unit | power | unit",
    ),
    ("adapter", "", "adapter | adaptor | adapter cable | converter"),
    ("splitter", "", "splitter | y splitter | y cable | y | y piece | splitter cable"),
    ("extension", "", "extension | extension cable | extender | extensions"),
    ("bracket", "", "bracket | mounting bracket | bracket for a supply | mount"),
    (
        "cage",
        "",
        "cage | drive cage | hot swap cage | backplane | drive bay cage | swap bay | disk cage",
    ),
    # Supplies.
    ("form", "ATX", "atx | atx form | ps2 | full size"),
    ("form", "SFX", "sfx"),
    ("form", "SFX-L", "sfx-l | sfx l | sfxl"),
    ("form", "TFX", "tfx"),
    ("form", "Flex ATX", "flex atx | flex | flex-atx"),
    ("grade", "base", "white | standard | no grade"),
    ("which modular", "", "modular"),
    ("classic", "", "classic | classic design | atx 2.4 | atx 2.3 | atx 2.x | atx 2.52 | atx 2.53"),
    (
        "modular",
        "fully",
        "fully modular | modular fully | full modular | all modular | fully-modular",
    ),
    ("modular", "semi", "semi modular | half modular | partly modular | partially modular"),
    ("modular", "not", "not modular | non modular | fixed cables | nonmodular | unmodular"),
    (
        "modular",
        "fully",
        "completely modular | modular ( fully ) | modular : full | modular , fully",
    ),
    ("modular", "not", "no modular cables | no modular | all cables attached | cables attached"),
    ("regulation", "independent", "independent | independently regulated | independent regulation"),
    ("regulation", "independent", "independent rails"),
    ("regulation", "group", "group | group regulated | group regulation | group rails"),
    ("standby", "", "5 vsb | + 5 vsb | 5 v sb | + 5 v sb | standby | 5 v standby | vsb"),
    ("combined", "", "combined | together | 3.3 v + 5 v | 5 v + 3.3 v | 3.3 v and 5 v"),
    ("combined", "", "5 v and 3.3 v | 3.3 v & 5 v | 5 v & 3.3 v | 5 v / 3.3 v | 3.3 v / 5 v"),
    ("max", "", "max | max. | maximum | total | total power | rated | rated power | output"),
    ("hold up", "", "hold up | hold-up | hold up time | holdup"),
    ("stands", "", "fan off | fan stands | fan stops | fan stopped | fan stands still | zero rpm"),
    ("stands", "", "fan off below | fan off under | fan off up to | fan off to | fan off until"),
    ("stands", "", "fan stands to | fan stands up to | fan stands until | fan stops below"),
    ("stands", "", "fan stops under | fan stands still below | fan stands still up to"),
    (
        "stands",
        "",
        "zero rpm below | zero rpm up to | zero rpm under | passive below | silent below",
    ),
    ("stands", "", "passive up to | semi passive up to | fanless below | fan stopped below"),
    ("made", "", "made | made in | built | built in | from | of | year | bought"),
    ("telemetry", "", "telemetry | telemetry lead | usb telemetry | digital"),
    ("fan side", "wide", "fan on the wide side | wide side fan"),
    ("family", "", "family"),
    ("warranty", "", "warranty | guarantee | of warranty"),
    # Cables.
    ("chained", "", "chained | daisy chained | daisy chain | pigtail | pigtails | in a row"),
    ("fixed", "", "fixed | hard wired | hardwired | captive | attached"),
    ("straight", "", "straight | straight for | keep straight"),
    ("then", "", "then | then every | every | then each | and then | plus"),
    (
        "between",
        "",
        "apart | between | between them | between plugs | further | further on | steps",
    ),
    ("first", "", "to the first | to first plug | to the first plug | first"),
    ("no", "", "no | not | without | or | maybe | either"),
    # Adapters.
    ("to", "", "to | onto | into | ->"),
    ("with", "", "with | of | each with | has"),
    ("from", "", "from | out of | fed by | with"),
    ("moulded", "yes", "moulded | molded"),
    ("moulded", "no", "crimped"),
    # Cases.
    ("case", "", "case | chassis | enclosure | tower | pc case | computer case"),
    ("size", "mid", "mid tower | midi tower | midi | mid-tower | midi-tower | mid size"),
    ("size", "large", "full tower | big tower | full-tower | big-tower | large tower"),
    ("size", "small", "mini tower | mini-tower | small case | compact case | cube"),
    ("told", "", "desktop"),
    ("told", "", "steel | aluminium | glass | tempered glass | window | mesh | black | white"),
    (
        "room",
        "supply-room",
        "supply | psu | supplies | supply room | power supply | psu room | psus | power supplies",
    ),
    ("room", "supply-room", "supply length | psu length | room for the supply | supplies up to"),
    (
        "room",
        "card-room",
        "card | cards | gpu | gpus | graphics card | graphics cards | card room | vga",
    ),
    ("room", "card-room", "card length | gpu length | gpu clearance | video cards | video card"),
    ("room", "panel", "panel | side panel | card height | height over the slots | to the panel"),
    ("room", "feet", "feet | feet height"),
    ("up to", "", "up to | max | maximum | at most | to | of | long | room | length | clearance"),
    (
        "bays",
        "bays-35",
        "3.5 inch bays | 3.5 bays | 3.5 inch bay | 3.5 inch | disk bays | hdd bays "
        "| hard disk bays",
    ),
    ("bays", "bays-35", "3.5 inch drives | hard drives | 3.5 inch drive bays | drive bays"),
    (
        "bays",
        "bays-25",
        "2.5 inch bays | 2.5 bays | 2.5 inch bay | 2.5 inch | ssd bays | ssd places",
    ),
    (
        "bays",
        "bays-25",
        "2.5 inch places | 2.5 inch drives | 2.5 inch drive bays | ssds | ssd mounts",
    ),
    (
        "slots",
        "",
        "slot | slots | expansion slots | card slots | slot places | pci slots | pcie slots",
    ),
    ("slots", "", "expansion slot | slot covers"),
    ("lead to", "usb2-leads", "usb 2 | usb2 | usb 2.0 | front usb 2 | usb 2 lead | usb 2 leads"),
    ("lead to", "usb3-leads", "usb 3 | usb3 | usb 3.0 | front usb 3 | usb 3 lead | usb 3 leads"),
    ("lead to", "usb3-leads", "usb 3.2 | usb a 3.0 | front usb 3.0"),
    ("lead to", "usbc-leads", "usb-c | usb c | type-c | front usb-c | usb type-c | front usb c"),
    ("lead to", "audio-leads", "audio | front audio | hd audio | headphone"),
    ("side", "front", "front | in front | at the front | front panel"),
    ("side", "top", "top | on top | at the top | roof"),
    ("side", "rear", "rear | back | at the rear | at the back"),
    ("side", "bottom", "bottom | at the bottom | floor"),
    ("side", "left", "left | left side"),
    ("side", "right", "right | right side"),
    ("vents", "", "vent | vents | opening | openings | mesh | air through | vented"),
    ("filtered", "", "filtered | with filter | with a filter | with filters | filter"),
    ("radiator", "", "radiator | radiators | rad"),
    ("supply at", "bottom", "supply at the bottom | supply below | psu at the bottom"),
    ("supply at", "top", "supply at the top | psu at the top"),
    ("supply at", "front", "supply in front | supply at the front | psu in front"),
    # What says nothing.
    (
        "filler",
        "",
        "a | an | the | my | our | of | for | has | have | is | it | its | in | on | at",
    ),
    ("filler", "", "and | & | as | each | per | pc | new | old | used | spare | computer | long"),
    ("filler", "", "length | takes | fits | room | supports | plug | grade | rated | rating | up"),
    ("filler", "", "with | each with | by | from | standing | type | kind | max | certified"),
    (
        "filler",
        "",
        "first | first at | the first at | combo | mixed | single | coded | setup | opening "
        "| efficiency | rails | rail | gauge | thick | printed | insulation | wide | high",
    ),
    *SAID_OF_ALL,
)
_PROCESSOR, _GRAPHICS = ("processor", "cpu"), ("graphics", "card", "pcie", "gpu", "vga")
#: A bare number behind a use: `board 24`, `card 6`.
BY_USE: dict[tuple[str, int], str] = {
    ("eps4+4", 8): "eps8",
    ("eps4+4", 4): "eps4",
    ("pcie6+2", 8): "pcie8",
    ("pcie6+2", 6): "pcie6",
    ("pcie6+2", 16): "16pin",
    ("atx20+4", 24): "atx24",
    ("atx20+4", 20): "atx20",
    ("sata", 4): "per4",
}


def _lexicon() -> Table:
    table: Table = {}
    for unit in UNITS:
        add(table, (unit,), "unit", unit)
    for role, value, spoken in _ROWS:
        add(table, phrases_of(spoken), role, value)
    for one, word, other in product(_PROCESSOR, ("or", "/", "+", "and"), _GRAPHICS):
        both = (f"{one} {word} {other}", f"{other} {word} {one}")
        add(table, both, "port", "processor-graphics")
    for connector in CONNECTORS.values():
        for word in connector.said_of_plug:
            if not word.isdigit():
                add(table, (word,), "plug", PLUG_OF[connector.kind])
    for grade in get_args(Grade):
        add(table, (grade,), "grade", grade)
    return table


#: Words of supplies, cables, adapters, cases.
KITS = Lexicon(_lexicon())
