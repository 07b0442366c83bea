"""What builders often forget: things that a build either has, or is said not to have."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from ..base.memory import NO_MEMORY, Memory
from .parts import Board, Drive, Fan, Part, UsbLoad

Topic = Literal[
    "cooling", "fans", "storage", "usb", "pump", "lights", "second-lead", "extras", "front-panel"
]


@dataclass(frozen=True, slots=True)
class Forgettable:
    """One thing that is often forgotten: in words, where a builder looks, and whether it nearly
    always draws, so that a tally without it is one of at least so many watts."""

    words: str
    look: str
    draws: bool
    #: Whether a part speaks of it.
    spoken_by: Callable[[Part], bool]
    #: The kind of part without which it is nothing that could be forgotten.
    only_with: str = ""


def _is(*kinds: str) -> Callable[[Part], bool]:
    return lambda part: part.kind in kinds


def _cools(part: Part) -> bool:
    """A liquid cooler, a pump, or a fan that is called a cooler's."""
    words = set(re.findall("[a-z]+", part.name.lower()))
    of_a_cooler = isinstance(part, Fan) and not words.isdisjoint({"cooler", "heatsink"})
    return part.kind in ("cooler", "pump") or of_a_cooler


def _stores(part: Part) -> bool:
    """A drive that keeps what is written: a disc or floppy drive by itself is none."""
    return part.kind == "m2" or (isinstance(part, Drive) and part.form in ("3.5", "2.5"))


def _second_lead(part: Part) -> bool:
    """A board with two processor sockets speaks of the second; one fed from 5 V has none."""
    return isinstance(part, Board) and sum(s.kind.startswith("eps") for s in part.sockets) != 1


def _extras(part: Part) -> bool:
    """A board with a socket besides its main plug's and its processor's."""
    return isinstance(part, Board) and any(
        not s.kind.startswith(("eps", "atx")) for s in part.sockets
    )


#: In the order in which they weigh. Source: what builds are found to lack at the bench.
FORGOTTEN: dict[Topic, Forgettable] = {
    "cooling": Forgettable(
        "processor cooling",
        "The cooler's own fan and pump draw, and hang on a header or a plug.",
        True,
        _cools,
        only_with="processor",
    ),
    "fans": Forgettable(
        "fans",
        "Count those that came in the case.",
        True,
        lambda p: isinstance(p, Fan) and not _cools(p),
    ),
    "storage": Forgettable(
        "storage", "What it starts from, and where the data goes.", True, _stores
    ),
    "usb": Forgettable(
        "USB",
        "Keyboard, mouse, receivers, cameras: what hangs on the board's ports.",
        True,
        _is("usb"),
    ),
    "pump": Forgettable(
        "a pump", "Of a loop, or of a liquid cooler.", False, _is("pump", "cooler")
    ),
    "lights": Forgettable(
        "lights and their hub", "Strips, lit fans, and what feeds them.", False, _is("strip")
    ),
    "second-lead": Forgettable(
        "a second processor lead",
        "Many boards have a second socket beside the first.",
        False,
        _second_lead,
        only_with="board",
    ),
    "extras": Forgettable(
        "the board's extra sockets",
        "A 6-pin or a peripheral socket near the slots.",
        False,
        _extras,
        only_with="board",
    ),
    "front-panel": Forgettable(
        "the front panel",
        "Its USB ports, a card reader, a screen.",
        False,
        lambda p: isinstance(p, UsbLoad) and "front" in p.name.lower(),
    ),
}


def _spoken_by(part: Part) -> frozenset[Topic]:
    return frozenset(t for t, f in FORGOTTEN.items() if f.spoken_by(part))


def unspoken(
    parts: tuple[Part, ...], none_here: tuple[Topic, ...], memory: Memory = NO_MEMORY
) -> tuple[Topic, ...]:
    """The topics that a build neither has parts of nor is said to be without; none of an empty
    build, which has yet to begin."""
    if not parts:
        return ()
    kinds = {"", *(p.kind for p in parts)}
    spoken = {t for p in parts for t in memory.of(_spoken_by, (p,))}
    return tuple(
        t
        for t, f in FORGOTTEN.items()
        if f.only_with in kinds and t not in spoken and t not in none_here
    )
