"""Mapping: what was called proven and was not, worked out by hand."""

from __future__ import annotations

import unittest
from unittest.mock import patch

from easy_tally.base.errors import NotDecided
from easy_tally.files import print_map
from easy_tally.mapping import program, solve
from easy_tally.mapping.model import columns, scenarios, sums, ways
from easy_tally.things.adapters import Adapter, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Plug, RailPins
from easy_tally.things.case import Case, Route
from easy_tally.things.parts import Socket
from easy_tally.things.supply import Port

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    map_said,
    processor,
    processor_cable,
    sata_cable,
    supply,
)
from .small import extension, splitter
from .test_between import adapter
from .test_mapping import _board, _demo, _value


class NotProven(unittest.TestCase):
    """What was called proven, and was not."""

    def test_8_pin_sockets_by_4_pin_plugs_share_by_the_pins_that_are_wired(self) -> None:
        """270 W package are 300 at the sockets, an 8-pin and a 4-pin one: by plugs of two 12 V pins
        each carries 150 W, 6.25 A a pin of 8, 78.1 %. By 4 and 2 pins the 8-pin one would carry
        200 W, 8.33 A a pin: over."""
        sockets = (
            Socket(key="main", kind="atx24"),
            Socket(key="cpu", kind="eps8"),
            Socket(key="cpu-2", kind="eps4"),
        )
        plugs = (Plug(key="a", kind="eps4", at_mm=700),)
        cables = (board_cable(), *(processor_cable(f"c{i}", plugs=plugs) for i in range(2)))
        b = build(board(sockets=sockets, eps4_in_eps8=True), processor(270, 270), cables=cables)
        found = solve(b)
        assert found is not None
        self.assertEqual(_value(found, "worst"), 79)
        more = b.model_copy(update={"parts": (b.parts[0], processor(350, 350))})
        self.assertIsNone(solve(more))  # 194 W each: 8.1 A a pin

    def test_leads_share_by_their_wired_pins(self) -> None:
        """Leads of two and three 12 V pins carry 2 and 3 of 5: of 250 W 150 by one, as much as its
        plug is granted; of 260 W 156."""
        leads = (Lead(key="a", kind="pcie8", pins_12v=2), Lead(key="b", kind="pcie8"))
        of = adapter(connections=()).model_copy(update={"leads": leads})

        def powered(watts: float) -> Build:
            cables = (board_cable(), graphics_cable("g1", 1), graphics_cable("g2", 1))
            return build(_board(), card(50 + watts, "16pin"), cables=cables, adapters=(of,))

        found = solve(powered(250))
        assert found is not None
        self.assertEqual((_value(found, "worst"), found.proven), (100, True))
        self.assertIsNone(solve(powered(260)))

    def test_an_adapter_of_unlike_leads_is_a_way_too(self) -> None:
        """By an 8-pin and a 6-pin lead, of three pins each: 75 W each, all that the 6-pin is
        granted."""
        leads = (Lead(key="a", kind="pcie8"), Lead(key="b", kind="pcie6"))
        of = adapter(connections=()).model_copy(update={"leads": leads})
        cables = (board_cable(), graphics_cable("g1", 1), graphics_cable("g2", 1))
        found = solve(build(_board(), card(200, "16pin"), cables=cables, adapters=(of,)))
        assert found is not None
        self.assertEqual(_value(found, "worst"), 100)

    def _cards(self, *watts: float, more: int = 0) -> Build:
        """Cards of a required and an optional 8-pin socket each, and a cable for each card."""
        both = (Socket(key="a", kind="pcie8"), Socket(key="b", kind="pcie8", required=False))
        cards = [
            card(w, key=f"card-{i}", slot_w=exact(2)).model_copy(update={"sockets": both})
            for i, w in enumerate(watts)
        ]
        ports = tuple(
            Port(
                key=f"x{i}", label=f"X{i}", kind="graphics", row=1, column=i, circuits=8, pins_12v=3
            )
            for i in range(10)
        )
        cables = tuple(graphics_cable(f"c{i}", 1) for i in range(len(watts) + more))
        return build(
            _board(),
            *cards,
            cables=(board_cable(), *cables),
            supply=supply(ports=(*supply().ports[:2], *ports)),
        )

    def test_six_cards_with_an_optional_socket_each(self) -> None:
        """64 ways of feeding them; only the one that feeds no optional socket has plugs enough."""
        for watts in ((120.0,) * 6, (120.0, 118.0, 116.0, 114.0, 112.0, 110.0)):
            found = solve(self._cards(*watts))
            assert found is not None
            self.assertEqual((_value(found, "optional"), found.proven), (0, True))
            two = solve(self._cards(*watts, more=2))
            assert two is not None
            self.assertEqual((_value(two, "optional"), two.proven), (-2, True))

    def test_a_bound_that_was_reached_is_no_proof(self) -> None:
        """Of scenarios, ways, columns, time: neither impossible nor proven best."""
        short = self._cards(120, 118, 116, 114, 112, 110)
        with patch.object(scenarios, "MOST_SCENARIOS", 20):
            found = solve(short)  # those that feed the least are looked at too
            assert found is not None
            self.assertFalse(found.proven)
            none = short.model_copy(update={"cables": short.cables[:-1]})
            with self.assertRaises(NotDecided):
                solve(none)
            said = map_said(none)
            self.assertEqual((said.status, said.proven), ("not decided", False))
            self.assertIn("Not decided.", print_map(said))
        disks = build(
            _board(),
            disk(5),
            cables=(board_cable(), sata_cable("s", 1)),
            adapters=(self._five(),),
            spin_up_at_once=1,
        )
        proven = solve(disks)
        assert proven is not None
        self.assertTrue(proven.proven)
        with patch.object(ways, "MOST_WAYS", 0):
            first = solve(disks)
            assert first is not None
            self.assertFalse(first.proven)
        with patch.object(columns, "MOST_COLUMNS", 0), self.assertRaises(NotDecided):
            solve(disks)
        with patch.object(program, "GOAL_LIMIT", 0.0), self.assertRaises(NotDecided):
            solve(_demo("heron"))

    def _five(self, *apart: float) -> Adapter:
        """One SATA lead, five SATA plugs, the last of them further on."""
        wires = RailPins(v12=1, v5=1, v3v3=1, ground=2)
        return splitter("sata", "sata", (100, 100, 100, 100, *(apart or (100,))), wires, 18)

    def test_a_splitter_of_one_to_five_in_any_order_of_the_file(self) -> None:
        """Five makes of small drives: the plugs may go round among them."""
        several = [
            disk(
                1,
                key=f"disk-{i}",
                run_12v_a=exact(0.1 + i / 50),
                start_12v_a=exact(0.3),
                start_5v_a=exact(0.5),
            )
            for i in range(5)
        ]
        for parts in (several, several[::-1]):
            b = build(
                _board(),
                *parts,
                cables=(board_cable(), sata_cable("s", 1)),
                adapters=(self._five(),),
            )
            found = solve(b)
            assert found is not None
            self.assertTrue(found.proven)

    def test_plugs_of_a_splitter_are_as_far_as_they_are(self) -> None:
        """400 mm to its lead, 100 more to four of its plugs, 400 to the last: 800 reach the place
        of the small drive, 700 + 40 away, 500 the bays."""
        routes = (
            Route(area="3.5-inch bays", length_mm=400),
            Route(area="main plug", length_mm=300),
            Route(area="2.5-inch places", length_mm=700),
        )
        small = disk(1, key="ssd", form="2.5")
        for parts in ([disk(4), small], [small, disk(4)]):
            b = build(
                _board(),
                *parts,
                cables=(board_cable(), sata_cable("s", 1)),
                adapters=(self._five(400),),
                case=Case(name="Case", routes=routes),
                spin_up_at_once=1,
            )
            found = solve(b)
            assert found is not None
            at = {str(c.socket): c.plug for of in found.between.values() for c in of}
            self.assertEqual(at["ssd#1/power"], b.adapters[0].plugs[-1].key)

    def test_one_thing_after_another(self) -> None:
        """600 mm and 250 more by an extension to the lead of an adapter, 200 on to the card."""
        case = Case(
            name="Case",
            routes=(Route(area="card", length_mm=950), Route(area="main plug", length_mm=300)),
        )
        of = adapter(1, ((1, 150),), connections=())
        b = build(
            _board(),
            card(150, "16pin"),
            cables=(board_cable(), graphics_cable("g", 1)),
            adapters=(of,),
            case=case,
        )
        self.assertIsNone(solve(b))
        longer = extension("pcie6+2", RailPins(v12=3, ground=3), 18)
        found = solve(b.model_copy(update={"extensions": (longer,)}))
        assert found is not None
        self.assertEqual((_value(found, "adapters"), _value(found, "extensions")), (1, 1))

    def test_what_the_checker_refuses_is_no_map(self) -> None:
        """Whatever the solver judges by, a map is held against the checker before it is given."""
        b = build(_board(), card(170), cables=(board_cable(), graphics_cable("one")))
        self.assertIsNotNone(solve(b))
        much = b.model_copy(update={"parts": (_board(), card(700))})
        blind = patch.object(sums.Sum, "refuse", lambda *_: None)
        with blind, self.assertRaisesRegex(NotDecided, "refused by its own check: One"):
            solve(much)
