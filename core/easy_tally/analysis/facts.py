"""Every computed thing of one build, before it is put in words: what every check stands on."""

from __future__ import annotations

from dataclasses import dataclass

from ..ratings.runs import RunResult
from ..ratings.through_board import BoardElement
from ..supplies.asked import Asked
from ..supplies.checks import SupplyResult
from ..supplies.sizing import Sizing
from ..tally.demand import Carried
from ..tally.loads import Load
from ..tally.signals import Signals
from ..tally.spikes import Spikes, worst_spikes
from ..tally.sums import Tally
from ..things.adapters import Adapter
from ..things.build import Build
from ..usual import Fact
from ..wiring import Wired
from .finding import Finding


@dataclass(frozen=True, slots=True, kw_only=True)
class Analysis:
    """Every computed thing of one build, before it is put in words."""

    wired: Wired
    loads: tuple[Load, ...]
    tally: Tally
    spikes: Spikes
    sizing: Sizing
    supply: SupplyResult | None
    carried: Carried
    runs: tuple[RunResult, ...]
    board: tuple[BoardElement, ...]
    signals: Signals
    #: What nobody measured and is taken as usual, and the same analysis at its cautious ends.
    usual: tuple[Fact, ...] = ()
    corners: tuple[Analysis, ...] = ()
    #: The year in which it is judged, where that is told: the core knows no clock.
    year: int | None = None
    #: Adapters that lie free in the builder's drawer, where that is told.
    drawer: tuple[Adapter, ...] = ()
    findings: tuple[Finding, ...] = ()

    @property
    def build(self) -> Build:
        """The build that this is of, as its file says it; `wired.build` is as it is taken."""
        return self.wired.stated

    @property
    def asked(self) -> Asked:
        """What a supply is held against."""
        return Asked(
            wired=self.wired,
            tally=self.tally,
            sizing=self.sizing,
            spikes=self.spikes,
            worst=worst_spikes(self.wired, self.loads, self.spikes),
            needed=self.needed,
            cables=self.build.cables,
            year=self.year,
            drawer=self.drawer,
        )

    @property
    def needed(self) -> frozenset[str]:
        """Inputs that have to be fed: those required, and those that are the only way in of
        something that draws."""
        return self.wired.needed | self.carried.only_ways
