"""What may stand with what in a line: patterns over tokens, and the slots that they fill.

A pattern is a row of elements: `N` a number, `Q:w` a number with a unit of watts (and so on, by the
line's own unit), a role of the lexicon in angles, or a word as it stands; one with `?` behind may
be left out. Patterns give every slot that they find; which of them stand in a line is weighed in
`reading`.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from typing import Any, NamedTuple

from .amounts import Amount, Line, amounts, plain_amounts, unit_at


class Slot(NamedTuple):
    """A piece of a line and the role that it has: `value` by role."""

    role: str
    value: Any
    at: int
    to: int
    weight: float


_Rule = Callable[[Line, int], Iterator[Slot]]


def slots(line: Line, i: int) -> Iterator[Slot]:
    """Every slot that may begin at a place."""
    for rule in RULES:
        for slot in rule(line, i):
            # What takes more of the line together is more likely meant so.
            yield slot._replace(weight=slot.weight + 0.5 * (slot.to - i - 1))


def _simple(role: str, weight: float, to_role: str = "") -> _Rule:
    def rule(line: Line, i: int) -> Iterator[Slot]:
        for to, value in line.of_role(i, role):
            yield Slot(to_role or role, value, i, to, weight + (weight - 0.4) * (to - i - 1))

    return rule


def _figures(line: Line, i: int) -> Iterator[Slot]:
    """An amount, alone, with the word that names it before or behind, each or of all."""
    for to, x in amounts(line, i):
        if x.unit in ("w", "a"):
            yield from _each_or_all(line, Slot("figure", ("", x), i, to, 2.0))
            for end, word in _skipping(line, to, "figure"):
                # A name with an amount behind it is that one's.
                if not any([*amounts(line, j)] for j in _over(line, end)):
                    yield from _each_or_all(line, Slot("figure", (word, x), i, end, 2.4))
        elif x.unit in _DETAILS:
            yield Slot("detail", x, i, to, 1.8)
        elif x.unit == "m3h":
            yield Slot("flow", x.likely, i, to, 1.8)
        elif x.unit in ("mm", "in"):
            yield Slot("length", x, i, to, 1.8)
            for end, _ in line.of_role(to, "thick"):
                yield Slot("thick", x.likely, i, end, 2.4)
        elif x.unit == "v":
            yield Slot("volts", x.likely, i, to, 1.2)
    for at, word in line.of_role(i, "figure"):
        for j in _over(line, at):
            for to, x in amounts(line, j):
                if x.unit in ("w", "a"):
                    yield from _each_or_all(line, Slot("figure", (word, x), i, to, 2.8))
            if (bare := line.number(j)) is not None and not [*unit_at(line, j + 1)]:
                yield Slot("figure", (word, Amount(bare, bare, bare, "")), i, j + 1, 2.0)
    for at, _ in line.of_role(i, "total"):
        for j in _over(line, at):
            for to, x in amounts(line, j):
                if x.unit in ("w", "a"):
                    yield Slot("total", (x, 0), i, to, 2.8)


_DETAILS = ("gb", "tb", "ghz", "mhz", "mt/s", "rpm", "core")
_FILL = (":", "=", ",", "(")


def _over(line: Line, i: int) -> list[int]:
    """A place, and that behind a mark or one or two fillers."""
    places = [i]
    for _ in range(2):
        last = places[-1]
        fills = [to for role in ("filler", "at") for to, _ in line.of_role(last, role)]
        if line.text(last) in _FILL:
            places.append(last + 1)
        elif fills:
            places.append(min(fills))
        else:
            break
    return places


def _skipping(line: Line, i: int, role: str) -> Iterator[tuple[int, str]]:
    for j in _over(line, i):
        yield from line.of_role(j, role)


def _each_or_all(line: Line, figure: Slot) -> Iterator[Slot]:
    """The figure, of one; of all, where that is said."""
    yield figure
    for to, _ in line.of_role(figure.to, "each"):
        yield figure._replace(to=to, weight=figure.weight + 0.6, role="each")
    if figure.value[0] == "":
        for j in _over(line, figure.to)[:2]:
            for to, _ in line.of_role(j, "total"):
                both = 2 if line.text(to - 1) == "both" else 0
                yield Slot("total", (figure.value[1], both), figure.at, to, figure.weight + 0.8)


def _volts_and_amps(line: Line, i: int) -> Iterator[Slot]:
    """`12 V 0.75 A`, `0.75 A at 12 V`, `+5V: 0.6A`, `12V/0.75A`, `12 V 20 W`, `12 v 0.5`."""
    start = i + 1 if line.text(i) in ("+", "dc") else i
    for to, x in plain_amounts(line, start):
        if x.unit == "v" and x.exact:
            for j in _between(line, to):
                for end, y in amounts(line, j):
                    if y.unit in ("a", "w"):
                        yield Slot("rail", (x.likely, y), i, end, 3.4)
                bare = line.number(j)
                if bare is not None and bare < 10 and not [*unit_at(line, j + 1)]:
                    yield Slot("rail", (x.likely, Amount(bare, bare, bare, "a")), i, j + 1, 2.6)
        elif x.unit in ("a", "w"):
            for j in _between(line, to):
                for end, y in plain_amounts(line, j):
                    if y.unit == "v" and y.exact:
                        yield Slot("rail", (y.likely, x), i, end, 3.3)


def _between(line: Line, i: int) -> list[int]:
    places = [i]
    for mark in (":", "/", "@", "at", "on", "from", "with"):
        if line.text(i) == mark:
            places.append(i + 1)
    return places


def _dimensions(line: Line, i: int) -> Iterator[Slot]:
    """`304 x 137 x 61 mm`, `120x120x25`."""
    sizes, at = [], i
    while (n := line.number(at)) is not None:
        sizes.append(n)
        at += 1
        units = [(to, own) for to, own, _ in unit_at(line, at) if own in ("mm", "in")]
        at = units[0][0] if units else at
        if line.text(at) not in ("x", "*"):
            break
        at += 1
    if (len(sizes) == 3 and min(sizes) >= 5) or (len(sizes) == 2 and min(sizes) >= 30):
        yield Slot("dimensions", tuple(sizes), i, at, 4.5 + 0.5 * len(sizes))


def _sockets(line: Line, i: int) -> Iterator[Slot]:
    """`2x8`, `two 8-pin`, `8+6 pin`, `one 16pin`, `dual 8 pin`."""
    for to, socket in line.of_role(i, "socket one"):
        yield Slot("sockets", ((socket, 1),), i, to, 2.2 + 0.2 * (to - i))
    n = line.number(i)
    counts = [] if n is None or not 1 <= n <= 8 or n % 1 else [(i + 1, int(n))]
    counts += [(to, int(value)) for to, value in line.of_role(i, "multiple")]
    for at, count in counts:
        places = [at] + ([at + 1] if line.text(at) in ("x", "*") else [])
        for j in places:
            for to, socket in line.of_role(j, "socket one"):
                yield Slot("sockets", ((socket, count),), i, to, 3.0 + 0.2 * (to - i))
        pins = line.number(at + 1) if line.text(at) == "x" else None
        if pins in (6, 8, 16) and not _has_other_unit(line, at + 2):
            end = at + 2 + (line.text(at + 2) in ("pin", "pins"))
            yield Slot("sockets", ((f"{pins:g}pin", count),), i, end, 3.2)
    for at, count in counts:
        # `2 plugs by 8 pin`, `two connectors of 6 pins`.
        if line.text(at) in _PLUGS and line.text(at + 1) in ("by", "of", "with", "x"):
            for to, socket in line.of_role(at + 2, "socket one"):
                yield Slot("sockets", ((socket, count),), i, to, 3.6)
    chained, at = [], i
    while line.number(at) in (4, 6, 8):
        chained.append(f"{line.number(at):g}pin")
        at += 1
        if line.text(at) != "+":
            break
        at += 1
    if len(chained) > 1:
        end = at + (line.text(at) in ("pin", "pins"))
        yield Slot("sockets", tuple((s, 1) for s in chained), i, end, 2.8 + 0.3 * len(chained))


_PLUGS = ("plug", "plugs", "connector", "connectors", "socket", "sockets")


def _has_other_unit(line: Line, i: int) -> bool:
    """Whether a number before here has a unit that is not of pins: `2x16 gb`."""
    return any(unit != "pin" for _, unit, _ in unit_at(line, i))


def _counts(line: Line, i: int) -> Iterator[Slot]:
    """`x3`, `3x`, `qty 3`, `3 pcs`, `(x3)`, and a number before what it counts."""
    n = line.number(i)
    after = line.number(i + 1) if line.text(i) == "x" else None
    if after is not None and after % 1 == 0 and not [*unit_at(line, i + 2)]:
        yield Slot("count", int(after), i, i + 2, 2.4)
    for to, _ in line.of_role(i, "count"):
        for j in _over(line, to):
            if (after := line.number(j)) is not None:
                yield Slot("count", int(after), i, j + 1, 2.6)
    if n is None or n % 1 or not 1 <= n <= 64 or not line.text(i).isdigit():
        return
    if line.text(i + 1) == "x" and line.number(i + 2) not in (6, 8, 16):
        yield Slot("count", int(n), i, i + 2, 2.2)
    for to, _ in line.of_role(i + 1, "pieces"):
        end = to + 1 if line.text(to) == "." else to
        yield Slot("count", int(n), i, end + (line.text(end) == "of"), 2.4)
    near = 1.6 if _leads_to_kind(line, i + 1) else -1.4
    yield Slot("count", int(n), i, i + 1, near)


def _leads_to_kind(line: Line, i: int) -> bool:
    """Whether a number here counts what is named soon behind: with sizes, capacities and words that
    describe it between."""
    for _ in range(6):
        if line.of_role(i, "kind") or line.of_role(i, "fans of"):
            return True
        step = [to for to, x in amounts(line, i) if x.unit not in ("w", "a", "v", "pin", "slot")]
        step += [
            to
            for role in ("described", "filler", "blows", "place", "feed")
            for to, _ in line.of_role(i, role)
        ]
        if not step and line.number(i) is not None and (line.number(i) or 0) >= 80:
            step = [i + 1]
        if not step:
            return False
        i = max(step)
    return False


def _limits(line: Line, i: int) -> Iterator[Slot]:
    """`limit 80 %`, `limited to 240 W`, `+10 %`, `-15%`, `80 % power limit`."""
    for at, _ in [*line.of_role(i, "limit"), *line.of_role(i, "raised")]:
        for j in _over(line, at):
            sign = {"+": 1, "-": -1}.get(line.text(j), 0)
            k = j + 1 if sign else j
            for to, x in amounts(line, k):
                if x.unit == "%":
                    by = sign or (1 if line.of_role(i, "raised") and x.likely < 60 else 0)
                    yield Slot("limit", _share(x.likely, by), i, to, 3.2)
                elif x.unit == "w":
                    yield Slot("limit watts", x.likely, i, to, 3.2)
    sign = {"+": 1, "-": -1}.get(line.text(i), 0)
    n = line.number(i + 1 if sign else i)
    if n is not None:
        for to, unit, _ in unit_at(line, i + 2 if sign else i + 1):
            if unit == "%" and sign:
                yield Slot("limit", _share(n, sign), i, to, 2.6)
            elif unit == "%":
                for end, _ in line.of_role(to, "limit"):
                    yield Slot("limit", _share(n, 0), i, end, 3.0)


def _share(percent: float, sign: int) -> float:
    return 1 + sign * percent / 100 if sign else percent / 100


def _covers(line: Line, i: int) -> Iterator[Slot]:
    """`3 slots`, `3.5-slot`, `dual slot`, `takes three slots`."""
    starts = [i, *(to for to, _ in line.of_role(i, "takes"))]
    for j in starts:
        n = line.number(j)
        counts = [] if n is None else [(j + 1, n)]
        counts += [(to, float(value)) for to, value in line.of_role(j, "multiple")]
        for at, count in counts:
            for to, _ in line.of_role(at, "covers"):
                if 1 <= count <= 6:
                    yield Slot("covers", count, i, to, 2.6 + (j != i))


def _prices(line: Line, i: int) -> Iterator[Slot]:
    """What it cost: said of nothing that draws."""
    starts = [to for to, _ in line.of_role(i, "price")]
    for j in [i, *starts]:
        money = [to for to, _ in line.of_role(j, "money")]
        for to in money:
            if line.number(to) is not None:
                yield Slot("price", "", i, to + 1, 3.4)
        if line.number(j) is not None:
            ends = [to for to, _ in line.of_role(j + 1, "money")]
            yield from (Slot("price", "", i, to, 3.4) for to in ends)
            if starts and not ends and j in starts:
                yield Slot("price", "", i, j + 1, 2.2)


def _floor(line: Line, i: int) -> Iterator[Slot]:
    """`850 W supply recommended`, `recommended power supply 850 W`."""
    for at, _ in line.of_role(i, "floor"):
        for j in _over(line, at):
            for to, x in amounts(line, j):
                if x.unit == "w":
                    yield Slot("floor", x.likely, i, to, 3.6)
    for at, x in amounts(line, i):
        if x.unit == "w":
            for to, _ in line.of_role(at, "floor"):
                yield Slot("floor", x.likely, i, to, 3.4 + 0.1 * (to - at))


_SIGNALS = (
    (("sata", "port", "ports"), "sata-ports"),
    (("m.2", "slot", "slots"), "m2-slots"),
    (("fan", "header", "headers"), "headers"),
)


def _signals(line: Line, i: int) -> Iterator[Slot]:
    """Ports, slots and headers that a board or a controller has: `6 sata ports`, `2 fan headers`,
    `x16 and x4 slots`; those of memory say nothing."""
    n = line.number(i)
    if n is not None and n % 1 == 0 and 0 <= n <= 32:
        for (first, *ends), word in _SIGNALS:
            if line.text(i + 1) == first and line.text(i + 2) in ends:
                yield Slot("signal", (word, int(n)), i, i + 3, 3.0)
        if line.text(i + 1) in ("port", "ports"):
            yield Slot("signal", ("ports", int(n)), i, i + 2, 2.2)
        if line.text(i + 1) in ("dimm", "dimms", "memory", "ram") and line.text(i + 2)[:4] in (
            "slot",
            "",
        ):
            yield Slot("told", "", i, i + 2 + (line.text(i + 2)[:4] == "slot"), 2.4)
    lanes, at = [], i
    while line.text(at) == "x" and line.number(at + 1) in (1, 4, 8, 16):
        lanes.append(f"x{line.number(at + 1):g}")
        at += 2
        if line.text(at) in ("and", ",", "+") and line.text(at + 1) == "x":
            at += 1
    if lanes and line.text(at) in ("slot", "slots"):
        yield Slot("slots", tuple(lanes), i, at + 1, 3.2)
    if len(lanes) == 1:
        before = line.text(i - 1) if i else ""
        if before == "pcie" or line.text(i + 2) in ("lanes", "lane", "pcie"):
            end = i + 2 + (line.text(i + 2) in ("lanes", "lane"))
            yield Slot("lanes", lanes[0][1:], i, end, 3.0)


def _beside(line: Line, i: int) -> Iterator[Slot]:
    """What comes with a part or is meant for another: an adapter with its sockets, `for …`."""
    for at, _ in line.of_role(i, "with"):
        j = at
        while j < len(line.tokens) and j - at < 8:
            for to, _ in line.of_role(j, "adapter"):
                k = _behind_adapter(line, to)
                yield Slot("beside", "adapter", i, k, 4.0 + 0.4 * (k - i))
                return
            j += 1


def _behind_adapter(line: Line, i: int) -> int:
    """`adapter to 3x8pin`: where its sockets end."""
    if line.text(i) not in ("to", "from", "for"):
        return i
    ends = [slot.to for slot in _sockets(line, i + 1)]
    return max(ends, default=i)


def _fans_of(line: Line, i: int) -> Iterator[Slot]:
    """Of a cooler: `two fans`, `with 3 fans`; a hub's ports."""
    n = line.number(i)
    if n is not None and n % 1 == 0 and 0 <= n <= 12:
        for to, _ in line.of_role(i + 1, "fans of"):
            yield Slot("fans", int(n), i, to, 1.9)
        for j in (i + 1, i + 2):
            if line.text(j) in ("port", "ports", "way", "ways", "outputs", "channels"):
                yield Slot("ports", int(n), i, j + 1, 3.2)
                break
            if line.text(j) not in ("fan", "sata", "-"):
                break


