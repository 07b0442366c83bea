"""What is kept between edits is what would be worked out anew: over random sequences of edits, undo
and redo, the one is the other, to the last digit."""

from __future__ import annotations

import ast
import random
import unittest
from collections.abc import Callable
from pathlib import Path

from easy_tally.analysis import analyse
from easy_tally.base.errors import EasyTallyError
from easy_tally.base.memory import NO_MEMORY, Memory
from easy_tally.editing import (
    ChangeBetween,
    ChangeBuild,
    ChangeCable,
    ChangePart,
    ChangeSupply,
    Connect,
    Edit,
    Park,
    Pin,
    RemovePart,
    SwapPlugs,
)
from easy_tally.files import build_file
from easy_tally.publishing import Report, compact, report
from easy_tally.things import Build, PortGroup, same
from easy_tally.things.adapters import Adapter, Backplane, BackplaneInput, Extension
from easy_tally.things.cables import Connection
from easy_tally.wiring import Wired, offers_for_socket

from .helpers import board, build, card, disk, graphics_cable, ref, run, sata_cable, supply
from .machines import seeds
from .test_between import GRAPHICS, adapter

ROOT = Path(__file__).resolve().parents[2]
FILES = (
    "demo/builds/heron",
    "demo/training/cormorant",
    "demo/training/curlew",
    "demo/builds/godwit",
    "demo/training/heron",
    "demo/training/dunlin",
    "demo/training/cormorant",
)
_FIGURES = {
    "card": ("board_power_w", "idle_w", "slot_w"),
    "processor": ("package_w", "package_idle_w"),
    "board": ("own_12v_w", "own_5v_w"),
    "drive": ("run_12v_a", "run_5v_a", "start_12v_a"),
    "fan": ("full_a",),
    "other": ("full_w",),
}


def _in_between() -> Build:
    """Two cards, each by an adapter of two leads: one of them through an extension, one on the
    second plug of a cable that also feeds the other card; and a cage of disks beside them."""

    def led(n: int) -> Adapter:
        plugged = (Connection(plug="x", socket=ref(f"card-{n}#1/a")),)
        return adapter(key=f"adapter-{n}", name=f"Adapter {n}", connections=plugged)

    longer = Extension(
        key="longer",
        name="Longer lead",
        kind="pcie6+2",
        length_mm=300,
        conductors=GRAPHICS,
        connections=(Connection(plug="out", socket=ref("adapter-1#1/a")),),
    )
    cage = Backplane(
        key="cage",
        name="Cage",
        inputs=(
            BackplaneInput(key="in-1", kind="sata", bays=("bay-1", "bay-2")),
            BackplaneInput(key="in-2", kind="sata", bays=("bay-3",)),
        ),
        connections=tuple(
            Connection(plug=f"bay-{n}", socket=ref(f"disk#{n}/power")) for n in (1, 2, 3)
        ),
    )
    cables = (graphics_cable("g1"), graphics_cable("g2"), graphics_cable("g3", 1), sata_cable())
    return build(
        board(),
        card(320, "16pin", key="card-1"),
        card(240, "16pin", key="card-2", slot_w=None),
        disk(3),
        cables=cables,
        adapters=(led(1), led(2)),
        extensions=(longer,),
        backplanes=(cage,),
        runs=(
            run("g1", "g1", a="longer#1/in", b="adapter-2#1/a"),
            run("g2", "g2", a="adapter-1#1/b"),
            run("g3", "g3", a="adapter-2#1/b"),
            run("sata", "d1", p1="cage#1/in-1", p2="cage#1/in-2"),
        ),
    )


def _edited(b: Build, rng: random.Random) -> Build:
    """A build after an edit at random; the same where that edit can't be."""
    try:
        return rng.choice(_EDITS)(b, rng).apply(b)
    except (EasyTallyError, IndexError, ValueError):
        return b


def _figure(b: Build, rng: random.Random) -> Edit:
    fed = {f.input.at.part for f in Wired(b).feeds.values()}
    part = rng.choice([p for p in b.parts if p.key in fed or rng.random() < 0.3])
    value = round(rng.uniform(0.1, 3 if part.kind in ("drive", "fan") else 250), 1)
    figure = {"low": value * 0.8, "likely": value, "high": value * 1.3}
    fields = [f for f in _FIGURES.get(part.kind, ()) if f in type(part).model_fields]
    changes = {rng.choice(fields): figure if rng.random() < 0.9 else None}
    return ChangePart(part=part.key, changes=changes)


