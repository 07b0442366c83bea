"""`manage.py load_demo`: open the demo builds by the ordinary import, if there is no build yet."""

from __future__ import annotations

import json
from argparse import ArgumentParser
from typing import Any

from builds import actions
from builds.models import Build
from django.conf import settings
from django.core.management.base import BaseCommand, CommandError
from drawer import store as drawer
from owners.models import current_owner

from keeping import copies, starting


class Command(BaseCommand):
    """Loads demo builds and a drawer into an empty database; keeps what a user has."""

    help = "Load the demo builds into an empty database."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("--migrate", action="store_true", help="migrate the database first")

    def handle(self, *args: Any, **options: Any) -> None:
        with starting.one_at_a_time():
            if options["migrate"]:  # in one process: a start takes a second less
                try:
                    starting.migrate()
                    copies.daily()
                except (OSError, copies.Damaged) as error:
                    raise CommandError(str(error)) from error
            self._load()

    def _load(self) -> None:
        if Build.objects.exists():
            self.stdout.write("There are builds already; nothing was loaded.")
            return
        for file in sorted((settings.DEMO / "builds").glob("*.tally.json")):
            actions.open_file(current_owner(), file.read_text(encoding="utf-8"))
            self.stdout.write(f"Loaded {file.name}.")
        for thing in json.loads((settings.DEMO / "drawer.json").read_text(encoding="utf-8")):
            fields = drawer.of_slug(thing.pop("kind"), thing.pop("slug"))
            drawer.put(current_owner(), thing | fields)
