"""One request takes no more than its share of the processor; what is left is asked for again."""

from __future__ import annotations

import time
from collections.abc import Iterable, Iterator
from typing import TypeVar

_T = TypeVar("_T")

#: Seconds of the processor that a request spends on things that could be asked for one by one: of
#: a build of 60 parts all come at once.
MOST_S = 0.75


def for_a_while(things: Iterable[_T]) -> Iterator[_T]:
    """So many of some things as there is time for, and at least one."""
    start = time.thread_time()
    for thing in things:
        yield thing
        if time.thread_time() - start > MOST_S:
            return
