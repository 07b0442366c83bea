"""The handover: one page for whoever gets a machine. What it is, each joint at its worst, what was
measured beside what was tallied, what was assumed, what nobody proved, who did what."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from textwrap import shorten
from typing import Any, NamedTuple

from ...analysis import Analysis
from ...base.rounding import up
from ...bench import Plan, Sitting
from ...publishing import Compact, compact
from .paper import Edition, Paper, gap, pages, said, table

#: Rows of a part of the page at the most: the whole has room on one.
_JOINTS, _PARTS, _MEASURED, _OPEN, _SITTINGS = 14, 12, 6, 6, 5


class Measured(NamedTuple):
    """One channel in a state: what was read at its highest, and the bounds of the tally."""

    words: str
    read: float
    low: float | None
    high: float | None
    unit: str


def handover(
    a: Analysis,
    work: Plan,
    sittings: Sequence[Sitting] = (),
    measured: Sequence[Measured] = (),
    paper: Paper = "A4",
    edition: Edition | None = None,
) -> bytes:
    """The page. `sittings`: of its record, oldest first; `measured`: of its readings, never what
    was simulated."""
    result = compact(a)
    story = [
        said(f"{a.build.name}: handover", 15, bold=True),
        said(result.overall.text + ".", 10, bold=True),
        *([said(a.build.note)] if a.build.note else []),
        said(_draws(result)),
        *_section("What it is", _parts(a)),
        *_section("Every cable and its plugs, the fullest first", _joints(result)),
        *_section("Measured, beside what was tallied", _measured(measured)),
        *_section("Assumed, and not proven", _open(result)),
        *_section("What was done", _done(work, sittings)),
        gap(26),
        said(f"Given by {'_' * 38}    Taken by {'_' * 38}"),
        gap(4),
        said(
            "A warm, browned or loose plug ends its use. Mains circuits: local code and a licensed "
            "electrician decide.",
            8,
        ),
    ]
    return pages(story, paper, "handover", a.build.name, edition or Edition())


def _draws(result: Compact) -> str:
    """What it draws, in the states that somebody meets."""
    watts = result.strip.watts
    states = (("idle", "idle"), ("everyday", "everyday"), ("full", "at full load"))
    said_of = [
        f"{up(watts[state].likely)} W {words}"  # type: ignore[literal-required]
        for state, words in states
        if watts[state].likely is not None  # type: ignore[literal-required]
    ]
    return f"It draws {', '.join(said_of)}." if said_of else "What it draws is not known."


def _section(title: str, rows: list[list[Any]]) -> Iterator[Any]:
    widths = {1: (182.0,), 2: (91.0, 91.0), 3: (66.0, 70.0, 46.0)}[max(map(len, rows), default=1)]
    yield gap(5)
    yield said(title, 10, bold=True)
    yield table([[said(str(x), 8.5) for x in row] for row in rows], widths)


def _cut(rows: list[list[Any]], most: int, rest: str) -> list[list[Any]]:
    """So many rows; of the rest that there are some."""
    if len(rows) <= most:
        return rows
    empty = [""] * (len(rows[0]) - 1)
    return [*rows[: most - 1], [f"and {len(rows) - most + 1} more{rest}", *empty]]


def _parts(a: Analysis) -> list[list[Any]]:
    names = [f"{p.count} × {p.name}" if p.count > 1 else p.name for p in a.build.parts]
    case, supply = a.build.case, a.build.supply
    if supply is not None:
        rated = f", {supply.rated_w:.0f} W" if supply.rated_w is not None else ""
        names.insert(0, f"Supply: {supply.name}{rated}, family {supply.family}")
    if case is not None:
        names.insert(1 if supply is not None else 0, f"Case: {case.name}")
    half = (len(names) + 1) // 2
    second = [*names[half:], ""]
    rows = [[one, second[i] if i < len(second) else ""] for i, one in enumerate(names[:half])]
    return _cut(rows or [["Nothing yet", ""]], _PARTS, ", in the build’s own file")


def _joints(result: Compact) -> list[list[Any]]:
    lanes = sorted(result.lanes, key=lambda lane: -(lane.percent or 0))
    rows = []
    for lane in lanes:
        feeds = ", ".join(p.feeds for p in lane.plugs if p.socket)
        share = "not known" if lane.percent is None else f"{lane.percent} % of its limit"
        usual = ", by usual figures" if lane.usual else ""
        name = f"{lane.name} in {' and '.join(lane.port_labels)}" if lane.port_labels else lane.name
        rows.append([name, f"into {feeds}" if feeds else "into nothing", f"{share}{usual}"])
    return _cut(rows or [["Nothing is plugged", "", ""]], _JOINTS, ", each less full")


def _measured(measured: Sequence[Measured]) -> list[list[Any]]:
    if not measured:
        return [["Nothing was measured: what is said here is worked out."]]
    rows = []
    for m in measured:
        known = m.low is not None and m.high is not None
        tallied = f"{m.low:.0f} to {m.high:.0f} {m.unit}" if known else "not tallied"
        rows.append([m.words, f"read {m.read:.4g} {m.unit}", f"tallied {tallied}"])
    return _cut(rows, _MEASURED, ", in its readings")


def _open(result: Compact) -> list[list[Any]]:
    assumed = len({p.part for p in result.parts if p.assumed})
    rows: list[list[Any]] = []
    if assumed:
        parts = "1 part" if assumed == 1 else f"{assumed} parts"
        rows.append([f"Figures of {parts} are assumed: nobody states or measured them."])
    rows += [[f"To find out: {x.title}. {x.where}"] for x in result.find_out]
    rows += [[f"To mend: {x.title}. {shorten(x.text, 90, placeholder='…')}"] for x in result.mend]
    rows += [[f"Not checked: {x}"] for x in result.not_checked]
    return _cut(rows or [["Nothing: each limit is known and holds."]], _OPEN, "")


def _done(work: Plan, sittings: Iterable[Sitting]) -> list[list[Any]]:
    rows: list[list[Any]] = []
    for s in reversed(list(sittings)):
        who = ", ".join(s.who) or "nobody named"
        joints = f"{s.made} joints made, {s.apart} taken apart" if s.made or s.apart else ""
        bad = f", {s.bad} found bad" if s.bad else ""
        rows.append([f"{s.begun:%Y-%m-%d}: {', '.join(s.what)}", f"{joints}{bad}", who])
    left = f"{work.left} steps are open" if work.left else "Nothing is open"
    return _cut([[left, "", ""], *rows], _SITTINGS, " before")
