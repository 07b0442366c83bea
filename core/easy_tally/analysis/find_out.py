"""What to find out: of all that nobody measured or says, what could change anything, one item a
cause, the one that decides named, and what each answer would mean."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, NamedTuple

from ..base.rounding import TOLERANCE
from ..editing import ChangeBuild, Edit, FindOut
from ..ratings.elements import Element
from ..ratings.runs import RunResult
from ..ratings.through_board import BoardElement
from ..ratings.verdicts import Judgement, Verdict
from ..standards.unmeasured import CASE_SIZES
from ..supplies.asked import CheckStatus, SupplyCheck
from ..supplies.case.fit import FitCheck
from ..usual import Fact, with_found
from ..wiring.areas import place_of
from .analyse import with_figures
from .facts import Analysis
from .finding import Finding, Subject
from .of_fit import facts_behind, fit_checks

#: What an item settles: the verdict on the whole, or what is to be bought.
Settles = Literal["verdict", "purchase"]
#: What a figure would make of what it decides.
Meaning = Verdict | Literal["fits", "may not fit", "does not fit"]
_HOLDS: tuple[Meaning, ...] = ("within", "tight", "fits")
#: Gauges that are looked at, thick first.
_GAUGES = (14, 16, 18, 20, 22)


@dataclass(frozen=True, slots=True, kw_only=True)
class Answer:
    """What may be found: a value in the unit of its field, or, where a length is measured, from it
    on (`at_least`) or up to it (`at_most`); what it would mean, and the edit that says so."""

    value: float
    means: Meaning
    how: Literal["", "at_least", "at_most"] = ""
    word: str = ""
    edit: Edit | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class ToFindOut:
    """One cause: the fact that decides, or what is missing of a finding; `alike` keys of things of
    which the same is not known; `broken` what breaks at the cautious end."""

    id: str
    settles: Settles
    subject: Subject
    fact: Fact | None = None
    alike: tuple[str, ...] = ()
    broken: object = None
    answers: tuple[Answer, ...] = ()
    finding: Finding | None = None
    #: Others that are told with it.
    more: tuple[Finding, ...] = ()


def to_find_out(a: Analysis) -> tuple[ToFindOut, ...]:
    """Everything to find out, that first which could change the verdict on the whole."""
    by_cause: dict[str, list[_Broken]] = {}
    for broken in _broken(a):
        fact = _deciding(a, broken)
        if fact is not None:
            by_cause.setdefault(_cause(fact), []).append(broken._replace(fact=fact))
    items = [_of_fact(a, cause, several) for cause, several in by_cause.items()]
    items += _of_unknown(a)
    return tuple(sorted(items, key=lambda i: i.settles != "verdict"))


def usual_in_use(a: Analysis) -> tuple[Fact, ...]:
    """Facts that something is judged by: of cables that are plugged in, ways to what is fed."""
    used = {r.wired.cable.key for r in a.runs if r.wired.feeds}
    used |= {x.between.key for r in a.runs for x in r.beyond}
    areas = {place_of(f.input) for f in a.wired.feeds.values()}
    headers = {(b.part, b.at) for b in a.board if b.kind == "header"}
    several = []
    for fact in a.usual:
        match fact.of:
            case "cable" | "adapter" | "extension":
                counts = fact.key in used
            case "case":
                counts = fact.field != "routes" or fact.at in areas
            case "part" if fact.at:
                counts = (fact.key, fact.at) in headers
            case _:
                counts = a.build.case is not None
        several += [fact] if counts else []
    return tuple(several)


# -- what breaks at the cautious end ---------------------------------------------------------


class _Broken(NamedTuple):
    """What holds as usual and breaks at the cautious end."""

    judged: Judgement | None
    of: RunResult | BoardElement | FitCheck | SupplyCheck
    element: Element | None = None
    fact: Fact | None = None

    @property
    def share(self) -> float:
        """How far it is beyond, at the cautious end; what has no share is far."""
        end = self.judged.at_cautious if self.judged is not None else None
        return math.inf if end is None or end.share is None else end.share


def _broken(a: Analysis) -> Iterator[_Broken]:
    for run in a.runs:
        for e in run.elements:
            if e.judged.usual == "breaks":
                yield _Broken(e.judged, run, e)
    for b in a.board:
        if b.judged.usual == "breaks":
            yield _Broken(b.judged, b)
    if a.supply is not None:
        yield from (_Broken(None, c) for c in a.supply.checks if _asks(a, c))
    for check in fit_checks(a):
        if check.usual == "breaks":
            yield _Broken(None, check)


def _asks(a: Analysis, c: SupplyCheck) -> bool:
    """Whether a check of the supply in place asks for a measure; for how far its cables reach the
    runs ask themselves, once they are mapped."""
    match c.id:
        case "reach":
            told = any(e.kind == "reach" and e.judged.usual for r in a.runs for e in r.elements)
            return bool(c.more.get("cautious")) and not told
        case "length":
            return bool(c.more.get("cautious")) or c.status == "unknown"
        case "form":
            return c.status == "unknown" and _size_unknown(a)
    return False


def _size_unknown(a: Analysis) -> bool:
    return a.build.case is not None and a.build.case.size is None


def _facts_of(a: Analysis, broken: _Broken) -> list[Fact]:
    """Facts that may be what breaks it, those first that are the easiest to look up."""
    match broken.of:
        case FitCheck():
            return list(facts_behind(a, broken.of))
        case SupplyCheck(id="length"):
            return [f for f in a.usual if f.field in ("supply_length_mm",) or f.of == "supply"]
        case SupplyCheck():
            area = broken.of.more.get("area", "main plug")
            return [f for f in a.usual if f.field == "routes" and f.at == area]
        case BoardElement():
            own = broken.of.part, broken.of.at
            return [f for f in a.usual if f.of == "part" and (f.key, f.at) == own]
    keys = {broken.of.wired.cable.key} | {x.between.key for x in broken.of.beyond}
    element = broken.element
    if element is None:
        return []
    if element.kind == "reach":
        areas = {place_of(f.input) for f in broken.of.wired.feeds}
        areas |= {place_of(x.feed.input) for x in broken.of.beyond}
        own_mm = [f for f in a.usual if f.key in keys and f.field in ("at_mm", "length_mm")]
        ways = [f for f in a.usual if f.field == "routes" and f.at in areas]
        return [f for f in own_mm if f.at in ("", element.at.key)] + ways
    if element.at.between and element.kind != "drop":
        keys = {element.at.between}
    fields = ("gauge", "at_mm", "length_mm") if element.kind == "drop" else ("gauge",)
    return [f for field in fields for f in a.usual if f.key in keys and f.field == field]


def _deciding(a: Analysis, broken: _Broken) -> Fact | None:
    """The fact that settles it where it is found to be as usual; else the first."""
    facts = _facts_of(a, broken)
    if len(facts) < 2:
        return facts[0] if facts else None
    if broken.element is not None and broken.element.kind == "drop":
        settles = (f for f in facts if _means(a, broken, {f: f.band.likely}) in _HOLDS)
    else:
        settles = (f for f in facts if _gains(f) >= _lacks(broken))
    return next(settles, facts[0])


def _gains(fact: Fact) -> float:
    """How much better it is where it is as usual than at its cautious end."""
    return abs(fact.band.likely - fact.band.cautious)


def _lacks(broken: _Broken) -> float:
    """How much the limit lacks at the cautious end."""
    load, limit = _numbers(broken)
    return 0.0 if load is None or limit is None else load - limit


def _numbers(broken: _Broken) -> tuple[float | None, float | None]:
    """Load and limit at the cautious end."""
    if isinstance(broken.of, FitCheck | SupplyCheck):
        return broken.of.load, broken.of.limit
    end = broken.judged.at_cautious if broken.judged is not None else None
    return (None, None) if end is None else (end.load, end.limit)


def _cause(fact: Fact) -> str:
    """What is one item: all gauges, all that hangs so far, all of the case, of a card's size."""
    if fact.of == "case":
        return "case"
    if fact.of == "part" and fact.field in ("length_mm", "height_mm", "covers"):
        return "card"
    if fact.field in ("at_mm", "length_mm") and fact.of in ("cable", "adapter", "extension"):
        return "away"
    return f"{fact.field} {fact.key}" if fact.field in ("headers", "outputs") else fact.field


