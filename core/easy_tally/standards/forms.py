"""Forms of supplies. Source: the supply design guides of each form."""

from __future__ import annotations

from typing import Literal

SupplyForm = Literal["ATX", "SFX", "SFX-L", "TFX", "Flex ATX"]
