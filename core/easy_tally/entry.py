"""The entry line: a part as a builder would say it, in words, counts and units.

    fan 120 0.18a x5          card 320w 2x8             4x disk 8w
    ddr5 x2                   16pin card 450w slot 20w  processor 125w short 180w "Plover"

Grammar. Words in any order, capitals or not:
- one **kind**: board processor memory card m.2 disk drive ssd optical floppy fan pump cooler hub
  strip usb load (and their common other names); `ddr5` alone says memory;
- a **count**: `x5` or `5x`;
- **sockets**: `16pin`, `8pin`, `2x8` (two 8-pin), `6pin`, `sata`, `4pin`, `header`, `slot-only`;
- a **number with its unit**: `320w`, `0.18a`, `180ma`, `120mm`, `3.5in`, `8lanes`, `12v`; three
  numbers `300/320/345w` are low, likely and high;
- a **named figure**, the word before its number: `slot 20w`, `idle 15w`, `short 180w`,
  `floor 750w`, `start 2a`, and a rail, `12v 0.5a`;
- a **name** in double quotes.

A bare number is a fan's millimetres or a drive's inches; anywhere else it is asked about. Every
word must be accounted for; what could be two things is asked, never guessed.
"""

from __future__ import annotations

import re
from dataclasses import dataclass, field
from typing import Any

from pydantic import TypeAdapter, ValidationError

from .build import Build
from .files.problems import problems_of
from .loads import loads
from .parts import ON_HEADER, Part
from .standards.connectors import CONNECTORS
from .tally import tally
from .wording import number

#: Longest line that is read, in characters.
MOST_CHARACTERS = 300

KINDS: dict[str, str] = {
    "board": "board", "motherboard": "board", "mainboard": "board",
    "processor": "processor", "cpu": "processor",
    "memory": "memory", "ram": "memory", "dimm": "memory", "module": "memory",
    "ddr5": "memory", "ddr4": "memory", "ddr3": "memory",
    "card": "card", "gpu": "card", "graphics": "card",
    "m.2": "m2", "m2": "m2", "nvme": "m2",
    "disk": "disk", "hdd": "disk", "harddisk": "disk", "drive": "drive", "ssd": "ssd",
    "optical": "optical", "dvd": "optical", "floppy": "floppy",
    "fan": "fan", "fans": "fan", "pump": "pump", "cooler": "cooler",
    "hub": "hub", "controller": "hub", "strip": "strip", "lights": "strip", "led": "strip",
    "usb": "usb", "load": "other", "other": "other",
}  # fmt: skip
GENERATIONS = {"ddr5": "ddr5", "ddr4": "ddr4", "ddr3": "ddr3", "registered": "registered"}
#: Named figure → (its unit, kind → field).
NAMED: dict[str, tuple[str, dict[str, str]]] = {
    "slot": ("w", {"card": "slot_w"}),
    "idle": ("w", {"card": "idle_w", "m2": "idle_w", "processor": "package_idle_w"}),
    "short": ("w", {"processor": "package_short_w"}),
    "floor": ("w", {"card": "system_floor_w"}),
    "start": ("a", {"drive": "start_12v_a"}),
}
#: Kind → the field that a bare figure of a unit sets.
FIGURES: dict[tuple[str, str], str] = {
    ("processor", "w"): "package_w", ("card", "w"): "board_power_w", ("memory", "w"): "module_w",
    ("m2", "w"): "full_w", ("usb", "w"): "draw_w", ("fan", "a"): "rated_a",
    ("pump", "a"): "rated_a", ("strip", "a"): "rated_a", ("hub", "w"): "own_w",
    ("cooler", "a"): "pump_a",
}  # fmt: skip
NAMES = {
    "board": "Board", "processor": "Processor", "card": "Card", "m2": "M.2 drive",
    "pump": "Pump", "cooler": "Liquid cooler", "hub": "Hub", "usb": "USB load", "other": "Load",
}  # fmt: skip
DRIVES = {
    "3.5": ("disk", "3.5-inch disk", "sata"), "2.5": ("drive", "2.5-inch drive", "sata"),
    "optical": ("optical", "Optical drive", "sata"), "floppy": ("floppy", "Floppy drive", "fdd4"),
}  # fmt: skip
#: How a disk's watts split where only their sum is said: 12 V to 5 V at equal amperes.
SPLIT_12V = 12 / 17

