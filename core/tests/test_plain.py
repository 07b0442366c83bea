"""The one rule of every door: plain text and numbers that end."""

from __future__ import annotations

import json
import unittest

from easy_tally import BadInput
from easy_tally.base import NoJson, odd_in, plain, read_json, without_odd
from hypothesis import given
from hypothesis import strategies as st

VALUES = st.recursive(
    st.none()
    | st.booleans()
    | st.integers(-(10**9), 10**9)
    | st.floats(allow_nan=False, allow_infinity=False)
    | st.text("aä €½\n\t\U0001f600", max_size=9),
    lambda inner: st.lists(inner, max_size=4) | st.dictionaries(st.text("abc"), inner, max_size=4),
)


class Text(unittest.TestCase):
    def test_what_is_none_is_named_by_its_number_and_line(self) -> None:
        for text, said in (
            ("a\x00", "a control character (U+0000) in line 1"),
            ("a\nb\x1bc", "a control character (U+001B) in line 2"),
            ("a\r=1+1", "a lone carriage return (U+000D) in line 1"),
            ("\ud83d", "half of a pair (U+D83D) in line 1"),
            ("\u2028", "a control character (U+2028) in line 1"),
            ("\ufffe", "a control character (U+FFFE) in line 1"),
        ):
            self.assertEqual(odd_in(text), said)
            with self.assertRaises(BadInput) as raised:
                plain(text, "name")
            self.assertEqual(raised.exception.problems[0][0], "name")
            self.assertEqual(odd_in(without_odd(text)), "")

    def test_text_is_text(self) -> None:
        text = "Ä ß € ½ × — “x” \U0001f600\tz\n日本語 \u202e"
        self.assertEqual(plain(text, "x"), text)
        self.assertEqual(plain("a\r\nb", "x"), "a\nb")


class Json(unittest.TestCase):
    def _problem(self, text: str, most: int = 1000) -> tuple[str, str, str]:
        with self.assertRaises(BadInput) as raised:
            read_json(text, "file", most)
        return raised.exception.problems[0]

    @given(VALUES)
    def test_what_is_sound_is_read_as_it_is(self, value: object) -> None:
        self.assertEqual(read_json(json.dumps(value), "file"), value)

    def test_places(self) -> None:
        for text, where, need in (
            ('{"a": [1, {"b": "\\u0007"}]}', "a.1.b", "text"),
            ('{"a": {"b\\u0000": 1}}', "a.key", "text"),
            ('{"a": 1e999}', "a", "a number that ends"),
            ('["x", -1e999]', "1", "a number that ends"),
            ("1e999", "file", "a number that ends"),
            ('{"a": NaN}', "file", "finite numbers"),
            ('{"a": 1, "a": 2}', "a", "each key once"),
            ('{"a": ' + "9" * 500 + "}", "a", "numbers of at most 400 digits"),
            ('{"a": ' + "9" * 5000 + "}", "line 1, column 7", "numbers of at most 400 digits"),
            ("[" * 5000, "line 1, column 201", "JSON nested less deeply"),
        ):
            found = self._problem(text)
            self.assertEqual(found[0], where, text[:40])
            self.assertTrue(found[1].startswith(need), found)

    def test_more_values_than_anything_has_are_not_even_read(self) -> None:
        self.assertEqual(self._problem("[" + "1," * 1001 + "1]")[2], "more")
        self.assertEqual(self._problem("[" + "1," * 4001 + "1]")[2], "far more")
        self.assertEqual(self._problem("[" + "," * 4001)[2], "far more")

    def test_what_is_no_json(self) -> None:
        for text in ("", "{", "{a: 1}", "nul", "[1,]"):
            self.assertRaises(NoJson, read_json, text, "file")


if __name__ == "__main__":
    unittest.main()
