"""Loads of fans, pumps, coolers, lights and their hubs: by a plug, or on headers."""

from __future__ import annotations

from collections.abc import Iterator

from ...base.declared import Figure
from ...base.series import Span
from ...base.units import RAIL_V, Rail
from ...things.assumed.assumptions import Assumptions
from ...things.parts import Cooler, Fan, Hub, LightStrip, OnHeader, Pump
from .common import Feed, Load, full_and_idle, load, states


def fan(part: Fan, assume: Assumptions) -> Iterator[Load]:
    """Rated amperes × 12 V."""
    yield _turning(part, "rated_a", part.rated_a, assume.fan_a.span(), assume)


def pump(part: Pump, assume: Assumptions) -> Iterator[Load]:
    """Rated amperes × 12 V."""
    yield _turning(part, "rated_a", part.rated_a, assume.pump_a.span(), assume)


def cooler(part: Cooler, assume: Assumptions) -> Iterator[Load]:
    """Its pump, its fans and its controller."""
    yield _turning(part, "pump_a", part.pump_a, assume.pump_a.span(), assume)
    if part.fans:
        yield _turning(part, "fan_a", part.fan_a, assume.fan_a.span(), assume, part.fans)
    yield _electronics(part, "controller_w", part.controller_w, assume)


def hub(part: Hub, assume: Assumptions) -> Iterator[Load]:
    """Its own electronics; what hangs on it are loads of their own."""
    yield _electronics(part, "own_w", part.own_w, assume)


def strip(part: LightStrip, assume: Assumptions) -> Iterator[Load]:
    """All lights on, at its volts."""
    full, idle, assumed = full_and_idle(
        part.rated_a, assume.strip_a.span(), assume.lights_idle_share.span()
    )
    rail: Rail = "v5" if part.volts == 5 else "v12"
    spans = states(full, idle, assume.everyday_lights).times(part.volts)
    yield load(
        part,
        rail,
        _feed(part),
        spans,
        field="rated_a",
        formula=f"rated amps × {part.volts} V",
        assumed=assumed,
    )


def _feed(part: OnHeader) -> Feed:
    """Its own socket where it has one, else a header of its hub or of the board."""
    return "own" if part.sockets else "header"


def _turning(
    part: OnHeader,
    field: str,
    rated: Figure | None,
    usual: Span,
    assume: Assumptions,
    times: int = 1,
) -> Load:
    full, idle, assumed = full_and_idle(rated, usual, assume.fan_idle_share.span())
    spans = states(full, idle, assume.everyday_fan).times(RAIL_V["v12"] * times)
    formula = f"{times} × rated amps × 12 V" if times != 1 else "rated amps × 12 V"
    return load(part, "v12", _feed(part), spans, field=field, formula=formula, assumed=assumed)


def _electronics(part: OnHeader, field: str, figure: Figure | None, assume: Assumptions) -> Load:
    """A controller's own draw: at 5 V from a plug; a fan header has 12 V only."""
    full, idle, assumed = full_and_idle(
        figure, assume.controller_w.span(), assume.lights_idle_share.span()
    )
    feed = _feed(part)
    return load(
        part,
        "v5" if feed == "own" else "v12",
        feed,
        states(full, idle, assume.everyday_lights),
        field=field,
        formula="its own electronics",
        assumed=assumed,
    )
