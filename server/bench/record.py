"""What is done of a build's plan, off its record; and the record as CSV."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable
from typing import Any

from base.writing import writing
from builds import results
from builds.models import Build
from django.utils.dateparse import parse_datetime
from easy_tally import BadInput
from easy_tally.bench import Done, Noted, Plan, Sitting, plan, sittings
from easy_tally.files import harmless

from bench.models import Entry

KINDS = (
    "done",
    "undone",
    "warm",
    "browned",
    "loose",
    "looked at",
    "note",
    "photo",
    "measured",
    "simulated",
)
_BAD = ("warm", "browned", "loose")
#: Entries that are taken at once.
MOST = 200


def plan_of(row: Build) -> Plan:
    """The plan of a build with what is done of it."""
    done: dict[str, Done] = {}
    bad: dict[str, Any] = {}
    for e in Entry.objects.filter(build=row):
        if e.kind == "done":
            done[e.step] = Done(step=e.step, of=e.of, words=e.words, who=e.who, at=e.at.isoformat())
        elif e.kind == "undone":
            done.pop(e.step, None)
        elif e.kind in _BAD:
            bad[e.step] = e.kind
        elif e.kind == "looked at":
            bad.pop(e.step, None)
        if e.kind == "done" and e.step.startswith("out:"):
            # What was unplugged is no longer made.
            done.pop(f"joint:{e.step.removeprefix('out:')}", None)
    return plan(results.analysis(row), done.values(), bad)


def notes_of(row: Build) -> dict[tuple[str, str], str]:
    """(Step, which very things) → what was noted there last."""
    notes = Entry.objects.filter(build=row, kind="note").values_list("step", "of", "text")
    return {(step, mark): text for step, mark, text in notes}


@writing()
def add(row: Build, entries: Iterable[Any]) -> int:
    """Add entries; one that stands already is passed over, so that sending again does no harm.
    Returns how many were new. Raises BadInput; then none is added."""
    several = list(entries)
    if len(several) > MOST:
        raise BadInput([("entries", f"at most {MOST} at once", str(len(several)))])
    new = 0
    for i, e in enumerate(several):
        at = parse_datetime(e.at) if e.at else None
        if at is None or at.tzinfo is None:
            raise BadInput(
                [(f"entries.{i}.at", "a time with its zone, as 2026-11-25T20:52:00Z", e.at)]
            )
        if e.kind not in KINDS:
            raise BadInput([(f"entries.{i}.kind", f"one of {', '.join(KINDS)}", e.kind)])
        fields = {
            "step": e.step[:200],
            "kind": e.kind,
            "words": e.words[:300],
            "text": e.text[:1000],
            "who": e.who[:60],
            "at": at,
            "version": row.version,
            "of": e.of[:40],
        }
        _, is_new = Entry.objects.get_or_create(build=row, uid=e.uid[:40], defaults=fields)
        new += is_new
    return new


def history(row: Build) -> tuple[Sitting, ...]:
    """The sittings of a build's record."""
    return sittings(
        Noted(step=e.step, kind=e.kind, who=e.who, at=e.at, version=e.version)
        for e in Entry.objects.filter(build=row)
    )


_HEADS = ("when", "who", "what", "step", "of", "note", "version of the build")


def as_csv(row: Build) -> str:
    """The record of a build, oldest first."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(_HEADS)
    for e in Entry.objects.filter(build=row):
        line = (e.at.isoformat(), e.who, e.kind, e.step, e.words, e.text, e.version)
        writer.writerow([harmless(str(x)) for x in line])
    return out.getvalue()
