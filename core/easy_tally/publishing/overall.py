"""The verdict on the whole, in one of four words, the same wherever it is said."""

from __future__ import annotations

from ..analysis.facts import Analysis
from ..analysis.find_out import ToFindOut, usual_in_use
from ..analysis.finding import BAD
from ..base.saying import counted
from . import wording
from .result import Overall

#: The verdicts with which nothing is left to mend or to prove.
HOLDS = ("proven", "holds, by usual figures")


def overall(a: Analysis, items: tuple[ToFindOut, ...], not_checked: int) -> Overall:
    """The verdict on a build: what is to mend before what is not known, that before what is taken
    as usual."""
    bad = sum(f.severity in BAD for f in a.findings)
    unknown = sum(i.finding is not None for i in items)
    could = [i for i in items if i.fact is not None and i.settles == "verdict"]
    usual = len(usual_in_use(a))
    if bad:
        return Overall(
            verdict="to mend", text=f"{bad} to mend", usual=usual, could_break=len(could)
        )
    if unknown or not_checked:
        lacks = [f"{unknown} not known"] if unknown else []
        lacks += [f"{not_checked} not checked"] if not_checked else []
        text = f"not proven: {', '.join(lacks)}"
        return Overall(verdict="not proven", text=text, usual=usual, could_break=len(could))
    if usual:
        which = f"{len(could)} could break it: {wording.fact_title(a, could[0])}" if could else ""
        text = f"holds, by {counted(usual, 'usual figure')}; {which or 'none could break it'}"
        return Overall(
            verdict="holds, by usual figures", text=text, usual=usual, could_break=len(could)
        )
    return Overall(verdict="proven", text="proven: each limit is known, and nothing is to mend")
