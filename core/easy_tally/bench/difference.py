"""What has to come out and what has to go in, so that a machine as it stands becomes what is
wanted; and nothing else."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Collection, Iterator, Mapping
from dataclasses import dataclass, field

from ..things.adapters import Adapter, Extension
from .covers import Known, Over, Overs, alike, target_of
from .machine import Machine, rides
from .record import FIXED, UNSEEN, Standing, detail, owner


@dataclass(slots=True)
class Difference:
    """Ends and individuals that come out, each with why it does where it comes back; those that go
    in; what lies over them; what nobody knows of that."""

    out: dict[str, str]
    into: dict[str, str]
    #: End that is moved → what lies over it.
    over: dict[str, list[Over]] = field(default_factory=dict)
    asked: list[Over] = field(default_factory=list)

    def comes_back(self, end: str) -> bool:
        """Whether what comes out goes in again."""
        return end in self.into


class _Closing:
    """What comes out, closed under what has to come out for it."""

    def __init__(
        self, machine: Machine, stands: Standing, known: Known, closed: Collection[str]
    ) -> None:
        self.machine, self.stands, self.known = machine, stands, known
        self.on_top = Overs(stands, known, closed)
        self.where = {e: p for e, p in stands.where.items() if p != UNSEEN}
        #: Individual → the lead or supply end by which it hangs on something.
        self.hangs = hanging(self.where, known)
        self.resting: dict[str, list[str]] = defaultdict(list)
        self.at: dict[str, list[str]] = defaultdict(list)
        for end, place in self.where.items():
            if end == owner(end):
                self.resting[owner(place)].append(end)
            else:
                self.at[owner(end)].append(end)
                self.at[owner(place)].append(end)
        for end, place in machine.fixed.items():
            if owner(place) in self.where:
                self.hangs.setdefault(owner(end), owner(place))
        self.out: dict[str, str] = {}
        self.over: dict[str, list[Over]] = {}

    def run(self) -> Difference:
        """Everything that comes out and goes in."""
        wanted = self.machine.where
        for end, place in self.where.items():
            if detail(place) == FIXED:
                continue
            if not (end in wanted and self.stands.is_at(end, wanted[end])):
                self.out[end] = ""
        moved = [e for e in wanted if e not in self.where and detail(wanted[e]) != FIXED]
        todo = list(self.out)
        todo += self._reach([*todo, *moved])
        while todo:
            more = dict(self._because_of(todo))
            todo = [end for end in more if end not in self.out]
            self.out |= {end: more[end] for end in todo}
            todo += self._reach(todo)
        into = {
            e: p
            for e, p in wanted.items()
            if detail(p) != FIXED and (e in self.out or e not in self.where)
        }
        # What nobody saw may be in what is lifted: it is looked for before that.
        lifts = any(end == owner(end) for end in self.out)
        unseen = [e for e, p in self.stands.where.items() if p == UNSEEN]
        self.out |= dict.fromkeys((e for e in unseen if lifts or e not in wanted), "")
        return Difference(out=self.out, into=into, over=self.over, asked=self._asked())

    def _asked(self) -> list[Over]:
        told = {(alike(o.thing), o.target): o for several in self.over.values() for o in several}
        # Who has just put it there knows.
        stood = (o for o in told.values() if self.stands.when.get(o.end, -1) < self.stands.begun)
        return [o for o in stood if o.covers is None and o.end not in self.out]

    def _reach(self, ends: list[str]) -> list[str]:
        """What lies over places that are to be reached, and so comes out first."""
        on_top: list[str] = []
        for end in ends:
            for place in {self.where.get(end), self.machine.where.get(end)} - {None, UNSEEN}:
                on_top += self._over(end, str(place))
        return on_top

    def _over(self, end: str, place: str) -> Iterator[str]:
        target = target_of(end, place, self.known)
        if target is None:
            return
        for over in self.on_top.of(target, place):
            if over.end == end:
                continue
            self.over.setdefault(end, []).append(over)
            if over.covers and over.end not in self.out:
                self.out[over.end] = over.target
                yield over.end

    def _because_of(self, ends: list[str]) -> Iterator[tuple[str, str]]:
        """What comes out because these do."""
        for end in ends:
            if end != owner(end):
                continue
            for rider in self.resting[end]:
                thing = self.known.get(rider)
                if thing is None or not rides(thing.of):
                    yield rider, "base"
            yield from ((link, "apart") for link in self._torn(end))

    def _torn(self, lifted: str) -> Iterator[str]:
        """Ends that would be torn where something is lifted: one side moves, the other does not, or
        is lifted by itself."""
        moving = [lifted]
        for thing in moving:
            moving += [r for r in self.resting[thing] if r not in self.out or r == lifted]
            moving += [c for c, on in self.hangs.items() if on == thing]
        for thing in moving:
            for end in self.at[thing]:
                place = self.where[end]
                if self._carrier(owner(end)) != self._carrier(owner(place)):
                    yield end

    def _carrier(self, thing: str) -> str:
        """What is lifted with a thing on it, or the thing itself where it stays."""
        seen: set[str] = set()
        at = thing
        while at not in seen:
            seen.add(at)
            if at in self.out:
                return at
            nearer = self.hangs.get(at) or owner(self.where.get(at, ""))
            if not nearer:
                break
            at = nearer
        return ""


def hanging(where: Mapping[str, str], known: Known) -> dict[str, str]:
    """Individual → what it hangs on by a lead or its supply end: a cable on its supply, what is in
    between on the cable that is plugged into it."""
    hangs = {owner(end): owner(place) for end, place in where.items() if ">" in end}
    for end, place in where.items():
        into = known.get(owner(place))
        if end != owner(end) and into and isinstance(into.of, Adapter | Extension):
            hangs.setdefault(owner(place), owner(end))
    return hangs


def difference(
    machine: Machine, stands: Standing, known: Known, closed: Collection[str]
) -> Difference:
    """What comes out of a machine as it stands, and goes into it. `known`: every individual that
    stands or is wanted; `closed`: cards whose plugs can't be reached once they stand."""
    return _Closing(machine, stands, known, closed).run()
