"""The whole result as plain text, for the command line."""

from __future__ import annotations

from collections.abc import Iterator

from ..base.saying import money, moved_words, number
from ..base.units import RAIL_WORDS, TALLY_STATES
from ..publishing import Amount, Compact, MapAnswer, Report
from ..question import STATUS_WORDS, QuestionAnswer


def _watts(amount: Amount) -> str:
    most = "≥ " if amount.missing else ""
    low, likely, high = (number(w, "W") for w in (amount.low, amount.likely, amount.high))
    return f"{most}{likely} ({low.removesuffix(' W')}–{high.removesuffix(' W')})"


def print_report(report: Report) -> str:
    """Tally, sizing, supply, runs, what to mend and what is not checked."""
    result = report.result
    sections = (
        _tallied(result),
        _sized(result),
        _supplied(result),
        _mapped(report),
        _to_mend(result),
        _bought(result),
        ("", "Not checked yet", *(f"  {x}" for x in result.not_checked)),
        ("", f"Overall: {result.overall.text}", ""),
    )
    return "\n".join((result.name, *(line for section in sections for line in section)))


def _tallied(r: Compact) -> Iterator[str]:
    yield from ("", "Tally, likely (low–high)")
    yield from (f"  {s:10}{_watts(r.strip.watts[s])}" for s in TALLY_STATES)
    if r.unspoken:
        yield from ("", "Not spoken of yet: add it, or say that there is none here")
        for topic in r.unspoken:
            yield f"  {topic.words}" + (" (nearly always draws)" if topic.draws else "")
    yield from ("", "At full load, by rail")
    for rail, words in RAIL_WORDS.items():
        yield f"  {words:14}{_watts(r.by_rail[rail]['full'])}"
    yield from ("", "At full load, by path")
    yield from (f"  {path:18}{_watts(amounts['full'])}" for path, amounts in r.by_path.items())


def _sized(r: Compact) -> Iterator[str]:
    yield from ("", "Size of the supply")
    for rule in r.sizing.rules:
        answer = _watts(rule.watts) if rule.watts else "not known: " + ", ".join(rule.missing)
        mark = "governs" if rule.governs else "binding" if rule.binding else "advice"
        yield f"  {rule.words:28}{answer:28}{mark}"
    yield f"  next common size: {r.sizing.pick_w or 'not known'}"


def _supplied(r: Compact) -> Iterator[str]:
    yield from ("", f"Supply: {r.supply.name if r.supply else 'none'}")
    if r.supply:
        yield f"  {r.supply.verdict}"
        yield from (f"  {c.status:9}{c.text}" for c in r.supply.checks)


def _mapped(report: Report) -> Iterator[str]:
    strip = report.result.strip
    yield from ("", f"Map: {strip.sockets_fed} of {strip.sockets_needed} required sockets fed")
    for run in report.runs:
        share = f"{run.percent} %" if run.percent is not None else ""
        labels = " ".join(run.ports)
        verdict = f"{run.verdict}, usual" if run.usual else run.verdict
        yield f"  {labels:8}{run.name:28}{verdict:16}{share:>6}  {run.cause}"


def _to_mend(r: Compact) -> Iterator[str]:
    yield from ("", "To mend" if r.mend else "Nothing to mend in what is checked")
    yield from (f"  {m.kind:9}{m.title}: {m.text} {m.fix}" for m in r.mend)
    if r.find_out:
        yield from ("", "To find out, that first which could change the verdict")
        for item in r.find_out:
            said = " ".join(x for x in (item.text, item.where, item.means) if x)
            yield f"  {item.title}: {said}"
    if r.notes:
        yield from ("", "Worth knowing")
        yield from (f"  {n.title}: {n.text} {n.fix}".rstrip() for n in r.notes)


def _bought(r: Compact) -> Iterator[str]:
    if r.to_buy.items:
        yield from ("", f"To buy: {r.to_buy.text}")
        for item in r.to_buy.items:
            price = "?" if item.price is None else money(item.price, r.to_buy.currency)
            yield f"  {item.name:40}{price:>14}"


def _changes(answer: MapAnswer) -> Iterator[str]:
    """What changes, cable by cable: from and into."""
    for s in answer.swaps:
        if s.ends:
            stay = f", {s.stays} {'plug stays' if s.stays == 1 else 'plugs stay'}" * bool(s.stays)
            yield f"{s.name} {s.does}{stay}"
            yield from (f"  {e.end}: {moved_words(e.out_of, e.into)}" for e in s.ends)


def print_map(answer: MapAnswer) -> str:
    """What mapping found, as text: the moves, the goals, the cables; or why there is no map."""
    whole = answer.status == "mapped"
    proven = "proven best" if answer.proven else "not proven best"
    said = {"not decided": "Not decided.", "nothing": "There is nothing to map."}
    lines = [
        f"Mapped, {proven}." if whole else said.get(answer.status, "Not everything can be fed.")
    ]
    if answer.unfed:
        lines.append("Left unfed: " + ", ".join(answer.unfed))
    for left in answer.left:
        lines.append("Why " + ", ".join(left.sockets))
        lines += [f"  {words}" for words in left.why]
    for title, several in (
        ("Together these forbid more" if answer.status == "impossible" else "Why", answer.why),
        ("What would mend it", [r.text for r in answer.repairs]),
        (f"What changes, {answer.moved} ends", list(_changes(answer))),
        ("Cables it takes", answer.bill),
    ):
        if several:
            lines += ["", f"{title}:", *(f"  {text}" for text in several)]
    lines += ["", "What it comes to:"]
    for g in answer.goals:
        bound = "" if g.proven else f" (at best {g.bound})"
        now = f", now {g.now}" if g.now else ""
        lines.append(f"  {g.words}: {g.then}{bound}{now}")
    return "\n".join(lines) + "\n"


def print_answer(answer: QuestionAnswer) -> str:
    """An answer as text: the verdicts with their numbers, and the ways."""
    lines = [f"{answer.build}: {answer.asked}", answer.text, ""]
    for v in answer.verdicts:
        now = f"   (now {v.now})" if v.now and v.now != v.figure else ""
        lines.append(f"{v.title:6} {STATUS_WORDS[v.status]:12} {v.figure}{now}")
        lines.append(f"       {v.text}")
    if answer.ways:
        lines += ["", "What would make it go, the cheapest first"]
        lines += [f"{w.at}. {w.text} ({w.price.text})" for w in answer.ways]
    if answer.undecided:
        lines += ["", answer.undecided]
    return "\n".join(lines) + "\n"
