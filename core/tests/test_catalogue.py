"""The parts catalogue: enough of it, realistic in spread, found by what one types."""

from __future__ import annotations

import unittest
from itertools import combinations
from pathlib import Path
from typing import Any

from easy_tally.catalogue.entries import CatalogueEntry, lacks, said_count, search, search_text
from easy_tally.entry import parse
from easy_tally.files import parts_csv
from easy_tally.standards.connectors import CONNECTORS
from easy_tally.tally.loads import loads
from easy_tally.things.build import Build
from easy_tally.things.parts import PART_KINDS, Card, Drive, Hub
from easy_tally.wiring import Wired

SHIPPED = Path(__file__).resolve().parents[2] / "catalogue/parts.csv"
ENTRIES: list[CatalogueEntry] = [
    row.entry for row in parts_csv.read(SHIPPED.read_text(encoding="utf-8")) if row.entry
]


def _leaves(value: Any, at: str = "") -> dict[str, Any]:
    """Every plain value of a part by its path; a figure is one value."""
    if isinstance(value, dict) and "likely" not in value:
        return {k: v for name, x in value.items() for k, v in _leaves(x, f"{at}.{name}").items()}
    if isinstance(value, list):
        return {k: v for i, x in enumerate(value) for k, v in _leaves(x, f"{at}.{i}").items()}
    return {at: value}


class Shipped(unittest.TestCase):
    def test_enough_of_every_kind(self) -> None:
        self.assertGreaterEqual(len(ENTRIES), 120)
        kinds = [e.part.kind for e in ENTRIES]
        for kind in PART_KINDS:
            self.assertGreaterEqual(kinds.count(kind.model_fields["kind"].default), 4, kind)

    def test_no_two_differ_only_by_name_and_one_number(self) -> None:
        said = [(e.slug, _leaves(e.part.model_dump(mode="json"))) for e in ENTRIES]
        for (slug, a), (other, b) in combinations(said, 2):
            if a[".kind"] != b[".kind"]:
                continue
            differ = {k for k in {*a, *b} if a.get(k) != b.get(k)} - {".name", ".note", ".key"}
            # Another word, another socket or another figure that is missing counts by itself.
            numbers = {
                k
                for k in differ
                if isinstance(a.get(k), int | float | dict)
                and isinstance(b.get(k), int | float | dict)
            }
            self.assertTrue(differ - numbers or len(numbers) > 1, (slug, other, differ))

    def test_a_quarter_lacks_a_figure_that_the_tally_needs(self) -> None:
        self.assertGreaterEqual(sum(bool(lacks(e.part)) for e in ENTRIES), len(ENTRIES) / 4)

    def test_sockets_stand_to_watts(self) -> None:
        """A card draws no more than its sockets and its slot are granted, and has no socket that
        it would not need: without its smallest one the grant would not do."""
        for e in ENTRIES:
            part = e.part
            if not isinstance(part, Card) or part.board_power_w is None:
                continue
            slot = {16: 75, 8: 25, 4: 25, 1: 10}[part.lanes]
            grants = [CONNECTORS[s.kind].grant_w for s in part.sockets]
            if None in grants:
                continue  # a drive lead grants amperes, not watts
            watts = part.board_power_w.likely * part.power_limit
            whole = sum(g for g in grants if g) + slot
            self.assertLessEqual(watts, whole, e.slug)
            if len(grants) > 1:
                self.assertGreater(watts, whole - max(g for g in grants if g) - slot, e.slug)

    def test_drives_and_hubs_stay_within_their_sockets(self) -> None:
        """SATA: 4.5 A a rail; the outputs of a hub together no more than its plug carries."""
        for e in ENTRIES:
            part = e.part
            if isinstance(part, Drive) and any(s.kind == "sata" for s in part.sockets):
                for field in ("run_12v_a", "run_5v_a", "start_12v_a", "start_5v_a"):
                    figure = getattr(part, field)
                    self.assertLessEqual(figure.high if figure else 0, 4.5, e.slug)
            if isinstance(part, Hub) and part.sockets:
                most = 4.5 if part.sockets[0].kind == "sata" else 11
                each = max((h.limit_a.likely for h in part.outputs if h.limit_a), default=0)
                self.assertLessEqual(each, most, e.slug)

    def test_every_entry_tallies(self) -> None:
        for e in ENTRIES:
            self.assertTrue(loads(Wired(Build(name="x", parts=(e.copied(),)))), e.slug)


