"""Readings as SVG: the picture of the station, a strip a unit, bands behind lines. Text out."""

from __future__ import annotations

from collections.abc import Iterable
from html import escape
from typing import NamedTuple

from ...analysis import Analysis
from ...base.plain import without_odd
from ...readings import (
    UNIT_WORDS,
    Against,
    Channel,
    Drawn,
    Named,
    ReadingBand,
    Readings,
    band,
    drawn,
    words,
)

WIDTH, STRIP, LEFT, GAP, BUCKETS = 1000.0, 190.0, 64.0, 34.0, 800
#: Lines told apart by colour and by dashes.
INKS = ("#0d6579", "#8a4b08", "#4b5a2a", "#6a3d7c", "#1e2a31", "#a3241c")
_DASHES = ("", "6 3", "2 2")


def write(
    a: Analysis,
    r: Readings,
    named: tuple[Named, ...],
    channels: tuple[Channel, ...],
    from_s: float,
    to_s: float,
) -> str:
    """The SVG of some channels between two times."""
    units = list(dict.fromkeys(c.unit for c in channels))
    height = len(units) * (STRIP + GAP) + 30 + 16 * len(channels)
    parts = [
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH:g} {height:g}" '
        f'width="{WIDTH:g}" height="{height:g}" font-family="sans-serif" font-size="12">',
        f"<title>{escape(a.build.name)}: readings</title>",
        f'<rect width="{WIDTH:g}" height="{height:g}" fill="#fcfbf6"/>',
    ]
    for i, unit in enumerate(units):
        own = tuple(c for c in channels if c.unit == unit)
        top = 12 + i * (STRIP + GAP)
        parts += _strip(a, r, named, own, (from_s, to_s), top, channels)
    at = 12 + len(units) * (STRIP + GAP) + 8
    for i, c in enumerate(channels):
        parts.append(_line(LEFT, at - 4, LEFT + 24, at - 4, i))
        parts.append(f'<text x="{LEFT + 32:g}" y="{at:g}">{escape(words(a.wired, c))}</text>')
        at += 16
    return without_odd("\n".join([*parts, "</svg>"]) + "\n")


def _line(x: float, y: float, to_x: float, to_y: float, i: int) -> str:
    dash = _DASHES[i // len(INKS) % len(_DASHES)]
    return (
        f'<path d="M{x:.1f} {y:.1f}L{to_x:.1f} {to_y:.1f}" stroke="{INKS[i % len(INKS)]}" '
        f'stroke-width="1.5" stroke-dasharray="{dash}"/>'
    )


def _strip(
    a: Analysis,
    r: Readings,
    named: tuple[Named, ...],
    own: tuple[Channel, ...],
    span: tuple[float, float],
    top: float,
    every: tuple[Channel, ...],
) -> list[str]:
    """Channels of one unit over time, with what is expected of each in a named span behind."""
    against, (from_s, to_s) = Against(a), span
    lines = {c: drawn(r, c, from_s, to_s, BUCKETS) for c in own}
    within = [n for n in named if n.to_s >= from_s and n.from_s <= to_s]
    bands = [(n, band(against, c, n.state)) for n in within for c in own]
    scale = _Scale(span, top, *_reach(lines.values(), [b for _, b in bands]))
    high, low = scale.y(scale.high) + 4, scale.y(scale.low) + 4
    return [
        f'<rect x="{LEFT:g}" y="{top:g}" width="{WIDTH - LEFT - 16:g}" height="{STRIP:g}" '
        'fill="none" stroke="#cfc6b4"/>',
        f'<text x="8" y="{high:.1f}">{scale.high:.4g} {UNIT_WORDS[own[0].unit]}</text>',
        f'<text x="8" y="{low:.1f}">{scale.low:.4g}</text>',
        f'<text x="{LEFT:g}" y="{top + STRIP + 16:g}">{from_s:g} s</text>',
        f'<text x="{WIDTH - 16:g}" y="{top + STRIP + 16:g}" text-anchor="end">{to_s:g} s</text>',
        *(_expected(n, b.low, b.high, scale) for n, b in bands if None not in (b.low, b.high)),
        *(_path(d, scale, every.index(c)) for c, d in lines.items()),
    ]


class _Scale(NamedTuple):
    """From seconds and values to the picture."""

    span: tuple[float, float]
    top: float
    low: float
    high: float

    def x(self, t: float) -> float:
        """Seconds across."""
        from_s, to_s = self.span
        share = (t - from_s) / ((to_s - from_s) or 1.0)
        return LEFT + (WIDTH - LEFT - 16) * min(1.0, max(0.0, share))

    def y(self, value: float) -> float:
        """A value up from the strip's foot."""
        share = (value - self.low) / ((self.high - self.low) or 1.0)
        return self.top + STRIP - 8 - (STRIP - 16) * share


def _reach(lines: Iterable[Drawn], bands: Iterable[ReadingBand]) -> tuple[float, float]:
    """The least and the most that a strip shows; from nothing on, unless that is far below."""
    values = [x for d in lines for x in (*d.low, *d.high) if x is not None]
    values += [x for b in bands for x in (b.low, b.high) if x is not None]
    low, high = (min(values), max(values)) if values else (0.0, 1.0)
    return (min(low, 0.0) if low < 0.5 * high else low), high


def _expected(n: Named, low: float | None, high: float | None, scale: _Scale) -> str:
    left, right = scale.x(n.from_s), scale.x(n.to_s)
    foot, head = scale.y(low or 0.0), scale.y(high or 0.0)
    return (
        f'<rect x="{left:.1f}" y="{head:.1f}" width="{right - left:.1f}" '
        f'height="{max(1.5, foot - head):.1f}" fill="#0d6579" opacity="0.13"/>'
    )


def _path(d: Drawn, scale: _Scale, i: int) -> str:
    """A channel as a path; where nothing was read it is broken."""
    path, pen = [], "M"
    for t, least, most in zip(d.times, d.low, d.high, strict=True):
        if least is None or most is None:
            pen = "M"
            continue
        path.append(f"{pen}{scale.x(t):.1f} {scale.y(most):.1f}")
        if most > least:
            path.append(f"L{scale.x(t):.1f} {scale.y(least):.1f}")
        pen = "L"
    dash = _DASHES[i // len(INKS) % len(_DASHES)]
    return (
        f'<path d="{"".join(path)}" fill="none" stroke="{INKS[i % len(INKS)]}" '
        f'stroke-dasharray="{dash}"/>'
    )
