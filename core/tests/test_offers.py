"""What fits a picked end, what does not, and why."""

from __future__ import annotations

import unittest

from easy_tally.base.errors import NotThere
from easy_tally.wiring import Wired
from easy_tally.wiring.offers import offers_for_plug, offers_for_socket

from .helpers import ref
from .test_editing import _bench


class ForASocket(unittest.TestCase):
    def test_every_plug_is_either_fitting_or_refused_with_a_reason(self) -> None:
        b = _bench()
        offers = offers_for_socket(Wired(b), ref("card#1/a"))
        plugs = sum(len(c.plugs) for c in b.cables)
        self.assertEqual(len(offers.fitting) + len(offers.refused), plugs)
        self.assertTrue(all(o.reason for o in offers.refused))

    def test_what_costs_nothing_stands_first(self) -> None:
        offers = offers_for_socket(Wired(_bench()), ref("card#1/a"))
        self.assertEqual(
            [(o.cable, o.plug) for o in offers.fitting],
            [("spare", "a"), ("chain", "a"), ("chain", "b")],
        )

    def test_notes_say_what_it_would_do(self) -> None:
        by_plug = {
            (o.cable, o.plug): o
            for o in offers_for_socket(Wired(_bench()), ref("card#1/a")).fitting
        }
        self.assertEqual(by_plug["chain", "a"].note, "It is in this socket now.")
        self.assertIn("It feeds Card · b now, and would move.", by_plug["chain", "b"].note)
        self.assertIn("Chain feeds it now, and would park.", by_plug["spare", "a"].note)

    def test_cable_of_another_family_is_refused_by_name(self) -> None:
        reasons = {
            o.cable: o.reason for o in offers_for_socket(Wired(_bench()), ref("card#1/a")).refused
        }
        self.assertIn("Pinout family Other", reasons["stray"])

    def test_ports_are_named(self) -> None:
        spare = offers_for_socket(Wired(_bench()), ref("card#1/a")).fitting[0]
        self.assertEqual((spare.ports, spare.spare), (("g2",), True))
        self.assertTrue(spare.text.startswith("G2 · Spare"))

    def test_no_such_socket(self) -> None:
        with self.assertRaises(NotThere):
            offers_for_socket(Wired(_bench()), ref("card#7/a"))


class ForAPlug(unittest.TestCase):
    def test_every_socket_is_answered(self) -> None:
        b = _bench()
        offers = offers_for_plug(Wired(b), "spare", "a")
        self.assertEqual({o.socket for o in offers.fitting}, {"card#1/a", "card#1/b"})
        self.assertEqual(len(offers.fitting) + len(offers.refused), len(list(b.sockets())))

    def test_no_such_plug(self) -> None:
        with self.assertRaises(NotThere):
            offers_for_plug(Wired(_bench()), "spare", "z")
