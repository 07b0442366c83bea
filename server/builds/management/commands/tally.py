"""`manage.py tally FILE`: the whole result of a build file, without a server."""

from __future__ import annotations

import sys
from argparse import ArgumentParser
from typing import Any

from django.core.management.base import BaseCommand
from django.utils import timezone
from easy_tally import Build, Report, analyse, exit_status, report
from easy_tally.advice import map_it
from easy_tally.bench import plan
from easy_tally.files import (
    Edition,
    build_file,
    flags_pdf,
    handover_pdf,
    loom_pdf,
    loom_svg,
    map_csv,
    print_map,
    print_report,
    to_text,
    work_pdf,
)
from easy_tally.publishing import MapAnswer, map_answer
from pydantic import TypeAdapter

from builds.management import files


class Command(BaseCommand):
    """Exit status: 0 all well, 1 something to mend or not proven, 2 a file that can't be read; with
    `--map` 0 mapped and proven, 3 mapped and not proven best, 4 no whole map."""

    help = "Print the whole result of a build file."

    def add_arguments(self, parser: ArgumentParser) -> None:
        parser.add_argument("file")
        parser.add_argument(
            "--map", metavar="OUT", help="map it: the build to a file, what it comes to printed"
        )
        kind = parser.add_mutually_exclusive_group()
        kind.add_argument("--json", action="store_true", help="as data, see docs/build-file.md")
        kind.add_argument("--csv", action="store_true", help="the connection list as CSV")
        kind.add_argument("--svg", action="store_true", help="the Loom as a picture")
        kind.add_argument("--sheet", metavar="OUT", help="write the work order as PDF to a file")
        kind.add_argument("--flags", metavar="OUT", help="write the cable flags as PDF to a file")
        kind.add_argument("--handover", metavar="OUT", help="write the handover as PDF to a file")
        kind.add_argument("--pdf", metavar="OUT", help="write the Loom as PDF to a file")

    def handle(self, *args: Any, **options: Any) -> None:
        build = files.read(self, options["file"])
        analysis = analyse(build, timezone.now().year)
        answer = report(analysis)
        if options["map"]:
            self._map(build, options)
        today = Edition(on=timezone.localdate())
        if options["json"]:
            self.stdout.write(to_text(TypeAdapter(Report).dump_python(answer, mode="json")))
        elif options["csv"]:
            self.stdout.write(map_csv.write(analysis), ending="")
        elif options["svg"]:
            self.stdout.write(loom_svg.write(answer.result), ending="")
        elif options["pdf"]:
            files.put(self, options["pdf"], loom_pdf.write(answer.result))
        elif options["sheet"]:
            files.put(
                self, options["sheet"], work_pdf.sheet(analysis, plan(analysis), edition=today)
            )
        elif options["flags"]:
            files.put(self, options["flags"], flags_pdf.flags(analysis, edition=today))
        elif options["handover"]:
            page = handover_pdf.handover(analysis, plan(analysis), edition=today)
            files.put(self, options["handover"], page)
        else:
            self.stdout.write(print_report(answer))
        sys.exit(exit_status(answer))

    def _map(self, build: Build, options: dict[str, Any]) -> None:
        """Map the build, write it, say what it comes to, and end."""
        answer = map_answer(map_it(build))
        then = answer.edit.apply(build) if answer.edit else build
        files.put(self, options["map"], build_file.write(then).encode())
        if options["json"]:
            self.stdout.write(to_text(TypeAdapter(MapAnswer).dump_python(answer, mode="json")))
        else:
            self.stdout.write(print_map(answer))
        if answer.status in ("mapped", "nothing"):
            sys.exit(0 if answer.proven else 3)
        sys.exit(4 if answer.status == "impossible" else 5)
