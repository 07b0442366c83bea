"""A cable said in a line, as a box lists it: `2 processor 4+4 700mm`, `sata x4 450+120mm 18awg`.

What a box does not say is what is usual for the plug (pins and conductors), or not known (gauge).
"""

from __future__ import annotations

import re
from itertools import accumulate
from typing import Any, get_args

from ...standards.connectors import (
    CONNECTORS,
    PINS,
    PLUG_OF,
    PLUGS,
    Connector,
    PlugKind,
    Sense,
    is_coded,
)
from ...things.cables import Cable, Plug, RailPins, SupplyEnd
from ..lexer import QUOTED, quoted, unquoted
from ..printer import number_word
from .lines import Unread, made, number, one_of

#: Word of a plug → its kind. Longer ones first: `20+4` before `4`.
_PLUG_WORDS: dict[str, PlugKind] = {
    "20+4": "atx20+4",
    "4+4": "eps4+4",
    "6+2": "pcie6+2",
    **{w: PLUG_OF[c.kind] for c in CONNECTORS.values() for w in c.said_of_plug},
}
#: Which cable it is, by the word in front of its plugs; the plug where none is said.
_CABLES: dict[str, PlugKind] = {
    "board": "atx20+4",
    "processor": "eps4+4",
    "cpu": "eps4+4",
    "card": "pcie6+2",
    "graphics": "pcie6+2",
    "drive": "sata",
}
_CODES: dict[str, Sense] = {
    "600": "both_grounded",
    "450": "sense1_grounded",
    "300": "sense0_grounded",
    "150": "joined",
}
_RAILS = {"12v": "v12", "5v": "v5", "3.3v": "v3v3", "5vsb": "v5sb", "ground": "ground"}
_MOST = 12


def usual_pins(connector: Connector) -> RailPins:
    """Pins and conductors of a cable, usually: as many as the plug has; of a drive lead one a rail
    and two of ground. Source: the usual cables of the field."""
    whole = PINS[connector.kind]
    if connector.family != "drive":
        return RailPins(**whole)
    return RailPins(v12=1, v5=1, v3v3=min(whole["v3v3"], 1), ground=2)


# -- reading -----------------------------------------------------------------------------------


def read_cable(line: str, family: str) -> tuple[int, Cable]:
    """How many, and the cable. Raises Unread."""
    words = _Words(line)
    name, settings = words.name(), words.settings()
    count = words.count()
    gauge, insulation = words.number(r"([0-9]{2}) ?awg"), words.number(r"([0-9.]{2,5}) ?°?c")
    plugs = read_plugs(settings.pop("plugs")) if "plugs" in settings else words.plugs()
    kind: PlugKind = plugs[0]["kind"]
    connector = CONNECTORS[PLUGS[kind].whole]
    own = connector.cable
    chained = ", chained" if connector.chains and len(plugs) > 1 else ""
    ends, wires = settings.pop("end", None), settings.pop("wires", None)
    fixed = words.flag("fixed")
    needs = settings.pop("needs", None)
    fields: dict[str, Any] = {
        "key": settings.pop("key", own.key),
        "family": settings.pop("family", family),
        "name": name or own.name + chained,
        "note": settings.pop("note", ""),
        "needs": () if fixed else own.needs if needs is None else needs.split("+"),
        "supply_end": _end(ends) if ends else {} if fixed else _usual_end(connector),
        "conductors": read_pins(wires) if wires else usual_pins(connector),
        "gauge": gauge,
        "plugs": plugs,
        "insulation_degc": insulation,
    }
    words.nothing_left()
    return count, made(Cable, fields)


def _usual_end(connector: Connector) -> dict[str, Any]:
    grade = "high" if connector.coded else "standard"
    return {"circuits": connector.cable.circuits, "pins": usual_pins(connector), "grade": grade}


