"""Figures as builders and data sheets say them, put as the line says them."""

from __future__ import annotations

import re

from .words import figures_of

#: A number: decimal point or comma, the nought before it left out or not.
N = r"(?:[0-9]+(?:[.,][0-9]+)?|[.,][0-9]+)"


def sheet(text: str, kind: str) -> str:
    """Rows of a data sheet: volts with their amperes, sizes, ranges of volts that say no draw."""
    text = re.sub(rf"\b{N} ?v?(?: ?dc)? ?(?:~|-|to) ?{N} ?v(?: ?dc)?\b", " ", text)
    text = re.sub(r"\b(12|5|3\.3) ?v ?dc\b:?|\bdc ?(12|5|3\.3) ?v\b:?", r" \1\2v ", text)
    text = re.sub(r"\+(12|5|3\.3) ?v", r" \1v ", text)
    amps = rf"({N}) ?(ma|a)(?:mps?|mperes?)?\b"
    if kind == "memory":
        text = re.sub(rf"\b{N} ?v\b", " ", text)
    if kind in ("fan", "pump"):
        text = _said_twice(text)
    if kind == "m2":
        text = re.sub(r"\b(?:in )?(?:a |the )?slot\b", " ", text)
    if figures_of(kind) == "drive" or kind == "":
        text = _amps_first(text, amps)
        text = re.sub(rf"\b(12|5)v\s*[:@,/]? *{amps}", r" \1v:\2\3 ", text)
        text = re.sub(rf"\b{amps}\s*(?:@|at|on|from)\s*(12|5)v\b(?!:)", r" \3v:\1\2 ", text)
    elif kind == "usb":
        text = re.sub(
            rf"(?:\b(5)v\s*[:@,/]?\s*|\b()){amps}(?:\s*(?:@|at)?\s*5v\b)?", _usb_watts, text
        )
    elif kind == "board":
        own = rf"\b(?:own )?(?:draw )?({N}) ?w(?:atts?)?\s*(?:at|on|from)\s*(12|5|3\.3) ?v\b"
        text = re.sub(own, r" own-\2v:\1w ", text)
    elif kind == "other":
        text = re.sub(rf"\b(12|5|3\.3)v\s*[:@,]?\s*{amps}", _watts_of, text)
        volts = re.findall(r"(?<![\w:-])(?:12|5|3\.3)v(?![\w:])", text)
        watts = re.findall(rf"(?<![\w:]){N} ?w(?:atts?)?\b", text)
        if len(volts) == len(watts) == 1:  # `12 V relay, 3 W`
            text = text.replace(volts[0], " ", 1).replace(watts[0], f" {volts[0]}:{watts[0]} ", 1)
            text = re.sub(r"(?<=v:)([0-9.,]+) (?=w)", r"\1", text)
    elif kind in ("fan", "pump", "cooler", "hub"):
        text = re.sub(r"\b12v\b", " ", text)
    if kind in ("floppy", "optical"):
        text = re.sub(r"\b(?:3\.5|5\.25)in\b", " ", text)
    text = _measures(text, kind)
    size = re.search(
        r"\b([0-9]{2,3}) ?(?:mm)? ?x ?[0-9]{2,3} ?(?:mm)?(?: ?x ?[0-9]{1,3} ?(?:mm)?)?(?![\w])",
        text,
    )
    if size and kind in ("fan", "cooler"):
        text = text[: size.start()] + f" {size[1]}mm " + text[size.end() :]
    return text


_MULTIPLE = {"single": 1, "dual": 2, "double": 2, "triple": 3, "quad": 4}


def _measures(text: str, kind: str) -> str:
    """How large a card or a radiator is, and what air a fan moves, as pages say it."""
    if kind == "card":
        text = re.sub(rf"\b({N}) ?mm (?:long|in length)\b", r" long:\1 ", text)
        text = re.sub(rf"\blength:? ({N}) ?mm\b", r" long:\1 ", text)
        text = re.sub(rf"\b({N}) ?mm (?:high|tall|wide)\b", r" high:\1 ", text)
        several = "|".join(_MULTIPLE)
        text = re.sub(rf"\b({several})[- ]slots?\b", lambda m: f" covers:{_MULTIPLE[m[1]]} ", text)
        # `2 slot powered cards` are two that the slot feeds.
        places = r"(?<![\w.,:/-])([1-5])[- ]slots?\b(?! ?(?:[:=]|powered|only|cards?))"
        text = re.sub(places, r" covers:\1 ", text)
    elif kind == "cooler":
        text = re.sub(r"\b([0-9]{3}) ?mm radiator\b", r" \1mm radiator radiator:\1 ", text)
        text = re.sub(rf"\b({N}) ?mm thick\b", r" thick:\1 ", text)
    if kind in ("cooler", "fan"):
        text = re.sub(rf"\b({N}) ?(?:m3/h|m³/h)", r" flow:\1 ", text)
    return text


