"""The answer to a question: the change is made, mapped, judged; where it fails, what would make it
go is worked out."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..publishing import compact, price_answer
from ..supplies.buying import to_buy
from ..things.build import Build
from .around import Around, Patience
from .change import Change
from .outcome import Before, Outcome
from .remedies import Remedy, remedies
from .result import Goes, QuestionAnswer, VerdictAnswer, WayAnswer
from .schools import otherwise
from .verdicts import verdicts
from .words import TITLES, figure, remedy_words, sentences

_ENDED = "There are more ways than were looked at in the time that an answer may take."


@dataclass(frozen=True, slots=True, kw_only=True)
class Answered:
    """An answer in words, and the builds that it tells of: as asked, then by each of its ways."""

    answer: QuestionAnswer
    builds: tuple[Build, ...]


def ask(build: Build, change: Change, around: Around, patience: Patience | None = None) -> Answered:
    """What becomes of a build by a change, and what would make it go, looked for while there is
    `patience`. Raises as the change does."""
    patience = patience or Patience()
    before = Before(build, around)
    then = before.mapped(change.to(build), patience)
    ways = remedies(before, then, patience)
    return Answered(
        answer=_answer(before, change, then, ways, patience),
        builds=(then.build, *(w.outcome.build for w in ways)),
    )


def _answer(
    before: Before, change: Change, then: Outcome, ways: tuple[Remedy, ...], patience: Patience
) -> QuestionAnswer:
    now = before.as_it_is()
    told = verdict_answers(now, then)
    fails = {v.id for v in told if v.status == "fail"}
    by_school = otherwise(then, fails, patience)
    told = tuple(replace(v, schools=tuple(by_school.get(v.id, ()))) for v in told)
    goes: Goes = "goes in"
    if any(w for w in ways if {*w.mends} == fails):
        goes = "goes in with"
    elif fails:
        goes = "does not go in"
    elif _not_known(told):
        goes = "not known"
    build = then.build
    return QuestionAnswer(
        asked=change.words,
        build=build.name,
        goes=goes,
        text=_headline(goes, told, ways, build),
        overall=compact(then.analysis).overall,
        price=price_answer(then.price, build.place.currency),
        verdicts=told,
        ways=tuple(_way(now, w, at, build) for at, w in enumerate(ways, 1)),
        to_buy=tuple(i.name for i in to_buy(build)),
        undecided=(then.mapped.undecided if then.mapped else "")
        or (_ENDED if patience.ended else ""),
    )


def verdict_answers(now: Outcome, then: Outcome) -> tuple[VerdictAnswer, ...]:
    """The six verdicts in words, beside how each stands now."""
    was = {v.id: v for v in verdicts(now)}
    several = []
    for v in verdicts(then):
        text, *more = sentences(v, then) or ("",)
        several.append(
            VerdictAnswer(
                id=v.id,
                title=TITLES[v.id],
                status=v.status,
                was=was[v.id].status,
                figure=figure(v, then),
                now=figure(was[v.id], now) if v.id != "work" else "",
                text=text,
                more=tuple(more),
            )
        )
    return tuple(several)


def _not_known(told: tuple[VerdictAnswer, ...]) -> str:
    """Verdicts of which nobody can tell whether it goes; nothing: of all of them."""
    # What it costs tells, and judges nothing.
    return ", ".join(v.title.lower() for v in told if v.status == "unknown" and v.id != "cost")


def _way(now: Outcome, way: Remedy, at: int, build: Build) -> WayAnswer:
    return WayAnswer(
        at=at,
        text=remedy_words(way, build),
        mends=way.mends,
        price=price_answer(way.price, build.place.currency),
        overall=compact(way.outcome.analysis).overall,
        verdicts=verdict_answers(now, way.outcome),
    )


def _headline(
    goes: Goes, told: tuple[VerdictAnswer, ...], ways: tuple[Remedy, ...], build: Build
) -> str:
    fails = [v for v in told if v.status == "fail"]
    named = " and ".join(v.title.lower() for v in fails)
    match goes:
        case "goes in":
            looks = [v.title.lower() for v in told if v.status == "warn"]
            return "It goes in." + (f" Worth a look: {', '.join(looks)}." if looks else "")
        case "goes in with":
            text = f"Not as it is, for {named}. It goes in so: {remedy_words(ways[0], build)}"
            unknown = _not_known(told)
            return f"{text} Not known yet: {unknown}." if unknown else text
        case "does not go in":
            said = f"It does not go in, for {named}"
            if not ways:
                return f"{said}; nothing that is at hand or sold mends it."
            mended = [v for v in fails if v.id in ways[0].mends]
            rest = [v.title.lower() for v in fails if v not in mended]
            return (
                f"{said}. {' and '.join(v.title for v in mended)} would be mended so: "
                f"{remedy_words(ways[0], build)} Nothing at hand or sold mends "
                f"{' and '.join(rest)}."
            )
    return f"Nothing speaks against it, but {_not_known(told)} can’t be told yet."
