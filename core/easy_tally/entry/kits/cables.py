"""A cable said in a line, as a box lists it: `2 processor 4+4 700mm`, `sata x4 450+120mm 18awg`.

What a box does not say is what is usual for the plug (pins and conductors), or not known (gauge).
"""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from typing import Any, cast, get_args

from ...standards.connectors import CONNECTORS, PLUGS, Connector, PlugKind, Sense, is_coded
from ...standards.unmeasured import lead_pins
from ...things.cables import Cable, Plug, RailPins, SupplyEnd
from ..line import Amount, Misread, Rows
from ..own import NO_WORDS
from ..printer import number_word
from ..strict.lexer import quoted
from .heard import Grammar, Told, lengths, read_by
from .lexicon import BY_USE
from .lines import Unread, Word, made, number, one_of, pairs_of

_CODES: dict[str, Sense] = {
    "600": "both_grounded",
    "450": "sense1_grounded",
    "300": "sense0_grounded",
    "150": "joined",
}
_RAILS = {"12v": "v12", "5v": "v5", "3.3v": "v3v3", "5vsb": "v5sb", "ground": "ground"}
_MOST = 12


def usual_pins(connector: Connector) -> RailPins:
    """Pins and conductors of a cable, usually."""
    return RailPins(**lead_pins(connector))


# -- reading -----------------------------------------------------------------------------------


def _plugs(n: int | None, *said: Any) -> tuple[int, str] | None:
    kind = next((s for s in said if s), "")
    return (_one_if_none(n), kind) if _one_if_none(n) <= _MOST else None


def _mm(x: Amount) -> float:
    return round(x.likely * 25.4) if x.unit == "in" else x.likely


def _one_if_none(n: int | None) -> int:
    return 1 if n is None else n


def _by_use(use: str, n: float, *_: Any) -> str | None:
    return BY_USE.get((use, int(n)))


def _of_use(n: int | None, use: str, pins: float, *_: Any) -> tuple[int, str] | None:
    kind = _by_use(use, pins)
    return None if kind is None else (_one_if_none(n), kind)


def _spoken() -> Rows:
    return Rows(
        # How many cables, each as it is.
        ("cables", "I x", 1.2, int),
        ("cables use", "I x? <filler>? <use>", 2.8, lambda n, _, use: (n, use)),
        ("cables of", "I x? <plug> <cable>", 4.0, lambda n, kind, _: (n, kind)),
        ("cables of", "I <plug> x I", 3.6, lambda n, kind, m: (n, kind, m)),
        ("cables of", "I <plug> <cable>? <with>? I <plugs>", 4.4, _cables_of),
        ("use", "<use>", 1.6, str),
        # Plugs, in the order in which they are said.
        ("plugs", "I? x? <plug> <plugs>?", 2.4, _plugs),
        ("plugs", "I? x? <plug_twice> <plugs>?", 6.0, _plugs),
        ("told", "sata / peripheral combo|mixed|cable|lead", 8.0, lambda: ""),
        ("plugs", "<plug> x I <plugs>?", 3.0, lambda kind, n, _: _plugs(n, kind)),
        ("plugs", "<use> N <pins>?", 2.2, lambda use, n, _: _of_use(1, use, n)),
        ("plugs", "I? x? N <pins> <use> <plugs>?", 3.6, lambda n, p, _, u, __: _of_use(n, u, p)),
        ("several", "I <plugs>", 2.4, lambda n, _: n),
        ("several", "<with> I <plugs>", 2.8, lambda _, n, __: n),
        ("step", "<then> Q.mm,in <between>?", 3.2, lambda _, x, __: _mm(x)),
        ("step", "Q.mm,in <between>", 3.0, lambda x, _: _mm(x)),
        ("length", "Q.mm,in <first>?", 2.0, lambda x, _: _mm(x)),
        ("code", "Q.w", 1.8, lambda x: f"{x.likely:g}"),
        ("gauge", "Q.awg", 2.2, lambda x: x.likely),
        ("gauge", "awg _ N", 2.2, float),
        ("degrees", "N ° c", 2.4, float),
        ("degrees", "N c", 2.0, float),
        ("straight", "<straight> _ Q.mm", 3.0, lambda _, x: x.likely),
        ("straight", "<straight> _ N", 2.6, lambda _, n: n),
        ("fixed", "<fixed>", 1.8, lambda _: True),
        ("told", "<cable>", 0.6, lambda _: ""),
        ("told", "<plugs>", 0.4, lambda _: ""),
        ("told", "<pins>", 0.2, lambda _: ""),
        ("told", "<native>", 0.4, lambda _: ""),
        ("told", "<chained>", 0.8, lambda _: ""),
    )


