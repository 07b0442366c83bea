"""Why there is no map: the smallest set of facts that forbids one, found by leaving out one fact
after another and solving again."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Literal

from ..things.build import Build
from .program import Facts, Program
from .solve import between_of, fed_by
from .world import World, scenarios, world

FactId = Literal["need", "cables", "ports", "keep", "rule", "group", "reach", "ratings"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Fact:
    """One of the facts that together forbid a map: `refs` inputs that need to be fed, or keys of
    cables, ports or a run; `kind` the kind of socket or port; `each` plugs of such a cable."""

    id: FactId
    refs: tuple[str, ...] = ()
    kind: str = ""
    each: int = 0


def why_not(build: Build, keep: frozenset[str] = frozenset()) -> tuple[Fact, ...]:
    """A smallest set of facts that forbids a whole map of a build; none left out of it would still
    forbid one. Empty where there is a map."""
    kept = keep | {r.cable for r in build.runs if r.pinned}
    found, _ = scenarios(build, None, fed_by(build, kept))
    here = world(build, min(found, key=lambda s: s.optional), between_of(build, kept))
    facts = Facts(keep=kept)
    if _feasible(here, facts):
        return ()
    first = Program(here, facts)
    left: list[Fact] = []
    for fact, leave_out in _candidates(here, first, kept):
        without = leave_out(facts)
        if _feasible(here, without):
            left.append(fact)
        else:
            facts = without
    return tuple(left)


def _feasible(here: World, facts: Facts) -> bool:
    return Program(here, facts).solve().status != "infeasible"


_Leave = Callable[[Facts], Facts]


def _candidates(here: World, p: Program, kept: frozenset[str]) -> list[tuple[Fact, _Leave]]:
    """Facts in the order in which they are left out, those that one had better not blame first."""
    found: list[tuple[Fact, _Leave]] = [
        (Fact(id="group"), lambda f: replace(f, free_groups=True)),
        (Fact(id="reach"), lambda f: replace(f, relaxed=replace(f.relaxed, reach=True))),
        (Fact(id="ratings"), lambda f: replace(f, relaxed=replace(f.relaxed, ratings=True))),
        (Fact(id="rule"), lambda f: replace(f, relaxed=replace(f.relaxed, rule="by pins"))),
    ]
    for key in sorted(kept):
        found.append((Fact(id="keep", refs=(key,)), _let_go(key)))
    for t in here.targets:
        if t.refs:
            found.append((Fact(id="need", refs=t.refs, kind=t.kind), _needless(t.id)))
    for port in p.ports:
        found.append((Fact(id="ports", refs=port.keys, kind=port.port.kind), _more_ports(port.id)))
    for c in p.cables:
        kinds = [x.kind for x in c.cable.plugs]
        kind = max(kinds, key=kinds.count)
        fact = Fact(id="cables", refs=c.keys, kind=kind, each=kinds.count(kind))
        found.append((fact, _more_cables(c.id)))
    return found


def _let_go(key: str) -> _Leave:
    return lambda f: replace(f, keep=f.keep - {key})


def _needless(target: int) -> _Leave:
    return lambda f: replace(f, without_needs=f.without_needs | {target})


def _more_ports(of: int) -> _Leave:
    return lambda f: replace(f, free_ports=f.free_ports | {of})


def _more_cables(of: int) -> _Leave:
    return lambda f: replace(f, free_cables=f.free_cables | {of})
