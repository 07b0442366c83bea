"""The checker: every run of a map, held against everything that limits it.

Shares no code with the solver, so that each proves the other.
"""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass

from ..build import Build
from ..demand import Demand
from ..fits import fit
from ..parts import Drive, Socket
from ..quantities import NO_SERIES, RAIL_V, RUN_STATES, Series, State, add, scale
from ..supply import Cable, Connection, Plug, Port, Run
from .elements import (
    GROUND,
    Element,
    Flow,
    Line,
    drop,
    grants,
    group,
    house_rule,
    mated_pins,
    path_mohm,
    plug_pins,
    port_pins,
    supply_end_pins,
    together,
    wires,
)
from .verdicts import Verdict, percent, rank


@dataclass(frozen=True, slots=True)
class Step:
    """One stretch of the current profile: amperes [A] on a rail in each state, against the
    tightest limit [A] that this same current meets, or None where that is not known."""

    line: Line
    from_mm: float
    to_mm: float
    amps: dict[State, float]
    limit_a: float | None


@dataclass(frozen=True, slots=True)
class PlugUse:
    """One plug of a run: what it feeds (None: parked), and what to know of how it sits."""

    plug: Plug
    connection: Connection | None
    mated: str | None
    warning: str = ""


@dataclass(frozen=True, slots=True)
class RunResult:
    """One run judged: its elements, worst first, its profile and its plugs.

    `safety` is connector capability ÷ grant, by plug, for graphics plugs.
    """

    cable: Cable
    ports: tuple[Port, ...]
    verdict: Verdict
    elements: tuple[Element, ...]
    steps: tuple[Step, ...]
    plugs: tuple[PlugUse, ...]
    safety: dict[str, float]

    @property
    def governing(self) -> Element | None:
        """The element with the worst verdict, then the highest share."""
        return self.elements[0] if self.elements else None

    @property
    def percent(self) -> int | None:
        """The governing share in whole percents."""
        return percent(self.elements[0].judged.share) if self.elements else 0


@dataclass(slots=True)
class _Live:
    """A connected plug with what it carries."""

    plug: Plug
    socket: Socket
    mated: str
    flow: Flow


@dataclass(slots=True)
class _Taken:
    """A run taken apart: its plugs in use, its stretches, and what all of it carries."""

    cable: Cable
    run: Run
    lives: list[_Live]
    stretches: list[tuple[float, float, Flow]]
    whole: Flow


def check_runs(build: Build, carried: dict[str, Demand]) -> tuple[RunResult, ...]:
    """Judge every run of `build` with what its sockets carry, in the order of its runs."""
    cables = {c.key: c for c in build.cables}
    sockets = {str(ref): s for ref, s in build.sockets()} if build.runs else {}
    taken = [_taken(build, cables[r.cable], r, carried, sockets) for r in build.runs]
    groups = _groups(build, taken)
    return tuple(_check(build, t, groups, sockets) for t in taken)


def _taken(
    build: Build, cable: Cable, run: Run, carried: dict[str, Demand], sockets: dict[str, Socket]
) -> _Taken:
    board = build.board()
    allows = board is not None and board.eps4_in_eps8
    plugs = {p.key: p for p in cable.plugs}
    found = []
    for c in run.connections:
        socket = sockets.get(str(c.socket))
        if socket is None:
            continue  # a Build never holds one; nothing to judge
        demand = carried.get(str(c.socket), Demand())
        flow = Flow(base=demand.amps, surges=[demand.surge] if demand.surge else [])
        flow.add(demand.amps, demand.missing)
        flow.add(demand.surge, ())
        mated = fit(plugs[c.plug].kind, c.half, socket.kind, allows).mated or socket.kind
        found.append(_Live(plugs[c.plug], socket, mated, flow))
    found.sort(key=lambda live: live.plug.at_mm)
    stretches = _stretches(found, build.spin_up_at_once)
    return _Taken(cable, run, found, stretches, stretches[0][2] if stretches else Flow())


def _groups(build: Build, taken: list[_Taken]) -> dict[str, tuple[Series, bool]]:
    """12 V amperes of each port group, and whether a figure behind them is missing."""
    ports = {p.key: p for p in build.supply.ports} if build.supply else {}
    sums: dict[str, Flow] = {}
    for t in taken:
        whole = t.whole
        own = [ports[k] for k in t.run.ports]
        pins = sum(p.pins_12v for p in own)
        for port in own:
            if port.group is None:
                continue
            share = port.pins_12v / pins if pins else 0.0
            sums.setdefault(port.group, Flow()).add(
                {"v12": scale(whole.of("v12"), share)},
                ["v12"] if "v12" in whole.missing else [],
            )
    return {k: (f.of("v12"), "v12" in f.missing) for k, f in sums.items()}


