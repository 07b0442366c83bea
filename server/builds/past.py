"""A build as it was: by a mark that somebody set, or so many changes ago."""

from __future__ import annotations

from typing import NamedTuple

from base.writing import writing
from easy_tally import BadInput, Build, NotThere
from easy_tally.things import FORMAT_VERSION
from pydantic import ValidationError

from builds import models, results, store

#: Marks of a build, and changes that are told, at the most.
MOST_MARKS, MOST_TOLD = 100, 30


class Past(NamedTuple):
    """A build as it was, and in words when that was."""

    build: Build
    words: str


class Moment(NamedTuple):
    """When a build may be looked at as it was."""

    ref: str
    words: str
    at: str
    marked: bool


@writing()
def mark(row: models.Build, name: str) -> None:
    """Mark a build as it is by a name; one of that name moves here. Raises BadInput."""
    name = name.strip()
    if not name or any(sign in name for sign in ",@~"):
        raise BadInput([("name", "a name without commas, @ and ~", repr(name))])
    marks = models.Mark.objects.filter(build=row)
    if not marks.filter(name=name).exists() and marks.count() >= MOST_MARKS:
        raise BadInput([("marks", f"at most {MOST_MARKS}", str(MOST_MARKS + 1))])
    document = store.document_of(results.current(row))
    models.Mark.objects.update_or_create(
        build=row, name=name, defaults={"version": row.version, "document": document}
    )


def moments(row: models.Build) -> list[Moment]:
    """When a build may be looked at as it was: its marks, then before each of its last changes."""
    marks = models.Mark.objects.filter(build=row).defer("document").order_by("-at")
    told = [
        Moment(f"{row.key}@{m.name}", f"marked {m.name}", m.at.isoformat(), True) for m in marks
    ]
    changes = row.changes.filter(seq__gt=0, seq__lte=row.head).order_by("-seq")[:MOST_TOLD]
    told += [
        Moment(f"{row.key}@{c.seq - 1}", f"before: {c.title}", c.at.isoformat(), False)
        for c in changes
        if c.seq
    ]
    return told


def moment(row: models.Build, which: str) -> Past:
    """A build as it was: by a mark's name, or after so many of its changes. Raises NotThere."""
    marked = models.Mark.objects.filter(build=row, name=which).first()
    try:
        if marked is not None:
            return Past(Build.model_validate_json(marked.document), f"marked {which}")
        if which.isdecimal() and int(which) <= row.head:
            return _after(row, int(which))
    except ValidationError as error:
        raise NotThere("As it was then it is no build by today’s rules.") from error
    raise NotThere(f"Nothing is known of that build at “{which}”.")


def _after(row: models.Build, seq: int) -> Past:
    """The build after so many changes: those since are taken back, one after another."""
    build, words = results.current(row), "as it is"
    changes = row.changes.filter(seq__gt=seq, seq__lte=row.head).order_by("-seq")
    for change in changes:
        version = min(change.format_version, FORMAT_VERSION)
        images = [store.upgraded(t, version) for t in change.images]
        build = store.with_touched(build, [store.turned(t) for t in images])  # type: ignore[arg-type]
        words = f"before: {change.title}"
    return Past(build, words)
