"""Every limit of a run against a second computation that shares nothing with the core."""

from __future__ import annotations

import json
import random
import unittest
from typing import Any

from easy_tally import Build, analyse
from easy_tally.base.units import WINDOWS
from easy_tally.ratings.elements import Element
from easy_tally.things.adapters import Adapter, Backplane, BackplaneInput
from easy_tally.things.cables import Cable, Connection, Run, SocketRef
from easy_tally.things.parts import (
    Card,
    Fan,
    Header,
    LightStrip,
    M2Drive,
    Memory,
    Pump,
    Slot,
    Socket,
)
from easy_tally.things.supply import Port, PortGroup

from . import oracle, oracle_more
from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    rules,
    sata_cable,
    sixteen_cable,
    supply,
)
from .test_between import adapter

#: Where full stands among the states of a load, at likely.
_FULL = 3 * 2 + 1
_KINDS = {"grant", "plug pins", "supply-end pins", "port pins", "wire", "drop", "group",
          "house rule"}  # fmt: skip
_CARDS = ("pcie8", "pcie8 pcie8", "pcie6", "pcie8 pcie6", "pcie8 pcie8 pcie8", "16pin",
          "16pin pcie8", "pcie6 pcie6")  # fmt: skip
_SENSES = ("both_grounded", "sense0_grounded", "sense1_grounded", "open", None)


def _card(rng: random.Random, n: int) -> Card:
    made = card(
        rng.choice((75, 150, 230, 320, 450, 600)), rng.choice(_CARDS), key=f"card-{n}",
        slot_w=rng.choice((None, None, exact(rng.choice((20, 50, 66))))),
        lanes=rng.choice((16, 16, 8)), power_limit=rng.choice((1.0, 1.0, 1.1)),
    )  # fmt: skip
    sockets = [
        s.model_copy(update={"version": rng.choice(("first", "revised"))}) if s.kind == "16pin"
        else s.model_copy(update={"pins_12v": rng.choice((None, None, 2))})
        for s in made.sockets
    ]  # fmt: skip
    return made.model_copy(update={"sockets": tuple(sockets)})


def _varied(rng: random.Random, cable: Cable) -> Cable:
    """The cable of another gauge and grade, with plugs that state more or less."""
    end, gauge = cable.supply_end, rng.choice((16, 18, 18, 20))
    plugs = tuple(
        p.model_copy(update={
            "grade": rng.choice(("standard", "standard", "high", None)),
            "pins_12v": rng.choice((None, None, 2)) if p.kind == "pcie6+2" else None,
            "contact_a": rng.choice((None, None, None, 6.5)),
            "sense": rng.choice(_SENSES) if p.kind == "16pin" else None,
        })
        for p in cable.plugs
    )  # fmt: skip
    grade = rng.choice(("standard", "high", None))
    return cable.model_copy(update={
        "gauge": gauge, "plugs": plugs, "insulation_degc": rng.choice((None, None, 60, 105)),
        "supply_end": end.model_copy(update={"grade": grade}),
    })  # fmt: skip


def _ports() -> tuple[Port, ...]:
    kinds = [("b1", "board-a", 18, 1), ("b2", "board-b", 10, 1), ("p1", "processor", 8, 4),
             ("p2", "processor", 8, 4), ("h1", "16pin", 12, 6), ("h2", "16pin", 12, 6),
             *((f"g{i}", "graphics", 8, 3) for i in range(1, 7)),
             *((f"d{i}", "drive", 6, 1) for i in range(1, 5))]  # fmt: skip
    return tuple(
        Port(key=k, label=k.upper(), kind=kind, column=i, circuits=circuits, pins_12v=pins,  # type: ignore[arg-type]
             group={"graphics": "g", "drive": "d", "16pin": "g"}.get(kind))
        for i, (k, kind, circuits, pins) in enumerate(kinds)
    )  # fmt: skip


class _Laid:
    """Cables that are plugged in one after another."""

    def __init__(self, rng: random.Random) -> None:
        self.rng = rng
        self.cables: list[Cable] = []
        self.runs: list[Run] = []
        self.adapters: list[Adapter] = []

    def lay(self, cable: Cable, ports: str, into: list[tuple[str, str, str]]) -> None:
        """Put a cable in its ports and its plugs into sockets: (plug, half, `part#1/socket`); of
        several some stay parked now and then."""
        kept = [x for x in into if len(into) == 1 or self.rng.random() < 0.9]
        self.cables.append(_varied(self.rng, cable))
        self.runs.append(Run(
            cable=cable.key, ports=tuple(ports.split()),
            connections=tuple(
                Connection(plug=p, half=h, socket=SocketRef.read(at))  # type: ignore[arg-type]
                for p, h, at in kept
            ),
        ))  # fmt: skip


