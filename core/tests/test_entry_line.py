"""The line by its tokens: every number form, what may stand with what, and that a line with two
meanings is asked about and never taken."""

from __future__ import annotations

import unittest

from easy_tally.entry import in_all, parse, say
from easy_tally.entry.line import readings, tokens_of
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.accounted import unaccounted


def _numbers(line: str) -> list[float]:
    return [t.number for t in tokens_of(line) if t.number is not None]


def _said(line: str) -> str:
    entry = parse(line)
    if entry.part is not None:
        return say(entry.part)
    return f"? {entry.question}" if entry.question else "-"


class Tokens(unittest.TestCase):
    def test_marks_within_a_number(self) -> None:
        for line, value in (
            ("1.299.00", 1299),
            ("1,299.00", 1299),
            ("1'299.50", 1299.5),
            ("12.500.000", 12_500_000),
            ("1.200", 1.2),
            ("0,25", 0.25),
            (".15", 0.15),
        ):
            with self.subTest(line):
                self.assertEqual(_numbers(line), [value])
        self.assertEqual([t.thousands for t in tokens_of("1.200")], [1200])

    @settings(max_examples=300, deadline=None)
    @given(st.text("0123456789.,'x-–±×%/()+:;|@\"€ wavmn", max_size=24))
    def test_no_digits_and_marks_are_a_fault(self, text: str) -> None:
        readings(f"fan {text}")
        parse(f"fan {text}")

    def test_numbers_in_words(self) -> None:
        for line, value in (
            ("two hundred and eighty watts", 280),
            ("one thousand two hundred", 1200),
            ("thirty-two gigabytes", 32),
            ("two point five amps", 2.5),
            ("half an amp", 0.5),
            ("half a dozen fans", 6),
            ("a couple of disks", 2),
            ("two dozen disks", 24),
            ("a pair of fans", 2),
            ("a hundred", 100),
        ):
            with self.subTest(line):
                self.assertEqual(_numbers(line), [value])

    def test_numbers_in_digits(self) -> None:
        self.assertEqual(_numbers("0,18 A"), [0.18])
        self.assertEqual(_numbers(".15a"), [0.15])
        self.assertEqual(_numbers("1,234,567"), [1234567])
        self.assertEqual(tokens_of("1.200 W")[0].thousands, 1200)
        self.assertIsNone(tokens_of("0.180 A")[0].thousands)
        self.assertEqual(_numbers("x3 120mm 8 375w"), [3, 120, 8, 375])

    def test_what_hangs_together_is_one_or_comes_apart(self) -> None:
        def texts(line: str) -> list[str]:
            return [t.text for t in tokens_of(line)]

        self.assertEqual(texts("2x8pin 8-pin"), ["2", "x", "8", "pin", "8", "pin"])
        self.assertEqual(texts("304x137x61mm"), ["304", "x", "137", "x", "61", "mm"])
        self.assertEqual(texts("ddr5 m.2 d5 gen4"), ["ddr5", "m.2", "d5", "gen4"])
        self.assertEqual(texts("40-60 W"), ["40", "-", "60", "w"])
        self.assertEqual(texts('3.5" disk'), ["3.5", "inch", "disk"])

    def test_each_keeps_its_place(self) -> None:
        line = "Two hundred watt  Gannet 7, 8-pin"
        for token in tokens_of(line):
            if token.number is None:
                self.assertEqual(line[token.at : token.to].lower(), token.text)
        self.assertEqual(line[slice(*tokens_of(line)[0][1:3])], "Two hundred")


