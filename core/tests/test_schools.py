"""House rules that decide a map: what each school plugs, worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.advice import effects, fed, map_goals
from easy_tally.analysis import analyse
from easy_tally.mapping import Mapping, applied, solve, why_not
from easy_tally.publishing import effect_words, fed_words
from easy_tally.things.build import Build
from easy_tally.things.parts import Drive

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    element_of,
    exact,
    graphics_cable,
    processor_cable,
    rules,
    run,
    run_of,
    sata_cable,
)
from .test_between import adapter

#: The board's own, of which no school says anything.
_REST = (board_cable(), processor_cable())

_OWN = ("board", "cpu")


def _by(b: Build, **positions: Any) -> Build:
    return b.model_copy(update={"house_rules": b.house_rules.model_copy(update=positions)})


def _mapped(b: Build) -> Mapping:
    mapping = solve(b)
    assert mapping is not None
    return mapping


def _used(b: Build) -> dict[str, int]:
    """Cable → plugs in use, but the board's."""
    runs = _mapped(b).runs
    return {r.cable: len(r.connections) for r in runs if r.connections and r.cable not in _OWN}


class GrantOfAPlug(unittest.TestCase):
    """A card of two sockets raised to 400 W: 175 W by each, 117 % of the 150 W that a standard
    grants; 14.6 A by three pins and wires each."""

    def setUp(self) -> None:
        self.cables = (*_REST, graphics_cable("one", 1), graphics_cable("two", 1))
        laid = (run("one", "g1", a="card#1/a"), run("two", "g2", a="card#1/b"))
        self.laid = build(board(), card(400), cables=self.cables, runs=laid)

    def test_as_a_limit(self) -> None:
        grant = element_of(run_of(self.laid), "grant")
        self.assertEqual((grant.judged.verdict, grant.judged.load), ("over", 175.0))
        self.assertIn("ratings", [f.id for f in why_not(self.laid)])

    def test_as_a_warning(self) -> None:
        b = _by(self.laid, plug_grant="warning")
        judged = run_of(b)
        grant, pins = element_of(judged, "grant"), element_of(judged, "plug pins")
        self.assertEqual((judged.verdict, grant.judged.verdict), ("tight", "tight"))
        self.assertAlmostEqual(grant.judged.share or 0, 175 / 150)
        self.assertAlmostEqual(pins.judged.load, 175 / 12 / 3)
        self.assertEqual(_used(b), {"one": 1, "two": 1})

    def test_what_a_card_goes_by_stays_a_limit(self) -> None:
        """An adapter of two leads, coded for 300 W, before a card that draws 400 W by it."""
        cables = (*_REST, graphics_cable("one", 1), graphics_cable("two", 1))
        laid = (run("one", "g1", a="adapter#1/a"), run("two", "g2", a="adapter#1/b"))
        b = build(board(), card(450, "16pin"), cables=cables, adapters=(adapter(2),), runs=laid)
        for rule in ("limit", "warning"):
            self.assertEqual(run_of(_by(b, plug_grant=rule)).verdict, "over")

    def test_less_known_is_no_better(self) -> None:
        """Of a wire without a gauge nobody knows: that is worse than a warning."""
        b = _by(self.laid, plug_grant="warning")
        bare = tuple(c.model_copy(update={"conductors": None}) for c in b.cables)
        self.assertEqual(run_of(b.model_copy(update={"cables": bare})).verdict, "unknown")


class GraphicsCables(unittest.TestCase):
    def test_one_a_socket_or_as_few_as_may_be(self) -> None:
        """A card of 180 W takes 130 W by its two sockets: one chained cable may carry it."""
        cables = (
            *_REST,
            graphics_cable("one", 1),
            graphics_cable("two", 1),
            graphics_cable("chain"),
        )
        b = build(board(), card(180), cables=cables)
        self.assertEqual(_used(b), {"one": 1, "two": 1})
        self.assertEqual(_used(_by(b, graphics_cables="fewest")), {"chain": 2})

    def test_no_limit_gives_way(self) -> None:
        """A card of 250 W takes 200 W by them: more than the 150 W of one cable's plug."""
        cables = (*_REST, graphics_cable("one", 1), graphics_cable("chain"))
        b = _by(build(board(), card(250), cables=cables), graphics_cables="fewest")
        self.assertEqual(_used(b), {"one": 1, "chain": 1})
        by_pins = _by(b, chained_graphics="by pins")
        self.assertEqual(_used(by_pins), {"chain": 2})


