"""Small builds made up from seeds, so small that every map of them can be looked at: cards, drives,
processor sockets and extras with optional ones among them, cables by plugs and halves, adapters by
several leads, splitters, extensions, groups, routes, figures that nobody knows, runs that stay, and
lists in any order.
"""

from __future__ import annotations

import random
from typing import Any

from easy_tally.mapping import applied, solve
from easy_tally.things.adapters import Adapter, CodeAt, Extension, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Plug, RailPins
from easy_tally.things.case import Case, Route
from easy_tally.things.parts import Card, Socket
from easy_tally.things.rules import HouseRules
from easy_tally.things.supply import PortGroup

from .helpers import (
    board,
    board_cable,
    card,
    disk,
    exact,
    graphics_cable,
    processor,
    processor_cable,
    sata_cable,
    sixteen_cable,
    supply,
)

_GRAPHICS, _DRIVE = RailPins(v12=3, ground=3), RailPins(v12=1, v5=1, v3v3=1, ground=2)


class _Made:
    """What a build is put together from."""

    def __init__(self, seed: int) -> None:
        self.r = random.Random(seed)
        self.parts: list[Any] = []
        self.cables: list[Cable] = []
        self.adapters: list[Adapter] = []
        self.extensions: list[Extension] = []
        self.board = {"sockets": (Socket(key="main", kind="atx24"),)}
        self.more: dict[str, Any] = {}

    def maybe(self, share: float) -> bool:
        return self.r.random() < share

    def processors(self) -> None:
        """Sockets of four and eight pins, one of them optional, plugs of both."""
        r = self.r
        first = r.choice(["eps8", "eps8", "eps4"])
        second = Socket(key="cpu-2", kind=r.choice(["eps8", "eps4"]), required=self.maybe(0.3))
        sockets = (*self.board["sockets"], Socket(key="cpu", kind=first), second)
        self.board = {"sockets": sockets, "eps4_in_eps8": self.maybe(0.5)}
        self.parts.append(processor(r.choice([80, 150, 230, 260]), r.choice([120, 230, 280])))
        for i in range(r.choice([1, 2, 2, 3])):
            kind = r.choice(["eps4+4", "eps4+4", "eps4", "eps8"])
            plugs = (Plug(key="a", kind=kind, at_mm=700),)
            self.cables.append(processor_cable(f"c{i}", plugs=plugs))

    def graphics(self) -> None:
        """Cards by one or two sockets, some optional; chained and single cables; what goes in
        between."""
        r = self.r
        kinds = r.choice(["pcie8", "pcie8 pcie8", "pcie6 pcie8", "pcie6"])
        made = card(
            r.choice([90, 150, 260, 310, 380]),
            kinds,
            count=r.choice([1, 1, 2]),
            slot_w=exact(r.choice([5, 50])),
        )
        if self.maybe(0.4) and len(made.sockets) > 1:
            optional = made.sockets[-1].model_copy(update={"required": False})
            made = made.model_copy(update={"sockets": (*made.sockets[:-1], optional)})
        if self.maybe(0.15):
            made = made.model_copy(update={"board_power_w": None})
        self.parts.append(made)
        for i in range(r.choice([1, 2, 2, 3])):
            cable = graphics_cable(f"g{i}", count=r.choice([1, 1, 2]))
            if self.maybe(0.15):
                plugs = tuple(p.model_copy(update={"pins_12v": 2}) for p in cable.plugs)
                cable = cable.model_copy(update={"plugs": plugs})
            if self.maybe(0.1):
                cable = cable.model_copy(update={"gauge": None})
            self.cables.append(cable)
        if self.maybe(0.25):
            self.extensions.append(extension("pcie6+2", _GRAPHICS, r.choice([18, 20])))
        elif self.maybe(0.3):
            self.adapters.append(self.splitter("pcie8", "pcie6+2", 2, _GRAPHICS))

    def sixteen(self) -> None:
        """A 16-pin card by a cable of its own, or an adapter of two leads, an extension beside."""
        r = self.r
        version = r.choice(["first", "revised"])
        socket = Socket(key="a", kind="16pin", version=version)
        made: Card = card(r.choice([150, 200, 290, 310, 420]), "16pin", slot_w=exact(10))
        self.parts.append(made.model_copy(update={"sockets": (socket,)}))
        if self.maybe(0.7):
            leads = [Lead(key=k, kind="pcie8", pins_12v=r.choice([None, None, 2])) for k in "ab"]
            if self.maybe(0.2):
                leads[1] = Lead(key="b", kind="pcie6")
            self.adapters.append(
                Adapter(
                    key="ad",
                    name="Adapter",
                    leads=tuple(leads),
                    gauge=16,
                    conductors=_GRAPHICS,
                    plugs=(Plug(key="x", kind="16pin", at_mm=200, grade="high"),),
                    codes=(CodeAt(leads=1, watts=150), CodeAt(leads=2, watts=300)),
                )
            )
            count = r.choice([1, 1, 2])
            self.cables += [graphics_cable(f"g{i}", count=count) for i in range(2)]
        if self.maybe(0.6):
            sense = r.choice(["both_grounded", "sense0_grounded", "open", None])
            self.cables.append(sixteen_cable(sense))
        if self.maybe(0.3):
            self.extensions.append(extension("16pin", RailPins(v12=6, ground=6), 16))

    def drives(self) -> None:
        """Disks of one or two makes, at once or staggered; Y-pieces, extensions, 4-pin leads."""
        r = self.r
        self.parts.append(disk(r.choice([2, 3]), start_12v_a=exact(r.choice([1.5, 2, 2.6]))))
        if self.maybe(0.4):
            self.parts.append(disk(1, key="ssd", run_12v_a=exact(0), start_12v_a=exact(0)))
        elif self.maybe(0.4):  # more at 12 V, but not more watts
            self.parts.append(disk(1, key="low", start_12v_a=exact(2.7), start_5v_a=exact(0.6)))
        self.cables += [sata_cable(f"s{i}", plugs=r.choice([1, 2])) for i in range(2)]
        if self.maybe(0.4):
            self.adapters.append(self.splitter("sata", "sata", r.choice([2, 3]), _DRIVE))
        elif self.maybe(0.3):
            four = Plug(key="p", kind="per4", at_mm=500)
            self.cables[-1] = self.cables[-1].model_copy(update={"plugs": (four,)})
            of = self.splitter("per4", "sata", 2, RailPins(v12=1, v5=1, ground=2))
            moulded = r.choice([True, False, False, None])
            self.adapters.append(of.model_copy(update={"moulded": moulded}))
        if self.maybe(0.3):
            self.extensions.append(extension("sata", _DRIVE, r.choice([18, 22])))
        self.more["spin_up_at_once"] = r.choice([None, None, 1, 2])

    def splitter(self, lead: str, kind: str, plugs: int, wires: RailPins) -> Adapter:
        """One lead, plugs at distances of their own."""
        near, gauge = self.r.choice([100, 300]), self.r.choice([18, 20, 22])
        at_mm = tuple(near + self.r.choice([0, 400]) * i for i in range(plugs))
        of = splitter(lead, kind, at_mm, wires, gauge)
        if kind == "pcie6+2" and self.maybe(0.3):  # with a pin less than its socket
            fewer = tuple(p.model_copy(update={"pins_12v": 2}) for p in of.plugs)
            of = of.model_copy(update={"plugs": fewer})
        return of.model_copy(update={"key": f"y-{lead}"})


