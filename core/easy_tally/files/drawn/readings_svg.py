"""Readings as SVG: the picture of the station, a strip a unit, bands behind lines. Text out."""

from __future__ import annotations

from html import escape

from ...analysis import Analysis
from ...base.plain import without_odd
from ...readings import UNIT_WORDS, Against, Channel, Named, Readings, band, drawn, words

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
    against, (from_s, to_s) = Against(a), span
    lines = {c: drawn(r, c, from_s, to_s, BUCKETS) for c in own}
    bands = [
        (n, band(against, c, n.state))
        for n in named
        for c in own
        if n.to_s >= from_s and n.from_s <= to_s
    ]
    values = [x for d in lines.values() for x in (*d.low, *d.high) if x is not None]
    values += [x for _, b in bands for x in (b.low, b.high) if x is not None]
    low, high = (min(values), max(values)) if values else (0.0, 1.0)
    low = min(low, 0.0) if low < 0.5 * high else low
    reach = (high - low) or 1.0

    def x(t: float) -> float:
        share = (t - from_s) / ((to_s - from_s) or 1.0)
        return LEFT + (WIDTH - LEFT - 16) * min(1.0, max(0.0, share))

    def y(value: float) -> float:
        return top + STRIP - 8 - (STRIP - 16) * (value - low) / reach

    parts = [
        f'<rect x="{LEFT:g}" y="{top:g}" width="{WIDTH - LEFT - 16:g}" height="{STRIP:g}" '
        'fill="none" stroke="#cfc6b4"/>',
        f'<text x="8" y="{y(high) + 4:.1f}">{high:.4g} {UNIT_WORDS[own[0].unit]}</text>',
        f'<text x="8" y="{y(low) + 4:.1f}">{low:.4g}</text>',
        f'<text x="{LEFT:g}" y="{top + STRIP + 16:g}">{from_s:g} s</text>',
        f'<text x="{WIDTH - 16:g}" y="{top + STRIP + 16:g}" text-anchor="end">{to_s:g} s</text>',
    ]
    for n, b in bands:
        if b.low is not None and b.high is not None:
            left, right = x(n.from_s), x(n.to_s)
            tall = max(1.5, y(b.low) - y(b.high))
            parts.append(
                f'<rect x="{left:.1f}" y="{y(b.high):.1f}" width="{right - left:.1f}" '
                f'height="{tall:.1f}" fill="#0d6579" opacity="0.13"/>'
            )
    for c, d in lines.items():
        i = every.index(c)
        path, pen = [], "M"
        for t, least, most in zip(d.times, d.low, d.high, strict=True):
            if least is None or most is None:
                pen = "M"
                continue
            path.append(f"{pen}{x(t):.1f} {y(most):.1f}")
            if most > least:
                path.append(f"L{x(t):.1f} {y(least):.1f}")
            pen = "L"
        dash = _DASHES[i // len(INKS) % len(_DASHES)]
        parts.append(
            f'<path d="{"".join(path)}" fill="none" stroke="{INKS[i % len(INKS)]}" '
            f'stroke-dasharray="{dash}"/>'
        )
    return parts
