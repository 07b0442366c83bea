"""Pick one end of a connection, and see what fits it and what does not, with the reason."""

from __future__ import annotations

from dataclasses import dataclass

from .build import Build
from .errors import NotThere
from .fits import best_half, fit
from .standards.connectors import CONNECTORS, PLUGS, Half
from .supply import PORT_WORDS, Cable, Plug, Port, SocketRef, port_takes


@dataclass(frozen=True, slots=True)
class Offer:
    """One way to go on. `reason` is empty where it fits; `note` says what it would do."""

    cable: str
    plug: str
    half: Half
    socket: str
    ports: tuple[str, ...]
    text: str
    note: str
    reason: str
    spare: bool


@dataclass(frozen=True, slots=True)
class Offers:
    """What fits and what is refused, for a picked socket or a picked plug."""

    picked: str
    fitting: tuple[Offer, ...]
    refused: tuple[Offer, ...]


def free_ports_for(build: Build, cable: Cable) -> list[Port] | None:
    """Free ports that a cable's supply end goes into, first in panel order; None where short."""
    free = build.free_ports(without=cable.key)
    chosen: list[Port] = []
    for need in cable.needs:
        # A port made for just this kind goes before one that also takes another.
        exact = [p for p in free if p.kind == need] or [p for p in free if port_takes(p.kind, need)]
        if not exact:
            return None
        chosen.append(exact[0])
        free.remove(exact[0])
    return chosen


def why_no_port(build: Build, cable: Cable) -> str:
    """Why a cable can't be plugged into the supply, with counts."""
    need = next(
        (
            n
            for n in cable.needs
            if sum(port_takes(p.kind, n) for p in build.free_ports(cable.key))
            < cable.needs.count(n)
        ),
        cable.needs[0],
    )
    ports = build.supply.ports if build.supply else ()
    have = sum(port_takes(p.kind, need) for p in ports)
    words = PORT_WORDS[need]
    if not have:
        return f"It needs {cable.needs.count(need)} {words} port; the supply has none."
    free = sum(port_takes(p.kind, need) for p in build.free_ports(cable.key))
    return f"It needs {cable.needs.count(need)} {words} port; {free} of {have} free."


def why_not_here(build: Build, cable: Cable) -> str:
    """Why a cable can't be used with this supply at all; empty where it can."""
    if build.supply is None:
        return "There is no supply to plug it into."
    if cable.family != build.supply.family:
        return (
            f"Pinout family {cable.family}; the supply is {build.supply.family}. The plug may fit "
            "its ports, the pins behind it differ: never use a cable from another supply unless "
            "its maker states the same pinout."
        )
    return ""


def offers_for_socket(build: Build, ref: SocketRef) -> Offers:
    """Every plug of the build against one socket."""
    socket = build.socket(ref)
    if socket is None:
        raise NotThere(f"There is no socket {ref} in this build.")
    found = [
        offer
        for cable in build.cables
        for plug in cable.plugs
        for offer in _offers(build, cable, plug, ref)
    ]
    return _sorted(build, build.ref_words(ref), found)


def offers_for_plug(build: Build, cable_key: str, plug_key: str) -> Offers:
    """Every socket of the build against one plug."""
    cable = build.cable(cable_key)
    plug = next((p for p in cable.plugs if p.key == plug_key), None) if cable else None
    if cable is None or plug is None:
        raise NotThere(f"There is no plug {plug_key} on a cable {cable_key} in this build.")
    found = [offer for ref, _ in build.sockets() for offer in _offers(build, cable, plug, ref)]
    return _sorted(build, f"{cable.name} · {PLUGS[plug.kind].words}", found)


def _sorted(build: Build, picked: str, found: list[Offer]) -> Offers:
    """Plugs that feed nothing before those that would have to move, cables in use before others."""
    busy = {(r.cable, c.plug) for r in build.runs for c in r.connections}
    fitting = sorted(
        (o for o in found if not o.reason), key=lambda o: ((o.cable, o.plug) in busy, o.spare)
    )
    return Offers(picked, tuple(fitting), tuple(o for o in found if o.reason))


def _offers(build: Build, cable: Cable, plug: Plug, ref: SocketRef) -> list[Offer]:
    socket = build.socket(ref)
    if socket is None:
        return []
    board = build.board()
    allows = board is not None and board.eps4_in_eps8
    half = best_half(plug.kind, socket.kind, allows)
    found = [_offer(build, cable, plug, half, ref, allows)]
    if plug.kind == "atx20+4" and socket.kind == "eps4":
        found.append(_offer(build, cable, plug, "loose", ref, allows))
    return found


def _offer(
    build: Build, cable: Cable, plug: Plug, half: Half, ref: SocketRef, allows: bool
) -> Offer:
    socket = build.socket(ref)
    answer = fit(plug.kind, half, socket.kind, allows) if socket else None
    run = build.run(cable.key)
    ports: tuple[str, ...] = run.ports if run else ()
    reason = answer.reason if answer and not answer.fits else why_not_here(build, cable)
    if not reason and run is None:
        free = free_ports_for(build, cable)
        if free is None:
            reason = why_no_port(build, cable)
        else:
            ports = tuple(p.key for p in free)
    return Offer(
        cable.key, plug.key, half, str(ref), ports,
        _text(build, cable, plug, half, ports),
        "" if reason else _note(build, cable, plug, ref, answer.warning if answer else ""),
        reason, run is None,
    )  # fmt: skip


def _text(build: Build, cable: Cable, plug: Plug, half: Half, ports: tuple[str, ...]) -> str:
    by_key = {p.key: p.label for p in build.supply.ports} if build.supply else {}
    where = " ".join(by_key.get(k, k) for k in ports)
    shape = PLUGS[plug.kind]
    words = shape.words
    if half == "marked" and shape.marked:
        words = f"{words}, as {CONNECTORS[shape.marked].words}"
    if half == "loose":
        words = shape.loose_words
    several = f" {plug.key}" if len(cable.plugs) > 1 else ""
    return f"{where + ' · ' if where else ''}{cable.name} · {words}{several} at {plug.at_mm:.0f} mm"


def _note(build: Build, cable: Cable, plug: Plug, ref: SocketRef, warning: str) -> str:
    notes = [warning] if warning else []
    for run in build.runs:
        for c in run.connections:
            if run.cable == cable.key and c.plug == plug.key:
                if c.socket == ref:
                    notes.append("It is in this socket now.")
                else:
                    notes.append(f"It feeds {build.ref_words(c.socket)} now, and would move.")
            elif c.socket == ref:
                other = build.cable(run.cable)
                notes.append(f"{other.name if other else run.cable} feeds it now, and would park.")
    return " ".join(notes)
