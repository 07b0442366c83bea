"""What is found on the way through the board."""

from __future__ import annotations

from collections.abc import Iterator

from ..ratings.through_board import BoardElement
from .facts import Analysis
from .finding import Finding, Number, Remedy, Severity, Subject


def through(a: Analysis) -> Iterator[Finding]:
    """Each limit that is over, unknown or tight."""
    for b in a.board:
        if b.judged.verdict != "within":
            severity: Severity = b.judged.verdict
            at = Subject(of="part" if b.part else "build", key=b.part, field=b.field)
            yield Finding(
                id=f"board.{b.kind.replace(' ', '-')}",
                severity=severity,
                subject=at,
                numbers=numbers_of(b),
                cause=b,
                remedies=(Remedy(id=remedy_id(b), find=at),),
            )


def numbers_of(b: BoardElement) -> dict[str, Number]:
    """Load, limit, share and where they stand."""
    j = b.judged
    return {
        "load": j.load,
        "limit": j.limit,
        "share": j.share,
        "unit": b.unit,
        "line": b.line,
        "state": j.state,
        "at": b.at,
    }


def remedy_id(b: BoardElement) -> str:
    """What would mend it."""
    if b.kind == "header" and not b.at:
        return "hang-elsewhere"
    if b.kind == "main plug pins" and not b.at:
        return "give-main-socket" if b.part else "add-board"
    if b.judged.limit is None:
        return "enter-limit"
    return {"main plug pins": "feed-extra", "slot": "wider-slot", "header": "spread"}[b.kind]
