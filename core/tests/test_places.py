"""Places have one reader and one writer: what is written reads back to the same."""

from __future__ import annotations

import unittest

from easy_tally.ratings.places import WHOLE, Place
from easy_tally.things.cables import Device, SocketRef


class Places(unittest.TestCase):
    def test_an_input_by_hand(self) -> None:
        ref = SocketRef.read("card-1#2/power")
        self.assertEqual((ref.part, ref.instance, ref.socket), ("card-1", 2, "power"))
        self.assertEqual((ref.device, str(ref)), (Device("card-1", 2), "card-1#2/power"))

    def test_an_instance_reads_back(self) -> None:
        for device in (Device("card-1"), Device("disk", 12)):
            self.assertEqual(Device.read(str(device)), device)

    def test_what_is_none_is_refused(self) -> None:
        for text in ("card-1", "card-1#", "card-1#x", "card-1#1", "card-1#0/power", "#1/power"):
            with self.subTest(text), self.assertRaises(ValueError):
                SocketRef.read(text)

    def test_where_an_element_stands_is_published_as_one_text(self) -> None:
        for place, text in (
            (WHOLE, ""),
            (Place("a"), "a"),
            (Place("a", "adapter-1"), "adapter-1/a"),
            (Place("group-1", window="100"), "group-1 100"),
            (Place("b", is_span=True), "b span"),
            (Place("b", "extension-1", is_span=True), "extension-1/b span"),
        ):
            self.assertEqual(str(place), text)
