"""Results kept by the things that they were made of. An edit makes a new build of which most things
are the very same objects, and nothing of ours changes once it is made: what was worked out of the
same objects holds, and is the same object itself, so that what follows from it is kept as well.
Kept by identity, with the objects themselves held, so that no other can come to stand in their
place."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from typing import Any, Generic, TypeVar
from weakref import WeakSet

_T = TypeVar("_T")
_EVERY: WeakSet[Reuse[Any]] = WeakSet()


class Reuse(Generic[_T]):
    """Keeps what was asked for last: at least `most` results, at most twice as many. Those asked
    for since the last turn are the young; when there are as many as may be they become the old,
    and what was old goes. Safe for threads, without a lock: a result that two make at once is made
    twice, and either holds."""

    def __init__(self, most: int) -> None:
        self._most = self._usual = most
        self._young: dict[Hashable, tuple[tuple[Any, ...], _T]] = {}
        self._old: dict[Hashable, tuple[tuple[Any, ...], _T]] = {}
        _EVERY.add(self)

    def of(self, things: tuple[Any, ...], more: Hashable, make: Callable[[], _T]) -> _T:
        """What `make` gives, made once for these very things and an equal `more`."""
        key = (*map(id, things), more)
        young = self._young
        found = young.get(key)
        if found is None:
            found = self._old.get(key) or (things, make())
            young[key] = found
            if len(young) >= self._most:
                self._old, self._young = young, {}
        return found[1]

    def room(self, many: int) -> None:
        """Keep as many as one large build has, where that is more than is usual: else each walk
        over it pushes out what the next one asks for first."""
        self._most = max(self._usual, many)

    def first(self, thing: _T, by: Hashable) -> _T:
        """The first thing that came with an equal `by`: of equal things the one."""
        return self.of((), by, lambda: thing)

    def forget(self) -> None:
        """Keep nothing: what follows is worked out anew."""
        self._old, self._young = {}, {}


def forget() -> None:
    """Keep nothing of what was worked out anywhere: what follows is from nothing."""
    for kept in _EVERY:
        kept.forget()
