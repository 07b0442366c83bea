"""How builders talk: what people call parts, feeds, figures. Tables only; the senses that they
give are put together in `lexicon`.

Every phrase is lower case, ` | ` between them; the plural of a name goes without saying.
"""

from __future__ import annotations

#: What it is → what people call it; the plural of each goes without saying.
KINDS_SAID: dict[str, str] = {
    "board": (
        "mother board | main board | mobo | system board | logic board | server board | mainboard"
    ),
    "processor": (
        "central processor | cpu chip | desktop chip | processor chip | apu | microprocessor | "
        "chip | proc"
    ),
    "memory": (
        "sticks of ram | sticks of memory | stick of ram | stick of memory | ram stick | "
        "memory stick | memory module | ram module | stick | dimms | sodimm | so-dimm | udimm"
    ),
    "memory registered": "rdimm",
    "registered": "ecc registered | reg ecc | buffered",
    "card": (
        "graphics card | video card | graphicscard | videocard | graphic card | "
        "display card | vga card | vga | graphics adapter | accelerator | compute card | "
        "compute accelerator | graphics board | video board | display adapter | 3d card | "
        "graphics processor | graphics processing unit | "
        "render card | workstation card | gfx | discrete graphics"
    ),
    "cards": "gpus",
    "disk": (
        "hard drive | harddrive | harddisk | hard disk | hard disc | spinner | "
        "spinning disk | spinning drive | spinning rust | mechanical drive | "
        "mechanical disk | platter drive | nas drive | nas disk | disk drive | data disk"
    ),
    "drive": "storage drive | storage device | mass storage | data storage | storage",
    "drive 2.5in": (
        "laptop hard drive | laptop hdd | notebook disk | laptop drive | laptop disk | "
        "notebook drive | 2.5in hdd | 2.5in disk | 2.5in hard drive"
    ),
    "disks": "hdds",
    "ssd": "solid state drive | solid-state drive | solid state disk | ssd drive | ssd disk",
    "ssd 2.5in": "sata ssd",
    "m.2": (
        "m.2 sata ssd | m.2 sata | nvme drive | nvme ssd | m.2 ssd | m.2 drive | m2 ssd | "
        "m2 drive | nvmes | m.2s | m2s | m.2 stick | gum-stick drive | gumstick drive"
    ),
    "optical": (
        "optical drive | dvd drive | dvd writer | dvd burner | dvd-rom | dvd-rw | cd drive | "
        "cd-rom | cd rom | cd burner | bluray drive | blu-ray drive | blu-ray burner | "
        "blu-ray writer | blu ray drive | blu ray writer | blu ray burner | blu ray | "
        "bd drive | bd writer | blu-ray | bluray | bd-rom | disc drive | disc burner | burner | cd"
    ),
    "floppy": "floppy disk drive | floppy drive | floppy disk | diskette drive | diskette | fdd",
    "fan": (
        "case fan | chassis fan | radiator fan | rad fan | "
        "system fan | cooling fan | cpu fan | processor fan | heatsink fan | ventilator | "
        "blower | rgb fan | argb fan | led fan | lit fan | pwm fan"
    ),
    "aio": (
        "all-in-one cooler | all in one cooler | all-in-one | all in one | liquid cooler | "
        "liquid cooling | water cooler | water cooling | watercooler | aio cooler | "
        "aio liquid cooler | closed loop cooler | closed-loop cooler | aio"
    ),
    "pump": (
        "water pump | loop pump | coolant pump | pump and reservoir | pump/reservoir | "
        "pump reservoir | pump-res combo | pump combo | pump/res | pump/res combo | "
        "circulation pump"
    ),
    "hub": (
        "fan hub | fan controller | fan splitter hub | pwm hub | pwm fan hub | light and fan hub"
    ),
    "hub header": "fan splitter | header splitter",
    "strip": (
        "light strip | led strip | rgb strip | light bar | led bar | lights | case lights | "
        "lighting | leds | led tape | lightbar"
    ),
    "strip 5v": "argb strip | addressable strip | addressable lights | argb",
    'load called:"Motor"': "stepper motor | stepper | servo motor",
    'load called:"Motor driver"': "motor driver | stepper driver | driver board",
    'load called:"Valve"': "valve | solenoid valve | solenoid",
    'load called:"Relay board"': "relay board",
    'load called:"Serial board"': "serial board",
    'load called:"Sensor board"': "sensor board",
    'load called:"I/O board"': "io board",
    'load called:"Interface board"': "interface board",
    "usb": "usb device | usb load | usb things | usb stuff",
}

