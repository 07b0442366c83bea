"""The supply: those that may be taken judged for a build, one taken, sizes, room and energy."""

from __future__ import annotations

from typing import Annotated, Any

from base.downloads import as_file
from django.http import HttpRequest, HttpResponse
from drawer.prices import in_currency
from easy_tally import NotThere
from easy_tally.advice import ways_to_stay
from easy_tally.editing import TakeSupply
from easy_tally.files import supplies_csv
from easy_tally.publishing import (
    FitAnswer,
    SizesAnswer,
    WeekAnswer,
    fit_answer,
    price_answer,
    sizes_answer,
    supply_answer,
    way_words,
    week_answer,
)
from easy_tally.supplies import Offered, asked_of
from easy_tally.things import Price, to_be_had
from ninja import Query, Router
from owners.models import owner_of

from builds import actions, candidates, results, schemas
from builds.routes.answering import dump, written

router = Router()


@router.post("/builds/{key}/supply", response=schemas.WrittenOut, operation_id="takeSupply")
def take_supply(request: HttpRequest, key: str, body: schemas.TakeIn) -> HttpResponse:
    """Take a supply of the catalogue or of the drawer, with its cables."""
    owner = owner_of(request)
    kit = candidates.kit(owner, body.slug, results.current(actions.find(owner, key)))
    bought = to_be_had(kit.source == "owned", kit.price)
    supply = kit.supply.model_copy(update={"to_buy": bought})
    edit = TakeSupply(supply=supply, cables=kit.cables, release=body.release)
    return written(actions.act(owner, key, body.base_version, edit))


@router.get(
    "/builds/{key}/candidates", response=list[schemas.CandidateOut], operation_id="candidates"
)
def list_candidates(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """The supplies that may be taken, judged for this build, best first."""
    owner = owner_of(request)
    analysis = results.analysis(actions.find(owner, key))
    now = analysis.build.supply
    return [
        {
            "slug": c.of.slug,
            "source": c.of.source,
            "builds": list(c.of.builds),
            "condition": c.of.condition,
            "lies": c.of.lies,
            "price": c.of.price,
            "in_build": now is not None and now.slug != "" and now.slug == c.supply.slug,
            "supply": c.supply,
            "cables": list(c.of.cables),
            "answer": supply_answer(c.supply, c.result),
        }
        for c in candidates.judged(owner, analysis)
    ]


@router.get("/builds/{key}/candidates.csv", operation_id="candidatesCsv")
def candidates_csv(request: HttpRequest, key: str) -> HttpResponse:
    """The supply in the build and those that may be taken, check by check, as CSV."""
    owner = owner_of(request)
    analysis = results.analysis(actions.find(owner, key))
    build = analysis.build
    own = [supply_answer(build.supply, analysis.supply)] if build.supply and analysis.supply else []
    others = [
        supply_answer(c.supply, c.result)
        for c in candidates.judged(owner, analysis)
        if build.supply is None or not c.supply.slug or c.supply.slug != build.supply.slug
    ]
    text, name = supplies_csv.write([*own, *others]), f"{build.name} supplies"
    return as_file(text, "text/csv; charset=utf-8", name, "csv")


def _json(kind: Any, value: Any) -> HttpResponse:
    return HttpResponse(dump(kind, value), content_type="application/json")


@router.get("/builds/{key}/sizes", response=SizesAnswer, operation_id="sizes")
def sizes(request: HttpRequest, key: str) -> HttpResponse:
    """The sizes below, at and above the one that is needed; what raised power limits add."""
    analysis = results.analysis(actions.find(owner_of(request), key))
    return _json(SizesAnswer, sizes_answer(analysis))


@router.get("/builds/{key}/fit", response=FitAnswer, operation_id="fit")
def fit(request: HttpRequest, key: str) -> HttpResponse:
    """Room in the case and air through it, and the drawing."""
    return _json(FitAnswer, fit_answer(results.analysis(actions.find(owner_of(request), key))))


@router.get("/builds/{key}/week", response=WeekAnswer, operation_id="week")
def week(
    request: HttpRequest, key: str, slug: Annotated[str, Query(alias="of")] = ""
) -> HttpResponse:
    """A week of the supply in the build, or of the one called `of`."""
    owner = owner_of(request)
    analysis = results.analysis(actions.find(owner, key))
    asked, supply = analysis.asked, analysis.build.supply
    if slug:
        kit = candidates.kit(owner, slug, analysis.build)
        supply = kit.supply
        asked = asked_of(asked, Offered(kit, kit.supply, kit.cables))
    if supply is None:
        raise NotThere("There is no supply in this build.")
    return _json(WeekAnswer, week_answer(supply, asked))


@router.get("/builds/{key}/stay", response=list[schemas.WayOut], operation_id="waysToStay")
def stay(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """What would let the supply in place stay; nothing where it does already."""
    owner = owner_of(request)
    analysis = results.analysis(actions.find(owner, key))
    currency = in_currency(owner, analysis.build).place.currency
    return [
        {
            "id": way.id,
            "text": way_words(way, currency),
            "price": price_answer(Price(way.cost), currency),
            "edit": way.edit,
        }
        for way in ways_to_stay(analysis, candidates.stock(owner, analysis.build))
    ]
