"""What mapping found, in words: a map with its goals and what it changes, or why there is none."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from typing import Any, Literal

from ..base.errors import NotDecided
from ..editing.taken import Added, TakeMap
from ..mapping import (
    Fact,
    GoalValue,
    InStock,
    Mapping,
    Move,
    OtherSupply,
    Progress,
    Repair,
    Stopped,
    Wish,
    applied,
    bill,
    moves,
    repairs,
    solve,
    why_not,
)
from ..things.build import Build
from ..wiring import Wired
from .goals import map_goals
from .wording.mapped import bill_words, fact_words, goal_words, move_words, repair_words, worst_lane

#: Repairs that are worked out at the most.
MOST_REPAIRS = 6


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
    """A way to a whole map in words, with the edit that takes it and the moves that it takes."""

    id: str
    text: str
    edit: dict[str, Any]
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
    edit: dict[str, Any] | None
    unfed: tuple[str, ...] = ()
    why: tuple[str, ...] = ()
    repairs: tuple[RepairAnswer, ...] = ()


#: A wish for the best map, without anything kept.
_ALL = Wish()


def map_it(
    build: Build,
    wish: Wish = _ALL,
    stock: Iterable[InStock] = (),
    progress: Progress | None = None,
    supplies: Iterable[OtherSupply] = (),
) -> MapAnswer:
    """The best map of a build, in words; or as much as can be fed, why no more can, and repairs: by
    what is in `stock`, or by one of some `supplies`."""
    if not Wired(build).inputs:
        return _without("nothing", _NOTHING)
    try:
        found = solve(build, wish, progress)
    except NotDecided as error:
        return _not_decided(build, wish, progress, str(error))
    if found is not None:
        return answer_of(build, found)
    stop = progress.stop if progress else None
    try:
        partial = solve(build, replace(wish, partial=True), progress)
    except NotDecided as error:
        return _without("impossible", str(error))
    unfed = partial.unfed if partial else ()
    try:
        why = _why(build, why_not(build, wish.keep), unfed)
    except NotDecided as error:  # what can be fed is laid all the same
        why = (str(error),)
    if partial is None:  # what stays contradicts itself: nothing can be laid
        return _without("impossible", *why)
    ways = _repairs(build, repairs(build, partial, stock, stop, supplies))
    return answer_of(build, partial, why=why, ways=ways)


_NOTHING = "Nothing in this build has a socket that a cable feeds."


def _not_decided(build: Build, wish: Wish, progress: Progress | None, said: str) -> MapAnswer:
    """As much as was found to be fed, where nobody knows whether all could be."""
    try:
        partial = solve(build, replace(wish, partial=True), progress)
    except NotDecided:
        partial = None
    if partial is None:
        return _without("not decided", said)
    return replace(answer_of(build, partial, why=(said,)), status="not decided", proven=False)


def _without(status: Literal["impossible", "not decided", "nothing"], *why: str) -> MapAnswer:
    """An answer without a map."""
    return MapAnswer(
        status=status,
        proven=status != "not decided",
        goals=(),
        moves=(),
        bill=(),
        edit=None,
        why=why,
    )


def _repairs(build: Build, several: Iterable[Repair]) -> tuple[RepairAnswer, ...]:
    found: list[RepairAnswer] = []
    try:
        for r in several:
            found.append(_repair(build, r))
            if len(found) == MOST_REPAIRS:
                break
    except Stopped:
        pass
    return tuple(found)


def _why(build: Build, facts: tuple[Fact, ...], unfed: tuple[str, ...] = ()) -> tuple[str, ...]:
    wired = Wired(build)
    said = tuple(fact_words(wired, f, unfed) for f in facts)
    bare = said and all(f.id == "need" for f in facts)
    return (*said, "No cable in the box has a plug and a port for it.") if bare else said


def _repair(build: Build, r: Repair) -> RepairAnswer:
    then = r.added.to(build)
    new = frozenset(c.key for c in r.added.cables)
    reach = max(
        (mm for n in bill(then, r.found, new) if n.key in new for mm in n.reach_mm), default=0.0
    )
    return RepairAnswer(
        id=r.id,
        text=repair_words(r, reach),
        edit=_edit(r.found, r.added),
        moves=_moves(build, applied(then, r.found)),
    )


def _edit(found: Mapping, added: Added | None = None) -> dict[str, Any]:
    taken = TakeMap(runs=found.runs, between=found.between, added=added or Added())
    return taken.model_dump(mode="json")


def answer_of(
    build: Build, found: Mapping, why: tuple[str, ...] = (), ways: tuple[RepairAnswer, ...] = ()
) -> MapAnswer:
    """A map in words."""
    from .analysis import analyse

    then = applied(build, found)
    wired = Wired(then)
    before = analyse(build) if build.runs else None
    now = map_goals(before) if before else {}
    lanes = (worst_lane(before.runs) if before else "", worst_lane(analyse(then).runs))
    return MapAnswer(
        status="mapped" if found.whole else "impossible",
        proven=found.proven,
        goals=tuple(_goal(build, g, now.get(g.id), lanes) for g in found.goals if g.id != "kept"),
        moves=_moves(build, then),
        bill=tuple(bill_words(wired, bill(then, found, frozenset()))),
        edit=_edit(found),
        unfed=tuple(wired.words(r) for r in found.unfed),
        why=why,
        repairs=ways,
    )


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
