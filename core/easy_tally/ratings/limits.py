"""Every limit of a run, once: what one of those that share a load may carry.

Figures alone, without words or sources: the checker puts those to them (`elements.py`), and the
solver asks for nothing else. What proves them stands outside: a second computation that shares
nothing, the search through every map, and cases worked out by hand.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal, NamedTuple

from ..base.rounding import TOLERANCE
from ..base.units import RAIL_V, Line, Rail
from ..standards.connectors import CONNECTORS, SENSE_GRANT_W, Sense, SocketVersion, is_coded
from ..standards.contacts import contact_limit_a, derating
from ..standards.wires import DROP_OVER, WIRE_MOHM_PER_M
from ..things.adapters import Adapter
from ..things.assumed.assumptions import Assumptions
from ..things.cables import Cable, Plug
from ..things.rules import BY_PLUG_W
from ..things.supply import Port
from ..wiring import Between, Carrier
from ..wiring.areas import SLACK_MM

#: What one lead of an adapter brings at the most [W]: an 8-pin graphics plug's grant. Source: PCI
#: Express CEM.
LEAD_W = 150.0


class Limit(NamedTuple):
    """What holds a load: `rated` in the unit of the load, None where nobody knows; `each` the part
    of the load that the most loaded of those that share it carries; `at_start` how many times the
    rating it stands for the seconds of a start; `warns`: more is worth a look, and no fault."""

    rated: float | None
    each: float = 1.0
    at_start: float = 1.0
    warns: bool = False

    def eased(self, loads: tuple[float, ...]) -> tuple[float, ...]:
        """Loads of some states, start the last of them, where a limit stands more for its seconds:
        less load is as good."""
        return loads if self.at_start == 1.0 else (*loads[:-1], loads[-1] / self.at_start)

    def held(self, loads: tuple[float, ...]) -> float:
        """The largest that one of those that share a load carries, in any of its states."""
        return max(self.eased(loads)) * self.each

    def exceeded(self, held: float) -> bool:
        """Whether what is `held` is more than it may be; never where nobody knows."""
        return self.rated is not None and held > self.rated * TOLERANCE


#: What nobody knows.
UNKNOWN = Limit(None)


# -- what a standard grants ----------------------------------------------------------------


def granted_w(mated: str, sense: Sense | None, version: SocketVersion, rule: str) -> Limit | None:
    """Watts at 12 V that a standard grants one socket, a 16-pin one by its plug's sense contacts;
    None where it grants none. By the house `rule` it only warns, but of what a card goes by."""
    watts = CONNECTORS[mated].grant_w
    if watts is None or not is_coded(mated):
        return None if watts is None else Limit(watts, warns=rule == "warning")
    return UNKNOWN if sense is None else Limit(SENSE_GRANT_W[sense, version])


def granted_a(mated: str) -> Limit | None:
    """Amperes on each rail that a standard grants one socket; None where it grants none, or watts
    instead."""
    row = CONNECTORS[mated]
    return Limit(row.grant_rail_a) if row.grant_w is None and row.grant_rail_a else None


def code_w(adapter: Adapter, plug: Plug, leads: int, version: SocketVersion) -> float | None:
    """Watts that a 16-pin plug of an adapter asks for with so many `leads` plugged in: nothing with
    fewer than its least, the card does not start. None where nobody says."""
    if adapter.codes:
        return float(max((c.watts for c in adapter.codes if c.leads <= leads), default=0))
    return None if plug.sense is None else SENSE_GRANT_W[plug.sense, version]


def coded_w(adapter: Adapter, plug: Plug, leads: int, version: SocketVersion) -> Limit:
    """Watts that a 16-pin plug of an adapter may give: its code, at the most what leads bring."""
    code = code_w(adapter, plug, leads, version)
    return UNKNOWN if code is None else Limit(min(code, LEAD_W * leads))


# -- contacts ------------------------------------------------------------------------------


class Contact(NamedTuple):
    """A contact of one connector: amperes [A] before heat, None where nobody knows; what heat
    leaves of them; how much more than its part the most loaded carries."""

    rated_a: float | None
    heat: float
    uneven: float
    at_start: float

    def limit(self, pins: int) -> Limit:
        """What holds a line that so many of them share. Where none is there to carry a load it is
        over its rating of zero, however small the load."""
        if not pins:
            return Limit(0.0, 1.0, self.at_start)
        rated = None if self.rated_a is None else self.rated_a * self.heat
        return Limit(rated, self.uneven / pins, self.at_start)


def _contact(kind: str, a: float | None, carrier: Carrier, assume: Assumptions) -> Contact:
    own = carrier.insulation_degc
    heat = derating(
        assume.room_degc + assume.plug_air_rise_degc, assume.insulation_degc if own is None else own
    )
    uneven = assume.worst_pin_16pin if kind in CONNECTORS and is_coded(kind) else 1.0
    return Contact(a, heat, uneven, assume.start_factor)


def plug_contact(plug: Plug, mated: str, carrier: Carrier, assume: Assumptions) -> Contact:
    """A contact of a plug: as its maker states it, else by housing, gauge and grade."""
    a = plug.contact_a
    if a is None:
        a = contact_limit_a(mated, CONNECTORS[mated].circuits, carrier.gauge, plug.grade)
    return _contact(mated, a, carrier, assume)


def supply_end_contact(cable: Cable, assume: Assumptions) -> Contact | None:
    """A contact of the supply end of a modular cable; None where it is built in."""
    if not cable.needs:
        return None
    end, kind = cable.supply_end, supply_end_kind(cable)
    a = contact_limit_a(kind, end.circuits, cable.gauge, end.grade)
    return _contact(kind, a, cable, assume)


def supply_end_kind(cable: Cable) -> Literal["16pin", "port"]:
    """What the supply end's contacts are like."""
    return "16pin" if cable.needs == ("16pin",) else "port"


