"""A line as builders talk, put into the line's own words.

Read only where the line's own grammar does not take it as it stands, so that what prints reads
back to the same. Nothing that is said of a count or a figure is ever dropped: what is left over
keeps the
line from being taken.
"""

from __future__ import annotations

import re
from dataclasses import dataclass

from ..standards.usual import USB_W
from .counts import JOINED, SEVERAL, SEVERAL_OF, with_numbers
from .lexer import NUMBER, QUOTED, unquoted
from .ports import with_ports
from .sheet import N, said_figures, sheet
from .vocabulary import (
    CATEGORIES,
    DESCRIPTIVE,
    ELSEWHERE,
    FEED_PHRASES,
    FIGURE_PHRASES,
    FILLERS,
    KIND_PHRASES,
    MEANT,
    OTHER_UNITS,
)
from .words import DETAILS, FIGURE_NAMES, FLAGS, KINDS, PLURALS, SOCKETS

_HELD = re.compile(r"\ue000([0-9]+)\ue001")


@dataclass(frozen=True, slots=True)
class Spoken:
    """A line in the line's own words; `described` goes behind the part's name, `named` is the
    name where the line gives one, `dropped` what says nothing of a part (prices, links)."""

    line: str
    described: tuple[str, ...] = ()
    named: str = ""
    called: str = ""
    dropped: tuple[str, ...] = ()
    unsure: tuple[str, ...] = ()
    #: Names of two parts that one line speaks of.
    two: tuple[str, ...] = ()
    #: Why it is no part of the tally, where the line speaks of what is none.
    elsewhere: str = ""


def spoken(line: str) -> Spoken:
    """A line put into the line's own words."""
    text, held = _held(line)

    def keep(word: str) -> str:
        held.append(word)
        return f" \ue000{len(held) - 1}\ue001 "

    if negative := re.search(rf"(?<![\w.,+]) ?-{N} ?(?:w|a|ma|watts?|amps?)\b", text):
        return Spoken(line="", unsure=(negative.group().strip(),))
    if elsewhere := _elsewhere(text):
        return Spoken(line="", elsewhere=elsewhere)
    text, dropped = _without_trade(text)
    text = _without_category(text)
    text = re.sub(r"\beach\b", " ", _marks(with_ports(text, keep)))
    for words, sockets in (("one|a|1|single", "8pin"), ("two|2|dual|both", "2x8pin")):
        plug = r"(?:power )?(?:8[- ]?pin )?(?:power )?(?:plug|connector|lead)s?"
        text = re.sub(rf"\b(?:{words}) (?:cpu|processor|eps) {plug}\b", f" {sockets} ", text)
    if re.search(r"\busb hub\b", text) and re.search(r"\b(?:sata|peripheral)\b", text):
        text = re.sub(r"\b(?:internal )?usb hub\b(?: internal)?", ' hub called:"USB hub" ', text)
    text = _phrases(text, _KINDS)
    if any(h.startswith("outputs:") for h in held):
        text = re.sub(r"\boutputs:\S+", " ", text)  # the usual number, where another is said
    fed = _phrases(text, _FEEDS)
    # `pump header` says what feeds a part, unless it is the only word for the part.
    text = with_numbers(fed if _kind_in(fed) or not _kind_in(text) else text)
    kind = _kind_in(_back(text, held))
    memory = re.search(r"\b(ddr[345])-[0-9]{3,5}\b", text)
    if memory and kind in ("", "memory") and not re.search(r"(?<![\w-])ddr[345](?![\w-])", text):
        text, kind = f"{memory[1]} {text}", "memory"
    if kind == "card":
        # How many slots it covers says nothing of its draw.
        several = r"single|dual|double|triple|[1-4](?:\.[0-9]+)?"
        covers = rf"\b({several})[- ]?slots?\b(?:[- ]?(?:wide|thick|card|design))?"
        text = re.sub(covers, r" \1-slot ", text)
        text = re.sub(r"\b([0-9]) fans?\b", r" \1-fan ", text)
    text = sheet(text, kind)
    text = _phrases(text, _FIGURES)
    text = said_figures(text, kind)
    return _sorted_out(_back(text, held), line, kind, dropped)


