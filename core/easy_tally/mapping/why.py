"""Why there is no map: the smallest set of facts that forbids one, found by leaving out one fact
after another and solving again; of each socket that a map leaves by itself, and how near it is."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from ..base.errors import NotDecided
from ..things.build import Build
from ..things.cables import Device, SocketRef
from ..wiring import Wired
from .goals import WORST
from .model.columns import CableClass, PortClass, cable_classes, port_classes
from .model.scenarios import Scenario, alike_needs
from .model.world import World
from .program import Facts, Program
from .solve import Search, Wish, laid_by

FactId = Literal[
    "supply", "need", "between", "cables", "ports", "keep", "rule", "group", "reach", "ratings"
]


@dataclass(frozen=True, slots=True, kw_only=True)
class Fact:
    """One of the facts that together forbid a map: `refs` inputs that need to be fed, or keys of
    cables, of things in between, of ports, or of a run; `kind` the kind of socket or port; `each`
    plugs of such a cable."""

    id: FactId
    refs: tuple[str, ...] = ()
    kind: str = ""
    each: int = 0


def why_not(build: Build, keep: frozenset[str] = frozenset()) -> tuple[Fact, ...]:
    """A smallest set of facts that forbids a whole map of a build: as many cables and ports as one
    likes, sockets left, limits and rules let go, all but these, and still there is none; one of
    these more, and there is one. Empty where there is a map. Raises NotDecided."""
    if build.supply is None:
        return (Fact(id="supply"),) if build.sockets() else ()
    tried = Tried(build, keep)
    facts = Facts(keep=tried.kept)
    return () if tried.feasible(facts) else _smallest(tried, facts)


@dataclass(frozen=True, slots=True, kw_only=True)
class Left:
    """Inputs alike that a map leaves which feeds as much as can be: the facts that forbid to feed
    them, beside all that it feeds. `near`: for a fact that is a limit on load the map
    without it whose worst share is the lowest, where one was found."""

    refs: tuple[str, ...]
    facts: tuple[Fact, ...]
    near: dict[FactId, Build]


def why_left(
    build: Build, unfed: tuple[str, ...], keep: frozenset[str] = frozenset()
) -> Iterator[Left]:
    """Of each kind of socket that is left, why. Raises NotDecided."""
    wired, tried = Wired(build), Tried(build, keep)
    alike: dict[tuple[str, str], list[str]] = {}
    for ref in unfed:
        into = wired.inputs[ref]
        alike.setdefault((into.at.part, into.socket.kind), []).append(ref)
    for refs in alike.values():
        # Beside all that is fed: what else is left does not count.
        others = Facts(keep=tried.kept, without_needs=frozenset(unfed) - {*refs})
        facts = _smallest(tried, others)
        near: dict[FactId, Build] = {}
        for fact, leave_out in _limits():
            if fact.id == "reach" or fact.id not in {f.id for f in facts}:
                continue  # what lies too far is told by itself
            # With all other limits held, else with none.
            nearest = tried.nearest(leave_out(others)) or tried.nearest(_no_limit(others))
            if nearest is not None:
                near[fact.id] = nearest
        yield Left(refs=tuple(refs), facts=facts, near=near)


def _no_limit(facts: Facts) -> Facts:
    for _, leave_out in _limits():
        facts = leave_out(facts)
    return facts


def _smallest(tried: Tried, facts: Facts) -> tuple[Fact, ...]:
    """The facts that are left where one after another is left out that can be. Many that can be at
    once are: to leave out more never makes a map less possible."""

    def left(several: Sequence[tuple[Fact, _Leave]], facts: Facts) -> tuple[list[Fact], Facts]:
        without = facts
        for _, leave_out in several:
            without = leave_out(without)
        if not tried.feasible(without):
            return [], without
        if len(several) == 1:
            return [several[0][0]], facts
        middle = len(several) // 2
        first, facts = left(several[:middle], facts)
        second, facts = left(several[middle:], facts)
        return [*first, *second], facts

    return tuple(left(_candidates(tried, facts.keep), facts)[0])


class Tried:
    """Tells whether there is any map of a build, with some facts left out. `partial`: what is
    needed may be among them."""

    def __init__(self, build: Build, keep: frozenset[str] = frozenset(), partial: bool = True):
        self.build, self._wish = build, Wish(keep=keep, partial=partial)
        search = Search(build, self._wish)
        self.kept = search.facts.keep
        self._searches: dict[frozenset[str], tuple[Search, dict[int, World]]]
        self._searches = {self.kept: (search, {})}

    @property
    def first(self) -> World:
        """What is there to map where nothing that is needed is left."""
        return self._world(self.kept, 0)

    def _search(self, kept: frozenset[str]) -> tuple[Search, dict[int, World]]:
        if kept not in self._searches:
            self._searches[kept] = (Search(self.build, self._wish, kept), {})
        return self._searches[kept]

    def _world(self, kept: frozenset[str], n: int) -> World:
        search, worlds = self._search(kept)
        if n not in worlds:
            worlds[n] = search.world(search.scenarios[n])
        return worlds[n]

    def feasible(self, facts: Facts) -> bool:
        """Whether there is a map under some scenario that leaves nothing but what need not be fed.
        Raises NotDecided where none was found, and not all was looked at."""
        search, _ = self._search(facts.keep)
        decided = search.complete
        for program in self._programs(facts):
            status = program.solve().status
            if status == "optimal":
                return True
            decided = decided and program.complete and status == "infeasible"
        if not decided:
            raise NotDecided("Too many ways of plugging to look at all of them.")
        return False

    def nearest(self, facts: Facts) -> Build | None:
        """The build with the map whose worst share is the lowest; None where none is found."""
        best: tuple[int, Program] | None = None
        for program in self._programs(facts):
            answer = program.solve(WORST)
            if program.values is not None and (best is None or answer.value < best[0]):
                best = answer.value, program
        return None if best is None else laid_by(self.build, best[1])

    def _programs(self, facts: Facts) -> Iterator[Program]:
        """A program of each scenario that leaves nothing but what need not be fed."""
        search, _ = self._search(facts.keep)
        easy = _left_whole(search.scenarios, facts.without_needs)
        for n, scenario in enumerate(search.scenarios):
            if easy <= scenario.left <= facts.without_needs:
                yield Program(self._world(facts.keep, n), facts)


def _left_whole(scenarios: list[Scenario], needless: frozenset[str]) -> frozenset[str]:
    """What had better be left where it may be: all that is needed of one device but the board. A
    map that feeds some of it is one without those plugs too: nothing else carries more then."""
    by_device: dict[Device, set[str]] = {}
    for ref in {r for s in scenarios for r in s.left}:
        by_device.setdefault(SocketRef.read(ref).device, set()).add(ref)
    board = {SocketRef.read(ref).device for s in scenarios[:1] for ref in s.pins}
    return frozenset(
        r
        for device, refs in by_device.items()
        if device not in board and refs <= needless
        for r in refs
    )


_Leave = Callable[[Facts], Facts]


def _candidates(tried: Tried, kept: frozenset[str]) -> list[tuple[Fact, _Leave]]:
    """Facts in the order in which they are left out, those that one had better not blame first."""
    here, candidates = tried.first, _limits()
    for key in sorted(kept):
        candidates.append((Fact(id="keep", refs=(key,)), _let_go(key)))
    for refs in alike_needs(tried.build, here.scenario):
        kind = here.wired.inputs[refs[0]].socket.kind
        candidates.append((Fact(id="need", refs=refs, kind=kind), _needless(refs)))
    candidates += [_of_pool(here, n) for n in range(len(here.pools))]
    candidates += [_of_ports(p) for p in port_classes(here)]
    candidates += [_of_cables(c) for c in cable_classes(here)]
    return candidates


def _limits() -> list[tuple[Fact, _Leave]]:
    return [
        (Fact(id="group"), lambda f: replace(f, free_groups=True)),
        (Fact(id="reach"), lambda f: replace(f, relaxed=replace(f.relaxed, reach=True))),
        (Fact(id="ratings"), lambda f: replace(f, relaxed=replace(f.relaxed, ratings=True))),
        (Fact(id="rule"), lambda f: replace(f, relaxed=replace(f.relaxed, rule="by pins"))),
    ]


def _of_pool(here: World, n: int) -> tuple[Fact, _Leave]:
    fact = Fact(id="between", refs=here.pools[n])
    return fact, lambda f: replace(f, free_pools=f.free_pools | {n})


def _of_ports(port_class: PortClass) -> tuple[Fact, _Leave]:
    fact = Fact(id="ports", refs=port_class.keys, kind=port_class.port.kind)
    return fact, lambda f: replace(f, free_ports=f.free_ports | {port_class.id})


def _of_cables(cable_class: CableClass) -> tuple[Fact, _Leave]:
    kinds = [x.kind for x in cable_class.cable.plugs]
    kind = max(kinds, key=kinds.count)
    fact = Fact(id="cables", refs=cable_class.keys, kind=kind, each=kinds.count(kind))
    return fact, lambda f: replace(f, free_cables=f.free_cables | {cable_class.id})


def _let_go(key: str) -> _Leave:
    return lambda f: replace(f, keep=f.keep - {key})


def _needless(refs: tuple[str, ...]) -> _Leave:
    return lambda f: replace(f, without_needs=f.without_needs | frozenset(refs))
