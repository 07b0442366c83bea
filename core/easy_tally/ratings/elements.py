"""One function for each thing that limits a run. Source of each limit stands in its element."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from typing import Literal, NamedTuple

from ..base.series import NO_SERIES, Series, scale
from ..base.units import GROUND, LINES, RAIL_V, RUN_STATES, Line, Rail
from ..standards.connectors import CONNECTORS, SENSE_GRANT_W
from ..standards.contacts import contact_limit_a, derating
from ..standards.margins import WITHIN_GRANT, WITHIN_RATING
from ..standards.wires import DROP_OVER, DROP_WITHIN, WIRE_MOHM_PER_M
from ..things.adapters import Adapter
from ..things.assumptions import Assumptions
from ..things.cables import Cable, Plug
from ..things.parts import Socket
from ..things.rules import BY_PLUG_W
from ..things.supply import Port
from ..wiring import Between, Carrier
from .flows import Flow
from .verdicts import Judgement, judge

ElementKind = Literal[
    "grant", "plug pins", "supply-end pins", "port pins", "wire", "drop", "group", "house rule",
    "lead pins", "forbidden", "reach", "group spike", "not worked out",
]  # fmt: skip
ElementUnit = Literal["A", "W", "V", "plugs", "mm"]

#: What one lead of an adapter brings at the most [W]: an 8-pin graphics plug's grant. Source: PCI
#: Express CEM.
LEAD_W = 150.0
_NO_TERMS: Mapping[str, float] = {}


class Element(NamedTuple):
    """One limit on a run: what, on which rail (or ground), where, judged, in which unit.

    `at` is the plug, port or group it belongs to; `from_mm`/`to_mm` a stretch of wire. `terms`
    are the numbers of its formula; `source` says whose figure the limit is. `refused` marks a
    breach of a house rule that may stand in a draft.
    """

    kind: ElementKind
    line: Line
    at: str
    judged: Judgement
    unit: ElementUnit
    source: str
    terms: Mapping[str, float] = _NO_TERMS
    from_mm: float = 0.0
    to_mm: float = 0.0
    refused: bool = False


# -- what a standard grants ----------------------------------------------------------------


def grants(plug: Plug, mated: str, socket: Socket, flow: Flow) -> Iterator[Element]:
    """What the standard grants one socket: watts at 12 V, or amperes a rail."""
    row = CONNECTORS[mated]
    if row.grant_w is None and row.grant_rail_a is not None:
        for line, loads, missing in flow.lines():
            if line != GROUND:
                judged = judge(loads, row.grant_rail_a, WITHIN_GRANT, missing=missing)
                yield Element(
                    kind="grant", line=line, at=plug.key, judged=judged, unit="A",
                    source=row.source,
                )  # fmt: skip
    if row.grant_w is None:
        return
    limit: float | None = row.grant_w
    source = row.source
    if mated == "16pin":
        limit = None if plug.sense is None else SENSE_GRANT_W[(plug.sense, socket.version)]
        source = f"{row.source}, sense contacts, {socket.version} version of the socket"
    judged = judge(flow.watts(), limit, WITHIN_GRANT, missing="v12" in flow.missing)
    yield Element(kind="grant", line="v12", at=plug.key, judged=judged, unit="W", source=source)


# -- contacts ------------------------------------------------------------------------------


def _heat(cable: Carrier, assume: Assumptions) -> float:
    insulation = assume.insulation_degc if cable.insulation_degc is None else cable.insulation_degc
    return derating(assume.room_degc + assume.plug_air_rise_degc, insulation)


class _Contacts(NamedTuple):
    """Contacts of one connector: how many of each line, what one carries, how they share it."""

    kind: ElementKind
    at: str
    pins: Mapping[str, int]
    each_a: float | None
    uneven: float
    source: str


def _contacts(
    of: _Contacts, flow: Flow, cable: Carrier, assume: Assumptions, only: tuple[Line, ...] = LINES
) -> Iterator[Element]:
    heat = _heat(cable, assume)
    rating = None if of.each_a is None else of.each_a * heat
    for line, loads, missing in flow.lines():
        if line not in only:
            continue
        n = of.pins.get(line, 0)
        # Nothing there to carry a load is over its rating of zero, however small the load.
        each, limit = (of.uneven / n, rating) if n else (1.0, 0.0)
        judged = judge(loads, limit, WITHIN_RATING, assume.start_factor, missing, each=each)
        terms = {"pins": float(n), "uneven": of.uneven, "derating": heat}
        if of.each_a is not None:
            terms["contact_a"] = of.each_a
        yield Element(
            kind=of.kind, line=line, at=of.at, judged=judged, unit="A", source=of.source,
            terms=terms,
        )  # fmt: skip


def plug_pins(
    plug: Plug,
    mated: str,
    pins: Mapping[str, int],
    cable: Carrier,
    flow: Flow,
    assume: Assumptions,
) -> Iterator[Element]:
    """Amperes a pin of a plug against its contact; `pins` are those wired on both sides."""
    circuits = CONNECTORS[mated].circuits
    stated = plug.contact_a
    limit = contact_limit_a(mated, circuits, cable.gauge, plug.grade) if stated is None else stated
    of = _Contacts(
        kind="plug pins", at=plug.key, pins=pins, each_a=limit,
        uneven=assume.worst_pin_16pin if mated == "16pin" else 1.0,
        source="maker's data" if stated is not None else _contact_source(mated, circuits),
    )  # fmt: skip
    yield from _contacts(of, flow, cable, assume)


def _contact_source(mated: str, circuits: int) -> str:
    if mated in ("sata", "16pin"):
        return CONNECTORS[mated].source
    return f"terminal makers' data, {circuits} circuits"


def supply_end_pins(cable: Cable, flow: Flow, assume: Assumptions) -> Iterator[Element]:
    """Amperes a pin at the supply end of a modular cable, all its plugs there together."""
    if not cable.needs:
        return
    end = cable.supply_end
    kind = "16pin" if cable.needs == ("16pin",) else "port"
    of = _Contacts(
        kind="supply-end pins", at="", pins={line: end.pins.of(line) for line in LINES},
        each_a=contact_limit_a(kind, end.circuits, cable.gauge, end.grade),
        uneven=assume.worst_pin_16pin if kind == "16pin" else 1.0,
        source=_contact_source(kind, end.circuits),
    )  # fmt: skip
    yield from _contacts(of, flow, cable, assume)


def port_pins(
    cable: Cable, ports: tuple[Port, ...], shares: list[float], flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a 12 V pin of each port; several ports share the run."""
    for port, share in zip(ports, shares, strict=True):
        wired = cable.supply_end.pins.v12 if len(ports) == 1 else port.pins_12v
        kind = "16pin" if port.kind == "16pin" else "port"
        of = _Contacts(
            kind="port pins", at=port.key, pins={"v12": min(port.pins_12v, wired)},
            each_a=contact_limit_a(kind, port.circuits, cable.gauge, cable.supply_end.grade),
            uneven=assume.worst_pin_16pin if kind == "16pin" else 1.0,
            source=_contact_source(kind, port.circuits),
        )  # fmt: skip
        if share > 0:
            part = flow if share == 1 else flow.share(share)
            yield from _contacts(of, part, cable, assume, ("v12",))


