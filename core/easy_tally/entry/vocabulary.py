"""How builders talk: other words for what the line's own words say. Tables only; read by `talk`.

Every phrase is lower case. Longer phrases are read before shorter ones, and never inside quotes.
"""

from __future__ import annotations


def _words(text: str) -> frozenset[str]:
    return frozenset(text.split())


#: Number words. `a` and `an` say one, which is the usual count anyway.
NUMBERS: dict[str, int] = {
    "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8,
    "nine": 9, "ten": 10, "eleven": 11, "twelve": 12, "thirteen": 13, "fourteen": 14,
    "fifteen": 15, "sixteen": 16, "eighteen": 18, "twenty": 20, "half a dozen": 6, "a dozen": 12,
    "dozen": 12, "a couple of": 2, "couple of": 2, "a pair of": 2, "pair of": 2, "pairs of": 2,
    "both": 2, "thirty": 30, "forty": 40, "fifty": 50, "sixty": 60, "hundred": 100,
    "a hundred": 100,
}  # fmt: skip
_ONES = ("one", "two", "three", "four", "five", "six", "seven", "eight", "nine")
#: `twenty-four`, `thirty two`.
NUMBERS |= {
    f"{ten}{mark}{one}": NUMBERS[ten] + NUMBERS[one]
    for ten in ("twenty", "thirty", "forty", "fifty", "sixty")
    for one in _ONES
    for mark in ("-", " ")
}
#: Words that say how many of what follows, of sockets and of ranks of a kit.
TIMES: dict[str, int] = {
    "single": 1, "dual": 2, "double": 2, "twin": 2, "triple": 3, "quad": 4, "quadruple": 4,
}  # fmt: skip

#: What a list writes before a colon that is no kind of part by itself.
CATEGORIES: frozenset[str] = frozenset({
    "storage", "cooling", "other", "misc", "extras", "accessories", "peripherals", "expansion",
    "custom", "part", "item", "drives", "boot", "data", "case cooling", "lighting", "add-in",
})  # fmt: skip

#: Words that say nothing of a part.
FILLERS: frozenset[str] = _words(
    """a an the my our some with and of for has have having needs need takes take uses use using
    that which is are it its to from in into on at by per new old used spare second-hand
    please add put plus also there i want got get me this these them was were will be not-yet
    installed internal type model model: name name: part part: spec specs standard normal
    ordinary plain-old regular typical fitted plugged connected powered fed running draws draw
    drawing consumes consumption pulling pulls rated-at rating rated typically around piece
    item items unit units qty quantity connectors connector plugs plug sockets socket inputs
    input cable cables leads lead extra aux auxiliary supplementary external-power kit set
    pack bundle dc vdc nominal operating electrical current voltage power-consumption power
    input-power max. maximum max min minimum peak-power average avg load-power each apiece more
    noise level speed airflow size
    dimension dimensions width length colour color cache read write weight"""
)

