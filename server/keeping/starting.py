"""What a start does before the first request: one at a time, a database that can be used, a copy
of it before it is changed to a new shape."""

from __future__ import annotations

import fcntl
import socket
from contextlib import AbstractContextManager

from django.conf import settings
from django.core.management import call_command
from django.db import connection
from django.db.migrations.executor import MigrationExecutor

from keeping import copies


class CantStart(Exception):
    """Why it can't start, and what to do, in a sentence."""


def free(port: int) -> None:
    """See that nobody listens on a port of this machine. Raises CantStart."""
    if not 1 <= port <= 65535:
        raise CantStart(
            f"A port is 1 to 65535; got {port}. Set another, as in make demo PORT=8001."
        )
    with socket.socket() as at:
        at.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            at.bind(("127.0.0.1", port))
        except OSError as error:
            why = error.strerror or "it can't be used"
            raise CantStart(
                f"Port {port} can't be served ({why.lower()}): stop what is there, or take "
                f"another, as in make demo PORT={port + 1 if port < 65535 else 8001}."
            ) from error


def words(error: Exception) -> str:
    """What went wrong with the folder or the database, and what to do, in a sentence."""
    where, text = settings.VAR, str(error)
    if isinstance(error, copies.Damaged):
        return text
    if isinstance(error, OSError):
        text = error.strerror or text
    low = text.lower()
    if "full" in low or "no space" in low:
        return f"The disk of {where} is full: make room, or point EASY_TALLY_VAR at another folder."
    if "readonly" in low or "read-only" in low or "permission" in low or "unable to open" in low:
        return (
            f"{where} can't be written ({low}): give yourself the right to, or point "
            "EASY_TALLY_VAR at another folder."
        )
    if "not a database" in low or "malformed" in low or "no such" in low or "already exists" in low:
        return (
            f"{copies.database()} is no database of Easy Tally, or is damaged ({text}): move it "
            "away and start again, then `manage.py restore` puts a copy of var/copies back."
        )
    return f"It can't start: {text}"


def one_at_a_time() -> AbstractContextManager[None]:
    """Two starts on one folder go one after the other."""
    return copies.locked("starting", fcntl.LOCK_EX)


def refuse_later(executor: MigrationExecutor | None = None) -> None:
    """See that the database was not written by a later version. Raises copies.Damaged."""
    executor = executor or MigrationExecutor(connection)
    applied = set(executor.loader.applied_migrations)
    later = copies.later(applied)
    if later:
        raise copies.Damaged(
            f"{copies.database()} was written by a later Easy Tally ({later}): start that one, "
            "or point EASY_TALLY_VAR at another folder."
        )


def migrate() -> None:
    """Bring the database to today's shape; one with builds in it is copied first. Raises
    copies.Damaged where it was made by a later version, OSError."""
    executor = MigrationExecutor(connection)
    refuse_later(executor)
    if not executor.migration_plan(executor.loader.graph.leaf_nodes()):
        return
    if executor.loader.applied_migrations:
        copies.keep("before-migration")
    call_command("migrate", verbosity=0)
