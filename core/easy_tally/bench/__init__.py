"""The bench: steps and joints from the map, and what stands of them when the map changes."""

from __future__ import annotations

from .history import Noted, Sitting, sittings
from .joints import MOST_MATINGS, WARN_MATINGS, Joint, Look
from .plan import Done, Plan, joint_words, plan
from .steps import GROUP_WORDS, Step, steps

__all__ = [
    "GROUP_WORDS",
    "MOST_MATINGS",
    "WARN_MATINGS",
    "Done",
    "Joint",
    "Look",
    "Noted",
    "Plan",
    "Sitting",
    "Step",
    "joint_words",
    "plan",
    "sittings",
    "steps",
]
