"""The supply: those of the catalogue judged for a build, and one taken."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest, HttpResponse
from easy_tally.editing import TakeSupply
from easy_tally.findings import supply_answer, way_words, ways_to_stay
from easy_tally.supplies import compare
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas
from builds.routes.answering import written
from catalogue import supplies

router = Router()


@router.post("/builds/{key}/supply", response=schemas.WrittenOut, operation_id="takeSupply")
def take_supply(request: HttpRequest, key: str, body: schemas.TakeIn) -> HttpResponse:
    """Take a supply of the catalogue, with the cables in its box."""
    kit = supplies.kit(body.slug)
    edit = TakeSupply(supply=kit.supply, cables=kit.cables, release=body.release)
    return written(actions.act(owner_of(request), key, body.base_version, edit))


@router.get(
    "/builds/{key}/candidates", response=list[schemas.CandidateOut], operation_id="candidates"
)
def candidates(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The supplies of the catalogue, judged for this build, best first."""
    found = results.analysis(actions.find(owner_of(request), key))
    now = found.build.supply
    kits = supplies.catalogue().values()
    return [
        {
            "slug": c.of.slug,
            "in_build": now is not None and now.slug == c.of.slug,
            "supply": c.supply,
            "cables": list(c.of.cables),
            "answer": supply_answer(c.supply, c.result),
        }
        for c in compare(((kit, kit.supply, kit.cables) for kit in kits), found.asked)
    ]


@router.get("/builds/{key}/stay", response=list[schemas.WayOut], operation_id="waysToStay")
def stay(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """What would let the supply in place stay; nothing where it does already."""
    found = results.analysis(actions.find(owner_of(request), key))
    return [
        {
            "id": way.id,
            "text": way_words(way),
            "edit": way.edit.model_dump(mode="json", exclude_none=True),
        }
        for way in ways_to_stay(found)
    ]
