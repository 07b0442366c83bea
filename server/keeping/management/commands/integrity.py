"""`manage.py integrity`: whether what is kept is whole."""

from __future__ import annotations

from argparse import ArgumentParser
from typing import Any

from builds.models import Build
from django.core.management.base import BaseCommand, CommandError

from keeping import whole


class Command(BaseCommand):
    """Looks over the database, each build, its history, its photos and readings."""

    help = (
        "Say whether everything that is kept is whole; exit 1 where something is damaged. What was "
        "left over is no damage: --clean takes it away."
    )

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("--clean", action="store_true", help="take away what was left over")

    def handle(self, *args: Any, **options: Any) -> None:
        if options["clean"]:
            for words in whole.clean():
                self.stdout.write(f"Taken away: {words}")
        damage = list(whole.damage())
        for words in damage:
            self.stdout.write(words)
        left = list(whole.litter())
        for one in left:
            self.stdout.write(f"Left over: {one.words}")
        if left:
            self.stdout.write(f"{len(left)} left over: `integrity --clean` takes them away.")
        if damage:
            raise CommandError(f"{len(damage)} damaged. `restore` puts a copy back.")
        self.stdout.write(f"{Build.objects.count()} builds looked over: all is whole.")
