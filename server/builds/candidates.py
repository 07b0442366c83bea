"""Supplies that a build may take: what the builder owns first, then the catalogue, then those that
one is looking at."""

from __future__ import annotations

from dataclasses import replace

from drawer import store as drawer
from drawer.prices import LOOSE, OF_DRAWER, prices_for
from easy_tally import Analysis, Build, NotThere
from easy_tally.catalogue import DrawerThing
from easy_tally.mapping import InStock
from easy_tally.supplies import Candidate, Kit, ranked
from easy_tally.things import Adapter, Cable, Extension
from owners.models import Owner

from catalogue import supplies


def every(owner: Owner, build: Build) -> list[Kit]:
    """Every supply that may be taken, those that could be had with their price."""
    things, given = drawer.every(owner), prices_for(owner, build)
    own = [_owned(t, b, things) for t, b in things if t.supply and t.condition != "not to be used"]
    shipped = supplies.catalogue().values()
    kits = [*own, *(Kit(k.slug, "catalogue", k.supply, k.cables) for k in shipped)]
    return [k._replace(price=given.get(k.slug)) if k.source != "owned" else k for k in kits]


def _owned(
    thing: DrawerThing, builds: list[str], things: list[tuple[DrawerThing, list[str]]]
) -> Kit:
    """A supply of the drawer, with its own cables and those of its family that lie loose."""
    if thing.supply is None:
        raise NotThere(f"{thing.name} is no supply.")
    if thing.standing == "looked at":
        return Kit(OF_DRAWER + thing.key, "looked at", thing.supply, thing.cables)
    supply = thing.supply.model_copy(
        update={"owned": thing.key, "made": thing.supply.made or thing.since, "slug": ""}
    )
    loose = [
        t.thing.model_copy(update={"owned": t.key})
        for t, used in things
        if isinstance(t.thing, Cable)
        and t.thing.family == supply.family
        and t.condition != "not to be used"
        for _ in range(t.count - len(used))
    ]
    return Kit(
        OF_DRAWER + thing.key,
        "owned",
        supply,
        (*thing.cables, *loose),
        tuple(builds),
        thing.condition,
        thing.lies,
    )


def kit(owner: Owner, slug: str, build: Build) -> Kit:
    """The supply called `slug`, with its price where it could be had. Raises NotThere."""
    price = prices_for(owner, build).get(slug)
    if not slug.startswith(OF_DRAWER):
        catalogue_kit = supplies.kit(slug)
        return Kit(slug, "catalogue", catalogue_kit.supply, catalogue_kit.cables, price=price)
    things = drawer.every(owner)
    thing = drawer.one(owner, slug.removeprefix(OF_DRAWER))
    own = _owned(thing, next(b for t, b in things if t.key == thing.key), things)
    return own if own.source == "owned" else own._replace(price=price)


def others(owner: Owner, build: Build) -> list[Kit]:
    """Every supply that a build may take in the place of its own."""
    now = build.supply
    kits = every(owner, build)
    return [k for k in kits if now is None or not now.owned or k.supply.owned != now.owned]


def judged(owner: Owner, analysis: Analysis) -> list[Candidate[Kit]]:
    """Every supply judged for a build, best first; without the one in the build."""
    sold = (e.thing for e in supplies.loose().values())
    asked = replace(
        analysis.asked,
        drawer=drawer.adapters(owner.pk),
        could_be_had=tuple(t for t in sold if isinstance(t, Adapter)),
    )
    return ranked(others(owner, analysis.build), asked)


def stock(owner: Owner, build: Build) -> list[InStock]:
    """Cables, adapters and extensions that could be had: what lies free in the drawer, then what is
    sold by itself, with its price."""
    in_stock = []
    for thing, used in drawer.every(owner):
        owned, free = thing.thing, thing.count - len(used)
        if free < 1 or thing.condition == "not to be used":
            continue
        if isinstance(owned, Cable | Adapter | Extension):
            own = owned.model_copy(update={"owned": thing.key})
            in_stock.append(InStock(thing=own, owned=True, free=free))
    given = prices_for(owner, build)
    in_stock += [
        InStock(thing=e.thing, owned=False, price=given.get(f"{LOOSE}{slug}"))
        for slug, e in supplies.loose().items()
        if isinstance(e.thing, Cable | Adapter | Extension)
    ]
    return in_stock
