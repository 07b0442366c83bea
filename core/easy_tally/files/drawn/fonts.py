"""The open fonts that come with the package for PDF: the application's own are of a kind that it
can't read. Loaded when the first page is made."""

from __future__ import annotations

from pathlib import Path

PLAIN, BOLD = "Vera", "VeraBd"


def fonts() -> None:
    """Make them known, once."""
    import reportlab
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont

    if PLAIN in pdfmetrics.getRegisteredFontNames():
        return
    folder = Path(reportlab.__file__).parent / "fonts"
    for name in (PLAIN, BOLD):
        pdfmetrics.registerFont(TTFont(name, str(folder / f"{name}.ttf")))
