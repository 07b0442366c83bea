"""What builders often forget: things that a build either has, or is said not to have."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from .parts import Board, Drive, Fan, Part, UsbLoad

Topic = Literal[
    "cooling", "fans", "storage", "usb", "pump", "lights", "second-lead", "extras", "front-panel",
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class Forgettable:
    """One thing that is often forgotten: in words, where a builder looks, and whether it nearly
    always draws, so that a tally without it is one of at least so many watts."""

    words: str
    look: str
    draws: bool
    #: Whether some parts speak of it.
    spoken_of: Callable[[tuple[Part, ...]], bool]


def _any(*kinds: str) -> Callable[[tuple[Part, ...]], bool]:
    return lambda parts: any(p.kind in kinds for p in parts)


def _cools(part: Part) -> bool:
    """A liquid cooler, a pump, or a fan that is called a cooler's."""
    words = set(re.findall("[a-z]+", part.name.lower()))
    of_a_cooler = isinstance(part, Fan) and not words.isdisjoint({"cooler", "heatsink"})
    return part.kind in ("cooler", "pump") or of_a_cooler


def _stores(part: Part) -> bool:
    """A drive that keeps what is written: a disc or floppy drive by itself is none."""
    return part.kind == "m2" or (isinstance(part, Drive) and part.form in ("3.5", "2.5"))


def _second_lead(parts: tuple[Part, ...]) -> bool:
    """A board with two processor sockets speaks of the second; one fed from 5 V has none."""
    own = [[s.kind for s in p.sockets if s.kind.startswith("eps")] for p in parts
           if isinstance(p, Board)]  # fmt: skip
    return not own or any(len(kinds) != 1 for kinds in own)


def _extras(parts: tuple[Part, ...]) -> bool:
    """A board with a socket besides its main plug's and its processor's."""
    boards = [p for p in parts if isinstance(p, Board)]
    return not boards or any(
        not s.kind.startswith(("eps", "atx")) for b in boards for s in b.sockets
    )


#: In the order in which they weigh. Source: what builds are found to lack at the bench.
FORGOTTEN: dict[Topic, Forgettable] = {
    "cooling": Forgettable(
        "processor cooling", "The cooler's own fan and pump draw, and hang on a header or a plug.",
        True, lambda ps: not _any("processor")(ps) or any(_cools(p) for p in ps),
    ),
    "fans": Forgettable("fans", "Count those that came in the case.", True,
        lambda ps: any(isinstance(p, Fan) and not _cools(p) for p in ps)),
    "storage": Forgettable(
        "storage", "What it starts from, and where the data goes.", True,
        lambda ps: any(_stores(p) for p in ps),
    ),
    "usb": Forgettable(
        "USB", "Keyboard, mouse, receivers, cameras: what hangs on the board's ports.", True,
        _any("usb"),
    ),
    "pump": Forgettable(
        "a pump", "Of a loop, or of a liquid cooler.", False, _any("pump", "cooler")),
    "lights": Forgettable(
        "lights and their hub", "Strips, lit fans, and what feeds them.", False, _any("strip")),
    "second-lead": Forgettable(
        "a second processor lead", "Many boards have a second socket beside the first.", False,
        _second_lead,
    ),
    "extras": Forgettable(
        "the board's extra sockets", "A 6-pin or a peripheral socket near the slots.", False,
        _extras,
    ),
    "front-panel": Forgettable(
        "the front panel", "Its USB ports, a card reader, a screen.", False,
        lambda ps: any(isinstance(p, UsbLoad) and "front" in p.name.lower() for p in ps),
    ),
}  # fmt: skip


def unspoken(parts: tuple[Part, ...], none_here: tuple[Topic, ...]) -> tuple[Topic, ...]:
    """The topics that a build neither has parts of nor is said to be without; none of an empty
    build, which has yet to begin."""
    if not parts:
        return ()
    return tuple(t for t, f in FORGOTTEN.items() if t not in none_here and not f.spoken_of(parts))