#: Phrase → what it is taken as, or the question that is asked, by what each of its words says.
MEANT = (
    # counts and numbers
    ("three hundred and fifty watt processor", "processor 350w"),
    ("four fans 140 mm, 1.2 A all together", "fan x4 0.3a 140mm"),
    ("8w for both fans", "fan x2 0.333333a 120mm"),
    ("two dozen disks", "disk x24"),
    ("processor 0.2 kW", "processor 200w"),
    ("usb 500 mA 5 V", "usb 2.5w"),
    # a figure of a rail is that rail's: 4 W at 5 V are 0.8 A there, and nothing at 12 V
    ("a disk with 5 V 4 W", "disk 5v:0.8a"),
    ("optical drive 5 V 9 W please", "optical 5v:1.8a"),
    ("please disk 12V 0.5A 5V 4W", "disk 12v:0.5a 5v:0.8a"),
    ("disk 5 V, 4 W", "disk 5v:0.8a"),
    ("a fan 5v 2 W", "-"),
    ("board 24pin cpu8 5v 20w please", "board 24pin cpu8 own-5v:20w"),
    # sizes
    ("gpu 304x137x61mm 8pin 200 w", "card 8pin 200w long:304 high:137 covers:3"),
    ("gpu 3.5 slots 16pin", "card 16pin covers:4"),
    ("exhaust fan 120", "fan 120mm blows:out"),
    ("three 120mm fans on the hub", "fan x3 120mm on:hub"),
    ("three fans on one plug", "fan x3 120mm"),
    ("4 memories DDR5 of 16 giga", 'memory "Memory DDR5 module, 16 GB" x4 ddr5'),
    # limits, floors, prices
    ("card 300 W +20 % 16pin", "card 16pin 300w limit:1.2"),
    ("card overclock of 20 % 300 W 16pin", "card 16pin 300w limit:1.2"),
    ("card 320w 2x8pin recommended power supply 850w", "card 2x8pin 320w floor:850w"),
    ("gpu 200 W 8-pin 299 EUR", "card 8pin 200w"),
    # what is asked, since nothing in the line tells it
    ("cooler 12 W sata", "? All that it draws, its pump or its controller alone?"),
    ("aio 240 30 W sata", "? All that it draws, its pump or its controller alone?"),
    ("processor 125w overclock 20 %", "? Does it draw so much more, or is it the clock alone?"),
    ("processor and memory", "? There are several things in this line: all of them, or one?"),
    ("board 45 W 8 pin", "? All that the board draws, or at 12 V alone?"),
    ("mainboard circa 45 Watt incl. chipset fan", "? All that the board draws, or at 12 V alone?"),
    ("fan 120 1.8", "? 1.8 of what?"),
    ("hard drive and dvd", "? There are several things in this line: all of them, or one?"),
    (
        "card 320w 16pin with 3x8pin adapter",
        'card 16pin 320w boxed:"adapter: \\"3 × 8-pin to 16-pin\\" leads:a=pcie8,b=pcie8,c=pcie8 '
        'plugs:x=16pin@?!grade=high key:adapter wires:12v=3,ground=3"',
    ),
    ("Gannet 7 processor 105 W", 'processor "Gannet 7" 105w'),
    ("processor 1.5 kW", "? No part of that kind draws so much: say which part the figure is of."),
)


class Understood(unittest.TestCase):
    def test_each_as_it_is_meant_or_asked(self) -> None:
        for line, meant in MEANT:
            with self.subTest(line):
                self.assertEqual(_said(line), meant)

    def test_one_answer_of_a_question_is_what_was_meant(self) -> None:
        for line, meant in (
            ("hard drive and dvd", "optical"),
            ("processor 125w overclock 20 %", "processor 125w short:150w"),
            (
                "aio 240 30 W sata",
                'cooler "Liquid cooler, 240 mm" sata 2.5a fan:0a controller:0w fans:2',
            ),
        ):
            with self.subTest(line):
                answers = [parse(choice).part for choice in parse(line).choices]
                self.assertIn(meant, [say(part) for part in answers if part])

    def test_watts_of_a_whole_cooler_are_all_it_draws(self) -> None:
        """30 W at 12 V are 2.5 A there, and none at 5 V; neither pump nor fans come on top."""
        for line in ("cooler 2 fans 30w sata", "aio 240 30 W sata"):
            part = parse(parse(line).choices[0]).part
            self.assertIn("sata 2.5a fan:0a controller:0w", say(part) if part else "")
            self.assertEqual(part and in_all(part), "30 W in all")

    def test_every_answer_is_read(self) -> None:
        for line, _ in MEANT:
            for choice in parse(line).choices:
                with self.subTest(line, choice=choice):
                    self.assertTrue(parse(choice).part or parse(choice).choices)


#: Words that say nothing: with one of them more a line means the same.
_FILLERS = ("please", "a", "the", "new", "with")
_LINES = ("fan 120mm 0.2a", "processor 125w", "card 16pin 300w", "disk 12v:0.5a 5v:0.6a")


class Held(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(st.sampled_from(_LINES), st.sampled_from(_FILLERS), st.integers(0, 2))
    def test_a_filler_changes_nothing(self, line: str, filler: str, at: int) -> None:
        words = line.split()
        words.insert(at, filler)
        told = parse(" ".join(words)).part
        self.assertEqual(told and say(told), say(part) if (part := parse(line).part) else None)

    @settings(max_examples=400, deadline=None)
    @given(
        st.lists(
            st.sampled_from(
                [
                    "fan",
                    "card",
                    "disk",
                    "processor",
                    "8",
                    "120",
                    "300",
                    "w",
                    "a",
                    "mm",
                    "x",
                    "pin",
                    "16",
                    "v",
                    "12",
                    "sata",
                    "and",
                    "with",
                    "for",
                    "each",
                    "of",
                    "Gannet",
                    "total",
                    "limit",
                    "%",
                    "+",
                    "-",
                    ",",
                    "(",
                    "hub",
                    "two",
                ]
            ),
            max_size=9,
        )
    )
    def test_every_number_of_a_taken_line_is_in_the_part(self, words: list[str]) -> None:
        """Of any words in any order: a line that is taken has each number in the part, or beside it
        as left out or as what describes it; and prints as what reads back."""
        line = " ".join(words)
        entry = parse(line)
        if entry.part is not None:
            self.assertEqual(unaccounted(line, entry.part, (*entry.dropped, *entry.described)), "")
            self.assertEqual(parse(say(entry.part)).part, entry.part)
