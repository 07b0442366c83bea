"""What an edit takes the ground from: connections, and parts on hubs, headers and in slots.

Each is named, so that a builder consents before it goes.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, TypeVar

from ..base.declared import Model
from ..things.build import Build
from ..things.cables import Run
from ..things.parts import IN_SLOTS, ON_HEADER, Board, Hub, Part
from ..wiring import Wired

_T = TypeVar("_T", bound=Model)


def let_go(before: Build, parts: tuple[Part, ...]) -> tuple[tuple[Part, ...], list[str]]:
    """The parts without what they held on to before and can't hold on to now."""
    board = next((p for p in parts if isinstance(p, Board)), None)
    hubs = {p.key: p for p in parts if isinstance(p, Hub)}
    places: dict[str, set[str]] = {
        "card": {s.key for s in board.slots} if board else set(),
        "m2": {s.key for s in board.m2_slots or ()} if board else set(),
    }
    kept: list[Part] = []
    lost: list[str] = []
    for part in parts:
        old = before.part(part.key)
        if isinstance(part, IN_SLOTS) and isinstance(old, IN_SLOTS) and part.slot == old.slot:
            if part.slot is not None and part.slot not in places[part.kind]:
                lost.append(f"{part.name} from {part.slot}")
                part = part.model_copy(update={"slot": None})
        elif isinstance(part, ON_HEADER) and isinstance(old, ON_HEADER):
            if part.on is not None and part.on == old.on and part.on not in hubs:
                hub = before.part(part.on)
                lost.append(f"{part.name} from {hub.name if hub else part.on}")
                part = part.model_copy(update={"on": None, "headers": ()})
            outputs = hubs[part.on].outputs if part.on in hubs else board.headers if board else ()
            there = {h.key for h in outputs}
            if part.headers == old.headers and not set(part.headers) <= there:
                gone = [k for k in part.headers if k not in there]
                lost.append(f"{part.name} from {', '.join(gone)}")
                stays = tuple(k for k in part.headers if k in there)
                part = part.model_copy(update={"headers": stays})
        kept.append(part)
    return tuple(kept), lost


def surviving(bare: Build, kept: list[Run], run: Run, before: Wired) -> tuple[list[Run], list[str]]:
    """What of a run still holds in `bare` beside the runs `kept`, and what it lets go of."""
    cable = before.cables.get(run.cable)
    name = cable.name if cable else run.cable
    seated = run.model_copy(update={"connections": ()})
    if not _holds(bare, [*kept, seated]):
        feeds = [f"{name} from {before.words(str(c.socket))}" for c in run.connections]
        return [], feeds or [f"{name} from its port"]
    lost: list[str] = []
    for c in run.connections:
        more = seated.model_copy(update={"connections": (*seated.connections, c)})
        if _holds(bare, [*kept, more]):
            seated = more
        else:
            lost.append(f"{name} from {before.words(str(c.socket))}")
    if not cable or cable.needs or seated.connections:
        return [seated], lost
    return [], lost


def _holds(bare: Build, runs: list[Run]) -> bool:
    return not bare.model_copy(update={"runs": tuple(runs)}).problems()


# -- what stands in between --------------------------------------------------------------------

#: Fields of a build that hold what stands in between.
BETWEEN = ("adapters", "extensions", "backplanes")


def unplugged(thing: _T) -> _T:
    """A thing in between without what it is plugged into."""
    return thing.model_copy(update={"connections": ()})


def replugged(
    bare: Build, between: Mapping[str, tuple[Any, ...]], before: Wired
) -> tuple[Build, list[str]]:
    """`bare` with all that still holds of what its things in between are plugged into, and what
    they let go of."""
    lost: list[str] = []
    for name, things in between.items():
        for i, thing in enumerate(things):
            for c in thing.connections:
                now = getattr(bare, name)
                more = now[i].model_copy(update={"connections": (*now[i].connections, c)})
                tried = bare.model_copy(update={name: (*now[:i], more, *now[i + 1 :])})
                if tried.problems():
                    lost.append(f"{thing.name} from {before.words(str(c.socket))}")
                else:
                    bare = tried
    return bare, lost
