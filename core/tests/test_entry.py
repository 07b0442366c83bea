"""The entry line: what a builder would say, understood or asked about, never guessed."""

from __future__ import annotations

import random
import unittest
from typing import Any

from easy_tally.entry import parse, parse_list, say
from easy_tally.things.parts import Part
from hypothesis import given
from hypothesis import strategies as st


def _part(line: str) -> Any:
    found = parse(line)
    if found.part is None:
        raise AssertionError(f"{line}: {found.unknown} {found.question}")
    return found.part


class Understood(unittest.TestCase):
    def test_fans(self) -> None:
        """5 × 0.18 A × 12 V = 10.8 W."""
        fan = _part("fan 120 0.18a x5")
        self.assertEqual(
            (fan.kind, fan.count, fan.size_mm, fan.rated_a.likely), ("fan", 5, 120, 0.18)
        )
        self.assertEqual(
            parse("fan 120 0.18a x5").understood,
            "5 × Fan 120 mm, on a header, rated 0.18 A: 11 W in all",
        )

    def test_choices_are_told_as_forms_call_them(self) -> None:
        for line, told in (
            ("card 320w 16pin covers:1 support:boxed", "1-slot, support comes with it: 320 W"),
            ("fan 120 mounted:rear blows:out", "at the rear, blows out of the case:"),
            ("aio 240 sata radiator:240 thick:27", "radiator 240 mm, 27 mm thick:"),
        ):
            self.assertIn(told, parse(line).understood)

    def test_disk_watts_are_split_and_marked(self) -> None:
        """8 W: 8 × 12 ÷ 17 ÷ 12 = 8 ÷ 17 = 0.4706 A at both rails, assumed."""
        disk = _part("4x drive 3.5 8w")
        self.assertEqual((disk.form, disk.count), ("3.5", 4))
        for figure in (disk.run_12v_a, disk.run_5v_a):
            self.assertAlmostEqual(figure.likely, 8 / 17, places=4)
            self.assertEqual(figure.origin, "assumed")

    def test_cards(self) -> None:
        two = _part("card 320w 2x8")
        self.assertEqual([s.kind for s in two.sockets], ["pcie8", "pcie8"])
        self.assertEqual(two.board_power_w.likely, 320)
        big = _part("16pin card 450w slot 20w floor 850w 8lanes")
        self.assertEqual([s.kind for s in big.sockets], ["16pin"])
        found = (big.board_power_w.likely, big.slot_w.likely, big.system_floor_w.likely, big.lanes)
        self.assertEqual(found, (450, 20, 850, 8))

    def test_bounds(self) -> None:
        figure = _part("card 300/320/345 w 2x8").board_power_w
        self.assertEqual((figure.low, figure.likely, figure.high), (300, 320, 345))

    def test_others(self) -> None:
        self.assertEqual(_part("ddr5 x2").count, 2)
        self.assertEqual(_part("memory ddr5 registered x4").generation, "ddr5-registered")
        self.assertEqual(_part("processor 125w short 180w").package_short_w.likely, 180)
        self.assertEqual(_part('cpu 65 W "Plover 6"').name, "Plover 6")
        self.assertEqual(_part("disk 12v 0.5a 5v 0,6a start 2a").start_12v_a.likely, 2)
        self.assertEqual(_part("pump 400ma peripheral").sockets[0].kind, "per4")
        self.assertEqual(_part("strip 12v 2a").volts, 12)
        self.assertEqual(_part("load 12v 30w 5v 2w").v5_w.likely, 2)
        self.assertEqual(len(_part("board 2x8").sockets), 3)
        self.assertEqual(_part("fan controller sata").kind, "hub")

    def test_as_it_is_said(self) -> None:
        self.assertEqual(_part("5 fans 140").count, 5)
        self.assertEqual(_part('3.5" disk, x4').count, 4)
        self.assertEqual(len(_part("2 x 8-pin card 300 W").sockets), 2)
        self.assertEqual(len(_part("board 2x8 6 headers").headers), 6)
        self.assertEqual(_part("−12V 1W load").vneg12_w.likely, 1)
        cooler = _part("cooler sata pump 0.4a 3 fans 0.2a")
        self.assertEqual((cooler.fans, cooler.fan_a.likely, cooler.pump_a.likely), (3, 0.2, 0.4))
        self.assertAlmostEqual(_part("fan 120 2.4w").rated_a.likely, 0.2)
        self.assertAlmostEqual(_part("strip 5v 10w").rated_a.likely, 2)
        self.assertEqual([s.kind for s in _part("board no-cpu 20pin").sockets], ["atx20"])
        self.assertEqual(_part("disk 4pin").sockets[0].kind, "per4")

    def test_what_says_nothing_of_the_draw_goes_into_the_name(self) -> None:
        two = _part("memory ddr5 2x16gb 6000mhz")
        self.assertEqual((two.count, two.name), (2, "Memory DDR5 module, 16 GB, 6000 MHz"))
        self.assertEqual(_part("5400 rpm disk 1.5 TB x4").name, "3.5-inch disk, 1.5 TB, 5400 rpm")
        self.assertEqual(_part("cpu 16-core 170w").name, "Processor, 16 cores")
        self.assertEqual(_part('m.2 "Eelgrass" 2tb').name, "Eelgrass, 2 TB")
        self.assertEqual(_part('"Smew" cooler 240 sata').name, "Smew, 240 mm")
        self.assertEqual(parse("fan 120 16gb").unknown, ("16gb",))
        self.assertEqual(parse("disk 2tb 4tb").unknown, ("2tb", "4tb"))
        self.assertIn("two counts", parse("ddr5 2x16gb x4").question)

    def test_words_that_go_together(self) -> None:
        card = _part("gpu 250w 8pin+6pin")
        self.assertEqual([s.kind for s in card.sockets], ["pcie8", "pcie6"])
        board = _part("board 20+4pin 4+4pin")
        self.assertEqual([s.kind for s in board.sockets], ["atx24", "eps8"])
        self.assertEqual(_part("M.2 NVMe SSD").kind, "m2")
        self.assertEqual(_part("sata ssd").form, "2.5")
        self.assertEqual(_part("aio 240 header").name, "Liquid cooler, 240 mm")
        self.assertEqual(_part("cpu cooler sata").kind, "cooler")
        self.assertEqual(_part("ddr5-6000 x2").name, "Memory DDR5 module, 6000 MT/s")
        self.assertEqual(_part("ddr4 3200").name, "Memory DDR4 module, 3200 MT/s")

    def test_xn_is_a_count_and_lanes_are_lanes(self) -> None:
        card = _part("card slot-only 20w x8")
        self.assertEqual((card.count, card.lanes), (8, 16))
        # So many with plugs nobody has: it is asked, and either answer is taken.
        asked = parse("card 200w 8pin x16")
        self.assertEqual(asked.question, "The lanes of one, or 16 cards?")
        cards = [_part(c) for c in asked.choices]
        self.assertEqual([(c.count, c.lanes) for c in cards], [(1, 16), (16, 16)])
        self.assertEqual(_part("card 200w 8pin x2").count, 2)
        # Printed, both are said.
        self.assertEqual(say(cards[1]), "card x16 8pin 200w 16lanes")
        self.assertEqual(_part(say(cards[1])), cards[1])

    def test_xn_of_a_board_is_a_slot(self) -> None:
        for line, lanes in (
            ("board 24pin cpu8 x16", [16]),
            ("board x16 x4 x1 2x8", [16, 4, 1]),
            ("board 24-pin, 8-pin cpu, x16", [16]),
            ("board 8pin slots:x16,x4", [16, 4]),
        ):
            self.assertEqual([s.lanes for s in _part(line).slots], lanes, line)
        self.assertEqual(len(_part("board 8pin x2").sockets), 3)  # 24-pin, twice 8-pin
        for line in ("2 boards 8pin", "board 8pin slots:x16 x4"):
            self.assertEqual(
                parse(line).question, "A build has one board: what is the number of?", line
            )

    def test_a_list_is_read_line_by_line(self) -> None:
        found = parse_list("fan 120 x2\n\n  blue thing \ncard 300w 2x8")
        self.assertEqual([line for line, _ in found], ["fan 120 x2", "blue thing", "card 300w 2x8"])
        self.assertEqual([e.part is not None for _, e in found], [True, False, True])


