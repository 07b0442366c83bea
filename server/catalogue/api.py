"""The routes of the entry line and of the parts catalogue."""

from __future__ import annotations

from typing import Annotated, Any

from base.downloads import as_file
from base.memory import memory
from django.http import HttpRequest, HttpResponse
from easy_tally.catalogue import FIGURE_WORDS, CatalogueEntry, lacks
from easy_tally.entry import (
    MEANINGS,
    Entry,
    full_w,
    parse,
    parse_list,
    plain,
    read_case_line,
    slots_of,
    understood,
    used_in,
)
from easy_tally.files import parts_csv
from easy_tally.things import Case
from ninja import Query, Router
from owners.models import owner_of
from owners.thrown import InBin, in_bin

from catalogue import cases, parts, schemas, words
from catalogue.models import OwnPart

router = Router()
#: Entries offered under the entry line, and shown at most on the catalogue's page.
OFFERED, SHOWN = 8, 400


def _found(entry: CatalogueEntry, count: int = 1) -> dict[str, Any]:
    part = entry.copied()
    if count != 1:
        part = part.model_copy(update={"count": count})
    return {
        "slug": entry.slug,
        "revision": entry.revision,
        "own": entry.slug not in parts.shipped(),
        "part": part,
        "words": understood(part),
        "rest": understood(part, name=False),
        "lacks": [FIGURE_WORDS[f] for f in lacks(part)],
    }


@router.post("/entry", response=schemas.SayOut, operation_id="say")
def say(request: HttpRequest, body: schemas.SayIn) -> dict[str, Any]:
    """What the entry line understands, and what the catalogue has. Writes nothing."""
    entries, count = (
        parts.find(owner_of(request), body.text, OFFERED) if body.text.strip() else ([], 1)
    )
    # A board or a hub is one part a line: nothing is offered that would lose a count.
    offers = [
        _found(e, count) for e in entries if count == 1 or e.part.kind not in ("board", "hub")
    ]
    own = words.own(owner_of(request))
    said = parse(body.text, own)
    return {
        "said": said,
        "slots": [slot._asdict() for slot in slots_of(body.text, said, own)],
        "own": words.told(own, used_in(body.text, own)),
        "offers": offers,
        "meant": _meant(said),
    }


def _meant(said: Entry) -> list[str]:
    answers = [plain(choice).part for choice in said.choices]
    return [understood(part) if part else "" for part in answers]


@router.post("/entries", response=list[schemas.LineOut], operation_id="entries")
def entries(request: HttpRequest, body: schemas.ListIn) -> list[dict[str, Any]]:
    """What each line of a list is understood as. Writes nothing."""
    own = words.own(owner_of(request))
    return [_line(line, entry, own) for line, entry in parse_list(body.text, own)]


def _line(line: str, entry: Entry, own: dict[str, str]) -> dict[str, Any]:
    return {
        "line": line,
        "entry": entry,
        "slots": [slot._asdict() for slot in slots_of(line, entry, spans=False)],
        "own": words.told(own, used_in(line, own)),
        "watts": full_w(entry.taken),
        "meant": _meant(entry),
    }


@router.get("/cases", response=list[Case], operation_id="cases")
def list_cases(request: HttpRequest) -> tuple[Case, ...]:
    """The cases of the catalogue."""
    return cases.shipped()


@router.post("/cases/read", response=Case, operation_id="readCase")
def read_case(request: HttpRequest, body: schemas.SayIn) -> Case:
    """The case that a line says. Writes nothing."""
    return read_case_line(body.text, words.own(owner_of(request)))


@router.get("/words", response=schemas.OwnWordsOut, operation_id="words")
def own_words(request: HttpRequest) -> dict[str, Any]:
    """One's own words, and all that a word may mean."""
    own = words.own(owner_of(request))
    return {"words": words.told(own, own), "meanings": [meaning._asdict() for meaning in MEANINGS]}


