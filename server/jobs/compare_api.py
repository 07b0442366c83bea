"""Builds side by side: variants, others, a build as it was, a build under schools; as CSV and PDF
too. What a build is called here: its key; `KEY@N` as it was after N changes; `KEY@name` by a mark;
`KEY~school` under a school."""

from __future__ import annotations

from typing import Any, Literal

from base.downloads import as_file
from base.formats import BusyOut, busy_out
from bench import record
from bench.api import as_pdf
from builds import actions, past, results
from builds.models import Build
from builds.routes.answering import dump
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from easy_tally import BadInput
from easy_tally.files import Edition, compared_csv, compared_pdf
from easy_tally.question import MOST_SIDES, Before, ComparedAnswer, QuestionAnswer, Side, compared
from easy_tally.things import School
from ninja import Router, Schema
from owners.models import Owner, owner_of
from pydantic import Field

from jobs import questions, schools
from jobs.models import SchoolJob

router = Router()


@router.get("/compare", response=ComparedAnswer, operation_id="compareBuilds")
def compare(request: HttpRequest, sides: str) -> HttpResponse:
    """Up to four builds side by side; `sides`: what they are called, by commas."""
    return HttpResponse(
        dump(ComparedAnswer, _compared(request, sides)), content_type="application/json"
    )


@router.get("/compare.{kind}", operation_id="comparisonFile")
def file(request: HttpRequest, kind: Literal["csv", "pdf"], sides: str) -> HttpResponse:
    """The comparison as CSV, or as pages."""
    answer = _compared(request, sides)
    name = " and ".join(s.name for s in answer.sides)[:80]
    if kind == "csv":
        return as_file(compared_csv.write(answer).encode(), "text/csv; charset=utf-8", name, "csv")
    return as_pdf(compared_pdf.pages_of(answer, edition=Edition(on=timezone.localdate())), name)


def _compared(request: HttpRequest, sides: str) -> ComparedAnswer:
    refs = list(dict.fromkeys(r for r in sides.split(",") if r))
    if not 1 <= len(refs) <= MOST_SIDES:
        raise BadInput([("sides", f"1 to {MOST_SIDES} builds", str(len(refs)))])
    owner = owner_of(request)
    befores: dict[str, Before] = {}
    return compared([_side(owner, ref, befores) for ref in refs])


def _side(owner: Owner, ref: str, befores: dict[str, Before]) -> Side:
    key, sign, which = _parted(ref)
    row = actions.find(owner, key)
    machine = record.machine_of(row)
    if machine.key not in befores:
        around = questions.around(machine, timezone.now().year)
        befores[machine.key] = Before(results.current(machine), around)
    before = befores[machine.key]
    if sign == "~":
        return _under(owner, row, which, before)
    build, name = results.current(row), actions.name_of(owner, key)
    if sign == "@":
        was = past.moment(row, which)
        build, name = was.build, f"{name}, {was.words}"
    return Side(name=name, outcome=before.judged(build))


def _parted(ref: str) -> tuple[str, str, str]:
    for sign in "@~":
        key, between, which = ref.partition(sign)
        if between:
            return key, sign, which
    return ref, "", ""


def _under(owner: Owner, row: Build, id: str, before: Before) -> Side:
    """A build under a school. Raises NotThere where that is not worked out."""
    school = schools.find(owner, id)
    outcome = before.judged(schools.build_of(row, id))
    job = schools.job_of(row)
    answers = {a["id"]: a["answer"]["text"] for a in (job.answer if job else None) or ()}
    note = f"{school.text} What it risks: {school.risk}" if school.risk else school.text
    return Side(name=school.name, outcome=outcome, note=note, takes=answers.get(id, ""))


# -- schools -----------------------------------------------------------------------------------


class SchoolIn(Schema):
    """A school to keep: a name, why, what it risks, and positions of house rules."""

    name: str = Field(min_length=1, max_length=80)
    text: str = Field(default="", max_length=400)
    risk: str = Field(default="", max_length=400)
    positions: dict[str, Any]


class SchoolOut(Schema):
    """A school; whether it is one's own."""

    school: School
    own: bool


class UnderSchool(Schema):
    """What becomes of a build under a school: by its id, with the answer."""

    id: str
    answer: QuestionAnswer


class SchoolsState(Schema):
    """A build under every school: how far that is, and what came of it."""

    state: Literal["none", "waiting", "running", "done", "stopped", "failed"] = "none"
    done: int = 0
    of: int = 0
    error: str = ""
    waits: str = ""
    busy: list[BusyOut] = []
    answers: list[UnderSchool] = []


@router.get("/schools", response=list[SchoolOut], operation_id="listSchools")
def list_schools(request: HttpRequest) -> list[dict[str, Any]]:
    """The schools that ship, then one's own."""
    owner = owner_of(request)
    own = {s.id for s in schools.own(owner)}
    return [{"school": s, "own": s.id in own} for s in schools.every(owner)]


@router.post("/schools", response=School, operation_id="keepSchool")
def keep_school(request: HttpRequest, body: SchoolIn) -> School:
    """Keep a set of positions as a school of one's own."""
    return schools.keep(owner_of(request), body.model_dump())


@router.delete("/schools/{id}", response={204: None}, operation_id="removeSchool")
def remove_school(request: HttpRequest, id: str) -> tuple[int, None]:
    """Remove a school of one's own."""
    schools.remove(owner_of(request), id)
    return 204, None


@router.post("/builds/{key}/schools", response=SchoolsState, operation_id="askSchools")
def ask_schools(request: HttpRequest, key: str) -> dict[str, Any]:
    """Ask what becomes of a build under every school."""
    row = actions.find(owner_of(request), key)
    schools.ask(row)
    return _schools(row)


@router.get("/builds/{key}/schools", response=SchoolsState, operation_id="schoolsState")
def schools_state(request: HttpRequest, key: str) -> dict[str, Any]:
    """How far that is."""
    return _schools(actions.find(owner_of(request), key))


def _schools(row: Build) -> dict[str, Any]:
    state = schools.state(row)
    job = state.job
    if not isinstance(job, SchoolJob) or job.version != row.version:
        return {"state": "none"}
    return {
        "state": job.state,
        "done": job.done,
        "of": job.of,
        "error": job.error,
        "waits": state.waits,
        "busy": busy_out(state.busy),
        "answers": job.answer or [],
    }


# -- the past ----------------------------------------------------------------------------------


class MomentOut(Schema):
    """A build as it was: what it is called in a comparison, in words, when; whether it was
    marked."""

    ref: str
    words: str
    at: str
    marked: bool


class MarkIn(Schema):
    """A name for the build as it is."""

    name: str = Field(min_length=1, max_length=60)


@router.get("/builds/{key}/past", response=list[MomentOut], operation_id="pastOf")
def list_past(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The marks of a build, and the last of its changes."""
    row = actions.find(owner_of(request), key)
    return [m._asdict() for m in past.moments(row)]


@router.post("/builds/{key}/past", response=list[MomentOut], operation_id="markBuild")
def mark(request: HttpRequest, key: str, body: MarkIn) -> list[dict[str, Any]]:
    """Mark the build as it is by a name."""
    row = actions.find(owner_of(request), key)
    past.mark(row, body.name)
    return [m._asdict() for m in past.moments(row)]
