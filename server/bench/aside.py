"""What leaves a machine: into the drawer, or thrown away; and what a history still knows of it."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Mapping
from contextlib import suppress
from typing import Any

from builds.models import Build, Change
from drawer import store as drawer
from drawer.models import Thing
from easy_tally import EasyTallyError
from easy_tally.bench import Act, Known, is_for_drawer
from easy_tally.things import (
    Adapter,
    Backplane,
    Cable,
    Extension,
    Individual,
    Supply,
    identity_of,
    read_kept,
)

#: How many changes are looked through, the last first, for something that is not in the build.
_CHANGES = 400
_OF_ENTITY = {
    "part": "part",
    "supply": Supply.__name__,
    "cable": Cable.__name__,
    "adapter": Adapter.__name__,
    "extension": Extension.__name__,
    "backplane": Backplane.__name__,
}


def from_history(row: Build, wanted: Collection[str]) -> dict[str, Individual]:
    """Individuals of a build that it has no longer, as its history has them."""
    known: dict[str, Individual] = {}
    changes = Change.objects.filter(build=row).order_by("-version")[:_CHANGES]
    for touched in (t for images in changes.values_list("images", flat=True) for t in images):
        kind = _OF_ENTITY.get(touched["entity"].partition(":")[0])
        for image in (touched["after"], touched["before"]):
            if kind is None or not isinstance(image, dict):
                continue
            for n in range(1, int(image.get("count", 1)) + 1):
                record = {"kind": kind, "key": image.get("key", kind.lower()), "instance": n}
                one = read_kept("", record | {"of": image})
                id = identity_of(one.of, n) if hasattr(one.of, "individual") else ""
                if id in wanted:
                    known.setdefault(id, one._replace(id=id))
    return known


def put_away(row: Build, acts: Iterable[Act], known: Known) -> dict[str, Any]:
    """Settle the drawer by a tick that says where things go; what was done, to be undone by."""
    away = [(a.thing, a.place) for a in acts if a.act == "put away"]
    things = [known[t].of for t, _ in away if t in known]
    if not away or not things or not is_for_drawer(things[0]):
        return {}
    if away[0][1] == "bin":
        return _thrown(row, things)
    if away[0][1] in ("drawer", "another build"):
        return _drawn(row, things)
    return {}


def _owned(things: Iterable[Any]) -> list[str]:
    return list(dict.fromkeys(t.owned for t in things if t.owned))


def _drawn(row: Build, things: list[Any]) -> dict[str, Any]:
    """Into the drawer: what lies there already as one's own is free by now."""
    new = [t for t in things if not t.owned]
    fields: list[dict[str, Any]] = []
    supply = next((t for t in new if isinstance(t, Supply)), None)
    if supply is not None:
        cables = [_bare(t) for t in new if isinstance(t, Cable) and t.family == supply.family]
        fields.append({"supply": _bare(supply), "cables": cables})
        new = [t for t in new if t is not supply and not isinstance(t, Cable)]
    fields += [{"thing": _bare(t)} for t in new]
    with suppress(EasyTallyError):  # a drawer that is full, or has no such things, keeps none
        return {"put": [t.key for t in drawer.put_all(row.owner, fields)]}
    return {}


def _bare(thing: Any) -> dict[str, Any]:
    """A thing as the drawer has it: plugged into nothing, bought by now."""
    fields: dict[str, Any] = thing.model_dump(mode="json")
    bare = {"individual": "", "connections": (), "to_buy": None, "owned": ""}
    return fields | {k: v for k, v in bare.items() if k in fields}


def _thrown(row: Build, things: list[Any]) -> dict[str, Any]:
    """One less of it in the drawer, where it was one's own and is in no build."""
    removed: list[Mapping[str, Any]] = []
    for key in _owned(things):
        thing = Thing.objects.filter(owner=row.owner, key=key).first()
        if thing is None or thing.data["count"] <= thing.uses.count():
            continue
        removed.append({"key": key, "data": dict(thing.data)})
        if thing.data["count"] == 1:
            thing.delete()
        else:
            thing.data["count"] -= 1
            thing.save(update_fields=["data"])
    return {"removed": removed} if removed else {}


def take_back(row: Build, settled: Mapping[str, Any]) -> None:
    """Undo what a tick did to the drawer; what is in use by now stays."""
    for key in settled.get("put", ()):
        thing = Thing.objects.filter(owner=row.owner, key=key).first()
        if thing is not None and not thing.uses.exists():
            thing.delete()
    for was in settled.get("removed", ()):
        thing = Thing.objects.filter(owner=row.owner, key=was["key"]).first()
        if thing is None:
            Thing.objects.create(owner=row.owner, key=was["key"], data=was["data"])
        else:
            thing.data["count"] += 1
            thing.save(update_fields=["data"])
