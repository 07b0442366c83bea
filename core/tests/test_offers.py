"""What fits a picked end, what does not, and why."""

from __future__ import annotations

import unittest

from easy_tally.advice.judged_offers import judged
from easy_tally.analysis import analyse
from easy_tally.base.errors import NotThere, Refused
from easy_tally.base.memory import Memory
from easy_tally.editing import Connect
from easy_tally.ratings.verdicts import worst
from easy_tally.things.build import Build
from easy_tally.things.supply import PortGroup
from easy_tally.wiring import Offer, Wired
from easy_tally.wiring.offers import offers_for_plug, offers_for_socket

from .helpers import board, build, card, disk, exact, graphics_cable, ref, run, sata_cable, supply
from .machines import machine
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

    def test_a_spike_that_trips_a_group_is_told_before_it_is_plugged_in(self) -> None:
        """100 W by the socket are 8.33 A, 76 % of a group of 11 A; for 10 ms 1.4 times that,
        11.67 A, 107 %: tight."""
        limit = PortGroup(key="g", label="G", limit_a=11)
        b = build(
            board(),
            card(150, "pcie8", slot_w=exact(50)),
            cables=(graphics_cable(count=1),),
            supply=supply(groups=(limit,)),
        )
        a = analyse(b)
        (offer,) = judged(a, offers_for_plug(a.wired, "chain", "a")).fitting
        self.assertEqual((offer.verdict, offer.percent), ("tight", 107))
        steady = supply(groups=(limit.model_copy(update={"limit_a": 15}),))
        a = analyse(b.model_copy(update={"supply": steady}))
        (offer,) = judged(a, offers_for_plug(a.wired, "chain", "a")).fitting
        self.assertEqual(offer.verdict, "within")


class AsItComesTo(unittest.TestCase):
    """What an offer says is what the map comes to once it is taken; what is refused is refused."""

    def test_over_many_machines(self) -> None:
        told = 0
        for seed in range(8):
            b = machine(seed)
            of = b.supply
            assert of is not None
            limits = tuple(g.model_copy(update={"limit_a": 25}) for g in of.groups)
            b = b.model_copy(update={"supply": of.model_copy(update={"groups": limits})})
            memory = Memory(64_000_000)
            a = analyse(b, memory=memory)
            plugs = [(c.key, p.key) for c in b.cables for p in c.plugs]
            picked = [offers_for_plug(a.wired, *p) for p in plugs]
            picked += [offers_for_socket(a.wired, ref(r)) for r in a.wired.inputs]
            for offers in picked:
                for o in judged(a, offers).fitting:
                    with self.subTest(seed=seed, offer=o.text):
                        self._same(b, o, memory)
                    told += bool(o.verdict)
                for o in offers.refused:
                    with self.subTest(seed=seed, refused=o.text), self.assertRaises(Refused) as no:
                        _put(o).apply(b)
                    self.assertEqual(str(no.exception), o.reason)
        self.assertGreater(told, 300)

    def _same(self, b: Build, o: Offer, memory: Memory) -> None:
        a = analyse(_put(o).apply(b), memory=memory)
        ways = {c.key for c in a.wired.cables_to(o.socket)} | {o.cable}
        runs = [r for r in a.runs if r.wired.cable.key in ways]
        self.assertIn(o.verdict, {r.verdict for r in runs})
        self.assertEqual(o.verdict, worst([r.verdict for r in runs]))
        percents = {r.percent for r in runs if r.verdict == o.verdict}
        self.assertEqual(o.percent, max(percents, key=lambda p: p or 0))


def _put(o: Offer) -> Connect:
    return Connect(cable=o.cable, plug=o.plug, half=o.half, socket=o.at, ports=o.ports or None)
