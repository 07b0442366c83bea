"""One function for each thing that limits a run. Source of each limit stands in its element."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import reduce
from typing import Literal, NamedTuple

from ..assumptions import Assumptions
from ..demand import RUN_RAILS
from ..parts import Socket
from ..quantities import NO_SERIES, RAIL_V, Rail, Series, add, scale
from ..standards.connectors import CONNECTORS, PINS, SENSE_GRANT_W
from ..standards.contacts import contact_limit_a, derating
from ..standards.wires import DROP_OVER, DROP_WITHIN, WIRE_MOHM_PER_M
from ..supply import Cable, Plug, Port, Supply
from .verdicts import WITHIN_GRANT, WITHIN_RATING, Judgement, judge

ElementKind = Literal[
    "grant", "plug pins", "supply-end pins", "port pins", "wire", "drop", "group", "house rule"
]
Line = Literal["v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5", "ground"]
LINES: tuple[Line, ...] = ("v12", "v5", "v3v3", "v5sb", "ground")
GROUND: Line = "ground"


_NO_TERMS: Mapping[str, float] = {}


class Element(NamedTuple):
    """One limit on a run: what, on which rail (or ground), where, judged, in which unit.

    `at` is the plug or port it belongs to; `from_mm`/`to_mm` a stretch of wire. `terms` are
    the numbers of its formula; `source` says whose figure the limit is. `refused` marks a
    breach of a house rule that may stand in a draft.
    """

    kind: ElementKind
    line: Line
    at: str
    judged: Judgement
    unit: Literal["A", "W", "V", "plugs"]
    source: str
    terms: Mapping[str, float] = _NO_TERMS
    from_mm: float = 0.0
    to_mm: float = 0.0
    refused: bool = False


@dataclass(slots=True)
class Flow:
    """Amperes [A] per rail in the four run states, ground with the sum of them; rails with a
    missing figure."""

    amps: dict[Rail, Series] = field(default_factory=dict)
    missing: set[Line] = field(default_factory=set)
    #: Without surges, and each plug's own surge: what `together` starts from.
    base: dict[Rail, Series] = field(default_factory=dict)
    surges: list[dict[Rail, Series]] = field(default_factory=list)
    #: What `lines` gave and what ground carries, until something is added: both are asked for
    #: once for every kind of limit.
    _lines: list[tuple[Line, Series, bool]] | None = None
    _ground: Series | None = None

    def add(self, amps: Mapping[Rail, Series], missing: Iterable[Rail]) -> None:
        """Add what one plug carries."""
        self._lines = self._ground = None
        for rail, series in amps.items():
            old = self.amps.get(rail)
            self.amps[rail] = series if old is None else add(old, series)
        for rail in missing:
            self.missing |= {rail, GROUND}

    def of(self, line: Line) -> Series:
        """Amperes on a rail, or on ground: the sum over the rails."""
        if line != "ground":
            return self.amps.get(line, NO_SERIES)
        if self._ground is None:
            rails = list(self.amps.values())
            self._ground = reduce(add, rails) if rails else NO_SERIES
        return self._ground

    def lines(self) -> list[tuple[Line, Series, bool]]:
        """Every line that carries something, or whose load is missing."""
        if self._lines is None:
            amps, missing = self.amps, self.missing
            every: list[tuple[Line, Series, bool]] = [
                (rail, amps.get(rail, NO_SERIES), rail in missing)
                for rail in RUN_RAILS
                if rail in amps or rail in missing
            ]
            every.append((GROUND, self.of(GROUND), GROUND in missing))
            self._lines = [x for x in every if x[2] or any(x[1])]
        return self._lines

    def watts(self, rail: Rail = "v12") -> Series:
        """Watts [W] on one rail."""
        return scale(self.amps.get(rail, NO_SERIES), RAIL_V[rail])


def together(flows: Iterable[Flow], at_once: int | None = None) -> Flow:
    """Flows of several plugs on one set of wires.

    Staggered, at most `at_once` of them spin up together; which ones is the controller's choice,
    so those with the largest surges are taken.
    """
    whole = Flow()
    for flow in flows:
        whole.add(flow.base, [r for r in RUN_RAILS if r in flow.missing])
        whole.surges += flow.surges
    whole.surges.sort(key=lambda s: -sum(x[10] * RAIL_V[r] for r, x in s.items()))
    whole.base = dict(whole.amps)
    for surge in whole.surges[:at_once]:
        whole.add(surge, ())
    return whole


# -- what a standard grants ----------------------------------------------------------------


def grants(plug: Plug, mated: str, socket: Socket, flow: Flow) -> Iterator[Element]:
    """What the standard grants one socket: watts at 12 V, or amperes a rail."""
    row = CONNECTORS[mated]
    if mated == "16pin":
        limit = None if plug.sense is None else SENSE_GRANT_W[(plug.sense, socket.version)]
        source = f"{row.source}, sense contacts, {socket.version} version of the socket"
    elif row.grant_w is not None:
        limit, source = row.grant_w, row.source
    else:
        if row.grant_rail_a is not None:
            for line, loads, missing in flow.lines():
                if line != "ground":
                    judged = judge(loads, row.grant_rail_a, WITHIN_GRANT, missing=missing)
                    yield Element("grant", line, plug.key, judged, "A", row.source)
        return
    judged = judge(flow.watts(), limit, WITHIN_GRANT, missing="v12" in flow.missing)
    yield Element("grant", "v12", plug.key, judged, "W", source)


# -- contacts ------------------------------------------------------------------------------


def _heat(cable: Cable, assume: Assumptions) -> float:
    insulation = assume.insulation_degc if cable.insulation_degc is None else cable.insulation_degc
    return derating(assume.room_degc + assume.plug_air_rise_degc, insulation)


def _contacts(
    kind: ElementKind,
    at: str,
    flow: Flow,
    count: dict[str, int],
    contact_a: float | None,
    heat: float,
    assume: Assumptions,
    uneven: float,
    source: str,
    only: tuple[Line, ...] = LINES,
) -> Iterator[Element]:
    rating = None if contact_a is None else contact_a * heat
    for line, loads, missing in flow.lines():
        if line not in only:
            continue
        n = count.get(line, 0)
        # Nothing there to carry a load is over its rating of zero, however small the load.
        each, limit = (uneven / n, rating) if n else (1.0, 0.0)
        judged = judge(loads, limit, WITHIN_RATING, assume.start_factor, missing, each=each)
        terms = {"pins": float(n), "uneven": uneven, "derating": heat}
        if contact_a is not None:
            terms["contact_a"] = contact_a
        yield Element(kind, line, at, judged, "A", source, terms)


def plug_pins(
    plug: Plug, mated: str, socket: Socket, cable: Cable, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a pin of a plug against its contact."""
    row, count = CONNECTORS[mated], mated_pins(plug, mated, socket)
    contact = plug.contact_a or contact_limit_a(mated, row.circuits, cable.gauge, plug.grade)
    source = "maker's data" if plug.contact_a else _contact_source(mated, row.circuits)
    uneven = assume.worst_pin_16pin if mated == "16pin" else 1.0
    yield from _contacts(
        "plug pins", plug.key, flow, count, contact, _heat(cable, assume), assume, uneven, source
    )