class Asked(unittest.TestCase):
    def _asks(self, line: str, *choices: str) -> None:
        found = parse(line)
        self.assertIsNone(found.part)
        self.assertTrue(found.question)
        self.assertEqual(found.choices, choices)

    def test_two_things_that_it_could_be(self) -> None:
        self._asks("drive 8w", "drive 8w 3.5in", "drive 8w 2.5in")
        self._asks("ssd x2", "ssd x2 2.5in", "x2 m.2")
        self._asks(
            "card 320w", *(f"card 320w {w}" for w in ("16pin", "2x8pin", "8pin", "slot-only"))
        )
        self._asks(
            "memory 5w", *(f"memory 5w {w}" for w in ("ddr5", "ddr5 registered", "ddr4", "ddr3"))
        )
        for kind in ("pump", "hub"):
            self._asks(f"{kind} x1", *(f"{kind} x1 {w}" for w in ("sata", "peripheral", "header")))
        feeds = ("aio x1 sata", "aio x1 peripheral", "aio x1 header")
        self._asks("cooler x1", 'fan x1 "Air cooler"', *feeds)
        self._asks("cooler 3 fans header", 'fan "Air cooler" x3', "aio 3 fans header")
        self._asks("strip 2a", "strip 2a 5v", "strip 2a 12v")
        self.assertEqual(parse("processor 5000").question, "5000 of what?")  # no watts of one
        self._asks("fan pump", "fan", "pump")
        self._asks("card 2x8 320w 300w", "card 2x8 320w", "card 2x8 300w")
        self._asks(
            "load 5w", *(f"load {w}:5w" for w in ("12v", "5v", "3.3v", "standby", "-12v", "-5v"))
        )
        self._asks("fan 5", "fan 5w", "fan 5a")

    def test_a_4_pin_plug_of_what_hangs_on_headers(self) -> None:
        """4 pins are a peripheral plug's, or a fan header's: nothing is guessed."""
        self._asks("fan 4-pin 0.2a", "fan 0.2a header", "fan 0.2a peripheral")
        self._asks("2x4pin hub", "hub header", "hub 2xperipheral")
        for line in ("fan 4pin header", "4-pin pwm fan", "fan 3-pin", "pump header"):
            self.assertEqual(_part(line).sockets, (), line)
        for line in ("fan 4-pin peripheral", "fan per4", "pump peripheral"):
            self.assertEqual([s.kind for s in _part(line).sockets], ["per4"], line)

    def test_a_name_of_a_figure_that_stands_in_the_wrong_place(self) -> None:
        self._asks(
            "card 450w slot 16pin 20w", "card 16pin 20w slot:450w", "card 450w 16pin slot:20w"
        )

    def test_measured_of_one_figure_or_asked(self) -> None:
        self.assertEqual(_part("usb 5w measured").draw_w.origin, "measured")
        self._asks(
            "card 8pin 150w slot 20w measured",
            "card 8pin slot 20w 150w(measured)",
            "card 8pin 150w slot 20w(measured)",
        )

    def test_every_choice_is_understood(self) -> None:
        for line in (
            "drive 8w",
            "ssd x2",
            "2x4pin fan",
            "card 320w",
            "strip 2a",
            "board",
            "hub",
            "memory",
        ):
            for choice in parse(line).choices:
                self.assertIsNotNone(parse(choice).part, choice)

    def test_what_is_unaccounted_for_is_named(self) -> None:
        self.assertEqual(parse("fan 120 not blue").unknown, ("not",))
        self.assertEqual(parse("fan 120 16pin").unknown, ("16pin",))
        self.assertEqual(parse("ddr5 slot 20w").unknown, ("slot",))
        self.assertEqual(parse("pump header sata").unknown, ("no-socket",))
        self.assertEqual(parse('fan 120 "a" "b"').unknown, ('"b"',))
        self.assertIsNone(parse('fan 120 "left open 5v').part)
        self.assertEqual(parse("fan 120 sockets:power").unknown, ("sockets:power",))

    def test_what_is_left_may_be_the_name(self) -> None:
        """Offered, as it was typed, never taken; not where it may be a slip of a figure's name."""
        self.assertEqual(parse("maybe card slot-only").named, 'card slot-only "maybe"')
        self.assertEqual(parse('fan 120 "Gale" blue').named, "")
        self.assertEqual(parse("fan 120 -5w").named, "")
        self.assertEqual(parse("fan 120 16gb").named, "")
        self.assertEqual(parse("card 320w 2x8 solt 20w").named, "")

    def test_the_supply_is_not_a_part(self) -> None:
        self.assertEqual(
            parse("psu 850w").question,
            "A supply is chosen on the Supply page, or goes into the drawer.",
        )

    def test_a_question_names_what_is_unaccounted_for_too(self) -> None:
        found = parse("card maybe 320w")
        self.assertEqual(found.question, "Which power sockets does the card have?")
        self.assertEqual(found.unknown, ("maybe",))

    def test_a_question_keeps_what_becomes_the_name(self) -> None:
        found = parse("tideline board m")
        self.assertEqual(found.question, "How many 8-pin processor sockets?")
        named = 'board "Board, tideline, m" 24pin'
        self.assertEqual(found.choices, (f"{named} cpu8", f"{named} 2xcpu8"))
        part = parse(found.choices[0]).part
        self.assertEqual(part.name if part else "", "Board, tideline, m")

    def test_other_scripts_are_not_taken_for_numbers(self) -> None:
        self.assertEqual(parse("card 2x8 ٣٢٠w").unknown, ("٣٢٠w",))
        self.assertIsNone(parse("čerpadlo 120").part)

    def test_an_endless_line_is_not_read_as_talk(self) -> None:
        """Patterns of talk would take minutes over it; it says nothing of a part anyway."""
        for line in ("1" * 20_000, "fan " + "1 " * 10_000, "two " * 5_000):
            self.assertIsNone(parse(line).part)

    def test_huge_and_absurd_numbers(self) -> None:
        self.assertIn("between 0 and 60 A", parse("fan 999a").question)
        self.assertEqual(parse("fan x9999").question, "count needs at most 64, got 9999.")
        self.assertIsNone(parse("fan 1" + "0" * 200 + "w").part)
        self.assertIn("at most", parse("fan " * 16_000).question)

    def test_nothing_said(self) -> None:
        self.assertEqual(parse("   ").question, "")


