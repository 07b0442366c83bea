"""A supply said in a line as its box and its label say it, its cables in lines below it."""

from __future__ import annotations

import re
from typing import Any, get_args

from ...standards.connectors import PortKind
from ...standards.efficiency import Grade
from ...standards.forms import SupplyForm
from ...things.cables import Cable, SupplyEnd
from ...things.labels import label_problems
from ...things.supply import EfficiencyPoint, Port, PortGroup, Supply
from ..printer import number_word
from .cables import read_cable
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

#: Kind → circuits and 12 V pins of a port as usual. Source: the usual panels of the field.
_USUAL_PORT: dict[PortKind, tuple[int, int]] = {
    "board-a": (18, 1),
    "board-b": (10, 1),
    "processor": (8, 4),
    "graphics": (8, 3),
    "processor-graphics": (8, 4),
    "16pin": (12, 6),
    "drive": (6, 1),
}
_LETTER: dict[PortKind, str] = {
    "board-a": "B",
    "board-b": "B",
    "processor": "P",
    "graphics": "G",
    "processor-graphics": "C",
    "16pin": "H",
    "drive": "D",
}
#: As a box says it → the kind of port. The wider before the narrower.
_PORT_WORDS: tuple[tuple[str, PortKind], ...] = (
    (r"(?:processor|cpu) ?(?:or|/|\+|and) ?(?:graphics|card|pcie)", "processor-graphics"),
    (r"(?:graphics|card|pcie) ?(?:or|/|\+|and) ?(?:processor|cpu)", "processor-graphics"),
    (r"processor|cpu", "processor"),
    (r"graphics|card|pcie", "graphics"),
    (r"16[- ]?pin|12v-2x6", "16pin"),
    (r"drive|sata(?: ?/ ?peripheral)?|peripheral", "drive"),
    (r"board b", "board-b"),
    (r"board(?: a)?|24[- ]?pin", "board-a"),
)


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
    usual = next((port for k, port in _USUAL_PORT.items() if k == kind), None)
    if usual is None:
        raise ValueError(f"a port of one of {', '.join(_USUAL_PORT)}")
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
    pins = "" if (p.circuits, p.pins_12v) == _USUAL_PORT[p.kind] else f"!{p.circuits}/{p.pins_12v}"
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
    Word("note", "note"),
)
_N = r"([0-9]+(?:[.,][0-9]+)?)"
_A = r" ?a(?:mps?)?\b"
#: As a box or a label says it → the line's own words.
_SAID: tuple[tuple[str, str], ...] = (
    (r"\bsfx[- ]l\b", " form:SFX-L "),
    (r"\bsfx\b", " form:SFX "),
    (r"\btfx\b", " form:TFX "),
    (r"\bflex(?:[- ]atx)?\b", ' form:"Flex ATX" '),
    (r"\b(?:atx )?(?:design |revision )?(3\.[01])\b(?! ?[va])", r" design:\1 "),
    (r"\bclassic(?: design)?\b", " design:classic "),
    (r"\batx\b", " form:ATX "),
    (r"\b(fully|semi|not)[- ]modular\b", r" modular:\1 "),
    (r"\bnon[- ]modular\b", " modular:not "),
    (r"\b(independent|group)(?:ly|-|ed)? ?(?:regulat\w+|rails?)\b", r" regulation:\1 "),
    (rf"\b({'|'.join(get_args(Grade))})(?: grade)?\b", r" grade:\1 "),
    (rf"\b(?:5 ?v ?sb|\+5 ?vsb|standby)[: @]*{_N}{_A}", r" standby:\1 "),
    (rf"(?<!\w)[-−]12 ?v[: @]*{_N}{_A}", r" minus-12v:\1 "),
    (rf"(?<!\w)[-−]5 ?v[: @]*{_N}{_A}", r" minus-5v:\1 "),
    (rf"(?<![\w.-])\+?(12|5|3\.3) ?v[: @]*{_N}{_A}", r" \1v:\2 "),
    (rf"(?<![\w.]){_N}{_A} ?(?:@|at|on) ?\+?(12|5|3\.3) ?v\b", r" \2v:\1 "),
    (rf"\bcombined[: ]*{_N} ?w\b", r" combined:\1 "),
    (rf"\bhold[- ]?up[: ]*{_N} ?ms\b", r" hold-up:\1 "),
    (rf"\bfan (?:off|stands|stops)(?: to| up to| until| below)? {_N} ?%", r" fan-stands-to:\1 "),
    (
        rf"\bfan (?:off|stands|stops)(?: to| up to| until| below)? {_N} ?°c\b",
        r" fan-stands-to-temp:\1 ",
    ),
    (r"\b(?:made|built)(?: in)? ([12][0-9]{3})\b", r" made:\1 "),
    (r"\btelemetry(?: lead)?\b(?!:)", " telemetry:yes "),
    (rf"(?<![\w.]){_N} ?mm(?: long)?\b", r" length:\1 "),
    (rf"(?<![\w.:]){_N} ?w(?:atts?)?\b", r" rated:\1 "),
    (r"\bfamily ([^\s\",;:]+)", r" family:\1 "),
)


