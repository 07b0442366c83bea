"""The parts catalogue as CSV: a row a part, a column a figure, words as in the entry line.

Text in, text out. A file is read whole: every row that can't be taken is named by its line and
column, and nothing of the others is lost. Commas or semicolons, points or decimal commas.
"""

from __future__ import annotations

import csv
import io
import re
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Literal

from pydantic import ValidationError

from ...base.errors import BadFile, BadInput
from ...base.memory import NO_MEMORY, Memory
from ...base.problems import problems_of
from ...catalogue.entries import CatalogueEntry
from ...entry import parse, plain
from ...entry.kits import read_box, say_box
from ...entry.printer import figure_word, kind_word, more_said, sockets_said
from ...entry.strict.lexer import NUMBER, QUOTED, quoted
from ...entry.words import FIGURES, KINDS, Named, figures_of
from ...things.parts import Part
from .cells import exact, harmless, rows_of

MOST_CHARACTERS = 2_000_000
MOST_ROWS = 5_000
_CELL = re.compile(
    rf"(?P<number>{NUMBER}(?:/{NUMBER}/{NUMBER})?)\s*"
    rf"(?P<aside>\((?:maker|measured|assumed|simulated)?,?(?:{QUOTED})?\))?"
)
_UNIT_WORDS = {"w": "W", "a": "A"}


def _column(named: Named) -> str:
    """The name of a figure's column: no minus in front, which a spreadsheet takes for a sum."""
    word = re.sub("^-", "minus ", named.word)
    return f"{word} {_UNIT_WORDS[named.unit]}"


def _figure_columns() -> tuple[tuple[str, str, str], ...]:
    """(column, word, unit) of every figure of any kind, each once."""
    columns: dict[str, tuple[str, str, str]] = {}
    for figures in FIGURES.values():
        for named in figures:
            columns.setdefault(_column(named), (_column(named), named.word, named.unit))
    return tuple(columns.values())


FIGURE_COLUMNS = _figure_columns()
COLUMNS: tuple[str, ...] = (
    "slug",
    "revision",
    "kind",
    "name",
    "sockets",
    *(c for c, _, _ in FIGURE_COLUMNS),
    "more",
    "in box",
    "note",
)
#: Rows of the template: a part of each of some kinds, invented.
TEMPLATE = (
    'card "My card" 2x8pin 220/230/245w slot:20w(assumed) 8lanes',
    'disk "My disk" 12v:0.5a 5v:0.6a start:1.9a start-5v:1a',
    'fan "My fan" 140mm 0.18a(measured)',
)

#: What is kept of words while a file is written [bytes].
_READ_BYTES = 8_000_000

Problem = tuple[str, str, str]


@dataclass(frozen=True, slots=True)
class Row:
    """One row read: its line, its entry, or what is wrong with it as (column, required, got)."""

    line: int
    slug: str
    entry: CatalogueEntry | None
    problems: tuple[Problem, ...] = ()


@dataclass(frozen=True, slots=True)
class Change:
    """What a row would do to the catalogue: `columns` are those that change, before and after."""

    line: int
    slug: str
    name: str
    status: Literal["new", "changed", "same", "wrong"]
    columns: tuple[Problem, ...] = ()
    problems: tuple[Problem, ...] = ()


# -- writing -------------------------------------------------------------------------------


def write(entries: Iterable[CatalogueEntry]) -> str:
    """The CSV of some entries."""
    memory = Memory(_READ_BYTES)
    out = io.StringIO()
    writer = csv.DictWriter(out, COLUMNS, lineterminator="\r\n")
    writer.writeheader()
    for entry in entries:
        writer.writerow({k: harmless(v) for k, v in cells(entry, memory).items()})
    return out.getvalue()


def template() -> str:
    """A file to start from: the columns, and a few rows to write over."""
    parts = [part for line in TEMPLATE if (part := parse(line).part) is not None]
    return write(CatalogueEntry(slug=f"my-{p.kind}", part=p) for p in parts)