_NUMBER = r"[0-9]{1,7}(?:\.[0-9]{1,4})?"
_FIGURE = re.compile(rf"^({_NUMBER})(?:/({_NUMBER})/({_NUMBER}))?(w|a|ma|mm|in|lanes|v)$")
_COUNT = re.compile(r"^(?:x([0-9]{1,4})|([0-9]{1,4})x)$")
_SOCKETS = re.compile(r"^(?:([1-4])x)?(16|8|6)-?(?:pin)?$")
_UNITS = {"watt": "w", "watts": "w", "amp": "a", "amps": "a", "inch": "in", '"': "in",
          "lane": "lanes", "volt": "v", "volts": "v"}  # fmt: skip
_PART: TypeAdapter[Part] = TypeAdapter(Part)


@dataclass(frozen=True, slots=True)
class Entry:
    """What a line was understood as. `part` only when every word is accounted for and nothing
    is open; `unknown` are the words that are not; `question` asks, `choices` are whole lines."""

    part: Part | None
    understood: str = ""
    unknown: tuple[str, ...] = ()
    question: str = ""
    choices: tuple[str, ...] = ()


@dataclass(slots=True)
class _Said:
    """A line taken apart."""

    kinds: list[str] = field(default_factory=list)
    words: set[str] = field(default_factory=set)
    counts: list[int] = field(default_factory=list)
    sockets: list[str] = field(default_factory=list)
    figures: list[tuple[str, dict[str, Any]]] = field(default_factory=list)
    named: dict[str, tuple[str, dict[str, Any]]] = field(default_factory=dict)
    bare: list[str] = field(default_factory=list)
    unknown: list[str] = field(default_factory=list)
    name: str = ""


def parse(line: str) -> Entry:
    """Read one line. Never raises: what can't be read is in the answer."""
    if len(line) > MOST_CHARACTERS:
        return Entry(None, question=f"A line has at most {MOST_CHARACTERS} characters.")
    said = _take_apart(line)
    kinds = set(said.kinds)
    if kinds == {"fan", "hub"}:  # a fan controller
        kinds = {"hub"}
    if not kinds:
        more = tuple(said.unknown)
        return Entry(
            None, unknown=more, question="What kind of part is it?" if line.strip() else ""
        )
    if len(kinds) > 1:
        lines = tuple(_without(line, kinds - {k}) for k in sorted(kinds))
        return Entry(None, question="One kind of part a line: which is it?", choices=lines)
    if len(said.counts) > 1:
        return Entry(None, question="There are two counts; say one of them.")
    return _make(line, kinds.pop(), said)


def parse_list(text: str) -> tuple[tuple[str, Entry], ...]:
    """Read a list, one part a line; empty lines are left out."""
    lines = [line.strip() for line in text.splitlines()]
    return tuple((line, parse(line)) for line in lines if line)


def _without(line: str, kinds: set[str]) -> str:
    return " ".join(w for w in line.split() if KINDS.get(w.lower()) not in kinds)


def _take_apart(line: str) -> _Said:
    said = _Said()
    quoted = re.search(r'"([^"]{1,80})"', line)
    if quoted:
        said.name = quoted.group(1).strip()
        line = line[: quoted.start()] + " " + line[quoted.end() :]
    words = _joined(re.sub(r"(?<=[0-9]),(?=[0-9])", ".", line.lower().replace("×", "x")))
    i = 0
    while i < len(words):
        word, following = words[i], words[i + 1] if i + 1 < len(words) else ""
        figure = _FIGURE.match(word)
        after = _FIGURE.match(following)
        if word in NAMED and after and _unit(after) == NAMED[word][0] and word not in said.named:
            said.named[word] = (NAMED[word][0], _figure(after))
            i += 1
        elif figure and figure.group(4) == "v" and after and _unit(after) in ("w", "a"):
            said.named[f"{figure.group(1)}v"] = (_unit(after), _figure(after))
            i += 1
        elif figure:
            said.figures.append((_unit(figure), _figure(figure)))
        elif count := _COUNT.match(word):
            said.counts.append(int(count.group(1) or count.group(2)))
        elif (sockets := _SOCKETS.match(word)) and ("x" in word or "pin" in word):
            said.sockets += [sockets.group(2)] * int(sockets.group(1) or 1)
        elif re.fullmatch(_NUMBER, word):
            said.bare.append(word)
        else:
            _word(said, word)
        i += 1
    return said


