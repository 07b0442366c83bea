"""The routes: thin, every write an action. Operation ids are explicit. One file a subject."""

from ninja import Router

from . import builds, details, edits, map, reference, rules, supply

router = Router()
for part in (builds, edits, supply, details, map, rules, reference):
    router.add_router("", part.router)

__all__ = ["router"]
