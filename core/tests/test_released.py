"""What an edit lets go of: found one by one, as trying each plug on the whole build would."""

from __future__ import annotations

import random
import unittest
from pathlib import Path
from unittest.mock import patch

from easy_tally import EasyTallyError
from easy_tally.editing import (
    ChangeBetween,
    ChangePart,
    ChangeSupply,
    Edit,
    RemoveCable,
    RemovePart,
    TakeSupply,
)
from easy_tally.editing.released import BETWEEN, unplugged
from easy_tally.files import build_file
from easy_tally.things import integrity
from easy_tally.things.build import Build
from easy_tally.things.cables import Connection, Run, SocketRef
from easy_tally.things.integrity import Plugging
from easy_tally.things.parts import Drive, Socket
from easy_tally.things.supply import Port

from tests.helpers import board, build, card, graphics_cable, run, sata_cable, supply
from tests.test_between import by_adapter

DEMO = Path(__file__).resolve().parents[2] / "demo/builds"
BUILDS = [build_file.read(f.read_text(encoding="utf-8")) for f in sorted(DEMO.glob("*.json"))]


def _tried(before: Build, bare: Build) -> Build:
    """All of `before` that still holds in `bare`, each plug tried on the whole build."""
    for name in BETWEEN:
        for thing in getattr(before, name):
            for c in thing.connections:
                now = tuple(
                    x.model_copy(update={"connections": (*x.connections, c)})
                    if x.key == thing.key
                    else x
                    for x in getattr(bare, name)
                )
                tried = bare.model_copy(update={name: now})
                bare = bare if tried.problems() else tried
    for was in before.runs:
        seated = was.model_copy(update={"connections": ()})
        if bare.model_copy(update={"runs": (*bare.runs, seated)}).problems():
            continue
        for c in was.connections:
            more = seated.model_copy(update={"connections": (*seated.connections, c)})
            tried = bare.model_copy(update={"runs": (*bare.runs, more)})
            seated = seated if tried.problems() else more
        cable = bare.cable(was.cable)
        assert cable is not None
        if cable.needs or seated.connections:
            bare = bare.model_copy(update={"runs": (*bare.runs, seated)})
    return bare


def _edit(b: Build, rng: random.Random) -> Edit:
    """An edit that takes the ground from something."""
    part = rng.choice(b.parts)
    kinds = ("sata", "per4", "pcie8", "eps8")
    sockets = [Socket(key=s.key, kind=rng.choice(kinds)) for s in part.sockets]  # type: ignore[arg-type]
    edits: list[Edit] = [
        RemovePart(part=part.key, release=True),
        ChangePart(part=part.key, changes={"count": rng.randint(1, 2)}, release=True),
        ChangePart(part=part.key, changes={"sockets": sockets}, release=True),
        ChangePart(part=part.key, changes={"sockets": part.sockets[1:]}, release=True),
    ]
    if b.supply is not None:
        kept = [p for p in b.supply.ports if rng.random() < 0.7]
        edits.append(ChangeSupply(changes={"ports": kept}, release=True))
        edits.append(TakeSupply(supply=b.supply, cables=b.cables[1:], release=True))
    if b.cables:
        edits.append(RemoveCable(cable=rng.choice(b.cables).key, release=True))
    if b.adapters:
        thing = rng.choice(b.adapters)
        edits.append(ChangeBetween(key=thing.key, changes={"plugs": thing.plugs[:1]}, release=True))
        edits.append(ChangeBetween(key=thing.key, changes={"leads": thing.leads[:1]}, release=True))
    return rng.choice(edits)


