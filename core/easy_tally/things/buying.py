"""That a thing of a build is yet to be bought: declared once."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from ..base.declared import Model, Rating, rated


class ToBuy(Model):
    """A thing is not at hand; its price in the builder's one currency, where that is known."""

    price: Rating = rated("price, in the builder's currency", "", 100_000)


#: On what could be had, once it is taken into a build; none: it is at hand.
Buy = Annotated[ToBuy | None, Field(description="that it is yet to be bought")]
