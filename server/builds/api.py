"""The routes: thin, every write an action. Operation ids are explicit."""

from __future__ import annotations

from functools import lru_cache
from typing import Any
from urllib.parse import quote

from catalogue import kits
from django.http import HttpRequest, HttpResponse
from easy_tally import edits
from easy_tally.answers import Compact, RowAnswer, RunAnswer, SpikeRowAnswer
from easy_tally.build import Build as CoreBuild
from easy_tally.demand import ref_of
from easy_tally.entry import say
from easy_tally.errors import BadInput, NotThere
from easy_tally.files import build_file
from easy_tally.offers import Offers, offers_for_plug, offers_for_socket
from easy_tally.report import (
    analyse,
    compact,
    run_answer,
    spike_rows_of,
    supply_answer,
    tally_rows,
)
from easy_tally.sizing import check_supply
from ninja import Query, Router
from pydantic import TypeAdapter

from builds import actions, reference, results, schemas
from builds.models import Build, Owner

router = Router()


def _owner(request: HttpRequest) -> Owner:
    owner: Owner = request.auth  # type: ignore[attr-defined]
    return owner


@lru_cache(maxsize=32)
def _adapter(kind: Any) -> TypeAdapter[Any]:
    return TypeAdapter(kind)


def _dump(kind: Any, value: Any) -> bytes:
    """JSON of a core type, which is valid by its making; validating it again takes milliseconds."""
    return _adapter(kind).dump_json(value)


def _answer(*pieces: tuple[str, bytes], status: int = 200) -> HttpResponse:
    body = b",".join(b'"%s":%s' % (name.encode(), value) for name, value in pieces)
    return HttpResponse(b"{" + body + b"}", status=status, content_type="application/json")


def _history(row: Build) -> bytes:
    titles = dict(row.changes.filter(seq__in=(row.head, row.head + 1)).values_list("seq", "title"))
    history = schemas.History(undo=titles.get(row.head), redo=titles.get(row.head + 1))
    return history.model_dump_json().encode()


def _whole(row: Build, status: int = 200) -> HttpResponse:
    found = results.analysis(row)
    return _answer(
        ("key", _dump(str, row.key)),
        ("version", _dump(int, row.version)),
        ("doc", found.build.model_dump_json().encode()),
        ("result", _dump(Compact, compact(found))),
        ("history", _history(row)),
        status=status,
    )


def _written(written: actions.Written) -> HttpResponse:
    row, build = written.row, written.build
    changed = [{"entity": t["entity"], "value": t["after"]} for t in written.changed]
    order = {
        "parts": [p.key for p in build.parts],
        "cables": [c.key for c in build.cables],
        "runs": [r.cable for r in build.runs],
    }
    return _answer(
        ("key", _dump(str, row.key)),
        ("version", _dump(int, row.version)),
        ("changed", _dump(list[Any], changed)),
        ("order", _dump(dict[str, list[str]], order)),
        ("result", _dump(Compact, compact(results.analysis(row, build)))),
        ("history", _history(row)),
    )


# -- builds --------------------------------------------------------------------------------


@router.get("/builds", response=list[schemas.BuildCard], operation_id="listBuilds")
def list_builds(request: HttpRequest) -> list[dict[str, Any]]:
    """The owner's builds, the one changed last first."""
    cards = []
    for row in _owner(request).builds.order_by("-changed_at", "-pk"):
        found = results.analysis(row)
        short = compact(found)
        cards.append(
            {
                "key": row.key,
                "name": found.build.name,
                "note": found.build.note,
                "changed_at": row.changed_at,
                "strip": short.strip,
                "overall": short.overall,
            }
        )
    return cards


@router.post("/builds", response={201: schemas.BuildOut}, operation_id="createBuild")
def create_build(request: HttpRequest, body: schemas.NewIn) -> HttpResponse:
    """Make an empty build."""
    if not body.name.strip():
        raise BadInput([("name", "a name of 1 to 80 characters", repr(body.name))])
    return _whole(actions.create(_owner(request), CoreBuild(name=body.name.strip())), 201)


@router.post("/builds/open", response={201: schemas.BuildOut}, operation_id="openBuild")
def open_build(request: HttpRequest, body: schemas.OpenIn) -> HttpResponse:
    """Store the build that a file holds."""
    return _whole(actions.open_file(_owner(request), body.text), 201)


@router.get("/builds/{key}", response=schemas.BuildOut, operation_id="getBuild")
def get_build(request: HttpRequest, key: str) -> HttpResponse:
    """A build, whole, with its result."""
    return _whole(actions.find(_owner(request), key))


@router.delete("/builds/{key}", response={204: None}, operation_id="removeBuild")
def remove_build(request: HttpRequest, key: str) -> tuple[int, None]:
    """Remove a build with its history."""
    actions.remove(_owner(request), key)
    return 204, None


@router.get("/builds/{key}/file", operation_id="saveBuild")
def save_build(request: HttpRequest, key: str) -> HttpResponse:
    """The build's file."""
    build = results.current(actions.find(_owner(request), key))
    name = quote(build.name.lower().replace(" ", "-"), safe="")
    response = HttpResponse(build_file.write(build), content_type="application/json; charset=utf-8")
    response["Content-Disposition"] = f"attachment; filename*=UTF-8''{name}.tally.json"
    return response


# -- edits ---------------------------------------------------------------------------------


