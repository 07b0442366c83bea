"""Results kept between analyses, by the things that they were made of.

An edit makes a new build of which most things are the very same objects, and nothing of ours
changes once it is made: what was worked out of the same objects holds, and is the same object
itself, so that what follows from it is kept as well.

Whoever analyses again owns a `Memory` and hands it in; without one everything is made anew, and
nothing is looked up. What makes a kept result is given what is in its key and nothing else, so that
no fact can be left out of it.
"""

from __future__ import annotations

import sys
from collections.abc import Callable, Hashable
from typing import Any, TypeVar

from .declared import Model

_T = TypeVar("_T")
#: What a result was made of, held so that nothing else can come to stand in its place, and it.
_Entry = tuple[tuple[Any, ...], Any]
#: What a key with its entry takes beside the result [bytes].
_ENTRY_BYTES = 400
#: Whose objects are looked into.
_OURS = f"{__name__.partition('.')[0]}."


class Memory:
    """Keeps what was asked for last, within `most_bytes` of results.

    What was asked for since the last turn is the young; where it takes half of what there is it
    becomes the old, and what was old goes. Kept by identity, with the things themselves held, so
    that no other can come to stand in their place. Safe for threads without a lock: a result that
    two make at once is made twice, and either holds.
    """

    def __init__(self, most_bytes: int) -> None:
        self.most_bytes = most_bytes
        self._young: dict[Hashable, _Entry] = {}
        self._old: dict[Hashable, _Entry] = {}
        self._young_bytes = self._old_bytes = 0
        self._costs: dict[Hashable, _Cost] = {}

    def of(
        self, make: Callable[..., _T], things: tuple[Any, ...], plain: tuple[Hashable, ...] = ()
    ) -> _T:
        """`make(*plain, *things)`, made once for these very things and an equal `plain`. What takes
        long to be measured says itself how much it takes, as `takes_bytes`."""
        key = (make, plain, *map(id, things))
        entry = self._young.get(key)
        if entry is None:
            entry = self.known(key) or (things, make(*plain, *things))
            self._keep(key, entry, getattr(entry[1], "takes_bytes", None))
        return entry[1]

    def first(self, thing: _T, by: Hashable, takes: int) -> _T:
        """The first thing that came with an equal `by`: of equal things the one. It `takes` so many
        bytes."""
        key = (by,)
        entry = self._young.get(key)
        if entry is None:
            entry = self.known(key) or ((), thing)
            self._keep(key, entry, takes)
        return entry[1]

    def aside(self) -> Memory:
        """One for what is only tried: it takes what is here, and leaves nothing here."""
        return _Aside(self)

    def known(self, key: tuple[Any, ...]) -> _Entry | None:
        """An entry, where there is one."""
        return self._young.get(key) or self._old.get(key)

    @property
    def bytes_kept(self) -> int:
        """About how much the results take that are kept now."""
        return self._young_bytes + self._old_bytes

    def forget(self) -> None:
        """Keep nothing: what follows is made anew."""
        self._young, self._old = {}, {}
        self._young_bytes = self._old_bytes = 0

    def _keep(self, key: tuple[Any, ...], entry: _Entry, takes: int | None) -> None:
        if takes is None:
            cost = self._costs.setdefault(key[0], _Cost())
            takes = cost.of(entry, self._results)
        if self._young_bytes >= self.most_bytes // 2:
            self._old, self._young = self._young, {}
            self._old_bytes, self._young_bytes = self._young_bytes, 0
        self._young[key] = entry
        self._young_bytes += _ENTRY_BYTES + takes

    def _results(self) -> set[int]:
        """What is kept already, by identity."""
        # Copied in one go: another thread may put something in meanwhile.
        entries = [*list(self._young.values()), *list(self._old.values())]
        return {id(result) for _, result in entries}


class _NoMemory(Memory):
    """Keeps nothing and looks nothing up."""

    def of(
        self, make: Callable[..., _T], things: tuple[Any, ...], plain: tuple[Hashable, ...] = ()
    ) -> _T:
        return make(*plain, *things)

    def first(self, thing: _T, by: Hashable, takes: int) -> _T:
        return thing

    def aside(self) -> Memory:
        return self


class _Aside(Memory):
    """Looks into another, and keeps its own as long as it lives: for one try, without a bound."""

    def __init__(self, main: Memory) -> None:
        super().__init__(main.most_bytes)
        self._main = main

    def known(self, key: tuple[Any, ...]) -> _Entry | None:
        return super().known(key) or self._main.known(key)

    def _keep(self, key: tuple[Any, ...], entry: _Entry, takes: int | None = None) -> None:
        self._young[key] = entry


#: For whoever analyses a build once.
NO_MEMORY: Memory = _NoMemory(0)


class _Cost:
    """What results of one kind take: the mean of a few that are looked at, fewer and fewer."""

    def __init__(self) -> None:
        self._seen = self._looked_at = self._bytes = 0
        self._next = 1

    def of(self, entry: _Entry, kept: Callable[[], set[int]]) -> int:
        """Bytes that a result takes, about, beside what is `kept` already."""
        self._seen += 1
        if self._seen == self._next:  # the first, eighth, 64th ...
            self._next *= 8
            things, result = entry
            self._looked_at += 1
            seen: set[int] = set()
            _size(things, seen)  # what is there anyway
            seen |= kept()
            self._bytes += _size(result, seen)
        return self._bytes // self._looked_at


def _size(thing: Any, seen: set[int]) -> int:
    """Bytes of a thing with all that it alone holds: what was seen counts once, and what builds are
    made of is there anyway, as is what is not ours."""
    if id(thing) in seen or isinstance(thing, type | Model | Memory):
        return 0
    seen.add(id(thing))
    size = sys.getsizeof(thing)
    if isinstance(thing, dict):
        size += sum(_size(k, seen) + _size(v, seen) for k, v in thing.items())
    elif isinstance(thing, tuple | list | set | frozenset):
        size += sum(_size(x, seen) for x in thing)
    elif type(thing).__module__.startswith(_OURS):
        names = (n for kind in type(thing).__mro__ for n in getattr(kind, "__slots__", ()))
        size += sum(_size(getattr(thing, n, None), seen) for n in names if n != "__weakref__")
        size += _size(getattr(thing, "__dict__", None), seen)
    return size
