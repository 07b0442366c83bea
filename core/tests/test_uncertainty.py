"""The figure that moves the total most, and what finding it out would settle."""

from __future__ import annotations

import unittest

from easy_tally.analysis.analyse import analyse
from easy_tally.base.declared import Figure
from easy_tally.publishing.wording import mover_words
from easy_tally.supplies.uncertainty import Mover, mover
from easy_tally.things.build import Build
from easy_tally.things.parts import PART_KINDS, Drive, Fan

from .helpers import board, build, card, exact, processor, wide


def _mover(b: Build) -> Mover | None:
    a = analyse(b)
    return mover(a.wired, a.loads, a.tally, a.sizing)


class Moves(unittest.TestCase):
    def test_an_assumed_figure_before_a_wider_one_that_is_known(self) -> None:
        """Card 300 to 340 W from its page; ten fans without a figure: 12 to 48 W assumed."""
        fans = Fan(key="fan", name="Fan", count=10)
        found = _mover(build(board(), card(board_power_w=wide(300, 320, 340)), fans))
        assert found is not None
        self.assertEqual((found.part, found.field, found.assumed), ("fan", "rated_a", True))
        self.assertAlmostEqual(found.low_w, 12)
        self.assertAlmostEqual(found.high_w, 48)

    def test_what_it_would_settle(self) -> None:
        """25 W of board, 100 of processor, the card 240 to 300 W, likely 260: 385 × 1.2 = 462 W:
        500. At 240 W 365 × 1.2 = 438 W: 450; at 300 W 425 × 1.2 = 510 W: 550."""
        power = Figure(low=240, likely=260, high=300, origin="assumed")
        found = _mover(build(board(), processor(), card(board_power_w=power)))
        assert found is not None
        self.assertEqual((found.pick_low_w, found.pick_w, found.pick_high_w), (450, 500, 550))
        self.assertEqual(
            mover_words(found),
            "Card, board power (assumed), moves the total most: 240 W to 300 W at full. Finding it "
            "out would settle whether the next common size is 450 or 550 W.",
        )

    def test_spikes_move_with_it(self) -> None:
        """A 16-pin card, worst by the standard, 3.x supply with such a port: 3 × 300 ÷ 2.0 = 450 W
        and 25 × … the 10 ms window: 2 × 300 ÷ 1.6 = 375. At 400 W: (800 + 25 + 400) ÷ 2 = 612."""
        power = Figure(low=300, likely=300, high=400, origin="assumed")
        big = card(board_power_w=power, sockets="16pin", spikes="by-standard worst")
        found = _mover(build(board(), big))
        assert found is not None
        self.assertEqual((found.pick_w, found.pick_high_w), (500, 650))

    def test_a_split_between_slot_and_sockets_moves_nothing(self) -> None:
        self.assertIsNone(_mover(build(board(), card(slot_w=None, board_power_w=exact(320)))))

    def test_every_kind_without_figures(self) -> None:
        """Whatever is assumed of a part by itself can be found out."""
        for kind in PART_KINDS:
            for more in ({"form": f} for f in ("3.5", "2.5", "optical", "floppy")):
                fields = more if kind is Drive else {}
                part = kind(key="x", name="X", **fields)
                found = _mover(Build(name="x", parts=(part,)))
                if found is not None:
                    self.assertIsNotNone(found.pick_high_w, kind)

    def test_a_size_that_stays(self) -> None:
        fan = Fan(key="fan", name="Fan", rated_a=wide(0.1, 0.2, 0.3))
        found = _mover(build(board(), card(), fan))
        assert found is not None
        self.assertIn("would leave the next common size at", mover_words(found))
