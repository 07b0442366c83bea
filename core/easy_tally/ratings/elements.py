"""What limits a run, limit by limit, judged: each with its source and the terms of its formula."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from typing import Literal, NamedTuple

from ..base.series import NO_SERIES, Series, scale
from ..base.units import GROUND, LINES, RAIL_V, Line, Rail
from ..standards.connectors import CONNECTORS, SocketVersion, is_coded
from ..standards.margins import WITHIN_GRANT, WITHIN_RATING
from ..standards.wires import DROP_OVER, DROP_WITHIN
from ..things.adapters import Adapter
from ..things.assumed.assumptions import Assumptions
from ..things.cables import Cable, Plug
from ..things.parts import Socket
from ..things.supply import Port
from ..wiring import Between, Carrier
from . import limits
from .flows import Flow
from .limits import Contact, Limit
from .places import WHOLE, Place
from .verdicts import Judgement, judge

ElementKind = Literal[
    "grant",
    "plug pins",
    "supply-end pins",
    "port pins",
    "wire",
    "drop",
    "group",
    "house rule",
    "lead pins",
    "forbidden",
    "reach",
    "group spike",
    "not worked out",
]
ElementUnit = Literal["A", "W", "V", "plugs", "mm"]

_NO_TERMS: Mapping[str, float] = {}
#: One in every state: what is counted, or measured, and flows nowhere.
_ONE: Series = (1.0,) * len(NO_SERIES)


class Element(NamedTuple):
    """One limit on a run: what, on which rail (or ground), where, judged, in which unit.

    `at` is the plug, port or group it belongs to; `from_mm`/`to_mm` a stretch of wire. `terms`
    are the numbers of its formula; `source` says whose figure the limit is. `refused` marks a
    breach of a house rule that may stand in a draft. `said`: why it is never allowed, or which
    check broke down.
    """

    kind: ElementKind
    line: Line
    at: Place
    judged: Judgement
    unit: ElementUnit
    source: str
    terms: Mapping[str, float] = _NO_TERMS
    from_mm: float = 0.0
    to_mm: float = 0.0
    refused: bool = False
    said: str = ""


# -- what a standard grants ----------------------------------------------------------------


def grants(plug: Plug, mated: str, socket: Socket, flow: Flow, rule: str) -> Iterator[Element]:
    """What the standard grants one socket: watts at 12 V, or amperes a rail, by a house `rule`."""
    source = CONNECTORS[mated].source
    each = limits.granted_a(mated)
    if each is not None:
        for line, loads, missing in flow.lines():
            if line != GROUND:
                judged = judge(loads, each, WITHIN_GRANT, missing)
                yield Element("grant", line, Place(plug.key), judged, "A", source)
    watts = limits.granted_w(mated, plug.sense, socket.version, rule)
    if watts is not None:
        if is_coded(mated):
            source = f"{source}, sense contacts, {socket.version} version of the socket"
        judged = judge(flow.watts(), watts, WITHIN_GRANT, "v12" in flow.missing)
        yield Element("grant", "v12", Place(plug.key), judged, "W", source)


# -- contacts ------------------------------------------------------------------------------


class _Contacts(NamedTuple):
    """Contacts of one connector: how many of each line, what one carries, whose figure it is."""

    kind: ElementKind
    at: Place
    pins: Mapping[str, int]
    one: Contact
    source: str


def _contacts(contacts: _Contacts, flow: Flow, only: tuple[Line, ...] = LINES) -> Iterator[Element]:
    one = contacts.one
    for line, _, _ in flow.lines():
        if line not in only:
            continue
        n = contacts.pins.get(line, 0)
        judged = flow.judged(line, one.limit(n), WITHIN_RATING)
        terms = {"pins": float(n), "uneven": one.uneven, "derating": one.heat}
        if one.rated_a is not None:
            terms["contact_a"] = one.rated_a
        yield Element(contacts.kind, line, contacts.at, judged, "A", contacts.source, terms)


def plug_pins(
    plug: Plug, mated: str, pins: Mapping[str, int], cable: Carrier, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a pin of a plug against its contact; `pins` are those wired on both sides."""
    source = _contact_source(mated, CONNECTORS[mated].circuits)
    if plug.contact_a is not None:
        source = "maker's data"
    one = limits.plug_contact(plug, mated, cable, assume)
    yield from _contacts(_Contacts("plug pins", Place(plug.key), pins, one, source), flow)


def _contact_source(mated: str, circuits: int) -> str:
    if mated in CONNECTORS and CONNECTORS[mated].contact_source:
        return CONNECTORS[mated].contact_source
    return f"terminal makers' data, {circuits} circuits"


def supply_end_pins(cable: Cable, flow: Flow, assume: Assumptions) -> Iterator[Element]:
    """Amperes a pin at the supply end of a modular cable, all its plugs there together."""
    one, end = limits.supply_end_contact(cable, assume), cable.supply_end
    if one is not None:
        pins: dict[str, int] = {line: end.pins.of(line) for line in LINES}
        source = _contact_source(limits.supply_end_kind(cable), end.circuits)
        yield from _contacts(_Contacts("supply-end pins", WHOLE, pins, one, source), flow)


