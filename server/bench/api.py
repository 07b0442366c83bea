"""The bench: its plan, what is done, photos, the record and what is printed."""

from __future__ import annotations

import io
import re
from collections.abc import Mapping
from typing import Any, Literal
from zipfile import ZIP_DEFLATED, ZipFile

from base.downloads import as_file
from base.writing import writing
from builds import actions, results
from builds.models import Build
from django.http import FileResponse, HttpRequest, HttpResponse
from django.utils import timezone
from easy_tally import BadInput, NotThere
from easy_tally.bench import (
    GROUP_WORDS,
    Act,
    FoundPlace,
    Noted,
    Placed,
    Step,
    found_parts,
    found_places,
    found_whole,
    in_force,
    standing,
)
from easy_tally.files import Edition, build_file, flags_pdf, work_pdf
from ninja import File, Form, Router, Schema, UploadedFile
from owners.models import owner_of
from owners.thrown import InBin, in_bin

from bench import photos, record
from bench.models import Entry, Photo

router = Router()


class StepOut(Schema):
    """A step with what is done of it: by whom and when; what was noted; photos by their keys."""

    step: Step
    #: A mark of the very things that it is about.
    of: str
    group: str
    #: Open; done in the work under way; or it stood so before that.
    state: Literal["open", "done", "stands"]
    #: What a tick of it says of individuals.
    acts: list[Act]
    done: bool
    who: str
    at: str
    noted: str
    photos: list[str]
    #: Times that its 16-pin plug was mated, with what the record knows of; None: no such plug.
    matings: int | None


class PlanOut(Schema):
    """The work on a machine: steps, the first that is open, what it takes, what stops it. `minutes`
    by how long such steps took, None where nobody knows; `is_known`: the record says how it
    stands."""

    version: int
    steps: list[StepOut]
    next: str
    left: int
    tools: list[str]
    minutes: int | None
    is_known: bool
    stopped: str
    stopped_at: str


class EntryIn(Schema):
    """One thing done or found; `uid` is the sender's own, `at` a time with its zone."""

    uid: str
    step: str
    kind: Literal[
        "done", "undone", "found", "warm", "browned", "loose", "looked at", "note", "photo"
    ]
    words: str
    at: str
    who: str = ""
    text: str = ""
    #: Which very things it was done to: the mark of the step as it was shown.
    of: str = ""
    #: What it tells of individuals; a page of an earlier version sends none.
    acts: list[list[str]] = []


class EntriesIn(Schema):
    """Several, in the order in which they were done."""

    entries: list[EntryIn]


@router.get("/builds/{key}/bench", response=PlanOut, operation_id="benchPlan")
def get_plan(request: HttpRequest, key: str) -> dict[str, Any]:
    """The steps from the map as it is, with what is done."""
    return _answer(actions.find(owner_of(request), key))


@router.post("/builds/{key}/bench", response=PlanOut, operation_id="benchDone")
def add_entries(request: HttpRequest, key: str, body: EntriesIn) -> dict[str, Any]:
    """Add to the record; what was sent before stands once."""
    row = actions.find(owner_of(request), key)
    record.add(row, body.entries)
    return _answer(row)


def _answer(row: Build) -> dict[str, Any]:
    entries = record.noted_of(row)
    bench_plan = record.plan_of(row, entries)
    ticks = {e.step: e for e in in_force(entries) if e.kind == "done"}
    notes, mated = record.notes_of(row), record.matings_of(entries)
    shown = list(Photo.objects.filter(build=row))
    bad = Entry.objects.filter(build=row, kind__in=("warm", "browned", "loose")).last()
    return {
        "version": row.version,
        "next": bench_plan.next,
        "left": bench_plan.left,
        "tools": bench_plan.tools,
        "minutes": record.minutes_of(
            row.owner_id, (s.step.id for s in bench_plan.steps if s.state == "open")
        ),
        "is_known": bench_plan.is_known,
        "stopped": bench_plan.stopped,
        "stopped_at": bad.step if bad and bench_plan.stopped else "",
        "steps": [_step(p, ticks.get(p.step.id), notes, mated, shown) for p in bench_plan.steps],
    }