def _count(b: Build, rng: random.Random) -> Edit:
    part = rng.choice(b.parts)
    return ChangePart(part=part.key, changes={"count": rng.randint(1, 4)}, release=True)


def _named(b: Build, rng: random.Random) -> Edit:
    part = rng.choice(b.parts)
    return ChangePart(part=part.key, changes={"name": f"Other {rng.randint(1, 9)}"})


def _rules(b: Build, rng: random.Random) -> Edit:
    rule = rng.choice(("never", "by plug", "by pins", "as delivered"))
    return ChangeBuild(house_rules={"chained_graphics": rule})


def _assumed(b: Build, rng: random.Random) -> Edit:
    changes = {rng.choice(("room_degc", "contact_mohm", "wire_18awg_a")): rng.randint(5, 30)}
    return ChangeBuild(assumptions=changes)


def _routes(b: Build, rng: random.Random) -> Edit:
    if b.case is None or not b.case.routes:
        raise ValueError("no case")
    routes = [r.model_copy(update={"length_mm": rng.randint(200, 900)}) for r in b.case.routes]
    case = b.case.model_copy(update={"routes": tuple(routes)})
    return ChangeBuild(changes={"case": case})


def _staggered(b: Build, rng: random.Random) -> Edit:
    return ChangeBuild(changes={"spin_up_at_once": rng.choice((None, 1, 2))})


def _park(b: Build, rng: random.Random) -> Edit:
    f = rng.choice(list(Wired(b).feeds.values()))
    return Park(cable=f.cable.key, plug=f.plug.key)


def _connect(b: Build, rng: random.Random) -> Edit:
    wired = Wired(b)
    free = [i for r, i in wired.inputs.items() if r not in wired.feeds]
    carrier = rng.choice([*b.cables, *wired.betweens.values()])
    return Connect(
        cable=carrier.key, plug=rng.choice(carrier.plugs).key, socket=rng.choice(free).at
    )


def _optional(b: Build, rng: random.Random) -> Edit:
    """What need not be fed: its plug out, or one in."""
    wired = Wired(b)
    into = rng.choice([i for i in wired.inputs.values() if not i.socket.required and not i.between])
    if (feed := wired.feeds.get(into.ref)) is not None:
        return Park(cable=feed.cable.key, plug=feed.plug.key)
    offer = offers_for_socket(wired, into.ref).fitting[0]
    return Connect(cable=offer.cable, plug=offer.plug, socket=into.at, half=offer.half)


def _swap(b: Build, rng: random.Random) -> Edit:
    one, two = rng.sample(list(Wired(b).feeds.values()), 2)
    return SwapPlugs(
        cable=one.cable.key, plug=one.plug.key, other_cable=two.cable.key, other_plug=two.plug.key
    )


def _between(b: Build, rng: random.Random) -> Edit:
    thing = rng.choice((*b.adapters, *b.extensions))
    return ChangeBetween(key=thing.key, changes={"gauge": rng.choice((16, 18, None))})


def _cable(b: Build, rng: random.Random) -> Edit:
    cable = rng.choice(b.cables)
    return ChangeCable(cable=cable.key, changes={"gauge": rng.choice((16, 18, 20, None))})


def _groups(b: Build, rng: random.Random) -> Edit:
    groups = b.supply.groups if b.supply else ()
    limits = [g.model_copy(update={"limit_a": rng.choice((None, 20.0, 60.0))}) for g in groups]
    return ChangeSupply(changes={"groups": limits})


#: Edits of a figure, the commonest, stand in for three of the rest.
_EDITS: tuple[Callable[[Build, random.Random], Edit], ...] = (
    _figure,
    _figure,
    _figure,
    _count,
    _named,
    _rules,
    _assumed,
    _routes,
    _staggered,
    _park,
    _optional,
    _optional,
    _connect,
    _swap,
    _between,
    _cable,
    _groups,
    lambda b, rng: RemovePart(part=rng.choice(b.parts).key, release=True),
    lambda b, rng: ChangeSupply(changes={"rated_w": rng.randint(300, 1200)}),
    lambda b, rng: Pin(cable=rng.choice(b.runs).cable, pinned=rng.random() < 0.5),
)


