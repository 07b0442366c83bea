"""Equal things made one: what is read from tables, undone, or typed again is the very thing that
was there before, so that all that was worked out of it holds (`base.reuse`)."""

from __future__ import annotations

from hashlib import blake2b
from typing import Any, TypeVar

from ..base.declared import Model
from ..base.reuse import Reuse
from .build import Build
from .cables import Connection

_M = TypeVar("_M", bound=Model)

_LISTS = ("parts", "cables", "adapters", "extensions", "backplanes", "runs")
_SINGLE = ("house_rules", "assumptions", "case", "place", "bracket", "supply")
#: Things by their text in a file: what is written alike is alike to the last digit. A digest of it
#: stands for the text.
_KNOWN: Reuse[Model] = Reuse(800)
#: Builds by their things, and what they say beside them.
_BUILDS: Reuse[Build] = Reuse(40)
_BESIDE = tuple(n for n in Build.model_fields if n not in (*_LISTS, *_SINGLE))


def same(build: Build, like: Build | None = None) -> Build:
    """An equal build, made of things that were there before wherever they are equal, and itself one
    that was there before where it is; `like`: one that is made so already, whose things are
    known."""
    known = {id(t) for t in _things(like)} if like is not None else set()

    def one(thing: Model) -> Model:
        if id(thing) in known:
            return thing
        text = thing.model_dump_json().encode()
        return _KNOWN.first(thing, (type(thing), blake2b(text, digest_size=16).digest()))

    fields: dict[str, Any] = {
        name: tuple([one(t) for t in getattr(build, name)]) for name in _LISTS
    }
    for name in _SINGLE:
        thing = getattr(build, name)
        fields[name] = None if thing is None else one(thing)
    things = tuple([t for name in _LISTS for t in (*fields[name], None)])
    beside = tuple([getattr(build, name) for name in _BESIDE])
    return _BUILDS.of(
        (*things, *(fields[name] for name in _SINGLE)),
        beside,
        lambda: build.model_copy(update=fields),
    )


def connected(thing: _M, connections: tuple[Connection, ...]) -> _M:
    """A run, or what stands in between, with these connections; itself where it has them."""
    of: Any = thing
    if of.connections == connections:
        return thing
    return thing.model_copy(update={"connections": connections})


def _things(build: Build) -> list[Any]:
    several = [t for name in _LISTS for t in getattr(build, name)]
    return several + [getattr(build, name) for name in _SINGLE]