#: Name of a plain card (fed by its slot, no spikes) → what people call it.
PLAIN_CARDS: dict[str, str] = {
    "Sound card": "sound card | soundcard | audio card | audio interface card",
    "Network card": (
        "network card | network adapter | ethernet card | lan card | nic | gbe card | 10g card | "
        "gigabit card"
    ),
    "WiFi card": (
        "wifi/bluetooth card | bluetooth card | m.2 wifi card | m.2 wifi | wifi m.2 | "
        "wifi card | wifi 5 card | wifi 6 card | wifi 6e card | wifi 7 card | wi-fi card | "
        "wireless card | wlan card"
    ),
    "Capture card": "capture card | video capture | frame grabber",
    "Tuner card": "tuner card | tuner | tv tuner | tv card",
    "Radio card": "radio card",
    "Storage controller": (
        "storage controller | disk controller | drive controller | sata controller | "
        "sata card | sata expansion card | raid card | raid controller | sas card | "
        "sas controller | hba | host bus adapter"
    ),
    "M.2 adapter": "nvme adapter | m.2 adapter | m.2 adapter card | nvme adapter card",
    "USB card": (
        "usb 2 card | usb 3 card | usb 3.0 card | usb c card | usb 3 pci express card | "
        "usb pci express card | usb card | usb expansion card | usb 3 expansion card | "
        "usb pcie card | pcie usb card"
    ),
    "Serial card": "serial card",
    "Parallel card": "parallel card",
    "Expansion card": (
        "expansion card | add-in card | firewire card | parallel port card | thunderbolt card | "
        "fibre channel card | i/o card"
    ),
}

#: Name of a thing that hangs on USB → what people call it.
USB_THINGS: dict[str, str] = {
    "USB hub": "usb hub | usb 2 hub | usb 3 hub | usb 3.0 hub | usb c hub",
    "USB stick": "usb stick | usb 2 stick | usb 3 stick | usb key | thumb drive | flash drive",
    "External drive": (
        "external drive | external hdd | external hard drive | external hard disk | "
        "external harddisk | usb hard disk | usb hdd | external disk | external ssd | "
        "usb drive | usb disk | usb hard drive"
    ),
    "USB sound card": (
        "usb sound card | usb soundcard | usb audio interface | audio interface | usb dac | "
        "external dac"
    ),
    "USB adapter": (
        "usb network adapter | usb ethernet adapter | usb wifi adapter | usb network card | "
        "usb lan adapter"
    ),
    "Webcam": "webcam",
    "Camera": "camera",
    "Keyboard": "keyboard",
    "Mouse": "mouse | mice",
    "Keyboard and mouse": "keyboard and mouse | mouse and keyboard",
    "Microphone": "microphone",
    "Headset": "headset",
    "Gamepad": "gamepad",
    "USB receiver": "usb dongle | dongle | usb receiver",
    "Card reader": "card reader | sd card reader | memory card reader | sd reader | microsd reader",
    "Front panel": "front panel | front-panel | front panel usb",
    "Charger": "phone charger | usb charger | charging port | usb charging port",
    "USB fan": "usb fan | usb powered fan | usb-powered fan",
    "USB light": "usb light | usb lamp",
}

#: What feeds a part, or that nothing but its slot does → how it is said.
FEEDS_SAID: dict[str, str] = {
    "slot-only": (
        "without any plug | without plugs | without any power | no power plug | "
        "no power connector | no power socket | no power cable | no extra power | "
        "no aux power | no external power | no pcie power | without power plug | "
        "without power connector | without a power connector | without a power plug | "
        "without extra power | no plug | no connector | slot powered | slot-powered | "
        "bus powered | bus-powered | powered by the slot | fed by the slot | slot only | "
        "from the slot only | only from the slot | by the slot only | no power | "
        "powered from the slot | slot power only"
    ),
    "headers": "fan headers",
    "header": (
        "pwm header | fan header | cpu fan header | pump header | board header | "
        "cpu header | processor header | pump header on the board | motherboard header | "
        "on a header | on headers | on the board | on the motherboard | from the board | "
        "off the board | "
        "4-pin pwm | 4 pin pwm | pwm 4-pin | pwm 4 pin | 3-pin | 3 pin | pwm"
    ),
    "fan": "dc fan",
    "sata": (
        "sata powered | sata-powered | powered by sata | sata power | power from sata | sata plug"
    ),
    "peripheral": (
        "peripheral plug | 4-pin peripheral | 4 pin peripheral | peripheral 4-pin | lp4 | "
        "old 4-pin | old 4 pin | big 4-pin | big 4 pin | large 4-pin | large 4 pin | "
        "old drive plug | old style drive plug"
    ),
    "16pin": "12vhpwr | 12v-2x6 | 12v 2x6 | 16-pin | 16 pin | 12+4 pin | 12+4-pin | new 16 pin",
    "": (
        "cpu power | cpu plug | cpu power plug | cpu power connector | processor power | "
        "processor plug | cpu socket | cpu connector"
    ),
    "no-cpu": "no cpu plug | no processor plug | no cpu power | no processor socket",
}

