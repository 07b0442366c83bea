"""What is plugged into what, worked out once for a build and never searched for again.

A connection is between an *output* (a plug of a cable) and an *input* (a socket of one instance
of a part). A `Feed` is the whole way from port to input, with its pin-out and the pins that are
wired on both sides. What has no plug of its own is led to the part whose sockets it comes through.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Container, Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property

from ..base.memory import NO_MEMORY, Memory
from ..standards.connectors import CONNECTORS, PINS, Half, SocketKind, is_of
from ..things.build import Build
from ..things.cables import Cable, Connection, Plug, Run, SocketRef
from ..things.fits import fit
from ..things.parts import ON_HEADER, Board, Card, Cooler, Header, Hub, Part, Slot, Socket
from ..things.supply import Port
from ..usual import End, taken
from .between import Between, betweens

#: How the key of the processor's own header begins. Source: boards' markings.
PROCESSORS = ("cpu", "processor")
#: Whose inputs and plugs there are: of parts and of what stands in between; of cables.
Owner = Part | Between
Carrier = Cable | Between


@dataclass(frozen=True, slots=True, kw_only=True)
class Input:
    """Something that a plug goes into: a socket of one instance of a part, or a lead of what stands
    in between."""

    ref: str
    at: SocketRef
    part: Owner
    socket: Socket

    @property
    def between(self) -> Between | None:
        """What stands in between, where this is a lead of it."""
        return self.part if isinstance(self.part, Between) else None


@dataclass(frozen=True, slots=True, kw_only=True)
class Feed:
    """A plug in an input: the pin-out that then counts, and the pins wired on both sides. `cable`
    is what the plug is of: a cable, or what stands in between."""

    input: Input
    cable: Carrier
    plug: Plug
    connection: Connection
    mated: SocketKind
    pins: Mapping[str, int]
    warning: str

    @property
    def half(self) -> Half:
        """Which part of the plug is mated."""
        return self.connection.half


@dataclass(frozen=True, slots=True, kw_only=True)
class Stretch:
    """A length of cable [mm], with the feeds beyond it: all that flows to them flows here."""

    from_mm: float
    to_mm: float
    beyond: tuple[Feed, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class WiredRun:
    """One cable in its ports: its feeds by distance, and the stretches between them."""

    run: Run
    cable: Cable
    ports: tuple[Port, ...]
    feeds: tuple[Feed, ...]
    stretches: tuple[Stretch, ...]


class Wired:
    """The wiring of one build. Nothing of it changes; what is rarely asked for is made late."""

    def __init__(self, build: Build, memory: Memory = NO_MEMORY, end: End = "likely") -> None:
        """`end`: at which end of what is usual is taken what nobody measured."""
        #: As its file says it, and as it is taken.
        self.stated = build
        self.build = build = taken(build, end, memory)
        self.memory = memory
        self.parts: dict[str, Part] = {p.key: p for p in build.parts}
        self.cables: dict[str, Cable] = {c.key: c for c in build.cables}
        self.ports: dict[str, Port] = {p.key: p for p in build.supply.ports} if build.supply else {}
        self.board: Board | None = build.board()
        self.eps4_in_eps8 = self.board is not None and self.board.eps4_in_eps8
        self.betweens: dict[str, Between] = {b.key: b for b in betweens(build, memory)}
        #: Of each part and of what stands in between the inputs of each instance, by its key.
        self._of_owner: dict[str, tuple[tuple[Input, ...], ...]] = {
            o.key: memory.of(_inputs, (o,)) for o in (*build.parts, *self.betweens.values())
        }
        self.inputs: dict[str, Input] = {
            i.ref: i
            for instances in self._of_owner.values()
            for instance in instances
            for i in instance
        }
        self.runs: tuple[WiredRun, ...] = tuple(self._run(r) for r in build.runs)
        self.feeds: dict[str, Feed] = {f.input.ref: f for r in self.runs for f in r.feeds}
        for b in self.betweens.values():
            self.feeds |= {f.input.ref: f for f in self._feeds(b, b.connections)}

    def _run(self, run: Run) -> WiredRun:
        cable = self.cables[run.cable]
        ports = tuple([self.ports[k] for k in run.ports])
        feeds = self._feeds(cable, run.connections)
        return self.memory.of(_wired_run, (run, cable, feeds, *ports))

    def _feeds(self, carrier: Carrier, connections: tuple[Connection, ...]) -> tuple[Feed, ...]:
        """What the plugs of a cable, or of something in between, are in."""
        into = [self.inputs[str(c.socket)] for c in connections]
        return self.memory.of(_feeds, (carrier, connections, *into), (self.eps4_in_eps8,))

    # -- what stands in between ----------------------------------------------------------

    @cached_property
    def live(self) -> frozenset[str]:
        """Inputs that a plug is in and whose way back ends at the supply: by one lead at least of
        what stands in between."""
        fed = {f.input.ref for r in self.runs for f in r.feeds}
        waiting = list(self.betweens.values())
        while True:
            new = {
                ref
                for b in waiting
                for ref in self._fed_through(b)
                if ref not in fed and self.leads_in_use(b, self.feeds[ref].plug.key, fed)
            }
            if not new:
                return frozenset(fed)
            fed |= new

    @cached_property
    def between(self) -> tuple[Feed, ...]:
        """Every plug that is in something in between, or is one of it."""
        return tuple(
            f for f in self.feeds.values() if f.input.between or isinstance(f.cable, Between)
        )

    @cached_property
    def _linked(self) -> dict[str, tuple[Feed, ...]]:
        """What stands in between, by its key → every plug of it and in it, and of and in what it
        feeds or is fed by."""
        group = {key: {key} for key in self.betweens}
        for b in self.betweens.values():
            for other in {c.socket.part for c in b.connections} & group.keys():
                both = group[b.key] | group[other]
                group |= dict.fromkeys(both, both)
        by_group: dict[int, list[Feed]] = {}
        for f in self.between:
            key = f.input.part.key if f.input.between else f.cable.key
            by_group.setdefault(id(group[key]), []).append(f)
        return {key: tuple(by_group.get(id(feeds), ())) for key, feeds in group.items()}

    def beyond(self, run: WiredRun) -> tuple[Feed, ...]:
        """Every plug of and in what stands beyond a run, and what else feeds that: all that what
        flows there depends on."""
        leads = [f.input.part.key for f in run.feeds if f.input.between]
        if not leads:
            return ()
        return tuple({id(f): f for key in leads for f in self._linked[key]}.values())

    def _fed_through(self, b: Between) -> list[str]:
        return [str(c.socket) for c in b.connections if str(c.socket) in self.feeds]

    def leads_in_use(
        self, b: Between, plug: str, live: Container[str] | None = None
    ) -> tuple[str, ...]:
        """Keys of the leads that feed one of its plugs and are plugged in."""
        there = self.live if live is None else live
        return tuple(k for k in b.fed_by[plug] if f"{b.key}#1/{k}" in there)

    def leads_of(self, between: Between) -> list[Input]:
        """The leads of something in between."""
        return [self.inputs[f"{between.key}#1/{s.key}"] for s in between.sockets]

    def onward(self, into: Input) -> tuple[Feed, ...]:
        """What is plugged in beyond a lead of what stands in between."""
        b = into.between
        if b is None:
            return ()
        return tuple(
            self.feeds[str(c.socket)]
            for c in b.connections
            if into.socket.key in b.fed_by[c.plug] and self.feeds[str(c.socket)].cable is b
        )

    def lead_share(self, feed: Feed, lead: str) -> float:
        """The share of what a plug of something in between carries that comes by one of its leads:
        by the 12 V pins of those plugged in, evenly where none has any. Source: assumption."""
        b = feed.cable
        if not isinstance(b, Between):
            raise TypeError(f"a plug of something in between, got one of {b.name}")
        pins = {
            k: self.pins_12v(self.inputs[f"{b.key}#1/{k}"])
            for k in self.leads_in_use(b, feed.plug.key)
        }
        whole = sum(pins.values())
        return pins[lead] / whole if whole else 1 / len(pins)

    def cables_to(self, ref: str) -> tuple[Cable, ...]:
        """The cables by which an input is fed in the end, several where an adapter has several
        leads."""
        feed = self.feeds.get(ref)
        if feed is None:
            return ()
        if isinstance(feed.cable, Cable):
            return (feed.cable,)
        leads = self.leads_in_use(feed.cable, feed.plug.key)
        cables = (c for k in leads for c in self.cables_to(f"{feed.cable.key}#1/{k}"))
        return tuple({c.key: c for c in cables}.values())

    # -- inputs of parts ---------------------------------------------------------------

    def inputs_of(self, part: str, instance: int = 1) -> tuple[Input, ...]:
        """The sockets of one instance of a part."""
        instances = self._of_owner.get(part, ())
        return instances[instance - 1] if instance <= len(instances) else ()

    def each_inputs_of(self, part: str) -> tuple[tuple[Input, ...], ...]:
        """The sockets of each instance of a part."""
        return self._of_owner[part]

    def is_live(self, inputs: tuple[Input, ...]) -> tuple[bool, ...]:
        """Of each of some inputs, whether it is fed."""
        live = self.live
        return tuple([i.ref in live for i in inputs])

    def pins_12v(self, into: Input) -> int:
        """12 V pins in use at an input: wired on both sides where a plug is in, else its own."""
        feed = self.feeds.get(into.ref)
        return feed.pins["v12"] if feed else pins_wired(into.socket.kind, None, into.socket)["v12"]

    @cached_property
    def _board_inputs(self) -> tuple[Input, ...]:
        return self.inputs_of(self.board.key) if self.board else ()

    @cached_property
    def main(self) -> Input | None:
        """The board's main socket."""
        return next((i for i in self._board_inputs if is_of(i.socket.kind, "main")), None)

    @cached_property
    def processor_inputs(self) -> tuple[Input, ...]:
        """The board's processor sockets."""
        return tuple(i for i in self._board_inputs if is_of(i.socket.kind, "processor"))

    @cached_property
    def extras(self) -> tuple[Input, ...]:
        """The board's fed sockets that take slot load off its main plug."""
        relieving = (i for i in self._board_inputs if CONNECTORS[i.socket.kind].relieves)
        return tuple(i for i in relieving if i.ref in self.live)

    @cached_property
    def needed(self) -> frozenset[str]:
        """Inputs that have to be fed: those required, and those that feed a slot with a card in
        it. What else has only one way in is added by what it draws (`tally.demand`)."""
        feeders = {f.ref for f in self.slot_feeders.values()}
        return frozenset(feeders | {r for r, i in self.inputs.items() if i.socket.required})

    # -- what has no plug of its own ---------------------------------------------------

    def slot_of(self, card: Card) -> Slot | None:
        """The board's slot that a card stands in, where that is said."""
        slots = self.board.slots if self.board else ()
        return next((s for s in slots if s.key == card.slot), None)

    def lanes_of(self, card: Card) -> int:
        """Lanes that a card and its slot have in common."""
        slot = self.slot_of(card)
        return min(card.lanes, slot.lanes) if slot else card.lanes

    @cached_property
    def slot_feeders(self) -> dict[str, Input]:
        """Card → the board's socket that feeds its slot at 12 V, where the manual says so."""
        slot_feeders: dict[str, Input] = {}
        for part in self.parts.values():
            slot = self.slot_of(part) if isinstance(part, Card) else None
            if slot is not None and slot.fed_by is not None and self.board is not None:
                slot_feeders[part.key] = self.inputs[f"{self.board.key}#1/{slot.fed_by}"]
        return slot_feeders

    def hubs_above(self, part: Part) -> tuple[Hub, ...]:
        """The hubs that what a part draws passes through, up to one with a plug of its own."""
        hubs: list[Hub] = []
        at: Part | None = part
        while isinstance(at, ON_HEADER) and not at.sockets and at.on:
            at = self.parts.get(at.on)
            if isinstance(at, Hub):
                hubs.append(at)
        return tuple(hubs)

    def source_of(self, part: Part) -> Part | None:
        """The part whose own sockets a part on headers comes through: the hub at the end of its
        chain of hubs; None where that is the board."""
        hubs = self.hubs_above(part)
        return hubs[-1] if hubs and hubs[-1].sockets else None

    def headers_for(self, part: Part) -> tuple[Header, ...]:
        """The headers that a part without a plug may be fed from: those of its hub or of the
        board that are of its kind, the usual kind alone where there is one."""
        if not isinstance(part, ON_HEADER) or part.sockets:
            return ()
        owner = self.parts.get(part.on) if part.on else self.board
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

    @cached_property
    def hung(self) -> Mapping[str, tuple[Header, ...]]:
        """Key of what hangs on headers → the header of each of its instances: those that it names,
        in turn; else each takes the one on which the fewest hang, so that two share one only where
        none is free. The processor's own is its cooler's first, and others' last."""
        several = [p for p in self.build.parts if self.headers_for(p)]
        several.sort(key=lambda p: (not getattr(p, "headers", ()), not isinstance(p, Cooler)))
        taken: Counter[tuple[str, str]] = Counter()
        hung: dict[str, tuple[Header, ...]] = {}
        for part in several:
            owner = getattr(part, "on", None) or (self.board.key if self.board else "")
            headers, own = self.headers_for(part), []
            for instance in range(part.count):
                header = headers[instance % len(headers)]
                if not getattr(part, "headers", ()):
                    header = min(headers, key=lambda h: self._worth(part, h, taken[owner, h.key]))
                taken[owner, header.key] += 1
                own.append(header)
            hung[part.key] = tuple(own)
        return hung

    def _worth(self, part: Part, header: Header, hanging: int) -> tuple[int, bool]:
        """How little a header is worth to a part: by what hangs there, then by whose it is."""
        return hanging, header.key.startswith(PROCESSORS) is not isinstance(part, Cooler)

    # -- ports -------------------------------------------------------------------------

    def free_ports(self, without: str = "") -> list[Port]:
        """Ports that no cable (other than `without`) is in, in panel order."""
        used = {p for r in self.build.runs if r.cable != without for p in r.ports}
        free = (p for p in self.ports.values() if p.key not in used)
        return sorted(free, key=lambda p: (p.row, p.column, p.key))

    @cached_property
    def in_use(self) -> dict[tuple[str, str], Feed]:
        """(cable, plug) → its feed, of every plug that is connected."""
        return {(f.cable.key, f.plug.key): f for f in self.feeds.values()}

    def uses_of(self, carrier: str, plug: str) -> tuple[Feed, ...]:
        """What a plug feeds: one input, or two where its halves go apart."""
        return self._uses.get((carrier, plug), ())

    @cached_property
    def _uses(self) -> dict[tuple[str, str], tuple[Feed, ...]]:
        uses: dict[tuple[str, str], tuple[Feed, ...]] = {}
        for f in self.feeds.values():
            at = (f.cable.key, f.plug.key)
            uses[at] = (*uses.get(at, ()), f)
        return uses

    # -- names -------------------------------------------------------------------------

    def words(self, ref: str) -> str:
        """How an input is called to a builder: `Disk 3`, `Card · a`."""
        into = self.inputs.get(ref)
        return into.part.name + _which(into) if into else ref

    def own_words(self, ref: str) -> str:
        """What tells an input from the others of its part: `3`, `a`, `2 · a`; nothing where it is
        the only one."""
        into = self.inputs.get(ref)
        return _which(into).removeprefix(" · ").strip() if into else ref

    def tag(self, ref: str) -> str:
        """An input in a few letters, for a label beside its plug: `disk 3`, `card 2 · a`."""
        into = self.inputs.get(ref)
        return into.part.key.replace("-", " ") + _which(into) if into else ref


