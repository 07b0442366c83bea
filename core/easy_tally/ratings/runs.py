"""The checker: every run of a map, held against everything that limits it.

It judges by the limits that the solver too judges by (`limits.py`). `MAP_CHECKS` names every check
once: what is not built yet too.
"""

from __future__ import annotations

from bisect import insort
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, field, replace
from functools import partial

from ..base.reuse import Reuse
from ..base.rounding import percent
from ..base.series import NO_SERIES, Series, add
from ..base.units import GROUND, RAIL_V, Line, Window
from ..tally.demand import Carried, demands
from ..tally.loads import Load
from ..tally.spikes import spiking_loads
from ..things.assumptions import Assumptions
from ..things.cables import Cable
from ..things.parts import Card, Drive
from ..things.supply import Port
from ..wiring import Feed, Wired, WiredRun
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
from .flows import CarriedRun, Flow, Live, carried_runs, group_flows
from .limits import contacts_ohm, lost_more, wire_ohm
from .onward import Onward, lead_stretches, onwards
from .profile import Step, profile
from .reach import reaches
from .verdicts import Verdict, rank


@dataclass(frozen=True, slots=True, kw_only=True)
class RunResult:
    """One run judged: its elements, worst first, its profile and its plugs.

    `safety` is connector capability ÷ grant, by plug, for graphics plugs. `unlimited` are the port
    groups it is in whose limit is not known: a note, since few makers state it.
    """

    wired: WiredRun
    verdict: Verdict
    elements: tuple[Element, ...]
    steps: tuple[Step, ...]
    safety: dict[str, float]
    unlimited: tuple[str, ...]
    #: Plugs of adapters, extensions and backplanes on its way.
    beyond: tuple[Onward, ...] = ()

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


@dataclass(frozen=True, slots=True, kw_only=True)
class Ground:
    """What a check of a run stands on."""

    wired: Wired
    run: CarriedRun
    #: What each group of ports carries; empty where a run is judged by itself.
    groups: Mapping[str, Flow] = field(default_factory=dict)
    #: Plugs of adapters, extensions and backplanes on its way.
    beyond: tuple[Onward, ...] = ()
    #: What each group carries in the spikes of 10 and 100 ms.
    spikes: Mapping[Window, Mapping[str, Flow]] = field(default_factory=dict)


@dataclass(frozen=True, slots=True, kw_only=True)
class MapCheck:
    """A check of a run: how it is called, and what it finds; None: not built yet."""

    id: str
    words: str
    find: Callable[[Ground], Iterator[Element]] | None
    #: Whether it looks at the groups of ports, and so at the other runs in them.
    of_groups: bool = False


#: Windows in which a group's over-current limit may trip. Source: model, section 4.
_SLOW: tuple[Window, ...] = ("10", "100")


def carried_in_spikes(wired: Wired, loads: tuple[Load, ...]) -> dict[Window, Carried]:
    """What inputs carry in slow spikes; nothing where no group has a limit to hold it against."""
    supply = wired.build.supply
    limited = supply is not None and any(g.limit_a is not None for g in supply.groups)
    if not limited or not wired.runs:
        return {}
    return {w: demands(wired, spiking_loads(wired, loads, w)) for w in _SLOW}


def check_runs(
    wired: Wired, carried: Carried, spiking: Mapping[Window, Carried]
) -> tuple[RunResult, ...]:
    """Judge every run of a build with what its inputs carry, in the order of its runs; `spiking` is
    what they carry in a spike, by window (`carried_in_spikes`)."""
    for kept in (_ALONE, _IN_GROUPS):
        kept.room(len(wired.runs))
    runs = carried_runs(wired, carried)
    groups = group_flows(wired, runs)
    spikes = {w: group_flows(wired, carried_runs(wired, of)) for w, of in spiking.items()}
    return tuple([_judged(wired, r, carried, groups, spikes) for r in runs])


#: Runs judged by themselves, and with the groups of ports that they are in.
_ALONE: Reuse[RunResult] = Reuse(100)
_IN_GROUPS: Reuse[RunResult] = Reuse(100)


def _judged(
    wired: Wired,
    run: CarriedRun,
    carried: Carried,
    groups: Mapping[str, Flow],
    spikes: Mapping[Window, Mapping[str, Flow]],
) -> RunResult:
    """A run judged; the very same as before where nothing that it follows from is another."""
    build, own = wired.build, _groups_of(run)
    stands = (build.assumptions, build.house_rules, build.case)
    # All that stands in between is in `run` already, where any of it is on its way.
    made_alone = partial(_judged_alone, wired, run, carried)
    alone = _ALONE.of((run, *stands), build.spin_up_at_once, made_alone)
    if not own:
        return alone
    limits = tuple([_limit_a(wired, k) for k in own])
    flows = [of[k] for of in (groups, *spikes.values()) for k in own]
    ground = Ground(wired=wired, run=run, groups=groups, spikes=spikes)
    made = partial(_judged_in_groups, ground, alone, dict(zip(own, limits, strict=True)))
    return _IN_GROUPS.of((alone, *flows), (limits, tuple(spikes)), made)