def _check(
    build: Build,
    taken: _Taken,
    groups: dict[str, tuple[Series, bool]],
    sockets: dict[str, Socket],
) -> RunResult:
    cable, run, lives = taken.cable, taken.run, taken.lives
    stretches, whole = taken.stretches, taken.whole
    assume, supply = build.assumptions, build.supply
    by_key = {p.key: p for p in supply.ports} if supply else {}
    ports = [by_key[k] for k in run.ports]
    found: list[Element] = []
    for live in lives:
        found += grants(live.plug, live.mated, live.socket, live.flow)
        found += plug_pins(live.plug, live.mated, live.socket, cable, live.flow, assume)
    found += supply_end_pins(cable, whole, assume)
    found += port_pins(cable, ports, whole, assume)
    for start, end, flow in stretches:
        found += wires(cable, start, end, flow, assume)
    found += _drops(cable, lives, stretches, whole, assume.contact_mohm)
    if supply is not None and lives:
        for key in dict.fromkeys(p.group for p in ports if p.group):
            found.append(group(key, supply, *groups[key]))
    chained = [x for x in lives if x.mated in ("pcie8", "pcie6")]
    rule = house_rule(
        build.house_rules.chained_graphics, len(chained), whole.watts(), "v12" in whole.missing
    )
    if rule is not None:
        found.append(rule)
    found.sort(key=lambda e: rank(e.judged.verdict, e.judged.share))
    return RunResult(
        cable,
        tuple(ports),
        found[0].judged.verdict if found else "within",
        tuple(found),
        tuple(_profile(stretches, found, lives)),
        _uses(build, cable, run, sockets),
        {x.plug.key: s for x in lives if (s := _safety(found, x)) is not None},
    )


def _stretches(lives: list[_Live], at_once: int | None) -> list[tuple[float, float, Flow]]:
    """Lengths of cable between plugs in use; each carries all that lies beyond it."""
    places = sorted({x.plug.at_mm for x in lives})
    found: list[tuple[float, float, Flow]] = []
    beyond = Flow()
    for start, end in reversed(list(zip([0.0, *places], places, strict=False))):
        here = [x.flow for x in lives if x.plug.at_mm == end]
        beyond = together([beyond, *here], at_once)
        found.insert(0, (start, end, beyond))
    return found


def _drops(
    cable: Cable,
    lives: list[_Live],
    stretches: list[tuple[float, float, Flow]],
    whole: Flow,
    contact_mohm: float,
) -> Iterator[Element]:
    """Volts lost at each plug on each rail it uses: contacts and wire, out and back."""
    lines = {line for x in lives for line, _, _ in x.flow.lines()} | {GROUND}
    wire = {line: _lost_on_wire(cable, stretches, whole, contact_mohm, line) for line in lines}
    ends = {end: i for i, (_, end, _) in enumerate(stretches)}
    for live in lives:
        pins = mated_pins(live.plug, live.mated, live.socket)
        at = ends[live.plug.at_mm]
        back = _lost_at(live, wire[GROUND], at, pins, contact_mohm, GROUND)
        for line, _, missing in live.flow.lines():
            if line == "ground":
                continue
            out = _lost_at(live, wire[line], at, pins, contact_mohm, line)
            yield drop(live.plug, line, add(out, back) if out and back else None, missing)


def _lost_on_wire(
    cable: Cable,
    stretches: list[tuple[float, float, Flow]],
    whole: Flow,
    contact_mohm: float,
    line: Line,
) -> list[Series | None]:
    """Volts [V] lost on one line (rail or ground) from the supply to the end of each stretch,
    the supply-end contacts included; None from where a figure is missing."""
    near = cable.supply_end.pins.of(line) if cable.needs else 0
    lost: Series | None = NO_SERIES
    if near:
        lost = scale(whole.of(line), contact_mohm / near / 1000)
    elif cable.needs:
        lost = None
    found: list[Series | None] = []
    for start, end, flow in stretches:
        mohm = path_mohm(cable, end - start, line)
        if lost is not None:
            more = None if mohm is None else scale(flow.of(line), mohm / 1000)
            lost = None if more is None else add(lost, more)
        found.append(lost)
    return found


