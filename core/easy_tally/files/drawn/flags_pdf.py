"""Cable flags as PDF: both ends of every run and the lead of everything on a header, to be folded
over the cable."""

from __future__ import annotations

import io
from collections.abc import Iterator
from typing import Any, NamedTuple

from ...analysis import Analysis
from ...bench import joint_words, opening_of, steps
from .fonts import BOLD, PLAIN, fonts, in_print
from .paper import MARGIN, Edition, Paper, size_of

#: The gap between two flags [mm].
_GAP = 2.0


class Flag(NamedTuple):
    """What stands on a flag: where this end goes, where the other; and the case's opening that the
    lead goes through."""

    here: str
    there: str
    way: str = ""


def flags_of(a: Analysis) -> Iterator[Flag]:
    """Both ends of every run: one at the port, one at each plug; then one at the lead of everything
    that hangs on a header."""
    joints = [s.joint for s in steps(a) if s.joint is not None]
    for j in joints:
        if j.kind == "port":
            ends = [x.where for x in joints if x.kind == "plug" and x.cable == j.cable]
            yield Flag(f"{j.port}  {j.name}", ", ".join(ends))
        else:
            here = j.where or joint_words(j)
            yield Flag(here, f"{j.port}  {j.name}".strip(), opening_of(a, j.socket))
    for part in a.build.parts:
        for n, header in enumerate(a.wired.hung.get(part.key, ()), 1):
            owner = a.wired.parts.get(getattr(part, "on", None) or "") or a.wired.board
            which = f"{part.name} ({n})" if part.count > 1 else part.name
            yield Flag(f"{header.key}  {owner.name if owner else ''}", which)


def flags(
    a: Analysis,
    paper: Paper = "A4",
    width_mm: float = 50,
    height_mm: float = 12,
    edition: Edition | None = None,
) -> bytes:
    """Flags to be cut out and folded over a cable: each is `width_mm` wide and twice `height_mm`
    high, the same on both sides of its fold."""
    from reportlab.lib.units import mm
    from reportlab.pdfgen.canvas import Canvas

    fonts()
    out = io.BytesIO()
    wide, high = size_of(paper)
    page = Canvas(out, pagesize=(wide, high), invariant=1)
    page.setTitle(f"{a.build.name}: cable flags")
    words = f"{(edition or Edition()).words(a.build.name)}: cable flags"
    x, y = MARGIN * mm, high - MARGIN * mm
    _foot(page, words)
    for flag in flags_of(a):
        if x + width_mm * mm > wide - MARGIN * mm:
            x, y = MARGIN * mm, y - (2 * height_mm + _GAP) * mm
        if y - 2 * height_mm * mm < (MARGIN + 2) * mm:
            page.showPage()
            _foot(page, words)
            x, y = MARGIN * mm, high - MARGIN * mm
        _flag(page, flag, x, y, width_mm * mm, height_mm * mm)
        x += (width_mm + _GAP) * mm
    page.save()
    return out.getvalue()


def _foot(page: Any, words: str) -> None:
    from reportlab.lib.units import mm

    page.setFont(PLAIN, 8)
    page.drawString(MARGIN * mm, 7 * mm, words)


def _flag(page: Any, flag: Flag, x: float, y: float, width: float, height: float) -> None:
    page.setLineWidth(0.4)
    page.setDash()
    page.rect(x, y - 2 * height, width, 2 * height)
    page.setDash(2, 2)
    page.line(x, y - height, x + width, y - height)
    page.setDash()
    lines = [(BOLD, flag.here), (PLAIN, flag.there), *([(PLAIN, flag.way)] if flag.way else [])]
    # Never less than can be read; what has no room there is left off.
    size = max(8.0, min(9.0, height / 3.4))
    room = max(1, int(height / (size * 1.15)))
    for top in (y, y - height):
        for n, (font, text) in enumerate(lines[:room]):
            page.setFont(font, size)
            line = _cut(page, in_print(text), font, size, width - 8)
            page.drawString(x + 4, top - size * (1.1 + 1.15 * n), line)


def _cut(page: Any, text: str, font: str, size: float, width: float) -> str:
    if page.stringWidth(text, font, size) <= width:
        return text
    while text and page.stringWidth(text + "…", font, size) > width:
        text = text[:-1]
    return text + "…"