def _elsewhere(text: str) -> str:
    """Why a line that speaks of nothing else is no part of the tally."""
    words = [w for w in re.findall(r"[a-z][a-z'-]+", text) if w not in FILLERS]
    phrase = " ".join(words)
    for known in sorted(ELSEWHERE, key=len, reverse=True):
        at_an_end = phrase.startswith(known + " ") or phrase.endswith(" " + known)
        others = set(words) - set(known.split())
        if phrase == known or (at_an_end and not others & set(_KIND_WORDS)):
            return ELSEWHERE[known]
    return ""


# -- quotes --------------------------------------------------------------------------------


def _held(line: str) -> tuple[str, list[str]]:
    """The line in lower case with its quoted texts put aside."""
    held: list[str] = []

    def hold(match: re.Match[str]) -> str:
        held.append(match.group())
        return f" \ue000{len(held) - 1}\ue001 "

    line = line.replace("“", '"').replace("”", '"').replace("″", '"').replace("\ue000", "")
    line = re.sub(rf"(?<![0-9])({QUOTED})", hold, line.replace("\ue001", ""))
    return line.lower(), held


def _back(text: str, held: list[str]) -> str:
    return _HELD.sub(lambda m: held[int(m[1])], text)


# -- what a shop or a list puts beside a part ----------------------------------------------

_MONEY = r"[$€£¥]"
_TRADE = (
    r"https?://\S+",
    r"www\.\S+",
    rf"{_MONEY} ?[0-9][0-9.,]*",
    rf"(?<![\w.,])[0-9][0-9.,]* ?(?:{_MONEY}(?! ?[0-9])|(?:usd|eur|gbp|chf)\b)",
    r"\bin stock\b",
    r"\bout of stock\b",
    r"\bfree shipping\b",
    r"\bbuy now\b",
    r"\bsku[: ]*\S+",
    r"\bprice\b",
    r"\bsubtotal\b",
    r"\basin[: ]*\S+",
)
_BULLET = re.compile(r"^\s*(?:[-*•‣▪◦·–—>]+|\(?[0-9]{1,2}[.)](?=\s)|\[[ x]\])\s+")


def _without_trade(text: str) -> tuple[str, tuple[str, ...]]:
    """The text without bullets, links and prices; and those, to be told."""
    dropped: list[str] = []

    def drop(match: re.Match[str]) -> str:
        dropped.append(match.group().strip())
        return " "

    text = _BULLET.sub(" ", text)
    for pattern in _TRADE:
        text = re.sub(pattern, drop, text)
    return text, tuple(dropped)


def _without_category(text: str) -> str:
    """A line's category before its colon: its kind where it is one, else nothing said."""
    category = re.match(r"\s*([a-z][a-z /-]{1,24}):\s+(?=\S)", text)
    if category is None:
        return text
    rest = text[category.end() :]
    if re.fullmatch(r"\s*[0-9]{1,2}\s*", rest) and category[1] in PLURALS:
        return f"{rest.strip()} {category[1]}"  # `fans: 3`
    return rest if category[1] in CATEGORIES else f"{category[1]} {rest}"


# -- marks, phrases, numbers ---------------------------------------------------------------