@router.post("/words", response={201: schemas.OwnWordOut}, operation_id="learnWord")
def learn(request: HttpRequest, body: schemas.WordIn) -> tuple[int, dict[str, str]]:
    """Learn a word of one's own."""
    word = words.learn(owner_of(request), body.word, body.means)
    return 201, words.told({word: body.means}, [word])[0]


@router.delete("/words/{word}", response={204: None}, operation_id="forgetWord")
def forget(request: HttpRequest, word: str) -> tuple[int, None]:
    """Forget a word of one's own."""
    words.forget(owner_of(request), word)
    return 204, None


@router.get("/catalogue", response=schemas.CatalogueOut, operation_id="catalogue")
def catalogue(
    request: HttpRequest, text: Annotated[str, Query(max_length=200)] = ""
) -> dict[str, Any]:
    """Entries that fit some words, one's own first."""
    owner = owner_of(request)
    entries, _ = parts.find(owner, text, SHOWN)
    own = len(parts.own(owner))
    return {
        "found": [_found(e) for e in entries],
        "entries": own + len(parts.shipped()),
        "own": own,
    }


@router.get("/catalogue/entries/{slug}", response=schemas.FoundOut, operation_id="catalogueEntry")
def entry(request: HttpRequest, slug: str) -> dict[str, Any]:
    """One entry as it is now."""
    return _found(parts.entry(owner_of(request), slug))


def _file(text: str, name: str) -> HttpResponse:
    return as_file(text, "text/csv; charset=utf-8", name, "csv")


@router.get("/catalogue/file", operation_id="saveCatalogue")
def save(request: HttpRequest, own: bool = False) -> HttpResponse:
    """The catalogue, or one's own entries of it, as CSV."""
    owner = owner_of(request)
    entries = parts.own(owner) if own else parts.every(owner)
    return _file(parts_csv.write(entries.values()), "own parts" if own else "parts")


@router.get("/catalogue/template", operation_id="catalogueTemplate")
def template(request: HttpRequest) -> HttpResponse:
    """A CSV file to start from."""
    return _file(parts_csv.template(), "parts template")


@router.post("/catalogue/preview", response=schemas.ChangesOut, operation_id="previewCatalogue")
def preview(request: HttpRequest, body: schemas.FileIn) -> dict[str, Any]:
    """What a CSV file would change, line by line. Writes nothing."""
    return {"changes": parts.preview(owner_of(request), parts_csv.read(body.text, memory))}


@router.post("/catalogue/file", response=schemas.ChangesOut, operation_id="takeCatalogue")
def take(request: HttpRequest, body: schemas.FileIn) -> dict[str, Any]:
    """Take a CSV file in, whole or not at all."""
    return {"changes": parts.take_file(owner_of(request), body.text)}


@router.post("/catalogue/entries", response={201: schemas.FoundOut}, operation_id="keepPart")
def keep(request: HttpRequest, body: schemas.KeepIn) -> tuple[int, dict[str, Any]]:
    """Keep a part as an entry of one's own."""
    return 201, _found(parts.keep(owner_of(request), body.part))


@router.get("/catalogue/bin", response=list[InBin], operation_id="partsInBin")
def parts_in_bin(request: HttpRequest) -> list[InBin]:
    """One's own entries that were thrown away in the last thirty days."""
    return [
        InBin.of(r, "part", r.slug, str(r.data.get("name", r.slug)))
        for r in in_bin(OwnPart, owner=owner_of(request))
    ]


@router.post(
    "/catalogue/entries/{slug}/back", response=schemas.FoundOut, operation_id="bringPartBack"
)
def bring_back(request: HttpRequest, slug: str) -> dict[str, Any]:
    """Take an entry of one's own out of the bin."""
    return _found(parts.bring_back(owner_of(request), slug))


@router.delete("/catalogue/entries/{slug}", response={204: None}, operation_id="removePart")
def remove(request: HttpRequest, slug: str) -> tuple[int, None]:
    """Remove an entry of one's own."""
    parts.remove(owner_of(request), slug)
    return 204, None
