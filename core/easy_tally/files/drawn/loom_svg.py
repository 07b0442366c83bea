"""The Loom as SVG. Text out."""

from __future__ import annotations

from html import escape

from ...base.plain import without_odd
from ...publishing import Compact
from .loom_drawing import GROUND, Box, Shape, Stroke, Words, drawing


def write(result: Compact) -> str:
    """The SVG of a build's lanes, at full load."""
    d = drawing(result)
    size = f"{d.width:g} {d.height:g}"
    head = (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {size}" width="{d.width:g}" '
        f'height="{d.height:g}" font-family="sans-serif">'
    )
    ground = f'<rect width="{d.width:g}" height="{d.height:g}" fill="{GROUND}"/>'
    title = f"<title>{escape(d.title)}</title>"
    return without_odd("\n".join([head, title, ground, *map(_shape, d.shapes), "</svg>"]) + "\n")


def _shape(s: Shape) -> str:
    match s:
        case Box():
            line = f' stroke="{s.line}"' if s.line else ""
            opacity = f' opacity="{s.opacity:g}"' if s.opacity < 1 else ""
            return (
                f'<rect x="{s.x:.1f}" y="{s.y:.1f}" width="{s.width:.1f}" '
                f'height="{s.height:.1f}" fill="{s.fill}"{line}{opacity}/>'
            )
        case Stroke():
            dashes = ' stroke-dasharray="4 3"' if s.dashed else ""
            return (
                f'<path d="M{s.x:.1f} {s.y:.1f}L{s.to_x:.1f} {s.to_y:.1f}" stroke="{s.color}" '
                f'stroke-width="{s.width:g}"{dashes}/>'
            )
        case Words():
            weight = ' font-weight="700"' if s.bold else ""
            anchor = ' text-anchor="middle"' if s.middle else ""
            return (
                f'<text x="{s.x:.1f}" y="{s.y:.1f}" font-size="{s.size:g}" fill="{s.color}"'
                f"{weight}{anchor}>{escape(s.text)}</text>"
            )