WORDS = ("fan", "card", "x5", "2x8", "320w", "0.1a", "slot", "idle", "drive", "3.5", "ddr5", "120")


class Properties(unittest.TestCase):
    LINES = (
        "fan 140 0.2a x3",
        "card 320w 2x8 8lanes",
        "16pin card 450w",
        "ddr4 4w x4",
        "pump 0.4a peripheral",
        "disk 9w x10",
        "processor 125w",
        "m.2 8w x2",
        "hub sata",
        "usb 5w x3",
        "strip 5v 1.5a",
        "ddr4 2x16gb 3200mhz",
        "disk 7200rpm 4tb x2 8w",
    )

    def test_any_order_of_words_reads_alike(self) -> None:
        shuffle = random.Random(7)
        for line in self.LINES:
            part: Part = _part(line)
            for _ in range(12):
                words = line.split()
                shuffle.shuffle(words)
                # A rail before amperes is one phrase; the strip's two words stay together.
                if "5v" in words and words.index("5v") == len(words) - 1:
                    continue
                self.assertEqual(_part(" ".join(words)), part, words)

    @given(st.text(max_size=80))
    def test_nonsense_never_raises(self, line: str) -> None:
        found = parse(line)
        self.assertTrue(found.part is None or found.understood)

    @given(st.lists(st.sampled_from(WORDS), max_size=7))
    def test_a_part_comes_only_with_every_word_accounted_for(self, words: list[str]) -> None:
        found = parse(" ".join(words))
        self.assertFalse(found.part is not None and (found.unknown or found.question))
