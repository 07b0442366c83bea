"""Machines made up from seeds: what the core and the second computation are held against each other
on. Every figure is stated, with bounds; most of it is plugged in, through adapters, splitters and
extensions one after another too, some of it as it never may be.
"""

from __future__ import annotations

import os
import random
from collections.abc import Iterator
from typing import Any

from easy_tally import Build
from easy_tally.base.declared import Figure
from easy_tally.things.adapters import Adapter, Extension, Lead
from easy_tally.things.cables import Cable, Connection, Plug, RailPins, Run, SocketRef
from easy_tally.things.parts import Card, Fan, M2Drive, Memory, Socket
from easy_tally.things.supply import Port, PortGroup

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
    wide,
)
from .test_between import adapter

_CARDS = (
    "pcie8",
    "pcie8 pcie8",
    "pcie6",
    "pcie8 pcie6",
    "pcie8 pcie8 pcie8",
    "16pin",
    "16pin pcie8",
    "pcie6 pcie6",
)
_SENSES = ("both_grounded", "sense0_grounded", "sense1_grounded", "open", None)
#: Pins of the wires of what goes in between, by the kind of its plugs.
_WIRES = {
    "pcie6+2": RailPins(v12=3, ground=3),
    "16pin": RailPins(v12=6, ground=6),
    "sata": RailPins(v12=1, v5=1, v3v3=1, ground=2),
    "eps4+4": RailPins(v12=4, ground=4),
}


def seeds(usual: int) -> Iterator[int]:
    """Seeds of a test: the `usual` number, or as many times that as `EASY_TALLY_TIMES` says, of
    which `EASY_TALLY_PART` (1/2, 2/2) takes a share."""
    part, _, parts = os.environ.get("EASY_TALLY_PART", "1/1").partition("/")
    times = float(os.environ.get("EASY_TALLY_TIMES", "1"))
    return iter(range(int(part) - 1, int(usual * times), int(parts)))


def about(rng: random.Random, value: float) -> Figure:
    """A figure, now and then with bounds."""
    if rng.random() < 0.6:
        return exact(value)
    return wide(value * rng.choice((0.7, 1.0)), value, value * rng.choice((1.0, 1.3)))


def made_card(rng: random.Random, n: int) -> Card:
    made = card(
        75,
        rng.choice(_CARDS),
        key=f"card-{n}",
        board_power_w=about(rng, rng.choice((75, 150, 230, 320, 450, 600))),
        slot_w=rng.choice((None, None, about(rng, rng.choice((20, 50))))),
        lanes=rng.choice((16, 16, 8)),
        power_limit=rng.choice((1.0, 1.0, 1.1)),
    )
    sockets = [
        s.model_copy(update={"version": rng.choice(("first", "revised"))})
        if s.kind == "16pin"
        else s.model_copy(update={"pins_12v": rng.choice((None, None, 2))})
        for s in made.sockets
    ]
    return made.model_copy(update={"sockets": tuple(sockets)})


def _varied(rng: random.Random, cable: Cable) -> Cable:
    """The cable of another gauge and grade, with plugs that state more or less."""
    end, gauge = cable.supply_end, rng.choice((16, 18, 18, 20, None))
    # Of one in six nobody measured how far its plugs hang.
    unmeasured = rng.random() < 1 / 6
    plugs = tuple(
        p.model_copy(
            update={
                "at_mm": None if unmeasured else p.at_mm,
                "grade": rng.choice(("standard", "standard", "high", None)),
                "pins_12v": rng.choice((None, None, 2)) if p.kind == "pcie6+2" else None,
                "contact_a": rng.choice((None, None, None, 6.5)),
                "sense": rng.choice(_SENSES) if p.kind == "16pin" else None,
            }
        )
        for p in cable.plugs
    )
    grade = rng.choice(("standard", "high", None))
    return cable.model_copy(
        update={
            "gauge": gauge,
            "plugs": plugs,
            "insulation_degc": rng.choice((None, None, 60, 105)),
            "supply_end": end.model_copy(update={"grade": grade}),
        }
    )


def panel() -> tuple[Port, ...]:
    kinds = [
        ("b1", "board-a", 18, 1),
        ("b2", "board-b", 10, 1),
        ("p1", "processor", 8, 4),
        ("p2", "processor", 8, 4),
        ("h1", "16pin", 12, 6),
        ("h2", "16pin", 12, 6),
        *((f"g{i}", "graphics", 8, 3) for i in range(1, 8)),
        *((f"d{i}", "drive", 6, 1) for i in range(1, 6)),
    ]
    return tuple(
        Port(
            key=k,
            label=k.upper(),
            kind=kind,
            column=i,
            circuits=circuits,
            pins_12v=pins,  # type: ignore[arg-type]
            group={"graphics": "g", "drive": "d", "16pin": "g"}.get(kind),
        )
        for i, (k, kind, circuits, pins) in enumerate(kinds)
    )


