"""Findings: everything that is computed of a build, what the checks say of it, and its result."""

from __future__ import annotations

from .analysis import analyse
from .facts import Analysis
from .finding import SEVERITY_WORDS, TO_MEND, Finding, Remedy, Subject
from .positions import Effect, effects
from .publish import (
    compact,
    exit_status,
    overall_of,
    report,
    run_answer,
    spike_rows_of,
    supply_answer,
    tally_rows,
)
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
from .stay import ways_to_stay
from .ways import Way
from .wording import effect_words, way_words

__all__ = [
    "CHECKS", "SEVERITY_WORDS", "TO_MEND", "Amount", "Analysis", "Check", "Compact", "Effect",
    "Finding", "Overall", "Remedy", "Report", "RowAnswer", "RunAnswer", "SpikeRowAnswer", "Strip",
    "Subject", "SupplyAnswer", "Way", "analyse", "compact", "effect_words", "effects",
    "exit_status", "not_built", "overall_of", "report", "run_answer", "spike_rows_of",
    "supply_answer", "tally_rows", "way_words", "ways_to_stay",
]  # fmt: skip
