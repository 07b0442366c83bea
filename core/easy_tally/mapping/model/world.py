"""What is there to map, under one scenario: inputs that are alike, and the ways of using what
stands in between."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace
from itertools import count

from ...standards.connectors import PlugKind, is_of
from ...tally.demand import Carried
from ...things.build import Build
from ...things.fits import fit, goes_into
from ...things.parts import Board, Card, Drive
from ...wiring import Input, Wired
from ...wiring.areas import drive_places, place_of
from ...wiring.wired import pins_wired
from .draws import draw_of, together
from .scenarios import Scenario, carried
from .targets import Beyond, Device, Target, Way
from .volts import inner_of
from .ways import Ways, pools


@dataclass(frozen=True, slots=True)
class World:
    """Everything that a map is made of, under one scenario; whether its ways are all there are."""

    wired: Wired
    scenario: Scenario
    targets: tuple[Target, ...]
    ways: tuple[Way, ...]
    #: Pools of things in between that are alike: their keys.
    pools: tuple[tuple[str, ...], ...]
    complete: bool

    @property
    def build(self) -> Build:
        """The build that is mapped."""
        return self.wired.build


def world(
    build: Build,
    scenario: Scenario,
    keep: frozenset[str] = frozenset(),
    apart: frozenset[str] = frozenset(),
) -> World:
    """The classes of inputs, and the ways of using what stands in between. `keep`: keys of what
    stands in between that stays plugged as it is; `apart`: of what is told from others like it."""
    wired = Wired(build)
    sums = carried(build, scenario)
    leads_of_many = _by_several_leads(wired)
    ids = count()
    by_place = build.house_rules.drives == "by place"
    inputs = [wired.inputs[r] for r in wired.inputs if r in scenario.fed]
    several = _several(wired, inputs)
    groups: dict[object, list[str]] = {}
    targets_by_need: dict[object, Target] = {}
    for into in inputs:
        target = _target(wired, into, sums, scenario, several, leads_of_many, keep)
        key = (_alike(target), target.places if by_place else ())
        groups.setdefault(key, []).append(into.ref)
        targets_by_need.setdefault(key, target)
    targets = [replace(t, id=next(ids), refs=tuple(groups[k])) for k, t in targets_by_need.items()]
    of_alike = pools(wired, keep, apart)
    ways, complete = Ways(wired, targets, of_alike, keep, ids).all()
    leads = (led.target for w in ways for led in w.leads)
    return World(wired, scenario, (*targets, *leads), ways, of_alike, complete)


def _by_several_leads(wired: Wired) -> set[PlugKind]:
    """Kinds of plugs by which something may come over several cables: of what has several leads,
    and of all that these may go on through."""
    several = [b for b in wired.betweens.values() if not b.is_backplane]
    kinds = {p.kind for b in several if len(b.sockets) > 1 for p in b.plugs}
    while True:
        more = {
            p.kind
            for b in several
            for p in b.plugs
            if any(goes_into(k, s.kind, wired.eps4_in_eps8) for k in kinds for s in b.sockets)
        }
        if more <= kinds:
            return kinds
        kinds |= more


def _several(wired: Wired, inputs: Iterable[Input]) -> set[Device]:
    """Devices with more than one input to be fed."""
    counts: dict[Device, int] = {}
    for into in inputs:
        for d in _devices(wired, into):
            counts[d] = counts.get(d, 0) + 1
    return {d for d, n in counts.items() if n > 1}


def _devices(wired: Wired, into: Input) -> tuple[Device, ...]:
    if into.between is not None:
        behind = (
            wired.inputs[str(c.socket)]
            for c in into.between.connections
            if into.socket.key in into.between.fed_by[c.plug]
        )
        return tuple(d for i in behind for d in _devices(wired, i))
    own_way = isinstance(into.part, Board) and is_of(into.socket.kind, "processor")
    path = "processor" if own_way else ""
    return ((into.at.part, into.at.instance, path),)


def _target(
    wired: Wired,
    into: Input,
    carried: Carried,
    scenario: Scenario,
    several: set[Device],
    leads_of_many: set[PlugKind],
    keep: frozenset[str],
) -> Target:
    devices = _devices(wired, into)
    case, area = wired.build.case, place_of(into)
    routes = {r.area: r.length_mm for r in case.routes} if case else {}
    easy = wired.eps4_in_eps8
    fits_many = any(goes_into(k, into.socket.kind, easy) for k in leads_of_many)
    named = any(d in several for d in devices) or fits_many
    beyond = tuple(_bays(wired, into, carried))
    draw = together([b.target.draw for b in beyond]) if beyond else draw_of(carried.of(into.ref))
    part = into.part
    return Target(
        id=-1,
        kind=into.socket.kind,
        version=into.socket.version,
        socket=into.socket,
        draw=draw,
        refs=(into.ref,),
        needed=into.ref not in scenario.chosen,
        devices=devices if named else (),
        named=named,
        unnamed=0 if named else len(set(devices)),
        placed=case is not None and area is not None,
        way_mm=routes.get(area) if area else None,
        drive=isinstance(part, Drive) or into.between is not None,
        places=drive_places(wired, into),
        raised=isinstance(part, Card) and part.power_limit > 1,
        pins_12v=scenario.pins.get(into.ref),
        of=into.between,
        beyond=beyond,
        inner=inner_of(wired.build.assumptions, wired.build.spin_up_at_once, beyond),
    )


def _bays(wired: Wired, into: Input, carried: Carried) -> Iterator[Beyond]:
    """What stands in the bays behind an input of a backplane."""
    b = into.between
    if b is None:
        return
    plugs = {p.key: p for p in b.plugs}
    for c in b.connections:
        if into.socket.key not in b.fed_by[c.plug]:
            continue
        end, plug = wired.inputs[str(c.socket)], plugs[c.plug]
        inner = Target(
            id=-1,
            kind=end.socket.kind,
            version=end.socket.version,
            socket=end.socket,
            draw=draw_of(carried.of(end.ref)),
            refs=(end.ref,),
            needed=True,
            devices=(),
            named=False,
            unnamed=0,
            placed=False,
            way_mm=None,
            drive=True,
        )
        mated = fit(plug.kind, c.half, end.socket.kind).mated or end.socket.kind
        yield Beyond(b, plug, c.half, inner, mated, pins_wired(mated, plug, end.socket), 1.0, 1)


def _alike(t: Target) -> object:
    draw = (
        tuple(sorted(t.draw.base.items())),
        tuple((tuple(sorted(s.amps.items())), s.watts) for s in t.draw.surges),
        t.draw.missing,
    )
    own = t.devices if t.named else ()
    return (
        t.kind,
        t.version,
        t.socket.pins_12v,
        draw,
        own,
        t.placed,
        t.way_mm,
        t.drive,
        t.raised,
        t.pins_12v,
        t.needed,
        t.refs if t.of else (),
    )
