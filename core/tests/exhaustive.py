"""Every map of a small build, one after another: what the solver's answers are held against."""

from __future__ import annotations

import random
from collections.abc import Iterator
from itertools import product

from easy_tally.findings import analyse
from easy_tally.findings.goals import map_goals
from easy_tally.mapping import GOALS, applied, solve
from easy_tally.standards.connectors import PLUGS
from easy_tally.things.adapters import Adapter, CodeAt, Extension, Lead
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Connection, Plug, RailPins, Run
from easy_tally.things.case import Case, Route
from easy_tally.things.fits import fit
from easy_tally.things.parts import Socket
from easy_tally.things.rules import HouseRules
from easy_tally.things.supply import PortGroup, port_takes
from easy_tally.wiring import Input, Wired

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

Goals = tuple[int, ...]


def best(b: Build, most: int = 4000) -> Goals | str | None:
    """The least goals of any legal map, in their order; None where there is none; `too many`."""
    found: Goals | None = None
    for n, laid in enumerate(every_map(b)):
        if n > most:
            return "too many"
        if not _kept(b, laid):
            continue
        a = analyse(laid)
        if any(r.verdict == "over" for r in a.runs) or any(r not in a.wired.live for r in a.needed):
            continue
        goals = map_goals(a)
        here = tuple(goals[g] for g in GOALS if g != "unfed")
        if found is None or here < found:
            found = here
    return found


def _kept(b: Build, laid: Build) -> bool:
    """Whether what is pinned is as it was."""
    now = {r.cable: r for r in laid.runs}
    return all(
        r.cable in now and now[r.cable].ports == r.ports
        and set(r.connections) <= set(now[r.cable].connections)
        for r in b.runs if r.pinned
    )  # fmt: skip


def every_map(b: Build) -> Iterator[Build]:
    """Every way of plugging, each cable alike in others' places too; plugs that park in ports are
    left out."""
    wired = Wired(b)
    carriers = [*wired.cables.values(), *wired.betweens.values()]
    ends = [(c.key, p) for c in carriers for p in c.plugs]
    inputs = list(wired.inputs.values())
    yield from _plugs(b, wired, ends, inputs, {}, set())


def _plugs(
    b: Build, wired: Wired, ends: list[tuple[str, Plug]], inputs: list[Input],
    done: dict[tuple[str, str], tuple[str, Input]], used: set[str],
) -> Iterator[Build]:  # fmt: skip
    if not ends:
        yield from _ports(b, wired, done)
        return
    (key, plug), rest = ends[0], ends[1:]
    yield from _plugs(b, wired, rest, inputs, done, used)
    halves = ["whole", "marked"] if PLUGS[plug.kind].marked else ["whole"]
    for i in inputs:
        if i.ref in used or (i.between is not None and i.between.key == key):
            continue
        for half in halves:
            if fit(plug.kind, half, i.socket.kind, wired.eps4_in_eps8).fits:  # type: ignore[arg-type]
                more = done | {(key, plug.key): (half, i)}
                yield from _plugs(b, wired, rest, inputs, more, used | {i.ref})
                break


def _ports(
    b: Build, wired: Wired, done: dict[tuple[str, str], tuple[str, Input]]
) -> Iterator[Build]:
    in_use = [c for c in b.cables if any(k == c.key for k, _ in done)]
    ports = list(wired.ports.values())
    ways = [
        [
            chosen for chosen in product(ports, repeat=len(c.needs))
            if len({p.key for p in chosen}) == len(chosen)
            and all(port_takes(p.kind, n) for p, n in zip(chosen, c.needs, strict=True))
        ]
        for c in in_use
    ]  # fmt: skip
    seen: set[object] = set()
    for choice in product(*ways):
        keys = [p.key for chosen in choice for p in chosen]
        if len(set(keys)) < len(keys):
            continue
        alike = tuple(tuple((p.kind, p.circuits, p.pins_12v, p.group) for p in c) for c in choice)
        if alike in seen and not any(r.pinned for r in b.runs):
            continue
        seen.add(alike)
        runs = tuple(
            Run(cable=c.key, ports=tuple(p.key for p in chosen), connections=_of(c.key, done))
            for c, chosen in zip(in_use, choice, strict=True)
        )

        def laid(things: tuple) -> tuple:  # type: ignore[type-arg]
            return tuple(t.model_copy(update={"connections": _of(t.key, done)}) for t in things)

        yield b.model_copy(
            update={"runs": runs, "adapters": laid(b.adapters), "extensions": laid(b.extensions)}
        )


def _of(key: str, done: dict[tuple[str, str], tuple[str, Input]]) -> tuple[Connection, ...]:
    return tuple(
        Connection(plug=p, half=half, socket=i.at)  # type: ignore[arg-type]
        for (k, p), (half, i) in done.items() if k == key
    )  # fmt: skip