def mated_pins(plug: Plug, mated: str, socket: Socket) -> dict[str, int]:
    """Pins by line of a plug in its socket; at 12 V those that are wired on both sides."""
    wired = [n for n in (plug.pins_12v, socket.pins_12v) if n is not None]
    if not wired:
        return PINS[mated]
    return PINS[mated] | {"v12": min(PINS[mated]["v12"], *wired)}


def _contact_source(mated: str, circuits: int) -> str:
    if mated in ("sata", "16pin"):
        return CONNECTORS[mated].source
    return f"terminal makers' data, {circuits} circuits"


def supply_end_pins(cable: Cable, flow: Flow, assume: Assumptions) -> Iterator[Element]:
    """Amperes a pin at the supply end of a modular cable, all its plugs there together."""
    if not cable.needs:
        return
    end = cable.supply_end
    count: dict[str, int] = {line: end.pins.of(line) for line in LINES}
    kind = "16pin" if cable.needs == ("16pin",) else "port"
    contact = contact_limit_a(kind, end.circuits, cable.gauge, end.grade)
    uneven = assume.worst_pin_16pin if kind == "16pin" else 1.0
    source = _contact_source(kind, end.circuits)
    yield from _contacts(
        "supply-end pins", "", flow, count, contact, _heat(cable, assume), assume, uneven, source
    )


