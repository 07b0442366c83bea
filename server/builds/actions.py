"""Every write: permission, check, mutation and log in one transaction. Others only call it.

An edit names the version that it was made on. If others have written since, it still goes in
when they touched other things; when they touched the same, `StaleEdit` gives both values.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass
from functools import partial
from typing import Any, NamedTuple

from config.writing import writing
from django.db import transaction
from drawer import store as drawer
from easy_tally import Build, EasyTallyError, Refused, SocketRef
from easy_tally.catalogue import used_of, without
from easy_tally.editing import ChangeBuild, Edit
from easy_tally.files import build_file
from easy_tally.things import FORMAT_VERSION, HouseRules, same
from owners.models import Owner

from builds import models, results, store
from builds.store import Touched
from builds.timely import for_a_while


class NoBuild(Exception):
    """There is no such build for this owner."""


class StaleEdit(Exception):
    """Somebody changed the same thing meanwhile: `conflicts` holds (path, yours, theirs)."""

    def __init__(self, version: int, conflicts: list[tuple[str, Any, Any]]) -> None:
        self.version = version
        self.conflicts = conflicts
        paths = ", ".join(p for p, _, _ in conflicts)
        super().__init__(f"This was changed meanwhile, in another window or by undo: {paths}.")


class Titles(NamedTuple):
    """What undo and redo would do; None where there is nothing."""

    undo: str | None
    redo: str | None


def titles(row: models.Build) -> Titles:
    """What undo and redo would do to a build."""
    near = row.changes.filter(seq__in=(row.head, row.head + 1))
    found = dict(near.values_list("seq", "title"))
    return Titles(found.get(row.head), found.get(row.head + 1))


@dataclass(frozen=True)
class Written:
    """What a write did: the new state with its result, and the entities that it changed."""

    row: models.Build
    worked: results.Worked
    changed: list[Touched]
    titles: Titles

    @property
    def build(self) -> Build:
        """The build after it."""
        return self.worked.analysis.build


def find(owner: Owner, key: str) -> models.Build:
    """The owner's build called `key`. One whose header can't be read is found without it, so that
    it can be saved and removed. Raises NoBuild."""
    rows = models.Build.objects.filter(owner=owner, key=key)
    try:
        try:
            return rows.get()
        except ValueError:
            return rows.defer("header").get()
    except models.Build.DoesNotExist:
        raise NoBuild(f"There is no build {key}; it may have been removed.") from None


def name_of(owner: Owner, key: str) -> str:
    """The name of the owner's build called `key`; its key where there is none."""
    try:
        return store.name_of(find(owner, key))
    except NoBuild:
        return key


# -- whole builds --------------------------------------------------------------------------


def create(owner: Owner, build: Build) -> models.Build:
    """Store a new build. Its history starts empty. Nothing is stored that can't be worked out. What
    it names of the drawer and is not free there is a copy of its own."""
    prepare(owner, build)
    with writing():
        return _create(owner, _with_what_is_free(owner, build))


def prepare(owner: Owner, build: Build) -> None:
    """Work a new build out before the turn to write: the largest takes its time, and is known
    then."""
    results.work_out(_with_what_is_free(owner, build))


def _with_what_is_free(owner: Owner, build: Build) -> Build:
    return same(without(build, drawer.taken(owner, used_of(build))))


def _create(owner: Owner, build: Build) -> models.Build:
    results.work_out(build)
    images = store.entities(build)
    row = models.Build.objects.create(owner=owner, header=images["build"])
    store.write_images(row, {n: (i, image) for i, (n, image) in enumerate(images.items())})
    drawer.settle(owner.pk, row.key, used_of(build))
    _remember(row, build)
    return row


def open_file(owner: Owner, text: str) -> models.Build:
    """Store the build that a file holds. Raises BadFile; then nothing is stored."""
    return create(owner, build_file.read(text))


@writing()
def remove(owner: Owner, key: str) -> None:
    """Remove a build with its history."""
    row = find(owner, key)
    drawer.settle(owner.pk, row.key, Counter())
    models.Build.objects.filter(pk=row.pk).defer("header").delete()


# -- edits ---------------------------------------------------------------------------------


def preview(owner: Owner, key: str, edit: Edit) -> Build:
    """The build as `edit` would make it. Writes nothing."""
    before = results.current(find(owner, key))
    return same(edit.apply(before), before)


#: What a change leads to, or how it is refused, by the version that it was made on.
_Ahead = dict[int, Build | EasyTallyError]


