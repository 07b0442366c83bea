"""Details of a result, fetched when they are opened."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest, HttpResponse
from easy_tally import NotThere
from easy_tally.entry import say
from easy_tally.publishing import (
    RowAnswer,
    RunAnswer,
    SpikeRowAnswer,
    run_answer,
    spike_rows_of,
    tally_rows,
)
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas
from builds.routes.answering import answer, dump

router = Router()


@router.get("/builds/{key}/runs/{cable}", response=schemas.WhyOut, operation_id="why")
def why(request: HttpRequest, key: str, cable: str) -> HttpResponse:
    """Every element of one run."""
    row = actions.find(owner_of(request), key)
    analysis = results.analysis(row)
    run = next((r for r in analysis.runs if r.wired.cable.key == cable), None)
    if run is None:
        raise NotThere(f"The cable {cable} is not plugged in.")
    return answer(
        ("version", dump(int, row.version)), ("run", dump(RunAnswer, run_answer(analysis, run)))
    )


@router.get("/builds/{key}/rows", response=schemas.RowsOut, operation_id="rows")
def rows(request: HttpRequest, key: str) -> HttpResponse:
    """The rows that add up to every figure of the tally."""
    row = actions.find(owner_of(request), key)
    analysis = results.analysis(row)
    return answer(
        ("version", dump(int, row.version)),
        ("rows", dump(tuple[RowAnswer, ...], tally_rows(analysis))),
        ("spike_rows", dump(tuple[SpikeRowAnswer, ...], spike_rows_of(analysis))),
    )


@router.get("/builds/{key}/lines", response=schemas.LinesOut, operation_id="lines")
def lines(request: HttpRequest, key: str) -> dict[str, Any]:
    """The parts of a build as lines that the entry line reads."""
    build = results.current(actions.find(owner_of(request), key))
    return {"lines": [say(part) for part in build.parts]}
