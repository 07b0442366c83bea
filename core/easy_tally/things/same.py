"""Equal things made one: what is read from tables, undone, or typed again is the very thing that
was there before, so that all that was worked out of it holds (`base.reuse`)."""

from __future__ import annotations

from typing import Any, TypeVar

from ..base.declared import Model
from ..base.reuse import Reuse
from .build import Build
from .cables import Connection

_M = TypeVar("_M", bound=Model)

_LISTS = ("parts", "cables", "adapters", "extensions", "backplanes", "runs")
_SINGLE = ("house_rules", "assumptions", "case", "place", "bracket", "supply")
#: Things by their text in a file: what is written alike is alike to the last digit.
_KNOWN: Reuse[Model] = Reuse(4_000)


def same(build: Build, like: Build | None = None) -> Build:
    """An equal build, made of things that were there before wherever they are equal; `like`: one
    that is made so already, whose things are known."""
    known = {id(t) for t in _things(like)} if like is not None else set()

    def one(thing: Model) -> Model:
        if id(thing) in known:
            return thing
        return _KNOWN.of((), (type(thing), thing.model_dump_json()), lambda: thing)

    changes: dict[str, Any] = {}
    for name in _LISTS:
        things = getattr(build, name)
        made = tuple([one(t) for t in things])
        if any(a is not b for a, b in zip(things, made, strict=True)):
            changes[name] = made
    for name in _SINGLE:
        thing = getattr(build, name)
        if thing is not None and (made_one := one(thing)) is not thing:
            changes[name] = made_one
    return build.model_copy(update=changes) if changes else build


def connected(thing: _M, connections: tuple[Connection, ...]) -> _M:
    """A run, or what stands in between, with these connections; itself where it has them."""
    of: Any = thing
    if of.connections == connections:
        return thing
    return thing.model_copy(update={"connections": connections})


def _things(build: Build) -> list[Any]:
    several = [t for name in _LISTS for t in getattr(build, name)]
    return several + [getattr(build, name) for name in _SINGLE]