class _Words:
    """A line whose words are taken out one after the other."""

    def __init__(self, line: str) -> None:
        self.line = line
        self.rest = line

    def _take(self, pattern: str) -> re.Match[str] | None:
        match = re.search(pattern, self.rest, re.IGNORECASE)
        if match:
            self.rest = f"{self.rest[: match.start()]} {self.rest[match.end() :]}".strip()
        return match

    def name(self) -> str:
        name = self._take(rf"(?<![:\S]){QUOTED}")
        return unquoted(name.group()) if name else ""

    def count(self) -> int:
        """`2x ` or `2 processor` in front; `3 sata cables`."""
        self.rest = self.rest.replace("−", "-").replace("×", "x")
        kinds = "|".join(_CABLES)
        match = self._take(
            rf"^([0-9]{{1,2}})(?: ?x(?= )| (?=(?:{kinds})\b)| (?=\S+(?:-pin)? cables?\b)"
            r"| (?=\S+ (?:x ?[0-9]|[0-9]{1,2} plugs)))"
        )
        n = int(match[1]) if match else 1
        if not 1 <= n <= _MOST:
            raise Unread([("count", f"1 to {_MOST} cables", str(n))])
        return n

    def settings(self) -> dict[str, str]:
        settings = {}
        while m := self._take(rf"(?<!\S)(key|family|needs|end|wires|plugs|note):({QUOTED}|\S+)"):
            settings[m[1].lower()] = unquoted(m[2]) if m[2].startswith('"') else m[2]
        return settings

    def flag(self, word: str) -> bool:
        return self._take(rf"\b{word}\b") is not None

    def number(self, pattern: str) -> float | None:
        match = self._take(rf"(?<![\w.]){pattern}(?!\w)")
        return float(match[1]) if match else None

    def plugs(self) -> list[dict[str, Any]]:
        """Plugs in order, each with its distance from the supply."""
        away = self._distances()
        code = self._take(r"(?<!\w)(150|300|450|600) ?w(?:atts?)?\b")
        straight = self._take(r"\bstraight[: ] ?([0-9.]+) ?(?:mm)?")
        cable = self._take(rf"\b({'|'.join(_CABLES)})\b")
        kinds = self._kinds() or ([_CABLES[cable[1].lower()]] if cable else [])
        several = self._take(r"\b([0-9]{1,2}) plugs?\b")
        if not kinds:
            raise Unread([("plug", f"one of {', '.join(_PLUG_WORDS)}", repr(self.line)[:60])])
        if several and len(kinds) == 1:
            kinds = kinds * int(several[1])
        if not away:
            wanted = "the distance of its plugs, as 600 mm, or 600/750 or 600+150 for several"
            raise Unread([("length", wanted, repr(self.line)[:60])])
        self._take(r"\bcables?\b")
        self._take(r"\b(?:each|plugs?|chained|with|of|pin)\b")
        plugs: list[dict[str, Any]] = []
        for i, (kind, at) in enumerate(zip(kinds, _spread(away, len(kinds)), strict=True), 1):
            plug: dict[str, Any] = {"key": f"p{i}", "kind": kind, "at_mm": at}
            if is_coded(PLUGS[kind].whole):
                plug |= {"grade": "high", "sense": _CODES[code[1]] if code else None}
                plug |= {"straight_mm": float(straight[1])} if straight else {}
            plugs.append(plug)
        return plugs

    def _kinds(self) -> list[PlugKind]:
        """`sata x4`, `4 sata`, `2x 6+2`, `3 sata + 1 peripheral`."""
        words = "|".join(re.escape(w) for w in sorted(_PLUG_WORDS, key=len, reverse=True))
        item = (
            rf"(?<![\w.+])(?:([0-9]{{1,2}})(?: ?x ?| ))?({words})(?:[- ]?pins?)?(?![\w.+])"
            r"(?: ?x ?([0-9]{1,2}))?"
        )
        plug_kinds: list[PlugKind] = []
        while m := self._take(item):
            plug_kinds += [_PLUG_WORDS[m[2].lower()]] * int(m[1] or m[3] or 1)
            if len(plug_kinds) > _MOST:
                raise Unread([("plugs", f"at most {_MOST} plugs", str(len(plug_kinds)))])
        return plug_kinds

    def _distances(self) -> list[float]:
        """`600 mm`, `600/750 mm` from the supply, `600+150+150 mm` from plug to plug."""
        n = r"[0-9]{2,4}(?:\.[0-9]+)?"
        match = self._take(rf"(?<![\w.+])({n}(?: ?mm)?(?: ?[/+,] ?{n}(?: ?mm)?)*) ?mm\b")
        if match is None:
            return []
        text = re.sub(r"mm|\s", "", match[1])
        if "+" in text:
            return list(accumulate(float(t) for t in text.split("+")))
        return [float(t) for t in re.split("[/,]", text)]

    def nothing_left(self) -> None:
        rest = re.sub(r"[,;+]", " ", self.rest).strip()
        if rest:
            raise Unread([(rest[:60], "words of a cable: its plugs, mm, awg, W", "not understood")])


