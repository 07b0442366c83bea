"""What comes in a box is at hand: it counts before it is put in, once, and is told whose it is."""

from __future__ import annotations

import unittest
from dataclasses import replace

from easy_tally.advice import map_it, ways_to_stay
from easy_tally.analysis import analyse
from easy_tally.entry import parse, say
from easy_tally.entry.kits import read_box, say_box
from easy_tally.mapping import InStock
from easy_tally.publishing import compact, map_answer
from easy_tally.supplies import check_supply
from easy_tally.supplies.at_hand import at_hand
from easy_tally.things.adapters import Adapter, Bracket, Lead
from easy_tally.things.boxed import LoosePart
from easy_tally.things.build import Build
from easy_tally.things.cables import Plug
from easy_tally.things.case import Case
from easy_tally.things.parts import Card, Drive, Fan, Socket

from .helpers import (
    apply,
    board,
    board_cable,
    build,
    card,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    sata_cable,
    supply,
)
from .test_between import adapter


def _build(boxed: bool, lies: bool = False, **more: object) -> Build:
    """A card of 300 W with a 16-pin socket, and a supply without such a lead."""
    of = adapter(codes=((1, 150), (2, 300)))
    owner = card(300, sockets="16pin", slot_w=exact(10), in_box=(of,) if boxed else ())
    cables = (board_cable(), processor_cable(), *(graphics_cable(k, count=1) for k in ("g1", "g2")))
    own = supply(ports=tuple(p for p in supply().ports if p.kind != "16pin"))
    fields = {"cables": cables, "supply": own, "adapters": (of,) if lies else ()} | more
    return build(board(), processor(), owner, **fields)  # type: ignore[arg-type]


class AtHand(unittest.TestCase):
    def test_in_the_box_until_it_is_put_in(self) -> None:
        self.assertEqual([x.whose for x in at_hand(_build(True), None)], ["Card"])
        self.assertEqual(at_hand(_build(True, lies=True), None), ())

    def test_fans_until_they_are_among_the_parts(self) -> None:
        box = (LoosePart(kind="fan", name="Fans", count=3, size_mm=120),)
        case = Case(name="Case", in_box=box)
        self.assertEqual(len(at_hand(build(case=case), None)), 1)
        fans = Fan(key="fans", name="Fans", count=3)
        self.assertEqual(at_hand(build(fans, case=case), None), ())


class Checks(unittest.TestCase):
    def _ports(self, b: Build) -> tuple[str, str]:
        checks = compact(analyse(b, 2026)).supply
        assert checks is not None
        found = next(c for c in checks.checks if c.id == "ports")
        return found.status, found.text

    def test_a_supply_without_the_lead_fits_by_the_adapter_of_the_cards_box(self) -> None:
        self.assertEqual(self._ports(_build(False))[0], "fail")
        status, text = self._ports(_build(True))
        self.assertEqual(status, "pass")
        self.assertIn("Adapter from the box of Card", text)

    def test_what_lies_in_the_drawer(self) -> None:
        of = adapter(codes=((1, 150), (2, 300)))
        found = compact(analyse(_build(False), 2026, drawer=(of,))).supply
        assert found is not None
        check = next(c for c in found.checks if c.id == "ports")
        self.assertEqual(check.status, "pass")
        self.assertIn("Adapter from your drawer", check.text)

    def test_what_could_be_had_is_worth_a_look_and_coded_for_the_card(self) -> None:
        """300 W less 10 of the slot's are 290: one coded for 300 does, for 150 is no advice."""
        a = analyse(_build(False), 2026)
        assert a.build.supply is not None
        for watts, status in ((300, "warn"), (150, "fail")):
            sold = adapter(codes=((1, 150), (2, watts)))
            asked = replace(a.asked, could_be_had=(sold,))
            checks = check_supply(a.build.supply, asked).checks
            found = next(c for c in checks if c.id == "ports")
            self.assertEqual(found.status, status, watts)

    def test_what_is_coded_for_less_counts_for_nothing(self) -> None:
        less = adapter(codes=((1, 150), (2, 150)))
        found = compact(analyse(_build(False), 2026, drawer=(less,))).supply
        assert found is not None
        self.assertEqual(next(c for c in found.checks if c.id == "ports").status, "fail")
        stock = (InStock(thing=less, owned=False),)
        self.assertEqual(ways_to_stay(analyse(_build(False), 2026), stock), ())

    def test_a_code_that_nobody_says_is_asked_for_and_never_taken_for_granted(self) -> None:
        """290 W by two leads of 150 W: they would do, if it is coded so; one lead never would."""
        for leads, status in ((2, "unknown"), (1, "fail")):
            lying = adapter(leads, codes=())
            a = analyse(_build(False), 2026, drawer=(lying,))
            found = compact(a)
            assert found.supply is not None
            check = next(c for c in found.supply.checks if c.id == "ports")
            self.assertEqual(check.status, status, leads)
            asked = [x for x in found.find_out if x.id == "supply.ports"]
            self.assertEqual(len(asked), status == "unknown")
        stock = (InStock(thing=adapter(codes=()), owned=False),)
        self.assertEqual(ways_to_stay(analyse(_build(False), 2026), stock), ())

    def test_two_kinds_of_adapters_at_once(self) -> None:
        """A 16-pin lead and a floppy one are short; there is an adapter for each."""
        floppy = Drive(
            key="floppy", name="Floppy", form="floppy", sockets=(Socket(key="p", kind="fdd4"),)
        )
        b = _build(False)
        plugs = (Plug(key="a", kind="per4", at_mm=400),)
        cable = sata_cable("per").model_copy(update={"plugs": plugs})
        b = b.model_copy(update={"parts": (*b.parts, floppy), "cables": (*b.cables, cable)})
        a = analyse(b, 2026)
        sixteen = adapter(codes=((1, 150), (2, 300)))
        small = Adapter(
            key="small",
            name="Small",
            leads=(Lead(key="a", kind="per4"),),
            plugs=(Plug(key="x", kind="fdd4", at_mm=150),),
        )
        assert b.supply is not None
        for sold, status in (((sixteen,), "fail"), ((small,), "fail"), ((sixteen, small), "warn")):
            asked = replace(a.asked, could_be_had=sold)
            checks = check_supply(b.supply, asked).checks
            found = next(c for c in checks if c.id == "ports")
            self.assertEqual(found.status, status, sold)

    def test_a_bracket_in_the_supplys_box(self) -> None:
        case = Case(name="Case", supply_forms=("ATX",), size="mid")
        bracket = Bracket(name="Plate", form="SFX", place="ATX")
        for box, status in (((), "fail"), ((bracket,), "pass")):
            own = supply(form="SFX", length_mm=100, in_box=box)
            found = compact(analyse(build(board(), supply=own, case=case), 2026)).supply
            assert found is not None
            form = next(c for c in found.checks if c.id == "form")
            self.assertEqual(form.status, status)

    def test_it_may_stay_by_an_adapter_too(self) -> None:
        of = adapter(codes=((1, 150), (2, 300)))
        ways = ways_to_stay(analyse(_build(False), 2026), (InStock(thing=of, owned=False),))
        self.assertEqual([w.id for w in ways], ["adapter"])
        b = apply(_build(False), ways[0].edit)
        self.assertEqual(self._ports(b)[0], "pass")


