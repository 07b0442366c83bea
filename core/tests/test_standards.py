"""The tables against the figures that the product's model states."""

from __future__ import annotations

import unittest

from easy_tally.standards.connectors import CONNECTORS, PINS, SENSE_GRANT_W
from easy_tally.standards.contacts import contact_limit_a, derating
from easy_tally.standards.sizes import next_common_w


class Pins(unittest.TestCase):
    def test_pins_at_12_v(self) -> None:
        """Counted off the published pin-outs."""
        expected = {
            "atx24": 2,
            "atx20": 1,
            "eps8": 4,
            "eps4": 2,
            "pcie6": 3,
            "pcie8": 3,
            "16pin": 6,
            "sata": 3,
            "per4": 1,
        }
        self.assertEqual({k: PINS[k]["v12"] for k in expected}, expected)

    def test_ground_pins_without_sense(self) -> None:
        expected = {
            "atx24": 8,
            "atx20": 7,
            "eps8": 4,
            "eps4": 2,
            "pcie6": 2,
            "pcie8": 3,
            "16pin": 6,
            "sata": 5,
            "per4": 2,
            "fdd4": 2,
            "aux6": 3,
        }
        self.assertEqual({k: PINS[k]["ground"] for k in expected}, expected)

    def test_small_rails_of_the_board_plugs(self) -> None:
        self.assertEqual([PINS["atx24"][r] for r in ("v5", "v3v3", "v5sb")], [5, 4, 1])
        self.assertEqual([PINS["atx20"][r] for r in ("v5", "v3v3", "v5sb")], [4, 3, 1])
        self.assertEqual([PINS["aux6"][r] for r in ("v3v3", "v5")], [2, 1])

    def test_circuits(self) -> None:
        """Every housing has as many contacts as its name says; SATA has 15."""
        expected = {"atx24": 24, "atx20": 20, "eps8": 8, "pcie6": 6, "16pin": 12, "sata": 15}
        self.assertEqual({k: CONNECTORS[k].circuits for k in expected}, expected)


class Sense(unittest.TestCase):
    def test_open_contacts_by_version(self) -> None:
        """Both open: 150 W on the first version of the socket, nothing on the revised."""
        self.assertEqual(SENSE_GRANT_W["open", "first"], 150)
        self.assertEqual(SENSE_GRANT_W["open", "revised"], 0)

    def test_joined_contacts(self) -> None:
        self.assertEqual(SENSE_GRANT_W["joined", "revised"], 150)

    def test_one_or_both_grounded(self) -> None:
        grants = [
            SENSE_GRANT_W[s, "revised"]
            for s in ("both_grounded", "sense1_grounded", "sense0_grounded")
        ]
        self.assertEqual(grants, [600, 450, 300])


class Contacts(unittest.TestCase):
    def test_columns_by_circuits(self) -> None:
        """Standard grade, 18 AWG: 9 A to 3 circuits, 8 to 6, 7 to 10, 6 to 24."""
        found = [contact_limit_a("port", n, 18, "standard") for n in (2, 3, 4, 6, 7, 10, 11, 24)]
        self.assertEqual(found, [9, 9, 8, 8, 7, 7, 6, 6])

    def test_high_grade_has_no_figure_for_thin_wire(self) -> None:
        self.assertEqual(contact_limit_a("port", 8, 18, "high"), 9)
        self.assertIsNone(contact_limit_a("port", 8, 20, "high"))

    def test_unknown_gauge_or_grade_is_no_figure(self) -> None:
        self.assertIsNone(contact_limit_a("port", 8, None, "standard"))
        self.assertIsNone(contact_limit_a("port", 8, 18, None))

    def test_sixteen_pin_by_gauge(self) -> None:
        found = [contact_limit_a("16pin", 12, g, "standard") for g in (16, 18, 20)]
        self.assertEqual(found, [9.2, 5.5, None])

    def test_derating(self) -> None:
        """Full to 50 °C with 80 °C wire; √(15 ÷ 30) = 0.7071 at 65 °C; nothing at 80 °C."""
        self.assertEqual(derating(40, 80), 1.0)
        self.assertEqual(derating(50, 80), 1.0)
        self.assertAlmostEqual(derating(65, 80), 0.70710678, places=8)
        self.assertEqual(derating(80, 80), 0.0)

    def test_derating_stops_at_the_terminal(self) -> None:
        """A wire for 200 °C does not lift the terminal's 105 °C: √(15 ÷ 30) at 90 °C."""
        self.assertAlmostEqual(derating(90, 200), 0.70710678, places=8)


class Sizes(unittest.TestCase):
    def test_next_common_size(self) -> None:
        self.assertEqual(
            [next_common_w(w) for w in (299, 300, 300.1, 851, 2000)], [300, 300, 350, 1000, 2000]
        )
        self.assertIsNone(next_common_w(2000.1))
