"""Between the core's build and the tables: load one, take images of it, write images back.

An image is an entity in build-file shape. Entities: `build` (the header), `part:KEY`, `supply`,
`cable:KEY`, `run:KEY` (by its cable).
"""

from __future__ import annotations

import json
from collections.abc import Collection, Iterator
from contextlib import contextmanager
from typing import Any, TypedDict

from django.db import connection
from easy_tally import Build
from easy_tally.base import problems_of
from easy_tally.things import Run
from pydantic import BaseModel, ValidationError

from builds import models

Image = dict[str, Any]
#: What of a build are entities of their own.
_APART = {"parts", "supply", "cables", "runs"}


class Touched(TypedDict):
    """One entity that an action touched: its images, and its place in its list where it came or
    went; what was there before and after stays in its place, whatever is said."""

    entity: str
    at: int
    before: Image | None
    after: Image | None


class Unreadable(Exception):
    """Rows of a build that can't be read back: by another version, or by hand."""


def entities(build: Build, only: Collection[str] | None = None) -> dict[str, Image]:
    """Every entity of a build, by name; `only` of those names, where it is said."""
    things = _things(build).items()
    return {name: _image(thing) for name, thing in things if only is None or name in only}


def _things(build: Build) -> dict[str, BaseModel]:
    """Every entity of a build as the core holds it, by name."""
    found: dict[str, BaseModel] = {"build": build}
    found |= {f"part:{p.key}": p for p in build.parts}
    found |= {f"cable:{c.key}": c for c in build.cables}
    found |= {f"run:{r.cable}": r for r in build.runs}
    if build.supply is not None:
        found["supply"] = build.supply
    return found


def _image(thing: BaseModel) -> Image:
    return thing.model_dump(mode="json", exclude=_APART if isinstance(thing, Build) else None)


@contextmanager
def snapshot() -> Iterator[None]:
    """What is read in here is of one moment, whatever other processes write meanwhile. Takes no
    lock; inside a transaction it is that one."""
    if connection.in_atomic_block:
        yield
        return
    with connection.cursor() as cursor:
        cursor.execute("BEGIN DEFERRED")
        try:
            yield
        finally:
            cursor.execute("ROLLBACK")


def read(row: models.Build) -> Build:
    """The build that the tables hold, read in one moment with its row: version, head and header
    of `row` are those that go with it, where another process wrote meanwhile. Raises Unreadable."""
    with snapshot():
        try:
            now = models.Build.every.filter(pk=row.pk).first()
        except ValueError as error:
            raise Unreadable(f"It can’t be read: {_short(error)}.") from error
        if now is None:
            raise Unreadable("It was removed meanwhile.")
        build = assemble(now)
    row.version, row.head, row.header = now.version, now.head, now.header
    return build


def assemble(row: models.Build) -> Build:
    """The build that the tables hold, validated by the core. Raises Unreadable."""
    try:
        return Build.model_validate_json(json.dumps(_image_of_all(row)))
    except (ValidationError, ValueError, TypeError, KeyError) as error:
        raise Unreadable(f"It can’t be read: {_short(error)}.") from error


def _short(error: Exception) -> str:
    if isinstance(error, ValidationError):
        field, required, got = problems_of(error)[0]
        return f"{field} needs {required}, got {got}"
    return str(error)[:200]


def _image_of_all(row: models.Build) -> Image:
    pk = row.pk
    supply = models.Supply.objects.filter(build_id=pk).first()
    ports = list(models.Port.objects.filter(build_id=pk))
    cables = list(models.Cable.objects.filter(build_id=pk).prefetch_related("plugs"))
    runs = models.Run.objects.filter(build_id=pk).prefetch_related(
        "run_ports__port", "connections__plug"
    )
    by_cable = {run.cable_id: run for run in runs}
    image: Image = row.header | {
        "parts": [p.data for p in models.Part.objects.filter(build_id=pk)],
        "supply": supply and supply.data | {"ports": [p.data for p in ports]},
        "cables": [c.data | {"plugs": [p.data for p in c.plugs.all()]} for c in cables],
        "runs": [_run_image(c, by_cable[c.pk]) for c in cables if c.pk in by_cable],
    }
    return image


