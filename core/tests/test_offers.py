"""What fits a picked end, what does not, and why."""

from __future__ import annotations

import unittest

from easy_tally.base.errors import NotThere
from easy_tally.findings import analyse
from easy_tally.findings.judged_offers import judged
from easy_tally.things.build import Build
from easy_tally.wiring import Wired
from easy_tally.wiring.offers import offers_for_plug, offers_for_socket

from .helpers import board, build, disk, exact, ref, run, sata_cable
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


def _shelves(disks: int) -> Build:
    """So many disks in shelves of 60, and one cable for drives in its port, all plugs parked."""
    parts = [disk(key=f"disk-{i}", count=60) for i in range(disks // 60)]
    return build(board(), *parts, cables=(sata_cable(),), runs=(run("sata", "d1"),))


class Judged(unittest.TestCase):
    def test_of_a_large_build_fewer_are_judged_and_some_always(self) -> None:
        """24 of up to 120 inputs; of 243 with the board's three 24 × 120 ÷ 243 = 11; of 1,803 the
        least, 5. Those stand first, and all are there."""
        for disks, most in ((60, 24), (240, 11), (1_800, 5)):
            with self.subTest(disks):
                a = analyse(_shelves(disks))
                offers = judged(a, offers_for_plug(a.wired, "sata", "p1"))
                told = [bool(o.verdict) for o in offers.fitting]
                self.assertEqual(told, [True] * most + [False] * (disks - most))
                self.assertEqual({o.verdict for o in offers.fitting[:most]}, {"within"})

    def test_one_that_would_be_over_stands_behind(self) -> None:
        """Disks of 0.5 A are within on any plug; 30 A at 12 V are over on contacts of 1.5 A."""
        parts = (disk(2), disk(key="loud", start_12v_a=exact(60), run_12v_a=exact(30)))
        b = build(board(), *parts, cables=(sata_cable(),), runs=(run("sata", "d1"),))
        a = analyse(b)
        offers = judged(a, offers_for_plug(a.wired, "sata", "p1"))
        self.assertEqual([o.socket for o in offers.fitting][-1], "loud#1/power")
        self.assertEqual([o.verdict for o in offers.fitting], ["within", "within", "over"])