def _step(
    placed: Placed,
    tick: Noted | None,
    notes: Mapping[tuple[str, str], str],
    mated: Mapping[str, int],
    shown: list[Photo],
) -> dict[str, Any]:
    s, is_open = placed.step, placed.state == "open"
    joint = s.joint
    return {
        "step": s,
        "of": s.of,
        "group": GROUP_WORDS[s.group],
        "state": placed.state,
        "acts": placed.acts,
        "done": not is_open,
        "who": tick.who if tick and not is_open else "",
        "at": tick.at.isoformat() if tick and not is_open else "",
        "noted": notes.get((s.id, s.of), notes.get((s.id, ""), "")),
        "photos": [p.key for p in shown if p.step == s.id or {*p.places} & {*s.places}],
        "matings": None
        if joint is None or joint.matings is None or not s.acts
        else joint.matings + mated.get(s.acts[0].thing, 0),
    }


class PlacesOut(Schema):
    """What may be found where in a machine that runs: `whole` and `parts` are the acts that take it
    over at once, or but for its power plugs."""

    version: int
    whole: list[Act]
    parts: list[Act]
    places: list[FoundPlace]


@router.get("/builds/{key}/found", response=PlacesOut, operation_id="foundPlaces")
def get_places(request: HttpRequest, key: str) -> dict[str, Any]:
    """Every socket and every supply end, with what may be found there."""
    row = actions.find(owner_of(request), key)
    analysis, known = results.analysis(row), record.known_of(row)
    stands = standing(record.noted_of(row))
    return {
        "version": row.version,
        "whole": found_whole(analysis, stands, known),
        "parts": found_parts(analysis, stands),
        "places": list(found_places(analysis, stands, known)),
    }


class NotedOut(Schema):
    """One entry of the record."""

    at: str
    who: str
    kind: str
    step: str
    words: str
    text: str
    version: int


class SittingOut(Schema):
    """One sitting of the machine's history."""

    what: list[str]
    begun: str
    ended: str
    who: list[str]
    versions: tuple[int, int]
    made: int
    apart: int
    bad: int


class RecordOut(Schema):
    """The history of the machine, newest first, and the last entries of its record, newest
    first; `of` counts all entries."""

    sittings: list[SittingOut]
    entries: list[NotedOut]
    of: int


#: Entries that the page shows; the CSV has all.
_SHOWN = 500


@router.get("/builds/{key}/record", response=RecordOut, operation_id="machineRecord")
def get_record(request: HttpRequest, key: str) -> dict[str, Any]:
    """What was done when, by whom, with which version of the build."""
    row = actions.find(owner_of(request), key)
    entries = Entry.objects.filter(build=row)
    return {
        "of": entries.count(),
        "sittings": [
            {
                "what": s.what,
                "begun": s.begun.isoformat(),
                "ended": s.ended.isoformat(),
                "who": s.who,
                "versions": s.versions,
                "made": s.made,
                "apart": s.apart,
                "bad": s.bad,
            }
            for s in reversed(record.history(row))
        ],
        "entries": [
            {
                "at": e.at.isoformat(),
                "who": e.who,
                "kind": e.kind,
                "step": e.step,
                "words": e.words,
                "text": e.text,
                "version": e.version,
            }
            for e in entries.order_by("-at", "-pk")[:_SHOWN]
        ],
    }


@router.get("/builds/{key}/bench.csv", operation_id="benchRecord")
def record_file(request: HttpRequest, key: str) -> HttpResponse:
    """The record as CSV."""
    row = actions.find(owner_of(request), key)
    name = f"{actions.name_of(row.owner, key)} record"
    return as_file(record.as_csv(row), "text/csv; charset=utf-8", name, "csv")


@router.get("/builds/{key}/record.zip", operation_id="benchArchive")
def archive(request: HttpRequest, key: str) -> HttpResponse:
    """The build's file with its record and its photos, as one archive."""
    row = actions.find(owner_of(request), key)
    out = io.BytesIO()
    with ZipFile(out, "w", ZIP_DEFLATED) as packed:
        packed.writestr("build.tally.json", build_file.write(results.current(row)))
        packed.writestr("record.csv", record.as_csv(row))
        for p in Photo.objects.filter(build=row):
            if photos.path_of(p.key).exists():
                name = re.sub(r"[^A-Za-z0-9-]+", "-", p.step)[:60]
                packed.write(photos.path_of(p.key), f"photos/{name}-{p.key}.jpg")
    name = f"{actions.name_of(row.owner, key)} record"
    return as_file(out.getvalue(), "application/zip", name, "zip")


