"""What a start does before the first request: one at a time, a database that can be used, a copy
of it before it is changed to a new shape."""

from __future__ import annotations

import fcntl
import os
from collections.abc import Iterator
from contextlib import contextmanager

from django.conf import settings
from django.core.management import call_command
from django.db import connection
from django.db.migrations.executor import MigrationExecutor

from keeping import copies


@contextmanager
def one_at_a_time() -> Iterator[None]:
    """Two starts on one folder go one after the other."""
    handle = os.open(settings.VAR / "starting", os.O_RDWR | os.O_CREAT, 0o600)
    try:
        fcntl.flock(handle, fcntl.LOCK_EX)
        yield
    finally:
        os.close(handle)


def migrate() -> None:
    """Bring the database to today's shape; one with builds in it is copied first. Raises
    copies.Damaged where it was made by a later version, OSError."""
    executor = MigrationExecutor(connection)
    applied = set(executor.loader.applied_migrations)
    later = copies.later(applied)
    if later:
        raise copies.Damaged(
            f"{copies.database()} was written by a later Easy Tally ({later}): start that one, "
            "or point EASY_TALLY_VAR at another folder."
        )
    if not executor.migration_plan(executor.loader.graph.leaf_nodes()):
        return
    if applied:
        copies.keep("before-migration")
    call_command("migrate", verbosity=0)
