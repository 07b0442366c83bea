"""What is never allowed to be connected, whatever flows: named when it is refused.

It is told by what the ends in the end are, through any chain of adapters and extensions. The same
rules hold a finished map, a plug that is about to go in, a cable as the solver would use it, and an
adapter by itself.

Source: model, section 4.6: a processor's plug for a graphics socket or the other way round; SATA to
graphics; moulded 4-pin to SATA; leads of an adapter on one cable, or beside another load of it;
keying: the second 4 of a 4+4.
"""

from __future__ import annotations

from collections.abc import Callable, Collection, Iterable, Iterator
from dataclasses import dataclass
from typing import Literal, NamedTuple

from ..standards.connectors import CONNECTORS, PLUGS, SocketKind, is_of
from ..things.adapters import Adapter, Backplane, Extension
from ..things.cables import Cable, Plug
from . import wording
from .between import Between, between_of
from .wired import Carrier, Feed, Input, Wired, WiredRun


class Step(NamedTuple):
    """Something in between on a path, and which of its leads is gone into. `one` tells it from
    others that are alike."""

    of: Between
    lead: str
    one: str


class Path(NamedTuple):
    """One way from a plug on to where it ends: every kind that it is mated with on the way, the
    last one its end, and what it goes through between two of them."""

    plug: str
    kinds: tuple[SocketKind, ...]
    steps: tuple[Step, ...]


@dataclass(frozen=True, slots=True)
class Breach:
    """Something that is never allowed: of what in between (its key), why, and in words."""

    of: str
    why: Literal["processor and graphics", "sata to graphics", "moulded", "own cable"]
    words: str


# -- the rules ---------------------------------------------------------------------------------


def breaches(paths: Collection[Path]) -> tuple[Breach, ...]:
    """What is never allowed of all that one cable is plugged into, by its paths."""
    breaches = [b for path in paths for b in _of_path(path)]
    breaches += _of_cable(paths)
    return tuple(dict.fromkeys(breaches))


def _of_path(path: Path) -> Iterator[Breach]:
    """What is wrong with one path, whatever else its cable feeds."""
    for i, step in enumerate(path.steps):
        before, after, between = path.kinds[: i + 1], path.kinds[i + 1], step.of
        end = CONNECTORS[after]
        if end.apart_from is not None:
            kind = next((k for k in before if is_of(k, end.apart_from)), None)
            if kind is not None:
                words = wording.crossed(between, kind, after)
                yield Breach(between.key, "processor and graphics", words)
        weak = next((k for k in before if CONNECTORS[k].too_little_for == end.family), None)
        if weak is not None:
            yield Breach(between.key, "sata to graphics", wording.too_little(between, weak))
        if CONNECTORS[before[-1]].burns_moulded_to == after and _moulded(between):
            yield Breach(between.key, "moulded", wording.burns(between))


def _of_cable(paths: Iterable[Path]) -> Iterator[Breach]:
    """Leads of one adapter on one cable, and a lead of one that feeds graphics beside another
    graphics load: each lead needs a cable of its own."""
    every = list(paths)
    leads: dict[str, set[str]] = {}
    for path in every:
        for step in path.steps:
            if isinstance(step.of.of, Adapter):
                leads.setdefault(step.one, set()).add(step.lead)
    graphics = [p for p in every if any(is_of(k, "graphics") for k in p.kinds)]
    for path in every:
        for i, step in enumerate(path.steps):
            if not isinstance(step.of.of, Adapter):
                continue
            shared = len(leads[step.one]) > 1
            if not shared and any(is_of(k, "graphics") for k in path.kinds[i + 1 :]):
                shared = any(all(s.one != step.one for s in p.steps) for p in graphics)
            if shared:
                yield Breach(step.of.key, "own cable", wording.own_cable(step.of))


def never(between: Between) -> Breach | None:
    """What is wrong with a thing in between by itself, whatever it feeds."""
    if isinstance(between.of, Backplane):
        return None
    alone = (
        Path("", (s.kind, PLUGS[p.kind].whole), (Step(between, s.key, between.key),))
        for s in between.sockets
        for p in between.plugs
        if s.key in between.fed_by[p.key]
    )
    return next((b for path in alone for b in _of_path(path)), None)


def never_made(thing: Adapter | Extension) -> str:
    """Why an adapter may be in no catalogue and no build: from a processor's plug to a graphics one
    or the other way round, or from SATA to graphics. Empty where it may. A moulded one is known,
    and refused where it is to be plugged in."""
    breach = never(between_of(thing))
    return breach.words if breach and breach.why != "moulded" else ""


def _moulded(between: Between) -> bool:
    return isinstance(between.of, Adapter) and between.of.moulded is True


def may_be_moulded(between: Between) -> bool:
    """Whether it is an adapter from 4-pin to SATA of which nobody says if it is moulded."""
    return (
        isinstance(between.of, Adapter)
        and between.of.moulded is None
        and any(
            CONNECTORS[s.kind].burns_moulded_to == PLUGS[p.kind].whole
            for s in between.sockets
            for p in between.plugs
        )
    )


# -- a map -------------------------------------------------------------------------------------

#: What a plug of a carrier is in: the kind that it is mated with, and the input.
_Uses = Callable[[Carrier, Plug], list[tuple[SocketKind, Input]]]


