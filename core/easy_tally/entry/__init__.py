"""The entry line: a part as a builder would say it, read, asked about, and printed.

    fan 120 0.18a x5          card 320w 2x8             4x disk 8w
    ddr5 x2                   16pin card 450w slot 20w  processor 125w short 180w "Plover"

Words in any order; what belongs together is one word (`slot:20w`) or a word before its number
(`slot 20w`). Every word must be accounted for, and what could be two things is asked, never
guessed. `say` prints any part as a line that `parse` reads back to the same part. The grammar
is told in docs/entry-line.md; its words stand in `words.py`.
"""

from .kits import read_boxed, read_case_line, unknown_words
from .own import MEANINGS, MOST_WORDS, checked, label_of, used_in
from .printer import say
from .reader import parse, parse_list, plain
from .slots import SaidSlot, slots_of
from .strict.asking import Entry
from .telling import full_w, in_all, understood

__all__ = [
    "MEANINGS",
    "MOST_WORDS",
    "Entry",
    "SaidSlot",
    "checked",
    "full_w",
    "in_all",
    "label_of",
    "parse",
    "parse_list",
    "plain",
    "read_boxed",
    "read_case_line",
    "say",
    "slots_of",
    "understood",
    "unknown_words",
    "used_in",
]