# -- an item ---------------------------------------------------------------------------------


def _of_fact(a: Analysis, cause: str, several: list[_Broken]) -> ToFindOut:
    worst = max(several, key=lambda b: (isinstance(b.of, RunResult | BoardElement), b.share))
    fact = worst.fact
    assert fact is not None  # each was given the one that decides it
    alike = tuple(dict.fromkeys(f.key for f in a.usual if _cause(f) == cause and f.of == fact.of))
    decides = any(isinstance(b.of, RunResult | BoardElement) for b in several)
    return ToFindOut(
        id=f"usual.{fact.field}",
        settles="verdict" if decides else "purchase",
        subject=_subject(fact),
        fact=fact,
        alike=alike,
        broken=worst.element or worst.of,
        answers=tuple(_sizes(a, several) if _size_asked(a, fact) else _answers(a, worst, fact)),
    )


def _subject(fact: Fact) -> Subject:
    match fact.of:
        case "case":
            return Subject(of="case", field=fact.field)
        case "supply":
            return Subject(of="supply", field=fact.field)
        case "part":
            return Subject(of="part", key=fact.key, field=fact.field)
    return Subject(of="cable", key=fact.key, field=fact.field)


def _edit(fact: Fact, value: float) -> FindOut:
    keys = (fact.key,) if fact.key else ()
    return FindOut(of=fact.of, keys=keys, at=fact.at, field=fact.field, value=value)  # type: ignore[arg-type]