def _on_one(line: Line, i: int) -> Iterator[Slot]:
    """Of fans: `on one plug`, which the map settles."""
    is_one = line.number(i + 1) == 1 or line.text(i + 1) == "a"
    is_plug = line.text(i + 2) in ("plug", "connector", "cable", "lead")
    if line.text(i) in ("on", "at", "from", "off") and is_one and is_plug:
        yield Slot("told", "", i, i + 3, 3.4)


def _seconds(line: Line, i: int) -> Iterator[Slot]:
    for at, _ in line.of_role(i, "tau"):
        for to, x in amounts(line, at):
            if x.unit == "s":
                yield Slot("told", "", i, to, 3.0)


def _bare(line: Line, i: int) -> Iterator[Slot]:
    """A number by itself: a size, a model, something to ask about."""
    if line.number(i) is not None:
        yield Slot("bare", line.number(i), i, i + 1, 0.2)
        for to, unit in line.of_role(i + 1, "aside"):
            yield Slot("described", f"{line.text(i)} {unit}", i, to, 3.4)


def _name(line: Line, i: int) -> Iterator[Slot]:
    token = line.tokens[i]
    if token.is_quoted:
        yield Slot("name", line.raw[token.at + 1 : token.to - 1], i, i + 1, 3.0)


def _names(line: Line, i: int) -> Iterator[Slot]:
    """A run that looks like a name: words that the tables don't know, written with a capital, and
    numbers or marks among them; letters and digits in one."""
    at, weight = i, 0.0
    while at < len(line.tokens):
        token = line.tokens[at]
        known = bool(line.senses[at])
        if token.number is None and not known and token.text[0].isalnum():
            capital = line.raw[token.at : token.at + 1].isupper()
            if not capital or ":" in token.text or re.fullmatch("x[0-9]+", token.text):
                break
            weight += 0.9
        elif at > i and token.number is not None and not [*unit_at(line, at + 1)]:
            weight += 1.4  # `Gannet 7`: more likely a name than seven of them
        else:
            break
        at += 1
        yield Slot("name", line.raw[line.tokens[i].at : line.tokens[at - 1].to], i, at, weight)


