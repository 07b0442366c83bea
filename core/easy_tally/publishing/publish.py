"""The whole result of a build, as data: what the command prints and the application shows.

`Compact` is what every edit returns; `Report` adds every row and every element. Watts, amperes
and shares are unrounded; `percent` is a share in whole percents, rounded up.
"""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Callable
from dataclasses import replace

from ..advice.put_in import put_in
from ..analysis.facts import Analysis
from ..analysis.find_out import ToFindOut, to_find_out
from ..analysis.finding import BAD, Finding, Remedy
from ..analysis.of_board import remedy_id
from ..analysis.register import not_built
from ..base.declared import Figure
from ..base.rounding import percent
from ..base.series import Series, Span, scale, span_at
from ..base.units import RAIL_V, RUN_STATES, TALLY_STATES, WINDOWS, Origin, State
from ..ratings.elements import Element
from ..ratings.onward import Onward
from ..ratings.runs import RunResult
from ..ratings.through_board import BoardElement
from ..ratings.verdicts import rank
from ..standards.connectors import CONNECTORS, PLUGS
from ..standards.signals import SIGNAL_FIELDS
from ..supplies.asked import SupplyCheck
from ..supplies.at_hand import AtHand, at_hand
from ..supplies.uncertainty import mover
from ..tally.signals import SignalCount
from ..tally.spikes import SpikeRow, Spikes, spike_rows
from ..tally.sums import Path, Row, Sum
from ..things.boxed import LoosePart
from ..things.cables import Plug
from ..things.forgotten import FORGOTTEN, unspoken
from ..things.parts import Part
from ..wiring import Feed, Input, Wired, WiredRun
from ..wiring.never import never
from . import wording
from .overall import HOLDS, overall
from .publish_buying import buying_answer
from .publish_supply import sizing_answer, supply_answer
from .result import (
    Amount,
    Amounts,
    AtHandAnswer,
    BetweenAnswer,
    BoardAnswer,
    Compact,
    ElementAnswer,
    FindOutAnswer,
    FoundAnswer,
    Lane,
    LeadAnswer,
    Mend,
    MoverAnswer,
    Numbers,
    OnwardAnswer,
    PartWatts,
    PlugAnswer,
    RemedyAnswer,
    Report,
    RowAnswer,
    RunAnswer,
    SignalAnswer,
    SocketAnswer,
    SpikeAmounts,
    SpikeRowAnswer,
    StepAnswer,
    Strip,
    UnspokenAnswer,
)

RESULT_FORMAT = "easy-tally-result"
RESULT_VERSION = 3


def compact(a: Analysis) -> Compact:
    """The compact result of an analysis."""
    kept = a.wired.memory.of
    mend = tuple(_mend(a, f) for f in a.findings if f.severity in BAD)
    items = to_find_out(a)
    open_topics = _unspoken(a)
    return Compact(
        name=a.build.name,
        strip=_strip(a, open_topics, len(items)),
        overall=overall(a, items, len(_not_checked(a))),
        by_rail={r: kept(_amounts, (s,), (1.0,)) for r, s in a.tally.by_rail.items()},
        rail_amps={r: kept(_amounts, (s,), (1 / RAIL_V[r],)) for r, s in a.tally.by_rail.items()},
        by_path={p: kept(_amounts, (s,), (1.0,)) for p, s in a.tally.by_path.items()},
        parts=_part_watts(a),
        sizing=sizing_answer(a),
        supply=supply_answer(a.build.supply, a.supply) if a.build.supply and a.supply else None,
        sockets=_sockets(a),
        betweens=_betweens(a.wired),
        usual_mm=_usual_mm(a),
        at_hand=tuple(_at_hand(x) for x in at_hand(a.build, a.build.supply)),
        to_buy=buying_answer(a.build),
        lanes=tuple(_lane(a, r) for r in a.runs),
        through_board=tuple(_board(a.wired, b) for b in sorted(a.board, key=_worst_first)),
        moves_most=_mover(a),
        mend=mend,
        find_out=tuple(_find_out(a, i) for i in items),
        notes=tuple(_mend(a, f) for f in a.findings if f.severity == "note"),
        not_checked=_not_checked(a),
        signals=tuple(_signal(c) for c in a.signals.counts),
        unspoken=open_topics,
    )


