"""What is yet to be bought, and what a way to mend costs: declared once, in one order."""

from __future__ import annotations

from typing import Annotated, NamedTuple

from pydantic import Field

from ..base.declared import Model, Rating, rated


class ToBuy(Model):
    """A thing is not at hand; its price in the builder's one currency, where that is known."""

    price: Rating = rated("price, in the builder's currency", "", 100_000)


#: On what could be had, once it is taken into a build; none: it is at hand.
Buy = Annotated[ToBuy | None, Field(description="that it is yet to be bought")]


def to_be_had(owned: bool, price: float | None) -> ToBuy | None:
    """What a thing is marked with that is taken into a build; None of one that is owned."""
    return None if owned else ToBuy(price=price)


class Price(NamedTuple):
    """What a way to mend costs: money in the builder's currency, None where nobody knows it; plugs
    and port ends that move; minutes at the bench, None where no record tells."""

    money: float | None = 0.0
    moves: int = 0
    minutes: int | None = None


def cheapest_first(price: Price) -> tuple[bool, float, int, int]:
    """The one order of ways to mend: what costs nothing, then by money, last what nobody gave a
    price; of the same by what moves, then by minutes."""
    return price.money is None, price.money or 0.0, price.moves, price.minutes or 0
