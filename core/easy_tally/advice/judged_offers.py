"""Offers judged: what each would do to the run that it goes into, best first."""

from __future__ import annotations

from dataclasses import replace

from ..analysis import judged_runs
from ..analysis.facts import Analysis
from ..base.errors import EasyTallyError
from ..base.rounding import percent
from ..editing import Connect
from ..ratings.runs import RunResult
from ..ratings.verdicts import rank
from ..wiring import Offer, Offers, Wired

#: Offers that are judged, the first: each takes a walk over every run. Where there are more inputs
#: than `_USUAL` they are fewer, and some always.
MOST, _LEAST, _USUAL = 24, 5, 120


def judged(a: Analysis, offers: Offers) -> Offers:
    """The fitting offers with the verdict and the worst share of the runs that they touch, best
    first: what is allowed, and of that what feeds nothing yet before what would have to move."""
    most = max(_LEAST, MOST * _USUAL // max(len(a.wired.inputs), _USUAL))
    offered = [_judged(a, o) for o in offers.fitting[:most]]
    order = {o: i for i, o in enumerate(offers.fitting)}
    moves = {o: (o.cable, o.plug) in a.wired.in_use for o in offers.fitting}
    pairs = sorted(
        zip(offers.fitting[:most], offered, strict=True),
        key=lambda x: (x[1][0].verdict == "over", moves[x[0]], x[1][1], order[x[0]]),
    )
    return replace(offers, fitting=(*(f[0] for _, f in pairs), *offers.fitting[most:]))


def _judged(a: Analysis, offer: Offer) -> tuple[Offer, tuple[int, float]]:
    edit = Connect(
        cable=offer.cable,
        plug=offer.plug,
        half=offer.half,
        socket=offer.at,
        ports=offer.ports or None,
    )
    try:
        wired = Wired(edit.apply(a.build), a.wired.memory.aside())
    except EasyTallyError:
        return offer, (9, 0.0)
    runs = judged_runs(wired, a)
    ways = {c.key for c in wired.cables_to(offer.socket)} | {offer.cable}
    worst = min((_rank(r) for r in runs if r.wired.cable.key in ways), default=(3, 0.0))
    run = next((r for r in runs if r.wired.cable.key in ways and _rank(r) == worst), None)
    if run is None or run.governing is None:
        return replace(offer, verdict="within"), (0, 0.0)
    judged_offer = replace(
        offer,
        verdict=run.verdict,
        percent=percent(run.governing.judged.share),
        refused_by_rule=run.governing.refused,
    )
    return judged_offer, (-worst[0], -worst[1])


def _rank(run: RunResult) -> tuple[int, float]:
    return rank(run.verdict, run.governing.judged.share if run.governing else None)