def report(a: Analysis) -> Report:
    """The whole result of an analysis."""
    return Report(
        format=RESULT_FORMAT,
        version=RESULT_VERSION,
        result=compact(a),
        rows=tally_rows(a),
        spike_rows=spike_rows_of(a),
        runs=tuple(run_answer(a, r) for r in a.runs),
    )


# -- the verdict on the whole --------------------------------------------------------------


def exit_status(result: Report) -> int:
    """0 where the whole is proven, or holds by usual figures; otherwise 1."""
    return 0 if result.result.overall.verdict in HOLDS else 1


def _not_checked(a: Analysis) -> tuple[str, ...]:
    """Checks that are not built, and those of the supply that have nothing to be held against."""
    supply = (f"supply: {c.words}" for c in not_built("supply"))
    no_case = a.build.case is None
    bare = [c for c in _held_against_nothing(a) if not (no_case and c.id in OF_CASE)]
    return (
        *supply,
        *(f"supply: {wording.check_words(c)}" for c in bare),
        *(("room in the case, reach and air: no case is chosen",) if no_case else ()),
        *(c.words for c in not_built() if c.family != "supply"),
    )


#: Checks of a supply that are held against the case.
OF_CASE = ("form", "length", "reach")


def _held_against_nothing(a: Analysis) -> list[SupplyCheck]:
    return [c for c in a.supply.checks if c.status == "not checked"] if a.supply else []


def _strip(a: Analysis, open_topics: tuple[UnspokenAnswer, ...], to_find: int) -> Strip:
    supply, result = a.build.supply, a.supply
    # What nearly always draws and was not thought of: the tally is one of at least so much.
    unthought = tuple(u.words for u in open_topics if u.draws)
    total = replace(a.tally.total, missing=(*a.tally.total.missing, *unthought))
    spiking = replace(a.spikes, missing=(*a.spikes.missing, *unthought))
    fed, needed = a.wired.live, a.needed
    counts = Counter(f.severity for f in a.findings if f.severity in BAD)
    return Strip(
        watts=_amounts(1.0, total),
        spikes=_spike_amounts(spiking),
        supply=supply.name if supply else None,
        supply_w=supply.rated_w if supply else None,
        supply_percent=percent(result.share["full"]) if result else None,
        supply_verdict=result.verdict if result else "none",
        sockets_needed=len(needed),
        sockets_fed=sum(r in fed for r in needed),
        ports_left=len(a.wired.free_ports()),
        tight=sum(f.severity == "tight" for f in a.findings),
        mend=dict(counts),
        find_out=to_find,
    )


def _unspoken(a: Analysis) -> tuple[UnspokenAnswer, ...]:
    return tuple(
        UnspokenAnswer(id=t, words=(f := FORGOTTEN[t]).words, look=f.look, draws=f.draws)
        for t in unspoken(a.build.parts, a.build.none_here, a.wired.memory)
    )


def _signal(c: SignalCount) -> SignalAnswer:
    return SignalAnswer(
        kind=c.kind,
        words=wording.kind_words(c.kind),
        field=SIGNAL_FIELDS[c.kind],
        needed=c.needed[0],
        needed_most=_at_most(c.needed[1]),
        there=int(c.there[0]),
        there_most=_at_most(c.there[1]),
        verdict=c.verdict,
        needed_by=wording.who_needs(c),
    )


def _at_most(n: float) -> int | None:
    """A count's upper end, or None where there is none."""
    return None if math.isinf(n) else int(n)


def _mend(a: Analysis, f: Finding) -> Mend:
    title, text = wording.said(a, f)
    remedies = tuple(_remedy(a, r) for r in f.remedies)
    return Mend(
        id=f.id,
        kind=f.severity,
        title=title,
        text=text,
        fix=" ".join(r.text for r in remedies),
        of=f.subject.of,
        subject=f.subject.key,
        field=f.subject.field,
        remedies=remedies,
    )


