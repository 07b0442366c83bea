"""Builds side by side: what each is and comes to, thing by thing, figure by figure, so that what
differs lines up."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass
from typing import Any, NamedTuple

from ..base.rounding import percent
from ..base.saying import counted, money, number
from ..publishing import Amount, Compact, compact, price_answer
from ..publishing.wording import FIT_WORDS, fit_words
from ..supplies.asked import CheckStatus
from ..things.individuals import identity
from ..things.parts import Card, Part
from ..things.rules import RULES
from .outcome import Outcome
from .result import CellAnswer, ComparedAnswer, LineAnswer, SideAnswer
from .verdicts import verdicts
from .words import TITLES, figure

#: Sides that stand beside each other at the most.
MOST_SIDES = 4
#: Group of lines → its words, in the order in which they are told.
GROUPS = {
    "verdicts": "As a whole",
    "parts": "Parts",
    "watts": "Watts",
    "supply": "Supply",
    "leads": "Cables, by their share",
    "room": "Room and air",
    "money": "Energy and money",
    "work": "Work, from how the machine stands",
    "mend": "To mend",
    "rules": "House rules",
}
_STATES = {"idle": "idle", "everyday": "everyday", "full": "full", "start": "power-on"}
_SPIKES = {"ms_0_1": "0.1 ms", "ms_1": "1 ms", "ms_10": "10 ms", "ms_100": "100 ms"}
_NONE = CellAnswer(text="—")


@dataclass(frozen=True, slots=True, kw_only=True)
class Side:
    """One of those that are compared: how it is called, what it comes to. Where it is the build
    under a school: what that says of itself, and what it would take."""

    name: str
    outcome: Outcome
    note: str = ""
    takes: str = ""


class _Sides:
    """Several sides, each worked out once."""

    def __init__(self, sides: Sequence[Side]) -> None:
        self.sides = sides
        self.results: list[Compact] = [compact(s.outcome.analysis) for s in sides]

    @property
    def outcomes(self) -> list[Outcome]:
        """What each comes to."""
        return [s.outcome for s in self.sides]


def compared(sides: Sequence[Side]) -> ComparedAnswer:
    """Up to four sides beside each other: within each group what differs first."""
    several = _Sides(sides[:MOST_SIDES])
    lines: list[LineAnswer] = []
    for group, find in _LINES.items():
        own = [_line(group, words, cells) for words, cells in find(several)]
        lines += sorted(own, key=lambda line: not line.differs)
    return ComparedAnswer(
        sides=tuple(
            SideAnswer(
                name=s.name,
                note=s.note,
                takes=s.takes,
                overall=r.overall,
                price=price_answer(s.outcome.price, s.outcome.build.place.currency),
            )
            for s, r in zip(several.sides, several.results, strict=True)
        ),
        groups=tuple(GROUPS.items()),
        lines=tuple(lines),
    )


class _Row(NamedTuple):
    words: str
    cells: list[CellAnswer]


def _line(group: str, words: str, cells: list[CellAnswer]) -> LineAnswer:
    differs = len({(c.text, c.status) for c in cells}) > 1
    return LineAnswer(group=group, words=words, cells=tuple(cells), differs=differs)


def _each(sides: _Sides, words: str, say: Callable[[Outcome, Compact], str | CellAnswer]) -> _Row:
    cells = [say(o, r) for o, r in zip(sides.outcomes, sides.results, strict=True)]
    return _Row(words, [c if isinstance(c, CellAnswer) else CellAnswer(text=c) for c in cells])


# -- what it is --------------------------------------------------------------------------------


def _verdicts(sides: _Sides) -> Iterator[_Row]:
    yield _each(sides, "Overall", lambda o, r: r.overall.text)
    by_id = [{v.id: v for v in verdicts(o)} for o in sides.outcomes]
    for id, title in TITLES.items():
        cells = [
            CellAnswer(text=figure(own[id], o) or "—", status=own[id].status)
            for o, own in zip(sides.outcomes, by_id, strict=True)
        ]
        yield _Row(title, cells)


def _parts(sides: _Sides) -> Iterator[_Row]:
    yield _each(sides, "Case", lambda o, r: o.build.case.name if o.build.case else "—")
    things: list[list[tuple[str, str, Any]]] = [
        [(identity(p, "part"), p.kind, p) for p in o.build.parts] for o in sides.outcomes
    ]
    for kind, row in _aligned(things):
        yield _Row(kind, [_NONE if p is None else CellAnswer(text=_part_words(p)) for p in row])


def _part_words(part: Part) -> str:
    times = f"{part.count} × " if part.count > 1 else ""
    power = part.board_power_w if isinstance(part, Card) else None
    if power is None:
        return f"{times}{part.name}"
    limit = getattr(part, "power_limit", 1.0)
    held = "" if limit == 1.0 else f", held to {number(power.likely * limit, 'W')}"
    return f"{times}{part.name}, {number(power.likely, 'W')}{held}"


def _aligned(things: list[list[tuple[str, str, Any]]]) -> Iterator[tuple[str, list[Any]]]:
    """Things of each side in rows: the same individual in one, then those of a kind in their
    order. Each row with the kind's name."""
    seen = Counter(id for side in things for id, _, _ in side)
    rows: dict[tuple[str, str], list[Any]] = {}
    for n, side in enumerate(things):
        alone: Counter[str] = Counter()
        for id, kind, thing in side:
            at = (kind, id)
            if seen[id] < 2:
                alone[kind] += 1
                at = (kind, f"no. {alone[kind]}")
            rows.setdefault(at, [None] * len(things))[n] = thing
    for (kind, _), row in sorted(rows.items(), key=lambda r: r[0][0]):
        yield kind.capitalize(), row


