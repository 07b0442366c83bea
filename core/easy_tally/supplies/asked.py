"""What a supply is held against, and what a check of it finds."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any, Literal

from ..base.units import Rail, State, Window
from ..tally.spikes import Spikes
from ..tally.sums import Tally
from ..things.adapters import Adapter
from ..things.assumed.assumptions import Assumptions
from ..things.cables import Cable
from ..wiring import Wired
from .sizing import Sizing

CheckStatus = Literal["pass", "warn", "fail", "unknown", "not checked"]
CheckUnit = Literal["W", "A", "mm", "ms", ""]


@dataclass(frozen=True, slots=True, kw_only=True)
class SupplyCheck:
    """One check of a supply: its status and its numbers, in the state or window that governs.
    `missing` names the figures that it lacks; `more` is what its sentence needs beside."""

    id: str
    status: CheckStatus
    load: float | None = None
    limit: float | None = None
    unit: CheckUnit = ""
    rail: Rail | None = None
    state: State | None = None
    window: Window | None = None
    only_at_high: bool = False
    missing: tuple[str, ...] = ()
    more: Mapping[str, Any] = field(default_factory=dict)


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """What a supply is held against: the build's wiring, tally and spikes, what the rules ask for,
    the inputs that have to be fed, the cables that come with it, and whether it is a new one."""

    wired: Wired
    tally: Tally
    sizing: Sizing
    spikes: Spikes
    #: The same by the worst that the standard allows; None where no card may be so.
    worst: Spikes | None = None
    needed: frozenset[str] = frozenset()
    cables: tuple[Cable, ...] = ()
    new: bool = False
    #: Adapters that lie free in the builder's drawer: at hand, though in no box.
    drawer: tuple[Adapter, ...] = ()
    #: Adapters that could be had: they serve, and are told as yet to be had.
    could_be_had: tuple[Adapter, ...] = ()
    #: The year in which it is judged: the core knows no clock.
    year: int | None = None

    @property
    def assume(self) -> Assumptions:
        """What is assumed."""
        return self.wired.build.assumptions
