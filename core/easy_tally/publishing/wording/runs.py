"""Runs in words: what limits one, how it comes about, and what would mend it."""

from __future__ import annotations

from collections.abc import Callable, Iterator

from ...base.rounding import TOLERANCE, percent
from ...base.saying import counted, line_words, number
from ...base.units import STATE_WORDS
from ...ratings.elements import Element, ElementKind
from ...ratings.places import Place
from ...ratings.runs import RunResult, kept_off
from ...standards.connectors import PLUGS, SENSE_WORDS, is_coded
from ...standards.wires import DROP_OVER, DROP_WITHIN
from ...wiring import Feed, Wired
from .found import usual_words


def plug_words(wired: Wired, run: RunResult, at: Place) -> str:
    """What a plug of a run feeds."""
    if at.between:
        return _between_words(wired, at.between, at.key)
    feed = next((f for f in run.wired.feeds if f.plug.key == at.key), None)
    return wired.words(feed.input.ref) if feed else at.key


def _between_words(wired: Wired, key: str, own: str) -> str:
    """A plug of something in between by what it feeds; a lead by whose it is."""
    between = wired.betweens.get(key)
    if between is None:
        return f"{key} · {own}"
    feed = wired.in_use.get((key, own))
    if feed is not None:
        return f"{wired.words(feed.input.ref)}, by {between.name}"
    return wired.words(f"{key}#1/{own}")


def run_title(run: RunResult) -> str:
    """A run by its ports and its cable."""
    labels = " ".join(p.label for p in run.ports)
    return f"{labels} {run.wired.cable.name}".strip()


def run_cause(wired: Wired, run: RunResult) -> str:
    """Why a run's verdict is what it is, in a sentence."""
    if run.governing is not None:
        return element_cause(wired, run, run.governing)
    if run.wired.feeds:
        return "Nothing that it feeds draws anything."
    return "Nothing is plugged into it."


def plug_warning(wired: Wired, feed: Feed) -> str:
    """What to know of how a plug sits; empty where there is nothing."""
    if feed.warning or not kept_off(feed):
        return feed.warning
    return (
        f"{wired.words(feed.input.ref)} stays off: it has power disable, and pin 3 of this plug "
        "carries 3.3 V. Feed it from a cable without 3.3 V."
    )


def element_title(wired: Wired, run: RunResult, e: Element) -> str:
    """What the element is and where."""
    return _TITLES[e.kind](wired, run, e)


_Title = Callable[[Wired, RunResult, Element], str]


def _pins_at(words: str) -> _Title:
    def title(wired: Wired, run: RunResult, e: Element) -> str:
        at = plug_words(wired, run, e.at)
        return f"{words} {at}, {e.terms['pins']:.0f} of {line_words(e.line)}"

    return title


def _grant_title(wired: Wired, run: RunResult, e: Element) -> str:
    rail = "" if e.unit == "W" else f", {line_words(e.line)}"
    return f"Granted by standard, {plug_words(wired, run, e.at)}{rail}"


def _port_title(wired: Wired, run: RunResult, e: Element) -> str:
    label = next((p.label for p in run.ports if p.key == e.at.key), e.at.key)
    return f"Port {label}, {counted(e.terms['pins'], 'pin')} of {line_words(e.line)}"


def _wire_title(wired: Wired, run: RunResult, e: Element) -> str:
    between = wired.betweens.get(e.at.between)
    awg = between.gauge if between else run.wired.cable.gauge
    gauge = f"{awg} AWG" if awg else "gauge not known"
    where = f" of {between.name}" if between else ""
    return (
        f"Wires{where} {e.from_mm:.0f}–{e.to_mm:.0f} mm, {gauge}, "
        f"{e.terms['conductors']:.0f} of {line_words(e.line)}"
    )


def _reach_title(wired: Wired, run: RunResult, e: Element) -> str:
    at = plug_words(wired, run, e.at)
    return f"Between the plugs, to {at}" if e.at.is_span else f"Reach to {at}"


def _rule_title(wired: Wired, run: RunResult, e: Element) -> str:
    if e.unit == "plugs":
        return "House rule: never both plugs of a chain"
    return "House rule: one plug’s worth a cable"


def _group_title(wired: Wired, run: RunResult, e: Element) -> str:
    groups = wired.build.supply.groups if wired.build.supply else ()
    label = next((g.label for g in groups if g.key == e.at.key), e.at.key)
    spike = f", spike of {e.at.window} ms" if e.at.window else ""
    return f"Port group {label}{spike}"