def cells(entry: CatalogueEntry, memory: Memory = NO_MEMORY) -> dict[str, str]:
    """Column → text of one entry."""
    part = entry.part
    cells = dict.fromkeys(COLUMNS, "") | {
        "slug": entry.slug,
        "revision": str(entry.revision),
        "kind": kind_word(part),
        "name": part.name,
        "sockets": " ".join(sockets_said(part)),
        "more": " ".join([*more_said(part), *_key(part, memory)]),
        "in box": say_box(part.in_box),
        "note": part.note,
    }
    for named in FIGURES[part.kind]:
        figure = getattr(part, named.field)
        if figure is not None:
            text = figure_word(figure, named.unit)
            number, mark, aside = text.partition("(")
            cells[_column(named)] = number.removesuffix(named.unit) + mark + aside
    return cells


def _key(part: Part, memory: Memory) -> list[str]:
    """The key, where the kind's words do not give it."""
    words = " ".join([kind_word(part), *sockets_said(part), *more_said(part)])
    # Most rows of a file are of few kinds: what they are called is read once for all alike.
    usual = memory.of(_usual_key, (), (words,))
    return [] if usual == part.key else [f"key:{part.key}"]


def _usual_key(words: str) -> str | None:
    said = plain(words).part
    return None if said is None else said.key


# -- reading -------------------------------------------------------------------------------


def read(text: str, memory: Memory = NO_MEMORY) -> tuple[Row, ...]:
    """Every row of a file; of lines that were read before what `memory` has. Raises BadFile where
    the file as a whole can't be read."""
    reader = rows_of(text, MOST_CHARACTERS)
    rows: list[Row] = []
    columns: list[str] | None = None
    seen: dict[str, int] = {}
    try:
        for values in reader:
            if columns is None:
                columns = _columns(values)
            elif any(v.strip() for v in values):
                rows.append(_row(reader.line_num, columns, values, seen, memory))
            if len(rows) > MOST_ROWS:
                raise BadFile([("file", f"at most {MOST_ROWS:,} rows", "more")])
    except csv.Error as error:
        raise BadFile([(f"line {reader.line_num}", "CSV", str(error))]) from error
    if columns is None:
        raise BadFile([("file", "a first row that names the columns", "an empty file")])
    return tuple(rows)


def _columns(values: list[str]) -> list[str]:
    known = {c.lower(): c for c in COLUMNS}
    columns = [known.get(" ".join(v.lower().split()), "") for v in values]
    for column, value in zip(columns, values, strict=True):
        if not column:
            raise BadFile([("line 1", f"columns named {', '.join(COLUMNS)}", repr(value)[:60])])
    twice = {c for c in columns if columns.count(c) > 1}
    if twice:
        raise BadFile([("line 1", "each column once", f"{min(twice)} twice")])
    for column in ("slug", "kind", "name"):
        if column not in columns:
            raise BadFile([("line 1", f"a column {column}", ", ".join(columns)[:60])])
    return columns


def _row(
    line: int, columns: list[str], values: list[str], seen: dict[str, int], memory: Memory
) -> Row:
    if len(values) > len(columns):
        got = f"{len(values)} cells"
        return Row(line, values[0][:60], None, (("row", f"at most {len(columns)} cells", got),))
    row = dict.fromkeys(COLUMNS, "") | dict(
        zip(columns, (exact(v.strip()) for v in values), strict=False)
    )
    slug = row["slug"]
    problems = list(_cell_problems(row))
    if slug in seen:
        problems.append(("slug", "each entry once", f"{slug}, as in line {seen[slug]}"))
    seen.setdefault(slug, line)
    if problems:
        return Row(line, slug, None, tuple(problems))
    # A file is looked at first and taken then: the second time nothing of it is read anew.
    said = memory.of(plain, (), (_line(row),))
    if said.part is None:
        got = ", ".join(said.unknown) or said.question
        return Row(line, slug, None, (("row", "words of the entry line", got[:200]),))
    try:
        part = said.part.model_copy(update={"in_box": read_box(row["in box"])})
    except BadInput as error:
        wrong_box = tuple(("in box", need, got) for _, need, got in error.problems)
        return Row(line, slug, None, wrong_box)
    try:
        revision = int(row["revision"] or 1)
        return Row(line, slug, CatalogueEntry(slug=slug, revision=revision, part=part))
    except ValidationError as error:
        whole = row["more"] or "what it has"
        wrong = [
            ("row", need, whole) if at == "build" else (at, need, got)
            for at, need, got in problems_of(error)
        ]
        return Row(line, slug, None, tuple(wrong))


