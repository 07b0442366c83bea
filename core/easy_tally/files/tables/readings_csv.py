"""Readings as CSV: columns by their heads, units and decimal commas, times of many kinds; what
can't be read is said with its line, and whether the rest is kept is the builder's choice.

A block of lines that is numbers alone goes through numpy's reader; one that is not is read line by
line, so that a line can be named.
"""

from __future__ import annotations

import csv
import io
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass, field

from ...base.arrays import np
from ...base.errors import BadInput
from ...base.units import STATE_NAMES, State
from ...readings import Channel, Floats, Named, Readings, parse
from .readings_heads import (
    CELL,
    HEAD_BYTES,
    IGNORE,
    SIMULATED,
    STATE,
    TIME,
    UNITS,
    Column,
    Shape,
    shape_of,
)
from .readings_times import Clock, began

#: Problems that are listed; characters of a line and samples at the most.
LISTED, MOST_LINE, MOST_SAMPLES = 20, 20_000, 5_000_000
#: A step of time so many times the usual one is a gap. Source: assumption.
GAP = 5.0
_BLOCK = 4_000_000
_GAPS = {"", "-", "n/a", "na", "nan", "null", "none", "–"}


@dataclass(frozen=True, slots=True, kw_only=True)
class Problem:
    """A line that can't be taken, and why."""

    line: int
    reason: str


@dataclass(slots=True, kw_only=True)
class Imported:
    """What came of a file: its columns, what is good of it, problems (the first of them, and how
    many in all), gaps in time."""

    columns: tuple[Column, ...]
    readings: Readings
    problems: list[Problem] = field(default_factory=list)
    of_problems: int = 0
    gaps: int = 0

    def note(self, line: int, reason: str) -> None:
        """Note a problem."""
        self.of_problems += 1
        if len(self.problems) < LISTED:
            self.problems.append(Problem(line=line, reason=reason))


class Stopped(Exception):
    """Reading was stopped from outside."""


def read(
    file: io.BufferedIOBase,
    names: Mapping[str, str],
    card: str = "",
    plug: str = "",
    tell: Callable[[int], None] = lambda _: None,
    stop: Callable[[], bool] = lambda: False,
) -> Imported:
    """Read a file of readings. `tell` hears how many bytes are done; `stop` ends it with Stopped.
    Raises BadInput where nothing of it can be read."""
    head = file.read(HEAD_BYTES)
    shape = shape_of(head, names, card, plug)
    unknown = [c.head for c in shape.columns if not c.means]
    if unknown:
        need = "a channel for each column, or to leave it out"
        raise BadInput([("columns", need, ", ".join(unknown)[:200])])
    if sum(c.means == TIME for c in shape.columns) != 1:
        raise BadInput([("columns", "just one column of times", _heads_of(shape))])
    if len({c.means for c in shape.columns if c.means != IGNORE}) < sum(
        c.means != IGNORE for c in shape.columns
    ):
        raise BadInput([("columns", "each channel once", _heads_of(shape))])
    imported = Imported(columns=shape.columns, readings=Readings(times=np.empty(0), columns={}))
    reader = _Reader(shape, imported)
    done, number = 0, 1
    for block in _blocks(file, head):
        if stop():
            raise Stopped
        number = reader.take(block, number)
        done += len(block)
        tell(done)
    imported.readings = reader.whole()
    imported.gaps = _gaps(imported.readings.times)
    if not imported.readings.samples:
        raise BadInput([("file", "at least one line that can be read", _first(imported))])
    return imported


def _heads_of(shape: Shape) -> str:
    return ", ".join(c.head for c in shape.columns)[:200]


def _first(imported: Imported) -> str:
    return (
        f"line {imported.problems[0].line}: {imported.problems[0].reason}"
        if imported.problems
        else "none"
    )


def _blocks(file: io.BufferedIOBase, head: bytes) -> Iterator[bytes]:
    """The file in blocks of whole lines; the last may end in the middle of one."""
    rest = head
    while True:
        more = file.read(_BLOCK)
        if not more:
            break
        rest += more
        cut = rest.rfind(b"\n") + 1
        if cut:
            yield rest[:cut]
            rest = rest[cut:]
        elif len(rest) > _BLOCK:
            raise BadInput([("file", "lines", "one line of megabytes")])
    if rest:
        yield rest


