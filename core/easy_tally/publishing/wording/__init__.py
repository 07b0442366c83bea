"""Findings in words: sentence case, the field's terms, the number and its unit. One file a family,
and the only place that makes sentences of them."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, NamedTuple

from ...analysis.facts import Analysis
from ...analysis.finding import Finding
from ...base.saying import counted, number
from ...standards.connectors import CONNECTORS
from .board import board_cause, board_title
from .fit import FIT_WORDS, fit_words, measure_words
from .found import (
    answer_label,
    answers_text,
    decides,
    fact_title,
    fact_unit,
    run_is_usual,
    where_found,
)
from .living import lacks
from .parts import contradiction_words, mover_words
from .remedies import effect_words, remedy_words, uses_words, way_words
from .runs import element_cause, element_formula, element_title, plug_warning, run_cause, run_title
from .signals import (
    keep_free_words,
    kind_words,
    short_words,
    signal_title,
    speed_words,
    unknown_words,
    who_needs,
)
from .supply import buying_words, check_words, price_words, rule_words

__all__ = [
    "FIT_WORDS",
    "Said",
    "answer_label",
    "answers_text",
    "board_cause",
    "board_title",
    "buying_words",
    "check_words",
    "decides",
    "effect_words",
    "element_cause",
    "element_formula",
    "element_title",
    "fact_title",
    "fact_unit",
    "fit_words",
    "kind_words",
    "lacks",
    "measure_words",
    "mover_words",
    "plug_warning",
    "price_words",
    "remedy_words",
    "rule_words",
    "run_cause",
    "run_is_usual",
    "said",
    "uses_words",
    "way_words",
    "where_found",
    "who_needs",
]


class Said(NamedTuple):
    """A finding in words: what it is about, and what is found."""

    title: str
    text: str


def said(a: Analysis, f: Finding) -> Said:
    """A finding in words."""
    family = f.id.partition(".")[0]
    by_id = _BY_ID.get(f.id) or _BY_FAMILY[family]
    return by_id(a, f, f.cause)


def _part_name(a: Analysis, key: str) -> str:
    part = a.wired.parts.get(key)
    return part.name if part else key


def _empty(a: Analysis, f: Finding, cause: Any) -> Said:
    return Said("No parts", "There is nothing to tally yet.")


def _no_figure(a: Analysis, f: Finding, cause: Any) -> Said:
    text = "Its watts are not known, so every total is “at least”."
    return Said(_part_name(a, f.subject.key), text)


def _contradiction(a: Analysis, f: Finding, cause: Any) -> Said:
    return Said(_part_name(a, f.subject.key), contradiction_words(cause))


def _watts(f: Finding) -> str:
    watts = f.numbers["watts"]
    known = isinstance(watts, float) and watts > 0
    return f"its {number(float(watts or 0), 'W')}" if known else "what it draws"


def _no_way_in(a: Analysis, f: Finding, cause: Any) -> Said:
    text = f"It has no power socket, so nothing is known to feed {_watts(f)}."
    return Said(_part_name(a, f.subject.key), text)


def _part_unfed(a: Analysis, f: Finding, cause: Any) -> Said:
    names = ", ".join(i.at.socket for i in cause.inputs)
    name = _part_name(a, cause.load.part)
    which = f" {cause.instance}" if a.wired.parts[cause.load.part].count > 1 else ""
    text = f"Nothing feeds any of {names}, so {_watts(f)} have no way in."
    return Said(name + which, text)


def _slot_ignored(a: Analysis, f: Finding, cause: Any) -> Said:
    text = "Its stated slot share does not count: without a socket all it draws is by its slot."
    return Said(_part_name(a, f.subject.key), text)


def _no_supply(a: Analysis, f: Finding, cause: Any) -> Said:
    n = f.numbers["sockets"]
    waits = "socket waits" if n == 1 else "sockets wait"
    return Said("No supply", f"No supply is chosen; {n} {waits} for one.")


def _supply(a: Analysis, f: Finding, cause: Any) -> Said:
    name = a.build.supply.name if a.build.supply else "The supply"
    return Said(name, _sentence(check_words(cause)))


def _label(a: Analysis, f: Finding, cause: Any) -> Said:
    name = a.build.supply.name if a.build.supply else "The supply"
    field = f.subject.field.removesuffix("_a").removesuffix("_w")
    rail = {"v12": "12 V", "v5": "5 V", "v3v3": "3.3 V", "rated": "its rating"}.get(field, field)
    text = f"Its label contradicts itself: {rail}: {f.numbers['required']}, got {f.numbers['got']}."
    return Said(name, text)


def _supply_unknown(a: Analysis, f: Finding, cause: Any) -> Said:
    name = a.build.supply.name if a.build.supply else "The supply"
    return Said(name, f"Not checked for want of figures: {', '.join(c.id for c in cause)}.")


def _run(a: Analysis, f: Finding, cause: Any) -> Said:
    run, element = cause
    return Said(run_title(run), element_cause(a.wired, run, element))


def _kept_off(a: Analysis, f: Finding, cause: Any) -> Said:
    text = "It stays off: it has power disable, and pin 3 of its plug carries 3.3 V."
    return Said(a.wired.words(f.subject.key), text)


def _group(a: Analysis, f: Finding, cause: Any) -> Said:
    groups = a.build.supply.groups if a.build.supply else ()
    label = next((g.label for g in groups if g.key == f.subject.key), f.subject.key)
    return Said(f"Port group {label}", "Its limit is not known; its ports are by its marking.")


def _adapter(a: Analysis, f: Finding, cause: Any) -> Said:
    adapter, native = cause
    where = a.wired.words(f.subject.key)
    text = (
        f"It is fed by {adapter}, and {native} lies in the bag with a free port for it. By your "
        "house rule a native cable comes first."
    )
    return Said(where, text)


def _hanging_leads(a: Analysis, f: Finding, cause: Any) -> Said:
    adapter, used, leads = cause
    text = (
        f"It is fed by {adapter}, of which {counted(used, 'lead')} of {leads} "
        f"{'is' if used == 1 else 'are'} plugged in; your house rule wants all."
    )
    return Said(a.wired.words(f.subject.key), text)


def _one_group(a: Analysis, f: Finding, cause: Any) -> Said:
    (part, instance, path), n, rule = cause
    name = _part_name(a, part)
    name = f"{name} {instance}" if a.wired.parts[part].count > 1 else name
    name = f"the processor sockets of {name}" if path else name
    said = (
        f"The cables of {name} stand in {n} port groups; your house rule keeps them in one."
        if rule == "keep together"
        else f"The cables of {name} stand in one port group; your house rule spreads them."
    )
    return Said(_part_name(a, part), said)


def _fans(a: Analysis, f: Finding, cause: Any) -> Said:
    fans = "1 fan hangs" if cause == 1 else f"{cause} fans hang"
    return Said("Fans", f"{fans} on the board’s headers; your house rule has them on a hub.")


def _unfed(a: Analysis, f: Finding, cause: Any) -> Said:
    words = CONNECTORS[cause.socket.kind].words
    why = "is required" if cause.socket.required else "is the only way in of what it carries"
    return Said(a.wired.words(cause.ref), f"Its {words} socket {why}, and nothing feeds it.")


def _few_lanes(a: Analysis, f: Finding, cause: Any) -> Said:
    lanes, edge, watts = f.numbers["lanes"], f.numbers["edge"], f.numbers["watts"]
    text = (
        f"Its edge has {edge} lanes and {cause.key} has {lanes}: it runs on {lanes}, where it goes "
        f"in at all, and such a slot grants {watts:g} W."
    )
    return Said(_part_name(a, f.subject.key), text)


def _board(a: Analysis, f: Finding, cause: Any) -> Said:
    return Said(board_title(a.wired, cause), board_cause(a.wired, cause))


def _signal(a: Analysis, f: Finding, cause: Any) -> Said:
    return Said(signal_title(cause.kind), short_words(cause))


def _signal_unknown(a: Analysis, f: Finding, cause: Any) -> Said:
    board = a.wired.board
    return Said(f"{board.name if board else 'Board'}, signal ports", unknown_words(cause))


def _keep_free(a: Analysis, f: Finding, cause: Any) -> Said:
    return Said(_part_name(a, f.subject.key), keep_free_words(cause))


def _speeds(a: Analysis, f: Finding, cause: Any) -> Said:
    names = {key: part.name for key, part in a.wired.parts.items()}
    return Said("Fan speeds", speed_words(cause, names))


def _fit(a: Analysis, f: Finding, cause: Any) -> Said:
    name = _part_name(a, cause.part) if cause.part else a.build.case.name if a.build.case else ""
    return Said(name, _sentence(fit_words(cause, a.wired.parts)))


def _sentence(text: str) -> str:
    return f"{text[:1].upper()}{text[1:]}."


def _fit_unknown(a: Analysis, f: Finding, cause: Any) -> Said:
    name = a.build.case.name if a.build.case else "The case"
    checks = ", ".join(dict.fromkeys(FIT_WORDS[c.id] for c in cause))
    return Said(name, f"Not checked for want of measures: {checks}.")


def _broke_down(a: Analysis, f: Finding, cause: Any) -> Said:
    text = f"The check of {cause} broke down, so nothing is known of it. Please report it."
    return Said(a.build.name, text)


_Words = Callable[[Analysis, Finding, Any], Said]
_BY_ID: dict[str, _Words] = {
    "build.empty": _empty,
    "part.no-figure": _no_figure,
    "part.contradiction": _contradiction,
    "part.no-way-in": _no_way_in,
    "part.unfed": _part_unfed,
    "drive.kept-off": _kept_off,
    "card.slot-share-ignored": _slot_ignored,
    "card.few-lanes": _few_lanes,
    "supply.none": _no_supply,
    "supply.contradiction": _label,
    "supply.unknown": _supply_unknown,
    "fit.unknown": _fit_unknown,
    "rule.adapter_16pin": _adapter,
    "rule.adapter_leads": _hanging_leads,
    "rule.port_groups": _one_group,
    "rule.fans": _fans,
    "group.no-limit": _group,
    "socket.unfed": _unfed,
    "check.broke-down": _broke_down,
    "signal.unknown": _signal_unknown,
    "signal.keep-free": _keep_free,
    "signal.speeds": _speeds,
}
_BY_FAMILY: dict[str, _Words] = {
    "supply": _supply,
    "run": _run,
    "board": _board,
    "signal": _signal,
    "fit": _fit,
}
