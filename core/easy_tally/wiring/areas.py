"""Where in a case each socket lies, as a cable is routed to it."""

from __future__ import annotations

from ..standards.connectors import SocketKind, is_of
from ..things.case import Area
from ..things.parts import Board, Card, Drive
from .wired import Input, Owner, Wired

#: Slack that a plug takes at its socket [mm]. Source: assumption.
SLACK_MM = 40.0


def area_of(part: Owner, kind: SocketKind) -> Area:
    """Where in the case a socket lies."""
    if isinstance(part, Board):
        if is_of(kind, "main"):
            return "main plug"
        return "processor" if is_of(kind, "processor") else "board extra"
    if isinstance(part, Card):
        return "card"
    if isinstance(part, Drive):
        return {
            "3.5": "3.5-inch bays",
            "2.5": "2.5-inch places",
            "optical": "optical bay",
            "floppy": "3.5-inch bays",
        }[part.form]  # type: ignore[return-value]
    return "fans and hubs"


def place_of(into: Input) -> Area | None:
    """Where an input lies; None of a lead that hangs wherever its cable ends."""
    if into.between is None:
        return area_of(into.part, into.socket.kind)
    return "3.5-inch bays" if into.between.is_backplane else None


def drive_places(wired: Wired, into: Input) -> tuple[str, ...]:
    """Where the drives lie that are fed by an input, one for each: in an area, or in a backplane by
    its key."""
    if into.between is not None:
        b = into.between
        places = [p for f in wired.onward(into) for p in drive_places(wired, f.input)]
        return (b.key,) * len(places) if b.is_backplane else tuple(places)
    return (area_of(into.part, into.socket.kind),) if isinstance(into.part, Drive) else ()
