"""Everything that is computed of one build, in one walk that never goes back to search it."""

from __future__ import annotations

from dataclasses import replace

from ..base.memory import NO_MEMORY, Memory
from ..ratings.runs import carried_in_spikes, check_runs
from ..ratings.through_board import through_board
from ..supplies.checks import check_supply
from ..supplies.sizing import size
from ..tally.demand import demands
from ..tally.loads import loads as loads_of
from ..tally.signals import signals
from ..tally.spikes import spikes
from ..tally.sums import tally as tally_of
from ..things.build import Build
from ..wiring import Wired
from .facts import Analysis
from .register import findings


def analyse(build: Build, year: int | None = None, memory: Memory = NO_MEMORY) -> Analysis:
    """Compute everything about a build: wiring, loads, tally, supply, runs, board, findings; what
    depends on age by the `year` that it is. What of it was worked out before is taken from
    `memory`, and left there."""
    wired = Wired(build, memory)
    loads = loads_of(wired)
    tally = tally_of(wired, loads)
    spiking = spikes(wired, loads)
    carried = demands(wired, loads)
    a = Analysis(
        wired=wired,
        loads=loads,
        tally=tally,
        spikes=spiking,
        sizing=size(wired, tally.total, spiking.total, build.supply),
        supply=None,
        carried=carried,
        runs=check_runs(wired, carried, carried_in_spikes(wired, loads, carried)),
        board=through_board(wired, loads, carried),
        signals=signals(wired),
        year=year,
    )
    if build.supply is not None:
        a = replace(a, supply=check_supply(build.supply, a.asked))
    return replace(a, findings=findings(a))


def tried(a: Analysis, build: Build) -> Analysis:
    """The analysis of a build as it would be, in the year of `a`. What is only tried takes what was
    worked out, and leaves nothing of its own behind."""
    return analyse(build, a.year, a.wired.memory.aside())