class Drives(unittest.TestCase):
    def setUp(self) -> None:
        light = exact(1)
        small = disk(2, key="small", name="Small", form="2.5", start_12v_a=light)
        self.build = build(
            board(),
            disk(2, start_12v_a=light),
            small,
            cables=(*_REST, sata_cable("s1"), sata_cable("s2"), sata_cable("s3")),
        )

    def test_on_as_few_cables_as_may_be(self) -> None:
        self.assertEqual(sorted(_used(self.build).values()), [4])

    def test_balanced(self) -> None:
        """Four drives on three cables: two on the fullest, and so on two cables."""
        b = _by(self.build, drives="balanced")
        self.assertEqual(sorted(_used(b).values()), [2, 2])
        self.assertEqual(map_goals(analyse(applied(b, _mapped(b))))["balance"], 2)

    def test_by_place(self) -> None:
        """Two 3.5-inch disks in bays, two 2.5-inch ones in their places: a cable each."""
        b = _by(self.build, drives="by place")
        laid = applied(b, _mapped(b))
        forms = {p.key: p.form for p in b.parts if isinstance(p, Drive)}
        fed_by = [
            {forms[c.socket.part] for c in r.connections} for r in laid.runs if r.cable not in _OWN
        ]
        self.assertEqual(sorted(map(sorted, filter(None, fed_by))), [["2.5"], ["3.5"]])
        self.assertEqual(map_goals(analyse(laid))["places"], 0)


class LeadsOfAnAdapter(unittest.TestCase):
    """An adapter of three leads, coded 300 W by two and 450 W by three, before a card that draws
    120 W by it: 40 % of what two leads bring."""

    def setUp(self) -> None:
        cables = tuple(graphics_cable(k, 1) for k in ("one", "two", "three"))
        self.build = build(
            board(), card(170, "16pin"), cables=(*_REST, *cables), adapters=(adapter(3),)
        )

    def test_as_many_as_the_watts_need_or_all(self) -> None:
        self.assertEqual(len(_used(self.build)), 2)
        self.assertEqual(len(_used(_by(self.build, adapter_leads="all"))), 3)

    def test_one_that_hangs_is_told_and_where_there_is_no_cable_it_hangs(self) -> None:
        b = self.build.model_copy(update={"cables": self.build.cables[:4]})
        b = _by(b, adapter_leads="all")
        laid = analyse(applied(b, _mapped(b)))
        told = [f for f in laid.findings if f.id == "rule.adapter_leads"]
        self.assertEqual([f.cause for f in told], [("Adapter", 2, 3)])
        said = {e.value: effect_words(laid, e) for e in effects(laid) if e.rule == "adapter_leads"}
        self.assertEqual(
            said,
            {
                "as the watts need": "On this build: no lead to plug in.",
                "all": "On this build: 1 adapter with leads to plug in.",
            },
        )


class WhatAMapComesTo(unittest.TestCase):
    def test_in_a_line(self) -> None:
        """By one chained cable 130 W are 87 % of the 150 W of one plug."""
        cables = (*_REST, graphics_cable("chain"))
        b = build(board(), card(180), cables=cables, house_rules=rules())
        left = fed(b, 2026)
        assert left is not None
        self.assertEqual(
            fed_words(b, left, 2026),
            "A map feeds all 4 sockets by 3 cables, 1 for graphics; worst share 87 %.",
        )
        laid = applied(b, _mapped(b))
        again = fed(laid, 2026)
        assert again is not None
        self.assertIn("nothing moves", fed_words(laid, again, 2026))

    def test_where_not_everything_is_fed(self) -> None:
        b = build(board(), card(320), cables=(*_REST, graphics_cable("chain")))
        left = fed(b, 2026)
        assert left is not None
        self.assertEqual(fed_words(b, left, 2026), "No map feeds more than 2 of 4 sockets.")


if __name__ == "__main__":
    unittest.main()