def _marks(text: str) -> str:
    """Signs as the line writes them; brackets, bars and tabs are spaces."""
    text = text.replace("×", "x").replace("−", "-").replace("–", "-").replace("—", " - ")
    text = text.replace("&", " and ").replace("pci express", "pcie")
    text = re.sub(rf"\b({N} ?mm):", r"\1 ", text)
    kit = r"\b([0-9]{1,4}) ?gb (?:in|as|on|over|across) (?:x ?)?([2-9])(?= [a-z])"
    text = re.sub(kit, _each_gb, text)
    text = re.sub(r"\b([1-4]) (?:cpu|processor) (?=8[- ]?pins?\b)", r"\1x", text)
    text = re.sub(r"\b(?:6\+2)[- ]?pins?\b", "8 pin", text)
    # How many lights are on a strip is no count of strips.
    text = re.sub(r"\b([0-9]{1,4}) ?(leds|lamps)\b", r" \1-\2 ", text)
    # What each of several draws, between their number and their name.
    each = rf"{SEVERAL} ({N} ?(?:ma|a|w))(?:mps?|atts?)? ({SEVERAL_OF})\b"
    text = re.sub(each, r"\1 \3 \2", text)
    if re.search(r"\b(?:aio|cooler|radiator|liquid|water)\b", text):
        text = re.sub(r"\b([2-6]) ?x ?[0-9]{2,3} ?mm (?=fans\b)", r"\1 ", text)
    text = re.sub(rf"\b(fans) ([2-9]) ?x ?(?={N} ?m?a\b)", r"\2 \1 ", text)
    text = text.replace("µ", "u").replace("’", "'").replace("≈", "~").replace("\u00a0", " ")
    text = re.sub(r"\((?!maker|measured|assumed|simulated)([^()]*)\)", r" \1 ", text)
    text = re.sub(r"[|\t;=]+", " ", text)
    text = re.sub(r"(?<![0-9.,])[.,](?=[0-9]+ ?(?:w|a|ma|watts?|amps?)\b)", "0.", text)
    text = re.sub(r"([0-9]) ?\* ?(?=[0-9])", r"\1x", text)
    text = re.sub(
        r"\busb ?[23](?:\.[012])?(?: ?gen ?[12](?:x2)?)?(?![\w.,]| ?(?:w|a|ma|watts?|amps?)\b)",
        "usb",
        text,
    )
    text = re.sub(rf"\b({N})[ -]?volts?\b", r"\1v", text)
    if re.search(r"\bfans?\b", text):
        text = re.sub(r"\bon (?:the|a|my|its) (?:fan )?hub\b", " on-hub ", text)
    text = re.sub(r"\b(half|full) height\b|\b(low) profile\b", _hyphened, text)
    text = re.sub(r"\bwi-?fi ?[4-7]e?\b", "wifi", text)
    text = re.sub(r"\busb[ -]?c\b", "usb", text)
    text = re.sub(r"\bterabytes?\b", "tb", re.sub(r"\bgigabytes?\b", "gb", text))
    text = re.sub(r"\bm\.?2\b", "m.2", text)
    text = re.sub(r"\b([0-9]+(?:\.[0-9]+)?) ?-?(?:inch(?:es)?|inches|zoll)\b", r"\1in", text)
    text = re.sub(r'\b([0-9]+(?:\.[0-9]+)?)"', r"\1in", text)
    text = re.sub(r"\bsata ?(?:iii|ii|6 ?gb/s|6g|3 ?gb/s|revision 3)\b|\bsata3\b", "sata", text)
    text = re.sub(r"\bddr ?-?([345])\b", r"ddr\1", text)
    text = re.sub(r"\b(micro|mini|flex|e)[ -](atx|itx|dtx)\b", r"\1-\2", text)
    text = re.sub(r"\b([0-9]{1,2}) ?cm\b", lambda m: f"{int(m[1]) * 10}mm", text)
    text = re.sub(rf"\b({N}) ({JOINED})\b", r"\1\2", text)
    text = re.sub(r"\b(?:pcie? ?)?gen ?([345])(?:\.0)? ?x(?:1|2|4|8|16)\b", r" gen\1 ", text)
    text = re.sub(r"\bpcie? ?(?:gen ?)?[345](?:\.0)?\b", r"pcie", text)
    return re.sub(r"\b(?:pcie?|slot)(?: ?express)? ?x ?(1|4|8|16)\b", r" \1lanes ", text)


def _hyphened(match: re.Match[str]) -> str:
    return match.group().replace(" ", "-")


def _each_gb(match: re.Match[str]) -> str:
    """`128 gb in 4 modules`: 32 GB each."""
    return f"{int(match[1]) / int(match[2]):g}gb {match[2]}"


def _compiled(phrases: dict[str, str]) -> tuple[re.Pattern[str], dict[str, str]]:
    """One pattern of all phrases, the longest first."""
    ordered = sorted(phrases, key=lambda p: -len(p))
    each = "|".join(re.escape(p).replace(r"\ ", r"[\s-]+") for p in ordered)
    clean = {re.sub(r"[\s-]+", " ", p): w for p, w in phrases.items()}
    return re.compile(rf"(?<![\w.:+-])(?:{each})s?(?![\w:-])"), clean


