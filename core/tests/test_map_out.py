"""The connection list as CSV and the Loom as SVG: with figures worked out by hand."""

from __future__ import annotations

import csv
import io
import unittest
from xml.etree import ElementTree

from easy_tally.analysis import analyse
from easy_tally.files import loom_pdf, loom_svg, map_csv
from easy_tally.files.drawn.loom_drawing import Stroke, drawing
from easy_tally.publishing import compact
from easy_tally.things.build import Build

from .helpers import board, build, card, disk, graphics_cable, run, sata_cable
from .test_between import by_adapter


def _rows(b: Build) -> list[dict[str, str]]:
    return list(csv.DictReader(io.StringIO(map_csv.write(analyse(b)))))


class Connections(unittest.TestCase):
    def test_a_row_a_connection(self) -> None:
        """270 W by two plugs: 135 W each, 11.25 A; 180 % of the rule's 150 W a cable."""
        b = build(
            board(),
            card(),
            cables=(graphics_cable("g1"),),
            runs=(run("g1", "g1", a="card#1/a", b="card#1/b"),),
        )
        rows = _rows(b)
        self.assertEqual(
            [(r["plug"][0], r["socket"]) for r in rows], [("a", "Card · a"), ("b", "Card · b")]
        )
        first = rows[0]
        found = [
            first[c] for c in ("cable", "family", "port", "at mm", "W at full", "A at 12 V, full")
        ]
        self.assertEqual(found, ["G1", "Test A", "G1", "600", "135.0", "11.25"])
        self.assertEqual((first["share %"], first["verdict"]), ("180", "refused"))
        self.assertIn("House rule", first["governing limit"])

    def test_through_an_adapter(self) -> None:
        """Each lead's row ends at the card's socket, which carries 240 W."""
        rows = _rows(by_adapter(290, 2, 2))
        said = [(r["cable"], r["through"], r["socket"], r["W at full"]) for r in rows]
        self.assertEqual(
            said, [("G1", "Adapter", "Card", "240.0"), ("G2", "Adapter", "Card", "240.0")]
        )

    def test_a_cable_that_feeds_nothing_and_a_name_that_begins_a_sum(self) -> None:
        cable = sata_cable().model_copy(update={"name": "=1+1"})
        b = build(board(), disk(), cables=(cable,), runs=(run("sata", "d1"),))
        self.assertEqual([(r["cable"], r["socket"]) for r in _rows(b)], [("'=1+1", "")])

    def test_what_is_missing_reads_at_least(self) -> None:
        b = build(
            board(),
            card(board_power_w=None),
            cables=(graphics_cable("g1", count=1),),
            runs=(run("g1", "g1", a="card#1/a"),),
        )
        self.assertTrue(_rows(b)[0]["W at full"].startswith("≥ "))


class Picture(unittest.TestCase):
    def test_it_is_drawn_to_scale_and_well_formed(self) -> None:
        text = loom_svg.write(compact(analyse(by_adapter(290, 2, 2))))
        root = ElementTree.fromstring(text)
        said = " ".join(x.text or "" for x in root.iter("{http://www.w3.org/2000/svg}text"))
        for words in (
            "G1",
            "within",
            "Between cable and socket",
            "Adapter: a by G1, b by G2; feeds Card",
        ):
            self.assertIn(words, said)

    def test_as_pdf_the_same_bytes_each_time(self) -> None:
        result = compact(analyse(by_adapter(290, 2, 2)))
        page = loom_pdf.write(result)
        self.assertEqual((page[:5], page), (b"%PDF-", loom_pdf.write(result)))

    def test_a_lead_of_an_adapter_hangs_below_its_cable(self) -> None:
        """Two leads of 300 mm behind plugs at 600 mm: each from 600 to 900 mm."""
        result = compact(analyse(by_adapter(290, 2, 2)))
        ways = [(o.from_mm, o.to_mm, o.plug.feeds) for x in result.lanes for o in x.onward]
        long_mm = ways[0][1] - ways[0][0]
        self.assertEqual(ways, [(ways[0][0], ways[0][0] + long_mm, "Card")] * 2)
        dashed = [s for s in drawing(result).shapes if isinstance(s, Stroke) and s.width == 2]
        self.assertEqual(len(dashed), 4)

    def test_the_current_goes_on_through_it(self) -> None:
        """240 W over two leads: 10 A each, along the cable and along the lead."""
        lane = compact(analyse(by_adapter(290, 2, 2))).lanes[0]
        amps = [(s.through != "", round(s.amps["full"], 6)) for s in lane.steps if s.rail == "v12"]
        self.assertEqual(amps, [(False, 10.0), (True, 10.0)])

    def test_a_name_can_not_break_it(self) -> None:
        b = build(board(), name='<script>"&')
        ElementTree.fromstring(loom_svg.write(compact(analyse(b))))
