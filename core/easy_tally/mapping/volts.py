"""Volts lost along a cable and through what stands in between, as the solver judges them."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from math import inf

from ..base.units import GROUND, LINES, RAIL_V, Line
from ..standards.wires import DROP_OVER, WIRE_MOHM_PER_M
from ..things.assumptions import Assumptions
from ..things.cables import Cable
from ..wiring.wired import Carrier
from .draws import NOTHING, Draw, Four, together
from .sums import Sum, Use
from .targets import Beyond


def drops(
    sum_: Sum,
    cable: Cable,
    uses: tuple[Use, ...],
    whole: Draw,
    parts: list[Draw],
    ends: list[float],
) -> None:
    """Hold the volts lost at each plug of a cable, and beyond it: `parts` is what flows in the
    stretch up to each of the `ends` [mm]."""
    mohm = sum_.assume.contact_mohm
    lines = {line for u in uses for line, _, _ in sum_.lines(u.target.draw)} | {GROUND}
    total = sum_.loads(whole)
    lost: dict[Line, Four | None] = {}
    for line in lines:
        near = cable.supply_end.pins.of(line) if cable.needs else 0
        lost[line] = NOTHING
        if near:
            lost[line] = _more(NOTHING, total.get(line, NOTHING), mohm / near / 1000)
        elif cable.needs:
            lost[line] = None
    before = 0.0
    for end, part in zip(ends, parts, strict=True):
        _along(sum_, lost, part, cable, end - before)
        for u in uses:
            if u.plug.at_mm == end:
                here = _behind(sum_, lost, u.target.draw, u.pins)
                sum_.dropped(here, u.target.draw, bool(whole.missing))
                _drops_beyond(sum_, u.target.beyond, here, bool(whole.missing))
        before = end


def _along(
    sum_: Sum, lost: dict[Line, Four | None], part: Draw, carrier: Carrier, mm: float
) -> None:
    """Add the volts lost on a stretch of wire."""
    flow = sum_.loads(part)
    for line, old in lost.items():
        if old is not None:
            wire = _mohm(carrier, mm, line)
            load = flow.get(line, NOTHING)
            lost[line] = None if wire is None else _more(old, load, wire / 1000)


def _behind(
    sum_: Sum, lost: Mapping[Line, Four | None], draw: Draw, pins: Mapping[str, int]
) -> dict[Line, Four | None]:
    """Volts lost by line behind a plug's own contacts."""
    flow = sum_.loads(draw)
    found: dict[Line, Four | None] = {}
    for line, _, _ in sum_.lines(draw):
        far, before = pins.get(line, 0), lost.get(line)
        if not far or before is None:
            found[line] = None
        else:
            load = flow.get(line, NOTHING)
            found[line] = _more(before, load, sum_.assume.contact_mohm / far / 1000)
    return found


def _drops_beyond(
    sum_: Sum, beyond: tuple[Beyond, ...], before: Mapping[Line, Four | None], missing: bool
) -> None:
    """Volts lost at each plug of something in between, on its wire by all that flows there."""
    lost, start = dict(before), 0.0
    for end in sorted({b.plug.at_mm for b in beyond}):
        part = together([b.target.draw.share(b.share) for b in beyond if b.plug.at_mm >= end])
        if not beyond[0].is_bay:
            _along(sum_, lost, part, beyond[0].of, end - start)
        for b in beyond:
            if b.plug.at_mm == end:
                here = _behind(sum_, lost, b.target.draw, b.pins)
                sum_.dropped(here, b.target.draw, missing or bool(b.target.draw.missing))
                _drops_beyond(sum_, b.target.beyond, here, missing)
        start = end


def inner_of(
    assume: Assumptions, at_once: int | None, beyond: tuple[Beyond, ...]
) -> dict[Line, Four]:
    """Volts lost behind a lead or an input of a backplane, by rail and state, as a share of what
    may be lost, at the worst of its ends; without end where a wire on the way is not known."""
    found: dict[Line, Four] = {}
    sum_ = _Inner(assume, at_once, frozenset({"rating"}), worst=found)
    _drops_beyond(sum_, beyond, dict.fromkeys(LINES, NOTHING), False)
    return found


@dataclass(slots=True)
class _Inner(Sum):
    """Keeps what is lost in place of holding it."""

    worst: dict[Line, Four] = field(default_factory=dict)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == GROUND:
                continue
            out, here = lost.get(line), _ENDLESS
            if out is not None and back is not None:
                limit = DROP_OVER * RAIL_V[line]  # type: ignore[index]
                a, b, c, d = ((x + y) / limit for x, y in zip(out, back, strict=True))
                here = (a, b, c, d)
            old = self.worst.get(line, NOTHING)
            a, b, c, d = map(max, old, here)
            self.worst[line] = (a, b, c, d)


_ENDLESS: Four = (inf, inf, inf, inf)


def _more(a: Four, b: Four, ohm: float) -> Four:
    """Volts lost so far, and what amperes `b` lose more."""
    return a[0] + b[0] * ohm, a[1] + b[1] * ohm, a[2] + b[2] * ohm, a[3] + b[3] * ohm


def _mohm(carrier: Carrier, length_mm: float, line: Line) -> float | None:
    n = 0 if carrier.conductors is None else carrier.conductors.of(line)
    if carrier.gauge is None or n == 0:
        return None
    return WIRE_MOHM_PER_M[carrier.gauge] * length_mm / 1000 / n