def rescue(row: models.Build) -> Image:
    """What is there of a build that can't be read: every column as it lies in the tables, its
    text where it is not even JSON. Never raises for what it finds."""
    found: Image = {"build": _column("builds_build", "header", "id", row.pk)}
    for name, table in _RESCUED.items():
        found[name] = _column(table, "data", "build_id", row.pk)
    return found


def name_of(row: models.Build) -> str:
    """The name of a build that can't be read, or its key where that can't be either."""
    header = _column("builds_build", "header", "id", row.pk)[0]
    name = header.get("name") if isinstance(header, dict) else None
    return name if isinstance(name, str) and name else f"Build {row.key}"


_RESCUED = {
    "parts": "builds_part", "supply": "builds_supply", "ports": "builds_port",
    "cables": "builds_cable",
}  # fmt: skip


def _column(table: str, column: str, where: str, pk: int) -> list[Any]:
    with connection.cursor() as cursor:
        cursor.execute(f"SELECT {column} FROM {table} WHERE {where} = %s", [pk])
        texts = [str(row[0]) for row in cursor.fetchall()]
    return [_parsed(text) for text in texts]


def _parsed(text: str) -> Any:
    try:
        return json.loads(text)
    except ValueError:
        return text


def _run_image(cable: models.Cable, run: models.Run) -> Image:
    return {
        "cable": cable.key,
        "ports": [rp.port.key for rp in run.run_ports.all()],
        "connections": [
            {
                "plug": c.plug.key,
                "half": c.half,
                "socket": {"part": c.target, "instance": c.instance, "socket": c.socket},
            }
            for c in run.connections.all()
        ],
        "pinned": run.pinned,
    }


def with_images(row: models.Build, build: Build, touched: list[Touched]) -> Build:
    """A build as the tables hold it once what was touched is written; of them only the places of
    things are read, where one comes or goes. Raises Unreadable."""
    fields: dict[str, Any] = {name: getattr(build, name) for name in Build.model_fields}
    of: dict[str, dict[str, Touched]] = {}
    for t in touched:
        kind, _, key = t["entity"].partition(":")
        of.setdefault(kind, {})[key] = t
    for t in of.get("build", {}).values():
        fields |= t["after"] or {}
    for t in of.get("supply", {}).values():
        fields["supply"] = t["after"]
    for kind, table in (("part", models.Part), ("cable", models.Cable)):
        fields[f"{kind}s"] = _listed(table, row, fields[f"{kind}s"], of.get(kind, {}))
    fields["runs"] = _run_list(fields["cables"], build.runs, of.get("run", {}))
    try:
        return Build.model_validate(fields)
    except ValidationError as error:
        raise Unreadable(f"It can’t be read: {_short(error)}.") from error


def with_entities(build: Build, changed: dict[str, Image | None]) -> Build:
    """A build with other images of some entities, None: without them; what comes is last in its
    list. Raises ValidationError where that is no build."""
    fields: dict[str, Any] = {name: getattr(build, name) for name in Build.model_fields}
    lists: dict[str, dict[str, Any]] = {
        "part": {p.key: p for p in build.parts}, "cable": {c.key: c for c in build.cables},
        "run": {r.cable: r for r in build.runs},
    }  # fmt: skip
    for name, image in changed.items():
        kind, _, key = name.partition(":")
        if kind == "build":
            fields |= image or {}
        elif kind == "supply":
            fields["supply"] = image
        elif image is None:
            lists[kind].pop(key, None)
        else:
            lists[kind][key] = image
    for kind, of in lists.items():
        fields[f"{kind}s"] = tuple(of.values())
    return Build.model_validate(fields)


def _listed(table: Any, row: models.Build, things: Any, touched: dict[str, Touched]) -> Any:
    """Parts or cables with what was touched, in the order of their places."""
    found = _after({x.key: x for x in things}, touched)
    if all(map(stays, touched.values())):
        return tuple(found.values())
    places = dict(table.objects.filter(build_id=row.pk).values_list("key", "position"))
    places |= {key: t["at"] for key, t in touched.items() if t["before"] is None}
    return tuple([found[key] for key in sorted(found, key=places.__getitem__)])


