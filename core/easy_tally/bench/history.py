"""The history of a machine, off its record: sittings, and what each was."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import datetime, timedelta

from .record import Noted, in_force

#: Longer than this between two entries, and they belong to two sittings. An assumption.
APART = timedelta(hours=12)


@dataclass(frozen=True, slots=True, kw_only=True)
class Sitting:
    """Entries close to one another in time: what was done, by whom, with which versions of the
    build, and how many joints were made, taken apart and found bad."""

    what: tuple[str, ...]
    begun: datetime
    ended: datetime
    who: tuple[str, ...]
    versions: tuple[int, int]
    made: int
    apart: int
    bad: int


def sittings(record: Iterable[Noted]) -> tuple[Sitting, ...]:
    """A record, in any order, as sittings, oldest first."""
    groups: list[list[Noted]] = []
    for e in sorted(record, key=lambda e: e.at):
        if groups and e.at - groups[-1][-1].at <= APART:
            groups[-1].append(e)
        else:
            groups.append([e])
    known: set[str] = set()
    return tuple(_sitting(g, known) for g in groups)


def _sitting(group: list[Noted], known: set[str]) -> Sitting:
    """One sitting; `known` are the joints that were made in sittings before, and grows."""
    acts = [a for e in in_force(group) for a in e.acts]
    joints = {a.thing for a in acts if a.act == "plugged"}
    out = {a.thing for a in acts if a.act == "unplugged"}
    bad = sum(e.kind in ("warm", "browned", "loose") for e in group)
    measured = any(a.act == "measured" for a in acts) or any(e.kind == "measured" for e in group)
    kinds = [
        *(["taken over"] * any(a.act == "found" for a in acts)),
        *_work(before=bool(known), joined=bool(joints), apart=bool(out)),
        *(["measured"] * measured),
        *(["stopped"] * bool(bad)),
    ]
    known |= joints | {a.thing for a in acts if a.act == "found"}
    versions = [e.version for e in group]
    return Sitting(
        what=tuple(kinds) or ("looked at",),
        begun=group[0].at,
        ended=group[-1].at,
        who=tuple(dict.fromkeys(e.who for e in group if e.who)),
        versions=(min(versions), max(versions)),
        made=len(joints),
        apart=len(out),
        bad=bad,
    )


def _work(before: bool, joined: bool, apart: bool) -> list[str]:
    """What was done to joints, by whether there were any before, some were joined, some taken
    apart; a first build that takes some apart is built."""
    if not joined:
        return ["taken apart"] * apart
    if not before:
        return ["built"]
    return ["swapped" if apart else "re-plugged"]