def splitter(
    lead: str, kind: str, at_mm: tuple[float, ...], wires: RailPins, gauge: int
) -> Adapter:
    """One lead, and a plug at each distance."""
    return Adapter(
        key="y",
        name="Y",
        leads=(Lead(key="in", kind=lead),),
        gauge=gauge,
        conductors=wires,  # type: ignore[arg-type]
        plugs=tuple(
            Plug(key="xyzuv"[i], kind=kind, at_mm=mm)  # type: ignore[arg-type]
            for i, mm in enumerate(at_mm)
        ),
    )


def extension(kind: str, wires: RailPins, gauge: int) -> Extension:
    return Extension(
        key=f"ex-{kind[:4]}",
        name="Extension",
        kind=kind,
        length_mm=250,  # type: ignore[arg-type]
        conductors=wires,
        gauge=gauge,  # type: ignore[arg-type]
    )


def made_up(seed: int) -> Build:
    """A small build of its seed."""
    m = _Made(seed)
    r = m.r
    for kind in r.choice(
        [
            ["graphics"],
            ["drives"],
            ["sixteen"],
            ["processors"],
            ["processors", "graphics"],
            ["graphics", "drives"],
        ]
    ):
        getattr(m, kind)()
    if len(m.cables) > 4:
        del m.cables[4:]
    if m.maybe(0.9):
        m.cables.append(board_cable())
    if m.maybe(0.35):
        areas = ["main plug", "processor", "card", "3.5-inch bays"]
        m.more["case"] = Case(
            name="Case",
            routes=tuple(
                Route(area=a, length_mm=r.choice([350, 450, 560, 700]))  # type: ignore[arg-type]
                for a in areas
                if m.maybe(0.9)
            ),
        )
    rule = r.choice(["never", "by plug", "as delivered", "by pins"])
    by_rule = random.Random(seed)  # its own, so that nothing else of a seed is another
    m.more["house_rules"] = HouseRules(
        chained_graphics=rule,
        port_groups=r.choice(["by what is known", "keep together", "spread"]),
        plug_grant=by_rule.choice(["limit", "warning"]),
        graphics_cables=by_rule.choice(["one a socket", "fewest"]),
        drives=by_rule.choice(["fewest cables", "balanced", "by place"]),
        adapter_leads=by_rule.choice(["as the watts need", "all"]),
    )
    kinds = {n for c in m.cables for n in c.needs}
    ports = [
        p.model_copy(update={"group": r.choice(["g", "h", None])})
        for p in supply().ports
        if p.kind in kinds and (p.key != "g3" or m.maybe(0.3))
    ]
    limits = r.choice([(None, None), (20, 60), (60, None), (12, 30)])
    groups = tuple(PortGroup(key=k, label=k, limit_a=a) for k, a in zip("gh", limits, strict=True))
    parts = [board(**m.board), *m.parts]
    for several in (parts, m.cables, ports):
        r.shuffle(several)
    b = Build(
        name="T",
        supply=supply(ports=tuple(ports), groups=groups),
        parts=tuple(parts),
        cables=tuple(m.cables),
        adapters=tuple(m.adapters),
        extensions=tuple(m.extensions),
        **m.more,
    )
    return with_a_pin(b, seed) if m.maybe(0.2) else b


def with_a_pin(b: Build, seed: int) -> Build:
    """With a run of it as some map has it, pinned; as it is where there is no map."""
    loose = b.house_rules.model_copy(update={"chained_graphics": "by pins"})
    found = solve(b.model_copy(update={"house_rules": loose}))
    if found is None or not found.runs:
        return b
    laid = applied(b, found)
    run = random.Random(seed).choice(laid.runs).model_copy(update={"pinned": True})
    kept = {c.socket.part for c in run.connections}
    while (
        more := {
            c.socket.part
            for t in (*b.adapters, *b.extensions)
            if t.key in kept
            for c in next(
                x for x in (*laid.adapters, *laid.extensions) if x.key == t.key
            ).connections
        }
        - kept
    ):
        kept |= more

    def left(things: tuple[Any, ...]) -> tuple[Any, ...]:
        return tuple(
            t if t.key in kept else t.model_copy(update={"connections": ()}) for t in things
        )

    return laid.model_copy(
        update={
            "runs": (run,),
            "adapters": left(laid.adapters),
            "extensions": left(laid.extensions),
        }
    )
