"""Whether every number that was said of a part is in it: one that vanished was meant of something.

Beside the line's own account of its tokens, and without it: for tests.
"""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Iterable, Iterator

from easy_tally.base.declared import Figure
from easy_tally.entry.printer import say
from easy_tally.entry.strict.lexer import QUOTED
from easy_tally.things.parts import (
    ON_HEADER,
    Board,
    Card,
    Cooler,
    Drive,
    Hub,
    Memory,
    Other,
    Part,
    Processor,
    UsbLoad,
)

_NAMES = (
    "one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen "
    "sixteen seventeen eighteen nineteen twenty"
)
NUMBERS = {name: n for n, name in enumerate(_NAMES.split(), 1)} | {"dozen": 12, "hundred": 100}
NUMBERS |= {"thirty": 30, "forty": 40, "fifty": 50, "sixty": 60}

#: What holds a number and says none of a part: sizes beside the first, forms, standards, limits'
#: names, the numbers of a list, volts. Source: the field's ways of writing.
_IDIOMS = re.compile(
    r"\b(?:3[.,]5|2[.,]5|5[.,]25) ?(?:\"|in|inch|inches|zoll|″)?(?![0-9])"
    r"|\b12v-?2x6\b|\b12vhpwr\b|\b12\+4\b|\b(?:6\+2|4\+4|20\+4)\b|\bpl ?[12]\b|\bm\.?2\b"
    r"|\bsata ?(?:3|2|iii)(?![\w.,])|\b[36] ?gb/s\b|\bwi-?fi ?[4-7]e?\b|\busb ?[23](?:\.[0-2])?\b"
    r"|\bgen ?[1-5](?:\.0)?\b|\bpcie? ?[1-5](?:\.0)?\b|\b[xX][0-9]{1,2}(?= lanes)|\bddr ?[345]\b"
    r"|\b[0-9.,]+ ?v(?:olts?)?\b|^\s*\(?[0-9]{1,2}[.)]\s|\bx(?:1|2|4|8|16)\b(?= slot)"
    r"|(?<=[0-9 ])m3/h\b"
)
#: `120 x 120 x 25 mm`: the first is the size.
_SIZES = re.compile(
    r"\b([0-9]{2,3}) ?(?:mm)? ?x ?[0-9]{2,3} ?(?:mm)?(?: ?x ?[0-9]{1,3} ?(?:mm)?)?\b"
)
#: What a limit takes the place of.
_BEFORE_LIMIT = re.compile(
    r"[0-9.,]+ ?w(?:atts?)? (?=(?:limited|capped|set|tuned|lowered|raised) )"
)
_NUMBER = re.compile(r"[0-9]*[.,]?[0-9]+")
_WORDS = re.compile(rf"\b(?:{'|'.join(w for w in NUMBERS if w.isalpha() and NUMBERS[w] > 2)})\b")
#: How far a number may be off by rounding: amperes are kept to six places, shares too.
_NEAR = 0.006


def unaccounted(line: str, part: Part, beside: Iterable[str]) -> str:
    """The first number of a line that its part does not hold, nor what is told `beside` it (what is
    left out, what goes behind the name); nothing where all are there."""
    held = set(_held(part)) | {n for text in (say(part), *beside) for n, _ in _numbers(text)}
    text = re.sub(QUOTED, " ", line.lower()).replace("half a dozen", "six")
    for dropped in beside:
        text = text.replace(dropped.lower(), " ")
    text = _IDIOMS.sub(" ", _SIZES.sub(r" \1 ", text.replace("×", "x")))
    text = re.sub(r"\b([0-9]{1,3}) ?cm\b", lambda m: f"{int(m[1]) * 10} mm", text)
    if isinstance(part, ON_HEADER):
        text = re.sub(r"\b[34][- ]?pins?\b", " ", text)  # of the header
    if isinstance(part, Processor):
        text = _BEFORE_LIMIT.sub(" ", text)
    for number, typed in _numbers(text):
        if not any(abs(number - h) <= _NEAR * max(h, 0.001) for h in held):
            return typed
    for word in _WORDS.findall(text):
        if not any(abs(NUMBERS[word] - h) <= _NEAR for h in held):
            return str(word)
    return ""


def _numbers(text: str) -> Iterator[tuple[float, str]]:
    apart = re.sub(r"(?<=[a-z×%])(?=[0-9])|(?<=[0-9])(?=[a-z×%])", " ", text.lower())
    for match in _NUMBER.finditer(apart):
        yield float(match.group().replace(",", ".")), match.group()


def _held(part: Part) -> Iterator[float]:
    """The numbers that a part stands for: its figures in amperes and in watts at 12 and 5 V, of one
    and of all; its sockets and their pins; its limits."""
    yield from (1.0, float(part.count))
    figures = {
        name: f for name in type(part).model_fields if isinstance(f := getattr(part, name), Figure)
    }
    for f in figures.values():
        for value in (f.low, f.likely, f.high):
            for volts in (1, 12, 5, 3.3):
                yield from (value * volts, value * volts * part.count)
        if f.likely:
            yield (f.high / f.likely - 1) * 100  # give or take
    yield from _of_kind(part, figures)
    kinds = Counter(s.kind for s in part.sockets)
    for kind, n in kinds.items():
        yield float(n)
        yield from (float(d) for d in re.findall("[0-9]+", kind))


def _of_kind(part: Part, figures: dict[str, Figure]) -> Iterator[float]:
    match part:
        case Card():
            limit, power = part.power_limit, part.board_power_w
            yield from (limit * 100, abs(limit - 1) * 100)
            if power is not None:
                yield power.likely * limit
            yield float(part.lanes)
        case Drive():
            v12, v5 = figures.get("run_12v_a"), figures.get("run_5v_a")
            watts = (12 * v12.likely if v12 else 0.0) + (5 * v5.likely if v5 else 0.0)
            yield from (watts, watts * part.count)
            for end in ("low", "high"):
                yield (12 * getattr(v12, end) if v12 else 0) + (5 * getattr(v5, end) if v5 else 0)
            if (start := figures.get("start_12v_a")) is not None:
                yield start.high * 12
        case Other() | UsbLoad():
            for f in figures.values():
                yield from (f.likely / volts for volts in (12, 5, 3.3))
        case Cooler():
            yield from (92.0, 120.0, 140.0, 200.0)  # its fans, whose size says no draw
        case Memory():
            # A kit's gigabytes are those of all its modules.
            for each in re.findall(r"([0-9.]+) GB", part.name):
                yield float(each) * part.count
        case Board() | Hub():
            yield float(len(part.headers))
            if isinstance(part, Hub):
                yield float(len(part.outputs))
            else:
                yield float(len(part.m2_slots or ()))
                yield float(len(part.slots))
                yield from (float(slot.lanes) for slot in part.slots)
        case _:
            pass