# -- what it draws, and what feeds it -----------------------------------------------------------


def _amount(a: Amount) -> str:
    low, likely, high = number(a.low, "W"), number(a.likely, "W"), number(a.high, "W")
    least = "≥ " if a.missing else ""
    if low == high:
        return f"{least}{likely}"
    return f"{least}{likely} ({low.removesuffix(' W')}–{high})"


def _watts(sides: _Sides) -> Iterator[_Row]:
    for state, words in _STATES.items():
        yield _each(sides, words, lambda o, r, s=state: _amount(r.strip.watts[s]))  # type: ignore[misc]
    for window, words in _SPIKES.items():
        yield _each(
            sides,
            f"spike, {words}",
            lambda o, r, w=window: _amount(getattr(r.strip.spikes, w)),  # type: ignore[misc]
        )


def _supply(sides: _Sides) -> Iterator[_Row]:
    def name(o: Outcome, r: Compact) -> str:
        s = o.build.supply
        rated = f", {number(s.rated_w, 'W')}" if s and s.rated_w else ""
        return f"{s.name}{rated}" if s else "none yet"

    def governs(o: Outcome, r: Compact) -> str:
        rule = next((x for x in r.sizing.rules if x.governs), None)
        return f"{rule.words}: {_amount(rule.watts)}" if rule and rule.watts else "not known"

    def verdict(o: Outcome, r: Compact) -> CellAnswer:
        said = r.strip.supply_verdict
        status: CheckStatus = "pass" if said == "right size" else "fail"
        if said in ("a little short", "too big"):
            status = "warn"
        elif said in ("unknown", "none"):
            status = "unknown"
        return CellAnswer(text=said, status=status)

    yield _each(sides, "Supply", name)
    yield _each(sides, "The rule that decides", governs)
    yield _each(
        sides, "Next common size", lambda o, r: f"{r.sizing.pick_w} W" if r.sizing.pick_w else "—"
    )
    yield _each(sides, "Its size", verdict)
    yield _each(
        sides,
        "Full at",
        lambda o, r: "—" if r.strip.supply_percent is None else f"{r.strip.supply_percent} %",
    )


#: Verdict of a run → how a check of that kind reads.
_RUN_STATUS: dict[str, CheckStatus] = {
    "within": "pass",
    "tight": "warn",
    "over": "fail",
    "unknown": "unknown",
}


def _leads(sides: _Sides) -> Iterator[_Row]:
    yield _each(
        sides, "Sockets fed", lambda o, r: f"{r.strip.sockets_fed} of {r.strip.sockets_needed}"
    )
    yield _each(sides, "Cables in use", lambda o, r: str(sum(_in_use(x) for x in r.lanes)))
    yield _each(sides, "Runs refused or over", _refused)
    lanes = [
        [
            (identity(c, "cable"), c.name, lane)
            for lane in r.lanes
            if _in_use(lane) and (c := o.build.cable(lane.cable))
        ]
        for o, r in zip(sides.outcomes, sides.results, strict=True)
    ]
    for name, row in _aligned(lanes):
        yield _Row(name, [_NONE if lane is None else _lane(lane) for lane in row])


