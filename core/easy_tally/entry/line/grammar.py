"""What may stand with what in a line: rules over tokens, and the slots that they fill.

Rows (`sayings`) and rules give every slot that they find; which of them stand in a line is weighed
in `reading`.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator

from ..words import PLURALS
from .amounts import Amount, Line, plain_amounts, unit_at
from .measures import dimensions
from .patterns import MOST_COUNTED, Slot, over
from .sayings import of_rows
from .sockets import chained_sockets, has_other_unit, sockets

_Rule = Callable[[Line, int], Iterator[Slot]]


def slots(line: Line, i: int) -> Iterator[Slot]:
    """Every slot that may begin at a place."""
    for rule in RULES:
        for slot in rule(line, i):
            yield slot.by_length()


def _simple(role: str, weight: float, to_role: str = "") -> _Rule:
    def rule(line: Line, i: int) -> Iterator[Slot]:
        for to, value in line.of_role(i, role):
            yield Slot(to_role or role, value, i, to, weight + (weight - 0.4) * (to - i - 1))

    return rule


def _figures(line: Line, i: int) -> Iterator[Slot]:
    """An amount alone, or with the word that names it behind: each, or of all."""
    for to, x in line.amounts(i):
        if x.unit not in ("w", "a"):
            continue
        more = _RANGE * (not x.exact)
        yield from _each_or_all(line, Slot("figure", ("", x), i, to, 2.0 + more))
        for end, word in _skipping(line, to, "figure"):
            # A name with an amount behind it is that one's.
            behind = end + (line.text(end) in (":", "="))
            if not _is_amount(line, behind):
                named = 0.6 * (end - to > 1)  # `board power` is no board
                figure = Slot("figure", (word, x), i, end, 2.4 + more + named)
                yield from _each_or_all(line, _across(line, figure, to))


def _named_figures(line: Line, i: int) -> Iterator[Slot]:
    """An amount behind the word that names it; a number without a unit there."""
    for at, word in line.of_role(i, "figure"):
        for j in over(line, at):
            for to, x in line.amounts(j):
                if x.unit in ("w", "a"):
                    figure = Slot("figure", (word, x), i, to, 2.8 + _RANGE * (not x.exact))
                    yield from _each_or_all(line, _across(line, figure, at))
            bare = line.number(j)
            if bare is not None and line.text(j + 1) != "x" and not [*unit_at(line, j + 1)]:
                yield Slot("figure", (word, Amount(bare, bare, bare, "")), i, j + 1, 2.0)


#: A range weighs more than two figures.
_RANGE = 3.0


def _is_amount(line: Line, i: int, units: tuple[str, ...] = ("w", "a")) -> bool:
    """Whether a number with one of some units stands at a place."""
    return any(x.unit in units for _, x in line.amounts(i))


def _across(line: Line, figure: Slot, at: int) -> Slot:
    """A figure and its name are less likely one where a comma stands between."""
    return figure._replace(weight=figure.weight - 1.6 * (line.text(at) == ","))


def _skipping(line: Line, i: int, role: str) -> Iterator[tuple[int, str]]:
    for j in over(line, i):
        yield from line.of_role(j, role)


def _each_or_all(line: Line, figure: Slot) -> Iterator[Slot]:
    """The figure, of one; of all, where that is said."""
    yield figure
    if line.text(figure.to) == "per":
        for to, _ in line.of_role(figure.to + 1, "kind"):
            yield figure._replace(to=to, weight=figure.weight + 2.6, role="each")
    for to, _ in line.of_role(figure.to, "each"):
        yield figure._replace(to=to, weight=figure.weight + 0.6, role="each")
    if figure.value[0] == "":
        for j in over(line, figure.to)[:2]:
            for to, _ in line.of_role(j, "total"):
                is_counted = line.text(to - 1) == "all" and line.number(to) is not None
                to += is_counted  # `for all three`
                both = 2 if line.text(to - 1) == "both" else 0
                weight = figure.weight + 0.8 + 1.5 * is_counted
                yield Slot("total", (figure.value[1], both), figure.at, to, weight)


def rails(line: Line, i: int) -> Iterator[Slot]:
    """`12 V 0.75 A`, `0.75 A at 12 V`, `+5V: 0.6A`, `12V/0.75A`, `12 V 20 W`, `12 v 0.5`."""
    start = i + 1 if line.text(i) in ("+", "dc", "-") and i + 1 < len(line.tokens) else i
    sign = -1 if line.text(i) == "-" else 1
    for to, x in plain_amounts(line, start):
        if x.unit == "v" and x.exact:
            for j in _between(line, to):
                for end, y in line.amounts(j):
                    if y.unit in ("a", "w"):
                        yield Slot("rail", (sign * x.likely, y), i, end, 3.4)
                bare = line.number(j)
                if bare is not None and bare < 10 and not [*unit_at(line, j + 1)]:
                    yield Slot("rail", (x.likely, Amount(bare, bare, bare, "a")), i, j + 1, 2.6)
        elif x.unit in ("a", "w"):
            for j in _between(line, to):
                for end, y in plain_amounts(line, j):
                    if y.unit == "v" and y.exact:
                        yield Slot("rail", (y.likely, x), i, end, 3.3)


def _between(line: Line, i: int) -> list[int]:
    places = over(line, i)
    for mark in (":", "/", "@", "x", "-", "at", "on", "from", "with", "dc", "="):
        if line.text(i) == mark:
            places.append(i + 1)
    return places


def _counts(line: Line, i: int) -> Iterator[Slot]:
    """`x3`, `3x`, and a number before what it counts."""
    n = line.number(i)
    after = line.number(i + 1) if line.text(i) in ("x", "*") else None
    if after is not None and after % 1 == 0 and not [*unit_at(line, i + 2)]:
        yield Slot("count", int(after), i, i + 2, 2.4)
    if n is None or not line.text(i).isdigit() or not 1 <= n <= MOST_COUNTED:
        return
    is_of_pins = line.number(i + 2) in (6, 8, 16) and not has_other_unit(line, i + 3)
    if line.text(i + 1) == "x" and not is_of_pins:
        yield Slot("count", int(n), i, i + 2, 2.2)
    yield Slot("count", int(n), i, i + 1, _weight_of_count(line, i, n))


def _about_so_many(line: Line, i: int) -> Iterator[Slot]:
    """`about ten hard disks`."""
    for at, _ in line.of_role(i, "about"):
        n = line.number(at)
        if n is not None and line.text(at).isdigit() and 1 <= n <= MOST_COUNTED:
            yield Slot("count", int(n), i, at + 1, _weight_of_count(line, at, n) + 0.6)


def _weight_of_count(line: Line, i: int, n: float) -> float:
    """How likely a number alone is a count: before what is counted, or told at the end."""
    is_of_lights = n > 8 and line.text(i + 1) in ("led", "leds", "lights")  # of one strip
    counted = "" if is_of_lights else _leads_to_kind(line, i + 1)
    weight = 1.6 if counted or _is_told(line, i) else -1.4
    if line.raw[line.tokens[i].at].isalpha() and weight < 0:
        weight += 2.0  # what is said in words is rarely a figure
    if n > 1 and counted and counted not in PLURALS:
        weight -= 0.9  # `Gannet 7 processor`
    if i and line.raw[line.tokens[i].at - 1] == "-":
        weight -= 1.5  # `Dunlin-5`
    return weight


def _is_told(line: Line, i: int) -> bool:
    """Whether a number stands by itself: `fans: 3`, `sata ssds, four`."""
    if i == 0 or line.text(i + 1) not in ("", ",", ";", "("):
        return False
    before = line.text(i - 1)
    return before in (":", "=", "are") or (before == "," and _is_plural_before(line, i))


def _for_so_many(line: Line, i: int) -> Iterator[Slot]:
    """`for three screens`: a number of what is no part is no count of the part."""
    is_counted = line.text(i) == "for" and line.number(i + 1) is not None
    if is_counted and line.text(i + 2).isalpha() and _OF_PARTS.isdisjoint(line.senses[i + 2]):
        yield Slot("described", "", i, i + 3, 3.4)


#: Roles of words that may stand behind a number of parts, or of what they have.
_OF_PARTS = {
    "kind",
    "fans of",
    "covers",
    "socket one",
    "plugs",
    "ports",
    "unit",
    "pieces",
    "pins",
    "money",
}


def _of_all(line: Line, i: int) -> Iterator[Slot]:
    """`all four disks draw 30 W`."""
    if line.text(i) == "all" and (line.number(i + 1) or line.of_role(i + 1, "kind")):
        yield Slot("of all", "", i, i + 1, 1.2)


def _is_plural_before(line: Line, i: int) -> bool:
    """Whether several of something are spoken of: `sata ssds, four`."""
    kinds = [value for senses in line.senses[:i] for _, value in senses.get("kind", ())]
    return any(value.partition(" ")[0] in PLURALS for value in kinds)


def _leads_to_kind(line: Line, i: int) -> str:
    """The kind that is named soon behind, nothing where none is: with sizes, capacities and words
    that describe it, or that nobody knows, between."""
    for _ in range(6):
        n = line.number(i)
        is_sized = n is not None and n >= 80 and line.text(i + 1) == "s"
        if is_sized or line.of_role(i, "fans of"):
            return "fans"
        if kinds := line.of_role(i, "kind"):
            return kinds[0][1].partition(" ")[0]
        step = [to for to, x in line.amounts(i) if x.unit not in ("w", "a", "v", "pin", "slot")]
        step += [
            to
            for role in ("described", "filler", "blows", "place", "feed", "flag")
            for to, _ in line.of_role(i, role)
        ]
        if not step and n is not None and (n >= 80 or n in (2.5, 3.5)):
            step = [i + 1]
        if not step and not (line.text(i).isalpha() and not line.senses[i]):
            return ""
        i = max([i + 1, *step])
    return ""


def _limits(line: Line, i: int) -> Iterator[Slot]:
    """`limit 80 %`, `limited to 240 W`, `overclocked by 10 %`."""
    raised = line.of_role(i, "raised")
    for at, _ in [*line.of_role(i, "limit"), *raised]:
        for j in over(line, at):
            sign = _SIGNS.get(line.text(j), 0)
            if not (sign or raised) and "by" in (line.text(j - 1), line.text(j)):
                sign = -1  # `undervolted by 20 %`
            for to, x in line.amounts(j + (line.text(j) in _SIGNS)):
                if x.unit == "%":
                    by = sign or (1 if raised and x.likely < 60 else 0)
                    yield Slot("limit", _share(x.likely, by), i, to, 3.2)
                elif x.unit == "w":
                    yield Slot("limit watts", x.likely, i, to, 3.2)


def _limits_before(line: Line, i: int) -> Iterator[Slot]:
    """`240 W limit`, `80 % power limit`, `+10 %`, `-15%`."""
    for at, x in line.amounts(i):
        for to, _ in line.of_role(at, "limit") if x.unit == "w" else ():
            if not any(_is_amount(line, j, ("w", "%")) for j in over(line, to)):
                yield Slot("limit watts", x.likely, i, to, 3.2)
    sign = _SIGNS.get(line.text(i), 0)
    n = line.number(i + abs(sign))
    for to, unit, _ in unit_at(line, i + abs(sign) + 1) if n is not None else ():
        if unit == "%" and sign:
            yield Slot("limit", _share(n or 0, sign), i, to, 2.6)
        elif unit == "%":
            for end, _ in line.of_role(to, "limit"):
                yield Slot("limit", _share(n or 0, 0), i, end, 3.0)


_SIGNS = {"+": 1, "-": -1, "plus": 1, "minus": -1}


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
                    yield Slot("covers", count, i, to, 2.2 + 0.4 * (to - at) + (j != i))


def _prices(line: Line, i: int) -> Iterator[Slot]:
    """What it cost: said of nothing that draws."""
    if re.match(r"https?://|www\.", line.text(i)):
        yield Slot("price", "", i, i + 1, 2.0)
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
        for j in over(line, at):
            for to, x in line.amounts(j):
                if x.unit == "w":
                    yield Slot("floor", x.likely, i, to, 3.6)
                    for end, _ in line.of_role(to, "floor"):  # `recommended 650 W supply`
                        yield Slot("floor", x.likely, i, end, 5.0)
    for at, x in line.amounts(i):
        if x.unit == "w":
            for to, _ in line.of_role(at, "floor")[:1]:
                if not any(y.unit == "w" for j in over(line, to) for _, y in line.amounts(j)):
                    yield Slot("floor", x.likely, i, to, 3.4 + 0.1 * (to - at))


def _slots(line: Line, i: int) -> Iterator[Slot]:
    """A board's slots: `x16 and x4 slots`."""
    lanes, at = [], i
    while line.text(at) == "x" and line.number(at + 1) in (1, 4, 8, 16):
        lanes.append(f"x{line.number(at + 1):g}")
        at += 2
        if line.text(at) in ("and", ",", "+") and line.text(at + 1) == "x":
            at += 1
    if lanes and line.text(at) in ("slot", "slots"):
        yield Slot("slots", tuple(lanes), i, at + 1, 3.2)
    elif lanes and line.speaks_of_board and lanes != ["x1"]:  # which is a count
        yield Slot("slots", tuple(lanes), i, at, 2.6)


