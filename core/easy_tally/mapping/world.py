"""What is there to map, under one scenario: which inputs are fed, and with how many pins where
loads are shared by them. Demands follow from the scenario, by the tally."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from itertools import count, islice, product

from ..standards.connectors import PINS, Half, PlugKind
from ..tally.demand import Carried, demands
from ..tally.loads import loads as loads_of
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Connection, Plug, Run
from ..things.fits import best_half, fit
from ..things.parts import Board, Card, Drive
from ..wiring import Between, Input, Wired
from ..wiring.areas import SLACK_MM, place_of
from ..wiring.never import for_graphics, never
from ..wiring.wired import Carrier, pins_wired
from .draws import draw_of, together
from .targets import Beyond, Device, Target, Way

#: Scenarios that are compared at the most.
MOST_SCENARIOS = 48


@dataclass(frozen=True, slots=True)
class Scenario:
    """Inputs that are to be fed, and 12 V pins at those that share by them and may have several
    counts; `optional` of them have no need to be."""

    fed: frozenset[str]
    pins: Mapping[str, int]
    optional: int
    #: Those of them that have no need to be: once chosen they are fed, or demands would differ.
    chosen: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True)
class World:
    """Everything that a map is made of, under one scenario."""

    wired: Wired
    scenario: Scenario
    targets: tuple[Target, ...]
    ways: tuple[Way, ...]
    #: Pools of things in between that are alike: their keys.
    pools: tuple[tuple[str, ...], ...]

    @property
    def build(self) -> Build:
        """The build that is mapped."""
        return self.wired.build


def bare(build: Build) -> Build:
    """A build with nothing plugged in but drives in their bays."""
    return build.model_copy(
        update={
            "runs": (),
            "adapters": tuple(_unplugged(a) for a in build.adapters),
            "extensions": tuple(_unplugged(e) for e in build.extensions),
        }
    )


def _unplugged(thing: Adapter | Extension) -> Adapter | Extension:
    return thing.model_copy(update={"connections": ()})


def scenarios(
    build: Build, only: frozenset[str] | None = None, must: frozenset[str] = frozenset()
) -> tuple[list[Scenario], bool]:
    """Every scenario worth comparing, most inputs first; whether these are all. `only`: inputs
    outside of it are left as they are; `must`: inputs that are fed whether needed or not."""
    wired = Wired(bare(build))
    behind = {str(c.socket) for b in wired.betweens.values() for c in b.connections}
    every = [i for i in wired.inputs.values() if _is_end(i) and i.ref not in behind]
    refs = frozenset(i.ref for i in every)
    full = carried(build, Scenario(refs, {}, 0))
    needed = needed_of(wired, full)
    extra = [
        i.ref for i in every
        if i.ref not in needed and _carries(full, i.ref)
    ]  # fmt: skip
    loaded = set(extra)
    if only is not None:
        needed, extra = needed & only, [r for r in extra if r in only]
    ends = frozenset(i.ref for i in every)
    extra = [r for r in extra if r not in must]
    fixed = len(loaded & must)
    needed |= must & ends
    choices = [_pin_counts(wired, wired.inputs[r]) for r in sorted(needed | set(extra))]
    dimensions = [
        (r, c) for r, c in zip(sorted(needed | set(extra)), choices, strict=True) if len(c) > 1
    ]
    found = []
    subsets = sorted(product((True, False), repeat=len(extra)), key=lambda s: -sum(s))
    for subset in subsets[: 2**8]:
        chosen = [r for r, on in zip(extra, subset, strict=True) if on]
        fed = needed | frozenset(chosen)
        open_pins = [(r, c) for r, c in dimensions if r in fed]
        for pins in product(*(c for _, c in open_pins)):
            named = {r: p for (r, _), p in zip(open_pins, pins, strict=True)}
            found.append(Scenario(fed, named, len(chosen) + fixed, frozenset(chosen)))
    return found[:MOST_SCENARIOS], len(found) <= MOST_SCENARIOS and len(subsets) <= 2**8


def _carries(full: Carried, ref: str) -> bool:
    of = full.of(ref)
    return bool(of.missing) or any(map(any, of.amps.values()))


def _is_end(i: Input) -> bool:
    """Whether an input is one that a scenario feeds: a socket, or an input of a backplane in whose
    bays something stands."""
    if i.between is None:
        return True
    return i.between.is_backplane and any(
        i.socket.key in i.between.fed_by[c.plug] for c in i.between.connections
    )


def needed_of(wired: Wired, full: Carried) -> frozenset[str]:
    """Inputs that have to be fed: those required, the only ways in, and inputs of backplanes in
    whose bays such stand; sockets behind bays come through those."""
    needed = wired.needed | full.only_ways
    behind: set[str] = set()
    fed: set[str] = set()
    for b in wired.betweens.values():
        for c in b.connections:
            behind.add(str(c.socket))
            if str(c.socket) in needed:
                fed |= {f"{b.key}#1/{k}" for k in b.fed_by[c.plug]}
    return frozenset((needed - behind) | fed)


def _pin_counts(wired: Wired, into: Input) -> list[int]:
    """How many 12 V pins may be wired on both sides, where a load is shared by them: one count, or
    those that the plugs of the build differ by, most first."""
    shared = into in wired.processor_inputs or into is wired.main or (
        isinstance(into.part, Board) and into.socket.kind in ("pcie8", "pcie6", "sata", "per4")
    )  # fmt: skip
    if not shared:
        return [0]
    carriers: list[Carrier] = [*wired.cables.values(), *wired.betweens.values()]
    found = {
        pins_wired(answer.mated, plug, into.socket)["v12"]
        for c in carriers for plug in c.plugs
        if (half := best_half(plug.kind, into.socket.kind, wired.eps4_in_eps8))
        and (answer := fit(plug.kind, half, into.socket.kind, wired.eps4_in_eps8)).fits
        and answer.mated
    }  # fmt: skip
    return sorted(found, reverse=True) or [0]


def carried(build: Build, scenario: Scenario) -> Carried:
    """What every input carries under a scenario: the tally's own demand, of a build in which just
    these are fed, each by a plug made for it."""
    plain = bare(build)
    wired = Wired(plain)
    cables, runs = [], []
    for ref in sorted(scenario.fed):
        into = wired.inputs[ref]
        pins = scenario.pins.get(ref)
        kind = into.socket.kind
        if (
            kind == "eps8"
            and pins is not None
            and pins <= PINS["eps4"]["v12"]
            and wired.eps4_in_eps8
        ):
            kind = "eps4"
        if kind == "atx24" and pins is not None and pins <= PINS["atx20"]["v12"]:
            kind = "atx20"
        plug = Plug.model_construct(key="p", kind=kind, at_mm=1.0, pins_12v=pins or None)
        key = f"virtual {ref}"
        cables.append(Cable.model_construct(key=key, name=key, family="", needs=(), plugs=(plug,)))
        connection = Connection.model_construct(plug="p", half="whole", socket=into.at)
        runs.append(Run.model_construct(cable=key, ports=(), connections=(connection,)))
    fed = Wired(
        plain.model_copy(
            update={"cables": tuple(cables), "runs": tuple(runs), "adapters": (), "extensions": ()}
        )
    )
    return demands(fed, loads_of(fed))


def world(build: Build, scenario: Scenario, keep: frozenset[str] = frozenset()) -> World:
    """The classes of inputs, and the ways of using what stands in between. `keep`: keys of what
    stands in between that stays plugged as it is."""
    wired = Wired(build)
    of = carried(build, scenario)
    leads_of_many: set[PlugKind] = {p.kind for b in wired.betweens.values() if len(b.sockets) > 1
                     and not b.is_backplane for p in b.plugs}  # fmt: skip
    ids = count()
    inputs = [wired.inputs[r] for r in wired.inputs if r in scenario.fed]
    several = _several(wired, inputs)
    groups: dict[object, list[str]] = {}
    made: dict[object, Target] = {}
    for into in inputs:
        target = _target(wired, into, of, scenario, several, leads_of_many, keep)
        key = _alike(target)
        groups.setdefault(key, []).append(into.ref)
        made.setdefault(key, target)
    targets = [replace(t, id=next(ids), refs=tuple(groups[k])) for k, t in made.items()]
    pools = _pools(wired, keep)
    ways: list[Way] = []
    for n, pool in enumerate(pools):
        b = wired.betweens[pool[0]]
        for way in _ways(wired, b, n, targets, keep, ids):
            ways.append(way)
    return World(wired, scenario, (*targets, *(w.lead for w in ways)), tuple(ways), pools)


def _several(wired: Wired, inputs: Iterable[Input]) -> set[Device]:
    """Devices with more than one input to be fed."""
    found: dict[Device, int] = {}
    for into in inputs:
        for d in _devices(wired, into):
            found[d] = found.get(d, 0) + 1
    return {d for d, n in found.items() if n > 1}


def _devices(wired: Wired, into: Input) -> tuple[Device, ...]:
    if into.between is not None:
        behind = (
            wired.inputs[str(c.socket)] for c in into.between.connections
            if into.socket.key in into.between.fed_by[c.plug]
        )  # fmt: skip
        return tuple(d for i in behind for d in _devices(wired, i))
    path = (
        "processor" if isinstance(into.part, Board) and into.socket.kind in ("eps8", "eps4") else ""
    )
    return ((into.at.part, into.at.instance, path),)


def _target(
    wired: Wired, into: Input, of: Carried, scenario: Scenario, several: set[Device],
    leads_of_many: set[PlugKind], keep: frozenset[str],
) -> Target:  # fmt: skip
    devices = _devices(wired, into)
    case, area = wired.build.case, place_of(into)
    routes = {r.area: r.length_mm for r in case.routes} if case else {}
    fits_many = any(fit(k, "whole", into.socket.kind).fits for k in leads_of_many)
    named = any(d in several for d in devices) or fits_many
    beyond = tuple(_bays(wired, into, of))
    draw = together([b.target.draw for b in beyond]) if beyond else draw_of(of.of(into.ref))
    part = into.part
    return Target(
        id=-1, kind=into.socket.kind, version=into.socket.version, socket=into.socket, draw=draw,
        refs=(into.ref,), needed=into.ref not in scenario.chosen,
        devices=devices if named or into.between else (),
        named=named, placed=case is not None and area is not None,
        way_mm=routes.get(area) if area else None, slack_mm=SLACK_MM,
        drive=isinstance(part, Drive) or into.between is not None,
        raised=isinstance(part, Card) and part.power_limit > 1,
        pins_12v=scenario.pins.get(into.ref), of=into.between, beyond=beyond,
    )  # fmt: skip


def _bays(wired: Wired, into: Input, of: Carried) -> Iterator[Beyond]:
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
            id=-1, kind=end.socket.kind, version=end.socket.version, socket=end.socket,
            draw=draw_of(of.of(end.ref)), refs=(end.ref,), needed=True, devices=(), named=False,
            placed=False, way_mm=None, slack_mm=0.0, drive=True,
        )  # fmt: skip
        mated = fit(plug.kind, c.half, end.socket.kind).mated or end.socket.kind
        yield Beyond(b, plug, c.half, inner, mated, pins_wired(mated, plug, end.socket), 1.0, 1)


def _alike(t: Target) -> object:
    draw = (
        tuple(sorted(t.draw.base.items())),
        tuple((tuple(sorted(s.amps.items())), s.watts) for s in t.draw.surges), t.draw.missing,
    )  # fmt: skip
    own = t.devices if t.named else ()
    return (
        t.kind, t.version, t.socket.pins_12v, draw, own, t.placed, t.way_mm, t.drive, t.raised,
        t.pins_12v, t.needed, t.refs if t.of else (),
    )  # fmt: skip


# -- what stands in between ----------------------------------------------------------------------


def _pools(wired: Wired, keep: frozenset[str]) -> tuple[tuple[str, ...], ...]:
    """Things in between that are alike, each kept one alone; not those never to be used."""
    found: dict[object, list[str]] = {}
    for b in wired.betweens.values():
        if b.is_backplane or next(never(b), ""):
            continue
        spec = b.of.model_copy(
            update={"key": "k", "name": "n", "note": "", "owned": "", "connections": ()}
        )
        alone = b.key if b.key in keep else ""
        found.setdefault((type(b.of).__name__, spec.model_dump_json(), alone), []).append(b.key)
    return tuple(tuple(keys) for keys in found.values())


#: Ways of one pool that are looked at.
_MOST_WAYS = 400


def _ways(
    wired: Wired, b: Between, pool: int, targets: list[Target], keep: frozenset[str],
    ids: Iterator[int],
) -> Iterator[Way]:  # fmt: skip
    kinds = {s.kind for s in b.sockets}
    if len(kinds) != 1:
        return
    options = [_fitting(wired, b, p, targets, keep) for p in b.plugs]
    made: set[object] = set()
    for choice in islice(product(*options), _MOST_WAYS):
        feeds = tuple((p, x[0], x[1]) for p, x in zip(b.plugs, choice, strict=True) if x)
        alike = tuple(sorted((p.kind, h, t.id) for p, h, t in feeds))
        if not feeds or alike in made or _too_many(feeds):
            continue
        made.add(alike)
        for leads in range(1, len(b.sockets) + 1):
            yield _way(b, pool, feeds, leads, next(ids))


def _too_many(feeds: tuple[tuple[Plug, Half, Target], ...]) -> bool:
    n: dict[int, int] = {}
    for _, _, t in feeds:
        n[t.id] = n.get(t.id, 0) + 1
        if n[t.id] > len(t.refs):
            return True
    return False


def _fitting(
    wired: Wired, b: Between, plug: Plug, targets: list[Target], keep: frozenset[str]
) -> list[tuple[Half, Target] | None]:
    if b.key in keep:
        now = {c.plug: c for c in b.connections}.get(plug.key)
        if now is None:
            return [None]
        return [(now.half, t) for t in targets if str(now.socket) in t.refs] or [None]
    found: list[tuple[Half, Target] | None] = []
    for t in targets:
        half = best_half(plug.kind, t.kind, wired.eps4_in_eps8)
        answer = fit(plug.kind, half, t.kind, wired.eps4_in_eps8)
        if answer.fits and answer.mated and _pins_agree(answer.mated, plug, t):
            found.append((half, t))
    return [*found, None]


def _pins_agree(mated: str, plug: Plug, t: Target) -> bool:
    return t.pins_12v is None or pins_wired(mated, plug, t.socket)["v12"] == t.pins_12v  # type: ignore[arg-type]


def _way(
    b: Between, pool: int, feeds: tuple[tuple[Plug, Half, Target], ...], leads: int, id_: int
) -> Way:
    share = 1 / leads
    beyond = []
    for plug, half, t in feeds:
        mated = fit(plug.kind, half, t.kind, True).mated or t.kind
        beyond.append(
            Beyond(b, plug, half, t, mated, pins_wired(mated, plug, t.socket), share, leads)
        )
    lead = b.sockets[0]
    graphics = for_graphics(b)
    devices = tuple(dict.fromkeys(d for _, _, t in feeds for d in t.devices))
    target = Target(
        id=id_, kind=lead.kind, version=lead.version, socket=lead, refs=(), needed=False,
        draw=together([t.draw for _, _, t in feeds]).share(share), devices=devices,
        named=leads > 1 or any(t.named for _, _, t in feeds), placed=False, way_mm=None,
        slack_mm=0.0, drive=any(t.drive for _, _, t in feeds),
        raised=any(t.raised for _, _, t in feeds), of=b, beyond=tuple(beyond),
        graphics_lead=graphics, unsaid=int(_unsaid(b)),
    )  # fmt: skip
    return Way(id_, pool, target, leads, feeds, isinstance(b.of, Extension))


def _unsaid(b: Between) -> bool:
    """Whether nobody says if an adapter from 4-pin to SATA is moulded."""
    return (
        isinstance(b.of, Adapter) and b.of.moulded is None
        and any(s.kind == "per4" for s in b.sockets) and any(p.kind == "sata" for p in b.plugs)
    )  # fmt: skip
