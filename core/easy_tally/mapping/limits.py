"""What limits a cable with all that it feeds, worked out for the solver.

It stands on the same tables as the checker and on none of its code: each proves the other. Only
three things are asked here: is anything over, how many elements are not known, and what is the
worst share of any.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from itertools import pairwise
from math import inf
from typing import Literal

from ..base.rounding import TOLERANCE
from ..base.units import GROUND, LINES, RAIL_V, Line
from ..standards.connectors import CONNECTORS, SENSE_GRANT_W, Half, Sense, SocketKind
from ..standards.contacts import contact_limit_a, derating
from ..standards.wires import DROP_OVER, WIRE_MOHM_PER_M
from ..things.adapters import Adapter
from ..things.assumptions import Assumptions
from ..things.cables import Cable, Plug
from ..things.rules import BY_PLUG_W
from ..things.supply import Port
from ..wiring.never import Path, breaches
from ..wiring.wired import Carrier
from .draws import NOTHING, START, Draw, Four, together
from .targets import Beyond, Target

#: Watts that each lead of an adapter counts on. Source: PCI Express CEM, 8-pin.
_LEAD_W = 150.0
#: Draws whose lines are remembered at the most.
_MEMO = 60_000


@dataclass(frozen=True, slots=True)
class Use:
    """A plug (or a half of it) in an input of some kind of target."""

    plug: Plug
    half: Half
    target: Target
    mated: SocketKind
    pins: Mapping[str, int]
    #: What is found of it alone, whatever else its cable feeds.
    alone: Sum | None = None


#: Why a way of using a cable is no way: by a rating, by the way that its plugs have to go, by the
#: rule for chained plugs, or never at all.
Why = Literal["rating", "reach", "rule", "never"]


@dataclass(slots=True)
class Sum:
    """What is found on the way. `free`: what may be over all the same; all else ends the search."""

    assume: Assumptions
    at_once: int | None
    free: frozenset[Why] = frozenset()
    over: bool = False
    unknown: int = 0
    share: float = 0.0
    heats: dict[float | None, float] = field(default_factory=dict)
    #: Lines of draws that were asked for before, with the draw, so that it stays what it is.
    memo: dict[int, tuple[Draw, list[tuple[Line, Four, bool]]]] = field(default_factory=dict)

    def fresh(self) -> Sum:
        """One that stands on the same, with nothing found yet."""
        return Sum(self.assume, self.at_once, self.free, heats=self.heats, memo=self.memo)

    def refuse(self, why: Why) -> None:
        """Something is over, or not to be."""
        self.over = self.over or why not in self.free

    def add(self, other: Sum) -> None:
        """With what another found."""
        self.over = self.over or other.over
        self.unknown += other.unknown
        self.share = max(self.share, other.share)

    def hold(
        self, load: Four, limit: float | None, each: float, start: float, missing: bool,
        why: Why = "rating",
    ) -> None:  # fmt: skip
        """Hold a load in four states against a limit, eased at start."""
        if limit is None:
            self.unknown += 1
            return
        eased = load[START] / start
        worst = max(load[0], load[1], load[2], eased) * each
        if worst > limit * TOLERANCE:
            self.refuse(why)
        elif missing:
            self.unknown += 1
        if limit > 0:
            self.share = max(self.share, worst / limit)

    def heat(self, insulation: float | None) -> float:
        """What heat leaves of a contact's amperes."""
        if insulation not in self.heats:
            a = self.assume
            of = a.insulation_degc if insulation is None else insulation
            self.heats[insulation] = derating(a.room_degc + a.plug_air_rise_degc, of)
        return self.heats[insulation]

    def contacts(
        self,
        pins: Mapping[str, int],
        each_a: float | None,
        kind: str,
        draw: Draw,
        insulation: float | None,
        only: tuple[Line, ...] = LINES,
    ) -> None:
        """Pins of one connector."""
        uneven = self.assume.worst_pin_16pin if kind == "16pin" else 1.0
        rating = None if each_a is None else each_a * self.heat(insulation)
        for line, load, missing in self.lines(draw):
            if line in only:
                n = pins.get(line, 0)
                each, limit = (uneven / n, rating) if n else (1.0, 0.0)
                self.hold(load, limit, each, self.assume.start_factor, missing)

    def lines(self, draw: Draw) -> list[tuple[Line, Four, bool]]:
        """Every line that carries something or whose load is not known."""
        known = self.memo.get(id(draw))
        if known is not None:
            return known[1]
        found = draw.lines(self.at_once)
        missing = draw.missing | {GROUND} if draw.missing else draw.missing
        lines = [
            (line, load, line in missing) for line in LINES
            if any(load := found.get(line, NOTHING)) or line in missing
        ]  # fmt: skip
        if len(self.memo) > _MEMO:
            self.memo.clear()
        self.memo[id(draw)] = (draw, lines)
        return lines

    def loads(self, draw: Draw) -> dict[Line, Four]:
        """Amperes by line, of those that carry something."""
        return {line: load for line, load, _ in self.lines(draw)}

    def grants(self, mated: SocketKind, target: Target, sense: Sense | None) -> None:
        """What a standard grants a socket."""
        row = CONNECTORS[mated]
        if row.grant_w is None and row.grant_rail_a is not None:
            for line, load, missing in self.lines(target.draw):
                if line != GROUND:
                    self.hold(load, row.grant_rail_a, 1.0, 1.0, missing)
        if row.grant_w is None:
            return
        limit: float | None = row.grant_w
        if mated == "16pin":
            limit = None if sense is None else SENSE_GRANT_W[sense, target.version]
        self._watts(target.draw, limit)

    def _watts(self, draw: Draw, limit: float | None, why: Why = "rating") -> None:
        load = self.loads(draw).get("v12", NOTHING)
        self.hold(load, limit, RAIL_V["v12"], 1.0, "v12" in draw.missing, why)

    def plug_pins(self, use: Use | Beyond, carrier: Carrier) -> None:
        """Pins of a plug."""
        plug, circuits = use.plug, CONNECTORS[use.mated].circuits
        each = plug.contact_a
        if each is None:
            each = contact_limit_a(use.mated, circuits, carrier.gauge, plug.grade)
        self.contacts(use.pins, each, use.mated, use.target.draw, carrier.insulation_degc)

    def wire(self, carrier: Carrier, draw: Draw) -> None:
        """Conductors of one stretch."""
        gauge, conductors = carrier.gauge, carrier.conductors
        each_a = None if gauge is None else float(getattr(self.assume, f"wire_{gauge}awg_a"))
        for line, load, missing in self.lines(draw):
            n = 1 if conductors is None else conductors.of(line)
            each, limit = (1 / n, each_a) if n else (1.0, 0.0)
            if conductors is None:
                limit = None
            self.hold(load, limit, each, self.assume.start_factor, missing)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        """Volts lost at one plug, out and back; `missing`: a current on the way is not known."""
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == GROUND:
                continue
            out = lost.get(line)
            if out is None or back is None:
                self.unknown += 1
                continue
            both = (out[0] + back[0], out[1] + back[1], out[2] + back[2], out[3] + back[3])
            limit = DROP_OVER * RAIL_V[line]  # type: ignore[index]
            self.hold(both, limit, 1.0, 1.0, missing)

    def house_rule(self, uses: tuple[Use, ...], whole: Draw, rule: str) -> None:
        """The rule for two and more graphics plugs of one cable."""
        plugs = [u for u in uses if u.mated in ("pcie8", "pcie6")]
        if rule == "as delivered":
            rule = "never" if any(u.target.raised for u in plugs) else "by pins"
        if len(plugs) < 2 or rule == "by pins":
            return
        if rule == "never":
            n = float(len(plugs))
            self.hold((n, n, n, n), 1.0, 1.0, 1.0, False, "rule")
        else:
            self._watts(whole, BY_PLUG_W, "rule")


