"""Answers in words: a deciding number, a sentence, what else there is to be said."""

from __future__ import annotations

from collections.abc import Callable, Iterator

from ..advice import Way
from ..analysis import Analysis
from ..analysis.finding import Finding
from ..base.rounding import percent
from ..base.saying import counted, money, number
from ..mapping import Repair
from ..publishing import way_words
from ..publishing.wording import check_words, fit_words, kind_words, price_words, rule_words, said
from ..publishing.wording.mapped import repair_words, worst_lane
from ..supplies.asked import CheckStatus, SupplyCheck
from ..supplies.case.fit import FitCheck
from ..things.build import Build
from .outcome import Outcome
from .remedies import Remedy, Step
from .verdicts import Verdict, VerdictId, has_no_leads, rank, year_kwh

TITLES: dict[VerdictId, str] = {
    "watts": "Watts",
    "leads": "Leads",
    "room": "Room",
    "air": "Air",
    "cost": "Cost",
    "work": "Work",
}
#: How a status is said of something that is asked about.
STATUS_WORDS: dict[CheckStatus, str] = {
    "pass": "goes",
    "warn": "worth a look",
    "fail": "does not go",
    "unknown": "not known",
    "not checked": "not checked",
}
#: Checks of a supply that are told with its watts, in this order.
_OF_WATTS = ("watts", "rating", "rail", "combined", "spikes", "regulation", "too big", "age")
#: As many sentences are told beside the first.
_MOST_MORE = 12


def step_words(step: Step, build: Build) -> str:
    """One thing that a remedy does, in a sentence."""
    currency = build.place.currency
    match step:
        case Repair():
            return repair_words(step, 0.0, currency)
        case Way(id="power-limit"):
            return f"Hold {step.name} to {step.watts} W, {percent(step.share)} % of its maker’s."
        case Way():
            return way_words(step, currency)
    return f"Put it into {step.name}: there is room in it."


def remedy_words(remedy: Remedy, build: Build) -> str:
    """What a remedy does; a card that two steps hold lower is told once, by the lower."""
    held = {s.name for s in remedy.steps if isinstance(s, Way) and s.id == "power-limit"}

    def is_told_by_another(step: Step) -> bool:
        return isinstance(step, Repair) and step.id == "power-limit" and step.steps[0].name in held

    return " ".join(step_words(s, build) for s in remedy.steps if not is_told_by_another(s))


# -- the deciding numbers ----------------------------------------------------------------------


def figure(v: Verdict, o: Outcome) -> str:
    """The number that decides a verdict, as short as can be; empty: there is none."""
    if v.id == "room" and v.status == "fail":
        return _of_finding(v.findings[0])
    return _FIGURES[v.id](o)


def _of_finding(f: Finding) -> str:
    """The number that a finding of room stands on; of one without any what it is about."""
    load, limit, unit = (f.numbers.get(n) for n in ("load", "limit", "unit"))
    if isinstance(load, float | int) and isinstance(limit, float | int):
        return f"{_measure(load, '')} of {_measure(limit, str(unit or ''))}"
    if "needed" in f.numbers:
        words = kind_words(f.cause.kind)  # type: ignore[attr-defined]
        return f"{f.numbers['needed']:g} of {f.numbers['there']:g}, {words}"
    return f.id.partition(".")[2].replace("-", " ")


def _watts(o: Outcome) -> str:
    a = o.analysis
    rated = a.build.supply.rated_w if a.build.supply else None
    worst = _worst_check(a)
    if worst is not None and worst.load is not None and worst.limit is not None:
        return f"{number(worst.load, worst.unit)} of {number(worst.limit, worst.unit)}"
    if a.sizing.needed is None:
        return f"at least {number(a.sizing.at_least_w, 'W')}"
    needed = number(a.sizing.needed.likely, "W")
    return f"{needed} of {number(rated, 'W')}" if rated else needed


def _worst_check(a: Analysis) -> SupplyCheck | None:
    """A check of the supply's size that fails; not that of what the rules ask for, which is the
    number anyway."""
    checks = a.supply.checks if a.supply else ()
    fails = [c for c in checks if c.status == "fail" and c.id in _OF_WATTS and c.load is not None]
    if not fails or fails[0].id == "watts":
        return None
    return fails[0]


def _leads(o: Outcome) -> str:
    a = o.analysis
    fed, needed = sum(r in a.wired.live for r in a.needed), len(a.needed)
    if fed == needed and needed:
        return f"{fed} of {needed} fed, {worst_lane(a.runs)}"
    return f"{fed} of {needed} fed"


def _room(o: Outcome) -> str:
    a = o.analysis
    for check in _fits(o):
        if check.load is not None and check.limit is not None:
            return f"{_measure(check.load, '')} of {_measure(check.limit, check.unit)}"
    return "no case" if a.build.case is None else ""


def _fits(o: Outcome) -> list[FitCheck]:
    """Checks of room, what fails first, then what is nearest to its limit."""

    def key(c: FitCheck) -> tuple[int, float]:
        return rank(c.status), -(c.load / c.limit if c.load and c.limit else 0.0)

    return sorted((c for c in o.fits if c.id != "airflow"), key=key)


def _measure(value: float, unit: str) -> str:
    return f"{value:g} {unit}".rstrip()


def _air(o: Outcome) -> str:
    check = o.airflow
    if check is None or check.load is None or check.limit is None:
        return ""
    return f"{check.load:.0f} of {check.limit:.0f} m³/h"


