"""One thing said in every way that people say it: figure, sockets, count, kind, one of them at a
time. A line is taken as what it means, or asked about with that among the answers: never taken as
anything else."""

from __future__ import annotations

import unittest

from easy_tally.entry import parse, say
from easy_tally.entry.heard import figures_of
from easy_tally.things.parts import Part

VERBS = (
    "draws|uses|takes|pulls|needs|eats|consumes|wants|requires|burns|sips|runs at|is rated at"
    "|is rated for|is specified at|comes to|clocks in at|tops out at|maxes out at|averages|hits"
    "|goes up to|can draw|may draw|will draw|drawing|using|pulling|taking|consuming"
    "|with a draw of|with a consumption of|consumption|of|at|@|up to|max|max.|maximum|flat out"
    "|at full tilt|under stress|in games|while gaming|rendering|at load|under load|stock|nominal"
    "|typ.|typically|on average|running at|reads|is|has|gets|says|lists|on the label|per spec"
    "|according to the maker|claimed|advertised|quoted|total power|power draw of|a power rating of"
    "|rated|rated power|load|demand|budget of|set to|configured for|which draws|that uses"
    "|and draws|and it takes|it needs|each drawing|which is|being rated"
)
BEHIND = (
    "continuous|sustained|constant|max|maximum|typical|nominal|average|total|each|all in|tops"
    "|at most|at load|under load|full load|at full load|in use|when busy|in operation|running"
    "|on the label|as stated|per the label|board power|draw|of power|power|consumption|of heat"
    "|on average"
)
#: What is said with the figure left open → figures → what it means.
FIGURES = (
    ("card {}, 2x8 pin", "250 W", "card 250w 2x8pin"),
    ("processor {}", "105 W", "processor 105w"),
    ("120mm fan {}", "0.2 A", "fan 120mm 0.2a"),
)
#: A line with a piece left open → what the whole means → the ways to say the piece.
WAYS: tuple[tuple[str, str, str], ...] = (
    (
        "card 300 W {}",
        "card 300w 2x8pin",
        "two 8-pin|2 x 8pin|2x 8-pin|dual 8-pin|a pair of 8 pins|8-pin ×2|8 pin x 2|two PCIe 8-pins"
        "|two 8-pin PCIe connectors|2 8pin power connectors|two eight-pin sockets|8-pin + 8-pin"
        "|8 pin and 8 pin|2*8pin|double 8-pin|2 PCI-E 8 pin|two 6+2 pin|powered by two 8 pins"
        "|fed by 2x8|via 2x 8-pin|with two 8-pin plugs|needs two 8-pin|2x8-pin input|2 of 8 pin"
        "|PCIe 2x 8-pin|8+8 pin|8+8|connectors: 2x 8-pin|power: two 8 pin|uses two 8-pin cables"
        "|on two 8-pin leads|two times 8 pin|8pin twice|twice 8 pin|2 pieces of 8 pin|both 8 pins"
        "|two separate 8-pins|two power plugs of 8 pins each|requires two 8-pin connectors"
        "|2 x PCIe (8-pin)|2x PCIe 8pin|8-pin PCIe x2",
    ),
    (
        "graphics card, {}, 300 W",
        "card 300w 16pin",
        "16-pin|sixteen pin|12+4 pin|12v-2x6|12VHPWR|single 16 pin|a 16-pin connector|12V 2x6"
        "|1x 16-pin|1 × 16-pin|16-pin PCIe|PCIe 16-pin|native 16-pin|new 16-pin plug"
        "|16-pin (12V-2x6)|12V-2x6 (16-pin)|16-pin power|powered by a 16-pin|via 16-pin"
        "|through a single 16-pin cable|with 16-pin socket|PCIe 5.0 16-pin|gen5 16-pin",
    ),
    (
        "{}",
        "fan x4 120mm 0.2a",
        "4 fans 120mm 0.2 A|four 120mm fans 0.2 A|fan 120mm 0.2 A x4|fan 120mm 0.2A *4"
        "|4x fan 120mm 0.2 A|fan (4) 120mm 0.2 A|fans (4x) 120mm 0.2 A|fans: 4, 120mm, 0.2 A"
        "|120mm 0.2 A fans, four of them|a set of four 120mm fans, 0.2 A each"
        "|4 pcs fan 120mm 0.2 A"
        "|120 mm fan, quantity 4, 0.2 A|qty 4: 120mm fan 0.2 A|fan 120mm 0.2A, four"
        "|4 off fan 120mm 0.2A|4 fans, 120mm, 0.2 A per fan|fans ×4: 120mm 0.2A"
        "|4 no. fan 120mm 0.2A"
        "|all four fans are 120mm and take 0.2 A each"
        "|four-pack of 120mm fans 0.2 A each"
        "|two pairs of 120mm fans 0.2 A each|fans 120mm 0.8 A for four|4 fans 120mm, 0.8 A total"
        "|4 fans 120mm, together 0.8 A|4 fans 120mm, 0.8 A combined|4 fans 120mm 9.6 W in all"
        "|each of four 120mm fans takes 0.2 A|fan 120mm 0.2A (qty 4)|4 units of 120mm fan 0.2A",
    ),
    (
        "{} 2x8pin 300 W",
        "card 300w 2x8pin",
        "gpu|graphics card|video card|graphics|graphics board|vga card|discrete gpu"
        "|dedicated graphics card|display adapter|3D card|gaming card|compute card|my card|the gpu"
        "|used gpu|big graphics card|dual-fan gpu|three-fan card|blower card|air-cooled gpu"
        "|water-cooled gpu|graphics accelerator",
    ),
    (
        "{} 105 W",
        "processor 105w",
        "cpu|chip|CPU chip|microprocessor|desktop cpu|server processor|APU|main processor"
        "|8-core cpu|eight-core processor|quad-core cpu|boxed cpu|unlocked processor|x86 cpu"
        "|64-bit processor|low-power cpu",
    ),
    (
        "{} 7 W",
        "disk 7w",
        'hard disk|HDD|spinning disk|3.5-inch disk|3.5" hdd|mechanical drive|platter drive|NAS disk'
        "|storage disk|backup disk|SATA hard drive|8TB HDD|disk 8 TB|7200 rpm disk|spinner",
    ),
    (
        "{} 6 W",
        "m.2 6w",
        "nvme|NVMe SSD|m.2|M.2 SSD|M.2 NVMe|m.2 2280|PCIe ssd m.2|gen4 nvme|gen 4 nvme drive"
        "|PCIe 4.0 NVMe SSD|1 TB nvme|boot nvme|nvme solid-state drive",
    ),
    (
        "board {}",
        "board 8pin",
        "one 8-pin|an 8-pin|8-pin EPS|CPU 8-pin|1 x 8-pin CPU|EPS 4+4|4+4-pin CPU|one EPS connector"
        "|8-pin processor power|with one eight-pin for the CPU|24-pin + 8-pin|CPU power: 8-pin"
        "|ATX 24-pin, EPS 8-pin|8 pin for the processor",
    ),
    (
        "motherboard {}",
        "board 2x8pin",
        "two 8-pin|2 x 8-pin CPU|dual EPS|two EPS connectors|8+8 pin|8+8 CPU|two CPU 8-pins"
        "|2 CPU power connectors 8-pin|24-pin, two 8-pin CPU|2x 4+4 pin|two eight-pin EPS plugs",
    ),
    (
        "board 8pin, {}",
        "board 8pin sata-ports:4",
        "4 SATA|four SATA ports|4 x SATA|4x SATA 6Gb/s|SATA: 4|SATA x4|4 SATA III",
    ),
    ("board 8pin, {}", "board 8pin headers:5", "5 fan headers|5 PWM headers|fan headers: 5"),
    (
        "pump, sata, {}",
        "pump sata 1.5a",
        "1.5A|1,5 A|18 W|1500 mA|one and a half amps|12V 1.5A|1.5 A at 12 V|1.5 ampere",
    ),
    (
        "pump 18 W, {}",
        "pump sata 1.5a",
        "SATA power|a SATA plug|powered by SATA|via SATA|fed by sata|SATA-powered",
    ),
    (
        "pump 6 W, {}",
        "pump header 0.5a",
        "on a header|fan header|pump header|from the board|on the motherboard"
        "|plugged into a header",
    ),
    (
        "{}",
        "memory ddr5 x2",
        "2x 16GB DDR5|two sticks of 16 GB DDR5|DDR5 16GB x2|32GB DDR5 (2x16GB)|32 GB (2x16) DDR5"
        "|DDR5 32GB kit (2x16GB)|2 DIMMs DDR5 16 GB|16GB DDR5, two of them|DDR5 kit 2x16|DDR 5 x2"
        "|dual channel DDR5 2x16 GB|pair of 16 GB DDR5",
    ),
    (
        "card 2x8pin 300 W {}",
        "card 2x8pin 300w limit:0.8",
        "limited to 80%|power limit 80%|at 80% power|power target 80%|capped at 80%|PL 80%|-20%"
        "|minus 20%|undervolted to 80%|undervolted by 20 %|reduced by 20%|at 80 percent"
        "|limited to 240 W|240W limit|set to 240W",
    ),
    (
        "card 2x8pin 300 W, {}",
        "card 2x8pin 300w long:300",
        "300 mm long|300mm|30 cm long|length 300 mm|length: 300 mm|11.81 inches|300mm in length",
    ),
    (
        "card 2x8pin 300 W, {}",
        "card 2x8pin 300w covers:3",
        "3 slots|3-slot|triple slot|takes 3 slots|three-slot|2.5 slots|two and a half slots",
    ),
    (
        "disk {}",
        "disk 12v:0.6a 5v:0.5a",
        "12 V 0.6 A, 5 V 0.5 A|+12V 0.6A +5V 0.5A|12V: 0.6A; 5V: 0.5A|0.6A@12V 0.5A@5V"
        "|5 V 0.5 A and 12 V 0.6 A|0.6 A at 12 V and 0.5 A at 5 V|12V/0.6A 5V/0.5A"
        "|12 V × 0.6 A, 5 V × 0.5 A|12VDC 0.6A 5VDC 0.5A|0.6 A on 12 V, 0.5 A on 5 V"
        "|5V=0.5A 12V=0.6A|600 mA at 12 V, 500 mA at 5 V|12 V – 0.6 A, 5 V – 0.5 A",
    ),
    (
        "disk 12v 0.6a 5v 0.5a {}",
        "disk 12v:0.6a 5v:0.5a start:2a",
        "starts at 2 A|start 2A|2 A at spin-up|2A spin-up current|startup 2 A|peak 2 A"
        "|2 A peak at start|spinning up 2 A|2 A when it starts|starting current 2 A|inrush 2 A",
    ),
    (
        "{} 3 W",
        "drive 2.5in 3w",
        'sata ssd|2.5 inch ssd|2.5" SATA SSD|SSD (SATA)|SSD, SATA, 2.5 inch|2.5in hdd|sata-ssd',
    ),
    (
        "{}",
        "cooler 240mm sata",
        "240 mm AIO, sata|liquid cooler 240 mm sata|all-in-one cooler 240 mm, SATA plug"
        "|240 water cooler, sata|240mm radiator AIO sata|240 AIO on SATA|sata AIO 240"
        "|AIO cooler, 240 radiator, sata",
    ),
    (
        "{}",
        "hub sata outputs:6",
        "fan hub with 6 ports, sata|SATA powered fan hub for 6 fans|fan hub sata 6-way"
        "|fan controller 6 channels sata|hub for six fans on sata|fan hub 6 fan ports sata"
        "|1 to 6 fan hub sata|SATA hub: 6 fans",
    ),
    (
        "{}",
        "strip 12v 1a",
        "led strip 12 V 1 A|12V RGB strip 1A|light strip 12 V 12 W|12 V strip, 1 A"
        "|lights 12 V 1 A|12V 1A led strip",
    ),
    (
        "{} 6 W",
        "card slot-only plain 6w",
        "sound card|network card|lan card|10G NIC|capture card|raid card|HBA|wifi card"
        "|PCIe network card|dual port NIC|PCIe USB 3 card|firewire card",
    ),
    (
        "processor 105 W, {}",
        "processor 105w short:142w",
        "boosts to 142 W|142 W boost|PPT 142 W|PL2: 142W|max turbo 142W|142 W for 56 s"
        "|peaks at 142 W"
        "|142 W when boosting|goes to 142 W in boost",
    ),
)


