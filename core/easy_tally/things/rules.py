"""House rules: where good builders disagree, the positions that a build is judged by."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from ..base.declared import Model


class HouseRules(Model):
    """Where good builders disagree: the positions this build is judged by."""

    chained_graphics: Annotated[
        Literal["never", "by plug", "by pins"],
        Field(description="both plugs of one chained graphics cable"),
    ] = "by plug"
    headroom: Annotated[
        float, Field(ge=0, le=2, description="share added to the sustained load")
    ] = 0.20
    maker_floor: Annotated[
        Literal["keep", "keep and add a fifth", "ignore"],
        Field(description="the card maker's stated smallest supply"),
    ] = "keep"
