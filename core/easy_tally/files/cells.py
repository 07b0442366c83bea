"""Cells of CSV that no spreadsheet takes for a sum, and that are read back just as they were."""

from __future__ import annotations

#: How what a spreadsheet works out begins. A quote before it makes text of it.
_SUMS = ("=", "+", "-", "@", "\t", "\r")


def harmless(cell: str) -> str:
    """A cell with a quote before it where a spreadsheet would work it out, or where it would be
    taken for one that has been given its quote."""
    return f"'{cell}" if cell.lstrip("'").startswith(_SUMS) else cell


def exact(cell: str) -> str:
    """What `harmless` made a cell of, put back."""
    quoted = cell.startswith("'") and cell.lstrip("'").startswith(_SUMS)
    return cell[1:] if quoted else cell
