"""What is found on the runs: the worst of each that is not within, and what would mend it."""

from __future__ import annotations

from collections.abc import Iterator

from ..base.units import GROUND, Line
from ..editing import Connect
from ..ratings.elements import Element
from ..ratings.places import Place
from ..ratings.runs import RunResult
from ..wiring import Between, Carrier, Input, unsaid
from ..wiring.offers import free_ports_for
from .facts import Analysis
from .finding import Finding, Remedy, Severity, Subject


def runs(a: Analysis) -> Iterator[Finding]:
    """The governing element of every run that is not within."""
    for run in a.runs:
        e = run.governing
        if e is None or run.verdict == "within":
            continue
        j = e.judged
        severity: Severity = "refused" if run.verdict == "over" and e.refused else run.verdict
        yield Finding(
            id=f"run.{e.kind.replace(' ', '-')}",
            severity=severity,
            cause=(run, e),
            subject=Subject(of="cable", key=run.wired.cable.key),
            remedies=_remedies(a, run, e),
            numbers={
                "load": j.load,
                "limit": j.limit,
                "share": j.share,
                "unit": e.unit,
                "line": e.line,
                "state": j.state,
                "at": str(e.at) or e.said,
            },
        )


def _remedies(a: Analysis, run: RunResult, e: Element) -> tuple[Remedy, ...]:
    if run.verdict == "tight":
        return ()
    if run.verdict == "unknown":
        return _to_find_out(a, run)
    return (_to_mend(a, run, e),)


# -- what is over --------------------------------------------------------------------------


def _to_mend(a: Analysis, run: RunResult, e: Element) -> Remedy:
    """What takes the worst of a run away."""
    at = Subject(of="cable", key=run.wired.cable.key)
    if e.kind == "forbidden":
        return Remedy(id="never-so", find=at)
    if e.kind == "reach":
        chained = e.at.is_span
        return Remedy(id="plugs-further-apart" if chained else "take-longer-cable", find=at)
    if e.terms.get("leads", 9) < e.terms.get("least", 0):
        return Remedy(id="more-leads", find=at)
    if e.kind == "grant":
        return _beside(a, run, e) or Remedy(id="lower-power", find=at)
    if len(run.wired.feeds) < 2:
        return Remedy(id="rated-for-more", find=at)
    return _spare_for(a, run) or Remedy(id="no-spare", find=at)


def _beside(a: Analysis, run: RunResult, e: Element) -> Remedy | None:
    """Feeding another socket of the same instance too, which then takes its share."""
    for into in _inputs_at(run, e.at):
        for other in a.wired.inputs_of(into.at.part, into.at.instance):
            if other.ref not in a.wired.live and other.socket.kind == into.socket.kind:
                at = Subject(of="socket", key=other.ref)
                return Remedy(id="feed-beside", find=at, names=(a.wired.words(other.ref),))
    return None


def _inputs_at(run: RunResult, at: Place) -> list[Input]:
    """What is fed where an element stands: by a plug of the cable, or of what is in between."""
    inputs = [f.input for f in run.wired.feeds if Place(f.plug.key) == at]
    return inputs + [x.feed.input for x in run.beyond if x.at == at]


def _spare_for(a: Analysis, run: RunResult) -> Remedy | None:
    """Moving the last plug of a run to a cable that is not in use, with a free port for it."""
    last = run.wired.feeds[-1]
    for cable in sorted(a.build.cables, key=lambda c: len(c.plugs)):
        if a.build.run(cable.key) is not None:
            continue
        plug = next((p for p in cable.plugs if p.kind == last.plug.kind), None)
        ports = None if plug is None else free_ports_for(a.wired, cable)
        if plug is not None and ports is not None and cable.family == run.wired.cable.family:
            edit = Connect(cable=cable.key, plug=plug.key, socket=last.input.at, half=last.half)
            where = " and ".join(p.label for p in ports) or "the supply"
            return Remedy(
                id="move-to-spare",
                edit=edit,
                names=(a.wired.words(last.input.ref), cable.name, where),
            )
    return None


# -- what is not known ---------------------------------------------------------------------


def _to_find_out(a: Analysis, run: RunResult) -> tuple[Remedy, ...]:
    """Every fact whose lack leaves some element of a run unknown, once each."""
    unknown = [e for e in run.elements if e.judged.verdict == "unknown"]
    facts = dict.fromkeys(fact for e in unknown for fact in _facts(a, run, e))
    return tuple(facts) or (
        Remedy(id="enter-missing", find=Subject(of="cable", key=run.wired.cable.key)),
    )


def _facts(a: Analysis, run: RunResult, e: Element) -> Iterator[Remedy]:
    if e.judged.limit is not None:
        yield from _figures(a, run)
        return
    cable = run.wired.cable
    carrier: Carrier = a.wired.betweens[e.at.between] if e.at.between else cable
    at = Subject(of="cable", key=cable.key)
    match e.kind:
        case "grant":
            coded = "leads" in e.terms
            yield Remedy(
                id="enter-code" if coded else "enter-sense", find=at, names=(carrier.name,)
            )
        case "forbidden":
            for x in unsaid(a.wired, run.wired):
                yield Remedy(id="tell-moulded", find=at, names=(x.name,))
        case "not worked out":
            yield Remedy(id="report-it")
        case "wire":
            yield from _of_wires(carrier, e.line, at)
        case "drop":
            # Any wire on the way may be the one; whatever is not known is named.
            ways: list[Carrier] = [cable, *(x.between for x in run.beyond)]
            for way in ways:
                yield from _of_wires(way, e.line, at)
        case _:
            yield Remedy(id="enter-contact", find=at, names=(carrier.name,))


def _of_wires(carrier: Carrier, line: Line, at: Subject) -> Iterator[Remedy]:
    """What is not known of the wires of one thing, for a line out and back."""
    wires = carrier.conductors
    if _is_board(carrier):
        return
    if wires is None or not wires.of(line) or not wires.of(GROUND):
        yield Remedy(id="enter-wires", find=at, names=(carrier.name,))


def _is_board(carrier: Carrier) -> bool:
    """Whether it has a board of its own in the place of wires."""
    return isinstance(carrier, Between) and carrier.is_backplane


def _figures(a: Analysis, run: RunResult) -> Iterator[Remedy]:
    """The figures that are missing of what a run feeds."""
    fed = {f.input.at.part for f in run.wired.feeds} | {x.feed.input.at.part for x in run.beyond}
    blank = {r.part: r.field for r in a.tally.rows if r.missing}
    through = [k for k in blank if k in fed] or list(blank)
    for key in through:
        at = Subject(of="part", key=key, field=blank[key])
        yield Remedy(id="enter-figure-of", find=at, names=(a.wired.parts[key].name,))