def _cell_problems(row: Mapping[str, str]) -> Iterable[Problem]:
    if not row["name"]:
        yield "name", "a name", "nothing"
    if row["revision"] and not re.fullmatch("[1-9][0-9]{0,3}", row["revision"]):
        yield "revision", "a whole number from 1 to 9999", row["revision"][:60]
    kind = _kind(row["kind"])
    if kind is None:
        yield "kind", f"one of {', '.join(sorted(set(KINDS)))}", repr(row["kind"])[:60]
        return
    own = {_column(n) for n in FIGURES[kind]}
    for column, _, unit in FIGURE_COLUMNS:
        text = row[column]
        if not text:
            continue
        if column not in own:
            yield column, f"no figure: {row['kind']} has none of this name", text[:60]
        elif not _CELL.fullmatch(text):
            required = f"a number of {_UNIT_WORDS[unit]}, or low/likely/high"
            yield column, required, repr(text)[:60]


def _kind(text: str) -> str | None:
    """Kind of figures that a kind's words have."""
    words = [w for w in text.lower().split() if w in KINDS]
    if len(words) != 1:
        return None
    return figures_of(KINDS[words[0]])


def _line(row: Mapping[str, str]) -> str:
    """The entry line that a row says."""
    words = [row["kind"], quoted(row["name"]), row["sockets"], row["more"]]
    for column, word, unit in FIGURE_COLUMNS:
        if match := _CELL.fullmatch(row[column]):
            words.append(f"{word}:{match['number']}{unit}{match['aside'] or ''}")
    if row["note"]:
        words.append("note:" + quoted(row["note"]))
    return " ".join(w for w in words if w)


# -- what a file would do ------------------------------------------------------------------


def changes(
    rows: Iterable[Row], own: Mapping[str, CatalogueEntry], shipped: Mapping[str, CatalogueEntry]
) -> tuple[Change, ...]:
    """What the rows of a file would do to one's own entries, line by line. Shipped entries are
    left as they are: a row that would change one is wrong."""
    memory = Memory(_READ_BYTES)
    return tuple(_change(row, own, shipped, memory) for row in rows)


def _change(
    row: Row,
    own: Mapping[str, CatalogueEntry],
    shipped: Mapping[str, CatalogueEntry],
    memory: Memory,
) -> Change:
    if row.entry is None:
        return Change(row.line, row.slug, "", "wrong", problems=row.problems)
    name = row.entry.part.name
    before = own.get(row.slug) or shipped.get(row.slug)
    if before is None:
        return Change(row.line, row.slug, name, "new")
    if before.part == row.entry.part:
        return Change(row.line, row.slug, name, "same")
    old, new = cells(before, memory), cells(row.entry, memory)
    # A revision is counted here, not by the file.
    columns = tuple((c, old[c], new[c]) for c in COLUMNS if c != "revision" and old[c] != new[c])
    if not columns:
        return Change(row.line, row.slug, name, "same")
    if row.slug not in own:
        problem = ("slug", "a slug of your own: this entry ships with Easy Tally", row.slug)
        return Change(row.line, row.slug, name, "wrong", columns, (problem,))
    return Change(row.line, row.slug, name, "changed", columns)
