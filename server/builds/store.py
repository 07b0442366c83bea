"""A build as it is kept: one document, and what an edit touches of it, entity by entity.

An image is an entity in build-file shape. Entities: `build` (what belongs to no thing), `supply`,
and by their keys `part:`, `cable:`, `adapter:`, `extension:`, `backplane:`, `run:` (by its cable).
"""

from __future__ import annotations

import json
from collections.abc import Collection, Iterable
from typing import Any, TypedDict

from easy_tally import Build
from easy_tally.base import problems_of
from easy_tally.files import upgraded_image
from easy_tally.things import (
    FORMAT_VERSION,
    Adapter,
    Backplane,
    Cable,
    Extension,
    Part,
    Run,
    Supply,
)
from pydantic import BaseModel, TypeAdapter, ValidationError

from builds import models

Image = dict[str, Any]
#: Kind of an entity → the list of the build that it stands in.
LISTS = {
    "part": "parts",
    "cable": "cables",
    "adapter": "adapters",
    "extension": "extensions",
    "backplane": "backplanes",
    "run": "runs",
}
#: What of a build are entities of their own.
_APART = {"supply", *LISTS.values()}


class Touched(TypedDict):
    """One entity that an action touched: its images, and where it came or went its place in its
    list: before, where it went; after, where it came. What stays keeps its place."""

    entity: str
    at: int
    before: Image | None
    after: Image | None


class Unreadable(Exception):
    """A document that can't be read back: of another version, or changed by hand."""


def read(row: models.Build) -> Build:
    """The build of a document. `row`'s version and head become those that go with it, where
    another process wrote meanwhile. Raises Unreadable."""
    now = models.Build.every.filter(pk=row.pk).first()
    if now is None:
        raise Unreadable("It was removed meanwhile.")
    try:
        build = Build.model_validate_json(now.document)
    except (ValidationError, ValueError) as error:
        raise Unreadable(f"It can’t be read: {_short(error)}.") from error
    row.version, row.head = now.version, now.head
    return build


def _short(error: Exception) -> str:
    if isinstance(error, ValidationError):
        field, required, got = problems_of(error)[0]
        return f"{field} needs {required}, got {got}"
    return str(error)[:200]


def document_of(build: Build) -> str:
    """A build as it is kept."""
    return build.model_dump_json()


def name_of(row: models.Build) -> str:
    """The name of a build that can't be read, or its key where that can't be either."""
    try:
        name = json.loads(row.document).get("name")
    except (ValueError, AttributeError, RecursionError):
        name = None
    return name if isinstance(name, str) and name else f"Build {row.key}"


def entities(build: Build, only: Collection[str] | None = None) -> dict[str, Image]:
    """Every entity of a build, by name; `only` of those names, where it is said."""
    things = _things(build).items()
    return {name: _image(thing) for name, thing in things if only is None or name in only}


def names(build: Build) -> list[str]:
    """The name of every entity of a build."""
    return list(_things(build))


def _things(build: Build) -> dict[str, BaseModel]:
    """Every entity of a build as the core holds it, by name, list by list."""
    things: dict[str, BaseModel] = {"build": build}
    for kind, name in LISTS.items():
        things |= {f"{kind}:{key_of(thing)}": thing for thing in getattr(build, name)}
    if build.supply is not None:
        things["supply"] = build.supply
    return things


def key_of(thing: Any) -> str:
    """What an entity of a list is called by; of a run, its cable."""
    key: str = thing.cable if isinstance(thing, Run) else thing.key
    return key


def _image(thing: BaseModel) -> Image:
    return thing.model_dump(mode="json", exclude=_APART if isinstance(thing, Build) else None)


#: Kind of an entity → how its image is read by itself.
_READ: dict[str, TypeAdapter[Any]] = {
    "supply": TypeAdapter(Supply),
    "part": TypeAdapter(Part),
    "cable": TypeAdapter(Cable),
    "adapter": TypeAdapter(Adapter),
    "extension": TypeAdapter(Extension),
    "backplane": TypeAdapter(Backplane),
    "run": TypeAdapter(Run),
}


