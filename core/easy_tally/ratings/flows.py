"""What flows through a run: amperes at each plug, along each stretch, in the whole of it."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import reduce
from typing import NamedTuple

from ..base.series import NO_SERIES, Series, add, highs, likelies, scale
from ..base.units import GROUND, RAIL_V, RUN_RAILS, Line, Rail
from ..tally.demand import Carried, Demand
from ..wiring import Feed, Input, Stretch, Wired, WiredRun
from .limits import Limit, port_shares
from .verdicts import Judgement, judge


class Surge(NamedTuple):
    """What one disk adds while it spins up, by rail; disks of the highest rank start together."""

    amps: Mapping[Rail, Series]
    rank: tuple[float, ...]


@dataclass(slots=True)
class Flow:
    """Amperes [A] per rail in the four run states, ground with the sum of them; rails with a
    missing figure."""

    amps: dict[Rail, Series] = field(default_factory=dict)
    missing: set[Line] = field(default_factory=set)
    #: Without surges, and each plug's own surge: what `together` starts from.
    base: Mapping[Rail, Series] = field(default_factory=dict)
    surges: list[Surge] = field(default_factory=list)
    #: What `lines` gave, what ground carries and what was judged, until something is added: all
    #: are asked for many times, of plugs that carry the same too.
    _lines: list[tuple[Line, Series, bool]] | None = None
    _ground: Series | None = None
    _judged: dict[tuple[Line, Limit, float], Judgement] = field(default_factory=dict)

    def add(self, amps: Mapping[Rail, Series], missing: Iterable[Rail]) -> None:
        """Add what one plug carries."""
        self._lines = self._ground = None
        self._judged.clear()
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

    def judged(self, line: Line, limit: Limit, within_to: float) -> Judgement:
        """Amperes [A] on one line held against a limit."""
        key = (line, limit, within_to)
        judgement = self._judged.get(key)
        if judgement is None:
            judgement = judge(self.of(line), limit, within_to, line in self.missing)
            self._judged[key] = judgement
        return judgement

    def watts(self, rail: Rail = "v12") -> Series:
        """Watts [W] on one rail."""
        return scale(self.amps.get(rail, NO_SERIES), RAIL_V[rail])

    def missing_rails(self) -> list[Rail]:
        """Rails on which a figure is missing."""
        return [r for r in RUN_RAILS if r in self.missing]

    def share(self, factor: float) -> Flow:
        """A share of this flow, surges and all."""
        part = Flow(
            base={r: scale(x, factor) for r, x in self.base.items()},
            surges=[_surge({r: scale(x, factor) for r, x in s.amps.items()}) for s in self.surges],
        )
        part.add({r: scale(x, factor) for r, x in self.amps.items()}, self.missing_rails())
        return part


def flow_of(demand: Demand) -> Flow:
    """What one input carries; alone, it surges."""
    flow = Flow(base=demand.amps, surges=[_surge(demand.surge)] if demand.surge else [])
    flow.add(demand.amps, demand.missing)
    flow.add(demand.surge, ())
    return flow


def together(flows: Iterable[Flow], at_once: int | None = None) -> Flow:
    """Flows on one set of wires, or in one group of ports.

    Staggered, at most `at_once` of them spin up together; which ones is the controller's choice,
    so those with the largest surges are taken.
    """
    several = list(flows)
    if len(several) == 1 and (at_once is None or len(several[0].surges) <= at_once):
        return several[0]
    whole = Flow()
    for flow in several:
        whole.add(flow.base, flow.missing_rails())
        whole.surges += flow.surges
    whole.surges.sort(key=lambda s: s.rank, reverse=True)
    whole.base = dict(whole.amps)
    for surge in whole.surges[:at_once]:
        whole.add(surge.amps, ())
    return whole


def _surge(amps: Mapping[Rail, Series]) -> Surge:
    """Ranked by watts at likely; of equal ones by what adds more at 12 V, then by what may add
    more, whichever was plugged in first."""
    watts = sum([max(likelies(x)) * RAIL_V[rail] for rail, x in amps.items()])
    v12 = max(likelies(amps.get("v12", NO_SERIES)))
    most = sum([max(highs(x)) * RAIL_V[rail] for rail, x in amps.items()])
    least = sum([max(x[::3]) * RAIL_V[rail] for rail, x in amps.items()])
    return Surge(amps, (round(watts, 6), round(v12, 6), round(most, 6), least))


@dataclass(frozen=True, slots=True, kw_only=True)
class Live:
    """A connected plug with what it carries."""

    feed: Feed
    flow: Flow


@dataclass(frozen=True, slots=True, kw_only=True)
class CarriedRun:
    """A run with what flows: at its plugs by distance, along its stretches, in all."""

    wired: WiredRun
    lives: tuple[Live, ...]
    stretches: tuple[tuple[Stretch, Flow], ...]
    whole: Flow

    def port_shares(self) -> list[float]:
        """How its ports share what it carries."""
        return port_shares(self.wired.ports)


class Flows:
    """What inputs of one build carry, each worked out once for what it carries."""

    def __init__(self, wired: Wired) -> None:
        self.wired = wired
        self._of_demand: dict[int, tuple[Demand, Flow]] = {}

    def into(self, carried: Carried, into: Input) -> Flow:
        """What one input carries: of a socket its demand; of a lead of something in between its
        share of all that is plugged in beyond it."""
        wired, kept = self.wired, self.wired.memory.of
        if into.between is None:
            demand = carried.of(into.ref)
            known = self._of_demand.get(id(demand))
            if known is None:
                known = self._of_demand[id(demand)] = demand, kept(flow_of, (demand,))
            return known[1]
        key = into.socket.key
        beyond = [
            f for f in wired.onward(into) if key in wired.leads_in_use(into.between, f.plug.key)
        ]
        shares = tuple([wired.lead_share(f, key) for f in beyond])
        flows = tuple([self.into(carried, f.input) for f in beyond])
        return kept(_through_lead, flows, (wired.build.spin_up_at_once, shares))


def _through_lead(at_once: int | None, shares: tuple[float, ...], *flows: Flow) -> Flow:
    return together([f.share(s) for f, s in zip(flows, shares, strict=True)], at_once)


def carried_runs(
    flows: Flows, carried: Carried, like: list[CarriedRun] | None = None
) -> list[CarriedRun]:
    """What flows through every run. `like`: what does otherwise, the very same where it is so."""
    wired = flows.wired
    kept, at_once = wired.memory.of, (wired.build.spin_up_at_once,)
    carried_runs = []
    for i, run in enumerate(wired.runs):
        lives = [flows.into(carried, f.input) for f in run.feeds]
        if like is not None and all(a is x.flow for a, x in zip(lives, like[i].lives, strict=True)):
            carried_runs.append(like[i])
        else:
            carried_runs.append(kept(_carried_run, (run, *lives), at_once))
    return carried_runs


def _carried_run(at_once: int | None, run: WiredRun, *of_feeds: Flow) -> CarriedRun:
    lives = tuple([Live(feed=f, flow=x) for f, x in zip(run.feeds, of_feeds, strict=True)])
    flows: list[tuple[Stretch, Flow]] = []
    beyond: list[Flow] = []
    for stretch in reversed(run.stretches):
        here = [x.flow for x in lives if x.feed.plug.mm == stretch.to_mm]
        beyond = [together([*beyond, *here], at_once)]
        flows.insert(0, (stretch, beyond[0]))
    return CarriedRun(
        wired=run, lives=lives, stretches=tuple(flows), whole=beyond[0] if beyond else Flow()
    )


def group_flows(
    wired: Wired,
    runs: list[CarriedRun],
    like: tuple[list[CarriedRun], Mapping[str, Flow]] | None = None,
) -> dict[str, Flow]:
    """What each port group carries, its disks staggered over the whole group. `like`: runs of the
    same wiring with what groups carry by them."""
    of_group: dict[str, list[tuple[CarriedRun, float]]] = {}
    other: set[str] = set()
    for i, run in enumerate(runs):
        for port, share in zip(run.wired.ports, run.port_shares(), strict=True):
            if port.group is not None:
                of_group.setdefault(port.group, []).append((run, share))
                if like is None or like[0][i] is not run:
                    other.add(port.group)
    kept, at_once = wired.memory.of, wired.build.spin_up_at_once
    return {
        key: kept(
            _group_flow, tuple([r for r, _ in members]), (at_once, tuple([s for _, s in members]))
        )
        if like is None or key in other
        else like[1][key]
        for key, members in of_group.items()
    }


def _group_flow(at_once: int | None, shares: tuple[float, ...], *runs: CarriedRun) -> Flow:
    flows = (r.whole if s == 1 else r.whole.share(s) for r, s in zip(runs, shares, strict=True))
    return together(flows, at_once)
