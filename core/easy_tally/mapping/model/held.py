"""What limits a cable with all that it feeds, as the solver walks it.

It judges with the checker's own limits (`ratings/limits.py`), and asks three things only: is
anything over, how many elements are not known, and what is the worst share of any.
"""

from __future__ import annotations

from collections.abc import Mapping
from itertools import pairwise

from ...base.units import LINES
from ...ratings import limits
from ...standards.connectors import Sense, is_coded
from ...things.adapters import Adapter
from ...things.cables import Cable
from ...things.supply import Port
from ...wiring.never import Path, breaches
from .draws import Draw, together
from .sums import Sum, Use
from .targets import Beyond, Target
from .volts import drops


def judge(sum_: Sum, cable: Cable, uses: tuple[Use, ...], rule: str, has_case: bool) -> Draw:
    """Judge everything of a cable but its ports; returns all that it carries. `uses` are by
    distance."""
    whole = together([u.target.draw for u in uses])
    _supply_end(sum_, cable, whole)
    if sum_.over:
        return whole
    parts: list[Draw] = []
    ends = sorted({u.plug.mm for u in uses})
    for end in ends:
        beyond = whole
        if end != ends[0]:
            beyond = together([u.target.draw for u in uses if u.plug.mm >= end])
        parts.append(beyond)
        sum_.wire(cable, beyond)
    _forbidden(sum_, uses)
    sum_.house_rule(uses, whole, rule)
    for u in uses:
        sum_.add(u.alone or alone(sum_.fresh(), cable, u))
    if sum_.over:
        return whole
    drops(sum_, cable, uses, whole, parts, ends)
    if has_case:
        _reaches(sum_, uses)
    return whole


def alone(sum_: Sum, cable: Cable, u: Use) -> Sum:
    """What is found of one use by itself: its grant, its pins, and all that stands beyond."""
    if not (u.target.is_lead and is_coded(u.mated)):
        sum_.grants(u.mated, u.target, u.plug.sense)
    sum_.plug_pins(u, cable)
    if u.target.is_lead:
        _lead(sum_, u.target, u.pins)
        lead_wires(sum_, u.target.beyond)
    for b in u.target.beyond:
        _beyond(sum_, b, u.plug.sense)
    return sum_


def _supply_end(sum_: Sum, cable: Cable, whole: Draw) -> None:
    one = limits.supply_end_contact(cable, sum_.assume)
    if one is not None:
        sum_.contacts(one, {line: cable.supply_end.pins.of(line) for line in LINES}, whole)


def ports_held(sum_: Sum, cable: Cable, ports: tuple[Port, ...], whole: Draw) -> None:
    """12 V pins of each port."""
    for port, share in zip(ports, limits.port_shares(ports), strict=True):
        if share > 0:
            pins = {"v12": limits.port_pins_12v(port, ports, cable)}
            one = limits.port_contact(port, cable, sum_.assume)
            sum_.contacts(one, pins, whole.share(share), ("v12",))


def _forbidden(sum_: Sum, uses: tuple[Use, ...]) -> None:
    if any(u.target.is_lead for u in uses) and breaches(paths(uses)):
        sum_.refuse("never")
    sum_.unknown += sum(u.target.unsaid for u in uses)


def paths(uses: tuple[Use, ...]) -> list[Path]:
    """The ways of a cable on to their ends. Things that are alike are told apart by the plug that
    goes into them; those of several leads are one, of which each plug is in another lead."""
    paths = []
    for n, u in enumerate(uses):
        for path in u.target.paths:
            steps = tuple(
                s._replace(
                    lead=f"{s.lead} {n}", one=s.one if len(s.of.sockets) > 1 else f"{s.one} {n}"
                )
                for s in path.steps
            )
            paths.append(Path(u.plug.key, (u.mated, *path.kinds), steps))
    return paths


def _lead(sum_: Sum, target: Target, pins: Mapping[str, int]) -> None:
    """Pins of a lead of something in between."""
    one = limits.lead_contact(target.kind, target.of, sum_.assume) if target.of else None
    if one is not None:
        sum_.contacts(one, pins, target.draw)


# -- what stands in between, and reach ---------------------------------------------------------


#: What a 16-pin plug is coded for, as it is handed on: by its sense contacts, or by the adapter
#: that it comes from.
Code = Sense | Beyond | None


def _beyond(sum_: Sum, b: Beyond, code: Code) -> None:
    if isinstance(b.of.of, Adapter):
        code = b
    elif b.plug.sense is not None:
        code = b.plug.sense
    if not is_coded(b.mated):
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
    if isinstance(b.of.of, Adapter):
        sum_.watts(target.draw, limits.coded_w(b.of.of, b.plug, b.leads, target.version))


def lead_wires(sum_: Sum, beyond: tuple[Beyond, ...]) -> None:
    """Wires of one lead, stretch by stretch."""
    wired = [b for b in beyond if not b.is_bay]
    if not wired:
        return
    for end in sorted({b.plug.mm for b in wired}):
        part = together([b.target.draw.share(b.share) for b in wired if b.plug.mm >= end])
        sum_.wire(wired[0].of, part)


def _reaches(sum_: Sum, uses: tuple[Use, ...]) -> None:
    placed: list[tuple[float, float]] = []
    for u in uses:
        _reach(sum_, u.target, u.plug.mm)
        if u.target.placed and u.target.way_mm is not None:
            placed.append((u.plug.mm, u.target.way_mm))
    placed.sort()
    for near, far in pairwise(placed):
        between, wire = limits.spanned(near, far)
        if wire.exceeded(between):
            sum_.refuse("reach")


def _reach(sum_: Sum, target: Target, mm: float) -> None:
    if target.placed:
        if target.way_mm is None:
            sum_.unknown += 1
        elif limits.reached(mm).exceeded(limits.way_mm(target.way_mm)):
            sum_.refuse("reach")
    for b in target.beyond:
        if not b.is_bay:
            _reach(sum_, b.target, mm + b.plug.mm)
