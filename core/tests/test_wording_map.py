"""Maps in words: moves, the bill of cables, facts that forbid one, and what would mend that."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.editing import TakeMap
from easy_tally.mapping import InStock, OtherSupply, Progress, Wish
from easy_tally.publishing import MapAnswer
from easy_tally.things.adapters import Extension
from easy_tally.things.cables import RailPins
from easy_tally.things.case import Case, Route
from easy_tally.things.rules import RULES
from easy_tally.things.supply import PortGroup

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    graphics_cable,
    map_said,
    processor,
    processor_cable,
    rules,
    run,
    sata_cable,
    supply,
)

_ONE, _TWO = graphics_cable("one", count=1), graphics_cable("two", count=1)
_REST = (board_cable(), processor_cable(), sata_cable())


def _mapped(
    *cables: Any, stock: tuple[InStock, ...] = (), power: float = 320, **more: Any
) -> MapAnswer:
    """A board, a processor, a card with two sockets and two disks, mapped."""
    b = build(board(), processor(), card(power), disk(2), cables=(*_REST, *cables), **more)
    return map_said(b, Wish(), list(stock), Progress(), iter(()))


class Mapped(unittest.TestCase):
    def test_cables_go_into_ports_first_and_then_into_sockets(self) -> None:
        answer = _mapped(_ONE, _TWO)
        self.assertEqual((answer.status, answer.proven), ("mapped", True))
        self.assertEqual(
            _changes(answer),
            [
                ("Board cable", "comes in", "supply end", "", "B1 and B2"),
                ("Board cable", "comes in", "plug", "", "Board · main"),
                ("cpu", "comes in", "supply end", "", "P1"),
                ("cpu", "comes in", "plug", "", "Board · cpu-1"),
                ("sata", "comes in", "supply end", "", "D1"),
                ("sata", "comes in", "plug p1", "", "Disk 1"),
                ("sata", "comes in", "plug p2", "", "Disk 2"),
                ("One", "comes in", "supply end", "", "G1"),
                ("One", "comes in", "plug", "", "Card · a"),
                ("Two", "comes in", "supply end", "", "G2"),
                ("Two", "comes in", "plug", "", "Card · b"),
            ],
        )
        self.assertEqual(answer.moved, 12)  # the board’s cable has two ends at the supply

    def test_what_it_comes_to(self) -> None:
        """Half of 270 W is 135 of 150, 90 %; 22.5 of 60 A are 37.5 %, in a
        spike at 1.4 52.5 %; two disks start with 2 A;
        600 + 700 + 500 + 600 + 600 mm are 3 m."""
        said = {g.words: g.then for g in _mapped(_ONE, _TWO).goals}
        self.assertEqual(said["Worst share"], "90 %")
        self.assertEqual(said["Fullest port group"], "53 %, in a spike of 10 ms")
        self.assertEqual(said["Cables in use"], "5")
        self.assertEqual(said["Largest start current of a drive cable"], "4.0 A")
        self.assertEqual(said["Cable to the last plugs, in all"], "3.00 m")
        light = {g.words: g.then for g in _mapped(_ONE, _TWO, power=150).goals}
        self.assertEqual(light["Worst share"], "45 %")  # the lane's own, though 60 would do

    def test_what_is_laid_already_stays_or_comes_out_first(self) -> None:
        laid = (
            run("one", "g1", a="card#1/b"),
            run("two", "g2"),
            run("sata", "d1", p3="disk#1/power"),
        )
        answer = _mapped(_ONE, _TWO, runs=laid)
        changes = [c for c in _changes(answer) if c[0] in ("One", "Two", "sata")]
        self.assertEqual(
            changes,
            [
                ("Two", "changes", "plug", "", "Card · a"),
                ("sata", "changes", "plug p3", "Disk 1", ""),
                ("sata", "changes", "plug p1", "", "Disk 1"),
                ("sata", "changes", "plug p2", "", "Disk 2"),
            ],
        )

    def test_the_bill_and_what_stays_in_the_bag(self) -> None:
        answer = _mapped(_ONE, _TWO, graphics_cable("three", count=1), graphics_cable("four"))
        self.assertEqual(
            list(answer.bill),
            [
                "Of this build’s cables: Board cable, cpu, sata, One, Two",
                "Stays in the bag of Test A: Three, Four",
            ],
        )


def _changes(answer: MapAnswer) -> list[tuple[str, str, str, str, str]]:
    return [(s.name, s.does, e.end, e.out_of, e.into) for s in answer.swaps for e in s.ends]


class WorstLane(unittest.TestCase):
    def test_the_number_is_a_lane_s_and_a_group_s_spike_is_said(self) -> None:
        """270 W by two cables are 22.5 A, and in a spike of 10 ms at 1.4 31.5 A: of a group of 33
        95.5 %; either plug has 135 W of 150, 90 %."""
        of = supply(groups=(PortGroup(key="g", label="G", limit_a=33),))
        said = {g.words: g.then for g in _mapped(_ONE, _TWO, supply=of).goals}
        self.assertEqual(said["Worst share"], "96 %, its port group in a spike of 10 ms")
        self.assertEqual(said["Fullest port group"], "96 %, in a spike of 10 ms")


class Impossible(unittest.TestCase):
    def _why(self, answer: MapAnswer, unfed: tuple[str, ...], *why: str) -> None:
        self.assertEqual((answer.status, answer.proven), ("impossible", True))
        self.assertEqual(tuple(answer.unfed), unfed)
        said = [w for left in answer.left for w in left.why]
        self.assertEqual(sorted(said), sorted(why))

    def test_a_cable_short(self) -> None:
        self._why(
            _mapped(_ONE),
            ("Card · a", "Card · b"),  # by one alone it would carry both
            "2 sockets have to be fed, 8-pin graphics: 2 × Card.",
            "There is 1 cable like One, with one 6+2-pin graphics plug.",
        )

    def test_a_port_short(self) -> None:
        of = supply(ports=tuple(p for p in supply().ports if p.key not in ("g2", "g3")))
        self._why(
            _mapped(_ONE, _TWO, supply=of),
            ("Card · a", "Card · b"),
            "2 sockets have to be fed, 8-pin graphics: 2 × Card.",
            "The supply has 1 graphics port: G1.",
        )

    def test_a_house_rule(self) -> None:
        answer = _mapped(graphics_cable(), power=140, house_rules=rules(chained_graphics="never"))
        self._why(
            answer,
            ("Card · b",),
            "Your house rule for chained graphics plugs: never both plugs.",
            "2 sockets have to be fed, 8-pin graphics: 2 × Card.",
            "There is 1 cable like Chain, with 2 plugs (6+2-pin graphics plug).",
        )
        rule = next(r for r in answer.repairs if r.id == "rule")
        words = [p.words.lower() for p in RULES["chained_graphics"].positions]
        self.assertIn(
            rule.text.removeprefix(
                "Set the house rule “both plugs of one chained graphics cable” to: "
            )[:-1],
            words,
        )

    def test_plugs_that_do_not_reach(self) -> None:
        lengths = {"card": 700, "main plug": 300, "processor": 400, "3.5-inch bays": 300}
        routes = tuple(Route(area=a, length_mm=mm) for a, mm in lengths.items())  # type: ignore[arg-type]
        self._why(
            _mapped(_ONE, _TWO, case=Case(name="Case", routes=routes)),
            ("Card · a", "Card · b"),
            # 700 mm of route and 40 of slack.
            "How far the plugs reach along the case’s routes. 2 × Card: a plug has to reach "
            "740 mm, 40 mm of slack with it; the longest that fits reaches 600 mm. An extension "
            "would do, or a longer cable of the supply’s pinout family.",
            "2 sockets have to be fed, 8-pin graphics: 2 × Card.",
        )

    def test_a_cable_of_the_drawer_and_one_to_be_had(self) -> None:
        lies = InStock(thing=graphics_cable("x", count=1), owned=True, free=1)
        sold = InStock(thing=graphics_cable("x", count=1), owned=False)
        answer = _mapped(_ONE, stock=(lies, sold))
        self.assertEqual(
            [r.text for r in answer.repairs],
            ["Add X, from your drawer, in a free port.", "Add X, to be had, in a free port."],
        )
        said = [(s.name, e.into) for s in answer.repairs[0].swaps for e in s.ends]
        self.assertIn(("X", "Card · b"), said)

    def test_how_far_a_cable_to_be_added_has_to_reach(self) -> None:
        """500 mm of route and 40 of slack."""
        lengths = {"card": 500, "main plug": 300, "processor": 400, "3.5-inch bays": 300}
        routes = tuple(Route(area=a, length_mm=mm) for a, mm in lengths.items())  # type: ignore[arg-type]
        lies = InStock(thing=graphics_cable("x", count=1), owned=True, free=1)
        answer = _mapped(_ONE, stock=(lies,), case=Case(name="Case", routes=routes))
        self.assertEqual(
            answer.repairs[0].text,
            "Add X, from your drawer, in a free port. It has to reach 540 mm.",
        )

    def test_the_highest_power_limit_that_does(self) -> None:
        """By plug a chain may carry 150 W beside the slot's 50: 200 W."""
        answer = _mapped(graphics_cable(), house_rules=rules(chained_graphics="by plug"))
        texts = {r.id: r.text for r in answer.repairs}
        self.assertEqual(texts["power-limit"], "Hold Card to 200 W.")
        edit = TakeMap.model_validate(next(r.edit for r in answer.repairs if r.id == "power-limit"))
        b = build(
            board(),
            processor(),
            card(320),
            disk(2),
            cables=(*_REST, graphics_cable()),
            house_rules=rules(chained_graphics="by plug"),
        )
        then = analyse(edit.apply(b))
        self.assertEqual(
            {r.verdict for r in then.runs if r.wired.feeds} - {"within", "tight"}, set()
        )

    def test_as_many_cables_as_it_takes(self) -> None:
        lies = InStock(thing=graphics_cable("x", count=1), owned=True, free=3)
        b = build(
            board(), processor(), card(320, "pcie8 pcie8 pcie8"), disk(2), cables=(*_REST, _ONE)
        )
        answer = map_said(b, Wish(), [lies], Progress(), iter(()))
        self.assertEqual(
            [r.text for r in answer.repairs if r.id == "cable"],
            ["Add 2 × X, from your drawer, in a free port."],
        )

    def test_another_supply_with_its_cables(self) -> None:
        few = supply(ports=tuple(p for p in supply().ports if p.key not in ("g2", "g3")))
        other = supply(name="Wide", family="Test B")
        box = tuple(c.model_copy(update={"family": "Test B"}) for c in (*_REST, _ONE, _TWO))
        b = build(board(), processor(), card(320), disk(2), cables=(*_REST, _ONE, _TWO), supply=few)
        several = iter(
            (
                OtherSupply(supply=other, cables=box, owned=True),
                OtherSupply(
                    supply=other.model_copy(update={"name": "Second"}), cables=box, owned=True
                ),
                OtherSupply(
                    supply=other.model_copy(update={"name": "Sold"}), cables=box, owned=False
                ),
            )
        )
        answer = map_said(b, Wish(), [], Progress(), several)
        self.assertEqual(
            [r.text for r in answer.repairs if r.id == "supply"],
            [
                "Take Wide, from your drawer, in place of this supply.",
                "Take Sold, to be had, in place of this supply.",
            ],
        )

    def test_an_extension_to_reach(self) -> None:
        """600 mm of cable and 200 of extension for 700 mm of way and 40 of slack."""
        lengths = {"card": 700, "main plug": 300, "processor": 400, "3.5-inch bays": 300}
        routes = tuple(Route(area=a, length_mm=mm) for a, mm in lengths.items())  # type: ignore[arg-type]
        longer = Extension(
            key="ext",
            name="Extension",
            kind="pcie6+2",
            length_mm=200,
            gauge=18,
            conductors=RailPins(v12=3, ground=3),
        )
        stock = (InStock(thing=longer, owned=True, free=2),)
        answer = _mapped(_ONE, _TWO, stock=stock, case=Case(name="Case", routes=routes))
        self.assertEqual(
            [r.text for r in answer.repairs if r.id == "extension"],
            ["Add 2 × Extension, from your drawer."],
        )