def _machine(seed: int) -> Build:
    if seed % 4 == 1:
        return _in_between()
    name = FILES[seed % len(FILES)] if seed else "core/tests/data/sixty"
    return build_file.read((ROOT / f"{name}.tally.json").read_text(encoding="utf-8"))


class Edits(unittest.TestCase):
    def test_kept_is_anew_over_edits_undo_and_redo(self) -> None:
        for seed in seeds(36):
            rng = random.Random(seed)
            memory = Memory(64_000_000 if seed % 3 else 300_000)
            b = _machine(seed)
            builds, kept = [b], []
            for _ in range(5):
                made = _edited(builds[-1], rng)
                # As the server does with every second: equal things made one.
                builds.append(same(made, memory, builds[-1]) if seed % 2 else made)
            # Forth, back as undo goes, and forth again.
            order = [*builds, *reversed(builds), *builds]
            kept = [self._whole(x, memory) for x in order]
            for i, x in enumerate(builds):
                fresh = self._whole(x, NO_MEMORY)
                for j, y in enumerate(order):
                    if y is x:
                        self.assertEqual(kept[j], fresh, f"seed {seed}, build {i}")

    def test_runs_that_an_edit_does_not_touch_are_the_same(self) -> None:
        b = build_file.read((ROOT / "demo/training/heron.tally.json").read_text(encoding="utf-8"))
        memory = Memory(64_000_000)
        before = analyse(b, 2026, memory)
        figure = {"low": 200, "likely": 210, "high": 220}
        edit = ChangePart(part="card-1", changes={"board_power_w": figure})
        after = analyse(edit.apply(b), 2026, memory)
        fed = {f.cable.key for f in after.wired.feeds.values() if f.input.at.part == "card-1"}
        for was, now in zip(before.runs, after.runs, strict=True):
            key = now.wired.cable.key
            # The board's main plug carries the card's slot.
            if key not in fed and not any(f.mated == "atx24" for f in now.wired.feeds):
                self.assertIs(now.elements, was.elements, key)

    def test_what_stands_elsewhere_leaves_a_run_as_it_is(self) -> None:
        """Of a run what stands beyond it counts, with all that feeds that: the disks' cage is
        nothing to the cards, and an adapter nothing to disks and to the other card."""
        # Without port groups, by which runs have to do with each other too.
        ports = [p.model_copy(update={"group": None}) for p in supply().ports]
        b = ChangeSupply(changes={"groups": [], "ports": ports}).apply(_in_between())
        memory = Memory(64_000_000)
        before = analyse(b, 2026, memory)
        for key, changes, same_runs in (
            ("cage", {"note": "by the fan"}, {"g1", "g2", "g3"}),
            ("adapter-1", {"gauge": 18}, {"g3", "sata"}),
        ):
            after = analyse(ChangeBetween(key=key, changes=changes).apply(b), 2026, memory)
            for was, now in zip(before.runs, after.runs, strict=True):
                cable = now.wired.cable.key
                self.assertEqual(now is was, cable in same_runs, f"{key}: {cable}")

    def test_a_group_by_another_name_is_called_by_it(self) -> None:
        """The run is the same, and what is said of it is not."""
        # 320 W are 26.7 A, of which the group allows 20: that governs both runs.
        b = build(
            card(320),
            cables=(graphics_cable("one", 1), graphics_cable("two", 1)),
            runs=(run("one", "g1", a="card#1/a"), run("two", "g2", a="card#1/b")),
        )
        memory = Memory(64_000_000)
        group = PortGroup(key="g", label="Left rail", limit_a=20)
        edit = ChangeSupply(changes={"groups": [group]})
        first = compact(analyse(edit.apply(b), None, memory))
        renamed = ChangeSupply(changes={"groups": [group.model_copy(update={"label": "Right"})]})
        then = compact(analyse(renamed.apply(b), None, memory))
        for said, label in ((first, "Left rail"), (then, "Right")):
            for lane in said.lanes:
                self.assertIn(f"Port group {label}: ", lane.cause)

    def _whole(self, b: Build, memory: Memory) -> Report:
        a = analyse(b, 2026, memory)
        # What is published, and below it every element and who it is of.
        for judged, wired in zip(a.runs, a.wired.runs, strict=True):
            self.assertIs(judged.wired, wired)
        return report(a)