def port_pins(
    cable: Cable, ports: tuple[Port, ...], shares: list[float], flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a 12 V pin of each port; several ports share the run."""
    for port, share in zip(ports, shares, strict=True):
        if share > 0:
            kind = "16pin" if port.kind == "16pin" else "port"
            pins = {"v12": limits.port_pins_12v(port, ports, cable)}
            one = limits.port_contact(port, cable, assume)
            source = _contact_source(kind, port.circuits)
            part = flow if share == 1 else flow.share(share)
            yield from _contacts(
                _Contacts("port pins", Place(port.key), pins, one, source), part, ("v12",)
            )


# -- wires ---------------------------------------------------------------------------------


def wires(
    cable: Carrier, from_mm: float, to_mm: float, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a conductor on one stretch of a cable."""
    for line, _, _ in flow.lines():
        n = 1 if cable.conductors is None else cable.conductors.of(line)
        judged = flow.judged(line, limits.conductor(cable, line, assume), WITHIN_RATING)
        yield Element(
            "wire",
            line,
            WHOLE,
            judged,
            "A",
            "assumption: amperes a conductor in a bundle",
            {"conductors": float(n)},
            from_mm,
            to_mm,
        )


def drop(plug: Plug, rail: Rail, lost_v: Series | None, missing: bool) -> Element:
    """Volts lost on the way to one plug, out and back, against what may be lost of the rail."""
    limit = limits.drop_v(rail) if lost_v else limits.UNKNOWN
    judged = judge(lost_v or NO_SERIES, limit, DROP_WITHIN / DROP_OVER, missing)
    return Element(
        "drop",
        rail,
        Place(plug.key),
        judged,
        "V",
        f"ATX design guide: ±{DROP_OVER * 100:g} %",
        {"volts": RAIL_V[rail]},
    )


# -- what stands in between -------------------------------------------------------------------


def lead_pins(
    lead: Socket, pins: Mapping[str, int], between: Between, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a pin of a lead against its own contact."""
    one = limits.lead_contact(lead.kind, between, assume)
    if one is not None:
        source = _contact_source(lead.kind, CONNECTORS[lead.kind].circuits)
        yield from _contacts(_Contacts("lead pins", Place(lead.key), pins, one, source), flow)


def adapter_grant(
    plug: Plug, adapter: Adapter, leads: int, version: SocketVersion, flow: Flow
) -> Element:
    """What a 16-pin plug of an adapter may give."""
    limit = limits.coded_w(adapter, plug, leads, version)
    least = min((c.leads for c in adapter.codes), default=1)
    terms = {"leads": float(leads), "least": float(least)}
    if limit.rated is not None:
        terms["code"] = limits.code_w(adapter, plug, leads, version) or 0.0
    judged = judge(flow.watts(), limit, WITHIN_GRANT, "v12" in flow.missing)
    return Element(
        "grant",
        "v12",
        Place(plug.key),
        judged,
        "W",
        "maker's data: its code by leads; PCI Express CEM: 150 W a lead",
        terms,
    )


def forbidden(reason: str, known: bool = True) -> Element:
    """A way of feeding that is never allowed, whatever flows: over; unknown where nobody says
    whether it is one."""
    judged = judge(_ONE, Limit(0.0) if known else limits.UNKNOWN, WITHIN_GRANT)
    return Element(
        "forbidden",
        "v12",
        WHOLE,
        judged,
        "plugs",
        "house rule under every school: never allowed",
        refused=known,
        said=reason,
    )


def reach(at: Place, way_mm: float | None, reaches: Limit) -> Element:
    """How far a plug reaches, against the way to its socket with slack; unknown without a route."""
    judged = judge(
        scale(_ONE, way_mm or 0.0), limits.UNKNOWN if way_mm is None else reaches, WITHIN_GRANT
    )
    source = "the case's routes; 40 mm of slack: assumption"
    return Element("reach", "v12", at, judged, "mm", source)


# -- group and house rule ------------------------------------------------------------------


def group(key: str, limit_a: float, flow: Flow) -> Element:
    """Amperes at 12 V of a port group against its over-current limit."""
    limit = limits.over_current(limit_a)
    judged = flow.judged("v12", limit, WITHIN_RATING)
    return Element("group", "v12", Place(key), judged, "A", "maker's data: over-current limit")


def group_spike(key: str, window: str, limit_a: float, flow: Flow) -> Element:
    """Amperes of a group in a spike against its over-current limit: beyond it it may trip, though
    nothing is damaged, so `tight` at worst."""
    limit = limits.over_current(limit_a)
    judged = flow.judged("v12", limit, WITHIN_GRANT)
    if judged.verdict == "over":
        judged = judged._replace(verdict="tight")
    at = Place(key, window=window)
    return Element("group spike", "v12", at, judged, "A", "maker's data: over-current limit")


def house_rule(rule: str, plugs: int, raised: bool, watts: Series, missing: bool) -> Element | None:
    """The house rule for a graphics cable of which two or more plugs are used; None for fewer."""
    held = limits.chained(rule, plugs, raised)
    if held is None:
        return None
    unit, limit = held
    if unit == "plugs":
        judged = judge(scale(_ONE, plugs), limit, WITHIN_GRANT)
        source, refused = "house rule: never both plugs", True
    else:
        judged = judge(watts, limit, WITHIN_GRANT, missing)
        source, refused = "house rule: one plug's worth a cable", judged.verdict == "over"
    return Element("house rule", "v12", WHOLE, judged, unit, source, refused=refused)


def not_worked_out(check: str) -> Element:
    """What stands for a check that broke down: unknown, never fine."""
    judged = judge(NO_SERIES, limits.UNKNOWN, WITHIN_RATING)
    source = "no figure: the check itself broke down"
    return Element("not worked out", "v12", WHOLE, judged, "A", source, said=check)