def _word(said: _Said, word: str) -> None:
    known = False
    if word in KINDS:
        said.kinds.append(KINDS[word])
        known = True
    if word in GENERATIONS or word in _FED or word == "slot-only":
        said.words.add(word)
        known = True
    if not known:
        said.unknown.append(word)


_FED = {"sata": "sata", "4pin": "per4", "4-pin": "per4", "header": "header"}


def _joined(line: str) -> list[str]:
    """Words, with a number and its unit put together where a space stood between."""
    found: list[str] = []
    for word in line.replace(",", " ").split():
        word = re.sub(rf"^({_NUMBER})-?(inch|watts?|amps?|lane|volts?)$",
                      lambda m: m.group(1) + _UNITS.get(m.group(2), m.group(2)), word)  # fmt: skip
        unit = _UNITS.get(word, word)
        if found and re.fullmatch(rf"{_NUMBER}(/{_NUMBER}/{_NUMBER})?", found[-1]) and unit in (
            "w", "a", "ma", "mm", "in", "lanes", "v", "pin",
        ):  # fmt: skip
            found[-1] += unit
        else:
            found.append(word)
    return found


def _unit(match: re.Match[str]) -> str:
    return "a" if match.group(4) == "ma" else match.group(4)


def _figure(match: re.Match[str]) -> dict[str, Any]:
    low, likely, high = match.group(1), match.group(2), match.group(3)
    values = [float(low), float(likely), float(high)] if likely else [float(low)] * 3
    if match.group(4) == "ma":
        values = [v / 1000 for v in values]
    return {"low": values[0], "likely": values[1], "high": values[2], "origin": "maker", "note": ""}


def _make(line: str, kind: str, said: _Said) -> Entry:
    question = _open_question(line, kind, said)
    if question is not None:
        return question
    fields = _fields(kind, said)
    left = [*said.unknown, *said.bare, *(f"{v['likely']:g}{u}" for u, v in said.figures)]
    left += [*said.named, *(f"{s}pin" for s in said.sockets), *sorted(said.words)]
    if left:
        return Entry(None, unknown=tuple(left))
    try:
        part = _PART.validate_python(fields)
    except ValidationError as error:
        where, required, got = problems_of(error)[0]
        return Entry(None, question=f"{where.split('.')[-1]} needs {required}, got {got}.")
    return Entry(part, understood(part))


def _open_question(line: str, kind: str, said: _Said) -> Entry | None:
    """What has to be asked before a part can be made."""
    line = line.strip()
    if kind == "drive" and not _form(said):
        choices = tuple(f"{line} {w}" for w in ("3.5in", "2.5in"))
        return Entry(None, question="Which drive: 3.5-inch or 2.5-inch?", choices=choices)
    if kind == "ssd" and not _form(said):
        bare = _without(line, {"ssd"})
        choices = (f"{line} 2.5in", f"{bare} m.2".strip())
        return Entry(None, question="A 2.5-inch drive, or one in an M.2 slot?", choices=choices)
    if kind == "card" and not said.sockets and "slot-only" not in said.words:
        choices = tuple(f"{line} {w}" for w in ("16pin", "2x8", "8pin", "slot-only"))
        return Entry(None, question="Which power sockets does the card have?", choices=choices)
    if kind == "board" and not said.sockets:
        choices = tuple(f"{line} {w}" for w in ("8pin", "2x8"))
        return Entry(None, question="How many 8-pin processor sockets?", choices=choices)
    volts_said = any(u == "v" for u, _ in said.figures) or said.named.keys() & {"5v", "12v"}
    if kind == "strip" and not volts_said:
        choices = tuple(f"{line} {w}" for w in ("5v", "12v"))
        return Entry(None, question="A strip at 5 V or at 12 V?", choices=choices)
    if said.bare and kind not in ("fan", "drive", "disk", "ssd"):
        value = said.bare[0]
        choices = tuple(re.sub(rf"(?<!\S){re.escape(value)}(?!\S)", f"{value}{u}", line, count=1)
                        for u in ("w", "a") if (kind, u) in FIGURES)  # fmt: skip
        return Entry(None, question=f"{value} of what?", choices=choices)
    return None


