"""Loads from the figures that a builder knows."""

from __future__ import annotations

import unittest
from typing import Any

from easy_tally.base.series import Span
from easy_tally.tally.loads import Load, loads
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.parts import Card, Drive, Fan, M2Drive, Memory, Part, Processor, Socket
from easy_tally.wiring import Wired

from .helpers import board, build, card, disk, exact, processor, wide


def _loads(*parts: Part, **more: Any) -> dict[tuple[str, str, str], Load]:
    return {(x.part, x.rail, x.feed): x for x in loads(Wired(build(*parts, **more)))}


class ProcessorLoads(unittest.TestCase):
    def test_socket_watts_are_package_over_efficiency(self) -> None:
        """90 ÷ 0.90 = 100 W; short 108 ÷ 0.90 = 120 W; idle 9 ÷ 0.90 = 10 W."""
        load = _loads(board(), processor())["processor", "v12", "processor"]
        self.assertAlmostEqual(load.spans.full.likely, 100)
        self.assertAlmostEqual(load.spans.short.likely, 120)
        self.assertAlmostEqual(load.spans.idle.likely, 10)

    def test_everyday_lies_at_its_duty(self) -> None:
        """10 + 0.35 × (100 − 10) = 41.5 W."""
        load = _loads(board(), processor())["processor", "v12", "processor"]
        self.assertAlmostEqual(load.spans.everyday.likely, 41.5)

    def test_start_is_idle(self) -> None:
        load = _loads(board(), processor())["processor", "v12", "processor"]
        self.assertAlmostEqual(load.spans.start.likely, 10)

    def test_board_without_processor_socket_feeds_it_from_5_v(self) -> None:
        """90 ÷ 0.80 = 112.5 W at 5 V through the main plug."""
        bare = board(sockets=(Socket(key="main", kind="atx20"),))
        load = _loads(bare, processor())["processor", "v5", "board"]
        self.assertAlmostEqual(load.spans.full.likely, 112.5)

    def test_missing_short_limit_is_assumed_from_the_sustained(self) -> None:
        """90 × 1.25 ÷ 0.90 = 125 W likely; 90 × 1.6 ÷ 0.90 = 160 W high."""
        bare = Processor(key="processor", name="P", package_w=exact(90))
        load = _loads(board(), bare)["processor", "v12", "processor"]
        self.assertAlmostEqual(load.spans.short.likely, 125)
        self.assertAlmostEqual(load.spans.short.high, 160)

    def test_missing_package_limit_is_missing_not_zero(self) -> None:
        load = _loads(board(), Processor(key="processor", name="P"))[
            "processor", "v12", "processor"
        ]
        self.assertTrue(load.missing)


class CardLoads(unittest.TestCase):
    def test_slot_share_and_rest(self) -> None:
        """320 W less 50 W through the slot leaves 270 W for its sockets."""
        found = _loads(card())
        self.assertAlmostEqual(found["card", "v12", "slot"].spans.full.likely, 50)
        self.assertAlmostEqual(found["card", "v12", "own"].spans.full.likely, 270)

    def test_assumed_shares(self) -> None:
        """50 W with 8-pin sockets, 10 W with a 16-pin one; bounds 0 to 66 W. Two 8-pin are granted
        300 W, so of 320 W the slot takes 20 W at the least."""
        eight = _loads(card(slot_w=None))["card", "v12", "slot"].spans.full
        sixteen = _loads(card(slot_w=None, sockets="16pin"))["card", "v12", "slot"].spans.full
        self.assertEqual(eight, Span(20, 50, 66))
        self.assertEqual(sixteen, Span(0, 10, 66))

    def test_share_is_raised_where_the_sockets_are_granted_too_little(self) -> None:
        """215 W with one 8-pin (150 W): the slot must give 65 W."""
        found = _loads(card(215, "pcie8", slot_w=None))
        self.assertAlmostEqual(found["card", "v12", "slot"].spans.full.likely, 65)
        self.assertAlmostEqual(found["card", "v12", "own"].spans.full.likely, 150)

    def test_share_goes_on_into_3_3_v(self) -> None:
        """225 W with one 8-pin: 150 W, then 66 W at 12 V and 9 W at 3.3 V: 75 W in all."""
        found = _loads(card(225, "pcie8", slot_w=None))
        self.assertAlmostEqual(found["card", "v12", "slot"].spans.full.likely, 66)
        self.assertAlmostEqual(found["card", "v3v3", "slot"].spans.full.likely, 9)
        self.assertAlmostEqual(found["card", "v12", "own"].spans.full.likely, 150)

    def test_what_no_grant_covers_is_not_clamped(self) -> None:
        """300 W with one 8-pin: 66 + 9 W by the slot, 225 W by a socket granted 150 W."""
        found = _loads(card(300, "pcie8", slot_w=None))
        self.assertAlmostEqual(found["card", "v12", "own"].spans.full.likely, 225)

    def test_card_without_sockets_takes_all_from_its_slot(self) -> None:
        found = _loads(Card(key="card", name="C", board_power_w=exact(30), lanes=16))
        self.assertAlmostEqual(found["card", "v12", "slot"].spans.full.likely, 30)

    def test_raised_power_limit_scales_board_power(self) -> None:
        """320 × 1.1 = 352 W, less 50 W: 302 W."""
        own = _loads(card(power_limit=1.1))["card", "v12", "own"]
        self.assertAlmostEqual(own.spans.full.likely, 302)

    def test_uncertain_split_leaves_the_total_certain(self) -> None:
        """Sockets may carry 254 to 300 W, the slot 20 to 66 W, but the card draws 320 W."""
        found = _loads(card(slot_w=None))
        own, slot = found["card", "v12", "own"], found["card", "v12", "slot"]
        self.assertEqual(own.spans.full, Span(254, 270, 300))
        self.assertAlmostEqual(own.net.full.low + slot.net.full.low, 320)
        self.assertAlmostEqual(own.net.full.high + slot.net.full.high, 320)

    def test_missing_board_power_is_missing_on_both_feeds(self) -> None:
        found = _loads(card(board_power_w=None))
        self.assertTrue(found["card", "v12", "slot"].missing)
        self.assertTrue(found["card", "v12", "own"].missing)