def _beside(line: Line, i: int) -> Iterator[Slot]:
    """What comes with a part or is meant for another: an adapter with its sockets, `for …`."""
    # Behind pins it is the adapter of those: `3 x 8-pin adapter in the box`.
    is_of_pins = i > 0 and line.text(i - 1) in ("pin", "pins")
    for to, _ in line.of_role(i, "adapter"):
        k = _behind_adapter(line, to)
        if (end := _in_box(line, k)) > k and not is_of_pins:
            yield _adapter_beside(line, i, end)
    begins = i + (line.text(i) in ("comes", "came", "ships", "supplied"))
    for at, _ in line.of_role(begins, "with"):
        j = at
        while j < len(line.tokens) and j - at < 8:
            for to, _ in line.of_role(j, "adapter"):
                yield _adapter_beside(line, i, _in_box(line, _behind_adapter(line, to)))
                return
            j += 1
    for slot in sockets(line, i):
        for to, _ in line.of_role(slot.to, "adapter"):
            if (end := _in_box(line, to)) > to:
                yield _adapter_beside(line, i, end)


def _adapter_beside(line: Line, i: int, to: int) -> Slot:
    """An adapter beside a part, with how many 8-pin leads it is said to have; 0: not said."""
    said = (s for at in range(i, to) for s in sockets(line, at) if s.to <= to)
    leads = [count for s in said for kind, count in s.value if kind in ("8pin", "pcie8")]
    return Slot("beside", max(leads, default=0), i, to, 8.0 + 0.8 * (to - i))


