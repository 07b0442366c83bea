"""From the map that is there to another: what goes out of what and into what, cable by cable, and
what goes back into whose bag; and the cables that a map takes."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Run
from ..wiring import Wired
from ..wiring.areas import SLACK_MM, place_of
from .solve import Mapping

Does = Literal["goes out", "changes", "comes in", "stays"]


@dataclass(frozen=True, slots=True, kw_only=True)
class EndMove:
    """One plug out of an input, into another, or both: by their refs, empty where it hangs."""

    plug: str
    out_of: str = ""
    into: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Swap:
    """What changes of one cable, or of one thing in between: its plugs, its ports out of and into
    which it goes, and how many plugs stay. What goes out is left with nothing plugged in, what
    comes in had nothing."""

    key: str
    does: Does
    plugs: tuple[EndMove, ...] = ()
    out_of: tuple[str, ...] = ()
    into: tuple[str, ...] = ()
    stays: int = 0

    @property
    def ends(self) -> int:
        """Plugs and port ends that move."""
        return len(self.plugs) + max(len(self.out_of), len(self.into))


#: (plug, half) → the input that it is in, of one carrier.
Ends = dict[tuple[str, str], str]


def ends_of(build: Build) -> dict[str, Ends]:
    """What the plugs of every cable in its ports, and of every thing in between, are in."""
    several = [(r.cable, r.connections) for r in build.runs]
    several += [(t.key, t.connections) for t in build.adapters]
    several += [(t.key, t.connections) for t in build.extensions]
    return {key: {(c.plug, c.half): str(c.socket) for c in cs} for key, cs in several}


_ORDER: tuple[Does, ...] = ("goes out", "changes", "stays", "comes in")


def swaps(build: Build, then: Build) -> tuple[Swap, ...]:
    """What changes between two maps, cable by cable: those that come out for good first, then those
    that are plugged otherwise, then those from the bag; what only stays is among them too."""
    before, after = ends_of(build), ends_of(then)
    now, new = {r.cable: r for r in build.runs}, {r.cable: r for r in then.runs}
    several = [_swap(k, before, after, now, new) for k in dict.fromkeys((*before, *after))]
    some = [s for s in several if s.ends or s.stays]
    return tuple(sorted(some, key=lambda s: _ORDER.index(s.does)))


def _swap(
    key: str,
    before: dict[str, Ends],
    after: dict[str, Ends],
    now: dict[str, Run],
    new: dict[str, Run],
) -> Swap:
    was, will = before.get(key, {}), after.get(key, {})
    plugs = tuple(
        EndMove(plug=end[0], out_of=was.get(end, ""), into=will.get(end, ""))
        for end in dict.fromkeys((*was, *will))
        if was.get(end) != will.get(end)
    )
    out_of, into = _ports(now.get(key)), _ports(new.get(key))
    same = out_of == into
    does: Does = "changes"
    if same and not plugs:
        does = "stays"
    elif not will and not into:
        does = "goes out"
    elif not was and not out_of:
        does = "comes in"
    return Swap(
        key=key,
        does=does,
        plugs=plugs,
        out_of=() if same else out_of,
        into=() if same else into,
        stays=sum(was[end] == ref for end, ref in will.items() if end in was),
    )


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