#: Phrase → what the line's own words say for it.
_KINDS: dict[str, str] = {
    # boards
    "mother board": "board", "main board": "board", "mobo": "board", "system board": "board",
    "logic board": "board", "server board": "board", "mainboard": "board",
    # processors
    "central processor": "processor", "cpu chip": "processor", "desktop chip": "processor",
    "processor chip": "processor", "apu": "processor", "microprocessor": "processor",
    "chip": "processor",
    # memory
    "sticks of ram": "memory", "sticks of memory": "memory", "stick of ram": "memory",
    "stick of memory": "memory", "ram sticks": "memory", "ram stick": "memory",
    "memory sticks": "memory", "memory stick": "memory", "memory modules": "memory",
    "memory module": "memory", "ram modules": "memory", "ram module": "memory",
    "sticks": "memory", "stick": "memory", "dimms": "memory", "sodimm": "memory",
    "so-dimm": "memory", "udimm": "memory", "rdimm": "memory registered",
    "ecc registered": "registered", "reg ecc": "registered", "buffered": "registered",
    # graphics cards
    "graphics cards": "cards", "graphics card": "card", "video cards": "cards",
    "video card": "card", "graphicscard": "card", "videocard": "card", "graphic card": "card",
    "display card": "card", "gpus": "cards",
    "vga card": "card", "vga": "card", "graphics adapter": "card", "accelerator": "card",
    "compute card": "card", "render card": "card", "workstation card": "card", "gfx": "card",
    "discrete graphics": "card",
    # drives
    "hard drives": "disks", "hard drive": "disk", "harddrive": "disk", "harddisk": "disk",
    "hard disks": "disks", "hard disk": "disk",
    "laptop hard drive": "drive 2.5in", "laptop hdd": "drive 2.5in", "notebook disk": "drive 2.5in",
    "hard disc": "disk", "spinner": "disk", "spinners": "disks",
    "spinning disk": "disk", "spinning drive": "disk",
    "spinning rust": "disk", "mechanical drive": "disk", "mechanical disk": "disk",
    "platter drive": "disk", "hdds": "disks", "nas drive": "disk", "nas disk": "disk",
    "disk drives": "disks", "disk drive": "disk", "data disk": "disk",
    "solid state drives": "ssds", "solid state drive": "ssd", "solid-state drive": "ssd",
    "solid state disk": "ssd", "sata ssds": "ssds 2.5in", "sata ssd": "ssd 2.5in",
    "ssd drives": "ssds", "ssd drive": "ssd", "ssd disk": "ssd",
    "m.2 sata ssd": "m.2", "m.2 sata": "m.2", "nvme drives": "m.2", "nvme drive": "m.2",
    "nvme ssds": "m.2", "nvme ssd": "m.2", "m.2 drives": "m.2", "m.2 ssds": "m.2",
    "m.2 ssd": "m.2", "m.2 drive": "m.2", "m2 ssd": "m.2", "m2 drive": "m.2", "nvmes": "m.2",
    "m.2 stick": "m.2", "gum-stick drive": "m.2", "gumstick drive": "m.2",
    "laptop drive": "drive 2.5in", "laptop disk": "drive 2.5in", "notebook drive": "drive 2.5in",
    "2.5in hdd": "drive 2.5in", "2.5in disk": "drive 2.5in", "2.5in hard drive": "drive 2.5in",
    "optical drive": "optical", "dvd drive": "optical", "dvd writer": "optical",
    "dvd burner": "optical", "dvd-rom": "optical", "dvd-rw": "optical", "cd drive": "optical",
    "cd-rom": "optical", "cd rom": "optical", "cd burner": "optical", "bluray drive": "optical",
    "blu-ray drive": "optical", "blu-ray burner": "optical", "blu-ray writer": "optical",
    "blu-ray": "optical", "bluray": "optical", "bd-rom": "optical", "disc drive": "optical",
    "disc burner": "optical", "burner": "optical", "cd": "optical",
    "floppy disk drive": "floppy", "floppy drive": "floppy", "floppy disk": "floppy",
    "diskette drive": "floppy", "diskette": "floppy", "fdd": "floppy",
    # fans
    "case fans": "fans", "case fan": "fan", "chassis fans": "fans", "chassis fan": "fan",
    "radiator fans": "fans", "radiator fan": "fan", "rad fans": "fans", "rad fan": "fan",
    "intake fans": "fans", "intake fan": "fan", "exhaust fans": "fans", "exhaust fan": "fan",
    "system fans": "fans", "system fan": "fan", "cooling fans": "fans", "cooling fan": "fan",
    "cpu fan": "fan", "processor fan": "fan", "heatsink fan": "fan", "ventilator": "fan",
    "ventilators": "fans", "blower": "fan", "blowers": "fans", "rgb fans": "fans",
    "rgb fan": "fan", "argb fans": "fans", "argb fan": "fan", "led fans": "fans",
    "led fan": "fan", "lit fan": "fan",
    # coolers and pumps
    "all-in-one cooler": "aio", "all in one cooler": "aio", "all-in-one": "aio",
    "all in one": "aio",
    "liquid cooler": "aio", "liquid cooling": "aio", "water cooler": "aio",
    "water cooling": "aio", "watercooler": "aio", "aio cooler": "aio",
    "aio liquid cooler": "aio", "closed loop cooler": "aio", "closed-loop cooler": "aio",
    "aio": "aio", "water pump": "pump", "loop pump": "pump", "coolant pump": "pump",
    "pump and reservoir": "pump", "pump/reservoir": "pump", "pump reservoir": "pump",
    "pump-res combo": "pump", "pump combo": "pump", "pump/res": "pump",
    "pump/res combo": "pump", "circulation pump": "pump",
    # hubs
    "fan hubs": "hubs", "fan hub": "hub", "fan controller": "hub", "fan splitter hub": "hub",
    "pwm hub": "hub", "pwm fan hub": "hub", "pwm fan": "fan", "fan controllers": "hubs",
    "light and fan hub": "hub", "fan splitter": "hub header", "header splitter": "hub header",
    # lights
    "light strips": "strips", "light strip": "strip", "led strips": "strips",
    "led strip": "strip", "argb strips": "strips 5v", "argb strip": "strip 5v",
    "addressable strip": "strip 5v", "addressable lights": "strip 5v", "argb": "strip 5v",
    "rgb strips": "strips", "rgb strip": "strip", "light bar": "strip", "led bar": "strip",
    "lights": "strip", "case lights": "strip", "lighting": "strip", "leds": "strip",
    "led tape": "strip", "lightbar": "strip", "light bars": "strips", "lightbars": "strips",
    # what is called a board and is none
    "relay board": 'load called:"Relay board"', "sensor board": 'load called:"Sensor board"',
    "io board": 'load called:"I/O board"', "interface board": 'load called:"Interface board"',
    # what hangs on USB
"usb device": "usb", "usb devices": "usb", "usb load": "usb",
    "usb things": "usb", "usb stuff": "usb",
}  # fmt: skip
#: Name of a plain card (fed by its slot, no spikes) → what people call it.
PLAIN_CARDS: dict[str, tuple[str, ...]] = {
    "Sound card": ("sound card", "soundcard", "audio card", "audio interface card"),
    "Network card": ("network card", "network adapter", "ethernet card", "lan card", "nic"),
    "WiFi card": (
        "wifi/bluetooth card",
        "bluetooth card",
        "m.2 wifi card",
        "m.2 wifi",
        "wifi m.2",
        "wifi card",
        "wi-fi card",
        "wireless card",
        "wlan card",
    ),
    "Capture card": ("capture card", "video capture", "frame grabber"),
    "Tuner card": ("tuner card", "tuner", "tv tuner", "tv card"),
    "Radio card": ("radio card",),
    "Storage controller": (
        "storage controller",
        "disk controller",
        "drive controller",
        "sata controller",
        "sata card",
        "raid card",
        "raid controller",
        "sas card",
        "sas controller",
        "hba",
        "host bus adapter",
    ),
    "M.2 adapter": ("nvme adapter", "m.2 adapter", "m.2 adapter card", "nvme adapter card"),
    "USB card": ("usb card", "usb expansion card", "usb pcie card", "pcie usb card"),
    "Serial card": ("serial card",),
    "Parallel card": ("parallel card",),
    "Expansion card": ("expansion card", "add-in card"),
}