def _ahead(owner: Owner, key: str, then: Callable[[models.Build, Build], Build]) -> _Ahead:
    """What a change of a large build leads to, worked out before the turn to write: nobody waits
    for it, and it is known then. A small one is not worth being looked at twice."""
    if results.is_small(key):
        return {}
    row = find(owner, key)
    before = results.current(row)
    if results.is_small(key):
        return {}
    try:
        after = then(row, before)
        results.work_out(after)
    except EasyTallyError as error:
        return {row.version: error}
    return {row.version: after}


def _then(ahead: _Ahead, version: int, then: Callable[[], Build]) -> Build:
    """What a change leads to: as known ahead, where nobody wrote meanwhile."""
    known = ahead.get(version)
    if isinstance(known, EasyTallyError):
        raise known
    return known or then()


def act(owner: Owner, key: str, base_version: int, edit: Edit) -> Written:
    """Make one edit, log it, and forget what could have been redone."""

    def then(before: Build) -> Build:
        return same(edit.apply(before), before)

    ahead = _ahead(owner, key, lambda _, before: then(before))
    with writing():
        row = find(owner, key)
        before = results.current(row)
        try:
            after = _then(ahead, row.version, partial(then, before))
        except Refused:
            # Somebody else's plug in the way is a collision, not a rule of the job.
            _check_base(row, base_version, [], before, edit)
            raise
        touched = store.differences(row, before, after)
        if not touched:
            return Written(row, results.worked(row), [], titles(row))
        _check_base(row, base_version, touched, before, edit)
        if results.at_the_end.get(row.pk) != row.version:
            row.changes.filter(seq__gt=row.head).delete()
        row.head += 1
        title = edit.title(before)[:200]
        models.Change.objects.create(
            build=row, seq=row.head, title=title, format_version=FORMAT_VERSION, images=touched
        )
        worked = _write(row, touched, before, after)
        pk, version = row.pk, row.version
        transaction.on_commit(lambda: results.at_the_end.update({pk: version}))
        return Written(row, worked, touched, Titles(title, None))


class Spread(NamedTuple):
    """How many builds changed, and the keys of those that are left to be looked at."""

    changed: int
    left: list[str]


def set_rules(owner: Owner, rules: HouseRules, where: bool | list[str]) -> Spread:
    """Set the house rules of new builds; with `where` true of every build that can be read, or of
    those with these keys, as a change of its own in each, to be undone there. Of many builds some
    are left for the next time."""
    owner.house_rules = rules.model_dump(mode="json")
    with writing():
        owner.save(update_fields=["house_rules"])
    if where is False:
        return Spread(0, [])
    edit, changed, again = ChangeBuild(house_rules=owner.house_rules), 0, []
    rows = models.Build.objects.filter(owner=owner).order_by("pk")
    keys = list(rows.values_list("key", flat=True)) if where is True else list(where)
    for key in for_a_while(tuple(keys)):
        keys.remove(key)
        # A turn each: others write in between.
        with suppress(NoBuild, store.Unreadable):
            try:
                changed += bool(act(owner, key, find(owner, key).version, edit).changed)
            except StaleEdit:
                again.append(key)
    return Spread(changed, [*keys, *again])


def undo(owner: Owner, key: str, base_version: int) -> Written:
    """Take the last change in force back."""
    return _step(owner, key, base_version, _last_in_force, -1)


def redo(owner: Owner, key: str, base_version: int) -> Written:
    """Bring the change that was undone last back."""
    return _step(owner, key, base_version, _undone_last, 1)


def _last_in_force(row: models.Build) -> list[Touched]:
    change = row.changes.filter(seq=row.head).first()
    if change is None:
        raise Refused("There is nothing to undo; 0 changes are left.")
    return [_turned(t) for t in change.images]


def _undone_last(row: models.Build) -> list[Touched]:
    change = row.changes.filter(seq=row.head + 1).first()
    if change is None:
        raise Refused("There is nothing to redo; 0 changes are left.")
    touched: list[Touched] = change.images
    return touched


def _step(
    owner: Owner,
    key: str,
    base_version: int,
    look: Callable[[models.Build], list[Touched]],
    way: int,
) -> Written:
    """One step through the history, back or forth."""

    def then(row: models.Build, before: Build, touched: list[Touched]) -> Build:
        return same(store.with_images(row, before, touched), before)

    ahead = _ahead(owner, key, lambda row, before: then(row, before, look(row)))
    with writing():
        row = find(owner, key)
        touched = look(row)
        before = results.current(row)
        _check_base(row, base_version, touched, before, None)
        after = _then(ahead, row.version, partial(then, row, before, touched))
        row.head += way
        return Written(row, _write(row, touched, before, after), touched, titles(row))


