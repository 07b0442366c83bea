"""Loads of drives: amperes running and at spin-up, all at once or one after another."""

from __future__ import annotations

from collections.abc import Iterator
from typing import NamedTuple

from ...base.declared import Figure
from ...base.series import ZERO, Span
from ...base.units import RAIL_V, Rail
from ...things.assumed.assumptions import Assumptions
from ...things.assumed.defaults import default
from ...things.parts import Drive
from .common import Load, load, states

_RAILS: tuple[tuple[Rail, str], ...] = (("v12", "12v"), ("v5", "5v"))


def drive(part: Drive, assume: Assumptions, staggered: bool) -> Iterator[Load]:
    """Staggered, those not yet started draw nothing and those started run: at the worst moment
    all run, and the few that start draw on top what their start adds to running."""
    share = assume.disk35_idle_share if part.form == "3.5" else assume.drive25_idle_share
    for rail, volts in _RAILS:
        run, start, assumed = _running_and_starting(part, volts, assume)
        if run.high == 0 and start.high == 0:
            continue
        idle = run.by(share.span()).least(run)
        amps = states(run, idle, assume.everyday_drive, run if staggered else start)
        surge = Span(*(max(s - r, 0.0) for s, r in zip(start, run, strict=True)))
        yield load(
            part,
            rail,
            "own",
            amps.times(RAIL_V[rail]),
            field=f"run_{volts}_a",
            formula=f"amps × {RAIL_V[rail]:g} V",
            assumed=assumed,
            surge=surge.times(RAIL_V[rail]) if staggered else ZERO,
        )


class _Amps(NamedTuple):
    run: Span
    start: Span
    assumed: bool


def _running_and_starting(part: Drive, volts: str, assume: Assumptions) -> _Amps:
    """A drive without start figures starts at running; a default gives way to what is stated: an
    assumed start is never below running, an assumed running never above a stated start."""
    running: Figure | None = getattr(part, f"run_{volts}_a")
    starting: Figure | None = getattr(part, f"start_{volts}_a")
    run = running.span() if running else default(part, f"run_{volts}_a", assume) or ZERO
    assumed = running is None or running.is_assumed
    if starting is not None:
        start = starting.span()
        return _Amps(run if running else run.least(start), start, assumed)
    usual = default(part, f"start_{volts}_a", assume)
    return _Amps(run, run if usual is None else usual.most(run), assumed)