#: The line's own word for a figure → how it is said.
FIGURES_SAID: dict[str, str] = {
    "power-disable": "power disable | power-disable feature",
    "start": (
        "spin-up | spin up | spinup | spin-up current | spin up current | start-up | "
        "startup | start up | start current | startup current | start-up current | peak current | "
        "peak at start | when it starts | when starting | inrush | inrush current | surge | "
        "at spin-up | at start | peak | starting | spinning up"
    ),
    "main": (
        "tdp | thermal design power | tgp | tbp | board power | total board power | "
        "graphics power | total graphics power | base power | processor base power | "
        "package power | sustained | pl1 | long limit | full load | under load | at load | load | "
        "under full load | "
        "peak board power | max board power | maximum board power | "
        "at full load | at full | rated current | current draw | power draw | "
        "power consumption | max power | maximum power | typical power | rated power | "
        "input current | operating current | max current | read/write | active | running | "
        "operating power"
    ),
    "short": (
        "ppt | for a short time | short time | pl2 | turbo | turbo power | max turbo power | "
        "maximum turbo power | when boosting | while boosting | boost | boost power | "
        "short limit | short term | short-term"
    ),
    "idle": "at idle | idling | idle power",
    "standby": "standby power",
    "floor": (
        "recommended psu | recommended supply | minimum psu | minimum supply | min psu | "
        "minimum system power | required psu | needs a psu of | asks for a supply of"
    ),
    "slot": "from the slot | by the slot",
}

#: Kind → what names a figure that it alone has: the line speaks of it, whatever else it says.
FIGURES_OF_ONE: dict[str, tuple[str, ...]] = {
    "card": ("board power", "graphics power", "tgp", "tbp"),
    "processor": ("processor base power", "base power", "turbo power"),
}

#: What draws of an air cooler is its fan.
AIR_COOLERS = (
    "air cooler | cooler air | tower cooler | cpu air cooler | cpu tower cooler | "
    "top-flow cooler | downdraft cooler | processor air cooler | dual tower cooler"
)
#: What people call a hub for lights.
LIGHT_HUBS = (
    "light controller | lights controller | lights hub | light hub | lighting hub | "
    "lighting controller | led controller | led hub | rgb controller | rgb hub | argb hub | "
    "argb controller"
)

#: Words that say nothing of a part.
FILLERS = (
    "a an the my our some of has have having needs need takes take uses use using that which "
    "is are it its to from in into at per new old used spare second-hand please add put plus "
    "also there i want got get me this these them was were will be not-yet installed type "
    "model model: name name: part part: spec specs standard normal ordinary plain-old regular "
    "typical fitted plugged connected powered fed running draws draw drawing consumes "
    "consumption pulling pulls rated-at rating rated typically around piece item items unit "
    "units qty quantity connectors connector plugs plug sockets socket inputs input cable "
    "cables leads lead extra aux auxiliary supplementary external-power kit set pack bundle "
    "dc vdc nominal operating electrical current voltage power-consumption power input-power "
    "max. maximum max min minimum peak-power average avg load-power each apiece more noise "
    "level speed airflow size dimension dimensions width length colour color cache read write "
    "weight"
)
#: What a list writes before a colon that is no kind of part by itself.
CATEGORIES = (
    "storage | cooling | other | misc | extras | accessories | peripherals | expansion | custom | "
    "part | item | drives | boot | data | case cooling | lighting | add-in"
)
#: Words that describe a part and say nothing of its draw: they go behind its name.
DESCRIPTIVE = (
    "black white grey gray silver red blue green pink purple gold beige transparent clear rgb "
    "argb pwm quiet silent low-noise high-airflow high-pressure static-pressure atx matx "
    "m-atx micro-atx microatx mini-itx itx eatx e-atx dtx mini-dtx flex-atx unbuffered ecc "
    "non-ecc low-profile full-height half-height dual-slot single-slot "
    "triple-slot blower open-air passive fanless overclockable unlocked nas enterprise "
    "surveillance desktop server workstation cmr smr tlc qlc slc mlc dram-less dramless gen3 "
    "gen4 gen5 form-2280 form-2260 2242 form-2230 form-22110 heatsink reverse slim thick thin "
    "hot-swap hotswap shucked refurbished modular tower dual-tower"
)
#: Units that are said of a part and not of its draw: they go behind its name with their
#: number.
OTHER_UNITS = (
    "db dba db(a) cfm m3/h mmh2o mm-h2o kg g cm m hz khz gigabit megabit gbit gbit/s gbe gb/s "
    "mb/s mbit/s gt/s mb mib gib kb bit nm l hours tbw iops ms keys threads thread metre metres "
    "meter meters dpi k gbps mbps mhz rpm %rh year years leds led lights heads phases phase"
)

