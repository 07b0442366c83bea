"""The rows of readings as they lie in a file: time first, then a column a channel, as float64. Rows
are added at the end; a row that is not whole is not read."""

from __future__ import annotations

from pathlib import Path
from typing import BinaryIO

from django.conf import settings
from easy_tally.base import np
from easy_tally.readings import Floats, Named, Readings, parse

from readings.models import Taken


def folder() -> Path:
    """Where they lie."""
    path: Path = settings.VAR / "readings"
    path.mkdir(parents=True, exist_ok=True)
    return path


def path_of(key: str) -> Path:
    """The file of a set."""
    return folder() / f"{key}.rows"


def keep(key: str, r: Readings) -> None:
    """Write a whole set; it is there in full or not at all."""
    part = path_of(key).with_suffix(".part")
    try:
        with part.open("wb") as out:
            append(out, np.column_stack([r.times, *r.columns.values()]))
        part.replace(path_of(key))
    except BaseException:
        part.unlink(missing_ok=True)
        raise


def append(out: BinaryIO, rows: Floats) -> None:
    """Write rows behind those that are there. Raises OSError, which tells of a full disk."""
    out.write(np.ascontiguousarray(rows, dtype="<f8").data)
    out.flush()


def load(row: Taken) -> Readings:
    """The readings of a set: of the file only what is asked for is read."""
    rows, channels = _mapped(row), [parse(c) for c in row.channels]
    return Readings(
        times=np.ascontiguousarray(rows[:, 0]),
        began=row.began,
        named=named_of(row),
        columns={c: rows[:, i] for i, c in enumerate(channels, 1)},
        simulated=row.source == "simulated",
    )


def seconds(row: Taken) -> float:
    """How long a set lasts [s]: off its first and last row alone."""
    times = _mapped(row)[:, 0]
    return float(times[-1] - times[0]) if len(times) else 0.0


def count(row: Taken) -> int:
    """How many whole rows a set's file has."""
    return len(_mapped(row))


def _mapped(row: Taken) -> Floats:
    """The rows of a set; the file is mapped, not read."""
    width = 1 + len(row.channels)
    file = path_of(row.key)
    n = file.stat().st_size // (8 * width) if file.exists() else 0
    if not n:  # an empty file can't be mapped
        return np.empty((0, width))
    mapped: Floats = np.memmap(file, dtype="<f8", mode="r", shape=(n, width))
    return mapped


def named_of(row: Taken) -> tuple[Named, ...]:
    """The spans that were named."""
    return tuple(Named(**n) for n in row.named)


def as_named(named: tuple[Named, ...]) -> list[dict[str, object]]:
    """Spans as they are stored."""
    return [{"from_s": n.from_s, "to_s": n.to_s, "state": n.state} for n in named]
