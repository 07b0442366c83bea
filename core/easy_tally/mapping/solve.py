"""The best map of a build, goal after goal, each proven; or the proof that there is none."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Literal

from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Connection, Run
from ..things.same import connected, same
from .program import GOALS, Answer, Facts, GoalId, Program, Stopped
from .realise import Laying
from .world import scenarios, world


@dataclass(frozen=True, slots=True, kw_only=True)
class GoalValue:
    """What a goal came to; `bound` is the least that is not ruled out, `proven` when they meet."""

    id: GoalId
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


@dataclass(slots=True)
class Progress:
    """Told after each goal: how many of how many, and the best map so far."""

    tell: Callable[[int, int, Mapping | None], None] = lambda done, of, best: None
    stop: Callable[[], bool] | None = None
    found: list[GoalValue] = field(default_factory=list)


Status = Literal["mapped", "impossible", "stopped"]


def solve(build: Build, wish: Wish = Wish(), progress: Progress | None = None) -> Mapping | None:
    """The best map of a build as it is wished for; None where there is none. A wish for a part
    (`partial`) always finds one.

    Deterministic: the same build and wish give the same map on any machine.
    """
    told = progress or Progress()
    programs, complete = _programs(build, wish, told)
    first = ["unfed"] * wish.partial + ["kept"] * wish.prefer
    goals = [*first, *(g for g in GOALS if g != "unfed")]
    values: list[GoalValue] = []
    for n, goal in enumerate(goals):
        told.tell(n, len(goals), None)
        try:
            programs, value = _bring_down(programs, goal)
        except Stopped:
            break
        if not programs:
            return None
        values.append(value)
    if not programs or not programs[0].values:
        return None
    return _mapping(programs[0], values, complete, len(values) == len(goals))


def _programs(build: Build, wish: Wish, told: Progress) -> tuple[list[Program], bool]:
    kept = wish.keep | {r.cable for r in build.runs if r.pinned}
    found, complete = scenarios(build, wish.only, fed_by(build, kept))
    prefer = frozenset(r.cable for r in build.runs) if wish.prefer else frozenset()
    between = between_of(build, kept)
    facts = Facts(partial=wish.partial, keep=kept, prefer=prefer)
    programs = [Program(world(build, s, between), facts, told.stop) for s in found]
    return programs, complete and all(p.complete for p in programs)


def fed_by(build: Build, kept: frozenset[str]) -> frozenset[str]:
    """Inputs that runs which stay are plugged into, and those beyond them."""
    found = {str(c.socket) for r in build.runs if r.cable in kept for c in r.connections}
    keys = between_of(build, kept)
    things: tuple[Adapter | Extension, ...] = (*build.adapters, *build.extensions)
    for thing in things:
        if thing.key in keys:
            found |= {str(c.socket) for c in thing.connections}
    return frozenset(found)


def between_of(build: Build, kept: frozenset[str]) -> frozenset[str]:
    """Things in between that a run which stays is plugged into."""
    things: tuple[Adapter | Extension, ...] = (*build.adapters, *build.extensions)
    return frozenset(
        c.socket.part for r in build.runs if r.cable in kept for c in r.connections
    ) & frozenset(a.key for a in things)


def _bring_down(programs: list[Program], goal: GoalId) -> tuple[list[Program], GoalValue]:
    """The scenarios that tie in a goal, and what it comes to."""
    answers: list[tuple[Program, Answer]] = []
    for p in programs:
        answer = p.solve(goal)
        if answer.status == "infeasible" or (answer.status == "unknown" and not p.values):
            continue
        if answer.status == "unknown":
            answer = Answer("feasible", 10**9, 0)
        answers.append((p, answer))
    if not answers:
        return [], GoalValue(id=goal, value=0, bound=0)
    best = min(a.value for _, a in answers)
    bound = min(a.bound for _, a in answers)
    left = [p for p, a in answers if a.value == best]
    for p in left:
        p.hold(goal, best)
    return left, GoalValue(id=goal, value=best, bound=min(bound, best))


def _mapping(p: Program, values: list[GoalValue], complete: bool, all_goals: bool) -> Mapping:
    runs, between = Laying(p.world, p.used(), p.way_values).lay()
    fed = {str(c.socket) for r in runs for c in r.connections}
    fed |= {str(c.socket) for of in between.values() for c in of}
    needed = {r for t in p.world.targets for r in t.refs}
    order = list(p.world.wired.inputs)
    unfed = tuple(sorted(needed - fed, key=order.index))
    return Mapping(
        runs=runs, between=between, goals=tuple(values), unfed=unfed,
        proven=complete and all_goals and all(v.proven for v in values),
    )  # fmt: skip


def applied(build: Build, found: Mapping) -> Build:
    """A build with a map laid in it."""

    def laid(things: tuple) -> tuple:  # type: ignore[type-arg]
        return tuple(connected(t, found.between.get(t.key, t.connections)) for t in things)

    changes = {
        "runs": found.runs, "adapters": laid(build.adapters), "extensions": laid(build.extensions)
    }  # fmt: skip
    # A run that is laid as it is already is the same run, judged already.
    return same(build.model_copy(update=changes), build)
