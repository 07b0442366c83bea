"""Every read and write of the drawer."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Mapping
from itertools import count
from typing import Any

from base.writing import writing
from easy_tally import BadInput, NotThere, Refused
from easy_tally.base import problems_of
from easy_tally.catalogue import DrawerKind, DrawerThing
from easy_tally.things import Adapter
from owners.models import Owner
from pydantic import ValidationError

from catalogue import supplies
from drawer.models import Thing, Use
from drawer.prices import OF_DRAWER, give, prices_of

#: Most things of one owner.
MOST = 1_000


class InUse(Exception):
    """A thing of which no unit is free: it is in another build."""

    def __init__(self, name: str, build: str, have: int) -> None:
        self.name, self.build, self.have = name, build, have
        super().__init__(f"{name} is in another build.")


def every(owner: Owner) -> list[tuple[DrawerThing, list[str]]]:
    """Every thing of an owner, with the keys of the builds that its units are in."""
    rows = Thing.objects.filter(owner=owner).prefetch_related("uses")
    return [(_read(row), [u.build for u in row.uses.all()]) for row in rows]


def adapters(owner: int) -> tuple[Adapter, ...]:
    """Adapters of an owner, by its id, that lie free and are fit for use, each as many times."""
    rows = Thing.objects.filter(owner_id=owner, data__thing__has_key="leads")
    things = [(_read(row), row.uses.count()) for row in rows]
    return tuple(
        t.thing
        for t, used in things
        if isinstance(t.thing, Adapter) and t.condition != "not to be used"
        for _ in range(t.count - used)
    )


def one(owner: Owner, key: str) -> DrawerThing:
    """The thing called `key`. Raises NotThere."""
    return _read(_row(owner, key))


def _row(owner: Owner, key: str) -> Thing:
    row = Thing.objects.filter(owner=owner, key=key).first()
    if row is None:
        raise NotThere(f"There is nothing called {key} in the drawer; it may have been removed.")
    return row


def _read(row: Thing) -> DrawerThing:
    return DrawerThing.model_validate(row.data)


def _made(fields: Mapping[str, Any]) -> DrawerThing:
    try:
        return DrawerThing.model_validate(dict(fields))
    except ValidationError as error:
        raise BadInput(problems_of(error)) from error


@writing()
def put(owner: Owner, fields: Mapping[str, Any]) -> DrawerThing:
    """Put a thing in, under a key made of its name. Raises BadInput."""
    thing = _made({**fields, "key": "new"})
    have = Thing.objects.filter(owner=owner).count()
    if have >= MOST:
        raise BadInput([("drawer", f"at most {MOST:,} things", f"{have + 1:,}")])
    stem = re.sub("[^a-z0-9]+", "-", thing.name.lower()).strip("-")[:34] or thing.kind
    taken = set(Thing.objects.filter(owner=owner).values_list("key", flat=True))
    key = next(k for n in count(1) if (k := stem if n == 1 else f"{stem}-{n}") not in taken)
    drawer_thing = thing.model_copy(update={"key": key})
    Thing.objects.create(owner=owner, key=key, data=drawer_thing.model_dump(mode="json"))
    return drawer_thing


@writing()
def put_all(owner: Owner, several: list[dict[str, Any]]) -> list[DrawerThing]:
    """Put some things in, all or none. Raises BadInput."""
    return [put(owner, fields) for fields in several]


@writing()
def change(owner: Owner, key: str, changes: Mapping[str, Any]) -> DrawerThing:
    """Set some fields of a thing. Raises BadInput, NotThere, Refused."""
    row = _row(owner, key)
    drawer_thing = _made(_read(row).model_dump(mode="json") | dict(changes))
    used = row.uses.count()
    if drawer_thing.count < used:
        raise Refused(
            f"{drawer_thing.name}: {used} are in builds, so there are at least {used} of it."
        )
    row.data = drawer_thing.model_dump(mode="json")
    row.save()
    return drawer_thing


@writing()
def remove(owner: Owner, key: str) -> None:
    """Take a thing out for good. Raises NotThere, InUse."""
    row = _row(owner, key)
    use = row.uses.first()
    if use is not None:
        raise InUse(_read(row).name, use.build, _read(row).count)
    row.delete()
    prices = prices_of(owner).of
    if f"{OF_DRAWER}{key}" in prices:
        give(owner, {f"{OF_DRAWER}{key}": None}, None)


def of_slug(kind: DrawerKind, slug: str) -> dict[str, Any]:
    """A thing of the catalogue, as fields. Raises NotThere."""
    if kind == "supply":
        kit = supplies.kit(slug)
        return {"supply": kit.supply, "cables": kit.cables}
    entry = supplies.loose().get(slug)
    if entry is None:
        raise NotThere(f"There is nothing called {slug} in the catalogue.")
    return {"thing": entry.thing}


# -- use -----------------------------------------------------------------------------------


def settle(owner: int, build: str, used: Counter[str]) -> None:
    """Make a build's use of the drawer of an owner, by its id, what `used` says. Raises InUse;
    within a transaction."""
    before = Counter(
        Use.objects.filter(thing__owner_id=owner, build=build).values_list("thing__key", flat=True)
    )
    if before == used:
        return
    Use.objects.filter(thing__owner_id=owner, build=build).delete()
    rows = {t.key: t for t in Thing.objects.filter(owner_id=owner, key__in=used)}
    for key, wanted in used.items():
        if key not in rows:  # it was removed from the drawer since: nothing to keep count of
            continue
        thing = _read(rows[key])
        others = {u.unit: u.build for u in rows[key].uses.all()}
        free = [n for n in range(1, thing.count + 1) if n not in others]
        if wanted > len(free):
            raise InUse(thing.name, next(iter(others.values()), build), thing.count)
        Use.objects.bulk_create(Use(thing=rows[key], unit=n, build=build) for n in free[:wanted])


def taken(owner: Owner, used: Counter[str]) -> set[str]:
    """Of the keys that a file names, those that are not free here."""
    if not used:
        return set()
    free = {thing.key: thing.count - len(builds) for thing, builds in every(owner)}
    return {key for key, n in used.items() if free.get(key, 0) < n}
