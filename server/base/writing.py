"""One write at a time in this process. SQLite has one writer; a thread that waits for it in here
is woken when its turn has come, where SQLite itself would sleep and ask again, ever longer. Other
processes are waited for as before."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from threading import RLock

from django.db import transaction

_TURN = RLock()


@contextmanager
def writing() -> Iterator[None]:
    """A transaction that writes: a context, or `@writing()` over a function. Within another it is
    part of that one. The turn comes before the transaction, everywhere, so that nobody holds the
    one and waits for the other."""
    with _TURN, transaction.atomic():
        yield
