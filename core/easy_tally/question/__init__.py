"""The question: what becomes of a machine by a change, and what would make it go."""

from __future__ import annotations

from .answer import Answered, ask
from .around import Around, Patience
from .change import BESIDE, Change, Instead, instead_of
from .compared import MOST_SIDES, Side, compared
from .outcome import Before, Outcome
from .result import ComparedAnswer, QuestionAnswer, VerdictAnswer, WayAnswer
from .said import Heard, Shelf, heard
from .verdicts import VERDICTS, of_which
from .words import STATUS_WORDS

__all__ = [
    "BESIDE",
    "MOST_SIDES",
    "STATUS_WORDS",
    "VERDICTS",
    "Answered",
    "Around",
    "Before",
    "Change",
    "ComparedAnswer",
    "Heard",
    "Instead",
    "Outcome",
    "Patience",
    "QuestionAnswer",
    "Shelf",
    "Side",
    "VerdictAnswer",
    "WayAnswer",
    "ask",
    "compared",
    "heard",
    "instead_of",
    "of_which",
]
