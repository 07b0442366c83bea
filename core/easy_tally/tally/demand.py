"""What each input carries, given what is connected.

Before a map exists, and for whatever is not connected yet, the required sockets are assumed. What
has no way in (no socket at all, or several that are all optional and unfed) is kept apart: it is
never judged, and never forgotten.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Any, NamedTuple

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


def _demand(*shares: Share) -> Demand:
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
    #: How each load came, by the load's identity, with the load; and what each input's demand is
    #: made of.
    came: dict[int, tuple[Load, _Came]] = field(default_factory=dict, repr=False)
    shares: dict[str, list[Share]] = field(default_factory=dict, repr=False)

    def of(self, ref: str) -> Demand:
        """What one input carries; nothing where nothing comes through it."""
        return self.by_input.get(ref, NO_DEMAND)


class _Came(NamedTuple):
    """How a load comes: its share by input, the inputs that are its only way in, and what of it
    has none."""

    shares: tuple[tuple[str, Share], ...]
    only_ways: tuple[str, ...] = ()
    adrift: tuple[Adrift, ...] = ()


def demands(wired: Wired, loads: tuple[Load, ...], like: Carried | None = None) -> Carried:
    """Spread every load over the inputs that it comes through. `like`: what is carried of the same
    wiring by loads of which most are the very same."""
    known = like.came if like else {}
    came: dict[int, tuple[Load, _Came]] = {}
    slots = []
    for load in loads:
        if load.feed == "slot" and load.rail == "v12":
            slots.append(load)
        elif load.rail in RUN_RAILS:
            came[id(load)] = known.get(id(load)) or (load, _comes(wired, load))
    ways = [*(by for _, by in came.values()), _slots_come(wired, slots)]
    shares: dict[str, list[Share]] = {}
    for by in ways:
        for ref, share in by.shares:
            shares.setdefault(ref, []).append(share)
    return Carried(
        by_input=dict(_by_input(wired, shares, like)),
        only_ways=frozenset([ref for by in ways for ref in by.only_ways]),
        adrift=tuple([x for by in ways for x in by.adrift]),
        came=came,
        shares=shares,
    )


def _by_input(
    wired: Wired, shares: dict[str, list[Share]], like: Carried | None
) -> Iterator[tuple[str, Demand]]:
    """What each input carries; of those that the very same shares make up, the very same."""
    alike: dict[tuple[int, ...], Demand] = {}
    for ref, flows in shares.items():
        by = tuple(map(id, flows))
        demand = alike.get(by)
        if demand is None:
            if like is not None and tuple(map(id, like.shares.get(ref, ()))) == by:
                demand = like.by_input[ref]
            else:
                demand = wired.memory.of(_demand, tuple(flows))
            alike[by] = demand
        yield ref, demand


def _comes(wired: Wired, load: Load) -> _Came:
    """How a load comes that is not a slot's at 12 V."""
    if load.feed == "own":
        each = wired.each_inputs_of(load.part)
        # One socket takes all, fed or not; of several those that share it.
        live = None
        if len(wired.parts[load.part].sockets) > 1:
            live = tuple([wired.is_live(each[n - 1]) for n in load.instances])
        return wired.memory.of(_come_each, (load, each), (live,))
    inputs, by_pins = _inputs_of_all(wired, load)
    if inputs is None:
        return _NOT_AT_ALL
    pins = tuple([wired.pins_12v(i) for i in inputs]) if by_pins else None
    return wired.memory.of(_come_together, (load, *inputs), (pins, wired.is_live(inputs)))


_NOT_AT_ALL = _Came(())


def _inputs_of_all(wired: Wired, load: Load) -> tuple[tuple[Input, ...] | None, bool]:
    """The inputs that what is no part's own comes through, all instances together; whether they
    share it by pins. None where nothing is there to have inputs: that is said elsewhere."""
    if load.feed == "processor":
        return (None if wired.board is None else wired.processor_inputs), True
    source = wired.source_of(wired.parts[load.part]) if load.feed == "header" else None
    if source is not None:
        return wired.inputs_of(source.key), False  # all of it by the hub's own plug
    return (None if wired.main is None else (wired.main,)), False