@router.get("/builds/{key}/bench.pdf", operation_id="benchSheet")
def sheet(request: HttpRequest, key: str, paper: Literal["A4", "letter"] = "A4") -> HttpResponse:
    """The work order as PDF: what is open of the work."""
    row = actions.find(owner_of(request), key)
    analysis, work = results.analysis(row), record.plan_of(row)
    page = work_pdf.sheet(analysis, work, paper, edition_of(row))
    return as_pdf(page, f"{analysis.build.name} work order")


@router.get("/builds/{key}/flags.pdf", operation_id="cableFlags")
def flags(
    request: HttpRequest,
    key: str,
    paper: Literal["A4", "letter"] = "A4",
    width_mm: float = 50,
    height_mm: float = 12,
) -> HttpResponse:
    """Cable flags as PDF: both ends of every run, to be folded over the cable."""
    for name, value, least, most in (
        ("width_mm", width_mm, 30, 90),
        ("height_mm", height_mm, 8, 40),
    ):
        if not least <= value <= most:
            raise BadInput([(name, f"{least} to {most} mm", f"{value:g}")])
    row = actions.find(owner_of(request), key)
    analysis = results.analysis(row)
    page = flags_pdf.flags(analysis, paper, width_mm, height_mm, edition_of(row))
    return as_pdf(page, f"{analysis.build.name} cable flags")


def edition_of(row: Build) -> Edition:
    """What stands on every page that is printed of a build."""
    return Edition(row.version, timezone.localdate())


def as_pdf(content: bytes, name: str) -> HttpResponse:
    """A print as a file called by what it is of."""
    return as_file(content, "application/pdf", name, "pdf")


@router.post("/builds/{key}/photos", response=PlanOut, operation_id="addPhoto")
def add_photo(
    request: HttpRequest,
    key: str,
    step: Form[str],
    photo: File[UploadedFile],
    places: Form[list[str]] = [],  # noqa: B006 (ninja reads the default, nobody changes it)
) -> dict[str, Any]:
    """Keep a photo at a step; place and device that the camera noted are left out. It comes back at
    every step that plugs one of its `places` again."""
    row = actions.find(owner_of(request), key)
    if photo.size is not None and photo.size > photos.MOST_BYTES:
        got = f"{photo.size / 1e6:.1f} MB"
        raise BadInput([("photo", f"a photo of at most {photos.MOST_BYTES / 1e6:.0f} MB", got)])
    kept, width, height = photos.keep(photo)
    try:
        Photo.objects.create(
            build=row,
            key=kept,
            step=step[:200],
            places=[p[:160] for p in places[:400]],
            width=width,
            height=height,
        )
    except BaseException:
        photos.path_of(kept).unlink(missing_ok=True)
        raise
    return _answer(row)


@router.get("/builds/{key}/photos/{photo}", operation_id="getPhoto")
def get_photo(request: HttpRequest, key: str, photo: str) -> FileResponse:
    """A photo."""
    row = actions.find(owner_of(request), key)
    row_of_photo = Photo.objects.filter(build=row, key=photo).first()
    if row_of_photo is None or not photos.path_of(row_of_photo.key).exists():
        raise NotThere("There is no such photo.")
    return FileResponse(photos.path_of(row_of_photo.key).open("rb"), content_type="image/jpeg")


@router.delete("/builds/{key}/photos/{photo}", response=PlanOut, operation_id="removePhoto")
def remove_photo(request: HttpRequest, key: str, photo: str) -> dict[str, Any]:
    """Throw a photo away: thirty days it lies in the bin."""
    row = actions.find(owner_of(request), key)
    with writing():
        for row_of_photo in Photo.objects.filter(build=row, key=photo):
            row_of_photo.throw()
    return _answer(row)


@router.get("/builds/{key}/bin/photos", response=list[InBin], operation_id="photosInBin")
def photos_in_bin(request: HttpRequest, key: str) -> list[InBin]:
    """Photos of a build that were thrown away in the last thirty days."""
    row = actions.find(owner_of(request), key)
    return [InBin.of(p, "photo", p.key, p.step) for p in in_bin(Photo, build=row)]


@router.post("/builds/{key}/bin/photos/{photo}", response=PlanOut, operation_id="bringPhotoBack")
def bring_back(request: HttpRequest, key: str, photo: str) -> dict[str, Any]:
    """Take a photo out of the bin."""
    row = actions.find(owner_of(request), key)
    row_of_photo = in_bin(Photo, build=row, key=photo).first()
    if row_of_photo is None:
        raise NotThere("There is no such photo in the bin.")
    with writing():
        row_of_photo.bring_back()
    return _answer(row)
