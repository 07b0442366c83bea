"""The question: what becomes of a machine by a change, and what would make it go."""

from __future__ import annotations

from .answer import Answered, ask
from .around import Around, Patience
from .change import BESIDE, Change, Instead, instead_of
from .result import PriceAnswer, QuestionAnswer, VerdictAnswer, WayAnswer
from .said import Heard, Shelf, heard
from .verdicts import VERDICTS, of_which

__all__ = [
    "BESIDE",
    "VERDICTS",
    "Answered",
    "Around",
    "Change",
    "Heard",
    "Instead",
    "Patience",
    "PriceAnswer",
    "QuestionAnswer",
    "Shelf",
    "VerdictAnswer",
    "WayAnswer",
    "ask",
    "heard",
    "instead_of",
    "of_which",
]