class Laid:
    """Cables that are plugged in one after another."""

    def __init__(self, rng: random.Random) -> None:
        self.rng = rng
        self.cables: list[Cable] = []
        self.runs: list[Run] = []
        self.adapters: list[Adapter] = []
        self.extensions: list[Extension] = []

    def lay(self, cable: Cable, ports: str, into: list[tuple[str, str, str]]) -> None:
        """Put a cable in its ports and its plugs into sockets, now and then by something in
        between: (plug, half, `part#1/socket`); some stay parked."""
        kept = [x for x in into if self.rng.random() < 0.92]
        kinds = {p.key: p.kind for p in cable.plugs}
        if len(kept) > 1 and self.rng.random() < 0.3:
            kept = self._split(kinds, kept)
        kept = [self.extended(kinds[p], p, half, at) for p, half, at in kept]
        self.cables.append(_varied(self.rng, cable))
        self.runs.append(
            Run(
                cable=cable.key,
                ports=tuple(ports.split()),
                connections=tuple(
                    Connection(plug=p, half=h, socket=SocketRef.read(at))  # type: ignore[arg-type]
                    for p, h, at in kept
                ),
            )
        )

    def extended(self, kind: str, plug: str, half: str, at: str) -> tuple[str, str, str]:
        """By an extension, or two."""
        while kind in _WIRES and self.rng.random() < 0.15:
            key = f"extension-{len(self.extensions)}"
            out = Connection(plug="out", half=half, socket=SocketRef.read(at))  # type: ignore[arg-type]
            self.extensions.append(
                Extension(
                    key=key,
                    name=key,
                    kind=kind,
                    length_mm=self.rng.choice((150, 300)),  # type: ignore[arg-type]
                    gauge=self.rng.choice((16, 18, 20, None)),
                    conductors=_WIRES[kind],
                    connections=(out,),
                )
            )
            half, at = "whole", f"{key}#1/in"
        return plug, half, at

    def _split(
        self, kinds: dict[str, str], into: list[tuple[str, str, str]]
    ) -> list[tuple[str, str, str]]:
        """By one splitter that hangs on the first plug, its own plugs at distances of their own."""
        kind = kinds[into[0][0]]
        if kind not in ("pcie6+2", "sata"):
            return into
        key = f"splitter-{len(self.adapters)}"
        lead = Lead(key="in", kind="pcie8" if kind == "pcie6+2" else "sata")
        plugs = tuple(
            Plug(key=f"x{i}", kind=kind, at_mm=self.rng.choice((100, 150, 250, 600)))  # type: ignore[arg-type]
            for i in range(len(into))
        )
        out = tuple(
            Connection(plug=f"x{i}", half=half, socket=SocketRef.read(at))  # type: ignore[arg-type]
            for i, (_, half, at) in enumerate(into)
        )
        self.adapters.append(
            Adapter(
                key=key,
                name=key,
                leads=(lead,),
                plugs=plugs,
                connections=out,
                gauge=self.rng.choice((18, 20, 22, None)),
                conductors=_WIRES[kind],
            )
        )
        return [(into[0][0], "whole", f"{key}#1/in")]

    def by_adapter(self, lead: str, kind: str, at: str, half: str = "whole") -> str:
        """The lead of an adapter of one, from one kind to another: some of them never allowed."""
        key = f"other-{len(self.adapters)}"
        plug = Plug(key="x", kind=kind, at_mm=120)  # type: ignore[arg-type]
        out = Connection(plug="x", half=half, socket=SocketRef.read(at))  # type: ignore[arg-type]
        self.adapters.append(
            Adapter(
                key=key,
                name=key,
                leads=(Lead(key="in", kind=lead),),
                plugs=(plug,),  # type: ignore[arg-type]
                connections=(out,),
                conductors=_WIRES[kind],
                moulded=self.rng.choice((True, False)),
            )
        )
        return f"{key}#1/in"


