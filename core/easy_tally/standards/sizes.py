"""Ratings that supplies are commonly sold in. Source: the field."""

from __future__ import annotations

COMMON_W: tuple[int, ...] = (
    300, 350, 400, 450, 500, 550, 600, 650, 700, 750, 800, 850, 1000, 1200, 1300, 1600, 2000,
)  # fmt: skip

#: A supply is too big when its rating is over this many times the needed size. Source: assumption.
TOO_BIG = 2.0


def next_common_w(needed_w: float) -> int | None:
    """The smallest common rating [W] not below `needed_w`, or None past the largest."""
    return next((w for w in COMMON_W if w >= needed_w * (1 - 1e-9)), None)
