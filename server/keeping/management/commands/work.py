"""`manage.py work`: the process beside the server that reads files and keeps house."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand
from django.db import close_old_connections
from readings import reading
from work.worker import consume

from keeping import copies


class Command(BaseCommand):
    """Reads files of readings, makes the day's copy, empties the bin."""

    help = "Read files of readings, make the day's copy, empty the bin, until it is ended."

    def handle(self, *args: Any, **options: Any) -> None:
        from keeping import tasks  # noqa: F401 - what is done by the hour

        held = copies.in_use()
        reading.exchange().huey.pre_execute("connections")(lambda task: close_old_connections())
        consume(reading.exchange(), reading.read_file, periodic=True)
        del held
