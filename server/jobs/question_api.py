"""Questions: asked, answered, taken into the build or into a variant of it, printed and sent."""

from __future__ import annotations

from typing import Any, Literal

from base.downloads import as_file
from base.formats import BusyOut, busy_out
from bench.api import as_pdf, edition_of
from builds import actions, results, schemas
from builds.models import Build
from builds.routes.answering import whole, written
from django.http import HttpRequest, HttpResponse
from easy_tally import Refused
from easy_tally.editing import Become
from easy_tally.files import answer_html, answer_pdf, build_file
from easy_tally.question import Heard, QuestionAnswer
from ninja import Router, Schema
from owners.models import owner_of
from pydantic import Field, TypeAdapter

from jobs import questions, rows
from jobs.models import Question

router = Router()
_ANSWER: TypeAdapter[QuestionAnswer] = TypeAdapter(QuestionAnswer)
#: Names that are offered at the most.
_MOST_NAMES = 1_000


class QuestionIn(Schema):
    """A question in words; `instead`: what its part is to come in place of, by key."""

    base_version: int
    text: str = Field(max_length=2000)
    instead: str = ""


class InsteadOut(Schema):
    """What a part may come in place of."""

    key: str
    words: str
    taken: bool


class QuestionOut(Schema):
    """A question: what is open of it, with lines that would answer; or how far its answer is. `id`
    0: it was not understood. `instead`: what its part may come in place of; `current`: it is of
    the build as it is."""

    id: int = 0
    text: str
    asked: str = ""
    state: str = "open"
    version: int = 0
    current: bool = True
    question: str = ""
    choices: list[str] = []
    unknown: list[str] = []
    left_out: list[str] = []
    instead: list[InsteadOut] = []
    error: str = ""
    waits: str = ""
    busy: list[BusyOut] = []
    answer: QuestionAnswer | None = None


class AskedBefore(Schema):
    """A question that was asked of this build before."""

    id: int
    text: str
    goes: str
    current: bool


class TakeAnswerIn(Schema):
    """Take an answer: as asked (0), or by one of its ways."""

    base_version: int
    at: int = 0


class VariantIn(Schema):
    """Make an answer a variant: as asked (0), or by one of its ways."""

    at: int = 0
    name: str = Field(default="", max_length=80)


@router.post("/builds/{key}/questions", response=QuestionOut, operation_id="askQuestion")
def ask(request: HttpRequest, key: str, body: QuestionIn) -> dict[str, Any]:
    """Ask what becomes of a build by a change. What is not understood is asked back."""
    row = actions.find(owner_of(request), key)
    if body.base_version != row.version:
        raise Refused("The build has changed meanwhile; ask again.")
    text = " ".join(body.text.split())
    heard = questions.hear(row, text, body.instead)
    if heard.change is None:
        return {"text": text, **_open(heard)}
    told = questions.Told.of(heard)
    question = questions.ask(row, text, heard.taken or body.instead, heard.change, told)
    return _answer(row, question)


def _open(heard: Heard) -> dict[str, Any]:
    return {
        "question": heard.question,
        "choices": list(heard.choices),
        "unknown": list(heard.unknown),
    }


@router.get("/builds/{key}/shelf", response=list[str], operation_id="askableNames")
def names(request: HttpRequest, key: str) -> list[str]:
    """What may be asked about by its name."""
    row = actions.find(owner_of(request), key)
    known = questions.shelf(row, results.current(row))
    several = [
        *(p.name for p in known.parts),
        *(k.supply.name for k in known.kits),
        *(c.name for c in known.cases),
        *(s.thing.name for s in known.loose),
    ]
    return list(dict.fromkeys(several))[:_MOST_NAMES]


@router.get("/builds/{key}/questions", response=list[AskedBefore], operation_id="listQuestions")
def list_questions(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The questions that were asked last, the newest first."""
    row = actions.find(owner_of(request), key)
    several = Question.objects.filter(build=row).defer("documents")
    return [
        {
            "id": q.pk,
            "text": q.text,
            "goes": (q.answer or {}).get("goes", ""),
            "current": q.version == row.version,
        }
        for q in several
    ]


@router.get("/builds/{key}/questions/{id}", response=QuestionOut, operation_id="getQuestion")
def get_question(request: HttpRequest, key: str, id: int) -> dict[str, Any]:
    """A question, and its answer as far as that is."""
    row = actions.find(owner_of(request), key)
    return _answer(row, questions.find(row, id))


@router.delete("/builds/{key}/questions/{id}", response={204: None}, operation_id="dropQuestion")
def drop(request: HttpRequest, key: str, id: int) -> tuple[int, None]:
    """Forget a question."""
    row = actions.find(owner_of(request), key)
    rows.drop(questions.find(row, id))
    return 204, None


def _answer(row: Build, question: Question) -> dict[str, Any]:
    state = questions.state(row, question)
    job = state.job if isinstance(state.job, Question) else question
    return {
        "id": job.pk,
        "text": job.text,
        "asked": job.change["words"],
        "state": job.state,
        "version": job.version,
        "current": job.version == row.version,
        "left_out": job.left_out,
        "instead": job.places,
        "error": job.error,
        "waits": state.waits,
        "busy": busy_out(state.busy),
        "answer": job.answer,
    }


@router.post(
    "/builds/{key}/questions/{id}/take", response=schemas.WrittenOut, operation_id="takeAnswer"
)
def take(request: HttpRequest, key: str, id: int, body: TakeAnswerIn) -> HttpResponse:
    """Make the build what an answer tells of: one change, taken back by one undo."""
    owner = owner_of(request)
    row = actions.find(owner, key)
    question = questions.find(row, id)
    if question.version != row.version:
        raise Refused("The build has changed since this was asked; ask again.")
    then = questions.build_of(row, question, body.at)
    edit = Become(build=then, words=question.change["words"])
    return written(actions.act(owner, key, body.base_version, edit))


@router.post(
    "/builds/{key}/questions/{id}/variant",
    response={201: schemas.BuildOut},
    operation_id="variantOfAnswer",
)
def variant(request: HttpRequest, key: str, id: int, body: VariantIn) -> HttpResponse:
    """Make what an answer tells of a variant of the build; also where that has changed since."""
    owner = owner_of(request)
    row = actions.find(owner, key)
    question = questions.find(row, id)
    then = questions.build_of(row, question, body.at)
    name = body.name.strip() or f"{then.name}, {question.change['words']}"
    return whole(actions.make_variant(owner, key, name, then), 201)


@router.get("/builds/{key}/questions/{id}/answer.{kind}", operation_id="answerFile")
def file(
    request: HttpRequest, key: str, id: int, kind: Literal["html", "pdf"], at: int = 0
) -> HttpResponse:
    """An answer as pages, or as one page that opens anywhere and holds the build file."""
    row = actions.find(owner_of(request), key)
    question = questions.find(row, id)
    if question.answer is None:
        raise Refused("There is no answer yet.")
    answer = _ANSWER.validate_python(question.answer)
    build = questions.build_of(row, question, at)
    name = f"{answer.build} {answer.asked}"[:80]
    if kind == "pdf":
        return as_pdf(answer_pdf.answer(answer, at, edition=edition_of(row)), name)
    result = results.work_out(row.owner_id, build).result
    page = answer_html.write(answer, result, build_file.write(build), at)
    return as_file(page.encode(), "text/html; charset=utf-8", name, "html")
