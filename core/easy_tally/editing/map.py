"""Edits of the map: plugs into sockets, cables into ports, and out again."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Literal

from ..base.declared import Key
from ..base.errors import NotThere, Refused
from ..standards.connectors import Half
from ..things.build import Build
from ..things.cables import Cable, Connection, Plug, Run, SocketRef
from ..things.fits import best_half, fit
from ..things.same import connected
from ..things.supply import port_takes
from ..wiring import Carrier, Feed, Wired, never_allowed
from ..wiring.never import why_never
from ..wiring.offers import free_ports_for, why_no_port, why_not_here
from .base import EditBase
from .cables import cable_of, name_of
from .released import BETWEEN
from .valid import remade


class Connect(EditBase):
    """Put a plug into a socket. A plug in use moves; a plug already there parks. The cable goes
    into `ports`, or where it has none yet into the first free ones that take it."""

    type: Literal["connect"] = "connect"
    cable: Key
    plug: Key
    socket: SocketRef
    half: Half | None = None
    ports: tuple[Key, ...] | None = None

    def apply(self, build: Build) -> Build:
        """With the plug in the socket."""
        wired = Wired(build)
        carrier = _carrier(wired, self.cable)
        plug, into = _plug(carrier, self.plug), wired.inputs.get(str(self.socket))
        if into is None:
            raise NotThere(f"There is no socket {self.socket} in this build.")
        half = self.half or best_half(plug.kind, into.socket.kind, wired.eps4_in_eps8)
        answer = fit(plug.kind, half, into.socket.kind, wired.eps4_in_eps8)
        reason = "" if answer.fits else answer.reason
        mated = answer.mated or into.socket.kind
        if reason := reason or why_never(wired, carrier, plug, into, mated):
            raise Refused(reason)
        new = Connection(plug=plug.key, half=half, socket=self.socket)
        if isinstance(carrier, Cable):
            ports = _seat(wired, carrier, self.ports)
            return _plugged(build, carrier.key, new, ports)
        return _plugged(build, carrier.key, new, None)

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"connect {name_of(build, self.cable)}"

    def asks_for(self) -> tuple[str, ...]:
        """Its socket, its plug, and the ports where they are named."""
        ports = (f"port:{p}" for p in self.ports or ())
        return (f"socket:{self.socket}", f"plug:{self.cable}/{self.plug}", *ports)


class Park(EditBase):
    """Pull a plug out of its socket; the cable stays in its ports."""

    type: Literal["park"] = "park"
    cable: Key
    plug: Key

    def apply(self, build: Build) -> Build:
        """With the plug parked."""
        carrier = _carrier(Wired(build), self.cable)
        _plug(carrier, self.plug)

        def left(key: str, connections: Connections) -> Connections:
            return tuple(c for c in connections if key != carrier.key or c.plug != self.plug)

        parked = _each(build, left)
        if parked == build:
            raise Refused(f"Plug {self.plug} of {carrier.name} is parked already.")
        return parked

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"park {name_of(build, self.cable)}"


class PlugIn(EditBase):
    """Put the supply end of a cable into ports, or into others."""

    type: Literal["plug in"] = "plug in"
    cable: Key
    ports: tuple[Key, ...] | None = None

    def apply(self, build: Build) -> Build:
        """With the cable in the ports."""
        cable = cable_of(build, self.cable)
        if not cable.needs:
            raise Refused(f"{cable.name} is fixed to the supply.")
        run = build.run(cable.key)
        ports = _seat(Wired(build), cable, self.ports)
        new = (run or Run(cable=cable.key)).model_copy(update={"ports": ports})
        return remade(build, runs=_ordered(build, [r for r in build.runs if r is not run], new))

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"plug {name_of(build, self.cable)}"


class Unplug(EditBase):
    """Take a cable out, both ends."""

    type: Literal["unplug"] = "unplug"
    cable: Key

    def apply(self, build: Build) -> Build:
        """With the cable in the bag."""
        cable = cable_of(build, self.cable)
        if build.run(cable.key) is None:
            raise Refused(f"{cable.name} is in the bag already.")
        return remade(build, runs=tuple(r for r in build.runs if r.cable != cable.key))

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"unplug {name_of(build, self.cable)}"


class Pin(EditBase):
    """Keep a run as it is when the rest is mapped, or let it go."""

    type: Literal["pin"] = "pin"
    cable: Key
    pinned: bool = True

    def apply(self, build: Build) -> Build:
        """With the run pinned, or not."""
        cable = cable_of(build, self.cable)
        run = build.run(cable.key)
        if run is None:
            raise Refused(f"{cable.name} is in the bag: there is nothing to keep as it is.")
        new = run.model_copy(update={"pinned": self.pinned})
        return remade(build, runs=tuple(new if r is run else r for r in build.runs))

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"{'keep' if self.pinned else 'let go of'} {name_of(build, self.cable)}"


class SwapPlugs(EditBase):
    """Put each of two plugs in use where the other is."""

    type: Literal["swap plugs"] = "swap plugs"
    cable: Key
    plug: Key
    other_cable: Key
    other_plug: Key

    def apply(self, build: Build) -> Build:
        """With the two in each other's sockets."""
        wired = Wired(build)
        one = _in_use(wired, self.cable, self.plug)
        two = _in_use(wired, self.other_cable, self.other_plug)
        allows = wired.eps4_in_eps8
        moved: dict[tuple[str, str], Connection] = {}
        for feed, to in ((one, two), (two, one)):
            half = best_half(feed.plug.kind, to.input.socket.kind, allows)
            answer = fit(feed.plug.kind, half, to.input.socket.kind, allows)
            if not answer.fits:
                raise Refused(answer.reason)
            moved[feed.cable.key, feed.plug.key] = Connection(
                plug=feed.plug.key, half=half, socket=to.input.at
            )

        def swapped(key: str, connections: Connections) -> Connections:
            return tuple(moved.get((key, c.plug), c) for c in connections)

        mapped = _each(build, swapped)
        now = Wired(mapped)
        for run in now.runs:
            if reasons := set(never_allowed(now, run)) - _allowed_before(wired, run.cable.key):
                raise Refused(f"{min(reasons)}.")
        return mapped

    def title(self, build: Build) -> str:
        """Both cables' names."""
        return f"swap {name_of(build, self.cable)} and {name_of(build, self.other_cable)}"

    def asks_for(self) -> tuple[str, ...]:
        """Both plugs."""
        return (f"plug:{self.cable}/{self.plug}", f"plug:{self.other_cable}/{self.other_plug}")


