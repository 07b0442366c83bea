"""The tally as pages, and a whole machine as one file."""

from __future__ import annotations

import io
import unittest

from easy_tally import analyse, compact
from easy_tally.bench import plan
from easy_tally.files import handover_pdf, joined, loom_pdf, tally_pdf
from pypdf import PdfReader

from .test_demo import demo


def lines(pdf: bytes) -> list[str]:
    """What stands on the pages of a PDF."""
    pages = PdfReader(io.BytesIO(pdf)).pages
    return [line for page in pages for line in page.extract_text().split("\n")]


class Printed(unittest.TestCase):
    def test_the_tally_has_every_part_and_its_sum(self) -> None:
        build = demo("heron")
        result = compact(analyse(build, 2026))
        text = lines(tally_pdf.tally(build, result))
        for part in build.parts:
            self.assertTrue(any(part.name in line for line in text), part.name)
        at = text.index("in all, W")
        # Asleep, idle, everyday, full, start: as the strip has them.
        self.assertEqual(text[at + 1 : at + 6], ["3", "109", "392", "819", "168"])
        self.assertIn("needed in all; the next common size is 1000 W", text)

    def test_what_nobody_states_is_no_zero(self) -> None:
        build = demo("heron")
        card = next(p for p in build.parts if p.name == "Knot R")
        open_ = card.model_copy(update={"board_power_w": None})
        parts = tuple(open_ if p is card else p for p in build.parts)
        unknown = build.model_copy(update={"parts": parts})
        text = lines(tally_pdf.tally(unknown, compact(analyse(unknown, 2026))))
        at = next(i for i, line in enumerate(text) if line.startswith("Knot R"))
        self.assertTrue(text[at + 4].startswith("at least"), text[at : at + 6])
        at = text.index("in all, W")
        self.assertTrue(text[at + 4].startswith("at least"), text[at : at + 6])

    def test_a_build_with_nothing_in_it_prints(self) -> None:
        build = demo("heron").model_copy(
            update={"parts": (), "supply": None, "cables": (), "runs": (), "adapters": ()}
        )
        text = lines(tally_pdf.tally(build, compact(analyse(build, 2026))))
        self.assertIn("No supply is chosen", text)

    def test_what_is_joined_is_all_there(self) -> None:
        analysis = analyse(demo("heron"), 2026)
        several = (
            tally_pdf.tally(analysis.build, compact(analysis)),
            loom_pdf.write(compact(analysis)),
            handover_pdf.handover(analysis, plan(analysis)),
        )
        pages = [len(PdfReader(io.BytesIO(one)).pages) for one in several]
        self.assertEqual(len(PdfReader(io.BytesIO(joined(several))).pages), sum(pages))
        self.assertTrue(any("handover" in line for line in lines(joined(several))))
