"""Everything that is computed of one build, in one walk that never goes back to search it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from ..base.memory import NO_MEMORY, Memory
from ..base.units import Window
from ..ratings.both_ends import board_at_both_ends, runs_at_both_ends
from ..ratings.runs import RunResult, carried_in_spikes, check_runs
from ..ratings.through_board import through_board
from ..supplies.checks import check_supply
from ..supplies.sizing import size
from ..tally.demand import Carried, demands
from ..tally.loads import loads as loads_of
from ..tally.signals import signals
from ..tally.spikes import spikes
from ..tally.sums import tally as tally_of
from ..things.adapters import Adapter
from ..things.build import Build
from ..usual import CORNERS, LENGTHS, facts_of, is_of_runs
from ..wiring import Wired
from .facts import Analysis
from .register import findings


def analyse(
    build: Build,
    year: int | None = None,
    memory: Memory = NO_MEMORY,
    drawer: tuple[Adapter, ...] = (),
) -> Analysis:
    """Compute everything about a build: wiring, loads, tally, supply, runs, board, findings; what
    depends on age by the `year` that it is; what lies in the `drawer` is at hand. What of it was
    worked out before is taken from `memory`, and left there."""
    a = _judged(_loaded(build, year, memory, drawer))
    if build.supply is not None:
        a = replace(a, supply=check_supply(build.supply, a.asked))
    return replace(a, findings=findings(a))


def _loaded(
    build: Build, year: int | None, memory: Memory, drawer: tuple[Adapter, ...]
) -> Analysis:
    """What a build draws and what the rules ask for; nothing is judged yet."""
    wired = Wired(build, memory)
    loads = loads_of(wired)
    tally = tally_of(wired, loads)
    spiking = spikes(wired, loads)
    return Analysis(
        wired=wired,
        loads=loads,
        tally=tally,
        spikes=spiking,
        sizing=size(wired, tally.total, spiking.total, build.supply),
        supply=None,
        carried=demands(wired, loads),
        runs=(),
        board=(),
        signals=signals(wired),
        year=year,
        drawer=drawer,
    )


def _judged(a: Analysis) -> Analysis:
    """With its runs and what comes through the board judged at both ends of what nobody measured.
    What flows does not depend on that."""
    of_spikes = carried_in_spikes(a.wired, a.loads, a.carried)
    usual = _at_one_end(a, a.wired, of_spikes)
    facts = facts_of(a.build)
    if not facts:
        return usual
    memory, of_runs = a.wired.memory, [f for f in facts if is_of_runs(f)]
    ends = CORNERS if any(f.field in LENGTHS for f in of_runs) else CORNERS[:1]
    corners = []
    for end in ends:
        wired = Wired(a.build, memory, end)
        corner = replace(usual, wired=wired)
        if of_runs or any(f.at for f in facts if f.of == "part"):
            corner = _at_one_end(a, wired, of_spikes)
        corners.append(corner)
    return replace(
        usual,
        usual=facts,
        corners=tuple(corners),
        runs=runs_at_both_ends(memory, usual.runs, *(c.runs for c in corners)),
        board=board_at_both_ends(usual.board, *(c.board for c in corners)),
    )


def _at_one_end(a: Analysis, wired: Wired, of_spikes: Mapping[Window, Carried]) -> Analysis:
    return replace(
        a,
        wired=wired,
        runs=check_runs(wired, a.carried, of_spikes),
        board=through_board(wired, a.loads, a.carried),
        usual=(),
        corners=(),
    )


def judged_runs(wired: Wired, like: Analysis) -> tuple[RunResult, ...]:
    """The runs of a build that is only tried, at both ends; nothing else of it is worked out."""
    loads = loads_of(wired)
    return _judged(replace(like, wired=wired, loads=loads, carried=demands(wired, loads))).runs


def with_figures(a: Analysis, build: Build) -> Analysis:
    """The same with other figures of what nobody measured, without findings: what flows is as it
    was."""
    then = _judged(replace(a, wired=Wired(build, a.wired.memory.aside())))
    if build.supply is not None:
        then = replace(then, supply=check_supply(build.supply, then.asked))
    return then


def tried(a: Analysis, build: Build) -> Analysis:
    """The analysis of a build as it would be, in the year of `a`. What is only tried takes what was
    worked out, and leaves nothing of its own behind."""
    return analyse(build, a.year, a.wired.memory.aside(), a.drawer)


def sized(a: Analysis, build: Build) -> Analysis:
    """The same as `tried`, of the supply alone: no run is judged and nothing is found."""
    then = _loaded(build, a.year, a.wired.memory.aside(), a.drawer)
    if build.supply is None:
        return then
    return replace(then, supply=check_supply(build.supply, then.asked))