_TITLES: dict[ElementKind, _Title] = {
    "grant": _grant_title,
    "plug pins": _pins_at("Plug pins at"),
    "supply-end pins": lambda wired, run, e: (
        f"Supply-end pins, {e.terms['pins']:.0f} of {line_words(e.line)}"
    ),
    "port pins": _port_title,
    "wire": _wire_title,
    "drop": lambda wired, run, e: (
        f"Volts lost at {plug_words(wired, run, e.at)}, {line_words(e.line)}"
    ),
    "group": _group_title,
    "house rule": _rule_title,
    "lead pins": _pins_at("Lead pins of"),
    "forbidden": lambda wired, run, e: "Never allowed",
    "reach": _reach_title,
    "group spike": _group_title,
    "not worked out": lambda wired, run, e: f"Not worked out: {e.said}",
}


def element_formula(run: RunResult, e: Element) -> str:
    """How load and limit come about, with the figures put in."""
    judged, terms = e.judged, e.terms
    parts = [*_each_words(e)]
    if "contact_a" in terms and terms.get("derating", 1.0) < 1:
        parts.append(f"limit {terms['contact_a']:g} A × {terms['derating']:.2f} for heat")
    if e.kind == "drop" and judged.limit is not None:
        parts.append(
            f"{judged.load / terms['volts'] * 100:.1f} % of {terms['volts']:g} V; "
            f"within to {DROP_WITHIN * 100:g} %, over beyond {DROP_OVER * 100:g} %"
        )
    parts += _grant_words(run, e)
    if judged.limit is not None and judged.rated is not None and judged.limit != judged.rated:
        parts.append(
            f"limit {judged.rated:.2f} × {judged.limit / judged.rated:g} for the seconds of a start"
        )
    return "; ".join(parts)


def _each_words(e: Element) -> Iterator[str]:
    """What one pin or conductor carries of all."""
    terms, noun = e.terms, "pin" if "pins" in e.terms else "conductor"
    n = terms.get("pins", terms.get("conductors"))
    if n == 0:
        yield f"no {noun} of {line_words(e.line)} to carry it"
    elif n is not None:
        uneven = terms.get("uneven", 1.0)
        total = e.judged.load * n / uneven
        more = f" × {uneven:g} for the worst" if uneven != 1 else ""
        yield f"{total:.2f} A ÷ {counted(n, noun)}{more} = {e.judged.load:.2f} A each"


def _grant_words(run: RunResult, e: Element) -> Iterator[str]:
    """What a grant follows from: leads, or the code of the sense contacts."""
    if "leads" in e.terms:
        leads, code = e.terms["leads"], e.terms.get("code")
        coded = "its code not known" if code is None else f"coded for {code:.0f} W"
        most = f"150 W a lead: {150 * leads:.0f} W"
        yield f"{counted(leads, 'lead')} plugged in, {coded}; {most}"
    elif e.kind == "grant" and e.unit == "W":
        plug = next((f.plug for f in run.wired.feeds if Place(f.plug.key) == e.at), None)
        if plug is not None and is_coded(PLUGS[plug.kind].whole):
            yield SENSE_WORDS[plug.sense] if plug.sense else "sense coding not known"


def _reach_words(title: str, e: Element) -> str:
    limit = e.judged.limit or 0.0
    reaches, way = number(limit, "mm"), number(e.judged.load, "mm")
    if e.judged.verdict == "over":
        short = number(e.judged.load - limit, "mm")
        return f"{title}: {reaches}, and the way is {way}; it is {short} short."
    return f"{title}: {reaches} for a way of {way}." + usual_words(e.judged, "mm")


def element_cause(wired: Wired, run: RunResult, e: Element) -> str:
    """One sentence with the numbers: why the verdict is what it is."""
    judged, title = e.judged, element_title(wired, run, e)
    load = number(judged.load, e.unit)
    if e.kind == "not worked out":
        return f"{title}. The check broke down, so nothing is known of it."
    if e.kind == "forbidden":
        return f"{title}: {e.said}."
    if e.kind == "reach":
        return _reach_words(title, e)
    if e.terms.get("leads", 9) < e.terms.get("least", 0):
        least = counted(e.terms["least"], "lead")
        return f"{title}: the card does not start, it needs at least {least} plugged in."
    if judged.limit is None and e.kind == "drop":
        return f"{title}: not known, since the wires on the way are not."
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
        said = f"{title}: {load} in use, {judged.limit:.0f} allowed."
    else:
        said += f", at {STATE_WORDS[judged.state]}."
    if e.refused:
        said += " Refused by your house rule."
    if e.kind == "grant" and judged.verdict == "tight" and (judged.share or 0.0) > TOLERANCE:
        said += " By your house rule a warning: pins, wires and ports decide."
    if judged.verdict == "unknown":
        said += " A figure behind it is missing, so it may be more."
    if judged.only_at_high:
        said += " Over only at the high end of the figures."
    if judged.at_start_only:
        said += " Above what it stands for long, for the seconds of a start."
    return said + usual_words(judged, e.unit)
