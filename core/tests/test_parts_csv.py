"""The catalogue as CSV: out and in, each wrong cell named, nothing lost."""

from __future__ import annotations

import unittest
from pathlib import Path

from easy_tally.base import without_odd
from easy_tally.base.errors import BadFile
from easy_tally.catalogue.entries import CatalogueEntry
from easy_tally.entry import parse
from easy_tally.files import parts_csv
from easy_tally.files.tables.cells import exact, harmless
from easy_tally.things.parts import Other
from hypothesis import given
from hypothesis import strategies as st

SHIPPED = Path(__file__).resolve().parents[2] / "catalogue/parts.csv"


def _entry(slug: str, line: str) -> CatalogueEntry:
    part = parse(line).part
    assert part is not None
    return CatalogueEntry(slug=slug, part=part)


def _problems(text: str) -> list[tuple[int, str, str]]:
    return [(r.line, c, got) for r in parts_csv.read(text) for c, _, got in r.problems]


HEAD = "slug,kind,name,sockets,power W,rated A,more\n"
KNOT = "knot,card,Knot R,2x8pin,230,,8lanes\n"


class RoundTrip(unittest.TestCase):
    def test_the_shipped_file_is_written_as_it_is_read(self) -> None:
        text = SHIPPED.read_bytes().decode()
        rows = parts_csv.read(text)
        self.assertEqual(parts_csv.write(r.entry for r in rows if r.entry), text)

    def test_the_template_reads(self) -> None:
        rows = parts_csv.read(parts_csv.template())
        self.assertEqual([r.slug for r in rows], ["my-card", "my-drive", "my-fan"])
        self.assertEqual([r.problems for r in rows], [()] * 3)

    def test_bounds_origins_and_notes_are_kept(self) -> None:
        entries = [
            _entry("a", 'card "A" 16pin 220/230/245w slot:20w(assumed,"a, \\"b\\"") note:"n; 1"'),
            _entry("b", 'load "B" -12v:1w(measured) idle-share:0.3'),
        ]
        rows = parts_csv.read(parts_csv.write(entries))
        self.assertEqual([r.entry for r in rows], entries)

    def test_semicolons_and_decimal_commas_are_taken(self) -> None:
        text = "\ufeffSlug;Kind;Name;rated A\r\nf;fan;Fan;0,18\r\n"
        entry = parts_csv.read(text)[0].entry
        self.assertEqual(entry.part.rated_a.likely, 0.18)  # type: ignore[union-attr]

    def test_only_some_columns_are_needed(self) -> None:
        entry = parts_csv.read(HEAD + KNOT)[0].entry
        assert entry is not None
        self.assertEqual(entry.part, parse('card "Knot R" 2x8pin 230w 8lanes').part)

    @given(st.text(max_size=200))
    def test_nonsense_is_refused_or_named_and_never_raises_else(self, text: str) -> None:
        for given_text in (text, HEAD + text):
            try:
                parts_csv.read(given_text)
            except BadFile:
                continue


class Wrong(unittest.TestCase):
    def test_each_broken_line_is_named_and_the_others_stand(self) -> None:
        text = HEAD + KNOT + "x,card,X,2x8pin,lots,,\ny,fan,Y,,12,,\nz,fan,Z,,,0.2,140mm\n"
        self.assertEqual(_problems(text), [(3, "power W", "'lots'"), (4, "power W", "12")])
        self.assertEqual([r.entry is not None for r in parts_csv.read(text)], [1, 0, 0, 1])

    def test_what_a_cell_may_hold(self) -> None:
        for row, problem in (
            (",card,Knot,2x8pin,230,,", "slug"),
            ("Knot R,card,Knot,2x8pin,230,,", "slug"),
            ("k,card,,2x8pin,230,,", "name"),
            ("k,lamp,Lamp,,,,", "kind"),
            ("k,card,K,2x8pin,-5,,", "power W"),
            ("k,card,K,2x8pin,99999,,", "row"),
            ("k,card,K,blue,230,,", "row"),
            ("k,card,K,,230,,", "row"),
            ("k,card,K,2x8pin,230,,x5", "row"),
            ("k,fan,K,,,0.1,on:hub", "row"),
            ("k,card,K,2x8pin,230,,,,", "row"),
        ):
            found = _problems(HEAD + row + "\n")
            self.assertEqual([c for _, c, _ in found][:1], [problem], (row, found))

    def test_twice_the_same_entry(self) -> None:
        self.assertEqual(_problems(HEAD + KNOT + KNOT), [(3, "slug", "knot, as in line 2")])

    def test_the_file_as_a_whole(self) -> None:
        for text, needs in (
            ("", "a first row"),
            ("slug,kind\nx,fan\n", "a column name"),
            ("slug,kind,name,colour\n", "'colour'"),
            ("slug,slug,kind,name\n", "slug twice"),
            (HEAD + 'a,card,"never closed\n', "line"),
            ("x" * 2_000_001, "at most"),
            (HEAD + "a,fan,A,,,,\n" * 5_001, "5,000 rows"),
        ):
            with self.assertRaisesRegex(BadFile, needs):
                parts_csv.read(text)


class Changes(unittest.TestCase):
    def test_new_changed_same_and_wrong(self) -> None:
        own = {"knot": _entry("knot", 'card "Knot R" 2x8pin 220w 8lanes')}
        shipped = {"tern": _entry("tern", 'fan "Tern" 0.1a')}
        text = (
            HEAD
            + KNOT
            + "tern,fan,Tern,,,0.1,120mm\n"
            + "new,fan,New,,,0.3,\n"
            + "bad,fan,Bad,,,x,\n"
        )
        found = parts_csv.changes(parts_csv.read(text), own, shipped)
        self.assertEqual([c.status for c in found], ["changed", "same", "new", "wrong"])
        self.assertEqual(found[0].columns, (("power W", "220", "230"),))

    def test_a_shipped_entry_is_not_changed(self) -> None:
        shipped = {"knot": _entry("knot", 'card "Knot R" 2x8pin 220w 8lanes')}
        found = parts_csv.changes(parts_csv.read(HEAD + KNOT), {}, shipped)
        self.assertEqual(found[0].status, "wrong")
        self.assertIn("ships with Easy Tally", found[0].problems[0][1])


class Spreadsheets(unittest.TestCase):
    """No cell is worked out by a spreadsheet, and each is read back just as it was."""

    @given(st.text(alphabet="=+-@\t\r'ab 1", max_size=8))
    def test_harmless_and_back(self, cell: str) -> None:
        made = harmless(cell)
        self.assertEqual(exact(made), without_odd(cell))
        self.assertFalse(made.startswith(("=", "+", "-", "@", "\t", "\r")))

    def test_an_entry_with_such_a_name(self) -> None:
        for name in ("=1+1", "'=1+1", "-5 V board", "@home", "+12", "'quoted'", "''=x"):
            part = Other(key="other", name=name)
            entry = CatalogueEntry(slug="x", revision=1, part=part)
            text = parts_csv.write([entry])
            (row,) = parts_csv.read(text)
            assert row.entry is not None, row.problems
            self.assertEqual(row.entry.part.name, name)
