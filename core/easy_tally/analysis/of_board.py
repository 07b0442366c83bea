"""What is found on the way through the board."""

from __future__ import annotations

from collections.abc import Iterator

from ..ratings.through_board import BoardElement
from .facts import Analysis
from .finding import Finding, Number, Remedy, Severity, Subject


def through(a: Analysis) -> Iterator[Finding]:
    """Each limit that is over, unknown or tight; headers of one board or hub whose limit nobody
    knows together."""
    blank: dict[str, list[BoardElement]] = {}
    for b in a.board:
        if b.kind == "header" and b.at and b.judged.limit is None:
            blank.setdefault(b.part, []).append(b)
        elif b.judged.verdict != "within":
            severity: Severity = b.judged.verdict
            yield _finding(f"board.{b.kind.replace(' ', '-')}", severity, b, (b,))
    for headers in blank.values():
        yield _finding("board.header", "unknown", headers[0], tuple(headers))


def _finding(
    id: str, severity: Severity, b: BoardElement, cause: tuple[BoardElement, ...]
) -> Finding:
    at = Subject(of="part" if b.part else "build", key=b.part, field=b.field)
    return Finding(
        id=id,
        severity=severity,
        subject=at,
        numbers=numbers_of(b),
        cause=cause,
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
