"""Builds: listed, made, opened, saved, removed."""

from __future__ import annotations

from typing import Any

from base.downloads import as_file
from django.http import HttpRequest, HttpResponse
from drawer.prices import prices_of
from easy_tally import BadInput, Build
from easy_tally.files import build_file
from easy_tally.things import HouseRules, Place
from ninja import Router
from owners.models import owner_of
from owners.thrown import InBin

from builds import actions, history, listing, results, schemas, store
from builds.routes.answering import whole, written

router = Router()


@router.get("/builds", response=list[schemas.BuildCard], operation_id="listBuilds")
def list_builds(request: HttpRequest) -> list[dict[str, Any]]:
    """The owner's builds, the one changed last first."""
    return listing.cards(owner_of(request))


@router.post("/builds", response={201: schemas.BuildOut}, operation_id="createBuild")
def create_build(request: HttpRequest, body: schemas.NewIn) -> HttpResponse:
    """Make an empty build."""
    if not body.name.strip():
        raise BadInput([("name", "a name of 1 to 80 characters", repr(body.name))])
    owner = owner_of(request)
    rules = HouseRules.model_validate(owner.house_rules)
    place = Place(currency=prices_of(owner).currency)
    build = Build(name=body.name.strip(), house_rules=rules, place=place)
    return whole(actions.create(owner, build), 201)


@router.post("/builds/open", response={201: schemas.BuildOut}, operation_id="openBuild")
def open_build(request: HttpRequest, body: schemas.OpenIn) -> HttpResponse:
    """Store the build that a file holds, with its history where the file has it."""
    owner, text = owner_of(request), body.text
    row = history.take(owner, text) if history.is_one(text) else actions.open_file(owner, text)
    return whole(row, 201)


@router.get("/builds/{key}", response=schemas.BuildOut, operation_id="getBuild")
def get_build(request: HttpRequest, key: str) -> HttpResponse:
    """A build, whole, with its result."""
    return whole(actions.find(owner_of(request), key))


@router.delete("/builds/{key}", response={204: None}, operation_id="removeBuild")
def remove_build(request: HttpRequest, key: str) -> tuple[int, None]:
    """Throw a build away: thirty days it lies in the bin, with its history, record, photos and
    readings."""
    actions.remove(owner_of(request), key)
    return 204, None


@router.post("/builds/{key}/copy", response={201: schemas.BuildOut}, operation_id="copyBuild")
def copy_build(request: HttpRequest, key: str, body: schemas.NameIn) -> HttpResponse:
    """Copy a build as one of its own."""
    owner = owner_of(request)
    name = body.name.strip() or f"{actions.name_of(owner, key)[:70]}, copy"
    return whole(actions.copy(owner, key, name), 201)


@router.post("/builds/{key}/variant", response={201: schemas.BuildOut}, operation_id="makeVariant")
def make_variant(request: HttpRequest, key: str, body: schemas.NameIn) -> HttpResponse:
    """Make a variant of a build: it begins as that one and knows it."""
    owner = owner_of(request)
    name = body.name.strip() or f"{actions.name_of(owner, key)[:68]}, variant"
    return whole(actions.make_variant(owner, key, name), 201)


@router.post("/builds/{key}/take-variant", response=schemas.WrittenOut, operation_id="takeVariant")
def take_variant(request: HttpRequest, key: str, body: schemas.TakeVariantIn) -> HttpResponse:
    """Make a build what a variant of it is: one change, taken back by one undo."""
    return written(actions.take_variant(owner_of(request), key, body.base_version, body.variant))


@router.put("/builds/{key}/group", response={204: None}, operation_id="putInGroup")
def put_in_group(request: HttpRequest, key: str, body: schemas.GroupIn) -> tuple[int, None]:
    """Put a build into a group."""
    actions.put_in_group(owner_of(request), key, body.group)
    return 204, None


@router.get("/bin/builds", response=list[InBin], operation_id="buildsInBin")
def builds_in_bin(request: HttpRequest) -> list[InBin]:
    """Builds that were thrown away in the last thirty days."""
    rows = actions.in_the_bin(owner_of(request))
    return [InBin.of(row, "build", row.key, store.name_of(row)) for row in rows]


@router.post("/bin/builds/{key}", response=schemas.BackOut, operation_id="bringBuildBack")
def bring_back(request: HttpRequest, key: str) -> dict[str, str]:
    """Take a build out of the bin."""
    return {"key": actions.bring_back(owner_of(request), key).key}


@router.get("/builds/{key}/history.json", operation_id="saveHistory")
def save_history(request: HttpRequest, key: str) -> HttpResponse:
    """The build with its whole history, as a file that can be opened."""
    row = actions.find(owner_of(request), key)
    text, name = history.export(row), f"{actions.name_of(row.owner, key)} history"
    return as_file(text, "application/json; charset=utf-8", name, "tally.json")


@router.get("/builds/{key}/file", operation_id="saveBuild")
def save_build(request: HttpRequest, key: str) -> HttpResponse:
    """The build's file; of one that can't be read, what is there of it."""
    row = actions.find(owner_of(request), key)
    try:
        build = results.current(row)
        name, text, ending = build.name, build_file.write(build), "tally.json"
    except store.Unreadable:
        name, text, ending = row.key, row.document, "rescued.json"
    return as_file(text, "application/json; charset=utf-8", name, ending)