class Map(unittest.TestCase):
    def test_the_map_takes_it_out_of_the_box(self) -> None:
        b = _build(True)
        found = map_it(b)
        self.assertEqual(found.status, "mapped")
        answer = map_answer(found)
        assert answer.edit is not None
        self.assertEqual([a.name for a in answer.edit.added.adapters], ["Adapter"])
        laid = apply(b, answer.edit)
        self.assertEqual(compact(analyse(laid, 2026)).strip.sockets_fed, 3)
        self.assertEqual(at_hand(laid, None), ())

    def test_nothing_is_taken_out_that_is_not_needed(self) -> None:
        native = _build(True, lies=True)
        found = map_it(native)
        self.assertIsNone(found.added)


class Lines(unittest.TestCase):
    def test_each_kind_reads_back(self) -> None:
        text = "three 8-pin to 16-pin adapter\n3 fans 120 mm\nhub for 6 fans\nsupport\nSFX to ATX"
        text += " bracket\ncage with 5 bays, two sata plugs\nsata extension 300 mm"
        things = read_box(text)
        kinds = [type(t).__name__ for t in things]
        self.assertEqual(
            kinds,
            ["Adapter", "LoosePart", "LoosePart", "LoosePart", "Bracket", "Backplane", "Extension"],
        )
        self.assertIsInstance(things[0], Adapter)
        self.assertEqual(read_box(say_box(things)), things)


class Said(unittest.TestCase):
    def test_an_adapter_said_with_its_card(self) -> None:
        """However it is said, its leads are no sockets of the card."""
        for line, leads in (
            ("card 450w 16pin with a 3x8pin adapter", 3),
            ("card 450 W, 16-pin, with an adapter from three 8-pin", 3),
            ("card 450 W, 16-pin, with a 16-pin adapter from three 8-pin", 3),
            ("card 450 W, 16-pin, comes with adapter to 3x8pin", 3),
            ("card 450w 16pin, 2 x 8-pin adapter in the box", 2),
            ("card 450w 16pin incl. 2x8pin adapter", 2),
            ("card 450 W 16-pin with three 8-pin to 16-pin adapter", 3),
            ("card 450 W, 16-pin, with a 16-pin adapter", 0),
            ("card 450 W, 16-pin, adapter included", 0),
        ):
            part = parse(line).part
            assert isinstance(part, Card), line
            self.assertEqual([s.kind for s in part.sockets], ["16pin"], line)
            boxed = [len(t.leads) for t in part.in_box if isinstance(t, Adapter)]
            self.assertEqual(boxed, [leads] if leads else [], line)
            self.assertEqual(parse(say(part)).part, part, line)
