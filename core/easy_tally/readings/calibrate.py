"""What readings settle: measured figures in the place of assumed ones, field by field. Each is an
edit like any other; what stood there before is kept in the figure's note, with date and instrument.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Any

from ..analysis import Analysis
from ..base.declared import Figure
from ..base.units import RAIL_V, State
from ..editing import ChangePart, ChangeSupply, Edit
from ..things.cables import Device
from ..things.parts import Card, Drive, Part, Processor
from .channels import Channel, Instrument, instrument_of
from .judged import Held
from .stats import Stats

#: How well instruments read, as a share of the reading. Source: assumptions, of usual ones.
ACCURACY: dict[Instrument, float] = {
    "wall meter": 0.02,
    "supply telemetry": 0.05,
    "connector meter": 0.02,
    "multimeter": 0.01,
    "card": 0.05,
}
_NOTE = 400


@dataclass(frozen=True, slots=True, kw_only=True)
class Settled:
    """A figure that readings settle: of which thing and field, what it is now (None: nothing) and
    would be, off which instrument, and the edit that takes it over. What simulated instruments say
    stays simulated."""

    of: str
    field: str
    now: Figure | None
    then: Figure
    unit: str
    instrument: Instrument
    edit: Edit


def settle(a: Analysis, held: Held, day: str, simulated: bool = False) -> Iterator[Settled]:
    """Every figure that these readings settle; `day`: when they were taken, for the note.
    `simulated`: by instruments that measured no machine."""
    for x in _measured(a, held, day):
        if not simulated:
            yield x
        elif x.field != "efficiency":  # a supply's points are its own, and say no origin
            yield _as_simulated(x)


def _as_simulated(x: Settled) -> Settled:
    then = x.then.model_copy(
        update={"origin": "simulated", "note": f"simulated {x.then.note}"[:_NOTE]}
    )
    edit = ChangePart(part=x.of, changes={x.field: then.model_dump()})
    return replace(x, then=then, edit=edit)


def _measured(a: Analysis, held: Held, day: str) -> Iterator[Settled]:
    for part in a.build.parts:
        match part:
            case Card():
                yield from _card(a, held, part, day)
            case Processor():
                yield from _processor(a, held, part, day)
            case Drive():
                yield from _drive(a, held, part, day)
    yield from _supply(a, held, day)


def _fields(*rows: tuple[str, State]) -> tuple[tuple[str, State], ...]:
    return rows


def _plug_w(held: Held, ref: str, state: State) -> tuple[float, float, Instrument] | None:
    """(mean, 95th percentile, instrument) watts at 12 V of a plug, off its pins or its amps."""
    pins = [x for (s, c), x in held.stats.items() if s == state and c.at == ref and c.pin]
    whole = held.stats.get((state, Channel(ref, "v12", "a")))
    if whole is not None:
        return whole.mean * 12, whole.high * 12, instrument_of(whole.channel)
    if not pins:
        return None
    mean, high = (sum(getattr(x, k) for x in pins) for k in ("mean", "high"))
    return mean * RAIL_V["v12"], high * RAIL_V["v12"], "connector meter"


def _card(a: Analysis, held: Held, part: Card, day: str) -> Iterator[Settled]:
    for field, state in _fields(("board_power_w", "full"), ("idle_w", "idle")):
        own = [
            held.stats.get((state, Channel(str(Device(part.key, n)), "", "w")))
            for n in range(1, part.count + 1)
        ]
        known = [x for x in own if x is not None]
        if known:
            factor = part.power_limit if field == "board_power_w" else 1.0
            yield _of_part(part, field, _most(known), "card", day, 1 / factor)


def _processor(a: Analysis, held: Held, part: Processor, day: str) -> Iterator[Settled]:
    inputs = [i for i in a.wired.processor_inputs if i.ref in a.wired.feeds]
    for field, state in _fields(("package_w", "full"), ("package_idle_w", "idle")):
        read = [_plug_w(held, i.ref, state) for i in inputs]
        known = [x for x in read if x is not None]
        if known and len(known) == len(inputs):
            mean, high = sum(x[0] for x in known), sum(x[1] for x in known)
            factor = a.build.assumptions.regulator_efficiency / part.count
            yield _of_part(part, field, (mean, high), known[0][2], day, factor)


def _drive(a: Analysis, held: Held, part: Drive, day: str) -> Iterator[Settled]:
    for rail, field in (("v12", "run_12v_a"), ("v5", "run_5v_a")):
        if field not in type(part).model_fields:
            continue
        stats = [
            held.stats.get(("full", Channel(i.ref, rail, "a")))
            for n in range(1, part.count + 1)
            for i in a.wired.inputs_of(part.key, n)
        ]
        known = [x for x in stats if x is not None]
        if known:
            yield _of_part(
                part, field, _most(known), instrument_of(known[0].channel), day, 1.0, "A"
            )


def _most(known: list[Stats]) -> tuple[float, float]:
    return max(x.mean for x in known), max(x.high for x in known)


def _of_part(
    part: Part,
    field: str,
    read: tuple[float, float],
    by: Instrument,
    day: str,
    factor: float,
    unit: str = "W",
) -> Settled:
    now: Figure | None = getattr(part, field)
    then = _figure(read, factor, by, day, now, unit)
    edit = ChangePart(part=part.key, changes={field: then.model_dump()})
    return Settled(
        of=part.key, field=field, now=now, then=then, unit=unit, instrument=by, edit=edit
    )


def _figure(
    read: tuple[float, float],
    factor: float,
    by: Instrument,
    day: str,
    now: Figure | None,
    unit: str,
) -> Figure:
    """Likely: the mean; high: the 95th percentile; both widened by what the instrument is off."""
    mean, high = (x * factor for x in read)
    off = ACCURACY[by]
    was = (
        f"{now.likely:g} {unit} ({now.low:g} to {now.high:g}), {now.origin}"
        + (f"; {now.note}" if now.note else "")
        if now
        else "assumed"
    )
    return Figure(
        low=round(mean * (1 - off), 3),
        likely=round(mean, 3),
        high=round(max(high, mean) * (1 + off), 3),
        origin="measured",
        note=f"{by}, {day}. Before: {was}"[:_NOTE],
    )


def _supply(a: Analysis, held: Held, day: str) -> Iterator[Settled]:
    """The supply's own points of efficiency, where wall and output were read in two states or
    more whose loads differ."""
    supply = a.build.supply
    if supply is None or not supply.rated_w:
        return
    points: dict[float, float] = {}
    states: tuple[State, ...] = ("idle", "everyday", "full")
    for state in states:
        wall = held.stats.get((state, Channel("wall", "", "w")))
        dc = held.stats.get((state, Channel("dc", "", "w")))
        if wall and dc and 0 < dc.mean < wall.mean:
            points[round(dc.mean / supply.rated_w, 3)] = round(dc.mean / wall.mean, 4)
    if len(points) < 2:
        return
    changes: dict[str, Any] = {
        "efficiency": [{"share": s, "value": points[s]} for s in sorted(points)]
    }
    was = "its own points" if supply.efficiency else f"grade {supply.grade or 'not known'}"
    changes["note"] = f"{supply.note} Efficiency: wall meter, {day}. Before: {was}.".strip()[:2000]
    last = points[max(points)]
    then = Figure(low=last, likely=last, high=last, origin="measured", note=f"wall meter, {day}")
    yield Settled(
        of="",
        field="efficiency",
        now=None,
        then=then,
        unit="",
        instrument="wall meter",
        edit=ChangeSupply(changes=changes),
    )
