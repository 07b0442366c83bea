"""What is written piece by piece and given over in one go: others write in between, and it is there
whole or not at all."""

from __future__ import annotations

import secrets
import time
from collections.abc import Iterator
from contextlib import contextmanager

from base.writing import writing

from owners.models import Owner

_NAME = "incoming "
#: What lies for so long [s] was left by a process that was killed.
_LEFT_S = 3600


@contextmanager
def incoming() -> Iterator[Owner]:
    """Somebody whom nobody is: what is theirs is seen by none. It is given over by a change of its
    owner; what is left of it at the end goes."""
    with writing():
        _sweep()
        held = Owner.objects.create(name=f"{_NAME}{int(time.time())} {secrets.token_hex(8)}")
    try:
        yield held
    finally:
        with writing():
            Owner.objects.filter(pk=held.pk).delete()


def _sweep() -> None:
    """Take away what a killed process left."""
    for owner in Owner.objects.filter(name__startswith=_NAME):
        if time.time() - int(owner.name.split()[1]) > _LEFT_S:
            owner.delete()
