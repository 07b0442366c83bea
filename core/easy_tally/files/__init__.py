"""Text in, text out: the build file, the catalogue's CSV, the printed result."""

from __future__ import annotations

from . import build_file
from .canonical import to_text
from .drawn import (
    answer_html,
    answer_pdf,
    compared_pdf,
    flags_pdf,
    handover_pdf,
    loom_pdf,
    loom_svg,
    readings_svg,
    tally_pdf,
    work_pdf,
)
from .drawn.handover_pdf import Measured
from .drawn.paper import Edition, joined
from .printout import print_answer, print_map, print_report
from .tables import (
    compared_csv,
    kits_csv,
    map_csv,
    parts_csv,
    readings_csv,
    readings_heads,
    supplies_csv,
)
from .tables.cells import harmless
from .upgrades import upgraded, upgraded_image

__all__ = [
    "Edition",
    "Measured",
    "answer_html",
    "answer_pdf",
    "build_file",
    "compared_csv",
    "compared_pdf",
    "flags_pdf",
    "handover_pdf",
    "harmless",
    "joined",
    "kits_csv",
    "loom_pdf",
    "loom_svg",
    "map_csv",
    "parts_csv",
    "print_answer",
    "print_map",
    "print_report",
    "readings_csv",
    "readings_heads",
    "readings_svg",
    "supplies_csv",
    "tally_pdf",
    "to_text",
    "upgraded",
    "upgraded_image",
    "work_pdf",
]
