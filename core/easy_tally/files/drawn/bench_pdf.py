"""The bench sheet and the cable flags as PDF, from the same plan as the station. Bytes out."""

from __future__ import annotations

import io
from collections.abc import Iterable, Iterator
from typing import Any, Literal, NamedTuple
from xml.sax.saxutils import escape

from ...analysis import Analysis
from ...base.saying import money
from ...bench import Joint, Look, Step, joint_words, steps
from ...publishing import compact
from .fonts import BOLD, PLAIN, fonts

Paper = Literal["A4", "letter"]
#: Margin of a page, and the gap between two flags [mm].
_MARGIN, _GAP = 12.0, 2.0
_SHORT = {
    "place": "right port",
    "end": "supply’s end",
    "like": "right kind",
    "clicked": "clicked",
    "pull": "holds",
    "half": "right part of the plug",
    "one-off": "not one pin off",
    "key": "step meets step",
    "home": "home",
    "gap": "no gap",
}
CAUTIONS = (
    "Off and out of the wall before a cable is touched. Never open a supply, never cut its cables, "
    "never force a plug. No cable of another supply unless its maker states the same pinout.",
    "A warm, browned or loose plug ends the work: stop using it. Mains circuits: local code and a "
    "licensed electrician decide.",
)


def sheet(a: Analysis, paper: Paper = "A4") -> bytes:
    """The bench sheet in the order of the work: cautions and what makes safe, panel, every joint
    with its boxes, what else is to be looked at, room for initials. One page where it can be."""
    from reportlab.lib.units import mm
    from reportlab.platypus import SimpleDocTemplate

    fonts()
    out = io.BytesIO()
    page = SimpleDocTemplate(
        out,
        pagesize=_size(paper),
        leftMargin=_MARGIN * mm,
        rightMargin=_MARGIN * mm,
        topMargin=10 * mm,
        bottomMargin=10 * mm,
        title=f"{a.build.name}: bench sheet",
        invariant=1,
    )
    page.build(story(a))
    return out.getvalue()


def story(a: Analysis) -> list[Any]:
    """What stands on the bench sheet, from the top down."""
    from reportlab.lib.units import mm
    from reportlab.platypus import Paragraph, Spacer

    fonts()
    supply = a.build.supply.name if a.build.supply else "no supply"
    return [
        Paragraph(f"{escape(a.build.name)}: bench sheet", _style(15, bold=True)),
        Paragraph(f"{escape(supply)}. Date ____________   Initials ____________", _style(8.5)),
        *(Paragraph(escape(text), _style(8.5)) for text in _whole(a)),
        *(Paragraph(escape(text), _style(7.5)) for text in CAUTIONS),
        _others([s for s in steps(a) if s.group == "before"]),
        Spacer(1, 2 * mm),
        _panel(a),
        Spacer(1, 2 * mm),
        _joints(a),
        Spacer(1, 2 * mm),
        _others([s for s in steps(a) if s.group != "before"]),
    ]


def _whole(a: Analysis) -> Iterator[str]:
    """The verdict on the whole, and what to look at before it is plugged."""
    result = compact(a)
    yield f"As a whole: {result.overall.text}."
    for item in result.find_out:
        means = f" {item.means}." if item.means else ""
        yield f"To find out: {item.title}. {item.where}{means}"
    if result.to_buy.items:
        names = "; ".join(
            i.name + ("" if i.price is None else f", {money(i.price, result.to_buy.currency)}")
            for i in result.to_buy.items
        )
        yield f"{result.to_buy.text}: {names}."


def _size(paper: Paper) -> tuple[float, float]:
    from reportlab.lib.pagesizes import A4, letter

    width, height = A4 if paper == "A4" else letter
    return float(width), float(height)


def _style(size: float, bold: bool = False) -> Any:
    from reportlab.lib.styles import ParagraphStyle

    font = BOLD if bold else PLAIN
    return ParagraphStyle("s", fontName=font, fontSize=size, leading=size * 1.25, spaceAfter=2)


