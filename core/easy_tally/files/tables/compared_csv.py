"""A comparison as CSV: a line a row, a column a side."""

from __future__ import annotations

import csv
import io

from ...question import ComparedAnswer
from .cells import harmless


def write(answer: ComparedAnswer) -> str:
    """The text; what differs is marked in a column of its own."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    words = dict(answer.groups)
    writer.writerow(["of", "what", "differs", *(harmless(s.name) for s in answer.sides)])
    for line in answer.lines:
        cells = (harmless(c.text) for c in line.cells)
        yes = "yes" if line.differs else ""
        writer.writerow([words[line.group], harmless(line.words), yes, *cells])
    return out.getvalue()
