"""The best map of a build, goal after goal, each proven; or the proof that there is none."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, field, replace
from typing import Literal

from ..base.errors import NotDecided
from ..ratings import check_runs
from ..tally.demand import demands
from ..tally.loads import loads as loads_of
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Connection, Run
from ..things.same import connected
from ..wiring import Wired
from .goals import KEPT, MOVES, UNFED, Goal, goals_of
from .model.scenarios import Asked, Scenario, scenarios_of
from .model.world import World, world
from .program import Answer, Facts, Program, Stopped
from .realise import Laying

#: Deterministic seconds that it may take to move less: it changes nothing in what a map comes to.
MOVES_LIMIT = 3.0


@dataclass(frozen=True, slots=True, kw_only=True)
class GoalValue:
    """What a goal came to; `bound` is the least that is not ruled out, `proven` when they meet."""

    id: str
    value: int
    bound: int

    @property
    def proven(self) -> bool:
        """Whether no map does better, the goals before it held."""
        return self.bound >= self.value


@dataclass(frozen=True, slots=True, kw_only=True)
class Mapping:
    """A map that was found: its runs, what things in between are plugged into, the goals. `unfed`
    are needed inputs that it leaves: none of a whole map."""

    runs: tuple[Run, ...]
    between: dict[str, tuple[Connection, ...]]
    goals: tuple[GoalValue, ...]
    unfed: tuple[str, ...] = ()
    proven: bool = True

    @property
    def whole(self) -> bool:
        """Whether everything that has to be fed is."""
        return not self.unfed


@dataclass(frozen=True, slots=True, kw_only=True)
class Wish:
    """What is asked: `keep` runs that stay as they are (pinned ones do anyway); `only` inputs that
    are to be fed, others are left as they are; `prefer` to keep as much as can be of what is."""

    keep: frozenset[str] = frozenset()
    only: frozenset[str] | None = None
    prefer: bool = False
    partial: bool = False
    #: Look at few ways through what stands in between: what is found holds, nothing is proven.
    quick: bool = False
    #: Of the maps that come to the same, look for the one that moves the least. Where as much as
    #: can be is kept anyway hardly any does better.
    least_moves: bool = True


#: What may be mapped: all anew, the rest beside what is there, one part's sockets, or as little
#: change as may be.
Wished = Literal["all", "rest", "part", "least"]


def wish(build: Build, wished: Wished, part: str = "") -> Wish:
    """What is asked of the solver for what somebody wishes; `part` by its key."""
    there = frozenset(r.cable for r in build.runs if r.connections)
    match wished:
        case "rest":
            return Wish(keep=there)
        case "part":
            wired = Wired(build)
            own = {r for r, i in wired.inputs.items() if i.at.part == part}
            return Wish(keep=there, only=frozenset(own | set(wired.feeds)))
        case "least":
            return Wish(prefer=True)
    return Wish()


@dataclass(slots=True)
class Progress:
    """Told after each goal: how many of how many, and the best map so far."""

    tell: Callable[[int, int, Mapping | None], None] = lambda done, of, best: None
    stop: Callable[[], bool] | None = None
    found: list[GoalValue] = field(default_factory=list)


def solve(build: Build, wish: Wish = Wish(), progress: Progress | None = None) -> Mapping | None:
    """The best map of a build as it is wished for; None where there is proven to be none. A wish
    for a part (`partial`) always finds one. Raises NotDecided where it found none, and there may be
    one.

    Deterministic: the same build and wish give the same map on any machine.
    """
    told = progress or Progress()
    search = Search(build, wish)
    first = [UNFED] * wish.partial + [KEPT] * wish.prefer
    goals = [*first, *(g for g in goals_of(build.house_rules) if g != UNFED)]
    values: list[GoalValue] = []
    programs: list[Program] = []
    complete = search.complete
    for n, goal in enumerate(goals):
        told.tell(n, len(goals), None)
        try:
            several = programs if n else search.programs(told.stop)
            programs, value, decided = _bring_down(several, goal)
        except Stopped:
            break
        complete = complete and decided
        if not programs:
            break
        values.append(value)
    if not programs or programs[0].values is None:
        if complete and not programs:
            return None
        raise NotDecided("Too many ways of plugging to look at all of them; none was found.")
    every = len(values) == len(goals)
    if every and wish.least_moves and any(r.connections for r in build.runs):
        try:
            programs, moved = _fewest_moves(build, wish, programs, goals, values, told.stop)
            values.append(moved)
        except Stopped:
            every = False
    return _mapping(build, programs[0], values, complete, every)


def _fewest_moves(
    build: Build,
    wish: Wish,
    programs: list[Program],
    goals: list[Goal],
    values: list[GoalValue],
    stop: Callable[[], bool] | None,
) -> tuple[list[Program], GoalValue]:
    """Of the maps that come to the same in all goals the one that moves the least from how it is
    plugged: the scenarios that tie are looked at once more, each run told from others like it."""
    search = Search(build, replace(wish, prefer=True), told_apart=False)
    answers: list[tuple[Program, Answer]] = []
    for scenario in (p.world.scenario for p in programs):
        again = Program(search.world(scenario), search.facts, stop)
        for goal, value in zip(goals, values, strict=True):
            again.hold(goal, value.value)
        answer = again.solve(MOVES, MOVES_LIMIT)
        if answer.status in ("optimal", "feasible"):
            answers.append((again, answer))
    if not answers:  # it was not found again in time: what there is stays
        return programs, GoalValue(id=MOVES.id, value=_moved(build, programs[0]), bound=0)
    best = min(answers, key=lambda x: x[1].value)
    every = len(answers) == len(programs) and all(p.complete for p, _ in answers)
    bound = min(a.bound for _, a in answers) if every else 0
    return [best[0]], GoalValue(id=MOVES.id, value=best[1].value, bound=min(bound, best[1].value))


def _moved(build: Build, p: Program) -> int:
    """How many plugs and port ends of a map that was found are not where they are."""
    runs, _ = Laying(p.world, p.used(), p.way_values).lay()
    return moved(build, runs)


def moved(build: Build, runs: Iterable[Run]) -> int:
    """Plugs, and port ends of cables of which no plug stays, that are not where they are now."""
    now = {r.cable: r for r in build.runs}
    ends = 0
    for run in runs:
        was = now.get(run.cable)
        same = was is not None and was.ports == run.ports
        stay = set(run.connections) & set(was.connections) if was is not None and same else set()
        ends += len(run.connections) - len(stay)
        ends += 0 if stay or not run.connections else len(run.ports)
    return ends


class Search:
    """Everything that is asked when a build is mapped: its scenarios, and what stays."""

    def __init__(
        self, build: Build, wish: Wish, kept: frozenset[str] | None = None, told_apart: bool = True
    ) -> None:
        """`kept`: what stays, where that is not what the wish and the build say; `told_apart`:
        scenarios tell inputs from others like them where what is plugged in them is preferred."""
        self.build = build
        if kept is None:
            kept = wish.keep | {r.cable for r in build.runs if r.pinned}
        prefer = frozenset(r.cable for r in build.runs) if wish.prefer else frozenset()
        self.facts = Facts(partial=wish.partial, keep=kept, prefer=prefer, quick=wish.quick)
        self._keep = _between_of(build, kept)
        self._apart = _between_of(build, prefer)
        asked = Asked(
            only=wish.only,
            must=_fed_by(build, kept),
            told=_fed_by(build, prefer) if told_apart else frozenset(),
            partial=wish.partial,
        )
        self.scenarios, self.complete = scenarios_of(build, asked)

    def programs(self, stop: Callable[[], bool] | None) -> Iterator[Program]:
        """A program for each scenario, those that leave the fewest first."""
        for scenario in self.scenarios:
            yield Program(self.world(scenario), self.facts, stop)

    def world(self, scenario: Scenario) -> World:
        """What is there to map, under one scenario."""
        return world(self.build, scenario, self._keep, self._apart)


def _fed_by(build: Build, kept: frozenset[str]) -> frozenset[str]:
    """Inputs that runs which stay are plugged into, and those beyond them."""
    fed = {str(c.socket) for r in build.runs if r.cable in kept for c in r.connections}
    keys = _between_of(build, kept)
    return frozenset(
        fed | {str(c.socket) for t in _things(build) if t.key in keys for c in t.connections}
    )


def _between_of(build: Build, kept: frozenset[str]) -> frozenset[str]:
    """Things in between that runs which stay are plugged into, those beyond them too."""
    onward = {t.key: {c.socket.part for c in t.connections} for t in _things(build)}
    waiting = [c.socket.part for r in build.runs if r.cable in kept for c in r.connections]
    keys: set[str] = set()
    while waiting:
        key = waiting.pop()
        if key in onward and key not in keys:
            keys.add(key)
            waiting += onward[key]
    return frozenset(keys)


def _things(build: Build) -> tuple[Adapter | Extension, ...]:
    return (*build.adapters, *build.extensions)


def _bring_down(programs: Iterable[Program], goal: Goal) -> tuple[list[Program], GoalValue, bool]:
    """The scenarios that tie in a goal, what it comes to, and whether those that are left out are
    proven to do no better."""
    answers: list[tuple[Program, Answer]] = []
    decided = True
    for p in programs:
        least = len(p.world.scenario.left)
        if goal == UNFED and any(a.value < least for _, a in answers):
            break  # from here on they leave more and more
        decided = decided and p.complete
        answer = p.solve(goal)
        if answer.status == "unknown":
            decided = False
        elif answer.status != "infeasible":
            answers.append((p, answer))
    if not answers:
        return [], GoalValue(id=goal.id, value=0, bound=0), decided
    best = min(a.value for _, a in answers)
    bound = min(a.bound for _, a in answers)
    left = [p for p, a in answers if a.value == best]
    for p in left:
        p.hold(goal, best)
    return left, GoalValue(id=goal.id, value=best, bound=min(bound, best)), decided


def _mapping(
    build: Build, p: Program, values: list[GoalValue], complete: bool, all_goals: bool
) -> Mapping:
    runs, between = Laying(p.world, p.used(), p.way_values).lay()
    fed = {str(c.socket) for r in runs for c in r.connections}
    fed |= {str(c.socket) for connections in between.values() for c in connections}
    needed = {r for t in p.world.targets for r in t.refs} | p.world.scenario.left
    order = list(p.world.wired.inputs)
    unfed = tuple(sorted(needed - fed, key=order.index))
    mapping = Mapping(
        runs=runs,
        between=between,
        goals=tuple(values),
        unfed=unfed,
        proven=complete and all_goals and all(v.proven for v in values),
    )
    if refused := refused_by_checker(applied(build, mapping)):
        raise NotDecided(f"The map that was found is refused by its own check: {refused[0]}.")
    return mapping


def refused_by_checker(build: Build) -> list[str]:
    """Cables of a build whose runs are over a limit, by the checker, which shares no judging with
    the solver: what it refuses is no map, whatever was solved."""
    wired = Wired(build)
    runs = check_runs(wired, demands(wired, loads_of(wired)), {})
    return [r.wired.cable.name for r in runs if r.verdict == "over"]


def applied(build: Build, mapping: Mapping) -> Build:
    """A build with a map laid in it."""
    return _laid(build, mapping.runs, mapping.between)


def laid_by(build: Build, p: Program) -> Build:
    """A build with what a program found laid in it, whatever was let go."""
    return _laid(build, *Laying(p.world, p.used(), p.way_values).lay())


def _laid(build: Build, runs: tuple[Run, ...], between: dict[str, tuple[Connection, ...]]) -> Build:
    def laid(things: tuple) -> tuple:  # type: ignore[type-arg]
        return tuple(connected(t, between.get(t.key, t.connections)) for t in things)

    changes = {"runs": runs, "adapters": laid(build.adapters), "extensions": laid(build.extensions)}
    # A run that is laid as it is already is the same run, judged already.
    return build.model_copy(update=changes)
