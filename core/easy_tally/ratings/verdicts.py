"""Judging a load against a limit.

Judged at the likely value; a limit crossed only at the high one makes at most `tight`.
Compared unrounded, with a relative tolerance of 1e-9. Missing data reads `unknown`.
"""

from __future__ import annotations

import math
from typing import Literal, NamedTuple

from ..base.rounding import TOLERANCE
from ..base.series import Series, highs, likelies, scale
from ..base.units import RUN_STATES, State

Verdict = Literal["over", "unknown", "tight", "within"]
#: Worst first.
VERDICTS: tuple[Verdict, ...] = ("over", "unknown", "tight", "within")
_RANK = {verdict: i for i, verdict in enumerate(VERDICTS)}


class Judgement(NamedTuple):
    """A load held against a limit in its governing state. `share` 1.0 is 100 %, never clamped;
    None where the limit is unknown or nothing is there to carry the load. `limit` is what holds
    in that state, `rated` what holds for as long as one likes. `whole` is the load in every state
    of which `each` is the part that was held against the limit. A named tuple, since thousands
    are made for one build."""

    verdict: Verdict
    state: State
    load: float
    limit: float | None
    share: float | None
    rated: float | None
    whole: Series
    each: float = 1.0
    only_at_high: bool = False
    at_start_only: bool = False

    @property
    def loads(self) -> Series:
        """What was held against the limit, in every state."""
        return scale(self.whole, self.each)


def worst(verdicts: list[Verdict]) -> Verdict:
    """The worst of some verdicts; `within` of none."""
    return min(verdicts, key=VERDICTS.index, default="within")


def rank(verdict: Verdict, share: float | None) -> tuple[int, float]:
    """Sort key: worst verdict first, then the highest share."""
    return (_RANK[verdict], -math.inf if share is None else -share)


def judge(
    loads: Series,
    limit: float | None,
    within_to: float,
    start_factor: float = 1.0,
    missing: bool = False,
    states: tuple[State, ...] = RUN_STATES,
    each: float = 1.0,
) -> Judgement:
    """Hold `each` part of the load in each of `states` against one limit.

    `start_factor` is what the element stands for the seconds of a start; a load above the
    continuous limit is then `tight` at best. A missing figure makes `unknown` of all but `over`.
    """
    if limit is not None and not missing and max(loads) * each <= limit * within_to:
        return _within(loads, limit, start_factor, states, each)
    best: Judgement | None = None
    for state, likely, high in zip(states, likelies(loads), highs(loads), strict=True):
        likely, high = likely * each, high * each
        if limit is None:
            found = Judgement(
                verdict="unknown", state=state, load=likely, limit=None, share=None, rated=None,
                whole=loads, each=each,
            )  # fmt: skip
            if best is None or likely > best.load:
                best = found
            continue
        allowed = limit * start_factor if state == "start" else limit
        share = likely / allowed if allowed > 0 else (None if likely > 0 else 0.0)
        verdict, only_at_high, at_start_only = _verdict(
            likely, high, allowed, limit, within_to, missing
        )
        # Where nothing carries it no load has a share: then the largest load governs.
        if best is None or (*rank(verdict, share), -likely) < (
            *rank(best.verdict, best.share),
            -best.load,
        ):
            best = Judgement(
                verdict=verdict, state=state, load=likely, limit=allowed, share=share,
                rated=limit, whole=loads, each=each, only_at_high=only_at_high,
                at_start_only=at_start_only,
            )  # fmt: skip
    if best is None:
        raise ValueError("loads of at least one state")
    return best


def _within(
    loads: Series, limit: float, start_factor: float, states: tuple[State, ...], each: float
) -> Judgement:
    """The common case, where no state comes near the limit: only the largest share is wanted."""
    eased = likely = likelies(loads)
    if start_factor != 1.0:
        # Start is the last of the states; there the limit is eased, as good as less load.
        eased = (*likely[:-1], likely[-1] / start_factor)
    most = max(eased)
    i = eased.index(most)
    allowed = limit * start_factor if i == len(eased) - 1 else limit
    share = most * each / limit if limit > 0 else 0.0
    return Judgement(
        verdict="within", state=states[i], load=likely[i] * each, limit=allowed, share=share,
        rated=limit, whole=loads, each=each,
    )  # fmt: skip


def _verdict(
    likely: float, high: float, allowed: float, rated: float, within_to: float, missing: bool
) -> tuple[Verdict, bool, bool]:
    """(verdict, only at the high end, only above what holds for long)."""
    if likely > allowed * TOLERANCE:
        return "over", False, False
    if missing:
        return "unknown", False, False
    if likely > allowed * within_to * TOLERANCE:
        return "tight", False, False
    if likely > rated * TOLERANCE:
        return "tight", False, True
    if high > allowed * TOLERANCE:
        return "tight", True, False
    return "within", False, False
