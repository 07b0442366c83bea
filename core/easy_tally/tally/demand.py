"""What each input carries, given what is connected.

Before a map exists, and for whatever is not connected yet, the required sockets are assumed. What
has no way in (no socket at all, or several that are all optional and unfed) is kept apart: it is
never judged, and never forgotten.
"""

from __future__ import annotations

from collections.abc import Hashable, Iterable, Mapping
from dataclasses import dataclass, field
from functools import partial
from typing import NamedTuple

from ..base.reuse import Reuse
from ..base.series import NO_SERIES, Series, add, only_at, scale
from ..base.units import RAIL_V, RUN_RAILS, Rail
from ..standards.connectors import grant_12v_w, share_weight
from ..wiring import Input, Wired
from .loads import Load


class Share(NamedTuple):
    """What one load brings to one input: amperes [A] in the four run states, whether its figure is
    missing, and what spinning up adds at start, where disks start one after another."""

    rail: Rail
    amps: Series
    missing: bool
    surge: Series | None = None


@dataclass(frozen=True, slots=True)
class Demand:
    """Amperes [A] per rail in the four run states, and the rails on which a figure is missing.
    Nothing of it changes, and the same shares make the same one: what follows from it is kept."""

    amps: Mapping[Rail, Series] = field(default_factory=dict)
    missing: frozenset[Rail] = frozenset()
    #: What spinning up adds at start, where disks start one after another.
    surge: Mapping[Rail, Series] = field(default_factory=dict)


#: What an input carries that nothing comes through.
NO_DEMAND = Demand()


def _demand(shares: Iterable[Share]) -> Demand:
    """All that comes through one input together."""
    amps: dict[Rail, Series] = {}
    surge: dict[Rail, Series] = {}
    missing = set()
    for share in shares:
        rail = share.rail
        amps[rail] = add(amps[rail], share.amps) if rail in amps else share.amps
        if share.missing:
            missing.add(rail)
        if share.surge is not None:
            surge[rail] = add(surge[rail], share.surge) if rail in surge else share.surge
    return Demand(amps, frozenset(missing), surge)


