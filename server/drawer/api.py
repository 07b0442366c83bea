"""The routes of the drawer, and of what is sold by itself."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from easy_tally import BadInput, NotThere
from easy_tally.catalogue import (
    DrawerKind,
    DrawerThing,
    LooseEntry,
    drawer_words,
    read_drawer,
    say_drawer,
    thing_words,
)
from ninja import Router
from owners.models import owner_of

from catalogue import supplies
from drawer import schemas, store

router = Router()


def _out(thing: DrawerThing, builds: list[str]) -> dict[str, Any]:
    words = drawer_words(thing)
    if thing.supply is not None:  # its label and its ports; each cable is in its lines
        words = (*words[:2], f"{len(thing.cables)} cables")
    return {
        "thing": thing, "kind": thing.kind, "name": thing.name, "family": thing.family,
        "words": "; ".join(words), "lines": say_drawer(thing), "builds": builds,
        "free": thing.count - len(builds),
    }  # fmt: skip


@router.get("/drawer", response=list[schemas.ThingOut], operation_id="drawer")
def drawer(request: HttpRequest) -> list[dict[str, Any]]:
    """Everything in the drawer."""
    return [_out(thing, builds) for thing, builds in store.every(owner_of(request))]


@router.post("/drawer", response={201: schemas.ThingOut}, operation_id="putInDrawer")
def put(request: HttpRequest, body: schemas.PutIn) -> tuple[int, dict[str, Any]]:
    """Put a thing in the drawer."""
    fields = body.model_dump(exclude={"text", "slug", "kind"})
    fields |= _of_slug(body.kind, body.slug) if body.slug else _of_text(body.kind, body.text)
    return 201, _out(store.put(owner_of(request), fields), [])


def _of_slug(kind: DrawerKind, slug: str) -> dict[str, Any]:
    if kind == "supply":
        kit = supplies.kit(slug)
        return {"supply": kit.supply, "cables": kit.cables}
    entry = supplies.loose().get(slug)
    if entry is None:
        raise NotThere(f"There is nothing called {slug} in the catalogue.")
    return {"thing": entry.thing}


def _of_text(kind: DrawerKind, text: str) -> dict[str, Any]:
    supply, cables, thing = read_drawer(kind, text)
    return {"supply": supply, "cables": cables, "thing": thing}


@router.post("/drawer/read", response=schemas.ReadOut, operation_id="readThing")
def read(request: HttpRequest, body: schemas.ReadIn) -> dict[str, Any]:
    """What lines are understood as. Writes nothing."""
    try:
        thing = DrawerThing(key="new", **_of_text(body.kind, body.text))
    except BadInput as error:
        return {"words": [], "problems": [f"{f}: needs {r}, got {g}" for f, r, g in error.problems]}
    return {"words": list(drawer_words(thing)), "problems": []}


@router.patch("/drawer/{key}", response=schemas.ThingOut, operation_id="changeThing")
def change(request: HttpRequest, key: str, body: schemas.ChangeIn) -> dict[str, Any]:
    """Set some fields of a thing, or say it anew."""
    owner = owner_of(request)
    changes = dict(body.changes)
    if "key" in changes:
        raise BadInput([("key", "a key that stays", repr(changes["key"])[:60])])
    if body.text:
        changes |= _of_text(store.one(owner, key).kind, body.text)
    store.change(owner, key, changes)
    return next(_out(t, b) for t, b in store.every(owner) if t.key == key)


@router.delete("/drawer/{key}", response={204: None}, operation_id="removeThing")
def remove(request: HttpRequest, key: str) -> tuple[int, None]:
    """Take a thing out for good."""
    store.remove(owner_of(request), key)
    return 204, None


@router.get("/loose", response=list[schemas.LooseOut], operation_id="loose")
def loose(request: HttpRequest) -> list[dict[str, Any]]:
    """Cables, adapters, extensions and brackets that are sold by themselves."""
    return [_loose(entry) for entry in supplies.loose().values()]


def _loose(entry: LooseEntry) -> dict[str, Any]:
    return {
        "entry": entry, "kind": entry.kind, "family": getattr(entry.thing, "family", ""),
        "words": thing_words(entry.thing),
    }  # fmt: skip