# -- wires ---------------------------------------------------------------------------------


def wires(
    cable: Carrier, from_mm: float, to_mm: float, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a conductor on one stretch of a cable."""
    each_a = None if cable.gauge is None else float(getattr(assume, f"wire_{cable.gauge}awg_a"))
    for line, loads, missing in flow.lines():
        n = 1 if cable.conductors is None else cable.conductors.of(line)
        each, limit = (1 / n, each_a) if n else (1.0, 0.0)
        if cable.conductors is None:
            limit = None
        judged = judge(loads, limit, WITHIN_RATING, assume.start_factor, missing, each=each)
        yield Element(
            kind="wire", line=line, at="", judged=judged, unit="A",
            source="assumption: amperes a conductor in a bundle",
            terms={"conductors": float(n)}, from_mm=from_mm, to_mm=to_mm,
        )  # fmt: skip


def path_mohm(cable: Carrier, length_mm: float, line: str) -> float | None:
    """mΩ of one line over a stretch of wire, parallel conductors divided; None if not known."""
    n = 0 if cable.conductors is None else cable.conductors.of(line)
    if cable.gauge is None or n == 0:
        return None
    return WIRE_MOHM_PER_M[cable.gauge] * length_mm / 1000 / n


def drop(plug: Plug, rail: Rail, lost_v: Series | None, missing: bool) -> Element:
    """Volts lost on the way to one plug, out and back, against what may be lost of the rail."""
    limit = DROP_OVER * RAIL_V[rail]
    judged = judge(
        lost_v or NO_SERIES, limit if lost_v else None, DROP_WITHIN / DROP_OVER, missing=missing
    )
    return Element(
        kind="drop", line=rail, at=plug.key, judged=judged, unit="V",
        source=f"ATX design guide: ±{DROP_OVER * 100:g} %", terms={"volts": RAIL_V[rail]},
    )  # fmt: skip


# -- what stands in between -------------------------------------------------------------------


def lead_pins(
    lead: Socket, pins: Mapping[str, int], of: Between, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a pin of a lead against its own contact: of its adapter's gauge, standard grade."""
    circuits = CONNECTORS[lead.kind].circuits
    each_a = contact_limit_a(lead.kind, circuits, of.gauge, "standard")
    if lead.kind == "16pin" and each_a is None:
        return  # what the plug's own contact is judged by; an extension states no more
    contacts = _Contacts(
        kind="lead pins", at=lead.key, pins=pins, each_a=each_a,
        uneven=assume.worst_pin_16pin if lead.kind == "16pin" else 1.0,
        source=_contact_source(lead.kind, circuits),
    )  # fmt: skip
    yield from _contacts(contacts, flow, of, assume)


def adapter_grant(plug: Plug, adapter: Adapter, leads: int, version: str, flow: Flow) -> Element:
    """What a 16-pin plug of an adapter may give: the smaller of its code and 150 W a lead; nothing
    with fewer leads than its least, the card does not start. None known: unknown."""
    coded = [c.watts for c in adapter.codes if c.leads <= leads]
    least = min((c.leads for c in adapter.codes), default=1)
    code: float | None = None
    if adapter.codes:
        code = float(max(coded, default=0))
    elif plug.sense is not None:
        code = SENSE_GRANT_W[(plug.sense, version)]  # type: ignore[index]
    limit = None if code is None else min(code, LEAD_W * leads)
    terms = {"leads": float(leads), "least": float(least)} | (
        {} if code is None else {"code": code}
    )
    judged = judge(flow.watts(), limit, WITHIN_GRANT, missing="v12" in flow.missing)
    return Element(
        kind="grant", line="v12", at=plug.key, judged=judged, unit="W", terms=terms,
        source="maker's data: its code by leads; PCI Express CEM: 150 W a lead",
    )  # fmt: skip


def forbidden(reason: str, known: bool = True) -> Element:
    """A way of feeding that is never allowed, whatever flows: over; unknown where nobody says
    whether it is one."""
    judged = judge((1.0,) * len(NO_SERIES), 0.0 if known else None, WITHIN_GRANT)
    return Element(
        kind="forbidden", line="v12", at=reason, judged=judged, unit="plugs", refused=known,
        source="house rule under every school: never allowed",
    )  # fmt: skip


def reach(at: str, way_mm: float | None, reaches_mm: float) -> Element:
    """How far a plug reaches, against the way to its socket with slack; unknown without a route."""
    loads = scale((1.0,) * len(NO_SERIES), way_mm or 0.0)
    judged = judge(loads, reaches_mm if way_mm is not None else None, WITHIN_GRANT)
    return Element(
        kind="reach", line="v12", at=at, judged=judged, unit="mm",
        source="the case's routes; 40 mm of slack: assumption",
    )  # fmt: skip


def group_spike(key: str, window: str, limit_a: float, flow: Flow) -> Element:
    """Amperes of a group in a spike against its over-current limit: beyond it it may trip, though
    nothing is damaged, so `tight` at worst."""
    judged = judge(flow.of("v12"), limit_a, WITHIN_GRANT, missing="v12" in flow.missing,
                   states=RUN_STATES)  # fmt: skip
    if judged.verdict == "over":
        judged = judged._replace(verdict="tight")
    return Element(
        kind="group spike", line="v12", at=f"{key} {window}", judged=judged, unit="A",
        source="maker's data: over-current limit",
    )  # fmt: skip


# -- group and house rule ------------------------------------------------------------------


def group(key: str, limit_a: float, flow: Flow) -> Element:
    """Amperes at 12 V of a port group against its over-current limit."""
    judged = judge(flow.of("v12"), limit_a, WITHIN_RATING, missing="v12" in flow.missing)
    return Element(
        kind="group", line="v12", at=key, judged=judged, unit="A",
        source="maker's data: over-current limit",
    )  # fmt: skip


def house_rule(rule: str, plugs: int, watts: Series, missing: bool) -> Element | None:
    """The house rule for a graphics cable of which two or more plugs are used; None for fewer."""
    if plugs < 2 or rule == "by pins":
        return None
    if rule == "never":
        judged = judge(scale((1.0,) * len(NO_SERIES), plugs), 1.0, WITHIN_GRANT)
        return Element(
            kind="house rule", line="v12", at="", judged=judged, unit="plugs",
            source="house rule: never both plugs", refused=True,
        )  # fmt: skip
    judged = judge(watts, BY_PLUG_W, WITHIN_GRANT, missing=missing)
    return Element(
        kind="house rule", line="v12", at="", judged=judged, unit="W",
        source="house rule: one plug's worth a cable", refused=judged.verdict == "over",
    )  # fmt: skip


def not_worked_out(check: str) -> Element:
    """What stands for a check that broke down: unknown, never fine."""
    return Element(
        kind="not worked out", line="v12", at=check, judged=judge(NO_SERIES, None, WITHIN_RATING),
        unit="A", source="no figure: the check itself broke down",
    )  # fmt: skip