def port_contact(port: Port, cable: Cable, assume: Assumptions) -> Contact:
    """A contact of one port, with the terminals of the cable that is in it."""
    kind = "16pin" if port.kind == "16pin" else "port"
    a = contact_limit_a(kind, port.circuits, cable.gauge, cable.supply_end.grade)
    return _contact(kind, a, cable, assume)


def port_pins_12v(port: Port, ports: tuple[Port, ...], cable: Cable) -> int:
    """12 V pins that are wired on both sides of one of the `ports` that a cable is in."""
    wired = cable.supply_end.pins.v12 if len(ports) == 1 else port.pins_12v
    return min(port.pins_12v, wired)


def port_shares(ports: Sequence[Port]) -> list[float]:
    """How several ports share what a cable carries: by their 12 V pins; evenly where none has any,
    so that nothing vanishes."""
    pins = [p.pins_12v for p in ports]
    whole = sum(pins)
    return [n / whole if whole else 1 / len(pins) for n in pins]


def lead_contact(kind: str, between: Between, assume: Assumptions) -> Contact | None:
    """A contact of a lead of something in between: by its gauge, standard grade. None of a 16-pin
    lead without one: it is judged by the plug in it."""
    a = contact_limit_a(kind, CONNECTORS[kind].circuits, between.gauge, "standard")
    return None if is_coded(kind) and a is None else _contact(kind, a, between, assume)


# -- wires ---------------------------------------------------------------------------------


def conductor(carrier: Carrier, line: Line, assume: Assumptions) -> Limit:
    """Amperes that the wires of one line of a stretch carry."""
    if carrier.conductors is None:
        return Limit(None, 1.0, assume.start_factor)
    gauge, n = carrier.gauge, carrier.conductors.of(line)
    if not n:
        return Limit(0.0, 1.0, assume.start_factor)
    rated = None if gauge is None else float(getattr(assume, f"wire_{gauge}awg_a"))
    return Limit(rated, 1 / n, assume.start_factor)


def wire_ohm(carrier: Carrier, length_mm: float, line: str) -> float | None:
    """Ω of one line over a stretch of wire, parallel conductors divided; None where nobody
    knows."""
    n = 0 if carrier.conductors is None else carrier.conductors.of(line)
    if carrier.gauge is None or n == 0:
        return None
    return WIRE_MOHM_PER_M[carrier.gauge] * length_mm / 1000 / n / 1000


def contacts_ohm(pins: int, assume: Assumptions) -> float | None:
    """Ω of the contacts that one line goes through; None where it has none there."""
    return assume.contact_mohm / pins / 1000 if pins else None


def lost_more(
    lost: tuple[float, ...] | None, amps: tuple[float, ...], ohm: float | None
) -> tuple[float, ...] | None:
    """Volts [V] lost so far and what `amps` lose more, state by state; None where a figure is
    missing on the way."""
    if lost is None or ohm is None:
        return None
    return tuple([v + a * ohm for v, a in zip(lost, amps)])  # noqa: B905 - thousands of times


def drop_v(rail: Rail) -> Limit:
    """Volts of a rail that may be lost on the way, out and back."""
    return Limit(DROP_OVER * RAIL_V[rail])


# -- groups, house rules, reach ------------------------------------------------------------


def over_current(limit_a: float | None) -> Limit:
    """Amperes at 12 V of a group of ports."""
    return Limit(limit_a)


def chained(rule: str, plugs: int, raised: bool) -> tuple[Literal["W", "plugs"], Limit] | None:
    """What a house rule lets two and more graphics plugs of one cable carry, in watts or plugs;
    None where it says nothing. `raised`: one feeds a card above its maker's power limit."""
    if rule == "as delivered":
        rule = "never" if raised else "by pins"
    if plugs < 2 or rule == "by pins":
        return None
    return ("plugs", Limit(1.0)) if rule == "never" else ("W", Limit(BY_PLUG_W))


def way_mm(route_mm: float) -> float:
    """How far a plug has to reach to a place at the end of a route, with slack."""
    return route_mm + SLACK_MM


def reached(at_mm: float) -> Limit:
    """How far a plug reaches that hangs so far along its cable."""
    return Limit(at_mm)


def spanned(near: tuple[float, float], far: tuple[float, float]) -> tuple[float, Limit]:
    """The way [mm] between two plugs of a chain, at the least what their routes differ by, and the
    wire between them; of each: how far along it hangs, and its route [mm]."""
    (near_mm, near_route), (far_mm, far_route) = sorted((near, far))
    return abs(far_route - near_route), Limit(far_mm - near_mm)
