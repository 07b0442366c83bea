"""Parts and their figures in words."""

from __future__ import annotations

from ...base.saying import number
from ...supplies.uncertainty import Mover, figure_words
from ...tally.contradictions import Contradiction


def contradiction_words(c: Contradiction) -> str:
    """Which two figures can't both be so."""
    unit = "A" if c.field.endswith("_a") else "W"
    low, high = figure_words(c.part, c.field), figure_words(c.part, c.other)
    return (
        f"Its figure “{low}” is {number(c.value, unit)}, and “{high}” only "
        f"{number(c.limit, unit)}; both can’t be so."
    )


def mover_words(mover: Mover) -> str:
    """The figure that moves the total most, in a sentence or two."""
    said = (
        f"{mover.name}, {mover.figure}{' (assumed)' if mover.assumed else ''}, moves the total "
        f"most: {number(mover.low_w, 'W')} to {number(mover.high_w, 'W')} at full."
    )
    if mover.pick_w is None or mover.pick_low_w is None or mover.pick_high_w is None:
        return said
    if mover.pick_low_w == mover.pick_high_w:
        return f"{said} Finding it out would leave the next common size at {mover.pick_w} W."
    return (
        f"{said} Finding it out would settle whether the next common size is "
        f"{mover.pick_low_w} or {mover.pick_high_w} W."
    )
