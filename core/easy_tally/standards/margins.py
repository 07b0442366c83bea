"""How much of a limit may be used before it reads tight. Source: assumption, every one."""

from __future__ import annotations

#: A grant or a header's amperes: all of it.
WITHIN_GRANT = 1.0
#: Pins, wires and port groups: the rest is for ageing, heat and what nobody measured.
WITHIN_RATING = 0.8
