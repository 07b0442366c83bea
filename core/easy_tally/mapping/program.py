"""The whole-number program of one scenario: how often each column is used.

Counts over classes leave no symmetry for the solver to search. The package is loaded when the
first map is asked for: it takes a second and 80 MB.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass, field
from math import ceil, floor
from typing import Any

from ..base.rounding import TOLERANCE
from ..base.units import RUN_STATES
from .goals import Goal
from .model.columns import Column, Columns, Relaxed, cable_classes, devices_of, port_classes
from .model.targets import Device, Target, Way
from .model.world import World

#: Whole numbers that stand for one ampere. Twice as many runs as a limit has amperes lose less by
#: rounding than the checker lets pass: both find the same of a sum that is just at the limit.
_PER_A = 1_000_000_000
#: More surges than any build has, each counted once for a port.
_MANY = 10_000
#: Deterministic seconds that one goal may take: the same on any machine.
GOAL_LIMIT = 12.0
#: Less than any goal comes to: nothing is ruled out.
_NO_BOUND = -(10**9)


@dataclass(frozen=True, slots=True, kw_only=True)
class Facts:
    """What a program stands on; each may be left out to find what forbids a map. `partial`: as
    many inputs as can be fed. `keep`: runs that stay as they are, by their cables; `prefer`: runs
    of which as many connections stay as can be, before all else."""

    partial: bool = False
    keep: frozenset[str] = frozenset()
    prefer: frozenset[str] = frozenset()
    relaxed: Relaxed = field(default_factory=Relaxed)
    free_cables: frozenset[int] = frozenset()
    free_ports: frozenset[int] = frozenset()
    free_pools: frozenset[int] = frozenset()
    free_groups: bool = False
    #: Look at few ways through what stands in between: what is found holds, nothing is proven.
    quick: bool = False
    without_needs: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class Answer:
    """What came of one solve: the least value, the bound that is proven, or nothing feasible."""

    status: str
    value: int = 0
    bound: int = 0


class Stopped(Exception):
    """Somebody asked to stop."""


class Program:
    """One scenario as a program; goals are brought down one after another, each then held."""

    def __init__(self, world: World, facts: Facts, stop: Callable[[], bool] | None = None) -> None:
        from ortools.sat.python import cp_model

        self.cp = cp_model
        self.world: World = world
        self.facts = facts
        self.model = cp_model.CpModel()
        self.stop = stop
        self.ports, self.cables = port_classes(world), cable_classes(world)
        columns = Columns(world, self.cables, facts.relaxed, facts.quick)
        self.columns: list[Column] = []
        by_cable = {k: c for c in self.cables for k in c.keys}
        for run in world.build.runs:
            if run.cable in facts.keep | facts.prefer and run.cable in by_cable:
                whole = run.cable in facts.keep
                self.columns += columns.kept(run, by_cable[run.cable], self.ports, whole)
        for c in self.cables:
            self.columns += columns.of(c, self.ports)
        self.complete = columns.every and world.complete
        #: As many of a cable as could be used, where it is not counted.
        self.most = len(world.scenario.fed) + sum(
            len(world.wired.betweens[k].sockets) for pool in world.pools for k in pool
        )
        self.x = [self._count(c) for c in self.columns]
        self.y = {
            w.id: self.model.new_int_var(
                0, self.most if w.pool in facts.free_pools else len(world.pools[w.pool]), f"y{w.id}"
            )
            for w in world.ways
        }
        self.unfed: dict[int, Any] = {}
        #: How many disks of a kind each group with a limit has, where they start staggered.
        self.spinning_up: list[Any] = []
        self._inputs()
        self._uses()
        self._group_limits()
        self.exprs: dict[str, Any] = {}
        #: How often each column is used in the map found last; None: none is found yet.
        self.values: list[int] | None = None

    def _count(self, c: Column) -> Any:
        most = (
            1
            if c.keep
            else len(c.cable.keys)
            if c.cable.id not in self.facts.free_cables
            else self.most
        )
        return self.model.new_int_var(0, most, "")

    # -- what has to hold -----------------------------------------------------------------------

    def _inputs(self) -> None:
        covers: dict[int, list[Any]] = {t.id: [] for t in self.world.targets}
        for c, x in zip(self.columns, self.x, strict=True):
            for target, n in c.covers.items():
                covers[target].append(n * x)
        for w in self.world.ways:
            for _, _, t in w.feeds:
                covers[t.id].append(self.y[w.id])
        leads = {led.target.id: (w, led) for w in self.world.ways for led in w.leads}
        for t in self.world.targets:
            fed = sum(covers[t.id])
            if t.id in leads:
                w, led = leads[t.id]
                self.model.add(fed == len(led.leads) * self.y[w.id])
            elif (free := self._needless(t)) > 0:
                self.model.add(fed <= len(t.refs))
                self.model.add(fed >= len(t.refs) - free)
            elif self.facts.partial and t.needed:
                self.unfed[t.id] = self.model.new_int_var(0, len(t.refs), "")
                self.model.add(fed + self.unfed[t.id] == len(t.refs))
            else:
                self.model.add(fed == len(t.refs))
        for n, pool in enumerate(self.world.pools):
            if n in self.facts.free_pools:
                continue
            self.model.add(sum(self.y[w.id] for w in self.world.ways if w.pool == n) <= len(pool))

    def _needless(self, t: Target) -> int:
        """How many of a class need not be fed."""
        return sum(r in self.facts.without_needs for r in t.refs) if t.needed else 0

    def _uses(self) -> None:
        for cable in self.cables:
            own = [x for c, x in zip(self.columns, self.x, strict=True) if c.cable is cable]
            if cable.id not in self.facts.free_cables and own:
                self.model.add(sum(own) <= len(cable.keys))
        for port in self.ports:
            if port.id in self.facts.free_ports:
                continue
            into = [
                sum(p is port for p in c.ports) * x
                for c, x in zip(self.columns, self.x, strict=True)
                if port in c.ports
            ]
            if into:
                self.model.add(sum(into) <= len(port.keys))
        for run in self.facts.keep:
            own = [x for c, x in zip(self.columns, self.x, strict=True) if c.keep == run]
            self.model.add(sum(own) == 1) if own else self.model.add_bool_or([])
        for run in self.facts.prefer - self.facts.keep:
            own = [x for c, x in zip(self.columns, self.x, strict=True) if c.keep == run]
            if own:
                self.model.add(sum(own) <= 1)
        # The very sockets and ports of what stays are used once: a class may hold others too.

    def _group_limits(self) -> None:
        supply = self.world.build.supply
        self.loads: dict[str, list[Any]] = {}
        self.limits: dict[str, int] = {}
        for g in supply.groups if supply else ():
            if g.limit_a is None or self.facts.free_groups:
                continue
            self.limits[g.key] = floor(g.limit_a * TOLERANCE * _PER_A)
            # A variable each, so that the numbers of the goal stay well within 64 bits.
            self.loads[g.key] = [
                self.model.new_int_var(0, self.limits[g.key], "") for _ in RUN_STATES
            ]
            for load, amps in zip(self.loads[g.key], self._states(g.key), strict=True):
                self.model.add(load == amps)

    def _states(self, group: str) -> list[Any]:
        """Amperes of a group in each state; at start with its surges, staggered over the group."""
        at_once = self.world.build.spin_up_at_once
        own = [(c, x) for c, x in zip(self.columns, self.x, strict=True) if group in c.amps]
        sums = [sum(_whole(c.amps[group][0][state]) * x for c, x in own) for state in range(3)]
        start = sum(_whole(c.amps[group][0][3]) * x for c, x in own)
        surges = [(*surge, x) for c, x in own for surge in c.amps[group][1]]
        if at_once is None or not surges:
            return [*sums, start + sum(_whole(amps) * x for _, amps, x in surges)]
        return [*sums, start + self._largest(surges, at_once)]

    def _largest(self, surges: Sequence[tuple[float, float, Any]], n: int) -> Any:
        """Amperes at 12 V of the `n` surges of the most watts: of each kind, most watts first, as
        many as there are and as are left of `n`."""
        kinds: dict[tuple[float, int], list[Any]] = {}
        for watts, amps, x in surges:
            kinds.setdefault((watts, _whole(amps)), []).append(x)
        largest: Any = 0
        left: Any = n
        for (_, amps), xs in sorted(kinds.items(), reverse=True):
            spinning = self.model.new_int_var(0, _MANY, "")
            self.model.add(spinning == sum(xs))
            self.spinning_up.append(spinning)
            taken = self.model.new_int_var(0, n, "")
            self.model.add_min_equality(taken, [spinning, left])
            largest, left = largest + amps * taken, left - taken
        return largest

    # -- what goals are made of ------------------------------------------------------------------

    def goal(self, goal: Goal) -> Any:
        """The expression that a goal brings down."""
        if goal.id not in self.exprs:
            self.exprs[goal.id] = goal.term(self)
        return self.exprs[goal.id]

    def sum_of(self, worth: Callable[[Column], int]) -> Any:
        """What the columns in use are worth together."""
        return sum(n * x for c, x in zip(self.columns, self.x, strict=True) if (n := worth(c)))

    def ways_in_use(self, worth: Callable[[Way], int]) -> Any:
        """What the ways of using what stands in between are worth together."""
        return sum(n * self.y[w.id] for w in self.world.ways if (n := worth(w)))

    def most_of(self, worth: Callable[[Column], int], least: int) -> Any:
        """The largest worth of any column in use, `least` at the least."""
        steps = sorted({worth(c) for c in self.columns} - {least})
        whole: Any = least
        before, below = None, least
        for value in steps:
            here = self.model.new_bool_var("")
            own = [x for c, x in zip(self.columns, self.x, strict=True) if worth(c) == value]
            for x in own:
                self.model.add(x == 0).only_enforce_if(~here)
            if before is not None:
                self.model.add_implication(here, before)
            whole = whole + (value - below) * here
            before, below = here, value
        return whole

    def fullest_group(self) -> Any:
        """The fullest port group in percent of what it may carry."""
        self._by_surges_first()
        most = self.model.new_int_var(0, 100, "")  # percents: no load is above its limit
        for key, states in self.loads.items():
            for load in states:
                self.model.add(100 * load <= most * self.limits[key])
        return most

    def pairs(self, spread: bool) -> Any:
        """Pairs of one device and one group beyond the first group of each device; to be spread,
        the fewer the more pairs there are."""
        self._by_surges_first()
        pairs, plain = self._pairs(spread)
        beyond: dict[Device, list[Any]] = {}
        for (device, _), xs in pairs.items():
            z = self.model.new_bool_var("")
            if spread:
                self.model.add(z <= sum(xs))
            else:
                for x in xs:
                    self.model.add(x == 0).only_enforce_if(~z)
            beyond.setdefault(device, []).append(z)
        if spread:
            return -sum(z for zs in beyond.values() for z in zs) - plain
        for zs in beyond.values():
            more = self.model.new_int_var(0, len(zs), "")
            self.model.add(more >= sum(zs) - 1)
            plain = plain + more
        return plain

    def _pairs(self, spread: bool) -> tuple[dict[tuple[Device, str], list[Any]], Any]:
        """Columns by device and group; and what inputs that are not named come to, which need no
        variable of their own."""
        pairs: dict[tuple[Device, str], list[Any]] = {}
        plain: Any = 0
        for c, x in zip(self.columns, self.x, strict=True):
            if not c.groups:
                continue
            for device in devices_of(c):
                for group in c.groups:
                    pairs.setdefault((device, group), []).append(x)
            others = sum(t.unnamed for _, _, t in c.uses)
            plain = plain + others * (len(c.groups) - (not spread)) * x
        return pairs, plain

    def _by_surges_first(self) -> None:
        """How many of each kind a group has settles what it starts with: from here on it is looked
        for in that order, else it took seconds, and was not always proven."""
        if self.spinning_up:
            self.model.add_decision_strategy(
                self.spinning_up, self.cp.CHOOSE_FIRST, self.cp.SELECT_MEDIAN_VALUE
            )

    # -- solving -----------------------------------------------------------------------------

    def solve(self, goal: Goal | None = None, limit: float | None = None) -> Answer:
        """Bring a goal down as far as it goes, or only look for any map; `limit`: deterministic
        seconds that it may take."""
        expr = self.goal(goal) if goal else 0
        plain = isinstance(expr, int)
        if plain and self.values is not None:
            return Answer("optimal", expr, expr)
        if plain:
            self.model.clear_objective()  # type: ignore[no-untyped-call]
        else:
            self.model.minimize(expr)
        solver = self._solver(limit)
        status = solver.solve(self.model, self._watch())
        if status == self.cp.INFEASIBLE:
            return Answer("infeasible")
        if status == self.cp.MODEL_INVALID:
            raise ValueError(f"The program of the map is none: {self.model.validate()}")
        if status not in (self.cp.OPTIMAL, self.cp.FEASIBLE):
            return Answer("unknown") if self.values is None else self._as_it_was(expr)
        self._take(solver)
        if plain:
            return Answer("optimal", expr, expr)
        bound = ceil(solver.best_objective_bound - 1e-6)
        done = "optimal" if status == self.cp.OPTIMAL else "feasible"
        return Answer(done, round(solver.objective_value), bound)

    def _as_it_was(self, expr: Any) -> Answer:
        """What a goal comes to in the map that was found before: time ran out for another."""
        solver = self._solver()
        solver.parameters.fix_variables_to_their_hinted_value = True
        if solver.solve(self.model) not in (self.cp.OPTIMAL, self.cp.FEASIBLE):
            return Answer("unknown")
        value = expr if isinstance(expr, int) else round(solver.value(expr))
        return Answer("feasible", value, _NO_BOUND)

    def _solver(self, limit: float | None = None) -> Any:
        solver = self.cp.CpSolver()
        p = solver.parameters
        p.num_workers, p.random_seed = 1, 0
        p.cp_model_probing_level, p.symmetry_level = 0, 0
        p.max_presolve_iterations = 1
        p.max_deterministic_time = GOAL_LIMIT if limit is None else limit
        return solver

    def _watch(self) -> Any:
        if self.stop is None:
            return None
        stop = self.stop
        if stop():
            raise Stopped

        class Watch(self.cp.CpSolverSolutionCallback):  # type: ignore[name-defined,misc]
            def on_solution_callback(self) -> None:
                if stop():
                    self.stop_search()

        return Watch()

    def _take(self, solver: Any) -> None:
        self.values = [solver.value(x) for x in self.x]
        self.way_values = {k: solver.value(y) for k, y in self.y.items()}
        self.model.clear_hints()  # type: ignore[no-untyped-call]
        for x, v in zip(self.x, self.values, strict=True):
            self.model.add_hint(x, v)
        for k, y in self.y.items():
            self.model.add_hint(y, self.way_values[k])

    def hold(self, goal: Goal, value: int) -> None:
        """Hold a goal at a value; what could only be worse is left out."""
        expr = self.goal(goal)
        if not isinstance(expr, int):
            self.model.add(expr <= value)
        if goal.of_each is not None:
            for c, x in zip(self.columns, self.x, strict=True):
                if goal.of_each(c) > value:
                    self.model.add(x == 0)

    def used(self) -> Iterable[tuple[Column, int]]:
        """The columns in use, and how often."""
        return ((c, n) for c, n in zip(self.columns, self.values or (), strict=True) if n)


def _whole(amps: float) -> int:
    return round(amps * _PER_A)
