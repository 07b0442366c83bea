"""What mapping found, in words: a map with its goals and what it changes, or why there is none."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from ..advice.goals import map_goals
from ..advice.mapped import Fed, Mapped
from ..analysis.analyse import analyse
from ..base.saying import counted
from ..editing.taken import Added, TakeMap
from ..mapping import (
    KEPT,
    MOVES,
    Fact,
    GoalValue,
    Left,
    Mapping,
    Repair,
    Swap,
    applied,
    bill,
    swaps,
)
from ..mapping.goals import group_rule
from ..mapping.swap import Does
from ..standards.connectors import is_of
from ..things.build import Build
from ..things.buying import Price
from ..wiring import Wired
from ..wiring.areas import drive_places
from .publish_buying import price_answer
from .result import PriceAnswer
from .wording.mapped import (
    beyond_words,
    bill_words,
    fact_words,
    fullest_group,
    goal_words,
    port_words,
    repair_words,
    worst_lane,
)


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
class EndAnswer:
    """One end of a cable: out of what and into what it goes, empty where it hangs."""

    end: str
    out_of: str
    into: str


@dataclass(frozen=True, slots=True, kw_only=True)
class SwapAnswer:
    """What changes of one cable, or of one thing in between, end by end; how many plugs stay.
    `does`: whether it comes out for good, is plugged otherwise, is new, or only stays."""

    cable: str
    name: str
    does: Does
    ends: tuple[EndAnswer, ...]
    stays: int


@dataclass(frozen=True, slots=True, kw_only=True)
class RepairAnswer:
    """A way to a whole map in words, with the edit that takes it, what it costs and the moves that
    it takes."""

    id: str
    text: str
    price: PriceAnswer
    edit: TakeMap
    swaps: tuple[SwapAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class LeftAnswer:
    """Sockets alike that are left unfed, and what forbids to feed them, in figures."""

    sockets: tuple[str, ...]
    why: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class MapAnswer:
    """What mapping found. `impossible`: `edit` then lays as much as can be fed, `unfed` names what
    is left, `left` why; where nothing can be laid, `why` says which facts forbid it. `not decided`:
    nothing was found, and not everything was looked at; `why` says so. `nothing`: there is nothing
    to feed."""

    status: Literal["mapped", "impossible", "not decided", "nothing"]
    proven: bool
    goals: tuple[GoalAnswer, ...]
    #: What changes, cable by cable, and how many plugs and port ends move.
    swaps: tuple[SwapAnswer, ...]
    moved: int
    bill: tuple[str, ...]
    edit: TakeMap | None
    unfed: tuple[str, ...] = ()
    left: tuple[LeftAnswer, ...] = ()
    why: tuple[str, ...] = ()
    repairs: tuple[RepairAnswer, ...] = ()


_NOTHING = "Nothing in this build has a socket that a cable feeds."


#: How long it takes to move so many plugs and port ends [min]; None: nobody knows.
Minutes = Callable[[int], int | None]


def _unknown(ends: int) -> None:
    return None


def map_answer(m: Mapped, minutes: Minutes = _unknown) -> MapAnswer:
    """What mapping found, in words."""
    unfed = m.found.unfed if m.found is not None else ()
    why = (m.undecided,) if m.undecided else _why(m.build, m.facts)
    if m.status == "nothing":
        why = (_NOTHING,)
    if m.found is None or m.after is None:
        return MapAnswer(
            status=m.status,
            proven=m.proven,
            goals=(),
            swaps=(),
            moved=0,
            bill=(),
            edit=None,
            why=why,
        )
    then, wired = m.after.build, m.after.wired
    laid = swaps(m.build, then)
    now = map_goals(m.before) if m.before else {}
    lanes = {"worst": (worst_lane(m.before.runs) if m.before else "", worst_lane(m.after.runs))}
    if group_rule(m.build) == "by amperes":
        now_fullest = fullest_group(m.before.runs) if m.before else ""
        lanes["groups"] = (now_fullest, fullest_group(m.after.runs))
    # What stays and what moves is said end by end.
    goals = (g for g in m.found.goals if g.id not in (KEPT.id, MOVES.id))
    return MapAnswer(
        status=m.status,
        proven=m.proven,
        goals=tuple(_goal(m.build, g, now.get(g.id), lanes) for g in goals),
        swaps=_swaps(m.build, then, laid),
        moved=sum(s.ends for s in laid),
        bill=tuple(bill_words(wired, bill(then, m.found, frozenset()))),
        edit=_edit(m.found, m.added),
        unfed=tuple(wired.words(r) for r in unfed),
        left=tuple(_left(m.build, left) for left in m.left),
        why=why,
        repairs=tuple(repair_answer(m.build, r, minutes) for r in m.repairs),
    )


def _why(build: Build, facts: tuple[Fact, ...], left: Left | None = None) -> tuple[str, ...]:
    wired = Wired(build)
    far = left.refs if left else ()
    said = []
    for f in facts:
        text = fact_words(wired, f, far)
        if left and f.id in left.near:
            near = analyse(left.near[f.id])
            over = list(beyond_words(near.wired, near.runs, f.id))
            text += f" As near as it comes: {'; '.join(over)}." if over else ""
        said.append(text)
    bare = said and all(f.id == "need" for f in facts)
    return (*said, "No cable in the box has a plug and a port for it.") if bare else tuple(said)


def _left(build: Build, left: Left) -> LeftAnswer:
    words = Wired(build).words
    return LeftAnswer(sockets=tuple(map(words, left.refs)), why=_why(build, left.facts, left))


def fed_words(build: Build, fed: Fed, year: int) -> str:
    """What a map of a build feeds, by how many cables, and how many ends would move, in a line."""
    needed = f"{fed.needed} sockets"
    if fed.unfed or fed.found is None:
        return f"No map feeds more than {fed.needed - fed.unfed} of {needed}."
    then = analyse(applied(build, fed.found), year)
    used = [r.wired for r in then.runs if r.wired.feeds]
    kinds = {
        "for graphics": sum(any(is_of(f.mated, "graphics") for f in r.feeds) for r in used),
        "for drives": sum(any(drive_places(then.wired, f.input) for f in r.feeds) for r in used),
    }
    said = "".join(f", {n} {words}" for words, n in kinds.items() if n)
    worst = worst_lane(then.runs)
    text = f"A map feeds all {needed} by {counted(len(used), 'cable')}{said}; worst share {worst}"
    if not any(r.connections for r in build.runs):
        return f"{text}."
    ends = sum(s.ends for s in swaps(build, then.build))
    return f"{text}; {counted(ends, 'end')} to move." if ends else f"{text}; nothing moves."


def repair_answer(build: Build, r: Repair, minutes: Minutes = _unknown) -> RepairAnswer:
    """A way to a whole map, in words."""
    then = r.added.to(build)
    laid = applied(then, r.found)
    several = swaps(build, laid)
    new = frozenset(c.key for c in r.added.cables)
    reach = max(
        (mm for n in bill(then, r.found, new) if n.key in new for mm in n.reach_mm), default=0.0
    )
    ends = sum(s.ends for s in several)
    return RepairAnswer(
        id=r.id,
        text=repair_words(r, reach, build.place.currency),
        price=price_answer(Price(r.cost, ends, minutes(ends)), build.place.currency),
        edit=_edit(r.found, r.added),
        swaps=_swaps(build, laid, several),
    )


def _edit(mapping: Mapping, added: Added | None = None) -> TakeMap:
    return TakeMap(runs=mapping.runs, between=mapping.between, added=added or Added())


def _goal(
    build: Build, g: GoalValue, now: int | None, lanes: dict[str, tuple[str, str]]
) -> GoalAnswer:
    """A goal in words; of `lanes` it is the number that a lane shows, now and then."""
    words, said = goal_words(build, g.id)
    was, then = ("" if now is None else said(now)), said(g.value)
    was, then = lanes.get(g.id, (was, then))
    return GoalAnswer(
        id=g.id, words=words, now=was, then=then, proven=g.proven, bound=said(g.bound)
    )


def _swaps(build: Build, then: Build, several: tuple[Swap, ...]) -> tuple[SwapAnswer, ...]:
    # What goes out is called as it is called now, the rest as it will be.
    before, after = Wired(build), Wired(then)
    return tuple(_swap(before, after, s) for s in several)


def _swap(before: Wired, after: Wired, s: Swap) -> SwapAnswer:
    carrier = after.cables.get(s.key) or after.betweens.get(s.key) or before.cables.get(s.key)
    several = carrier is not None and len(carrier.plugs) > 1
    ends = [
        EndAnswer(
            end=f"plug {e.plug}" if several else "plug",
            out_of=before.words(e.out_of) if e.out_of else "",
            into=after.words(e.into) if e.into else "",
        )
        for e in s.plugs
    ]
    if s.out_of or s.into:
        bag = f"the bag of {before.cables[s.key].family}" if s.does == "goes out" else ""
        out_of, into = port_words(before, s.out_of), port_words(after, s.into)
        ends.insert(0, EndAnswer(end="supply end", out_of=out_of, into=into or bag))
    name = carrier.name if carrier else s.key
    return SwapAnswer(cable=s.key, name=name, does=s.does, ends=tuple(ends), stays=s.stays)
