"""Findings in words: sentence case, the field's terms, the number and its unit."""

from __future__ import annotations

import math

from .build import Build
from .quantities import RAIL_WORDS
from .ratings.check import RunResult
from .ratings.elements import Element
from .ratings.verdicts import percent
from .sizing import SizingRule, SupplyCheck
from .standards.connectors import SENSE_WORDS
from .through_board import BoardElement

STATE_WORDS = {
    "sleep": "sleep",
    "idle": "idle",
    "everyday": "everyday",
    "full": "full load",
    "start": "start",
}
RULE_WORDS = {
    "sum": "full load + {headroom} %",
    "floor": "card maker’s floor",
    "floor and a fifth": "card maker’s floor + 20 %",
    "quiet": "quiet point",
    "spikes": "spikes ridden through",
}


def number(value: float, unit: str) -> str:
    """A value with its unit: watts whole and rounded up, amperes and volts to two places."""
    if unit == "W":
        return f"{math.ceil(value - 1e-7):,} W"
    if unit == "plugs":
        return f"{value:.0f} plug{'' if value == 1 else 's'}"
    return f"{value:.2f} {unit}"


def line_words(line: str) -> str:
    """A rail or ground in words."""
    return RAIL_WORDS.get(line, "ground")  # type: ignore[call-overload, no-any-return]


def _count(n: float, word: str) -> str:
    return f"{n:.0f} {word}{'' if n == 1 else 's'}"


def plug_words(build: Build, run: RunResult, plug: str) -> str:
    """What a plug of a run feeds."""
    use = next((u for u in run.plugs if u.plug.key == plug), None)
    return build.ref_words(use.connection.socket) if use and use.connection else plug


def element_title(build: Build, run: RunResult, e: Element) -> str:
    """What the element is and where."""
    line, terms = line_words(e.line), e.terms
    at = plug_words(build, run, e.at) if e.at else ""
    match e.kind:
        case "grant":
            return f"Granted by standard, {at}" + ("" if e.unit == "W" else f", {line}")
        case "plug pins":
            return f"Plug pins at {at}, {terms['pins']:.0f} of {line}"
        case "supply-end pins":
            return f"Supply-end pins, {terms['pins']:.0f} of {line}"
        case "port pins":
            label = next((p.label for p in run.ports if p.key == e.at), e.at)
            return f"Port {label}, {_count(terms['pins'], 'pin')} of {line}"
        case "wire":
            gauge = f"{run.cable.gauge} AWG" if run.cable.gauge else "gauge not known"
            return (
                f"Wires {e.from_mm:.0f}–{e.to_mm:.0f} mm, {gauge}, "
                f"{terms['conductors']:.0f} of {line}"
            )
        case "drop":
            return f"Volts lost at {at}, {line}"
        case "group":
            supply = build.supply
            label = (
                next((g.label for g in supply.groups if g.key == e.at), e.at) if supply else e.at
            )
            return f"Port group {label}"
        case "house rule":
            if e.unit == "plugs":
                return "House rule: never both plugs of a chain"
            return "House rule: one plug’s worth a cable"


def element_formula(run: RunResult, e: Element) -> str:
    """How load and limit come about, with the figures put in."""
    judged, terms = e.judged, e.terms
    parts = []
    n = terms.get("pins", terms.get("conductors"))
    if n:
        uneven = terms.get("uneven", 1.0)
        total = judged.load * n / uneven
        what = "pin" if "pins" in terms else "conductor"
        more = f" × {uneven:g} for the worst" if uneven != 1 else ""
        parts.append(f"{total:.2f} A ÷ {_count(n, what)}{more} = {judged.load:.2f} A each")
    elif n == 0:
        what = "pin" if "pins" in terms else "conductor"
        parts.append(f"no {what} of {line_words(e.line)} to carry it")
    if "contact_a" in terms and terms.get("derating", 1.0) < 1:
        parts.append(f"limit {terms['contact_a']:g} A × {terms['derating']:.2f} for heat")
    if e.kind == "drop" and judged.limit is not None:
        parts.append(
            f"{judged.load / terms['volts'] * 100:.1f} % of {terms['volts']:g} V; within to 3 %, "
            f"over beyond 5 %"
        )
    if e.kind == "grant" and e.unit == "W":
        plug = next(u.plug for u in run.plugs if u.plug.key == e.at)
        if plug.kind == "16pin":
            parts.append(SENSE_WORDS[plug.sense] if plug.sense else "sense coding not known")
    if judged.limit is not None and judged.rated is not None and judged.limit != judged.rated:
        parts.append(
            f"limit {judged.rated:.2f} × {judged.limit / judged.rated:g} for the seconds of a start"
        )
    return "; ".join(parts)