@router.post("/builds/{key}/actions", response=schemas.WrittenOut, operation_id="act")
def act(request: HttpRequest, key: str, body: schemas.ActIn) -> HttpResponse:
    """Make one edit."""
    return _written(actions.act(_owner(request), key, body.base_version, body.action))


@router.post("/builds/{key}/preview", response=schemas.PreviewOut, operation_id="preview")
def preview(request: HttpRequest, key: str, body: schemas.ActIn) -> HttpResponse:
    """The result that an edit would have. Writes nothing."""
    build = actions.preview(_owner(request), key, body.action)
    return _answer(
        ("version", _dump(int, body.base_version)),
        ("result", _dump(Compact, compact(analyse(build)))),
    )


@router.post("/builds/{key}/undo", response=schemas.WrittenOut, operation_id="undo")
def undo(request: HttpRequest, key: str, body: schemas.BaseIn) -> HttpResponse:
    """Take the last change back."""
    return _written(actions.undo(_owner(request), key, body.base_version))


@router.post("/builds/{key}/redo", response=schemas.WrittenOut, operation_id="redo")
def redo(request: HttpRequest, key: str, body: schemas.BaseIn) -> HttpResponse:
    """Bring the last undone change back."""
    return _written(actions.redo(_owner(request), key, body.base_version))


@router.post("/builds/{key}/supply", response=schemas.WrittenOut, operation_id="takeSupply")
def take_supply(request: HttpRequest, key: str, body: schemas.TakeIn) -> HttpResponse:
    """Take a supply of the catalogue, with the cables in its box."""
    kit = kits.kit(body.slug)
    edit = edits.TakeSupply(supply=kit.supply, cables=kit.cables, release=body.release)
    return _written(actions.act(_owner(request), key, body.base_version, edit))


# -- details -------------------------------------------------------------------------------


@router.get("/builds/{key}/runs/{cable}", response=schemas.WhyOut, operation_id="why")
def why(request: HttpRequest, key: str, cable: str) -> HttpResponse:
    """Every element of one run."""
    row = actions.find(_owner(request), key)
    found = results.analysis(row)
    run = next((r for r in found.runs if r.cable.key == cable), None)
    if run is None:
        raise NotThere(f"The cable {cable} is not plugged in.")
    return _answer(
        ("version", _dump(int, row.version)),
        ("run", _dump(RunAnswer, run_answer(found.build, run))),
    )


@router.get("/builds/{key}/rows", response=schemas.RowsOut, operation_id="rows")
def rows(request: HttpRequest, key: str) -> HttpResponse:
    """The rows that add up to every figure of the tally."""
    row = actions.find(_owner(request), key)
    found = results.analysis(row)
    return _answer(
        ("version", _dump(int, row.version)),
        ("rows", _dump(tuple[RowAnswer, ...], tally_rows(found))),
        ("spike_rows", _dump(tuple[SpikeRowAnswer, ...], spike_rows_of(found))),
    )


@router.get("/builds/{key}/lines", response=schemas.LinesOut, operation_id="lines")
def lines(request: HttpRequest, key: str) -> dict[str, Any]:
    """The parts of a build as lines that the entry line reads."""
    build = results.current(actions.find(_owner(request), key))
    return {"lines": [say(part) for part in build.parts]}


@router.get("/builds/{key}/offers", response=schemas.OffersOut, operation_id="offers")
def offers(
    request: HttpRequest,
    key: str,
    socket: str | None = Query(None),
    cable: str | None = Query(None),
    plug: str | None = Query(None),
) -> HttpResponse:
    """What a picked socket, or a picked plug, can be connected with."""
    row = actions.find(_owner(request), key)
    build = results.current(row)
    if socket is not None:
        try:
            ref = ref_of(socket)
        except ValueError as error:
            raise BadInput([("socket", "part#instance/socket", repr(socket)[:80])]) from error
        found = offers_for_socket(build, ref)
    elif cable is not None and plug is not None:
        found = offers_for_plug(build, cable, plug)
    else:
        raise BadInput([("socket", "a socket, or a cable and its plug", "neither")])
    return _answer(("version", _dump(int, row.version)), ("offers", _dump(Offers, found)))


@router.get(
    "/builds/{key}/candidates", response=list[schemas.CandidateOut], operation_id="candidates"
)
def candidates(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The supplies of the catalogue, judged for this build: those that do first, then by how
    close their rating lies to what is needed."""
    found = results.analysis(actions.find(_owner(request), key))
    now = found.build.supply
    answers = [
        (
            kit,
            check_supply(
                kit.supply, found.tally, found.sizing, found.spikes, found.build.assumptions
            ),
        )
        for kit in kits.catalogue().values()
    ]
    needed = found.sizing.needed.likely if found.sizing.needed else found.sizing.at_least_w
    worst = ("right size", "too big", "unknown", "too small")
    answers.sort(
        key=lambda x: (worst.index(x[1].verdict), abs((x[0].supply.rated_w or 0) - needed))
    )
    return [
        {
            "slug": kit.slug,
            "in_build": now is not None and now.slug == kit.slug,
            "supply": kit.supply,
            "cables": list(kit.cables),
            "answer": supply_answer(kit.supply, result),
        }
        for kit, result in answers
    ]


@router.get("/reference", response=schemas.ReferenceOut, operation_id="reference")
def get_reference(request: HttpRequest) -> schemas.ReferenceOut:
    """What does not change while the application runs."""
    return reference.reference()
