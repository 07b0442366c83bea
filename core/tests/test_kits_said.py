"""Supplies, cables, adapters, extensions, brackets and cases as people say them: taken as what they
are in the line's own words, or refused with what is missing."""

from __future__ import annotations

import re
import unittest

from easy_tally.base.errors import BadInput
from easy_tally.entry.kits import (
    is_cage,
    read_cable,
    read_cage,
    read_case_line,
    read_loose,
    read_supply,
    say_cable,
    say_case,
    say_loose,
    say_supply,
)
from hypothesis import given, settings
from hypothesis import strategies as st

SUPPLIES = (
    (
        "850 W gold fully modular, three PCIe leads, native 16-pin 600 W, fan off below 55 %",
        "rated:850 modular:fully grade:gold fan-stands-to:55 ports:g1,g2,g3,h1",
    ),
    ("1.000 Watt supply semi modular, 2 sata ports", "rated:1000 modular:semi ports:d1,d2"),
    (
        "Curlew 650 sfx 80 plus platinum 650W 125 x 63.5 x 100 mm, +12V 54A, 5Vsb 2.5A, 2021",
        "rated:650 12v:54 standby:2.5 form:SFX length:100 grade:platinum made:2021",
    ),
    (
        "my old 430W, +3.3V 24A +5V 15A +12V 32A -12V 0.3A, 3.3V+5V 110W",
        "rated:430 12v:32 5v:15 3.3v:24 minus-12v:0.3 combined:110",
    ),
    ("psu 750w 80+ gold 140 mm deep, 12V 744W", "rated:750 12v:62 length:140 grade:gold"),
    ("600w sfx-l 2 x cpu, 3 x pcie ports", "rated:600 form:SFX-L ports:p1,p2,g1,g2,g3"),
    ("500 W supply, fan stops under 150 W", "rated:500 fan-stands-to:30"),
    ("850W power supply, atx 3.1, 5 year warranty, €129", "rated:850 design:3.1"),
    ("old 400 W unit, no modular cables, 12V rail 28A", "rated:400 12v:28 modular:not"),
    (
        "SFX-L 800 W platinum fully modular 5 ports for cpu or graphics and 3 for drives",
        "rated:800 form:SFX-L modular:fully ports:c1,c2,c3,c4,c5,d1,d2,d3",
    ),
    ("+12V 70.8A, +5VSB 3A, 850W total, combined 3.3/5 120 W", "12v:70.8 standby:3 combined:120"),
    ("600W flex atx", 'rated:600 form:"Flex ATX"'),
    (
        "1000 W platinum fully modular ATX 3.1 with 12V-2x6, 4 x PCIe, 12 SATA plugs on 3 leads",
        "rated:1000 design:3.1 modular:fully grade:platinum ports:g1,g2,g3,g4,h1,d1,d2,d3",
    ),
)
CABLES = (
    (
        "three sata leads with 4 plugs, 500 mm, then every 150 mm",
        3,
        "p1=sata@500,p2=sata@650,p3=sata@800,p4=sata@950",
    ),
    ("processor 4-pin 350 mm", 1, "p1=eps4@350"),
    ("two pcie 8 pin leads 65 cm 18 awg", 2, "18awg plugs:p1=pcie8@650"),
    ("native 16 pin cable 600w 700mm", 1, "p1=16pin@700!grade=high!sense=both_grounded"),
    ("pcie cable with two 6+2 plugs, 600 mm and 150 mm apart", 1, "p1=pcie6+2@600,p2=pcie6+2@750"),
    ("24 pin board cable 610 mm", 1, "p1=atx24@610"),
    ("eps cable 27 inch", 1, "p1=eps4+4@686"),
    ("4 sata and 1 peripheral 400/500/600/700/850 mm", 1, "p4=sata@700,p5=per4@850"),
    ("peripheral cable 3 plugs 450 + 150 + 150", 1, "p1=per4@450,p2=per4@600,p3=per4@750"),
    ("pcie pigtail 650/800 mm", 1, "p1=pcie6+2@650,p2=pcie6+2@800"),
    ("graphics cable, one 8-pin (6+2) 600 mm, 16 AWG", 1, "16awg plugs:p1=pcie6+2@600"),
    ("24 pin (20+4) cable 600 mm", 1, "p1=atx20+4@600"),
    (
        "sata/peripheral combo cable: 2 sata, 2 peripheral, 400/550/700/850",
        1,
        "p1=sata@400,p2=sata@550,p3=per4@700,p4=per4@850",
    ),
)
LOOSE = (
    ("adapter", "adapter 16-pin from 3 8-pin, 300 W, 200 mm", "c=pcie8 plugs:x=16pin@200"),
    ("adapter", "2x8 pin to 16 pin adapter 30 cm 16 awg", "b=pcie8 plugs:x=16pin@300"),
    ("adapter", "sata to peripheral adapter 150 mm", "leads:a=sata plugs:x=per4@150"),
    ("adapter", "sata splitter 1 to 2 200 mm", "leads:a=sata plugs:x=sata@200,y=sata@200"),
    ("adapter", "4 pin to two sata, crimped, 150 and 250 mm", "x=sata@150,y=sata@250 moulded:no"),
    ("extension", "24 pin extension 300 mm", "kind:atx24 length:300"),
    ("extension", "16-pin extension 400 mm 600 W", "kind:16pin length:400"),
    ("extension", "cpu 8 pin extension 250mm 16awg", "kind:eps8 length:250"),
    ("bracket", "SFX to ATX bracket", "form:SFX place:ATX"),
    ("bracket", "bracket for an SFX supply in an ATX case", "form:SFX place:ATX"),
    ("bracket", "ATX bracket for SFX supply", "form:SFX place:ATX"),
)
CASES = (
    (
        "Mini-ITX case, SFX power supply, GPU max 305 x 140 mm, 2.5 slots",
        "forms:SFX card-room:305 panel:140 slots:2",
    ),
    ("full tower, 9 slots, 420 radiator front and top", "slots:9 radiators:front+420,top+420"),
    ("case with a 360 mm radiator at the top and 280 in the front", "radiators:top+360,front+280"),
    (
        "mid tower, supply up to 180 mm, cards up to 360 mm, 7 slots, 2 3.5-inch bays",
        "supply-room:180 card-room:360 slots:7 bays-35:2",
    ),
    (
        "steel case for SFX and ATX supplies, supply at the bottom, 2 usb 3 front",
        "forms:SFX,ATX supply-at:bottom usb3-leads:2",
    ),
    (
        "tower, gpu 340mm, radiator 280 front, 360 radiator on top, filtered front vents",
        "card-room:340 vents:front+filtered radiators:front+280,top+360",
    ),
)
#: What can't be taken → what is missing, or in doubt.
REFUSED = (
    (lambda line: read_cable(line, "F"), "8 pin cable 600mm", "whose plug it is"),
    (lambda line: read_cable(line, "F"), "sata without plugs 600mm", "words of a cable"),
    (lambda line: read_loose("adapter", line), "sata to 16 pin 100 mm", "never may"),
    (lambda line: read_loose("adapter", line), "5 x 8-pin to 16-pin 20 cm", "needs at most 4"),
    (lambda line: read_loose("adapter", line), "peripheral to 10 sata 9 cm", "needs at most 8"),
    (lambda line: read_loose("adapter", line), "8 pin to 8 pin 100 mm", "whose plug it is"),
    (lambda line: read_loose("extension", line), "extension 300 mm", "which plug"),
    (lambda line: read_loose("bracket", line), "bracket for SFX", "two forms"),
    (read_supply, "supply 500 W, 3 of 12", "words of a supply"),
    (read_supply, "500 W or 600 W supply", "words of a supply"),
    (read_case_line, "case with 7 slots and 8 slots", "words of a case"),
)