def _cost(o: Outcome) -> str:
    a = o.analysis
    kwh, price = year_kwh(a), _year_price(a)
    if price is not None:
        return f"{money(price, a.build.place.currency)} a year"
    return "" if kwh is None else f"{kwh:,.0f} kWh a year"


def _year_price(a: Analysis) -> float | None:
    checks = a.supply.checks if a.supply else ()
    return next((c.more.get("price") for c in checks if c.id == "cost"), None)


def _work(o: Outcome) -> str:
    steps = counted(len(o.open_steps), "step")
    return f"{steps}, about {o.price.minutes} min" if o.price.minutes else steps


_FIGURES: dict[VerdictId, Callable[[Outcome], str]] = {
    "watts": _watts,
    "leads": _leads,
    "room": _room,
    "air": _air,
    "cost": _cost,
    "work": _work,
}

# -- sentences ---------------------------------------------------------------------------------


def sentences(v: Verdict, o: Outcome) -> tuple[str, ...]:
    """What there is to be said of a verdict: what decides it first."""
    judged = [f for f in v.findings if f.severity != "note"]
    notes = [f for f in v.findings if f.severity == "note"]

    def told(findings: list[Finding]) -> Iterator[str]:
        yield from (f"{s.title}: {s.text}" for s in (said(o.analysis, f) for f in findings))

    several = dict.fromkeys([*told(judged), *_SAYS[v.id](o), *told(notes)])
    return tuple(several)[: 1 + _MOST_MORE]


def _say_watts(o: Outcome) -> Iterator[str]:
    a = o.analysis
    if a.supply is None:
        yield "There is no supply to hold it against."
        return
    by_id: dict[str, list[SupplyCheck]] = {}
    for check in a.supply.checks:
        by_id.setdefault(check.id, []).append(check)
    governs = next((r for r in a.sizing.rules if r.governs), None)
    if governs is not None and governs.watts is not None:
        rule = rule_words(a.build.house_rules, governs.id)
        yield f"The rule that decides: {rule}, {number(governs.watts.likely, 'W')}."
    for id in _OF_WATTS:
        for check in by_id.get(id, ()):
            if check.status in ("pass", "warn"):
                yield _sentence(check_words(check))


def _say_leads(o: Outcome) -> Iterator[str]:
    a = o.analysis
    if has_no_leads(a):
        yield (
            "Nobody says which cables it comes with: name one of the catalogue or of the drawer, "
            "or enter its cables."
        )
        return
    used = [r for r in a.runs if r.wired.feeds]
    if used:
        worst = max(used, key=lambda r: r.percent or 0)
        yield (
            f"{counted(len(used), 'cable')} in use; the fullest is {worst.wired.cable.name}, at "
            f"{worst.percent} %."
        )
    if o.mapped is not None and o.mapped.undecided:
        yield o.mapped.undecided


def _say_room(o: Outcome) -> Iterator[str]:
    a = o.analysis
    if a.build.case is None:
        yield "No case is chosen, so nothing is known of the room."
        return
    told = False
    for check in _fits(o):
        if check.status == "pass" and check.load is not None:
            part = a.wired.parts.get(check.part)
            words = fit_words(check, a.wired.parts)
            yield _sentence(f"{part.name}: {words}" if part else words)
            told = True
    for c in a.supply.checks if a.supply else ():
        if c.id in ("form", "length") and c.status == "pass":
            yield _sentence(check_words(c))
    if not told:
        yield f"Nothing of it asks for room in {a.build.case.name}."


def _say_air(o: Outcome) -> Iterator[str]:
    check = o.airflow
    if check is None and o.build.case is None:
        yield "No case is chosen, so nothing is known of the air."
    elif check is None:
        yield "Nothing is known to draw, so nobody knows what heat there is to carry off."
    elif check.status in ("pass", "unknown"):
        yield _sentence(fit_words(check, o.analysis.wired.parts))


def _say_cost(o: Outcome) -> Iterator[str]:
    a = o.analysis
    if o.bought:
        yield f"To buy: {', '.join(o.bought)}; {price_words(o.price, a.build.place.currency)}."
    by_id = {c.id: c for c in a.supply.checks} if a.supply else {}
    yield from (_sentence(check_words(by_id[id])) for id in ("cost", "efficiency") if id in by_id)
    if a.supply is None:
        yield "Without a supply nobody knows what it draws from the wall."


def _say_work(o: Outcome) -> Iterator[str]:
    if o.plan.stopped:
        yield o.plan.stopped
    steps = [p.step for p in o.plan.steps if p.state == "open"]
    out = [s.title for s in steps if s.group == "out"]
    if not steps:
        yield "Nothing is left to be done at the bench."
        return
    comes = f"{len(out)} of them take something out" if out else "nothing has to come out"
    yield f"{counted(len(steps), 'step')}; {comes}; {counted(o.moved, 'plug or port end')} moved."
    yield from (f"{title}." for title in out)


_SAYS: dict[VerdictId, Callable[[Outcome], Iterator[str]]] = {
    "watts": _say_watts,
    "leads": _say_leads,
    "room": _say_room,
    "air": _say_air,
    "cost": _say_cost,
    "work": _say_work,
}


def _sentence(text: str) -> str:
    text = f"{text[:1].upper()}{text[1:]}"
    return text if text.endswith(".") else f"{text}."
