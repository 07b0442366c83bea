"""The tally: sums by rail, by feed path and by part, per state, with bounds."""

from __future__ import annotations

from dataclasses import dataclass

from ..base.memory import NO_MEMORY, Memory
from ..base.series import NO_TALLY, Series, Span, add, only_at, span_at
from ..base.units import RAILS, TALLY_STATES, Rail, State
from ..things.parts import Part
from ..wiring import Wired
from .loads import Load

#: The columns in which parts stand, each watt in one of them only.
Path = str
PATHS: tuple[Path, ...] = ("board lead", "processor leads", "card leads", "drive leads")


def path_of(load: Load, wired: Wired) -> Path:
    """The column that a load belongs to."""
    if load.feed == "processor":
        return "processor leads"
    part = wired.parts[load.part]
    source = part if load.feed == "own" else None
    if load.feed == "header":
        source = wired.source_of(part)
    if source is None:
        return "board lead"
    return "card leads" if source.kind == "card" else "drive leads"


@dataclass(frozen=True, slots=True, kw_only=True)
class Row:
    """One load in the tally, all instances together: watts [W] per state, and where it is set."""

    part: str
    name: str
    count: int
    rail: Rail
    path: Path
    watts: Series
    field: str
    formula: str
    assumed: bool
    missing: bool


@dataclass(frozen=True, slots=True)
class Sum:
    """Watts [W] per state; `missing` names the parts without a figure (then: at least)."""

    watts: Series = NO_TALLY
    missing: tuple[str, ...] = ()

    def at(self, state: State) -> Span:
        """Watts [W] in one state, with bounds."""
        return span_at(self.watts, state)


def sum_of(*rows: Row) -> Sum:
    """The sum of some rows, column by column."""
    if not rows:
        return Sum()
    if len(rows) == 1:
        watts = rows[0].watts
    else:
        watts = tuple(map(sum, zip(*[r.watts for r in rows], strict=True)))
    return Sum(watts, tuple(dict.fromkeys([r.name for r in rows if r.missing])))


@dataclass(frozen=True, slots=True, kw_only=True)
class Tally:
    """Sums in all, by rail, by path and by part and path; and the rows that add up to them."""

    total: Sum
    by_rail: dict[Rail, Sum]
    by_path: dict[Path, Sum]
    by_part: dict[tuple[str, Path], Sum]
    rows: tuple[Row, ...]


def rows_of(wired: Wired, loads: tuple[Load, ...], memory: Memory = NO_MEMORY) -> tuple[Row, ...]:
    """A row for each load, in their order."""
    surging = surging_instances(wired.build.spin_up_at_once, loads)
    return tuple([_row(load, wired, surging.get(load.part, 0), memory) for load in loads])


def tally(wired: Wired, loads: tuple[Load, ...]) -> Tally:
    """Add up `loads`. Watts are at the supply's output."""
    rows = rows_of(wired, loads, wired.memory)
    by_rail: dict[Rail, list[Row]] = {rail: [] for rail in RAILS}
    by_path: dict[Path, list[Row]] = {path: [] for path in PATHS}
    by_part: dict[tuple[str, Path], list[Row]] = {}
    for row in rows:
        by_rail[row.rail].append(row)
        by_path[row.path].append(row)
        by_part.setdefault((row.part, row.path), []).append(row)
    kept = wired.memory.of
    return Tally(
        total=sum_of(*rows),
        by_rail={k: kept(sum_of, tuple(x)) for k, x in by_rail.items()},
        by_path={k: kept(sum_of, tuple(x)) for k, x in by_path.items()},
        by_part={k: kept(sum_of, tuple(x)) for k, x in by_part.items()},
        rows=rows,
    )


def surging_instances(at_once: int | None, loads: tuple[Load, ...]) -> dict[str, int]:
    """How many instances of each part spin up at the worst moment of a staggered start: the
    `at_once` disks whose surge over all rails is the largest, at likely, of equal ones at high."""
    if at_once is None:
        return {}
    each: dict[str, tuple[float, float]] = {}
    count: dict[str, int] = {}
    for load in loads:
        if any(load.surge):
            likely, high = each.get(load.part, (0.0, 0.0))
            each[load.part] = likely + load.surge.likely, high + load.surge.high
            count[load.part] = load.count
    surging_instances: dict[str, int] = {}
    left = at_once
    for part in sorted(each, key=lambda p: each[p], reverse=True):
        surging_instances[part] = min(left, count[part])
        left -= surging_instances[part]
    return surging_instances


def _row(load: Load, wired: Wired, surging: int, memory: Memory) -> Row:
    part, path = wired.parts[load.part], path_of(load, wired)
    return memory.of(_row_of, (load, part), (path, surging))


def _row_of(path: Path, surging: int, load: Load, part: Part) -> Row:
    watts = load.net.series(load.count)
    if surging:
        watts = add(watts, only_at("start", load.surge.times(surging), TALLY_STATES))
    return Row(
        part=load.part,
        name=part.name,
        count=load.count,
        rail=load.rail,
        path=path,
        watts=watts,
        field=load.field,
        formula=load.formula,
        assumed=load.assumed,
        missing=load.missing,
    )