class AsTried(unittest.TestCase):
    def test_what_stays_is_what_holds_when_each_plug_is_tried(self) -> None:
        rng, released = random.Random(7), 0
        for b in (*BUILDS, by_adapter(290, 2, 2), by_adapter(320, 3, 3)):
            for _ in range(25):
                edit = _edit(b, rng)
                try:
                    after = edit.apply(b)
                except EasyTallyError:
                    continue
                alone = {n: tuple(map(unplugged, getattr(after, n))) for n in BETWEEN}
                bare = after.model_copy(update={"runs": (), **alone})
                with self.subTest(b.name, edit=edit.type):
                    self.assertEqual(after, _tried(b, bare))
                released += len(after.runs) < len(b.runs) or after.runs != b.runs
        self.assertGreater(released, 50)

    def test_a_thing_that_would_feed_itself_is_let_go_of(self) -> None:
        """An adapter whose second plug would go into its own lead, by a change of its lead."""
        b = by_adapter(290, 2, 2)
        thing = b.adapters[0]
        at = SocketRef(part=thing.key, instance=1, socket=thing.leads[0].key)
        turned = thing.model_copy(update={"connections": (Connection(plug="out", socket=at),)})
        self.assertTrue(any(integrity.circles([turned])))
        self.assertFalse(any(integrity.circles([thing])))


def _many(disks: int) -> Build:
    """Disks by threes on cables of their own, each cable in a port of its own."""
    sockets = (Socket(key="power", kind="sata"),)
    cables = tuple(sata_cable(f"sata-{i}", 3) for i in range(disks // 3))
    ports = tuple(
        Port(
            key=f"d{i}",
            label=f"D{i}",
            kind="drive",
            circuits=6,
            pins_12v=1,
            row=i // 8,
            column=i % 8,
        )
        for i in range(disks // 3)
    )
    runs = tuple(
        run(f"sata-{i}", f"d{i}", **{f"p{k + 1}": f"disk#{3 * i + k + 1}/power" for k in range(3)})
        for i in range(disks // 3)
    )
    parts = (Drive(key="disk", name="Disk", count=disks, sockets=sockets),)
    return build(board(), *parts, supply=supply(ports=ports), cables=cables, runs=runs)


class OneByOne(unittest.TestCase):
    def test_a_plug_is_looked_at_a_few_times_however_many_there_are(self) -> None:
        """Each was once tried on the whole build: 190 of them took four seconds."""
        for disks in (24, 60):
            b = _many(disks)
            real = Plugging.connect
            with patch.object(Plugging, "connect", autospec=True, side_effect=real) as seen:
                edit = ChangePart(part="disk", changes={"count": disks - 1}, release=True)
                after = edit.apply(b)
            self.assertEqual(sum(len(r.connections) for r in after.runs), disks - 1)
            self.assertLessEqual(seen.call_count, 5 * disks)

    def test_each_port_each_socket_and_each_half_once(self) -> None:
        b = build(board(), card(), cables=(graphics_cable("g1"), graphics_cable("g2")), runs=())
        plugging, cables = Plugging(b), {c.key: c for c in b.cables}
        at = {s: SocketRef(part="card", instance=1, socket=s) for s in "ab"}
        self.assertEqual(plugging.seat(Run(cable="g1", ports=("g1",))), [])
        again = plugging.seat(Run(cable="g1", ports=("g2",)))
        self.assertEqual(again, [f"{cables['g1'].name}: one run of a cable"])
        self.assertRegex(plugging.seat(Run(cable="g2", ports=("g1",)))[0], "is used twice")
        self.assertEqual(plugging.seat(Run(cable="g2", ports=("g2",))), [])
        self.assertRegex(plugging.seat(Run(cable="g3", ports=()))[0], "there is no g3")
        self.assertEqual(plugging.connect(cables["g1"], Connection(plug="a", socket=at["a"])), [])
        for cable, c, said in (
            ("g1", Connection(plug="a", socket=at["b"]), "one use of plug a"),
            ("g2", Connection(plug="a", socket=at["a"]), "one plug in a socket"),
            ("g2", Connection(plug="z", socket=at["b"]), "it has no z"),
            (
                "g2",
                Connection(plug="a", socket=at["a"].model_copy(update={"socket": "z"})),
                "there is no card#1/z",
            ),
        ):
            self.assertRegex(" ".join(plugging.connect(cables[cable], c)), said)
        # What did not hold was not taken in.
        self.assertEqual(plugging.connect(cables["g2"], Connection(plug="a", socket=at["b"])), [])

    def test_without_a_supply_nothing_is_plugged_in(self) -> None:
        b = build(board(), cables=(graphics_cable("g1"),), supply=None)
        told = Plugging(b).seat(Run(cable="g1", ports=("g1",)))
        self.assertRegex(told[0], "a supply to be plugged into")
