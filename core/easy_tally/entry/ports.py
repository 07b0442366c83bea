"""Signal ports as builders say them, put into the line's own words.

Read before anything else of a line: `6 sata ports` is no count of parts, and no power socket.
"""

from __future__ import annotations

import re
from collections.abc import Callable
from functools import partial

from .vocabulary import NUMBERS, TIMES
from .words import SIGNALS

_WORDS = {w: n for w, n in (NUMBERS | TIMES).items() if w.isalpha() and n <= 32} | {
    "a": 1,
    "an": 1,
    "no": 0,
    "without": 0,
}
_N = rf"(?<![\w.,-])(?P<n>[0-9]{{1,2}}|{'|'.join(_WORDS)})(?: ?x)?"
_SATA = r"(?:sata|s-ata)(?:[23]|(?: ?(?:iii|ii|6 ?gb/s|6 ?gb|6g)))?"
_BOARD = r"\b(?:mother|main|system|server)?board\b|\bmobo\b"
_CONTROLLER = (
    r"\b(?:sata|storage|raid|sas|disk|drive)[ -](?:card|controller|adapter)\b|\bhba\b"
    r"|\bhost bus adapter\b"
)
_ADAPTER = r"\b(?:m\.?2|nvme)[ -]adapter(?: card)?\b"

_MAY = rf"(?:{_N}[ -]+)?\b"
_IN = "(?:internal |front )?"

#: (what the line has to speak of, phrase, the line's own word for it; none: it says no number, and
#: is no socket).
_ROWS: tuple[tuple[str, str, str], ...] = (
    (_BOARD, rf"{_N}[ -]+{_SATA} ?(?:data )?(?:ports?|connectors?|headers?)\b", "sata-ports"),
    (
        _BOARD,
        rf"{_N}[ -]+{_SATA}(?! ?(?:power|plug|socket|ssd|disk|drive|dom))(?![\w/-])",
        "sata-ports",
    ),
    (_BOARD, rf"\b{_SATA} ?(?:data )?ports?\b", ""),
    (_BOARD, rf"{_N}[ -]*(?:dimms?|memory slots?|ram slots?|dimm slots?)\b", ""),
    (
        _BOARD,
        rf"{_N}[ -]+(?:m\.?2|nvme)(?: nvme| ssd)?(?: (?:slots?|sockets?|ports?))?(?![\w/.-])",
        "m2-slots",
    ),
    (_BOARD, rf"{_N}[ -]+{_IN}usb ?2(?:\.0)? ?headers?\b", "usb2-headers"),
    (_BOARD, rf"{_MAY}{_IN}usb ?3(?:\.[012])?(?: ?gen ?[12])? ?headers?\b", "usb3-headers"),
    (_BOARD, rf"{_MAY}{_IN}(?:usb[ -]?c|(?:usb )?type[ -]?c) ?headers?\b", "usbc-headers"),
    (_BOARD, rf"{_MAY}(?:front|hd) audio(?: headers?)?\b", "audio-headers"),
    (_CONTROLLER, r"(?<![\w.,-])(?P<n>[0-9]{1,2})i\b", "sata-ports"),
    (_CONTROLLER, rf"{_N}[ -]+(?:{_SATA} |data |internal )?ports?\b", "sata-ports"),
    (_ADAPTER, rf"{_N}[ -]+(?:m\.?2 )?(?:slots?|drives?)\b", "m2-slots"),
)
_COMPILED = tuple((re.compile(of), re.compile(said), word) for of, said, word in _ROWS)
_INSIDE = re.compile(
    r"\b(?:internal(?=.*\b(?:usb hub|card reader)\b)"
    r"|(?<=usb hub )internal|(?<=card reader )internal)\b"
)
_HUB_HEADERS = re.compile(rf"{_N}[ -]+(?:internal )?(?:usb )?(?:headers?|ports?)\b")
_LEAD = re.compile(
    r"\b(?P<none>no |without )?(?: ?(?:with|has|needs) )?(?: ?an? )?(?:internal )?(?:9-pin )?"
    r"usb (?:lead|cable|connector|plug|header)s?\b"
)
#: What else has ports, and is no hub of fans or lights.
_NOT_FOR_FANS = re.compile(rf"\busb hub\b|{_CONTROLLER}|{_BOARD}")
_LIGHTS = re.compile(r"\b(?:lights?|lighting|led|rgb|argb)\b")
_EACH = r"(?:(?: of| at|,|:)? (?P<a>[0-9]+(?:[.,][0-9]+)?) ?a(?:mps?)?\b(?: each)?)?"
_OUTPUTS = re.compile(
    rf"{_N}[ -]*(?:ports?|ways?|channels?|outputs?|fan (?:headers?|ports?|outputs?)"
    rf"|fans?(?= (?:hub|splitter|controller)))\b{_EACH}"
)
_FOR_FANS = re.compile(rf"\bfor {_N} fans\b{_EACH}|\b1[ -](?:to|in)[ -](?P<m>[0-9]{{1,2}})\b")
_EACH_HEADER = re.compile(
    rf"{_N}[ -]*(?:fan )?headers?(?: of| at|,|:)? (?P<a>[0-9]+(?:[.,][0-9]+)?) ?a(?:mps?)?\b"
    r"(?: each)?"
)
_USB_PORTS = re.compile(r"\b([0-9]{1,2}|two|three|four) usb (?:[23](?:\.0)? )?ports?\b")
_PORTS_BEFORE = re.compile(r"(\bports? )sata(?! (?:card|controller|power|plug))\b")
#: The line's own words for these.
_OWN = re.compile(rf"(?<!\S)(?:(?:{'|'.join(SIGNALS)}|m2-slots|data|port):\S+|(?:no-)?usb-lead)")
_RIBBON = re.compile(r"\b(?:ide|pata|p-ata|ribbon)\b")