def _cables_of(n: int, kind: str, *said: Any) -> tuple[int, str, int]:
    return n, kind, said[-2]


_SPOKEN = Grammar(_spoken(), "words of a cable: its plugs, mm, awg, W", (lengths,))


def read_cable(line: str, family: str, own: Mapping[str, str] = NO_WORDS) -> tuple[int, Cable]:
    """How many, and the cable: `2 processor 4+4 700 mm`, `sata x4 450+120mm 18awg`, `three sata
    leads with 4 plugs, 500 mm, then every 150 mm`. Raises Unread."""
    settings, rest = pairs_of(line, _SETTINGS)

    def make(told: Told) -> tuple[int, Cable]:
        return _cable(told, settings, family)

    return read_by(rest, _SPOKEN, make, own)


_SETTINGS = [Word(w, w) for w in ("key", "family", "needs", "end", "wires", "plugs", "note")]


def _cable(told: Told, settings: dict[str, str], family: str) -> tuple[int, Cable]:
    """How many, and the cable of a reading. Raises Misread, Unread."""
    gauge, degrees = told.one("gauge"), told.one("degrees")
    count, kinds = _kinds(told)
    if "plugs" in settings:
        plugs = read_plugs(settings["plugs"])
        if kinds:
            raise Misread
    else:
        plugs = _spoken_plugs(told, kinds)
    if not 1 <= count <= _MOST:
        raise Unread([("count", f"1 to {_MOST} cables", str(count))])
    kind: PlugKind = plugs[0]["kind"]
    connector = CONNECTORS[PLUGS[kind].whole]
    own = connector.cable
    chained = ", chained" if connector.chains and len(plugs) > 1 else ""
    fixed = told.one("fixed") is not None
    ends, wires, needs = (settings.get(w) for w in ("end", "wires", "needs"))
    fields: dict[str, Any] = {
        "key": settings.get("key", own.key),
        "family": settings.get("family", family),
        "name": settings.get("name") or told.name or own.name + chained,
        "note": settings.get("note", told.note),
        "needs": () if fixed else own.needs if needs is None else needs.split("+"),
        "supply_end": _end(ends) if ends else {} if fixed else _usual_end(connector),
        "conductors": read_pins(wires) if wires else usual_pins(connector),
        "gauge": gauge and gauge.value,
        "plugs": plugs,
        "insulation_degc": degrees and degrees.value,
    }
    return count, made(Cable, fields)


def _usual_end(connector: Connector) -> dict[str, Any]:
    grade = {"grade": "high"} if connector.coded else {}
    return {"circuits": connector.cable.circuits, "pins": usual_pins(connector)} | grade


def _kinds(told: Told) -> tuple[int, list[str]]:
    """How many cables, and the kinds of their plugs in order. Raises Misread."""
    counts: list[int] = [s.value for s in told.of("cables")]
    uses: list[str] = [s.value for s in told.of("use")]
    kinds: list[str] = []
    for slot in told.of("cables use", "cables of", "plugs"):
        n, kind, *several = slot.value
        if slot.role == "plugs":
            kinds += [kind] * n
            continue
        counts.append(n)
        if slot.role == "cables use":
            uses.append(kind)
        else:
            kinds += [kind] * (several[0] if several else 1)
    if len(counts) > 1 or len(set(uses)) > 1:
        raise Misread
    first = next((s for s in told.slots if s.role not in ("mark", "filler", "quoted")), None)
    if told.of("cables") and first not in told.of("cables"):
        raise Misread  # a number amid the line is of its plugs
    kinds = [_told_apart(kind, uses) for kind in kinds or uses]
    if len(kinds) == 1:
        kinds *= _several(told, bool(counts))
    if len(kinds) > _MOST:
        raise Unread([("plugs", f"at most {_MOST} plugs", str(len(kinds)))])
    return (counts or [1])[0], kinds


