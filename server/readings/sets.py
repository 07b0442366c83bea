"""Sets of readings: made, found, held against their build, thrown away."""

from __future__ import annotations

import secrets
from collections import OrderedDict
from threading import Lock
from typing import Any

from base.writing import writing
from bench.models import Entry
from builds import results
from builds.models import Build
from django.utils import timezone
from easy_tally import BadInput, NotThere, Refused
from easy_tally.readings import Held, Named, Readings, hold
from owners.thrown import in_bin

from readings import rows
from readings.models import Taken

#: Sets of a build at the most; seconds of one, which is a year and more.
MOST, MOST_S = 200, 4e7
_NOT_SHOWN = (
    "These readings hold numbers that do not end, or times that do not rise: an earlier version "
    "took them. They can only be thrown away."
)
_held: OrderedDict[tuple[Any, ...], Held] = OrderedDict()
_lock = Lock()


def make(build: Build, name: str, source: str, r: Readings, **more: Any) -> Taken:
    """Keep a set, and put into the build's record that it was measured; or simulated, which it is
    for good where its readings say so. Raises BadInput."""
    if Taken.objects.filter(build=build).count() >= MOST:
        raise BadInput([("readings", f"at most {MOST} sets of a build", f"{MOST} are kept")])
    r.look_over()
    key = secrets.token_hex(12)
    rows.keep(key, r)
    source = "simulated" if r.simulated else source
    with writing():
        row: Taken = Taken.objects.create(
            build=build,
            key=key,
            name=name[:120] or source,
            source=source,
            samples=r.samples,
            channels=[str(c) for c in r.columns],
            named=rows.as_named(r.named),
            began=r.began,
            version=build.version,
            looked_over=True,
            **more,
        )
        record(row)
    return row


def record(row: Taken) -> None:
    """Put into the build's record that it was measured, or simulated."""
    simulated = row.source == "simulated"
    kind = "Simulated readings" if simulated else "Readings"
    Entry.objects.create(
        build=row.build,
        uid=f"readings-{row.key}",
        step="readings",
        kind="simulated" if simulated else "measured",
        acts=[] if simulated else [["measured", "machine", ""]],
        words=f"{kind}: {row.name}"[:300],
        at=timezone.now(),
        version=row.build.version,
    )


def find(build: Build, key: str) -> Taken:
    """A set of a build. Raises NotThere."""
    row: Taken | None = Taken.objects.filter(build=build, key=key).first()
    if row is None:
        raise NotThere("There are no such readings of this build.")
    return row


def find_shown(build: Build, key: str) -> Taken:
    """A set of a build that can be shown. Raises NotThere, Refused."""
    row = find(build, key)
    if not can_be_shown(row):
        raise Refused(_NOT_SHOWN)
    return row


def can_be_shown(row: Taken) -> bool:
    """Whether every number of a set ends and its times rise, as of all that were looked over before
    they were kept."""
    if row.looked_over:
        return True
    try:
        rows.load(row).look_over()
    except (BadInput, OSError):
        return False
    Taken.every.filter(pk=row.pk).update(looked_over=True)
    return True


def held(row: Taken) -> Held:
    """A set as held against its build as it is; kept for as long as neither changes."""
    r = rows.load(row)
    at = (row.pk, r.samples, row.build.version, repr(row.named))
    with _lock:
        held = _held.get(at)
    if held is None:
        held = hold(results.analysis(row.build), r)
        with _lock:
            _held[at] = held
            while len(_held) > 16:
                _held.popitem(last=False)
    return held


def call(row: Taken, named: list[Named]) -> None:
    """Name spans of a set. Raises BadInput."""
    last = -1.0
    for i, n in enumerate(named):
        if not 0 <= n.from_s < n.to_s < MOST_S:
            got = f"{n.from_s:g} to {n.to_s:g} s"
            raise BadInput([(f"named.{i}", "a span of some seconds, from the first on", got)])
        if n.from_s < last:
            raise BadInput([(f"named.{i}", "spans one after another", f"from {n.from_s:g} s")])
        last = n.to_s
    row.named = rows.as_named(tuple(named))
    row.save(update_fields=["named"])


def bring_back(build: Build, key: str) -> Taken:
    """Take a set out of the bin. Raises NotThere, BadInput where there are too many."""
    row: Taken | None = in_bin(Taken, build=build, key=key).first()
    if row is None:
        raise NotThere("There are no such readings in the bin.")
    if Taken.objects.filter(build=build).count() >= MOST:
        raise BadInput([("readings", f"at most {MOST} sets of a build", f"{MOST} are kept")])
    row.bring_back()
    return row
