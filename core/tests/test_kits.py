"""Supplies, cables and cases said in lines, and their CSV; the drawer's things."""

from __future__ import annotations

import unittest
from pathlib import Path
from typing import Any

from easy_tally.base.errors import BadFile, BadInput
from easy_tally.catalogue import (
    DrawerThing,
    drawer_words,
    read_drawer,
    say_drawer,
    used_of,
    without,
)
from easy_tally.entry.kits import (
    Unread,
    read_cable,
    read_case_line,
    read_kit_lines,
    read_supply,
    say_cable,
    say_case,
    say_supply,
)
from easy_tally.files import kits_csv
from easy_tally.files.tables.cells import harmless
from easy_tally.things.adapters import Adapter, Bracket, CodeAt, Lead
from easy_tally.things.cables import Cable
from hypothesis import given, settings
from hypothesis import strategies as st

from .helpers import board, build, sata_cable, sixteen_cable, supply

CATALOGUE = Path(__file__).resolve().parents[2] / "catalogue"
BOX = """Sandling 750, 750 W, ATX, 3.1, 160 mm, gold, fully modular, +12V 62A, 5V@20A,
20 A at 3.3 V, standby 3 A, combined 120 W, hold-up 17 ms, fan off to 30 %: 2 board,
5 processor or graphics, 1 16-pin, 4 drive ports""".replace("\n", " ")
CABLES = """board 20+4 600mm
2 processor 4+4 700 mm
2x card 2x 6+2 600+150mm 18awg
16-pin 600 W 700 mm 16 AWG 105°C straight 35 mm
3 sata x4 450+120mm
peripheral x3 450/600/750 mm"""


class Boxes(unittest.TestCase):
    def test_a_supply_as_its_box_says_it(self) -> None:
        s = read_supply(BOX)
        found = (
            s.name,
            s.rated_w,
            s.design,
            s.form,
            s.length_mm,
            s.grade,
            s.modular,
            s.v12_a,
            s.v5_a,
            s.v3v3_a,
            s.v5sb_a,
            s.combined_w,
            s.hold_up_ms,
            s.fan_off_share,
        )
        self.assertEqual(
            found,
            ("Sandling 750", 750, "3.1", "ATX", 160, "gold", "fully", 62, 20, 20, 3, 120, 17, 0.3),
        )
        kinds = [p.kind for p in s.ports]
        self.assertEqual(kinds[:2], ["board-a", "board-b"])
        self.assertEqual(
            [kinds.count(k) for k in ("processor-graphics", "16pin", "drive")],  # type: ignore[arg-type]
            [5, 1, 4],
        )

    def test_its_cables(self) -> None:
        _, cables = read_kit_lines(f"{BOX}\n{CABLES}")
        found = [(c.key, c.gauge, [p.at_mm for p in c.plugs]) for c in cables]
        self.assertEqual(
            found,
            [
                ("board", None, [600]),
                ("processor-1", None, [700]),
                ("processor-2", None, [700]),
                ("graphics-1", 18, [600, 750]),
                ("graphics-2", 18, [600, 750]),
                ("sixteen", 16, [700]),
                *((f"sata-{i}", None, [450, 570, 690, 810]) for i in (1, 2, 3)),
                ("peripheral", None, [450, 600, 750]),
            ],
        )
        sixteen = cables[5]
        self.assertEqual(
            (sixteen.plugs[0].sense, sixteen.plugs[0].straight_mm), ("both_grounded", 35)
        )
        self.assertEqual(sixteen.insulation_degc, 105)

    def test_what_the_panel_has_no_port_for(self) -> None:
        """By two graphics ports, fixed in a supply whose cables do not come off, by one port of the
        board."""
        _, cables = read_kit_lines("X 850w: 4 processor or graphics\n16-pin 450w 650mm")
        self.assertEqual(cables[0].needs, ("graphics", "graphics"))
        _, cables = read_kit_lines("X 400 w not modular\nsata x2 300+120mm")
        self.assertEqual((cables[0].needs, cables[0].supply_end.circuits), ((), 8))
        _, cables = read_kit_lines("X 500w semi-modular: 2 drive\nboard 24 500mm\nsata 400mm")
        self.assertEqual([c.needs for c in cables], [(), ("drive",)])
        _, cables = read_kit_lines("X 500w: 1 board, 2 drive\nboard 24 500mm")
        self.assertEqual(cables[0].needs, ("board-a",))

    def test_what_contradicts_is_told_at_its_field(self) -> None:
        for line, field, text in (
            ("X 500 w 12v 60a", "v12_a", "at most 500 W ÷ 12 V = 41.7 A"),
            ("X 100 w combined 120 w", "combined_w", "at most its 100 W"),
            ("X 750 w 12v 40a combined 100w", "rated_w", "what its rails give together, 580 W"),
            ("X 500 w efficiency:20=110", "efficiency.0.value", "at most 1"),
            ("X 500 w 750 w", "rated 750", "words of a supply"),
            ("X 500 w 7", "7", "words of a supply"),
            ("X 500 w fully modular", "ports", "a supply whose cables come off"),
        ):
            with self.assertRaises(Unread) as caught:
                read_supply(line)
            problem = caught.exception.problems[0]
            self.assertEqual((problem[0], text in problem[1]), (field, True), problem)

    def test_a_cable_that_lacks_something_says_what(self) -> None:
        for line, text in (
            ("sata x4 450mm", "each of its 4 plugs"),
            ("blue 600mm", "one of 20\\+4"),
            ("sata 450mm 7", "words of a cable"),
            ("13 sata cables 450mm", "1 to 12 cables"),
            ("sata x2 1/2/3mm", "distance"),
        ):
            with self.assertRaisesRegex(BadInput, text):
                read_cable(line, "F")
        with self.assertRaisesRegex(BadInput, "line 3, 7"):
            read_kit_lines("X 500 w\nsata 400mm\ncard 6+2 7")

    def test_a_cable_as_one_sees_it_lie(self) -> None:
        """Without a millimetre, and back from its printed line."""
        _, cable = read_cable("sata x4", "F")
        self.assertEqual([p.at_mm for p in cable.plugs], [None] * 4)
        self.assertEqual(read_cable(say_cable(cable), "F")[1], cable)
        with self.assertRaisesRegex(BadInput, "how far its first plug is"):
            read_cable("sata x4 then every 120 mm", "F")


