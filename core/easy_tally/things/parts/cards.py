"""Graphics and other cards."""

from __future__ import annotations

from typing import Annotated, ClassVar, Literal, Self

from pydantic import Field, model_validator

from ...base.declared import Key, Rating, Watts, rated, shown
from ...standards.connectors import is_coded
from .common import SpikeFactor, WithSignals, WithSockets, known, own_spikes, ports
from .traits import Called, Traits


class Card(WithSignals, WithSockets):
    """A graphics or other card in a slot."""

    kind: Literal["card"] = "card"
    traits: ClassVar[Traits] = Traits(
        {"card": Called(("card", "gpu", "graphics", "pcie"), "cards")},
        "Card",
        fed_by=("graphics", "drive"),
    )
    board_power_w: Watts = known(
        "board power: all that the card draws", needed=True, said="power", missed="board power"
    )
    slot_w: Watts = known(
        "what it takes from the slot at 12 V",
        "slot_share_with_8pin_w",
        "slot_share_with_16pin_w",
        said="slot",
        missed="slot share",
    )
    idle_w: Watts = known(
        "the card at idle", "card_idle_share", share_of="board_power_w", said="idle"
    )
    spikes: Annotated[
        Literal["usual", "by-standard worst"], Field(description="which spike factors it gets")
    ] = "usual"
    spike_factors: tuple[SpikeFactor, ...] | None = own_spikes("board power")
    system_floor_w: Watts = known("the smallest supply that the card's maker states", said="floor")
    use: Annotated[
        Literal["graphics", "plain"],
        Field(
            description="a graphics card spikes; a plain one (sound, network, capture) does not",
            **shown(
                "Kind of card",
                words={"graphics": "graphics", "plain": "plain: sound, network, capture"},
            ),
        ),
    ] = "graphics"
    lanes: Annotated[
        Literal[1, 4, 8, 16],
        Field(
            description="lanes of its edge",
            **shown("Lanes of its edge", words={n: f"x{n}" for n in (16, 8, 4, 1)}),
        ),
    ] = 16
    slot: Annotated[Key | None, Field(description="the board's slot that it stands in")] = None
    power_limit: Annotated[
        float,
        Field(
            ge=0.3,
            le=2,
            description="power limit set by the builder, 1 as delivered",
            **shown("Power limit", unit="× as delivered"),
        ),
    ] = 1.0
    m2_slots: int | None = ports("M.2 slots on the card")
    length_mm: Rating = rated(
        "its length, without the slot bracket",
        "mm",
        600,
        shown=shown("Length", said="long", told="{} mm long", group="Size"),
    )
    height_mm: Rating = rated(
        "its height above the slot, without a plug",
        "mm",
        300,
        shown=shown("Height above the slot", said="high", told="{} mm high", group="Size"),
    )
    covers: Annotated[
        int | None,
        Field(
            ge=1,
            le=6,
            description="slot places that it covers",
            **shown("Slot places", said="covers", told="{}-slot", group="Size"),
        ),
    ] = None
    support: Annotated[
        Literal["not needed", "in the box", "needed"] | None,
        Field(
            description="whether its weight asks for a support",
            **shown(
                "A support for its weight",
                words={
                    None: "not known",
                    "not needed": "not needed",
                    "in the box": "comes with it",
                    "needed": "needed",
                },
                said="support",
                said_as={"no": "not needed", "boxed": "in the box", "needed": "needed"},
                group="Size",
            ),
        ),
    ] = None
    plugs_face: Annotated[
        Literal["side panel", "front"],
        Field(
            description="where its plugs stand out to",
            **shown(
                "Its plugs stand out to the",
                words={"side panel": "side panel", "front": "front"},
                said="plugs",
                told="plugs to the {}",
                said_as={"side": "side panel", "front": "front"},
                group="Size",
            ),
        ),
    ] = "side panel"

    @model_validator(mode="after")
    def _spikes_fit(self) -> Self:
        if self.spikes == "by-standard worst" and not any(is_coded(s.kind) for s in self.sockets):
            raise ValueError("a 16-pin socket for the standard's worst spikes")
        if self.slot is not None and self.count != 1:
            raise ValueError("a count of 1 for a card whose slot is named")
        return self
