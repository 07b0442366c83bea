"""The supply in the result: sizing, candidates, the sizes beside the needed one, fit, energy."""

from __future__ import annotations

from ..advice.sizes import Step, added, steps
from ..analysis.facts import Analysis
from ..analysis.of_fit import fit_checks, subject
from ..analysis.register import not_built
from ..base.rounding import exceeds, percent
from ..base.saying import number
from ..base.series import Span
from ..supplies.asked import Asked, SupplyCheck
from ..supplies.case.fit import FitCheck
from ..supplies.case.side_view import side_view
from ..supplies.checks import Ride, SupplyResult
from ..supplies.energy import billed, year
from ..supplies.living import lacks_for_wall, wall_of
from ..things.place import WEEK
from ..things.supply import Supply
from . import wording
from .result import (
    Amount,
    CheckAnswer,
    Percents,
    RideAnswer,
    RuleAnswer,
    SizingAnswer,
    SupplyAnswer,
)
from .result_supply import (
    AddedAnswer,
    BilledAnswer,
    DayAnswer,
    FitAnswer,
    MeasureAnswer,
    RoomAnswer,
    SizeAnswer,
    SizesAnswer,
    SpanAnswer,
    WeekAnswer,
)


def _amount(span: Span) -> Amount:
    return Amount(low=span.low, likely=span.likely, high=span.high)


def sizing_answer(a: Analysis) -> SizingAnswer:
    """The sizing rules side by side."""
    sizing, house = a.sizing, a.build.house_rules
    return SizingAnswer(
        rules=tuple(
            RuleAnswer(
                id=r.id,
                words=wording.rule_words(house, r.id),
                watts=_amount(r.watts) if r.watts else None,
                binding=r.binding,
                governs=r.governs,
                missing=r.missing,
            )
            for r in sizing.rules
        ),
        needed=_amount(sizing.needed) if sizing.needed else None,
        at_least_w=sizing.at_least_w,
        pick_w=sizing.pick_w,
    )


def supply_answer(supply: Supply, result: SupplyResult) -> SupplyAnswer:
    """A supply's checks in words."""
    share = {s: percent(x) for s, x in result.share.items()}
    by_id = {c.id: c for c in result.checks}
    cost, wall, quiet = by_id.get("cost"), by_id.get("efficiency"), by_id.get("quiet")
    return SupplyAnswer(
        name=supply.name,
        rated_w=supply.rated_w,
        verdict=result.verdict,
        checks=tuple(map(_check, result.checks)),
        percent=Percents(
            sleep=share["sleep"],
            idle=share["idle"],
            everyday=share["everyday"],
            full=share["full"],
            start=share["start"],
            short=share["short"],
        ),
        rides=tuple(map(_ride, result.rides)),
        wall_w=wall.more.get("wall_everyday") if wall else None,
        year_kwh=cost.load if cost else None,
        year_price=cost.more.get("price") if cost else None,
        fan_stands=quiet.more.get("stands") if quiet else None,
        not_checked=tuple(c.words for c in not_built("supply")),
    )


def _check(c: SupplyCheck) -> CheckAnswer:
    return CheckAnswer(
        id=c.id,
        status=c.status,
        text=wording.check_words(c),
        load=c.load,
        limit=c.limit,
        unit=c.unit,
        rail=c.rail,
        state=c.state,
    )


def _ride(r: Ride) -> RideAnswer:
    return RideAnswer(
        window=r.window,
        watts=_amount(r.total),
        rides=r.rides,
        holds=_holds(r.total, r.rides),
        v12_watts=_amount(r.v12),
        v12_rides=r.rides_v12,
        v12_holds=_holds(r.v12, r.rides_v12),
        worst=_amount(r.worst) if r.worst else None,
        worst_holds=_holds(r.worst, r.rides),
        v12_worst=_amount(r.worst_v12) if r.worst_v12 else None,
        v12_worst_holds=_holds(r.worst_v12, r.rides_v12),
    )


def _holds(load: Span | None, limit: float | None) -> bool | None:
    return None if limit is None or load is None else not exceeds(load.likely, limit)


# -- sizes ---------------------------------------------------------------------------------


