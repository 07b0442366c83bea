"""Where on a run something stands."""

from __future__ import annotations

from typing import NamedTuple


class Place(NamedTuple):
    """At a plug, a port, a port group or a lead, by its `key`; nowhere in particular without one.

    `between`: the key of what stands in between that the plug or lead is of, none: it is of the
    cable. `window`: of which spike [ms]. `is_span`: not at the plug, but between it and the one
    before it.
    """

    key: str = ""
    between: str = ""
    window: str = ""
    is_span: bool = False

    def __str__(self) -> str:
        """As it is published: `a`, `adapter-1/a`, `group-1 100`, `b span`."""
        own = f"{self.between}/{self.key}" if self.between else self.key
        return " ".join(x for x in (own, self.window, "span" if self.is_span else "") if x)


#: The run as a whole.
WHOLE = Place()
