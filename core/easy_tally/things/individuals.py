"""Which very thing something is: an identity that no edit of its figures changes and that another
thing never takes over. Names, keys that are given again and places are none."""

from __future__ import annotations

from collections.abc import Iterator
from hashlib import sha256
from typing import Any, NamedTuple

from pydantic import TypeAdapter, ValidationError

from ..base.declared import Model, Name
from .adapters import Adapter, Backplane, Bracket, Extension
from .build import Build
from .cables import Cable, Device
from .case import Case
from .parts import Part, PartOfBuild
from .supply import Supply

#: What stands in the place of an identity until a write gives one.
NEW = "new"
#: Field of a build → how an identity of what stands there begins.
_LISTS = {
    "parts": "part",
    "cables": "cable",
    "adapters": "adapter",
    "extensions": "extension",
    "backplanes": "backplane",
}
_SINGLE = ("supply", "case", "bracket")


class Individual(NamedTuple):
    """One thing of a build, or one of several parts alike; `key` is what the build calls it now."""

    id: str
    key: str
    of: Any
    instance: int = 1

    @property
    def device(self) -> Device:
        """The instance that it is, of a part."""
        return Device(self.key, self.instance)


class Gone(Model):
    """Something that a record tells of by its words alone."""

    name: Name


def identity(thing: Any, kind: str) -> str:
    """The identity of a thing of a kind; of one that nobody gave any, as in files, one that follows
    from its key, its name and its family."""
    given = str(thing.individual)
    if given not in ("", NEW):
        return given
    said = (getattr(thing, "key", kind), thing.name, getattr(thing, "family", ""))
    told = (kind, *said, getattr(thing, "owned", ""))
    return f"{given or 0}-{kind}-{sha256(repr(told).encode()).hexdigest()[:12]}"


def identity_of(thing: Any, instance: int = 1) -> str:
    """The identity of a thing as the record calls it: of a part the instance, and how often it was
    exchanged for another of its make."""
    if not isinstance(thing, PartOfBuild):
        return identity(thing, type(thing).__name__.lower())
    again = thing.exchanged.count(instance)
    return f"{identity(thing, 'part')}#{instance}" + (f".{again}" if again else "")


def individuals(build: Build) -> Iterator[Individual]:
    """Every individual of a build."""
    for name in _SINGLE:
        thing = getattr(build, name)
        if thing is not None:
            yield Individual(identity_of(thing), name, thing)
    for name in _LISTS:
        for thing in getattr(build, name):
            for instance in range(1, getattr(thing, "count", 1) + 1):
                yield Individual(identity_of(thing, instance), thing.key, thing, instance)


def settled(before: Build, after: Build, stamp: str) -> Build:
    """A build that an edit made of another, with an identity for each thing that came with it, by a
    `stamp` that is given once, as the number of a version is. What stays, and is only called
    otherwise now, keeps the identity that it had."""
    changes: dict[str, Any] = {}
    for name in _SINGLE:
        thing, was = getattr(after, name), getattr(before, name)
        if thing is not was and thing is not None:
            changes[name] = _settled(thing, was, name, stamp)
    for name, kind in _LISTS.items():
        if getattr(after, name) is getattr(before, name):
            continue
        old = {t.key: t for t in getattr(before, name)}
        changes[name] = tuple(
            [_settled(t, old.get(t.key), kind, stamp) for t in getattr(after, name)]
        )
    return after.model_copy(update=changes) if changes else after


def _settled(thing: Any, was: Any, kind: str, stamp: str) -> Any:
    if thing is was or thing.individual not in ("", NEW):
        return thing
    if was is None or thing.individual == NEW:
        given = f"{stamp}-{kind}-{getattr(thing, 'key', '')}".rstrip("-")
    elif (given := identity(was, kind)) == identity(thing, kind):
        return thing
    return thing.model_copy(update={"individual": given})


def another(thing: Any, **changes: Any) -> Any:
    """A thing that comes into a build: whatever it is a copy of, it is one of its own."""
    own = {"exchanged": ()} if isinstance(thing, PartOfBuild) else {}
    return thing.model_copy(update={"individual": NEW, **own, **changes})


def unsettled(build: Build) -> Build:
    """A build for a file: what came without a write that told it from others has no identity."""
    changes: dict[str, Any] = {}
    for name in (*_SINGLE, *_LISTS):
        held = getattr(build, name)
        several = held if isinstance(held, tuple) else () if held is None else (held,)
        if any(t.individual == NEW for t in several):
            bare = tuple(
                t.model_copy(update={"individual": ""}) if t.individual == NEW else t
                for t in several
            )
            changes[name] = bare if isinstance(held, tuple) else bare[0]
    return build.model_copy(update=changes) if changes else build


#: Kind of a thing → how it is read back, where a record kept it.
_READ: dict[str, TypeAdapter[Any]] = {
    "part": TypeAdapter(Part),
    **{
        kind.__name__: TypeAdapter(kind)
        for kind in (Supply, Case, Bracket, Cable, Adapter, Extension, Backplane)
    },
}


def kept(one: Individual) -> dict[str, Any]:
    """An individual as a record keeps it, for when its build has it no longer."""
    kind = "part" if isinstance(one.of, PartOfBuild) else type(one.of).__name__
    image = one.of.model_dump(mode="json")
    return {"kind": kind, "key": one.key, "instance": one.instance, "of": image}


def read_kept(id: str, record: dict[str, Any]) -> Individual:
    """An individual that a record kept; its name alone where that can't be read any more."""
    key, instance = str(record.get("key", "")), int(record.get("instance", 1))
    try:
        thing = _READ[record["kind"]].validate_python(record["of"])
    except (KeyError, ValidationError):
        name = record.get("of", {}).get("name") or key or id
        thing = Gone(name=str(name)[:80])
    return Individual(id, key, thing, instance)