def machine(seed: int) -> Build:
    """A build of which every figure is stated, with most of it plugged in."""
    rng = random.Random(seed)
    second = rng.choice(("eps8", "eps4"))
    of = board(
        sockets=(
            Socket(key="main", kind="atx24"),
            Socket(key="cpu-1", kind="eps8"),
            Socket(key="cpu-2", kind=second, required=False),  # type: ignore[arg-type]
        )
    )
    cards = [made_card(rng, n) for n in range(1, rng.randint(1, 2) + 1)]
    disks = disk(rng.randint(1, 6), run_12v_a=about(rng, rng.choice((0.4, 0.9))))
    laid = Laid(rng)
    laid.lay(board_cable(), "b1 b2", [("main", "whole", "board#1/main")])
    laid.lay(processor_cable("cpu-1"), "p1", [("a", "whole", "board#1/cpu-1")])
    if rng.random() < 0.5:
        half, to = "whole" if second == "eps8" else "marked", "board#1/cpu-2"
        if rng.random() < 0.15:  # by a graphics plug, as it never may be
            lead = laid.by_adapter("pcie8", "eps4+4", to, half)
            laid.lay(graphics_cable("cpu-2", 1), "g7", [("a", "whole", lead)])
        else:
            laid.lay(processor_cable("cpu-2"), "p2", [("a", half, to)])
    _graphics(rng, laid, cards)
    for i, first in enumerate(range(1, disks.count + 1, 3), 1):
        numbers = range(first, min(first + 3, disks.count + 1))
        plugs = [(f"p{k}", "whole", f"disk#{n}/power") for k, n in enumerate(numbers, 1)]
        laid.lay(sata_cable(f"sata-{i}"), f"d{i}", plugs)
    limits = {"g": rng.choice((20.0, 45.0, None)), "d": rng.choice((6.0, None))}
    parts: list[Any] = [
        of,
        processor(rng.choice((65, 125)), rng.choice((125, 250))),
        *cards,
        disks,
        Memory(
            key="memory",
            name="Memory",
            count=2,
            module_w=exact(5),
            generation=rng.choice(("ddr4", "ddr5")),
        ),
        M2Drive(key="m2", name="M.2 drive", full_w=exact(8)),
        Fan(key="fan", name="Fan", count=3, rated_a=exact(0.2)),
    ]
    made = build(
        *parts,
        cables=tuple(laid.cables),
        runs=tuple(laid.runs),
        adapters=tuple(laid.adapters),
        extensions=tuple(laid.extensions),
        supply=supply(
            ports=panel(),
            groups=tuple(PortGroup(key=k, label=k.upper(), limit_a=x) for k, x in limits.items()),
        ),
        house_rules=rules(
            chained_graphics=rng.choice(("never", "by plug", "by pins")),
            plug_grant="warning" if seed % 3 == 0 else "limit",
        ),
    )
    warm = made.assumptions.model_copy(update={"room_degc": rng.choice((25, 38))})
    return made.model_copy(update={"assumptions": warm})


def _graphics(rng: random.Random, laid: Laid, cards: list[Card]) -> None:
    free = [(c.key, s) for c in cards for s in c.sockets]
    sixteen = [f"{key}#1/{s.key}" for key, s in free if s.kind == "16pin"]
    eight = [
        ("marked" if s.kind == "pcie6" else "whole", f"{key}#1/{s.key}")
        for key, s in free
        if s.kind != "16pin"
    ]
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
    if eight and eight[0][0] == "marked" and rng.random() < 0.1:  # by a SATA plug
        half, at = eight.pop(0)
        into = laid.by_adapter("sata", "pcie6+2", at, half)
        laid.lay(sata_cable("sata-graphics", 1), "d5", [("p1", "whole", into)])
    while eight and ports:
        count = min(rng.randint(1, 2), len(eight))
        taken = [eight.pop(0) for _ in range(count)]
        plugs = [("ab"[i], half, at) for i, (half, at) in enumerate(taken)]
        laid.lay(graphics_cable(f"chain-{len(eight)}"), ports.pop(0), plugs)


def _by_adapter(rng: random.Random, laid: Laid, ports: list[str], i: int, at: str) -> None:
    """A 16-pin socket by an adapter of two or three leads, each on a cable of its own."""
    plugged = (Connection(plug="x", socket=SocketRef.read(at)),)
    leads = rng.choice((2, 3))
    of = adapter(leads, key=f"adapter-{i}", connections=plugged)
    if rng.random() < 0.3:  # one lead of it has a pin less
        of = of.model_copy(
            update={"leads": (of.leads[0].model_copy(update={"pins_12v": 2}), *of.leads[1:])}
        )
    if rng.random() < 0.3:  # an extension hands its code on
        _, _, to = laid.extended("16pin", "x", "whole", at)
        of = of.model_copy(
            update={"connections": (Connection(plug="x", socket=SocketRef.read(to)),)}
        )
    laid.adapters.append(of)
    if rng.random() < 0.15 and ports:  # two of its leads on one cable, as they never may be
        chained = [(p, "whole", f"adapter-{i}#1/{p}") for p in "ab"]
        laid.lay(graphics_cable(f"lead-{i}", 2), ports.pop(), chained)
        return
    for lead in "abc"[:leads]:
        if ports:
            into = f"adapter-{i}#1/{lead}"
            laid.lay(graphics_cable(f"lead-{i}-{lead}", 1), ports.pop(), [("a", "whole", into)])
