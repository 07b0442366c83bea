"""What comes through the board in words."""

from __future__ import annotations

from ...base.rounding import percent
from ...base.saying import line_words, number
from ...base.units import STATE_WORDS
from ...ratings.through_board import BoardElement
from ...wiring import Wired
from .found import usual_words


def board_title(wired: Wired, b: BoardElement) -> str:
    """What on the way through the board is limited."""
    part = wired.parts.get(b.part)
    name = part.name if part else b.part
    match b.kind:
        case "main plug pins" if not b.at:
            return f"{name}, no main socket" if part else "No board"
        case "main plug pins":
            return f"{name}, main plug at {line_words(b.line)}"
        case "slot":
            return f"{name} in {b.at}" if b.at else f"Slot of {name}"
        case "header":
            return f"{name}, header {b.at}" if b.at else f"{name}, no header to hang on"
        case _:
            return f"{name}, not worked out"


def board_cause(wired: Wired, b: BoardElement) -> str:
    """One sentence with the numbers, and who draws the most there."""
    j = b.judged
    load = number(j.load, b.unit)
    each = " a pin" if b.kind == "main plug pins" else ""
    if b.kind == "main plug pins" and not b.at:
        said = f"Nothing is known to feed what comes through the board; {load} of it at 12 V."
    elif j.limit is None:
        said = f"It carries {load}; what it stands is not known."
    else:
        said = f"It carries {load}{each} of {number(j.limit, b.unit)}"
        said += f", {percent(j.share)} %, at {STATE_WORDS[j.state]}."
    if j.verdict == "unknown" and j.limit is not None:
        said += " A figure behind it is missing, so it may be more."
    if j.only_at_high:
        said += " Over only at the high end of the figures."
    said += usual_words(j, b.unit)
    return said + (f" Most of it: {', '.join(b.causes)}." if b.causes else "")
