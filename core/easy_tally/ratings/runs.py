"""The checker: every run of a map, held against everything that limits it.

It judges by the limits that the solver too judges by (`limits.py`). `MAP_CHECKS` names every check
once: what is not built yet too.
"""

from __future__ import annotations

from bisect import insort
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from typing import NamedTuple, TypeVar

from ..base.rounding import percent
from ..base.series import NO_SERIES, Series, add
from ..base.units import GROUND, RAIL_V, Line, Window
from ..standards.connectors import CONNECTORS, is_coded
from ..tally.demand import Carried, demands
from ..tally.loads import Load
from ..tally.spikes import spiking_loads
from ..things.assumed.assumptions import Assumptions
from ..things.cables import Cable
from ..things.parts import Card, Drive
from ..things.rules import HouseRules
from ..things.supply import Port
from ..wiring import Feed, Wired, WiredRun, never_allowed, nobody_says
from . import onward
from .elements import (
    Element,
    drop,
    grants,
    group,
    group_spike,
    house_rule,
    not_worked_out,
    plug_pins,
    port_pins,
    supply_end_pins,
    wires,
)
from .flows import CarriedRun, Flow, Flows, Live, carried_runs, group_flows
from .limits import contacts_ohm, lost_more, wire_ohm
from .onward import Onward, lead_stretches, onwards
from .places import Place
from .profile import Step, profile
from .reach import Ways, reaches, ways_of
from .verdicts import VERDICTS, Verdict, rank

_T = TypeVar("_T")


@dataclass(frozen=True, slots=True, kw_only=True)
class RunResult:
    """One run judged: its elements, worst first, its profile and its plugs.

    `safety` is connector capability ÷ grant, by plug, for graphics plugs. `unlimited` are the port
    groups it is in whose limit is not known: a note, since few makers state it.
    """

    carried: CarriedRun
    verdict: Verdict
    elements: tuple[Element, ...]
    safety: dict[str, float]
    unlimited: tuple[str, ...]
    #: Plugs of adapters, extensions and backplanes on its way.
    beyond: tuple[Onward, ...] = ()
    at_once: int | None = None

    @property
    def wired(self) -> WiredRun:
        """The run itself."""
        return self.carried.wired

    @property
    def steps(self) -> tuple[Step, ...]:
        """Its current profile."""
        stretches = tuple(lead_stretches(self.beyond, self.at_once))
        return tuple(profile(self.carried, self.elements, stretches))

    @property
    def ports(self) -> tuple[Port, ...]:
        """The ports it is in."""
        return self.wired.ports

    @property
    def governing(self) -> Element | None:
        """The element with the worst verdict, then the highest share."""
        return self.elements[0] if self.elements else None

    @property
    def percent(self) -> int | None:
        """The governing share in whole percents."""
        return percent(self.elements[0].judged.share) if self.elements else 0


class Told(NamedTuple):
    """What is told of a run from outside it: how many disks spin up at once, why it is never
    allowed, and why it may be."""

    at_once: int | None
    never: tuple[str, ...]
    unsaid: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Ground:
    """What a check of a run stands on."""

    run: CarriedRun
    told: Told
    assume: Assumptions
    rules: HouseRules
    #: The ways to what it feeds; None without a case.
    ways: Ways | None
    #: Plugs of adapters, extensions and backplanes on its way.
    beyond: tuple[Onward, ...] = ()


class GroupFlows(NamedTuple):
    """A group of ports that a run is in: its limit [A], what it carries, and what it does in the
    spikes of 10 and 100 ms."""

    key: str
    limit_a: float | None
    flow: Flow
    spikes: Mapping[Window, Flow]


@dataclass(frozen=True, slots=True, kw_only=True)
class MapCheck:
    """A check of a run: how it is called, and what it finds; None: not built yet."""

    id: str
    words: str
    find: Callable[[Ground], Iterator[Element]] | None = None
    #: What it finds in a group of ports that a run is in, and so of the other runs in it.
    in_group: Callable[[GroupFlows], Iterator[Element]] | None = None


#: Windows in which a group's over-current limit may trip. Source: model, section 4.
_SLOW: tuple[Window, ...] = ("10", "100")