def port_pins(
    cable: Cable, ports: list[Port], flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a 12 V pin of each port; two ports share the run by their 12 V pins."""
    whole = sum(p.pins_12v for p in ports)
    loads, missing = flow.of("v12"), "v12" in flow.missing
    if not whole or not (missing or any(loads)):
        return
    for port in ports:
        wired = cable.supply_end.pins.v12 if len(ports) == 1 else port.pins_12v
        pins = min(port.pins_12v, wired)
        if not pins:
            continue
        kind = "16pin" if port.kind == "16pin" else "port"
        part = Flow({"v12": scale(loads, port.pins_12v / whole)}, {"v12"} if missing else set())
        contact = contact_limit_a(kind, port.circuits, cable.gauge, cable.supply_end.grade)
        uneven = assume.worst_pin_16pin if kind == "16pin" else 1.0
        yield from _contacts(
            "port pins", port.key, part, {"v12": pins}, contact,
            _heat(cable, assume), assume, uneven, _contact_source(kind, port.circuits), ("v12",),
        )  # fmt: skip


# -- wires ---------------------------------------------------------------------------------


def wires(
    cable: Cable, from_mm: float, to_mm: float, flow: Flow, assume: Assumptions
) -> Iterator[Element]:
    """Amperes a conductor on one stretch of a cable."""
    each_a = None if cable.gauge is None else float(getattr(assume, f"wire_{cable.gauge}awg_a"))
    for line, loads, missing in flow.lines():
        n = cable.conductors.of(line)
        each, limit = (1 / n, each_a) if n else (1.0, 0.0)
        judged = judge(loads, limit, WITHIN_RATING, assume.start_factor, missing, each=each)
        terms = {"conductors": float(n)}
        yield Element(
            "wire", line, "", judged, "A", "assumption: amperes a conductor in a bundle",
            terms, from_mm, to_mm,
        )  # fmt: skip


def path_mohm(cable: Cable, length_mm: float, line: str) -> float | None:
    """mΩ of one line over a stretch of wire, parallel conductors divided; None if not known."""
    n = cable.conductors.of(line)
    if cable.gauge is None or n == 0:
        return None
    return WIRE_MOHM_PER_M[cable.gauge] * length_mm / 1000 / n


def drop(plug: Plug, rail: Rail, lost_v: Series | None, missing: bool) -> Element:
    """Volts lost on the way to one plug, out and back, against 5 % of the rail."""
    limit = DROP_OVER * RAIL_V[rail]
    judged = judge(
        lost_v or NO_SERIES, limit if lost_v else None, DROP_WITHIN / DROP_OVER, missing=missing
    )
    return Element(
        "drop", rail, plug.key, judged, "V", "ATX design guide: ±5 %", {"volts": RAIL_V[rail]}
    )


# -- group and house rule ------------------------------------------------------------------


def group(key: str, supply: Supply, loads: Series, missing: bool) -> Element:
    """Amperes at 12 V of a port group against its over-current limit."""
    limit = next(g.limit_a for g in supply.groups if g.key == key)
    judged = judge(loads, limit, WITHIN_RATING, missing=missing)
    return Element("group", "v12", key, judged, "A", "maker's data: over-current limit")


#: What one plug of a chained cable delivers. Source: PCI Express CEM, 8-pin graphics.
BY_PLUG_W = 150.0


def house_rule(rule: str, plugs: int, watts: Series, missing: bool) -> Element | None:
    """The house rule for a graphics cable of which two or more plugs are used; None for fewer."""
    if plugs < 2 or rule == "by pins":
        return None
    if rule == "never":
        n = float(plugs)
        judged = judge((n,) * 12, 1.0, WITHIN_GRANT)
        return Element(
            "house rule", "v12", "", judged, "plugs", "house rule: never both plugs", refused=True
        )
    judged = judge(watts, BY_PLUG_W, WITHIN_GRANT, missing=missing)
    return Element(
        "house rule", "v12", "", judged, "W", "house rule: one plug's worth a cable",
        refused=judged.verdict == "over",
    )  # fmt: skip
