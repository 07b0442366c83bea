"""What comes through the board: its main plug's pins, slots, headers, and hubs' outputs.

Judged before any cable is laid: a main socket without a plug is taken to get a standard one of
18 AWG. Slot limits: PCI Express CEM. Header limits: the board's or the hub's maker.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Literal

from ..base.series import NO_SERIES, NO_TALLY, Series, add, scale
from ..base.units import GROUND, RAIL_V, TALLY_STATES, Line
from ..standards.connectors import PINS, PLUG_OF, SLOT_W, PlugKind
from ..standards.margins import WITHIN_GRANT, WITHIN_RATING
from ..tally.demand import Carried
from ..tally.loads import Load
from ..things.cables import Cable, Plug
from ..things.parts import ON_HEADER, Board, Card, Header, OnHeader, Part
from ..wiring import Carrier, Feed, Input, Wired
from .elements import plug_pins
from .flows import Flow
from .limits import UNKNOWN, Limit
from .verdicts import Judgement, judge


@dataclass(frozen=True, slots=True, kw_only=True)
class BoardElement:
    """One limit on the way through the board: `part` and `field` lead to what sets it; `at` is
    the header or slot; `causes` name the parts that draw the most there."""

    kind: Literal["main plug pins", "slot", "header", "not worked out"]
    line: Line
    at: str
    judged: Judgement
    unit: Literal["A", "W"]
    part: str
    field: str
    causes: tuple[str, ...] = ()


def through_board(
    wired: Wired, loads: tuple[Load, ...], carried: Carried
) -> tuple[BoardElement, ...]:
    """Every limit between the board's main plug and what hangs on the board."""
    board_elements: list[BoardElement] = []
    if wired.main is None:
        board_elements += _nothing_feeds(wired, loads)
    else:
        board_elements += _main_plug(wired, wired.main, loads, carried)
    if wired.board is not None:
        board_elements += _slots(wired, loads)
    board_elements += _headers(wired, loads)
    return tuple(board_elements)


def by_board(load: Load, wired: Wired) -> bool:
    """Whether a load comes through the board's main plug, or would if it had one."""
    if load.feed == "processor":
        return wired.board is None
    if load.feed == "header":
        return wired.source_of(wired.parts[load.part]) is None
    return load.feed in ("slot", "board")


def _main_plug(
    wired: Wired, main: Input, loads: tuple[Load, ...], carried: Carried
) -> tuple[BoardElement, ...]:
    """Amperes a pin of the main plug on every line; of standby asleep too."""
    demand = carried.by_input.get(main.ref)
    if demand is None:
        return ()
    board_elements = []
    plug, cable, mated, pins = _plug_in(wired, main)
    awake, standby = Flow(), Flow()
    awake.add(demand.amps, demand.missing)
    series = _standby_amps(loads)
    standby.add({"v5sb": series[: len(NO_SERIES)]}, demand.missing & {"v5sb"})
    own = [x for x in loads if by_board(x, wired)]
    for flow, lines in ((awake, ("v12", "v5", "v3v3", "ground")), (standby, ("v5sb",))):
        for e in plug_pins(plug, mated, pins, cable, flow, wired.build.assumptions):
            if e.line not in lines:
                continue
            causes = [x for x in own if e.line in (x.rail, GROUND)]
            judged = e.judged
            if e.line == "v5sb":
                judged = judge(series, Limit(judged.rated), WITHIN_RATING, states=TALLY_STATES)
            board_elements.append(
                BoardElement(
                    kind="main plug pins",
                    line=e.line,
                    at=main.at.socket,
                    judged=judged,
                    unit="A",
                    part=main.part.key,
                    field="sockets",
                    causes=_largest(wired, causes),
                )
            )
    return tuple(board_elements)