def read_supply(line: str) -> Supply:
    """`"Sandling 750" 750 W 3.1 ATX gold 12 V 62 A: 5 processor or graphics, 1 16-pin, 4 drive
    ports`. Raises Unread."""
    given, rest = pairs_of(line, SUPPLY_WORDS)
    ports, rest = _ports_said(rest)
    for pattern, word in _SAID:
        rest = re.sub(pattern, word, rest, flags=re.IGNORECASE)
    name = re.split(r"[,;]|(?<!\S)[a-z0-9.-]+:\S", rest, maxsplit=1)[0].strip(" :")
    if "name" not in given and name:
        rest = rest.strip().removeprefix(name)
    said, rest = pairs_of(rest, SUPPLY_WORDS)
    twice = sorted(said.keys() & given.keys())
    if twice:
        raise Unread([(twice[0], "each figure once", "it twice")])
    rest = re.sub(r"[,;:]|\b(?:supply|psu|power)\b", " ", rest, flags=re.IGNORECASE).strip()
    values = said | given
    values.setdefault("name", " ".join(name.split()))
    if rest:
        raise Unread([(rest[:60], "words of a supply: its W, A, mm, design, ports", "these")])
    return supply_of(values, ports)


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


def _ports_said(line: str) -> tuple[list[dict[str, Any]], str]:
    """Ports by number and kind, one row of the panel in the order in which they are said."""
    ports: list[dict[str, Any]] = []
    numbers: dict[str, int] = {}
    anything = "|".join(f"(?P<k{i}>{w})" for i, (w, _) in enumerate(_PORT_WORDS))
    pattern = (
        rf"(?<![\w.:])([0-9]{{1,2}}) ?x? ?(?:{anything})(?: (?:ports?|sockets?))?"
        r"(?=\s*(?:[,;:]|and\b|$))"
    )

    def take(match: re.Match[str]) -> str:
        said = next(k for i, (_, k) in enumerate(_PORT_WORDS) if match[f"k{i}"])
        n = min(int(match[1]), 20)
        kinds = [said] * n
        if said == "board-a" and n == 2:  # the two halves of the board's plug
            kinds = ["board-a", "board-b"]
        for kind in kinds:
            letter = _LETTER[kind]
            numbers[letter] = numbers.get(letter, 0) + 1
            label = f"{letter}{numbers[letter]}"
            circuits, pins = _USUAL_PORT[kind]
            ports.append(
                {
                    "key": label.lower(),
                    "label": label,
                    "kind": kind,
                    "row": len(ports) // 20,
                    "column": len(ports) % 20,
                    "circuits": circuits,
                    "pins_12v": pins,
                }
            )
        return " "

    rest = re.sub(pattern, take, line, flags=re.IGNORECASE)
    return ports, re.sub(r"(?:^|\s)(?:and|ports?)(?=\s|$)", " ", rest) if ports else rest


def read_kit_lines(text: str) -> tuple[Supply, tuple[Cable, ...]]:
    """A supply in the first line, a kind of cable in each line below. Raises Unread that names the
    line."""
    lines = [(i + 1, line.strip()) for i, line in enumerate(text.splitlines()) if line.strip()]
    if not lines:
        raise Unread([("line 1", "the supply: its name, watts, design, ports", "nothing")])
    wrong: list[tuple[str, str, str]] = []
    supply: Supply | None = None
    try:
        supply = read_supply(lines[0][1])
    except Unread as error:
        wrong += [(f"line {lines[0][0]}, {f}", r, g) for f, r, g in error.problems]
    cables: list[Cable] = []
    for n, line in lines[1:]:
        try:
            count, cable = read_cable(line, supply.family if supply else "x")
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