class RoundTrips(unittest.TestCase):
    def test_the_whole_catalogue(self) -> None:
        for sheet, name in (
            (kits_csv.SUPPLIES, "supplies"),
            (kits_csv.CASES, "cases"),
            (kits_csv.LOOSE, "loose"),
        ):
            text = (CATALOGUE / f"{name}.csv").read_text(encoding="utf-8")
            things = sheet.read(text)  # type: ignore[attr-defined]
            self.assertEqual(sheet.read(sheet.write(things)), things)  # type: ignore[attr-defined]

    def test_lines(self) -> None:
        for kit in kits_csv.SUPPLIES.read((CATALOGUE / "supplies.csv").read_text("utf-8")):
            bare = kit.supply.model_copy(update={"slug": ""})
            self.assertEqual(read_supply(say_supply(bare)), bare)
        for case in kits_csv.CASES.read((CATALOGUE / "cases.csv").read_text("utf-8")):
            bare_case = case.model_copy(update={"slug": ""})
            self.assertEqual(read_case_line(say_case(bare_case)), bare_case)

    @settings(max_examples=60)
    @given(st.data())
    def test_any_cable(self, data: st.DataObject) -> None:
        base = data.draw(st.sampled_from([sixteen_cable(), sata_cable()]))
        some = data.draw
        plug = base.plugs[0].model_copy(
            update={
                "grade": some(st.sampled_from([None, "standard", "high"])),
                "contact_a": some(st.none() | st.floats(0.5, 30)),
                "straight_mm": some(st.none() | st.integers(0, 200)),
                "matings": some(st.integers(0, 40)),
            }
        )
        cable = Cable.model_validate(
            base.model_dump()
            | {
                "plugs": [plug, *base.plugs[1:]],
                "name": some(st.text(min_size=1, max_size=40)),
                "gauge": some(st.sampled_from([None, 14, 16, 18, 20, 22])),
                "insulation_degc": some(st.none() | st.integers(60, 200)),
                "needs": some(st.sampled_from([(), ("drive",), ("graphics", "graphics")])),
                "conductors": {"v12": some(st.integers(0, 6)), "ground": some(st.integers(0, 6))},
                "note": some(st.text(max_size=30)),
            }
        )
        self.assertEqual(read_cable(say_cable(cable), cable.family), (1, cable))

    def test_cells_that_a_spreadsheet_would_work_out(self) -> None:
        for name in ("=1+1", "+x", "-x", "@x", "'x"):
            case = read_case_line('"x" slots:7').model_copy(update={"name": name, "slug": "x"})
            text = kits_csv.CASES.write([case])
            self.assertIn(harmless(name), text)
            self.assertEqual(kits_csv.CASES.read(text), (case,))

    def test_every_wrong_row_is_named(self) -> None:
        text = "slug,name,rated W,design\na,A,wide,3.1\nb,B,500,9\na,C,500,3.1\n"
        with self.assertRaises(BadFile) as caught:
            kits_csv.SUPPLIES.read(text)
        fields = [p[0] for p in caught.exception.problems]
        self.assertEqual(fields, ["line 2, rated", "line 3, design"])
        with self.assertRaisesRegex(BadFile, "line 3, slug: needs each entry once"):
            kits_csv.SUPPLIES.read("slug,name,rated W\na,A,500\na,C,500\n")
        with self.assertRaisesRegex(BadFile, "columns of slug"):
            kits_csv.CASES.read("slug,nickname\n")