def _in_box(line: Line, i: int) -> int:
    """`included`, `in the box`: where it ends; `i` where nothing of it is said."""
    if line.text(i) in ("included", "incl", "supplied", "boxed"):
        return i + 1
    if line.text(i) == "in":
        behind = i + 1 + (line.text(i + 1) in ("the", "its"))
        return behind + 1 if line.text(behind) in ("box", "package") else i
    return i


def _behind_adapter(line: Line, i: int) -> int:
    """`adapter to 3x8pin`, `adapter 3x8`: where its sockets end."""
    start = i + (line.text(i) in ("to", "from", "for"))
    return max((slot.to for slot in sockets(line, start)), default=i)


def _fans_of(line: Line, i: int) -> Iterator[Slot]:
    """Of a cooler: `two fans`, `with 3 fans`."""
    n = line.number(i)
    if n is not None and n % 1 == 0 and 0 <= n <= 12:
        for to, _ in line.of_role(i + 1, "fans of"):
            yield Slot("fans", int(n), i, to, 1.9)


def _bare(line: Line, i: int) -> Iterator[Slot]:
    """A number by itself: a size, a model, something to ask about."""
    if (bare := line.number(i)) is not None:
        for to, word in line.of_role(i + 1, "figure"):
            yield Slot("figure", (word, Amount(bare, bare, bare, "")), i, to, 1.4)
        yield Slot("bare", line.number(i), i, i + 1, 0.2)
        for to, unit in line.of_role(i + 1, "aside"):
            yield Slot("described", f"{line.text(i)} {unit}", i, to, 3.4)


