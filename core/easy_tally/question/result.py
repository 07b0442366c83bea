"""The published types of an answer: six verdicts with their deciding number, and what would make it
go."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..publishing import Overall, PriceAnswer
from ..supplies.asked import CheckStatus
from .verdicts import VerdictId

Goes = Literal["goes in", "goes in with", "does not go in", "not known"]


@dataclass(frozen=True, slots=True, kw_only=True)
class VerdictAnswer:
    """One verdict: its deciding number, the same of the build as it is, a sentence, and what else
    there is to be said. `was`: how it stands now."""

    id: VerdictId
    title: str
    status: CheckStatus
    was: CheckStatus
    figure: str
    now: str
    text: str
    more: tuple[str, ...] = ()
    #: The schools under which it is otherwise, each with how.
    schools: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class WayAnswer:
    """A way to make it go, worked out on the whole build: what it does, which verdicts it mends,
    what it costs, how each verdict then stands. `at`: its place among what may be taken."""

    at: int
    text: str
    mends: tuple[VerdictId, ...]
    price: PriceAnswer
    overall: Overall
    verdicts: tuple[VerdictAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class QuestionAnswer:
    """The answer to a question: whether it goes in, in a sentence; the six verdicts; ways that mend
    what fails, the cheapest first; what is bought."""

    asked: str
    build: str
    goes: Goes
    text: str
    overall: Overall
    price: PriceAnswer
    verdicts: tuple[VerdictAnswer, ...]
    ways: tuple[WayAnswer, ...]
    to_buy: tuple[str, ...] = ()
    #: What was not decided, and why.
    undecided: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class CellAnswer:
    """What a side comes to in a line; `status` where it is judged."""

    text: str
    status: CheckStatus | Literal[""] = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class LineAnswer:
    """One line of a comparison, a cell a side; whether they differ."""

    group: str
    words: str
    cells: tuple[CellAnswer, ...]
    differs: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class SideAnswer:
    """One of those that are compared: its name, the verdict on it, what it costs from how the
    machine stands; what a school says of itself, and what it would take."""

    name: str
    note: str
    takes: str
    overall: Overall
    price: PriceAnswer


@dataclass(frozen=True, slots=True, kw_only=True)
class ComparedAnswer:
    """Up to four builds beside each other: groups of lines with their words, and the lines."""

    sides: tuple[SideAnswer, ...]
    groups: tuple[tuple[str, str], ...]
    lines: tuple[LineAnswer, ...]
