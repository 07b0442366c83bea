"""What a question is answered by, beside the build: what is at hand and could be had, and how the
machine stands."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import UTC, datetime

from ..analysis import Analysis
from ..bench import Known, Noted, Pace, Standing, found_whole, standing
from ..mapping import InStock
from ..supplies.kits import Kit
from ..things.adapters import Adapter
from ..things.case import Case
from ..things.individuals import individuals

_NO_PACE = Pace()


@dataclass(frozen=True, slots=True, kw_only=True)
class Around:
    """What is at hand and could be had (prices in the builder's currency), the record of the
    machine, and how fast its builder works."""

    year: int | None = None
    stock: tuple[InStock, ...] = ()
    kits: tuple[Kit, ...] = ()
    cases: tuple[Case, ...] = ()
    record: tuple[Noted, ...] = ()
    known: Known | None = None
    pace: Pace = _NO_PACE

    @property
    def drawer(self) -> tuple[Adapter, ...]:
        """Adapters that lie free in the drawer."""
        return tuple(s.thing for s in self.stock if s.owned and isinstance(s.thing, Adapter))

    def standing_of(self, a: Analysis) -> tuple[tuple[Noted, ...], Known]:
        """The record of a machine, and what is known of the things in it; one of which nobody
        noted anything stands as its build has it."""
        known = {**(self.known or {}), **{i.id: i for i in individuals(a.wired.build)}}
        if standing(self.record).acts:
            return self.record, known
        if not a.build.runs:
            return (), known
        acts = found_whole(a, Standing(), known)
        return (Noted("found:whole", "found", datetime(2000, 1, 1, tzinfo=UTC), acts=acts),), known


class Patience:
    """How long ways to mend are looked for: `used` tells the share of the time that is gone. What
    was left out for want of it is known afterwards."""

    #: Shares after which it is left open how much can be fed, no more repairs of the map are looked
    #: for, and no more supplies.
    PARTLY, REPAIRS, SUPPLIES = 0.4, 0.7, 1.0

    def __init__(self, used: Callable[[], float] = lambda: 0.0) -> None:
        self._used = used
        self.ended = False

    def until(self, share: float) -> Callable[[], bool]:
        """Tells whether a share of the time is gone."""

        def over() -> bool:
            is_over = self._used() >= share
            self.ended = self.ended or is_over
            return is_over

        return over