def _find_out(a: Analysis, item: ToFindOut) -> FindOutAnswer:
    remedies: tuple[RemedyAnswer, ...] = ()
    if item.finding is not None:
        several = (item.finding, *item.more)
        title = wording.said(a, item.finding).title
        text = " ".join(dict.fromkeys(wording.said(a, f).text for f in several))
        remedies = tuple(
            {r.text: r for f in several for r in (_remedy(a, x) for x in f.remedies)}.values()
        )
        where = " ".join(dict.fromkeys(r.text for r in remedies))
    else:
        title, text, where = wording.fact_title(a, item), wording.decides(a, item), ""
    return FindOutAnswer(
        id=item.id,
        settles=item.settles,
        title=title,
        text=text,
        where=where or wording.where_found(a, item),
        means=wording.answers_text(item),
        of=item.subject.of,
        subject=item.subject.key,
        field=item.subject.field,
        alike=len(item.alike),
        remedies=remedies,
        answers=tuple(
            FoundAnswer(
                label=wording.answer_label(item, x),
                value=x.value,
                unit=wording.fact_unit(item),
                how=x.how,
                means=x.means,
                edit=x.edit,
            )
            for x in item.answers
        ),
    )


def _at_hand(lying: AtHand) -> AtHandAnswer:
    thing = lying.thing
    count = f"{thing.count} × " if isinstance(thing, LoosePart) and thing.count > 1 else ""
    size = f", {thing.size_mm} mm" if isinstance(thing, LoosePart) and thing.size_mm else ""
    return AtHandAnswer(
        name=f"{count}{thing.name}{size}",
        whose=lying.whose,
        of=lying.of,
        key=lying.key,
        edit=put_in(thing),
    )


def _usual_mm(a: Analysis) -> dict[str, dict[str, float]]:
    away: dict[str, dict[str, float]] = {}
    for f in a.usual:
        if f.of == "cable" and f.field == "at_mm":
            away.setdefault(f.key, {})[f.at] = f.band.likely
    return away


def _remedy(a: Analysis, r: Remedy) -> RemedyAnswer:
    return RemedyAnswer(id=r.id, text=wording.remedy_words(r, a.wired.parts), edit=r.edit)


# -- amounts -------------------------------------------------------------------------------


def _amount(span: Span, missing: tuple[str, ...] = ()) -> Amount:
    return Amount(low=span.low, likely=span.likely, high=span.high, missing=missing)


def _amounts(factor: float, drawn: Sum) -> Amounts:
    watts = drawn.watts if factor == 1.0 else scale(drawn.watts, factor)
    return _each_state(watts, drawn.missing)


def _each_state(watts: Series, missing: tuple[str, ...]) -> Amounts:
    sleep, idle, everyday, full, start, short = (
        _amount(span_at(watts, state), missing) for state in TALLY_STATES
    )
    return Amounts(sleep=sleep, idle=idle, everyday=everyday, full=full, start=start, short=short)


def _spike_amounts(spikes: Spikes) -> SpikeAmounts:
    return _windows(lambda w: spikes.total[w], spikes.missing)


def _windows(spike_of: Callable[..., Span], missing: tuple[str, ...]) -> SpikeAmounts:
    ms_0_1, ms_1, ms_10, ms_100 = (_amount(spike_of(w), missing) for w in WINDOWS)
    return SpikeAmounts(ms_0_1=ms_0_1, ms_1=ms_1, ms_10=ms_10, ms_100=ms_100)


def _numbers(figure_of: Callable[[State], float]) -> Numbers:
    return Numbers(
        idle=figure_of("idle"),
        everyday=figure_of("everyday"),
        full=figure_of("full"),
        start=figure_of("start"),
    )


# -- rows ----------------------------------------------------------------------------------


def tally_rows(a: Analysis) -> tuple[RowAnswer, ...]:
    """The rows that add up to every figure of the tally."""
    return tuple(_row(r, a.wired) for r in a.tally.rows)


def spike_rows_of(a: Analysis) -> tuple[SpikeRowAnswer, ...]:
    """The rows that add up to the spikes in each window."""
    return tuple(_spike_row(r, a.wired) for r in spike_rows(a.wired, a.loads))


def _origin(part: Part | None, field: str, assumed: bool) -> Origin:
    figure = getattr(part, field, None)
    if assumed:
        return "assumed"
    return figure.origin if isinstance(figure, Figure) else "maker"


