"""Where each assumption is used in a build: what changes when its value does."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from typing import NamedTuple

from ..analysis.facts import Analysis
from ..analysis.of_fit import fit_checks
from ..base.declared import Bounds
from ..ratings.runs import RunResult, check_runs
from ..ratings.through_board import through_board
from ..tally.demand import demands
from ..tally.loads import Load
from ..tally.loads import loads as loads_of
from ..tally.spikes import spike_rows
from ..things.assumed.assumptions import Assumptions
from ..things.parts import Card, Processor
from ..wiring import Wired

#: How much a value is moved to see what moves with it.
_STEP = 1.07


class Uses(NamedTuple):
    """What of a build changes with an assumption: parts by their name, or the supply; runs; what
    comes through the board; fit and air."""

    names: tuple[str, ...] = ()
    runs: int = 0
    board: bool = False
    fit: bool = False


def assumption_uses(a: Analysis, after: int = 0) -> Iterator[tuple[str, Uses]]:
    """Each assumption, behind the first so many, with what of this build changes with it. Found by
    moving each value and computing again, so that no list of uses can fall behind what is
    computed."""
    before = check_runs(a.wired, a.carried, {})  # what moves a spike is told by its parts
    for name in list(Assumptions.model_fields)[after:]:
        yield name, _uses(a, before, name)


def _uses(a: Analysis, before: tuple[RunResult, ...], name: str) -> Uses:
    now = getattr(a.build.assumptions, name)
    moved = a.build.assumptions.model_copy(update={name: _moved(now)})
    build = a.build.model_copy(update={"assumptions": moved})
    wired = Wired(build, a.wired.memory.aside())
    loads = loads_of(wired)
    if loads != a.loads:
        old = {(x.part, x.rail, x.feed): x for x in a.loads}
        keys = (x.part for x in loads if old.get((x.part, x.rail, x.feed)) != x)
        return Uses(tuple(dict.fromkeys(a.wired.parts[k].name for k in keys)))
    if name.startswith("spike_"):
        return Uses(tuple(_spiking(a, wired, loads, name)))
    if name.startswith("ride_"):
        supply = a.build.supply
        rides = supply is not None and supply.design in ("classic", None)
        return Uses((supply.name,)) if supply and rides else Uses()
    carried = demands(wired, loads)
    runs = check_runs(wired, carried, {})
    n = sum(new.elements != old.elements for new, old in zip(runs, before, strict=True))
    board = through_board(wired, loads, carried) != through_board(a.wired, a.loads, a.carried)
    fit = False
    if not n and build.case is not None:
        fit = tuple(fit_checks(replace(a, wired=wired))) != tuple(fit_checks(a))
    return Uses(runs=n, board=board, fit=fit)


def _spiking(a: Analysis, wired: Wired, loads: tuple[Load, ...], name: str) -> Iterator[str]:
    """Names of parts whose spikes change."""
    was = {r.part: r for r in spike_rows(a.wired, a.loads)}
    kind = Card if name.startswith("spike_card") else Processor
    changed = dict.fromkeys(r.part for r in spike_rows(wired, loads) if was.get(r.part) != r)
    spikers = (a.wired.parts[k] for k in changed if k in a.wired.parts)
    yield from (p.name for p in spikers if isinstance(p, kind))


def _moved(value: float | Bounds) -> float | Bounds:
    if isinstance(value, Bounds):
        high = value.high * _STEP + 0.01
        return Bounds(low=value.low * _STEP, likely=value.likely * _STEP, high=high)
    return value * _STEP if value else 1.0
