"""Supplies that a build may take: what the builder owns first, then the catalogue, then those that
one is looking at."""

from __future__ import annotations

from dataclasses import replace

from drawer import store as drawer
from easy_tally import Analysis, Build, NotThere
from easy_tally.catalogue import DrawerThing
from easy_tally.supplies import Candidate, Kit, ranked
from easy_tally.things import Adapter, Cable
from owners.models import Owner

from catalogue import supplies

#: In front of the key of a thing in the drawer, where a supply is called by a slug.
OF_DRAWER = "drawer:"


def every(owner: Owner) -> list[Kit]:
    """Every supply that may be taken."""
    things = drawer.every(owner)
    own = [_owned(t, b, things) for t, b in things if t.supply and t.condition != "not to be used"]
    shipped = supplies.catalogue().values()
    return [*own, *(Kit(k.slug, "catalogue", k.supply, k.cables) for k in shipped)]


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


def kit(owner: Owner, slug: str) -> Kit:
    """The supply called `slug`. Raises NotThere."""
    if not slug.startswith(OF_DRAWER):
        catalogue_kit = supplies.kit(slug)
        return Kit(slug, "catalogue", catalogue_kit.supply, catalogue_kit.cables)
    things = drawer.every(owner)
    thing = drawer.one(owner, slug.removeprefix(OF_DRAWER))
    return _owned(thing, next(b for t, b in things if t.key == thing.key), things)


def others(owner: Owner, build: Build) -> list[Kit]:
    """Every supply that a build may take in the place of its own."""
    now = build.supply
    return [k for k in every(owner) if now is None or not now.owned or k.supply.owned != now.owned]


def judged(owner: Owner, analysis: Analysis) -> list[Candidate[Kit]]:
    """Every supply judged for a build, best first; without the one in the build."""
    sold = (e.thing for e in supplies.loose().values())
    asked = replace(
        analysis.asked,
        drawer=drawer.adapters(owner.pk),
        could_be_had=tuple(t for t in sold if isinstance(t, Adapter)),
    )
    return ranked(others(owner, analysis.build), asked)


def loose(owner: Owner) -> tuple[Cable | Adapter, ...]:
    """Cables and adapters that could be added: those in the drawer that are free, then those that
    are sold."""
    own = [
        t.thing.model_copy(update={"owned": t.key})
        for t, used in drawer.every(owner)
        if isinstance(t.thing, Cable | Adapter)
        and t.count > len(used)
        and t.condition != "not to be used"
    ]
    sold = (e.thing for e in supplies.loose().values())
    return (*own, *(t for t in sold if isinstance(t, Cable | Adapter)))
