"""The parts catalogue: shipped entries and one's own, found and changed. Every write is here."""

from __future__ import annotations

import re
from datetime import datetime
from functools import lru_cache
from itertools import count

from base.memory import memory
from base.writing import writing
from django.conf import settings
from django.db.models import Count, Max, OuterRef, Q, Subquery, Sum
from easy_tally import BadFile, BadInput, NotThere, Refused
from easy_tally.catalogue import CatalogueEntry, said_count, search, search_text
from easy_tally.files import parts_csv
from easy_tally.things import Part, ties
from owners.incoming import incoming
from owners.models import Owner
from owners.thrown import in_bin

from catalogue.models import OwnPart

#: Most entries of one owner: keeps a search within the time of a keystroke.
MOST_OWN = 5_000


@lru_cache(maxsize=1)
def shipped() -> dict[str, CatalogueEntry]:
    """Every entry that ships, by slug; read once."""
    text = (settings.CATALOGUE / "parts.csv").read_text(encoding="utf-8")
    rows = parts_csv.read(text, memory)
    wrong = [(f"line {r.line}, {c}", need, got) for r in rows for c, need, got in r.problems]
    if wrong:
        raise BadFile(wrong)
    return {r.entry.slug: r.entry for r in rows if r.entry is not None}


@lru_cache(maxsize=1)
def _shipped_texts() -> list[tuple[CatalogueEntry, str]]:
    return [(e, search_text(e)) for e in shipped().values()]


_Counted = tuple[int, int, int, int, datetime | None]
#: Entries by the key of their row, with the revision that they are of.
_Held = dict[int, tuple[int, CatalogueEntry]]
_own: dict[int, tuple[_Counted, _Held]] = {}


def _counted(owner: Owner) -> _Counted:
    """What tells one state of an owner's entries from every other: no key is ever used again, and
    each change of an entry counts its revision up; of those that went into the bin and came out
    again others are left when the last was thrown, or it is one more."""
    here = Q(thrown=None)
    sums = OwnPart.every.filter(owner=owner).aggregate(
        n=Count("pk", filter=here),
        last=Max("pk", filter=here),
        all=Sum("pk", filter=here),
        revisions=Sum("revision", filter=here),
        thrown=Max("thrown"),
    )
    counted = (sums["n"], sums["last"] or 0, sums["all"] or 0, sums["revisions"] or 0)
    return (*counted, sums["thrown"])


def own(owner: Owner) -> dict[str, CatalogueEntry]:
    """An owner's entries, by slug; of those that have changed alone anything is read anew."""
    counted = _counted(owner)
    known = _own.get(owner.pk)
    if known is None or known[0] != counted:
        known = (counted, _read_own(owner, known[1] if known else {}))
        _own[owner.pk] = known
    return {entry.slug: entry for _, entry in known[1].values()}


def _read_own(owner: Owner, held: _Held) -> _Held:
    """Every entry of an owner; those held are kept where their revision is the same."""
    rows = OwnPart.objects.filter(owner=owner)
    now = list(rows.values_list("pk", "revision"))
    other = {pk for pk, revision in now if pk not in held or held[pk][0] != revision}
    # A few are asked for by their keys; most of them all at once.
    fresh = rows.filter(pk__in=other) if len(other) < 500 else rows
    read = {row.pk: (row.revision, _entry(row)) for row in fresh if row.pk in other}
    # One that was removed between the two questions is in neither.
    return {pk: entry for pk, _ in now if (entry := read.get(pk) if pk in other else held[pk])}


def _entry(row: OwnPart) -> CatalogueEntry:
    return CatalogueEntry.model_validate(
        {"slug": row.slug, "revision": row.revision, "part": row.data}
    )


def _with_text(entry: CatalogueEntry) -> tuple[CatalogueEntry, str]:
    return entry, memory.of(search_text, (entry,))


def every(owner: Owner) -> dict[str, CatalogueEntry]:
    """One's own entries before those that ship."""
    return own(owner) | shipped()


def entry(owner: Owner, slug: str) -> CatalogueEntry:
    """The entry called `slug`. Raises NotThere."""
    catalogue_entry = every(owner).get(slug)
    if catalogue_entry is None:
        raise NotThere(f"There is no part {slug} in the catalogue.")
    return catalogue_entry


def find(owner: Owner, text: str, most: int) -> tuple[list[CatalogueEntry], int]:
    """Entries that fit the words of a text, and the count that was said among them."""
    words, count = said_count(text)
    texts = [*map(_with_text, own(owner).values()), *_shipped_texts()]
    return search(texts, words, most), count


# -- writes --------------------------------------------------------------------------------


def preview(owner: Owner, rows: tuple[parts_csv.Row, ...]) -> tuple[parts_csv.Change, ...]:
    """What the rows of a file would do to the owner's entries, line by line. Writes nothing."""
    return parts_csv.changes(rows, own(owner), shipped())


