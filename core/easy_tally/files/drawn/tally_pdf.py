"""The tally with the parts list: what is in the machine, what it draws in each state, which supply
the rules ask for and how the chosen one stands."""

from __future__ import annotations

from collections import defaultdict
from typing import Any

from ...base.rounding import up
from ...publishing import Amount, Compact
from ...things import Build
from .paper import Edition, Paper, gap, pages, said, table

_STATES = (
    ("sleep", "asleep"),
    ("idle", "idle"),
    ("everyday", "everyday"),
    ("full", "full"),
    ("start", "start"),
)
_SPIKES = (("ms_0_1", "0.1 ms"), ("ms_1", "1 ms"), ("ms_10", "10 ms"), ("ms_100", "100 ms"))
#: Widths [mm]: count, part, a column a state.
_WIDTHS = (11.0, 75.0, *[20.0] * len(_STATES))


def tally(
    build: Build, result: Compact, paper: Paper = "A4", edition: Edition | None = None
) -> bytes:
    """The pages."""
    story = [
        said(f"{build.name}: tally and parts", 15, bold=True),
        said(result.overall.text + ".", 10, bold=True),
        *([said(build.note)] if build.note else []),
        gap(4),
        said("Parts, and the watts of each at its likeliest", 11, bold=True),
        table(_parts(build, result), _WIDTHS, head=True),
        gap(6),
        said("What the supply is asked for", 11, bold=True),
        table(_asked(result), (130.0, 54.0)),
        gap(6),
        said(_supply_title(build), 11, bold=True),
        table(_checks(result), (24.0, 160.0)),
        gap(4),
        said("What is marked * is assumed for at least one state: nobody states or measured it."),
    ]
    return pages(story, paper, "tally", build.name, edition or Edition())


def _watts(amount: Amount | None) -> str:
    """An amount [W]; one in which parts are missing says that it is at least that."""
    if amount is None:
        return "not known"
    return f"{'at least ' if amount.missing else ''}{up(amount.likely)}"


def _parts(build: Build, result: Compact) -> list[list[Any]]:
    drawn: dict[str, dict[str, float]] = defaultdict(lambda: defaultdict(float))
    assumed = {p.part for p in result.parts if p.assumed}
    unknown: set[tuple[str, str]] = set()
    for row in result.parts:
        for state, _ in _STATES:
            amount: Amount = row.watts[state]  # type: ignore[literal-required]
            drawn[row.part][state] += amount.likely
            if amount.missing:
                unknown.add((row.part, state))

    def cell(part: str, state: str) -> str:
        """Nothing stands for what draws by no path; what somebody would have to say is no zero."""
        if part not in drawn:
            return ""
        watts = f"{drawn[part][state]:.1f}"
        return f"at least {watts}" if (part, state) in unknown else watts

    head = [said(t, 8.5, bold=True) for t in ("", "part", *(words for _, words in _STATES))]
    rows = [
        [
            said(f"{p.count} ×" if p.count > 1 else "", 8.5),
            said(p.name + (" *" if p.key in assumed else ""), 8.5),
            *(said(cell(p.key, state), 8.5) for state, _ in _STATES),
        ]
        for p in build.parts
    ]
    sums = [_watts(result.strip.watts[state]) for state, _ in _STATES]  # type: ignore[literal-required]
    total = ["", "in all, W", *sums]
    return [head, *rows, [said(t, 8.5, bold=True) for t in total]]


def _asked(result: Compact) -> list[list[Any]]:
    rows = [[r.words, _watts(r.watts) + " W" * (r.watts is not None)] for r in result.sizing.rules]
    rows += [
        [f"spikes of {words}", f"{_watts(getattr(result.strip.spikes, key))} W"]
        for key, words in _SPIKES
    ]
    needed = result.sizing.needed
    pick = result.sizing.pick_w
    rows.append(
        [
            "needed in all" + (f"; the next common size is {pick} W" if pick else ""),
            "not known" if needed is None else f"{_watts(needed)} W",
        ]
    )
    return [[said(text, 8.5) for text in row] for row in rows]


def _supply_title(build: Build) -> str:
    if build.supply is None:
        return "No supply is chosen"
    rated = build.supply.rated_w
    return f"{build.supply.name}{f', {rated:.0f} W' if rated is not None else ''}"


def _checks(result: Compact) -> list[list[Any]]:
    supply = result.supply
    if supply is None:
        return [[said("", 8.5), said("Nothing to be checked yet.", 8.5)]]
    return [[said(c.status, 8.5), said(c.text, 8.5)] for c in supply.checks]
