"""From the map that is there to another: what to unplug, keep, plug, and what goes back into whose
bag; and the cables that a map takes."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Run
from ..wiring import Wired
from ..wiring.areas import SLACK_MM, place_of
from .solve import Mapping

MoveId = Literal["unplug", "keep", "plug", "bag"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Move:
    """One move: a plug of a cable or of something in between out of or into an input; a cable out
    of its ports and into its bag (`bag`, by its pinout family) or into others (`plug`)."""

    id: MoveId
    cable: str
    plug: str = ""
    socket: str = ""
    ports: tuple[str, ...] = ()


Ends = dict[tuple[str, str, str], str]


def ends_of(build: Build) -> Ends:
    """(cable, plug, half) → the input that it is in, of all that is plugged in."""
    several = [(r.cable, r.connections) for r in build.runs]
    several += [(t.key, t.connections) for t in build.adapters]
    several += [(t.key, t.connections) for t in build.extensions]
    return {
        (key, c.plug, c.half): str(c.socket) for key, connections in several for c in connections
    }


def moves(build: Build, then: Build) -> tuple[Move, ...]:
    """What changes between two maps of the same things, in the order of the work: out first, then
    what stays, what is plugged in, what goes back into its bag."""
    before, after = ends_of(build), ends_of(then)
    now = {r.cable: r for r in build.runs}
    new = {r.cable: r for r in then.runs}
    out = [
        Move(id="unplug", cable=c, plug=p, socket=ref)
        for (c, p, h), ref in before.items()
        if after.get((c, p, h)) != ref
    ]
    stays = [
        Move(id="keep", cable=c, plug=p, socket=ref)
        for (c, p, h), ref in after.items()
        if before.get((c, p, h)) == ref
    ]
    seats = [
        Move(id="plug", cable=k, ports=r.ports)
        for k, r in new.items()
        if r.ports and _ports(now.get(k)) != r.ports
    ]
    into = [
        Move(id="plug", cable=c, plug=p, socket=ref)
        for (c, p, h), ref in after.items()
        if before.get((c, p, h)) != ref
    ]
    bag = [
        Move(id="bag", cable=k, ports=r.ports) for k, r in now.items() if k not in new and r.ports
    ]
    return (*out, *stays, *seats, *into, *bag)


def _ports(run: Run | None) -> tuple[str, ...]:
    return run.ports if run else ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Needed:
    """One cable or thing in between that a map takes: where it comes from, and for a cable the
    least length to each plug in use that reaches, where the case states its routes [mm]."""

    key: str
    source: Literal["here", "drawer", "buy"]
    reach_mm: tuple[float, ...] = ()


def bill(build: Build, mapping: Mapping, bought: frozenset[str]) -> tuple[Needed, ...]:
    """What a map of a build takes, in the order of the file: `bought` are keys of what is not there
    yet and not owned."""
    wired = Wired(build)
    case = wired.build.case
    routes = {r.area: r.length_mm for r in case.routes} if case else {}
    needed = []
    things: tuple[Cable | Adapter | Extension, ...]
    things = (*build.cables, *build.adapters, *build.extensions)
    owned = {t.key: t.owned for t in things}

    def source(key: str) -> Literal["here", "drawer", "buy"]:
        return "buy" if key in bought else "drawer" if owned.get(key) else "here"

    for run in mapping.runs:
        if not run.connections:
            continue
        areas = [place_of(wired.inputs[str(c.socket)]) for c in run.connections]
        reach = tuple(routes[a] + SLACK_MM for a in areas if a in routes)
        needed.append(Needed(key=run.cable, source=source(run.cable), reach_mm=reach))
    needed += [
        Needed(key=k, source=source(k)) for k, connections in mapping.between.items() if connections
    ]
    return tuple(needed)
