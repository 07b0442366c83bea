"""`manage.py restore FILE`: a copy in the place of what is kept."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError

from keeping import copies


class Command(BaseCommand):
    """Puts a copy back; what is there is copied first. Refuses a damaged one."""

    help = "Put the copy FILE in the place of what is kept; that is copied into var/copies first."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file", type=Path)

    def handle(self, *args: Any, **options: Any) -> None:
        file: Path = options["file"]
        try:
            counts = copies.restore(file)
        except (OSError, copies.Damaged, copies.InUse) as error:
            raise CommandError(f"Nothing was changed. {error}") from error
        call_command("migrate", verbosity=0)
        self.stdout.write(
            f"Put back: {counts.builds} builds, {counts.photos} photos, "
            f"{counts.readings} readings, "
            f"as of {counts.made}. What was there before is in var/copies."
        )
