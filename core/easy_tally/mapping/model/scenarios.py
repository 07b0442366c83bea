"""Which inputs are fed, and with how many pins where loads are shared by them: what each carries
follows from that, by the tally. Everything that a choice of them changes is one scenario."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from itertools import chain, combinations_with_replacement, islice, product
from math import comb, prod

from ...standards.connectors import CONNECTORS, PINS, SocketKind, is_of
from ...tally.demand import Carried, demands
from ...tally.loads import loads as loads_of
from ...things.adapters import Adapter, Extension
from ...things.build import Build
from ...things.cables import Cable, Connection, Plug, Run
from ...things.fits import best_half, fit
from ...things.individuals import another
from ...things.parts import Board, Card
from ...wiring import Between, Input, Wired
from ...wiring.wired import Carrier, pins_wired

#: Scenarios that are compared at the most: beyond it nothing is decided.
MOST_SCENARIOS = 400


@dataclass(frozen=True, slots=True)
class Scenario:
    """Inputs that are to be fed, and 12 V pins at those that share by them; the `optional` of them
    have no need to be. `left` have, and are left. Those `chosen` share their load with others: once
    fed they have to stay so, or what is carried would differ."""

    fed: frozenset[str]
    pins: Mapping[str, int]
    optional: frozenset[str] = frozenset()
    chosen: frozenset[str] = frozenset()
    left: frozenset[str] = frozenset()


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """What scenarios are asked for: `only` some inputs, others stay as they are; `must`, inputs
    that are fed whether needed or not; `told` apart from others that are alike, since what is
    plugged in them matters. `partial`: some that are needed may be left."""

    only: frozenset[str] | None = None
    must: frozenset[str] = frozenset()
    told: frozenset[str] = frozenset()
    partial: bool = False


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


def scenarios_of(build: Build, asked: Asked = Asked()) -> tuple[list[Scenario], bool]:
    """Every scenario that differs from the others by more than which of several alike is meant,
    those that leave the fewest and feed the most first; whether these are all."""
    wired, now = Wired(bare(build)), Wired(build).live
    ends = _ends(wired)
    full = carried(build, Scenario(frozenset(i.ref for i in ends), {}))
    needed = needed_of(wired, full)
    # Of those that are alike the ones that are fed now come first: they had better stay so.
    several = [tuple(sorted(own, key=lambda i: i.ref not in now)) for own in _blocks(ends)]
    several.sort(key=lambda own: -sum(i.ref in now for i in own))
    chosen = (_chosen(wired, own, needed, full, asked) for own in several)
    blocks = [block for block in chosen if block is not None]
    picks, complete = _picks(blocks)
    scenarios = [s for pick in picks for s in _with_pins(wired, pick, asked)]
    scenarios.sort(key=lambda s: (len(s.left), -len(s.optional)))
    return scenarios, complete


def alike_needs(build: Build, scenario: Scenario) -> list[tuple[str, ...]]:
    """What is needed of a scenario that leaves nothing, by what is alike: sockets of one kind of
    parts that are alike in every figure."""
    wired = Wired(bare(build))
    alike: dict[object, list[str]] = {}
    for block in _blocks(_ends(wired)):
        for i in block:
            if i.ref in scenario.fed - scenario.optional:
                alike.setdefault((_alike(wired, block), _spec(i)), []).append(i.ref)
    return [tuple(refs) for refs in alike.values()]


def _ends(wired: Wired) -> list[Input]:
    behind = {str(c.socket) for b in wired.betweens.values() for c in b.connections}
    return [i for i in wired.inputs.values() if _is_end(i) and i.ref not in behind]


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


# -- what may be chosen ------------------------------------------------------------------------


@dataclass(frozen=True, slots=True)
class _Pick:
    """What one choice feeds, and what of it is needed and left."""

    fed: frozenset[str] = frozenset()
    chosen: frozenset[str] = frozenset()
    optional: frozenset[str] = frozenset()
    left: frozenset[str] = frozenset()

    def plus(self, other: _Pick) -> _Pick:
        return _Pick(
            self.fed | other.fed,
            self.chosen | other.chosen,
            self.optional | other.optional,
            self.left | other.left,
        )


@dataclass(frozen=True, slots=True)
class _Block:
    """The choices among the inputs of one instance of a part; blocks of one `kind` have the same,
    in the same order."""

    kind: object
    picks: tuple[_Pick, ...]


def _blocks(ends: Iterable[Input]) -> list[tuple[Input, ...]]:
    blocks: dict[tuple[str, int], list[Input]] = {}
    for i in ends:
        blocks.setdefault((i.at.part, i.at.instance), []).append(i)
    return [tuple(block) for block in blocks.values()]


def _chosen(
    wired: Wired, block: tuple[Input, ...], needed: frozenset[str], full: Carried, asked: Asked
) -> _Block | None:
    """What may be chosen among some inputs; None where nothing of them is asked for."""
    always, choice = _split(block, needed, full, asked)
    if not always and not choice:
        return None
    extra = {i.ref for i in block if i.ref not in needed and _carries(full, i.ref)}
    fixed = _Pick(
        fed=frozenset(i.ref for i in always),
        optional=frozenset(i.ref for i in always if i.ref in extra),
    )
    apart = isinstance(block[0].part, Board) or any(i.ref in asked.told | asked.must for i in block)
    picks = []
    for on in _subsets([None if apart else _spec(i) for i in choice]):
        fed = frozenset(i.ref for i, is_on in zip(choice, on, strict=True) if is_on)
        left = frozenset(i.ref for i in choice if i.ref in needed) - fed
        picks.append(fixed.plus(_Pick(fed, fed, fed & extra, left)))
    kind = block[0].ref if apart else _alike(wired, block)
    picks.sort(key=lambda p: (len(p.left), -len(p.optional)))
    return _Block(kind, tuple(picks))


def _split(
    block: tuple[Input, ...], needed: frozenset[str], full: Carried, asked: Asked
) -> tuple[list[Input], list[Input]]:
    """Inputs that are fed in every scenario, and those that may be fed or not."""
    always: list[Input] = []
    choice: list[Input] = []
    for i in block:
        if i.ref in asked.must:
            always.append(i)
        elif asked.only is not None and i.ref not in asked.only:
            continue
        elif i.ref in needed:
            (choice if asked.partial and _shares(block, i) else always).append(i)
        elif _carries(full, i.ref):
            choice.append(i)
    return always, choice


def _shares(block: tuple[Input, ...], i: Input) -> bool:
    """Whether what comes through an input depends on which others beside it are fed."""
    if i.between is not None:
        return False
    if not isinstance(i.part, Board):
        return len(block) > 1
    if is_of(i.socket.kind, "processor"):
        return sum(is_of(x.socket.kind, "processor") for x in block) > 1
    return CONNECTORS[i.socket.kind].relieves


def _carries(full: Carried, ref: str) -> bool:
    demand = full.of(ref)
    return bool(demand.missing) or any(map(any, demand.amps.values()))


def _spec(i: Input) -> str:
    """What sockets of one thing are alike by."""
    return i.socket.model_copy(update={"key": "k"}).model_dump_json()


def _alike(wired: Wired, block: tuple[Input, ...]) -> object:
    """What blocks are alike by: their part in every figure, and what feeds its slot."""
    part = block[0].part
    if isinstance(part, Between):
        return block[0].ref
    plain = another(part, key="k", name="n", note="", count=1)
    feeder = wired.slot_feeders.get(part.key)
    lanes = wired.lanes_of(part) if isinstance(part, Card) else 0
    return plain.model_dump_json(exclude={"slot"}), lanes, feeder.ref if feeder else None


def _subsets(specs: list[str | None]) -> Iterator[tuple[bool, ...]]:
    """Which of some sockets are fed; of those that are alike the first ones."""
    for on in product((True, False), repeat=len(specs)):
        fed: dict[str, bool] = {}
        for spec, is_on in zip(specs, on, strict=True):
            if spec is not None and is_on and not fed.get(spec, True):
                break
            if spec is not None:
                fed[spec] = is_on
        else:
            yield on


def _picks(blocks: list[_Block]) -> tuple[list[_Pick], bool]:
    """Every way of choosing in all blocks, of blocks that are alike how many choose what; whether
    these are all: where there are too many, those that feed the most and those that feed least."""
    kinds: dict[object, list[_Block]] = {}
    for block in blocks:
        kinds.setdefault(block.kind, []).append(block)
    several = list(kinds.values())
    combinations = prod(
        comb(len(several_blocks) + len(several_blocks[0].picks) - 1, len(several_blocks))
        for several_blocks in several
    )
    most = _combined(several, first=True)
    if combinations <= MOST_SCENARIOS:
        return list(most), True
    half = MOST_SCENARIOS // 2
    both = chain(islice(most, half), islice(_combined(several, first=False), half))
    return list(dict.fromkeys(both)), False


def _combined(several: list[list[_Block]], first: bool) -> Iterator[_Pick]:
    """`first`: in the order of their choices, else the other way round."""
    step = 1 if first else -1
    choices = [
        combinations_with_replacement(range(len(blocks[0].picks))[::step], len(blocks))
        for blocks in several
    ]
    for choice in product(*choices):
        pick = _Pick()
        for blocks, numbers in zip(several, choice, strict=True):
            for block, n in zip(blocks, numbers, strict=True):
                pick = pick.plus(block.picks[n])
        yield pick


# -- pins -----------------------------------------------------------------------------------------


def _with_pins(wired: Wired, pick: _Pick, asked: Asked) -> Iterator[Scenario]:
    """A choice, with every number of 12 V pins at what shares by them."""
    counts = {r: _pin_counts(wired, wired.inputs[r]) for r in sorted(pick.fed)}
    shared = {r: c for r, c in counts.items() if c}
    for pins in product(*shared.values()):
        named = dict(zip(shared, pins, strict=True))
        yield Scenario(pick.fed, named, pick.optional, pick.chosen, pick.left)


def _pin_counts(wired: Wired, into: Input) -> list[int]:
    """How many 12 V pins may be wired on both sides, where a load is shared by them, by the plugs
    that are at hand, most first; none where nothing is shared, or no plug fits."""
    shared = (
        into in wired.processor_inputs
        or into is wired.main
        or (isinstance(into.part, Board) and CONNECTORS[into.socket.kind].relieves)
    )
    return pins_by_plugs(wired, into) if shared else []


def pins_by_plugs(wired: Wired, into: Input) -> list[int]:
    """12 V pins that the plugs at hand have wired at an input, each number once, most first."""
    carriers: list[Carrier] = [*wired.cables.values(), *wired.betweens.values()]
    easy = wired.eps4_in_eps8
    pins = {
        pins_wired(answer.mated, plug, into.socket)["v12"]
        for c in carriers
        if c is not into.part
        for plug in c.plugs
        if (half := best_half(plug.kind, into.socket.kind, easy))
        and (answer := fit(plug.kind, half, into.socket.kind, easy)).fits
        and answer.mated
    }
    return sorted(pins, reverse=True)


def carried(build: Build, scenario: Scenario) -> Carried:
    """What every input carries under a scenario: the tally's own demand, of a build in which just
    these are fed, each by a plug made for it."""
    plain = bare(build)
    wired = Wired(plain)
    cables, runs = [], []
    for ref in sorted(scenario.fed):
        into = wired.inputs[ref]
        pins = scenario.pins.get(ref)
        kind = _mated_with(into.socket.kind, pins, wired.eps4_in_eps8)
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


def _mated_with(kind: SocketKind, pins: int | None, eps4_in_eps8: bool) -> SocketKind:
    """The kind of plug that has so many 12 V pins in a socket."""
    if pins is None:
        return kind
    connector = CONNECTORS[kind]
    if connector.narrower is None or (connector.narrower_if_allowed and not eps4_in_eps8):
        return kind
    return connector.narrower if pins <= PINS[connector.narrower]["v12"] else kind
