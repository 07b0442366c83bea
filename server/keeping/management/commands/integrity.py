"""`manage.py integrity`: whether what is kept is whole."""

from __future__ import annotations

from typing import Any

from builds.models import Build
from django.core.management.base import BaseCommand, CommandError

from keeping import whole


class Command(BaseCommand):
    """Looks over the database, each build, its history and its photos."""

    help = "Say whether the database, each build and each photo is whole; exit 1 if one is not."

    def handle(self, *args: Any, **options: Any) -> None:
        found = list(whole.troubles())
        for trouble in found:
            self.stdout.write(trouble)
        if found:
            raise CommandError(f"{len(found)} found. `restore` puts a copy back.")
        self.stdout.write(f"{Build.objects.count()} builds looked over: all is whole.")
