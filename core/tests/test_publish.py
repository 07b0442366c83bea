"""The whole result: strip, what to mend, the overall verdict, Heron's own point."""

from __future__ import annotations

import json
import unittest
from pathlib import Path

import jsonschema
from easy_tally import editing as edits
from easy_tally.analysis.analyse import analyse
from easy_tally.base.declared import Figure
from easy_tally.files import build_file
from easy_tally.files.printout import print_report
from easy_tally.mapping import applied, solve
from easy_tally.publishing.publish import compact, exit_status, report
from easy_tally.publishing.result import Compact, Report
from easy_tally.things.build import Build
from easy_tally.things.parts import UsbLoad
from pydantic import TypeAdapter

from .helpers import apply, board, build, card, graphics_cable, ref, rules, run, told
from .test_editing import _bench

ROOT = Path(__file__).resolve().parent.parent.parent


def _heron() -> Build:
    return build_file.read((ROOT / "demo/builds/heron.tally.json").read_text(encoding="utf-8"))


def _mend(found: Compact) -> list[tuple[str, str, str]]:
    return [(m.kind, m.of, m.subject) for m in told(found)]


class Heron(unittest.TestCase):
    """Its point: a second card chained on one cable, and a disk forgotten."""

    def test_totals(self) -> None:
        """Board 25, processor 140 ÷ 0.9 = 155.56, memory 10, cards 320 + 230, M.2 8.2,
        disks 3 × (6.6 + 3) = 28.8, fans 5 × 2.16 = 10.8: 788.36 W. Beside them the cooler,
        3.6 + 2 × 2.64 + 1 = 9.88, hub 1.2, lights 1.1 A × 5 V = 5.5, USB 4.5, capture card 9:
        30.08 W more, 818.44 W."""
        found = compact(analyse(_heron()))
        self.assertAlmostEqual(found.strip.watts["full"].likely, 818.4355555, places=6)

    def test_the_sum_governs_and_the_supply_is_right(self) -> None:
        """818.44 × 1.2 = 982.12 W; next common size 1000; the card maker's floor is 750 W."""
        found = compact(analyse(_heron()))
        self.assertEqual([r.id for r in found.sizing.rules if r.governs], ["sum"])
        self.assertAlmostEqual(found.sizing.needed.likely, 982.1226666, places=6)  # type: ignore[union-attr]
        self.assertEqual(found.sizing.pick_w, 1000)
        self.assertEqual(found.strip.supply_verdict, "right size")
        self.assertEqual(found.strip.supply_percent, 82)

    def test_what_is_to_mend(self) -> None:
        """230 W less 20 W of an x8 slot is 210 W on a cable that may carry 150 W: 140 %."""
        found = compact(analyse(_heron()))
        self.assertEqual(
            _mend(found), [("refused", "cable", "graphics-1"), ("unfed", "socket", "disk#3/power")]
        )
        self.assertIn("210 W of 150 W, 140 %", told(found)[0].text)
        self.assertIn("Graphics cable 3 is in the box", told(found)[0].fix)

    def test_mending_it(self) -> None:
        b = apply(_heron(), edits.Connect(cable="graphics-3", plug="a", socket=ref("card-2#1/b")))
        b = apply(b, edits.Connect(cable="sata-1", plug="p3", socket=ref("disk#3/power")))
        found = compact(analyse(b))
        self.assertEqual(told(found), ())
        self.assertEqual((found.strip.sockets_fed, found.strip.sockets_needed), (10, 10))
        self.assertEqual(found.overall.verdict, "not proven")


class Few(unittest.TestCase):
    def test_without_a_supply_it_is_one_thing_to_mend(self) -> None:
        found = compact(analyse(build(board(), card(), supply=None)))
        self.assertEqual(_mend(found)[0], ("unfed", "supply", ""))
        self.assertEqual(len(told(found)), 1)
        self.assertIn("4 sockets wait for one", told(found)[0].text)


