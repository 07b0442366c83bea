"""Ratings that supplies are commonly sold in. Source: the field."""

from __future__ import annotations

COMMON_W: tuple[int, ...] = (
    300, 350, 400, 450, 500, 550, 600, 650, 700, 750, 800, 850, 1000, 1200, 1300, 1600, 2000,
)  # fmt: skip

#: A supply is too big when its rating is over this many times the needed size. Source: assumption.
TOO_BIG = 2.0


#: What a supply of a 3.x design rides through, as multiples of its rating at 0.1, 1, 10 and 100 ms:
#: over 450 W with a 16-pin port, and every other. What a classic one does is an assumption.
#: Source: ATX 3.0 and 3.1 design guides, power excursions.
LARGE_W = 450.0
RIDE_LARGE_16PIN: tuple[float, ...] = (2.00, 1.80, 1.60, 1.20)
RIDE_3X: tuple[float, ...] = (1.50, 1.45, 1.35, 1.10)


def next_common_w(needed_w: float) -> int | None:
    """The smallest common rating [W] not below `needed_w`, or None past the largest."""
    return next((w for w in COMMON_W if w >= needed_w * (1 - 1e-9)), None)
