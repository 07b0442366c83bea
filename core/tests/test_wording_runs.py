"""Runs in words: what limits one, and what would mend just that."""

from __future__ import annotations

import unittest

from easy_tally.analysis import analyse
from easy_tally.publishing import compact, run_answer
from easy_tally.publishing.result import Mend
from easy_tally.things.adapters import Adapter, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Connection, Plug, RailPins
from easy_tally.things.case import Case, Route

from .helpers import (
    build,
    card,
    disk,
    graphics_cable,
    ref,
    rules,
    run,
    sata_cable,
    sixteen_cable,
    told,
)
from .test_between import adapter, by_adapter


def _mend(b: Build) -> dict[str, Mend]:
    """What is to mend of the runs, by their ports and cable."""
    return {m.title: m for m in told(compact(analyse(b))) if m.id.startswith("run.")}


def _one(power: float = 320, **more: object) -> Build:
    """One plug of 600 mm at one of a card's two sockets."""
    cables = (graphics_cable("one", count=1),)
    runs = (run("one", "g1", a="card#1/a"),)
    return build(card(power), **({"cables": cables, "runs": runs} | more))  # type: ignore[arg-type]


def _texts(b: Build, words: str) -> list[str]:
    a = analyse(b)
    answers = [run_answer(a, r) for r in a.runs]
    return [e.cause for r in answers for e in r.elements if e.title.startswith(words)]


class Over(unittest.TestCase):
    def test_one_plug_that_carries_too_much(self) -> None:
        """400 − 50 W by the slot, all of it by the one plug that is in: 350 W of 150, 233.3 %."""
        found = _mend(_one(400))["G1 One"]
        self.assertEqual(
            found.text, "Granted by standard, Card · a: 350 W of 150 W, 234 %, at full load."
        )
        self.assertEqual(found.fix, "Feed Card · b too, which then takes its share.")
        both = build(
            card(400),
            cables=(graphics_cable("one", count=1), graphics_cable("two", count=1)),
            runs=(run("one", "g1", a="card#1/a"), run("two", "g2", a="card#1/b")),
        )
        self.assertEqual(
            _mend(both)["G1 One"].fix,
            "Lower the part’s power limit: no cable makes its plug stand more.",
        )

    def test_contacts_of_one_plug_that_carry_too_much(self) -> None:
        """580 − 50 W by the slot are 44.17 A: 14.72 A each of three conductors of 13, 113.2 %."""
        thin = sixteen_cable(conductors=RailPins(v12=3, ground=3))
        b = build(card(580, "16pin"), cables=(thin,), runs=(run("sixteen", "h1", a="card#1/a"),))
        found = _mend(b)["H1 16-pin cable"]
        self.assertEqual(
            found.text,
            "Wires 0–700 mm, 16 AWG, 3 of 12 V: 14.72 A of 13.00 A, 114 %, at full load.",
        )
        self.assertEqual(
            found.fix, "Use a cable that is rated for more, or lower the part’s power limit."
        )

    def test_a_chain_and_a_spare_cable_for_its_last_plug(self) -> None:
        """(320 − 50) W ÷ 12 V = 22.5 A over 3 pins: 7.5 of 7 A. The rule allows 150 W of 270."""
        chain = build(
            card(320),
            cables=(graphics_cable(), graphics_cable("spare", count=1)),
            runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
        )
        found = _mend(chain)["G1 Chain"]
        self.assertEqual(
            found.text,
            "House rule: one plug’s worth a cable: 270 W of 150 W, 180 %, at full load. Refused by "
            "your house rule.",
        )
        self.assertEqual(
            found.fix, "Move Card · b to a cable of its own: Spare is in the box and G2 is free."
        )
        by_pins = chain.model_copy(update={"house_rules": rules(chained_graphics="by pins")})
        self.assertEqual(
            _mend(by_pins)["G1 Chain"].text,
            "Supply-end pins, 3 of 12 V: 7.50 A of 7.00 A, 108 %, at full load.",
        )
        bare = chain.model_copy(update={"cables": chain.cables[:1]})
        self.assertEqual(
            _mend(bare)["G1 Chain"].fix,
            "Move one of its plugs to another cable; there is no spare one with a free port.",
        )

    def test_both_plugs_of_a_chain_where_that_is_never_allowed(self) -> None:
        chain = build(
            card(200),
            cables=(graphics_cable(),),
            house_rules=rules(chained_graphics="never"),
            runs=(run("chain", "g1", a="card#1/a", b="card#1/b"),),
        )
        self.assertEqual(
            _mend(chain)["G1 Chain"].text,
            "House rule: never both plugs of a chain: 2 plugs in use, 1 allowed. Refused by your "
            "house rule.",
        )

    def test_a_plug_that_does_not_reach(self) -> None:
        """700 mm of route and 40 of slack: 140 more than 600."""
        far = Case(name="Case", routes=(Route(area="card", length_mm=700),))
        found = _mend(_one(150, case=far))["G1 One"]
        self.assertEqual(
            found.text, "Reach to Card · a: 600 mm, and the way is 740 mm; it is 140 mm short."
        )
        self.assertEqual(found.fix, "Use a longer cable of its family, or an extension.")

    def test_plugs_of_a_chain_that_are_too_close(self) -> None:
        """From 300 to 600 mm of route are 300; the plugs hang 100 apart."""
        routes = (
            Route(area="3.5-inch bays", length_mm=300),
            Route(area="2.5-inch places", length_mm=600),
        )
        small = disk(form="2.5").model_copy(update={"key": "ssd", "name": "Small"})
        b = build(
            disk(),
            small,
            cables=(sata_cable(plugs=2),),
            runs=(run("sata", "d1", p1="disk#1/power", p2="ssd#1/power"),),
            case=Case(name="Case", routes=routes),
        )
        found = _mend(b)["D1 sata"]
        self.assertEqual(
            found.text,
            "Between the plugs, to Small: 100 mm, and the way is 300 mm; it is 200 mm short.",
        )
        self.assertEqual(
            found.fix, "Feed them from two cables, or take one with its plugs further apart."
        )

    def test_an_adapter_with_too_few_of_its_leads(self) -> None:
        found = _mend(by_adapter(200, 2, 1))["G1 G1"]
        self.assertEqual(
            found.text,
            "Granted by standard, Card, by Adapter: the card does not start, it needs at least 2 "
            "leads plugged in.",
        )
        self.assertEqual(found.fix, "Plug its other leads in, each on a cable of its own.")

    def test_what_is_never_allowed(self) -> None:
        """A SATA plug is granted 4.5 A × 12 V = 54 W."""
        of = Adapter(
            key="adapter",
            name="Adapter",
            leads=(Lead(key="a", kind="sata"),),
            gauge=18,
            plugs=(Plug(key="x", kind="pcie6+2", at_mm=100),),
            conductors=RailPins(v12=1, ground=1),
            connections=(Connection(plug="x", socket=ref("card#1/a")),),
        )
        b = build(
            card(100),
            cables=(sata_cable(),),
            adapters=(of,),
            runs=(run("sata", "d1", p1="adapter#1/a"),),
        )
        found = _mend(b)["D1 sata"]
        self.assertEqual(
            found.text,
            "Never allowed: Adapter: a SATA plug brings 54 W, a graphics socket may draw more.",
        )
        self.assertEqual(
            found.fix,
            "Feed the socket by a plug that is made for it, or by an adapter whose leads each have "
            "a cable of their own.",
        )


