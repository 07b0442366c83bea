"""Supplies side by side as CSV: a row a check, a column a supply, what differs first."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable

from ...publishing import SupplyAnswer
from .cells import harmless


def write(answers: Iterable[SupplyAnswer]) -> str:
    """The CSV of some supplies judged for one build."""
    shown = list(answers)
    rows: dict[str, list[str]] = {}
    for at, answer in enumerate(shown):
        for c in answer.checks:
            key = f"{c.id} {c.rail}" if c.rail else c.id
            rows.setdefault(key, [""] * len(shown))[at] = f"{c.status}: {c.text}"
    differing = sorted(rows, key=lambda k: (_same(rows[k]), list(rows).index(k)))
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(["", *map(harmless, (a.name for a in shown))])
    writer.writerow(["verdict", *(a.verdict for a in shown)])
    for key in differing:
        writer.writerow([key, *map(harmless, rows[key])])
    return out.getvalue()


def _same(cells: list[str]) -> bool:
    return len({c.partition(":")[0] for c in cells}) == 1
