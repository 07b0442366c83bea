"""Ratings that supplies are sold in, and the schools of choosing one. Source: the field."""

from __future__ import annotations

from ..base.rounding import exceeds

COMMON_W: tuple[int, ...] = (
    300,
    350,
    400,
    450,
    500,
    550,
    600,
    650,
    700,
    750,
    800,
    850,
    1000,
    1200,
    1300,
    1600,
    2000,
)

#: A supply is too big when its rating is over this many times the needed size. Source: assumption.
TOO_BIG = 2.0
#: The part of the headroom that may be lacking where it is called a little short. Source: a school
#: of builders: 850 W and a fifth are 1,020 W, and a supply of 1,000 W is taken.
LITTLE = 0.1
#: A fifth on top of the card maker's floor. Source: a school of builders.
FIFTH = 0.20
#: Share of the rating at which everyday use is quiet. Source: a school of builders.
QUIET_SHARE = 0.50


def next_common_w(needed_w: float) -> int | None:
    """The smallest common rating [W] not below `needed_w`, or None past the largest."""
    return next((w for w in COMMON_W if not exceeds(needed_w, w)), None)