def _said_twice(text: str) -> str:
    """`0.6 A 7.2 W`: the same at 12 V, said in watts too."""
    amps = re.findall(rf"(?<![\w:])({N}) ?a(?:mps?)?\b", text)
    watts = re.findall(rf"(?<![\w:])(({N}) ?w(?:atts?)?\b)", text)
    if len(amps) == len(watts) == 1:
        stated = float(_num(watts[0][1]))
        if abs(12 * float(_num(amps[0])) - stated) <= 0.1 * stated:
            return text.replace(watts[0][0], " ", 1)
    return text


def _amps_first(text: str, amps: str) -> str:
    """`0.75A 12V, 0.6A 5V`: where each ampere stands before its volts, they go together."""
    pair = re.compile(rf"\b{amps}\s*[@/]?\s*(12|5)v\b")
    said = re.findall(rf"\b(?:{amps}|(12|5)v)\b", text)
    both = {v[2] for v in said} == {"", "5", "12"} and len(said) == 4
    in_turn = both and all(bool(v[2]) == bool(i % 2) for i, v in enumerate(said))
    return pair.sub(r" \3v:\1\2 ", text) if in_turn else text


def _usb_watts(match: re.Match[str]) -> str:
    """Amperes of what hangs on USB as watts: it is fed with 5 V."""
    amps = float(_num(match[3])) / (1000 if match[4] == "ma" else 1)
    return f" {amps * 5:.6g}w "


def _watts_of(match: re.Match[str]) -> str:
    """Amperes of a load by hand as watts, since it is said in watts by rail."""
    amps = float(_num(match[2])) / (1000 if match[3] == "ma" else 1)
    return f" {match[1]}v:{amps * float(match[1]):.6g}w "


_AROUND = r"(?:about|approx\.?|approximately|around|roughly|circa|ca\.?|~)"
_UNIT = r"(w|a|ma)(?:atts?|mps?|mperes?)?"


def said_figures(text: str, kind: str) -> str:
    """Ranges, tolerances, limits, and figures by the words that name them."""
    text = re.sub(rf"\b({N}) ?{_UNIT}\b", lambda m: f" {_num(m[1])}{m[2]} ", text)
    text = re.sub(
        rf"(?:between\s+)?\b({N}) ?(?:w|a|ma)?\s*(?:-|to|and|\.\.\.?)\s*({N})(w|a|ma)\b",
        _range,
        text,
    )
    text = re.sub(rf"\b({N})(w|a|ma)\s*(?:±|\+/-|\+-) ?({N}) ?(%|w|a|ma)?", _give_or_take, text)
    text = re.sub(rf"{_AROUND}\s*({N})(w|a|ma)\b", _about, text)
    if kind not in ("fan", "pump", "strip"):
        text = re.sub(r"(?<![\w:])rated(?![\w:-])", " ", text)
    if kind != "m2":
        text = re.sub(r"(?<![\w:])full(?![\w:-])", "main", text)
    if figures_of(kind) == "drive":
        text = re.sub(rf"\bstart\s*[:=]?\s*(?:at|of|is)?\s*({N})w\b", _start_amps, text)
    if kind in ("processor", "card"):
        text = _watts_left_out(text, kind)
    text = _limits(text, kind)
    text = _named(text, kind)
    text = _in_all(re.sub(r"(\b[\w.-]+:)\s+(?=[0-9])", r"\1", text))
    if figures_of(kind) == "drive" and "start:" in text:
        text = re.sub(r"(?<![\w:])12v(?![\w:])", " ", text)  # what it starts from, said once more
    return text


def _watts_left_out(text: str, kind: str) -> str:
    """`pl1 125 pl2 253`: a word of a power with a number behind it; `125/253 W` of a processor: the
    sustained limit and the short one."""
    text = re.sub(rf"\b(main|short|idle|floor)\s*[:=]?\s*({N})(?![\w.,/%])", r" \1 \2w ", text)
    if kind != "processor":
        return text
    both = re.search(rf"(?<![\w/.])({N}) ?w? ?/ ?({N})w\b(?!/)", text)
    if both and float(_num(both[1])) < float(_num(both[2])):
        return text.replace(both[0], f" {both[1]}w short:{both[2]}w ")
    return text


def _start_amps(match: re.Match[str]) -> str:
    """Watts at spin-up, of which most are at 12 V: three quarters at least, all at most."""
    watts = float(_num(match[1]))
    low, likely, high = (f"{watts * share / 12:.4g}" for share in (0.75, 0.9, 1))
    return f" start:{low}/{likely}/{high}a(assumed) "


def _num(text: str) -> str:
    value = text.replace(",", ".")
    return "0" + value if value.startswith(".") else value


