"""`manage.py load_demo`: open the demo builds by the ordinary import, if there is no build yet."""

from __future__ import annotations

import json
from argparse import ArgumentParser
from typing import Any

from builds import actions
from builds.models import Build
from django.conf import settings
from django.core.management.base import BaseCommand, CommandError
from django.db import DatabaseError
from drawer import store as drawer
from owners.models import current_owner

from keeping import copies, starting


class Command(BaseCommand):
    """Loads demo builds and a drawer into an empty database; keeps what a user has."""

    help = "Load the demo builds into an empty database."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("--migrate", action="store_true", help="migrate the database first")
        parser.add_argument("--empty", action="store_true", help="load nothing: only begin")
        parser.add_argument("--port", type=int, help="the port that is to be served, to look at it")

    def handle(self, *args: Any, **options: Any) -> None:
        try:
            if options["port"]:
                starting.free(options["port"])
            with starting.one_at_a_time():
                if options["migrate"]:  # in one process: a start takes a second less
                    starting.migrate()
                    copies.daily()
                if not options["empty"]:
                    self._load()
        except starting.CantStart as error:
            raise CommandError(str(error)) from error
        except (OSError, copies.Damaged, DatabaseError) as error:
            raise CommandError(starting.words(error)) from error

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