def _turned(t: Touched) -> Touched:
    return {"entity": t["entity"], "at": t["at"], "before": t["after"], "after": t["before"]}


def _write(
    row: models.Build, touched: list[Touched], before: Build, after: Build
) -> results.Worked:
    places = {t["entity"]: None if store.stays(t) else t["at"] for t in touched}
    store.write_images(row, {t["entity"]: (places[t["entity"]], t["after"]) for t in touched})
    row.version += 1
    header = ["header"] if "build" in places else []
    row.save(update_fields=["version", "head", "changed_at", *header])
    models.Write.objects.create(
        build=row, version=row.version, touched=sorted(p for t in touched for p in paths(t))
    )
    # Before the commit: what can't be worked out is not written.
    worked = results.work_out(after)
    used = used_of(after)
    if used != used_of(before):
        drawer.settle(row.owner_id, row.key, used)
    _remember(row, after)
    return worked


def _remember(row: models.Build, build: Build) -> None:
    version = row.version
    transaction.on_commit(lambda: results.remember(row, version, build))


# -- concurrency ---------------------------------------------------------------------------


def paths(t: Touched) -> dict[str, Any]:
    """What an entity's change touches, as path → value after it: single fields where the thing
    was there before and after, else the whole of it; of a run the ports, plugs and sockets whose
    use differs."""
    name, before, after = t["entity"], t["before"], t["after"]
    if name.startswith("run:"):
        old, new = _run_uses(before), _run_uses(after)
        return {p: new.get(p) for p in {*old, *new} if old.get(p) != new.get(p)}
    if before is None or after is None:
        return {name: after}
    found: dict[str, Any] = {}
    for field in after:
        if before.get(field) == after[field]:
            continue
        if name == "build" and isinstance(after[field], dict) and before[field] is not None:
            inner = {k: v for k, v in after[field].items() if before[field].get(k) != v}
            found |= {f"{name}/{field}/{k}": v for k, v in inner.items()}
        else:
            found[f"{name}/{field}"] = after[field]
    return found


def _run_uses(image: store.Image | None) -> dict[str, Any]:
    if image is None:
        return {}
    cable = image["cable"]
    uses: dict[str, Any] = {f"port:{p}": cable for p in image["ports"]}
    if image.get("pinned"):
        uses[f"pin:{cable}"] = True
    for c in image["connections"]:
        ref = str(SocketRef.model_construct(**c["socket"]))
        uses |= {f"socket:{ref}": f"{cable} {c['plug']}", f"plug:{cable}/{c['plug']}": ref}
    return uses


def _check_base(
    row: models.Build,
    base_version: int,
    touched: list[Touched],
    before: Build,
    edit: Edit | None,
) -> None:
    if base_version == row.version:
        return
    if not 1 <= base_version < row.version:
        raise StaleEdit(row.version, [("version", base_version, row.version)])
    theirs = {p for write in row.writes.filter(version__gt=base_version) for p in write.touched}
    mine = {k: v for t in touched for k, v in paths(t).items()}
    if edit is not None:
        mine |= {p: mine.get(p) for p in edit.asks_for() if p not in mine}
    hit = {p for p in mine if any(_meet(p, other) for other in theirs)}
    if hit:
        now = _values(before, hit)
        raise StaleEdit(row.version, [(p, mine[p], now.get(p)) for p in sorted(hit)])


def _meet(a: str, b: str) -> bool:
    return a == b or a.startswith(b + "/") or b.startswith(a + "/")


def _values(build: Build, wanted: set[str]) -> dict[str, Any]:
    """Some paths of a build with their values now."""
    names = {p.partition("/")[0] for p in wanted}
    if any(n.startswith(("port:", "socket:", "plug:", "pin:")) for n in names):
        names |= {f"run:{r.cable}" for r in build.runs}
    found: dict[str, Any] = {}
    for name, image in store.entities(build, names).items():
        if name.startswith("run:"):
            found |= _run_uses(image)
            continue
        found[name] = image
        for field, value in image.items():
            found[f"{name}/{field}"] = value
            if name == "build" and isinstance(value, dict):
                found |= {f"{name}/{field}/{k}": v for k, v in value.items()}
    return found


__all__ = [
    "NoBuild", "StaleEdit", "Titles", "Written", "act", "create", "find", "name_of", "open_file",
    "paths", "prepare", "preview", "redo", "remove", "set_rules", "titles", "undo",
]  # fmt: skip