def judge(sum_: Sum, cable: Cable, uses: tuple[Use, ...], rule: str, has_case: bool) -> Draw:
    """Judge everything of a cable but its ports; returns all that it carries. `uses` are by
    distance."""
    whole = together([u.target.draw for u in uses])
    _supply_end(sum_, cable, whole)
    if sum_.over:
        return whole
    parts: list[Draw] = []
    ends = sorted({u.plug.at_mm for u in uses})
    for end in ends:
        beyond = whole
        if end != ends[0]:
            beyond = together([u.target.draw for u in uses if u.plug.at_mm >= end])
        parts.append(beyond)
        sum_.wire(cable, beyond)
    _forbidden(sum_, uses)
    sum_.house_rule(uses, whole, rule)
    for u in uses:
        sum_.add(u.alone or alone(sum_.fresh(), cable, u))
    if sum_.over:
        return whole
    _drops(sum_, cable, uses, whole, parts, ends)
    if has_case:
        _reaches(sum_, uses)
    return whole


def alone(sum_: Sum, cable: Cable, u: Use) -> Sum:
    """What is found of one use by itself: its grant, its pins, and all that stands beyond."""
    if not (u.target.is_lead and u.mated == "16pin"):
        sum_.grants(u.mated, u.target, u.plug.sense)
    sum_.plug_pins(u, cable)
    if u.target.is_lead:
        _lead(sum_, u.target, u.pins)
        lead_wires(sum_, u.target.beyond)
    for b in u.target.beyond:
        _beyond(sum_, b, u.plug.sense)
    return sum_