def _spike_row(row: SpikeRow, wired: Wired) -> SpikeRowAnswer:
    part = wired.parts[row.part]
    missing = (part.name,) if row.missing else ()
    return SpikeRowAnswer(
        part=row.part,
        name=part.name,
        count=row.count,
        rail=row.rail,
        watts=_windows(lambda w: row.watts[w], missing),
        field=row.field,
        formula=row.formula,
        origin=_origin(part, row.field, row.assumed),
    )


def _row(row: Row, wired: Wired) -> RowAnswer:
    missing = (row.name,) if row.missing else ()
    return RowAnswer(
        part=row.part,
        name=row.name,
        count=row.count,
        rail=row.rail,
        path=row.path,
        watts=_each_state(row.watts, missing),
        field=row.field,
        formula=row.formula,
        origin=_origin(wired.parts.get(row.part), row.field, row.assumed),
    )


def _part_watts(a: Analysis) -> tuple[PartWatts, ...]:
    assumed = {(r.part, r.path) for r in a.tally.rows if r.assumed}
    kept = a.wired.memory.of
    return tuple(
        kept(_watts_of, (drawn,), (*at, at in assumed)) for at, drawn in a.tally.by_part.items()
    )


def _watts_of(part: str, path: Path, assumed: bool, drawn: Sum) -> PartWatts:
    return PartWatts(part=part, path=path, watts=_amounts(1.0, drawn), assumed=assumed)


def _mover(a: Analysis) -> MoverAnswer | None:
    most = mover(a.wired, a.loads, a.tally, a.sizing)
    if most is None:
        return None
    return MoverAnswer(text=wording.mover_words(most), part=most.part, field=most.field)


# -- the map -------------------------------------------------------------------------------


def _sockets(a: Analysis) -> tuple[SocketAnswer, ...]:
    wired, needed = a.wired, a.needed
    runs = {r.cable.key: r for r in wired.runs}
    socket_answers = []
    for ref, into in wired.inputs.items():
        feed = wired.feeds.get(ref)
        ways = [runs[c.key] for c in wired.cables_to(ref)]
        through = feed is not None and feed.cable.key in wired.betweens
        socket_answers.append(_socket(wired, into, feed, ways, ref in needed, through))
    return tuple(socket_answers)


def _socket(
    wired: Wired, into: Input, feed: Feed | None, ways: list[WiredRun], needed: bool, through: bool
) -> SocketAnswer:
    return SocketAnswer(
        ref=into.ref,
        part=into.at.part,
        words=wired.words(into.ref),
        own_words=wired.own_words(into.ref),
        kind=into.socket.kind,
        kind_words=CONNECTORS[into.socket.kind].words,
        required=needed,
        cable=ways[0].cable.key if ways else None,
        plug=feed.plug.key if feed else None,
        carrier=feed.cable.key if feed else None,
        fed_by=", ".join(map(_ports_or_name, ways)),
        through=feed.cable.name if feed and through else "",
    )


def _ports_or_name(run: WiredRun) -> str:
    return " ".join(p.label for p in run.ports) or run.cable.name


def _betweens(wired: Wired) -> tuple[BetweenAnswer, ...]:
    runs = {r.cable.key: r for r in wired.runs}
    between_answers = []
    for b in wired.betweens.values():
        leads = []
        cables: dict[str, None] = {}
        for socket in b.sockets:
            ref = f"{b.key}#1/{socket.key}"
            ways = wired.cables_to(ref)
            cables |= dict.fromkeys(c.key for c in ways)
            leads.append(
                LeadAnswer(
                    ref=ref,
                    kind=socket.kind,
                    kind_words=CONNECTORS[socket.kind].words,
                    words=wired.own_words(ref) or socket.key,
                    fed_by=", ".join(_ports_or_name(runs[c.key]) for c in ways),
                    cable=ways[0].key if ways else None,
                )
            )
        between_answers.append(
            BetweenAnswer(
                key=b.key,
                kind=type(b.of).__name__.lower(),
                name=b.name,
                leads=tuple(leads),
                plugs=tuple(_plug(wired, b.key, p, None) for p in b.plugs),
                cables=tuple(cables),
                wrong=breach.words if (breach := never(b)) else "",
            )
        )
    return tuple(between_answers)


