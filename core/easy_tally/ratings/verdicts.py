"""Judging a load against a limit.

Judged at the likely value; a limit crossed only at the high one makes at most `tight`.
Compared unrounded, with a relative tolerance of 1e-9. Missing data reads `unknown`.
"""

from __future__ import annotations

import math
from typing import Literal, NamedTuple

from ..base.rounding import TOLERANCE
from ..base.series import Series, likelies, scale
from ..base.units import RUN_STATES, State
from .limits import Limit

Verdict = Literal["over", "unknown", "tight", "within"]
#: Worst first.
VERDICTS: tuple[Verdict, ...] = ("over", "unknown", "tight", "within")
#: Whether a verdict that stands on a usual figure holds at its cautious end.
UsualEnd = Literal["", "holds", "breaks"]
_RANK = {verdict: i for i, verdict in enumerate(VERDICTS)}


class CautiousEnd(NamedTuple):
    """What a judgement comes to where what nobody measured is as bad as is usual."""

    verdict: Verdict
    load: float
    limit: float | None
    share: float | None


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
    #: Where a figure of the limit is as usual, since nobody measured it: whether it holds at the
    #: cautious end too, or breaks there alone; and what it comes to there.
    usual: UsualEnd = ""
    at_cautious: CautiousEnd | None = None

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
    limit: Limit,
    within_to: float,
    missing: bool = False,
    states: tuple[State, ...] = RUN_STATES,
) -> Judgement:
    """Hold a load in each of `states` against one limit.

    A load above the continuous limit that holds at start is `tight` at best. A missing figure
    makes `unknown` of all but `over`. Of a limit that only warns nothing is over.
    """
    if limit.rated is None:
        return _unknown(loads, limit.each, states)
    if not missing and max(loads) * limit.each <= limit.rated * within_to:
        return _within(loads, limit, limit.rated, states)
    judged = (
        _in_state(loads, limit, limit.rated, within_to, missing, state, i)
        for i, state in enumerate(states)
    )
    # Where nothing carries it no load has a share: then the largest load governs.
    return min(judged, key=lambda j: (*rank(j.verdict, j.share), -j.load))


def _unknown(loads: Series, each: float, states: tuple[State, ...]) -> Judgement:
    likely = likelies(loads)
    most = max(likely)
    return Judgement(
        verdict="unknown",
        state=states[likely.index(most)],
        load=most * each,
        limit=None,
        share=None,
        rated=None,
        whole=loads,
        each=each,
    )


def _within(loads: Series, limit: Limit, rated: float, states: tuple[State, ...]) -> Judgement:
    """The common case, where no state comes near the limit: only the largest share is wanted."""
    likely = likelies(loads)
    eased = limit.eased(likely)
    most = max(eased)
    i = eased.index(most)
    allowed = rated * limit.at_start if i == len(eased) - 1 else rated
    share = most * limit.each / rated if rated > 0 else 0.0
    # In their order: by name each takes twice as long, of thousands.
    load = likely[i] * limit.each
    return Judgement("within", states[i], load, allowed, share, rated, loads, limit.each)


def _in_state(
    loads: Series, limit: Limit, rated: float, within_to: float, missing: bool, state: State, i: int
) -> Judgement:
    likely, high = loads[3 * i + 1] * limit.each, loads[3 * i + 2] * limit.each
    allowed = rated * limit.at_start if state == "start" else rated
    share = likely / allowed if allowed > 0 else (None if likely > 0 else 0.0)
    verdict, only_at_high, at_start_only = _verdict(
        likely, high, allowed, rated, within_to, missing
    )
    if verdict == "over" and limit.warns:
        verdict = "unknown" if missing else "tight"
    return Judgement(
        verdict=verdict,
        state=state,
        load=likely,
        limit=allowed,
        share=share,
        rated=rated,
        whole=loads,
        each=limit.each,
        only_at_high=only_at_high,
        at_start_only=at_start_only,
    )


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
