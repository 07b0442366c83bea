"""Repairs where there is no map: what would have to change, each proven by mapping again."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from collections.abc import Mapping as Mapping_

from ..base.errors import EasyTallyError, NotDecided
from ..editing.taken import Added
from ..standards.connectors import PLUGS, PlugKind, SocketKind
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.buying import to_be_had
from ..things.cables import Cable, SocketRef
from ..things.fits import goes_into
from ..things.parts import Card
from ..things.same import nameless
from ..wiring import Wired
from .combined import combined
from .going import Going, Limited
from .program import Stopped
from .solve import Mapping, Wish, solve
from .steps import MOST, InStock, OtherSupply, Repair, RepairId, Step, Thing, by_cost, together

#: Down to what share of its maker's power limit a card is held. Source: what cards let one set.
LOWEST_LIMIT = 0.5


def repairs(
    build: Build,
    unfed: tuple[str, ...],
    stock: Iterable[InStock],
    stop: Callable[[], bool] | None = None,
    supplies: Iterable[OtherSupply] = (),
) -> Iterator[Repair]:
    """Repairs of a build of which some inputs are left unfed: a house rule, a lower power limit,
    what is owned, what is bought; where none of these does by itself, up to three together; and
    last another supply."""
    goes = Going(build, stop)
    does = False
    several = sorted(_fitting(build, unfed, stock), key=_in_order)
    for repair in _singles(goes, unfed, several):
        does = True
        yield repair
    if not does:
        # One that is fed may have to give way to another.
        cards = {c.key: c for c in _limited(build, {p.key for p in build.parts})}
        yield from combined(goes, unfed, _candidates(build, cards.values(), several), cards)
    yield from _supplies(goes, supplies)


def _singles(goes: Going, unfed: tuple[str, ...], several: list[InStock]) -> Iterator[Repair]:
    yield from _rules(goes)
    parts = {SocketRef.read(ref).part for ref in unfed}
    for card in _limited(goes.build, parts):
        if (step := goes.highest(card, ())) and (repair := goes.by(step)):
            yield repair
    yield from _things(goes, several)


def _in_order(s: InStock) -> tuple[bool, tuple[bool, float, int, int], int]:
    """What is owned first, then by price, cables first."""
    kinds = (Cable, Adapter, Extension)
    return not s.owned, by_cost(s), kinds.index(type(s.thing))


def _candidates(build: Build, cards: Iterable[Limited], several: list[InStock]) -> Iterator[Step]:
    """What may do together with something else."""
    yield from _positions(build)
    yield from (card.at(card.lowest_w) for card in cards)
    for s in _alike_once(several):
        yield from (_of_stock(s, n) for n in range(1, min(MOST, s.free) + 1))


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
    if mapping := _mapped(build, Added(), beside, anew):
        yield Repair(steps=(Step(id="way round"),), added=Added(), found=mapping)
    for s in sorted(_reaching(build, far, stock), key=by_cost):
        for n in range(1, min(MOST, s.free) + 1):
            if stop is not None and stop():
                raise Stopped
            step = _of_stock(s, n)
            added = together(build, (step,))
            mapping = _mapped(build, added, beside)
            if mapping is not None and _is_used(added, mapping):
                yield Repair(steps=(step,), added=added, found=mapping)
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


def _of_stock(s: InStock, n: int) -> Step:
    kind: RepairId = type(s.thing).__name__.lower()  # type: ignore[assignment]
    cost = None if s.cost is None else n * s.cost
    return Step(id=kind, name=s.thing.name, count=n, owned=s.owned, cost=cost, stock=s)


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


def _positions(build: Build) -> Iterator[Step]:
    """Other positions of house rules by which every pin and wire is within all the same."""
    rules = build.house_rules
    now = rules.chained_graphics
    for position in ("as delivered", "by pins"):
        if now not in (position, "by pins"):
            yield Step(id="rule", sets=Added(house_rules={"chained_graphics": position}))
    if rules.plug_grant != "warning":
        yield Step(id="rule", sets=Added(house_rules={"plug_grant": "warning"}))


def _rules(goes: Going) -> Iterator[Repair]:
    told: set[str] = set()
    for step in _positions(goes.build):
        rule = next(iter(step.sets.house_rules))
        if rule not in told and (repair := goes.by(step)):
            told.add(rule)
            yield repair


def _limited(build: Build, keys: set[str]) -> Iterator[Limited]:
    """Cards of some parts that may be held lower."""
    for part in build.parts:
        if isinstance(part, Card) and part.key in keys and part.board_power_w is not None:
            full = part.board_power_w.likely
            lowest, highest = int(full * LOWEST_LIMIT), int(full * part.power_limit) - 1
            if highest > lowest:
                yield Limited(part.key, part.name, full, lowest, highest)


def _fitting(build: Build, unfed: Iterable[str], stock: Iterable[InStock]) -> Iterator[InStock]:
    """What could help: plugs that fit what is unfed, or leads that lead to one that does."""
    wired, several = Wired(build), list(stock)
    easy = wired.eps4_in_eps8
    kinds = {wired.inputs[r].socket.kind for r in unfed}
    family = build.supply.family if build.supply else ""
    # Each lead of what may go in between has to be fed too, of that in the build as well.
    between: list[Adapter | Extension] = [*build.adapters, *build.extensions]
    between += [s.thing for s in several if not isinstance(s.thing, Cable)]
    for _ in range(MOST):
        kinds |= {
            k
            for t in between
            if any(goes_into(p, x, easy) for p in _plugs(t) for x in kinds)
            for k in _leads(t)
        }
    for s in several:
        if isinstance(s.thing, Cable) and s.thing.family != family:
            continue
        if any(goes_into(p, k, easy) for p in _plugs(s.thing) for k in kinds):
            yield s


def _plugs(thing: Thing) -> tuple[PlugKind, ...]:
    if isinstance(thing, Extension):
        return (thing.kind,)
    return tuple(p.kind for p in thing.plugs)


def _leads(thing: Adapter | Extension) -> tuple[SocketKind, ...]:
    if isinstance(thing, Extension):
        return (PLUGS[thing.kind].whole,)
    return tuple(lead.kind for lead in thing.leads)


def _alike_once(several: Iterable[InStock]) -> Iterator[InStock]:
    """Alike things once: an owned one that does not do says nothing of three bought."""
    seen: set[tuple[bool, str]] = set()
    for s in several:
        image = s.owned, nameless(s.thing).model_dump_json()
        if image not in seen:
            seen.add(image)
            yield s


def _things(goes: Going, several: list[InStock]) -> Iterator[Repair]:
    """The fewest of one thing that do."""
    for s in _alike_once(several):
        for n in range(1, min(MOST, s.free) + 1):
            if repair := goes.by(_of_stock(s, n)):
                yield repair
                break


def other_supplies(
    build: Build, supplies: Iterable[OtherSupply], stop: Callable[[], bool] | None = None
) -> Iterator[Repair]:
    """Other supplies with which there is a map; one that is owned, and one that is not."""
    yield from _supplies(Going(build, stop), supplies)


def _supplies(goes: Going, supplies: Iterable[OtherSupply]) -> Iterator[Repair]:
    told: set[bool] = set()
    for s in supplies:
        if s.owned in told:
            continue
        bought = to_be_had(s.owned, s.price)
        taken = Added(supply=s.supply.model_copy(update={"to_buy": bought}), box=s.cables)
        cost = 0.0 if s.owned else s.price
        step = Step(id="supply", name=s.supply.name, owned=s.owned, cost=cost, sets=taken)
        if repair := goes.by(step):
            told.add(s.owned)
            yield repair
