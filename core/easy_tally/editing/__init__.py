"""What a builder does to a build, as pure functions: one class an edit, one file a subject.

Every write of the product is one of these. Each either returns a whole, valid build or raises
from `base/errors.py` and changes nothing.
"""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from .become import Become
from .between import AddBetween, ChangeBetween, RemoveBetween
from .build import ChangeBuild
from .cables import AddCable, ChangeCable, RemoveCable
from .exchanged import Exchange
from .found import FindOut
from .map import Connect, Park, Pin, PlugIn, SwapPlugs, Unplug
from .parts import AddPart, AddParts, ChangePart, RemovePart, TakeEntry
from .supply import ChangeSupply, TakeSupply
from .taken import Added, TakeMap

Edit = Annotated[
    AddPart
    | AddParts
    | ChangePart
    | TakeEntry
    | RemovePart
    | ChangeBuild
    | TakeSupply
    | ChangeSupply
    | AddCable
    | ChangeCable
    | RemoveCable
    | AddBetween
    | Become
    | ChangeBetween
    | RemoveBetween
    | Connect
    | Exchange
    | FindOut
    | Park
    | Pin
    | PlugIn
    | SwapPlugs
    | TakeMap
    | Unplug,
    Field(discriminator="type"),
]

__all__ = [
    "AddBetween",
    "AddCable",
    "AddPart",
    "AddParts",
    "Added",
    "Become",
    "ChangeBetween",
    "ChangeBuild",
    "ChangeCable",
    "ChangePart",
    "ChangeSupply",
    "Connect",
    "Edit",
    "Exchange",
    "FindOut",
    "Park",
    "Pin",
    "PlugIn",
    "RemoveBetween",
    "RemoveCable",
    "RemovePart",
    "SwapPlugs",
    "TakeEntry",
    "TakeMap",
    "TakeSupply",
    "Unplug",
]
