"""A supply said in a line as its box and its label say it, its cables in lines below it."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Mapping
from typing import Any, get_args

from ...standards.connectors import PortKind
from ...standards.efficiency import Grade
from ...standards.forms import SupplyForm
from ...standards.unmeasured import PORT_SHAPE
from ...things.cables import Cable, SupplyEnd
from ...things.labels import label_problems
from ...things.supply import EfficiencyPoint, Port, PortGroup, Supply
from ..line import Amount, Misread, Rows, dimensions, rails
from ..own import NO_WORDS
from ..printer import number_word
from .boxed import box_of, say_in_line
from .cables import read_cable
from .heard import Grammar, Told, read_by
from .lines import (
    Unread,
    Word,
    fields_of,
    line_of,
    listed,
    made,
    number,
    numbers,
    one_of,
    pairs_of,
    percent,
    said_percent,
    said_yes,
    several,
    values_of,
    whole,
    yes,
)

_LETTER: dict[PortKind, str] = {
    "board-a": "B",
    "board-b": "B",
    "processor": "P",
    "graphics": "G",
    "processor-graphics": "C",
    "16pin": "H",
    "drive": "D",
}


#: Ports of a kind, and in a row of the panel.
_MOST_PORTS = 20


def _point(text: str) -> dict[str, float]:
    share, _, value = text.partition("=")
    return {"share": percent(share), "value": percent(value)}


def _say_point(p: EfficiencyPoint) -> str:
    return f"{said_percent(p.share)}={said_percent(p.value)}"


def _group(text: str) -> dict[str, Any]:
    label, _, amps = text.partition("=")
    key, _, own = label.rpartition("|")
    more = {"limit_a": number(amps)} if amps else {}
    return {"key": key or own.lower(), "label": own.replace("_", " "), **more}


def _say_group(g: PortGroup) -> str:
    amps = "" if g.limit_a is None else f"={number_word(g.limit_a)}"
    return f"{g.key}|{g.label.replace(' ', '_')}{amps}"


def _port(text: str) -> dict[str, Any]:
    match = re.fullmatch(
        r"(?:([a-z0-9-]+)\|)?([^=|]+)=([a-z0-9-]+)@([0-9])\.([0-9]{1,2})(?:!([0-9]+)/([0-9]+))?"
        r"(?:!([a-z0-9-]+))?",
        text,
    )
    if match is None:
        raise ValueError("label=kind@row.column, then !circuits/12 V pins and !group where known")
    key, label, kind, row, column, circuits, pins, group = match.groups()
    usual = next((port for k, port in PORT_SHAPE.items() if k == kind), None)
    if usual is None:
        raise ValueError(f"a port of one of {', '.join(PORT_SHAPE)}")
    return {
        "key": key or label.lower(),
        "label": label.replace("_", " "),
        "kind": kind,
        "row": int(row),
        "column": int(column),
        "circuits": int(circuits or usual[0]),
        "pins_12v": int(pins or usual[1]),
        "group": group,
    }


def _say_port(p: Port) -> str:
    pins = "" if (p.circuits, p.pins_12v) == PORT_SHAPE[p.kind] else f"!{p.circuits}/{p.pins_12v}"
    group = "" if p.group is None else f"!{p.group}"
    label = p.label.replace(" ", "_")
    return f"{p.key}|{label}={p.kind}@{p.row}.{p.column}{pins}{group}"


#: Every word of a supply; the columns of its CSV.
SUPPLY_WORDS: tuple[Word, ...] = (
    numbers("rated", "rated_w", "W"),
    numbers("12v", "v12_a", "A"),
    numbers("5v", "v5_a", "A"),
    numbers("3.3v", "v3v3_a", "A"),
    numbers("standby", "v5sb_a", "A"),
    numbers("minus-12v", "vneg12_a", "A"),
    numbers("minus-5v", "vneg5_a", "A"),
    numbers("combined", "combined_w", "W"),
    Word("design", "design", "", one_of("3.1", "3.0", "classic")),
    Word("form", "form", "", one_of(*get_args(SupplyForm))),
    numbers("length", "length_mm", "mm"),
    Word("modular", "modular", "", one_of("fully", "semi", "not")),
    Word("regulation", "regulation", "", one_of("independent", "group")),
    Word("grade", "grade", "", one_of(*get_args(Grade))),
    Word("efficiency", "efficiency", "%", several(_point), listed(_say_point)),
    Word("fan-stands-to", "fan_off_share", "%", percent, said_percent),
    numbers("fan-stands-to-temp", "fan_off_degc", "°C"),
    Word("fan-side", "fan_side", "", one_of("wide", "end", "none")),
    numbers("hold-up", "hold_up_ms", "ms"),
    Word("made", "made", "", whole),
    Word("telemetry", "telemetry_lead", "", yes, said_yes),
    Word("family", "family"),
    Word("groups", "groups", "", several(_group), listed(_say_group)),
    Word("ports", "ports", "", several(_port), listed(_say_port)),
    Word("boxed", "in_box", "", box_of, say_in_line),
    Word("note", "note"),
)


def _amount(x: Amount, *_: Any) -> str:
    return number_word(x.likely)


def _percent(*said: Any) -> str:
    return number_word(said[-1])


def _design(n: float) -> str | None:
    return {3.0: "3.0", 3.1: "3.1"}.get(n)


def _year(n: float) -> str | None:
    return f"{n:g}" if n % 1 == 0 and 1985 <= n <= 2100 else None


def _ports(n: int, kind: str, *_: Any) -> tuple[int, str] | None:
    return (n, kind) if 1 <= n <= _MOST_PORTS else None


#: Numbers before a grade that are a mark's, and none of the supply's: shares in percent.
_MARKS = range(50, 100)
#: As a box, a label or a shop's page says it.
_ROWS = Rows(
    ("rated", "Q.w <max>?", 2.0, _amount),
    ("rated", "<max> _ Q.w", 2.6, lambda _, x: _amount(x)),
    ("rail", "3v3 _ Q.a", 4.0, lambda x: (3.3, x)),
    ("combined", "<combined> _ <max>? Q.w", 4.0, lambda _, __, x: _amount(x)),
    ("combined", "Q.w <combined>", 3.6, _amount),
    ("standby", "<standby> _ Q.a", 4.4, lambda _, x: _amount(x)),
    ("standby", "Q.a _ <standby>", 3.6, _amount),
    ("form", "<form>", 2.0, str),
    ("design", "design|atx|version|standard|revision N", 4.0, _design),
    ("design", "atx v N", 5.0, _design),
    # `3` alone is a number of something.
    ("design", "3.0", 1.0, lambda: "3.0"),
    ("design", "3.1", 1.0, lambda: "3.1"),
    ("design", "<classic>", 2.6, lambda _: "classic"),
    ("grade", "<grade>", 2.2, str),
    # A number before a grade belongs to a mark, and is no figure.
    ("grade", "N * <grade>", 3.4, lambda n, grade: grade if n in _MARKS else None),
    ("grade", "N <grade>", 3.0, lambda n, grade: grade if n in _MARKS else None),
    ("modular", "<modular>", 2.4, str),
    ("which modular", "<which_modular>", 1.0, lambda _: ""),
    ("regulation", "<regulation>", 2.0, str),
    ("hold-up", "<hold_up> _ Q.ms", 3.6, lambda _, x: _amount(x)),
    ("hold-up", "Q.ms <hold_up>", 3.6, _amount),
    ("fan-stands-to", "<stands> _ N %", 4.0, _percent),
    ("fan-stands-to", "N % <stands>", 3.4, lambda n, _: number_word(n)),
    ("stands to watts", "<stands> _ Q.w", 4.4, lambda _, x: x.likely),
    ("fan-stands-to-temp", "<stands> _ N ° c", 4.4, _percent),
    ("fan-side", "<fan_side>", 2.4, str),
    ("made", "<made> N", 2.6, lambda _, n: _year(n)),
    ("made", "N", 1.0, _year),
    ("telemetry", "<telemetry>", 1.8, lambda _: "yes"),
    ("length", "Q.mm long|deep?", 2.2, _amount),
    ("told", "Q.year <warranty>", 3.0, lambda *_: ""),
    ("told", "<warranty> _ Q.year", 3.0, lambda *_: ""),
    ("told", "<supply>", 0.8, lambda *_: ""),
    ("family of", "family *", 2.6, lambda: ""),
    ("ports", "I x? <port> <ports>", 4.0, _ports),
    ("ports", "I x? <port>", 3.0, _ports),
    ("ports", "<port> <ports>? :|x I", 4.6, lambda kind, *said: _ports(said[-1], kind)),
    ("leads", "I x? <port> <cable>", 4.6, _ports),
    ("plugs", "I x? <port> <plugs>", 4.6, _ports),
    ("plugs", "<port> <plugs>?", 0.6, lambda kind, _: (1, kind) if kind == "board-a" else None),
    ("leads", "<native> <port>", 5.0, lambda _, kind: (1, kind)),
    ("leads", "<native> <port> Q.w", 8.0, lambda _, kind, __: (1, kind)),
    ("leads", "<port> <cable>? Q.w", 7.0, lambda kind, *_: (1, kind) if kind == "16pin" else None),
    ("leads", "<port> <cable> x I", 4.6, lambda kind, _, n: (n, kind)),
    ("leads", "I <port> <plugs> on I <cable>", 8.0, lambda _, kind, __, n, ___: (n, kind)),
    ("leads", "with <port>", 3.0, lambda kind: (1, kind) if kind == "16pin" else None),
    ("ports", "I <ports> for <port>", 6.0, lambda n, _, kind: _ports(n, kind)),
    ("ports", "I for <port>", 4.0, _ports),
    ("combined", "<combined> N / N Q.w", 8.0, lambda *said: _amount(said[-1])),
    ("form", "flex atx", 5.0, lambda: "Flex ATX"),
    ("told", "with I <cable>", 5.0, lambda *_: ""),
    ("no ports", "<ports> <port>?", 0.2, lambda *_: ""),
)
_WORDS = "words of a supply: its W, A, mm, design, ports"
_SPOKEN = Grammar(_ROWS, _WORDS, (rails, dimensions))


def read_supply(line: str, own: Mapping[str, str] = NO_WORDS) -> Supply:
    """`"Sandling 750" 750 W 3.1 ATX gold 12 V 62 A: 5 processor or graphics, 1 16-pin, 4 drive
    ports`. Raises Unread."""
    given, rest = pairs_of(line, SUPPLY_WORDS)
    if not rest:
        return supply_of(given)

    def make(told: Told) -> Supply:
        said, ports = _said(told), _panel(told)
        if twice := sorted(said.keys() & given.keys()):
            raise Unread([(twice[0], "each figure once", "it twice")])
        values = said | given
        if not values.keys() - {"note", "name", "family"} and not ports:
            raise Unread([("rated", "what its label says, as 850 W", repr(rest)[:60])])
        name = told.name or (f"{values['rated']} W supply" if "rated" in values else "")
        values.setdefault("name", name)
        return supply_of(values, ports)

    return read_by(rest, _SPOKEN, make, own)


def _said(told: Told) -> dict[str, str]:
    """Word → value of what is said. Raises Misread, Unread."""
    values: dict[str, str] = {}
    known = {w.word for w in SUPPLY_WORDS}
    for slot in told.slots:
        if slot.role not in known or slot.role == "ports":
            continue
        if values.setdefault(slot.role, slot.value) != slot.value:
            raise Unread([(f"{slot.role} {slot.value}", _WORDS, "two of them")])
    if told.of("which modular"):
        raise Unread([("modular", "fully, semi or not modular", "which of them is not said")])
    for slot in told.of("rail"):
        volts, x = slot.value
        word = {12: "12v", 5: "5v", 3.3: "3.3v", -12: "minus-12v", -5: "minus-5v"}.get(volts)
        if word is None or word in values:
            raise Misread
        values[word] = number_word(x.likely if x.unit == "a" else round(x.likely / abs(volts), 2))
    for slot in told.of("dimensions"):
        values.setdefault("length", number_word(_length(slot.value)))
    for slot in told.of("stands to watts"):
        if "rated" not in values:
            raise Misread
        values["fan-stands-to"] = number_word(round(100 * slot.value / number(values["rated"]), 2))
    for slot in told.of("family of"):
        values["family"] = told.text(slot).partition(" ")[2]
    note = [told.note] if told.note else []
    note += [told.text(s) for s in told.of("leads", "plugs")]
    if note:
        values["note"] = ", ".join(note)
    return values


#: Width and height of a supply by its form [mm]; what is left of three sizes is its length.
#: Source: the forms' standards.
_ACROSS = ((150, 86), (125, 63.5), (85, 65), (81.5, 40.5), (125, 64))


def _length(sizes: tuple[float, ...]) -> float:
    """A supply's length of its three sizes. Raises Misread where none tells."""
    for width, height in _ACROSS:
        left = list(sizes)
        if width in left and height in left and len(left) == 3:
            left.remove(width)
            left.remove(height)
            return left[0]
    raise Misread


