"""Whether what is kept is whole: the database, each build and its history, each photo."""

from __future__ import annotations

from collections.abc import Iterator

from bench import photos
from bench.models import Photo
from builds import results
from builds.models import Build, Change
from builds.store import Unreadable, name_of
from django.db import connection
from easy_tally import EasyTallyError
from PIL import Image
from readings import rows
from readings.models import Taken


def troubles() -> Iterator[str]:
    """Everything that is not as it should be, in a sentence each."""
    with connection.cursor() as at:
        for (said,) in at.execute("PRAGMA integrity_check").fetchall():
            if said != "ok":
                yield f"The database: {said}."
        for table, row, other, _ in at.execute("PRAGMA foreign_key_check").fetchall():
            yield f"The database: row {row} of {table} points at nothing in {other}."
    for build in Build.objects.defer("header").order_by("pk"):
        yield from _of_build(build)
    known = set()
    for photo in Photo.every.select_related("build").defer("build__header"):
        known.add(photo.key)
        try:
            with Image.open(photos.path_of(photo.key)) as opened:
                opened.verify()
        except (OSError, ValueError, SyntaxError) as error:
            yield f"{name_of(photo.build)}: the photo {photo.key} can’t be read: {error}."
    for row in Taken.every.select_related("build").defer("build__header"):
        if rows.count(row) != row.samples:
            yield f"{name_of(row.build)}: readings {row.name!r} are not whole."
    for file in sorted(photos.folder().glob("*.jpg")):
        if file.stem not in known:
            yield f"The photo {file.name} belongs to no build: it may be thrown away."


def _of_build(build: Build) -> Iterator[str]:
    try:
        results.current(build)
    except (Unreadable, EasyTallyError) as error:
        yield f"{name_of(build)}: it can’t be read: {error}"
    seqs = list(Change.objects.filter(build=build).order_by("seq").values_list("seq", flat=True))
    if seqs != list(range(1, len(seqs) + 1)) or build.head > len(seqs):
        yield f"{name_of(build)}: its history has a gap; its undo may end there."