def _form(said: _Said) -> str:
    for value in ("3.5", "2.5"):
        if value in said.bare or any(
            u == "in" and f"{v['likely']:g}" == value for u, v in said.figures
        ):
            return value
    return ""


def _fields(kind: str, said: _Said) -> dict[str, Any]:
    """Fields of the part; takes from `said` what it uses."""
    fields: dict[str, Any] = {"kind": kind, "key": kind, "name": NAMES.get(kind, kind)}
    if kind in ("disk", "drive", "ssd", "optical", "floppy"):
        fields = _drive_fields(kind, said)
        kind = "drive"
    elif kind == "memory":
        _memory_fields(fields, said)
    elif kind == "card":
        _card_fields(fields, said)
    elif kind == "board":
        _board_fields(fields, said)
    elif kind == "fan":
        size = _bare_or_unit(said, "mm") or 120
        fields |= {"size_mm": size, "name": f"Fan {size:g} mm"}
        _fan_watts(said)
    elif kind == "strip":
        at = _strip_volts(said) or 5
        fields |= {"volts": at, "name": f"Light strip {at:g} V"}
    elif kind == "other":
        for rail, name in (("12v", "v12_w"), ("5v", "v5_w"), ("3.3v", "v3v3_w")):
            if rail in said.named and said.named[rail][0] == "w":
                fields[name] = said.named.pop(rail)[1]
    _fed(fields, kind, said)
    for word in list(said.named):
        unit, where = NAMED.get(word, ("", {}))
        if kind in where and said.named[word][0] == unit:
            fields[where[kind]] = said.named.pop(word)[1]
    for unit in ("w", "a"):
        if (kind, unit) in FIGURES and (value := _take_figure(said, unit)):
            fields[FIGURES[kind, unit]] = value
    if said.name:
        fields["name"] = said.name
    fields["count"] = said.counts[0] if said.counts else 1
    return fields


def _take_figure(said: _Said, unit: str) -> dict[str, Any] | None:
    """The only figure of a unit, taken out; two of one unit stay, to be told apart by the user."""
    found = [v for u, v in said.figures if u == unit]
    if len(found) != 1:
        return None
    said.figures = [(u, v) for u, v in said.figures if u != unit]
    return found[0]


def _bare_or_unit(said: _Said, unit: str) -> float | None:
    value = _take_figure(said, unit)
    if value is not None:
        return float(value["likely"])
    return float(said.bare.pop()) if len(said.bare) == 1 else None


def _strip_volts(said: _Said) -> float | None:
    """Volts of a strip, said alone or before its amperes."""
    for rail in ("12v", "5v"):
        if rail in said.named and said.named[rail][0] == "a":
            said.figures.append(said.named.pop(rail))
            return float(rail[:-1])
    volts = _take_figure(said, "v")
    return float(volts["likely"]) if volts else None


def _fan_watts(said: _Said) -> None:
    """A fan's watts are its amperes × 12 V."""
    watts = _take_figure(said, "w")
    if watts:
        said.figures.append(("a", watts | {k: watts[k] / 12 for k in ("low", "likely", "high")}))


def _memory_fields(fields: dict[str, Any], said: _Said) -> None:
    generations = said.words & {"ddr5", "ddr4", "ddr3"}
    generation = generations.pop() if len(generations) == 1 else "ddr5"
    said.words -= {generation}
    name = f"Memory {generation.upper()} module"
    # Earlier kinds come from 12 V registered or not; the word changes nothing there.
    if "registered" in said.words and generation == "ddr5":
        generation = "ddr5-registered"
    said.words -= {"registered"}
    fields |= {"generation": generation, "name": name}


