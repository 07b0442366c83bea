"""What a repair is made of: steps, alone or up to three together, and the map they lead to."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from ..editing.taken import Added
from ..editing.valid import fresh_key, keys_of
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.buying import Price, cheapest_first, to_be_had
from ..things.cables import Cable
from ..things.supply import Supply
from .solve import Mapping

#: How many of one thing are tried.
MOST = 3
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


_NOTHING = Added()


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """One thing that a repair does: so many of something in stock, or what it sets: a house rule, a
    power limit in `watts`, another supply."""

    id: RepairId
    name: str = ""
    count: int = 1
    owned: bool = True
    #: What it costs in all, in the builder's currency; None: not known.
    cost: float | None = 0.0
    watts: int = 0
    stock: InStock | None = None
    sets: Added = _NOTHING

    @property
    def is_boxed(self) -> bool:
        """Whether it lies in a box of the build."""
        return self.stock is not None and self.stock.is_boxed


@dataclass(frozen=True, slots=True, kw_only=True)
class Repair:
    """A way to a whole map: one step, or up to three of which none is needless; what they add, and
    the map itself."""

    steps: tuple[Step, ...]
    added: Added
    found: Mapping

    @property
    def id(self) -> RepairId | Literal["together"]:
        """What it does."""
        return self.steps[0].id if len(self.steps) == 1 else "together"

    @property
    def cost(self) -> float | None:
        """What it costs in all, in the builder's currency; None: not known."""
        return cost_of(self.steps)


def cost_of(steps: Iterable[Step]) -> float | None:
    """What some steps cost together; None where nobody knows it of one."""
    costs = [s.cost for s in steps]
    return None if None in costs else sum(c for c in costs if c is not None)


def by_cost(s: InStock) -> tuple[bool, float, int, int]:
    """By what one of it costs."""
    return cheapest_first(Price(s.cost))


def together(build: Build, steps: Iterable[Step]) -> Added:
    """What some steps add to a build, under keys of their own."""
    taken = {c.key for c in build.cables} | keys_of(build)
    things: list[Thing] = []
    rules: dict[str, object] = {}
    limits: dict[str, float] = {}
    other = Added()
    for step in steps:
        rules |= step.sets.house_rules
        limits |= step.sets.power_limits
        other = step.sets if step.sets.supply else other
        for _ in range(step.count if step.stock else 0):
            things.append(_taken(step.stock, taken))  # type: ignore[arg-type]
    return Added(
        cables=tuple(t for t in things if isinstance(t, Cable)),
        adapters=tuple(t for t in things if isinstance(t, Adapter)),
        extensions=tuple(t for t in things if isinstance(t, Extension)),
        house_rules=rules,
        power_limits=limits,
        supply=other.supply,
        box=other.box,
    )


def _taken(s: InStock, taken: set[str]) -> Thing:
    key = fresh_key(s.thing.key, taken)
    taken.add(key)
    bought = to_be_had(s.owned, s.price)
    return s.thing.model_copy(update={"key": key, "to_buy": bought})
