"""Maps in words: goals, moves, facts that forbid one, repairs, the bill of cables."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterator

from ...base.rounding import percent
from ...base.saying import money, number
from ...mapping import Fact, Needed, Repair, Step
from ...mapping.goals import group_rule
from ...mapping.why import FactId
from ...ratings import RunResult
from ...ratings.elements import ElementKind
from ...standards.connectors import CONNECTORS, PLUGS
from ...supplies.case.room import out_of_reach
from ...things.build import Build
from ...things.rules import RULES
from ...things.supply import PORT_WORDS
from ...wiring import Wired
from ...wiring.areas import SLACK_MM
from .runs import element_title, run_title

_Said = Callable[[int], str]


def goal_words(build: Build, goal: str) -> tuple[str, _Said]:
    """How a goal is called, and how a value of it is said."""
    if goal == "groups":
        rule = group_rule(build)
        if rule == "by amperes":
            return "Fullest port group", lambda v: f"{v} %"
        if rule == "spread":
            return "Device and group pairs, to be spread", lambda v: str(-v)
        return "Port groups beyond one a device", str
    return _GOALS[goal]


_GOALS: dict[str, tuple[str, _Said]] = {
    "unfed": ("Sockets left unfed", str),
    "graphics": ("Graphics cables in use", str),
    "chained": ("Cables with two graphics plugs in use", str),
    "adapters": ("Adapters in use", str),
    "extensions": ("Extensions in use", str),
    "leads": ("Leads of adapters left hanging", str),
    "optional": ("Optional sockets fed", lambda v: str(-v)),
    "unknown": ("Limits that nobody knows", str),
    "worst": ("Worst share", lambda v: f"{v} %" if v > 60 else "60 % or less"),
    "fewer": ("Plugs with fewer pins than their socket", str),
    "balance": ("Drives on the fullest cable", str),
    "places": ("Cables and places of drives beyond one a place", str),
    "runs": ("Cables in use", str),
    "start": ("Largest start current of a drive cable", lambda v: f"{v / 10:.1f} A"),
    "hanging": ("Plugs left hanging", str),
    "length": ("Cable to the last plugs, in all", lambda v: f"{v / 1000:.2f} m"),
}


def port_words(wired: Wired, ports: tuple[str, ...]) -> str:
    """The ports that a cable is in."""
    return " and ".join(wired.ports[p].label for p in ports if p in wired.ports)


def fullest_group(runs: tuple[RunResult, ...]) -> str:
    """The worst share of any port group, as its lanes show it; in which spike, where that is it."""
    groups = [e for r in runs for e in r.elements if e.kind in ("group", "group spike")]
    known = [e for e in groups if e.judged.share is not None]
    worst = max(known, key=lambda e: e.judged.share or 0.0, default=None)
    if worst is None:
        return "0 %"
    said = f"{percent(worst.judged.share)} %"
    return said + (f", in a spike of {worst.at.window} ms" if worst.kind == "group spike" else "")


def worst_lane(runs: tuple[RunResult, ...]) -> str:
    """The worst share of any lane, as the lane shows it, and what of where that is not the run's
    own."""
    known = [r for r in runs if r.percent is not None and r.governing is not None]
    worst = max(known, key=lambda r: r.percent or 0, default=None)
    if worst is None or worst.governing is None:
        return "0 %"
    kind, at = worst.governing.kind, worst.governing.at
    if kind == "group spike":
        return f"{worst.percent} %, its port group in a spike of {at.window} ms"
    return f"{worst.percent} %" + (", its port group" if kind == "group" else "")


def fact_words(wired: Wired, f: Fact, unfed: tuple[str, ...] = ()) -> str:
    """One of the facts that together forbid a map; how far what is left unfed is away."""
    n = len(f.refs)
    match f.id:
        case "need":
            sockets_named = ", ".join(_named(wired, f.refs))
            words = CONNECTORS[f.kind].words
            sockets = "1 socket has" if n == 1 else f"{n} sockets have"
            return f"{sockets} to be fed, {words}: {sockets_named}."
        case "cables":
            names = wired.cables[f.refs[0]].name if f.refs else ""
            plugs = PLUGS[f.kind].words  # type: ignore[index]
            each = f"one {plugs}" if f.each == 1 else f"{f.each} plugs ({plugs})"
            if n == 1:
                return f"There is 1 cable like {names}, with {each}."
            return f"There are {n} cables like {names}, each with {each}."
        case "supply":
            return "There is no supply to plug anything into."
        case "between":
            name = wired.betweens[f.refs[0]].name
            return f"There {'is' if n == 1 else 'are'} {n} like {name} to go in between."
        case "ports":
            labels = ", ".join(wired.ports[k].label for k in f.refs)
            kind = PORT_WORDS[f.kind]  # type: ignore[index]
            return f"The supply has {n} {kind} {'port' if n == 1 else 'ports'}: {labels}."
        case "keep":
            name = wired.cables[f.refs[0]].name
            return f"{name} is to stay as it is."
        case "rule":
            rule = wired.build.house_rules.chained_graphics
            words = next(p.words for p in RULES["chained_graphics"].positions if p.value == rule)
            return f"Your house rule for chained graphics plugs: {words.lower()}."
        case "group":
            return "The over-current limits of the port groups."
        case "reach":
            return _reach_words(wired, unfed)
        case "ratings":
            return "What pins, wires and sockets are rated for."


def beyond_words(wired: Wired, runs: tuple[RunResult, ...], fact: FactId) -> Iterator[str]:
    """What is over in a map that one of the facts alone forbids: figure and limit, run by run."""
    groups: set[str] = set()
    for r in runs:
        own = (e for e in r.elements if e.kind in _LIMITS_OF[fact])
        e = next((e for e in own if e.judged.verdict == "over"), None)
        if e is not None and e.judged.limit is not None and e.unit != "plugs":
            load, limit = number(e.judged.load, e.unit), number(e.judged.limit, e.unit)
            share = f", {percent(e.judged.share)} %" if e.judged.share is not None else ""
            title = element_title(wired, r, e)
            if e.kind != "group":
                yield f"{run_title(r)}: {load} of {limit}{share} ({title[0].lower()}{title[1:]})"
            elif title not in groups:
                groups.add(title)
                yield f"{title}: {load} of {limit}{share}"


_LIMITS_OF: dict[FactId, frozenset[ElementKind]] = {
    "rule": frozenset({"house rule"}),
    "group": frozenset({"group"}),
    "ratings": frozenset(
        {"grant", "plug pins", "supply-end pins", "port pins", "lead pins", "wire", "drop"}
    ),
}


def _reach_words(wired: Wired, unfed: tuple[str, ...]) -> str:
    """How far plugs reach, with the figures of what is farther away than the longest that fits."""
    said = "How far the plugs reach along the case’s routes."
    case, supply = wired.build.case, wired.build.supply
    if case is None:
        return said
    own = tuple(c for c in wired.cables.values() if supply and c.family == supply.family)
    short: dict[tuple[float, float], list[str]] = {}
    for ref in unfed:
        far = out_of_reach(case, own, (wired.inputs[ref],), wired.eps4_in_eps8)
        for _, way, longest in far:
            short.setdefault((way, longest), []).append(ref)
    for (way, longest), refs in short.items():
        names = ", ".join(_named(wired, tuple(refs)))
        said += (
            f" {names}: a plug has to reach {way:.0f} mm, {SLACK_MM:.0f} mm of slack with it; the "
            f"longest that fits reaches {longest:.0f} mm. An extension would do, or a longer cable "
            "of the supply’s pinout family."
        )
    return said


def _named(wired: Wired, refs: tuple[str, ...]) -> Iterator[str]:
    counter = Counter(wired.inputs[r].part.name for r in refs)
    return (f"{n} × {name}" if n > 1 else name for name, n in counter.items())


def repair_words(r: Repair, reach_mm: float, currency: str) -> str:
    """What a repair does, in a sentence a step, and what it costs; `reach_mm`: how far a cable has
    to reach, 0 where the case states no routes."""
    return " ".join(_step_words(s, reach_mm, currency) for s in r.steps)


def _step_words(s: Step, reach_mm: float, currency: str) -> str:
    times = f"{s.count} × " if s.count > 1 else ""
    match s.id:
        case "way round":
            return "Plug it another way: then all of it reaches."
        case "rule":
            rule, position = next(iter(s.sets.house_rules.items()))
            words = next(p.words for p in RULES[rule].positions if p.value == position)
            about = f"{RULES[rule].words[0].lower()}{RULES[rule].words[1:]}"
            return f"Set the house rule “{about}” to: {words[0].lower()}{words[1:]}."
        case "power-limit":
            return f"Hold {s.name} to {s.watts} W."
        case "cable":
            far = f" It has to reach {reach_mm:.0f} mm." if reach_mm else ""
            return f"Add {times}{s.name}, {_from(s, currency)}, in a free port.{far}"
        case "supply":
            return f"Take {s.name}, {_from(s, currency)}, in place of this supply."
    return f"Add {times}{s.name}, {_from(s, currency)}."


def _from(s: Step, currency: str) -> str:
    """Where it comes from, and for how much."""
    if not s.owned:
        return "to be had" + (f" for {money(s.cost, currency)}" if s.cost is not None else "")
    return "out of a box of this build" if s.is_boxed else "from your drawer"


def bill_words(wired: Wired, needed: tuple[Needed, ...]) -> Iterator[str]:
    """What a map takes, and what stays in its bag."""
    groups = {"here": "Of this build’s cables", "drawer": "From the drawer", "buy": "To buy"}
    for source, words in groups.items():
        names = Counter(_name(wired, n.key) for n in needed if n.source == source)
        if names:
            yield f"{words}: " + ", ".join(f"{k} × {n}" if n > 1 else k for k, n in names.items())
    used = {n.key for n in needed}
    left = Counter(
        (c.family, c.name) for c in wired.cables.values() if c.key not in used and c.needs
    )
    families: dict[str, list[str]] = {}
    for (family, name), n in left.items():
        families.setdefault(family, []).append(f"{name} × {n}" if n > 1 else name)
    for family, several in families.items():
        yield f"Stays in the bag of {family}: " + ", ".join(several)


def _name(wired: Wired, key: str) -> str:
    thing = wired.cables.get(key) or wired.betweens.get(key)
    return thing.name if thing else key