class Found(unittest.TestCase):
    pairs = [(e, search_text(e)) for e in ENTRIES]

    def _slugs(self, text: str) -> list[str]:
        words, _ = said_count(text)
        return [e.slug for e in search(self.pairs, words)]

    def test_by_name_by_kind_by_socket_by_number(self) -> None:
        self.assertEqual(self._slugs("knot r")[0], "knot-r")
        self.assertEqual(self._slugs("card 16pin 450w"), ["kittiwake-xl"])
        self.assertIn("knot-t", self._slugs("gpu 3x8"))
        self.assertIn("mudflat-22-tb", self._slugs("disk power-disable"))
        self.assertEqual(self._slugs("fan 200mm"), ["thrift-quiet-200"])
        self.assertEqual(self._slugs("no such thing"), [])

    def test_while_it_is_typed(self) -> None:
        for length in range(3, 10):
            self.assertIn("kittiwake-l", self._slugs("kittiwake"[:length]))

    def test_names_come_first(self) -> None:
        """“sea” starts a word of some names; others have it in their lines at most."""
        found = self._slugs("sea")
        self.assertTrue(all("sea" in s for s in found[:3]), found)

    def test_a_count_is_no_word_to_search_by(self) -> None:
        self.assertEqual(said_count("Spurrey 120 ×5"), (["spurrey", "120"], 5))
        self.assertEqual(said_count("4x disk"), (["disk"], 4))
        self.assertEqual(said_count("two spurrey"), (["spurrey"], 2))
        self.assertEqual(said_count("4 mudflat"), (["mudflat"], 4))
        self.assertEqual(said_count("mudflat 22"), (["mudflat", "22"], 1))
        self.assertEqual(said_count("22 tb mudflat"), (["22", "tb", "mudflat"], 1))

    def test_a_count_or_a_figure_never_finds_what_has_another(self) -> None:
        """Enter takes a sole offer, so a number that is said has to be the entry's own."""
        self.assertEqual(self._slugs("spurrey 12"), [])
        self.assertEqual(self._slugs("x2 x3 spurrey"), [])
        self.assertEqual(self._slugs("spurrey 120 4"), [])
        self.assertEqual(self._slugs("mudflat 22"), ["mudflat-22-tb"])


class Entries(unittest.TestCase):
    def test_a_copy_remembers_where_it_came_from(self) -> None:
        self.assertEqual(ENTRIES[0].copied().catalogue, f"{ENTRIES[0].slug}@{ENTRIES[0].revision}")

    def test_an_entry_stands_alone(self) -> None:
        for line in ("fan x5", "fan on:hub", "fan from:other@1", "card 8pin in:slot-1"):
            with self.assertRaisesRegex(ValueError, "by itself"):
                CatalogueEntry(slug="x", part=parse(line).part)  # type: ignore[arg-type]

    def test_what_a_page_leaves_out(self) -> None:
        for line, fields in (
            ("card 2x8 300w", ("slot_w",)),
            ("card 2x8 slot:20w", ("board_power_w",)),
            ("disk 12v:0.5a", ("run_5v_a", "start_12v_a")),
            ("fan 0.1a", ()),
            ("board 8pin", ()),
            ("drive 2.5in", ("run_5v_a",)),
            ("card slot-only 20w", ()),
        ):
            self.assertEqual(lacks(parse(line).part), fields, line)  # type: ignore[arg-type]