Connections = tuple[Connection, ...]


def _allowed_before(wired: Wired, cable: str) -> set[str]:
    return {r for run in wired.runs if run.cable.key == cable for r in never_allowed(wired, run)}


def _in_use(wired: Wired, cable: str, plug: str) -> Feed:
    carrier = _carrier(wired, cable)
    _plug(carrier, plug)
    feed = wired.in_use.get((cable, plug))
    if feed is None:
        raise Refused(f"Plug {plug} of {carrier.name} is parked: there is nothing to swap.")
    return feed


def _carrier(wired: Wired, key: str) -> Carrier:
    """The cable, adapter, extension or backplane called `key`. Raises NotThere."""
    carrier: Carrier | None = wired.cables.get(key) or wired.betweens.get(key)
    if carrier is None:
        raise NotThere(f"There is no cable {key} in this build.")
    return carrier


def _plug(carrier: Carrier, key: str) -> Plug:
    plug = next((p for p in carrier.plugs if p.key == key), None)
    if plug is None:
        raise NotThere(f"{carrier.name} has no plug {key}.")
    return plug


def _each(build: Build, change: Callable[[str, Connections], Connections]) -> Build:
    """A build with the connections of every run and of all that stands in between made anew, by
    whose they are."""
    runs = [connected(r, change(r.cable, r.connections)) for r in build.runs]
    between: dict[str, Any] = {
        name: tuple(connected(t, change(t.key, t.connections)) for t in getattr(build, name))
        for name in BETWEEN
    }
    fixed = {c.key for c in build.cables if not c.needs}
    # A fixed cable that feeds nothing is not a run: it hangs there anyway.
    kept = tuple(r for r in runs if r.connections or r.cable not in fixed)
    return remade(build, runs=kept, **between)