#: What draws of an air cooler is its fan.
AIR_COOLERS = (
    "air cooler", "tower cooler", "cpu air cooler", "cpu tower cooler", "top-flow cooler",
    "downdraft cooler", "processor air cooler", "dual tower cooler",
)  # fmt: skip

#: Name of a thing that hangs on USB → what people call it.
USB_THINGS: dict[str, tuple[str, ...]] = {
    "USB hub": ("usb hub", "internal usb hub"),
    "USB stick": ("usb stick", "usb key", "thumb drive", "flash drive"),
    "External drive": (
        "external drive",
        "external hdd",
        "external hard drive",
        "external hard disk",
        "external harddisk",
        "usb hard disk",
        "usb hdd",
        "external disk",
        "external ssd",
        "usb drive",
        "usb disk",
        "usb hard drive",
    ),
    "USB sound card": (
        "usb sound card",
        "usb soundcard",
        "usb audio interface",
        "audio interface",
        "usb dac",
        "external dac",
    ),
    "USB adapter": (
        "usb network adapter",
        "usb ethernet adapter",
        "usb wifi adapter",
        "usb network card",
        "usb lan adapter",
    ),
    "Webcam": ("webcam",),
    "Camera": ("camera",),
    "Keyboard": ("keyboard",),
    "Mouse": ("mouse", "mice"),
    "Keyboard and mouse": ("keyboard and mouse", "mouse and keyboard"),
    "Microphone": ("microphone",),
    "Headset": ("headset",),
    "Gamepad": ("gamepad",),
    "USB receiver": ("usb dongle", "dongle", "usb receiver"),
    "Card reader": ("card reader", "sd card reader", "memory card reader"),
    "Front panel": ("front panel", "front-panel", "front panel usb"),
    "Charger": ("phone charger", "usb charger", "charging port", "usb charging port"),
    "USB fan": ("usb fan", "usb powered fan", "usb-powered fan"),
    "USB light": ("usb light", "usb lamp"),
}

