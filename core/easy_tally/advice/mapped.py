"""The best map of a build, or as much as can be fed, why no more can, and repairs."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, replace
from typing import Literal, NamedTuple

from ..analysis.analyse import analyse
from ..analysis.facts import Analysis
from ..base.errors import NotDecided
from ..editing.taken import Added
from ..editing.valid import fresh_key, keys_of
from ..mapping import (
    Fact,
    InStock,
    Left,
    Mapping,
    OtherSupply,
    Progress,
    Repair,
    Stopped,
    Wish,
    applied,
    repairs,
    solve,
    swaps,
    why_left,
    why_not,
)
from ..supplies.at_hand import adapters, at_hand, extensions
from ..supplies.compare import Candidate
from ..supplies.kits import Kit, ranked
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.buying import Price, cheapest_first
from ..wiring import Wired

#: Repairs that are worked out at the most.
MOST_REPAIRS = 6


@dataclass(frozen=True, slots=True, kw_only=True)
class Mapped:
    """What mapping found. `impossible`: `found` then feeds as much as can be, and `left` says why
    it leaves the rest; where nothing can be laid at all, `facts` together forbid it. `not decided`:
    nothing was found, and not everything was looked at; `undecided` says so. `nothing`: there is
    nothing to feed. `before` and `after` are the build as it is, where anything is plugged in, and
    with the map."""

    build: Build
    status: Literal["mapped", "impossible", "not decided", "nothing"]
    proven: bool
    found: Mapping | None = None
    facts: tuple[Fact, ...] = ()
    left: tuple[Left, ...] = ()
    undecided: str = ""
    repairs: tuple[Repair, ...] = ()
    #: What of the build's own boxes it uses.
    added: Added | None = None
    before: Analysis | None = None
    after: Analysis | None = None


#: A wish for the best map, without anything kept.
_ALL = Wish()


def map_it(
    build: Build,
    wish: Wish = _ALL,
    stock: Iterable[InStock] = (),
    progress: Progress | None = None,
    supplies: Iterable[OtherSupply] = (),
) -> Mapped:
    """The best map of a build; or as much as can be fed, why no more can, and repairs: by what is
    in `stock`, or by one of some `supplies`."""
    try:
        if (whole := _whole(build, wish, progress)) is not None:
            return whole
    except NotDecided as error:
        return _not_decided(build, wish, progress, str(error))
    stop = progress.stop if progress else None
    try:
        partial = solve(build, replace(wish, partial=True), progress)
    except NotDecided as error:
        return Mapped(build=build, status="impossible", proven=True, undecided=str(error))
    facts: tuple[Fact, ...] = ()
    left: tuple[Left, ...] = ()
    undecided = ""
    try:
        # What stays may contradict itself: then nothing can be laid.
        if partial is None or build.supply is None:
            facts = why_not(build, wish.keep)
        else:
            left = tuple(why_left(build, partial.unfed, wish.keep))
    except NotDecided as error:  # what can be fed is laid all the same
        undecided = str(error)
    if partial is None:
        return Mapped(
            build=build, status="impossible", proven=True, facts=facts, undecided=undecided
        )
    ways = by_price(build, _first(repairs(build, partial.unfed, stock, stop, supplies)))
    return replace(_with(build, partial), facts=facts, left=left, undecided=undecided, repairs=ways)


def map_soon(
    build: Build,
    wish: Wish,
    stock: Iterable[InStock],
    partly: Callable[[], bool],
    enough: Callable[[], bool],
) -> Mapped:
    """The same for who waits: without saying why no more can be fed; as much as can be until
    `partly` says to go on without, repairs until it is `enough`."""
    try:
        if (whole := _whole(build, wish, None)) is not None:
            return whole
    except NotDecided as error:
        return Mapped(build=build, status="not decided", proven=False, undecided=str(error))
    try:
        partial = solve(build, replace(wish, partial=True), Progress(stop=partly))
    except NotDecided:
        partial = None
    a = analyse(build)
    unfed = partial.unfed if partial else tuple(a.needed - a.wired.live)
    ways = by_price(build, _first(repairs(build, unfed, stock, enough)))
    mapped = (
        _with(build, partial) if partial else Mapped(build=build, status="impossible", proven=True)
    )
    return replace(mapped, repairs=ways)


def _whole(build: Build, wish: Wish, progress: Progress | None) -> Mapped | None:
    """The best map that feeds all, with what lies in the boxes of the build where it takes that;
    None where there is proven to be none. Raises NotDecided."""
    if not Wired(build).inputs:
        return Mapped(build=build, status="nothing", proven=True)
    mapping = solve(build, wish, progress)
    if mapping is not None:
        return _with(build, mapping)
    return _from_boxes(build, wish, progress)


def _from_boxes(build: Build, wish: Wish, progress: Progress | None) -> Mapped | None:
    """The best map with what lies in the boxes of the build, and what of that it uses; None where
    there is none."""
    lying = at_hand(build, build.supply)
    taken = keys_of(build) | {c.key for c in build.cables}
    renamed: list[Adapter | Extension] = []
    things: tuple[Adapter | Extension, ...] = (*adapters(lying), *extensions(lying))
    for thing in things:
        key = fresh_key(thing.key, taken)
        taken.add(key)
        renamed.append(thing.model_copy(update={"key": key, "connections": ()}))
    if not renamed:
        return None
    added = _added(renamed)
    try:
        mapping = solve(added.to(build), wish, progress)
    except NotDecided:
        return None
    if mapping is None:
        return None
    used = {c.socket.part for r in mapping.runs for c in r.connections}
    used |= {c.socket.part for several in mapping.between.values() for c in several}
    added = _added([t for t in renamed if t.key in used])
    between = {key: c for key, c in mapping.between.items() if c or key in used}
    laid = _with(added.to(build), replace(mapping, between=between))
    return replace(laid, build=build, added=added)


def _added(things: Iterable[Adapter | Extension]) -> Added:
    several = list(things)
    return Added(
        adapters=tuple(t for t in several if isinstance(t, Adapter)),
        extensions=tuple(t for t in several if isinstance(t, Extension)),
    )


def _not_decided(build: Build, wish: Wish, progress: Progress | None, said: str) -> Mapped:
    """As much as was found to be fed, where nobody knows whether all could be."""
    try:
        partial = solve(build, replace(wish, partial=True), progress)
    except NotDecided:
        partial = None
    partly = _with(build, partial) if partial is not None else None
    if partly is None:
        return Mapped(build=build, status="not decided", proven=False, undecided=said)
    return replace(partly, status="not decided", proven=False, undecided=said)


def _with(build: Build, mapping: Mapping) -> Mapped:
    return Mapped(
        build=build,
        status="mapped" if mapping.whole else "impossible",
        proven=mapping.proven,
        found=mapping,
        before=analyse(build) if build.runs else None,
        after=analyse(applied(build, mapping)),
    )


def by_price(build: Build, several: Iterable[Repair]) -> tuple[Repair, ...]:
    """Repairs by what they cost, last those of which nobody knows it; then by how many plugs and
    port ends they move."""

    def key(r: Repair) -> tuple[bool, float, int, int]:
        then = applied(r.added.to(build), r.found)
        return cheapest_first(Price(r.cost, sum(s.ends for s in swaps(build, then))))

    return tuple(sorted(several, key=key))


def _first(several: Iterable[Repair]) -> Iterator[Repair]:
    try:
        for n, repair in enumerate(several, 1):
            yield repair
            if n == MOST_REPAIRS:
                return
    except Stopped:
        return


def supplies_that_do(build: Build, kits: Iterable[Kit], year: int | None) -> Iterator[OtherSupply]:
    """Supplies that would do by every other check: one's own, then by price, and of what has none
    best first; judged only where they are wanted."""
    several = ranked(kits, analyse(build, year).asked)

    def key(c: Candidate[Kit]) -> tuple[bool, tuple[bool, float, int, int]]:
        return c.of.source != "owned", cheapest_first(Price(c.of.price))

    for c in sorted(several, key=key):
        if c.result.verdict in ("right size", "a little short", "too big"):
            owned = c.of.source == "owned"
            yield OtherSupply(supply=c.supply, cables=c.of.cables, owned=owned, price=c.of.price)


class Fed(NamedTuple):
    """Inputs that the best map of a build leaves unfed, of so many to be fed; None of a map: not
    one is fed."""

    unfed: int
    needed: int
    found: Mapping | None


def fed(build: Build, year: int) -> Fed | None:
    """How much the best map of a build feeds; None where it is not decided."""
    try:
        mapping = solve(build) or solve(build, Wish(partial=True))
    except NotDecided:
        return None
    if mapping is not None and not mapping.whole and not mapping.goals[0].proven:
        return None
    needed = len(analyse(build, year).needed)
    return Fed(len(mapping.unfed) if mapping else needed, needed, mapping)
