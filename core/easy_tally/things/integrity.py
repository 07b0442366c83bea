"""What has to hold between the things of a build, each breach in a sentence."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator
from typing import TYPE_CHECKING

from ..standards.connectors import PLUGS, PlugKind, SocketKind
from .adapters import Adapter, Backplane, Extension
from .cables import Cable, Connection, Run, SocketRef
from .fits import fit
from .parts import HEADER_WORDS, ON_HEADER, Board, Card, Header, Hub, M2Drive, OnHeader, Part
from .supply import Port, Supply, port_takes

if TYPE_CHECKING:
    from .build import Build


def problems(build: Build) -> Iterator[str]:
    """What does not hold between the things of `build`."""
    yield from _twins(build)
    boards = [p for p in build.parts if isinstance(p, Board)]
    if len(boards) > 1:
        yield f"one board in a build; there are {len(boards)}"
    if sum(p.kind == "processor" for p in build.parts) > 1:
        yield "one processor part in a build (use its count for more)"
    board = boards[0] if boards else None
    yield from _slot_problems(build, board)
    yield from _m2_problems(build, board)
    yield from _header_problems(build, board)
    yield from _run_problems(build)


def _twins(build: Build) -> Iterator[str]:
    for thing, keys in (
        ("part", [p.key for p in build.parts]),
        ("cable", [c.key for c in build.cables]),
        ("run", [r.cable for r in build.runs]),
        (
            "part, adapter, extension or backplane",
            [x.key for x in (*build.parts, *build.adapters, *build.extensions, *build.backplanes)],
        ),
    ):
        if len(set(keys)) < len(keys):
            twice = min(k for k, n in Counter(keys).items() if n > 1)
            yield f"every {thing} a key of its own; {twice} is used twice"


def _slot_problems(build: Build, board: Board | None) -> Iterator[str]:
    taken: dict[str, str] = {}
    for part in build.parts:
        if not isinstance(part, Card) or part.slot is None:
            continue
        slots = {s.key for s in board.slots} if board else set()
        if part.slot not in slots:
            have = f"it has {', '.join(sorted(slots))}" if slots else "it lists none"
            yield f"{part.name}: a slot that the board has; no {part.slot}, {have}"
        elif part.slot in taken:
            yield f"{part.name}: a free slot; {taken[part.slot]} stands in {part.slot}"
        taken[part.slot] = part.name


def _m2_problems(build: Build, board: Board | None) -> Iterator[str]:
    taken: dict[str, str] = {}
    slots = {s.key for s in board.m2_slots or ()} if board else set()
    for part in build.parts:
        if not isinstance(part, M2Drive) or part.slot is None:
            continue
        if part.slot not in slots:
            have = f"it has {', '.join(sorted(slots))}" if slots else "it lists none"
            yield f"{part.name}: an M.2 slot that the board has; no {part.slot}, {have}"
        elif part.slot in taken:
            yield f"{part.name}: a free M.2 slot; {taken[part.slot]} is in {part.slot}"
        taken[part.slot] = part.name


# -- headers -------------------------------------------------------------------------------


def _header_problems(build: Build, board: Board | None) -> Iterator[str]:
    parts = {p.key: p for p in build.parts}
    for part in build.parts:
        if not isinstance(part, ON_HEADER):
            continue
        hub = parts.get(part.on) if part.on else None
        if part.on and not isinstance(hub, Hub):
            yield f"{part.name}: a hub in this build to hang on; {part.on} is none"
            continue
        if _hangs_on_itself(part, parts):
            yield f"{part.name}: a hub that is not fed by itself"
            continue
        at_5v = part.may_hang_on() == ("lights-5v",) and not part.sockets
        if at_5v and isinstance(hub, Hub) and _fed_by_header(hub, parts):
            yield f"{part.name}: 5 V; {hub.name} is fed by a header, which has 12 V only"
        outputs = hub.outputs if isinstance(hub, Hub) else board.headers if board else ()
        yield from _named_headers(part, outputs, hub.name if hub else "the board")


def _named_headers(part: OnHeader, outputs: tuple[Header, ...], where: str) -> Iterator[str]:
    kinds = {h.key: h.kind for h in outputs}
    for key in part.headers:
        if key not in kinds:
            yield f"{part.name}: a header that {where} has; it has no {key}"
        elif kinds[key] not in part.may_hang_on():
            wanted = " or ".join(HEADER_WORDS[k] for k in part.may_hang_on())
            header_words = HEADER_WORDS[kinds[key]]
            yield f"{part.name}: a header for {wanted}; {key} is for {header_words}"


def _hangs_on_itself(part: Part, parts: dict[str, Part]) -> bool:
    seen = {part.key}
    at = getattr(part, "on", None)
    while at is not None and at in parts:
        if at in seen:
            return True
        seen.add(at)
        at = getattr(parts[at], "on", None)
    return False


def _fed_by_header(hub: Hub, parts: dict[str, Part]) -> bool:
    """Whether a hub has no plug of its own at the end of its chain of hubs."""
    at: Part | None = hub
    while isinstance(at, Hub) and not at.sockets and at.on:
        at = parts.get(at.on)
    return isinstance(at, Hub) and not at.sockets


# -- the map -------------------------------------------------------------------------------


def _run_problems(build: Build) -> Iterator[str]:
    between = list(_between(build))
    if not build.runs and not between:
        return
    plugging = Plugging(build)
    for run in build.runs:
        yield from plugging.seat(run)
        if build.supply is None:
            return
        cable = plugging.cables.get(run.cable)
        if cable is not None:
            for c in run.connections:
                yield from plugging.connect(cable, c)
    for thing in between:
        for c in thing.connections:
            yield from plugging.connect(thing, c)
    yield from circles(between)


_Between = Adapter | Extension | Backplane


def _between(build: Build) -> Iterator[_Between]:
    yield from build.adapters
    yield from build.extensions
    yield from build.backplanes


def _plugs_of(carrier: Cable | _Between) -> dict[str, PlugKind]:
    """Key → kind of its plugs, or bays."""
    match carrier:
        case Cable() | Adapter():
            return {p.key: p.kind for p in carrier.plugs}
        case Extension():
            return {"out": carrier.kind}
        case Backplane():
            return {bay: "sata" for i in carrier.inputs for bay in i.bays}


def _leads_of(between: _Between) -> dict[str, SocketKind]:
    """Key → kind of what its leads are plugged with."""
    match between:
        case Adapter():
            return {lead.key: lead.kind for lead in between.leads}
        case Extension():
            return {"in": PLUGS[between.kind].whole}
        case Backplane():
            return {i.key: i.kind for i in between.inputs}


def _inputs(build: Build, between: list[_Between]) -> dict[SocketRef, SocketKind]:
    """Every input of a build, and its kind."""
    inputs = {ref: socket.kind for ref, socket in build.sockets()}
    for thing in between:
        for key, kind in _leads_of(thing).items():
            inputs[SocketRef.model_construct(part=thing.key, instance=1, socket=key)] = kind
    return inputs


class Plugging:
    """What of a build is plugged in where, one after another, each port, each input and each half
    of a plug once. What does not hold is told, and not taken in."""

    def __init__(self, build: Build) -> None:
        between = list(_between(build))
        board = next((p for p in build.parts if isinstance(p, Board)), None)
        self.cables = {c.key: c for c in build.cables}
        self._supply = build.supply
        self._inputs = _inputs(build, between)
        self._allows = board is not None and board.eps4_in_eps8
        self._seated: set[str] = set()
        self._ports = {p.key: p for p in build.supply.ports} if build.supply else {}
        self._taken: set[str] = set()
        self._fed: set[SocketRef] = set()
        #: Of each thing that has plugs: their kinds, and the halves that are used.
        self._plugs: dict[tuple[bool, str], tuple[dict[str, PlugKind], set[tuple[str, str]]]] = {}

    def seat(self, run: Run) -> list[str]:
        """Put a run's cable in its ports; what does not hold."""
        cable = self.cables.get(run.cable)
        if cable is None:
            return [f"a cable for every run; there is no {run.cable}"]
        if self._supply is None:
            return [f"{cable.name}: a supply to be plugged into"]
        if run.cable in self._seated:
            return [f"{cable.name}: one run of a cable"]
        problems = list(_port_problems(cable, self._supply, run, self._ports, self._taken))
        if not problems:
            self._seated.add(run.cable)
            self._taken.update(run.ports)
        return problems

    def connect(self, carrier: Cable | _Between, c: Connection) -> list[str]:
        """Put a plug of a cable, or of what stands in between, in; what does not hold."""
        at = (isinstance(carrier, Cable), carrier.key)
        if at not in self._plugs:
            self._plugs[at] = (_plugs_of(carrier), set())
        kinds, used = self._plugs[at]
        plug, into = kinds.get(c.plug), self._inputs.get(c.socket)
        if plug is None:
            return [f"{carrier.name}: a plug that it has; it has no {c.plug}"]
        if into is None:
            return [f"{carrier.name}: a socket in this build; there is no {c.socket}"]
        problems = []
        halves = {h for key, h in used if key == c.plug}
        if c.half in halves or (halves and "whole" in {*halves, c.half}):
            problems.append(f"{carrier.name}: one use of plug {c.plug}")
        if c.socket in self._fed:
            problems.append(f"{c.socket}: one plug in a socket")
        answer = fit(plug, c.half, into, self._allows)
        if not answer.fits and answer.mated is None:
            problems.append(f"{carrier.name} in {c.socket}: a plug that fits; {answer.reason}")
        if not problems:
            used.add((c.plug, c.half))
            self._fed.add(c.socket)
        return problems


