"""Which plug goes where, and the reasons with their numbers."""

from __future__ import annotations

import unittest

from easy_tally.standards.connectors import PLUGS, SOCKET_KINDS, clash
from easy_tally.things.fits import best_half, fit


class Fits(unittest.TestCase):
    def test_every_pair_that_fits(self) -> None:
        """All of plug × half × socket; what is not listed is refused with a reason."""
        expected = {
            ("atx20+4", "whole", "atx24"),
            ("atx20+4", "marked", "atx20"),
            ("atx20+4", "marked", "atx24"),
            ("atx24", "whole", "atx24"),
            ("atx20", "whole", "atx20"),
            ("atx20", "whole", "atx24"),
            ("eps4+4", "whole", "eps8"),
            ("eps4+4", "marked", "eps4"),
            ("eps8", "whole", "eps8"),
            ("eps4", "whole", "eps4"),
            ("pcie6+2", "whole", "pcie8"),
            ("pcie6+2", "marked", "pcie6"),
            ("pcie8", "whole", "pcie8"),
            ("pcie6", "whole", "pcie6"),
            ("16pin", "whole", "16pin"),
            ("sata", "whole", "sata"),
            ("per4", "whole", "per4"),
            ("fdd4", "whole", "fdd4"),
            ("aux6", "whole", "aux6"),
        }
        for plug in PLUGS:
            for half in ("whole", "marked", "loose"):
                for socket in SOCKET_KINDS:
                    answer = fit(plug, half, socket)
                    self.assertEqual(
                        answer.fits, (plug, half, socket) in expected, (plug, half, socket)
                    )
                    self.assertEqual(bool(answer.reason), not answer.fits)

    def test_4_pin_in_8_pin_only_where_the_manual_allows_it(self) -> None:
        self.assertFalse(fit("eps4", "whole", "eps8").fits)
        answer = fit("eps4", "whole", "eps8", eps4_in_eps8=True)
        self.assertTrue(answer.fits)
        self.assertEqual(answer.mated, "eps4")

    def test_of_a_4_4_only_the_marked_half_by_its_keying(self) -> None:
        """A build of an earlier version that has the other one in opens; it is told."""
        answer = fit("eps4+4", "loose", "eps4")
        self.assertEqual((answer.fits, answer.mated), (False, "eps4"))
        self.assertIn("by its keying", answer.reason)

    def test_20_pin_in_24_pin_counts_as_20_pin_and_warns(self) -> None:
        answer = fit("atx20", "whole", "atx24")
        self.assertEqual(answer.mated, "atx20")
        self.assertIn("one 12 V pin", answer.warning)

    def test_the_half_that_fits_is_chosen(self) -> None:
        self.assertEqual(best_half("pcie6+2", "pcie8"), "whole")
        self.assertEqual(best_half("pcie6+2", "pcie6"), "marked")
        self.assertEqual(best_half("atx20+4", "atx24"), "whole")


class Reasons(unittest.TestCase):
    def test_processor_plug_in_a_graphics_socket_is_a_short_circuit(self) -> None:
        """Row on row, three 12 V pins of the one lie on ground of the other."""
        self.assertEqual((clash("eps8", "pcie8"), clash("pcie8", "eps8")), (3, 3))
        for plug, socket in (("eps4+4", "pcie8"), ("pcie6+2", "eps8")):
            reason = fit(plug, "whole", socket).reason  # type: ignore[arg-type]
            self.assertIn("on 3 pins: a short circuit", reason)

    def test_loose_4_of_the_board_plug(self) -> None:
        reason = fit("atx20+4", "loose", "eps4").reason
        self.assertIn("one pin each of 12 V, 5 V, 3.3 V and ground", reason)

    def test_sata_in_a_graphics_socket(self) -> None:
        reason = fit("sata", "whole", "pcie6").reason
        self.assertIn("4.5 A at 12 V (54 W)", reason)
        self.assertIn("75 W", reason)

    def test_others_give_their_contacts(self) -> None:
        reason = fit("pcie6", "whole", "pcie8").reason
        self.assertEqual(
            reason,
            "A 6-pin graphics plug has 6 contacts (3 at 12 V); "
            "an 8-pin graphics socket has 8 (3 at 12 V).",
        )
