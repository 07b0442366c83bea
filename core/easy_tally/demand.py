"""What each socket carries, given what is connected.

Before a map exists, and for whatever is not connected yet, the required sockets are assumed.
"""

from __future__ import annotations

from dataclasses import dataclass, field

from .build import Build
from .fits import fit
from .loads import Load, PerState
from .parts import Board, Card, Hub, Part, Socket
from .quantities import RAIL_V, Rail, Series, add, scale
from .standards.connectors import CONNECTORS, pins
from .supply import SocketRef

#: Rails that are judged on plugs and wires.
RUN_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb")

#: States in which a run is judged, as places in `PerState`: at full the processor is at its
#: short limit, since that lasts tens of seconds.
_PLACES = tuple(PerState._fields.index(s) for s in ("idle", "everyday", "short", "start"))


@dataclass(slots=True)
class Demand:
    """Amperes [A] per rail in the four run states, and the rails on which a figure is missing."""

    amps: dict[Rail, Series] = field(default_factory=dict)
    missing: set[Rail] = field(default_factory=set)
    #: What spinning up adds at start, where disks start one after another.
    surge: dict[Rail, Series] = field(default_factory=dict)

    def add(self, rail: Rail, amps: Series, missing: bool) -> None:
        """Add amperes on one rail."""
        if missing:
            self.missing.add(rail)
        old = self.amps.get(rail)
        self.amps[rail] = amps if old is None else add(old, amps)


def source_of(load: Load, parts: dict[str, Part]) -> Part | None:
    """The part whose own sockets a load comes through: itself, or the hub at the end of its
    chain of hubs; None where it comes through the board."""
    if load.feed == "own":
        return parts[load.part]
    hub = parts.get(load.via) if load.via else None
    while isinstance(hub, Hub) and not hub.sockets and hub.on:
        hub = parts.get(hub.on)
    return hub if isinstance(hub, Hub) and hub.sockets else None


def run_amps(load: Load) -> Series:
    """Amperes [A] of one instance of a load in the four run states."""
    volts = RAIL_V[load.rail]
    return tuple([w / volts for i in _PLACES for w in load.spans[i]])


def main_socket(board: Board) -> Socket | None:
    """The board's main power socket."""
    return next((s for s in board.sockets if s.kind in ("atx24", "atx20")), None)


def pins_12v(socket: Socket, mated: str | None = None) -> int:
    """12 V pins in use in a socket, by the pin-out of what is plugged in where that is known."""
    usual = pins(mated or socket.kind, "v12")
    return usual if socket.pins_12v is None else min(usual, socket.pins_12v)


def demands(build: Build, loads: tuple[Load, ...]) -> dict[str, Demand]:
    """Demand of every socket that carries load, by the text of its `SocketRef`."""
    mated = _mated(build)
    board = build.board()
    found: dict[str, Demand] = {}
    by_part = {p.key: p for p in build.parts}
    slot_feeds = _slot_feeds(build)
    for load in loads:
        if load.rail not in RUN_RAILS:
            continue  # the negative rails: judged on the supply
        amps = run_amps(load)
        source = source_of(load, by_part)
        if source is not None and source.key != load.part:
            # Through a hub: all of it by the first instance's plug.
            weights = _own_weights(source.key, 1, source.sockets, mated)
            _spread(found, load, scale(amps, load.count), weights)
        elif source is not None:
            part = by_part[load.part]
            for instance in range(1, load.count + 1):
                weights = _own_weights(load.part, instance, part.sockets, mated)
                _spread(found, load, amps, weights)
                if load.surge.high > 0 and weights:
                    # A disk has one plug; where it has more, the first is taken for all.
                    surge = (*[0.0] * 9, *(w / RAIL_V[load.rail] for w in load.surge))
                    found[next(iter(weights))].surge[load.rail] = surge
        elif board is not None:
            weights = _board_weights(board, load, mated, slot_feeds.get(load.part))
            _spread(found, load, scale(amps, load.count), weights)
    return found