def _judged_alone(wired: Wired, run: CarriedRun, carried: Carried) -> RunResult:
    beyond = tuple(onwards(wired, run, carried)) if wired.betweens else ()
    ground = Ground(wired=wired, run=run, beyond=beyond)
    found = [e for check in MAP_CHECKS if not check.of_groups for e in _find(check, ground)]
    found.sort(key=_order)
    stretches = tuple(lead_stretches(beyond, wired.build.spin_up_at_once))
    return RunResult(
        wired=run.wired,
        verdict=found[0].judged.verdict if found else "within",
        elements=tuple(found),
        steps=tuple(profile(run, found, stretches)),
        safety={x.feed.plug.key: s for x in run.lives if (s := _safety(found, x)) is not None},
        unlimited=(),
        beyond=beyond,
    )


def _judged_in_groups(
    ground: Ground, alone: RunResult, limits: dict[str, float | None]
) -> RunResult:
    found = list(alone.elements)
    for check in MAP_CHECKS:
        for e in _find(check, ground) if check.of_groups else ():
            insort(found, e, key=_order)
    return replace(
        alone,
        verdict=found[0].judged.verdict if found else "within",
        elements=tuple(found),
        unlimited=tuple(k for k, limit in limits.items() if limit is None),
    )


def _order(e: Element) -> tuple[int, bool, float]:
    """Worst first. A reach that does is no share of anything that wears or heats: behind."""
    worst, share = rank(e.judged.verdict, e.judged.share)
    return worst, e.kind == "reach" and e.judged.verdict == "within", share


def _find(check: MapCheck, ground: Ground) -> list[Element]:
    if check.find is None:
        return []
    try:
        return list(check.find(ground))
    except Exception:  # noqa: BLE001 - a check that breaks down is unknown, whatever broke
        return [not_worked_out(check.words)]


# -- the checks ----------------------------------------------------------------------------


def _grants(g: Ground) -> Iterator[Element]:
    for live in g.run.lives:
        f = live.feed
        # What its sense contacts say goes on to the card's own socket, and is judged there.
        if f.input.between is None or f.mated != "16pin":
            yield from grants(f.plug, f.mated, f.input.socket, live.flow)
    yield from onward.grants_of(g.wired, g.beyond)


def _plug_pins(g: Ground) -> Iterator[Element]:
    for live in g.run.lives:
        f = live.feed
        assume = g.wired.build.assumptions
        yield from plug_pins(f.plug, f.mated, f.pins, f.cable, live.flow, assume)
    yield from onward.plug_pins_of(g.beyond, g.wired.build.assumptions)


def _lead_pins(g: Ground) -> Iterator[Element]:
    yield from onward.lead_pins_of(g.wired, g.run, g.beyond)


def _forbidden(g: Ground) -> Iterator[Element]:
    yield from onward.forbidden_of(g.wired, g.run)


def _reach(g: Ground) -> Iterator[Element]:
    yield from reaches(g.wired, g.run, g.beyond)


def _group_spikes(g: Ground) -> Iterator[Element]:
    if not g.run.lives:
        return
    for key in _groups_of(g.run):
        limit = _limit_a(g.wired, key)
        for window, flows in g.spikes.items():
            if limit is not None:
                yield group_spike(key, window, limit, flows[key])


def _supply_end_pins(g: Ground) -> Iterator[Element]:
    yield from supply_end_pins(g.run.wired.cable, g.run.whole, g.wired.build.assumptions)


def _port_pins(g: Ground) -> Iterator[Element]:
    run, assume = g.run, g.wired.build.assumptions
    yield from port_pins(run.wired.cable, run.wired.ports, run.port_shares(), run.whole, assume)


def _wires(g: Ground) -> Iterator[Element]:
    cable, assume = g.run.wired.cable, g.wired.build.assumptions
    for stretch, flow in g.run.stretches:
        yield from wires(cable, stretch.from_mm, stretch.to_mm, flow, assume)
    yield from onward.wires_of(g.wired, g.beyond)