#: What people call a hub for lights.
LIGHT_HUBS: tuple[str, ...] = (
    "light controller",
    "lights controller",
    "lights hub",
    "light hub",
    "lighting hub",
    "lighting controller",
    "led controller",
    "led hub",
    "rgb controller",
    "rgb hub",
    "argb controller",
    "argb hub",
)
_LIGHT_HUB = (
    'hub outputs:out-1=lights-5v,out-2=lights-5v,out-3=lights-5v,out-4=lights-5v called:"Light hub"'
)
#: Phrase → what the line's own words say for it; `called:` is the name that goes with it where the
#: builder gives none.
KIND_PHRASES: dict[str, str] = {
    **_KINDS,
    **{p: f'card slot-only plain called:"{n}"' for n, of in PLAIN_CARDS.items() for p in of},
    **dict.fromkeys(AIR_COOLERS, 'fan called:"Air cooler"'),
    **{p: f'usb called:"{n}"' for n, of in USB_THINGS.items() for p in of},
    **dict.fromkeys(LIGHT_HUBS, _LIGHT_HUB),
}

#: Phrase → words that say what feeds a part, or that nothing but its slot does.
FEED_PHRASES: dict[str, str] = {
    "without any plug": "slot-only", "without plugs": "slot-only",
    "without any power": "slot-only", "no power plug": "slot-only", "no power plugs": "slot-only",
    "no power connector": "slot-only",
    "no power connectors": "slot-only", "no power socket": "slot-only",
    "no power sockets": "slot-only", "no power cable": "slot-only",
    "no extra power": "slot-only", "no aux power": "slot-only", "no external power": "slot-only",
    "no pcie power": "slot-only", "without power plug": "slot-only",
    "without power connector": "slot-only", "without a power connector": "slot-only",
    "without a power plug": "slot-only", "without extra power": "slot-only",
    "no plug": "slot-only", "no plugs": "slot-only", "no connector": "slot-only",
    "slot powered": "slot-only", "slot-powered": "slot-only", "bus powered": "slot-only",
    "bus-powered": "slot-only", "powered by the slot": "slot-only", "fed by the slot": "slot-only",
    "slot only": "slot-only", "from the slot only": "slot-only", "only from the slot": "slot-only",
    "by the slot only": "slot-only",
    "powered from the slot": "slot-only", "slot power only": "slot-only",
    "fan headers": "headers", "pwm header": "header", "fan header": "header",
    "cpu fan header": "header", "pump header": "header", "board header": "header",
    "cpu header": "header", "processor header": "header",
    "pump header on the board": "header",
    "motherboard header": "header", "on a header": "header", "on headers": "header",
    "on the board": "header", "from the board": "header", "off the board": "header",
    "4-pin pwm": "header", "4 pin pwm": "header", "pwm 4-pin": "header", "pwm 4 pin": "header",
    "3-pin": "header", "3 pin": "header", "pwm": "header", "dc fan": "fan",
    "sata powered": "sata", "sata-powered": "sata", "powered by sata": "sata",
    "sata power": "sata", "power from sata": "sata", "with sata": "sata", "sata plug": "sata",
    "peripheral plug": "peripheral", "4-pin peripheral": "peripheral",
    "4 pin peripheral": "peripheral", "peripheral 4-pin": "peripheral", "lp4": "peripheral",
    "old 4-pin": "peripheral", "old 4 pin": "peripheral", "big 4-pin": "peripheral",
    "big 4 pin": "peripheral", "large 4-pin": "peripheral", "large 4 pin": "peripheral",
    "old drive plug": "peripheral", "old style drive plug": "peripheral",
    "12vhpwr": "16pin", "12v-2x6": "16pin", "12v 2x6": "16pin", "16-pin": "16pin",
    "16 pin": "16pin", "12+4 pin": "16pin", "12+4-pin": "16pin", "new 16 pin": "16pin",
    "cpu power": "", "cpu plug": "", "cpu power plug": "", "cpu power connector": "",
    "processor power": "", "processor plug": "", "cpu socket": "", "cpu connector": "",
    "no cpu plug": "no-cpu", "no processor plug": "no-cpu", "no cpu power": "no-cpu",
    "no processor socket": "no-cpu",
}  # fmt: skip

