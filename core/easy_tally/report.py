"""The whole result of a build, as data: what the command prints and the application shows.

`Compact` is what every edit returns; `Report` adds every row and every element. Watts, amperes
and shares are unrounded; `percent` is a share in whole percents, rounded up.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from .answers import (
    Amount,
    Amounts,
    BoardAnswer,
    CheckAnswer,
    Compact,
    ElementAnswer,
    Lane,
    MoverAnswer,
    Numbers,
    Overall,
    PartWatts,
    Percents,
    PlugAnswer,
    Report,
    RowAnswer,
    RuleAnswer,
    RunAnswer,
    SizingAnswer,
    SocketAnswer,
    SpikeAmounts,
    SpikeRowAnswer,
    StepAnswer,
    Strip,
    SupplyAnswer,
)
from .build import Build
from .demand import demands, needed_sockets
from .loads import Load
from .loads import loads as loads_of
from .mend import Mend, mends
from .parts import Part
from .quantities import (
    RAIL_V,
    RUN_STATES,
    STATES,
    WINDOWS,
    Figure,
    Origin,
    Series,
    Span,
    State,
    scale,
    span_at,
)
from .ratings.check import RunResult, check_runs
from .ratings.elements import Element
from .ratings.verdicts import percent, rank
from .sizing import (
    SUPPLY_NOT_CHECKED,
    Sizing,
    SupplyResult,
    check_supply,
    size,
)
from .spikes import SpikeRow, Spikes, spike_rows, spikes
from .standards.connectors import CONNECTORS, PLUGS
from .supply import Supply
from .tally import Row, Sum, Tally
from .tally import tally as tally_of
from .through_board import BoardElement, through_board
from .uncertainty import mover, mover_words
from .wording import (
    board_cause,
    board_fix,
    board_title,
    check_words,
    element_cause,
    element_formula,
    element_title,
    rule_words,
)

RESULT_FORMAT = "easy-tally-result"
RESULT_VERSION = 1

#: Checks of a map that are not built yet; listed wherever a map's verdict is shown.
MAP_NOT_CHECKED: tuple[str, ...] = (
    "reach along the routes",
    "adapters and Y-pieces",
    "spikes against port groups",
)


@dataclass(frozen=True, slots=True)
class Analysis:
    """Every computed thing of one build, before it is put in words."""

    build: Build
    loads: tuple[Load, ...]
    tally: Tally
    spikes: Spikes
    sizing: Sizing
    supply: SupplyResult | None
    runs: tuple[RunResult, ...]
    board: tuple[BoardElement, ...]


def analyse(build: Build) -> Analysis:
    """Compute everything about a build."""
    loads = loads_of(build)
    tally = tally_of(build, loads)
    found = spikes(build, loads)
    sizing = size(build, tally.total, found.total)
    assume = build.assumptions
    supply = check_supply(build.supply, tally, sizing, found, assume) if build.supply else None
    carried = demands(build, loads)
    runs = check_runs(build, carried)
    board = through_board(build, loads, carried)
    return Analysis(build, loads, tally, found, sizing, supply, runs, board)


def compact(a: Analysis) -> Compact:
    """The compact result of an analysis."""
    fed, needed = _fed(a), needed_sockets(a.build)
    sockets = _sockets(a.build, fed, needed)
    unfed = [r for r, _ in a.build.sockets() if str(r) in needed and str(r) not in fed]
    mend = mends(a.build, a.tally, a.supply, a.runs, a.board, unfed)
    return Compact(
        a.build.name,
        _strip(a, sockets, mend),
        _overall(a, mend),
        {r: _amounts(s) for r, s in a.tally.by_rail.items()},
        {r: _amounts(s, 1 / RAIL_V[r]) for r, s in a.tally.by_rail.items()},
        {p: _amounts(s) for p, s in a.tally.by_path.items()},
        _part_watts(a.tally),
        _sizing(a.build, a.sizing),
        supply_answer(a.build.supply, a.supply) if a.build.supply and a.supply else None,
        sockets,
        tuple(_lane(a.build, r) for r in a.runs),
        tuple(_board(a.build, b) for b in sorted(a.board, key=_worst_first)),
        _mover(a),
        mend,
        (*(f"supply: {x}" for x in SUPPLY_NOT_CHECKED), *MAP_NOT_CHECKED),
    )


def report(a: Analysis) -> Report:
    """The whole result of an analysis."""
    runs = tuple(run_answer(a.build, r) for r in a.runs)
    return Report(RESULT_FORMAT, RESULT_VERSION, compact(a), tally_rows(a), spike_rows_of(a), runs)


def tally_rows(a: Analysis) -> tuple[RowAnswer, ...]:
    """The rows that add up to every figure of the tally."""
    return tuple(_row(r, a.build) for r in a.tally.rows)


def spike_rows_of(a: Analysis) -> tuple[SpikeRowAnswer, ...]:
    """The rows that add up to the spikes in each window."""
    return tuple(_spike_row(r, a.build) for r in spike_rows(a.build, a.loads))


def _amount(span: Span, missing: tuple[str, ...] = ()) -> Amount:
    return Amount(span.low, span.likely, span.high, missing)


def _amounts(drawn: Sum, factor: float = 1.0) -> Amounts:
    return _each_state(drawn.watts if factor == 1.0 else scale(drawn.watts, factor), drawn.missing)


def _each_state(watts: Series, missing: tuple[str, ...]) -> Amounts:
    sleep, idle, everyday, full, start = (
        Amount(watts[i], watts[i + 1], watts[i + 2], missing) for i in range(0, 3 * len(STATES), 3)
    )
    return Amounts(sleep=sleep, idle=idle, everyday=everyday, full=full, start=start)


def _spike_amounts(found: Spikes) -> SpikeAmounts:
    return SpikeAmounts(*(_amount(found.total[w], found.missing) for w in WINDOWS))


def _numbers(of: Callable[[State], float]) -> Numbers:
    return Numbers(idle=of("idle"), everyday=of("everyday"), full=of("full"), start=of("start"))


def _origin(part: Part | None, field: str, assumed: bool) -> Origin:
    figure = getattr(part, field, None)
    if assumed:
        return "assumed"
    return figure.origin if isinstance(figure, Figure) else "maker"


def _spike_row(row: SpikeRow, build: Build) -> SpikeRowAnswer:
    part = build.part(row.part)
    name = part.name if part else row.part
    missing = (name,) if row.missing else ()
    watts = SpikeAmounts(*(_amount(row.watts[w], missing) for w in WINDOWS))
    return SpikeRowAnswer(
        row.part, name, row.count, row.rail, watts, row.field, row.formula,
        _origin(part, row.field, row.assumed),
    )  # fmt: skip


def _row(row: Row, build: Build) -> RowAnswer:
    origin = _origin(build.part(row.part), row.field, row.assumed)
    missing = (row.name,) if row.missing else ()
    watts = _each_state(row.watts, missing)
    return RowAnswer(
        row.part, row.name, row.count, row.rail, row.path, watts, row.field, row.formula, origin
    )


def _part_watts(tally: Tally) -> tuple[PartWatts, ...]:
    assumed = {(r.part, r.path) for r in tally.rows if r.assumed}
    return tuple(
        PartWatts(part, path, _amounts(drawn), (part, path) in assumed)
        for (part, path), drawn in tally.by_part.items()
    )


def _sizing(build: Build, sizing: Sizing) -> SizingAnswer:
    return SizingAnswer(
        tuple(
            RuleAnswer(
                r.id, rule_words(build, r), _amount(r.watts) if r.watts else None,
                r.binding, r.governs, r.missing,
            )
            for r in sizing.rules
        ),
        _amount(sizing.needed) if sizing.needed else None,
        sizing.at_least_w,
        sizing.pick_w,
    )  # fmt: skip


def supply_answer(supply: Supply, result: SupplyResult) -> SupplyAnswer:
    """A supply's checks in words."""
    return SupplyAnswer(
        supply.name,
        supply.rated_w,
        result.verdict,
        tuple(
            CheckAnswer(c.id, c.status, check_words(c), c.load, c.limit, c.unit, c.rail)
            for c in result.checks
        ),
        Percents(
            sleep=percent(result.share["sleep"]),
            idle=percent(result.share["idle"]),
            everyday=percent(result.share["everyday"]),
            full=percent(result.share["full"]),
            start=percent(result.share["start"]),
        ),
        SUPPLY_NOT_CHECKED,
    )