def sizes_answer(a: Analysis) -> SizesAnswer:
    """The sizes below, at and above the one that is needed; what raised power limits add."""
    house = a.build.house_rules
    return SizesAnswer(
        sizes=tuple(
            SizeAnswer(
                rated_w=s.rated_w,
                at=s.at,
                text=_size_words(a, s),
                checks=tuple(map(_check, s.checks)),
            )
            for s in steps(a)
        ),
        added=tuple(
            AddedAnswer(rule=x.rule, words=wording.rule_words(house, x.rule), watts=x.watts)
            for x in added(a)
        ),
    )


def _size_words(a: Analysis, s: Step) -> str:
    load = f"{percent(s.everyday)} % of it in everyday use, {percent(s.full)} % at full"
    house = a.build.house_rules
    short = [f"{number(w, 'W')} short of {wording.rule_words(house, r)}" for r, w in s.short]
    fails = [c for c in s.checks if c.status == "fail" and c.id not in ("watts", "spikes")]
    little = next((c for c in s.checks if "headroom" in c.more), None)
    if little is not None and not fails:
        return f"{wording.check_words(little)}; {load}"
    costs = [*short, *map(wording.check_words, fails)]
    if costs:
        return f"too small: {'; '.join(costs)}; {load}"
    if any(c.id == "too big" and c.status == "warn" for c in s.checks):
        return f"needlessly large, over twice what is needed; {load}"
    if s.at == "above":
        return f"nothing more passes than with the size that is needed; {load}"
    return f"every rule is met; {load}"


# -- fit -----------------------------------------------------------------------------------


def fit_answer(a: Analysis) -> FitAnswer:
    """Every check of room and air, and the drawing; empty without a case."""
    case = a.wired.build.case
    if case is None:
        return FitAnswer(case="", checks=(), shapes=(), not_drawn=())
    checks = fit_checks(a)
    fails = {(c.id, c.part) for c in checks if c.status == "fail"}
    of_supply = a.supply.checks if a.supply else ()
    fails |= {(c.id, "") for c in of_supply if c.status == "fail"}
    drawing = side_view(a.wired, case, frozenset(fails))
    return FitAnswer(
        case=case.name,
        checks=tuple(_room(a, c) for c in checks),
        shapes=drawing.shapes,
        not_drawn=drawing.missing,
    )


def _room(a: Analysis, c: FitCheck) -> RoomAnswer:
    part = a.wired.parts.get(c.part)
    missing = []
    for m in c.missing if c.status == "unknown" else ():
        at = subject(m)
        text = wording.measure_words(m, a.wired.parts)
        missing.append(MeasureAnswer(text=text, of=at.of, subject=at.key, field=at.field))
    return RoomAnswer(
        id=c.id,
        status=c.status,
        part=c.part,
        name=part.name if part else "",
        words=wording.FIT_WORDS[c.id],
        text=wording.fit_words(c, a.wired.parts),
        load=c.load,
        limit=c.limit,
        unit=c.unit,
        missing=tuple(missing),
    )


# -- energy --------------------------------------------------------------------------------


def week_answer(supply: Supply, asked: Asked) -> WeekAnswer:
    """A week of one supply in this build."""
    place = asked.wired.build.place
    wall, lacks = wall_of(supply, asked), lacks_for_wall(supply)
    in_a_year = None if wall is None else year(wall, place)
    days = (
        ()
        if wall is None
        else tuple(
            DayAnswer(
                day=day,
                stretches=tuple(
                    BilledAnswer(
                        state=b.state,
                        from_h=b.from_h,
                        to_h=b.to_h,
                        wall_w=b.wall_w,
                        band=b.band,
                        price=b.price,
                    )
                    for b in billed(place, day, wall)
                ),
            )
            for day in WEEK
        )
    )
    bands = tuple(
        SpanAnswer(day=day, name=b.name, from_h=s, to_h=e, price=b.price_kwh)
        for day in WEEK
        for b in place.tariff
        for s, e in b.on(day)
    )
    return WeekAnswer(
        name=supply.name,
        days=days,
        bands=bands,
        kwh=in_a_year.kwh if in_a_year else None,
        cost=in_a_year.cost if in_a_year else None,
        currency=place.currency,
        lacks=wording.lacks(lacks) if lacks else "",
    )
