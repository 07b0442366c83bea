"""Room in the case and the air through it: each figure worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.analysis.of_fit import fit_checks
from easy_tally.publishing import compact, fit_answer
from easy_tally.supplies.case.air import flow_m3h
from easy_tally.supplies.case.fit import FitCheck
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.build import Build
from easy_tally.things.case import Case, RadiatorPlace, Vent
from easy_tally.things.parts import Cooler, Drive, Fan, Other, Slot
from easy_tally.things.place import Place
from hypothesis import given
from hypothesis import strategies as st

from .helpers import board, build, card, exact, rules, run, sixteen_cable, supply

MEASURED: dict[str, Any] = {
    "length_mm": 300,
    "height_mm": 130,
    "covers": 3,
    "support": "in the box",
}


def case(**more: Any) -> Case:
    """Room for everything that `build` has in it."""
    fields: dict[str, Any] = {
        "name": "Case",
        "card_length_mm": 330,
        "card_height_mm": 190,
        "slots": 7,
        "bays_35": 2,
        "bays_25": 2,
        "supply_at": "bottom",
        "feet_mm": 20,
        "vents": (Vent(side="bottom", filtered=True),),
        "radiators": (RadiatorPlace(side="front", up_to_mm=360, room_mm=60),),
    }
    return Case(**(fields | more))


def _all(b: Build, id: str) -> list[FitCheck]:
    return [c for c in fit_checks(analyse(b)) if c.id == id]


def _of(id: str, *parts: Any, **more: Any) -> FitCheck:
    fields = {"case": case(), "place": Place(stands_on="table")} | more
    return _all(build(board(), *parts, **fields), id)[0]


class Cards(unittest.TestCase):
    def test_length_to_the_millimetre(self) -> None:
        for mm, status in ((330, "pass"), (330.5, "fail")):
            found = _of("card-length", card(**(MEASURED | {"length_mm": mm})))
            self.assertEqual((found.status, found.limit), (status, 330))

    def test_a_radiator_in_front_takes_its_thickness(self) -> None:
        """330 − 30 = 300."""
        long = card(**MEASURED)
        cooler = Cooler(key="c", name="C", side="front", radiator_mm=240, thick_mm=30)
        self.assertEqual(_of("card-length", long, cooler).status, "pass")
        thicker = cooler.model_copy(update={"thick_mm": 31})
        self.assertEqual(_of("card-length", long, thicker).status, "fail")
        # Where it is mounted decides, and nobody says so; a card that fits either way is told so.
        somewhere = thicker.model_copy(update={"side": None})
        found = _of("card-length", long, somewhere)
        self.assertEqual((found.status, found.missing[0].field), ("unknown", "side"))
        short = card(**(MEASURED | {"length_mm": 200}))
        self.assertEqual(_of("card-length", short, somewhere).status, "pass")
        unmeasured = somewhere.model_copy(update={"side": "front", "thick_mm": None})
        self.assertEqual(_of("card-length", short, unmeasured).status, "unknown")
        at_top = cooler.model_copy(update={"side": "top", "thick_mm": 90})
        self.assertEqual(_of("card-length", long, at_top).status, "pass")
        by_air = unmeasured.model_copy(update={"radiator_mm": 0})
        self.assertEqual(_of("card-length", long, by_air).status, "pass")

    def test_slots_are_counted(self) -> None:
        """3 + 3 = 6 of 7; a third card of at least one place is over 6."""
        two = [card(key=f"c{i}", **MEASURED) for i in range(2)]
        found = _of("slots", *two)
        self.assertEqual((found.status, found.load, found.limit), ("pass", 6, 7))
        unknown = card(key="c9", **(MEASURED | {"covers": None}))
        found = _of("slots", *two, unknown)  # a card of its watts covers three places: 9 of 7
        self.assertEqual((found.status, found.usual), ("unknown", "breaks"))
        self.assertEqual(_of("slots", *two, unknown, case=case(slots=6)).status, "fail")

    def _placed(self, *places: int) -> Build:
        slots = tuple(Slot(key=f"s{i}", place=p) for i, p in enumerate(places))
        cards = [
            card(key=f"c{i}", slot=f"s{i}", power=320 - 100 * i, **MEASURED)
            for i in range(len(places))
        ]
        return build(board(slots=slots), *cards, case=case())

    def test_two_cards_in_one_place(self) -> None:
        for places, status in (((1, 4), "pass"), ((1, 3), "fail"), ((1, 6), "fail")):
            self.assertEqual(_all(self._placed(*places), "slots")[0].status, status, places)

    def test_over_another_by_one_place_at_the_least(self) -> None:
        """Three places from the first cover the third's; where nobody says how many a card covers,
        it covers its own: two in the third place meet for certain, at the first and fourth not."""
        for places, status in (((1, 3), "fail"), ((3, 1), "unknown"), ((1, 4), "pass")):
            b = self._placed(*places)
            first, second = (p for p in b.parts if p.kind == "card")
            b = b.model_copy(
                update={"parts": (b.parts[0], first, second.model_copy(update={"covers": None}))}
            )
            self.assertEqual(_all(b, "slots")[0].status, status, places)

    def test_a_place_left_free_beside_the_hot_card(self) -> None:
        """Of seven places six are covered: one could be free below the first card."""
        for places, status in (((1, 4), "warn"), ((1, 5), "pass")):
            self.assertEqual(_all(self._placed(*places), "free-place")[0].status, status)

    def test_support(self) -> None:
        for fields, status in (
            ({"support": "needed"}, "warn"),
            ({"support": None}, "warn"),
            ({"support": None, "length_mm": 250, "covers": 2}, []),
            ({"support": None, "length_mm": 251, "covers": 2}, "warn"),
        ):
            b = build(board(), card(**(MEASURED | fields)), case=case())
            found = _all(b, "support")
            self.assertEqual(found[0].status if found else [], status, fields)


class Plugs(unittest.TestCase):
    def _room(self, panel: float, straight: float | None = None, **more: Any) -> FitCheck:
        cable = sixteen_cable()
        plug = cable.plugs[0].model_copy(update={"straight_mm": straight})
        cable = cable.model_copy(update={"plugs": (plug,)})
        b = build(
            board(),
            card(sockets="16pin", **MEASURED),
            cables=(cable,),
            case=case(card_height_mm=panel),
            runs=(run("sixteen", "h1", a="card#1/a"),),
            **more,
        )
        return _all(b, "plug-room")[0]

    def test_straight_length_and_bend(self) -> None:
        """130 + 12 of the plug + 40 straight + 10 of the bend = 192; by the maker's 35 it is 187,
        by the house rule of 35 too; 40 by the rule is 192 whatever the maker says."""
        self.assertEqual((self._room(192).status, self._room(192).load), ("pass", 192))
        self.assertEqual(self._room(191).status, "fail")
        self.assertEqual(self._room(187, 35).status, "pass")
        self.assertEqual(self._room(187, house_rules=rules(straight_length="35 mm")).status, "pass")
        strict = self._room(187, 35, house_rules=rules(straight_length="40 mm"))
        self.assertEqual((strict.status, strict.load), ("fail", 192))

    def test_which_cable_has_room_is_named(self) -> None:
        short = sixteen_cable(key="angled", name="Angled").plugs[0]
        angled = sixteen_cable(key="angled", name="Angled").model_copy(
            update={"plugs": (short.model_copy(update={"straight_mm": 20.0}),)}
        )
        b = build(
            board(),
            card(sockets="16pin", **MEASURED),
            cables=(sixteen_cable(), angled),
            case=case(card_height_mm=175),
            runs=(run("sixteen", "h1", a="card#1/a"),),
        )
        self.assertEqual(_all(b, "plug-room")[0].more["fits_with"], ("Angled",))

    def test_an_8_pin_plug(self) -> None:
        """130 + 35 = 165."""
        for panel, status in ((165, "pass"), (164, "fail")):
            found = _of("plug-room", card(**MEASURED), case=case(card_height_mm=panel))
            self.assertEqual(found.status, status)

    def test_plugs_to_the_front_are_held_against_the_length(self) -> None:
        """300 + 35 = 335 of 330."""
        found = _of("plug-room", card(plugs_face="front", **MEASURED))
        self.assertEqual((found.status, found.load, found.limit), ("fail", 335, 330))


class Radiators(unittest.TestCase):
    def _cooler(self, **more: Any) -> Cooler:
        fields = {"key": "c", "name": "C", "radiator_mm": 360, "thick_mm": 35, "side": "front"}
        return Cooler(**(fields | more))

    def test_size_thickness_and_side(self) -> None:
        """35 + 25 of the fans = 60."""
        for more, status in (
            ({}, "pass"),
            ({"thick_mm": 36}, "fail"),
            ({"radiator_mm": 420}, "fail"),
            ({"side": "top"}, "fail"),
            ({"side": None}, "pass"),
            ({"thick_mm": None}, "unknown"),
            ({"radiator_mm": None}, "unknown"),
        ):
            self.assertEqual(_of("radiator", self._cooler(**more)).status, status, more)
        unknown = _of("radiator", self._cooler(), case=case(radiators=None))
        self.assertEqual((unknown.status, unknown.missing[0].of), ("unknown", "case"))
        none = _of("radiator", self._cooler(), case=case(radiators=()))
        self.assertEqual(none.status, "fail")


class Bays(unittest.TestCase):
    def test_a_small_drive_may_stand_in_a_large_bay(self) -> None:
        """Two large bays, two small: one large drive leaves one bay for a third small one."""

        def drives(large: int, small: int) -> list[Drive]:
            made = [("3.5", large), ("2.5", small)]
            return [
                Drive(key=f"d{f[0]}", name=f, form=f, count=n)
                for f, n in made
                if n  # type: ignore[arg-type]
            ]

        for large, small, id, status in (
            (2, 2, "bays-25", "pass"),
            (2, 3, "bays-25", "fail"),
            (1, 3, "bays-25", "pass"),
            (3, 1, "bays-35", "fail"),
        ):
            self.assertEqual(_of(id, *drives(large, small)).status, status)
        self.assertEqual(_of("bays-35", *drives(3, 0), case=case(bays_35=None)).status, "unknown")


class SupplyFan(unittest.TestCase):
    def test_down_on_a_filtered_raised_vent_else_up(self) -> None:
        bare = (Vent(side="bottom", filtered=False),)
        for of, place, way in (
            (case(), "table", "down"),
            (case(), "carpet", "up"),
            (case(vents=()), "table", "up"),
            (case(vents=bare), "table", "up"),
            (case(feet_mm=0), "table", "up"),
            (case(supply_at="top"), "table", "as it stands"),
        ):
            found = _of(
                "supply-fan",
                supply=supply(fan_side="wide"),
                case=of,
                place=Place(stands_on=place),  # type: ignore[arg-type]
            )
            self.assertEqual(found.more["way"], way)
        unsaid = _of("supply-fan", supply=supply(fan_side="wide"), place=Place())
        self.assertEqual((unsaid.status, unsaid.more["way"]), ("pass", "down"))
        self.assertIn("on carpet it would look up", unsaid.more["why"])

    def test_a_house_rule_against_it_warns(self) -> None:
        for rule, status in (("down", "pass"), ("up", "warn"), ("by the case", "pass")):
            found = _of(
                "supply-fan", supply=supply(fan_side="wide"), house_rules=rules(supply_fan=rule)
            )
            self.assertEqual(found.status, status)


class Air(unittest.TestCase):
    def test_the_formula(self) -> None:
        """603 W ÷ (1.2 × 1005 × 10 °C) = 0.05 m³/s = 180 m³/h."""
        self.assertAlmostEqual(flow_m3h(603, 10), 180)

    def _fans(self, *fans: tuple[float | None, str | None]) -> FitCheck:
        """A build of 25 W: 25 ÷ 12060 × 3600 = 7.46 m³/h."""
        parts = [
            Fan(key=f"f{i}", name="F", flow_m3h=flow, blows=way, rated_a=exact(0))  # type: ignore[arg-type]
            for i, (flow, way) in enumerate(fans)
        ]
        return _of("airflow", *parts)

    def test_the_stronger_side_counts_at_half_its_flow(self) -> None:
        found = self._fans((15, "in"), (8, "out"))
        self.assertAlmostEqual(found.load or 0, 7.463, places=3)
        self.assertEqual((found.status, found.limit), ("pass", 7.5))
        self.assertEqual(self._fans((14, "in"), (14, "out")).status, "warn")

    def test_a_fan_of_which_nobody_says_which_way_is_taken_as_most_are_mounted(self) -> None:
        """14 in or out and 14 either, at half: as many in as out 7, at most 14."""
        found = self._fans((14, "in"), (14, None))
        self.assertEqual((found.status, found.limit, found.more["most"]), ("warn", 7, 14))
        self.assertEqual(self._fans((15, "in"), (14, None)).status, "pass")

    def test_a_flow_that_nobody_says_is_as_usual_for_its_size(self) -> None:
        """85 m³/h of 120 mm, at half 42.5; cautiously 60, 30: both are over the 7.46 needed."""
        found = self._fans((None, "in"))
        self.assertEqual((found.status, found.limit, found.usual), ("pass", 42.5, "holds"))

    def test_how_many_fans_are_lacking(self) -> None:
        """603 W take 180 m³/h, and nothing moves any: 4 fans of 42.5 move 170, 5 do."""
        load = Other(key="o", name="O", v12_w=exact(603 - 25))
        found = _of("airflow", load)
        self.assertAlmostEqual(found.load or 0, 180, places=6)
        self.assertEqual((found.more["lacking"], found.more["size_mm"]), (5, 120))

    def test_what_is_assumed_can_be_set(self) -> None:
        b = build(board(), case=case(), assumptions=Assumptions(air_rise_degc=5))
        self.assertAlmostEqual(_all(b, "airflow")[0].load or 0, 2 * 7.463, places=2)


class Whole(unittest.TestCase):
    def test_without_a_case_nothing_is_held_and_it_is_said(self) -> None:
        found = compact(analyse(build(board(), card(length_mm=600))))
        self.assertIn("room in the case, reach and air: no case is chosen", found.not_checked)

    def test_a_card_by_its_watts_in_a_case_that_is_measured(self) -> None:
        """320 W: 320 mm as usual, 345 at the cautious end, of 330: worth a look, and what to find
        out says up to which length it fits."""
        a = analyse(build(board(), card(), case=case(size="mid")))
        length = next(c for c in fit_checks(a) if c.id == "card-length")
        self.assertEqual((length.status, length.usual, length.load), ("pass", "breaks", 320))
        asked = next(i for i in compact(a).find_out if i.field == "length_mm")
        self.assertEqual((asked.settles, asked.subject), ("purchase", "card"))
        self.assertEqual(asked.means, "330 mm or less: it fits; more: it may not fit")

    def test_a_card_that_may_be_too_long_by_its_watts_is_not_called_so(self) -> None:
        """320 mm as usual of 310: not known, and one thing to find out."""
        a = analyse(build(board(), card(), case=case(size="mid", card_length_mm=310)))
        length = next(c for c in fit_checks(a) if c.id == "card-length")
        self.assertEqual(length.status, "unknown")

    def test_the_drawing_is_to_scale_and_marks_what_collides(self) -> None:
        a = analyse(build(board(), card(**(MEASURED | {"length_mm": 340})), case=case()))
        found = fit_answer(a)
        drawn = {(s.view, s.kind): s for s in found.shapes}
        self.assertEqual((drawn["side", "card"].w, drawn["side", "card"].collides), (340, True))
        self.assertEqual((drawn["front", "card"].w, drawn["front", "card"].collides), (130, False))
        self.assertEqual(drawn["side", "supply"].w, 160)

    @given(st.data())
    def test_less_knowledge_never_does_better(self, data: st.DataObject) -> None:
        """Taking a measure away makes no check pass that did not, but by a usual one that is marked
        as such."""
        rank = {"pass": 0, "warn": 1, "unknown": 2, "fail": 3}
        known: dict[str, Any] = {
            "length_mm": data.draw(st.sampled_from([200, 330, 331])),
            "height_mm": data.draw(st.sampled_from([100, 155, 190, 191])),
            "covers": data.draw(st.integers(1, 6)),
            "support": data.draw(st.sampled_from(["needed", "in the box"])),
        }
        gone = data.draw(st.sampled_from(sorted(known)))

        def worst(fields: dict[str, Any]) -> dict[str, int]:
            found = fit_checks(analyse(build(board(), card(**fields), case=case(slots=4))))
            return {c.id: max(rank[c.status], 2 * bool(c.usual)) for c in found}

        before, after = worst(known), worst(known | {gone: None})
        for id in before.keys() & after.keys():
            if before[id] != rank["fail"]:
                self.assertGreaterEqual(after[id], before[id], (id, gone))
            else:
                self.assertGreaterEqual(after[id], rank["unknown"], (id, gone))