def _fed(a: Analysis) -> dict[str, tuple[RunResult, str]]:
    return {
        str(u.connection.socket): (r, u.plug.key)
        for r in a.runs
        for u in r.plugs
        if u.connection is not None
    }


def _sockets(
    build: Build, fed: dict[str, tuple[RunResult, str]], needed: set[str]
) -> tuple[SocketAnswer, ...]:
    found = []
    for ref, socket in build.sockets():
        run, plug = fed.get(str(ref), (None, None))
        labels = " ".join(p.label for p in run.ports) if run else ""
        found.append(
            SocketAnswer(
                str(ref), ref.part, build.ref_words(ref), socket.kind,
                CONNECTORS[socket.kind].words, str(ref) in needed,
                run.cable.key if run else None, plug,
                (labels or run.cable.name) if run else "",
            )
        )  # fmt: skip
    return tuple(found)


def _lane(build: Build, run: RunResult) -> Lane:
    e = run.governing
    return Lane(
        run.cable.key,
        run.cable.name,
        tuple(p.key for p in run.ports),
        tuple(p.label for p in run.ports),
        run.verdict,
        run.percent,
        bool(e and e.refused),
        element_cause(build, run, e) if e else "Nothing is plugged into it.",
        tuple(
            StepAnswer(
                s.line, s.from_mm, s.to_mm, _numbers(s.amps.__getitem__), _finite(s.limit_a)
            )
            for s in run.steps
        ),
        tuple(
            PlugAnswer(
                u.plug.key, u.plug.kind, u.mated or _face(u.plug.kind), u.plug.at_mm,
                u.connection.half if u.connection else "",
                str(u.connection.socket) if u.connection else "",
                build.ref_words(u.connection.socket) if u.connection else "",
                build.ref_tag(u.connection.socket) if u.connection else "",
                u.warning, run.safety.get(u.plug.key),
            )
            for u in run.plugs
        ),
    )  # fmt: skip


