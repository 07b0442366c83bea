"""What builders say, phrase by phrase: taken as meant, asked fairly, or refused."""

from __future__ import annotations

import unittest
from pathlib import Path

from easy_tally.entry import parse, say

PHRASES = Path(__file__).parent / "data" / "phrases.txt"


def phrases() -> list[tuple[str, str]]:
    """Each phrase, and what it is expected to be."""
    lines = PHRASES.read_text(encoding="utf-8").splitlines()
    pairs = [line.split(" => ") for line in lines if line and not line.startswith("#")]
    return [(said.replace("\\t", "\t"), meant) for said, meant in pairs]


class Phrases(unittest.TestCase):
    def test_each_is_what_it_was_judged_to_be(self) -> None:
        for said, meant in phrases():
            with self.subTest(said):
                found = parse(said)
                if meant == "-":
                    self.assertIsNone(found.part)
                    self.assertTrue(found.question or found.unknown)
                elif meant.startswith("? "):
                    self.assertEqual((found.part, found.question), (None, meant[2:]))
                else:
                    self.assertEqual(found.part and say(found.part), meant)

    def test_every_answer_leads_on(self) -> None:
        """A choice is a part, or one question more that is not the same again."""
        for said, meant in phrases():
            if not meant.startswith("?"):
                continue
            for choice in parse(said).choices:
                with self.subTest(said, choice=choice):
                    then = parse(choice)
                    self.assertTrue(then.part or (then.choices and meant[2:] != then.question))

    def test_what_it_was_taken_as_reads_back_exactly(self) -> None:
        for said, _ in phrases():
            if (part := parse(said).part) is not None:
                again = parse(say(part)).part
                self.assertEqual(again and again.model_copy(update={"key": part.key}), part)

    def test_the_order_of_words_that_are_no_phrase_does_not_matter(self) -> None:
        lines = ("fan 120mm 0.2a x3", "card 2x8pin 320w", "ddr5 x2", "disk 3.5in 0.9a")
        for line in lines:
            words = line.split()
            for at in range(len(words)):
                turned = " ".join(words[at:] + words[:at])
                self.assertEqual(parse(turned).part, parse(line).part, turned)

    def test_the_share_that_is_accepted_or_asked(self) -> None:
        """Nine in ten; there are three hundred at the least, of every kind."""
        judged = [meant for _, meant in phrases()]
        share = sum(meant != "-" for meant in judged) / len(judged)
        self.assertGreaterEqual(len(judged), 300)
        self.assertGreaterEqual(share, 0.9)


if __name__ == "__main__":
    unittest.main()