def element_cause(build: Build, run: RunResult, e: Element) -> str:
    """One sentence with the numbers: why the verdict is what it is."""
    judged, title = e.judged, element_title(build, run, e)
    load = number(judged.load, e.unit)
    if judged.limit is None:
        return f"{title}: {load}, but no limit is known."
    if "pins" in e.terms and not e.terms["pins"]:
        return f"{title}: nothing there carries {line_words(e.line)}."
    if "conductors" in e.terms and not e.terms["conductors"]:
        return f"{title}: no wire carries {line_words(e.line)}."
    limit = number(judged.limit, e.unit)
    share = percent(judged.share)
    said = f"{title}: {load} of {limit}" + (f", {share} %" if share is not None else "")
    if e.kind == "house rule" and e.unit == "plugs":
        said = f"{title}: {load} in use, {judged.limit:.0f} allowed"
    said += f", at {STATE_WORDS[judged.state]}."
    if e.refused:
        said += " Refused by your house rule."
    if judged.verdict == "unknown":
        said += " A figure behind it is missing, so it may be more."
    if judged.only_at_high:
        said += " Over only at the high end of the figures."
    if judged.at_start_only:
        said += " Above what it stands for long, for the seconds of a start."
    return said


def rule_words(build: Build, rule: SizingRule) -> str:
    """A sizing rule's name."""
    return RULE_WORDS[rule.id].format(headroom=f"{build.house_rules.headroom * 100:g}")


def check_words(check: SupplyCheck) -> str:
    """A supply check in one sentence with its numbers."""
    load = None if check.load is None else number(check.load, check.unit)
    limit = "not known" if check.limit is None else number(check.limit, check.unit)
    rail = RAIL_WORDS[check.rail] if check.rail else ""
    if check.id == "watts":
        if check.limit is None:
            return f"rating not known; the rules ask for at least {load}"
        if check.status == "unknown":
            return f"{limit} rated; a figure is missing, the rules ask for at least {load}"
        if check.only_at_high:
            return f"{limit} rated; at the high end of the figures the rules ask for {load}"
        return f"{limit} rated; the rules ask for {load}"
    if check.id == "too big":
        if check.status == "warn":
            return f"{load} rated is over twice what is needed ({limit})"
        return f"not too big: up to {limit} would do"
    if check.id == "spikes":
        if check.limit is None:
            return f"spikes of {load}: its design is not known, so neither is what it rides through"
        said = f"spikes: {load} for {check.window} ms, of {limit} that it rides through"
        if check.status == "unknown":
            said += "; a figure is missing"
        if check.status == "fail":
            said += "; it may trip"
        return said + ("; over only at the high end of the figures" if check.only_at_high else "")
    what = f"{rail} rail" if check.rail else "5 V and 3.3 V together"
    if not check.load and check.status == "pass":
        return f"{what}: nothing draws from it"
    said = f"{what}: {load} of {limit}"
    if check.status == "unknown" and check.limit is not None:
        said += "; a figure is missing, it may be more"
    if check.only_at_high:
        said += "; over only at the high end of the figures"
    return said


def board_title(build: Build, b: BoardElement) -> str:
    """What on the way through the board is limited."""
    part = build.part(b.part)
    name = part.name if part else b.part
    match b.kind:
        case "main plug pins" if not b.at:
            return f"{name}, no main socket" if part else "No board"
        case "main plug pins":
            return f"{name}, main plug at {line_words(b.line)}"
        case "slot":
            return f"{name} in {b.at}" if b.at else f"Slot of {name}"
        case "header":
            return f"{name}, header {b.at}" if b.at else f"{name}, no header to hang on"


def board_cause(build: Build, b: BoardElement) -> str:
    """One sentence with the numbers, and who draws the most there."""
    j = b.judged
    load = number(j.load, b.unit)
    each = " a pin" if b.kind == "main plug pins" else ""
    if b.kind == "main plug pins" and not b.at:
        said = f"Nothing is known to feed what comes through the board; {load} of it at 12 V."
    elif j.limit is None:
        said = f"It carries {load}; what it stands is not known."
    else:
        said = f"It carries {load}{each} of {number(j.limit, b.unit)}"
        said += f", {percent(j.share)} %, at {STATE_WORDS[j.state]}."
    if j.verdict == "unknown" and j.limit is not None:
        said += " A figure behind it is missing, so it may be more."
    if j.only_at_high:
        said += " Over only at the high end of the figures."
    return said + (f" Most of it: {', '.join(b.causes)}." if b.causes else "")


def blank_headers(build: Build, of: list[BoardElement]) -> tuple[str, str]:
    """Headers of one board or hub whose limit is not known, together: what, and why it matters."""
    part = build.part(of[0].part)
    name = part.name if part else of[0].part
    most = max(of, key=lambda b: b.judged.load)
    if len(of) == 1:
        return board_title(build, most), board_cause(build, most)
    keys = ", ".join(b.at for b in of)
    return (
        f"{name}, {len(of)} headers",
        f"What {keys} stand is not known; {most.at} carries the most, "
        f"{number(most.judged.load, 'A')}.",
    )


def board_fix(b: BoardElement) -> str:
    """What to do about it."""
    if b.kind == "header" and not b.at:
        return "Say which hub it hangs on, or give the board or the hub a header of its kind."
    if b.kind == "main plug pins" and not b.at:
        return "Give the board its main socket." if b.part else "Add the board."
    if b.judged.limit is None:
        return "Enter its limit from the manual."
    match b.kind:
        case "main plug pins":
            return "Feed the board’s extra socket if it has one, or take load off the slots."
        case "slot":
            return "Use a wider slot or a card with a socket of its own, or lower its power limit."
        case "header":
            return "Spread them over more headers, or hang them on a hub with its own plug."