class OtherLoads(unittest.TestCase):
    def test_memory_rail_by_generation(self) -> None:
        """DDR5 unbuffered from 5 V, everything else from 12 V, 5 W a module assumed."""
        for generation, rail in (("ddr5", "v5"), ("ddr5-registered", "v12"), ("ddr4", "v12")):
            memory = Memory(key="m", name="M", generation=generation)  # type: ignore[arg-type]
            load = _loads(memory)["m", rail, "board"]
            self.assertEqual(load.spans.full, Span(3, 5, 8))
            self.assertTrue(load.assumed)

    def test_disk_running_and_at_spin_up(self) -> None:
        """0.5 A × 12 V = 6 W and 0.5 A × 5 V = 2.5 W running; 24 W and 5 W at spin-up."""
        found = _loads(disk())
        self.assertAlmostEqual(found["disk", "v12", "own"].spans.full.likely, 6)
        self.assertAlmostEqual(found["disk", "v5", "own"].spans.full.likely, 2.5)
        self.assertAlmostEqual(found["disk", "v12", "own"].spans.start.likely, 24)
        self.assertAlmostEqual(found["disk", "v5", "own"].spans.start.likely, 5)

    def test_disk_defaults(self) -> None:
        """0.6 A at both rails; 2.0 A and 1.0 A at spin-up: 24 W at 12 V, 5 W at 5 V."""
        bare = Drive(key="d", name="D", sockets=(Socket(key="power", kind="sata"),))
        found = _loads(bare)
        self.assertAlmostEqual(found["d", "v12", "own"].spans.full.likely, 7.2)
        self.assertAlmostEqual(found["d", "v12", "own"].spans.start.likely, 24)
        self.assertAlmostEqual(found["d", "v5", "own"].spans.start.likely, 5)

    def test_small_drive_has_no_12_v_and_no_spin_up(self) -> None:
        bare = Drive(key="d", name="D", form="2.5", sockets=(Socket(key="power", kind="sata"),))
        found = _loads(bare)
        self.assertNotIn(("d", "v12", "own"), found)
        self.assertEqual(found["d", "v5", "own"].spans.start, found["d", "v5", "own"].spans.full)

    def test_m2_is_fed_at_3_3_v_through_the_board(self) -> None:
        load = _loads(M2Drive(key="m2", name="M", full_w=exact(8)))["m2", "v3v3", "board"]
        self.assertAlmostEqual(load.spans.full.likely, 8)

    def test_fan(self) -> None:
        """0.18 A × 12 V = 2.16 W on a header."""
        load = _loads(Fan(key="f", name="F", rated_a=exact(0.18)))["f", "v12", "header"]
        self.assertAlmostEqual(load.spans.full.likely, 2.16)

    def test_bounds_travel(self) -> None:
        load = _loads(Fan(key="f", name="F", rated_a=wide(0.1, 0.2, 0.3)))["f", "v12", "header"]
        self.assertAlmostEqual(load.spans.full.low, 1.2)
        self.assertAlmostEqual(load.spans.full.high, 3.6)

    def test_assumptions_can_be_set(self) -> None:
        """Regulator efficiency 0.80: 90 ÷ 0.80 = 112.5 W."""
        found = _loads(board(), processor(), assumptions=Assumptions(regulator_efficiency=0.8))
        self.assertAlmostEqual(found["processor", "v12", "processor"].spans.full.likely, 112.5)
