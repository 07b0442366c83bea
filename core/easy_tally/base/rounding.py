"""Every tolerance and every rounding, once: compared unrounded, shown against the builder."""

from __future__ import annotations

import math

#: Relative tolerance of every comparison, so that 150 W made of parts is still 150 W.
TOLERANCE = 1 + 1e-9
#: How far above a step of rounding a number may lie by its making and still count as on it.
_GRACE = 1e-7


def exceeds(load: float, limit: float) -> bool:
    """Whether a load is beyond a limit."""
    return load > limit * TOLERANCE


def up(value: float) -> int | None:
    """The next whole number that is not below; None where there is no such number."""
    return math.ceil(value - _GRACE) if math.isfinite(value) else None


def percent(share: float | None) -> int | None:
    """A share in whole percents, rounded up (against the builder); None where it has none."""
    return None if share is None else up(share * 100)