_WORDS = (
    "500 650 W A mm 12 V 5 sata pcie 2 x 3.1 atx sfx fully modular ports leads 800 and , 16 "
    "pin supply 55 % fan off blue 2019"
)


class Said(unittest.TestCase):
    def test_supplies(self) -> None:
        for line, meant in SUPPLIES:
            with self.subTest(line):
                said = re.sub(r"\|[^,]*", "", say_supply(read_supply(line)))
                for word in meant.split():
                    self.assertIn(f" {word}", said)
                self.assertEqual(("ports:" in meant), ("ports:" in said))

    def test_cables(self) -> None:
        for line, count, plugs in CABLES:
            with self.subTest(line):
                n, cable = read_cable(line, "F")
                self.assertEqual((n, say_cable(cable)[-len(plugs) :]), (count, plugs))

    def test_what_is_sold_by_itself(self) -> None:
        for kind, line, meant in LOOSE:
            with self.subTest(line):
                thing = read_loose(kind, line)
                self.assertIn(meant, say_loose(thing))
                self.assertEqual(read_loose(kind, say_loose(thing)), thing)

    def test_cases(self) -> None:
        for line, meant in CASES:
            with self.subTest(line):
                case = read_case_line(line)
                self.assertTrue(set(meant.split()) <= set(say_case(case).split()), say_case(case))
                self.assertEqual(read_case_line(say_case(case)), case)

    def test_how_large_a_case_is(self) -> None:
        for line, size in (
            ("mid tower, 7 slots", "mid"),
            ("full tower case for cards up to 400 mm", "large"),
            ("mini tower, 4 slots", "small"),
            ("case, 7 slots", None),
        ):
            case = read_case_line(line)
            self.assertEqual(case.size, size, line)
            self.assertEqual(read_case_line(say_case(case)), case)

    def test_drive_cages(self) -> None:
        """Bays as evenly over the plugs as may be: 5 over two are 3 and 2."""
        cage = read_cage("hot swap cage for 5 drives fed by 2 peripheral plugs")
        self.assertEqual([(i.kind, len(i.bays)) for i in cage.inputs], [("per4", 3), ("per4", 2)])
        self.assertTrue(is_cage("cage with 4 bays, two sata plugs"))
        self.assertFalse(is_cage("sata lead 300 mm"))
        for line, missing in (
            ("drive cage", "how many bays"),
            ("cage 1 bay 2 sata", "no more than"),
        ):
            with self.assertRaisesRegex(BadInput, missing):
                read_cage(line)

    def test_what_is_missing_is_told(self) -> None:
        for read, line, missing in REFUSED:
            with self.subTest(line), self.assertRaisesRegex(BadInput, missing):
                read(line)

    def test_no_gauge_goes_without_saying(self) -> None:
        self.assertIsNone(read_loose("extension", "sata extension 300 mm").gauge)  # type: ignore[union-attr]

    @settings(max_examples=200, deadline=None)
    @given(
        st.sampled_from([line for line, _ in SUPPLIES]),
        st.sampled_from(["the", "and", ",", "with"]),
    )
    def test_a_filler_at_the_end_changes_nothing(self, line: str, filler: str) -> None:
        self.assertEqual(say_supply(read_supply(f"{line} {filler}")), say_supply(read_supply(line)))

    @settings(max_examples=300, deadline=None)
    @given(st.lists(st.sampled_from(_WORDS.split()), min_size=1, max_size=9))
    def test_every_number_of_a_taken_supply_is_in_it(self, words: list[str]) -> None:
        """Of any words in any order: a number is a figure of the supply, as many ports, in its name
        or its note; nothing vanishes."""
        line = " ".join(words)
        try:
            supply = read_supply(line)
        except BadInput:
            return
        said = say_supply(supply)
        self.assertEqual(read_supply(said), supply)
        held = {float(n) for n in re.findall(r"[0-9]+(?:\.[0-9]+)?", said)}
        counts = [p.kind for p in supply.ports]
        held |= {float(counts.count(kind)) for kind in counts} | {float(len(counts))}
        for number in re.findall(r"[0-9]+(?:\.[0-9]+)?", line):
            self.assertIn(float(number), held | {16.0, 12.0, 5.0}, line)