class Unknown(unittest.TestCase):
    def test_the_part_whose_figure_is_missing_is_named(self) -> None:
        blank = card().model_copy(update={"board_power_w": None})
        b = build(
            blank, cables=(graphics_cable("one", count=1),), runs=(run("one", "g1", a="card#1/a"),)
        )
        found = _mend(b)["G1 One"]
        self.assertEqual(
            found.text,
            "Granted by standard, Card · a: 0 W of 150 W, 0 %, at idle. A figure behind it is "
            "missing, so it may be more.",
        )
        self.assertEqual(found.fix, "Enter the figure of Card from its page or label.")
        self.assertEqual([(r.id, r.text) for r in found.remedies], [("enter-figure-of", found.fix)])

    def test_a_cable_without_a_gauge(self) -> None:
        b = build(
            disk(), cables=(sata_cable(gauge=None),), runs=(run("sata", "d1", p1="disk#1/power"),)
        )
        self.assertNotIn("D1 sata", _mend(b))
        self.assertTrue(all("By usual figures" in text for text in _texts(b, "Volts lost")))

    def test_sense_contacts_that_nobody_states(self) -> None:
        b = build(
            card(500, "16pin"),
            cables=(sixteen_cable(None),),
            runs=(run("sixteen", "h1", a="card#1/a"),),
        )
        found = _mend(b)["H1 16-pin cable"]
        self.assertEqual(found.text, "Granted by standard, Card: 450 W, but no limit is known.")
        self.assertEqual(
            found.fix, "Enter what the sense contacts of 16-pin cable say, from its page."
        )

    def test_an_adapter_without_its_codes_and_its_wires(self) -> None:
        bare = adapter(codes=(), conductors=RailPins())
        fixes = [r.text for r in _mend(by_adapter(290, 2, 2, bare))["G1 G1"].remedies]
        self.assertIn(
            "Enter for how many watts Adapter is coded, lead by lead, from its page.", fixes
        )
        self.assertIn("Enter how many wires of each line Adapter has.", fixes)
        self.assertEqual(len(set(fixes)), len(fixes))

    def test_an_adapter_of_which_nobody_says_how_it_is_made(self) -> None:
        of = Adapter(
            key="adapter",
            name="Adapter: old",
            leads=(Lead(key="a", kind="per4"),),
            plugs=(Plug(key="x", kind="sata", at_mm=100),),
            gauge=18,
            conductors=RailPins(v12=1, v5=1, ground=2),
            connections=(Connection(plug="x", socket=ref("disk#1/power")),),
        )
        plug = (Plug(key="p1", kind="per4", at_mm=400),)
        b = build(
            disk(),
            adapters=(of,),
            cables=(sata_cable().model_copy(update={"plugs": plug}),),
            runs=(run("sata", "d1", p1="adapter#1/a"),),
        )
        fixes = [r.text for r in _mend(b)["D1 sata"].remedies]
        self.assertIn("Find out whether Adapter: old is moulded or crimped, and enter it.", fixes)