def image_of_today(name: str, image: Image | None) -> Image | None:
    """An image with the fields that came since it was taken. One that can't be read stays as it
    is."""
    if image is None:
        return None
    kind = name.partition(":")[0]
    try:
        if kind == "build":
            return _image(Build.model_validate(image))
        return _image(_READ[kind].validate_python(image))
    except ValidationError:
        return image


def upgraded(touched: dict[str, Any], version: int) -> dict[str, Any]:
    """What an action touched, as kept by a `version` of the build file, with images of today's."""
    kind = touched["entity"].partition(":")[0]
    images = {
        side: upgraded_image(kind, touched[side], version, FORMAT_VERSION)
        for side in ("before", "after")
        if isinstance(touched[side], dict)
    }
    return touched | images


def differences(before: Build, after: Build) -> list[Touched]:
    """What differs between two builds, with the place of each that came or went."""
    old, new = _things(before), _things(after)
    differences: list[Touched] = []
    for name in [*old, *(n for n in new if n not in old)]:
        was, now = old.get(name), new.get(name)
        if was is now:
            continue  # an edit keeps what it does not touch
        image = None if was is None else _image(was)
        changed = None if now is None else _image(now)
        if image != changed:
            holder = before if now is None else after
            at = 0 if was is not None and now is not None else _place(holder, name)
            differences.append({"entity": name, "at": at, "before": image, "after": changed})
    return differences


def _place(build: Build, name: str) -> int:
    kind, _, key = name.partition(":")
    if kind not in LISTS:
        return 0
    return [key_of(thing) for thing in getattr(build, LISTS[kind])].index(key)


def with_touched(build: Build, touched: Iterable[Touched]) -> Build:
    """A build after something was touched; what is not touched is not read anew. Raises
    ValidationError where that is no build."""
    fields: dict[str, Any] = {name: getattr(build, name) for name in Build.model_fields}
    by_kind: dict[str, list[Touched]] = {}
    for t in touched:
        by_kind.setdefault(t["entity"].partition(":")[0], []).append(t)
    for t in by_kind.get("build", []):
        fields |= t["after"] or {}
    for t in by_kind.get("supply", []):
        fields["supply"] = t["after"]
    for kind, several in by_kind.items():
        if kind in LISTS:
            fields[LISTS[kind]] = _listed(fields[LISTS[kind]], several)
    if "run" in by_kind or "cable" in by_kind:
        order = {_key(c): i for i, c in enumerate(fields["cables"])}
        fields["runs"] = tuple(sorted(fields["runs"], key=lambda r: order.get(_key(r), -1)))
    return Build.model_validate(fields)


def _key(thing: Any) -> str:
    return str(thing.get("cable", thing.get("key"))) if isinstance(thing, dict) else key_of(thing)


def _listed(things: tuple[Any, ...], touched: list[Touched]) -> tuple[Any, ...]:
    """A list with what was touched: what stays in its place, what came where it came."""
    then = {t["entity"].partition(":")[2]: t["after"] for t in touched}
    listed = [x for x in (then.get(_key(x), x) for x in things) if x is not None]
    came = [t for t in touched if t["before"] is None]
    for t in sorted(came, key=lambda t: t["at"]):
        listed.insert(t["at"], t["after"])
    return tuple(listed)


def turned(t: Touched) -> Touched:
    """What takes it back."""
    return {"entity": t["entity"], "at": t["at"], "before": t["after"], "after": t["before"]}


def in_all(steps: list[list[Touched]]) -> list[Touched]:
    """What several steps touched between them, each thing once."""
    if len(steps) == 1:
        return steps[0]
    by_entity: dict[str, Touched] = {}
    for t in (t for touched in steps for t in touched):
        first = by_entity.get(t["entity"], t)
        by_entity[t["entity"]] = {**t, "before": first["before"]}
    return list(by_entity.values())