class ToMend(unittest.TestCase):
    def test_missing_figure_leads_to_its_field(self) -> None:
        found = compact(analyse(build(board(), card(board_power_w=None))))
        first = next(m for m in told(found) if m.of == "part")
        self.assertEqual(
            (first.kind, first.subject, first.field), ("unknown", "card", "board_power_w")
        )

    def test_no_parts_and_no_supply(self) -> None:
        self.assertEqual([m.title for m in told(compact(analyse(Build(name="x"))))], ["No parts"])
        found = compact(analyse(build(board(), supply=None)))
        self.assertIn("No supply", [m.title for m in told(found)])

    def test_supply_too_small_is_failed(self) -> None:
        b = build(board(), card(2000), supply=_bench().supply)
        failed = [(m.kind, m.id, m.field) for m in told(compact(analyse(b)))]
        self.assertIn(("failed", "supply.watts", "watts"), failed)

    def test_optional_sockets_are_not_demanded(self) -> None:
        unfed = [m.subject for m in told(compact(analyse(_bench()))) if m.kind == "unfed"]
        self.assertEqual(unfed, ["board#1/main", "board#1/cpu-1"])


class Overall(unittest.TestCase):
    def test_what_is_to_mend_comes_before_what_is_not_known(self) -> None:
        b = _heron()
        found = solve(b)
        assert found is not None
        b = applied(b, found)
        blank = edits.ChangePart(part="processor", changes={"package_w": None})
        spare = next(r.cable for r in b.runs if r.cable.startswith("graphics"))
        for edit, year, verdict in (
            (None, 2026, "proven"),
            (None, None, "not proven"),
            (blank, 2026, "not proven"),
            (edits.Unplug(cable=spare), 2026, "to mend"),
        ):
            of = apply(b, edit) if edit else b
            self.assertEqual(compact(analyse(of, year)).overall.verdict, verdict, edit)
        both = apply(apply(b, blank), edits.Unplug(cable=spare))
        self.assertEqual(compact(analyse(both, 2026)).overall.verdict, "to mend")

    def test_what_is_not_checked_is_listed(self) -> None:
        found = compact(analyse(_bench()))
        self.assertTrue(any("no case is chosen" in x for x in found.not_checked))

    def test_a_whole_map_is_the_proof_that_ports_and_cables_do(self) -> None:
        """Mapped, nothing is to mend and each limit is known: it is proven."""
        b = _heron()
        found = solve(b)
        assert found is not None
        mapped = compact(analyse(applied(b, found), 2026))
        self.assertEqual((mapped.overall.verdict, mapped.not_checked), ("proven", ()))
        checks = mapped.supply.checks if mapped.supply else ()
        leads = next(c.text for c in checks if c.id == "ports")
        self.assertEqual(leads, "leads: all 10 sockets fed, by the map")

    def test_exit_status(self) -> None:
        self.assertEqual(exit_status(report(analyse(_heron()))), 1)


class Published(unittest.TestCase):
    def test_the_result_holds_to_its_schema(self) -> None:
        schema = json.loads((ROOT / "docs/result.schema.json").read_text(encoding="utf-8"))
        for b in (_heron(), _bench(), Build(name="Empty")):
            value = TypeAdapter(Report).dump_python(report(analyse(b)), mode="json")
            jsonschema.Draft202012Validator(schema).validate(value)
            json.dumps(value, allow_nan=False)

    def test_every_run_has_its_elements_with_cause_and_source(self) -> None:
        for r in report(analyse(_heron())).runs:
            self.assertTrue(r.elements)
            self.assertTrue(all(e.cause and e.source and e.title for e in r.elements))

    def test_the_printout_says_what_is_refused_and_not_checked(self) -> None:
        text = print_report(report(analyse(_heron())))
        for piece in ("819 W", "refused  C5", "Not checked yet"):
            self.assertIn(piece, text)

    def test_the_printout_rounds_as_the_application_does(self) -> None:
        """30.1 W, from 20.2 W to 40.4 W: rounded up at each end, never for the builder."""
        figure = Figure(low=20.2, likely=30.1, high=40.4)
        said = build(UsbLoad(key="usb", name="U", draw_w=figure))
        said = said.model_copy(update={"none_here": ("fans", "storage")})
        text = print_report(report(analyse(said)))
        self.assertIn("full      31 W (21–41)", text)

    def test_wording_of_a_refused_chain(self) -> None:
        b = build(
            card(),
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
            house_rules=rules(chained_graphics="never"),
        )
        self.assertEqual(
            compact(analyse(b)).lanes[0].cause,
            "House rule: never both plugs of a chain: 2 plugs in use, 1 allowed. "
            "Refused by your house rule.",
        )
