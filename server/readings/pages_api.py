"""Pages to hand over: the tally with its parts, the handover, the whole machine."""

from __future__ import annotations

from typing import Literal

from bench import record
from bench.api import as_pdf, edition_of
from builds import actions, results
from builds.models import Build
from django.http import HttpRequest, HttpResponse
from easy_tally.files import Measured, handover_pdf, joined, loom_pdf, tally_pdf, work_pdf
from easy_tally.readings import answer
from ninja import Router
from owners.models import owner_of

from readings import sets
from readings.models import Taken

router = Router()
Paper = Literal["A4", "letter"]


@router.get("/builds/{key}/handover.pdf", operation_id="handover")
def get_handover(request: HttpRequest, key: str, paper: Paper = "A4") -> HttpResponse:
    """One page for whoever gets the machine, with what was measured: never what was simulated."""
    row = actions.find(owner_of(request), key)
    return as_pdf(_handover(row, paper), f"{results.analysis(row).build.name} handover")


@router.get("/builds/{key}/tally.pdf", operation_id="tallyPages")
def get_tally(request: HttpRequest, key: str, paper: Paper = "A4") -> HttpResponse:
    """The tally with the parts list, to be handed over."""
    row = actions.find(owner_of(request), key)
    return as_pdf(_tally(row, paper), f"{results.worked(row).result.name} tally")


@router.get("/builds/{key}/machine.pdf", operation_id="machinePages")
def get_machine(request: HttpRequest, key: str, paper: Paper = "A4") -> HttpResponse:
    """The whole machine: tally and parts, the Loom, what is open of the work, the handover."""
    row = actions.find(owner_of(request), key)
    worked = results.worked(row)
    order = work_pdf.sheet(worked.analysis, record.plan_of(row), paper, edition_of(row))
    loom = loom_pdf.write(worked.result)
    pages = joined((_tally(row, paper), loom, order, _handover(row, paper)))
    return as_pdf(pages, f"{worked.result.name} machine")


def _tally(row: Build, paper: Paper) -> bytes:
    worked = results.worked(row)
    return tally_pdf.tally(worked.analysis.build, worked.result, paper, edition_of(row))


def _handover(row: Build, paper: Paper) -> bytes:
    analysis, work = results.analysis(row), record.plan_of(row)
    sittings, measured = record.history(row), _measured(row)
    return handover_pdf.handover(analysis, work, sittings, measured, paper, edition_of(row))


def _measured(row: Build) -> list[Measured]:
    """Channels of the last set that was read off the machine itself, each at its highest state."""
    for taken in Taken.objects.filter(build=row).exclude(source="simulated").order_by("-pk"):
        if not sets.can_be_shown(taken):
            continue
        figures = answer(results.analysis(row), sets.held(taken)).figures
        return [
            Measured(f"{f.words}, {f.state}", f.high, f.band.low, f.band.high, f.unit)
            for f in figures
        ]
    return []