def _nothing_feeds(wired: Wired, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """What comes through a board that is not there, or has no main socket: unknown, not fine."""
    own = [x for x in loads if by_board(x, wired)]
    if not own:
        return
    series = NO_SERIES
    for load in own:
        if load.rail == "v12":
            series = add(series, scale(load.run_amps(), load.count))
    board = wired.board
    yield BoardElement(
        kind="main plug pins",
        line="v12",
        at="",
        judged=judge(series, UNKNOWN, WITHIN_RATING),
        unit="A",
        part=board.key if board else "",
        field="sockets" if board else "",
        causes=_largest(wired, own),
    )


def _plug_in(wired: Wired, main: Input) -> tuple[Plug, Carrier, str, dict[str, int]]:
    """The plug in the main socket, or a standard one of 18 AWG where there is none yet."""
    feed: Feed | None = wired.feeds.get(main.ref)
    if feed is not None:
        return feed.plug, feed.cable, feed.mated, dict(feed.pins)
    kind: PlugKind = PLUG_OF[main.socket.kind]
    plug = Plug(key="main", kind=kind, at_mm=600, grade="standard")
    cable = Cable(key="usual", name="usual", family="usual", gauge=18, plugs=(plug,))
    return plug, cable, kind, PINS[kind] | {"v12": wired.pins_12v(main)}


def _standby_amps(loads: Iterable[Load]) -> Series:
    """Amperes [A] at 5 V standby in every state of the tally, sleep first."""
    amps = NO_TALLY
    for load in loads:
        if load.rail == "v5sb":
            amps = add(amps, scale(load.spans.series(load.count), 1 / RAIL_V["v5sb"]))
    return amps


def _slots(wired: Wired, loads: tuple[Load, ...]) -> Iterator[BoardElement]:
    """Each card's slot at 12 V and in all."""
    for part in wired.build.parts:
        if not isinstance(part, Card):
            continue
        own = [x for x in loads if x.part == part.key and x.feed == "slot"]
        most_12v, _, most = SLOT_W[wired.lanes_of(part)]
        # Instances whose sockets are fed otherwise take otherwise from their slots.
        for instances in dict.fromkeys(x.instances for x in own):
            alike = [x for x in own if x.instances == instances]
            missing = any(x.missing for x in alike)
            v12 = _watts([x for x in alike if x.rail == "v12"])
            for series, limit, always in ((v12, most_12v, True), (_watts(alike), most, False)):
                judged = judge(series, Limit(limit), WITHIN_GRANT, missing)
                if always or judged.verdict == "over":
                    yield BoardElement(
                        kind="slot",
                        line="v12",
                        at=part.slot or "",
                        judged=judged,
                        unit="W",
                        part=part.key,
                        field="slot_w",
                        causes=(part.name,),
                    )


def _watts(loads: list[Load]) -> Series:
    total = NO_SERIES
    for load in loads:
        total = add(total, scale(load.run_amps(), RAIL_V[load.rail]))
    return total


def _headers(wired: Wired, loads: tuple[Load, ...]) -> tuple[BoardElement, ...]:
    """Amperes on every header of the board and of hubs, against its own limit."""
    parts = [p for p in wired.build.parts if isinstance(p, ON_HEADER)]
    keys = {p.key for p in parts}
    return _each_header(wired, parts, [x for x in loads if x.part in keys])


def _each_header(
    wired: Wired, parts: list[OnHeader], loads: list[Load]
) -> tuple[BoardElement, ...]:
    drawn: dict[tuple[str, str], Series] = {}
    causes: dict[tuple[str, str], list[Load]] = {}
    limits: dict[tuple[str, str], Header] = {}
    board_elements: list[BoardElement] = []
    through = _hub_loads(wired, loads)
    for part in parts:
        if part.sockets:
            continue
        owner = part.on or (wired.board.key if wired.board else "")
        outputs = wired.headers_for(part)
        own = [x for x in loads if x.part == part.key] + through.get(part.key, [])
        if not outputs:
            board_elements.append(_no_header(part, own))
            continue
        limits |= {(owner, h.key): h for h in outputs}
        for instance in range(part.count):
            at = (owner, wired.hung[part.key][instance].key)
            for load in own:
                times = 1 if load.part == part.key else load.count
                drawn[at] = add(drawn.get(at, NO_SERIES), scale(load.run_amps(), times))
            causes.setdefault(at, []).extend(own)
    for at, series in drawn.items():
        header = limits[at]
        limit = header.limit_a.likely if header.limit_a else None
        line: Line = "v5" if header.kind == "lights-5v" else "v12"
        board_elements.append(
            BoardElement(
                kind="header",
                line=line,
                at=at[1],
                judged=judge(series, Limit(limit), WITHIN_GRANT),
                unit="A",
                part=at[0],
                causes=_largest(wired, causes[at]),
                field="headers" if isinstance(wired.parts[at[0]], Board) else "outputs",
            )
        )
    return tuple(board_elements)


def _no_header(part: Part, own: list[Load]) -> BoardElement:
    """Nothing is known to feed it: that is unknown, not fine."""
    series = NO_SERIES
    for load in own:
        series = add(series, scale(load.run_amps(), load.count))
    line: Line = "v5" if any(x.rail == "v5" for x in own) else "v12"
    return BoardElement(
        kind="header",
        line=line,
        at="",
        judged=judge(series, UNKNOWN, WITHIN_GRANT),
        unit="A",
        part=part.key,
        field="headers",
        causes=(part.name,),
    )


def _hub_loads(wired: Wired, loads: list[Load]) -> dict[str, list[Load]]:
    """What hangs on each hub, hubs on hubs included."""
    hub_loads: dict[str, list[Load]] = {}
    for load in loads:
        if load.feed == "header":
            for hub in wired.hubs_above(wired.parts[load.part]):
                hub_loads.setdefault(hub.key, []).append(load)
    return hub_loads


def _largest(wired: Wired, loads: list[Load]) -> tuple[str, ...]:
    """Names of the parts that draw the most, at most three."""
    by_part: dict[str, float] = {}
    for load in loads:
        watts = max([s.likely for s in load.spans]) * load.count
        by_part[load.part] = by_part.get(load.part, 0.0) + watts
    ranked = sorted(by_part, key=lambda k: -by_part[k])
    return tuple(wired.parts[k].name for k in ranked[:3] if by_part[k] > 0)
