"""Lists from anywhere: what of each line speaks of a part, and what is left out.

A list may be lines with bullets, a table copied from a spreadsheet (tabs), one of marks (`|`), or
comma-separated. Where its first row names its columns, they say what a bare number is.
"""

from __future__ import annotations

import csv
import math
import re
from dataclasses import dataclass

_OF_WATTS = (
    *("w", "watts", "watt", "wattage", "power", "power w", "power watts", "tdp", "tdp w"),
    *("draw", "draw w", "power draw", "power draw w", "consumption", "max power", "max w"),
)
_OF_AMPERES = ("a", "amps", "amperes", "current", "current a", "amps a")
#: Head of a column → what its cells are: part of the line, a count, a figure by its unit, or
#: nothing that the line needs. Source: the lists that shops, forums and spreadsheets give.
HEADS: dict[str, str] = (
    dict.fromkeys(
        (
            "part",
            "parts",
            "item",
            "items",
            "component",
            "name",
            "description",
            "desc",
            "kind",
            "product",
            "specification",
            "specs",
            "category",
            "title",
        ),
        "say",
    )
    | dict.fromkeys(("model", "brand", "make", "maker", "manufacturer"), "name")
    | dict.fromkeys(
        ("qty", "quantity", "count", "pcs", "pieces", "number", "no", "how many", "#"), "count"
    )
    | dict.fromkeys(
        (
            "price",
            "unit price",
            "cost",
            "total",
            "subtotal",
            "sum",
            "link",
            "url",
            "store",
            "shop",
            "vendor",
            "seller",
            "where",
            "status",
            "availability",
            "sku",
            "order number",
            "base",
            "shipping",
            "tax",
            "paid",
            "date",
            "ordered",
            "currency",
            "image",
            "line total",
            "total price",
            "article",
            "article no",
            "item no",
            "part no",
            "part number",
            "pos",
            "position",
        ),
        "drop",
    )
    | {
        f"{before}{unit}{behind}": column
        for unit, column in (
            *dict.fromkeys(_OF_WATTS, "w").items(),
            *dict.fromkeys(_OF_AMPERES, "a").items(),
        )
        for before, behind in (("", ""), ("", " each"), ("each ", ""), ("", " per piece"))
    }
    | {
        head: f"{unit} in total"
        for unit, words in (("w", ("w", "watts", "power")), ("a", ("a", "amps", "current")))
        for word in words
        for head in (f"{word} total", f"total {word}", f"{word} in total", f"sum {word}")
    }
)

#: Lines of a list that speak of no part.
_NO_PART = re.compile(
    r"\s*(?:(?:sub)?total|sum|shipping|postage|tax|vat|delivery|discount|grand total)\b[^a-z]*"
    r"|\s*https?://\S+\s*|[\s|:=_*#~.-]*|\s*#{1,6}\s.*|\s*(?:\*\*|__)[^*_]+(?:\*\*|__):?\s*"
    r"|\s*[a-z][a-z ]{2,30}:\s*|\W*(?:free|bonus|save|sale|deal)\b.*|.*\bgift\b.*|.*% off\b.*",
    re.IGNORECASE,
)


#: A cell that is a number, with its unit or without.
_AMOUNT = r"[0-9]+(?:[.,][0-9]+)? ?[a-zA-Z]{0,2}"
#: Between the cells of a row that stand apart by spaces.
_SPACES = "  "


@dataclass(frozen=True, slots=True)
class Row:
    """A line of a list: as it was typed, what is read of it, and what is left out."""

    typed: str
    line: str
    dropped: tuple[str, ...] = ()
    #: What its count and its figure each come to, where the list says the same.
    proof: str = ""


def rows(text: str) -> tuple[Row, ...]:
    """The lines of a list that are not empty."""
    typed = [t.strip(" \r") for t in text.replace("\r", "\n").split("\n")]
    rows: list[Row] = []
    heads: list[str] = []
    ruled = _SPACES if _stand_apart(typed) else ""
    for line in (t for t in typed if t.strip()):
        cells = _spaced(line) if ruled == _SPACES else cells_of(line)
        if not heads and (heads := _heads(cells) or _heads(_spaced(line))):
            rows.append(Row(line, "", (line.strip(),)))
            ruled = _ruled_by(line)
        elif keyed := _keyed(line):
            rows.append(_row(line, [*keyed.values()], [HEADS[k] for k in keyed]))
        elif _NO_PART.fullmatch(re.sub("[\t;|]", " ", line)) or _names_columns(line):
            rows.append(Row(line, "", (line.strip(),)))
        elif len(cells) > 1:
            same = _ruled_by(line) == ruled and len(cells) <= len(heads)
            rows.append(_row(line, cells, heads if same else []))
        else:
            rows.append(Row(line, line))
    return tuple(rows)


def cells_of(line: str) -> list[str]:
    """The cells of a row of a table; one where it is none."""
    if "\t" in line:
        return [c.strip() for c in line.split("\t")]
    if line.count("|") > 1:
        return [c.strip() for c in line.strip().strip("|").split("|")]
    by_semicolons = [c.strip() for c in line.split(";")]
    is_row = any(re.fullmatch(_AMOUNT, c) for c in by_semicolons) or _heads(by_semicolons)
    if len(by_semicolons) > 2 and is_row:
        return by_semicolons
    by_commas = len(re.findall(r",(?=[^\s,])", line)) > 1 and ";" not in line
    if by_commas and not re.search(r",\s", _unquoted(line)):
        return [c.strip() for c in next(csv.reader([line]))]
    return [line]


