"""Whether a build with something added has a whole map, and which."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterable
from typing import NamedTuple

from ..base.errors import EasyTallyError, NotDecided
from ..editing.taken import Added
from ..standards.connectors import PortKind, SocketKind
from ..things.build import Build
from ..things.fits import goes_into
from ..things.supply import port_takes
from ..wiring import Wired
from .program import Facts, Stopped
from .solve import Mapping, Wish, solve
from .steps import Repair, Step, together
from .why import Tried


class Limited(NamedTuple):
    """A card that may be held lower: what it draws as delivered, and between which watts."""

    key: str
    name: str
    full_w: float
    lowest_w: int
    highest_w: int

    def at(self, watts: int) -> Step:
        """Hold it to so many watts."""
        sets = Added(power_limits={self.key: watts / self.full_w})
        return Step(id="power-limit", name=self.name, watts=watts, sets=sets)


class Going:
    """Tells whether a build with some steps taken has a whole map, and which."""

    def __init__(self, build: Build, stop: Callable[[], bool] | None) -> None:
        self.build, self.stop = build, stop

    def does(self, steps: Iterable[Step], left: frozenset[str] = frozenset()) -> bool:
        """Whether there is a map, `left` inputs apart: the quick question."""
        if self.stop is not None and self.stop():
            raise Stopped
        try:
            build = together(self.build, steps).to(self.build)
        except EasyTallyError:
            return False
        if _too_few_plugs(build, left):
            return False
        tried = Tried(build, partial=bool(left))
        try:
            return tried.feasible(Facts(keep=tried.kept, quick=True, without_needs=left))
        except NotDecided:
            return False

    def by(self, *steps: Step) -> Repair | None:
        """The repair by some steps: the best map after them; None where none is found."""
        if not self.does(steps):
            return None
        added = together(self.build, steps)
        mapping = self._map(added)
        return None if mapping is None else Repair(steps=steps, added=added, found=mapping)

    def highest(self, card: Limited, others: tuple[Step, ...]) -> Step | None:
        """The highest power limit of a card, in whole watts, at which there is a map after some
        other steps; None where there is none at the lowest."""
        low, high = card.lowest_w, card.highest_w
        if not self.does((*others, card.at(low))):
            return None
        while low < high:
            middle = (low + high + 1) // 2
            does = self.does((*others, card.at(middle)))
            low, high = (middle, high) if does else (low, middle - 1)
        return card.at(low)

    def _map(self, added: Added) -> Mapping | None:
        try:
            return solve(added.to(self.build), Wish(quick=True))
        except NotDecided:
            return None


def feeds_all(build: Build) -> bool:
    """Whether all of a build can be fed, whatever is plugged now: the quick question."""
    return Going(build, None).does(())


def _too_few_plugs(build: Build, left: frozenset[str]) -> bool:
    """Whether there are fewer plugs than sockets of some kind, whatever they carry: of the cables
    that have the most as many as there are ports for them, and what splits a plug."""
    wired = Wired(build)
    behind = {str(c.socket) for b in build.backplanes for c in b.connections}
    kinds = Counter(wired.inputs[r].socket.kind for r in wired.needed - left - behind)
    return any(n > _plugs_for(wired, kind) for kind, n in kinds.items())


def _plugs_for(wired: Wired, kind: SocketKind) -> int:
    """The most plugs that can be had for a kind of socket."""
    easy = wired.eps4_in_eps8
    by_need: dict[tuple[PortKind, ...], list[int]] = {}
    for cable in wired.cables.values():
        fitting = sum(goes_into(p.kind, kind, easy) for p in cable.plugs)
        by_need.setdefault(cable.needs, []).append(fitting)
    plugs = 0
    for needs, fitting_plugs in by_need.items():
        ports = [sum(port_takes(p.kind, n) for p in wired.ports.values()) for n in needs]
        most = min(ports) if ports else len(fitting_plugs)
        plugs += sum(sorted(fitting_plugs, reverse=True)[:most])
    for b in wired.betweens.values():
        splits = sum(goes_into(p.kind, kind, easy) for p in b.plugs)
        takes_one = all(s.kind == kind for s in b.sockets)
        plugs += 0 if b.is_backplane else max(splits - takes_one, 0)
    return plugs