def _marks(line: Line, i: int) -> Iterator[Slot]:
    is_before_number = line.number(i + 1) is not None and line.tokens[i + 1].glued
    if line.text(i) == "-" and is_before_number and not line.tokens[i].glued:
        return  # a minus: of nothing but a limit
    if line.text(i) in (",", ";", ":", "(", ")", "[", "]", "-", ".", "|", "/", "!", "+", "*"):
        role = "break" if line.text(i) in (",", ";", "+", "|") else "mark"
        yield Slot(role, "", i, i + 1, 0.0)


RULES: tuple[_Rule, ...] = (
    _figures,
    _volts_and_amps,
    _dimensions,
    _sockets,
    _counts,
    _limits,
    _covers,
    _prices,
    _floor,
    _beside,
    _fans_of,
    _signals,
    _names,
    _on_one,
    _seconds,
    _bare,
    _name,
    _marks,
    _simple("kind", 2.2),
    _simple("feed", 1.8),
    _simple("on hub", 2.8),
    _simple("usb lead", 2.6),
    _simple("blows", 1.7),
    _simple("place", 1.5),
    _simple("described", 0.8),
    _simple("filler", 0.6),
    _simple("each", 0.5, "filler"),
    _simple("pieces", 0.4, "filler"),
    _simple("for", 0.5, "for"),
    _simple("with", 0.6),
    _simple("and", 0.6, "break"),
    _simple("maybe", 0.5),
    _simple("elsewhere", 1.5),
    _simple("figure", -0.5, "label"),
)
