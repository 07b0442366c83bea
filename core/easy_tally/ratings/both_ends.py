"""Judged at both ends of what nobody measured: as is usual, and at the cautious end.

What holds as usual and is over, or not known, at the cautious end is tight. Nothing that is wrong
as usual becomes right by it.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace

from ..base.memory import Memory
from .elements import Element
from .runs import RunResult, in_order
from .through_board import BoardElement
from .verdicts import CautiousEnd, Judgement, Verdict, rank

#: What does not hold.
_BREAKS: tuple[Verdict, ...] = ("over", "unknown")


def at_both_ends(usual: Judgement, cautious: Iterable[Judgement]) -> Judgement:
    """A judgement with usual figures, and what the cautious ends make of it; itself where they make
    no difference."""
    others = [j for j in cautious if _differs(j, usual)]
    if not others:
        return usual
    worst = min(others, key=lambda j: rank(j.verdict, j.share))
    end = CautiousEnd(worst.verdict, worst.load, worst.limit, worst.share)
    breaks = worst.verdict in _BREAKS and usual.verdict not in _BREAKS
    return usual._replace(
        verdict="tight" if breaks else usual.verdict,
        usual="breaks" if breaks else "holds",
        at_cautious=end,
    )


def _differs(a: Judgement, b: Judgement) -> bool:
    return (a.verdict, a.limit, a.share, a.load) != (b.verdict, b.limit, b.share, b.load)


def runs_at_both_ends(
    memory: Memory, usual: tuple[RunResult, ...], *cautious: tuple[RunResult, ...]
) -> tuple[RunResult, ...]:
    """Runs, each beside the same run at the cautious ends."""
    return tuple([memory.of(_run, runs) for runs in zip(usual, *cautious, strict=True)])


def _run(usual: RunResult, *cautious: RunResult) -> RunResult:
    elements = _elements(usual.elements, *(c.elements for c in cautious))
    if elements == list(usual.elements):
        return usual
    return replace(usual, verdict=elements[0].judged.verdict, elements=tuple(elements))


def _elements(usual: tuple[Element, ...], *cautious: tuple[Element, ...]) -> list[Element]:
    own = _by_place(usual)
    others = [_by_place(elements) for elements in cautious]
    both = [
        e._replace(judged=at_both_ends(e.judged, [o[at].judged for o in others if at in o]))
        for at, e in own.items()
    ]
    # What is found at a cautious end alone: two plugs that may not span their sockets.
    alone = {at: e for o in others for at, e in o.items() if at not in own}
    both += [e._replace(judged=_only_cautious(e.judged)) for e in alone.values()]
    return in_order(both)


def _only_cautious(j: Judgement) -> Judgement:
    end = CautiousEnd(j.verdict, j.load, j.limit, j.share)
    breaks = j.verdict in _BREAKS
    return j._replace(
        verdict="tight" if breaks else j.verdict,
        usual="breaks" if breaks else "holds",
        at_cautious=end,
    )


def _by_place(elements: Iterable[Element]) -> dict[tuple[object, ...], Element]:
    """Elements by what they are of: stretches of wire by their order along the cable, since how far
    they reach may be what is not known."""
    by_place: dict[tuple[object, ...], Element] = {}
    counts: dict[tuple[object, ...], int] = {}
    for e in sorted(elements, key=lambda e: e.from_mm):
        limits = e.kind, e.line, e.at, e.said
        counts[limits] = n = counts.get(limits, 0) + 1
        by_place[*limits, n] = e
    return by_place


def board_at_both_ends(
    usual: tuple[BoardElement, ...], *cautious: tuple[BoardElement, ...]
) -> tuple[BoardElement, ...]:
    """What comes through the board, beside the same at the cautious ends."""
    return tuple(
        replace(several[0], judged=at_both_ends(several[0].judged, [x.judged for x in several[1:]]))
        if len({x.judged for x in several}) > 1
        else several[0]
        for several in zip(usual, *cautious, strict=True)
    )
