"""House rules: what each position would do, those of every build, and where assumptions count."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest
from easy_tally.advice import assumption_uses, effects
from easy_tally.publishing import effect_words, uses_words
from easy_tally.things import HouseRules
from ninja import Router
from owners.models import owner_of

from builds import actions, results, schemas
from builds.timely import for_a_while

router = Router()


@router.get("/builds/{key}/positions", response=list[schemas.EffectOut], operation_id="positions")
def positions(request: HttpRequest, key: str, after: int = 0) -> list[dict[str, Any]]:
    """What each position of each house rule would make of this build. Of a large build not all come
    at once: ask for those `after` so many, until none comes."""
    a = results.analysis(actions.find(owner_of(request), key))
    return [
        {"rule": e.rule, "value": e.value, "text": effect_words(a, e)}
        for e in for_a_while(effects(a, max(after, 0)))
    ]


@router.get(
    "/builds/{key}/assumptions", response=dict[str, list[str]], operation_id="assumptionUses"
)
def uses(request: HttpRequest, key: str, after: int = 0) -> dict[str, list[str]]:
    """Where each assumption counts in this build, in words. Of a large build not all come at once:
    ask for those `after` so many, until none comes."""
    a = results.analysis(actions.find(owner_of(request), key))
    uses = for_a_while(assumption_uses(a, max(after, 0)))
    return {name: list(uses_words(use)) for name, use in uses}


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
