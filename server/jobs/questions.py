"""Questions: heard, asked of the workers with all that they are answered by, and kept."""

from __future__ import annotations

from typing import Any, NamedTuple

from base.writing import writing
from bench import record
from builds import candidates, results
from builds.models import Build
from drawer.prices import in_currency
from easy_tally import Build as CoreBuild
from easy_tally import NotThere
from easy_tally.question import Around, Change, Heard, Shelf, heard
from work.jobs import AroundSent, QuestionAsked, QuestionCame

from catalogue import cases, parts, words
from jobs import maps, rows
from jobs.models import Job, Question
from jobs.rows import Kind, State

#: Questions that are kept of a build.
MOST = 12


class Told(NamedTuple):
    """What is told beside an answer: what its part may come in place of, and what of the line does
    not count."""

    places: list[dict[str, Any]]
    left_out: list[str]

    @classmethod
    def of(cls, heard: Heard) -> Told:
        """As it was heard."""
        places = [{**i._asdict(), "taken": i.key == heard.taken} for i in heard.instead]
        return cls(places, list(heard.left_out))


_NOTHING = Told([], [])


def hear(row: Build, text: str, instead: str = "") -> Heard:
    """What a question asks of a build."""
    build = in_currency(row.owner, results.current(row))
    return heard(text, build, shelf(row, build), words.own(row.owner), instead)


def shelf(row: Build, build: CoreBuild) -> Shelf:
    """What may be asked about by its name."""
    return Shelf(
        parts=tuple(e.copied() for e in parts.every(row.owner).values()),
        kits=tuple(candidates.others(row.owner, build)),
        cases=cases.shipped(),
        loose=tuple(candidates.stock(row.owner, build)),
    )


def around(row: Build, year: int | None = None) -> Around:
    """What a question on a build is answered by."""
    build = results.current(row)
    return Around(
        year=year,
        stock=tuple(candidates.stock(row.owner, build)),
        kits=tuple(candidates.others(row.owner, build)),
        cases=cases.shipped(),
        record=tuple(record.noted_of(row)),
        known=record.known_of(row),
        pace=record.pace_of(row.owner_id),
    )


def ask(row: Build, text: str, instead: str, change: Change, told: Told = _NOTHING) -> Question:
    """Ask for the answer to a question as it was heard; what was answered of the very same build,
    by the same drawer and record, is not worked out again. The oldest of many is forgotten."""
    sent = AroundSent.of(around(row))
    mark = sent.mark()
    same = Question.objects.filter(build=row, text=text, instead=instead)
    done: Question | None = same.filter(version=row.version, around=mark, state="done").first()
    if done is not None:
        return done
    asked = QuestionAsked(**maps.what_is_asked_of(row, "a question"), change=change, around=sent)
    with writing():
        for old in {*same, *Question.objects.filter(build=row)[MOST - 1 :]}:
            rows.drop(old)
        question: Question = Question.objects.create(
            build=row,
            version=row.version,
            text=text,
            instead=instead,
            change=change.model_dump(mode="json"),
            places=told.places,
            left_out=told.left_out,
            around=mark,
            token="",
        )
    rows.send_later(question, asked.model_dump_json())
    return question


def find(row: Build, id: int) -> Question:
    """A question that was asked of a build. Raises NotThere."""
    question: Question | None = Question.objects.filter(build=row, pk=id).first()
    if question is None:
        raise NotThere("There is no such question any more; ask it again.")
    return question


def state(row: Build, question: Question) -> State:
    """How far an answer is."""
    return rows.state(row, question, _QUESTION)


def build_of(row: Build, question: Question, at: int) -> CoreBuild:
    """The build that an answer tells of: as asked (0), or by one of its ways. Raises NotThere."""
    if not 0 <= at < len(question.documents):
        raise NotThere("The answer knows no such way; ask again.")
    return as_of(row, CoreBuild.model_validate_json(question.documents[at]))


def as_of(row: Build, then: CoreBuild) -> CoreBuild:
    """What a worker made of a build: it was asked about in the owner's currency, whatever the
    build names."""
    return then.model_copy(update={"place": results.current(row).place})


def _anew(job: Job) -> Job | None:
    if not isinstance(job, Question):
        return None
    rows.drop(job)
    told = Told(job.places, job.left_out)
    return ask(job.build, job.text, job.instead, Change.model_validate(job.change), told)


def _read(answer: Any) -> dict[str, Any]:
    came = QuestionCame.model_validate(answer)
    return {"answer": came.model_dump(mode="json")["answer"], "documents": came.documents}


_QUESTION = Kind(_anew, _read)