_SUPPLY = "850W fully modular 3 pcie ports"
_SATA = "sata 450/580/710/840 mm"
#: What reads it → a line with a piece left open → what the whole means → the ways to say the piece.
WAYS: tuple[tuple[str, str, str, str], ...] = (
    (
        "supply",
        "{} fully modular 3 pcie ports",
        _SUPPLY,
        "850 W|850 watts|850-watt|supply of 850 W|rated 850 W|max 850 W|850W PSU"
        "|eight hundred fifty watts",
    ),
    (
        "supply",
        "850W {} 3 pcie ports",
        _SUPPLY,
        "full modular|all modular|completely modular|modular (fully)|modular: full",
    ),
    (
        "supply",
        "850W fully modular {}",
        _SUPPLY,
        "3 PCIe|three PCIe ports|3x PCIe|PCIe x3|PCIe: 3|3 graphics ports|3 VGA|3 PCI-E ports"
        "|3x 8-pin PCIe|3 GPU ports|3 PCIe 6+2|3 x PCIe (6+2)",
    ),
    (
        "supply",
        _SUPPLY + " {}",
        _SUPPLY + " design 3.1",
        "ATX 3.1|ATX3.1|ATX v3.1|ATX 3.1 ready|spec ATX 3.1|version 3.1",
    ),
    (
        "supply",
        _SUPPLY + " {}",
        _SUPPLY + " 12V 70A",
        "+12V 70A|70 A at 12 V|12 V: 70 A|12V rail 70 A|12V 840W|+12V/70A|70 A on the 12 V rail",
    ),
    (
        "cable",
        "{}",
        _SATA,
        "SATA cable 4 plugs, 450 mm, then 130 mm each|SATA 450+130+130+130 mm"
        "|sata lead with four plugs 450/580/710/840 mm|sata 4 connectors 450mm+130mm+130mm+130mm"
        "|SATA cable with 4 connectors 450, 580, 710 and 840 mm"
        "|one SATA cable, four plugs, 45 cm, then every 13 cm"
        "|450 mm SATA cable with 4 plugs 130 mm apart",
    ),
    (
        "cable",
        "{}",
        "pcie 2x 6+2 650/800 mm",
        "PCIe cable with two 6+2 plugs 650 and 800 mm|chained PCIe cable, 650 + 150 mm"
        "|pigtail PCIe 650 + 150 mm|dual 6+2 PCIe cable 650/800 mm|double PCIe lead 650/800 mm",
    ),
    (
        "cable",
        "{}",
        "eps 4+4 700 mm",
        "CPU cable 4+4 700 mm|processor lead 4+4, 700 mm|CPU 8-pin (4+4) 700 mm"
        "|EPS12V 4+4 700 mm|4+4 pin CPU cable 70 cm",
    ),
    (
        "adapter",
        "{}",
        "3x8-pin to 16-pin 300 mm",
        "three 8-pin to one 16-pin, 300 mm|16-pin from three 8-pins 300 mm"
        "|triple 8-pin to 16-pin adapter 300 mm|8-pin x3 to 16-pin 300 mm"
        "|from 3x 8-pin to 16-pin, 30 cm",
    ),
    (
        "case",
        "case, {}",
        "case card-room:360 supply-room:180",
        "cards up to 360 mm, supply up to 180 mm|GPU 360 mm, PSU 180 mm|360 mm GPU, 180 mm PSU"
        "|fits 360 mm cards and 180 mm supplies|GPU clearance 360 mm, PSU clearance 180 mm"
        "|supports GPUs up to 360 mm and PSUs up to 180 mm|VGA 360 mm PSU 180 mm",
    ),
    ("case", "case, {}", "case slots:7", "seven slots|7 PCIe slots|slots: 7|expansion slots: 7"),
    (
        "case",
        "case, {}",
        "case bays-35:2",
        '2x 3.5"|two hard disk bays|3.5" bays: 2|2 bays for 3.5" disks|two 3.5 inch disks',
    ),
)


class Ways(unittest.TestCase):
    def test_each_piece_in_every_way(self) -> None:
        for kind, line, meant, ways in WAYS:
            wanted = self._figures(kind, meant)
            for way in ways.split("|"):
                with self.subTest(line.format(way)):
                    self.assertEqual(self._figures(kind, line.format(way)), wanted)

    def _figures(self, kind: str, line: str) -> object:
        """What a thing is but for how it is called."""
        match kind:
            case "supply":
                count, thing = 1, read_supply(line)
            case "cable":
                count, thing = read_cable(line, "F")
            case "case":
                count, thing = 1, read_case_line(line)
            case _:
                count, thing = 1, read_loose(kind, line)
        return count, thing.model_dump(exclude={"name", "note", "key", "family"})
