"""Advice: what would become of a build, by a rule, a supply, a plug, a map, and ways to mend it."""

from __future__ import annotations

from .goals import map_goals
from .judged_offers import judged
from .mapped import Mapped, fed, map_it, map_soon, supplies_that_do
from .positions import Effect, effects
from .put_in import put_in
from .reach import ways_to_reach
from .stay import cards_by_watts, power_limit_that_does, ways_to_stay
from .used import Uses, assumption_uses
from .ways import Way

__all__ = [
    "Effect",
    "Mapped",
    "Uses",
    "Way",
    "assumption_uses",
    "cards_by_watts",
    "effects",
    "fed",
    "judged",
    "map_goals",
    "map_it",
    "map_soon",
    "power_limit_that_does",
    "put_in",
    "supplies_that_do",
    "ways_to_reach",
    "ways_to_stay",
]
