"""Pick one end of a connection, and see what fits it and what does not, with the reason."""

from __future__ import annotations

from dataclasses import dataclass

from ..base.errors import NotThere
from ..standards.connectors import CONNECTORS, PLUGS, Half
from ..things.cables import Cable, Plug, SocketRef
from ..things.fits import best_half, fit
from ..things.supply import PORT_WORDS, Port, port_takes
from .between import Between
from .never import why_never
from .wired import Carrier, Input, Wired


@dataclass(frozen=True, slots=True, kw_only=True)
class Offer:
    """One way to go on. `reason` is empty where it fits; `note` says what it would do."""

    cable: str
    cable_name: str
    plug: str
    half: Half
    socket: str
    at: SocketRef
    ports: tuple[str, ...]
    text: str
    note: str
    reason: str
    spare: bool
    #: What it would make of the run: its verdict and worst share; where that is worked out.
    verdict: str = ""
    percent: int | None = None
    refused_by_rule: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Offers:
    """What fits and what is refused, for a picked socket or a picked plug."""

    picked: str
    fitting: tuple[Offer, ...]
    refused: tuple[Offer, ...]


def free_ports_for(wired: Wired, cable: Cable) -> list[Port] | None:
    """Free ports that a cable's supply end goes into, first in panel order; None where short."""
    free = wired.free_ports(without=cable.key)
    chosen: list[Port] = []
    for need in cable.needs:
        # A port made for just this kind goes before one that also takes another.
        exact = [p for p in free if p.kind == need] or [p for p in free if port_takes(p.kind, need)]
        if not exact:
            return None
        chosen.append(exact[0])
        free.remove(exact[0])
    return chosen


def why_no_port(wired: Wired, cable: Cable) -> str:
    """Why a cable can't be plugged into the supply, with counts."""
    left = wired.free_ports(cable.key)
    free = {n: sum(port_takes(p.kind, n) for p in left) for n in cable.needs}
    short = (n for n in cable.needs if free[n] < cable.needs.count(n))
    need = next(short, cable.needs[0])
    have = sum(port_takes(p.kind, need) for p in wired.ports.values())
    words = PORT_WORDS[need]
    if not have:
        return f"It needs {cable.needs.count(need)} {words} port; the supply has none."
    return f"It needs {cable.needs.count(need)} {words} port; {free[need]} of {have} free."


def why_not_here(wired: Wired, cable: Carrier) -> str:
    """Why a cable can't be used with this supply at all; empty where it can."""
    if isinstance(cable, Between):
        return ""
    supply = wired.build.supply
    if supply is None:
        return "There is no supply to plug it into."
    if cable.family != supply.family:
        return (
            f"Pinout family {cable.family}; the supply is {supply.family}. The plug may fit "
            "its ports, the pins behind it differ: never use a cable from another supply unless "
            "its maker states the same pinout."
        )
    return ""


def offers_for_socket(wired: Wired, ref: SocketRef) -> Offers:
    """Every plug of the build against one socket."""
    into = wired.inputs.get(str(ref))
    if into is None:
        raise NotThere(f"There is no socket {ref} in this build.")
    carriers: list[Carrier] = [*wired.cables.values(), *wired.betweens.values()]
    offers = [
        offer
        for cable in carriers
        for plug in cable.plugs
        for offer in _offers(wired, cable, plug, into)
    ]
    return _sorted(wired, wired.words(into.ref), offers)


def offers_for_plug(wired: Wired, cable_key: str, plug_key: str) -> Offers:
    """Every socket of the build against one plug."""
    cable = wired.cables.get(cable_key) or wired.betweens.get(cable_key)
    plug = next((p for p in cable.plugs if p.key == plug_key), None) if cable else None
    if cable is None or plug is None:
        raise NotThere(f"There is no plug {plug_key} on a cable {cable_key} in this build.")
    offers = [o for into in wired.inputs.values() for o in _offers(wired, cable, plug, into)]
    return _sorted(wired, f"{cable.name} · {PLUGS[plug.kind].words}", offers)