def never_allowed(wired: Wired, run: WiredRun) -> tuple[str, ...]:
    """Why a run, with all that it is plugged into, is never allowed; empty where it is."""
    keyed = (f for f in (*run.feeds, *wired.beyond(run)) if f.half == "loose")
    refused = [wording.keyed(wired, f) for f in keyed]
    if any(f.input.between for f in run.feeds):
        refused += [b.words for b in breaches(_paths_of(run.cable, _as_plugged(wired)))]
    return tuple(dict.fromkeys(refused))


def _as_plugged(wired: Wired) -> _Uses:
    return lambda of, plug: [(f.mated, f.input) for f in wired.uses_of(of.key, plug.key)]


def _paths_of(cable: Cable, uses: _Uses) -> list[Path]:
    return [
        path
        for plug in cable.plugs
        for kind, into in uses(cable, plug)
        for path in _onward(plug.key, kind, into, uses)
    ]


def _onward(plug: str, kind: SocketKind, into: Input, uses: _Uses) -> Iterator[Path]:
    """The paths from a plug that is in an input."""
    between = into.between
    if between is None or between.is_backplane:
        yield Path(plug, (kind,), ())
        return
    step = Step(between, into.socket.key, between.key)
    for p in between.plugs:
        if into.socket.key not in between.fed_by[p.key]:
            continue
        further = [path for k, i in uses(between, p) for path in _onward(plug, k, i, uses)]
        for path in further or [Path(plug, (PLUGS[p.kind].whole,), ())]:
            yield Path(plug, (kind, *path.kinds), (step, *path.steps))


def nobody_says(wired: Wired, run: WiredRun) -> tuple[str, ...]:
    """What on the way of a run would never be allowed, if it is what nobody says."""
    return tuple(map(wording.nobody_says, unsaid(wired, run)))


def unsaid(wired: Wired, run: WiredRun) -> tuple[Between, ...]:
    """What on the way of a run is moulded or crimped, and nobody says which."""
    return tuple(
        between for between in _on_the_way(wired, run.feeds).values() if may_be_moulded(between)
    )


def _on_the_way(wired: Wired, feeds: tuple[Feed, ...]) -> dict[str, Between]:
    on_the_way: dict[str, Between] = {}
    for feed in feeds:
        between = feed.input.between
        if between is not None and between.key not in on_the_way:
            on_the_way[between.key] = between
            on_the_way |= _on_the_way(wired, wired.onward(feed.input))
    return on_the_way


# -- a plug that is about to go in ---------------------------------------------------------------


def why_never(wired: Wired, carrier: Carrier, plug: Plug, into: Input, mated: SocketKind) -> str:
    """Why a plug may never go into an input as things are plugged now; empty where it may."""
    if _feeds(wired, into, carrier):
        return wording.itself(carrier)
    if not wired.betweens:
        return ""
    now, then = _as_plugged(wired), _with(wired, carrier, plug, into, mated)
    cables = [carrier] if isinstance(carrier, Cable) else _cables_to(wired, carrier)
    for cable in cables:
        before = set(breaches(_paths_of(cable, now)))
        for breach in breaches(_paths_of(cable, then)):
            if breach not in before:
                return _refusal(wired, breach, cable, carrier, into)
    for lead in _leads_of(wired, carrier) if not cables else ():  # nothing feeds it yet
        for breach in breaches(list(_onward("", lead.socket.kind, lead, then))):
            return f"{breach.words}."
    return ""


def _feeds(wired: Wired, into: Input, carrier: Carrier) -> bool:
    """Whether an input is one of a thing itself, or leads back to it."""
    return into.between is not None and (
        into.between is carrier or any(_feeds(wired, f.input, carrier) for f in wired.onward(into))
    )


def _with(wired: Wired, carrier: Carrier, plug: Plug, into: Input, mated: SocketKind) -> _Uses:
    """What plugs are in once one more is: it leaves where it was, and so does what was there."""
    now = _as_plugged(wired)

    def uses(carrier_: Carrier, own: Plug) -> list[tuple[SocketKind, Input]]:
        if carrier_ is carrier and own.key == plug.key:
            return [(mated, into)]
        return [(k, i) for k, i in now(carrier_, own) if i.ref != into.ref]

    return uses


def _leads_of(wired: Wired, carrier: Carrier) -> list[Input]:
    return wired.leads_of(carrier) if isinstance(carrier, Between) else []


def _cables_to(wired: Wired, between: Between) -> list[Cable]:
    cables = (c for lead in wired.leads_of(between) for c in wired.cables_to(lead.ref))
    return list({c.key: c for c in cables}.values())


def _refusal(wired: Wired, b: Breach, cable: Cable, carrier: Carrier, into: Input) -> str:
    if b.why != "own cable":
        return f"{b.words}."
    between = wired.betweens[b.of]
    other = into
    if b.of in _on_the_way_of(wired, into):
        others = (f for f in wired.feeds.values() if f.cable is cable and f.input is not into)
        other = next(
            (f.input for f in others if is_of(f.mated, "graphics") or f.input.between), into
        )
    return wording.would_share(wired, between, cable, other)


def _on_the_way_of(wired: Wired, into: Input) -> set[str]:
    """Keys of what stands in between from an input on."""
    if into.between is None:
        return set()
    further = (_on_the_way_of(wired, f.input) for f in wired.onward(into))
    return {into.between.key}.union(*further)