def _several(told: Told, are_counted: bool) -> int:
    """How many plugs of the one kind that is said a cable has: as it says, or as many as distances
    are listed, where no number of cables could be meant by them."""
    said, away = told.one("several"), told.one("lengths")
    if said is not None:
        return int(said.value)
    return len(away.value) if away is not None and not are_counted else 1


def _told_apart(kind: str, uses: list[str]) -> str:
    """The plug that `8 pin` or `4 pin` is, by what the cable is for; 4 pins alone are a drive's.
    Raises Unread for 8 alone."""
    if not kind.isdigit():
        return kind
    by_use = next((k for use in uses if (k := BY_USE.get((use, int(kind))))), None)
    if by_use is None and kind == "8":
        wanted = "whose plug it is, as processor 8-pin or graphics 8-pin"
        raise Unread([("8-pin", wanted, "one that may be either")])
    return by_use or "per4"


def _spoken_plugs(told: Told, kinds: list[str]) -> list[dict[str, Any]]:
    """Plugs in order, each with its distance from the supply. Raises Unread."""
    if not kinds:
        wanted = "one of 20+4, 4+4, 6+2, 16-pin, sata, peripheral, floppy, cpu8, pcie8"
        raise Unread([("plug", wanted, repr(told.line.raw)[:60])])
    code, straight = told.one("code"), told.one("straight")
    if code is not None and code.value not in _CODES:
        raise Unread([(told.text(code), f"a code of {', '.join(_CODES)} W", "none of them")])
    plugs: list[dict[str, Any]] = []
    for i, (kind, at) in enumerate(zip(kinds, _away(told, len(kinds)), strict=True), 1):
        plug: dict[str, Any] = {"key": f"p{i}", "kind": kind, "at_mm": at}
        if is_coded(PLUGS[cast("PlugKind", kind)].whole):
            plug |= {"grade": "high", "sense": code and _CODES[code.value]}
            plug |= {"straight_mm": straight.value} if straight else {}
        plugs.append(plug)
    return plugs


def _away(told: Told, plugs: int) -> Sequence[float | None]:
    """Distances from the supply: said one by one, or the first and the steps from plug to plug;
    none where nobody measured. Raises Unread."""
    away: list[float] = []
    for slot in told.of("length", "lengths"):
        away += [slot.value] if slot.role == "length" else slot.value
    steps: list[float] = [s.value for s in told.of("step")]
    if not away:
        return _from_none(told, plugs, steps)
    for step in steps:
        away.append(away[-1] + step)
    return _spread(away, plugs)


def _from_none(told: Told, plugs: int, steps: list[float]) -> list[float | None]:
    """No plug's distance is known; a step alone says nothing. Raises Unread."""
    if steps:
        wanted = "how far its first plug is too, as 450 mm, or no distance at all"
        raise Unread([("length", wanted, repr(told.line.raw)[:60])])
    return [None] * plugs


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
    """`a=pcie6+2@600!high,…` with what else is known of each behind `!`; `@?`: not measured."""
    plugs = []
    for item in text.split(","):
        head, *more = item.split("!")
        match = re.fullmatch(r"([a-z0-9-]+)=(.+)@([0-9.]+|\?)", head)
        if match is None:
            raise Unread([("plugs", "key=kind@mm, commas between", repr(item)[:60])])
        try:
            kind = one_of(*get_args(PlugKind))(match[2])
            away = None if match[3] == "?" else number(match[3])
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
    away = "?" if plug.at_mm is None else number_word(plug.at_mm)
    return f"{plug.key}={plug.kind}@{away}{''.join(more)}"