def _machine(seed: int) -> Build:
    """A build of which every figure is stated, with most of it plugged in."""
    rng = random.Random(seed)
    second = rng.choice(("eps8", "eps4"))
    of = board(sockets=(
        Socket(key="main", kind="atx24"), Socket(key="cpu-1", kind="eps8"),
        Socket(key="cpu-2", kind=second, required=False),  # type: ignore[arg-type]
    ))  # fmt: skip
    cards = [_card(rng, n) for n in range(1, rng.randint(1, 2) + 1)]
    disks = disk(rng.randint(1, 6), run_12v_a=exact(rng.choice((0.4, 0.9))))
    laid = _Laid(rng)
    laid.lay(board_cable(), "b1 b2", [("main", "whole", "board#1/main")])
    laid.lay(processor_cable("cpu-1"), "p1", [("a", "whole", "board#1/cpu-1")])
    if rng.random() < 0.5:
        half = "whole" if second == "eps8" else "marked"
        laid.lay(processor_cable("cpu-2"), "p2", [("a", half, "board#1/cpu-2")])
    _graphics(rng, laid, cards)
    for i, first in enumerate(range(1, disks.count + 1, 3), 1):
        numbers = range(first, min(first + 3, disks.count + 1))
        plugs = [(f"p{k}", "whole", f"disk#{n}/power") for k, n in enumerate(numbers, 1)]
        laid.lay(sata_cable(f"sata-{i}"), f"d{i}", plugs)
    limits = {"g": rng.choice((20.0, 45.0, None)), "d": rng.choice((6.0, None))}
    parts: list[Any] = [
        of, processor(rng.choice((65, 125)), rng.choice((125, 250))), *cards, disks,
        Memory(key="memory", name="Memory", count=2, module_w=exact(5),
               generation=rng.choice(("ddr4", "ddr5"))),
        M2Drive(key="m2", name="M.2 drive", full_w=exact(8)),
        Fan(key="fan", name="Fan", count=3, rated_a=exact(0.2)),
    ]  # fmt: skip
    made = build(
        *parts, cables=tuple(laid.cables), runs=tuple(laid.runs), adapters=tuple(laid.adapters),
        supply=supply(ports=_ports(), groups=tuple(
            PortGroup(key=k, label=k.upper(), limit_a=x) for k, x in limits.items()
        )),
        house_rules=rules(chained_graphics=rng.choice(("never", "by plug", "by pins"))),
    )  # fmt: skip
    warm = made.assumptions.model_copy(update={"room_degc": rng.choice((25, 38))})
    return made.model_copy(update={"assumptions": warm})


def _graphics(rng: random.Random, laid: _Laid, cards: list[Card]) -> None:
    free = [(c.key, s) for c in cards for s in c.sockets]
    sixteen = [f"{key}#1/{s.key}" for key, s in free if s.kind == "16pin"]
    eight = [
        ("marked" if s.kind == "pcie6" else "whole", f"{key}#1/{s.key}")
        for key, s in free if s.kind != "16pin"
    ]  # fmt: skip
    ports = [f"g{i}" for i in range(1, 7)]
    for i, at in enumerate(sixteen, 1):
        if rng.random() < 0.3:
            _by_adapter(rng, laid, ports, i, at)
            continue
        cable, port = sixteen_cable(key=f"sixteen-{i}"), f"h{i}"
        if rng.random() < 0.4:
            cable = cable.model_copy(update={"needs": ("graphics", "graphics")})
            port = f"{ports.pop()} {ports.pop()}"
        laid.lay(cable, port, [("a", "whole", at)])
    while eight and ports:
        count = min(rng.randint(1, 2), len(eight))
        taken = [eight.pop(0) for _ in range(count)]
        plugs = [("ab"[i], half, at) for i, (half, at) in enumerate(taken)]
        laid.lay(graphics_cable(f"chain-{len(eight)}"), ports.pop(0), plugs)


def _by_adapter(rng: random.Random, laid: _Laid, ports: list[str], i: int, at: str) -> None:
    """A 16-pin socket by an adapter of two or three leads, each on a cable of its own."""
    plugged = (Connection(plug="x", socket=SocketRef.read(at)),)
    leads = rng.choice((2, 3))
    laid.adapters.append(adapter(leads, key=f"adapter-{i}", connections=plugged))
    for lead in "abc"[:leads]:
        if ports:
            into = f"adapter-{i}#1/{lead}"
            laid.lay(graphics_cable(f"lead-{i}-{lead}", 1), ports.pop(), [("a", "whole", into)])