def carried_in_spikes(
    wired: Wired, loads: tuple[Load, ...], carried: Carried
) -> dict[Window, Carried]:
    """What inputs carry in slow spikes; nothing where no group has a limit to hold it against.
    `carried` is what they do without."""
    supply = wired.build.supply
    limited = supply is not None and any(g.limit_a is not None for g in supply.groups)
    if not limited or not wired.runs:
        return {}
    return {w: demands(wired, spiking_loads(wired, loads, w), carried) for w in _SLOW}


def check_runs(
    wired: Wired, carried: Carried, spiking: Mapping[Window, Carried]
) -> tuple[RunResult, ...]:
    """Judge every run of a build with what its inputs carry, in the order of its runs; `spiking` is
    what they carry in a spike, by window (`carried_in_spikes`)."""
    flows = Flows(wired)
    runs = carried_runs(flows, carried)
    groups = group_flows(wired, runs)
    spikes = {}
    for w, carried_loads in spiking.items():
        spiking_runs = carried_runs(flows, carried_loads, runs)
        spikes[w] = group_flows(wired, spiking_runs, (runs, groups))
    return tuple([_judged(flows, r, carried, groups, spikes) for r in runs])


def _judged(
    flows_of: Flows,
    run: CarriedRun,
    carried: Carried,
    groups: Mapping[str, Flow],
    spikes: Mapping[Window, Mapping[str, Flow]],
) -> RunResult:
    """A run judged; the very same as before where nothing that it follows from is another."""
    wired = flows_of.wired
    build, kept = wired.build, wired.memory.of
    beyond = tuple(onwards(flows_of, run, carried)) if wired.betweens else ()
    told = Told(
        build.spin_up_at_once, never_allowed(wired, run.wired), nobody_says(wired, run.wired)
    )
    things = (run, build.assumptions, build.house_rules, *beyond)
    alone = kept(_judged_alone, things, (told, ways_of(build.case, run, beyond)))
    own = _groups_of(run)
    if not own:
        return alone
    limits = tuple([_limit_a(wired, k) for k in own])
    flows = [flows_by_key[k] for k in own for flows_by_key in (groups, *spikes.values())]
    return kept(_judged_in_groups, (alone, *flows), (tuple(own), limits, tuple(spikes)))


def _judged_alone(
    told: Told,
    ways: Ways | None,
    run: CarriedRun,
    assume: Assumptions,
    rules: HouseRules,
    *beyond: Onward,
) -> RunResult:
    ground = Ground(run=run, told=told, assume=assume, rules=rules, ways=ways, beyond=beyond)
    elements = in_order(e for c in MAP_CHECKS if c.find for e in _find(c.words, c.find, ground))
    return RunResult(
        carried=run,
        verdict=elements[0].judged.verdict if elements else "within",
        elements=tuple(elements),
        safety={x.feed.plug.key: s for x in run.lives if (s := _safety(elements, x)) is not None},
        unlimited=(),
        beyond=beyond,
        at_once=told.at_once,
    )


def _judged_in_groups(
    keys: tuple[str, ...],
    limits: tuple[float | None, ...],
    windows: tuple[Window, ...],
    alone: RunResult,
    *flows: Flow,
) -> RunResult:
    """`flows`: of each group in turn, what it carries, and what it does in each of the windows."""
    each, elements = 1 + len(windows), list(alone.elements)
    if alone.wired.feeds:
        for i, (key, limit_a) in enumerate(zip(keys, limits, strict=True)):
            whole, *spiking = flows[i * each : (i + 1) * each]
            group = GroupFlows(key, limit_a, whole, dict(zip(windows, spiking, strict=True)))
            for c in MAP_CHECKS:
                for e in _find(c.words, c.in_group, group) if c.in_group else ():
                    insort(elements, e, key=_order)
    return replace(
        alone,
        verdict=elements[0].judged.verdict if elements else "within",
        elements=tuple(elements),
        unlimited=tuple(k for k, a in zip(keys, limits, strict=True) if a is None),
    )


def in_order(elements: Iterable[Element]) -> list[Element]:
    """Elements of a run, the one that governs first."""
    return sorted(elements, key=_order)


def _order(e: Element) -> tuple[int, bool, float]:
    """Worst first. A reach that does is no share of anything that wears or heats: behind."""
    worst, share = rank(e.judged.verdict, e.judged.share)
    return worst, worst == _LAST and e.kind == "reach", share