def _lane(a: Analysis, run: RunResult) -> Lane:
    """A run as it is drawn."""
    wired = a.wired
    e, cable = run.governing, run.wired.cable
    return Lane(
        cable=cable.key,
        name=cable.name,
        ports=tuple(p.key for p in run.ports),
        port_labels=tuple(p.label for p in run.ports),
        verdict=run.verdict,
        percent=run.percent,
        refused=bool(e and e.refused),
        cause=wording.run_cause(wired, run),
        steps=wired.memory.of(_steps, (run,)),
        plugs=tuple(_plug(wired, cable.key, p, run) for p in cable.plugs),
        onward=tuple(_onward(wired, x) for x in run.beyond),
        pinned=run.wired.run.pinned,
        usual=wording.run_is_usual(a, run),
    )


def _steps(run: RunResult) -> tuple[StepAnswer, ...]:
    return tuple(
        StepAnswer(
            rail=s.line,
            from_mm=s.from_mm,
            to_mm=s.to_mm,
            amps=_numbers(s.amps.__getitem__),
            limit_a=_finite(s.limit_a),
            through=s.through,
        )
        for s in run.steps
    )


def _onward(wired: Wired, x: Onward) -> OnwardAnswer:
    long_mm = 0.0 if x.between.is_backplane else x.feed.plug.mm
    return OnwardAnswer(
        between=x.between.key,
        name=x.between.name,
        kind=type(x.between.of).__name__.lower(),
        from_mm=x.mm - long_mm,
        to_mm=x.mm,
        plug=_plug(wired, x.between.key, x.feed.plug, None),
    )


def _plug(wired: Wired, carrier: str, plug: Plug, run: RunResult | None) -> PlugAnswer:
    feeds = wired.uses_of(carrier, plug.key)
    feed = feeds[0] if feeds else None
    return PlugAnswer(
        key=plug.key,
        kind=plug.kind,
        face=feed.mated if feed else PLUGS[plug.kind].whole,
        at_mm=plug.mm,
        half=feed.half if feed else "",
        socket=feed.input.ref if feed else "",
        feeds=" and ".join(wired.words(f.input.ref) for f in feeds),
        tag=" + ".join(wired.tag(f.input.ref) for f in feeds),
        warning=wording.plug_warning(wired, feed) if feed else "",
        safety=run.safety.get(plug.key) if run else None,
    )


def _finite(limit_a: float | None) -> float | None:
    return None if limit_a is None or math.isinf(limit_a) else limit_a


def run_answer(a: Analysis, run: RunResult) -> RunAnswer:
    """Every element of a run in words."""
    wired = a.wired
    return RunAnswer(
        cable=run.wired.cable.key,
        name=run.wired.cable.name,
        ports=tuple(p.label for p in run.ports),
        verdict=run.verdict,
        percent=run.percent,
        cause=wording.run_cause(wired, run),
        usual=wording.run_is_usual(a, run),
        elements=tuple(_element(wired, run, e) for e in run.elements),
    )


def _element(wired: Wired, run: RunResult, e: Element) -> ElementAnswer:
    j = e.judged
    return ElementAnswer(
        kind=e.kind,
        line=e.line,
        at=str(e.at) or e.said,
        title=wording.element_title(wired, run, e),
        state=j.state,
        load=j.load,
        limit=j.limit,
        unit=e.unit,
        share=j.share,
        percent=percent(j.share),
        verdict=j.verdict,
        formula=wording.element_formula(run, e),
        cause=wording.element_cause(wired, run, e),
        source=e.source,
        loads=_numbers(lambda s: span_at(j.loads, s, RUN_STATES).likely),
        refused=e.refused,
        usual=j.usual,
    )


def _worst_first(b: BoardElement) -> tuple[int, float]:
    return rank(b.judged.verdict, b.judged.share)


def _board(wired: Wired, b: BoardElement) -> BoardAnswer:
    j = b.judged
    return BoardAnswer(
        kind=b.kind,
        title=wording.board_title(wired, b),
        load=j.load,
        limit=j.limit,
        unit=b.unit,
        share=j.share,
        percent=percent(j.share),
        verdict=j.verdict,
        state=j.state,
        cause=wording.board_cause(wired, b),
        fix=wording.remedy_words(Remedy(id=remedy_id(b)), wired.parts),
        part=b.part,
        field=b.field,
        usual=j.usual,
    )
