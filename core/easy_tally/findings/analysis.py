"""Everything that is computed of one build, in one walk that never goes back to search it."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..ratings.runs import RunResult, check_runs
from ..ratings.through_board import BoardElement, through_board
from ..supplies.checks import Asked, SupplyResult, check_supply
from ..supplies.sizing import Sizing, size
from ..tally.demand import Carried, demands
from ..tally.loads import Load
from ..tally.loads import loads as loads_of
from ..tally.spikes import Spikes, spikes
from ..tally.sums import Tally
from ..tally.sums import tally as tally_of
from ..things.build import Build
from ..wiring import Wired
from .finding import Finding
from .register import findings


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
    findings: tuple[Finding, ...] = ()

    @property
    def build(self) -> Build:
        """The build that this is of."""
        return self.wired.build

    @property
    def asked(self) -> Asked:
        """What a supply is held against."""
        return Asked(
            tally=self.tally, sizing=self.sizing, spikes=self.spikes,
            assume=self.build.assumptions,
        )  # fmt: skip

    @property
    def needed(self) -> frozenset[str]:
        """Inputs that have to be fed: those required, and those that are the only way in of
        something that draws."""
        return self.wired.needed | self.carried.only_ways


def analyse(build: Build) -> Analysis:
    """Compute everything about a build: wiring, loads, tally, supply, runs, board, findings."""
    wired = Wired(build)
    loads = loads_of(wired)
    tally = tally_of(wired, loads)
    spiking = spikes(wired, loads)
    carried = demands(wired, loads)
    a = Analysis(
        wired=wired, loads=loads, tally=tally, spikes=spiking,
        sizing=size(wired, tally.total, spiking.total), supply=None, carried=carried,
        runs=check_runs(wired, carried), board=through_board(wired, loads, carried),
    )  # fmt: skip
    if build.supply is not None:
        a = replace(a, supply=check_supply(build.supply, a.asked))
    return replace(a, findings=findings(a))
