"""Every write: permission, check, mutation and log in one transaction. Others only call it.

An edit names the version that it was made on. If others have written since, it still goes in
when they touched other things; when they touched the same, `StaleEdit` gives both values.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass, field, replace
from typing import NamedTuple

from base.writing import writing
from django.db import transaction
from drawer import store as drawer
from easy_tally import Build, EasyTallyError, Refused
from easy_tally.base import problems_of
from easy_tally.catalogue import used_of, without
from easy_tally.editing import Become, ChangeBuild, Edit
from easy_tally.files import build_file
from easy_tally.things import FORMAT_VERSION, HouseRules, settled
from owners.models import Owner
from owners.thrown import in_bin
from pydantic import ValidationError

from builds import models, results, store
from builds.collisions import Meanwhile, StaleEdit
from builds.store import Touched
from builds.timely import for_a_while
from builds.together import Together


class NoBuild(Exception):
    """There is no such build for this owner."""


class Titles(NamedTuple):
    """What undo and redo would do; None where there is nothing."""

    undo: str | None
    redo: str | None


def titles(row: models.Build) -> Titles:
    """What undo and redo would do to a build."""
    near = row.changes.filter(seq__in=(row.head, row.head + 1))
    title_of = dict(near.values_list("seq", "title"))
    return Titles(title_of.get(row.head), title_of.get(row.head + 1))


@dataclass(frozen=True, eq=False)
class Written:
    """What a write did: the new state with its result, and the entities that it changed. Those
    whose edits went in together have the very same one."""

    row: models.Build
    worked: results.Worked
    changed: list[Touched]
    titles: Titles

    @property
    def build(self) -> Build:
        """The build after it."""
        return self.worked.analysis.build


def find(owner: Owner, key: str) -> models.Build:
    """The owner's build called `key`; its document is read where it is asked for. Raises
    NoBuild."""
    row = models.Build.objects.filter(owner=owner, key=key).defer("document").first()
    if row is None:
        raise NoBuild(f"There is no build {key}; it may have been removed.")
    build: models.Build = row
    return build


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
    results.work_out(owner.pk, _with_what_is_free(owner, build))


def _with_what_is_free(owner: Owner, build: Build) -> Build:
    return results.same_as(without(build, drawer.taken(owner, used_of(build))))


def _create(owner: Owner, build: Build) -> models.Build:
    results.work_out(owner.pk, build)
    row: models.Build = models.Build.objects.create(owner=owner, document=store.document_of(build))
    drawer.settle(owner.pk, row.key, used_of(build))
    _remember(row, build)
    return row


@writing()
def make_variant(owner: Owner, key: str, name: str, then: Build | None = None) -> models.Build:
    """Store a variant of a build: as it is, or as it would be `then`. What is the same keeps its
    identity. One of a variant is of the build that that began as. Raises NoBuild."""
    began = find(owner, key)
    before = results.current(began)
    row: models.Build = models.Build.objects.create(
        owner=owner,
        document=store.document_of(before),
        began_as=began.began_as or began.key,
        began_version=began.began_version or began.version,
        group=began.group,
    )
    after = before if then is None else settled(before, then, row.stamp(1))
    build = results.same_as(after.model_copy(update={"name": name[:80], "note": before.note}))
    results.work_out(owner.pk, build)
    row.document = store.document_of(build)
    row.save(update_fields=["document"])
    _remember(row, build)
    return row


def copy(owner: Owner, key: str, name: str) -> models.Build:
    """Store a copy of a build as a build of its own. What it names of the drawer and is not free is
    a copy of its own. Raises NoBuild."""
    row = find(owner, key)
    copied = create(owner, results.current(row).model_copy(update={"name": name[:80]}))
    with writing():
        models.Build.objects.filter(pk=copied.pk).update(group=row.group)
    return copied


def began_name(row: models.Build) -> str:
    """The name of the build that a variant began as, also where that was removed; else nothing."""
    if not row.began_as:
        return ""
    began = models.Build.every.filter(owner_id=row.owner_id, key=row.began_as).first()
    return store.name_of(began) if began else ""


def take_variant(owner: Owner, key: str, base_version: int, variant: str) -> Written:
    """Make a build what a variant of it is, in one change. Raises NoBuild, Refused, InUse."""
    row = find(owner, variant)
    if row.began_as != key:
        raise Refused("That is no variant of this build; compare the two, and copy what you want.")
    build = results.current(row)
    return act(owner, key, base_version, Become(build=build, words=build.name))


@writing()
def put_in_group(owner: Owner, key: str, group: str) -> None:
    """Put a build into a group; "" takes it out. Raises NoBuild."""
    row = find(owner, key)
    # It is no change of the build: the list keeps its order.
    models.Build.objects.filter(pk=row.pk).update(group=group.strip()[:80])


def open_file(owner: Owner, text: str) -> models.Build:
    """Store the build that a file holds. Raises BadFile; then nothing is stored."""
    return create(owner, build_file.read(text))


@writing()
def remove(owner: Owner, key: str) -> None:
    """Throw a build away: thirty days it lies in the bin with all that is of it. What it had of the
    drawer is free again."""
    row = find(owner, key)
    drawer.settle(owner.pk, row.key, Counter())
    row.throw()


def in_the_bin(owner: Owner) -> list[models.Build]:
    """The owner's builds that were thrown away, the last first."""
    return list(in_bin(models.Build, owner=owner).defer("document"))