def _spread(found: dict[str, Demand], load: Load, amps: Series, weights: dict[str, float]) -> None:
    whole = sum(weights.values())
    for ref, weight in weights.items():
        part = amps if weight == whole else scale(amps, weight / whole)
        found.setdefault(ref, Demand()).add(load.rail, part, load.missing)


def _mated(build: Build) -> dict[str, str]:
    """Pin-out in use of each connected socket."""
    cables = {c.key: c for c in build.cables}
    board = build.board()
    allows = board is not None and board.eps4_in_eps8
    sockets = {str(ref): s for ref, s in build.sockets()} if build.runs else {}
    found: dict[str, str] = {}
    for run in build.runs:
        plugs = {p.key: p for p in cables[run.cable].plugs}
        for c in run.connections:
            socket = sockets.get(str(c.socket))
            if socket is not None:
                answer = fit(plugs[c.plug].kind, c.half, socket.kind, allows)
                found[str(c.socket)] = answer.mated or socket.kind
    return found


def _own_weights(
    part: str, instance: int, sockets: tuple[Socket, ...], mated: dict[str, str]
) -> dict[str, float]:
    """A part's own sockets by what the standard grants each."""
    counted = [
        (ref, s) for s in sockets if (ref := f"{part}#{instance}/{s.key}") in mated or s.required
    ] or [(f"{part}#{instance}/{s.key}", s) for s in sockets[:1]]
    return {ref: CONNECTORS[s.kind].grant_w or 1.0 for ref, s in counted}


def _slot_feeds(build: Build) -> dict[str, str]:
    """Key of the board's socket that feeds a card's slot at 12 V, where the manual says so."""
    cards = [p for p in build.parts if isinstance(p, Card)]
    slots = {c.key: build.slot_of(c) for c in cards}
    return {key: s.fed_by for key, s in slots.items() if s is not None and s.fed_by is not None}


def needed_sockets(build: Build) -> set[str]:
    """Sockets that have to be fed: those required, and those that feed a slot with a card in it."""
    board = build.board()
    fed = {f"{board.key}#1/{s}" for s in _slot_feeds(build).values()} if board else set()
    return fed | {str(ref) for ref, s in build.sockets() if s.required}


def _board_weights(
    board: Board, load: Load, mated: dict[str, str], slot_fed_by: str | None = None
) -> dict[str, float]:
    """The board's sockets that a load comes through, by their 12 V pins."""
    refs = {f"{board.key}#1/{s.key}": s for s in board.sockets}
    if load.feed == "processor":
        of_kind = {r: s for r, s in refs.items() if s.kind in ("eps8", "eps4")}
        chosen = (
            {r: s for r, s in of_kind.items() if r in mated}
            or {r: s for r, s in of_kind.items() if s.required}
            or of_kind
        )
        return {r: float(pins_12v(s, mated.get(r))) for r, s in chosen.items()}
    main = main_socket(board)
    if main is None:
        return {}
    main_ref = f"{board.key}#1/{main.key}"
    weights = {main_ref: float(pins_12v(main, mated.get(main_ref)))}
    if load.feed == "slot" and load.rail == "v12" and slot_fed_by is not None:
        return {f"{board.key}#1/{slot_fed_by}": 1.0}
    if load.feed == "slot" and load.rail == "v12":
        # Board extras share what the slots draw, by pins, unless the manual says otherwise.
        weights |= {
            r: float(pins_12v(s, mated[r]))
            for r, s in refs.items()
            if r in mated and s.kind in ("pcie8", "pcie6", "sata", "per4")
        }
    return weights


def ref_of(text: str) -> SocketRef:
    """The `SocketRef` that a text names. Raises ValueError where it is none."""
    part, _, rest = text.partition("#")
    instance, _, socket = rest.partition("/")
    return SocketRef(part=part, instance=int(instance), socket=socket)
