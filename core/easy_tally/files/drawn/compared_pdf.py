"""A comparison as pages: what differs, group by group; what is the same is counted."""

from __future__ import annotations

from ...question import ComparedAnswer
from .paper import Edition, Paper, gap, pages, said, table

_FIRST_MM, _ALL_MM = 36.0, 184.0


def pages_of(answer: ComparedAnswer, paper: Paper = "A4", edition: Edition | None = None) -> bytes:
    """The pages. Of schools each says what speaks for it and what it risks."""
    n = len(answer.sides)
    widths = (_FIRST_MM, *[(_ALL_MM - _FIRST_MM) / n] * n)
    title = " beside ".join(s.name for s in answer.sides)
    head = [said("", 9), *(said(s.name, 10, bold=True) for s in answer.sides)]
    notes = [said("", 9), *(said(s.note, 8.5) for s in answer.sides)]
    costs = [said("What it costs", 9), *(said(s.price.text, 8.5) for s in answer.sides)]
    takes = [said("What it would take", 9), *(said(s.takes, 8.5) for s in answer.sides)]
    told = [*([takes] if any(s.takes for s in answer.sides) else []), costs]
    rows = [head, *([notes] if any(s.note for s in answer.sides) else []), *told]
    story = [said(title, 14, bold=True), gap(4), table(rows, widths)]
    for group, words in answer.groups:
        own = [line for line in answer.lines if line.group == group]
        differ = [line for line in own if line.differs]
        if not own:
            continue
        same = len(own) - len(differ)
        story += [gap(6), said(f"{words}" + (f"; {same} the same" if same else ""), 11, bold=True)]
        if differ:
            cells = [[said(d.words, 9), *(said(c.text, 9) for c in d.cells)] for d in differ]
            story.append(table(cells, widths))
    return pages(story, paper, "comparison", answer.sides[0].name, edition or Edition())