#: What a part with several names is → the kinds that its names say.
MEANT: dict[str, str] = {
    "fan": "fan strip | fan processor | fan board | board fan",
    "memory": "memory strip",
    "card": "card strip | card fan | card memory | card memory fan | card usb",
    "processor": "processor memory | processor strip",
    "hub": (
        "fan hub strip | hub strip | hub card | hub board | fan hub | hub pump | card hub | "
        "fan pump hub"
    ),
    "usb": (
        "hub usb | usb fan | usb strip | usb disk | usb drive | usb ssd | usb ssd drive | fan usb"
    ),
    "disk": "drive disk",
    "ssd": "drive ssd | ssd disk",
    "m2": "drive m2 | drive m2 ssd | m2 ssd | disk m2 | card m2 | card m2 ssd",
    "board": (
        "board m2 | board memory | board processor | board processor memory | board card | "
        "board usb | board strip"
    ),
    "optical": "optical drive | disk optical",
    "floppy": "floppy drive | disk floppy | disk drive floppy",
    "pump": "pump strip | pump board",
    "cooler": "cooler strip | cooler usb",
}

#: Where something goes that is no part of the tally → why it is none.
PLACES: dict[str, str] = {
    "supply": "A supply is chosen on the Supply page, or goes into the drawer.",
    "case": "A case is chosen on the Parts page, while no part is in hand.",
    "cable": "A cable comes with its supply, or goes into the drawer.",
    "adapter": "An adapter goes into the drawer, or onto its socket in the Loom.",
    "extension": "An extension goes into the drawer, or onto its socket in the Loom.",
    "bracket": "A bracket goes into the drawer, or is taken on the Supply page.",
}
#: Why something is no part → where it goes, if anywhere.
GOES: dict[str, str] = {why: place for place, why in PLACES.items()}
#: Why something is no part of the tally → what people call it.
ELSEWHERE: dict[str, str] = {
    PLACES["supply"]: ("psu | supply | power supply | power supply unit"),
    PLACES["case"]: "case | chassis | enclosure",
    "A monitor has a supply of its own: it draws nothing here.": "monitor",
    "A display has a supply of its own: it draws nothing here.": "display",
    "A screen has a supply of its own: it draws nothing here.": "screen",
    "A printer has a supply of its own: it draws nothing here.": "printer",
    "A router has a supply of its own: it draws nothing here.": "router",
    "Speakers have a supply of their own, or hang on USB: say usb and their watts.": "speakers",
    "A UPS stands before the supply: it draws nothing here.": "ups",
    "It draws nothing.": (
        "water block | cpu block | gpu block | processor block | block | fittings | tubing | "
        "coolant | "
        "hdmi cable | data cable | network cable | display cable | video cable | usb cable | "
        "sata data cable | ribbon cable | "
        "thermal paste | paste | bracket | windows | passive cooler | passive heatsink"
    ),
    "They draw nothing.": "screws",
    "It draws nothing by itself.": "riser | pcie riser",
    "A drive cage: add its drives here, the cage in the Loom.": "backplane | drive cage",
    PLACES["cable"]: (
        "sata cable | sata power cable | power cable | pcie cable | eps cable | board cable | "
        "processor cable | cpu cable | graphics cable | 8 pin cable | 16 pin cable | "
        "24 pin cable | peripheral cable | supply cable | cable | cables | power lead | sata lead"
    ),
    PLACES["adapter"]: (
        "adapter | adaptor | splitter | sata splitter | power splitter | y cable | y piece | "
        "sata y cable"
    ),
    PLACES["extension"]: (
        "extension | extension cable | sata extension | cpu extension | 24 pin extension"
    ),
    PLACES["bracket"]: (
        "sfx bracket | supply bracket | mounting bracket | sfx to atx bracket | atx bracket"
    ),
}
