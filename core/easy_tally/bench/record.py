"""What has happened to a machine, and how it stands by that: derived, never set."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field
from datetime import datetime
from typing import Literal, NamedTuple, get_args

ActKind = Literal[
    "found",
    "mounted",
    "taken out",
    "plugged",
    "led",
    "unplugged",
    "looked at",
    "put away",
    "covers",
    "clear",
    "made safe",
    "tied",
    "looked over",
    "started",
    "measured",
]
ACTS: tuple[str, ...] = get_args(ActKind)
#: Stands for the whole, where an act is about no single thing.
MACHINE = "machine"
#: Where something is of which nobody could see where.
UNSEEN = "?"
#: A place of a fixed cable: it comes and goes with its supply.
FIXED = "fixed"
#: What stands for a case, a board, a supply of which the build says nothing.
UNNAMED = ("case", "board", "supply")
_IN = ("found", "mounted", "plugged", "led")


class Act(NamedTuple):
    """One act on an individual. `thing` is the individual, or an end of it: `cable/plug`,
    `cable>` (its supply end), `fan#2/lead`; `place` where it then is: an individual, or a socket,
    a port, a header, a slot of it after a `/`; of a look what was looked at."""

    act: ActKind
    thing: str
    place: str = ""


class Noted(NamedTuple):
    """One entry of a record: what was ticked or found, and the acts that it tells of."""

    step: str
    kind: str
    at: datetime
    who: str = ""
    version: int = 1
    words: str = ""
    acts: tuple[Act, ...] = ()


def owner(place: str) -> str:
    """The individual that an end or a place is of."""
    return place.split("/", 1)[0].removesuffix(">")


def detail(place: str) -> str:
    """Which socket, port or slot of it; nothing where that is not said."""
    return place.partition("/")[2]


def is_there(stands: str, wanted: str) -> bool:
    """Whether something that is at one place is where it is wanted; a place that names no case, no
    slot, is that which the build names since."""
    if stands == wanted:
        return True
    if owner(stands) != owner(wanted) and owner(stands) not in UNNAMED:
        return False
    return not detail(stands) or not detail(wanted) or detail(stands) == detail(wanted)


@dataclass(slots=True)
class Standing:
    """How a machine stands: where each individual and each end is, what was looked at, and when,
    by the number of the act, what was done to the whole."""

    where: dict[str, str] = field(default_factory=dict)
    #: End → number of the act that brought it there.
    when: dict[str, int] = field(default_factory=dict)
    #: (Individual, what) → number of the look.
    looked: dict[tuple[str, str], int] = field(default_factory=dict)
    #: Individuals that were taken out or unplugged and not put away, in the order of that.
    loose: dict[str, int] = field(default_factory=dict)
    #: (What stands, what it may cover) → whether it does.
    reach: dict[tuple[str, str], bool] = field(default_factory=dict)
    #: What was done to the whole → number of the act.
    whole: dict[str, int] = field(default_factory=dict)
    #: Number of the last act that changed anything, and of the first of the work under way.
    changed: int = -1
    begun: int = 0
    #: Whether it ran since that work was begun.
    ran: bool = False
    acts: int = 0

    def is_at(self, end: str, place: str) -> bool:
        """Whether an end is seen to be at a place."""
        stands = self.where.get(end)
        return stands is not None and stands != UNSEEN and is_there(stands, place)

    def take(self, act: Act) -> None:
        """One act more."""
        n, self.acts = self.acts, self.acts + 1
        kind, thing, place = act
        if kind in _IN:
            self.where[thing], self.when[thing] = place, n
            self.loose.pop(owner(thing), None)
            self.changed = n
            if kind == "found" and (self.ran or "made safe" not in self.whole):
                # It runs: nobody found it so in the middle of a work.
                self.whole |= dict.fromkeys(("started", "looked over", "tied", "measured"), n)
                self.begun, self.ran = n + 1, True
        elif kind in ("taken out", "unplugged"):
            self._out(thing, n)
        elif kind == "looked at":
            self.looked[thing, place] = n
        elif kind == "put away":
            self.loose.pop(thing, None)
        elif kind in ("covers", "clear"):
            self.reach[thing, place] = kind == "covers"
        else:
            if kind == "started":
                self.ran = True
            elif kind == "made safe" and self.ran:
                self.begun, self.ran = n, False
            self.whole[kind] = n

    def _out(self, thing: str, n: int) -> None:
        """What comes out is looked at anew when it goes in again."""
        self.where.pop(thing, None)
        self.when.pop(thing, None)
        whose = owner(thing)
        self.loose[whose] = n
        for at in [at for at in self.looked if at[0] == whose]:
            del self.looked[at]
        if thing == whose:  # a fixed cable goes with its supply
            for end in [e for e, p in self.where.items() if p == f"{thing}/{FIXED}"]:
                del self.where[end]
        self.changed = n


def in_force(record: Iterable[Noted]) -> list[Noted]:
    """The entries of a record that hold, oldest first: a tick that was taken back does not."""
    held: list[Noted] = []
    for entry in sorted(record, key=lambda e: e.at):
        if entry.kind != "undone":
            held.append(entry)
            continue
        back = next(
            (i for i in range(len(held) - 1, -1, -1) if _is_tick(held[i], entry.step)), None
        )
        if back is not None:
            del held[back]
    return held


def _is_tick(entry: Noted, step: str) -> bool:
    return entry.kind == "done" and entry.step == step


def standing(record: Iterable[Noted]) -> Standing:
    """How the machine of a record stands."""
    stands = Standing()
    for entry in in_force(record):
        for act in entry.acts:
            stands.take(act)
    return stands


def under_way(record: Iterable[Noted], stands: Standing) -> list[Noted]:
    """Ticks of the work that is under way, oldest first."""
    ticks: list[Noted] = []
    n = 0
    for entry in in_force(record):
        n += len(entry.acts)
        if entry.kind == "done" and entry.acts and n > stands.begun:
            ticks.append(entry)
    return ticks
