"""Findings: everything that is computed of a build, what the checks say of it, and its result."""

from __future__ import annotations

from .analysis import analyse
from .facts import Analysis
from .finding import SEVERITY_WORDS, TO_MEND, Finding, Remedy, Subject
from .goals import map_goals
from .judged_offers import judged
from .mapped import MapAnswer, map_it
from .positions import Effect, effects
from .publish import compact, exit_status, overall_of, report, run_answer, spike_rows_of, tally_rows
from .publish_supply import fit_answer, sizes_answer, supply_answer, week_answer
from .register import CHECKS, Check, not_built
from .result import (
    Amount,
    Compact,
    Overall,
    Report,
    RowAnswer,
    RunAnswer,
    SpikeRowAnswer,
    Strip,
    SupplyAnswer,
)
from .result_supply import FitAnswer, SizesAnswer, WeekAnswer
from .stay import ways_to_stay
from .used import assumption_uses
from .ways import Way
from .wording import effect_words, way_words

__all__ = [
    "CHECKS",
    "SEVERITY_WORDS",
    "TO_MEND",
    "Amount",
    "Analysis",
    "Check",
    "Compact",
    "Effect",
    "Finding",
    "FitAnswer",
    "MapAnswer",
    "Overall",
    "Remedy",
    "Report",
    "RowAnswer",
    "RunAnswer",
    "SizesAnswer",
    "SpikeRowAnswer",
    "Strip",
    "Subject",
    "SupplyAnswer",
    "Way",
    "WeekAnswer",
    "analyse",
    "assumption_uses",
    "compact",
    "effect_words",
    "effects",
    "exit_status",
    "fit_answer",
    "judged",
    "map_goals",
    "map_it",
    "not_built",
    "overall_of",
    "report",
    "run_answer",
    "sizes_answer",
    "spike_rows_of",
    "supply_answer",
    "tally_rows",
    "way_words",
    "ways_to_stay",
    "week_answer",
]
