"""Everything that is computed of one build, in one walk that never goes back to search it."""

from __future__ import annotations

from dataclasses import replace

from ..base.units import Window
from ..ratings.runs import check_runs
from ..ratings.through_board import through_board
from ..supplies.checks import check_supply
from ..supplies.sizing import size
from ..tally.demand import Carried, demands
from ..tally.loads import Load
from ..tally.loads import loads as loads_of
from ..tally.signals import signals
from ..tally.spikes import spikes, spiking_loads
from ..tally.sums import tally as tally_of
from ..things.build import Build
from ..wiring import Wired
from .facts import Analysis
from .register import findings

#: Windows in which a group's over-current limit may trip. Source: model, section 4.
_SLOW: tuple[Window, ...] = ("10", "100")


def _spiking(wired: Wired, loads: tuple[Load, ...]) -> dict[Window, Carried]:
    """What inputs carry in slow spikes; nothing where no group has a limit to hold it against."""
    supply = wired.build.supply
    limited = supply is not None and any(g.limit_a is not None for g in supply.groups)
    if not limited or not wired.runs:
        return {}
    return {w: demands(wired, spiking_loads(wired, loads, w)) for w in _SLOW}


def analyse(build: Build, year: int | None = None) -> Analysis:
    """Compute everything about a build: wiring, loads, tally, supply, runs, board, findings; what
    depends on age by the `year` that it is."""
    wired = Wired(build)
    loads = loads_of(wired)
    tally = tally_of(wired, loads)
    spiking = spikes(wired, loads)
    carried = demands(wired, loads)
    a = Analysis(
        wired=wired, loads=loads, tally=tally, spikes=spiking,
        sizing=size(wired, tally.total, spiking.total, build.supply), supply=None, carried=carried,
        runs=check_runs(wired, carried, _spiking(wired, loads)),
        board=through_board(wired, loads, carried), signals=signals(wired), year=year,
    )  # fmt: skip
    if build.supply is not None:
        a = replace(a, supply=check_supply(build.supply, a.asked))
    return replace(a, findings=findings(a))
