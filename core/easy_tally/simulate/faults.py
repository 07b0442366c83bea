"""Faults that can be planted in a machine: where each can sit, and what it does to the machine that
is measured. The build that the readings are held against stays as it is."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from typing import Literal, get_args

from ..analysis import Analysis, tried
from ..base.arrays import np
from ..base.errors import EasyTallyError, NotThere
from ..base.units import RAIL_V, State
from ..editing import Connect, Park
from ..readings import METERED, Against
from ..standards.connectors import CONNECTORS, SENSE_GRANT_W, is_coded
from ..things.parts import Hub
from ..wiring import Feed
from .machine import OPEN, PART_SEATED, TIRED
from .running import Running, Scene

FaultKind = Literal[
    "part-seated",
    "open pin",
    "tired contact",
    "pinched bend",
    "chained",
    "wrong code",
    "missing lead",
    "hub state",
]
FAULT_KINDS: tuple[FaultKind, ...] = get_args(FaultKind)
FAULT_WORDS: dict[FaultKind, str] = {
    "part-seated": "its plug is not pushed home",
    "open pin": "one contact is open",
    "tired contact": "one contact is spent",
    "pinched bend": "its cable is pinched at a bend",
    "chained": "two sockets hang on one cable",
    "wrong code": "its cable is coded for less",
    "missing lead": "its cable is not plugged in",
    "hub state": "what hangs on it runs at full all the time",
}
#: Amperes that a plug carries at full, at the least, for its contacts to show. Source: assumption.
_SHOWS_A = 3.0
#: mΩ more of the wires of a pinched bend. Source: assumption.
PINCHED_MOHM = (20.0, 60.0)
_STATES: tuple[State, ...] = ("idle", "everyday", "full", "short", "start")


@dataclass(frozen=True, slots=True, kw_only=True)
class Fault:
    """A fault at an input; `severity` 1.0 is as bad as it usually is, less is harder to see."""

    kind: FaultKind
    at: str
    severity: float = 1.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Planted:
    """A machine with a fault in it; `joints`: the inputs that are the right answer."""

    running: Running
    fault: Fault
    joints: tuple[str, ...]


def places(a: Analysis, kind: FaultKind) -> list[str]:
    """Inputs at which a fault of a kind can sit, in the order of the map."""
    return list(_PLACES[kind](Against(a)))


def plant(a: Analysis, fault: Fault, scene: Scene) -> Planted:
    """Run a machine with a fault. Raises NotThere where it can't sit there."""
    if fault.at not in places(a, fault.kind):
        raise NotThere(f"There is no place for this fault ({fault.kind}) at {fault.at}.")
    rng = np.random.default_rng([scene.seed, 77])
    return _PLANT[fault.kind](a, fault, scene, rng)


# -- contacts and wires ---------------------------------------------------------------------------


def _carries(against: Against, feed: Feed) -> float:
    span = against.at_input(feed.input.ref, "v12", "full")
    return span.likely if span else 0.0


def _metered(against: Against) -> Iterator[str]:
    for ref, feed in against.a.wired.feeds.items():
        direct = feed.input.between is None and ref in against.a.wired.live
        shows = direct and feed.mated in METERED and feed.pins["v12"] >= 2
        if shows and _carries(against, feed) >= _SHOWS_A:
            yield ref


def _worn(
    a: Analysis, fault: Fault, scene: Scene, factors: tuple[float, ...], pinched: bool = False
) -> Planted:
    wear = scene.wear
    put = {fault.at: factors}
    wear = (
        replace(wear, pinched_mohm=wear.pinched_mohm | put)
        if pinched
        else replace(wear, factors=wear.factors | put)
    )
    running = Running(a, replace(scene, wear=wear))
    return Planted(running=running, fault=fault, joints=(fault.at,))


def _eased(factor: float, severity: float) -> float:
    return 1 + (factor - 1) * severity


