"""Cells of CSV that no spreadsheet takes for a sum, and that are read back just as they were."""

from __future__ import annotations

import csv
import io
from typing import Any

from ...base.errors import BadFile, BadInput
from ...base.plain import plain, without_odd

#: Lines of a file at the most, empty ones too; a cell may have several.
_MOST_LINES = 50_000
#: How what a spreadsheet works out begins. A quote before it makes text of it.
_SUMS = ("=", "+", "-", "@", "\t", "\r")


def harmless(cell: str) -> str:
    """A cell with a quote before it where a spreadsheet would work it out, or where it would be
    taken for one that has been given its quote; without what is no text, at which some spreadsheets
    begin a new line."""
    cell = without_odd(cell)
    return f"'{cell}" if cell.lstrip("'").startswith(_SUMS) else cell


def exact(cell: str) -> str:
    """What `harmless` made a cell of, put back."""
    quoted = cell.startswith("'") and cell.lstrip("'").startswith(_SUMS)
    return cell[1:] if quoted else cell


def rows_of(text: str, most: int) -> Any:
    """A reader of the rows of CSV of at most so many characters, by commas or semicolons. Raises
    BadFile."""
    if len(text) > most:
        raise BadFile([("file", f"at most {most:,} characters", f"{len(text):,}")])
    try:
        text = plain(text.removeprefix("\ufeff"), "file")
    except BadInput as error:
        raise BadFile(error.problems) from error
    if text.count("\n") > _MOST_LINES:
        raise BadFile([("file", f"at most {_MOST_LINES:,} lines", f"{text.count(chr(10)):,}")])
    head = text.split("\n", 1)[0]
    mark = ";" if head.count(";") > head.count(",") else ","
    return csv.reader(io.StringIO(text, newline=""), delimiter=mark, strict=True)
