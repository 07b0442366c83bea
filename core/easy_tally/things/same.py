"""Equal things made one: what is read from tables, undone, or typed again is the very thing that
was there before, so that all that was worked out of it holds (`base.memory`)."""

from __future__ import annotations

from hashlib import blake2b
from itertools import islice
from typing import Any, TypeVar

from ..base.declared import Model
from ..base.memory import Memory
from .build import Build
from .cables import Connection
from .individuals import another

_M = TypeVar("_M", bound=Model)

_LISTS = ("parts", "cables", "adapters", "extensions", "backplanes", "runs")
_SINGLE = ("house_rules", "assumptions", "case", "place", "bracket", "supply")
#: How many times the bytes of its text a thing takes, about.
_TIMES = 8
_BESIDE = tuple(n for n in Build.model_fields if n not in (*_LISTS, *_SINGLE))


def same(build: Build, memory: Memory, like: Build | None = None) -> Build:
    """An equal build, made of things that were there before wherever they are equal, and itself one
    that was there before where it is; `like`: one that is made so already, whose things are
    known."""
    known = {id(t) for t in _things(like)} if like is not None else set()

    def one(thing: Model) -> Model:
        if id(thing) in known:
            return thing
        text = thing.model_dump_json().encode()
        # A digest stands for the text: what is written alike is alike to the last digit.
        by = type(thing), blake2b(text, digest_size=16).digest()
        return memory.first(thing, by, _TIMES * len(text))

    fields: dict[str, Any] = {
        name: tuple([one(t) for t in getattr(build, name)]) for name in _LISTS
    }
    for name in _SINGLE:
        thing = getattr(build, name)
        fields[name] = None if thing is None else one(thing)
    things = [t for name in _LISTS for t in fields[name]]
    counts = tuple([len(fields[name]) for name in _LISTS])
    beside = tuple([getattr(build, name) for name in _BESIDE])
    return memory.of(_build_of, (*things, *(fields[name] for name in _SINGLE)), (counts, beside))


def _build_of(counts: tuple[int, ...], beside: tuple[Any, ...], *things: Any) -> Build:
    left = iter(things)
    fields: dict[str, Any] = dict(zip(_BESIDE, beside, strict=True))
    fields |= {name: tuple(islice(left, n)) for name, n in zip(_LISTS, counts, strict=True)}
    return Build.model_construct(**fields, **dict(zip(_SINGLE, left, strict=True)))


def connected(thing: _M, connections: tuple[Connection, ...]) -> _M:
    """A run, or what stands in between, with these connections; itself where it has them."""
    copied: Any = thing
    if copied.connections == connections:
        return thing
    return thing.model_copy(update={"connections": connections})


def nameless(thing: _M, **changes: Any) -> _M:
    """A thing without what tells it from another of its make; with some `changes`."""
    apart: dict[str, Any] = {"key": "k", "name": "n", "note": "", "owned": "", "to_buy": None}
    copy: _M = another(thing, **apart | changes)
    return copy


def _things(build: Build) -> list[Any]:
    several = [t for name in _LISTS for t in getattr(build, name)]
    return several + [getattr(build, name) for name in _SINGLE]