def _panel(told: Told) -> list[dict[str, Any]]:
    """The panel by its ports; or a port for each lead that comes off, where no port is said."""
    own = told.of("ports")
    leads = told.of("leads")
    if any(s.value == "not" for s in told.of("modular")):
        return []
    if leads:
        own = [s for s in own if told.line.of_role(s.to - 1, "ports")] or [*own, *leads]
    kinds: list[PortKind] = []
    for slot in own:
        n, kind = slot.value
        if kind == "board-a" and n == 2:  # the two halves of the board's plug
            kinds += ["board-a", "board-b"]
        else:
            kinds += [kind] * n
    last: Counter[str] = Counter()
    ports: list[dict[str, Any]] = []
    for i, kind in enumerate(kinds):
        last[_LETTER[kind]] += 1
        label = f"{_LETTER[kind]}{last[_LETTER[kind]]}"
        row, column = divmod(i, _MOST_PORTS)
        circuits, pins = PORT_SHAPE[kind]
        port = {"key": label.lower(), "label": label, "kind": kind, "row": row, "column": column}
        ports.append(port | {"circuits": circuits, "pins_12v": pins})
    return ports


def supply_of(values: dict[str, str], ports: list[dict[str, Any]] | None = None) -> Supply:
    """A supply by its words' values. Raises Unread."""
    fields = fields_of(SUPPLY_WORDS, values) | {"name": values.get("name", "")}
    fields.setdefault("family", f"of {fields['name']}"[:60])
    fields.setdefault("ports", ports or [])
    supply = made(Supply, fields)
    contradicted = label_problems(supply)
    if supply.modular in ("fully", "semi") and not supply.ports:
        contradicted.append(("ports", "the ports of a supply whose cables come off", "none"))
    if contradicted:
        raise Unread(contradicted)
    return supply