def _said(low: float, high: float, unit: str, aside: str = "") -> str:
    middle = (low + high) / 2
    return f" {low:.6g}/{middle:.6g}/{high:.6g}{unit}{aside} "


def _range(match: re.Match[str]) -> str:
    low, high = float(_num(match[1])), float(_num(match[2]))
    return _said(low, high, match[3]) if low <= high else match.group()


def _give_or_take(match: re.Match[str]) -> str:
    value, width = float(_num(match[1])), float(_num(match[3]))
    width = value * width / 100 if match[4] == "%" else width
    return _said(max(value - width, 0), value + width, match[2])


def _about(match: re.Match[str]) -> str:
    """Give or take a tenth, and nobody's figure: assumed."""
    value = float(_num(match[1]))
    return _said(value * 0.9, value * 1.1, match[2], "(assumed)")


_LIMIT_WORDS = (
    r"(?:power limit(?:ed)?|limit(?:ed)?|capped|cap|pl|power target|target|undervolted|"
    r"overclocked|oc|tuned|turned|set|lowered|raised)"
)


def _limits(text: str, kind: str) -> str:
    """A power limit in percent of what the card draws as delivered, or in watts."""
    if kind == "processor":
        # Lowered or raised, the limit that is set is the package's.
        set_to = rf"(?:\b{N}w\b\s*)?{_LIMIT_WORDS}\s*(?:to|at|:|of)?\s*({N})w\b"
        return re.sub(set_to, r" \1w ", text)
    if kind != "card":
        return text
    text = re.sub(
        rf"{_LIMIT_WORDS}\s*(?:to|at|:|of|by)?\s*([+-]) ?([0-9]{{1,2}}) ?(?:%|percent)",
        lambda m: f" limit:{1 + float(m[1] + m[2]) / 100:.6g} ",
        text,
    )
    text = re.sub(
        rf"(?:{_LIMIT_WORDS})\s*(?:to|at|:|of)?\s*([0-9]{{2,3}}) ?(?:%|percent)",
        lambda m: f" limit:{float(m[1]) / 100:.6g} ",
        text,
    )
    text = re.sub(
        r"\b([0-9]{2,3}) ?(?:%|percent) (?:power limit|power target|limit)",
        lambda m: f" limit:{float(m[1]) / 100:.6g} ",
        text,
    )
    text = re.sub(
        r"(?<![\w/])([+-])([0-9]{1,2}) ?(?:%|percent)",
        lambda m: f" limit:{1 + float(m[1] + m[2]) / 100:.6g} ",
        text,
    )
    match = re.search(rf"(?:{_LIMIT_WORDS})\s*(?:to|at|:|of)?\s*({N})w\b", text)
    if match:
        rest = text[: match.start()] + " " + text[match.end() :]
        power = re.search(rf"\b({N})w\b", rest)
        if power and "limit:" not in rest and float(_num(power[1])):
            return f"{rest} limit:{float(_num(match[1])) / float(_num(power[1])):.6g} "
        if not power:
            return f"{rest} {match[1]}w "
    return text


def _named(text: str, kind: str) -> str:
    """`start` and the like before or behind its number; `main` is the kind's own figure."""
    figure = rf"({N}(?:/{N}/{N})?(?:w|a|ma)(?:\(assumed\))?)"
    text = re.sub(rf"\bmain\s*[:=]?\s*{figure}", r" \1 ", text)
    text = re.sub(rf"{figure}\s*main\b", r" \1 ", text)
    for word in ("start", "short", "idle", "standby", "floor", "slot"):
        text = re.sub(
            rf"(?<![\w:-]){word}\s*[:=]?\s*(?:at|of|is)?\s*{figure}", rf" {word}:\1 ", text
        )
        behind = re.search(rf"{figure}\s+(?:(?:at|for|on|in|of|to)\s+)?{word}(?![\w:-])", text)
        # With another figure to follow, it may as well be that one's name: left to be asked.
        if behind and not re.search(rf"(?<![\w:]){figure}", text[behind.end() :]):
            text = f"{text[: behind.start()]} {word}:{behind[1]} {text[behind.end() :]}"
    return re.sub(r"\bmain\b", " ", text)


def _in_all(text: str) -> str:
    """`60 w in all` of five: 12 W each."""
    match = re.search(
        rf"\b({N})(w|a|ma)\s+(?:in all|in total|total|altogether|combined|together)\b", text
    )
    count = re.search(r"\bx([0-9]{1,2})\b|\b([0-9]{1,2})x\b|\b([0-9]{1,2})\s+(?=[a-z]+s\b)", text)
    if match is None:
        return text
    n = int(next(g for g in count.groups() if g)) if count else 1
    each = float(_num(match[1])) / max(n, 1)
    return f"{text[: match.start()]} {each:.6g}{match[2]} {text[match.end() :]}"