def _supply_end(sum_: Sum, cable: Cable, whole: Draw) -> None:
    if cable.needs:
        end_of = cable.supply_end
        kind = "16pin" if cable.needs == ("16pin",) else "port"
        each = contact_limit_a(kind, end_of.circuits, cable.gauge, end_of.grade)
        pins: dict[str, int] = {line: end_of.pins.of(line) for line in LINES}
        sum_.contacts(pins, each, kind, whole, cable.insulation_degc)


def ports_held(sum_: Sum, cable: Cable, ports: tuple[Port, ...], whole: Draw) -> None:
    """12 V pins of each port."""
    for port, share in zip(ports, port_shares(ports), strict=True):
        wired = cable.supply_end.pins.v12 if len(ports) == 1 else port.pins_12v
        kind = "16pin" if port.kind == "16pin" else "port"
        each = contact_limit_a(kind, port.circuits, cable.gauge, cable.supply_end.grade)
        if share > 0:
            pins = {"v12": min(port.pins_12v, wired)}
            part = whole.share(share)
            sum_.contacts(pins, each, kind, part, cable.insulation_degc, ("v12",))


def port_shares(ports: tuple[Port, ...]) -> list[float]:
    """How several ports share a run: by their 12 V pins, evenly where none has any."""
    pins = [p.pins_12v for p in ports]
    whole = sum(pins)
    return [n / whole if whole else 1 / len(pins) for n in pins]


def _forbidden(sum_: Sum, uses: tuple[Use, ...]) -> None:
    if any(u.target.is_lead for u in uses) and breaches(paths(uses)):
        sum_.refuse("never")
    sum_.unknown += sum(u.target.unsaid for u in uses)


def paths(uses: tuple[Use, ...]) -> list[Path]:
    """The ways of a cable on to their ends. Things that are alike are told apart by the plug that
    goes into them; those of several leads are one, of which each plug is in another lead."""
    found = []
    for n, u in enumerate(uses):
        for path in u.target.paths:
            steps = tuple(
                s._replace(
                    lead=f"{s.lead} {n}", one=s.one if len(s.of.sockets) > 1 else f"{s.one} {n}"
                )
                for s in path.steps
            )
            found.append(Path(u.plug.key, (u.mated, *path.kinds), steps))
    return found


