"""The work order on paper: in the order of the hands, what makes safe first, each joint with its
plug's face and its port on the panel."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

from ...analysis import Analysis
from ...base.saying import money
from ...bench import GROUP_WORDS, Placed, Plan, Step
from ...publishing import compact
from .paper import Edition, Paper, box, face, gap, pages, panel, said, table

CAUTIONS = (
    "Off and out of the wall before a cable is touched. Never open a supply, never cut its cables, "
    "never force a plug. No cable of another supply unless its maker states the same pinout.",
    "A warm, browned or loose plug ends the work: stop using it. Mains circuits: local code and a "
    "licensed electrician decide.",
)
_WIDTHS = (6.0, 112.0, 48.0, 16.0)


def sheet(a: Analysis, work: Plan, paper: Paper = "A4", edition: Edition | None = None) -> bytes:
    """What is open of the work on a machine; of one that stands as wanted that it does."""
    return pages(story(a, work), paper, "work order", a.build.name, edition or Edition())


def story(a: Analysis, work: Plan) -> list[Any]:
    """What stands on the work order, from the top down."""
    supply = a.build.supply.name if a.build.supply else "no supply"
    left = [p for p in work.steps if p.state == "open"]
    safe = [p for p in left if p.step.id == "safe"]
    return [
        said(f"{a.build.name}: work order", 15, bold=True),
        said(f"{supply}. Begun ____________   by ____________"),
        *(said(text) for text in CAUTIONS),
        *([_steps(a, safe)] if safe else []),
        *(said(text) for text in _whole(a)),
        *([said(f"Lay out: {', '.join(work.tools)}.")] if work.tools else []),
        *_groups(a, [p for p in left if p not in safe]),
        *([] if left else [said("The machine stands as it is wanted: nothing is to be done.", 11)]),
    ]


def _whole(a: Analysis) -> Iterator[str]:
    """The verdict on the whole, and what to look at before it is plugged."""
    result = compact(a)
    yield f"As a whole: {result.overall.text}."
    for item in result.find_out:
        means = f" {item.means}." if item.means else ""
        yield f"To find out: {item.title}. {item.where}{means}"
    if result.to_buy.items:
        names = "; ".join(
            i.name + ("" if i.price is None else f", {money(i.price, result.to_buy.currency)}")
            for i in result.to_buy.items
        )
        yield f"{result.to_buy.text}: {names}."


def _groups(a: Analysis, left: list[Placed]) -> Iterator[Any]:
    """Each group under its heading; a heading stays with its first step."""
    from reportlab.platypus import CondPageBreak

    rows: list[Placed] = []
    for placed in left:
        if rows and rows[0].step.group != placed.step.group:
            yield from _group(a, rows, CondPageBreak)
            rows = []
        rows.append(placed)
    if rows:
        yield from _group(a, rows, CondPageBreak)


def _group(a: Analysis, rows: list[Placed], keep: Any) -> Iterator[Any]:
    yield keep(60)
    yield gap(6)
    yield said(GROUP_WORDS[rows[0].step.group], 11, bold=True)
    yield _steps(a, rows)


def _steps(a: Analysis, several: list[Placed]) -> Any:
    return table([_row(a, p.step) for p in several], _WIDTHS)


def _row(a: Analysis, step: Step) -> list[Any]:
    """A step: its box, its words and looks, what it looks like, room for initials."""
    words = [said(step.title, 10, bold=True)]
    words += [said(step.caution, 9, bold=True)] if step.caution else []
    sentences = (t if t[-1] in ".:?" else f"{t}." for t in step.text)
    words += [said(" ".join(sentences))] if step.text else []
    words += [said(f"[\u00a0\u00a0] {look.text}") for look in step.looks]
    words += (
        [said("   ".join(f"[\u00a0\u00a0] {x.words}" for x in step.answers))]
        if step.answers
        else []
    )
    words += [said(f"{step.note}: ______________________")] if step.note else []
    return [box(), words, list(_drawn(a, step)), ""]


def _drawn(a: Analysis, step: Step) -> Iterator[Any]:
    """The plug's face, and the port that its cable is in."""
    joint = step.joint
    if joint is None:
        return
    if joint.face:
        yield face(joint.face)  # type: ignore[arg-type]
    run = next((r for r in a.wired.runs if r.cable.key == joint.cable), None)
    if run is not None and run.ports and a.wired.ports:
        yield panel(a.wired.ports.values(), (p.key for p in run.ports))
