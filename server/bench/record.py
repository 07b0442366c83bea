"""A machine's record: what is added to it, what it says, and how it leaves as CSV."""

from __future__ import annotations

import csv
import io
from collections import defaultdict
from collections.abc import Iterable, Mapping
from typing import Any

from base.writing import writing
from builds import results
from builds.actions import began_name
from builds.models import Build
from django.utils.dateparse import parse_datetime
from easy_tally import BadInput, Refused
from easy_tally.bench import (
    ACTS,
    Act,
    Known,
    Noted,
    Pace,
    Plan,
    Sitting,
    Ticked,
    acts_of_older,
    bad_of,
    owner,
    pace,
    plan,
    sittings,
)
from easy_tally.files import harmless
from easy_tally.things import Individual, individuals, kept, read_kept

from bench import aside
from bench.models import Entry, Kept

KINDS = (
    "done",
    "undone",
    "found",
    "warm",
    "browned",
    "loose",
    "looked at",
    "note",
    "photo",
    "measured",
    "simulated",
)
#: Entries that are taken at once; acts of one at the most.
MOST, MOST_ACTS = 200, 6_000


def noted_of(row: Build) -> list[Noted]:
    """The record of a build as the core takes it; of a variant that of the machine that it began
    as."""
    return [_noted(e) for e in Entry.objects.filter(build=machine_of(row))]


def machine_of(row: Build) -> Build:
    """The build whose machine stands there: of a variant the one that it began as."""
    if not row.is_variant:
        return row
    began = Build.objects.filter(owner_id=row.owner_id, key=row.began_as)
    return began.defer("document").first() or row


def _noted(e: Entry) -> Noted:
    acts = tuple(Act(*a) for a in e.acts)
    return Noted(e.step, e.kind, e.at, e.who, e.version, e.words, acts)


def known_of(row: Build) -> Known:
    """Every individual that a record tells of, as it was kept."""
    rows = Kept.objects.filter(build=machine_of(row)).values_list("individual", "data")
    return {id: read_kept(id, told) for id, told in rows}


def plan_of(row: Build, record: list[Noted] | None = None) -> Plan:
    """The work of a build, with what is done of it; by its `record`, where that is read already."""
    record = noted_of(row) if record is None else record
    return plan(results.analysis(row), record, known_of(row), bad_of(record))


def notes_of(row: Build) -> dict[tuple[str, str], str]:
    """(Step, which very things) → what was noted there last."""
    notes = Entry.objects.filter(build=row, kind="note").values_list("step", "of", "text")
    return {(step, mark): text for step, mark, text in notes}


def matings_of(record: Iterable[Noted]) -> Mapping[str, int]:
    """End → how often it was plugged, whether that was taken back or not."""
    times: dict[str, int] = defaultdict(int)
    for act in (a for e in record for a in e.acts):
        times[act.thing] += act.act == "plugged"
    return times


# -- what is added ---------------------------------------------------------------------------------


@writing()
def add(row: Build, entries: Iterable[Any]) -> int:
    """Add entries; one that stands already is passed over, so that sending again does no harm.
    Returns how many were new. Raises BadInput, Refused for a variant; then none is added."""
    if row.is_variant:
        raise Refused(
            f"This is a variant: the work is ticked in {began_name(row) or 'the build'} once it is "
            "taken there."
        )
    several = list(entries)
    if len(several) > MOST:
        raise BadInput([("entries", f"at most {MOST} at once", str(len(several)))])
    new = 0
    for i, e in enumerate(several):
        fields = _fields(row, i, e)
        _, is_new = Entry.objects.get_or_create(build=row, uid=e.uid[:40], defaults=fields)
        new += is_new
        if is_new and e.kind in ("done", "undone"):
            _settle(row, Entry.objects.get(build=row, uid=e.uid[:40]))
    return new


def _fields(row: Build, i: int, e: Any) -> dict[str, Any]:
    at = parse_datetime(e.at) if e.at else None
    if at is None or at.tzinfo is None:
        need = "a time with its zone, as 2026-11-25T20:52:00Z"
        raise BadInput([(f"entries.{i}.at", need, e.at)])
    if e.kind not in KINDS:
        raise BadInput([(f"entries.{i}.kind", f"one of {', '.join(KINDS)}", e.kind)])
    acts = _acts(row, i, e)
    _keep(row, acts)
    return {
        "step": e.step[:200],
        "kind": e.kind,
        "words": e.words[:300],
        "text": e.text[:1000],
        "who": e.who[:60],
        "at": at,
        "version": row.version,
        "of": e.of[:40],
        "acts": [list(a) for a in acts],
    }


