"""What comes through the board: its main plug's pins, slots, headers, and hubs' outputs.

Judged before any cable is laid: a main socket without a plug is taken to get a standard one of
18 AWG. Slot limits: PCI Express CEM. Header limits: the board's or the hub's maker.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from .build import Build
from .demand import Demand, main_socket, run_amps, source_of
from .fits import fit
from .loads import Load
from .parts import ON_HEADER, Board, Card, Header, Hub, Part, Socket
from .quantities import NO_SERIES, NO_TALLY, RAIL_V, RUN_STATES, STATES, Series, add, scale
from .ratings.elements import GROUND, Flow, Line, plug_pins
from .ratings.verdicts import WITHIN_GRANT, WITHIN_RATING, Judgement, judge
from .standards.connectors import SLOT_W, PlugKind
from .supply import Cable, Plug


@dataclass(frozen=True, slots=True)
class BoardElement:
    """One limit on the way through the board: `part` and `field` lead to what sets it; `at` is
    the header or slot; `causes` name the parts that draw the most there."""

    kind: Literal["main plug pins", "slot", "header"]
    line: Line
    at: str
    judged: Judgement
    unit: Literal["A", "W"]
    part: str
    field: str
    causes: tuple[str, ...] = ()


def through_board(
    build: Build, loads: tuple[Load, ...], carried: dict[str, Demand]
) -> tuple[BoardElement, ...]:
    """Every limit between the board's main plug and what hangs on the board."""
    board = build.board()
    found: list[BoardElement] = []
    if board is None or main_socket(board) is None:
        found += _nothing_feeds(build, board, loads)
    if board is not None:
        found += _main_plug(build, board, loads, carried)
        found += _slots(build, loads)
    found += _headers(build, loads)
    return tuple(found)


def _main_plug(
    build: Build, board: Board, loads: tuple[Load, ...], carried: dict[str, Demand]
) -> Iterator[BoardElement]:
    """Amperes a pin of the main plug on every line; of standby asleep too."""
    main = main_socket(board)
    demand = main and carried.get(f"{board.key}#1/{main.key}")
    if main is None or not demand:
        return
    plug, cable, mated = _plug_in(build, board, main)
    awake, standby = Flow(), Flow()
    awake.add(demand.amps, demand.missing)
    series = _standby_amps(loads)
    standby.add({"v5sb": series[: 3 * len(RUN_STATES)]}, demand.missing & {"v5sb"})
    parts = {p.key: p for p in build.parts}
    own = [x for x in loads if x.feed != "processor" and source_of(x, parts) is None]
    for flow, lines in ((awake, ("v12", "v5", "v3v3", "ground")), (standby, ("v5sb",))):
        for e in plug_pins(plug, mated, main, cable, flow, build.assumptions):
            if e.line not in lines:
                continue
            causes = [x for x in own if e.line in (x.rail, GROUND)]
            judged = e.judged
            if e.line == "v5sb":
                judged = judge(series, judged.rated, WITHIN_RATING, states=STATES)
            yield BoardElement(
                "main plug pins", e.line, main.key, judged, "A", board.key, "sockets",
                _largest(build, causes),
            )  # fmt: skip


def _nothing_feeds(
    build: Build, board: Board | None, loads: tuple[Load, ...]
) -> Iterator[BoardElement]:
    """What comes through a board that is not there, or has no main socket: unknown, not fine."""
    parts = {p.key: p for p in build.parts}
    own = [
        x for x in loads if source_of(x, parts) is None and (board is None or x.feed != "processor")
    ]
    if not own:
        return
    series = NO_SERIES
    for load in own:
        if load.rail == "v12":
            series = add(series, scale(run_amps(load), load.count))
    yield BoardElement(
        "main plug pins", "v12", "", judge(series, None, WITHIN_RATING), "A",
        board.key if board else "", "sockets" if board else "", _largest(build, own),
    )  # fmt: skip


def _plug_in(build: Build, board: Board, main: Socket) -> tuple[Plug, Cable, str]:
    """The plug in the main socket, or a standard one of 18 AWG where there is none yet."""
    for run in build.runs:
        for c in run.connections:
            if c.socket.part == board.key and c.socket.socket == main.key:
                cable = next(x for x in build.cables if x.key == run.cable)
                plug = next(x for x in cable.plugs if x.key == c.plug)
                return plug, cable, fit(plug.kind, c.half, main.kind).mated or main.kind
    kind: PlugKind = "atx24" if main.kind == "atx24" else "atx20"
    plug = Plug(key="main", kind=kind, at_mm=600)
    return plug, Cable(key="usual", name="usual", family="usual", plugs=(plug,)), main.kind


