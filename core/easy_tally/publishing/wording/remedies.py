"""Remedies in words: a sentence each, by its id; an edit as what it would do."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from ...advice.positions import Effect
from ...advice.used import Uses
from ...advice.ways import Way
from ...analysis.facts import Analysis
from ...analysis.finding import Remedy
from ...base.rounding import percent
from ...base.saying import counted, money, number
from ...supplies.case.fit import FitCheck, Missing
from ...things.parts import Part
from .fit import fit_words, measure_words
from .living import lacks

_WORDS: dict[str, str] = {
    "add-part": "Add the first part.",
    "enter-figure": "Enter the figure from its page or label.",
    "set-right": "Set the one right that is a slip.",
    "give-socket": "Give it the socket that it is fed by.",
    "take-supply": "Take one that the rules allow.",
    "take-other-design": "Take one of a newer design, or a larger one.",
    "take-larger": "Take a larger supply.",
    "enter-label": "Enter its label’s figure.",
    "find-out-supply": "Find out {0}, and enter it on the Supply page.",
    "take-with-leads": "Add a cable of its family in a free port, or take one with more leads.",
    "take-other-form": "Take a supply of a form that the case takes, or a bracket for it.",
    "take-shorter": "Take a shorter supply.",
    "take-longer-cable": "Use a longer cable of its family, or an extension.",
    "ask-electrician": "Take load off the circuit. Local codes and a licensed electrician decide.",
    "take-longer-hold-up": "Take a supply with a longer hold-up, or a UPS that steps in sooner.",
    "hang-elsewhere": "Say which hub it hangs on, or give the board or the hub a header of its "
    "kind.",
    "give-main-socket": "Give the board its main socket.",
    "add-board": "Add the board.",
    "enter-limit": "Enter its limit from the manual.",
    "feed-extra": "Feed the board’s extra socket if it has one, or take load off the slots.",
    "wider-slot": "Use a wider slot or a card with a socket of its own, or lower its power limit.",
    "spread": "Spread them over more headers, or hang them on a hub with its own plug.",
    "enter-missing": "Enter the figure that is missing, of the part, the cable or the supply.",
    "enter-figure-of": "Enter the figure of {0} from its page or label.",
    "enter-wires": "Enter how many wires of each line {0} has.",
    "enter-contact": "Enter what a contact of {0} carries, from its maker’s page.",
    "enter-sense": "Enter what the sense contacts of {0} say, from its page.",
    "enter-code": "Enter for how many watts {0} is coded, lead by lead, from its page.",
    "tell-moulded": "Find out whether {0} is moulded or crimped, and enter it.",
    "report-it": "Please report it.",
    "never-so": "Feed the socket by a plug that is made for it, or by an adapter whose leads each "
    "have a cable of their own.",
    "more-leads": "Plug its other leads in, each on a cable of its own.",
    "feed-beside": "Feed {0} too, which then takes its share.",
    "lower-power": "Lower the part’s power limit: no cable makes its plug stand more.",
    "plugs-further-apart": "Feed them from two cables, or take one with its plugs further apart.",
    "rated-for-more": "Use a cable that is rated for more, or lower the part’s power limit.",
    "no-spare": "Move one of its plugs to another cable; there is no spare one with a free port.",
    "move-to-spare": "Move {0} to a cable of its own: {1} is in the box and {2} is free.",
    "feed-without-3v3": "Feed it from a cable without 3.3 V.",
    "find-out": "Find out of {0}, and enter it.",
    "add-usb-hub": "Add a USB hub for the inside: it takes one header and gives {0}{1}.",
    "add-card-sata": "Add a storage controller with {0} ports{1}.",
    "add-card-m2": "Add an M.2 adapter card with room for {0}{1}.",
    "add-card-usb2": "Add a USB card with {0} of these headers{1}.",
    "add-card-usb3": "Add a USB card with {0} of these headers{1}.",
    "add-card-usb-c": "Add a USB card with {0} of these headers{1}.",
    "add-card-audio": "Add a sound card with {0} of these headers{1}.",
    "leave-lead-off": "Leave {0} of the front’s leads unplugged.",
    "hang-on-hub": "Hang {0} on {1}, which has a plug of its own.",
    "add-fan-hub": "Add a fan hub with a plug of its own, and hang fans on it.",
    "other-card-or-case": "Take a smaller card, or a larger case.",
    "straight-less": "Take a cable or an adapter that bends sooner by its maker’s figure, or a "
    "wider case. Never bend it closer.",
    "other-radiator": "Mount it elsewhere, or take a smaller one.",
    "fewer-drives": "Take fewer drives, or a case with more bays.",
    "plug-in": "Plug in {0}.",
    "no-plug": "Plug a cable in; no plug in the box fits it that is free and has a port.",
}


#: Positions that a map and its figures are the same by: what they make of the work.
_ORDERS = {
    "before the cards": "At the bench: small leads, then the cards.",
    "last": "At the bench: small leads after all others.",
    "supply first": "At the bench: the supply, then the board.",
    "board first": "At the bench: the board, then the supply.",
    "mount then plug": "At the bench: the card, then its cables.",
    "plug then mount": "At the bench: its cables, then the card.",
}


def _fans_told(n: int, effect: Effect) -> str:
    if not n:
        return "nothing to move"
    fans = effect.told[0].cause
    return f"{fans} fan to move to a hub" if fans == 1 else f"{fans} fans to move to a hub"


_TOLD: dict[str, Callable[[int, Effect], str]] = {
    "adapter_leads": lambda n, _: (
        f"{counted(n, 'adapter')} with leads to plug in" if n else "no lead to plug in"
    ),
    "adapter_16pin": lambda n, _: f"{n} adapter to replace" if n else "no adapter to replace",
    "port_groups": lambda n, _: (
        f"{n} {'device' if n == 1 else 'devices'} to plug otherwise" if n else "nothing to move"
    ),
    "fans": _fans_told,
}


def way_words(way: Way, currency: str) -> str:
    """What would let the supply in place stay, in a sentence, and what it costs."""
    had = "" if way.owned else ", to be had"
    if had and way.cost is not None:
        had += f" for {money(way.cost, currency)}"
    if way.id == "power-limit":
        return (
            f"Hold {way.name} to {way.watts} W, {percent(way.share)} % of what it draws as "
            "delivered: every check of the supply’s size then passes."
        )
    if way.id == "adapter":
        return f"Add {way.name}{had}: by it no lead is short."
    if way.id == "cable":
        return f"Add {way.name}{had}, of its own family, to a free port: then no lead is short."
    return (
        f"Set the headroom to {percent(way.share)} %, as a house rule of this build: every check "
        "of the supply’s size then passes, with less to spare."
    )


def effect_words(a: Analysis, effect: Effect) -> str:
    """What a position of a house rule would make of the build, in a sentence."""
    if effect.rule in ("chained_graphics", "plug_grant"):
        n = effect.bad_runs
        runs = "run" if n == 1 else "runs"
        return (
            f"On this build: {n} {runs} over or refused." if n else "On this build: no run refused."
        )
    if effect.rule in ("card_first", "small_leads", "first_in"):
        return _ORDERS[effect.value]
    if effect.rule in ("graphics_cables", "drives"):
        return ""  # a map alone tells
    if effect.rule in _TOLD:
        n = len(effect.told)
        return f"On this build: {_TOLD[effect.rule](n, effect)}."
    if effect.rule in ("straight_length", "supply_fan"):
        said = "; ".join(_of_room(a, c) for c in effect.room)
        return f"On this build: {said or 'nothing that it decides'}."
    if effect.needed_w is None:
        return "On this build: not known, a figure is missing."
    size = f"next common size {effect.pick_w}" if effect.pick_w else "beyond the common sizes"
    said = f"On this build: {number(effect.needed_w, 'W')}, {size}"
    if a.build.supply is not None and effect.verdict is not None:
        said += f"; {a.build.supply.name}: {effect.verdict}"
    return said + "."


def _of_room(a: Analysis, check: FitCheck) -> str:
    part = a.wired.parts.get(check.part)
    said = fit_words(check, a.wired.parts)
    return f"{part.name}, {said}" if part else said


def remedy_words(remedy: Remedy, parts: Mapping[str, Part]) -> str:
    """What to do, in a sentence."""
    if isinstance(remedy.cause, tuple):
        facts = [measure_words(m, parts) for m in remedy.cause if isinstance(m, Missing)]
        return f"Measure and enter: {'; '.join(facts)}."
    names = (lacks(remedy.names),) if remedy.id == "find-out-supply" else remedy.names
    return _WORDS[remedy.id].format(*names)


def uses_words(uses: Uses) -> tuple[str, ...]:
    """What changes with an assumption."""
    names = [*uses.names]
    if uses.runs:
        names.append("1 run" if uses.runs == 1 else f"{uses.runs} runs")
    if uses.board:
        names.append("the board’s main plug")
    if uses.fit:
        names.append("fit and air")
    return tuple(names)