def _made(number: int, thing: object) -> list[object]:
    """A result that takes some bytes, another one each time that it is made."""
    return [thing, number, bytes(1_000)]


class _Large:
    """A result that says what it takes."""

    takes_bytes = 70_000

    def __init__(self, thing: object) -> None:
        self.thing = thing


class Kept(unittest.TestCase):
    def test_by_identity_and_an_equal_rest(self) -> None:
        memory, one, like = Memory(1_000_000), [1], [1]
        first = memory.of(_made, (one,), (0,))
        self.assertIs(memory.of(_made, (one,), (0,)), first)
        self.assertIsNot(memory.of(_made, (like,), (0,)), first)
        self.assertIsNot(memory.of(_made, (one,), (1,)), first)

    def test_it_makes_of_what_is_in_the_key(self) -> None:
        one = [1]
        self.assertEqual(Memory(1_000_000).of(_made, (one,), (7,))[:2], [one, 7])
        self.assertEqual(NO_MEMORY.of(_made, (one,), (7,))[:2], [one, 7])

    def test_it_stays_within_its_bytes_and_what_was_not_asked_for_goes(self) -> None:
        """Each result takes some 1.5 kB; 30 kB are not enough for forty."""
        memory, one = Memory(30_000), [1]
        first = memory.of(_made, (one,), (0,))
        for n in range(40):
            memory.of(_made, (one,), (n,))
            self.assertIs(memory.of(_made, (one,), (0,)), first)  # asked for all the time
            self.assertLess(memory.bytes_kept, 33_000)
        self.assertGreater(memory.bytes_kept, 10_000)
        again = memory.of(_made, (one,), (1,))
        self.assertIsNot(memory.of(_made, (one,), (0,)), again)
        for n in range(2, 40):
            memory.of(_made, (one,), (n,))
        self.assertIsNot(memory.of(_made, (one,), (0,)), first)

    def test_what_a_result_takes_is_counted_without_what_is_there_anyway(self) -> None:
        memory, one = Memory(1_000_000), [bytes(50_000)]
        memory.of(_made, (one,), (0,))
        self.assertLess(memory.bytes_kept, 3_000)

    def test_of_equal_things_the_first(self) -> None:
        memory, one, like = Memory(1_000_000), [1], [1]
        self.assertIs(memory.first(one, "one", 100), one)
        self.assertIs(memory.first(like, "one", 100), one)
        self.assertIs(NO_MEMORY.first(like, "one", 100), like)

    def test_what_is_only_tried_takes_what_is_there_and_leaves_nothing(self) -> None:
        memory, one = Memory(1_000_000), [1]
        first = memory.of(_made, (one,), (0,))
        kept, aside = memory.bytes_kept, memory.aside()
        self.assertIs(aside.of(_made, (one,), (0,)), first)
        tried = aside.of(_made, (one,), (1,))
        self.assertIs(aside.of(_made, (one,), (1,)), tried)
        self.assertEqual(memory.bytes_kept, kept)
        self.assertIsNot(memory.of(_made, (one,), (1,)), tried)
        self.assertIs(NO_MEMORY.aside(), NO_MEMORY)

    def test_what_says_how_much_it_takes_is_counted_as_that(self) -> None:
        memory = Memory(1_000_000)
        memory.of(_Large, ([1],))
        self.assertEqual(memory.bytes_kept, 70_400)

    def test_forgotten_is_made_anew(self) -> None:
        memory, one = Memory(1_000_000), [1]
        first = memory.of(_made, (one,), (0,))
        memory.forget()
        self.assertEqual(memory.bytes_kept, 0)
        self.assertIsNot(memory.of(_made, (one,), (0,)), first)

    def test_nothing_is_kept_in_a_module(self) -> None:
        """Whoever analyses owns the memory."""
        for file in sorted((ROOT / "core/easy_tally").rglob("*.py")):
            for node in ast.parse(file.read_text(encoding="utf-8")).body:
                text = ast.unparse(node)
                kept = "lru_cache" in text or "@cache\n" in text or " = Memory(" in text
                self.assertFalse(kept and not text.startswith(("def", "class")), file)
                self.assertNotIn("functools import cache\n", text + "\n")