_LAST = len(VERDICTS) - 1


def _find(words: str, find: Callable[[_T], Iterator[Element]], ground: _T) -> list[Element]:
    try:
        return list(find(ground))
    except Exception:  # noqa: BLE001 - a check that breaks down is unknown, whatever broke
        return [not_worked_out(words)]


# -- the checks ----------------------------------------------------------------------------


def _grants(g: Ground) -> Iterator[Element]:
    rule = g.rules.plug_grant
    for live in g.run.lives:
        f = live.feed
        # What its sense contacts say goes on to the card's own socket, and is judged there.
        if f.input.between is None or not is_coded(f.mated):
            yield from grants(f.plug, f.mated, f.input.socket, live.flow, rule)
    yield from onward.grants_of(g.beyond, rule)


def _plug_pins(g: Ground) -> Iterator[Element]:
    for live in g.run.lives:
        f = live.feed
        yield from plug_pins(f.plug, f.mated, f.pins, f.cable, live.flow, g.assume)
    yield from onward.plug_pins_of(g.beyond, g.assume)


def _lead_pins(g: Ground) -> Iterator[Element]:
    yield from onward.lead_pins_of(g.assume, g.run, g.beyond)


def _forbidden(g: Ground) -> Iterator[Element]:
    yield from onward.forbidden_of(g.told.never, g.told.unsaid)


def _reach(g: Ground) -> Iterator[Element]:
    yield from reaches(g.ways, g.run, g.beyond)


def _group_spikes(g: GroupFlows) -> Iterator[Element]:
    for window, flow in g.spikes.items():
        if g.limit_a is not None:
            yield group_spike(g.key, window, g.limit_a, flow)


def _supply_end_pins(g: Ground) -> Iterator[Element]:
    yield from supply_end_pins(g.run.wired.cable, g.run.whole, g.assume)


def _port_pins(g: Ground) -> Iterator[Element]:
    run, assume = g.run, g.assume
    yield from port_pins(run.wired.cable, run.wired.ports, run.port_shares(), run.whole, assume)


def _wires(g: Ground) -> Iterator[Element]:
    cable, assume = g.run.wired.cable, g.assume
    for stretch, flow in g.run.stretches:
        yield from wires(cable, stretch.from_mm, stretch.to_mm, flow, assume)
    yield from onward.wires_of(assume, g.told.at_once, g.beyond)


def _drops(g: Ground) -> Iterator[Element]:
    """Volts lost at each plug on each rail it uses: contacts and wire, out and back. They are no
    better known than every current on the way, that of ground too."""
    run, assume = g.run, g.assume
    lines = {line for x in run.lives for line, _, _ in x.flow.lines()} | {GROUND}
    wire = {line: _lost_on_wire(run, assume, line) for line in lines}
    ends = {stretch.to_mm: i for i, (stretch, _) in enumerate(run.stretches)}
    for live in run.lives:
        at = ends[live.feed.plug.mm]
        back = _lost_at(live, wire[GROUND][at], assume, GROUND)
        for line, _, _ in live.flow.lines():
            if line == "ground":
                continue
            out = _lost_at(live, wire[line][at], assume, line)
            missing = GROUND in run.whole.missing
            yield drop(live.feed.plug, line, add(out, back) if out and back else None, missing)
    if g.beyond:
        roots, missing = _roots(run, wire, ends, assume), GROUND in run.whole.missing
        yield from onward.drops_of(assume, g.told.at_once, g.beyond, roots, missing)


def _roots(
    run: CarriedRun,
    wire: dict[Line, list[Series | None]],
    ends: dict[float, int],
    assume: Assumptions,
) -> dict[str, onward.Lost]:
    """Volts lost by line up to behind each plug of the cable."""
    return {
        live.feed.plug.key: {
            line: _lost_at(live, wire[line][ends[live.feed.plug.mm]], assume, line)
            for line, _, _ in live.flow.lines()
        }
        for live in run.lives
    }


def _groups(g: GroupFlows) -> Iterator[Element]:
    if g.limit_a is not None:
        yield group(g.key, g.limit_a, g.flow)