def _table(rows: list[list[Any]], widths: list[float], head: bool, size: float = 7.5) -> Any:
    from reportlab.lib.units import mm
    from reportlab.platypus import Table, TableStyle

    table = Table(rows, colWidths=[w * mm for w in widths], repeatRows=1 if head else 0)
    table.setStyle(
        TableStyle(
            [
                ("FONT", (0, 0), (-1, -1), PLAIN, size),
                ("VALIGN", (0, 0), (-1, -1), "TOP"),
                ("LINEBELOW", (0, 0), (-1, -1), 0.4, "#999999"),
                ("TOPPADDING", (0, 0), (-1, -1), 1.2),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 1.8),
                ("LEFTPADDING", (0, 0), (-1, -1), 1),
                ("RIGHTPADDING", (0, 0), (-1, -1), 3),
                *([("FONT", (0, 0), (-1, 0), BOLD, size)] if head else []),
            ]
        )
    )
    return table


def _panel(a: Analysis) -> Any:
    """The supply's panel face-on: each port with what goes there."""
    from reportlab.lib.units import mm
    from reportlab.platypus import Paragraph, Table, TableStyle

    ports = list(a.wired.ports.values())
    if not ports:
        return Paragraph("The cables are fixed to the supply.", _style(8))
    rows, columns = max(p.row for p in ports) + 1, max(p.column for p in ports) + 1
    used = {k: r.cable.name for r in a.wired.runs for k in r.run.ports}
    cells: list[list[Any]] = [["" for _ in range(columns)] for _ in range(rows)]
    for p in ports:
        said = f"<b>{escape(p.label)}</b><br/>{escape(used.get(p.key, 'free'))}"
        cells[p.row][p.column] = Paragraph(said, _style(6.5))
    table = Table(cells, colWidths=[min(30, 184 / columns) * mm] * columns)
    boxes = [("BOX", (p.column, p.row), (p.column, p.row), 0.6, "#333333") for p in ports]
    table.setStyle(TableStyle([*boxes, ("VALIGN", (0, 0), (-1, -1), "TOP")]))
    return table


def _joints(a: Analysis) -> Any:
    """The joints. Of a large build there are pages of them: lines are filled here, where a table
    would break paragraphs anew for every page."""
    from reportlab.lib.units import mm

    widths: list[float] = [6, 76, 88, 16]
    rows: list[list[Any]] = [["", "Joint", "Look", "Initials"]]
    for s in steps(a):
        if s.joint is not None:
            title = _filled(s.title.split(), " ", (BOLD, 7.5), widths[1] * mm - 4)
            boxes = [f"[\u00a0]\u00a0{_short_look(x)}" for x in s.looks]
            looks = _filled(boxes, "   ", (PLAIN, 7), widths[2] * mm - 4)
            rows.append(["[ ]", title, looks, ""])
    table = _table(rows, widths, head=True)
    table.setStyle([("FONT", (1, 1), (1, -1), BOLD, 7.5), ("FONT", (2, 1), (2, -1), PLAIN, 7)])
    return table


def _filled(pieces: Iterable[str], gap: str, font: tuple[str, float], width: float) -> str:
    """Pieces put into lines of a width [pt] as they have room; what is longer than a line is cut
    where it has to be."""
    from reportlab.pdfbase.pdfmetrics import stringWidth

    lines: list[str] = []
    for piece in pieces:
        longer = f"{lines[-1]}{gap}{piece}" if lines else ""
        if lines and stringWidth(longer, *font) <= width:
            lines[-1] = longer
            continue
        while len(piece) > 1 and stringWidth(piece, *font) > width:
            n = next(
                n
                for n in range(len(piece), 0, -1)
                if n == 1 or stringWidth(piece[:n], *font) <= width
            )
            lines.append(piece[:n])
            piece = piece[n:]
        lines.append(piece)
    return "\n".join(lines)