def _acts(row: Build, i: int, e: Any) -> tuple[Act, ...]:
    """What an entry tells of individuals; one of a page of an earlier version by its step."""
    if e.kind == "done" and not e.acts:
        acts, gone = acts_of_older(results.analysis(row), [Ticked(e.step, e.of, e.words)])
        keep_all(row, gone)
        return acts[0]
    if e.kind not in ("done", "found"):
        return ()
    if len(e.acts) > MOST_ACTS:
        raise BadInput([(f"entries.{i}.acts", f"at most {MOST_ACTS:,}", f"{len(e.acts):,}")])
    for told in e.acts:
        if len(told) != 3:
            raise BadInput([(f"entries.{i}.acts", "act, thing and place", ", ".join(told))])
        act, thing, place = told
        if act not in ACTS:
            raise BadInput([(f"entries.{i}.acts", f"one of {', '.join(ACTS)}", act)])
        if not thing or len(thing) > 160 or len(place) > 160:
            raise BadInput([(f"entries.{i}.acts", "things and places of 1 to 160 letters", thing)])
    return tuple(Act(*a) for a in e.acts)


def _keep(row: Build, acts: Iterable[Act]) -> None:
    """Keep what is told of: the build may lose it. What a page knew that is behind is looked for in
    the history."""
    told = {owner(end) for a in acts for end in (a.thing, a.place)}
    told -= set(Kept.objects.filter(build=row).values_list("individual", flat=True))
    if not told:
        return
    here = {i.id: i for i in individuals(results.current(row))}
    keep_all(row, {id: here[id] for id in told if id in here})
    if any(id.partition("#")[0][:1].isdigit() for id in told - here.keys()):
        keep_all(row, aside.from_history(row, told - here.keys()))


def keep_all(row: Build, several: Mapping[str, Individual]) -> None:
    """Keep individuals that are not kept yet."""
    Kept.objects.bulk_create(
        (Kept(build=row, individual=id, data=kept(one)) for id, one in several.items()),
        ignore_conflicts=True,
    )


def _settle(row: Build, entry: Entry) -> None:
    """What a tick does to the drawer; a tick that is taken back undoes that too."""
    if entry.kind == "done":
        acts = [Act(*a) for a in entry.acts]
        if any(a.act == "put away" for a in acts):
            entry.settled = aside.put_away(row, acts, known_of(row))
            entry.save(update_fields=["settled"])
        return
    ticks: list[Entry] = []
    for e in Entry.objects.filter(build=row, step=entry.step, kind__in=("done", "undone")):
        if e.pk == entry.pk:
            break
        if e.kind == "done":
            ticks.append(e)
        elif ticks:
            ticks.pop()
    if ticks and ticks[-1].settled:
        aside.take_back(row, ticks[-1].settled)


# -- what it says ----------------------------------------------------------------------------------


def history(row: Build) -> tuple[Sitting, ...]:
    """The sittings of a build's record."""
    return sittings(noted_of(row))


def minutes_of(owner: int, steps: Iterable[str]) -> int | None:
    """How long steps will take [min], by how long such steps took on an owner's (by its id)
    machines; None where too few did."""
    return pace_of(owner).minutes(steps)


def pace_of(owner: int) -> Pace:
    """How fast an owner (by its id) works, by the last ticks on all machines."""
    gaps: list[tuple[str, float]] = []
    rows = Entry.objects.filter(build__owner_id=owner, kind="done").order_by("-at")[:3000]
    last: dict[int, Any] = {}
    for build, step, at in reversed(rows.values_list("build", "step", "at")):
        if build in last:
            gaps.append((step, (at - last[build]).total_seconds()))
        last[build] = at
    return pace(gaps)


_HEADS = ("when", "who", "what", "step", "of", "note", "version of the build", "acts")


def as_csv(row: Build) -> str:
    """The record of a build, oldest first."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(_HEADS)
    for e in Entry.objects.filter(build=row):
        acts = "; ".join(" ".join(a).strip() for a in e.acts)
        line = (e.at.isoformat(), e.who, e.kind, e.step, e.words, e.text, e.version, acts)
        writer.writerow([harmless(str(x)) for x in line])
    return out.getvalue()