def first_offer(wired: Wired, into: Input) -> Offer | None:
    """The first plug that feeds nothing yet and fits an input: in a cable in use, else in one
    from the bag with a free port; None where there is none."""
    kept: Offer | None = None
    for cable in wired.cables.values():
        in_ports = wired.build.run(cable.key) is not None
        for plug in cable.plugs:
            if (cable.key, plug.key) in wired.in_use or (kept and not in_ports):
                continue
            half = best_half(plug.kind, into.socket.kind, wired.eps4_in_eps8)
            if not fit(plug.kind, half, into.socket.kind, wired.eps4_in_eps8).fits:
                continue
            offer = _offer(wired, cable, plug, half, into)
            if offer.reason:
                break
            if not offer.spare:
                return offer
            kept = kept or offer
    return kept


def _sorted(wired: Wired, picked: str, offers: list[Offer]) -> Offers:
    """Plugs that feed nothing before those that would have to move, cables in use before others."""
    fitting = sorted(
        (o for o in offers if not o.reason),
        key=lambda o: ((o.cable, o.plug) in wired.in_use, o.spare),
    )
    return Offers(
        picked=picked, fitting=tuple(fitting), refused=tuple(o for o in offers if o.reason)
    )


def _offers(wired: Wired, cable: Carrier, plug: Plug, into: Input) -> list[Offer]:
    half = best_half(plug.kind, into.socket.kind, wired.eps4_in_eps8)
    offers = [_offer(wired, cable, plug, half, into)]
    if plug.kind == "atx20+4" and into.socket.kind == "eps4":
        offers.append(_offer(wired, cable, plug, "loose", into))
    return offers


def _offer(wired: Wired, cable: Carrier, plug: Plug, half: Half, into: Input) -> Offer:
    answer = fit(plug.kind, half, into.socket.kind, wired.eps4_in_eps8)
    run = wired.build.run(cable.key)
    ports: tuple[str, ...] = run.ports if run else ()
    reason = "" if answer.fits else answer.reason
    mated = answer.mated or into.socket.kind
    reason = reason or why_not_here(wired, cable) or why_never(wired, cable, plug, into, mated)
    if not reason and run is None and isinstance(cable, Cable):
        free = free_ports_for(wired, cable)
        if free is None:
            reason = why_no_port(wired, cable)
        else:
            ports = tuple(p.key for p in free)
    return Offer(
        cable=cable.key,
        cable_name=cable.name,
        plug=plug.key,
        half=half,
        socket=into.ref,
        at=into.at,
        ports=ports,
        text=_text(wired, cable, plug, half, ports),
        note="" if reason else _note(wired, cable, plug, into, answer.warning),
        reason=reason,
        spare=run is None and isinstance(cable, Cable),
    )


def _text(wired: Wired, cable: Carrier, plug: Plug, half: Half, ports: tuple[str, ...]) -> str:
    where = " ".join(wired.ports[k].label if k in wired.ports else k for k in ports)
    shape = PLUGS[plug.kind]
    words = shape.words
    if half == "marked" and shape.marked:
        words = f"{words}, as {CONNECTORS[shape.marked].words}"
    if half == "loose":
        words = shape.loose_words
    several = f" {plug.key}" if len(cable.plugs) > 1 else ""
    return f"{where + ' · ' if where else ''}{cable.name} · {words}{several} at {plug.mm:.0f} mm"


def _note(wired: Wired, cable: Carrier, plug: Plug, into: Input, warning: str) -> str:
    notes = [warning] if warning else []
    feeds = wired.in_use.get((cable.key, plug.key))
    fed_by = wired.feeds.get(into.ref)
    if feeds is not None and feeds.input.ref == into.ref:
        notes.append("It is in this socket now.")
    elif feeds is not None:
        notes.append(f"It feeds {wired.words(feeds.input.ref)} now, and would move.")
    if fed_by is not None and fed_by is not feeds:
        notes.append(f"{fed_by.cable.name} feeds it now, and would park.")
    return " ".join(notes)
