"""`manage.py backup FILE`: everything that is kept, in one archive."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from keeping import copies


class Command(BaseCommand):
    """Copies the database and the photos, also while the application runs."""

    help = "Copy all builds, their records and photos into FILE, and read it back."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file", type=Path)
        parser.add_argument("--check", action="store_true", help="only read FILE through")

    def handle(self, *args: Any, **options: Any) -> None:
        file: Path = options["file"]
        try:
            counts = copies.check(file) if options["check"] else copies.write(file)
        except (OSError, copies.Damaged) as error:
            raise CommandError(str(error)) from error
        self.stdout.write(
            f"{file.name}: {counts.builds} builds, {counts.photos} photos, "
            f"{counts.readings} sets of readings, "
            f"{counts.bytes / 1e3:.0f} kB, of {counts.made}; read back, and whole."
        )
        if counts.missing:
            self.stdout.write(f"Gone before it was made: {', '.join(counts.missing)}.")
