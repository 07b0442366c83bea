"""Text in, text out: the build file, the catalogue's CSV, the printed result."""

from __future__ import annotations

from . import (
    bench_pdf,
    build_file,
    kits_csv,
    loom_pdf,
    loom_svg,
    map_csv,
    parts_csv,
    readings_csv,
    readings_heads,
    readings_svg,
    supplies_csv,
)
from .canonical import to_text
from .cells import harmless
from .printout import print_map, print_report

__all__ = [
    "bench_pdf",
    "build_file",
    "harmless",
    "kits_csv",
    "loom_pdf",
    "loom_svg",
    "map_csv",
    "parts_csv",
    "print_map",
    "print_report",
    "readings_csv",
    "readings_heads",
    "readings_svg",
    "supplies_csv",
    "to_text",
]