def _short_look(look: Look) -> str:
    """A look in a word or two, for a sheet on which all have to have room."""
    if look.id == "straight":
        return "straight " + look.text.partition(" for ")[2].partition(" before")[0]
    return _SHORT.get(look.id, look.text)


def _others(several: Iterable[Step]) -> Any:
    """Steps that make no joint."""
    from reportlab.platypus import Paragraph

    rows: list[list[Any]] = []
    for s in several:
        if s.joint is None:
            said = "; ".join(x.rstrip(".") for x in (*s.text, *(x.text for x in s.looks)))
            note = f"; {s.note}: ____________" if s.note else ""
            title = Paragraph(escape(s.title), _style(6.8, bold=True))
            rows.append(["[ ]", title, Paragraph(escape(said + note), _style(6.6))])
    return _table(rows, [6, 46, 134], head=False)


# -- flags -----------------------------------------------------------------------------------------


class Flag(NamedTuple):
    """What stands on a flag: where this end goes, and where the other."""

    here: str
    there: str


def flags_of(a: Analysis) -> Iterator[Flag]:
    """Both ends of every run: one at the port, one at each plug; then one at the lead of everything
    that hangs on a header."""
    joints = [s.joint for s in steps(a) if s.joint is not None]
    for j in joints:
        if j.kind == "port":
            ends = [x.where for x in joints if x.kind == "plug" and x.cable == j.cable]
            yield Flag(f"{j.port}  {j.name}", ", ".join(ends))
        else:
            yield Flag(_short(j), f"{j.port}  {j.name}".strip())
    for part in a.build.parts:
        for n, header in enumerate(a.wired.hung.get(part.key, ()), 1):
            owner = a.wired.parts.get(getattr(part, "on", None) or "") or a.wired.board
            which = f"{part.name} ({n})" if part.count > 1 else part.name
            yield Flag(f"{header.key}  {owner.name if owner else ''}", which)


def _short(j: Joint) -> str:
    return j.where if j.where else joint_words(j)


def flags(a: Analysis, paper: Paper = "A4", width_mm: float = 50, height_mm: float = 12) -> bytes:
    """Flags to be cut out and folded over a cable: each is `width_mm` wide and twice `height_mm`
    high, the same on both sides of its fold."""
    from reportlab.lib.units import mm
    from reportlab.pdfgen.canvas import Canvas

    fonts()
    out = io.BytesIO()
    wide, high = _size(paper)
    page = Canvas(out, pagesize=(wide, high), invariant=1)
    page.setTitle(f"{a.build.name}: cable flags")
    x, y = _MARGIN * mm, high - _MARGIN * mm
    for flag in flags_of(a):
        if x + width_mm * mm > wide - _MARGIN * mm:
            x, y = _MARGIN * mm, y - (2 * height_mm + _GAP) * mm
        if y - 2 * height_mm * mm < _MARGIN * mm:
            page.showPage()
            x, y = _MARGIN * mm, high - _MARGIN * mm
        _flag(page, flag, x, y, width_mm * mm, height_mm * mm)
        x += (width_mm + _GAP) * mm
    page.save()
    return out.getvalue()


def _flag(page: Any, flag: Flag, x: float, y: float, width: float, height: float) -> None:
    page.setLineWidth(0.4)
    page.setDash()
    page.rect(x, y - 2 * height, width, 2 * height)
    page.setDash(2, 2)
    page.line(x, y - height, x + width, y - height)
    page.setDash()
    size = min(8.0, height / 3.2)
    for top in (y, y - height):
        page.setFont(BOLD, size)
        page.drawString(x + 4, top - height * 0.42, _cut(page, flag.here, BOLD, size, width - 8))
        page.setFont(PLAIN, size * 0.85)
        there = _cut(page, flag.there, PLAIN, size * 0.85, width - 8)
        page.drawString(x + 4, top - height * 0.8, there)


def _cut(page: Any, text: str, font: str, size: float, width: float) -> str:
    if page.stringWidth(text, font, size) <= width:
        return text
    while text and page.stringWidth(text + "…", font, size) > width:
        text = text[:-1]
    return text + "…"