def with_ports(text: str, keep: Callable[[str], str]) -> str:
    """A line in lower case with its signal ports in the line's own words, each put aside by `keep`
    so that nothing else reads it."""
    text = _OWN.sub(lambda m: keep(m.group()), text)
    # What a front panel or a hub offers outside is no count of them.
    text = _USB_PORTS.sub(r" \1-port ", text)
    if re.search(r"\bcards?\b", text):
        # `8 port sata pcie x4 card`: its ports, and no power socket.
        text = _PORTS_BEFORE.sub(r"\1sata card ", text)
    for pattern, said, word in _COMPILED:
        if pattern.search(text):
            text = said.sub(partial(_said, word, keep), text)
    if re.search(r"\busb hub\b|\bcard reader\b", text) and _INSIDE.search(text):
        by_plug = re.search(r"\bsata\b|\bperipheral\b", text)
        text = _INSIDE.sub(lambda m: keep("usb-lead" if by_plug else "port:usb2"), text)
        if re.search(r"\busb hub\b", text):
            text = _HUB_HEADERS.sub(partial(_said, "usb2-headers", keep), text)
    if re.search(r"\b(?:hub|controller|cooler|aio|liquid|water)\b", text):
        text = _LEAD.sub(lambda m: keep("no-usb-lead" if m["none"] else "usb-lead"), text)
    if re.search(r"\b(?:hub|splitter|controller)s?\b", text) and not _NOT_FOR_FANS.search(text):
        outputs = partial(_outputs, bool(_LIGHTS.search(text)), keep)
        text = _OUTPUTS.sub(outputs, _FOR_FANS.sub(outputs, text))
    text = _EACH_HEADER.sub(
        lambda m: keep(f"headers:{_number(m['n'])}+{m['a'].replace(',', '.')}a"), text
    )
    if re.search(r"\b(?:disks?|hdds?|drives?|optical|dvd|cd|cd-rom|burner)\b", text):
        text = _RIBBON.sub(lambda m: keep("data:ribbon"), text)
    return text


def _said(word: str, keep: Callable[[str], str], match: re.Match[str]) -> str:
    if not word:
        return " "
    return keep(f"{word}:{_number(match['n'] or '1')}")


def _outputs(lights: bool, keep: Callable[[str], str], match: re.Match[str]) -> str:
    said = match.groupdict()
    n = _number(said["n"] or said.get("m") or "1")
    if not lights:
        each = f"+{said['a'].replace(',', '.')}a" if said.get("a") else ""
        return keep(f"outputs:{n}{each}")
    return keep("outputs:" + ",".join(f"out-{i + 1}=lights-5v" for i in range(n)))


def _number(word: str) -> int:
    return int(word) if word.isdigit() else _WORDS[word]
