"""Numbers and small things in words, rounded against the builder."""

from __future__ import annotations

from .rounding import up
from .units import RAIL_WORDS, Line


def number(value: float, unit: str) -> str:
    """A value with its unit: watts whole and rounded up, millimetres and milliseconds whole, the
    rest to two places."""
    if unit == "W":
        whole = up(value)
        return "beyond measure" if whole is None else f"{whole:,} W"
    if unit == "plugs":
        return counted(value, "plug")
    if unit in ("mm", "ms"):
        return f"{value:.0f} {unit}"
    return f"{value:.2f} {unit}"


def money(amount: float, currency: str) -> str:
    """A price, in a currency where that is told."""
    return f"{amount:,.2f} {currency}".rstrip()


def moved_words(out_of: str, into: str) -> str:
    """From where to where an end goes."""
    return " ".join(x for x in (f"from {out_of}" * bool(out_of), f"into {into}" * bool(into)) if x)


def counted(n: float, word: str) -> str:
    """A count with its word, in the plural where it is not one."""
    return f"{n:.0f} {word}{'' if n == 1 else 's'}"


def line_words(line: Line) -> str:
    """A rail or ground in words."""
    return "ground" if line == "ground" else RAIL_WORDS[line]