#: Rows that are written in one turn; times that a file is begun anew where others change entries.
_AT_ONCE, _TIMES = 1_000, 3


def take_file(owner: Owner, text: str) -> tuple[parts_csv.Change, ...]:
    """Take a whole CSV file in. Raises BadInput that names every wrong line; then nothing is."""
    # Read and compared before the turn to write, and written piece by piece: the largest file
    # takes seconds.
    rows = parts_csv.read(text, memory)
    for _ in range(_TIMES):
        counted = _counted(owner)
        changes = preview(owner, rows)
        rows_made = _made(owner, rows, changes)
        if not rows_made:
            return changes
        with incoming() as held:
            for first in range(0, len(rows_made), _AT_ONCE):
                with writing():
                    for row in (several := rows_made[first : first + _AT_ONCE]):
                        row.owner = held
                    OwnPart.objects.bulk_create(several)
            with writing():
                if _counted(owner) == counted:
                    _give_over(held, owner)
                    return changes
    raise Refused(
        f"Others changed the catalogue {_TIMES} times meanwhile. Nothing was taken in: try again."
    )


def _made(
    owner: Owner, rows: tuple[parts_csv.Row, ...], changes: tuple[parts_csv.Change, ...]
) -> list[OwnPart]:
    """The entries that are new or changed. Raises BadInput where a line is wrong."""
    wrong = [(f"line {c.line}, {col}", need, got) for c in changes for col, need, got in c.problems]
    if wrong:
        raise BadInput(wrong)
    _room(owner, sum(c.status == "new" for c in changes))
    before, entries = own(owner), {r.slug: r.entry for r in rows if r.entry is not None}
    return [
        OwnPart(
            slug=c.slug,
            data=entries[c.slug].part.model_dump(mode="json"),
            revision=before[c.slug].revision + 1 if c.slug in before else 1,
        )
        for c in changes
        if c.status in ("new", "changed")
    ]


def _give_over(held: Owner, owner: Owner) -> None:
    """Entries that came in are the owner's: those that were there change in their places."""
    mine, theirs = (OwnPart.objects.filter(owner=o) for o in (owner, held))
    same = theirs.filter(slug=OuterRef("slug"))
    mine.filter(slug__in=theirs.values("slug")).update(
        data=Subquery(same.values("data")), revision=Subquery(same.values("revision"))
    )
    theirs.exclude(slug__in=mine.values("slug")).update(owner=owner)


@writing()
def keep(owner: Owner, part: Part) -> CatalogueEntry:
    """Keep a part of a build as an entry of one's own; under its name's slug, made unique."""
    # What ties a part to its build stays there; a note tells of the part.
    tied = {n: type(part).model_fields[n].get_default() for n in ties(part) if n != "note"}
    bare = part.model_copy(update=tied | {"catalogue": ""})
    stem = re.sub("[^a-z0-9]+", "-", part.name.lower()).strip("-")[:50] or part.kind
    _room(owner, 1)
    taken = every(owner)
    slug = next(s for n in count(1) if (s := stem if n == 1 else f"{stem}-{n}") not in taken)
    return _store(owner, slug, bare)


def _room(owner: Owner, more: int) -> None:
    have = OwnPart.objects.filter(owner=owner).count()
    if have + more > MOST_OWN:
        most = f"at most {MOST_OWN:,} entries of your own"
        raise BadInput([("catalogue", most, f"{have + more:,}")])


def _store(owner: Owner, slug: str, part: Part) -> CatalogueEntry:
    row = OwnPart.objects.filter(owner=owner, slug=slug).first()
    if row is None:
        row = OwnPart(owner=owner, slug=slug)
    else:
        row.revision += 1
    catalogue_entry = CatalogueEntry(slug=slug, revision=row.revision, part=part)
    row.data = catalogue_entry.part.model_dump(mode="json")
    row.save()
    return catalogue_entry


@writing()
def remove(owner: Owner, slug: str) -> None:
    """Throw an entry of one's own away. Builds that copied it keep their copy."""
    row = OwnPart.objects.filter(owner=owner, slug=slug).first()
    if row is None:
        why = "it ships with Easy Tally" if slug in shipped() else "there is none"
        raise NotThere(f"No entry {slug} of your own to remove: {why}.")
    row.throw()


@writing()
def bring_back(owner: Owner, slug: str) -> CatalogueEntry:
    """Take the entry that was thrown away last under a slug out of the bin. Raises NotThere,
    Refused where another has that slug by now."""
    row = in_bin(OwnPart, owner=owner, slug=slug).first()
    if row is None:
        raise NotThere(f"There is no entry {slug} in the bin.")
    if slug in every(owner):
        raise Refused(f"Another entry is called {slug} by now: remove that one first.")
    _room(owner, 1)
    row.bring_back()
    return _entry(row)
