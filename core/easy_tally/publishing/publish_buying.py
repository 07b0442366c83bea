"""What is yet to be bought, as data and in a sentence."""

from __future__ import annotations

from ..supplies.buying import sum_of, to_buy
from ..things.build import Build
from ..things.buying import Price
from .result import BuyAnswer, Buying, PriceAnswer
from .wording import buying_words, price_words


def buying_answer(build: Build) -> Buying:
    """Everything of a build that is to be bought, and what it comes to."""
    items = to_buy(build)
    amount, without = sum_of(items)
    currency = build.place.currency
    return Buying(
        items=tuple(BuyAnswer(of=i.of, key=i.key, name=i.name, price=i.price) for i in items),
        sum=amount,
        without=without,
        currency=currency,
        text=buying_words(len(items), amount, without, currency),
    )


def price_answer(price: Price, currency: str) -> PriceAnswer:
    """What a way to mend costs, as data and in a phrase."""
    return PriceAnswer(
        money=price.money,
        currency=currency,
        moves=price.moves,
        minutes=price.minutes,
        text=price_words(price, currency),
    )