def _answers(a: Analysis, broken: _Broken, fact: Fact) -> Iterator[Answer]:
    """What each figure would mean: gauge by gauge, or from which measure on."""
    if fact.field == "gauge":
        for awg in _GAUGES[_GAUGES.index(int(fact.band.likely)) :]:
            means = _means(a, broken, {fact: awg})
            if means != "unknown":
                yield Answer(value=awg, means=means, word=f"{awg} AWG", edit=_edit(fact, awg))
        return
    value = _threshold(broken, fact)
    if value is not None:
        less_is_worse = fact.band.cautious <= fact.band.likely
        how: Literal["at_least", "at_most"] = "at_least" if less_is_worse else "at_most"
        means = "within" if isinstance(broken.of, RunResult | BoardElement) else "fits"
        yield Answer(value=value, means=means, how=how, edit=_edit(fact, value))


def _size_asked(a: Analysis, fact: Fact) -> bool:
    return fact.of == "case" and _size_unknown(a)


#: The worst first.
_WORST: tuple[Meaning, ...] = (
    *("over", "unknown", "does not fit", "may not fit", "tight", "within", "fits"),
)


def _sizes(a: Analysis, several: list[_Broken]) -> Iterator[Answer]:
    """What each size of the case would mean for all that depends on it."""
    for size, words in CASE_SIZES.items():
        assert a.build.case is not None  # its size is asked
        case = a.build.case.model_copy(update={"size": size})
        then = with_figures(a, a.build.model_copy(update={"case": case}))
        means = min((_meaning(then, b) for b in several), key=_WORST.index)
        edit = ChangeBuild(changes={"case": case.model_dump(mode="json")})
        yield Answer(value=0, means=means, word=words, edit=edit)


def _threshold(broken: _Broken, fact: Fact) -> float | None:
    """The figure from which on it holds, whatever else is at its cautious end: in whole millimetres
    or tenths of an ampere; None where no one figure settles it."""
    load, limit = _numbers(broken)
    if load is None or limit is None:
        return None
    if fact.field in ("headers", "outputs"):
        return math.ceil(load * 10 / TOLERANCE) / 10
    if broken.element is not None and broken.element.kind != "reach":
        return None
    if isinstance(broken.of, FitCheck):
        return None if broken.of.id == "airflow" else _of_room(broken.of, fact)
    if fact.of == "supply" or fact.band.cautious > fact.band.likely:
        return math.floor(fact.band.cautious - (load - limit))
    return math.ceil(fact.band.cautious + load - limit)


