"""What stands between cable and socket, edited: put in, taken out, and what is never allowed."""

from __future__ import annotations

import unittest

from easy_tally.advice import judged
from easy_tally.analysis import analyse
from easy_tally.base.errors import NotThere, Refused, WouldRelease
from easy_tally.editing import (
    AddBetween,
    ChangeBetween,
    Connect,
    Park,
    RemoveBetween,
    RemovePart,
    SwapPlugs,
)
from easy_tally.publishing import compact
from easy_tally.things.adapters import Adapter, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Connection, Plug
from easy_tally.things.parts import Socket
from easy_tally.wiring import Wired, offers_for_socket
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from .helpers import (
    apply,
    board,
    build,
    card,
    graphics_cable,
    processor,
    processor_cable,
    ref,
    run,
    sata_cable,
    told,
)
from .test_between import adapter, by_adapter, element, runs_of


class Edits(unittest.TestCase):
    def _bare(self) -> Build:
        """A card of 16 pins, two cables, and an adapter that nothing is plugged into."""
        cables = (graphics_cable("g1"), graphics_cable("g2", count=1))
        return build(
            board(), card(290, "16pin"), cables=cables, adapters=(adapter(connections=()),)
        )

    def _connect(self, b: Build, cable: str, plug: str, socket: str) -> Build:
        return apply(b, Connect(cable=cable, plug=plug, socket=ref(socket)))

    def test_an_adapter_is_plugged_in_end_by_end(self) -> None:
        b = self._connect(self._bare(), "adapter", "x", "card#1/a")
        self.assertIn(
            "card#1/a", [m.subject for m in told(compact(analyse(b))) if m.kind == "unfed"]
        )
        b = self._connect(b, "g1", "a", "adapter#1/a")
        b = self._connect(b, "g2", "a", "adapter#1/b")
        self.assertEqual([r.verdict for r in runs_of(b)], ["within", "within"])
        self.assertEqual(compact(analyse(b)).strip.sockets_fed, 1)
        parked = apply(b, Park(cable="adapter", plug="x"))
        self.assertEqual(parked.adapters[0].connections, ())

    def test_a_chained_plug_into_a_second_lead_is_refused_with_its_reason(self) -> None:
        b = self._connect(self._bare(), "g1", "a", "adapter#1/a")
        with self.assertRaisesRegex(Refused, "150 W by each 8-pin graphics lead"):
            self._connect(b, "g1", "b", "adapter#1/b")
        moved = self._connect(b, "g1", "a", "adapter#1/b")  # the same plug may move
        self.assertEqual(str(moved.runs[0].connections[0].socket), "adapter#1/b")
        offers = offers_for_socket(Wired(b), ref("adapter#1/b"))
        self.assertEqual({(o.cable, o.plug) for o in offers.fitting}, {("g1", "a"), ("g2", "a")})

    def test_what_is_never_allowed_is_refused(self) -> None:
        of = adapter(1, codes=(), connections=()).model_copy(
            update={
                "leads": (Lead(key="a", kind="sata"),),
                "plugs": (Plug(key="x", kind="pcie6", at_mm=100),),
            }
        )
        b = build(board(), card(60, "pcie6"), cables=(sata_cable(),), adapters=(of,))
        for cable, plug, socket in (("adapter", "x", "card#1/a"), ("sata", "p1", "adapter#1/a")):
            with self.assertRaisesRegex(Refused, "a SATA plug brings 54 W"):
                self._connect(b, cable, plug, socket)
        with self.assertRaisesRegex(Refused, "feed itself"):
            plug = Plug(key="x", kind="pcie8", at_mm=100)
            y = adapter(1, codes=(), connections=(), plugs=(plug,))
            self._connect(build(board(), adapters=(y,)), "adapter", "x", "adapter#1/a")

    def test_the_second_half_of_a_4_4_stays_parked(self) -> None:
        """By its keying it fits no 4-pin socket: the marked half moves, the other is refused."""
        sockets = (Socket(key="cpu-1", kind="eps4"), Socket(key="cpu-2", kind="eps4"))
        b = build(board(sockets=sockets), processor(), cables=(processor_cable(),))
        b = self._connect(b, "cpu", "a", "board#1/cpu-1")
        b = self._connect(b, "cpu", "a", "board#1/cpu-2")
        found = [(c.half, str(c.socket)) for c in b.runs[0].connections]
        self.assertEqual(found, [("marked", "board#1/cpu-2")])
        with self.assertRaisesRegex(Refused, "by its keying"):
            apply(b, Connect(cable="cpu", plug="a", socket=ref("board#1/cpu-1"), half="loose"))
        b = apply(b, Park(cable="cpu", plug="a"))
        self.assertEqual(b.runs[0].connections, ())

    def test_two_plugs_are_swapped(self) -> None:
        b = build(
            board(),
            card(),
            cables=(graphics_cable("g1"),),
            runs=(run("g1", "g1", a="card#1/a", b="card#1/b"),),
        )
        swap = SwapPlugs(cable="g1", plug="a", other_cable="g1", other_plug="b")
        found = {c.plug: str(c.socket) for c in apply(b, swap).runs[0].connections}
        self.assertEqual(found, {"a": "card#1/b", "b": "card#1/a"})
        parked = apply(b, Park(cable="g1", plug="b"))
        with self.assertRaisesRegex(Refused, "parked"):
            apply(parked, swap)
        mixed = build(
            board(),
            card(),
            cables=(graphics_cable("g1"), processor_cable()),
            runs=(run("cpu", "p1", a="board#1/cpu-1"), run("g1", "g1", a="card#1/a")),
        )
        with self.assertRaisesRegex(Refused, "short circuit"):
            apply(mixed, SwapPlugs(cable="g1", plug="a", other_cable="cpu", other_plug="a"))

    def test_added_changed_and_taken_out(self) -> None:
        b = apply(build(board(), card(290, "16pin")), AddBetween(thing=adapter()))
        self.assertEqual((b.adapters[0].key, b.adapters[0].connections), ("adapter", ()))
        twin = apply(b, AddBetween(thing=adapter()))
        self.assertEqual([x.key for x in twin.adapters], ["adapter", "adapter-2"])
        b = apply(b, ChangeBetween(key="adapter", changes={"gauge": 18}))
        self.assertEqual(b.adapters[0].gauge, 18)
        whole = by_adapter(290, 2, 2)
        with self.assertRaises(WouldRelease):
            apply(whole, RemoveBetween(key="adapter"))
        bare = apply(whole, RemoveBetween(key="adapter", release=True))
        self.assertEqual([r.connections for r in bare.runs], [(), ()])
        with self.assertRaises(NotThere):
            apply(bare, RemoveBetween(key="adapter"))

    def test_a_card_taken_out_lets_its_adapter_go(self) -> None:
        whole = by_adapter(290, 2, 2)
        with self.assertRaises(WouldRelease) as caught:
            apply(whole, RemovePart(part="card"))
        self.assertEqual(caught.exception.released, ["Adapter from Card"])
        left = apply(whole, RemovePart(part="card", release=True))
        self.assertEqual((left.adapters[0].connections, len(left.runs[0].connections)), ((), 1))

    def test_offers_best_first_by_what_they_would_do(self) -> None:
        """320 W by two sockets: on one chain 270 W are too much for the rule, and so they are for
        one plug; on a cable of its own 135 W are 90 % of 150."""
        cables = (graphics_cable("g1"), graphics_cable("g2", count=1))
        b = build(board(), card(), cables=cables, runs=(run("g1", "g1", a="card#1/a"),))
        a = analyse(b)
        found = judged(a, offers_for_socket(a.wired, ref("card#1/b"))).fitting
        said = [(o.cable, o.plug, o.verdict, o.percent) for o in found]
        self.assertEqual(said[0], ("g2", "a", "within", 90))
        self.assertEqual({x[2:] for x in said[1:]}, {("over", 180)})


