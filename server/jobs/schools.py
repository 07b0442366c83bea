"""Schools: those that ship and one's own; a build under each of them, worked out by the workers."""

from __future__ import annotations

import re
from hashlib import sha256
from itertools import count
from typing import Any

from base.writing import writing
from builds.models import Build
from easy_tally import BadInput, NotThere
from easy_tally import Build as CoreBuild
from easy_tally.base import problems_of
from easy_tally.things import SCHOOLS, School
from owners.models import Owner
from pydantic import ValidationError
from work.jobs import SCHOOLS_CAME, AroundSent, SchoolsAsked

from jobs import maps, questions, rows
from jobs.models import Job, SchoolJob
from jobs.rows import Kind, State

#: Schools of one's own at the most.
MOST = 20


def own(owner: Owner) -> tuple[School, ...]:
    """The schools that an owner keeps."""
    kept = Owner.objects.values_list("schools", flat=True).get(pk=owner.pk)
    return tuple(School.model_validate(s) for s in kept)


def every(owner: Owner) -> tuple[School, ...]:
    """Those that ship, then one's own."""
    return (*SCHOOLS, *own(owner))


def find(owner: Owner, id: str) -> School:
    """The school called `id`. Raises NotThere."""
    school = next((s for s in every(owner) if s.id == id), None)
    if school is None:
        raise NotThere(f"There is no school {id}; it may have been removed.")
    return school


@writing()
def keep(owner: Owner, fields: dict[str, Any]) -> School:
    """Keep a school of one's own, in the place of the one of its name where there is one. Raises
    BadInput."""
    name = str(fields.get("name", "")).strip()
    kept = own(owner)
    same = next((s for s in kept if s.name == name), None)
    stem = re.sub("[^a-z0-9]+", "-", name.lower()).strip("-")[:50] or "school"
    taken = {s.id for s in every(owner)}
    id = same.id if same else next(k for n in count(1) if (k := f"own-{stem}-{n}") not in taken)
    try:
        school = School.model_validate(fields | {"name": name, "id": id})
    except ValidationError as error:
        raise BadInput(problems_of(error)) from error
    others = [s for s in kept if s.id != id]
    if len(others) >= MOST:
        raise BadInput([("schools", f"at most {MOST}: remove one", str(len(others) + 1))])
    _put(owner, [*others, school])
    return school


@writing()
def remove(owner: Owner, id: str) -> None:
    """Remove a school of one's own. Raises NotThere."""
    kept = own(owner)
    if id not in {s.id for s in kept}:
        raise NotThere(f"There is no school {id} of your own.")
    _put(owner, [s for s in kept if s.id != id])


def _put(owner: Owner, schools: list[School]) -> None:
    kept = [s.model_dump(mode="json") for s in schools]
    Owner.objects.filter(pk=owner.pk).update(schools=kept)


# -- a build under each -----------------------------------------------------------------------


def ask(row: Build) -> SchoolJob:
    """Ask what becomes of a build under every school; what was answered of the very same is not
    worked out again."""
    schools, sent = every(row.owner), AroundSent.of(questions.around(row))
    told = [s.model_dump_json() for s in schools]
    mark = sha256(repr((told, sent.mark())).encode()).hexdigest()
    job = job_of(row)
    is_of_it = job is not None and (job.version, job.around) == (row.version, mark)
    if job is not None and is_of_it and job.state in (*rows.UNDER_WAY, "done"):
        return job
    asked = SchoolsAsked(
        **maps.what_is_asked_of(row, "schools"), schools=list(schools), around=sent
    )
    with writing():
        rows.drop(job)
        job = SchoolJob(build=row, version=row.version, around=mark, token="")
        job.save()
    rows.send_later(job, asked.model_dump_json())
    return job


def job_of(row: Build) -> SchoolJob | None:
    """What was asked last."""
    job: SchoolJob | None = SchoolJob.objects.filter(build=row).first()
    return job


def state(row: Build) -> State:
    """How far the schools of a build are."""
    return rows.state(row, job_of(row), _SCHOOLS)


def build_of(row: Build, id: str) -> CoreBuild:
    """The build as a school maps it. Raises NotThere where that is not worked out."""
    job = job_of(row)
    text = job.documents.get(id) if job and job.version == row.version else None
    if text is None:
        raise NotThere("Under this school it is not worked out yet.")
    then = CoreBuild.model_validate_json(text)
    return questions.as_of(row, then)


def _anew(job: Job) -> Job | None:
    if isinstance(job, SchoolJob):
        rows.drop(job)
        return ask(job.build)
    return None


def _read(answer: Any) -> dict[str, Any]:
    came = SCHOOLS_CAME.validate_python(answer)
    told = [c.model_dump(mode="json", exclude={"document"}) for c in came]
    return {"answer": told, "documents": {c.id: c.document for c in came}}


_SCHOOLS = Kind(_anew, _read)
