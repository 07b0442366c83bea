"""The rows of readings as they lie in a file: time first, then a column a channel, as float64. Rows
are added at the end; a row that is not whole is not read."""

from __future__ import annotations

from pathlib import Path

import numpy as np
from django.conf import settings
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
    np.column_stack([r.times, *r.columns.values()]).astype("<f8").tofile(part)
    part.replace(path_of(key))


def load(row: Taken) -> Readings:
    """The readings of a set. The file is mapped, not read: only what is asked for is."""
    channels = [parse(c) for c in row.channels]
    width = 1 + len(channels)
    file = path_of(row.key)
    count = file.stat().st_size // (8 * width) if file.exists() else 0
    if not count:
        return Readings(times=np.empty(0), columns={c: np.empty(0) for c in channels})
    rows: Floats = np.memmap(file, dtype="<f8", mode="r", shape=(count, width))
    return Readings(
        times=np.ascontiguousarray(rows[:, 0]), began=row.began, named=named_of(row),
        columns={c: rows[:, i] for i, c in enumerate(channels, 1)},
    )  # fmt: skip


def named_of(row: Taken) -> tuple[Named, ...]:
    """The spans that were named."""
    return tuple(Named(**n) for n in row.named)


def as_named(named: tuple[Named, ...]) -> list[dict[str, object]]:
    """Spans as they are stored."""
    return [{"from_s": n.from_s, "to_s": n.to_s, "state": n.state} for n in named]
