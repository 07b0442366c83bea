"""How a supply fits and lives in words: whole sentences, with figures worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.publishing import compact
from easy_tally.publishing.result import Compact
from easy_tally.things.adapters import Bracket
from easy_tally.things.case import Case, Route
from easy_tally.things.parts import Part
from easy_tally.things.place import Band, Place

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    graphics_cable,
    processor,
    processor_cable,
    sata_cable,
    supply,
    told,
)
from .test_supply_living import _load


def _result(*parts: Part, **more: Any) -> Compact:
    return compact(analyse(build(*parts, **more), 2026))


def _said(id: str, *parts: Part, **more: Any) -> str:
    """The sentence of one check of the supply."""
    answer = _result(*parts, **more).supply
    assert answer is not None
    return next(c.text for c in answer.checks if c.id == id)


def _mend(id: str, *parts: Part, **more: Any) -> tuple[str, str]:
    """What is to mend, and how."""
    m = next(m for m in told(_result(*parts, **more)) if m.id == f"supply.{id}")
    return f"{m.title}: {m.text}", m.fix


class Rails(unittest.TestCase):
    def test_which_rails_carry_the_load(self) -> None:
        """300 of 320 W are 93.75 %, 60 of 80 W 75 %, 100 of 160 W 62.5 %."""
        group = supply(regulation="group")
        together = "12 V and 5 V regulated together, with up to"
        self.assertEqual(
            _said("regulation", _load(300, 20), supply=group),
            f"{together} 94 % of the load on 12 V; volts may drift",
        )
        self.assertEqual(
            _said("regulation", _load(100, 60), supply=group),
            f"{together} 63 % of the load on 12 V",
        )
        self.assertEqual(
            _said("regulation", _load(20, 60)),
            "each rail regulated by itself, with up to 75 % of the load on 5 V and 3.3 V; it is "
            "made for 12 V",
        )

    def test_leads_that_are_short(self) -> None:
        said, fix = _mend(
            "ports",
            board(),
            processor(),
            card(sockets="pcie8 pcie8 pcie8"),
            disk(5),
            cables=(board_cable(), graphics_cable("c", 1), sata_cable()),
        )
        self.assertEqual(
            said,
            "Supply: Leads: one processor lead short, 0 of 1; two card leads short, 1 of 3; one "
            "SATA lead short, 4 of 5.",
        )
        self.assertEqual(
            fix, "Add a cable of its family in a free port, or take one with more leads."
        )

    def test_leads_that_are_enough(self) -> None:
        cables = (board_cable(), processor_cable(), graphics_cable("c", 1))
        said = _said("ports", board(), processor(), card(sockets="pcie8"), cables=cables)
        self.assertEqual(said, "leads: enough of each kind for the sockets, by count")

    def test_a_label_that_contradicts_itself(self) -> None:
        """1000 W ÷ 12 V are 83.3 A."""
        said, fix = _mend("contradiction", _load(100), supply=supply(v12_a=90))
        self.assertEqual(
            said,
            "Supply: Its label contradicts itself: 12 V: at most 1000 W ÷ 12 V = 83.3 A, got 90 A.",
        )
        self.assertEqual(fix, "Set the one right that is a slip.")


class Room(unittest.TestCase):
    def test_form(self) -> None:
        small = Case(name="Case", supply_forms=("SFX",))
        bracket = Bracket(name="Plate", form="ATX", place="SFX")
        for more, text in (
            ({"case": small}, "form: ATX; Case takes SFX"),
            (
                {"case": small.model_copy(update={"brackets": ("ATX",)})},
                "form: ATX, in Case by a bracket, which is yet to be had",
            ),
            ({"case": small, "bracket": bracket}, "form: ATX, in Case by Plate"),
            (
                {"case": small, "bracket": bracket.model_copy(update={"place": "TFX"})},
                "form: ATX; Case takes SFX, and Plate holds ATX in TFX",
            ),
            ({"case": Case(name="Case", supply_forms=("ATX",))}, "form: ATX, in Case"),
            ({"case": Case(name="Case")}, "form: not known without what the case has room for"),
            ({}, "form: no case is chosen"),
        ):
            self.assertEqual(_said("form", _load(100), **more), text)

    def test_length_with_its_plugs(self) -> None:
        """160 mm and 25 for plugs and their bend; one that is not modular has none."""
        tight = Case(name="Case", supply_length_mm=180)
        said, fix = _mend("length", _load(100), case=tight)
        self.assertEqual(said, "Supply: Length: 185 mm, 25 mm of it plugs, of 180 mm in the case.")
        self.assertEqual(fix, "Take a shorter supply.")
        fixed = _said("length", _load(100), case=tight, supply=supply(modular="not"))
        self.assertEqual(fixed, "length: 160 mm of 180 mm in the case")

    def test_reach(self) -> None:
        """700 mm of route and 40 of slack; the plug hangs at 700."""
        far = Case(name="Case", routes=(Route(area="processor", length_mm=700),))
        said, fix = _mend("reach", board(), cables=(board_cable(), processor_cable()), case=far)
        self.assertEqual(
            said,
            "Supply: Reach: the processor is 740 mm away, its longest plug reaches 700 mm; a cable "
            "or an extension longer by 40 mm is needed.",
        )
        self.assertEqual(fix, "Use a longer cable of its family, or an extension.")


class Life(unittest.TestCase):
    """Gold at 230 V: 90 % at a fifth; at 115 V 90 % at half and 87 % at full."""

    def test_share_and_quiet(self) -> None:
        self.assertEqual(
            _said("share", _load(200)), "load: 20 % of its rating idle, 20 % everyday, 20 % at full"
        )
        for watts, text in (
            (200, "quiet: its fan stands in everyday use, 20 % of its rating, still to 30 %"),
            (400, "quiet: its fan turns in everyday use, at 40 % of its rating"),
            (600, "quiet: its fan turns in everyday use, at 60 % of its rating; over half"),
        ):
            self.assertEqual(_said("quiet", _load(watts)), text)

    def test_efficiency(self) -> None:
        """200 W ÷ 0.9 are 222.2 W, at 3.412 BTU/h a watt 758."""
        self.assertEqual(
            _said("efficiency", _load(200)),
            "efficiency: 90.0 % everyday, 90.0 % at full, at the least, by its grade; from the "
            "wall 223 W idle, 223 W everyday, 223 W at full, which is 758 BTU/h of heat",
        )

    def test_cost(self) -> None:
        """222.2 W for 10 hours of 365 days are 811.1 kWh, at 0.30 243.33."""
        for place, text in (
            (Place(), "cost: 812 kWh a year; no price is entered"),
            (Place(price_kwh=0.3, currency="EUR"), "cost: 812 kWh a year, 243.33 EUR"),
            (
                Place(tariff=(Band(name="day", price_kwh=0.3, from_h=0, to_h=24),), currency="EUR"),
                "cost: 812 kWh a year, 243.33 EUR, over 1 band of price",
            ),
        ):
            self.assertEqual(_said("cost", _load(200), place=place), text)

    def test_mains(self) -> None:
        """At 60 % gold is 89.4 % at 115 V: 600 W are 671.1 W, by a power factor of 0.95 6.1 A. With
        100 W beside it 771.1 W, and 115 × 6 × 0.8 = 552 W may be drawn."""
        said, fix = _mend("mains", _load(600), place=Place(mains_v=115, breaker_a=6, other_w=100))
        self.assertEqual(
            said,
            "Supply: Mains: 6.1 A at 115 V at full; 772 W on a circuit of 115 V × 6 A × 0.8 = "
            "552 W for hours, as arithmetic: local codes decide.",
        )
        self.assertEqual(
            fix, "Take load off the circuit. Local codes and a licensed electrician decide."
        )
        self.assertEqual(_said("mains", _load(200)), "mains: 1.0 A at 230 V at full")

    def test_hold_up(self) -> None:
        for watts, transfer, more, text in (
            (600, 10, {}, "17 ms, by its design, and the UPS takes 10 ms to step in"),
            (
                900,
                18,
                {"design": "classic"},
                "16 ms, by its design, and the UPS takes 18 ms to step in",
            ),
            (900, 12, {"hold_up_ms": 14}, "14 ms, stated, and the UPS takes 12 ms to step in"),
        ):
            place = Place(ups_transfer_ms=transfer)
            said = _said("hold-up", _load(watts), place=place, supply=supply(**more))
            self.assertEqual(said, f"hold-up: {text}")
        self.assertEqual(_said("hold-up", _load(100)), "hold-up: no UPS is entered")

    def test_age(self) -> None:
        for made, text in (
            (2018, "age: 8 years old"),
            (2017, "age: 9 years old, over 8"),
            (None, "age: nobody says when it was made"),
        ):
            self.assertEqual(_said("age", _load(100), supply=supply(made=made)), text)


class NotKnown(unittest.TestCase):
    def test_what_is_lacking_is_named_at_each_check_and_once_to_mend(self) -> None:
        blank = supply(
            rated_w=None,
            grade=None,
            fan_off_share=None,
            fan_off_degc=50,
            form=None,
            length_mm=None,
            regulation=None,
        )
        more = {"supply": blank, "case": Case(name="Case")}
        for id, text in (
            ("form", "not known without its form and what the case has room for"),
            ("share", "not known without its rating"),
            ("quiet", "not known without its rating"),
            ("cost", "not known without its rating"),
        ):
            self.assertEqual(_said(id, _load(600), **more), f"{id}: {text}")
        said, fix = _mend("unknown", _load(600), **more)
        self.assertEqual(
            said,
            "Supply: Not checked for want of figures: ports, form, length, share, "
            "quiet, efficiency, cost, mains.",
        )
        self.assertEqual(
            fix,
            "Find out its ports and cables, its form, what the case has room for, its length and "
            "its rating, and enter it on the Supply page.",
        )
