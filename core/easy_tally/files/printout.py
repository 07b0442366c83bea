"""The whole result as plain text, for the command line."""

from __future__ import annotations

from ..base.saying import number
from ..base.units import RAIL_WORDS, TALLY_STATES
from ..publishing import Amount, MapAnswer, Report


def _watts(amount: Amount) -> str:
    most = "≥ " if amount.missing else ""
    low, likely, high = (number(w, "W") for w in (amount.low, amount.likely, amount.high))
    return f"{most}{likely} ({low.removesuffix(' W')}–{high.removesuffix(' W')})"


def print_report(report: Report) -> str:
    """Tally, sizing, supply, runs, what to mend and what is not checked."""
    r = report.result
    lines = [r.name, "", "Tally, likely (low–high)"]
    lines += [f"  {s:10}{_watts(r.strip.watts[s])}" for s in TALLY_STATES]
    if r.unspoken:
        said = [u.words + (" (nearly always draws)" if u.draws else "") for u in r.unspoken]
        lines += ["", "Not spoken of yet: add it, or say that there is none here"]
        lines += [f"  {words}" for words in said]
    lines += ["", "At full load, by rail"]
    lines += [
        f"  {words:14}{_watts(r.by_rail[rail]['full'])}" for rail, words in RAIL_WORDS.items()
    ]
    lines += ["", "At full load, by path"]
    lines += [f"  {path:18}{_watts(amounts['full'])}" for path, amounts in r.by_path.items()]
    lines += ["", "Size of the supply"]
    for rule in r.sizing.rules:
        answer = _watts(rule.watts) if rule.watts else "not known: " + ", ".join(rule.missing)
        mark = "governs" if rule.governs else "binding" if rule.binding else "advice"
        lines.append(f"  {rule.words:28}{answer:28}{mark}")
    lines.append(f"  next common size: {r.sizing.pick_w or 'not known'}")
    lines += ["", f"Supply: {r.supply.name if r.supply else 'none'}"]
    if r.supply:
        lines.append(f"  {r.supply.verdict}")
        lines += [f"  {c.status:9}{c.text}" for c in r.supply.checks]
    lines += ["", f"Map: {r.strip.sockets_fed} of {r.strip.sockets_needed} required sockets fed"]
    for run in report.runs:
        share = f"{run.percent} %" if run.percent is not None else ""
        labels = " ".join(run.ports)
        lines.append(f"  {labels:8}{run.name:28}{run.verdict:9}{share:>6}  {run.cause}")
    lines += ["", "To mend" if r.mend else "Nothing to mend in what is checked"]
    lines += [f"  {m.kind:9}{m.title}: {m.text} {m.fix}" for m in r.mend]
    if r.notes:
        said = [f"  {n.title}: {n.text} {n.fix}".rstrip() for n in r.notes]
        lines += ["", "Worth knowing", *said]
    lines += ["", "Not checked yet", *(f"  {x}" for x in r.not_checked)]
    lines += ["", f"Overall: {r.overall.text}", ""]
    return "\n".join(lines)


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
    for title, several in (
        ("Together these forbid more" if answer.status == "impossible" else "Why", answer.why),
        ("What would mend it", [r.text for r in answer.repairs]),
        ("What changes", [m.text for m in answer.moves if m.id != "keep"]),
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
