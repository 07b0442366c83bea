"""Each demo build makes its own point; here with its numbers."""

from __future__ import annotations

import unittest
from pathlib import Path

from easy_tally import editing as edits
from easy_tally.analysis.analyse import Analysis, analyse
from easy_tally.base.errors import BadFile
from easy_tally.catalogue.supplies import SupplyKit
from easy_tally.files import build_file, kits_csv
from easy_tally.supplies.checks import SupplyCheck
from easy_tally.things.build import Build

from .helpers import apply, carried

DEMO = Path(__file__).resolve().parents[2] / "demo"
CATALOGUE = DEMO.parent / "catalogue"


def demo(name: str) -> Build:
    """A demo build."""
    return build_file.read((DEMO / f"builds/{name}.tally.json").read_text(encoding="utf-8"))


def kit(slug: str) -> SupplyKit:
    """A supply of the catalogue."""
    return next(k for k in kits() if k.slug == slug)


def kits() -> tuple[SupplyKit, ...]:
    """Every supply of the catalogue."""
    return kits_csv.SUPPLIES.read((CATALOGUE / "supplies.csv").read_text(encoding="utf-8"))


def _check(a: Analysis, check: str, rail: str | None = None) -> SupplyCheck:
    assert a.supply is not None
    return next(c for c in a.supply.checks if c.id == check and c.rail == rail)


class Dunlin(unittest.TestCase):
    def test_the_makers_floor_governs_a_machine_that_hardly_draws(self) -> None:
        """Desk work at 13 % of 450 W; the sum asks for 281 W, the card's maker for 300 W."""
        a = analyse(demo("dunlin"))
        self.assertEqual([r.id for r in a.sizing.rules if r.governs], ["floor"])
        self.assertLess(a.supply.share["everyday"], 0.13)  # type: ignore[union-attr, operator]
        self.assertEqual(a.supply.verdict, "right size")  # type: ignore[union-attr]


class Cormorant(unittest.TestCase):
    def _start_a(self, at_once: int | None) -> float:
        b = demo("cormorant").model_copy(update={"spin_up_at_once": at_once})
        return analyse(b).tally.by_rail["v12"].at("start").likely / 12

    def test_spin_up_on_the_12_v_rail(self) -> None:
        """Ten disks: 10 × 1.9 = 19 A at once; 2 × 1.9 + 8 × 0.55 = 8.2 A two at a time. Beside
        them, at idle: board 7.2 W, processor 15 ÷ 0.9, fans 0.35 × 23.4 W: 2.671 A."""
        self.assertAlmostEqual(self._start_a(None) - self._start_a(2), 10.8)
        self.assertAlmostEqual(self._start_a(None), 19 + (7.2 + 15 / 0.9 + 0.35 * 23.4) / 12)

    def test_start_draws_more_than_full_load_only_at_once(self) -> None:
        a = analyse(demo("cormorant"))
        self.assertGreater(a.tally.total.at("start").likely, a.tally.total.at("full").likely)
        b = demo("cormorant").model_copy(update={"spin_up_at_once": 2})
        total = analyse(b).tally.total
        self.assertLess(total.at("start").likely, total.at("full").likely)

    def test_fans_come_through_their_hubs(self) -> None:
        """Front 4 × 0.3 = 1.2 A, rear 3 × 0.25 = 0.75 A at 12 V, 0.1 A of electronics at 5 V."""
        b = demo("cormorant")
        found = carried(b)
        self.assertAlmostEqual(found["hub-1#1/power"].amps["v12"][7], 1.2)
        self.assertAlmostEqual(found["hub-2#1/power"].amps["v12"][7], 0.75)
        self.assertAlmostEqual(found["hub-1#1/power"].amps["v5"][7], 0.1)

    def test_through_its_hubs_the_start_is_the_same_either_way(self) -> None:
        """No disk hangs on a hub: their fans idle at 0.35 × 1.2 = 0.42 A and 0.35 × 0.75 = 0.2625 A
        while disks start, all at once or two at a time; the surge is the drive cables' alone."""
        for at_once in (None, 2):
            b = demo("cormorant").model_copy(update={"spin_up_at_once": at_once})
            found = carried(b)
            self.assertAlmostEqual(found["hub-1#1/power"].amps["v12"][10], 0.42)
            self.assertAlmostEqual(found["hub-2#1/power"].amps["v12"][10], 0.2625)
            a = analyse(b)
            header = next(e for e in a.board if e.part == "hub-1" and e.at == "out-1")
            self.assertEqual(header.judged.verdict, "within")

    def test_five_disks_on_one_cable_are_tight_at_once_and_within_staggered(self) -> None:
        """5 × 1.9 = 9.5 A on one pin of 8 A for long, 12 A for seconds; else 5.45 A."""
        b = demo("cormorant")
        cable = b.cable("sata-1")
        assert cable is not None
        plugs = [p.model_dump() for p in cable.plugs]
        plugs.append(plugs[-1] | {"key": "p5", "at_mm": 800})
        b = b.model_copy(update={"runs": (), "backplanes": ()})
        change = edits.ChangeCable(cable="sata-1", changes={"plugs": plugs})
        b = apply(b, change)
        for i in range(1, 6):
            socket = {"part": "disk", "instance": i, "socket": "power"}
            b = apply(
                b,
                edits.Connect.model_validate(
                    {"cable": "sata-1", "plug": f"p{i}", "socket": socket}
                ),
            )
        calm = b.model_copy(update={"spin_up_at_once": 2})
        found = []
        for each in (b, calm):
            pins = next(
                e
                for e in analyse(each).runs[0].elements
                if e.kind == "supply-end pins" and e.line == "v12"
            )
            found.append((pins.judged.verdict, round(pins.judged.loads[10], 6)))
        self.assertEqual(found, [("tight", 9.5), ("within", 5.45)])