def _in_use(lane: Any) -> bool:
    return any(p.socket for p in lane.plugs)


def _refused(o: Outcome, r: Compact) -> CellAnswer:
    n = sum(lane.verdict == "over" or lane.refused for lane in r.lanes)
    return CellAnswer(text=str(n), status="fail" if n else "pass")


def _lane(lane: Any) -> CellAnswer:
    feeds = ", ".join(p.feeds for p in lane.plugs if p.socket)
    way = f"{' and '.join(lane.port_labels)} to {feeds}" if lane.port_labels else f"to {feeds}"
    share = "share not known" if lane.percent is None else f"{lane.percent} %"
    word = "refused" if lane.refused else lane.verdict
    return CellAnswer(
        text=f"{share}, {word}: {way}", status="fail" if lane.refused else _RUN_STATUS[lane.verdict]
    )


# -- room, money, work, what is left -------------------------------------------------------------


def _room(sides: _Sides) -> Iterator[_Row]:
    rows: dict[tuple[str, int], list[CellAnswer]] = {}
    for n, o in enumerate(sides.outcomes):
        told: Counter[str] = Counter()
        for c in o.fits:
            if c.status == "not checked":
                continue
            told[c.id] += 1
            cells = rows.setdefault((FIT_WORDS[c.id], told[c.id]), [_NONE] * len(sides.sides))
            part = o.analysis.wired.parts.get(c.part)
            words = fit_words(c, o.analysis.wired.parts)
            cells[n] = CellAnswer(text=f"{part.name}: {words}" if part else words, status=c.status)
    for (words, _), cells in rows.items():
        yield _Row(words, cells)


def _money(sides: _Sides) -> Iterator[_Row]:
    def year(o: Outcome, r: Compact) -> str:
        kwh = r.supply.year_kwh if r.supply else None
        return "not known" if kwh is None else f"{kwh:,.0f} kWh"

    def price(o: Outcome, r: Compact) -> str:
        amount = r.supply.year_price if r.supply else None
        return "not known" if amount is None else money(amount, o.build.place.currency)

    yield _each(sides, "A year, from the wall", year)
    yield _each(sides, "A year costs", price)
    yield _each(sides, "To buy", lambda o, r: r.to_buy.text)
    yield _each(
        sides, "What that is", lambda o, r: ", ".join(i.name for i in r.to_buy.items) or "—"
    )


def _work(sides: _Sides) -> Iterator[_Row]:
    def out(o: Outcome, r: Compact) -> str:
        steps = (p.step for p in o.plan.steps if p.state == "open" and p.step.group == "out")
        return counted(sum(1 for _ in steps), "step") + " out"

    yield _each(sides, "Steps", lambda o, r: counted(len(o.open_steps), "step"))
    yield _each(sides, "Takes out", out)
    yield _each(sides, "Plugs and port ends that move", lambda o, r: str(o.moved))
    yield _each(
        sides,
        "Minutes, by the record",
        lambda o, r: "not known" if o.price.minutes is None else str(o.price.minutes),
    )


def _mend(sides: _Sides) -> Iterator[_Row]:
    yield _each(
        sides,
        "To mend",
        lambda o, r: CellAnswer(text=str(len(r.mend)), status="fail" if r.mend else "pass"),
    )
    told: dict[str, list[CellAnswer]] = {}
    for n, r in enumerate(sides.results):
        for m in r.mend:
            cells = told.setdefault(m.title, [_NONE] * len(sides.sides))
            before = f"{cells[n].text} " if cells[n] is not _NONE else ""
            cells[n] = CellAnswer(text=f"{before}{m.text}", status="fail")
    for title, cells in told.items():
        yield _Row(title, cells)


def _rules(sides: _Sides) -> Iterator[_Row]:
    yield _each(sides, "Headroom", lambda o, r: f"{percent(o.build.house_rules.headroom)} %")
    for id, rule in RULES.items():
        words = {p.value: p.words for p in rule.positions}
        yield _each(
            sides,
            rule.words,
            lambda o, r, i=id, w=words: w[getattr(o.build.house_rules, i)],  # type: ignore[misc]
        )


_LINES: dict[str, Callable[[_Sides], Iterable[_Row]]] = {
    "verdicts": _verdicts,
    "parts": _parts,
    "watts": _watts,
    "supply": _supply,
    "leads": _leads,
    "room": _room,
    "money": _money,
    "work": _work,
    "mend": _mend,
    "rules": _rules,
}
