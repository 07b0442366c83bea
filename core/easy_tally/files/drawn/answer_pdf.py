"""An answer as pages: whether it goes, the six verdicts, the ways, what is to be bought."""

from __future__ import annotations

from ...question import STATUS_WORDS, QuestionAnswer
from .paper import Edition, Paper, gap, pages, said, table


def answer(
    a: QuestionAnswer, at: int = 0, paper: Paper = "A4", edition: Edition | None = None
) -> bytes:
    """The pages, as asked (`at` 0), or by one of the ways."""
    way = next((w for w in a.ways if w.at == at), None)
    told = way or a
    rows = [[said(x, 9, bold=True) for x in ("", "", "number", "what decides")]]
    for v in told.verdicts:
        now = f" (now {v.now})" if v.now and v.now != v.figure else ""
        rows.append(
            [
                said(v.title, 10, bold=True),
                said(STATUS_WORDS[v.status], 9),
                said(f"{v.figure}{now}", 10, bold=True),
                said(v.text, 9),
            ]
        )
    story = [
        said(f"{a.build}: {a.asked}", 11),
        said(a.text, 15, bold=True),
        *([said(f"Taken so: {way.text}", 11, bold=True)] if way else []),
        said(f"{told.overall.text}; {told.price.text}.", 10),
        gap(6),
        table(rows, (18, 24, 52, 90), head=True),
    ]
    if a.ways and not at:
        story += [gap(8), said("What would make it go, the cheapest first", 11, bold=True)]
        story.append(table([[said(w.text, 9), said(w.price.text, 9)] for w in a.ways], (120, 64)))
    if a.to_buy:
        story += [gap(8), said(f"To buy: {', '.join(a.to_buy)}.", 10)]
    story += [gap(8), said("Mains circuits: local code and a licensed electrician decide.", 8)]
    return pages(story, paper, "answer", a.build, edition or Edition())
