"""How long work takes, by how long such steps took before."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from statistics import median

#: Longer than this between two ticks, and somebody was away; shorter, and nothing was done but
#: ticking [s]; so many gaps tell anything.
AWAY_S, TICKING_S, ENOUGH = 900.0, 5.0, 8


@dataclass(frozen=True, slots=True, kw_only=True)
class Pace:
    """Usual seconds of a step by its family, and of any step; None: too few were ticked."""

    of: Mapping[str, float] = field(default_factory=dict)
    usual: float | None = None

    def minutes(self, steps: Iterable[str]) -> int | None:
        """How long steps will take [min], by their ids."""
        if self.usual is None:
            return None
        whole = sum(self.of.get(family(s), self.usual) for s in steps)
        return max(1, round(whole / 60)) if whole else 0

    def to_move(self, ends: int) -> int | None:
        """How long it takes to move so many plugs and port ends [min]."""
        return self.minutes(["joint"] * ends) if ends else None


def family(step: str) -> str:
    """What a step does, whatever to."""
    return step.partition(":")[0]


def pace(gaps: Iterable[tuple[str, float]]) -> Pace:
    """The pace that some gaps before ticks [s] tell, each with the step that was ticked."""
    by_family: dict[str, list[float]] = defaultdict(list)
    for step, gap in gaps:
        if TICKING_S <= gap <= AWAY_S:
            by_family[family(step)].append(gap)
    every = [g for several in by_family.values() for g in several]
    if len(every) < ENOUGH:
        return Pace()
    return Pace(of={f: median(g) for f, g in by_family.items()}, usual=median(every))