def pins_wired(mated: SocketKind, plug: Plug | None, socket: Socket) -> Mapping[str, int]:
    """Pins by line of a pin-out; at 12 V those that are wired on both sides."""
    usual = PINS[mated]
    stated = (plug.pins_12v if plug else None, socket.pins_12v)
    wired = [n for n in stated if n is not None]
    return usual | {"v12": min(usual["v12"], *wired)} if wired else usual


def _inputs(owner: Owner) -> tuple[tuple[Input, ...], ...]:
    """The inputs of each instance of a part, or of what stands in between."""
    return tuple(
        tuple(_input(owner, instance, socket) for socket in owner.sockets)
        for instance in range(1, owner.count + 1)
    )


def _input(owner: Owner, instance: int, socket: Socket) -> Input:
    at = SocketRef.model_construct(part=owner.key, instance=instance, socket=socket.key)
    return Input(ref=str(at), at=at, part=owner, socket=socket)


def _wired_run(run: Run, cable: Cable, feeds: tuple[Feed, ...], *ports: Port) -> WiredRun:
    by_distance = sorted(feeds, key=lambda f: f.plug.mm)
    return WiredRun(
        run=run,
        cable=cable,
        ports=ports,
        feeds=tuple(by_distance),
        stretches=tuple(_stretches(by_distance)),
    )