class AgainstTheOracle(unittest.TestCase):
    def test_every_limit_of_every_run_is_what_it_comes_to_a_second_time(self) -> None:
        seen = 0
        for seed in range(150):
            b = _machine(seed)
            expected = oracle.held(json.loads(b.model_dump_json()))
            found = {
                (r.wired.cable.key, e.kind, e.line, e.at, e.from_mm): e
                for r in analyse(b).runs for e in r.elements
                if e.kind in _KINDS and "/" not in e.at  # beyond a lead it is the adapter's own
            }  # fmt: skip
            self.assertEqual(set(found), set(expected), f"seed {seed}")
            for key, e in found.items():
                with self.subTest(seed=seed, key=key):
                    self._same(e, expected[key])
            seen += len(found)
        self.assertGreater(seen, 5_000)

    def test_totals_spikes_and_the_size_that_they_take(self) -> None:
        """The size is found by trying every common one; a disk's start and a raised floor, which
        ask for less here, stay out."""
        sizes = set()
        for seed in range(150):
            b = _machine(seed)
            of = b.supply
            assert of is not None
            design = random.Random(seed).choice(("classic", "3.1"))
            b = b.model_copy(update={"supply": of.model_copy(update={"design": design})})
            doc, a = json.loads(b.model_dump_json()), analyse(b)
            with self.subTest(seed=seed):
                expected = oracle.in_all(doc)
                self.assertAlmostEqual(a.tally.total.at("full").likely, expected.full, 9)
                self.assertAlmostEqual(a.tally.total.at("short").likely, expected.short, 9)
                found = [a.spikes.total[w].likely for w in WINDOWS]
                for got, wanted in zip(found, expected.spikes, strict=True):
                    self.assertAlmostEqual(got, wanted, 9)
                if a.tally.total.at("start").likely <= expected.full:
                    self.assertEqual(a.sizing.pick_w, oracle.smallest_w(doc))
                    sizes.add(a.sizing.pick_w)
        self.assertGreater(len(sizes), 10)

    def _same(self, e: Element, held: oracle.Held) -> None:
        if held.limit is None:
            self.assertIsNone(e.judged.limit)
            self.assertEqual(e.judged.verdict, "unknown")
            return
        self.assertAlmostEqual(e.judged.loads[_FULL], held.load, 9)
        self.assertIsNotNone(e.judged.rated)
        self.assertAlmostEqual(e.judged.rated or 0.0, held.limit, 9)
        over, tight = held.load > held.limit * 1.000001, held.load > held.limit * _within(e.kind)
        if over:
            self.assertEqual(e.judged.verdict, "over")
        elif e.judged.state == "full" and not e.judged.only_at_high:
            self.assertEqual(e.judged.verdict, "tight" if tight else "within")


def _within(kind: str) -> float:
    """Up to which share of its limit a load is well within it."""
    share = 1.0 if kind in ("grant", "house rule") else 0.6 if kind == "drop" else 0.8
    return share * 1.000001


def _shelf(seed: int) -> Build:
    """Disks of up to three models on drive cables, some of them in the bays of a cage."""
    rng = random.Random(seed)
    models = [
        disk(
            rng.randint(1, 5), key=f"disk-{n}", start_12v_a=exact(rng.choice((1.5, 2.0, 2.6))),
            start_5v_a=exact(rng.choice((0.6, 1.4))), run_12v_a=exact(rng.choice((0.3, 0.9))),
        )
        for n in range(rng.randint(1, 3))
    ]  # fmt: skip
    refs = [f"{m.key}#{i}/power" for m in models for i in range(1, m.count + 1)]
    rng.shuffle(refs)
    cages, into = [], []
    if len(refs) > 3 and rng.random() < 0.6:
        caged = [refs.pop() for _ in range(rng.randint(2, 4))]
        into.append("cage#1/in-1")
        bays = [f"bay-{i}" for i in range(1, len(caged) + 1)]
        inputs = [BackplaneInput(key="in-1", kind="sata", bays=tuple(bays[:2]))]
        if bays[2:]:
            inputs.append(BackplaneInput(key="in-2", kind="sata", bays=tuple(bays[2:])))
            into.append("cage#1/in-2")
        cages.append(Backplane(
            key="cage", name="Cage", inputs=tuple(inputs),
            connections=tuple(
                Connection(plug=bay, socket=SocketRef.read(at))
                for bay, at in zip(bays, caged, strict=True)
            ),
        ))  # fmt: skip
    into += refs
    rng.shuffle(into)
    laid = _Laid(rng)
    for n in range(0, len(into), 4):
        several = [(f"p{i}", "whole", at) for i, at in enumerate(into[n : n + 4], 1)]
        laid.cables.append(sata_cable(f"sata-{n // 4}"))
        laid.runs.append(Run(
            cable=f"sata-{n // 4}", ports=(f"d{n // 4 + 1}",),
            connections=tuple(
                Connection(plug=p, half="whole", socket=SocketRef.read(at)) for p, _, at in several
            ),
        ))  # fmt: skip
    limits = PortGroup(key="d", label="D", limit_a=20), PortGroup(key="g", label="G")
    return build(
        board(), *models, cables=tuple(laid.cables), runs=tuple(laid.runs),
        supply=supply(ports=_ports(), groups=limits), backplanes=tuple(cages),
        spin_up_at_once=rng.choice((None, 1, 2, 3)),
    )  # fmt: skip