#: Phrase → the line's own word for a figure. What it names follows it, or stands before it.
FIGURE_PHRASES: dict[str, str] = {
    "power disable": "power-disable", "power-disable feature": "power-disable",
    "spin-up": "start", "spin up": "start", "spinup": "start", "spin-up current": "start",
    "spin up current": "start", "start-up": "start", "startup": "start", "start up": "start",
    "start current": "start", "peak current": "start", "at spin-up": "start",
    "at start": "start", "peak": "start", "starting": "start",
    "tdp": "main", "thermal design power": "main", "tgp": "main", "tbp": "main",
    "board power": "main", "total board power": "main", "graphics power": "main",
    "total graphics power": "main", "base power": "main", "processor base power": "main",
    "package power": "main", "sustained": "main", "pl1": "main", "long limit": "main",
    "full load": "main", "under load": "main", "at load": "main", "at full load": "main",
    "at full": "main", "ppt": "short", "for a short time": "short", "short time": "short",
    "pl2": "short", "turbo": "short", "turbo power": "short", "max turbo power": "short",
    "maximum turbo power": "short", "boost": "short", "boost power": "short",
    "short limit": "short", "short term": "short", "short-term": "short",
    "at idle": "idle", "idling": "idle", "idle power": "idle", "standby power": "standby",
    "recommended psu": "floor", "recommended supply": "floor", "minimum psu": "floor",
    "minimum supply": "floor", "min psu": "floor", "minimum system power": "floor",
    "required psu": "floor", "needs a psu of": "floor", "asks for a supply of": "floor",
    "from the slot": "slot", "by the slot": "slot",
    "rated current": "main", "current draw": "main", "power draw": "main",
    "power consumption": "main", "max power": "main", "maximum power": "main",
    "typical power": "main", "rated power": "main", "input current": "main",
    "operating current": "main", "max current": "main", "read/write": "main", "active": "main",
    "running": "main", "operating power": "main",
}  # fmt: skip

#: Words that describe a part and say nothing of its draw: they go behind its name.
DESCRIPTIVE: frozenset[str] = _words(
    """black white grey gray silver red blue green pink purple gold beige transparent clear rgb
    argb pwm quiet silent low-noise high-airflow high-pressure static-pressure atx matx m-atx
    micro-atx microatx mini-itx itx eatx e-atx dtx mini-dtx flex-atx unbuffered ecc non-ecc
    cl30 cl36 cl16 low-profile full-height half-height dual-slot single-slot triple-slot
    blower open-air passive fanless overclockable unlocked nas enterprise surveillance desktop
    server workstation cmr smr tlc qlc slc mlc dram-less dramless gen3 gen4 gen5 form-2280
    form-2260 2242
    form-2230 form-22110 heatsink reverse slim thick thin hot-swap hotswap shucked refurbished
    modular
    tower dual-tower"""
)

#: Units that are said of a part and not of its draw: they go behind its name with their number.
OTHER_UNITS: tuple[str, ...] = (
    "db", "dba", "db(a)", "cfm", "m3/h", "mmh2o", "mm-h2o", "kg", "g", "cm", "m", "hz", "khz",
    "gigabit", "megabit", "gbit", "gbit/s", "gbe", "gb/s", "mb/s", "mbit/s", "gt/s", "mb", "mib",
    "gib", "kb", "bit",
    "nm", "l", "hours", "tbw", "iops", "ms", "slots", "slot", "keys", "threads", "thread",
    "ports", "port", "dpi", "k", "gbps", "mbps", "mhz", "rpm", "%rh", "year", "years", "leds",
    "led", "lights", "heads",
)  # fmt: skip

