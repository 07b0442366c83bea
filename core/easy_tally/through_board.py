"""What comes through the board: its main plug's pins, slots, headers, and hubs' outputs.

Judged before any cable is laid: a main socket without a plug is taken to get a standard one of
18 AWG. Slot limits: PCI Express CEM. Header limits: the board's or the hub's maker.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from .build import Build
from .demand import demands, main_socket, run_amps
from .loads import Load
from .parts import ON_HEADER, Board, Card, Header, Hub, Part
from .quantities import NO_SERIES, Series, add, scale
from .ratings.check import RunResult
from .ratings.elements import Flow, Line, plug_pins
from .ratings.verdicts import WITHIN_GRANT, Judgement, judge
from .standards.connectors import SLOT_W
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
    build: Build, loads: tuple[Load, ...], runs: tuple[RunResult, ...]
) -> tuple[BoardElement, ...]:
    """Every limit between the board's main plug and what hangs on the board."""
    board = build.board()
    found: list[BoardElement] = []
    if board is not None:
        found += _main_plug(build, board, loads, runs)
        found += _slots(build, loads)
    found += _headers(build, loads)
    return tuple(found)


def _main_plug(
    build: Build, board: Board, loads: tuple[Load, ...], runs: tuple[RunResult, ...]
) -> Iterator[BoardElement]:
    main = main_socket(board)
    if main is None:
        return
    ref = f"{board.key}#1/{main.key}"
    causes = _largest(build, [x for x in loads if x.feed in ("board", "slot", "header")])
    for run in runs:
        for use in run.plugs:
            if use.connection is not None and str(use.connection.socket) == ref:
                for e in run.elements:
                    if e.kind == "plug pins" and e.at == use.plug.key:
                        yield BoardElement(
                            "main plug pins", e.line, main.key, e.judged, "A",
                            board.key, "sockets", causes,
                        )  # fmt: skip
                return
    demand = demands(build, loads).get(ref)
    if demand is None:
        return
    flow = Flow()
    flow.add(demand.amps, demand.missing)
    kind = "atx24" if main.kind == "atx24" else "atx20"
    plug = Plug(key="main", kind=kind, at_mm=600)  # type: ignore[arg-type]
    cable = Cable(key="usual", name="usual", family="usual", plugs=(plug,))
    for e in plug_pins(plug, main.kind, main, cable, flow, build.assumptions):
        yield BoardElement(
            "main plug pins", e.line, main.key, e.judged, "A", board.key, "sockets", causes
        )


def _slots(build: Build, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """Each card's slot at 12 V and in all."""
    for part in build.parts:
        if not isinstance(part, Card):
            continue
        own = [x for x in loads if x.part == part.key and x.feed == "slot"]
        missing = any(x.missing for x in own)
        v12 = _watts([x for x in own if x.rail == "v12"])
        most_12v, _, most = SLOT_W[part.lanes]
        for series, limit, line in ((v12, most_12v, "v12"), (_watts(own), most, "ground")):
            judged = judge(series, limit, WITHIN_GRANT, missing=missing)
            if line == "v12" or judged.verdict == "over":
                yield BoardElement(
                    "slot", "v12", part.key, judged, "W", part.key, "slot_w", (part.name,)
                )


def _watts(loads: list[Load]) -> Series:
    total = NO_SERIES
    for load in loads:
        total = add(total, scale(run_amps(load), {"v12": 12.0, "v3v3": 3.3}.get(load.rail, 5.0)))
    return total


def _headers(build: Build, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """Amperes on every header of the board and of hubs, against its own limit."""
    drawn: dict[tuple[str, str], Series] = {}
    causes: dict[tuple[str, str], list[Load]] = {}
    limits: dict[tuple[str, str], Header] = {}
    for owner in build.parts:
        outputs = owner.headers if isinstance(owner, Board) else ()
        if isinstance(owner, Hub):
            outputs = owner.outputs
        limits |= {(owner.key, h.key): h for h in outputs}
    through = _hub_loads(build, loads)
    for part in build.parts:
        if not isinstance(part, ON_HEADER) or part.sockets:
            continue
        owner_key = part.on or (b.key if (b := build.board()) else "")
        keys = part.headers or tuple(k for o, k in limits if o == owner_key)
        own = [x for x in loads if x.part == part.key] + through.get(part.key, [])
        if not keys:
            # Nothing is known to feed it: that is unknown, not fine.
            series = NO_SERIES
            for load in own:
                series = add(series, scale(run_amps(load), load.count))
            yield BoardElement(
                "header", "v12", "not there", judge(series, None, WITHIN_GRANT), "A",
                part.key, "headers", (part.name,),
            )  # fmt: skip
        for instance in range(part.count if keys else 0):
            at = (owner_key, keys[instance % len(keys)])
            for load in own:
                times = 1 if load.part == part.key else load.count
                drawn[at] = add(drawn.get(at, NO_SERIES), scale(run_amps(load), times))
            causes.setdefault(at, []).extend(own)
    for at, series in drawn.items():
        limit = limits[at].limit_a
        judged = judge(series, limit.likely if limit else None, WITHIN_GRANT)
        field = "headers" if isinstance(build.part(at[0]), Board) else "outputs"
        yield BoardElement(
            "header", "v12", at[1], judged, "A", at[0], field, _largest(build, causes[at])
        )


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
        watts = load.spans.full.likely * load.count
        by_part[load.part] = by_part.get(load.part, 0.0) + watts
    ranked = sorted(by_part, key=lambda k: -by_part[k])
    return tuple(p.name for k in ranked[:3] if (p := build.part(k)) is not None and by_part[k] > 0)
