"""Numbers as builders say them: words for digits, how many sockets, how many parts."""

from __future__ import annotations

import re
from functools import partial

from .vocabulary import NUMBERS, OTHER_UNITS, TIMES
from .words import DETAILS, KINDS, PLURALS

JOINED = "mm|in|v|lanes|" + "|".join(re.escape(u) for u in DETAILS)
#: Words of a kind that have a plural → the plural.
_WITH_PLURAL = {word: plural for plural, word in PLURALS.items()}
SEVERAL_OF = "|".join(sorted(PLURALS, key=len, reverse=True))
_ONE_OF = "|".join(sorted(_WITH_PLURAL, key=len, reverse=True))
SEVERAL = rf"\b([2-9]|1[0-9]|{'|'.join(w for w in NUMBERS if w.isalpha())})"


#: What a number before it says something else of.
_NO_WORDS = "|".join(
    (
        *map(re.escape, OTHER_UNITS),
        *map(re.escape, DETAILS),
        "pin",
        "mm",
        "in",
        "volts?",
        "watts?",
        "amps?",
        "inch",
        "of",
        "to",
        "and",
        "x",
        "by",
        "at",
        "per",
        "way",
        "channel",
        "slot",
        "port",
        "lane",
        "lanes",
        "gig",
        "sata",
        "cores?",
        *KINDS,
    )
)
#: Words of a kind that have no plural.
_UNCOUNTED = "|".join(k for k in KINDS if k not in _WITH_PLURAL)
_BETWEEN = rf"(?!(?:{_NO_WORDS})\b)(?:[a-z][a-z-]+ +){{1,3}}"
_COUNTS = (
    (r"\b(?:qty|quantity|menge|count)[.: ]*([0-9]{1,2})\b", r" x\1 "),
    (r"\b([0-9]{1,2}) ?(?:pcs|pc|pieces|piece|off|stk|units?|each of)\b\.?", r" x\1 "),
    (r"\b([0-9]{1,2}) of them\b(?! (?:is|are|used|free|empty|in|on|taken))", r" x\1 "),
    (r"(?<![\w.,])([0-9]{1,2}) ?[x*] (?=[0-9]+(?:[.,][0-9]+)? ?(?:mm|tb|gb|in)\b)", r" x\1 "),
    (r"\b([0-9]{1,2})[- ]?pack\b", r" x\1 "),
    # `4 quiet fans`: words that are no units stand between a number and its plural.
    (rf"(?<![\w.,:/])([0-9]{{1,2}}) (?={_BETWEEN}(?:{SEVERAL_OF})\b)", r" x\1 "),
    (r"\b(?:pack|set|kit|box|bundle) of ([0-9]{1,2})\b", r" x\1 "),
    (r"(?<![\w.,])([0-9]{1,2}) ?[x*] (?=[a-z\ue000])", r" x\1 "),
    (r"(?<![0-9])[x*] ?([0-9]{1,2})\s*$", r" x\1 "),
    (r"^\s*([0-9]{1,2}) (?=[0-9]{2,3} ?mm\b)", r" x\1 "),
    (r"\b([0-9]{1,2}) of (?!them\b)(?=[a-z])", r" x\1 "),
    (rf"(?<![\w.,])([0-9]{{1,2}})\s+(?=(?:{_UNCOUNTED})\b)", r" x\1 "),
)
_PINS = r"(24|20|16|8|6|4)"
_OF_SOCKETS = r"processor sockets|cpu sockets|cpu plugs"


_WORD = rf"(?<![\w-])(?P<word>{'|'.join(sorted(map(re.escape, NUMBERS), key=len, reverse=True))})"
#: A number word and what it is followed by → how the line writes it. A count, where nothing else.
_NUMBER_WORDS = tuple(
    (re.compile(_WORD + behind), to)
    for behind, to in (
        (r"[- ](?=(?:pack|set)\b)", "{}-"),
        (rf"(?=\s+(?:{JOINED}|w|a|watts?|amps?|volts?)(?![\w]))\s+", "{}"),
        (rf"(?![\w-])(?=[- ]*(?:{_PINS}[- ]?pin|{_OF_SOCKETS}))", " {} "),
        (rf"(?![\w-])(?=\s+(?:{SEVERAL_OF}|{_ONE_OF}|headers|outputs)\b)", " {} "),
        (r"(?![\w-])", " x{} "),
    )
)


