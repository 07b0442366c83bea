"""The Loom as SVG: every cable to scale, the current along it, what each plug feeds. Text out."""

from __future__ import annotations

from collections.abc import Iterator
from html import escape

from ..findings import Compact
from ..findings.result import Lane

WIDTH, LEFT, LANE, TOP = 1100, 190, 64, 56
_INK, _SOFT, _BAR = "#1c272d", "#55616a", "#7d8b91"
_VERDICTS = {"over": "#a32018", "unknown": "#54508a", "tight": "#7a5600", "within": "#2f6244"}


def write(result: Compact) -> str:
    """The SVG of a build's lanes, at full load."""
    lanes = result.lanes
    things = result.betweens
    longest = max((p.at_mm for lane in lanes for p in lane.plugs), default=300.0) + 80
    scale = (WIDTH - LEFT - 20) / longest
    height = TOP + LANE * len(lanes) + (34 + 26 * len(things) if things else 0) + 20
    body = [
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {height}" '
        f'width="{WIDTH}" height="{height}" font-family="sans-serif">',
        f"<title>{escape(result.name)}: the Loom</title>",
        f'<rect width="{WIDTH}" height="{height}" fill="#fcfaf4"/>',
        _text(20, 30, f"{result.name}: cables at full load", 18, _INK, bold=True),
        *_ruler(longest, scale),
    ]
    for i, lane in enumerate(lanes):
        body += _lane(lane, TOP + i * LANE, scale)
    y = TOP + LANE * len(lanes) + 24
    if things:
        body.append(_text(20, y, "Between cable and socket", 14, _INK, bold=True))
    for i, thing in enumerate(things):
        leads = ", ".join(f"{x.words} by {x.fed_by or 'nothing'}" for x in thing.leads)
        plugs = ", ".join(p.feeds or "parked" for p in thing.plugs)
        said = f"{thing.name}: {leads} → {plugs}"
        body.append(_text(20, y + 24 + 26 * i, said, 13, _INK))
    return "\n".join([*body, "</svg>"]) + "\n"


def _text(
    x: float, y: float, text: str, size: int, fill: str, bold: bool = False, middle: bool = False
) -> str:
    weight = ' font-weight="700"' if bold else ""
    anchor = ' text-anchor="middle"' if middle else ""
    return (
        f'<text x="{x:.1f}" y="{y:.1f}" font-size="{size}" fill="{fill}"{weight}{anchor}>'
        f"{escape(text)}</text>"
    )


def _ruler(longest: float, scale: float) -> Iterator[str]:
    for mm in range(0, int(longest) + 1, 100):
        label = f"{mm} mm" if mm == 0 else str(mm)
        yield _text(LEFT + mm * scale, TOP - 6, label, 12, _SOFT, middle=mm > 0)


def _lane(lane: Lane, y: float, scale: float) -> Iterator[str]:
    base = y + 44
    labels = " ".join(lane.port_labels) or "fixed"
    verdict = "refused" if lane.refused else lane.verdict
    share = "" if lane.percent is None else f"{lane.percent} % "
    yield _text(20, y + 24, f"{labels}  {lane.name}"[:26], 14, _INK, bold=True)
    yield _text(20, y + 42, f"{share}{verdict}", 13, _VERDICTS[lane.verdict], bold=True)
    end = max((p.at_mm for p in lane.plugs), default=0.0)
    steps = [s for s in lane.steps if s.rail == _rail(lane)]
    top = max([s.amps["full"] for s in steps] + [s.limit_a or 0.0 for s in steps] + [0.001])
    for s in steps:
        x, w = LEFT + s.from_mm * scale, (s.to_mm - s.from_mm) * scale
        h = 30 * s.amps["full"] / top
        yield (
            f'<rect x="{x:.1f}" y="{base - h:.1f}" width="{w:.1f}" height="{h:.1f}" '
            f'fill="{_VERDICTS[lane.verdict] if lane.verdict == "over" else _BAR}" opacity="0.5"/>'
        )
        if s.limit_a is not None:
            limit = base - 30 * s.limit_a / top
            yield (
                f'<path d="M{x:.1f} {limit:.1f}h{w:.1f}" stroke="{_INK}" stroke-dasharray="4 3"/>'
            )
    if steps:
        yield _text(LEFT + 4, base - 4, f"{steps[0].amps['full']:.1f} A", 12, _INK, bold=True)
    yield f'<path d="M{LEFT} {base}h{end * scale:.1f}" stroke="{_INK}" stroke-width="3"/>'
    for p in lane.plugs:
        x = LEFT + p.at_mm * scale
        fill = "#fcfaf4" if not p.socket else _INK
        yield (
            f'<rect x="{x - 9:.1f}" y="{base - 6}" width="18" height="12" fill="{fill}" '
            f'stroke="{_INK}"/>'
        )
        yield _text(x, base + 17, p.tag or "parked", 12, _INK if p.socket else _SOFT, middle=True)


def _rail(lane: Lane) -> str:
    most: dict[str, float] = {}
    for s in lane.steps:
        most[s.rail] = max(most.get(s.rail, 0.0), s.amps["full"])
    return max(most, key=lambda r: most[r], default="v12")