def _run_list(cables: Any, runs: tuple[Run, ...], touched: dict[str, Touched]) -> Any:
    """Runs with what was touched, in the order of their cables where one comes or goes."""
    found = _after({r.cable: r for r in runs}, touched)
    if all(map(stays, touched.values())):
        return tuple(found.values())
    keys = [c["key"] if isinstance(c, dict) else c.key for c in cables]
    return tuple([found[key] for key in keys if key in found])


def _after(things: dict[str, Any], touched: dict[str, Touched]) -> dict[str, Any]:
    then = things | {key: t["after"] for key, t in touched.items()}
    return {key: x for key, x in then.items() if x is not None}


def differences(before: Build, after: Build) -> list[Touched]:
    """What differs between two builds; `Places` says where what comes or goes stands."""
    old, new = _things(before), _things(after)
    found: list[Touched] = []
    for name in [*old, *(n for n in new if n not in old)]:
        was, now = old.get(name), new.get(name)
        if was is now:
            continue  # an edit keeps what it does not touch
        image = None if was is None else _image(was)
        changed = None if now is None else _image(now)
        if image != changed:
            found.append({"entity": name, "at": 0, "before": image, "after": changed})
    return found


def stays(t: Touched) -> bool:
    """Whether a thing was there before and after."""
    return t["before"] is not None and t["after"] is not None


class Places:
    """Where parts and cables stand in their lists, read where some come or go, and kept up with
    what came and went since. History is linear, so a thing that undo brings back finds its old
    place free."""

    def __init__(self, row: models.Build) -> None:
        self._row = row
        self._of: dict[str, dict[str, int]] = {}

    def put(self, touched: list[Touched]) -> None:
        """Say the place of each that comes or goes; new ones go last."""
        for kind, table in (("part", models.Part), ("cable", models.Cable)):
            moved = [t for t in touched if t["entity"].startswith(f"{kind}:") and not stays(t)]
            if moved:
                self._put(self._read(kind, table), moved)

    def _read(self, kind: str, table: Any) -> dict[str, int]:
        if kind not in self._of:
            of_build = table.objects.filter(build_id=self._row.pk)
            self._of[kind] = dict(of_build.values_list("key", "position"))
        return self._of[kind]

    def _put(self, places: dict[str, int], moved: list[Touched]) -> None:
        last = max(places.values(), default=0)
        for t in moved:
            key = t["entity"].partition(":")[2]
            if t["before"] is None:
                last += 1
                places[key] = last
            t["at"] = places[key]
        for t in moved:
            if t["after"] is None:
                del places[t["entity"].partition(":")[2]]


def in_all(steps: list[list[Touched]]) -> list[Touched]:
    """What several steps touched between them, each thing once."""
    if len(steps) == 1:
        return steps[0]
    found: dict[str, Touched] = {}
    for t in (t for touched in steps for t in touched):
        first = found.get(t["entity"], t)
        found[t["entity"]] = {**t, "before": first["before"]}
    return list(found.values())


def write_all(row: models.Build, steps: list[list[Touched]]) -> None:
    """Make the tables hold what several steps made, one after another; what only changes is
    written once."""
    changed: _Images = {}
    for touched in steps:
        if all(map(stays, touched)):
            changed |= {t["entity"]: (None, t["after"]) for t in touched}
            continue
        write_images(row, changed)
        changed = {}
        write_images(
            row, {t["entity"]: (None if stays(t) else t["at"], t["after"]) for t in touched}
        )
    write_images(row, changed)


#: Name → (place, None where the thing was there before and stays; image, None to remove).
_Images = dict[str, tuple[int | None, Image | None]]
#: Key → (place, None where it keeps the one that it has; image, None to remove).
_Keyed = dict[str, tuple[int | None, Image | None]]


def write_images(row: models.Build, images: _Images) -> None:
    """Make the tables hold these images. Things come in one go, however many."""
    of: dict[str, _Keyed] = {}
    for name, at_and_image in images.items():
        kind, _, key = name.partition(":")
        of.setdefault(kind, {})[key] = at_and_image
    runs = of.get("run", {})
    if runs:
        models.Run.objects.filter(build_id=row.pk, cable__key__in=list(runs)).delete()
    for _, image in of.get("build", {}).values():
        row.header = image or {}
    _write_keyed(models.Part, row, of.get("part", {}))
    for _, image in of.get("supply", {}).values():
        _write_supply(row, image)
    _write_cables(row, of.get("cable", {}))
    _write_runs(row, [image for _, image in runs.values() if image is not None])


