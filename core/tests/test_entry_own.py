"""One's own words, slots, and several things of a line."""

from __future__ import annotations

import unittest

from easy_tally.base.errors import BadInput
from easy_tally.entry import MEANINGS, checked, parse, parse_list, say, slots_of, used_in
from easy_tally.entry.kits import read_cable, read_supply

OWN = {"zobel": "peripheral", "quay mark": "gold", "teal": "", "squaller": "fan"}


class OwnWords(unittest.TestCase):
    def test_a_word_that_was_learned_is_that_thing(self) -> None:
        for line, meant in (
            ("pump zobel 10w", "pump peripheral 0.833333a"),
            ("3 squallers 140mm", "fan x3 140mm"),
            ("squaller 120 0.2a", "fan 0.2a 120mm"),
        ):
            part = parse(line, OWN | {"squallers": "fan"}).part
            self.assertEqual(part and say(part), meant)

    def test_of_cables_and_supplies_too(self) -> None:
        self.assertEqual(read_cable("zobel x3 450/600/750 mm", "F", OWN)[1].plugs[0].kind, "per4")
        self.assertEqual(read_supply("500 W quay mark supply", OWN).grade, "gold")
        with self.assertRaises(BadInput):
            read_cable("zobel x3 450/600/750 mm", "F")

    def test_a_name_is_a_note_that_is_not_marked(self) -> None:
        entry = parse("fan 120 teal", OWN)
        self.assertEqual((entry.loose, entry.described), ((), ("teal",)))
        self.assertEqual(parse("fan 120 teal").loose, ("teal",))

    def test_in_a_list(self) -> None:
        ((_, entry),) = parse_list("squaller\t2\n", OWN)
        self.assertEqual(entry.part and entry.part.count, 2)

    def test_what_is_no_word_to_be_learned(self) -> None:
        for word in ("", "12", "fan", "8 pin", "x" * 41, "a b c d e", '"q"', "::"):
            with self.subTest(word), self.assertRaises(BadInput):
                checked(word, "fan")
        with self.assertRaisesRegex(BadInput, "what a word may mean"):
            checked("zobel", "laser")
        self.assertEqual(checked("  Zobel ", "peripheral"), "zobel")

    def test_every_meaning_is_a_word_of_the_tables(self) -> None:
        for meaning in MEANINGS:
            if meaning.group == "part":
                asked = parse(f"zobel {meaning.means}", {"zobel": ""})
                self.assertTrue(asked.part or asked.choices, meaning)

    def test_where_it_is_used(self) -> None:
        self.assertEqual(used_in("pump zobel 10w", OWN), ("zobel",))
        self.assertEqual(used_in("zobels and quay", OWN), ())


class Slots(unittest.TestCase):
    def test_each_with_where_it_was_said(self) -> None:
        line = "four 140 mm fans 0.2 A each at the front"
        held = {s.name: (s.words, line[s.at : s.to]) for s in slots_of(line, parse(line))}
        self.assertEqual(held["kind"], ("Fan 140 mm", "fans"))
        self.assertEqual(held["count"], ("4", "four"))
        self.assertEqual(held["each"], ("rated 0.2 A", "0.2 A each"))
        self.assertEqual(held["in all"][0], "10 W")
        self.assertEqual(held["measures"], ("at the front", "140 mm"))

    def test_what_is_left_over_and_left_out(self) -> None:
        line = "fan 120 0.2a zorkish for 9.99 EUR"
        held = {s.name: s.words for s in slots_of(line, parse(line))}
        self.assertEqual(held["note"], "zorkish")
        self.assertIn("9.99 EUR", held["left out"])

    def test_none_of_what_is_asked(self) -> None:
        self.assertEqual(slots_of("pump 10w", parse("pump 10w")), ())


class Several(unittest.TestCase):
    def test_all_together(self) -> None:
        for line, meant in (
            ("processor 105 W and 3 fans 120 mm 0.2 A", ["processor 105w", "fan x3 0.2a 120mm"]),
            ("hard drive and dvd", ["disk", "optical"]),
            ("disk x2, 3 fans 120 mm", ["disk x2", "fan x3 120mm"]),
            ("5 disks in a cage with a 92mm fan", ["disk x5", "fan 92mm"]),
        ):
            with self.subTest(line):
                entry = parse(line)
                self.assertIsNone(entry.part)
                got = [
                    say(p.model_copy(update={"name": p.name.split(",")[0]})) for p in entry.parts
                ]
                self.assertEqual([g.split(' "')[0] for g in got], [m.split(' "')[0] for m in meant])
                self.assertEqual(len(entry.choices), len(meant))

    def test_none_together_where_one_asks(self) -> None:
        self.assertEqual(parse("processor and memory").parts, ())
        self.assertEqual(len(parse("processor and memory").choices), 2)

    def test_a_list_takes_them_as_one_row(self) -> None:
        ((_, entry),) = parse_list("processor 105 W and 3 fans 120 mm")
        self.assertEqual(len(entry.parts), 2)
        self.assertIn("; ", entry.understood)


class Elsewhere(unittest.TestCase):
    def test_where_it_belongs(self) -> None:
        for line, goes in (
            ("sata cable 500 mm", "cable"),
            ("850 W supply gold", "supply"),
            ("adapter 16-pin from three 8-pin", "adapter"),
            ("sata extension 30 cm", "extension"),
            ("SFX to ATX bracket", "bracket"),
            ("mid tower case", "case"),
            ("fan splitter 1 to 3", ""),
            ("network adapter", ""),
        ):
            with self.subTest(line):
                self.assertEqual(parse(line).goes, goes)
