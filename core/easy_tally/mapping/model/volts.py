"""Volts lost along a cable and through what stands in between, as the solver judges them."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from math import inf

from ...base.units import GROUND, LINES, Line
from ...ratings.limits import contacts_ohm, drop_v, lost_more, wire_ohm
from ...things.assumed.assumptions import Assumptions
from ...things.cables import Cable
from ...wiring.wired import Carrier
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
    lines = {line for u in uses for line, _, _ in sum_.lines(u.target.draw)} | {GROUND}
    total = sum_.loads(whole)
    lost: dict[Line, Four | None] = {}
    for line in lines:
        lost[line] = NOTHING
        if cable.needs:
            ohm = contacts_ohm(cable.supply_end.pins.of(line), sum_.assume)
            lost[line] = _more(NOTHING, total.get(line, NOTHING), ohm)
    before = 0.0
    for end, part in zip(ends, parts, strict=True):
        _along(sum_, lost, part, cable, end - before)
        for u in uses:
            if u.plug.mm == end:
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
        lost[line] = _more(old, flow.get(line, NOTHING), wire_ohm(carrier, mm, line))


def _behind(
    sum_: Sum, lost: Mapping[Line, Four | None], draw: Draw, pins: Mapping[str, int]
) -> dict[Line, Four | None]:
    """Volts lost by line behind a plug's own contacts."""
    flow = sum_.loads(draw)
    return {
        line: _more(
            lost.get(line), flow.get(line, NOTHING), contacts_ohm(pins.get(line, 0), sum_.assume)
        )
        for line, _, _ in sum_.lines(draw)
    }


def _drops_beyond(
    sum_: Sum, beyond: tuple[Beyond, ...], before: Mapping[Line, Four | None], missing: bool
) -> None:
    """Volts lost at each plug of something in between, on its wire by all that flows there."""
    lost, start = dict(before), 0.0
    for end in sorted({b.plug.mm for b in beyond}):
        part = together([b.target.draw.share(b.share) for b in beyond if b.plug.mm >= end])
        if not beyond[0].is_bay:
            _along(sum_, lost, part, beyond[0].of, end - start)
        for b in beyond:
            if b.plug.mm == end:
                here = _behind(sum_, lost, b.target.draw, b.pins)
                sum_.dropped(here, b.target.draw, missing or bool(b.target.draw.missing))
                _drops_beyond(sum_, b.target.beyond, here, missing)
        start = end


def inner_of(
    assume: Assumptions, at_once: int | None, beyond: tuple[Beyond, ...]
) -> dict[Line, Four]:
    """Volts lost behind a lead or an input of a backplane, by rail and state, as a share of what
    may be lost, at the worst of its ends; without end where a wire on the way is not known."""
    worst: dict[Line, Four] = {}
    sum_ = _Inner(assume, at_once, frozenset({"rating"}), worst=worst)
    _drops_beyond(sum_, beyond, dict.fromkeys(LINES, NOTHING), False)
    return worst


@dataclass(slots=True)
class _Inner(Sum):
    """Keeps what is lost in place of holding it."""

    worst: dict[Line, Four] = field(default_factory=dict)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == "ground":
                continue
            out, here = lost.get(line), _ENDLESS
            if out is not None and back is not None:
                limit = drop_v(line).rated or inf
                a, b, c, d = ((x + y) / limit for x, y in zip(out, back, strict=True))
                here = (a, b, c, d)
            old = self.worst.get(line, NOTHING)
            a, b, c, d = map(max, old, here)
            self.worst[line] = (a, b, c, d)


_ENDLESS: Four = (inf, inf, inf, inf)


def _more(lost: Four | None, amps: Four, ohm: float | None) -> Four | None:
    return lost_more(lost, amps, ohm)  # type: ignore[return-value]  # as many as it is given