class Godwit(unittest.TestCase):
    def test_the_old_supply_still_makes_what_the_new_one_does_not(self) -> None:
        """Serial board 1.2 W ÷ 12 V = 0.1 A at −12 V, receiver 0.5 W ÷ 5 V = 0.1 A at −5 V."""
        a = analyse(demo("godwit"))
        for rail in ("vneg12", "vneg5"):
            check = _check(a, "rail", rail)
            self.assertEqual(check.status, "pass")
            self.assertAlmostEqual(check.load, 0.1)  # type: ignore[arg-type]
        new = demo("godwit").model_copy(update={"supply": kit("marram-1000").supply})
        self.assertEqual(_check(analyse(new), "rail", "vneg5").status, "fail")
        self.assertEqual(_check(analyse(new), "rail", "vneg12").status, "pass")

    def test_its_floppy_plug_and_auxiliary_lead_fit(self) -> None:
        b = demo("godwit")
        for cable, plug, part, socket in (
            ("board", "main", "board", "main"),
            ("processor", "a", "board", "cpu"),
            ("auxiliary", "a", "board", "auxiliary"),
            ("peripheral-1", "p1", "disk", "power"),
            ("peripheral-1", "p2", "optical", "power"),
            ("peripheral-1", "f1", "floppy", "power"),
        ):
            ref = {"part": part, "socket": socket}
            edit = {"cable": cable, "plug": plug, "socket": ref}
            b = apply(b, edits.Connect.model_validate(edit))
        self.assertTrue(all(r.verdict in ("within", "tight") for r in analyse(b).runs))


class Curlew(unittest.TestCase):
    def test_enough_watts_and_yet_it_trips(self) -> None:
        """522 W sustained on 650 W, but 858 W for 0.1 ms against 650 × 1.3 = 845 W."""
        a = analyse(demo("curlew"))
        self.assertLess(a.tally.total.at("full").likely, 650)
        check = _check(a, "spikes")
        self.assertEqual((check.status, check.window), ("fail", "0.1"))
        self.assertAlmostEqual(check.limit, 845)  # type: ignore[arg-type]

    def test_the_same_rating_of_a_newer_design_rides_through(self) -> None:
        """650 × 1.5 = 975 W."""
        b = demo("curlew")
        newer = b.model_copy(update={"supply": b.supply.model_copy(update={"design": "3.1"})})  # type: ignore[union-attr]
        self.assertEqual(_check(analyse(newer), "spikes").status, "pass")


class Sixty(unittest.TestCase):
    def test_it_has_sixty_parts_and_sixty_sockets(self) -> None:
        """What layout and speed are held against."""
        file = Path(__file__).parent / "data/sixty.tally.json"
        b = build_file.read(file.read_text(encoding="utf-8"))
        self.assertEqual((len(b.parts), len(list(b.sockets()))), (60, 60))


class Cases(unittest.TestCase):
    def test_every_demo_build_stands_in_a_case_of_the_catalogue(self) -> None:
        text = (CATALOGUE / "cases.csv").read_text(encoding="utf-8")
        cases = {c.slug: c for c in kits_csv.CASES.read(text)}
        for file in (DEMO / "builds").glob("*.tally.json"):
            found = build_file.read(file.read_text(encoding="utf-8")).case
            assert found is not None
            self.assertEqual(found, cases[found.slug])
            self.assertTrue(found.supply_forms and found.routes, found.name)

    def test_a_broken_case_names_its_line_and_field(self) -> None:
        with self.assertRaisesRegex(BadFile, "line 2, card-room: needs a number"):
            kits_csv.CASES.read("slug,name,card-room mm\nx,X,wide\n")
        with self.assertRaisesRegex(BadFile, "one route to each area"):
            kits_csv.CASES.read('slug,name,routes\nx,X,"card+1,card+1"\n')


class Catalogue(unittest.TestCase):
    def test_every_kit_is_one_family_and_feeds_a_board(self) -> None:
        for found in kits():
            kinds = {p.kind for c in found.cables for p in c.plugs}
            self.assertTrue(kinds & {"atx20+4", "atx24", "atx20"}, found.slug)

    def test_it_is_wide_enough_to_choose_from(self) -> None:
        """24 supplies of 300 to 1600 W, of every kind; eight panels, four families; a quarter of
        them without a figure that a check needs."""
        of = [k.supply for k in kits()]
        self.assertGreaterEqual(len(of), 24)
        self.assertEqual({s.modular for s in of}, {"fully", "semi", "not"})
        self.assertLessEqual({"classic", "3.0", "3.1"}, {s.design for s in of})
        rated = [s.rated_w or 0 for s in of]
        self.assertEqual((min(rated), max(rated)), (300, 1600))
        panels = {tuple((p.kind, p.row, p.column) for p in s.ports) for s in of if s.ports}
        self.assertGreaterEqual(len(panels), 8)
        self.assertGreaterEqual(len({s.family for s in of}), 4)
        self.assertEqual({bool(s.groups) for s in of}, {True, False})
        figures = ("length_mm", "design", "grade", "regulation", "fan_off_share", "hold_up_ms")
        lacking = [s.slug for s in of if any(getattr(s, f) is None for f in figures)]
        self.assertGreaterEqual(len(lacking), len(of) / 4)

    def test_what_is_sold_by_itself(self) -> None:
        text = (CATALOGUE / "loose.csv").read_text(encoding="utf-8")
        kinds = [e.kind for e in kits_csv.LOOSE.read(text)]
        self.assertEqual(set(kinds), {"cable", "adapter", "extension", "bracket"})
