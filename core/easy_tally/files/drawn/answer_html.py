"""An answer as one file that opens anywhere: the verdicts, the ways, the Loom drawn, and the build
file itself inside, so that whoever gets it can open it."""

from __future__ import annotations

from html import escape

from ...base.plain import without_odd
from ...publishing import Compact
from ...question import STATUS_WORDS, QuestionAnswer, VerdictAnswer, WayAnswer
from ..page import holding
from . import loom_svg

_STYLE = """
body{font:16px/1.45 system-ui,sans-serif;max-width:62rem;margin:1.5rem auto;padding:0 1rem;
color:#1c272d;background:#f5f0e6}
h1{font-size:1.5rem;line-height:1.25}h2{font-size:1.15rem;margin-top:2rem}
.six{display:grid;grid-template-columns:repeat(auto-fit,minmax(17rem,1fr));gap:.75rem;padding:0}
.six>li,.ways>li{list-style:none;background:#fcfaf4;border:1px solid #ddd4c2;padding:.75rem}
.six>li{border-left:.6rem solid #c3cac8}.fail{border-left-color:#a32018!important}
.warn{border-left:.6rem dashed #7a5600!important}
.unknown{border-left:.6rem dotted #54508a!important}
.big{font-size:1.3rem;font-weight:700;margin:.2rem 0}.soft{color:#55616a;margin:.2rem 0}
.ways{padding:0;display:grid;gap:.5rem}svg{max-width:100%;height:auto}
b.word{float:right}@media print{body{background:#fff}}
"""


def write(answer: QuestionAnswer, result: Compact, build: str, at: int = 0) -> str:
    """The page. `result` and `build` (its file): as asked (`at` 0), or by one of the ways."""
    way = next((w for w in answer.ways if w.at == at), None)
    head = f"<p><b>Taken so:</b> {escape(way.text)}</p>" if way else ""
    verdicts = way.verdicts if way else answer.verdicts
    title = f"{answer.build}: {answer.asked}"
    pieces = [
        "<!doctype html>",
        '<html lang="en"><head><meta charset="utf-8">',
        '<meta name="viewport" content="width=device-width, initial-scale=1">',
        f"<title>{escape(title)}</title><style>{_STYLE}</style></head><body>",
        f"<p class=soft>{escape(answer.build)} · {escape(answer.asked)}</p>",
        f"<h1>{escape(answer.text)}</h1>{head}",
        f"<p>{escape((way or answer).overall.text)}; {escape((way or answer).price.text)}.</p>",
        f'<ul class="six">{"".join(map(_verdict, verdicts))}</ul>',
        *(_ways(answer.ways) if not at else ()),
        "<h2>Every cable</h2>",
        _svg(result),
        "<p class=soft>Worked out by Easy Tally. Open this page in it (Builds, Open a build file) "
        "to have the build. Mains circuits: local code and a licensed electrician decide.</p>",
        holding(build),
        "</body></html>",
    ]
    return without_odd("\n".join(pieces) + "\n")


def _verdict(v: VerdictAnswer) -> str:
    now = f"<p class=soft>now {escape(v.now)}</p>" if v.now and v.now != v.figure else ""
    more = "".join(f"<li>{escape(t)}</li>" for t in v.more)
    opened = f"<details><summary>{len(v.more)} more</summary><ul>{more}</ul></details>"
    return (
        f"<li class={v.status.split()[0]}><b>{escape(v.title)}</b>"
        f"<b class=word>{STATUS_WORDS[v.status]}</b><p class=big>{escape(v.figure)}</p>{now}"
        f"<p>{escape(v.text)}</p>{opened if v.more else ''}</li>"
    )


def _ways(ways: tuple[WayAnswer, ...]) -> tuple[str, ...]:
    if not ways:
        return ()
    told = "".join(
        f"<li><b>{escape(w.text)}</b><p class=soft>{escape(w.price.text)} · "
        f"{escape(w.overall.text)}</p></li>"
        for w in ways
    )
    return "<h2>What would make it go, the cheapest first</h2>", f'<ol class="ways">{told}</ol>'


def _svg(result: Compact) -> str:
    return loom_svg.write(result) if result.lanes else "<p>Nothing is plugged.</p>"