@writing()
def bring_back(owner: Owner, key: str) -> models.Build:
    """Take a build out of the bin. What it had of the drawer and is elsewhere by now it has as a
    copy of its own: a change like any other. Raises NoBuild."""
    row: models.Build | None = in_bin(models.Build, owner=owner, key=key).defer("document").first()
    if row is None:
        raise NoBuild("There is no such build in the bin; its thirty days may be over.")
    row.bring_back()
    row = find(owner, key)
    if row.is_variant:
        return row
    with suppress(store.Unreadable):  # then it is on the list as one that can't be read, as before
        before = results.current(row)
        after = _with_what_is_free(owner, before)
        touched = store.differences(before, after)
        if touched:
            meanwhile = Meanwhile(row, [row.version])
            meanwhile.add(touched)
            step = _Step("leave what is in other builds", touched)
            _log(row, _Look(before=before, after=after, steps=[step], meanwhile=meanwhile))
        else:
            drawer.settle(owner.pk, row.key, used_of(before))
    return row


# -- edits ---------------------------------------------------------------------------------


def preview(owner: Owner, key: str, edit: Edit) -> Build:
    """The build as `edit` would make it. Writes nothing."""
    row = find(owner, key)
    before = results.current(row)
    after = settled(before, edit.apply(before), row.stamp(row.version + 1))
    return results.same_as(after, before)


@dataclass(frozen=True)
class _Asked:
    """An edit that is asked for, and the version that it was made on."""

    base_version: int
    edit: Edit


class _Step(NamedTuple):
    """One edit, or one step through the history: what it touches, and what undo calls it."""

    title: str
    touched: list[Touched]


@dataclass(frozen=True, kw_only=True)
class _Look:
    """What edits of a build, or a step through its history, lead to, one after another: nothing is
    written yet. `answers`: of each edit how it is refused, or whether it changes anything."""

    before: Build
    after: Build
    steps: list[_Step]
    meanwhile: Meanwhile
    answers: list[Exception | bool] = field(default_factory=list)

    def holds(self, row: models.Build) -> bool:
        """Whether nobody wrote since."""
        return self.meanwhile.began == row.version


def act(owner: Owner, key: str, base_version: int, edit: Edit) -> Written:
    """Make one edit, log it, and forget what could have been redone. Edits of one build that come
    at once go in together: each is a change of its own, and all are answered with the version that
    the last of them made, its result, and what they changed between them."""
    return _TOGETHER.do((owner, key), _Asked(base_version, edit))


def _act(whose: tuple[Owner, str], asked: list[_Asked]) -> list[Written | Exception]:
    owner, key = whose
    ahead = _ahead(owner, key, lambda row: _look(row, asked))
    with writing():
        row = find(owner, key)
        look = ahead if ahead and ahead.holds(row) else _look(row, asked)
        errors = [a for a in look.answers if isinstance(a, Exception)]
        if len(errors) == len(look.answers):
            return [*errors]
        written = _log(row, look)
    return [
        a if isinstance(a, Exception) else written if a else replace(written, changed=[])
        for a in look.answers
    ]


_TOGETHER = Together(_act)


def _ahead(owner: Owner, key: str, look: Callable[[models.Build], _Look]) -> _Look | None:
    """What a change of a large build leads to, worked out before the turn to write: nobody waits
    for it, and it is known then. A small one is not worth being looked at twice."""
    if results.is_small(key):
        return None
    row = find(owner, key)
    results.current(row)
    if results.is_small(key):
        return None
    worked = look(row)
    results.work_out(row.owner_id, worked.after)
    return worked


