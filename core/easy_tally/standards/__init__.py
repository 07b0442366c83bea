"""Tables of constants, one topic a file, each row with its source."""

from __future__ import annotations

from .connectors import CONNECTORS, PLUGS
from .sizes import COMMON_W

__all__ = ["COMMON_W", "CONNECTORS", "PLUGS"]
