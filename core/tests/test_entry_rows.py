"""Lists pasted from anywhere: what is taken, what is left out, line by line."""

from __future__ import annotations

import unittest

from easy_tally.entry import parse, parse_list, say

LIST = """Part\tQty\tPrice\tLink
Processor 125 W\t1\t$299.00\thttps://shop.example/p/1
DDR5 32GB (2x16GB)\t1\t€89,90
Fan 120 mm\t3\t0.2 A\t12.90
Total\t\t$512.00
- 2x 3.5" hard drive 8TB – $159.99 each
* NVMe SSD 1TB M.2
1. ATX motherboard, 2 CPU 8-pin connectors
2) 3 x 140mm fans (0.25A)
[x] Network card
## Storage
Storage: 4 x 4TB HDD 7200rpm
disk,12TB,6,210.00
"Fan, 120 mm, black",4,19.99
| fan 120mm | 2 | 0.2 A |
|---|---|---|
https://shop.example/list/abc
power supply 850W gold"""

#: Line by line: taken as this, or nothing; and what is left out.
WANTED = (
    (None, ("Part\tQty\tPrice\tLink",)),
    ("processor 125w", ("$299.00", "https://shop.example/p/1")),
    ('memory "Memory DDR5 module, 16 GB" x2 ddr5', ("€89,90",)),
    ("fan x3 0.2a 120mm", ("12.90",)),
    (None, ("Total\t\t$512.00",)),
    ('disk "3.5-inch disk, 8 TB" x2', ("$159.99",)),
    ('m.2 "M.2 drive, 1 TB"', ()),
    ('board "Board, ATX" 24pin 2xcpu8', ()),
    ("fan x3 0.25a 140mm", ()),
    ('card "Network card" slot-only 2/6/15w(assumed,"usual for its kind") plain', ()),
    (None, ("## Storage",)),
    ('disk "3.5-inch disk, 4 TB, 7200 rpm" x4', ()),
    ('disk "3.5-inch disk, 12 TB" x6', ("210.00",)),
    ('fan "Fan 120 mm, black" x4 120mm', ("19.99",)),
    ("fan x2 0.2a 120mm", ()),
    (None, ("|---|---|---|",)),
    (None, ("https://shop.example/list/abc",)),
    (None, ()),
)


class Lists(unittest.TestCase):
    def test_line_by_line(self) -> None:
        found = parse_list(LIST)
        self.assertEqual([line for line, _ in found], LIST.split("\n"))
        for (line, entry), (taken, dropped) in zip(found, WANTED, strict=True):
            with self.subTest(line):
                self.assertEqual(entry.part and say(entry.part), taken)
                self.assertEqual(entry.dropped, dropped)
        self.assertEqual(
            found[-1][1].question, "A supply is chosen on the Supply page, or goes into the drawer."
        )

    def test_a_figure_is_kept_even_in_a_column_of_prices(self) -> None:
        (_, (_, entry)) = parse_list("Part\tPrice\nfan 120\t0.3 A")
        self.assertEqual(entry.part and say(entry.part), "fan 0.3a 120mm")

    def test_columns_of_watts_and_amperes_name_bare_numbers(self) -> None:
        (_, (_, card)) = parse_list("Item\tTDP\tQty\nslot-only card\t40\t2")
        self.assertEqual(card.part and say(card.part), "card x2 slot-only 40w")

    def test_a_row_alone_reads_as_in_its_list(self) -> None:
        for line, entry in parse_list(LIST):
            if entry.part:
                self.assertIsNotNone(parse(line).part, line)
        row = 'fan 120\t0.2a\t"Plover"\t19.90'
        ((_, listed),) = parse_list(row)
        self.assertEqual(parse(row), listed)
        self.assertEqual(listed.dropped, ("19.90",))

    def test_two_bare_numbers_in_a_row_are_no_count(self) -> None:
        ((_, entry),) = parse_list("fan 120\t3\t4")
        self.assertIsNone(entry.part)

    def test_what_is_asked_says_so_and_nothing_is_lost(self) -> None:
        ((_, entry),) = parse_list("- graphics card 320W – $599.00")
        self.assertEqual(entry.question, "Which power sockets does the card have?")
        self.assertEqual(entry.dropped, ("$599.00",))


if __name__ == "__main__":
    unittest.main()


class Columns(unittest.TestCase):
    """5 × 2.4 W are 12 W, 0.2 A each at 12 V, by whatever the table parts its cells."""

    def _taken(self, text: str) -> list[str | None]:
        return [e.part and say(e.part) for _, e in parse_list(text)]

    def test_heads_of_each_and_of_all(self) -> None:
        for mark in ("\t", ";", " | ", "   "):
            for head, watts in (("W each", "2.4"), ("W total", "12"), ("Power", "2.4")):
                table = [["Part", "Qty", head], ["Fan 120", "5", watts]]
                with self.subTest(mark=mark, head=head):
                    text = "\n".join(mark.join(row) for row in table)
                    self.assertEqual(self._taken(text), [None, "fan x5 0.2a 120mm"])

    def test_a_total_beside_what_each_draws_has_to_agree(self) -> None:
        head = "Part\tQty\tW each\tW total\n"
        (_, row) = parse_list(f"{head}Fan 120\t5\t2.4\t12")
        self.assertEqual(row[1].part and say(row[1].part), "fan x5 0.2a 120mm")
        self.assertEqual(row[1].dropped, ("12w in total",))
        self.assertEqual(self._taken(f"{head}Fan 120\t5\t2.4\t14"), [None, None])

    def test_semicolons_leave_commas_to_decimals(self) -> None:
        self.assertEqual(self._taken("fan 120;3;0,25 A"), ["fan x3 0.25a 120mm"])
        self.assertEqual(self._taken("processor 125w; card 320w 16pin; fan 120"), [None])

    def test_heads_with_their_unit_in_brackets(self) -> None:
        head = "Component | Qty | Power (W)\n"
        self.assertEqual(
            self._taken(f"{head}GPU 2x8pin | 1 | 300\nFan 120mm | 4 | 2.4"),
            [None, "card 2x8pin 300w", "fan x4 0.2a 120mm"],
        )

    def test_a_shop_s_article_numbers_and_sums_are_left_out(self) -> None:
        order = (
            "Article no.;Description;Quantity;Unit price;Total\n"
            "10044;Graphics card 16-pin 300 W;1;649,00;649,00\n"
            "10101;Case fan 120 mm 0,16 A;3;9,90;29,70\n"
            ";Shipping;1;6,90;6,90\n;Total;;;685,60"
        )
        self.assertEqual(
            self._taken(order), [None, "card 16pin 300w", "fan x3 0.16a 120mm", None, None]
        )

    def test_heads_without_rules_between(self) -> None:
        self.assertEqual(self._taken("qty part\n2 hdd"), [None, "disk x2"])

    def test_a_comma_behind_a_word_is_no_decimal(self) -> None:
        self.assertEqual(self._taken("Fans,3x120mm"), ["fan x3 120mm"])

    def test_cells_that_name_their_column(self) -> None:
        self.assertEqual(self._taken("qty: 4 | desc: fan 120 mm 0.2 A"), ["fan x4 0.2a 120mm"])
        self.assertEqual(self._taken("qty: 4; item: disk; price: $99"), ["disk x4"])

    def test_a_bare_number_is_asked(self) -> None:
        ((_, entry),) = parse_list("Fans\t5\t2.4")
        self.assertEqual(entry.choices, ("fan x5 2.4w", "fan x5 2.4a"))