class InTheDrawer(unittest.TestCase):
    def test_things_read_back(self) -> None:
        for kind, text in (
            ("supply", f"{BOX}\n{CABLES}"),
            ("cable", 'card 6+2 650mm family:"Old quay"'),
            ("adapter", '"A" leads:a=pcie8,b=pcie8 plugs:x=16pin@200 codes:2=300 awg:16'),
            ("extension", '"E" kind:eps4+4 length:250'),
            ("bracket", '"B" form:SFX place:ATX'),
        ):
            s, cables, thing = read_drawer(kind, text)  # type: ignore[arg-type]
            of = DrawerThing(key="x", supply=s, cables=cables, thing=thing)  # type: ignore[arg-type]
            self.assertEqual(of.kind, kind)
            self.assertTrue(drawer_words(of))
            self.assertEqual(read_drawer(of.kind, say_drawer(of)), (s, cables, thing))

    def test_what_can_not_be(self) -> None:
        for make, text in (
            (lambda: DrawerThing(key="x"), "one of them"),
            (lambda: DrawerThing(key="x", supply=supply(), count=2), "a count of 1"),
            (lambda: Bracket(name="b", form="ATX", place="ATX"), "not from ATX to itself"),
            (lambda: _adapter(codes=(CodeAt(leads=3, watts=450),)), "none for 3"),
            (
                lambda: _adapter(codes=(CodeAt(leads=1, watts=450), CodeAt(leads=2, watts=300))),
                "no less watts",
            ),
        ):
            with self.assertRaisesRegex(ValueError, text):
                make()

    def test_what_a_build_uses_and_a_copy_of_it(self) -> None:
        owned = build(
            board(),
            supply=supply(owned="s"),
            bracket=Bracket(name="b", form="SFX", place="ATX", owned="b"),
            cables=(sata_cable(key="a", owned="c"), sata_cable(key="b", owned="c")),
        )
        self.assertEqual(used_of(owned), {"s": 1, "b": 1, "c": 2})
        self.assertEqual(used_of(without(owned, {"s", "c"})), {"b": 1})


def _adapter(**more: Any) -> Adapter:
    leads = (Lead(key="a", kind="pcie8"), Lead(key="b", kind="pcie8"))
    return Adapter(key="x", name="X", leads=leads, plugs=_plug(), **more)


def _plug() -> Any:
    return (sixteen_cable().plugs[0].model_copy(update={"key": "x"}),)