def _write_keyed(table: Any, row: models.Build, things: _Keyed) -> None:
    gone = [key for key, (_, data) in things.items() if data is None]
    if gone:
        table.objects.filter(build_id=row.pk, key__in=gone).delete()
    for key, (at, data) in things.items():
        if at is None and data is not None:
            table.objects.filter(build_id=row.pk, key=key).update(data=data)
    new = [
        table(build_id=row.pk, key=key, data=data, position=at)
        for key, (at, data) in things.items() if at is not None and data is not None
    ]  # fmt: skip
    if new:
        table.objects.bulk_create(new)


def _write_supply(row: models.Build, image: Image | None) -> None:
    ports = {p["key"]: p for p in image["ports"]} if image else {}
    own = models.Port.objects.filter(build_id=row.pk)
    own.exclude(key__in=list(ports)).delete()
    there = {p.key: p for p in own}
    _write_keyed(
        models.Port, row, {k: (i, p) for i, (k, p) in enumerate(ports.items()) if k not in there}
    )
    for position, (key, data) in enumerate(ports.items()):
        if key in there and (there[key].data, there[key].position) != (data, position):
            own.filter(key=key).update(data=data, position=position)
    if image is None:
        models.Supply.objects.filter(build_id=row.pk).delete()
        return
    data = {k: v for k, v in image.items() if k != "ports"}
    models.Supply.objects.update_or_create(build_id=row.pk, defaults={"data": data})


def _write_cables(row: models.Build, things: _Keyed) -> None:
    bare: _Keyed = {
        key: (at, image and {k: v for k, v in image.items() if k != "plugs"})
        for key, (at, image) in things.items()
    }
    _write_keyed(models.Cable, row, bare)
    stay = {key: image["plugs"] for key, (_, image) in things.items() if image is not None}
    if not stay:
        return
    cables = models.Cable.objects.filter(build_id=row.pk, key__in=list(stay))
    pks = dict(cables.values_list("key", "pk"))
    there = {(p.cable_id, p.key): p for p in models.Plug.objects.filter(cable__in=cables)}
    new = []
    for key, plugs in stay.items():
        for position, data in enumerate(plugs):
            plug = there.pop((pks[key], data["key"]), None)
            if plug is None:
                plug = models.Plug(cable_id=pks[key], key=data["key"], data=data, position=position)
                new.append(plug)
            elif (plug.data, plug.position) != (data, position):
                models.Plug.objects.filter(pk=plug.pk).update(data=data, position=position)
    if there:
        models.Plug.objects.filter(pk__in=[p.pk for p in there.values()]).delete()
    models.Plug.objects.bulk_create(new)


def _write_runs(row: models.Build, images: list[Image]) -> None:
    if not images:
        return
    keys = [image["cable"] for image in images]
    cables = dict(
        models.Cable.objects.filter(build_id=row.pk, key__in=keys).values_list("key", "pk")
    )
    made = models.Run.objects.bulk_create(
        models.Run(build_id=row.pk, cable_id=cables[i["cable"]], pinned=i.get("pinned", False))
        for i in images
    )
    ports = dict(models.Port.objects.filter(build_id=row.pk).values_list("key", "pk"))
    of_runs = models.Plug.objects.filter(cable_id__in=list(cables.values()))
    plugs = {(c, key): pk for c, key, pk in of_runs.values_list("cable_id", "key", "pk")}
    models.RunPort.objects.bulk_create(
        models.RunPort(run=run, port_id=ports[key], position=n)
        for run, image in zip(made, images, strict=True) for n, key in enumerate(image["ports"])
    )  # fmt: skip
    models.Connection.objects.bulk_create(
        models.Connection(
            build_id=row.pk,
            run=run,
            plug_id=plugs[run.cable_id, c["plug"]],
            half=c["half"],
            target=c["socket"]["part"],
            instance=c["socket"]["instance"],
            socket=c["socket"]["socket"],
        )
        for run, image in zip(made, images, strict=True) for c in image["connections"]
    )  # fmt: skip
