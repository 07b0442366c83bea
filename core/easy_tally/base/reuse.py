"""Results kept by the things that they were made of. An edit makes a new build of which most things
are the very same objects, and nothing of ours changes once it is made: what was worked out of the
same objects holds. Kept by identity, with the objects themselves held, so that no other can come to
stand in their place."""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable, Hashable
from threading import Lock
from typing import Any, Generic, TypeVar

_T = TypeVar("_T")


class Reuse(Generic[_T]):
    """Keeps the last so many results. Safe for threads; a result that two make at once is made
    twice, and either holds."""

    def __init__(self, most: int) -> None:
        self._most = most
        self._kept: OrderedDict[Hashable, tuple[tuple[Any, ...], _T]] = OrderedDict()
        self._lock = Lock()

    def of(self, things: tuple[Any, ...], more: Hashable, make: Callable[[], _T]) -> _T:
        """What `make` gives, made once for these very things and an equal `more`."""
        key = (tuple(map(id, things)), more)
        with self._lock:
            found = self._kept.get(key)
            if found is not None:
                self._kept.move_to_end(key)
                return found[1]
        made = make()
        with self._lock:
            self._kept[key] = (things, made)
            while len(self._kept) > self._most:
                self._kept.popitem(last=False)
        return made

    def forget(self) -> None:
        """Keep nothing: what follows is worked out anew."""
        with self._lock:
            self._kept.clear()