def _of_room(check: FitCheck, fact: Fact) -> float | None:
    """The measure from which on it fits, of a check of room by usual figures."""
    if check.load is None or check.limit is None:
        return None
    if fact.of == "case":
        return math.ceil(check.load)
    return math.floor(fact.band.likely + check.limit - check.load)


# -- what a figure would mean ----------------------------------------------------------------


def _means(a: Analysis, broken: _Broken, known: dict[Fact, float]) -> Meaning:
    """What becomes of it with some facts known, all else as it is."""
    return _meaning(with_figures(a, with_found(a.build, known)), broken)


def _meaning(then: Analysis, broken: _Broken) -> Meaning:
    match broken.of:
        case FitCheck():
            own = broken.of.id, broken.of.part
            check = next((c for c in fit_checks(then) if (c.id, c.part) == own), None)
            return "fits" if check is None else _fits(check.status, check.usual == "breaks")
        case SupplyCheck():
            checks = then.supply.checks if then.supply else ()
            held = next((c for c in checks if c.id == broken.of.id), None)
            asks = held is not None and bool(held.more.get("cautious"))
            return "fits" if held is None else _fits(held.status, asks)
        case BoardElement():
            at = broken.of.part, broken.of.at, broken.of.line, broken.of.kind
            j = next(b.judged for b in then.board if (b.part, b.at, b.line, b.kind) == at)
            return _at_worst(j)
    key, element = broken.of.wired.cable.key, broken.element
    run = next(r for r in then.runs if r.wired.cable.key == key)
    own_elements = [
        e
        for e in run.elements
        if element and (e.kind, e.line, e.at) == (element.kind, element.line, element.at)
    ]
    verdicts = [_at_worst(e.judged) for e in own_elements]
    return next((v for v in ("over", "unknown", "tight") if v in verdicts), "within")


def _fits(status: CheckStatus, breaks: bool) -> Meaning:
    """What a check of room comes to; one that warns of something else holds."""
    if status == "fail":
        return "does not fit"
    return "may not fit" if breaks or status == "unknown" else "fits"


def _at_worst(j: Judgement) -> Verdict:
    """A verdict by which nothing is left to be asked: that of the cautious end, where it breaks."""
    return j.at_cautious.verdict if j.usual == "breaks" and j.at_cautious else j.verdict


# -- what nobody says ------------------------------------------------------------------------


def _of_unknown(a: Analysis) -> Iterator[ToFindOut]:
    """What is unknown, finding by finding: of those that lack the same, one."""
    by_cause: dict[tuple[str, ...], list[Finding]] = {}
    for f in a.findings:
        if f.severity == "unknown" and not _by_size(a, f):
            by_cause.setdefault(_apart(f), []).append(f)
    for first, *more in by_cause.values():
        keys = dict.fromkeys(f.subject.key for f in (first, *more))
        yield ToFindOut(
            id=first.id,
            settles="purchase" if first.id.startswith("fit.") else "verdict",
            subject=first.subject,
            alike=tuple(keys) if len(keys) > 1 else (),
            finding=first,
            more=tuple(more),
        )


def _by_size(a: Analysis, f: Finding) -> bool:
    """Whether all that it lacks is told by how large the case is, which is asked already."""
    lacks = {m for c in f.cause for m in c.missing} if f.id == "supply.unknown" else set()  # type: ignore[attr-defined]
    return lacks == {"case"} and _size_unknown(a)


def _apart(f: Finding) -> tuple[str, ...]:
    """What keeps two apart: a part's own figure is no other's, those of one label are told at once,
    and what the same kind of figure would tell of several cables."""
    remedy = f.remedies[0] if f.remedies else None
    if f.id.startswith("supply.") and remedy is not None and remedy.id == "enter-label":
        return ("supply", remedy.id)
    if f.id.startswith("run.") and remedy is not None:
        return (f.id, remedy.id)
    return (f.id, f.subject.key, f.subject.field)
