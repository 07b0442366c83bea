"""Edits of the map: plugs into sockets, cables into ports, and out again."""

from __future__ import annotations

from typing import Literal

from ..base.declared import Key
from ..base.errors import NotThere, Refused
from ..standards.connectors import Half
from ..things.build import Build
from ..things.cables import Cable, Connection, Plug, Run, SocketRef
from ..things.fits import best_half, fit
from ..things.supply import port_takes
from ..wiring import Wired
from ..wiring.offers import free_ports_for, why_no_port, why_not_here
from .base import EditBase
from .cables import cable_of, name_of
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
        cable = cable_of(build, self.cable)
        plug, into = _plug(cable, self.plug), wired.inputs.get(str(self.socket))
        if into is None:
            raise NotThere(f"There is no socket {self.socket} in this build.")
        allows = wired.eps4_in_eps8
        half = self.half or best_half(plug.kind, into.socket.kind, allows)
        answer = fit(plug.kind, half, into.socket.kind, allows)
        if not answer.fits:
            raise Refused(answer.reason)
        ports = _seat(wired, cable, self.ports)
        cleared = [_without(r, cable, plug, self.socket) for r in build.runs]
        new = Connection(plug=plug.key, half=half, socket=self.socket)
        old = next((r for r in cleared if r.cable == cable.key), None)
        connections = (*(old.connections if old else ()), new)
        run = Run(cable=cable.key, ports=ports, connections=connections)
        others = [r for r in cleared if r.cable != cable.key]
        return remade(build, runs=_ordered(build, others, run))

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
        cable = cable_of(build, self.cable)
        _plug(cable, self.plug)
        run = build.run(cable.key)
        if run is None or all(c.plug != self.plug for c in run.connections):
            raise Refused(f"Plug {self.plug} of {cable.name} is parked already.")
        left = tuple(c for c in run.connections if c.plug != self.plug)
        others = [r for r in build.runs if r.cable != cable.key]
        parked = run.model_copy(update={"connections": left})
        return remade(build, runs=_ordered(build, others, parked))

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
        new = Run(cable=cable.key, ports=ports, connections=run.connections if run else ())
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


def _plug(cable: Cable, key: str) -> Plug:
    plug = next((p for p in cable.plugs if p.key == key), None)
    if plug is None:
        raise NotThere(f"{cable.name} has no plug {key}.")
    return plug


def _without(run: Run, cable: Cable, plug: Plug, socket: SocketRef) -> Run:
    """A run without what holds a socket, and without the use of one plug."""
    left = tuple(
        c
        for c in run.connections
        if c.socket != socket and not (run.cable == cable.key and c.plug == plug.key)
    )
    return run.model_copy(update={"connections": left})


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
    connections = tuple(sorted(run.connections, key=lambda c: plugs[c.plug]))
    run = run.model_copy(update={"connections": connections})
    # A fixed cable that feeds nothing is not a run: it hangs there anyway.
    kept = [r for r in [*others, run] if r.connections or cables[r.cable][1].needs]
    return tuple(sorted(kept, key=lambda r: cables[r.cable][0]))
