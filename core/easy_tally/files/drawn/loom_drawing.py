"""The Loom as a drawing: every cable to scale, the current along it, what each plug feeds. Made of
a few shapes, which SVG and PDF write each in their way."""

from __future__ import annotations

from collections.abc import Iterator
from typing import NamedTuple

from ...publishing import Compact
from ...publishing.result import BetweenAnswer, Lane, OnwardAnswer

WIDTH, LEFT, LANE, TOP, BELOW = 1100, 190, 64, 56, 30
GROUND = "#fcfaf4"
#: Letters of a name for which there is room.
_NAME = 26
_INK, _SOFT, _BAR = "#1c272d", "#55616a", "#7d8b91"
_VERDICTS = {"over": "#a32018", "unknown": "#54508a", "tight": "#7a5600", "within": "#2f6244"}


class Box(NamedTuple):
    """A rectangle from its top left corner."""

    x: float
    y: float
    width: float
    height: float
    fill: str
    line: str = ""
    opacity: float = 1.0


class Stroke(NamedTuple):
    """A straight line."""

    x: float
    y: float
    to_x: float
    to_y: float
    width: float = 1.0
    dashed: bool = False
    color: str = _INK


class Words(NamedTuple):
    """A line of text on its base line, from `x`, or with its middle there."""

    x: float
    y: float
    text: str
    size: float
    color: str = _INK
    bold: bool = False
    middle: bool = False


Shape = Box | Stroke | Words


class Drawing(NamedTuple):
    """Shapes on a ground of a width and a height, y downwards."""

    title: str
    width: float
    height: float
    shapes: tuple[Shape, ...]


def drawing(result: Compact) -> Drawing:
    """A build's lanes, at full load."""
    lanes = result.lanes
    ends = [p.at_mm for lane in lanes for p in lane.plugs]
    ends += [o.to_mm for lane in lanes for o in lane.onward]
    longest = max(ends, default=300.0) + 80
    scale = (WIDTH - LEFT - 20) / longest
    shapes: list[Shape] = [
        Words(20, 30, f"{result.name}: cables at full load", 18, bold=True),
        *_ruler(longest, scale),
    ]
    y = float(TOP)
    for lane in lanes:
        shapes += _lane(lane, y, scale)
        y += LANE + (BELOW if _hangs(lane) else 0)
    y += 24
    if result.betweens:
        shapes.append(Words(20, y, "Between cable and socket", 14, bold=True))
    for thing in result.betweens:
        y += 26
        shapes.append(Words(20, y, _said(thing), 13))
    return Drawing(f"{result.name}: the Loom", WIDTH, y + 20, tuple(shapes))


def _said(thing: BetweenAnswer) -> str:
    leads = ", ".join(f"{x.words} by {x.fed_by or 'nothing'}" for x in thing.leads)
    plugs = ", ".join(p.feeds or "parked" for p in thing.plugs)
    return f"{thing.name}: {leads}; feeds {plugs}"


def _ruler(longest: float, scale: float) -> Iterator[Shape]:
    for mm in range(0, int(longest) + 1, 100):
        label = f"{mm} mm" if mm == 0 else str(mm)
        yield Words(LEFT + mm * scale, TOP - 6, label, 12, _SOFT, middle=mm > 0)


def _hangs(lane: Lane) -> list[OnwardAnswer]:
    return [o for o in lane.onward if o.kind != "backplane"]


def _lane(lane: Lane, y: float, scale: float) -> Iterator[Shape]:
    base = y + 44
    labels = " ".join(lane.port_labels) or "fixed"
    verdict = "refused" if lane.refused else lane.verdict
    share = "" if lane.percent is None else f"{lane.percent} % "
    name = lane.name if len(lane.name) <= _NAME else lane.name[: _NAME - 1] + "…"
    yield Words(20, y + 18, labels, 14, bold=True)
    yield Words(20, y + 33, name, 12)
    yield Words(20, y + 49, f"{share}{verdict}", 13, _VERDICTS[lane.verdict], bold=True)
    yield from _profile(lane, base, scale)
    end = max((p.at_mm for p in lane.plugs), default=0.0)
    yield Stroke(LEFT, base, LEFT + end * scale, base, 3)
    for p in lane.plugs:
        yield from _plug(LEFT + p.at_mm * scale, base, p.tag, bool(p.socket))
    for o in _hangs(lane):
        start, stop = LEFT + o.from_mm * scale, LEFT + o.to_mm * scale
        yield Stroke(start, base + 20, start, base + BELOW, 2, dashed=True)
        yield Stroke(start, base + BELOW, stop, base + BELOW, 2, dashed=True)
        yield from _plug(stop, base + BELOW, o.plug.tag, bool(o.plug.socket))


def _profile(lane: Lane, base: float, scale: float) -> Iterator[Shape]:
    steps = [s for s in lane.steps if s.rail == _rail(lane)]
    top = max([s.amps["full"] for s in steps] + [s.limit_a or 0.0 for s in steps] + [0.001])
    bar = _VERDICTS["over"] if lane.verdict == "over" else _BAR
    for s in steps:
        x, width = LEFT + s.from_mm * scale, (s.to_mm - s.from_mm) * scale
        height = 30 * s.amps["full"] / top
        yield Box(x, base - height, width, height, bar, opacity=0.5)
        if s.limit_a is not None:
            limit = base - 30 * s.limit_a / top
            yield Stroke(x, limit, x + width, limit, dashed=True)
    if steps:
        yield Words(LEFT + 4, base - 4, f"{steps[0].amps['full']:.1f} A", 12, bold=True)


def _plug(x: float, base: float, tag: str, used: bool) -> Iterator[Shape]:
    yield Box(x - 9, base - 6, 18, 12, _INK if used else GROUND, line=_INK)
    yield Words(x, base + 17, tag or "parked", 12, _INK if used else _SOFT, middle=True)


def _rail(lane: Lane) -> str:
    most: dict[str, float] = {}
    for s in lane.steps:
        most[s.rail] = max(most.get(s.rail, 0.0), s.amps["full"])
    return max(most, key=lambda r: most[r], default="v12")
