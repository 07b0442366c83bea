"""What flows, at its likely value in the four run states: all that the solver asks of it."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import NamedTuple

from ...base.series import Series, likelies
from ...base.units import GROUND, RAIL_V, RUN_RAILS, Line
from ...tally.demand import Demand

#: Amperes [A] at idle, everyday, full and start.
Four = tuple[float, float, float, float]
NOTHING: Four = (0.0, 0.0, 0.0, 0.0)
START = 3


class Surge(NamedTuple):
    """What one disk adds while it spins up: amperes [A] by rail, and its watts, by which those
    that start together are chosen."""

    amps: Mapping[Line, float]
    watts: float


class Draw(NamedTuple):
    """What comes through one input, or flows in one wire: `base` without spinning up, `surges` of
    the disks in it, `missing` the rails on which a figure is not known."""

    base: Mapping[Line, Four]
    surges: tuple[Surge, ...] = ()
    missing: frozenset[Line] = frozenset()

    def share(self, factor: float) -> Draw:
        """A share of it, surges and all."""
        if factor == 1:
            return self
        return Draw(
            {line: _times(x, factor) for line, x in self.base.items()},
            tuple(
                Surge({k: a * factor for k, a in s.amps.items()}, s.watts * factor)
                for s in self.surges
            ),
            self.missing,
        )

    def lines(self, at_once: int | None) -> dict[Line, Four]:
        """Amperes of every rail and of ground, the largest `at_once` surges (None: all) among
        them, of equal ones those with more at 12 V; ground carries the sum."""
        lines = dict(self.base)
        ranked = sorted(self.surges, key=lambda s: (-s.watts, -s.amps.get("v12", 0.0)))
        for s in ranked[:at_once]:
            for line, amps in s.amps.items():
                a = lines.get(line, NOTHING)
                lines[line] = (a[0], a[1], a[2], a[3] + amps)
        ground = [sum(x) for x in zip(*lines.values(), strict=True)] or NOTHING
        lines[GROUND] = (ground[0], ground[1], ground[2], ground[3])
        return lines


def draw_of(demand: Demand) -> Draw:
    """What one socket draws, from the tally's demand."""
    surge: dict[Line, float] = {r: likelies(x)[START] for r, x in demand.surge.items() if any(x)}
    surges = (Surge(surge, sum(a * _volts(r) for r, a in surge.items())),) if surge else ()
    base: dict[Line, Four] = {
        r: _four(demand.amps[r]) for r in RUN_RAILS if r in demand.amps and any(demand.amps[r])
    }
    return Draw(base, surges, frozenset(demand.missing))


def _volts(line: Line) -> float:
    return 0.0 if line == "ground" else RAIL_V[line]


def _four(series: Series) -> Four:
    a, b, c, d = likelies(series)
    return a, b, c, d


def _times(x: Four, factor: float) -> Four:
    return x[0] * factor, x[1] * factor, x[2] * factor, x[3] * factor


def together(draws: Iterable[Draw]) -> Draw:
    """Several in one wire."""
    several = list(draws)
    if len(several) == 1:
        return several[0]
    base: dict[Line, Four] = {}
    for d in several:
        for line, x in d.base.items():
            a = base.get(line, NOTHING)
            base[line] = (a[0] + x[0], a[1] + x[1], a[2] + x[2], a[3] + x[3])
    surges = tuple(s for d in several for s in d.surges)
    return Draw(base, surges, frozenset().union(*(d.missing for d in several)))
