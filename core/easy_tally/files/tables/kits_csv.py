"""Supplies with what is in their boxes, cases, and what is sold by itself, as CSV: a row each, a
column a word of the line, cables in lines of one cell. Text in, text out; read whole."""

from __future__ import annotations

import csv
import io
from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Any, Generic, TypeVar

from ...base.errors import BadFile, BadInput
from ...catalogue.loose import LooseEntry, read_thing, say_thing
from ...catalogue.supplies import SupplyKit
from ...entry.kits import CASE_WORDS, SUPPLY_WORDS, read_cable, say_cable
from ...entry.kits.cases import case_of
from ...entry.kits.lines import Word, made, values_of
from ...entry.kits.supplies import supply_of
from ...entry.strict.lexer import quoted
from ...things.cables import Cable
from ...things.case import Case
from .cells import exact, harmless, rows_of

MOST_CHARACTERS = 2_000_000
MOST_ROWS = 2_000
_T = TypeVar("_T")
Cells = Mapping[str, str]


@dataclass(frozen=True, slots=True)
class Sheet(Generic[_T]):
    """A kind of CSV: its columns, how a row is read (raises BadInput) and written."""

    columns: tuple[str, ...]
    read_row: Callable[[Cells], _T]
    cells: Callable[[_T], dict[str, str]]

    def write(self, things: Iterable[_T]) -> str:
        """The CSV of some things."""
        out = io.StringIO()
        writer = csv.DictWriter(out, self.columns, lineterminator="\r\n")
        writer.writeheader()
        for thing in things:
            writer.writerow({k: harmless(v) for k, v in self.cells(thing).items()})
        return out.getvalue()

    def read(self, text: str) -> tuple[_T, ...]:
        """Every thing of a file. Raises BadFile that names line and column of all that is wrong."""
        things: list[_T] = []
        wrong: list[tuple[str, str, str]] = []
        seen: set[str] = set()
        for line, cells in _rows(text, self.columns):
            try:
                things.append(self.read_row(cells))
                if cells["slug"] in seen:
                    raise BadInput([("slug", "each entry once", cells["slug"])])
                seen.add(cells["slug"])
            except BadInput as error:
                wrong += [(f"line {line}, {f}", r, g) for f, r, g in error.problems]
        if wrong:
            raise BadFile(wrong[:20])
        return tuple(things)


def _rows(text: str, columns: Sequence[str]) -> Iterator[tuple[int, dict[str, str]]]:
    reader = rows_of(text, MOST_CHARACTERS)
    try:
        names = next(reader, None)
        if names is None or set(names) - set(columns) or len(set(names)) < len(names):
            raise BadFile(
                [
                    (
                        "line 1",
                        f"columns of {', '.join(columns)}, each once",
                        ", ".join(names or ["an empty file"])[:80],
                    )
                ]
            )
        for n, values in enumerate(reader):
            if n >= MOST_ROWS:
                raise BadFile([("file", f"at most {MOST_ROWS:,} rows", "more")])
            if len(values) > len(names):
                need = f"at most {len(names)} cells, as in line 1"
                raise BadFile([(f"line {reader.line_num}", need, f"{len(values)} cells")])
            cells = dict.fromkeys(columns, "") | dict(zip(names, values, strict=False))
            if any(v.strip() for v in values):
                yield reader.line_num, {k: exact(v.strip()) for k, v in cells.items()}
    except csv.Error as error:
        raise BadFile([(f"line {reader.line_num}", "CSV", str(error))]) from error


def _by_word(words: Iterable[Word], cells: Cells) -> dict[str, str]:
    return {w.word: cells[w.column] for w in words} | {"name": cells["name"]}


def _said(words: Iterable[Word], thing: Any) -> dict[str, str]:
    values = values_of(words, thing)
    return {w.column: values.get(w.word, "") for w in words}


# -- supplies ----------------------------------------------------------------------------------


def _read_kit(cells: Cells) -> SupplyKit:
    supply = supply_of(_by_word(SUPPLY_WORDS, cells)).model_copy(update={"slug": cells["slug"]})
    cables: list[Cable] = []
    for line in filter(str.strip, cells["cables"].split("\n")):
        cables += [read_cable(line, supply.family)[1]]
    return made(
        SupplyKit,
        {
            "slug": cells["slug"],
            "revision": cells["revision"] or 1,
            "supply": supply,
            "cables": tuple(cables),
        },
    )


def _kit_cells(kit: SupplyKit) -> dict[str, str]:
    return {
        "slug": kit.slug,
        "revision": str(kit.revision),
        "name": kit.supply.name,
        **_said(SUPPLY_WORDS, kit.supply),
        "cables": "\n".join(map(say_cable, kit.cables)),
    }


SUPPLIES: Sheet[SupplyKit] = Sheet(
    ("slug", "revision", "name", *(w.column for w in SUPPLY_WORDS), "cables"), _read_kit, _kit_cells
)


# -- cases -------------------------------------------------------------------------------------


def _read_case(cells: Cells) -> Case:
    return case_of(_by_word(CASE_WORDS, cells)).model_copy(update={"slug": cells["slug"]})


def _case_cells(case: Case) -> dict[str, str]:
    return {"slug": case.slug, "name": case.name, **_said(CASE_WORDS, case)}


CASES: Sheet[Case] = Sheet(
    ("slug", "name", *(w.column for w in CASE_WORDS)), _read_case, _case_cells
)


# -- what is sold by itself ----------------------------------------------------------------------


def _read_entry(cells: Cells) -> LooseEntry:
    if cells["kind"] not in ("cable", "adapter", "extension", "bracket"):
        need = "cable, adapter, extension or bracket"
        raise BadInput([("kind", need, repr(cells["kind"])[:60])])
    line = f"{quoted(cells['name'])} {cells['line']}"
    thing = read_thing(cells["kind"], line, cells["family"] or "any")
    fields = {"slug": cells["slug"], "revision": cells["revision"] or 1, "thing": thing}
    return made(LooseEntry, fields)


def _entry_cells(entry: LooseEntry) -> dict[str, str]:
    line = say_thing(entry.thing).removeprefix(quoted(entry.thing.name)).strip()
    family = entry.thing.family if isinstance(entry.thing, Cable) else ""
    return {
        "slug": entry.slug,
        "revision": str(entry.revision),
        "kind": entry.kind,
        "name": entry.thing.name,
        "family": family,
        "line": line,
    }


LOOSE: Sheet[LooseEntry] = Sheet(
    ("slug", "revision", "kind", "name", "family", "line"), _read_entry, _entry_cells
)
