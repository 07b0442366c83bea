"""Supplies side by side as CSV: what differs stands first, no cell is a sum."""

from __future__ import annotations

import csv
import io
import unittest

from easy_tally.analysis import analyse
from easy_tally.files import supplies_csv
from easy_tally.publishing import supply_answer
from easy_tally.supplies import check_supply

from .helpers import board, build, card, supply


class Compared(unittest.TestCase):
    def test_a_row_a_check_and_a_column_a_supply(self) -> None:
        a = analyse(build(board(), card()))
        made = [supply(rated_w=w, name=n) for w, n in ((400, "Small"), (800, "=1+1"))]
        text = supplies_csv.write(supply_answer(s, check_supply(s, a.asked)) for s in made)
        rows = list(csv.reader(io.StringIO(text)))
        self.assertEqual(rows[0], ["", "Small", "'=1+1"])
        self.assertEqual(rows[1], ["verdict", "too small", "right size"])
        named = {r[0]: r[1:] for r in rows}
        self.assertTrue(named["watts"][0].startswith("fail: 400 W rated"))
        self.assertTrue(named["watts"][1].startswith("pass: 800 W rated"))
        order = [r[0] for r in rows]
        self.assertLess(order.index("watts"), order.index("rail v5"))
        self.assertTrue(all(len(r) == 3 for r in rows))
