"""The application's own type for PDF, loaded when the first page is made. The two files beside this
one were made with fontTools from the variable fonts that the pages use (latin and latin-ext, at the
weights 400 and 700): the PDF library reads no others."""

from __future__ import annotations

from pathlib import Path

PLAIN, BOLD = "Tally", "TallyBold"
#: Signs that the type lacks → what stands for them in print.
_LACKS = str.maketrans({"≥": "at least ", "≤": "at most ", "→": "to ", "Ω": "ohm"})


def fonts() -> None:
    """Make them known, once."""
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont

    if PLAIN in pdfmetrics.getRegisteredFontNames():
        return
    folder = Path(__file__).parent / "type"
    for name, file in ((PLAIN, "plain.ttf"), (BOLD, "bold.ttf")):
        pdfmetrics.registerFont(TTFont(name, str(folder / file)))


def in_print(text: str) -> str:
    """A text with the signs that the type has."""
    return text.translate(_LACKS).replace("  ", " ")