def _spaced(line: str) -> list[str]:
    """The cells of a row that stand apart by two spaces and more."""
    return [c.strip() for c in re.split(" {2,}", line.strip())]


def _stand_apart(lines: list[str]) -> bool:
    """Whether lines are rows of a table whose cells stand apart by spaces: as many in each of them,
    three or more, or a head and what fits under it."""
    spaced = [len(_spaced(line)) for line in lines if line.strip()]
    return len(spaced) > 1 and spaced[0] > 2 and len(set(spaced)) == 1


def _keyed(line: str) -> dict[str, str]:
    """The cells of a row that each name their column: `qty: 4 | desc: fan 120`; none where one of
    them does not."""
    named = [cell.partition(":") for cell in re.split(r"[|;\t]", line) if cell.strip()]
    keyed = {head.strip().lower(): cell.strip() for head, _, cell in named}
    is_row = len(named) == len(keyed) > 1 and all(keyed.values()) and keyed.keys() <= HEADS.keys()
    return keyed if is_row and "say" in {HEADS[k] for k in keyed} else {}


def _ruled_by(line: str) -> str:
    """What stands between the cells of a row."""
    marks = ("\t", "|", ";", ",", _SPACES)
    return next((mark for mark in marks if mark in line), "")


def _unquoted(line: str) -> str:
    return re.sub('"[^"]*"', "", line)


def _heads(cells: list[str]) -> list[str]:
    """What each column is, where every cell that is not empty is the head of one."""
    named = [_head(c) if c else "drop" for c in cells]
    known = [n for n in named if n]
    if len(cells) < 2 or "say" not in known or len(known) < 2:
        return []
    are_heads = not any(re.search("[0-9]", c) for c in cells) and len(known) > len(named) / 2
    return [n or "say or drop" for n in named] if are_heads else []


def _head(cell: str) -> str:
    """What the column is that a cell is the head of: `Power (W)`; nothing where it is none."""
    return HEADS.get(re.sub(r"[\s()\[\].:/]+", " ", cell.lower()).strip(), "")


def _names_columns(line: str) -> bool:
    """Whether a line of words is nothing but the heads of columns."""
    words = [_head(w) for w in line.split()]
    return len(words) > 1 and all(words) and "say" in words and len(set(words)) > 1


def _row(typed: str, cells: list[str], heads: list[str]) -> Row:
    """A row's cells put together; a whole number alone in the only such cell is a count."""
    kinds = heads or _headless(cells)
    said: list[str] = []
    dropped: list[str] = []
    proof = ""
    for cell, kind in zip(cells, kinds, strict=False):
        if not cell:
            continue
        if kind.endswith(" in total") and _NUMBER.fullmatch(cell):
            proof = _proof(cell, kind[0], cells, kinds)
            (dropped if proof else said).append(f"{cell}{kind}")
        elif kind == "say or drop" and re.fullmatch("[0-9.,/ -]+", cell):
            dropped.append(cell)  # an article's number
        elif kind == "drop" and not re.search(r"[0-9] ?m?[wa]\b", cell.lower()):
            dropped.append(cell)
        else:
            said.append(_said(cell, kind))
    return Row(typed, ", ".join(said), tuple(dropped), proof)


_NUMBER = re.compile(r"[0-9]+(?:[.,][0-9]+)?")


def _headless(cells: list[str]) -> list[str]:
    """What the cells of a row without heads are: the only whole number a count, an amount with its
    cents a price (no ampere of a part is as much as ten)."""
    whole = [c for c in cells if re.fullmatch("[1-9][0-9]?", c)]
    is_price = re.compile(r"[0-9]{2,4}[.,][0-9]{2}")
    return ["count" if whole == [c] else "drop" if is_price.fullmatch(c) else "say" for c in cells]


def _said(cell: str, kind: str) -> str:
    """A cell as it stands in the line, by what its column is."""
    if kind == "name":
        return cell if '"' in cell else f'"{cell}"'
    if kind == "count" and _NUMBER.fullmatch(cell):
        return f"x{cell}"
    if kind in ("w", "a") and _NUMBER.fullmatch(cell):
        return f"{cell}{kind}"
    return cell.replace('"', "") if cell.count('"') % 2 else cell


def _proof(total: str, unit: str, cells: list[str], heads: list[str]) -> str:
    """What a row's count and its figure each come to, where that is its total; else nothing."""
    row = dict(zip(heads, (c.replace(",", ".") for c in cells), strict=False))
    try:
        each, count = float(row[unit]), float(row.get("count") or 1)
    except (KeyError, ValueError):
        return ""
    if not math.isclose(each * count, float(total.replace(",", ".")), rel_tol=0.02):
        return ""
    return (
        f"{count:g} × {each:g} {unit.upper()} = {each * count:g} {unit.upper()}, as the list says"
    )