def _lead(sum_: Sum, target: Target, pins: Mapping[str, int]) -> None:
    """Pins of a lead of something in between."""
    of = target.of
    circuits = CONNECTORS[target.kind].circuits
    each = contact_limit_a(target.kind, circuits, of.gauge if of else None, "standard")
    if target.kind == "16pin" and each is None:
        return
    sum_.contacts(pins, each, target.kind, target.draw, of.insulation_degc if of else None)


# -- volts lost ------------------------------------------------------------------------------


def _drops(
    sum_: Sum,
    cable: Cable,
    uses: tuple[Use, ...],
    whole: Draw,
    parts: list[Draw],
    ends: list[float],
) -> None:
    mohm = sum_.assume.contact_mohm
    lines = {line for u in uses for line, _, _ in sum_.lines(u.target.draw)} | {GROUND}
    total = sum_.loads(whole)
    lost: dict[Line, Four | None] = {}
    for line in lines:
        near = cable.supply_end.pins.of(line) if cable.needs else 0
        lost[line] = NOTHING
        if near:
            lost[line] = _more(NOTHING, total.get(line, NOTHING), mohm / near / 1000)
        elif cable.needs:
            lost[line] = None
    before = 0.0
    for end, part in zip(ends, parts, strict=True):
        flow = sum_.loads(part)
        for line in lines:
            wire = _mohm(cable, end - before, line)
            old = lost[line]
            if old is not None:
                load = flow.get(line, NOTHING)
                lost[line] = None if wire is None else _more(old, load, wire / 1000)
        for u in uses:
            if u.plug.at_mm == end:
                here = _behind(sum_, lost, u.target.draw, u.pins)
                sum_.dropped(here, u.target.draw, bool(whole.missing))
                _drops_beyond(sum_, u.target.beyond, here, bool(whole.missing))
        before = end


def _behind(
    sum_: Sum, lost: Mapping[Line, Four | None], draw: Draw, pins: Mapping[str, int]
) -> dict[Line, Four | None]:
    """Volts lost by line behind a plug's own contacts."""
    flow = sum_.loads(draw)
    found: dict[Line, Four | None] = {}
    for line, _, _ in sum_.lines(draw):
        far, before = pins.get(line, 0), lost.get(line)
        if not far or before is None:
            found[line] = None
        else:
            load = flow.get(line, NOTHING)
            found[line] = _more(before, load, sum_.assume.contact_mohm / far / 1000)
    return found


def _drops_beyond(
    sum_: Sum, beyond: tuple[Beyond, ...], before: Mapping[Line, Four | None], missing: bool
) -> None:
    """Volts lost at each plug of something in between, on its wire by all that flows there."""
    lost, start = dict(before), 0.0
    for end in sorted({b.plug.at_mm for b in beyond}):
        part = together([b.target.draw.share(b.share) for b in beyond if b.plug.at_mm >= end])
        flow = sum_.loads(part)
        for line, old in lost.items():
            wire = 0.0 if beyond[0].is_bay else _mohm(beyond[0].of, end - start, line)
            if old is not None:
                load = flow.get(line, NOTHING)
                lost[line] = None if wire is None else _more(old, load, wire / 1000)
        for b in beyond:
            if b.plug.at_mm == end:
                here = _behind(sum_, lost, b.target.draw, b.pins)
                sum_.dropped(here, b.target.draw, missing or bool(b.target.draw.missing))
                _drops_beyond(sum_, b.target.beyond, here, missing)
        start = end


def inner_of(
    assume: Assumptions, at_once: int | None, beyond: tuple[Beyond, ...]
) -> dict[Line, Four]:
    """Volts lost behind a lead or an input of a backplane, by rail and state, as a share of what
    may be lost, at the worst of its ends; without end where a wire on the way is not known."""
    found: dict[Line, Four] = {}
    sum_ = _Inner(assume, at_once, frozenset({"rating"}), worst=found)
    _drops_beyond(sum_, beyond, dict.fromkeys(LINES, NOTHING), False)
    return found