class DisksAtStart(unittest.TestCase):
    #: Where start stands among the states of a load, at likely.
    START = 3 * 3 + 1

    def test_every_load_of_every_run_of_disks(self) -> None:
        seen = 0
        for seed in range(150):
            b = _shelf(seed)
            expected = oracle_more.at_start(json.loads(b.model_dump_json()))
            found = {
                (r.wired.cable.key, e.kind, e.line, e.at, e.from_mm): e.judged.loads[self.START]
                for r in analyse(b).runs for e in r.elements
                if e.kind in _KINDS - {"drop"} and "/" not in e.at
            }  # fmt: skip
            self.assertEqual(set(found), set(expected), f"seed {seed}")
            for key, load in found.items():
                self.assertAlmostEqual(load, expected[key], 9, f"seed {seed}: {key}")
            seen += len(found)
        self.assertGreater(seen, 5_000)


class ThroughTheBoard(unittest.TestCase):
    def test_every_slot_and_every_header(self) -> None:
        seen = 0
        for seed in range(200):
            b = _desk(seed)
            expected = oracle_more.through_board(json.loads(b.model_dump_json()))
            found: dict[tuple[str, str, str], list[oracle.Held]] = {}
            for e in analyse(b).board:
                if e.kind in ("slot", "header"):
                    held = oracle.Held(e.judged.loads[_FULL], e.judged.rated)
                    found.setdefault((e.kind, e.part, e.at), []).append(held)
            self.assertEqual(set(found), set(expected), f"seed {seed}")
            for key, several in found.items():
                for got, wanted in zip(several, expected[key], strict=True):
                    self.assertAlmostEqual(got.load, wanted.load, 9, f"seed {seed}: {key}")
                    self.assertEqual(got.limit, wanted.limit, f"seed {seed}: {key}")
            seen += len(found)
        self.assertGreater(seen, 800)


def _desk(seed: int) -> Build:
    """Cards in slots, and fans, pumps and lights on the board's headers."""
    rng = random.Random(seed)
    kinds = ["fan"] * rng.randint(0, 3) + ["pump"] * rng.randint(0, 1) + (
        ["lights-5v"] * rng.randint(0, 2) + ["lights-12v"] * rng.randint(0, 1))  # fmt: skip
    headers = [
        Header(key=f"h-{i}", kind=kind, limit_a=rng.choice((exact(1), exact(3), None)))  # type: ignore[arg-type]
        for i, kind in enumerate(kinds)
    ]
    fans = [h.key for h in headers if h.kind == "fan"]
    named = tuple(rng.sample(fans, 1)) if fans and rng.random() < 0.3 else ()
    parts: list[Any] = [
        Fan(key="fan", name="Fan", count=rng.randint(1, 5), headers=named,
            rated_a=exact(rng.choice((0.1, 0.35)))),
        Pump(key="pump", name="Pump", rated_a=exact(0.8)),
        LightStrip(key="strip", name="Strip", count=rng.randint(1, 3), rated_a=exact(1.1),
                   volts=rng.choice((5, 12))),
    ]  # fmt: skip
    slots = tuple(Slot(key=f"slot-{n}") for n in (1, 2))
    cards = [_card(rng, n) for n in (1, 2)]
    if rng.random() < 0.5:
        cards[0] = cards[0].model_copy(update={"slot": "slot-1"})
    kept = [p for p in parts if rng.random() < 0.8]
    return build(board(headers=tuple(headers), slots=slots), *cards, *kept)