def _in_digits(to: str, match: re.Match[str]) -> str:
    return to.format(NUMBERS[match["word"]])


def with_numbers(text: str) -> str:
    """Number words as numbers; how many sockets; how many parts."""
    for word, n in (("sixteen", 16), ("eight", 8), ("six", 6), ("four", 4)):
        text = re.sub(rf"\b{word}[- ]pins?\b", f" {n}pin ", text)
    for worded, as_digits in _NUMBER_WORDS:
        text = worded.sub(partial(_in_digits, as_digits), text)
    text = re.sub(r"\b([0-9]{1,2}) ?x ?([0-9]{1,4}) ?(gb|tb)\b", r" \1x\2\3 ", text)
    if re.search(r"\bddr[345]\b|\bmemory\b", text):
        text = re.sub(
            r"(?<![\w.])([2-8]) ?x ?(4|8|12|16|24|32|48|64|96|128)(?![\w.])", r" \1x\2gb ", text
        )
    if (modules := re.search(r"\bkit of +(?:x ?)?([2-8])\b", text)) and (
        gb := re.search(r"(?<![x\w])([0-9]{1,4}) ?gb\b", text)
    ):
        each = f"{int(gb[1]) / int(modules[1]):g}"  # a kit's gigabytes are those of all its modules
        text = text.replace(gb[0], f"{each}gb")
    if kit := re.search(r"\b([0-9]{1,2})x([0-9]{1,4})gb\b", text):
        text = re.sub(r"\bx1\b", " ", text)  # one kit
        whole = int(kit[1]) * int(kit[2])
        text = re.sub(rf"(?<![x0-9]){whole} ?gb\b", " ", text)
    text = re.sub(r"\b(?:8|4\+4)[- ]?(?:pins?)?[- ]+eps(?: ?12v)?\b", " 8pin ", text)
    text = re.sub(r"\beps ?12v\b", " eps ", text)
    text = re.sub(rf"\b([1-9]) (?:by|times) (?={_PINS}[- ]?pin)", r" \1x", text)
    text = re.sub(r"\b(?:dual|twin|2) ?x? ?eps(?: ?8)?(?:[- ]?pins?)?\b", " 2xcpu8 ", text)
    text = re.sub(r"\beps(?: ?8)?(?:[- ]?pins?)?\b", " cpu8 ", text)
    of_board = re.search(r"\bboard\b", text)  # of which it says its sockets
    two = " " if of_board else " processor x2 "
    text = re.sub(r"\b(?:dual|twin)[- ](?:processor|cpu)s?\b", two, text)
    text = re.sub(r"\b(80|92|120|140|200)s\b", r" \1mm fans ", text)
    for word, n in TIMES.items():
        text = re.sub(rf"(?<![\w-]){word}[- ](?={_PINS}\b)", f" {n}x", text)
        text = re.sub(rf"(?<![\w-]){word}[- ](?=fan|radiator)", f" {n} ", text)
    text = re.sub(rf"\b([1-9]) ?x? +{_PINS}[- ]?pins?\b", r" \1x\2pin ", text)
    text = re.sub(rf"\b([1-9])x ?{_PINS}[- ]?pins?\b", r" \1x\2pin ", text)
    text = re.sub(r"\b(8|6|4|24|20)((?:\+(?:8|6|4|24|20))+)(?:[- ]?pins?)?\b", _plus, text)
    text = re.sub(rf"\b{_PINS}[- ]?pins?\b", r" \1pin ", text)
    for pattern, to in _COUNTS:
        text = re.sub(pattern, to, text)
    # A number stays with its noun: of a card, `3 fan` is no count of cards.
    return re.sub(
        rf"(?<![\w.,])([0-9]{{1,2}})[ -]+({_ONE_OF})(?![\w.-])",
        lambda m: f" {m[1]} {_WITH_PLURAL[m[2]]} " if m[1] != "1" else f" x1 {m[2]} ",
        text,
    )


def _plus(match: re.Match[str]) -> str:
    """`8+6`: an 8-pin and a 6-pin socket; `20+4`, `4+4`, `6+2` are one plug."""
    whole = match.group().split("+")
    one = "+".join(re.sub(r"\D", "", w) for w in whole)
    if one in ("20+4", "4+4", "6+2"):
        return f" {one}pin "
    return " " + " ".join(f"{re.sub(r'[^0-9]', '', w)}pin" for w in whole) + " "