def _house_rule(g: Ground) -> Iterator[Element]:
    chained = sum(CONNECTORS[x.feed.mated].chains for x in g.run.lives)
    rule = g.rules.chained_graphics
    raised = any(
        isinstance(p := x.feed.input.part, Card) and p.power_limit > 1 for x in g.run.lives
    )
    whole = g.run.whole
    element = house_rule(rule, chained, raised, whole.watts(), "v12" in whole.missing)
    if element is not None:
        yield element


#: Every check of a map. One that is not built yet is listed wherever a map's verdict is shown.
MAP_CHECKS: tuple[MapCheck, ...] = (
    MapCheck(id="grant", words="grants of the standards", find=_grants),
    MapCheck(id="plug-pins", words="pins of the plugs", find=_plug_pins),
    MapCheck(id="supply-end-pins", words="pins of the supply end", find=_supply_end_pins),
    MapCheck(id="port-pins", words="pins of the ports", find=_port_pins),
    MapCheck(id="wire", words="wires", find=_wires),
    MapCheck(id="drop", words="volts lost", find=_drops),
    MapCheck(id="group", words="port groups", in_group=_groups),
    MapCheck(id="house-rule", words="house rule for chained plugs", find=_house_rule),
    MapCheck(id="lead-pins", words="leads of adapters and extensions", find=_lead_pins),
    MapCheck(id="forbidden", words="what is never allowed", find=_forbidden),
    MapCheck(id="reach", words="reach along the routes", find=_reach),
    MapCheck(id="group-spike", words="spikes against port groups", in_group=_group_spikes),
)


# -- what they stand on --------------------------------------------------------------------


def _groups_of(run: CarriedRun) -> dict[str, None]:
    """Port groups that a run is in, in the order of its ports."""
    return dict.fromkeys(p.group for p in run.wired.ports if p.group is not None)


def _limit_a(wired: Wired, key: str) -> float | None:
    groups = wired.build.supply.groups if wired.build.supply else ()
    return next((g.limit_a for g in groups if g.key == key), None)


def _lost_on_wire(run: CarriedRun, assume: Assumptions, line: Line) -> list[Series | None]:
    """Volts [V] lost on one line (rail or ground) from the supply to the end of each stretch,
    the supply-end contacts included; None from where a figure is missing."""
    cable = run.wired.cable
    lost: Series | None = NO_SERIES
    if cable.needs:
        lost = lost_more(
            lost, run.whole.of(line), contacts_ohm(cable.supply_end.pins.of(line), assume)
        )
    losses: list[Series | None] = []
    for stretch, flow in run.stretches:
        ohm = wire_ohm(cable, stretch.to_mm - stretch.from_mm, line)
        lost = lost_more(lost, flow.of(line), ohm)
        losses.append(lost)
    return losses


def _lost_at(live: Live, wire: Series | None, assume: Assumptions, line: Line) -> Series | None:
    """Volts [V] lost on one line up to behind a plug's own contacts."""
    ohm = contacts_ohm(live.feed.pins.get(line, 0), assume)
    return lost_more(wire, live.flow.of(line), ohm)


def kept_off(feed: Feed) -> bool:
    """Whether a drive stays off where it is: pin 3 disables its power while it carries 3.3 V.

    Source: Serial ATA specification, power disable.
    """
    part = feed.input.part
    if (
        not isinstance(part, Drive)
        or not part.power_disable
        or not CONNECTORS[feed.mated].keeps_off
    ):
        return False
    if isinstance(feed.cable, Cable):
        return feed.cable.conductors.v3v3 > 0
    own = feed.cable.conductors
    return own is None or own.v3v3 > 0


def _safety(elements: list[Element], live: Live) -> float | None:
    """Connector capability ÷ grant of one graphics plug: pins × amperes a pin × 12 V ÷ watts."""
    key = Place(live.feed.plug.key)
    grant = next((e for e in elements if e.kind == "grant" and e.at == key), None)
    pins = next(
        (e for e in elements if e.kind == "plug pins" and e.at == key and e.line == "v12"), None
    )
    if grant is None or pins is None or grant.unit != "W" or "contact_a" not in pins.terms:
        return None
    if not grant.judged.limit:
        return None
    return pins.terms["pins"] * pins.terms["contact_a"] * RAIL_V["v12"] / grant.judged.limit
