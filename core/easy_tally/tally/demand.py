"""What each input carries, given what is connected.

Before a map exists, and for whatever is not connected yet, the required sockets are assumed. What
has no way in (no socket at all, or several that are all optional and unfed) is kept apart: it is
never judged, and never forgotten.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field

from ..base.series import NO_SERIES, Series, add, only_at, scale
from ..base.units import RAIL_V, RUN_RAILS, Rail
from ..standards.connectors import grant_12v_w, share_weight
from ..wiring import Input, Wired
from .loads import Load


@dataclass(slots=True)
class Demand:
    """Amperes [A] per rail in the four run states, and the rails on which a figure is missing."""

    amps: dict[Rail, Series] = field(default_factory=dict)
    missing: set[Rail] = field(default_factory=set)
    #: What spinning up adds at start, where disks start one after another.
    surge: dict[Rail, Series] = field(default_factory=dict)

    def add(self, rail: Rail, amps: Series, missing: bool) -> None:
        """Add amperes on one rail."""
        if missing:
            self.missing.add(rail)
        old = self.amps.get(rail)
        self.amps[rail] = amps if old is None else add(old, amps)

    def add_surge(self, rail: Rail, amps: Series) -> None:
        """Add what spinning up adds on one rail."""
        old = self.surge.get(rail)
        self.surge[rail] = amps if old is None else add(old, amps)


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
        return self.by_input.get(ref) or Demand()


def demands(wired: Wired, loads: tuple[Load, ...]) -> Carried:
    """Spread every load over the inputs that it comes through."""
    found = _Spreading(wired)
    slot_loads = [x for x in loads if x.feed == "slot" and x.rail == "v12"]
    for load in loads:
        if load.rail in RUN_RAILS and (load.feed != "slot" or load.rail != "v12"):
            found.spread(load)
    found.spread_slots(slot_loads)
    return Carried(
        by_input=found.by_input, only_ways=frozenset(found.only_ways), adrift=tuple(found.adrift)
    )


def _surge(load: Load, count: int) -> Series | None:
    """Amperes [A] that spinning up adds, of so many instances; None: nothing."""
    if load.surge.high <= 0:
        return None
    return only_at("start", load.surge.times(count / RAIL_V[load.rail]))


class _Spreading:
    def __init__(self, wired: Wired) -> None:
        self.wired = wired
        self.by_input: dict[str, Demand] = {}
        self.only_ways: set[str] = set()
        self.adrift: list[Adrift] = []

    def spread(self, load: Load) -> None:
        wired = self.wired
        if not load.draws:
            return
        amps = load.run_amps()
        if load.feed == "own":
            surge = _surge(load, 1)
            for instance in load.instances:
                self._over(load, amps, (instance,), wired.inputs_of(load.part, instance), surge)
            return
        surge = _surge(load, load.count)
        together = amps if load.count == 1 else scale(amps, load.count)
        if load.feed == "processor":
            if wired.board is not None:
                inputs = wired.processor_inputs
                self._over(load, together, load.instances, inputs, surge, by_pins=True)
            return
        source = wired.source_of(wired.parts[load.part]) if load.feed == "header" else None
        if source is not None:
            # Through a hub: all of it by the hub's own plug.
            self._over(load, together, load.instances, wired.inputs_of(source.key), surge)
        elif wired.main is not None:
            self._over(load, together, load.instances, (wired.main,), surge)

    def _over(
        self,
        load: Load,
        amps: Series,
        instances: tuple[int, ...],
        inputs: tuple[Input, ...],
        surge: Series | None,
        by_pins: bool = False,
    ) -> None:
        """Spread what some instances draw over those of `inputs` that it comes through."""
        if len(inputs) == 1:
            self.only_ways.add(inputs[0].ref)
        ways = inputs if len(inputs) == 1 else self.wired.ways_in(inputs)
        if not ways:
            self.adrift += [Adrift(load=load, instance=n, inputs=inputs) for n in instances]
            return
        weights = [
            float(self.wired.pins_12v(i)) if by_pins else share_weight(i.socket.kind) for i in ways
        ]
        whole = sum(weights)
        for into, weight in zip(ways, weights, strict=True):
            share = weight / whole
            part = amps if share == 1 else scale(amps, share)
            self._add(into.ref, load.rail, part, load.missing)
            if surge is not None:
                part = surge if share == 1 else scale(surge, share)
                self.by_input[into.ref].add_surge(load.rail, part)

    def _add(self, ref: str, rail: Rail, amps: Series, missing: bool) -> None:
        self.by_input.setdefault(ref, Demand()).add(rail, amps, missing)

    def spread_slots(self, loads: Iterable[Load]) -> None:
        """12 V of the slots: by the socket that feeds one where the manual says so; else the
        board's fed extras share it with the main plug by pins, none beyond its grant. What is
        above stays on the main plug's pins (assumption): feeding an extra never makes it worse."""
        wired = self.wired
        shared, missing = NO_SERIES, False
        for load in loads:
            amps = scale(load.run_amps(), load.count)
            feeder = wired.slot_feeders.get(load.part)
            if feeder is not None:
                self._add(feeder.ref, "v12", amps, load.missing)
            else:
                shared, missing = add(shared, amps), missing or load.missing
        if wired.main is None or not (missing or any(shared)):
            return
        self.only_ways.add(wired.main.ref)
        whole = sum(wired.pins_12v(i) for i in (wired.main, *wired.extras))
        left = shared
        for extra in wired.extras:
            most = grant_12v_w(extra.socket.kind) / RAIL_V["v12"]
            share = wired.pins_12v(extra) / whole
            part = tuple([min(a * share, most) for a in shared])
            left = tuple([a - b for a, b in zip(left, part, strict=True)])
            self._add(extra.ref, "v12", part, missing)
        self._add(wired.main.ref, "v12", left, missing)