def _feeds(
    eps4_in_eps8: bool, carrier: Carrier, connections: tuple[Connection, ...], *inputs: Input
) -> tuple[Feed, ...]:
    plugs = {p.key: p for p in carrier.plugs}
    feeds = []
    for connection, into in zip(connections, inputs, strict=True):
        plug = plugs[connection.plug]
        answer = fit(plug.kind, connection.half, into.socket.kind, eps4_in_eps8)
        mated = answer.mated or into.socket.kind
        feeds.append(
            Feed(
                input=into,
                cable=carrier,
                plug=plug,
                connection=connection,
                mated=mated,
                pins=pins_wired(mated, plug, into.socket),
                warning=answer.warning,
            )
        )
    return tuple(feeds)


def _stretches(feeds: list[Feed]) -> Iterator[Stretch]:
    """Lengths of cable between plugs in use; each carries all that lies beyond it."""
    places = sorted({f.plug.mm for f in feeds})
    for start, end in zip([0.0, *places], places, strict=False):
        beyond = tuple(f for f in feeds if f.plug.mm >= end)
        yield Stretch(from_mm=start, to_mm=end, beyond=beyond)


def _which(into: Input) -> str:
    instance = f" {into.at.instance}" if into.part.count > 1 else ""
    several = f" · {into.at.socket}" if len(into.part.sockets) > 1 else ""
    return instance + several