def _spread(away: list[float], plugs: int) -> list[float]:
    """Distances of so many plugs; where fewer are said, the last step again and again."""
    if len(away) == 1 and plugs > 1:
        wanted = f"the distance of each of its {plugs} plugs, as 450+120"
        raise Unread([("length", wanted, f"{away[0]:g} mm")])
    if len(away) > plugs:
        raise Unread([("length", f"{plugs} distances, as it has plugs", str(len(away)))])
    step = away[-1] - away[-2] if len(away) > 1 else 0.0
    return away + [away[-1] + step * (i + 1) for i in range(plugs - len(away))]


def read_plugs(text: str) -> list[dict[str, Any]]:
    """`a=pcie6+2@600!high,…` with what else is known of each behind `!`."""
    plugs = []
    for item in text.split(","):
        head, *more = item.split("!")
        match = re.fullmatch(r"([a-z0-9-]+)=(.+)@([0-9.]+)", head)
        if match is None:
            raise Unread([("plugs", "key=kind@mm, commas between", repr(item)[:60])])
        try:
            kind, away = one_of(*get_args(PlugKind))(match[2]), number(match[3])
        except ValueError as error:
            raise Unread([("plugs", str(error), repr(item)[:60])]) from error
        plug: dict[str, Any] = {"key": match[1], "kind": kind, "at_mm": away}
        for word in more:
            name, _, value = word.partition("=")
            if name not in _PLUG_MORE:
                raise Unread([("plugs", f"one of {', '.join(_PLUG_MORE)}", repr(word)[:60])])
            plug[_PLUG_MORE[name]] = None if value == "?" else value
        plugs.append(plug)
    return plugs


#: Word → field of a plug, in the long form.
_PLUG_MORE = {
    "grade": "grade",
    "pins": "pins_12v",
    "amps": "contact_a",
    "sense": "sense",
    "straight": "straight_mm",
    "matings": "matings",
}


def read_pins(text: str) -> dict[str, int]:
    """`12v=3,ground=3`."""
    pins = {}
    for item in text.split(","):
        rail, _, n = item.partition("=")
        if rail not in _RAILS or not n.isdigit():
            raise Unread([("pins", f"{', '.join(_RAILS)} with a number", repr(item)[:60])])
        pins[_RAILS[rail]] = int(n)
    return pins


def _end(text: str) -> dict[str, Any]:
    """`8!high!12v=3,ground=3`."""
    circuits, grade, pins = [*text.split("!"), "", ""][:3]
    if not circuits.isdigit():
        raise Unread([("end", "circuits!grade!12v=…", repr(text)[:60])])
    more = {"pins": read_pins(pins)} if pins else {}
    return {"circuits": int(circuits), "grade": None if grade == "?" else grade, **more}


# -- printing ----------------------------------------------------------------------------------


def say_cable(cable: Cable) -> str:
    """The line of a cable, in the long form; it reads back to the same."""
    connector = CONNECTORS[PLUGS[cable.plugs[0].kind].whole]
    words = [quoted(cable.name), f"key:{cable.key}"]
    if not cable.needs:
        words.append("fixed")
    elif cable.needs != connector.cable.needs:
        words.append("needs:" + "+".join(cable.needs))
    if cable.supply_end != (made(SupplyEnd, _usual_end(connector)) if cable.needs else SupplyEnd()):
        end = cable.supply_end
        pins = say_pins(end.pins)
        words.append(f"end:{end.circuits}!{end.grade or '?'}" + (f"!{pins}" if pins else ""))
    if cable.conductors != usual_pins(connector):
        words.append(f"wires:{say_pins(cable.conductors) or 'ground=0'}")
    words += [f"{cable.gauge}awg"] if cable.gauge is not None else []
    if cable.insulation_degc is not None:
        words.append(f"{number_word(cable.insulation_degc)}c")
    words.append("plugs:" + ",".join(map(say_plug, cable.plugs)))
    words += ["note:" + quoted(cable.note)] if cable.note else []
    return " ".join(words)


def say_pins(pins: RailPins) -> str:
    return ",".join(f"{w}={n}" for w, rail in _RAILS.items() if (n := pins.of(rail)))


def say_plug(plug: Plug) -> str:
    more = [
        f"!{w}={'?' if v is None else number_word(v) if isinstance(v, int | float) else v}"
        for w, f in _PLUG_MORE.items()
        if (v := getattr(plug, f)) != Plug.model_fields[f].get_default()
    ]
    return f"{plug.key}={plug.kind}@{number_word(plug.at_mm)}{''.join(more)}"
