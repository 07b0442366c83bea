"""A step of the work, and what all that make steps share: how things are called, and how acts on
several alike become one step."""

from __future__ import annotations

from collections import Counter
from collections.abc import Collection, Iterable, Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property
from hashlib import sha256

from ..analysis import Analysis
from ..analysis.of_fit import fit_checks
from ..things.individuals import Individual
from ..wiring import Wired
from .covers import Known
from .difference import Difference, difference
from .joints import Joint, Look
from .machine import Machine
from .order import Group
from .record import Act, Standing, owner


@dataclass(frozen=True, slots=True)
class AnswerOfStep:
    """One of the answers that a step asks for, and the acts that it stands for."""

    id: str
    words: str
    acts: tuple[Act, ...]


@dataclass(frozen=True, slots=True)
class Shown:
    """Something to be photographed, and the places that are seen on it."""

    words: str
    places: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """One step: a stable id, what to do, why, what may hurt, what to look at, and the joint that it
    makes where it makes one. `note`: what is to be noted there, as its label."""

    id: str
    group: Group
    title: str
    text: tuple[str, ...] = ()
    caution: str = ""
    looks: tuple[Look, ...] = ()
    joint: Joint | None = None
    note: str = ""
    #: What the record says once it is done, of each individual.
    acts: tuple[Act, ...] = ()
    #: Where one of several is to be chosen: a tick is one of them.
    answers: tuple[AnswerOfStep, ...] = ()
    #: Sockets, ports and headers that it is about: photographs of them belong to it.
    places: tuple[str, ...] = ()
    #: What may be photographed there, each with the places that such a photo shows.
    shows: tuple[Shown, ...] = ()

    @property
    def of(self) -> str:
        """A mark of the very things that it is about: a step on others has another."""
        said = [*self.acts, *(a for x in self.answers for a in x.acts)]
        return sha256(repr(sorted(said)).encode()).hexdigest()[:16]


class Bench:
    """All that steps are made of: a machine as it is wanted, how it stands, the difference."""

    def __init__(self, a: Analysis, stands: Standing, known: Known) -> None:
        self.a = a
        self.stands = stands
        self.machine = Machine(a.wired)
        #: Of every individual what is known; of those in the build as it is now.
        self.known: dict[str, Individual] = {**known, **self.machine.of}
        self.closed: Collection[str] = tuple(
            one
            for c in fit_checks(a)
            if c.id == "plug-room" and c.status == "fail"
            for one in self.machine.instances(c.part)
        )

    @property
    def wired(self) -> Wired:
        """The build's wiring."""
        return self.a.wired

    @cached_property
    def difference(self) -> Difference:
        """What comes out and what goes in."""
        return difference(self.machine, self.stands, self.known, self.closed)

    # -- how things are called -------------------------------------------------------------

    @cached_property
    def _twice(self) -> Mapping[str, set[str]]:
        """Name, and which of several → individuals that stand or are wanted and go by it."""
        at_hand = {*self.machine.of, *(owner(e) for e in self.stands.where), *self.stands.loose}
        named: dict[str, set[str]] = {}
        for thing in at_hand:
            if thing in self.known:
                named.setdefault(self._name(thing), set()).add(thing)
        return named

    def _name(self, thing: str) -> str:
        one = self.known[thing]
        return f"{one.of.name} {one.instance}"

    def called(self, thing: str) -> str:
        """How an individual is called; two of one name, of which one leaves, are told apart."""
        if thing not in self.known:
            return "what was there before"
        name = str(self.known[thing].of.name)
        several = self._twice.get(self._name(thing), set())
        gone = several - self.machine.of.keys()
        if len(several) > len(gone) > 0:
            return f"the {'old' if thing in gone else 'new'} {name}"
        return name

    def some(self, things: Iterable[str]) -> str:
        """Several that are alike, called by their number where they are all or alone, else one by
        one."""
        listed = list(things)
        name = self.called(listed[0])
        one = self.known.get(listed[0])
        count = getattr(one.of, "count", 1) if one else 1
        if count == len(listed) or one is None:
            if name.startswith("the ") and listed[1:]:  # the 3 old disks
                _, age, plain = name.split(" ", 2)
                return f"the {len(listed)} {age} {plain}"
            return f"{len(listed)} × {name}" if listed[1:] else name
        numbers = [str(self.known[t].instance) for t in listed if t in self.known]
        last = f"{', '.join(numbers[:-1])} and {numbers[-1]}" if numbers[1:] else numbers[0]
        return f"{name} {last}"

    def place(self, place: str) -> str:
        """How a socket, a port, a header is called."""
        whose, _, which = place.partition("/")
        thing = self.known.get(whose)
        if thing is None:
            return which or "its place"
        ref = f"{thing.key}#{thing.instance}/{which}"
        if whose in self.machine.of and ref in self.wired.inputs:
            return self.wired.words(ref)
        count = getattr(thing.of, "count", 1)
        number = f" {thing.instance}" if count > 1 else ""
        return f"{self.called(whose)}{number}" + (f" · {which}" if which else "")


def alike(things: Iterable[str]) -> Iterator[list[str]]:
    """Ends or individuals, those of instances of one part together."""
    groups: dict[str, list[str]] = {}
    for end in things:
        head, _, tail = end.partition("#")
        rest = tail.partition("/")[2]
        groups.setdefault(f"{head}/{rest}", []).append(end)
    yield from groups.values()


def counted(names: Iterable[str]) -> str:
    """Names in a line, each once with how many."""
    several = Counter(names)
    return ", ".join(f"{name}, {n} of them" if n > 1 else name for name, n in several.items())
