"""Analysis: everything that is computed of a build, and what the checks find in it, as data."""

from __future__ import annotations

from .analyse import analyse, judged_runs, tried
from .facts import Analysis
from .finding import SEVERITY_WORDS, TO_MEND, Finding, Remedy, Subject
from .register import CHECKS, Check, not_built

__all__ = [
    "CHECKS",
    "SEVERITY_WORDS",
    "TO_MEND",
    "Analysis",
    "Check",
    "Finding",
    "Remedy",
    "Subject",
    "analyse",
    "judged_runs",
    "not_built",
    "tried",
]