def _lost_at(
    live: _Live,
    wire: list[Series | None],
    at: int,
    pins: dict[str, int],
    contact_mohm: float,
    line: Line,
) -> Series | None:
    """Volts [V] lost on one line up to behind a plug's own contacts."""
    far, lost = pins.get(line, 0), wire[at]
    if not far or lost is None:
        return None
    return add(lost, scale(live.flow.of(line), contact_mohm / far / 1000))


def _profile(
    stretches: list[tuple[float, float, Flow]], found: list[Element], lives: list[_Live]
) -> Iterator[Step]:
    """The staircase, each step against the tightest limit that the same current meets."""
    last = lives[-1].plug.key if lives else ""
    met: dict[tuple[Line, object], list[float | None]] = {}
    for e in found:
        if e.line != GROUND and (at := _met_at(e)) is not None:
            met.setdefault((e.line, at), []).append(_rail_limit_a(e))
    for start, end, flow in stretches:
        places: list[object] = [(start, end)]
        if start == 0:
            places.append("supply end")
        if len(lives) == 1 or lives[-2].plug.at_mm < end:
            places.append(last)
        for line, loads, _ in flow.lines():
            if line == GROUND:
                continue
            limits = [x for place in places for x in met.get((line, place), ())]
            known = [x for x in limits if x is not None]
            tightest = min(known) if known and len(known) == len(limits) else None
            amps = {s: loads[3 * i + 1] for i, s in enumerate(RUN_STATES)}
            yield Step(line, start, end, amps, tightest)


def _met_at(element: Element) -> object:
    """Where the current of a stretch is the one that the element is judged by: along the stretch
    itself, at the supply end, or at the only plug beyond it; None elsewhere."""
    if element.kind == "wire":
        return element.from_mm, element.to_mm
    if element.kind in ("grant", "plug pins"):
        return element.at
    return "supply end" if element.kind in ("supply-end pins", "house rule") else None


def _rail_limit_a(element: Element) -> float | None:
    """An element's continuous limit as amperes [A] on its whole rail."""
    limit = element.judged.rated
    if limit is None:
        return None
    if element.unit == "plugs":
        return math.inf  # the rule counts plugs; it sets no limit on the current
    if element.unit == "W":
        return limit / RAIL_V["v12"]
    count = element.terms.get("pins") or element.terms.get("conductors") or 1.0
    return limit * count / element.terms.get("uneven", 1.0)


def _uses(build: Build, cable: Cable, run: Run, sockets: dict[str, Socket]) -> tuple[PlugUse, ...]:
    board = build.board()
    allows = board is not None and board.eps4_in_eps8
    connected = {c.plug: c for c in run.connections}
    uses = []
    for plug in cable.plugs:
        c = connected.get(plug.key)
        socket = sockets.get(str(c.socket)) if c else None
        if c is None or socket is None:
            uses.append(PlugUse(plug, None, None))
            continue
        answer = fit(plug.kind, c.half, socket.kind, allows)
        warning = answer.warning or _power_disable(build, cable, c, answer.mated)
        uses.append(PlugUse(plug, c, answer.mated, warning))
    return tuple(uses)


def _power_disable(build: Build, cable: Cable, c: Connection, mated: str | None) -> str:
    """Whether a drive stays off where it is: pin 3 disables its power while it carries 3.3 V.

    Source: Serial ATA specification, power disable.
    """
    part = build.part(c.socket.part)
    if not isinstance(part, Drive) or not part.power_disable or mated != "sata":
        return ""
    if not cable.conductors.v3v3:
        return ""
    return (
        f"{build.ref_words(c.socket)} stays off: it has power disable, and pin 3 of this plug "
        "carries 3.3 V. Feed it from a cable without 3.3 V."
    )


def _safety(found: list[Element], live: _Live) -> float | None:
    """Connector capability ÷ grant of one graphics plug: pins × amperes a pin × 12 V ÷ watts."""
    grant = next((e for e in found if e.kind == "grant" and e.at == live.plug.key), None)
    pins = next(
        (e for e in found if e.kind == "plug pins" and e.at == live.plug.key and e.line == "v12"),
        None,
    )
    if grant is None or pins is None or grant.unit != "W" or "contact_a" not in pins.terms:
        return None
    if not grant.judged.limit:
        return None
    return pins.terms["pins"] * pins.terms["contact_a"] * RAIL_V["v12"] / grant.judged.limit