class Holds(unittest.TestCase):
    def test_what_can_not_be_plugged(self) -> None:
        for of, text in (
            (adapter(connections=(Connection(plug="x", socket=ref("card#1/b")),)), "a socket in"),
            (adapter(connections=(Connection(plug="y", socket=ref("card#1/a")),)), "no y"),
            (adapter(key="card"), "used twice"),
        ):
            with self.assertRaisesRegex(ValidationError, text):
                build(board(), card(290, "16pin"), adapters=(of,))

    def test_nothing_feeds_itself(self) -> None:
        def y(key: str, to: str) -> Adapter:
            plugs = tuple(Plug(key=k, kind="sata", at_mm=100) for k in "xy")
            into = (Connection(plug="x", socket=ref(f"{to}#1/a")),)
            return Adapter(
                key=key,
                name=key,
                leads=(Lead(key="a", kind="sata"),),
                plugs=plugs,
                connections=into,
            )

        for both in ((y("one", "one"),), (y("one", "two"), y("two", "one"))):
            with self.assertRaisesRegex(ValidationError, "not by itself"):
                build(board(), adapters=both)

    @given(st.integers(100, 500), st.integers(0, 200), st.integers(2, 3))
    def test_more_load_never_improves_a_verdict(self, power: int, more: int, leads: int) -> None:
        worse = {"within": 0, "tight": 1, "unknown": 2, "over": 3}
        less = max(worse[r.verdict] for r in runs_of(by_adapter(power, 3, leads)))
        most = max(worse[r.verdict] for r in runs_of(by_adapter(power + more, 3, leads)))
        self.assertGreaterEqual(most, less)

    @given(st.integers(100, 500), st.integers(2, 3))
    def test_every_watt_of_the_plug_is_on_some_lead(self, power: int, leads: int) -> None:
        found = runs_of(by_adapter(power, 3, leads))
        whole = sum(element(r, "grant", "a").judged.loads[7] for r in found)
        self.assertAlmostEqual(whole, power - 50)
