"""Repairs where there is no map: what would have to change, each proven by mapping again."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from typing import Literal

from ..base.errors import EasyTallyError, NotDecided
from ..editing.taken import Added
from ..editing.valid import keys_of
from ..standards.connectors import PortKind, SocketKind
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, SocketRef
from ..things.fits import goes_into
from ..things.parts import Card
from ..things.supply import Supply, port_takes
from ..wiring import Wired
from .program import Facts, Stopped
from .solve import Mapping, Wish, solve
from .why import Tried

#: How many of one thing are tried.
MOST = 3
#: Down to what share of its maker's power limit a card is held.
LOWEST_LIMIT = 0.5

RepairId = Literal["rule", "power-limit", "cable", "adapter", "extension", "supply"]
Thing = Cable | Adapter | Extension


@dataclass(frozen=True, slots=True, kw_only=True)
class InStock:
    """Something that could be had: from the drawer (`owned`), or bought."""

    thing: Thing
    owned: bool
    free: int = MOST


@dataclass(frozen=True, slots=True, kw_only=True)
class OtherSupply:
    """A supply that could be taken, with the cables in its box; best first where there are many."""

    supply: Supply
    cables: tuple[Cable, ...]
    owned: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class Repair:
    """A way to a whole map: what it adds, how many of what, and the map itself. `watts` of a lower
    power limit."""

    id: RepairId
    name: str
    count: int
    owned: bool
    added: Added
    found: Mapping
    watts: int = 0


def repairs(
    build: Build,
    partial: Mapping,
    stock: Iterable[InStock],
    stop: Callable[[], bool] | None = None,
    supplies: Iterable[OtherSupply] = (),
) -> Iterator[Repair]:
    """Repairs, cheapest first: a house rule, a lower power limit, what is owned, what is bought,
    and last another supply."""
    goes = _Going(build, stop)
    yield from _rule(goes)
    yield from _power_limits(goes, partial)
    several = sorted(_fitting(build, partial, stock), key=lambda s: not s.owned)
    for owned in (True, False):
        for kind in (Cable, Adapter, Extension):
            fitting = [s for s in several if s.owned == owned and isinstance(s.thing, kind)]
            yield from _things(goes, fitting)
    yield from _supplies(goes, supplies)


class _Going:
    """Tells whether a build with something added has a whole map, and which."""

    def __init__(self, build: Build, stop: Callable[[], bool] | None) -> None:
        self.build, self.stop = build, stop

    def does(self, added: Added) -> bool:
        """Whether there is a map: the quick question."""
        if self.stop is not None and self.stop():
            raise Stopped
        try:
            build = added.to(self.build)
        except EasyTallyError:
            return False
        if _too_few_plugs(build):
            return False
        tried = Tried(build, partial=False)
        try:
            return tried.feasible(Facts(keep=tried.kept, quick=True))
        except NotDecided:
            return False

    def map(self, added: Added) -> Mapping | None:
        """The best map; None where none is found."""
        try:
            return solve(added.to(self.build), Wish(quick=True))
        except NotDecided:
            return None


def _too_few_plugs(build: Build) -> bool:
    """Whether there are fewer plugs than sockets of some kind, whatever they carry: of the cables
    that have the most as many as there are ports for them, and what splits a plug."""
    wired = Wired(build)
    behind = {str(c.socket) for b in build.backplanes for c in b.connections}
    kinds = Counter(
        i.socket.kind for r, i in wired.inputs.items() if r in wired.needed and r not in behind
    )
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


def _rule(goes: _Going) -> Iterator[Repair]:
    """The chained rule by pins, where every pin and wire then is within."""
    now = goes.build.house_rules.chained_graphics
    for rule in ("as delivered", "by pins"):
        if now in (rule, "by pins"):
            continue
        added = Added(house_rules={"chained_graphics": rule})
        if goes.does(added) and (mapping := goes.map(added)):
            yield Repair(id="rule", name=rule, count=1, owned=True, added=added, found=mapping)
            return


def _power_limits(goes: _Going, partial: Mapping) -> Iterator[Repair]:
    """The highest power limit of one card, in whole watts, at which there is a map."""
    unfed = {SocketRef.read(ref).part for ref in partial.unfed}
    for part in goes.build.parts:
        if not isinstance(part, Card) or part.key not in unfed or part.board_power_w is None:
            continue
        full = part.board_power_w.likely
        low, high = int(full * LOWEST_LIMIT), int(full * part.power_limit) - 1

        def at(watts: int, key: str = part.key, whole: float = full) -> Added:
            return Added(power_limits={key: watts / whole})

        if high <= low or not goes.does(at(low)):
            continue
        while low < high:
            middle = (low + high + 1) // 2
            low, high = (middle, high) if goes.does(at(middle)) else (low, middle - 1)
        if mapping := goes.map(at(low)):
            yield Repair(
                id="power-limit",
                name=part.name,
                count=1,
                owned=True,
                added=at(low),
                found=mapping,
                watts=low,
            )


def _fitting(build: Build, partial: Mapping, stock: Iterable[InStock]) -> Iterator[InStock]:
    """What could help: plugs that fit what is unfed, or leads to a plug that does."""
    wired = Wired(build)
    kinds = {wired.inputs[r].socket.kind for r in partial.unfed}
    family = build.supply.family if build.supply else ""
    for s in stock:
        plugs = (
            (s.thing.kind,)
            if isinstance(s.thing, Extension)
            else tuple(p.kind for p in s.thing.plugs)
        )
        if isinstance(s.thing, Cable) and s.thing.family != family:
            continue
        if any(goes_into(p, k, wired.eps4_in_eps8) for p in plugs for k in kinds):
            yield s


def _things(goes: _Going, several: list[InStock]) -> Iterator[Repair]:
    """The fewest of one thing that do."""
    seen: set[str] = set()
    for s in several:
        alike = s.thing.model_copy(update={"key": "k", "name": "n", "note": "", "owned": ""})
        image = alike.model_dump_json()
        if image in seen:
            continue
        seen.add(image)
        for n in range(1, min(MOST, s.free) + 1):
            added = _several(goes.build, s, n)
            if goes.does(added):
                if mapping := goes.map(added):
                    kind = type(s.thing).__name__.lower()
                    yield Repair(
                        id=kind,  # type: ignore[arg-type]
                        name=s.thing.name,
                        count=n,
                        owned=s.owned,
                        added=added,
                        found=mapping,
                    )
                break


def _supplies(goes: _Going, supplies: Iterable[OtherSupply]) -> Iterator[Repair]:
    """Other supplies with which there is a map; one that is owned, and one that is not."""
    told: set[bool] = set()
    for s in supplies:
        if s.owned in told:
            continue
        added = Added(supply=s.supply, box=s.cables)
        if goes.does(added) and (mapping := goes.map(added)):
            told.add(s.owned)
            yield Repair(
                id="supply", name=s.supply.name, count=1, owned=s.owned, added=added, found=mapping
            )


def _several(build: Build, s: InStock, n: int) -> Added:
    taken = {c.key for c in build.cables}
    taken |= keys_of(build)
    keys = (k for i in range(1, 1000) if (k := f"{s.thing.key[:34]}-{i}") not in taken)
    things = tuple(s.thing.model_copy(update={"key": next(keys)}) for _ in range(n))
    if isinstance(s.thing, Cable):
        return Added(cables=things)  # type: ignore[arg-type]
    if isinstance(s.thing, Adapter):
        return Added(adapters=things)  # type: ignore[arg-type]
    return Added(extensions=things)  # type: ignore[arg-type]
