"""`manage.py ask FILE "a 450 W card, 16-pin"`: what becomes of a build by a change."""

from __future__ import annotations

import sys
from argparse import ArgumentParser
from typing import Any

from builds.management import files
from django.core.management.base import BaseCommand
from django.utils import timezone
from easy_tally.files import build_file, print_answer, to_text
from easy_tally.mapping import InStock
from easy_tally.question import Answered, Around, QuestionAnswer, Shelf, ask, heard
from easy_tally.supplies import Kit
from easy_tally.things import Adapter, Cable, Extension
from pydantic import TypeAdapter
from work.jobs import patience

from catalogue import cases, parts, supplies


class Command(BaseCommand):
    """Exit status: 0 it goes in, 1 it goes in with something more, 2 the file or the question
    can't be read, 3 what is asked is open, 4 it does not go in, 5 it is not known."""

    help = "Ask what becomes of a build by a change."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file")
        parser.add_argument("question", help="as one says it: a 450 W card, 16-pin, 358 x 149 x 72")
        parser.add_argument("--instead", default="", help="key of the part it comes in place of")
        parser.add_argument("--json", action="store_true", help="as data")
        parser.add_argument("--take", metavar="OUT", help="write the build with it to a file")
        parser.add_argument(
            "--way", type=int, default=0, help="with --take: by which way; 0 as asked"
        )

    def handle(self, *args: Any, **options: Any) -> None:
        build = files.read(self, options["file"])
        around = _sold()
        shelf = Shelf(
            parts=tuple(e.copied() for e in parts.shipped().values()),
            kits=around.kits,
            cases=around.cases,
            loose=around.stock,
        )
        said = heard(options["question"], build, shelf, instead=options["instead"])
        if said.change is None:
            self.stderr.write(said.question)
            for line in said.choices:
                self.stderr.write(f"  {line}")
            sys.exit(3)
        came = ask(build, said.change, around, patience())
        if options["take"]:
            self._take(came, options["take"], options["way"])
        if options["json"]:
            image = TypeAdapter(QuestionAnswer).dump_python(came.answer, mode="json")
            self.stdout.write(to_text(image), ending="")
        else:
            self.stdout.write(print_answer(came.answer), ending="")
        sys.exit({"goes in": 0, "goes in with": 1, "does not go in": 4}.get(came.answer.goes, 5))

    def _take(self, came: Answered, path: str, way: int) -> None:
        if not 0 <= way < len(came.builds):
            self.stderr.write(f"There is no way {way}: 0 to {len(came.builds) - 1} are told.")
            sys.exit(2)
        files.put(self, path, build_file.write(came.builds[way]).encode())


def _sold() -> Around:
    """What a file alone is answered by: the catalogue; it has no drawer and no record."""
    kits = supplies.catalogue().values()
    loose = (e.thing for e in supplies.loose().values())
    return Around(
        year=timezone.now().year,
        stock=tuple(
            InStock(thing=t, owned=False)
            for t in loose
            if isinstance(t, Cable | Adapter | Extension)
        ),
        kits=tuple(Kit(k.slug, "catalogue", k.supply, k.cables) for k in kits),
        cases=cases.shipped(),
    )