# -- small builds made up ---------------------------------------------------------------------


def made_up(seed: int) -> Build:
    """A small build of its seed: cards, disks, processor sockets, adapters, groups, routes."""
    r = random.Random(seed)
    parts, cables, more = [], [], {}
    kind = r.choice(["graphics", "drives", "sixteen", "processor", "mixed"])
    sockets = (Socket(key="main", kind="atx24"),)
    if kind in ("processor", "mixed"):
        sockets += (
            Socket(key="cpu", kind="eps8"),
            Socket(key="cpu-2", kind=r.choice(["eps8", "eps4"]), required=False),
        )
        parts.append(processor(r.choice([80, 150, 260]), r.choice([120, 300])))
        cables += [processor_cable(f"c{i}") for i in range(r.choice([1, 2]))]
    parts.insert(0, board(sockets=sockets, eps4_in_eps8=r.random() < 0.3))
    cables.append(board_cable())
    if kind in ("graphics", "mixed"):
        parts.append(
            card(r.choice([150, 260, 340, 380]), r.choice(["pcie8", "pcie8 pcie8", "pcie6 pcie8"]))
        )
        cables += [graphics_cable(f"g{i}", count=r.choice([1, 2])) for i in range(r.choice([1, 2]))]
    if kind == "sixteen":
        parts.append(card(r.choice([200, 290, 420]), "16pin"))
        if r.random() < 0.6:
            cables += [graphics_cable(f"g{i}", count=1) for i in range(2)]
            more["adapters"] = (_adapter(),)
        if r.random() < 0.6:
            cables.append(sixteen_cable(r.choice(["both_grounded", "sense0_grounded", None])))
    if kind == "drives":
        disks = r.choice([2, 3])
        parts.append(disk(disks, start_12v_a=exact(r.choice([1.5, 2, 2.6]))))
        if r.random() < 0.4:
            parts.append(disk(1, key="ssd", run_12v_a=exact(0), start_12v_a=exact(0)))
        elif r.random() < 0.4:  # more at 12 V, but not more watts
            parts.append(disk(1, key="low", start_12v_a=exact(2.7), start_5v_a=exact(0.6)))
        cables += [sata_cable(f"s{i}", plugs=2) for i in range(2)]
        if r.random() < 0.3:
            more["extensions"] = (_extension(),)
        more["spin_up_at_once"] = r.choice([None, 1, 2])
    if r.random() < 0.4:
        areas = ["main plug", "processor", "card", "3.5-inch bays"]
        more["case"] = Case(
            name="Case",
            routes=tuple(Route(area=a, length_mm=r.choice([350, 450, 560])) for a in areas),
        )
    rule = r.choice(["never", "by plug", "as delivered", "by pins"])
    more["house_rules"] = HouseRules(
        chained_graphics=rule, port_groups=r.choice(["by what is known", "keep together", "spread"])
    )
    limits = r.choice([(None, None), (20, 60), (60, None), (12, 30)])
    ports = tuple(
        p.model_copy(update={"group": r.choice(["g", "h", None])})
        for p in supply().ports if p.kind in _kinds(cables) and p.key != "g3"
    )  # fmt: skip
    groups = tuple(PortGroup(key=k, label=k, limit_a=a) for k, a in zip("gh", limits, strict=True))
    return Build(
        name="T", supply=supply(ports=ports, groups=groups), parts=tuple(parts),
        cables=tuple(cables), **more,
    )  # fmt: skip


def with_a_pin(b: Build, seed: int) -> Build:
    """With a run of it as some map has it, pinned; as it is where there is no map."""
    loose = b.house_rules.model_copy(update={"chained_graphics": "by pins"})
    found = solve(b.model_copy(update={"house_rules": loose}))
    if found is None or not found.runs:
        return b
    laid = applied(b, found)
    run = random.Random(seed).choice(laid.runs).model_copy(update={"pinned": True})
    return laid.model_copy(update={"runs": (run,)})


def _kinds(cables: list[Cable]) -> set[str]:
    return {n for c in cables for n in c.needs}


def _adapter() -> Adapter:
    pins = RailPins(v12=3, ground=3)
    return Adapter(
        key="ad", name="Adapter", leads=(Lead(key="a", kind="pcie8"), Lead(key="b", kind="pcie8")),
        plugs=(Plug(key="x", kind="16pin", at_mm=200, grade="high"),), gauge=16, conductors=pins,
        codes=(CodeAt(leads=1, watts=150), CodeAt(leads=2, watts=300)),
    )  # fmt: skip


def _extension() -> Extension:
    return Extension(
        key="ex", name="Extension", kind="sata", length_mm=150,
        conductors=RailPins(v12=1, v5=1, v3v3=1, ground=2),
    )  # fmt: skip
