"""What an edit takes the ground from: connections, and parts on hubs, headers and in slots.

Each is named, so that a builder consents before it goes.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, TypeVar

from ..base.declared import Model
from ..things.build import Build
from ..things.cables import Run
from ..things.integrity import Plugging, circles
from ..things.parts import IN_SLOTS, ON_HEADER, Board, Card, Hub, M2Drive, OnHeader, Part
from ..wiring import Wired

_T = TypeVar("_T", bound=Model)


def let_go(before: Build, parts: tuple[Part, ...]) -> tuple[tuple[Part, ...], list[str]]:
    """The parts without what they held on to before and can't hold on to now."""
    holds = _Holds(before, parts)
    kept: list[Part] = []
    lost: list[str] = []
    for part in parts:
        old = before.part(part.key)
        if isinstance(part, IN_SLOTS) and isinstance(old, IN_SLOTS) and part.slot == old.slot:
            part = holds.in_slot(part, lost)
        elif isinstance(part, ON_HEADER) and isinstance(old, ON_HEADER):
            if part.on == old.on:
                part = holds.on_hub(part, lost)
            if part.headers == old.headers:
                part = holds.on_headers(part, lost)
        kept.append(part)
    return tuple(kept), lost


class _Holds:
    """What parts can hold on to: slots of the board, hubs, headers. What one loses is told in
    words."""

    def __init__(self, before: Build, parts: tuple[Part, ...]) -> None:
        self.before = before
        self.board = next((p for p in parts if isinstance(p, Board)), None)
        self.hubs = {p.key: p for p in parts if isinstance(p, Hub)}
        slots, m2 = (self.board.slots, self.board.m2_slots or ()) if self.board else ((), ())
        self.slots = {"card": {s.key for s in slots}, "m2": {s.key for s in m2}}

    def in_slot(self, part: Card | M2Drive, lost: list[str]) -> Card | M2Drive:
        """It without its slot, where that is gone."""
        if part.slot is None or part.slot in self.slots[part.kind]:
            return part
        lost.append(f"{part.name} from {part.slot}")
        return part.model_copy(update={"slot": None})

    def on_hub(self, part: OnHeader, lost: list[str]) -> OnHeader:
        """It on the board, where its hub is gone."""
        if part.on is None or part.on in self.hubs:
            return part
        hub = self.before.part(part.on)
        lost.append(f"{part.name} from {hub.name if hub else part.on}")
        return part.model_copy(update={"on": None, "headers": ()})

    def on_headers(self, part: OnHeader, lost: list[str]) -> OnHeader:
        """It without the headers that are gone."""
        hub = self.hubs.get(part.on) if part.on else None
        outputs = hub.outputs if hub else self.board.headers if self.board else ()
        there = {h.key for h in outputs}
        gone = [k for k in part.headers if k not in there]
        if not gone:
            return part
        lost.append(f"{part.name} from {', '.join(gone)}")
        return part.model_copy(update={"headers": tuple(k for k in part.headers if k in there)})


def surviving(plugging: Plugging, run: Run, before: Wired) -> tuple[Run | None, list[str]]:
    """What of a run still holds beside all that is plugged in already, and what it lets go of."""
    cable, was = plugging.cables.get(run.cable), before.cables.get(run.cable)
    name = was.name if was else run.cable
    if cable is None or plugging.seat(run):
        feeds = [f"{name} from {before.words(str(c.socket))}" for c in run.connections]
        return None, feeds or [f"{name} from its port"]
    kept, lost = [], []
    for c in run.connections:
        if plugging.connect(cable, c):
            lost.append(f"{name} from {before.words(str(c.socket))}")
        else:
            kept.append(c)
    if not kept and not cable.needs:
        return None, lost
    return run.model_copy(update={"connections": tuple(kept)}), lost


# -- what stands in between --------------------------------------------------------------------

#: Fields of a build that hold what stands in between.
BETWEEN = ("adapters", "extensions", "backplanes")


def unplugged(thing: _T) -> _T:
    """A thing in between without what it is plugged into."""
    return thing.model_copy(update={"connections": ()})


def replugged(
    plugging: Plugging, between: Mapping[str, tuple[Any, ...]], before: Wired
) -> tuple[dict[str, tuple[Any, ...]], list[str]]:
    """The things in between with all that still holds of what they are plugged into, and what they
    let go of."""
    things = {x.key: unplugged(x) for kin in between.values() for x in kin}
    lost: list[str] = []
    for thing in (x for kin in between.values() for x in kin):
        for c in thing.connections:
            now = things[thing.key]
            more = now.model_copy(update={"connections": (*now.connections, c)})
            turns = c.socket.part in things and any(circles((things | {now.key: more}).values()))
            if turns or plugging.connect(thing, c):
                lost.append(f"{thing.name} from {before.words(str(c.socket))}")
            else:
                things[thing.key] = more
    return {name: tuple([things[x.key] for x in kin]) for name, kin in between.items()}, lost