_KINDS = _compiled(KIND_PHRASES)
_FEEDS = _compiled(FEED_PHRASES)
_FIGURES = _compiled(FIGURE_PHRASES)


def _phrases(text: str, table: tuple[re.Pattern[str], dict[str, str]]) -> str:
    pattern, words = table

    def said(match: re.Match[str]) -> str:
        phrase = re.sub(r"[\s-]+", " ", match.group())
        return f" {words.get(phrase) or words[phrase.removesuffix('s')]} "

    return pattern.sub(said, text)


# -- figures -------------------------------------------------------------------------------


_KIND_WORDS: dict[str, str] = KINDS | {p: KINDS[w] for p, w in PLURALS.items()}


def _kind_in(text: str) -> str:
    """The kind that a text speaks of, the one that is meant or the first; or nothing."""
    kinds = _KIND_WORDS
    kinds_said = [kinds[w] for w in re.findall(r"(?<![\w:-])[\w.]+(?![\w:-])", text) if w in kinds]
    return MEANT.get(frozenset(kinds_said), kinds_said[0]) if kinds_said else ""


# -- what is left --------------------------------------------------------------------------

_KNOWN_WORD = re.compile(
    rf"{NUMBER}(?:/{NUMBER}/{NUMBER})?[a-z/%]*(?:\(.*\))?|x[0-9]+|[0-9]+x.*|.+:.+|\".*\""
)


_VOCABULARY = frozenset((*_KIND_WORDS, *FLAGS, *FIGURE_NAMES, *SOCKETS, "headers", "outputs"))
#: Words of four letters or more, by the first.
_BY_FIRST: dict[str, list[str]] = {}
for _word in sorted(_VOCABULARY | set(PLURALS)):
    if len(_word) >= 4:
        _BY_FIRST.setdefault(_word[0], []).append(_word)


#: Words that change what a line says: never taken for a name.
_WEIGHTY = frozenset(
    {
        "not",
        "no",
        "without",
        "except",
        "minus",
        "or",
        "maybe",
        "perhaps",
        "either",
        "if",
        "unless",
        "unknown",
        "unsure",
        "none",
        "less",
        "than",
        "half",
        "twice",
        "zero",
        "watts",
        "amps",
        "volts",
        "kits",
        "rows",
        "sets",
        "packs",
        "unused",
        "spare",
        "empty",
        "several",
        "few",
        "many",
        "multiple",
        "lots",
        "bunch",
        "dozens",
        "hundreds",
        "thousand",
        "overclocked",
        "undervolted",
        "limited",
        "raised",
        "lowered",
        "broken",
        "dead",
    }
)


def _sorted_out(text: str, line: str, kind: str, dropped: tuple[str, ...]) -> Spoken:
    """Fillers out; descriptions and a name apart; a word one letter off is the word."""
    kept: list[str] = []
    described: list[str] = []
    named: list[str] = []
    unsure: list[str] = []
    calls: list[str] = []
    typed = {w.lower().strip(",.;:()"): w.strip(",.;:()") for w in line.split()}
    text = re.sub(r"(?<![\w:/.])(2280|2260|2242|2230|22110)(?![\w])", r" form-\1 ", text)
    words = [w.strip(",.;!?'") for w in _pieces(_with_units(text, described))]
    for at, bare in enumerate(words):
        following = words[at + 1] if at + 1 < len(words) else ""
        if re.fullmatch(N, bare) and _is_name(following):
            words[at + 1] = ""  # a number of what is none of ours: `10 gigabit`
            described.append(f"{bare} {following}")
            continue
        if (
            not bare
            or bare in ("-", "/", "&", "+", "x", "*", "@")
            or (bare in _ONCE and bare in kept)
        ):
            continue
        if kind not in ("", "fan", "cooler") and re.fullmatch(rf"{N}mm", bare):
            described.append(f"{bare.removesuffix('mm')} mm")
        elif bare.startswith("called:"):
            name = unquoted(bare.removeprefix("called:"))
            calls += [] if name in calls else [name]
        elif bare in FIGURE_NAMES and bare in FILLERS and not re.match("[0-9]", following):
            continue  # `power` of a plug, no name of a figure
        elif bare in _VOCABULARY or bare in PLURALS or _KNOWN_WORD.fullmatch(bare):
            kept.append(bare)
        elif bare in FILLERS:
            continue
        elif bare in DESCRIPTIVE:
            described.append(typed.get(bare, bare))
        elif bare in _WEIGHTY:
            unsure.append(bare)
        elif (close := _one_letter_off(bare)) and (
            not kind or _KIND_WORDS.get(close, kind) == kind  # no second kind by a slip
        ):
            kept.append(close)
        elif re.fullmatch(_PLAIN, bare) and not _NO_NAME.fullmatch(bare):
            coded = any(c.isdigit() for c in bare)
            (described if coded else named).append(typed.get(bare, bare))
        else:
            unsure.append(bare)
    if len(calls) > 1 and any(re.fullmatch("x?[0-9]+x?", w) for w in kept):
        unsure.append(calls[-1])  # how many of which?
    two = tuple(calls) if len(calls) > 1 and not set(calls) <= USB_W.keys() else ()
    # What is written with a capital is what it is called; the rest tells it apart.
    if not any(c.isupper() for word in named for c in word):
        described, named = [*named, *described], []
    return Spoken(
        line=" ".join(kept),
        described=tuple(described),
        named=" ".join(named)[:80],
        called=" and ".join(calls),
        two=two,
        dropped=dropped,
        unsure=tuple(unsure),
    )


