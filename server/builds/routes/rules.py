"""House rules: what each position would do, those of every build, and where assumptions count."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from easy_tally.findings import assumption_uses, effect_words, effects
from easy_tally.things import HouseRules
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas

router = Router()


@router.get("/builds/{key}/positions", response=list[schemas.EffectOut], operation_id="positions")
def positions(request: HttpRequest, key: str) -> list[dict[str, Any]]:
    """What each position of each house rule would make of this build."""
    found = results.analysis(actions.find(owner_of(request), key))
    return [
        {"rule": e.rule, "value": e.value, "text": effect_words(found, e)} for e in effects(found)
    ]


@router.get(
    "/builds/{key}/assumptions", response=dict[str, list[str]], operation_id="assumptionUses"
)
def uses(request: HttpRequest, key: str) -> dict[str, list[str]]:
    """Where each assumption counts in this build, in words."""
    found = results.analysis(actions.find(owner_of(request), key))
    return {name: list(of) for name, of in assumption_uses(found).items()}


@router.get("/house-rules", response=schemas.RulesOut, operation_id="houseRules")
def house_rules(request: HttpRequest) -> dict[str, Any]:
    """The house rules that a new build starts with."""
    return {"house_rules": HouseRules.model_validate(owner_of(request).house_rules)}


@router.put("/house-rules", response=schemas.RulesOut, operation_id="setHouseRules")
def set_house_rules(request: HttpRequest, body: schemas.RulesIn) -> dict[str, Any]:
    """Set the house rules of new builds, and with `everywhere` of every build that is there; of
    many builds some are `left`: ask again with those."""
    done = actions.set_rules(owner_of(request), body.house_rules, body.everywhere)
    return {"house_rules": body.house_rules, "changed": done.changed, "left": done.left}
