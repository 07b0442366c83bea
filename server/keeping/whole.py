"""Whether what is kept is whole: the database, each build and its history, each photo, each set of
readings; and what was left over, which is no damage and can be taken away."""

from __future__ import annotations

import time
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import NamedTuple

from bench import photos
from bench.models import Photo
from builds import results
from builds.models import Build, Change
from builds.store import Unreadable, name_of
from django.conf import settings
from django.db import connection
from easy_tally import EasyTallyError
from PIL import Image
from readings import reading, rows
from readings.models import Reading, Taken

#: A file that is younger [s] may belong to a row that is just being written.
_YOUNG_S = 60


class Litter(NamedTuple):
    """Something left over, in a sentence, and what takes it away."""

    words: str
    clean: Callable[[], object]


def damage() -> Iterator[str]:
    """Everything that is not as it should be, in a sentence each."""
    with connection.cursor() as at:
        for (said,) in at.execute("PRAGMA integrity_check").fetchall():
            if said != "ok":
                yield f"The database: {said}."
    for build in Build.every.defer("document").order_by("pk"):
        yield from _of_build(build)
    for photo in (
        Photo.every.filter(build__in=Build.every.all())
        .select_related("build")
        .defer("build__document")
    ):
        try:
            with Image.open(photos.path_of(photo.key)) as opened:
                opened.verify()
        except (OSError, ValueError, SyntaxError) as error:
            yield f"{name_of(photo.build)}: the photo {photo.key} can’t be read: {error}."
    for row in (
        Taken.every.filter(build__in=Build.every.all())
        .select_related("build")
        .defer("build__document")
    ):
        # A stream writes rows before it counts them: more than were counted is no damage.
        if rows.count(row) < row.samples:
            yield f"{name_of(row.build)}: readings {row.name!r} are not whole."


def _of_build(build: Build) -> Iterator[str]:
    try:
        results.current(build)
    except (Unreadable, EasyTallyError) as error:
        yield f"{name_of(build)}: it can’t be read: {error}"
    seqs = list(
        Change.objects.filter(build=build, seq__gt=0).order_by("seq").values_list("seq", flat=True)
    )
    if seqs != list(range(1, len(seqs) + 1)) or build.head > len(seqs):
        yield f"{name_of(build)}: its history has a gap; its undo may end there."


def litter() -> Iterator[Litter]:
    """What kills and earlier versions left: rows of builds that are gone, files that nothing
    names."""
    with connection.cursor() as at:
        orphans = at.execute("PRAGMA foreign_key_check").fetchall()
    for table, row, other, _ in orphans:
        words = f"Row {row} of {table} is of something that is gone from {other}."
        yield Litter(words, lambda table=table, row=row: _take_row(table, row))  # type: ignore[misc]
    for file, words in left_files(_YOUNG_S):
        yield Litter(words, _removed(file))
    for file in sorted([*settings.VAR.glob("probe.*"), *settings.VAR.glob("secret-key.*")]):
        if not _is_younger(file, _YOUNG_S):
            yield Litter(f"{file.name} was left by a start.", _removed(file))


def left_files(young_s: float) -> Iterator[tuple[Path, str]]:
    """Files older than `young_s` that nothing names, or that were not written to their end, each
    with a sentence."""
    reads = Reading.objects.filter(state__in=reading.UNDER_WAY)
    known = {
        ".jpg": ("photo", set(Photo.every.values_list("key", flat=True))),
        ".rows": ("set of readings", set(Taken.every.values_list("key", flat=True))),
        ".upload": ("upload", set(reads.values_list("key", flat=True))),
    }
    for file in sorted([*photos.folder().iterdir(), *rows.folder().iterdir()]):
        kind, keys = known.get(file.suffix, ("", set()))
        if _is_younger(file, young_s):
            continue
        if kind and file.stem not in keys:
            yield file, f"The {kind} {file.name} belongs to nothing."
        elif file.suffix == ".part":
            yield file, f"{file.name} was not written to its end."


def _is_younger(file: Path, seconds: float) -> bool:
    try:
        return time.time() - file.stat().st_mtime < seconds
    except FileNotFoundError:
        return True


def _removed(file: Path) -> Callable[[], object]:
    return lambda: file.unlink(missing_ok=True)


def _take_row(table: str, row: int) -> None:
    """Take a row away that the database itself names as of nothing."""
    with connection.cursor() as at:
        name = connection.ops.quote_name(table)
        at.execute(f"DELETE FROM {name} WHERE rowid = %s", [row])


def clean() -> list[str]:
    """Take away what was left over, until there is none; says what it took."""
    took: list[str] = []
    while left := list(litter()):
        for one in left:
            one.clean()
            took.append(one.words)
    return took
