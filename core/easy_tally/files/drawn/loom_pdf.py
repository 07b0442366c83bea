"""The Loom as PDF, one page as large as the drawing. Bytes out."""

from __future__ import annotations

import io

from ...publishing import Compact
from .fonts import BOLD, PLAIN, fonts
from .loom_drawing import GROUND, Box, Drawing, Stroke, Words, drawing


def write(result: Compact) -> bytes:
    """The PDF of a build's lanes, at full load; the same bytes for the same build."""
    return of(drawing(result))


def of(d: Drawing) -> bytes:
    """The PDF of a drawing. Its package is loaded when the first is made: few ever are."""
    from reportlab.lib.colors import HexColor
    from reportlab.pdfgen.canvas import Canvas

    fonts()
    out = io.BytesIO()
    page = Canvas(out, pagesize=(d.width, d.height), invariant=1, pageCompression=1)
    page.setTitle(d.title)
    page.setFillColor(HexColor(GROUND))
    page.rect(0, 0, d.width, d.height, stroke=0, fill=1)
    for s in d.shapes:
        page.saveState()
        match s:
            case Box():
                page.setFillColor(HexColor(s.fill))
                page.setFillAlpha(s.opacity)
                if s.line:
                    page.setStrokeColor(HexColor(s.line))
                y = d.height - s.y - s.height
                page.rect(s.x, y, s.width, s.height, stroke=bool(s.line), fill=1)
            case Stroke():
                page.setStrokeColor(HexColor(s.color))
                page.setLineWidth(s.width)
                page.setDash(*((4, 3) if s.dashed else ()))
                page.line(s.x, d.height - s.y, s.to_x, d.height - s.to_y)
            case Words():
                page.setFillColor(HexColor(s.color))
                page.setFont(BOLD if s.bold else PLAIN, s.size * 0.92)
                put = page.drawCentredString if s.middle else page.drawString
                put(s.x, d.height - s.y, s.text)
        page.restoreState()
    page.save()
    return out.getvalue()
