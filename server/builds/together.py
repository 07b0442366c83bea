"""What is asked of one thing at once is done together: who comes first waits until the thing is
his, then does it for all that came while he waited, in their order. What it costs to read, to work
out, to write and to put in words is paid once for all of them."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from dataclasses import dataclass, field
from threading import Event, Lock, RLock
from typing import Generic, TypeVar

from django.db import connection

_T = TypeVar("_T", bound=Hashable)
_A = TypeVar("_A")
_R = TypeVar("_R")


@dataclass(eq=False)
class _Waiting(Generic[_A, _R]):
    asked: _A
    done: Event = field(default_factory=Event)
    #: None: it was not done with the others.
    outcome: _R | Exception | None = None


class Together(Generic[_T, _A, _R]):
    """`all_of` does what several asked for, in their order: what each is answered, or the error
    that is his alone. What it raises spoils it for all: then each is done by itself."""

    def __init__(self, all_of: Callable[[_T, list[_A]], list[_R | Exception]]) -> None:
        self._all_of = all_of
        self._waiting: dict[_T, list[_Waiting[_A, _R]]] = {}
        self._guard = Lock()
        #: Of all things some share a lock, which is taken before any turn to write.
        self._locks = [RLock() for _ in range(64)]

    def one_at_a_time(self, thing: _T) -> RLock:
        """A context in which nobody else in this process is at this thing. Not to be entered by
        who has the turn to write."""
        return self._locks[hash(thing) % len(self._locks)]

    def do(self, thing: _T, asked: _A) -> _R:
        """Do what is asked, with what others ask meanwhile. Raises what `all_of` has for it."""
        if connection.in_atomic_block:  # part of a larger write: nobody else's may be in it
            return self._alone(thing, asked)
        mine = _Waiting[_A, _R](asked)
        with self._guard:
            waiting = self._waiting.setdefault(thing, [])
            waiting.append(mine)
        if waiting[0] is mine:
            with self.one_at_a_time(thing):
                with self._guard:
                    del self._waiting[thing]
                self._do_all(thing, waiting)
        mine.done.wait()
        if mine.outcome is None:
            with self.one_at_a_time(thing):
                return self._alone(thing, asked)
        return _given(mine.outcome)

    def _do_all(self, thing: _T, waiting: list[_Waiting[_A, _R]]) -> None:
        try:
            outcomes = self._all_of(thing, [w.asked for w in waiting])
            for w, outcome in zip(waiting, outcomes, strict=True):
                w.outcome = outcome
        except Exception as error:  # noqa: BLE001 - each meets it where he asked
            if len(waiting) == 1:
                waiting[0].outcome = error
        finally:
            for w in waiting:
                w.done.set()

    def _alone(self, thing: _T, asked: _A) -> _R:
        return _given(self._all_of(thing, [asked])[0])


def _given(outcome: _R | Exception) -> _R:
    if isinstance(outcome, Exception):
        raise outcome
    return outcome
