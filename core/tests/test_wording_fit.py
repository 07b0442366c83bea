"""Room and air in words: whole sentences, with figures worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.publishing import compact, fit_answer
from easy_tally.things.case import Case, RadiatorPlace
from easy_tally.things.parts import Card, Cooler, Fan, Part, Slot
from easy_tally.things.place import Place

from .helpers import board, build, card, disk, rules, supply, told
from .test_fit import MEASURED, case

_SUPPLY = supply(fan_side="wide")


def _said(*parts: Part, **more: Any) -> dict[str, list[str]]:
    """Every sentence of the fit, by its check."""
    fields = {"case": case(), "place": Place(stands_on="table"), "supply": _SUPPLY} | more
    found: dict[str, list[str]] = {}
    for c in fit_answer(analyse(build(*parts, **fields))).checks:
        found.setdefault(c.id, []).append(f"{c.name}: {c.text}" if c.name else c.text)
    return found


def _mend(*parts: Part, **more: Any) -> dict[str, tuple[str, str]]:
    fields = {"case": case(), "place": Place(stands_on="table"), "supply": _SUPPLY} | more
    mend = told(compact(analyse(build(*parts, **fields))))
    return {m.id: (f"{m.title}: {m.text}", m.fix) for m in mend if m.id.startswith("fit.")}


def _named(of: Card, slot: str, **more: Any) -> Card:
    return of.model_copy(update={"slot": slot, **more})


class Cards(unittest.TestCase):
    def test_what_has_room_says_of_how_much(self) -> None:
        """Its edge at 130 mm, and 35 mm for an 8-pin plug and its bend."""
        said = _said(board(), card(**MEASURED))
        self.assertEqual(said["card-length"], ["Card: 300 mm long of 330 mm"])
        self.assertEqual(said["card-height"], ["Card: 130 mm high of 190 mm to the side panel"])
        self.assertEqual(
            said["plug-room"],
            [
                "Card: its edge at 130 mm and its plug and bend, 35 mm, take 165 mm of 190 mm to "
                "the side panel"
            ],
        )
        self.assertEqual(said["slots"], ["the cards cover 3 slot places of 7"])
        self.assertEqual(said["support"], ["Card: support: in the box"])

    def test_what_has_none_says_what_there_is_and_what_to_do(self) -> None:
        mend = _mend(board(), card(**(MEASURED | {"length_mm": 340, "height_mm": 200})))
        other = "Take a smaller card, or a larger case."
        self.assertEqual(
            mend["fit.card-length"], ("Card: 340 mm long, and there is room for 330 mm.", other)
        )
        self.assertEqual(
            mend["fit.card-height"],
            ("Card: 200 mm high, and the side panel is 190 mm from the slot.", other),
        )
        said, fix = mend["fit.plug-room"]
        self.assertEqual(
            said,
            "Card: Its edge at 200 mm and its plug and bend, 35 mm, take 235 mm; the side panel is "
            "at 190 mm.",
        )
        self.assertIn("Never bend it closer.", fix)

    def test_two_on_one_place_and_one_beyond_the_last(self) -> None:
        """The first covers places 1 to 3, the other stands in 3; three places from 3 end at 5."""
        slots = (Slot(key="slot-1", place=1), Slot(key="slot-2", place=3))
        one = _named(card(**MEASURED), "slot-1")
        other = _named(card(**MEASURED), "slot-2", key="other", name="Other")
        both = _said(board(slots=slots), one, other)
        self.assertEqual(both["slots"], ["Other and Card cover the same place"])
        beyond = _said(board(slots=slots), other, case=case(slots=4))
        self.assertEqual(beyond["slots"], ["Other reaches beyond the last place of the case"])

    def test_a_hot_card_with_another_beside_it(self) -> None:
        """3 and 2 places of 7 leave 2."""
        slots = (Slot(key="slot-1", place=1), Slot(key="slot-2", place=4))
        one = _named(card(**MEASURED), "slot-1")
        other = _named(card(120, **MEASURED), "slot-2", key="other", name="Other", covers=2)
        said = _said(board(slots=slots), one, other)
        self.assertEqual(
            said["free-place"],
            [
                "Card: the hottest card has Other right beside its fans, though 2 places of the "
                "case would be free"
            ],
        )

    def test_a_heavy_card(self) -> None:
        said = _said(board(), card(**(MEASURED | {"support": "needed"})))
        self.assertEqual(
            said["support"], ["Card: its weight asks for a support: fit one before its cable"]
        )

    def test_what_nobody_measured_is_said_to_be_assumed(self) -> None:
        """320 W: 320 mm long as usual, 345 cautiously; a case of no size 370, as small as 250."""
        said = _said(board(), card(), case=Case(name="Case"))
        self.assertEqual(
            said["card-length"],
            [
                "Card: 320 mm long of 370 mm; assumed, by usual measures, and not so at their "
                "cautious end"
            ],
        )


class Beside(unittest.TestCase):
    def test_radiators(self) -> None:
        """60 mm of room at the front take a radiator of 30 and fans of 25; 70 and 25 are 95."""
        coolers = (
            Cooler(key="c", name="C", side="top", radiator_mm=360, thick_mm=60),
            Cooler(key="d", name="D", radiator_mm=240, thick_mm=30),
            Cooler(key="e", name="E", side="front", radiator_mm=420, thick_mm=30),
            Cooler(key="f", name="F", side="front", radiator_mm=240, thick_mm=70),
        )
        self.assertEqual(
            _said(board(), *coolers)["radiator"],
            [
                "C: the case has no place for a radiator at the top",
                "D: its radiator goes to the front",
                "E: its radiator is 420 mm, and at the front there is room for 360 mm",
                "F: radiator and fans are 95 mm thick, and at the front there is room for 60 mm",
            ],
        )
        fixes = {fix for id, (_, fix) in _mend(board(), *coolers).items() if id == "fit.radiator"}
        self.assertEqual(fixes, {"Mount it elsewhere, or take a smaller one."})

    def test_a_case_without_any_place_for_one(self) -> None:
        cooler = Cooler(key="c", name="C", radiator_mm=240, thick_mm=30)
        said = _said(board(), cooler, case=case(radiators=()))
        self.assertEqual(said["radiator"], ["C: the case has no place for a radiator"])

    def test_bays(self) -> None:
        small = disk(3, form="2.5").model_copy(update={"key": "ssd"})
        said = _said(board(), disk(3), small)
        self.assertEqual(said["bays-35"], ["3.5-inch drives: 3, and room for 2"])
        self.assertEqual(said["bays-25"], ["2.5-inch drives: 3, and room for 2"])
        fix = _mend(board(), disk(3))["fit.bays-35"][1]
        self.assertEqual(fix, "Take fewer drives, or a case with more bays.")

    def test_which_way_the_supplys_fan_looks(self) -> None:
        for more, text in (
            ({}, "the supply’s fan looks down: a filtered vent, raised by 20 mm"),
            (
                {"place": Place(stands_on="carpet")},
                "the supply’s fan looks up: it stands on carpet",
            ),
            (
                {"house_rules": rules(supply_fan="up")},
                "the supply’s fan looks up by your house rule; here down is better: a filtered "
                "vent, raised by 20 mm",
            ),
        ):
            self.assertEqual(_said(board(), **more)["supply-fan"], [text])

    def test_air(self) -> None:
        """The board's 25 W and 320 W are 345 W; 345 × 3600 ÷ (1.2 × 1005 × 10) are 103 m³/h. A fan
        of 120 mm moves half of its stated 80 in a case."""
        fan = Fan(key="fan", name="Fan", count=2, flow_m3h=80, side="front", blows="in")
        plain = _said(board(), card(**MEASURED))
        self.assertEqual(
            plain["airflow"],
            [
                "air: 345 W at full, 10 °C warmer, take 103 m³/h; the fans move 0 m³/h in the "
                "case: 3 more fans of 120 mm would do"
            ],
        )
        aired = _said(board(), card(**MEASURED), fan)["airflow"][0]
        end = "the fans move 80 m³/h in the case: 1 more fan of 120 mm would do"
        self.assertTrue(aired.endswith(end), aired)
        unmeasured = fan.model_copy(update={"flow_m3h": None})
        aired = _said(board(), card(**MEASURED), unmeasured)["airflow"][0]
        self.assertIn("the fans move 85 m³/h in the case", aired)
        self.assertTrue(aired.endswith("; assumed, by usual measures"), aired)

    def test_a_place_by_a_radiators_size(self) -> None:
        wide = case(radiators=(RadiatorPlace(side="top", up_to_mm=280, room_mm=80),))
        cooler = Cooler(key="c", name="C", radiator_mm=360, thick_mm=30)
        self.assertEqual(
            _said(board(), cooler, case=wide)["radiator"],
            ["C: its radiator is 360 mm, and there is room for 280 mm"],
        )
