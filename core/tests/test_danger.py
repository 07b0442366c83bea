"""Towards danger: what would read fine and is not, each figure worked out by hand."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.analysis import analyse
from easy_tally.base.errors import Refused
from easy_tally.editing import AddBetween, Connect
from easy_tally.entry.kits import read_loose
from easy_tally.entry.kits.lines import Unread
from easy_tally.mapping import InStock, solve
from easy_tally.things.adapters import Adapter, Extension, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Connection, Plug, RailPins, Run
from easy_tally.things.parts import Fan, Hub, Socket
from easy_tally.things.supply import PortGroup
from easy_tally.wiring import Wired
from easy_tally.wiring.offers import offers_for_plug

from .helpers import (
    apply,
    board,
    board_cable,
    build,
    card,
    disk,
    element_of,
    exact,
    graphics_cable,
    map_said,
    processor,
    processor_cable,
    ref,
    run,
    run_of,
    sata_cable,
    sixteen_cable,
    supply,
    wide,
)
from .test_between import adapter, element, runs_of

_FOUR = RailPins(v12=1, v5=1, ground=2)


def four_cable(plugs: int = 3) -> Cable:
    """4-pin plugs from 400 mm, 100 mm apart."""
    made = tuple(Plug(key=f"p{i + 1}", kind="per4", at_mm=400 + 100 * i) for i in range(plugs))
    return sata_cable("per").model_copy(update={"plugs": made, "conductors": _FOUR})


def other(lead: str, kind: str, into: str | None, key: str = "other", **more: Any) -> Adapter:
    """An adapter from one kind to another, 100 mm long."""
    out = (Connection(plug="x", socket=ref(into)),) if into else ()
    fields: dict[str, Any] = {
        "key": key,
        "name": key.capitalize(),
        "leads": (Lead(key="a", kind=lead),),  # type: ignore[arg-type]
        "plugs": (Plug(key="x", kind=kind, at_mm=100),),
        "conductors": RailPins(v12=3, ground=3),  # type: ignore[arg-type]
        "connections": out,
    }
    return Adapter(**(fields | more))


class Volts(unittest.TestCase):
    def test_a_shared_wire_loses_by_all_that_flows_there(self) -> None:
        """Four hubs of 1 A behind a lead of one 22 AWG wire: 4 A flow in its 597 mm. Each way 4 A
        through 59.4 × 0.597 = 35.5 mΩ there, 23.2 × 0.4 = 9.3 mΩ of the cable and a contact at its
        end and at the lead, then 1 A through the hub's own. By its own current alone the wire of
        the lead would lose a quarter of that."""
        one = RailPins(v12=1, ground=1)
        hubs = [
            Hub(
                key=f"hub-{i}",
                name=f"Hub {i}",
                own_w=exact(0),
                sockets=(Socket(key="in", kind="per4"),),
            )
            for i in range(4)
        ]
        fans = [Fan(key=f"fan-{i}", name="Fan", rated_a=exact(1), on=f"hub-{i}") for i in range(4)]
        of = Adapter(
            key="y",
            name="Y",
            leads=(Lead(key="a", kind="per4"),),
            gauge=22,
            conductors=one,
            plugs=tuple(Plug(key=f"x{i}", kind="per4", at_mm=597) for i in range(4)),
            connections=tuple(
                Connection(plug=f"x{i}", socket=ref(f"hub-{i}#1/in")) for i in range(4)
            ),
        )
        cable = four_cable(1).model_copy(
            update={
                "conductors": one,
                "supply_end": sata_cable().supply_end.model_copy(update={"pins": one}),
            }
        )
        b = build(
            board(),
            *hubs,
            *fans,
            cables=(cable,),
            adapters=(of,),
            runs=(
                Run(
                    cable="per",
                    ports=("d1",),
                    connections=(Connection(plug="p1", socket=ref("y#1/a")),),
                ),
            ),
        )
        ground = 4 * (5 + 23.2 * 0.4 + 5 / 2 + 59.4 * 0.597) + 5 / 2
        rail = 4 * (5 + 23.2 * 0.4 + 5 + 59.4 * 0.597) + 5
        for i in range(4):
            found = element_of(run_of(b), "drop", at=f"y/x{i}").judged
            self.assertAlmostEqual(found.load, (rail + ground) / 1000)
        self.assertEqual(found.verdict, "tight")  # 3.6 % of 12 V; by its own current 1.8 %

    def test_it_is_no_better_known_than_every_current_on_the_way(self) -> None:
        """A card of which nobody says what it draws hangs on the same cable."""
        unknown = card(key="other").model_copy(
            update={"board_power_w": None, "sockets": (Socket(key="a", kind="pcie8"),)}
        )
        longer = Extension(
            key="ext",
            name="Extension",
            kind="pcie6+2",
            length_mm=200,
            conductors=RailPins(v12=3, ground=3),
            connections=(Connection(plug="out", socket=ref("card#1/a")),),
        )
        b = build(
            board(),
            card(100, "pcie8"),
            unknown,
            cables=(graphics_cable(),),
            runs=(run("chain", "g1", a="ext#1/in", b="other#1/a"),),
            extensions=(longer,),
        )
        self.assertEqual(element_of(run_of(b), "drop", at="ext/out").judged.verdict, "unknown")


class NeverConnected(unittest.TestCase):
    def _forbidden(self, b: Build) -> list[str]:
        return [
            e.said
            for r in runs_of(b)
            for e in r.elements
            if e.kind == "forbidden" and e.judged.verdict == "over"
        ]

    def test_two_leads_of_one_adapter_on_one_cable(self) -> None:
        """60 W at a 6-pin plug by two 4-pin leads: each 2.5 A, and all 5 A by one wire."""
        leads = (Lead(key="a", kind="per4"), Lead(key="b", kind="per4"))
        of = other("per4", "pcie6", "card#1/a", leads=leads)
        b = build(
            board(),
            card(110, "pcie6"),
            cables=(four_cable(),),
            adapters=(of,),
            runs=(run("per", "d1", p1="other#1/a", p2="other#1/b"),),
        )
        self.assertEqual(len(self._forbidden(b)), 1)
        one = b.model_copy(update={"runs": (run("per", "d1", p1="other#1/a"),)})
        self.assertEqual(self._forbidden(one), [])
        with self.assertRaisesRegex(Refused, "needs a cable of its own"):
            apply(one, Connect(cable="per", plug="p2", socket=ref("other#1/b")))
        offers = offers_for_plug(Wired(one), "per", "p2")
        self.assertIn("other#1/b", [o.socket for o in offers.refused])

    def test_and_behind_extensions(self) -> None:
        chained = tuple(
            Extension(
                key=f"e{k}",
                name=k,
                kind="pcie6+2",
                length_mm=100,
                conductors=RailPins(v12=3, ground=3),
                connections=(Connection(plug="out", socket=ref(f"adapter#1/{k}")),),
            )
            for k in "ab"
        )
        b = build(
            board(),
            card(200, "16pin"),
            cables=(graphics_cable(),),
            adapters=(adapter(),),
            extensions=chained,
            runs=(run("chain", "g1", a="ea#1/in", b="eb#1/in"),),
        )
        self.assertEqual(len(self._forbidden(b)), 1)

    def test_sata_through_a_4_pin_to_graphics(self) -> None:
        """Neither adapter by itself is wrong; where it ends is."""
        first = other("sata", "per4", "second#1/a", key="first")
        second = other("per4", "pcie6", "card#1/a", key="second")
        b = build(
            board(),
            card(60, "pcie6"),
            cables=(sata_cable(),),
            adapters=(first, second),
            runs=(run("sata", "d1", p1="first#1/a"),),
        )
        self.assertEqual(len(self._forbidden(b)), 1)
        loose = b.model_copy(update={"runs": ()})
        with self.assertRaisesRegex(Refused, "a SATA plug brings 54 W"):
            apply(loose, Connect(cable="sata", plug="p1", socket=ref("first#1/a")))
        self.assertIsNone(solve(loose))

    def test_from_a_graphics_plug_to_a_processor_s(self) -> None:
        """Not proposed, not laid, not bought, and not taken into a build, a line or a catalogue."""
        of = other("pcie8", "eps4+4", None)
        sockets = (Socket(key="main", kind="atx24"), Socket(key="cpu", kind="eps8"))
        b = build(
            board(sockets=sockets),
            processor(),
            cables=(board_cable(), graphics_cable("g", 1)),
            adapters=(of,),
        )
        self.assertIsNone(solve(b))
        laid = b.model_copy(
            update={
                "adapters": (other("pcie8", "eps4+4", "board#1/cpu"),),
                "runs": (run("g", "g1", a="other#1/a"),),
            }
        )
        found = self._forbidden(laid)
        self.assertEqual(len(found), 1)
        self.assertIn("from an 8-pin graphics plug to an 8-pin processor one", found[0])
        bare = b.model_copy(update={"adapters": ()})
        stock = (InStock(thing=of, owned=True),)
        self.assertEqual([r.id for r in map_said(bare, stock=stock).repairs], [])
        with self.assertRaisesRegex(Refused, "never plugged in"):
            apply(bare, AddBetween(thing=of))
        with self.assertRaisesRegex(Unread, "never exchanged"):
            read_loose("adapter", '"Odd one" leads:a=pcie8 plugs:x=eps4+4@100 wires:12v=3,ground=3')
        with self.assertRaisesRegex(Unread, "a SATA plug brings 54 W"):
            read_loose("adapter", '"Odd one" leads:a=sata plugs:x=pcie6@100 wires:12v=1,ground=1')

    def test_the_second_4_of_an_earlier_version_is_told(self) -> None:
        """Such a build opens, and reads over: by its keying only the marked half fits."""
        sockets = (Socket(key="one", kind="eps4"), Socket(key="two", kind="eps4"))
        halves = (
            Connection(plug="a", half="marked", socket=ref("board#1/one")),
            Connection(plug="a", half="loose", socket=ref("board#1/two")),
        )
        b = build(
            board(sockets=sockets),
            processor(),
            cables=(processor_cable(),),
            runs=(Run(cable="cpu", ports=("p1",), connections=halves),),
        )
        self.assertIn("by its keying", self._forbidden(b)[0])


class Bounds(unittest.TestCase):
    def test_a_surge_that_the_high_bound_has_not(self) -> None:
        """24 laptop drives that start with 1.0 A at 5 V and run with 0.6 A, at most 1.0: all at
        once they are 24 A of 20, not 14.4."""
        small = disk(
            24,
            form="2.5",
            run_5v_a=wide(0.3, 0.6, 1.0),
            start_5v_a=exact(1.0),
            run_12v_a=exact(0),
            start_12v_a=exact(0),
        )
        a = analyse(build(board(own_5v_w=exact(0)), small, spin_up_at_once=24))
        assert a.supply is not None
        self.assertAlmostEqual(a.tally.by_rail["v5"].at("start").likely / 5, 24)
        rail = next(c for c in a.supply.checks if c.id == "rail" and c.rail == "v5")
        self.assertEqual((rail.status, rail.load, rail.limit), ("fail", 24, 20))

    def test_a_group_s_spike_at_its_high_bound(self) -> None:
        """A card of 300 W, 300 to 500, 50 by the slot, over 10 ms at 1.4: 350 W likely, 29.2 A, and
        at the high end 450 + 0.4 × 500 × 450 ÷ 500 = 630 W, 52.5 A: over 45, so tight."""
        b = build(
            board(),
            card(board_power_w=wide(300, 300, 500), sockets="16pin"),
            cables=(sixteen_cable(),),
            runs=(run("sixteen", "h1", a="card#1/a"),),
            supply=supply(
                groups=(PortGroup(key="g", label="G", limit_a=45),),
                ports=tuple(
                    p.model_copy(update={"group": "g" if p.key == "h1" else None})
                    for p in supply().ports
                ),
            ),
        )
        found = element_of(run_of(b), "group spike", at="g 10").judged
        self.assertAlmostEqual(found.loads[2 * 3 + 1], 250 * 1.4 / 12)
        self.assertAlmostEqual(found.loads[2 * 3 + 2], 450 * 1.4 / 12)
        self.assertEqual((found.verdict, found.only_at_high), ("tight", True))


class Connected(unittest.TestCase):
    def test_a_lead_that_nobody_plugged_in_takes_no_share(self) -> None:
        """320 W, 50 by the slot: 270 W by the one plug that is in are 7.5 A a pin, more than 7;
        half of them would be 3.75 A."""
        b = build(
            board(), card(320), cables=(graphics_cable(),), runs=(run("chain", "g1", a="card#1/a"),)
        )
        found = element_of(run_of(b), "plug pins", at="a").judged
        self.assertAlmostEqual(found.load, 7.5)
        self.assertEqual((found.verdict, found.limit), ("over", 7))
        both = b.model_copy(update={"runs": (run("chain", "g1", a="card#1/a", b="card#1/b"),)})
        self.assertAlmostEqual(element_of(run_of(both), "plug pins", at="a").judged.load, 3.75)

    def test_nor_does_a_processor_s(self) -> None:
        """120 W by one of two sockets that have to be fed: 2.5 A a pin of four."""
        sockets = (Socket(key="cpu-1", kind="eps8"), Socket(key="cpu-2", kind="eps8"))
        b = build(
            board(sockets=sockets),
            processor(),
            cables=(processor_cable(),),
            runs=(run("cpu", "p1", a="board#1/cpu-1"),),
        )
        self.assertAlmostEqual(element_of(run_of(b), "plug pins", at="a").judged.load, 2.5)


class SenseCodes(unittest.TestCase):
    def _extended(self, key: str, to: str) -> Extension:
        return Extension(
            key=key,
            name=key,
            kind="16pin",
            length_mm=200,
            gauge=16,
            conductors=RailPins(v12=6, ground=6),
            connections=(Connection(plug="out", socket=ref(to)),),
        )

    def test_an_extension_hands_on_an_adapter_s_and_another_extension_s(self) -> None:
        """Coded 300 W by two leads; 450 W by a cable through two extensions."""
        one = self._extended("one", "card#1/a")
        plugged = (Connection(plug="x", socket=ref("one#1/in")),)
        b = build(
            board(),
            card(290, "16pin"),
            adapters=(adapter(connections=plugged),),
            extensions=(one,),
            cables=tuple(graphics_cable(f"g{i}", 1) for i in (1, 2)),
            runs=(run("g1", "g1", a="adapter#1/a"), run("g2", "g2", a="adapter#1/b")),
        )
        for r in runs_of(b):
            self.assertEqual(element(r, "grant", "one/out").judged.limit, 300)
        two = self._extended("two", "one#1/in")
        b = build(
            board(),
            card(290, "16pin"),
            cables=(sixteen_cable("sense1_grounded"),),
            extensions=(one, two),
            runs=(run("sixteen", "h1", a="two#1/in"),),
        )
        found = [e.judged.limit for e in runs_of(b)[0].elements if e.kind == "grant"]
        self.assertEqual(found, [450])
