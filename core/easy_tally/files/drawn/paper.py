"""Pages that are printed: their size and type, what stands on every one, plug faces and panels in
small."""

from __future__ import annotations

import io
from collections.abc import Iterable
from datetime import date
from typing import Any, Literal, NamedTuple
from xml.sax.saxutils import escape

from ...standards.connectors import CONNECTORS, SocketKind
from ...things.supply import Port
from .fonts import BOLD, PLAIN, fonts, in_print

Paper = Literal["A4", "letter"]
#: Margin of a page [mm]; the least that anything is set in [pt].
MARGIN, LEAST_PT = 12.0, 8.0
#: Colours of the pins of a face by letter, as on the page.
_PINS = {
    "y": "#f2c21c",
    "r": "#d9362b",
    "o": "#ee8a1d",
    "v": "#8b5cc4",
    "m": "#6f93c9",
    "k": "#5d676d",
    "s": "#aab4b8",
    "n": None,
}
_BODY, _INK, _RULE = "#232c31", "#1d272c", "#999999"


class Edition(NamedTuple):
    """Of which build a print is: its version where it is kept, and the day of the print."""

    version: int | None = None
    on: date | None = None

    def words(self, name: str) -> str:
        """The line that stands on every page."""
        version = f", version {self.version}" if self.version is not None else ""
        day = f", {self.on.day} {self.on:%B %Y}" if self.on else ""
        return in_print(f"{name}{version}{day}")


def size_of(paper: Paper) -> tuple[float, float]:
    """Width and height of a page [pt]."""
    from reportlab.lib.pagesizes import A4, letter

    width, height = A4 if paper == "A4" else letter
    return float(width), float(height)


def pages(story: list[Any], paper: Paper, title: str, name: str, edition: Edition) -> bytes:
    """Pages of what follows on each other; on each whose it is, which version, and its number."""
    from reportlab.lib.units import mm
    from reportlab.platypus import SimpleDocTemplate

    fonts()
    out = io.BytesIO()
    page = SimpleDocTemplate(
        out,
        pagesize=size_of(paper),
        leftMargin=MARGIN * mm,
        rightMargin=MARGIN * mm,
        topMargin=10 * mm,
        bottomMargin=14 * mm,
        title=f"{name}: {title}",
        invariant=1,
    )

    def foot(canvas: Any, doc: Any) -> None:
        canvas.setFont(PLAIN, LEAST_PT)
        canvas.drawString(MARGIN * mm, 7 * mm, f"{edition.words(name)}: {title}")
        canvas.drawRightString(size_of(paper)[0] - MARGIN * mm, 7 * mm, f"page {doc.page}")

    page.build(story, onFirstPage=foot, onLaterPages=foot)
    return out.getvalue()


def joined(several: Iterable[bytes]) -> bytes:
    """Several PDFs as one, page after page."""
    from pypdf import PdfWriter

    out, whole = io.BytesIO(), PdfWriter()
    for one in several:
        whole.append(io.BytesIO(one))
    whole.write(out)
    return out.getvalue()


def style(size: float, bold: bool = False) -> Any:
    """A paragraph's type."""
    from reportlab.lib.styles import ParagraphStyle

    font = BOLD if bold else PLAIN
    return ParagraphStyle("s", fontName=font, fontSize=size, leading=size * 1.25, spaceAfter=2)


def gap(points: float) -> Any:
    """Room between what stands under each other [pt]."""
    from reportlab.platypus import Spacer

    return Spacer(1, points)


def said(text: str, size: float = 9.0, bold: bool = False) -> Any:
    """A paragraph of plain text."""
    from reportlab.platypus import Paragraph

    fonts()
    return Paragraph(escape(in_print(text)), style(size, bold))


def table(rows: list[list[Any]], widths: Iterable[float], head: bool = False) -> Any:
    """Rows under each other, a thin line between them; `widths` [mm]."""
    from reportlab.lib.units import mm
    from reportlab.platypus import Table, TableStyle

    columns = [w * mm for w in widths]
    ruled = Table(rows, colWidths=columns, repeatRows=1 if head else 0, hAlign="LEFT")
    ruled.setStyle(
        TableStyle(
            [
                ("FONT", (0, 0), (-1, -1), PLAIN, LEAST_PT),
                ("VALIGN", (0, 0), (-1, -1), "TOP"),
                ("LINEBELOW", (0, 0), (-1, -1), 0.4, _RULE),
                ("TOPPADDING", (0, 0), (-1, -1), 1.6),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 2.2),
                ("LEFTPADDING", (0, 0), (-1, -1), 1),
                ("RIGHTPADDING", (0, 0), (-1, -1), 3),
                *([("FONT", (0, 0), (-1, 0), BOLD, LEAST_PT)] if head else []),
            ]
        )
    )
    return ruled


def box(side: float = 9.0) -> Any:
    """A box to be ticked."""
    from reportlab.graphics.shapes import Drawing, Rect

    drawing = Drawing(side + 2, side + 2)
    drawing.add(Rect(0.5, 0, side, side, fillColor=None, strokeColor=_INK, strokeWidth=0.8))
    return drawing


def face(kind: SocketKind, pin: float = 4.2) -> Any:
    """A connector seen into its mated face, its latch below; as on the page."""
    from reportlab.graphics.shapes import Drawing, Rect

    connector = CONNECTORS[kind]
    rows = [*connector.face, *([f" {connector.side} "] if connector.side else [])]
    columns = max(len(r) for r in connector.face)
    step = pin + 0.6
    wide, high = columns * step + 3, len(rows) * step + 3
    tab = 2.4 if connector.latch else 0.0
    drawing = Drawing(wide, high + tab)
    drawing.add(Rect(0, tab, wide, high, 1, 1, fillColor=_BODY, strokeColor=_BODY))
    if tab:
        drawing.add(Rect(wide / 3, 0, wide / 3, tab, fillColor=_BODY, strokeColor=_BODY))
    for y, row in enumerate(rows):
        indent = (columns - len(row)) * step / 2 if y >= len(connector.face) else 0.0
        for x, letter in enumerate(row):
            if letter != " ":
                colour = _PINS[letter]
                at = (1.8 + indent + x * step, high + tab - 1.8 - pin - y * step)
                line = {"strokeColor": _RULE if colour is None else None, "strokeWidth": 0.4}
                drawing.add(Rect(*at, pin, pin, fillColor=colour, **line))
    return drawing


def panel(ports: Iterable[Port], chosen: Iterable[str], width: float = 120.0) -> Any:
    """The supply's panel in small: the ports that are meant are filled, and say what they are
    called."""
    from reportlab.graphics.shapes import Drawing, Rect, String

    every, meant = list(ports), set(chosen)
    rows, columns = max(p.row for p in every) + 1, max(p.column for p in every) + 1
    wide, high = min(22.0, width / columns), 11.5
    drawing = Drawing(columns * wide, rows * high)
    for p in every:
        x, y = p.column * wide, (rows - 1 - p.row) * high
        filled = p.key in meant
        fill = _BODY if filled else None
        line = {"strokeColor": _INK if filled else _RULE, "strokeWidth": 0.5}
        drawing.add(Rect(x + 0.5, y + 0.5, wide - 1.5, high - 1.5, fillColor=fill, **line))
        if filled:
            size = min(LEAST_PT, (wide - 2) / max(1, len(p.label)) * 1.7)
            middle = x + wide / 2 - 0.3
            drawing.add(
                String(
                    middle,
                    y + 3,
                    p.label,
                    textAnchor="middle",
                    fontName=BOLD,
                    fontSize=size,
                    fillColor="#ffffff",
                )
            )
    return drawing