@dataclass(slots=True)
class _Inner(Sum):
    """Keeps what is lost in place of holding it."""

    worst: dict[Line, Four] = field(default_factory=dict)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == GROUND:
                continue
            out, here = lost.get(line), _ENDLESS
            if out is not None and back is not None:
                limit = DROP_OVER * RAIL_V[line]  # type: ignore[index]
                a, b, c, d = ((x + y) / limit for x, y in zip(out, back, strict=True))
                here = (a, b, c, d)
            old = self.worst.get(line, NOTHING)
            a, b, c, d = map(max, old, here)
            self.worst[line] = (a, b, c, d)


_ENDLESS: Four = (inf, inf, inf, inf)


def _more(old: Four, load: Four, ohm: float) -> Four:
    a, b = old, load
    return a[0] + b[0] * ohm, a[1] + b[1] * ohm, a[2] + b[2] * ohm, a[3] + b[3] * ohm


def _mohm(carrier: Carrier, length_mm: float, line: Line) -> float | None:
    n = 0 if carrier.conductors is None else carrier.conductors.of(line)
    if carrier.gauge is None or n == 0:
        return None
    return WIRE_MOHM_PER_M[carrier.gauge] * length_mm / 1000 / n


# -- what stands in between, and reach ---------------------------------------------------------


#: What a 16-pin plug is coded for, as it is handed on: by its sense contacts, or by the adapter
#: that it comes from.
Code = Sense | Beyond | None


def _beyond(sum_: Sum, b: Beyond, code: Code) -> None:
    if isinstance(b.of.of, Adapter):
        code = b
    elif b.plug.sense is not None:
        code = b.plug.sense
    if b.mated != "16pin":
        sum_.grants(b.mated, b.target, None)
    elif not b.target.is_lead:
        if isinstance(code, Beyond):
            _adapter_grant(sum_, code, b.target)
        else:
            sum_.grants(b.mated, b.target, code)
    sum_.plug_pins(b, b.of)
    if b.target.is_lead:
        _lead(sum_, b.target, b.pins)
        lead_wires(sum_, b.target.beyond)
    for further in b.target.beyond:
        _beyond(sum_, further, code)


def _adapter_grant(sum_: Sum, b: Beyond, target: Target) -> None:
    """What an adapter's 16-pin plug may give a card: by its code and the leads plugged in."""
    of, code = b.of.of, None
    if isinstance(of, Adapter) and of.codes:
        code = float(max((c.watts for c in of.codes if c.leads <= b.leads), default=0))
    elif b.plug.sense is not None:
        code = SENSE_GRANT_W[b.plug.sense, target.version]
    limit = None if code is None else min(code, _LEAD_W * b.leads)
    sum_._watts(target.draw, limit)


def lead_wires(sum_: Sum, beyond: tuple[Beyond, ...]) -> None:
    """Wires of one lead, stretch by stretch."""
    wired = [b for b in beyond if not b.is_bay]
    if not wired:
        return
    for end in sorted({b.plug.at_mm for b in wired}):
        part = together([b.target.draw.share(b.share) for b in wired if b.plug.at_mm >= end])
        sum_.wire(wired[0].of, part)


def _reaches(sum_: Sum, uses: tuple[Use, ...]) -> None:
    placed: list[tuple[float, float]] = []
    for u in uses:
        _reach(sum_, u.target, u.plug.at_mm)
        if u.target.placed and u.target.way_mm is not None:
            placed.append((u.plug.at_mm, u.target.way_mm))
    placed.sort()
    for (near, way), (far, further) in pairwise(placed):
        if abs(further - way) > (far - near) * TOLERANCE:
            sum_.refuse("reach")


def _reach(sum_: Sum, target: Target, mm: float) -> None:
    if target.placed:
        if target.way_mm is None:
            sum_.unknown += 1
        elif target.way_mm + target.slack_mm > mm * TOLERANCE:
            sum_.refuse("reach")
    for b in target.beyond:
        if not b.is_bay:
            _reach(sum_, b.target, mm + b.plug.at_mm)
