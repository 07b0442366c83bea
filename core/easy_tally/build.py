"""A build: parts, supply, cables, map, and the rules and assumptions it is judged by."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from .assumptions import Assumptions
from .case import Case
from .fits import fit
from .parts import HEADER_WORDS, ON_HEADER, Board, Card, Header, Hub, Part, Slot, Socket
from .quantities import Model, Name, Note
from .supply import Cable, Port, Run, SocketRef, Supply, port_takes

FORMAT = "easy-tally-build"
FORMAT_VERSION = 1


class HouseRules(Model):
    """Where good builders disagree: the positions this build is judged by."""

    chained_graphics: Annotated[
        Literal["never", "by plug", "by pins"],
        Field(description="both plugs of one chained graphics cable"),
    ] = "by plug"
    headroom: Annotated[
        float, Field(ge=0, le=2, description="share added to the sustained load")
    ] = 0.20
    maker_floor: Annotated[
        Literal["keep", "keep and add a fifth", "ignore"],
        Field(description="the card maker's stated smallest supply"),
    ] = "keep"


class Build(Model):
    """Everything that one build file holds. References are checked when it is made."""

    format: Literal["easy-tally-build"] = "easy-tally-build"
    version: Literal[1] = 1
    name: Name
    note: Note = ""
    house_rules: HouseRules = HouseRules()
    assumptions: Assumptions = Assumptions()
    spin_up_at_once: Annotated[
        int | None,
        Field(ge=1, le=64, description="disks that spin up at a time; none: all at once"),
    ] = None
    case: Case | None = None
    parts: Annotated[tuple[Part, ...], Field(max_length=400)] = ()
    supply: Supply | None = None
    cables: Annotated[tuple[Cable, ...], Field(max_length=200)] = ()
    runs: tuple[Run, ...] = ()

    # -- looking things up -------------------------------------------------------------

    def part(self, key: str) -> Part | None:
        """The part called `key`."""
        return next((p for p in self.parts if p.key == key), None)

    def cable(self, key: str) -> Cable | None:
        """The cable called `key`."""
        return next((c for c in self.cables if c.key == key), None)

    def run(self, cable: str) -> Run | None:
        """The run of the cable called `cable`, if it is plugged in."""
        return next((r for r in self.runs if r.cable == cable), None)

    def socket(self, ref: SocketRef) -> Socket | None:
        """The socket that `ref` points at, or None where there is no such thing."""
        part = self.part(ref.part)
        if part is None or ref.instance > part.count:
            return None
        return next((s for s in part.sockets if s.key == ref.socket), None)

    def board(self) -> Board | None:
        """The build's board."""
        return next((p for p in self.parts if isinstance(p, Board)), None)

    def slot_of(self, card: Card) -> Slot | None:
        """The board's slot that a card stands in, where that is said."""
        board = self.board()
        return next((s for s in board.slots if s.key == card.slot), None) if board else None

    def lanes_of(self, card: Card) -> int:
        """Lanes that a card and its slot have in common."""
        slot = self.slot_of(card)
        return min(card.lanes, slot.lanes) if slot else card.lanes

    def sockets(self) -> Iterator[tuple[SocketRef, Socket]]:
        """Every socket of every instance, in the order of the parts."""
        for part in self.parts:
            for instance in range(1, part.count + 1):
                for socket in part.sockets:
                    yield (
                        SocketRef.model_construct(
                            part=part.key, instance=instance, socket=socket.key
                        ),
                        socket,
                    )

    def ref_words(self, ref: SocketRef) -> str:
        """How a socket is called to a builder."""
        part = self.part(ref.part)
        if part is None:
            return str(ref)
        which = f" {ref.instance}" if part.count > 1 else ""
        several = f" · {ref.socket}" if len(part.sockets) > 1 else ""
        return f"{part.name}{which}{several}"

    def ref_tag(self, ref: SocketRef) -> str:
        """A socket in a few letters, for a label beside its plug: `disk 3`, `card 2 · a`."""
        part = self.part(ref.part)
        if part is None:
            return str(ref)
        which = f" {ref.instance}" if part.count > 1 else ""
        several = f" · {ref.socket}" if len(part.sockets) > 1 else ""
        return f"{part.key.replace('-', ' ')}{which}{several}"

    def free_ports(self, without: str = "") -> list[Port]:
        """Ports that no cable (other than `without`) is in, in panel order."""
        used = {p for r in self.runs if r.cable != without for p in r.ports}
        ports = self.supply.ports if self.supply else ()
        return sorted(
            (p for p in ports if p.key not in used), key=lambda p: (p.row, p.column, p.key)
        )

    # -- references --------------------------------------------------------------------

    @model_validator(mode="after")
    def _references_hold(self) -> Self:
        problem = next(self._problems(), None)
        if problem is not None:
            raise ValueError(problem)
        return self

    def problems(self) -> list[str]:
        """What does not hold between the things of this build; empty when all does."""
        return list(self._problems())

    def _problems(self) -> Iterator[str]:
        for what, keys in (
            ("part", [p.key for p in self.parts]),
            ("cable", [c.key for c in self.cables]),
            ("run", [r.cable for r in self.runs]),
        ):
            twice = {k for k in keys if keys.count(k) > 1} if len(set(keys)) < len(keys) else set()
            if twice:
                yield f"every {what} a key of its own; {sorted(twice)[0]} is used twice"
        boards = [p for p in self.parts if isinstance(p, Board)]
        if len(boards) > 1:
            yield f"one board in a build; there are {len(boards)}"
        if sum(p.kind == "processor" for p in self.parts) > 1:
            yield "one processor part in a build (use its count for more)"
        yield from self._slot_problems(boards[0] if boards else None)
        yield from self._header_problems(boards[0] if boards else None)
        yield from self._run_problems()

    def outputs_for(self, part: Part) -> tuple[Header, ...]:
        """The headers that a part without a plug may be fed from: those of its hub or of the
        board that are of its kind, the usual kind alone where there is one."""
        if not isinstance(part, ON_HEADER) or part.sockets:
            return ()
        owner = self.part(part.on) if part.on else self.board()
        outputs = owner.outputs if isinstance(owner, Hub) else ()
        if isinstance(owner, Board):
            outputs = owner.headers
        if part.headers:
            named = {h.key: h for h in outputs}
            return tuple(named[k] for k in part.headers if k in named)
        for kind in part.may_hang_on():
            if fitting := tuple(h for h in outputs if h.kind == kind):
                return fitting
        return ()

    def _slot_problems(self, board: Board | None) -> Iterator[str]:
        taken: dict[str, str] = {}
        for part in self.parts:
            if not isinstance(part, Card) or part.slot is None:
                continue
            slots = {s.key for s in board.slots} if board else set()
            if part.slot not in slots:
                have = f"it has {', '.join(sorted(slots))}" if slots else "it lists none"
                yield f"{part.name}: a slot that the board has; no {part.slot}, {have}"
            elif part.slot in taken:
                yield f"{part.name}: a free slot; {taken[part.slot]} stands in {part.slot}"
            taken[part.slot] = part.name

    def _header_problems(self, board: Board | None) -> Iterator[str]:
        parts = {p.key: p for p in self.parts}
        for part in self.parts:
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
            where = hub.name if hub else "the board"
            kinds = {h.key: h.kind for h in outputs}
            for key in part.headers:
                if key not in kinds:
                    yield f"{part.name}: a header that {where} has; it has no {key}"
                elif kinds[key] not in part.may_hang_on():
                    wanted = " or ".join(HEADER_WORDS[k] for k in part.may_hang_on())
                    found = HEADER_WORDS[kinds[key]]
                    yield f"{part.name}: a header for {wanted}; {key} is for {found}"

    def _run_problems(self) -> Iterator[str]:
        cables = {c.key: c for c in self.cables}
        ports = {p.key: p for p in self.supply.ports} if self.supply else {}
        seen_ports: set[str] = set()
        seen_sockets: set[str] = set()
        for run in self.runs:
            cable = cables.get(run.cable)
            if cable is None:
                yield f"a cable for every run; there is no {run.cable}"
                continue
            if self.supply is None:
                yield f"{cable.name}: a supply to be plugged into"
                return
            yield from _port_problems(cable, self.supply, run, ports, seen_ports)
            yield from self._connection_problems(cable, run, seen_sockets)

    def _connection_problems(self, cable: Cable, run: Run, seen: set[str]) -> Iterator[str]:
        plugs = {p.key: p for p in cable.plugs}
        used: set[str] = set()
        for connection in run.connections:
            plug, socket = plugs.get(connection.plug), self.socket(connection.socket)
            if plug is None:
                yield f"{cable.name}: a plug that it has; it has no {connection.plug}"
                continue
            if socket is None:
                yield f"{cable.name}: a socket in this build; there is no {connection.socket}"
                continue
            if connection.plug in used:
                yield f"{cable.name}: one use of plug {connection.plug}"
            if str(connection.socket) in seen:
                yield f"{connection.socket}: one plug in a socket"
            used.add(connection.plug)
            seen.add(str(connection.socket))
            answer = fit(plug.kind, connection.half, socket.kind, self._allows_eps4())
            if not answer.fits:
                yield f"{cable.name} in {connection.socket}: a plug that fits; {answer.reason}"

    def _allows_eps4(self) -> bool:
        board = self.board()
        return board is not None and board.eps4_in_eps8


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


def _port_problems(
    cable: Cable, supply: Supply, run: Run, ports: dict[str, Port], seen: set[str]
) -> Iterator[str]:
    if cable.family != supply.family:
        yield (
            f"{cable.name}: pinout family {supply.family}, that of the supply; "
            f"it is of {cable.family}"
        )
    if len(run.ports) != len(cable.needs):
        yield f"{cable.name}: {len(cable.needs)} ports, got {len(run.ports)}"
        return
    for key, need in zip(run.ports, cable.needs, strict=True):
        if key not in ports:
            yield f"{cable.name}: a port of the supply; it has no {key}"
        elif key in seen:
            yield f"{cable.name}: a free port; {ports[key].label} is used twice"
        elif not port_takes(ports[key].kind, need):
            yield f"{cable.name}: a {need} port; {ports[key].label} is {ports[key].kind}"
        seen.add(key)