def _plugged(build: Build, key: str, new: Connection, ports: tuple[str, ...] | None) -> Build:
    """With one more connection of a cable in `ports`, or of something in between (None): what held
    its socket, or that half of its plug, lets go."""

    def others(whose: str, connections: Connections) -> Connections:
        return tuple(
            c
            for c in connections
            if c.socket != new.socket
            and not (whose == key and c.plug == new.plug and _meet(c.half, new.half))
        )

    cleared = _each(build, others)
    if ports is None:
        for name in BETWEEN:
            things = getattr(cleared, name)
            if any(t.key == key for t in things):
                more = tuple(
                    t.model_copy(update={"connections": (*t.connections, new)})
                    if t.key == key
                    else t
                    for t in things
                )
                changed: dict[str, Any] = {name: more}
                return remade(cleared, **changed)
    old = cleared.run(key)
    was = old or Run(cable=key)
    run = was.model_copy(update={"ports": ports or (), "connections": (*was.connections, new)})
    return remade(cleared, runs=_ordered(build, [r for r in cleared.runs if r.cable != key], run))


def _meet(one: Half, two: Half) -> bool:
    return one == two or "whole" in (one, two)


def _seat(wired: Wired, cable: Cable, wanted: tuple[str, ...] | None) -> tuple[str, ...]:
    """The ports that a cable goes into: those wanted, those it is in, or the first free ones."""
    if reason := why_not_here(wired, cable):
        raise Refused(reason)
    run = wired.build.run(cable.key)
    if wanted is not None:
        return _asked_ports(wired, cable, wanted)
    if run is not None:
        return run.ports
    free = free_ports_for(wired, cable)
    if free is None:
        raise Refused(why_no_port(wired, cable))
    return tuple(p.key for p in free)


def _asked_ports(wired: Wired, cable: Cable, wanted: tuple[str, ...]) -> tuple[str, ...]:
    ports = wired.ports
    free = {p.key for p in wired.free_ports(without=cable.key)}
    if len(wanted) != len(cable.needs):
        raise Refused(f"{cable.name} goes into {len(cable.needs)} ports, got {len(wanted)}.")
    for key, need in zip(wanted, cable.needs, strict=True):
        if key not in ports:
            raise NotThere(f"The supply has no port {key}.")
        if not port_takes(ports[key].kind, need):
            raise Refused(
                f"{cable.name} needs a {need} port; {ports[key].label} is {ports[key].kind}, with "
                f"{ports[key].circuits} circuits, {ports[key].pins_12v} of them 12 V."
            )
        if key not in free:
            raise Refused(f"Port {ports[key].label} has a cable in it; 0 of 1 free.")
    return wanted


def _ordered(build: Build, others: list[Run], run: Run) -> tuple[Run, ...]:
    """Runs in the order of the cables, connections in the order of the plugs."""
    cables = {c.key: (i, c) for i, c in enumerate(build.cables)}
    plugs = {p.key: i for i, p in enumerate(cables[run.cable][1].plugs)}
    connections = tuple(sorted(run.connections, key=lambda c: (plugs[c.plug], c.half)))
    run = run.model_copy(update={"connections": connections})
    # A fixed cable that feeds nothing is not a run: it hangs there anyway.
    kept = [r for r in [*others, run] if r.connections or cables[r.cable][1].needs]
    return tuple(sorted(kept, key=lambda r: cables[r.cable][0]))
