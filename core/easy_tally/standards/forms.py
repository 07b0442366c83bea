"""Forms of supplies and what the field's measures of a case are. Source: the supply design guides
of each form; the slot pitch of the ATX specification."""

from __future__ import annotations

from typing import Literal, NamedTuple

SupplyForm = Literal["ATX", "SFX", "SFX-L", "TFX", "Flex ATX"]
#: Sides of a case.
Side = Literal["front", "top", "rear", "bottom", "left", "right"]


class Face(NamedTuple):
    """A supply's face at the case [mm]."""

    width_mm: float
    height_mm: float


#: Form → width and height of its face [mm].
FACES: dict[SupplyForm, Face] = {
    "ATX": Face(150, 86),
    "SFX": Face(125, 63.5),
    "SFX-L": Face(125, 63.5),
    "TFX": Face(85, 65),
    "Flex ATX": Face(81.5, 40.5),
}

#: From slot to slot [mm]. Source: ATX specification.
SLOT_PITCH_MM = 20.32
#: How thick a case fan is [mm]. Source: the usual one of the field.
FAN_MM = 25.0
#: A brick of a fan's size: one place of a radiator is as long as its fans [mm].
FAN_SIZES_MM = (80, 92, 120, 140, 180, 200)
