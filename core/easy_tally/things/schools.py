"""Schools: named sets of positions in the house rules, with the reasoning of each and what it
risks."""

from __future__ import annotations

from typing import Annotated, Any, Self

from pydantic import Field, ValidationError, model_validator

from ..base.declared import Model, Name
from ..base.problems import problems_of
from .rules import HouseRules


class School(Model):
    """How some builders go about it: positions of house rules by their names; rules of which it
    says nothing stay as they are."""

    id: Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9-]{0,59}$")]
    name: Name
    text: Annotated[str, Field(max_length=400, description="why one would")] = ""
    risk: Annotated[str, Field(max_length=400, description="what one risks by it")] = ""
    positions: Annotated[dict[str, Any], Field(min_length=1, max_length=40)]

    @model_validator(mode="after")
    def _are_positions(self) -> Self:
        try:
            HouseRules.model_validate(self.positions)
        except ValidationError as error:
            field, required, got = problems_of(error)[0]
            raise ValueError(
                f"positions of house rules: {field} needs {required}, got {got}"
            ) from None
        return self

    def of(self, rules: HouseRules) -> HouseRules:
        """The house rules of a build as this school has them."""
        return HouseRules.model_validate(rules.model_dump() | self.positions)


#: Those that come with the product. Source: schools of builders.
SCHOOLS: tuple[School, ...] = (
    School(
        id="a-cable-for-every-socket",
        name="A cable for every socket",
        text="What is alone on its wires never heats for another, and a fault is found by pulling "
        "one plug. Copper costs little.",
        risk="More cables behind the board; some are to be bought where the box holds chained "
        "ones.",
        positions={
            "chained_graphics": "never",
            "plug_grant": "limit",
            "graphics_cables": "one a socket",
            "drives": "by place",
            "adapter_leads": "all",
            "adapter_16pin": "native first",
            "headroom": 0.20,
            "spikes": "ride through",
        },
    ),
    School(
        id="by-the-pins",
        name="By the pins",
        text="A contact and a wire carry what they are rated for, whatever plug they are in. Fewer "
        "cables, more air.",
        risk="It takes every contact for as good as new: a worn one close to its rating runs hot.",
        positions={
            "chained_graphics": "by pins",
            "plug_grant": "warning",
            "graphics_cables": "fewest",
            "drives": "fewest cables",
            "adapter_leads": "as the watts need",
            "adapter_16pin": "fine",
            "headroom": 0.20,
            "spikes": "ride through",
        },
    ),
    School(
        id="cool-and-quiet",
        name="Cool and quiet",
        text="A supply at half its rating stands its fan still, wastes least, and lasts.",
        risk="A larger supply than the load asks for: it costs more, and wastes more when idle.",
        positions={
            "chained_graphics": "never",
            "graphics_cables": "one a socket",
            "drives": "balanced",
            "headroom": 0.50,
            "little_short": "not enough",
            "maker_floor": "keep and add a fifth",
            "spikes": "ride through",
            "fans": "headers first",
        },
    ),
    School(
        id="what-is-there-will-do",
        name="What is there will do",
        text="What lies in the drawer is used before anything is bought; margins are for who "
        "measures them.",
        risk="It may trip in a spike, and leaves nothing for a larger card.",
        positions={
            "chained_graphics": "as delivered",
            "plug_grant": "limit",
            "graphics_cables": "fewest",
            "adapter_leads": "as the watts need",
            "adapter_16pin": "fine",
            "headroom": 0.10,
            "little_short": "worth a look",
            "maker_floor": "ignore",
            "spikes": "trust headroom",
            "straight_length": "35 mm",
        },
    ),
)