def _gaps(times: Floats) -> int:
    if len(times) < 3:
        return 0
    steps = np.diff(times)
    return int((steps > GAP * np.median(steps)).sum())


class _Reader:
    def __init__(self, shape: Shape, imported: Imported) -> None:
        self.shape, self.made = shape, imported
        at = {c.means: i for i, c in enumerate(shape.columns)}
        self.time_at, self.state_at = at[TIME], at.get(STATE)
        self.clock = Clock(shape.columns[self.time_at].factor, shape.comma)
        self.wanted = [
            (i, parse(c.means))
            for i, c in enumerate(shape.columns)
            if c.means not in (TIME, STATE, IGNORE)
        ]
        if not self.wanted:
            raise BadInput([("columns", "at least one channel", _heads_of(shape))])
        self.blocks: list[Floats] = []
        #: When each state that the file names began.
        self.marks: list[tuple[float, str]] = []
        self.last_t = -np.inf
        self.rows = 0

    def take(self, block: bytes, number: int) -> int:
        """Take a block of lines, of which the first has a number; gives that of the next."""
        count = block.count(b"\n") + (not block.endswith(b"\n"))
        skip = max(0, self.shape.skip - number + 1)
        if skip:
            parts = block.split(b"\n", skip)
            block = parts[skip] if len(parts) > skip else b""
        rows = self._fast(block) if self.state_at is None else None
        kept = self._rising(rows, number + skip) if rows is not None else None
        if kept is None:
            kept = self._slow(block, number + skip)
        if self.rows + len(kept) > MOST_SAMPLES:
            raise BadInput([("file", f"at most {MOST_SAMPLES:,} samples", "more")])
        if len(kept):
            self.blocks.append(kept)
            self.rows += len(kept)
            self.last_t = float(kept[-1, 0])
        return number + count

    def _fast(self, block: bytes) -> Floats | None:
        """Numbers alone, by numpy's reader; None where something else is among them."""
        text = block.replace(b",", b".") if self.shape.comma else block
        order = [self.time_at, *(i for i, _ in self.wanted)]
        used = [c for i, c in enumerate(self.shape.columns) if i in order]
        if not text.strip() or any(c.means == IGNORE for c in used):
            return None
        lines = text.split(b"\n", 1)[0].count(self.shape.delimiter.encode())
        if lines != len(self.shape.columns) - 1:
            return None
        try:
            rows = np.loadtxt(
                io.StringIO(text.decode("utf-8")),
                delimiter=self.shape.delimiter,
                ndmin=2,
                converters={self.time_at: self.clock},
                comments=None,
            )
        except (ValueError, UnicodeDecodeError):
            return None
        if rows.shape[1] != len(self.shape.columns):
            return None
        rows = rows[:, order]
        return self._scaled(rows)

    def _scaled(self, rows: Floats) -> Floats | None:
        for at, (i, c) in enumerate(self.wanted, 1):
            column = self.shape.columns[i]
            if column.factor != 1 or column.offset:
                with np.errstate(over="ignore"):  # what has no end is named line by line
                    rows[:, at] = (rows[:, at] + column.offset) * column.factor
            if c.unit in ("w", "a") and (rows[:, at] < 0).any():
                return None  # line by line: each is named
        return rows if np.isfinite(rows).all() else None

    def _rising(self, rows: Floats, number: int) -> Floats | None:
        times = rows[:, 0]
        if len(times) and not (times[0] > self.last_t and (np.diff(times) > 0).all()):
            return None
        return rows

    def _slow(self, block: bytes, number: int) -> Floats:
        kept: list[list[float]] = []
        text = block.decode("utf-8", errors="replace")
        ends_whole = text.endswith("\n")
        lines = text.splitlines()
        for at, line in enumerate(lines):
            if not line.strip() or line.startswith("#"):
                continue
            try:
                row = self._row(line)
            except ValueError as error:
                last = at == len(lines) - 1 and not ends_whole
                reason = f"the file ends in the middle of it: {error}" if last else str(error)
                self.made.note(number + at, reason)
                continue
            if row[0] <= self.last_t:
                back = self.last_t - row[0]
                said = f"the clock goes back by {back:g} s" if back else "the same time twice"
                self.made.note(number + at, said)
                continue
            self.last_t = row[0]
            kept.append(row)
        return np.array(kept) if kept else np.empty((0, 1 + len(self.wanted)))

    def _row(self, line: str) -> list[float]:
        if len(line) > MOST_LINE:
            raise ValueError(f"a line of {len(line):,} characters")
        cells = next(csv.reader([line], delimiter=self.shape.delimiter))
        columns = self.shape.columns
        if len(cells) != len(columns):
            raise ValueError(f"{len(cells)} cells where the head has {len(columns)}")
        row = [_finite(self.clock(cells[self.time_at]), columns[self.time_at].head)]
        row += [self._value(cells[i], c, columns[i]) for i, c in self.wanted]
        if self.state_at is not None:
            self._mark(row[0], cells[self.state_at].strip().lower())
        return row

    def _mark(self, at_s: float, state: str) -> None:
        if not self.marks or self.marks[-1][1] != state:
            self.marks.append((at_s, state))

    def _value(self, cell: str, c: Channel, column: Column) -> float:
        text = cell.strip()
        if text.lower() in _GAPS:
            return float("nan")
        if self.shape.comma:
            text = text.replace(",", ".")
        match = CELL.match(text)
        if match is None:
            raise ValueError(f"{column.head}: {cell.strip()[:30]!r} is no number")
        factor, offset = column.factor, column.offset
        if match[2]:
            unit, factor, offset = UNITS.get(match[2].lower(), ("", 1.0, 0.0))
            if unit != c.unit:
                raise ValueError(
                    f"{column.head}: {cell.strip()[:30]!r} in a column of {c.unit.upper()}"
                )
        value = _finite((float(match[1]) + offset) * factor, column.head)
        if value < 0 and c.unit in ("w", "a"):
            raise ValueError(
                f"{column.head}: {value:g} is below nothing: a clamp the wrong way round?"
            )
        return value

    def whole(self) -> Readings:
        """All that was kept; times from the first on."""
        if not self.blocks:
            return Readings(times=np.empty(0), columns={})
        rows = np.concatenate(self.blocks)
        first = float(rows[0, 0])
        times = rows[:, 0] - first
        columns = {c: np.ascontiguousarray(rows[:, i]) for i, (_, c) in enumerate(self.wanted, 1)}
        at = began(self.clock, first)
        head = self.shape.columns[self.time_at].head.lower()
        return Readings(
            times=times,
            columns=columns,
            named=self._named(first, times),
            began=at,
            simulated=head.startswith(SIMULATED),
        )

    def _named(self, first: float, times: Floats) -> tuple[Named, ...]:
        marks = self.marks
        words: dict[str, State] = {w: s for s, w in STATE_NAMES.items()} | {
            s: s for s in STATE_NAMES
        }
        spans = []
        for i, (at, word) in enumerate(marks):
            if word not in words:
                continue
            end = marks[i + 1][0] - first if i + 1 < len(marks) else float(times[-1]) + 1e-9
            last = times[times < end]
            if len(last):
                span = Named(from_s=max(0.0, at - first), to_s=float(last[-1]), state=words[word])
                spans.append(span)
        return tuple(spans)


def _finite(value: float, head: str) -> float:
    if not np.isfinite(value):
        raise ValueError(f"{head}: {value:g} is no number that ends")
    return value


def write(r: Readings, channels: Iterable[Channel] | None = None) -> Iterator[str]:
    """Readings as lines of CSV: time in seconds, a column a channel, the state that a row is in."""
    chosen = list(r.columns) if channels is None else list(channels)
    state = np.full(r.samples, "", dtype=object)
    for n in r.named:
        state[r.rows(n.from_s, n.to_s)] = n.state
    time = f"{SIMULATED if r.simulated else ''}time (s)"
    heads_ = [time, *(str(c) for c in chosen), *([STATE] if r.named else [])]
    yield ",".join(heads_) + "\n"
    columns = [r.columns[c] for c in chosen]
    for i, t in enumerate(r.times.tolist()):
        cells = [f"{t:.4f}".rstrip("0").rstrip(".")]
        cells += ["" if (v := float(x[i])) != v else f"{v:.5g}" for x in columns]
        if r.named:
            cells.append(str(state[i]))
        yield ",".join(cells) + "\n"
