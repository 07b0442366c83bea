"""Publishing: what was computed and advised, as data for whoever shows it, and in words."""

from __future__ import annotations

from .publish import compact, exit_status, report, run_answer, spike_rows_of, tally_rows
from .publish_buying import price_answer
from .publish_map import MapAnswer, RepairAnswer, fed_words, map_answer, repair_answer
from .publish_supply import fit_answer, sizes_answer, supply_answer, week_answer
from .result import (
    Amount,
    Compact,
    Overall,
    PriceAnswer,
    Report,
    RowAnswer,
    RunAnswer,
    SpikeRowAnswer,
    Strip,
    SupplyAnswer,
)
from .result_supply import FitAnswer, SizesAnswer, WeekAnswer
from .wording import effect_words, uses_words, way_words

__all__ = [
    "Amount",
    "Compact",
    "FitAnswer",
    "MapAnswer",
    "Overall",
    "PriceAnswer",
    "RepairAnswer",
    "Report",
    "RowAnswer",
    "RunAnswer",
    "SizesAnswer",
    "SpikeRowAnswer",
    "Strip",
    "SupplyAnswer",
    "WeekAnswer",
    "compact",
    "effect_words",
    "exit_status",
    "fed_words",
    "fit_answer",
    "map_answer",
    "price_answer",
    "repair_answer",
    "report",
    "run_answer",
    "sizes_answer",
    "spike_rows_of",
    "supply_answer",
    "tally_rows",
    "uses_words",
    "way_words",
    "week_answer",
]
