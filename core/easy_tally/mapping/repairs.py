"""Repairs where there is no map: what would have to change, each proven by mapping again."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterable, Iterator
from collections.abc import Mapping as Mapping_
from dataclasses import dataclass
from typing import Literal

from ..base.errors import EasyTallyError, NotDecided
from ..editing.taken import Added
from ..editing.valid import keys_of
from ..standards.connectors import PortKind, SocketKind
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.buying import ToBuy
from ..things.cables import Cable, SocketRef
from ..things.fits import goes_into
from ..things.parts import Card
from ..things.same import nameless
from ..things.supply import Supply, port_takes
from ..wiring import Wired
from .program import Facts, Stopped
from .solve import Mapping, Wish, solve
from .why import Tried

#: How many of one thing are tried.
MOST = 3
#: Down to what share of its maker's power limit a card is held.
LOWEST_LIMIT = 0.5

RepairId = Literal["way round", "rule", "power-limit", "cable", "adapter", "extension", "supply"]
Thing = Cable | Adapter | Extension


@dataclass(frozen=True, slots=True, kw_only=True)
class InStock:
    """Something that could be had: from the drawer (`owned`), or bought."""

    thing: Thing
    owned: bool
    free: int = MOST
    #: In the builder's currency, of one that could be bought; None: not known.
    price: float | None = None
    #: It lies in a box of the build.
    is_boxed: bool = False

    @property
    def cost(self) -> float | None:
        """What one of it costs: nothing where it is owned."""
        return 0.0 if self.owned else self.price


@dataclass(frozen=True, slots=True, kw_only=True)
class OtherSupply:
    """A supply that could be taken, with the cables in its box; best first where there are many."""

    supply: Supply
    cables: tuple[Cable, ...]
    owned: bool
    price: float | None = None


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
    #: What it costs in all, in the builder's currency; None: not known.
    cost: float | None = 0.0
    #: Of things in a box of the build.
    is_boxed: bool = False


def repairs(
    build: Build,
    partial: Mapping,
    stock: Iterable[InStock],
    stop: Callable[[], bool] | None = None,
    supplies: Iterable[OtherSupply] = (),
) -> Iterator[Repair]:
    """Repairs: a house rule, a lower power limit, what is owned, what is bought, and last another
    supply."""
    goes = _Going(build, stop)
    yield from _rule(goes)
    yield from _power_limits(goes, partial)
    kinds = (Cable, Adapter, Extension)
    several = sorted(
        _fitting(build, partial.unfed, stock), key=lambda s: kinds.index(type(s.thing))
    )
    for owned in (True, False):
        # Alike things are tried once: an owned one that does not do says nothing of three bought.
        yield from _things(goes, sorted((s for s in several if s.owned == owned), key=by_cost))
    yield from _supplies(goes, supplies)


def repairs_of_reach(
    build: Build,
    over: frozenset[str],
    far: Mapping_[str, float],
    stock: Iterable[InStock],
    stop: Callable[[], bool] | None = None,
) -> Iterator[Repair]:
    """What mends a map of which some plugs do not reach: another way round, a longer cable, one
    extension or more. `far`: inputs that are out of reach, each with the way to it [mm]; `over`:
    cables of runs that are over a limit, which may be laid anew. The others stay as they are where
    that does, and all that is fed stays fed."""
    fed = frozenset(Wired(build).feeds)
    stays = frozenset(r.cable for r in build.runs if r.connections) - over
    beside = Wish(keep=stays, only=fed, quick=True)
    anew = Wish(only=fed, prefer=True, quick=True)
    nothing = Added()
    if mapping := _mapped(build, nothing, beside, anew):
        yield Repair(id="way round", name="", count=1, owned=True, added=nothing, found=mapping)
    for s in sorted(_reaching(build, far, stock), key=by_cost):
        for n in range(1, min(MOST, s.free) + 1):
            if stop is not None and stop():
                raise Stopped
            added = _several(build, s, n)
            mapping = _mapped(build, added, beside)
            if mapping is not None and _is_used(added, mapping):
                kind: RepairId = "cable" if isinstance(s.thing, Cable) else "extension"
                yield _of_stock(kind, s, n, added, mapping)
                break


def _reaching(
    build: Build, far: Mapping_[str, float], stock: Iterable[InStock]
) -> Iterator[InStock]:
    """Extensions of a kind that is out of reach, and cables that reach."""
    wired = Wired(build)
    ways = [(wired.inputs[r].socket.kind, mm) for r, mm in far.items()]
    for s in _fitting(build, far, stock):
        if isinstance(s.thing, Extension) or (
            isinstance(s.thing, Cable)
            and any(
                goes_into(p.kind, kind, wired.eps4_in_eps8) and (p.at_mm is None or p.at_mm >= mm)
                for p in s.thing.plugs
                for kind, mm in ways
            )
        ):
            yield s


def by_cost(s: InStock) -> tuple[bool, float]:
    """What costs nothing first, then by price, and last what nobody gave a price."""
    return s.cost is None, s.cost or 0.0


def _of_stock(id: RepairId, s: InStock, n: int, added: Added, mapping: Mapping) -> Repair:
    cost = None if s.cost is None else n * s.cost
    return Repair(
        id=id,
        name=s.thing.name,
        count=n,
        owned=s.owned,
        added=added,
        found=mapping,
        cost=cost,
        is_boxed=s.is_boxed,
    )


def _mapped(build: Build, added: Added, *wishes: Wish) -> Mapping | None:
    """A whole map by the first of some wishes that has one."""
    for wish in wishes:
        try:
            mapping = solve(added.to(build), wish)
        except (NotDecided, EasyTallyError):
            continue
        if mapping is not None and mapping.whole:
            return mapping
    return None


def _is_used(added: Added, mapping: Mapping) -> bool:
    """Whether a map uses all that was added: else less does."""
    used = {r.cable for r in mapping.runs if r.connections}
    used |= {key for key, several in mapping.between.items() if several}
    things: tuple[Thing, ...] = (*added.cables, *added.adapters, *added.extensions)
    return all(t.key in used for t in things)


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


def _fitting(build: Build, unfed: Iterable[str], stock: Iterable[InStock]) -> Iterator[InStock]:
    """What could help: plugs that fit what is unfed, or leads to a plug that does."""
    wired = Wired(build)
    kinds = {wired.inputs[r].socket.kind for r in unfed}
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
        image = nameless(s.thing).model_dump_json()
        if image in seen:
            continue
        seen.add(image)
        for n in range(1, min(MOST, s.free) + 1):
            added = _several(goes.build, s, n)
            if goes.does(added):
                if mapping := goes.map(added):
                    kind: RepairId = type(s.thing).__name__.lower()  # type: ignore[assignment]
                    yield _of_stock(kind, s, n, added, mapping)
                break


def _supplies(goes: _Going, supplies: Iterable[OtherSupply]) -> Iterator[Repair]:
    """Other supplies with which there is a map; one that is owned, and one that is not."""
    told: set[bool] = set()
    for s in supplies:
        if s.owned in told:
            continue
        bought = None if s.owned else ToBuy(price=s.price)
        added = Added(supply=s.supply.model_copy(update={"to_buy": bought}), box=s.cables)
        if goes.does(added) and (mapping := goes.map(added)):
            told.add(s.owned)
            yield Repair(
                id="supply",
                name=s.supply.name,
                count=1,
                owned=s.owned,
                added=added,
                found=mapping,
                cost=0.0 if s.owned else s.price,
            )


def _several(build: Build, s: InStock, n: int) -> Added:
    taken = {c.key for c in build.cables}
    taken |= keys_of(build)
    keys = (k for i in range(1, 1000) if (k := f"{s.thing.key[:34]}-{i}") not in taken)
    bought = None if s.owned else ToBuy(price=s.price)
    things = tuple(
        s.thing.model_copy(update={"key": next(keys), "to_buy": bought}) for _ in range(n)
    )
    if isinstance(s.thing, Cable):
        return Added(cables=things)  # type: ignore[arg-type]
    if isinstance(s.thing, Adapter):
        return Added(adapters=things)  # type: ignore[arg-type]
    return Added(extensions=things)  # type: ignore[arg-type]