#: What a part with two names is: the kinds that were said → the one that is meant.
MEANT: dict[frozenset[str], str] = {
    frozenset(said.split()): kind
    for said, kind in (
        ("fan strip", "fan"), ("memory strip", "memory"), ("card strip", "card"),
        ("card fan", "card"), ("card memory", "card"), ("card memory fan", "card"),
        ("processor memory", "processor"),
        ("fan processor", "fan"), ("fan board", "fan"), ("fan hub strip", "hub"),
        ("hub strip", "hub"), ("hub usb", "usb"), ("hub card", "hub"), ("hub board", "hub"),
        ("fan hub", "hub"), ("hub pump", "hub"), ("drive disk", "disk"), ("drive ssd", "ssd"),
        ("drive m2", "m2"), ("drive m2 ssd", "m2"), ("m2 ssd", "m2"), ("disk m2", "m2"),
        ("board m2", "board"), ("board memory", "board"), ("board processor", "board"),
        ("board processor memory", "board"), ("board card", "board"), ("board usb", "board"),
        ("board strip", "board"), ("optical drive", "optical"), ("floppy drive", "floppy"),
        ("disk floppy", "floppy"), ("disk drive floppy", "floppy"), ("disk optical", "optical"),
        ("card m2", "m2"), ("card m2 ssd", "m2"), ("card usb", "card"), ("usb fan", "usb"),
        ("usb strip", "usb"), ("usb disk", "usb"), ("usb drive", "usb"), ("usb ssd", "usb"),
        ("usb ssd drive", "usb"), ("pump strip", "pump"), ("cooler strip", "cooler"),
        ("cooler usb", "cooler"), ("fan usb", "usb"), ("pump board", "pump"),
        ("ssd disk", "ssd"), ("card hub", "hub"), ("processor strip", "processor"),
        ("fan pump hub", "hub"), ("board fan", "fan"),
    )
}  # fmt: skip

#: What is no part of the tally, and why: said where a line speaks of it.
ELSEWHERE: dict[str, str] = {
    "psu": "The supply is chosen on the Supply page.",
    "supply": "The supply is chosen on the Supply page.",
    "power supply": "The supply is chosen on the Supply page.",
    "power supply unit": "The supply is chosen on the Supply page.",
    "case": "The case is chosen on the Parts page, while no part is in hand.",
    "chassis": "The case is chosen on the Parts page, while no part is in hand.",
    "enclosure": "The case is chosen on the Parts page, while no part is in hand.",
    "monitor": "A monitor has a supply of its own: it draws nothing here.",
    "display": "A display has a supply of its own: it draws nothing here.",
    "screen": "A screen has a supply of its own: it draws nothing here.",
    "printer": "A printer has a supply of its own: it draws nothing here.",
    "router": "A router has a supply of its own: it draws nothing here.",
    "speakers": "Speakers have a supply of their own, or hang on USB: say usb and their watts.",
    "ups": "A UPS stands before the supply: it draws nothing here.",
    "thermal paste": "It draws nothing.", "paste": "It draws nothing.",
    "screws": "They draw nothing.",
    "riser": "It draws nothing by itself.", "pcie riser": "It draws nothing by itself.",
    "bracket": "It draws nothing.", "windows": "It draws nothing.",
    "passive cooler": "It draws nothing.", "passive heatsink": "It draws nothing.",
    "backplane": "A drive cage: add its drives, and feed each by its plug.",
    "drive cage": "Add its drives; the cage itself draws nothing.",
}  # fmt: skip
#: Largest bare number that is still an amount of a kind, and the smallest; beyond, it says
#: something else (a form, a model). Source: the field.
PLAUSIBLE: dict[str, tuple[float, float]] = {
    "processor": (10, 1000), "card": (3, 1000), "memory": (0.5, 20), "m2": (0.5, 30),
    "fan": (0.01, 5), "pump": (0.01, 5), "strip": (0.01, 10), "usb": (0.1, 100), "hub": (0.1, 20),
}  # fmt: skip
