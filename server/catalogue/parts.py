"""The parts catalogue: shipped entries and one's own, found and changed. Every write is here."""

from __future__ import annotations

import re
from functools import lru_cache
from itertools import count

from config.writing import writing
from django.conf import settings
from django.db.models import Count, Max, Sum
from easy_tally import BadFile, BadInput, NotThere
from easy_tally.catalogue import CatalogueEntry, said_count, search, search_text
from easy_tally.files import parts_csv
from easy_tally.things import Part, ties
from owners.models import Owner

from catalogue.models import OwnPart

#: Most entries of one owner: keeps a search within the time of a keystroke.
MOST_OWN = 5_000


@lru_cache(maxsize=1)
def shipped() -> dict[str, CatalogueEntry]:
    """Every entry that ships, by slug; read once."""
    text = (settings.CATALOGUE / "parts.csv").read_text(encoding="utf-8")
    rows = parts_csv.read(text)
    wrong = [(f"line {r.line}, {c}", need, got) for r in rows for c, need, got in r.problems]
    if wrong:
        raise BadFile(wrong)
    return {r.entry.slug: r.entry for r in rows if r.entry is not None}


@lru_cache(maxsize=1)
def _shipped_texts() -> list[tuple[CatalogueEntry, str]]:
    return [(e, search_text(e)) for e in shipped().values()]


_Counted = tuple[int, int, int, int]
_Texts = list[tuple[CatalogueEntry, str]]
_own: dict[int, tuple[_Counted, dict[str, CatalogueEntry], _Texts]] = {}


def _counted(owner: Owner) -> _Counted:
    """What tells one state of an owner's entries from every other: no key is ever used again, and
    each change of an entry counts its revision up."""
    rows = OwnPart.objects.filter(owner=owner)
    found = rows.aggregate(n=Count("pk"), last=Max("pk"), all=Sum("pk"), revisions=Sum("revision"))
    return (found["n"], found["last"] or 0, found["all"] or 0, found["revisions"] or 0)


def own(owner: Owner) -> dict[str, CatalogueEntry]:
    """An owner's entries, by slug; read anew only where they have changed."""
    return dict(_known(owner)[0])


def _known(owner: Owner) -> tuple[dict[str, CatalogueEntry], _Texts]:
    counted = _counted(owner)
    known = _own.get(owner.pk)
    if known is None or known[0] != counted:
        found = _read_own(owner)
        known = (counted, found, [(e, search_text(e)) for e in found.values()])
        _own[owner.pk] = known
    return known[1], known[2]


def _read_own(owner: Owner) -> dict[str, CatalogueEntry]:
    return {
        row.slug: CatalogueEntry.model_validate(
            {"slug": row.slug, "revision": row.revision, "part": row.data}
        )
        for row in OwnPart.objects.filter(owner=owner)
    }


def every(owner: Owner) -> dict[str, CatalogueEntry]:
    """One's own entries before those that ship."""
    return own(owner) | shipped()


def entry(owner: Owner, slug: str) -> CatalogueEntry:
    """The entry called `slug`. Raises NotThere."""
    found = every(owner).get(slug)
    if found is None:
        raise NotThere(f"There is no part {slug} in the catalogue.")
    return found


def find(owner: Owner, text: str, most: int) -> tuple[list[CatalogueEntry], int]:
    """Entries that fit the words of a text, and the count that was said among them."""
    words, count = said_count(text)
    return search([*_known(owner)[1], *_shipped_texts()], words, most), count


# -- writes --------------------------------------------------------------------------------


def preview(owner: Owner, rows: tuple[parts_csv.Row, ...]) -> tuple[parts_csv.Change, ...]:
    """What the rows of a file would do to the owner's entries, line by line. Writes nothing."""
    return parts_csv.changes(rows, own(owner), shipped())


@writing()
def take_file(owner: Owner, text: str) -> tuple[parts_csv.Change, ...]:
    """Take a whole CSV file in. Raises BadInput that names every wrong line; then nothing is."""
    rows = parts_csv.read(text)
    found = preview(owner, rows)
    wrong = [(f"line {c.line}, {col}", need, got) for c in found for col, need, got in c.problems]
    if wrong:
        raise BadInput(wrong)
    entries = {r.slug: r.entry for r in rows if r.entry is not None}
    _room(owner, sum(c.status == "new" for c in found))
    for change in found:
        if change.status in ("new", "changed"):
            _store(owner, change.slug, entries[change.slug].part)
    return found


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
    made = CatalogueEntry(slug=slug, revision=row.revision, part=part)
    row.data = made.part.model_dump(mode="json")
    row.save()
    return made


@writing()
def remove(owner: Owner, slug: str) -> None:
    """Remove an entry of one's own. Builds that copied it keep their copy."""
    if not OwnPart.objects.filter(owner=owner, slug=slug).delete()[0]:
        why = "it ships with Easy Tally" if slug in shipped() else "there is none"
        raise NotThere(f"No entry {slug} of your own to remove: {why}.")
