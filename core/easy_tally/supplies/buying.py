"""What is yet to be bought for a build, and what it comes to."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal, NamedTuple

from ..things.adapters import Adapter, Backplane, Extension
from ..things.build import Build

#: What a thing to buy is, as an edit names it.
BuyOf = Literal["supply", "bracket", "cable", "between"]


class Item(NamedTuple):
    """A thing to buy: what it is, by which key, its name, its price; None: not known."""

    of: BuyOf
    key: str
    name: str
    price: float | None


def to_buy(build: Build) -> tuple[Item, ...]:
    """Everything of a build that is yet to be bought, the supply first."""
    return tuple(_items(build))


def _items(build: Build) -> Iterator[Item]:
    if build.supply is not None and build.supply.to_buy is not None:
        yield Item("supply", "", build.supply.name, build.supply.to_buy.price)
    if build.bracket is not None and build.bracket.to_buy is not None:
        yield Item("bracket", "", build.bracket.name, build.bracket.to_buy.price)
    for cable in build.cables:
        if cable.to_buy is not None:
            yield Item("cable", cable.key, cable.name, cable.to_buy.price)
    several: tuple[Adapter | Extension | Backplane, ...]
    several = (*build.adapters, *build.extensions, *build.backplanes)
    for thing in several:
        if thing.to_buy is not None:
            yield Item("between", thing.key, thing.name, thing.to_buy.price)


def sum_of(items: tuple[Item, ...]) -> tuple[float, int]:
    """What they come to, and how many have no price and are not in it."""
    prices = [i.price for i in items if i.price is not None]
    return sum(prices), len(items) - len(prices)
