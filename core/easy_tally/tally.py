"""The tally: sums by rail, by feed path and by part, per state, with bounds."""

from __future__ import annotations

from dataclasses import dataclass

from .build import Build
from .demand import source_of
from .loads import Load
from .parts import Part
from .quantities import NO_TALLY, RAILS, STATES, Rail, Series, Span, State, span_at

#: The columns in which parts stand, each watt in one of them only.
Path = str
PATHS: tuple[Path, ...] = ("board lead", "processor leads", "card leads", "drive leads")


def path_of(load: Load, parts: dict[str, Part]) -> Path:
    """The column that a load belongs to."""
    if load.feed == "processor":
        return "processor leads"
    source = source_of(load, parts)
    if source is None:
        return "board lead"
    return "card leads" if source.kind == "card" else "drive leads"


@dataclass(frozen=True, slots=True)
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


def _sum(rows: list[Row]) -> Sum:
    """The sum of some rows, column by column."""
    if not rows:
        return Sum()
    watts = tuple(map(sum, zip(*[r.watts for r in rows], strict=True)))
    return Sum(watts, tuple(dict.fromkeys(r.name for r in rows if r.missing)))


@dataclass(frozen=True, slots=True)
class Tally:
    """Sums in all, by rail, by path and by part and path; and the rows that add up to them."""

    total: Sum
    by_rail: dict[Rail, Sum]
    by_path: dict[Path, Sum]
    by_part: dict[tuple[str, Path], Sum]
    rows: tuple[Row, ...]


def tally(build: Build, loads: tuple[Load, ...]) -> Tally:
    """Add up `loads` of `build`. Watts are at the supply's output, the processor's at its limit
    for long loads (the short limit counts on its leads only)."""
    parts = {p.key: p for p in build.parts}
    surging = surging_instances(build.spin_up_at_once, loads)
    rows = tuple(_row(load, parts, surging.get(load.part, 0)) for load in loads)
    by_rail: dict[Rail, list[Row]] = {rail: [] for rail in RAILS}
    by_path: dict[Path, list[Row]] = {path: [] for path in PATHS}
    by_part: dict[tuple[str, Path], list[Row]] = {}
    for row in rows:
        by_rail[row.rail].append(row)
        by_path[row.path].append(row)
        by_part.setdefault((row.part, row.path), []).append(row)
    return Tally(
        _sum(list(rows)),
        {k: _sum(x) for k, x in by_rail.items()},
        {k: _sum(x) for k, x in by_path.items()},
        {k: _sum(x) for k, x in by_part.items()},
        rows,
    )


def surging_instances(at_once: int | None, loads: tuple[Load, ...]) -> dict[str, int]:
    """How many instances of each part spin up at the worst moment of a staggered start: the
    `at_once` disks whose surge over all rails is the largest."""
    if at_once is None:
        return {}
    each: dict[str, float] = {}
    count: dict[str, int] = {}
    for load in loads:
        if load.surge.high > 0:
            each[load.part] = each.get(load.part, 0.0) + load.surge.likely
            count[load.part] = load.count
    found: dict[str, int] = {}
    left = at_once
    for part in sorted(each, key=lambda p: -each[p]):
        found[part] = min(left, count[part])
        left -= found[part]
    return found


def _row(load: Load, parts: dict[str, Part], surging: int) -> Row:
    part = parts[load.part]
    series = [w * load.count for span in load.net[: len(STATES)] for w in span]
    at = 3 * STATES.index("start")
    for k, more in enumerate(load.surge):
        series[at + k] += more * surging
    watts = tuple(series)
    return Row(
        load.part, part.name, load.count, load.rail, path_of(load, parts), watts,
        load.field, load.formula, load.assumed, load.missing,
    )  # fmt: skip
