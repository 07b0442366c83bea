"""The routes of the drawer, and of what is sold by itself."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from base.downloads import as_file
from django.http import HttpRequest, HttpResponse
from easy_tally import BadInput
from easy_tally.catalogue import (
    DrawerKind,
    DrawerThing,
    LooseEntry,
    SupplyKit,
    drawer_words,
    read_drawer,
    read_said,
    say_drawer,
    thing_words,
)
from easy_tally.entry import read_boxed, unknown_words, used_in
from easy_tally.files import kits_csv
from ninja import Router
from owners.models import owner_of

from catalogue import supplies, words
from drawer import prices, schemas, store

router = Router()


def _out(thing: DrawerThing, builds: list[str]) -> dict[str, Any]:
    words = drawer_words(thing)
    if thing.supply is not None:  # its label and its ports; each cable is in its lines
        words = (*words[:2], f"{len(thing.cables)} cables")
    return {
        "thing": thing,
        "kind": thing.kind,
        "name": thing.name,
        "family": thing.family,
        "words": "; ".join(words),
        "lines": say_drawer(thing),
        "builds": builds,
        "free": thing.count - len(builds),
    }


@router.get("/drawer", response=list[schemas.ThingOut], operation_id="drawer")
def drawer(request: HttpRequest) -> list[dict[str, Any]]:
    """Everything in the drawer."""
    return [_out(thing, builds) for thing, builds in store.every(owner_of(request))]


@router.post("/drawer", response={201: schemas.ThingOut}, operation_id="putInDrawer")
def put(request: HttpRequest, body: schemas.PutIn) -> tuple[int, dict[str, Any]]:
    """Put a thing in the drawer."""
    owner = owner_of(request)
    fields = body.model_dump(exclude={"text", "slug", "kind"})
    fields |= (
        store.of_slug(body.kind, body.slug)
        if body.slug
        else _of_text(words.own(owner), body.kind, body.text)
    )
    return 201, _out(store.put(owner, fields), [])


def _of_text(own: dict[str, str], kind: DrawerKind, text: str) -> dict[str, Any]:
    supply, cables, thing = read_drawer(kind, text, own)
    return {"supply": supply, "cables": cables, "thing": thing}


@router.post("/drawer/read", response=schemas.ReadOut, operation_id="readThing")
def read(request: HttpRequest, body: schemas.ReadIn) -> dict[str, Any]:
    """What lines are understood as. Writes nothing."""
    own = words.own(owner_of(request))

    def told() -> tuple[dict[str, Any], str]:
        thing = DrawerThing(key="new", **_of_text(own, body.kind, body.text))
        return {"words": drawer_words(thing)}, getattr(thing.supply or thing.thing, "note", "")

    return _said(body.text, own, told)


def _said(
    text: str, own: dict[str, str], told: Callable[[], tuple[dict[str, Any], str]]
) -> dict[str, Any]:
    """What a text is told to say, the note that it leaves, or what is wrong with it; and the words
    of it that are one's own, or that nobody knows."""
    answer = {
        **dict.fromkeys(("words", "problems", "loose", "unknown"), ()),
        "own": words.told(own, used_in(text, own)),
    }
    try:
        said, note = told()
    except BadInput as error:
        wrong = [f"{f}: needs {r}, got {g}" for f, r, g in error.problems]
        return answer | {"problems": wrong, "unknown": unknown_words(text, own)}
    return answer | said | {"loose": unknown_words(note, own)}


@router.get("/drawer/supplies.csv", operation_id="suppliesFile")
def save_supplies(request: HttpRequest) -> HttpResponse:
    """The supplies of the drawer, and those of the catalogue, as CSV."""
    own = [
        SupplyKit(slug=t.key, supply=t.supply.model_copy(update={"slug": t.key}), cables=t.cables)
        for t, _ in store.every(owner_of(request))
        if t.supply is not None
    ]
    text = kits_csv.SUPPLIES.write([*own, *supplies.catalogue().values()])
    return as_file(text, "text/csv; charset=utf-8", "easy tally supplies", "csv")


@router.post(
    "/drawer/supplies", response={201: list[schemas.ThingOut]}, operation_id="readSupplies"
)
def read_supplies(request: HttpRequest, body: schemas.FileIn) -> tuple[int, list[dict[str, Any]]]:
    """Take every supply of a CSV in, whole or not at all; what the catalogue has is left out."""
    shipped = supplies.catalogue()
    kits = [k for k in kits_csv.SUPPLIES.read(body.text) if k.slug not in shipped]
    things = store.put_all(
        owner_of(request),
        [
            {
                "supply": k.supply.model_copy(update={"slug": ""}),
                "cables": k.cables,
                "standing": body.standing,
            }
            for k in kits
        ],
    )
    return 201, [_out(thing, []) for thing in things]


@router.patch("/drawer/{key}", response=schemas.ThingOut, operation_id="changeThing")
def change(request: HttpRequest, key: str, body: schemas.ChangeIn) -> dict[str, Any]:
    """Set some fields of a thing, or say it anew."""
    owner = owner_of(request)
    changes = dict(body.changes)
    if "key" in changes:
        raise BadInput([("key", "a key that stays", repr(changes["key"])[:60])])
    if body.text:
        changes |= _of_text(words.own(owner), store.one(owner, key).kind, body.text)
    store.change(owner, key, changes)
    return next(_out(t, b) for t, b in store.every(owner) if t.key == key)


@router.delete("/drawer/{key}", response={204: None}, operation_id="removeThing")
def remove(request: HttpRequest, key: str) -> tuple[int, None]:
    """Take a thing out for good."""
    store.remove(owner_of(request), key)
    return 204, None


@router.get("/prices", response=schemas.PricesOut, operation_id="prices")
def list_prices(request: HttpRequest) -> dict[str, Any]:
    """What things cost that could be had, as far as that was given."""
    given = prices.prices_of(owner_of(request))
    return {"currency": given.currency, "prices": given.of}


@router.patch("/prices", response=schemas.PricesOut, operation_id="givePrices")
def give_prices(request: HttpRequest, body: schemas.PricesIn) -> dict[str, Any]:
    """Say what things cost, and in which currency."""
    given = prices.give(owner_of(request), body.prices, body.currency)
    return {"currency": given.currency, "prices": given.of}


@router.get("/loose", response=list[schemas.LooseOut], operation_id="loose")
def loose(request: HttpRequest) -> list[dict[str, Any]]:
    """Cables, adapters, extensions and brackets that are sold by themselves."""
    return [_loose(entry) for entry in supplies.loose().values()]


@router.post("/loose/read", response=schemas.SaidOut, operation_id="readLoose")
def read_loose(request: HttpRequest, body: schemas.SaidIn) -> dict[str, Any]:
    """What a line says that may go between the supply and its sockets. Writes nothing."""
    own = words.own(owner_of(request))

    def told() -> tuple[dict[str, Any], str]:
        thing = read_said(body.text, body.family, own)
        return {"thing": thing, "name": thing.name, "words": [thing_words(thing)]}, thing.note

    return {"thing": None, "name": ""} | _said(body.text, own, told)


@router.post("/loose/boxed", response=schemas.BoxedOut, operation_id="readBoxed")
def read_of_box(request: HttpRequest, body: schemas.BoxedIn) -> dict[str, Any]:
    """What a line says that came in a box. Writes nothing."""
    return {"thing": read_boxed(body.text, words.own(owner_of(request)))}


def _loose(entry: LooseEntry) -> dict[str, Any]:
    return {
        "entry": entry,
        "kind": entry.kind,
        "family": getattr(entry.thing, "family", ""),
        "words": thing_words(entry.thing),
    }