#: Timings, generations and revisions as they are written: `cl18`, `gen4`, `rev2`.
_SAYS_LITTLE = re.compile(r"(?:cl|c|gen|rev|mk|v)[0-9]{1,2}")


def _name(line: Line, i: int) -> Iterator[Slot]:
    token = line.tokens[i]
    if _SAYS_LITTLE.fullmatch(token.text):
        yield Slot("described", "", i, i + 1, 1.0)
    if ":" in token.text and len(token.text) > 1:  # in the line's own words
        yield Slot("flag", line.raw[token.at : token.to], i, i + 1, 2.0)
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
        yield Slot("name", line.typed(i, at), i, at, weight)


def _marks(line: Line, i: int) -> Iterator[Slot]:
    is_before_number = line.number(i + 1) is not None and line.tokens[i + 1].glued
    if line.text(i) == "-" and is_before_number and not line.tokens[i].glued:
        return  # a minus: of nothing but a limit
    is_named = i == 1 and line.number(1) is not None and line.text(2) == ":"
    if is_named and any(v.partition(" ")[0] not in PLURALS for _, v in line.of_role(0, "kind")):
        yield Slot("mark", "", 1, 3, 3.0)  # `GPU 1: …`
    if i == 0 and line.number(0) is not None and line.text(1) in (".", ")"):
        yield Slot("mark", "", 0, 2, 2.0)  # the number of the line in a list
    if not line.tokens[i].is_quoted and not line.text(i)[0].isalnum():
        role = "break" if line.text(i) in (",", ";", "+", "|") else "mark"
        yield Slot(role, "", i, i + 1, 0.0)