def _look(row: models.Build, asked: list[_Asked]) -> _Look:
    """What edits lead to, and which of them are refused."""
    before = now = results.current(row)
    meanwhile = Meanwhile(row, (a.base_version for a in asked))
    steps: list[_Step] = []
    answers: list[Exception | bool] = []
    for a in asked:
        try:
            after, touched = _looked_at(row, a, now, meanwhile)
        except (EasyTallyError, StaleEdit) as error:
            answers.append(error)
            continue
        answers.append(bool(touched))
        if touched:
            meanwhile.add(touched)
            steps.append(_Step(a.edit.title(now)[:200], touched))
            now = after
    return _Look(before=before, after=now, steps=steps, meanwhile=meanwhile, answers=answers)


def _looked_at(
    row: models.Build, a: _Asked, before: Build, meanwhile: Meanwhile
) -> tuple[Build, list[Touched]]:
    try:
        # Each write has a number of its own: by it what comes is told from all that came before.
        after = settled(before, a.edit.apply(before), row.stamp(meanwhile.version + 1))
        after = results.same_as(after, before)
    except Refused:
        # Somebody else's plug in the way is a collision, not a rule of the job.
        meanwhile.check(a.base_version, [], before, a.edit)
        raise
    touched = store.differences(before, after)
    if touched:
        meanwhile.check(a.base_version, touched, before, a.edit)
    return after, touched


def _log(row: models.Build, look: _Look) -> Written:
    """Write edits that were looked at, each as the change that undo takes back."""
    if not look.steps:
        return Written(row, results.work_out(row.owner_id, look.after), [], titles(row))
    if results.at_the_end.get(row.pk) != row.version:
        # What could have been redone can't be any more; that it was done stays on record.
        row.changes.filter(seq__gt=row.head).update(seq=None, images=[])
    first = row.head + 1
    row.head += len(look.steps)
    worked = _write(row, look, first)
    pk, version = row.pk, row.version
    transaction.on_commit(lambda: results.at_the_end.update({pk: version}))
    changed = store.in_all([s.touched for s in look.steps])
    return Written(row, worked, changed, Titles(look.steps[-1].title, None))


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
    return [store.turned(t) for t in change.images]


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
    back_or_forth: Callable[[models.Build], list[Touched]],
    way: int,
) -> Written:
    """One step through the history, back or forth."""

    def step(row: models.Build) -> _Look:
        touched = back_or_forth(row)
        before, meanwhile = results.current(row), Meanwhile(row, [base_version])
        meanwhile.check(base_version, touched, before, None)
        meanwhile.add(touched)
        try:
            after = results.same_as(store.with_touched(before, touched), before)
        except ValidationError as error:
            field, required, got = problems_of(error)[0]
            why = f"{field} needs {required}, got {got}"
            raise Refused(f"That would be no build by today’s rules: {why}.") from error
        return _Look(before=before, after=after, steps=[_Step("", touched)], meanwhile=meanwhile)

    with _TOGETHER.one_at_a_time((owner, key)):
        ahead = _ahead(owner, key, step)
        with writing():
            row = find(owner, key)
            look = ahead if ahead and ahead.holds(row) else step(row)
            row.head += way
            worked = _write(row, look)
            return Written(row, worked, look.steps[0].touched, titles(row))


def _write(row: models.Build, look: _Look, first: int | None = None) -> results.Worked:
    """Write what was looked at: edits, of which the first is that of the history; or, without one,
    a step through it."""
    after = look.after
    row.document, row.version = store.document_of(after), look.meanwhile.version
    row.save(update_fields=["document", "version", "head", "changed_at"])
    models.Change.objects.bulk_create(
        models.Change(
            build=row,
            version=version,
            paths=paths,
            title=step.title,
            seq=None if first is None else first + i,
            format_version=FORMAT_VERSION,
            images=[] if first is None else step.touched,
        )
        for i, (step, (version, paths)) in enumerate(
            zip(look.steps, look.meanwhile.added, strict=True)
        )
    )
    # Before the commit: what can't be worked out is not written.
    worked = results.work_out(row.owner_id, after)
    used = used_of(after)
    if used != used_of(look.before) and not row.is_variant:
        drawer.settle(row.owner_id, row.key, used)
    _remember(row, after)
    return worked


def _remember(row: models.Build, build: Build) -> None:
    version = row.version
    transaction.on_commit(lambda: results.remember(row, version, build))


__all__ = [
    "NoBuild",
    "Titles",
    "Written",
    "act",
    "began_name",
    "bring_back",
    "copy",
    "create",
    "find",
    "in_the_bin",
    "make_variant",
    "name_of",
    "open_file",
    "prepare",
    "preview",
    "put_in_group",
    "redo",
    "remove",
    "set_rules",
    "take_variant",
    "titles",
    "undo",
]
