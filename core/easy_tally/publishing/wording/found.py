"""What to find out, in words: what it is, where it is printed, what each answer would mean."""

from __future__ import annotations

from itertools import groupby

from ...analysis.facts import Analysis
from ...analysis.find_out import Answer, Meaning, ToFindOut
from ...base.saying import counted, number
from ...ratings.elements import Element
from ...ratings.runs import RunResult
from ...ratings.through_board import BoardElement
from ...ratings.verdicts import Judgement
from ...usual import Fact

#: A fact as it is asked for, and where it is found.
_ASKS: dict[str, tuple[str, str]] = {
    "gauge": ("the gauge of {0}", "It is printed on its wires, as 18 AWG."),
    "at_mm": ("how far {0} reaches", "Measure it from the supply to the plug, along the cable."),
    "length_mm": ("how long {0} is", "It is on its page; or measure it."),
    "height_mm": ("how high {0} stands above its slot", "It is on its page; or measure it."),
    "covers": ("how many slot places {0} covers", "It is on its page; or count them."),
    "routes": (
        "the way to the {0}",
        "Lay a string the way the cable will lie, from the supply’s panel, and measure it.",
    ),
    "headers": ("what the header {0} gives", "The board’s manual has it, in amperes."),
    "outputs": ("what the output {0} gives", "The hub’s page has it, in amperes."),
    "flow_m3h": ("the air that {0} moves", "It is on its page, in m³/h."),
    "card_length_mm": ("the room for a card’s length", "Measure from the slots to the front."),
    "card_height_mm": ("the room above the slots", "Measure from a slot to the side panel."),
    "supply_length_mm": ("the room for the supply", "Measure it along the supply’s place."),
    "slots": ("how many slot places the case has", "Count its slot covers."),
    "bays_35": ("how many 3.5-inch bays the case has", "Count them."),
    "bays_25": ("how many 2.5-inch places the case has", "Count them."),
}
_UNITS: dict[str, str] = {"headers": "A", "outputs": "A", "flow_m3h": "m³/h"}
_MEANS: dict[Meaning, str] = {
    "over": "over",
    "unknown": "not known",
    "tight": "tight",
    "within": "within",
    "fits": "it fits",
    "may not fit": "it may not fit",
    "does not fit": "it does not fit",
}


def fact_title(a: Analysis, item: ToFindOut) -> str:
    """What is asked, of the one thing that decides."""
    fact = item.fact
    if fact is None:
        return ""
    if _by_size(a, fact):
        return "How large the case is"
    asks, _ = _ASKS[fact.field]
    text = asks.format(_name(a, fact))
    return text[:1].upper() + text[1:]


def _by_size(a: Analysis, fact: Fact) -> bool:
    return fact.of == "case" and a.build.case is not None and a.build.case.size is None


def _name(a: Analysis, fact: Fact) -> str:
    if fact.of == "case":
        return fact.at
    if fact.of == "supply":
        return a.build.supply.name if a.build.supply else "the supply"
    if fact.of == "part":
        part = a.wired.parts[fact.key]
        return f"{fact.at} of {part.name}" if fact.at else part.name
    thing = a.wired.cables.get(fact.key) or a.wired.betweens[fact.key]
    several = fact.at and len(thing.plugs) > 1
    place = [p.key for p in thing.plugs].index(fact.at) + 1 if several else 0
    return f"plug {place} of {thing.name}" if several else thing.name


def where_found(a: Analysis, item: ToFindOut) -> str:
    """Where it is printed, or how it is measured."""
    if item.fact is None or _by_size(a, item.fact):
        return ""
    return _ASKS[item.fact.field][1]


def decides(a: Analysis, item: ToFindOut) -> str:
    """What is taken meanwhile, and what it decides."""
    fact = item.fact
    if fact is None:
        return ""
    if _by_size(a, fact):
        return (
            "A mid tower is taken as usual; at the cautious end the room of a small case, and the "
            "ways through a large one."
        )
    unit = "mm" if fact.field.endswith("_mm") or fact.field == "routes" else ""
    unit = "AWG" if fact.field == "gauge" else _UNITS.get(fact.field, unit)
    likely, cautious = (f"{x:g} {unit}".strip() for x in fact.band)
    taken = f"Taken as usual: {likely}"
    taken += f", at the cautious end {cautious}" if likely != cautious else ""
    if len(item.alike) > 1:
        taken += f"; of {counted(len(item.alike) - 1, 'other')} it is not known either"
    return f"{taken}. {_of_broken(a, item.broken)}".strip()


def _of_broken(a: Analysis, broken: object) -> str:
    judged = getattr(broken, "judged", None)
    if not isinstance(judged, Judgement) or judged.at_cautious is None:
        return ""
    end, unit = judged.at_cautious, getattr(broken, "unit", "")
    if end.limit is None:
        return "At that end no limit is known."
    return f"At that end {number(end.load, unit)} of {number(end.limit, unit)}."


def answers_text(item: ToFindOut) -> str:
    """What each answer would mean, those that mean the same together."""
    if item.fact is None:
        return ""
    unit = " mm" if item.fact.field.endswith("_mm") or item.fact.field == "routes" else ""
    unit = f" {_UNITS[item.fact.field]}" if item.fact.field in _UNITS else unit
    said = []
    for means, several in groupby(item.answers, key=lambda x: x.means):
        words = [_answer(x, unit) for x in several]
        said.append(f"{' or '.join(words)}: {_MEANS[means]}")
    if len(item.answers) == 1 and item.answers[0].how:
        less = "less" if item.answers[0].how == "at_least" else "more"
        said.append(f"{less}: {_worse(item)}")
    return "; ".join(said)


def _worse(item: ToFindOut) -> str:
    own = item.broken
    if isinstance(own, Element | BoardElement) and own.judged.at_cautious is not None:
        return "over, or tight where the rest is as usual"
    return "it may not fit"


def fact_unit(item: ToFindOut) -> str:
    """The unit of what is to be entered; empty where it is none."""
    if item.fact is None:
        return ""
    is_length = item.fact.field.endswith("_mm") or item.fact.field == "routes"
    return _UNITS.get(item.fact.field, "mm" if is_length else "")


def answer_label(item: ToFindOut, x: Answer) -> str:
    """An answer as a key is called."""
    unit = fact_unit(item)
    return _answer(x, f" {unit}" if unit else "")


def _answer(x: Answer, unit: str) -> str:
    if x.word:
        return x.word
    more = {"at_least": " or more", "at_most": " or less", "": ""}[x.how]
    return f"{x.value:g}{unit}{more}"


def usual_words(j: Judgement, unit: str) -> str:
    """What is said of a judgement by usual figures; empty where every figure is known."""
    if not j.usual or j.at_cautious is None:
        return ""
    end = j.at_cautious
    if j.usual == "holds" and end.limit is not None and j.verdict in ("within", "tight"):
        return " By usual figures; it holds at their cautious end too."
    if j.usual == "holds":
        return " By usual figures."
    at = f": {number(end.load, unit)} of {number(end.limit, unit)}" if end.limit else ""
    return f" By usual figures; over at their cautious end{at}."


def run_is_usual(a: Analysis, run: RunResult) -> bool:
    """Whether a run is judged by a figure that nobody measured."""
    keys = {run.wired.cable.key} | {x.between.key for x in run.beyond}
    own = any(f.key in keys for f in a.usual if f.of in ("cable", "adapter", "extension"))
    return bool(run.wired.feeds) and (own or any(e.judged.usual for e in run.elements))
