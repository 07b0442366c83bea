"""`make bench`, its part on mapping: how time grows with the sockets, and a second solver beside.

Builds are made from a seed: racks of disks, four cards, crowded panels, some a cable short. The
second solver is given the very program that the first one has, for the goal of the fewest runs.
"""

from __future__ import annotations

import random
import sys
import time
from collections.abc import Iterator
from pathlib import Path
from typing import Any

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core")]

from easy_tally.base import Figure  # noqa: E402
from easy_tally.mapping import (  # noqa: E402
    Facts,
    Program,
    Progress,
    Wish,
    applied,
    goals_of,
    scenarios_of,
    solve,
    why_not,
    world,
)
from easy_tally.things import (  # noqa: E402
    Board,
    Build,
    Cable,
    Card,
    Drive,
    Plug,
    Port,
    PortGroup,
    RailPins,
    Socket,
    Supply,
    SupplyEnd,
)


def _exact(value: float) -> Figure:
    return Figure(low=value, likely=value, high=value, origin="maker")


def rack(
    sockets: int, seed: int, models: int = 3, limits: bool = False, short: bool = False
) -> Build:
    """About so many sockets: a board, up to four cards, the rest disks."""
    r = random.Random(seed)
    cards = min(4, max(1, sockets // 15))
    disks = sockets - 1 - 2 * cards
    board = Board(key="board", name="Board", sockets=(Socket(key="main", kind="atx24"),))
    parts: list[Any] = [board]
    for i in range(cards):
        two = (Socket(key="a", kind="pcie8"), Socket(key="b", kind="pcie8"))
        watts = _exact(r.choice([180, 220, 260]))
        parts.append(
            Card(
                key=f"card-{i}",
                name=f"Card {i}",
                board_power_w=watts,
                slot_w=_exact(10),
                sockets=two,
            )
        )
    for m in range(models):
        n = disks // models + (m < disks % models)
        if n:
            amps, start = r.choice([0.4, 0.5, 0.6]) + m / 100, r.choice([1.6, 2.0, 2.4]) + m / 100
            parts.append(
                Drive(
                    key=f"disk-{m}",
                    name=f"Disk {m}",
                    count=n,
                    form="3.5",
                    run_12v_a=_exact(amps),
                    run_5v_a=_exact(0.5),
                    start_12v_a=_exact(start),
                    start_5v_a=_exact(1.0),
                    sockets=(Socket(key="p", kind="sata"),),
                )
            )
    drive = -(-disks // 4) - short
    ports = list(_ports(drive, 2 * cards))
    groups = tuple(
        PortGroup(key=g, label=g, limit_a=40 + 2 * sockets if limits else None) for g in "gh"
    )
    supply = Supply(
        name="Supply",
        family="F",
        rated_w=2000,
        v12_a=160,
        v5_a=40,
        v3v3_a=20,
        groups=groups,
        ports=tuple(ports),
    )
    return Build(
        name=f"{sockets} sockets",
        parts=tuple(parts),
        supply=supply,
        cables=tuple(_cables(drive, 2 * cards)),
        spin_up_at_once=r.choice([None, 8]),
    )


def _ports(drive: int, graphics: int) -> Iterator[Port]:
    kinds: list[tuple[Any, int, int]] = [("board-a", 18, 1), ("board-b", 10, 1)]
    kinds += [("drive", 6, 1)] * drive + [("graphics", 8, 3)] * graphics
    for i, (kind, circuits, pins) in enumerate(kinds):
        group = "g" if i % 2 else "h"
        yield Port(
            key=f"p{i}",
            label=f"P{i}",
            kind=kind,
            row=i // 20,
            column=i % 20,
            circuits=circuits,
            pins_12v=pins,
            group=group,
        )


def _cables(drive: int, graphics: int) -> Iterator[Cable]:
    main = RailPins(v12=2, v5=5, v3v3=4, v5sb=1, ground=8)
    yield Cable(
        key="main",
        name="Main",
        family="F",
        needs=("board-a", "board-b"),
        conductors=main,
        supply_end=SupplyEnd(circuits=18, pins=main),
        plugs=(Plug(key="a", kind="atx24", at_mm=600),),
    )
    one = RailPins(v12=1, v5=1, v3v3=1, ground=2)
    for i in range(drive):
        plugs = tuple(Plug(key="abcd"[n], kind="sata", at_mm=400 + 100 * n) for n in range(4))
        yield Cable(
            key=f"s{i}",
            name=f"S{i}",
            family="F",
            needs=("drive",),
            conductors=one,
            gauge=16,
            supply_end=SupplyEnd(circuits=6, pins=one, grade="high"),
            plugs=plugs,
        )
    three = RailPins(v12=3, ground=3)
    for i in range(graphics):
        yield Cable(
            key=f"g{i}",
            name=f"G{i}",
            family="F",
            needs=("graphics",),
            conductors=three,
            supply_end=SupplyEnd(circuits=8, pins=three),
            plugs=(Plug(key="a", kind="pcie6+2", at_mm=600),),
        )


def mapping(unit: float) -> None:
    """The table of maps."""
    from ortools.sat.python import cp_model

    assert cp_model
    goals = {20: "700 ms", 60: "2000 ms", 120: "4000 ms"}
    for sockets in (4, 10, 20, 40, 60, 90, 120):
        for limits in (False, True):
            build = rack(sockets, sockets, limits=limits)
            first: list[float] = []
            start = time.perf_counter()

            def told(
                done: int, out_of: int, best: object, begun: float = start, at: list[float] = first
            ) -> None:
                if done == 1:
                    at.append(time.perf_counter() - begun)

            mapping = solve(build, Wish(), Progress(tell=told))
            ms = (time.perf_counter() - start) * 1000
            words = "with" if limits else "without"
            proven = "" if mapping and mapping.proven else ", NOT PROVEN"
            name = f"map, {sockets} sockets, {words} group limits{proven}"
            early = first[0] * 1000 if first else 0.0
            print(
                f"{name:52}{ms:9.1f} ms {ms / unit:9.3f} × {goals.get(sockets, ''):>22}"
                f"   first map {early:.0f} ms"
            )
    # Where many ways come to nearly the same in a group that starts staggered, proofs are long.
    hard = {f"20 sockets, with group limits, rack {n}": rack(20, n, limits=True) for n in (23, 29)}
    hard["20 sockets, with group limits, 5 models"] = rack(20, 51, limits=True, models=5)
    hard |= {f"60 sockets, {n} models of disks": rack(60, n, models=n) for n in (6, 8, 12)}
    for title, build in hard.items():
        start = time.perf_counter()
        mapping = solve(build)
        ms = (time.perf_counter() - start) * 1000
        proven = "" if mapping and mapping.proven else ", NOT PROVEN"
        print(f"{f'map, {title}{proven}':52}{ms:9.1f} ms {ms / unit:9.3f} ×")
    # Mapped anew from what is laid: with the fewest ends that move, last of all.
    for sockets in (20, 60, 120):
        build = rack(sockets, sockets)
        laid = solve(build)
        assert laid is not None
        less = frozenset(r.cable for r in laid.runs[::3])
        left = applied(build, laid)
        left = left.model_copy(update={"runs": tuple(r for r in left.runs if r.cable not in less)})
        start = time.perf_counter()
        mapping = solve(left)
        ms = (time.perf_counter() - start) * 1000
        moved = {g.id: g for g in mapping.goals}["moves"] if mapping else None
        proven = "" if mapping and mapping.proven else ", NOT PROVEN"
        name = f"map anew, {sockets} sockets, {moved.value if moved else 0} ends move{proven}"
        print(f"{name:52}{ms:9.1f} ms {ms / unit:9.3f} × {goals[sockets]:>22}")
    build = rack(60, 1, short=True)
    start = time.perf_counter()
    none = solve(build) is None
    told_ms = (time.perf_counter() - start) * 1000
    facts = why_not(build)
    ms = (time.perf_counter() - start) * 1000
    name = f"one cable short of 60 told ({none}), {len(facts)} facts"
    print(
        f"{name:52}{told_ms:9.1f} ms {told_ms / unit:9.3f} × {'1000 ms':>22}   with why {ms:.0f} ms"
    )
    second(unit)


def second(unit: float) -> None:
    """The same program, the same goal, given to two solvers."""
    for sockets in (20, 60, 120):
        build = rack(sockets, sockets, limits=True)
        scenarios, _ = scenarios_of(build)
        program = Program(world(build, scenarios[0]), Facts())
        start = time.perf_counter()
        fewest = next(g for g in goals_of(build.house_rules) if g.id == "runs")
        one = program.solve(fewest).value
        ours = (time.perf_counter() - start) * 1000
        other, theirs = by_highs(program)
        name = f"fewest runs of {sockets}: {one} and {other} by a second solver"
        print(f"{name:52}{ours:9.1f} ms {ours / unit:9.3f} × {'':>22}   second {theirs:.1f} ms")


def by_highs(program: Program) -> tuple[int, float]:
    """(value, ms) of the same program by HiGHS, its conditions written out as sums."""
    import highspy

    proto = program.model.proto
    h = highspy.Highs()
    h.silent()
    h.setOptionValue("threads", 1)
    bounds = [(min(v.domain), max(v.domain)) for v in proto.variables]
    for low, high in bounds:
        h.addVar(low, high)
    for i in range(len(bounds)):
        h.changeColIntegrality(i, highspy.HighsVarType.kInteger)
    for c in proto.constraints:
        _row(h, c, bounds)
    objective = proto.objective
    for v, k in zip(objective.vars, objective.coeffs, strict=True):
        h.changeColCost(v if v >= 0 else -v - 1, k if v >= 0 else -k)
    start = time.perf_counter()
    h.run()
    ms = (time.perf_counter() - start) * 1000
    best = h.getInfo().objective_function_value
    return (round(best + objective.offset) if abs(best) < highs_inf() else -1), ms


def _row(h: Any, c: Any, bounds: list[tuple[int, int]]) -> None:
    literals = list(c.enforcement_literal)
    if c.has_linear():
        sums = dict(zip(c.linear.vars, c.linear.coeffs, strict=True))
        low, high = min(c.linear.domain), max(c.linear.domain)
    elif c.has_exactly_one():
        sums, low, high = {}, 1, 1
        for x in c.exactly_one.literals:
            low, high = _literal(sums, x, 1, low, high)
    elif c.has_bool_or():
        sums, low, high = {}, 1, 2**40
        for x in c.bool_or.literals:
            low, high = _literal(sums, x, 1, low, high)
    else:
        return
    least = sum(min(k * bounds[v][0], k * bounds[v][1]) for v, k in sums.items())
    most = sum(max(k * bounds[v][0], k * bounds[v][1]) for v, k in sums.items())
    if low > -(2**60):
        row, limit, top = dict(sums), low, 2**60
        for x in literals:  # held only where each literal is true
            limit, top = _literal(row, x, -(low - least), limit - (low - least), top)
        h.addRow(limit, highs_inf(), len(row), list(row), list(row.values()))
    if high < 2**60:
        row, limit, top = dict(sums), high, 2**60
        for x in literals:
            limit, top = _literal(row, x, most - high, limit + (most - high), top)
        h.addRow(-highs_inf(), limit, len(row), list(row), list(row.values()))


def _literal(sums: dict[int, int], x: int, by: int, low: int, high: int) -> tuple[int, int]:
    """Add `by` times a literal to a sum; one that is negated is 1 − x."""
    v = x if x >= 0 else -x - 1
    sums[v] = sums.get(v, 0) + (by if x >= 0 else -by)
    return (low, high) if x >= 0 else (low - by, high - by)


def highs_inf() -> float:
    """What counts as no bound."""
    return 1e30


if __name__ == "__main__":
    mapping(30.0)