def _standby_amps(loads: tuple[Load, ...]) -> Series:
    """Amperes [A] at 5 V standby in every state of the tally, sleep first."""
    amps = NO_TALLY
    for load in loads:
        if load.rail == "v5sb":
            watts = tuple(w * load.count for span in load.spans[: len(STATES)] for w in span)
            amps = add(amps, scale(watts, 1 / RAIL_V["v5sb"]))
    return amps


def _slots(build: Build, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """Each card's slot at 12 V and in all."""
    for part in build.parts:
        if not isinstance(part, Card):
            continue
        own = [x for x in loads if x.part == part.key and x.feed == "slot"]
        missing = any(x.missing for x in own)
        v12 = _watts([x for x in own if x.rail == "v12"])
        most_12v, _, most = SLOT_W[build.lanes_of(part)]
        for series, limit, line in ((v12, most_12v, "v12"), (_watts(own), most, "ground")):
            judged = judge(series, limit, WITHIN_GRANT, missing=missing)
            if line == "v12" or judged.verdict == "over":
                yield BoardElement(
                    "slot", "v12", part.slot or "", judged, "W", part.key, "slot_w", (part.name,)
                )


def _watts(loads: list[Load]) -> Series:
    total = NO_SERIES
    for load in loads:
        total = add(total, scale(run_amps(load), RAIL_V[load.rail]))
    return total


def _headers(build: Build, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """Amperes on every header of the board and of hubs, against its own limit."""
    drawn: dict[tuple[str, str], Series] = {}
    causes: dict[tuple[str, str], list[Load]] = {}
    limits: dict[tuple[str, str], Header] = {}
    through = _hub_loads(build, loads)
    board = build.board()
    for part in build.parts:
        if not isinstance(part, ON_HEADER) or part.sockets:
            continue
        owner = part.on or (board.key if board else "")
        outputs = build.outputs_for(part)
        own = [x for x in loads if x.part == part.key] + through.get(part.key, [])
        if not outputs:
            yield _no_header(part, own)
            continue
        limits |= {(owner, h.key): h for h in outputs}
        for instance in range(part.count):
            at = (owner, outputs[instance % len(outputs)].key)
            for load in own:
                times = 1 if load.part == part.key else load.count
                drawn[at] = add(drawn.get(at, NO_SERIES), scale(run_amps(load), times))
            causes.setdefault(at, []).extend(own)
    for at, series in drawn.items():
        header = limits[at]
        limit = header.limit_a.likely if header.limit_a else None
        line: Line = "v5" if header.kind == "lights-5v" else "v12"
        field = "headers" if isinstance(build.part(at[0]), Board) else "outputs"
        yield BoardElement(
            "header", line, at[1], judge(series, limit, WITHIN_GRANT), "A", at[0], field,
            _largest(build, causes[at]),
        )  # fmt: skip


def _no_header(part: Part, own: list[Load]) -> BoardElement:
    """Nothing is known to feed it: that is unknown, not fine."""
    series = NO_SERIES
    for load in own:
        series = add(series, scale(run_amps(load), load.count))
    judged = judge(series, None, WITHIN_GRANT)
    line: Line = "v5" if any(x.rail == "v5" for x in own) else "v12"
    return BoardElement("header", line, "", judged, "A", part.key, "headers", (part.name,))


def _hub_loads(build: Build, loads: tuple[Load, ...]) -> dict[str, list[Load]]:
    """What hangs on each hub, hubs on hubs included."""
    parts: dict[str, Part] = {p.key: p for p in build.parts}
    found: dict[str, list[Load]] = {}
    for load in loads:
        at = load.via
        while at is not None:
            found.setdefault(at, []).append(load)
            hub = parts.get(at)
            at = hub.on if isinstance(hub, Hub) and not hub.sockets else None
    return found


def _largest(build: Build, loads: list[Load]) -> tuple[str, ...]:
    """Names of the parts that draw the most, at most three."""
    by_part: dict[str, float] = {}
    for load in loads:
        watts = max(s.likely for s in load.spans) * load.count
        by_part[load.part] = by_part.get(load.part, 0.0) + watts
    ranked = sorted(by_part, key=lambda k: -by_part[k])
    return tuple(p.name for k in ranked[:3] if (p := build.part(k)) is not None and by_part[k] > 0)