def _part_seated(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    """One side of the plug is further out than the other: its contacts touch the less."""
    n = a.wired.feeds[fault.at].pins["v12"]
    factors = np.linspace(*PART_SEATED, n) * np.exp(rng.normal(0, 0.15, n))
    factors = factors if rng.random() < 0.5 else factors[::-1]
    return _worn(a, fault, scene, tuple(_eased(float(f), fault.severity) for f in factors))


def _one(a: Analysis, fault: Fault, rng: np.random.Generator, bad: float) -> tuple[float, ...]:
    n = a.wired.feeds[fault.at].pins["v12"]
    at = int(rng.integers(n))
    return tuple(bad if i == at else 1.0 for i in range(n))


def _open(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    return _worn(a, fault, scene, _one(a, fault, rng, OPEN))


def _tired(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    return _worn(a, fault, scene, _one(a, fault, rng, _eased(TIRED, fault.severity)))


def _pinched(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    n = a.wired.feeds[fault.at].pins["v12"]
    several = set(rng.choice(n, size=max(1, n // 3), replace=False).tolist())
    more = tuple(
        float(rng.uniform(*PINCHED_MOHM)) * fault.severity if i in several else 0.0
        for i in range(n)
    )
    return _worn(a, fault, scene, more, pinched=True)


# -- wiring ----------------------------------------------------------------------------------------


def _chainable(against: Against) -> Iterator[str]:
    for ref, feed in against.a.wired.feeds.items():
        if CONNECTORS[feed.mated].chains and _chained(against.a, ref) is not None:
            yield ref


def _chained(a: Analysis, ref: str) -> Analysis | None:
    """The machine with this input on the second plug of the cable of another of its part."""
    feed = a.wired.feeds[ref]
    for other in a.wired.inputs_of(feed.input.at.part, feed.input.at.instance):
        beside = a.wired.feeds.get(other.ref)
        if beside is None or beside.cable is feed.cable:
            continue
        for plug in beside.cable.plugs:
            if (beside.cable.key, plug.key) in a.wired.in_use:
                continue
            try:
                bare = Park(cable=feed.cable.key, plug=feed.plug.key).apply(a.build)
                put = Connect(cable=beside.cable.key, plug=plug.key, socket=feed.connection.socket)
                return tried(a, put.apply(bare))
            except EasyTallyError:
                continue
    return None


def _chain(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    then = _chained(a, fault.at)
    if then is None:
        raise NotThere(f"Nothing can be chained at {fault.at}.")
    cable = then.wired.feeds[fault.at].cable
    both = tuple(r for r, f in then.wired.feeds.items() if f.cable is cable)
    return Planted(running=Running(then, scene), fault=fault, joints=both)


def _codes(against: Against) -> Iterator[str]:
    for ref, feed in against.a.wired.feeds.items():
        if is_coded(feed.mated) and feed.input.between is None and _code(against, ref):
            yield ref


def _code(against: Against, ref: str) -> float:
    """The largest code that is well below what the card draws [W]; 0: none."""
    drawn = _carries(against, against.a.wired.feeds[ref]) * RAIL_V["v12"]
    return max((w for w in SENSE_GRANT_W.values() if 0 < w < 0.8 * drawn), default=0.0)


def _wrong_code(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    """The card keeps to what the code says, whatever it was asked for."""
    against, factors = Against(a), dict(scene.factors)
    code = _code(against, fault.at)
    for state in _STATES:
        span = against.at_input(fault.at, "v12", state)
        drawn = span.likely * RAIL_V["v12"] if span else 0.0
        if drawn > code:
            factors[fault.at, state] = code / drawn
    running = Running(a, replace(scene, factors=factors))
    return Planted(running=running, fault=fault, joints=(fault.at,))


def _second_leads(against: Against) -> Iterator[str]:
    fed = [i.ref for i in against.a.wired.processor_inputs if i.ref in against.a.wired.live]
    if len(fed) > 1:
        yield from fed[1:]


def _missing_lead(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    """What the lead would carry comes by those beside it."""
    against, factors = Against(a), dict(scene.factors)
    fed = [i.ref for i in a.wired.processor_inputs if i.ref in a.wired.live]
    for state in _STATES:
        amps = {r: x.likely if (x := against.at_input(r, "v12", state)) else 0.0 for r in fed}
        rest = sum(amps.values()) - amps[fault.at]
        for ref in fed:
            whole = (rest + amps[fault.at]) / rest if rest else 1.0
            factors[ref, state] = 0.0 if ref == fault.at else whole
    running = Running(a, replace(scene, factors=factors))
    return Planted(running=running, fault=fault, joints=(fault.at,))


def _hubs(against: Against) -> Iterator[str]:
    for ref, feed in against.a.wired.feeds.items():
        if isinstance(feed.input.part, Hub) and _carries(against, feed) > 0:
            yield ref


def _hub_state(a: Analysis, fault: Fault, scene: Scene, rng: np.random.Generator) -> Planted:
    against, factors = Against(a), dict(scene.factors)
    full = _carries(against, a.wired.feeds[fault.at])
    for state in _STATES:
        span = against.at_input(fault.at, "v12", state)
        if span and span.likely > 0:
            factors[fault.at, state] = full / span.likely
    running = Running(a, replace(scene, factors=factors))
    return Planted(running=running, fault=fault, joints=(fault.at,))


_Places = Callable[[Against], Iterator[str]]
_PLACES: dict[FaultKind, _Places] = {
    "part-seated": _metered,
    "open pin": _metered,
    "tired contact": _metered,
    "pinched bend": _metered,
    "chained": _chainable,
    "wrong code": _codes,
    "missing lead": _second_leads,
    "hub state": _hubs,
}
_PLANT: dict[FaultKind, Callable[[Analysis, Fault, Scene, np.random.Generator], Planted]] = {
    "part-seated": _part_seated,
    "open pin": _open,
    "tired contact": _tired,
    "pinched bend": _pinched,
    "chained": _chain,
    "wrong code": _wrong_code,
    "missing lead": _missing_lead,
    "hub state": _hub_state,
}