def _worst_first(b: BoardElement) -> tuple[int, float]:
    return rank(b.judged.verdict, b.judged.share)


def _board(build: Build, b: BoardElement) -> BoardAnswer:
    j = b.judged
    return BoardAnswer(
        b.kind, board_title(build, b), j.load, j.limit, b.unit, j.share, percent(j.share),
        j.verdict, j.state, board_cause(build, b), board_fix(b), b.part, b.field,
    )  # fmt: skip


def _mover(a: Analysis) -> MoverAnswer | None:
    found = mover(a.build, a.loads, a.tally, a.sizing)
    return MoverAnswer(mover_words(found), found.part, found.field) if found else None


def _finite(limit_a: float | None) -> float | None:
    return None if limit_a is None or limit_a == float("inf") else limit_a


def _face(plug_kind: str) -> str:
    return PLUGS[plug_kind].whole  # type: ignore[index]


def run_answer(build: Build, run: RunResult) -> RunAnswer:
    """Every element of a run in words."""
    return RunAnswer(
        run.cable.key,
        run.cable.name,
        tuple(p.label for p in run.ports),
        run.verdict,
        run.percent,
        tuple(_element(build, run, e) for e in run.elements),
    )


def _element(build: Build, run: RunResult, e: Element) -> ElementAnswer:
    j = e.judged
    return ElementAnswer(
        e.kind, e.line, e.at, element_title(build, run, e), j.state, j.load, j.limit, e.unit,
        j.share, percent(j.share), j.verdict, element_formula(run, e),
        element_cause(build, run, e), e.source,
        _numbers(lambda s: span_at(j.loads, s, RUN_STATES).likely), e.refused,
    )  # fmt: skip


def _strip(a: Analysis, sockets: tuple[SocketAnswer, ...], mend: tuple[Mend, ...]) -> Strip:
    supply, result = a.build.supply, a.supply
    counts: dict[str, int] = {}
    for m in mend:
        counts[m.kind] = counts.get(m.kind, 0) + 1
    return Strip(
        _amounts(a.tally.total),
        _spike_amounts(a.spikes),
        supply.name if supply else None,
        supply.rated_w if supply else None,
        percent(result.share["full"]) if result else None,
        result.verdict if result else "none",
        sum(s.required for s in sockets),
        sum(s.required and s.cable is not None for s in sockets),
        len(a.build.free_ports()),
        sum(x.verdict == "tight" for x in a.runs)
        + sum(b.judged.verdict == "tight" for b in a.board),
        counts,
    )


def _overall(a: Analysis, mend: tuple[Mend, ...]) -> Overall:
    not_checked = len(SUPPLY_NOT_CHECKED) + len(MAP_NOT_CHECKED)
    return overall_of([m.kind for m in mend], not_checked)


def overall_of(mend: list[str], not_checked: int) -> Overall:
    """The verdict on the whole, from the kinds of what is to mend and the checks not built."""
    bad = [k for k in mend if k != "unknown"]
    if bad:
        return Overall("mend", f"{len(bad)} to mend")
    if mend:
        return Overall("not proven", f"not proven: {len(mend)} unknown")
    if not_checked:
        return Overall(
            "not proven", f"nothing to mend in what is checked; {not_checked} not checked"
        )
    return Overall("fine", "nothing to mend")


def exit_status(result: Report) -> int:
    """0 where the whole reads fine, otherwise 1."""
    return 0 if result.result.overall.verdict == "fine" else 1
