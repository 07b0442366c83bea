"""The supply: those of the catalogue judged for a build, and one taken."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest, HttpResponse
from easy_tally import Analysis
from easy_tally.catalogue import SupplyKit
from easy_tally.editing import TakeSupply
from easy_tally.files import supplies_csv
from easy_tally.findings import (
    effect_words,
    effects,
    supply_answer,
    way_words,
    ways_to_stay,
)
from easy_tally.supplies import Candidate, compare
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
    return [
        {
            "slug": c.of.slug,
            "in_build": now is not None and now.slug == c.of.slug,
            "supply": c.supply,
            "cables": list(c.of.cables),
            "answer": supply_answer(c.supply, c.result),
        }
        for c in _compared(found)
    ]


def _compared(found: Analysis) -> tuple[Candidate[SupplyKit], ...]:
    kits = supplies.catalogue().values()
    return compare(((kit, kit.supply, kit.cables) for kit in kits), found.asked)


@router.get("/builds/{key}/candidates.csv", operation_id="candidatesCsv")
def candidates_csv(request: HttpRequest, key: str) -> HttpResponse:
    """The supply in the build and those of the catalogue, check by check, as CSV."""
    found = results.analysis(actions.find(owner_of(request), key))
    build = found.build
    own = [supply_answer(build.supply, found.supply)] if build.supply and found.supply else []
    others = [
        supply_answer(c.supply, c.result)
        for c in _compared(found)
        if build.supply is None or c.of.slug != build.supply.slug
    ]
    answer = HttpResponse(supplies_csv.write([*own, *others]), content_type="text/csv")
    answer["Content-Disposition"] = 'attachment; filename="supplies.csv"'
    return answer


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


@router.get("/builds/{key}/positions", response=list[schemas.EffectOut], operation_id="positions")
def positions(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """What each position of each house rule would make of this build."""
    found = results.analysis(actions.find(owner_of(request), key))
    return [
        {"rule": e.rule, "value": e.value, "text": effect_words(found, e)} for e in effects(found)
    ]