class Ways(unittest.TestCase):
    def test_more_of_the_same_is_alike(self) -> None:
        for line in (
            "three 140 mm fans 0.2 A at the front, two at the top and one 120 mm at the rear",
            "three 140 fans 0.2 A in front, two on top, one 120 mm at the back",
        ):
            with self.subTest(line):
                taken = [say(p) for p in parse(line).taken]
                self.assertEqual(
                    taken,
                    [
                        "fan x3 0.2a 140mm mounted:front",
                        "fan x2 0.2a 140mm mounted:top",
                        "fan 120mm mounted:rear",
                    ],
                )

    def test_figures_by_any_verb_and_with_anything_behind(self) -> None:
        for line, figure, meant in FIGURES:
            for verb in VERBS.split("|"):
                self._means(line.format(f"{verb} {figure}"), meant)
            for behind in BEHIND.split("|"):
                self._means(line.format(f"{figure} {behind}"), meant)

    def test_each_piece_in_every_way(self) -> None:
        for line, meant, ways in WAYS:
            for way in ways.split("|"):
                self._means(line.format(way), meant)

    def _means(self, said: str, meant: str) -> None:
        with self.subTest(said):
            entry, wanted = parse(said), self._figures(meant)
            taken = [_near(figures_of(p)) for p in entry.taken]
            if taken:
                self.assertEqual(taken, [wanted])
            else:
                self.assertIn(wanted, [self._figures(choice) for choice in entry.choices])

    def _figures(self, line: str) -> object:
        part: Part | None = parse(line).part
        return part and _near(figures_of(part))


def _near(value: object) -> object:
    """A value with its numbers to four figures: 11.81 inches are 300 mm."""
    if isinstance(value, dict):
        return {k: _near(v) for k, v in value.items()}
    if isinstance(value, list | tuple):
        return [_near(v) for v in value]
    return float(f"{value:.4g}") if isinstance(value, float) else value