#: Said twice, by a word and by itself, they say the same.
_ONCE = ("5v", "12v", "2.5in", "3.5in", "header")
_PLAIN = r"[^\W_][\w.'/-]*"
#: A figure that was not read, digits of other scripts, or a word of no length that a name has.
_NO_NAME = re.compile(r"[0-9.,]+(?:w|a|ma|v|watts?|amps?)?|.*(?![0-9])\d.*|.{41,}")


def _is_name(word: str) -> bool:
    """Whether a word is none that the line knows, and no number."""
    known = (
        len(word) < 2
        or word in _VOCABULARY
        or word in PLURALS
        or word in FILLERS
        or word in DESCRIPTIVE
    )
    weighty = word in _WEIGHTY or _KNOWN_WORD.fullmatch(word) or _one_letter_off(word)
    return bool(re.fullmatch(_PLAIN, word)) and not known and not weighty and not word[0].isdigit()


def _pieces(text: str) -> list[str]:
    return re.findall(rf'[^\s"]*{QUOTED}[^\s"]*|\S+', text)


def _with_units(text: str, described: list[str]) -> str:
    """Numbers with a unit that says nothing of the draw go behind the name."""
    units = "|".join(re.escape(u) for u in sorted(OTHER_UNITS, key=len, reverse=True))

    def describe(match: re.Match[str]) -> str:
        described.append(f"{match[1]} {match[2]}")
        return " "

    details = "|".join(re.escape(u) for u in DETAILS)
    return re.sub(rf"(?<![\w:/.])({N})[ -]?(?!(?:{details})\b)({units})(?![\w/:])", describe, text)


def _one_letter_off(word: str) -> str:
    """The one known word that a word of four letters or more is a letter away from, or nothing."""
    if len(word) < 4 or not word.isalpha():
        return ""
    near = {w for w in _BY_FIRST.get(word[0], ()) if _close(word, w)}
    near -= {p for p in near if PLURALS.get(p) in near}
    if len(near) > 1:
        near = {w for w in near if len(w) == len(word)} or near
    close = near.pop() if len(near) == 1 else ""
    return close if word.endswith("s") else PLURALS.get(close, close)


def _close(a: str, b: str) -> bool:
    """Whether one letter more, less or other, or two exchanged, makes one of the other."""
    if abs(len(a) - len(b)) > 1 or a[0] != b[0]:
        return False
    at = next(
        (i for i, (x, y) in enumerate(zip(a, b, strict=False)) if x != y), min(len(a), len(b))
    )
    if a[at + 1 :] == b[at + 1 :] or a[at:] == b[at + 1 :] or a[at + 1 :] == b[at:]:
        return True
    swapped = a[:at] + a[at : at + 2][::-1] + a[at + 2 :]
    return swapped == b