def _come_each(
    live: tuple[tuple[bool, ...], ...] | None, load: Load, each: tuple[tuple[Input, ...], ...]
) -> _Came:
    """Each instance by its own inputs."""
    if not load.draws:
        return _NOT_AT_ALL
    amps, surge = load.run_amps(), _surge(load, 1)
    if live is None and each[0]:
        share = Share(load.rail, amps, load.missing, surge)
        refs = tuple([each[n - 1][0].ref for n in load.instances])
        return _Came(tuple([(ref, share) for ref in refs]), refs)
    parts = []
    for i, n in enumerate(load.instances):
        ways = each[n - 1]
        if live is not None:
            ways = _ways_in(ways, live[i])
        weights = [share_weight(w.socket.kind) for w in ways]
        parts.append(_over(load, (n,), each[n - 1], ways, weights, amps, surge))
    return _Came(
        shares=tuple([s for c in parts for s in c.shares]),
        only_ways=tuple([r for c in parts for r in c.only_ways]),
        adrift=tuple([x for c in parts for x in c.adrift]),
    )


def _come_together(
    pins: tuple[int, ...] | None, live: tuple[bool, ...], load: Load, *inputs: Input
) -> _Came:
    if not load.draws:
        return _NOT_AT_ALL
    amps = load.run_amps() if load.count == 1 else scale(load.run_amps(), load.count)
    ways = inputs if len(inputs) == 1 else _ways_in(inputs, live)
    by_ref = dict(zip([i.ref for i in inputs], pins, strict=True)) if pins is not None else None
    weights = [float(by_ref[w.ref]) if by_ref else share_weight(w.socket.kind) for w in ways]
    surge = _surge(load, load.count)
    return _over(load, load.instances, inputs, ways, weights, amps, surge)


def _ways_in(inputs: tuple[Input, ...], live: tuple[bool, ...]) -> tuple[Input, ...]:
    """Those of some inputs that share what comes through them: the fed ones; where none is, those
    that are to be. None where all are optional and nothing feeds them."""
    fed = tuple([i for i, is_fed in zip(inputs, live, strict=True) if is_fed])
    return fed or tuple([i for i in inputs if i.socket.required])


def _surge(load: Load, count: int) -> Series | None:
    """Amperes [A] that spinning up adds, of so many instances; None: nothing."""
    if not any(load.surge):
        return None
    return only_at("start", load.surge.times(count / RAIL_V[load.rail]))


def _over(
    load: Load,
    instances: tuple[int, ...],
    inputs: tuple[Input, ...],
    ways: tuple[Input, ...],
    weights: list[float],
    amps: Series,
    surge: Series | None,
) -> _Came:
    """What some instances draw, over the `ways` among their inputs that it comes through."""
    if not ways:
        return _Came((), (), tuple(Adrift(load=load, instance=n, inputs=inputs) for n in instances))
    whole = sum(weights)
    shares = []
    for into, weight in zip(ways, weights, strict=True):
        part, more = amps, surge
        if weight != whole:
            part = scale(amps, weight / whole)
            more = None if surge is None else scale(surge, weight / whole)
        shares.append((into.ref, Share(load.rail, part, load.missing, more)))
    return _Came(tuple(shares), (inputs[0].ref,) if len(inputs) == 1 else ())


def _slots_come(wired: Wired, loads: list[Load]) -> _Came:
    """12 V of the slots: by the socket that feeds one where the manual says so; else the board's
    fed extras share it with the main plug by pins, none beyond its grant. What is above stays on
    the main plug's pins (assumption): feeding an extra never makes it worse."""
    feeders = [wired.slot_feeders.get(load.part) for load in loads]
    ways = [i for i in (wired.main, *wired.extras) if i is not None]
    pins = tuple([wired.pins_12v(i) for i in ways])
    things = (wired.main, *loads, *feeders, *wired.extras)
    return wired.memory.of(_come_by_slots, things, (len(loads), pins))


def _come_by_slots(
    instances: int, pins: tuple[int, ...], main: Input | None, *of: Load | Input | None
) -> _Came:
    """`of`: so `many` loads, the input that feeds the slot of each, then the extras."""
    loads: Any = of[:instances]
    feeders: Any = of[instances : 2 * instances]
    extras: Any = of[2 * instances :]
    shares: list[tuple[str, Share]] = []
    shared, missing = NO_SERIES, False
    for load, feeder in zip(loads, feeders, strict=True):
        amps = scale(load.run_amps(), load.count)
        if feeder is not None:
            shares.append((feeder.ref, Share("v12", amps, load.missing)))
        else:
            shared, missing = add(shared, amps), missing or load.missing
    if main is None or not (missing or any(shared)):
        return _Came(tuple(shares))
    left = shared
    for extra, own in zip(extras, pins[1:], strict=True):
        most = grant_12v_w(extra.socket.kind) / RAIL_V["v12"]
        part = tuple([min(a * (own / sum(pins)), most) for a in shared])
        left = tuple([a - b for a, b in zip(left, part, strict=True)])
        shares.append((extra.ref, Share("v12", part, missing)))
    shares.append((main.ref, Share("v12", left, missing)))
    return _Came(tuple(shares), (main.ref,))