def _card_fields(fields: dict[str, Any], said: _Said) -> None:
    kinds = {"16": "16pin", "8": "pcie8", "6": "pcie6"}
    fields["sockets"] = [
        {"key": "abcdefgh"[i], "kind": kinds[s]} for i, s in enumerate(said.sockets[:8])
    ]
    said.sockets = said.sockets[8:]
    said.words -= {"slot-only"}
    if lanes := _take_figure(said, "lanes"):
        fields["lanes"] = lanes["likely"]


def _board_fields(fields: dict[str, Any], said: _Said) -> None:
    eights = [s for s in said.sockets if s == "8"]
    said.sockets = [s for s in said.sockets if s != "8"]
    cpu = [{"key": f"cpu-{i + 1}", "kind": "eps8", "required": i == 0} for i in range(len(eights))]
    fields |= {
        "sockets": [{"key": "main", "kind": "atx24"}, *cpu],
        "slots": [{"key": "slot-1"}],
        "headers": [{"key": f"fan-{n}"} for n in (1, 2, 3, 4)],
    }


def _drive_fields(kind: str, said: _Said) -> dict[str, Any]:
    form = {"disk": "3.5", "optical": "optical", "floppy": "floppy"}.get(kind, "") or _form(said)
    stated = _form(said)
    if stated == form:
        if stated in said.bare:
            said.bare.remove(stated)
        else:
            _take_figure(said, "in")
    key, name, socket = DRIVES[form]
    fields: dict[str, Any] = {
        "kind": "drive", "key": key, "name": name, "form": form,
        "sockets": [{"key": "power", "kind": socket}],
    }  # fmt: skip
    said.words -= {"sata"} if socket == "sata" else set()
    for rail, target in (("12v", "run_12v_a"), ("5v", "run_5v_a")):
        if rail in said.named and said.named[rail][0] == "a":
            fields[target] = said.named.pop(rail)[1]
    watts = None if "run_12v_a" in fields or "run_5v_a" in fields else _take_figure(said, "w")
    if watts:
        shares = ((SPLIT_12V, 12.0, "run_12v_a"), (1 - SPLIT_12V, 5.0, "run_5v_a"))
        for share, volts, target in shares if form != "2.5" else ((1.0, 5.0, "run_5v_a"),):
            note = "" if share == 1 else f"{watts['likely']:g} W in all, split at equal amperes"
            scaled = {k: round(watts[k] * share / volts, 4) for k in ("low", "likely", "high")}
            fields[target] = scaled | {"origin": "maker" if share == 1 else "assumed", "note": note}
    return fields


def _fed(fields: dict[str, Any], kind: str, said: _Said) -> None:
    """What feeds a pump, cooler, hub or strip: a plug, or a header."""
    if kind not in ("fan", "pump", "cooler", "hub", "strip", "other"):
        return
    plugs = [w for w in said.words if w in _FED]
    if len(plugs) == 1:
        said.words -= {plugs[0]}
        if plugs[0] != "header":
            fields["sockets"] = [{"key": "power", "kind": _FED[plugs[0]]}]
    elif not plugs and kind in ("cooler", "hub"):
        fields["sockets"] = [{"key": "power", "kind": "sata"}]
    if kind == "hub":
        fields["outputs"] = [{"key": f"out-{n}"} for n in (1, 2, 3, 4)]


def _socket_words(part: Part) -> list[str]:
    kinds = [s.kind for s in part.sockets]
    return [
        f"{n} × {CONNECTORS[k].words}" if (n := kinds.count(k)) > 1 else CONNECTORS[k].words
        for k in dict.fromkeys(kinds)
    ]


def understood(part: Part) -> str:
    """A part in a sentence: count, name, sockets, watts in all."""
    if isinstance(part, ON_HEADER):
        part = part.model_copy(update={"headers": (), "on": None})
    build = Build(name="x", parts=(part,))
    full = tally(build, loads(build)).total
    watts = full.at("full")
    fed = "".join(f", {words}" for words in _socket_words(part))
    each = f"{part.count} × " if part.count > 1 else ""
    if full.missing:
        return f"{each}{part.name}{fed}: watts not known yet"
    return f"{each}{part.name}{fed}: {number(watts.likely, 'W')} in all"
