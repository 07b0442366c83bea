"""What mapping found, in words: a map with its goals and what it changes, or why there is none."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..advice.goals import map_goals
from ..advice.mapped import Mapped
from ..editing.taken import Added, TakeMap
from ..mapping import Fact, GoalValue, Mapping, Move, Repair, applied, bill, moves
from ..things.build import Build
from ..wiring import Wired
from .wording.mapped import bill_words, fact_words, goal_words, move_words, repair_words, worst_lane


@dataclass(frozen=True, slots=True, kw_only=True)
class GoalAnswer:
    """A goal in words: what it comes to now and with the map, and whether that is proven best."""

    id: str
    words: str
    now: str
    then: str
    proven: bool
    bound: str


@dataclass(frozen=True, slots=True, kw_only=True)
class MoveAnswer:
    """A move in words: what to unplug, keep, plug, or put back into its bag."""

    id: str
    cable: str
    text: str


@dataclass(frozen=True, slots=True, kw_only=True)
class RepairAnswer:
    """A way to a whole map in words, with the edit that takes it and the moves that it takes;
    `cost`: in the builder's currency, none: not known."""

    id: str
    text: str
    cost: float | None
    edit: TakeMap
    moves: tuple[MoveAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class MapAnswer:
    """What mapping found. `impossible`: `edit` then lays as much as can be fed, `unfed` names what
    is left, `why` the facts that together forbid more. `not decided`: nothing was found, and not
    everything was looked at; `why` says so. `nothing`: there is nothing to feed."""

    status: Literal["mapped", "impossible", "not decided", "nothing"]
    proven: bool
    goals: tuple[GoalAnswer, ...]
    moves: tuple[MoveAnswer, ...]
    bill: tuple[str, ...]
    edit: TakeMap | None
    unfed: tuple[str, ...] = ()
    why: tuple[str, ...] = ()
    repairs: tuple[RepairAnswer, ...] = ()


_NOTHING = "Nothing in this build has a socket that a cable feeds."


def map_answer(m: Mapped) -> MapAnswer:
    """What mapping found, in words."""
    unfed = m.found.unfed if m.found is not None else ()
    why = (m.undecided,) if m.undecided else _why(m.build, m.facts, unfed)
    if m.status == "nothing":
        why = (_NOTHING,)
    if m.found is None or m.after is None:
        return MapAnswer(
            status=m.status, proven=m.proven, goals=(), moves=(), bill=(), edit=None, why=why
        )
    then, wired = m.after.build, m.after.wired
    now = map_goals(m.before) if m.before else {}
    lanes = (worst_lane(m.before.runs) if m.before else "", worst_lane(m.after.runs))
    goals = (g for g in m.found.goals if g.id != "kept")
    return MapAnswer(
        status=m.status,
        proven=m.proven,
        goals=tuple(_goal(m.build, g, now.get(g.id), lanes) for g in goals),
        moves=_moves(m.build, then),
        bill=tuple(bill_words(wired, bill(then, m.found, frozenset()))),
        edit=_edit(m.found, m.added),
        unfed=tuple(wired.words(r) for r in unfed),
        why=why,
        repairs=tuple(repair_answer(m.build, r) for r in m.repairs),
    )


def _why(build: Build, facts: tuple[Fact, ...], unfed: tuple[str, ...] = ()) -> tuple[str, ...]:
    wired = Wired(build)
    said = tuple(fact_words(wired, f, unfed) for f in facts)
    bare = said and all(f.id == "need" for f in facts)
    return (*said, "No cable in the box has a plug and a port for it.") if bare else said


def repair_answer(build: Build, r: Repair) -> RepairAnswer:
    """A way to a whole map, in words."""
    then = r.added.to(build)
    new = frozenset(c.key for c in r.added.cables)
    reach = max(
        (mm for n in bill(then, r.found, new) if n.key in new for mm in n.reach_mm), default=0.0
    )
    return RepairAnswer(
        id=r.id,
        text=repair_words(r, reach, build.place.currency),
        cost=r.cost,
        edit=_edit(r.found, r.added),
        moves=_moves(build, applied(then, r.found)),
    )


def _edit(mapping: Mapping, added: Added | None = None) -> TakeMap:
    return TakeMap(runs=mapping.runs, between=mapping.between, added=added or Added())


def _goal(build: Build, g: GoalValue, now: int | None, lanes: tuple[str, str]) -> GoalAnswer:
    """A goal in words; the worst share is the number that a lane shows."""
    words, said = goal_words(build, g.id)
    was, then = ("" if now is None else said(now)), said(g.value)
    if g.id == "worst":
        was, then = lanes
    return GoalAnswer(
        id=g.id, words=words, now=was, then=then, proven=g.proven, bound=said(g.bound)
    )


def _moves(build: Build, then: Build) -> tuple[MoveAnswer, ...]:
    before, after = Wired(build), Wired(then)

    def said(m: Move) -> MoveAnswer:
        # What goes out is called as it is called now, the rest as it will be.
        wired = before if m.id in ("unplug", "bag") else after
        return MoveAnswer(id=m.id, cable=m.cable, text=move_words(wired, m))

    return tuple(map(said, moves(build, then)))
