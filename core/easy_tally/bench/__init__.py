"""The bench: how a machine stands by its record, and the work that makes it what is wanted."""

from __future__ import annotations

from .covers import Known
from .found import NOT_SEEN, NOTHING, FoundAs, FoundPlace, found_parts, found_places, found_whole
from .history import Sitting, sittings
from .joints import MOST_MATINGS, WARN_MATINGS, Joint, Look
from .older import Ticked, acts_of_older
from .order import GROUP_WORDS
from .pace import Pace, pace
from .plan import Placed, Plan, bad_of, joint_words, plan, steps
from .record import ACTS, Act, Noted, Standing, in_force, owner, standing
from .steps import AnswerOfStep, Step
from .steps_in import opening_of
from .steps_out import is_for_drawer

__all__ = [
    "ACTS",
    "GROUP_WORDS",
    "MOST_MATINGS",
    "NOTHING",
    "NOT_SEEN",
    "WARN_MATINGS",
    "Act",
    "AnswerOfStep",
    "FoundAs",
    "FoundPlace",
    "Joint",
    "Known",
    "Look",
    "Noted",
    "Pace",
    "Placed",
    "Plan",
    "Sitting",
    "Standing",
    "Step",
    "Ticked",
    "acts_of_older",
    "bad_of",
    "found_parts",
    "found_places",
    "found_whole",
    "in_force",
    "is_for_drawer",
    "joint_words",
    "opening_of",
    "owner",
    "pace",
    "plan",
    "sittings",
    "standing",
    "steps",
]