def circles(between: Iterable[_Between]) -> Iterator[str]:
    """Things in between that feed themselves in the end."""
    several = list(between)
    onward = {thing.key: {c.socket.part for c in thing.connections} for thing in several}
    for thing in several:
        seen: set[str] = set()
        waiting = [*onward[thing.key]]
        while waiting:
            key = waiting.pop()
            if key in onward and key not in seen:
                seen.add(key)
                waiting += onward[key]
        if thing.key in seen:
            yield f"{thing.name}: fed by the supply, not by itself"


def _port_problems(
    cable: Cable, supply: Supply, run: Run, ports: dict[str, Port], taken: set[str]
) -> Iterator[str]:
    if cable.family != supply.family:
        yield (
            f"{cable.name}: pinout family {supply.family}, that of the supply; "
            f"it is of {cable.family}"
        )
    if len(run.ports) != len(cable.needs):
        yield f"{cable.name}: {len(cable.needs)} ports, got {len(run.ports)}"
        return
    for i, (key, need) in enumerate(zip(run.ports, cable.needs, strict=True)):
        if key not in ports:
            yield f"{cable.name}: a port of the supply; it has no {key}"
        elif key in taken or key in run.ports[:i]:
            yield f"{cable.name}: a free port; {ports[key].label} is used twice"
        elif not port_takes(ports[key].kind, need):
            yield f"{cable.name}: a {need} port; {ports[key].label} is {ports[key].kind}"
