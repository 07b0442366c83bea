"""A number that a reading lost is told: the net under what builders say."""

from __future__ import annotations

import unittest

from easy_tally.entry import parse
from easy_tally.things.parts import Part

from tests.accounted import unaccounted


def _part(line: str) -> Part:
    part = parse(line).part
    assert part is not None, line
    return part


class Lost(unittest.TestCase):
    def test_a_count_or_a_figure_that_is_not_in_the_part(self) -> None:
        for said, taken, lost in (
            ("three-pack of fans", "fan", "three"),
            ("5 fans 120mm", "fan 120mm", "5"),
            ("fan 120 0.2a 7w", "fan 120 0.2a", "7"),
            ("card 8pin 250w", "card 8pin", "250"),
            ("cpu 65w 88w boost", "processor 65w", "88"),
            ("board 8pin 9 sata", "board 8pin", "9"),
            ("a hundred disks", "disk", "hundred"),
            ("12 fans 120mm", "fan 120mm", "12"),
            ("4 cards 8pin", "card 8pin", "4"),
        ):
            self.assertEqual(unaccounted(said, _part(taken), ()), lost, said)

    def test_what_is_worked_out_is_there(self) -> None:
        for said, taken in (
            ("fan 2.4w", "fan 0.2a"),
            ("3 fans 0.6 a in total", "fan x3 0.2a"),
            ("card 320w limited to 250w 2x8", "card 320w 2x8 limit:0.78125"),
            ("32gb kit of 2", 'memory ddr5 x2 "Memory, 16 GB"'),
            ("fan 12 cm", "fan 120mm"),
            ("120 x 120 x 25 mm fan", "fan 120mm"),
            ("disk 8w", "disk 8w"),
            ("12V 2A load", "load 12v:24w"),
            ("3.5 inch hdd, sata 6 gb/s", "disk"),
        ):
            self.assertEqual(unaccounted(said, _part(taken), ()), "", said)

    def test_what_is_told_beside_it_is_no_loss(self) -> None:
        self.assertEqual(unaccounted("fan $1,299", _part("fan"), ("$1,299",)), "")
        self.assertEqual(unaccounted("fan 56 cfm", _part("fan"), ("56 cfm",)), "")