@dataclass(frozen=True, slots=True, kw_only=True)
class Adrift:
    """A load of one instance that has no way in: `inputs` are those that could be one."""

    load: Load
    instance: int
    inputs: tuple[Input, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Carried:
    """What every input carries, by its ref; inputs that are the only way in of something; loads
    without one."""

    by_input: dict[str, Demand]
    only_ways: frozenset[str]
    adrift: tuple[Adrift, ...]

    def of(self, ref: str) -> Demand:
        """What one input carries; nothing where nothing comes through it."""
        return self.by_input.get(ref, NO_DEMAND)


class _Came(NamedTuple):
    """How a load comes: its share by input, the inputs that are its only way in, and what of it
    has none."""

    shares: tuple[tuple[str, Share], ...]
    only_ways: tuple[str, ...] = ()
    adrift: tuple[Adrift, ...] = ()


#: How loads come, by the load and the inputs that it may come through; what inputs carry, by the
#: shares that make it up.
_CAME: Reuse[_Came] = Reuse(800)
_DEMANDS: Reuse[Demand] = Reuse(1_000)


def demands(wired: Wired, loads: tuple[Load, ...]) -> Carried:
    """Spread every load over the inputs that it comes through."""
    _CAME.room(len(loads))
    came, slots = [], []
    for load in loads:
        if load.feed == "slot" and load.rail == "v12":
            slots.append(load)
        elif load.rail in RUN_RAILS:
            came.append(_comes(wired, load))
    came.append(_slots_come(wired, slots))
    shares: dict[str, list[Share]] = {}
    for by in came:
        for ref, share in by.shares:
            shares.setdefault(ref, []).append(share)
    _DEMANDS.room(len(shares))
    return Carried(
        by_input={
            ref: _DEMANDS.of(tuple(of), None, partial(_demand, of)) for ref, of in shares.items()
        },
        only_ways=frozenset([ref for by in came for ref in by.only_ways]),
        adrift=tuple([x for by in came for x in by.adrift]),
    )


def _comes(wired: Wired, load: Load) -> _Came:
    """How a load comes that is not a slot's at 12 V."""
    part = wired.parts[load.part]
    if load.feed == "own":
        # One socket takes all, fed or not; of several those that share it.
        more = None
        if len(part.sockets) > 1:
            more = _live(wired, [wired.inputs_of(load.part, n) for n in load.instances])
        return _CAME.of((load, part), more, partial(_come_each, wired, load))
    inputs, by_pins = _inputs_of_all(wired, load)
    if inputs is None:
        return _NOT_AT_ALL
    pins = tuple([wired.pins_12v(i) for i in inputs]) if by_pins else None
    more = (pins, _live(wired, (inputs,)))
    return _CAME.of((load, *inputs), more, partial(_come_together, wired, load, inputs, by_pins))


_NOT_AT_ALL = _Came(())


def _live(wired: Wired, inputs: Iterable[tuple[Input, ...]]) -> Hashable:
    return tuple([i.ref in wired.live for of in inputs for i in of])


def _inputs_of_all(wired: Wired, load: Load) -> tuple[tuple[Input, ...] | None, bool]:
    """The inputs that what is no part's own comes through, all instances together; whether they
    share it by pins. None where nothing is there to have inputs: that is said elsewhere."""
    if load.feed == "processor":
        return (None if wired.board is None else wired.processor_inputs), True
    source = wired.source_of(wired.parts[load.part]) if load.feed == "header" else None
    if source is not None:
        return wired.inputs_of(source.key), False  # all of it by the hub's own plug
    return (None if wired.main is None else (wired.main,)), False


def _come_each(wired: Wired, load: Load) -> _Came:
    """Each instance by its own inputs."""
    if not load.draws:
        return _NOT_AT_ALL
    amps, surge = load.run_amps(), _surge(load, 1)
    each = [
        _over(wired, load, (n,), wired.inputs_of(load.part, n), False, amps, surge)
        for n in load.instances
    ]
    return _Came(
        shares=tuple(s for c in each for s in c.shares),
        only_ways=tuple(r for c in each for r in c.only_ways),
        adrift=tuple(x for c in each for x in c.adrift),
    )


def _come_together(wired: Wired, load: Load, inputs: tuple[Input, ...], by_pins: bool) -> _Came:
    if not load.draws:
        return _NOT_AT_ALL
    amps = load.run_amps() if load.count == 1 else scale(load.run_amps(), load.count)
    return _over(wired, load, load.instances, inputs, by_pins, amps, _surge(load, load.count))


def _surge(load: Load, count: int) -> Series | None:
    """Amperes [A] that spinning up adds, of so many instances; None: nothing."""
    if not any(load.surge):
        return None
    return only_at("start", load.surge.times(count / RAIL_V[load.rail]))


def _over(
    wired: Wired,
    load: Load,
    instances: tuple[int, ...],
    inputs: tuple[Input, ...],
    by_pins: bool,
    amps: Series,
    surge: Series | None,
) -> _Came:
    """What some instances draw, over those of `inputs` that it comes through."""
    only = (inputs[0].ref,) if len(inputs) == 1 else ()
    ways = inputs if only else wired.ways_in(inputs)
    if not ways:
        return _Came((), (), tuple(Adrift(load=load, instance=n, inputs=inputs) for n in instances))
    weights = [float(wired.pins_12v(i)) if by_pins else share_weight(i.socket.kind) for i in ways]
    whole = sum(weights)
    found = []
    for into, weight in zip(ways, weights, strict=True):
        part, more = amps, surge
        if weight != whole:
            part = scale(amps, weight / whole)
            more = None if surge is None else scale(surge, weight / whole)
        found.append((into.ref, Share(load.rail, part, load.missing, more)))
    return _Came(tuple(found), only)


def _slots_come(wired: Wired, loads: list[Load]) -> _Came:
    """12 V of the slots: by the socket that feeds one where the manual says so; else the board's
    fed extras share it with the main plug by pins, none beyond its grant. What is above stays on
    the main plug's pins (assumption): feeding an extra never makes it worse."""
    feeders = [wired.slot_feeders.get(load.part) for load in loads]
    ways = [i for i in (wired.main, *wired.extras) if i is not None]
    pins = tuple([wired.pins_12v(i) for i in ways])
    things = (*loads, *feeders, wired.main, *wired.extras)
    made = partial(_come_by_slots, loads, feeders, wired.main, wired.extras, pins)
    return _CAME.of(things, pins, made)


def _come_by_slots(
    loads: list[Load],
    feeders: list[Input | None],
    main: Input | None,
    extras: tuple[Input, ...],
    pins: tuple[int, ...],
) -> _Came:
    found: list[tuple[str, Share]] = []
    shared, missing = NO_SERIES, False
    for load, feeder in zip(loads, feeders, strict=True):
        amps = scale(load.run_amps(), load.count)
        if feeder is not None:
            found.append((feeder.ref, Share("v12", amps, load.missing)))
        else:
            shared, missing = add(shared, amps), missing or load.missing
    if main is None or not (missing or any(shared)):
        return _Came(tuple(found))
    left = shared
    for extra, own in zip(extras, pins[1:], strict=True):
        most = grant_12v_w(extra.socket.kind) / RAIL_V["v12"]
        part = tuple([min(a * (own / sum(pins)), most) for a in shared])
        left = tuple([a - b for a, b in zip(left, part, strict=True)])
        found.append((extra.ref, Share("v12", part, missing)))
    found.append((main.ref, Share("v12", left, missing)))
    return _Came(tuple(found), (main.ref,))
