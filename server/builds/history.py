"""A build with its whole history as one file: out, and in again as a build of its own. What is
taken in is looked over whole before anything is written: each change must lead to the next, and all
of them to the build as it is."""

from __future__ import annotations

import json
from datetime import datetime
from typing import Any

from base.writing import writing
from django.db import connection, transaction
from django.utils.dateparse import parse_datetime
from easy_tally import BadFile, BadInput, Build
from easy_tally.base import problems_of, read_json
from easy_tally.files import build_file, to_text
from easy_tally.things import FORMAT_VERSION
from ninja import Schema
from owners.incoming import incoming
from owners.models import Owner
from pydantic import Field, ValidationError

from builds import actions, models, store
from builds.older import changes_of_today

FORMAT = "easy-tally-history"
#: Changes of a history, and characters of its file, at the most.
MOST_CHANGES, MOST_CHARACTERS = 20_000, 7_000_000
#: Values in it in all: each is some characters.
MOST_VALUES = 1_000_000
#: Changes that are written in one turn.
_AT_ONCE = 300
_ENTITY = rf"^(build|supply|({'|'.join(store.LISTS)}):[a-z0-9][a-z0-9-]{{0,39}})$"


class _Touched(Schema):
    entity: str = Field(pattern=_ENTITY)
    at: int = Field(ge=0, le=100_000)
    before: dict[str, Any] | None
    after: dict[str, Any] | None


class _Change(Schema):
    title: str = Field(max_length=200)
    at: str = Field(max_length=40)
    format_version: int = Field(ge=1, le=1000)
    images: list[_Touched] = Field(max_length=2000)


class _File(Schema):
    format: str
    version: int = Field(ge=1, le=2)
    #: How many of the changes are in force; those behind can be redone.
    head: int = Field(ge=0)
    build: dict[str, Any]
    #: Of version 1: where each part and cable stands in its list, with gaps where one was removed.
    places: dict[str, int] = {}
    changes: list[_Change] = Field(max_length=MOST_CHANGES)


def is_one(text: str) -> bool:
    """Whether a file says that it is a history."""
    return f'"{FORMAT}"' in text[:200]


def export(row: models.Build) -> str:
    """The file of a build with its history. Raises store.Unreadable."""
    with transaction.atomic():  # of one moment
        build = store.read(row)
        changes = [
            {
                "title": c.title,
                "at": c.at.isoformat(),
                "format_version": c.format_version,
                "images": c.images,
            }
            for c in models.Change.objects.filter(build=row, seq__gt=0)
        ]
    return to_text(
        {
            "format": FORMAT,
            "version": 2,
            "head": row.head,
            "build": build.model_dump(mode="json"),
            "changes": changes,
        }
    )


def take(owner: Owner, text: str) -> models.Build:
    """Store a build with its history. Raises BadFile; then nothing is stored."""
    if len(text) > MOST_CHARACTERS:
        raise BadFile([("file", f"at most {MOST_CHARACTERS:,} characters", f"{len(text):,}")])
    try:
        file = _File.model_validate(read_json(text, "file", MOST_VALUES))
    except ValidationError as error:
        raise BadFile(problems_of(error)) from error
    except BadInput as error:
        raise BadFile(error.problems) from error
    if file.format != FORMAT or file.head > len(file.changes):
        raise BadFile([("head", "no more changes in force than there are", str(file.head))])
    # A build that came from elsewhere has nothing of this drawer.
    build = build_file.read(json.dumps(_own_less(file.build)))
    changes = [_own_less(c.model_dump()) for c in file.changes]
    if file.version == 1:
        images = changes_of_today([c["images"] for c in changes], file.head, file.places)
        changes = [c | {"images": i} for c, i in zip(changes, images, strict=True)]
    changes = [_upgraded(c) for c in changes]
    _follow(build, changes, file.head)
    actions.prepare(owner, build)
    with incoming() as held:
        row = actions.create(held, build)
        for first in range(0, len(changes), _AT_ONCE):
            with writing():
                _add(row, first, changes[first : first + _AT_ONCE])
        with writing():
            row.owner, row.head = owner, file.head
            row.save(update_fields=["owner", "head"])
    return row


def _add(row: models.Build, first: int, changes: list[dict[str, Any]]) -> None:
    """Changes behind the first so many, each at its own time, where that can be read. The field
    sets itself when a row is made, and hundreds of rows are changed by one statement each in no
    time."""
    models.Change.objects.bulk_create(
        models.Change(
            build=row,
            seq=i,
            title=c["title"],
            format_version=c["format_version"],
            images=c["images"],
        )
        for i, c in enumerate(changes, first + 1)
    )
    dated = []
    for i, c in enumerate(changes, first + 1):
        at: datetime | None = parse_datetime(c["at"]) if c["at"] else None
        if at is not None and at.tzinfo is not None:
            dated.append((connection.ops.adapt_datetimefield_value(at), row.pk, i))
    with connection.cursor() as cursor:
        table = models.Change._meta.db_table
        cursor.executemany(f"UPDATE {table} SET at = %s WHERE build_id = %s AND seq = %s", dated)


def _own_less(value: Any) -> Any:
    """The same with nothing that is of somebody's drawer."""
    if isinstance(value, dict):
        return {k: "" if k == "owned" else _own_less(x) for k, x in value.items()}
    return [_own_less(x) for x in value] if isinstance(value, list) else value


def _upgraded(change: dict[str, Any]) -> dict[str, Any]:
    """A change whose images are of today's version of the build file."""
    version = min(change["format_version"], FORMAT_VERSION)
    return change | {
        "images": [store.upgraded(t, version) for t in change["images"]],
        "format_version": FORMAT_VERSION,
    }


def _follow(now: Build, changes: list[dict[str, Any]], head: int) -> None:
    """Go from the build as it is back to its beginning and forth to the last change. Raises BadFile
    where a change does not fit what stands there, or leads to what is no build."""
    states = _States(now)
    for i in range(head, 0, -1):
        states.step(changes[i - 1]["images"], i, "after", "before")
    states = _States(now)
    for i in range(head + 1, len(changes) + 1):
        states.step(changes[i - 1]["images"], i, "before", "after")


def _called(entity: str, image: Any, i: int) -> Any:
    """An image, which is called what its entity says. Raises BadFile."""
    kind, _, key = entity.partition(":")
    key_field = "cable" if kind == "run" else "key"
    if key and image is not None and image.get(key_field) != key:
        raise BadFile(
            [(f"changes.{i}", f"{entity}, as its change calls it", str(image.get(key_field)))]
        )
    return image


class _States:
    """A build as it was or will be, step by step. What a step does not touch was read before and is
    not read again."""

    def __init__(self, now: Build) -> None:
        self.build = now
        self.images: dict[str, Any] = dict(store.entities(now))

    def step(self, images: list[dict[str, Any]], i: int, have: str, then: str) -> None:
        """Go over one change. Raises BadFile."""
        for t in images:
            now = self.images.get(t["entity"])
            if now != t[have] and now != store.image_of_today(t["entity"], t[have]):
                got = f"{t['entity']} is something else"
                raise BadFile([(f"changes.{i}", "a change that fits the ones beside it", got)])
            self.images[t["entity"]] = _called(t["entity"], t[then], i)
        try:
            step = images if then == "after" else [store.turned(t) for t in images]  # type: ignore[arg-type]
            self.build = store.with_touched(self.build, step)  # type: ignore[arg-type]
        except ValidationError as error:
            field, required, got = problems_of(error)[0]
            where = f"changes.{i}: {field}" if field else f"changes.{i}"
            raise BadFile([(where, required, got)]) from error
