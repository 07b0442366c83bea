"""What flows through a run: amperes at each plug, along each stretch, in the whole of it."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import partial, reduce
from typing import Any

from ..base.reuse import Reuse
from ..base.series import NO_SERIES, Series, add, highs, likelies, scale
from ..base.units import GROUND, RAIL_V, RUN_RAILS, Line, Rail
from ..tally.demand import Carried, Demand
from ..wiring import Feed, Input, Stretch, Wired, WiredRun
from .limits import port_shares

#: What spinning up adds, by rail.
Surge = Mapping[Rail, Series]


@dataclass(slots=True)
class Flow:
    """Amperes [A] per rail in the four run states, ground with the sum of them; rails with a
    missing figure."""

    amps: dict[Rail, Series] = field(default_factory=dict)
    missing: set[Line] = field(default_factory=set)
    #: Without surges, and each plug's own surge: what `together` starts from.
    base: Mapping[Rail, Series] = field(default_factory=dict)
    surges: list[Surge] = field(default_factory=list)
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

    def missing_rails(self) -> list[Rail]:
        """Rails on which a figure is missing."""
        return [r for r in RUN_RAILS if r in self.missing]

    def share(self, factor: float) -> Flow:
        """A share of this flow, surges and all."""
        part = Flow(
            base={r: scale(x, factor) for r, x in self.base.items()},
            surges=[{r: scale(x, factor) for r, x in s.items()} for s in self.surges],
        )
        part.add({r: scale(x, factor) for r, x in self.amps.items()}, self.missing_rails())
        return part


def flow_of(demand: Demand) -> Flow:
    """What one input carries; alone, it surges."""
    flow = Flow(base=demand.amps, surges=[demand.surge] if demand.surge else [])
    flow.add(demand.amps, demand.missing)
    flow.add(demand.surge, ())
    return flow


def together(flows: Iterable[Flow], at_once: int | None = None) -> Flow:
    """Flows on one set of wires, or in one group of ports.

    Staggered, at most `at_once` of them spin up together; which ones is the controller's choice,
    so those with the largest surges are taken.
    """
    whole = Flow()
    for flow in flows:
        whole.add(flow.base, flow.missing_rails())
        whole.surges += flow.surges
    whole.surges.sort(key=_rank, reverse=True)
    whole.base = dict(whole.amps)
    for surge in whole.surges[:at_once]:
        whole.add(surge, ())
    return whole


def _rank(surge: Surge) -> tuple[float, ...]:
    """By watts at likely; of equal ones what adds more at 12 V, then what may add more, whichever
    was plugged in first."""
    watts = sum(max(likelies(amps)) * RAIL_V[rail] for rail, amps in surge.items())
    v12 = max(likelies(surge.get("v12", NO_SERIES)))
    most = sum(max(highs(amps)) * RAIL_V[rail] for rail, amps in surge.items())
    least = sum(max(amps[::3]) * RAIL_V[rail] for rail, amps in surge.items())
    return round(watts, 6), round(v12, 6), round(most, 6), least


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


def input_flow(wired: Wired, carried: Carried, into: Input, at_once: int | None) -> Flow:
    """What one input carries: of a socket its demand; of a lead of something in between its share
    of all that is plugged in beyond it."""
    if into.between is None:
        return flow_of(carried.of(into.ref))
    key = into.socket.key
    beyond = (
        input_flow(wired, carried, f.input, at_once).share(wired.lead_share(f, key))
        for f in wired.onward(into)
        if key in wired.leads_in_use(into.between, f.plug.key)
    )
    return together(beyond, at_once)


#: What flows through runs, and in groups of ports, by everything that it follows from.
_CARRIED: Reuse[CarriedRun] = Reuse(200)
_GROUPS: Reuse[Flow] = Reuse(150)


def carried_runs(wired: Wired, carried: Carried) -> list[CarriedRun]:
    """What flows through every run; the very same where one carries the same."""
    at_once = wired.build.spin_up_at_once
    _CARRIED.room(3 * len(wired.runs))  # at rest, and in two windows of spikes
    return [_kept_run(wired, r, carried, at_once) for r in wired.runs]


def _kept_run(wired: Wired, run: WiredRun, carried: Carried, at_once: int | None) -> CarriedRun:
    things = (run, *_carry(run.feeds, carried), *_beyond(wired, run, carried))
    return _CARRIED.of(things, at_once, partial(_carried_run, wired, run, carried, at_once))


def _carry(feeds: Iterable[Feed], carried: Carried) -> list[Demand]:
    return [carried.of(f.input.ref) for f in feeds]


def _beyond(wired: Wired, run: WiredRun, carried: Carried) -> tuple[Any, ...]:
    """What flows and stands beyond a run that goes into something in between, with all else that
    feeds it: one thing may be fed by several runs and in turn feed another."""
    beyond = wired.beyond(run)
    return (*beyond, *_carry(beyond, carried))


def _carried_run(wired: Wired, run: WiredRun, carried: Carried, at_once: int | None) -> CarriedRun:
    lives = tuple(
        Live(feed=f, flow=input_flow(wired, carried, f.input, at_once)) for f in run.feeds
    )
    flows: list[tuple[Stretch, Flow]] = []
    beyond = Flow()
    for stretch in reversed(run.stretches):
        here = [x.flow for x in lives if x.feed.plug.at_mm == stretch.to_mm]
        beyond = together([beyond, *here], at_once)
        flows.insert(0, (stretch, beyond))
    return CarriedRun(wired=run, lives=lives, stretches=tuple(flows), whole=beyond)


def group_flows(wired: Wired, runs: Iterable[CarriedRun]) -> dict[str, Flow]:
    """What each port group carries, its disks staggered over the whole group."""
    found: dict[str, list[tuple[CarriedRun, float]]] = {}
    for run in runs:
        for port, share in zip(run.wired.ports, run.port_shares(), strict=True):
            if port.group is not None:
                found.setdefault(port.group, []).append((run, share))
    at_once = wired.build.spin_up_at_once
    return {
        key: _GROUPS.of(
            tuple([run for run, _ in of]),
            (at_once, *[share for _, share in of]),
            partial(_group_flow, of, at_once),
        )
        for key, of in found.items()
    }


def _group_flow(of: list[tuple[CarriedRun, float]], at_once: int | None) -> Flow:
    flows = (run.whole if share == 1 else run.whole.share(share) for run, share in of)
    return together(flows, at_once)
