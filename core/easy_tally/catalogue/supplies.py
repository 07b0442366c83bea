"""A supply with what is in its box: the entry of the supply catalogue."""

from __future__ import annotations

from typing import Annotated, Self

from pydantic import Field, model_validator

from ..base.declared import Model
from ..things.cables import Cable
from ..things.supply import Supply


class SupplyKit(Model):
    """A supply model and the cables in its box, by slug and revision."""

    slug: Annotated[str, Field(pattern=r"^[a-z0-9-]{1,60}$")]
    revision: Annotated[int, Field(ge=1)] = 1
    supply: Supply
    cables: Annotated[tuple[Cable, ...], Field(max_length=40)] = ()

    @model_validator(mode="after")
    def _one_family(self) -> Self:
        if any(c.family != self.supply.family for c in self.cables):
            raise ValueError("cables of the supply's own pinout family")
        if self.supply.slug != self.slug:
            raise ValueError("the same slug in the supply")
        return self