def _shared_out(line: Line, i: int) -> Iterator[Slot]:
    """`(3 front, 2 top, 1 rear)`: how many are where."""
    if line.text(i) not in ("(", ":"):
        return
    counts, at = [], i + 1
    while (n := line.number(at)) is not None and n % 1 == 0:
        at += 1 + (line.text(at + 1) == "x")
        at += line.text(at) in ("in", "at", "on", "the")
        ends = [to for to, _ in line.of_role(at, "place")] or [at + 1] * (line.text(at) == "top")
        if not ends:
            return
        counts.append(int(n))
        at = max(ends)
        at += line.text(at) in (",", "and", "+", "&", ";", "/")
    closed = line.text(at) == ")" if line.text(i) == "(" else at == len(line.tokens)
    if len(counts) > 1 and closed:
        yield Slot(
            "shared out", sum(counts), i, at + (line.text(i) == "("), 4.0 + 1.5 * len(counts)
        )


RULES: tuple[_Rule, ...] = (
    _shared_out,
    _figures,
    _named_figures,
    rails,
    dimensions,
    sockets,
    chained_sockets,
    _counts,
    _about_so_many,
    _of_all,
    _for_so_many,
    _limits,
    _limits_before,
    _covers,
    _prices,
    _floor,
    _beside,
    _fans_of,
    of_rows,
    _slots,
    _names,
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
    _simple("multiple", -0.6),
    _simple("ribbon", 1.6),
    _simple("flag", 1.6),
    _simple("inside", 0.9),
    _simple("elsewhere", 1.5),
    _simple("figure", -0.5, "label"),
)