def read_kit_lines(
    text: str, own: Mapping[str, str] = NO_WORDS
) -> tuple[Supply, tuple[Cable, ...]]:
    """A supply in the first line, a kind of cable in each line below. Raises Unread that names the
    line."""
    lines = [(i + 1, line.strip()) for i, line in enumerate(text.splitlines()) if line.strip()]
    if not lines:
        raise Unread([("line 1", "the supply: its name, watts, design, ports", "nothing")])
    wrong: list[tuple[str, str, str]] = []
    supply: Supply | None = None
    try:
        supply = read_supply(lines[0][1], own)
    except Unread as error:
        wrong += [(f"line {lines[0][0]}, {f}", r, g) for f, r, g in error.problems]
    cables: list[Cable] = []
    for n, line in lines[1:]:
        try:
            count, cable = read_cable(line, supply.family if supply else "x", own)
            cables += _numbered(cables, count, _at_home(cable, supply) if supply else cable)
        except Unread as error:
            wrong += [(f"line {n}, {f}", r, g) for f, r, g in error.problems]
    if wrong or supply is None:
        raise Unread(wrong)
    return supply, tuple(cables)


def _at_home(cable: Cable, supply: Supply) -> Cable:
    """A cable as it belongs to this supply's panel: fixed where the panel has no port for it, by
    two graphics ports where there is none for 16 pins, by one port where the board has one."""
    there = {p.kind for p in supply.ports}
    both = "processor-graphics" in there
    needs = cable.needs
    if not there or supply.modular == "not":
        needs = ()
    elif needs == ("16pin",) and "16pin" not in there and (both or "graphics" in there):
        end = cable.supply_end.model_copy(update={"circuits": 8})
        cable, needs = cable.model_copy(update={"supply_end": end}), ("graphics", "graphics")
    elif needs == ("board-a", "board-b") and "board-b" not in there and "board-a" in there:
        needs = ("board-a",)
    elif supply.modular == "semi" and not all(
        n in there or (both and n in ("processor", "graphics")) for n in needs
    ):
        needs = ()
    if needs == cable.needs:
        return cable
    return cable.model_copy(
        update={"needs": needs} | ({} if needs else {"supply_end": SupplyEnd()})
    )


def _numbered(before: list[Cable], count: int, cable: Cable) -> list[Cable]:
    """So many cables, each with a key of its own, numbered where there are several of a name."""
    keys = {c.key for c in before}
    names = [re.sub(r" [0-9]+(?=$|, )", "", c.name) for c in before]
    cables = []
    for _ in range(count):
        n = 1
        while (key := cable.key if n == 1 and count == 1 else f"{cable.key}-{n}") in keys:
            n += 1
        keys.add(key)
        of_name = names.count(cable.name) + 1
        names.append(cable.name)
        bare, comma, rest = cable.name.partition(", ")
        alone = count == 1 and of_name == 1
        name = cable.name if alone else f"{bare} {of_name}{comma}{rest}"
        cables.append(cable.model_copy(update={"key": key, "name": name}))
    return cables


def say_supply(supply: Supply) -> str:
    """The line of a supply; it reads back to the same."""
    values = values_of(SUPPLY_WORDS, supply)
    return line_of(supply.name, values)


__all__ = ["SUPPLY_WORDS", "read_kit_lines", "read_supply", "say_supply", "supply_of"]