def _drops(g: Ground) -> Iterator[Element]:
    """Volts lost at each plug on each rail it uses: contacts and wire, out and back. They are no
    better known than every current on the way, that of ground too."""
    run, assume = g.run, g.wired.build.assumptions
    lines = {line for x in run.lives for line, _, _ in x.flow.lines()} | {GROUND}
    wire = {line: _lost_on_wire(run, assume, line) for line in lines}
    ends = {stretch.to_mm: i for i, (stretch, _) in enumerate(run.stretches)}
    for live in run.lives:
        at = ends[live.feed.plug.at_mm]
        back = _lost_at(live, wire[GROUND][at], assume, GROUND)
        for line, _, _ in live.flow.lines():
            if line == "ground":
                continue
            out = _lost_at(live, wire[line][at], assume, line)
            missing = GROUND in run.whole.missing
            yield drop(live.feed.plug, line, add(out, back) if out and back else None, missing)
    if g.beyond:
        roots, missing = _roots(run, wire, ends, assume), GROUND in run.whole.missing
        yield from onward.drops_of(g.wired, g.beyond, roots, missing)


def _roots(
    run: CarriedRun,
    wire: dict[Line, list[Series | None]],
    ends: dict[float, int],
    assume: Assumptions,
) -> dict[str, onward.Lost]:
    """Volts lost by line up to behind each plug of the cable."""
    return {
        live.feed.plug.key: {
            line: _lost_at(live, wire[line][ends[live.feed.plug.at_mm]], assume, line)
            for line, _, _ in live.flow.lines()
        }
        for live in run.lives
    }


def _groups(g: Ground) -> Iterator[Element]:
    if not g.run.lives:
        return
    for key in _groups_of(g.run):
        limit = _limit_a(g.wired, key)
        if limit is not None:
            yield group(key, limit, g.groups[key])


def _house_rule(g: Ground) -> Iterator[Element]:
    chained = sum(x.feed.mated in ("pcie8", "pcie6") for x in g.run.lives)
    rule = g.wired.build.house_rules.chained_graphics
    raised = any(
        isinstance(p := x.feed.input.part, Card) and p.power_limit > 1 for x in g.run.lives
    )
    whole = g.run.whole
    found = house_rule(rule, chained, raised, whole.watts(), "v12" in whole.missing)
    if found is not None:
        yield found


#: Every check of a map. One that is not built yet is listed wherever a map's verdict is shown.
MAP_CHECKS: tuple[MapCheck, ...] = (
    MapCheck(id="grant", words="grants of the standards", find=_grants),
    MapCheck(id="plug-pins", words="pins of the plugs", find=_plug_pins),
    MapCheck(id="supply-end-pins", words="pins of the supply end", find=_supply_end_pins),
    MapCheck(id="port-pins", words="pins of the ports", find=_port_pins),
    MapCheck(id="wire", words="wires", find=_wires),
    MapCheck(id="drop", words="volts lost", find=_drops),
    MapCheck(id="group", words="port groups", find=_groups, of_groups=True),
    MapCheck(id="house-rule", words="house rule for chained plugs", find=_house_rule),
    MapCheck(id="lead-pins", words="leads of adapters and extensions", find=_lead_pins),
    MapCheck(id="forbidden", words="what is never allowed", find=_forbidden),
    MapCheck(id="reach", words="reach along the routes", find=_reach),
    MapCheck(
        id="group-spike", words="spikes against port groups", find=_group_spikes, of_groups=True
    ),
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
    found: list[Series | None] = []
    for stretch, flow in run.stretches:
        ohm = wire_ohm(cable, stretch.to_mm - stretch.from_mm, line)
        lost = lost_more(lost, flow.of(line), ohm)
        found.append(lost)
    return found


def _lost_at(live: Live, wire: Series | None, assume: Assumptions, line: Line) -> Series | None:
    """Volts [V] lost on one line up to behind a plug's own contacts."""
    ohm = contacts_ohm(live.feed.pins.get(line, 0), assume)
    return lost_more(wire, live.flow.of(line), ohm)


def kept_off(feed: Feed) -> bool:
    """Whether a drive stays off where it is: pin 3 disables its power while it carries 3.3 V.

    Source: Serial ATA specification, power disable.
    """
    part = feed.input.part
    if not isinstance(part, Drive) or not part.power_disable or feed.mated != "sata":
        return False
    if isinstance(feed.cable, Cable):
        return feed.cable.conductors.v3v3 > 0
    own = feed.cable.conductors
    return own is None or own.v3v3 > 0


def _safety(found: list[Element], live: Live) -> float | None:
    """Connector capability ÷ grant of one graphics plug: pins × amperes a pin × 12 V ÷ watts."""
    key = live.feed.plug.key
    grant = next((e for e in found if e.kind == "grant" and e.at == key), None)
    pins = next(
        (e for e in found if e.kind == "plug pins" and e.at == key and e.line == "v12"), None
    )
    if grant is None or pins is None or grant.unit != "W" or "contact_a" not in pins.terms:
        return None
    if not grant.judged.limit:
        return None
    return pins.terms["pins"] * pins.terms["contact_a"] * RAIL_V["v12"] / grant.judged.limit
