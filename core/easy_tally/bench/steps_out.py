"""What comes out, in the order of the hands, and where each thing goes."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import groupby

from ..standards.connectors import CONNECTORS, PLUGS
from ..things.adapters import Adapter, Backplane, Bracket, Extension
from ..things.cables import Cable
from ..things.case import Case
from ..things.individuals import Gone
from ..things.supply import Supply
from .covers import QUESTIONS, WHY, Target
from .covers import alike as alike_of
from .hands import hand_of
from .joints import Joint, Look
from .machine import FRONT
from .order import out_order
from .record import MACHINE, UNSEEN, Act, detail, owner
from .steps import AnswerOfStep, Bench, Shown, Step, alike

#: What has plugs of its own: each is pulled by itself.
_CARRIERS = (Cable, Adapter, Extension, Backplane)
_WARM = Look(id="warm", text="It is neither browned, warm nor loose.")
_REASONS = {
    "base": "It is fixed to what is lifted, so it comes out first.",
    "apart": "It hangs on what is lifted.",
}


def questions(bench: Bench) -> Iterator[Step]:
    """What nobody knows of what lies over what."""
    for over in bench.difference.asked:
        base = alike_of(over.thing)
        clear, covers = (Act(a, base, over.target) for a in ("clear", "covers"))
        yield Step(
            id=f"ask:{base}:{over.target.replace(' ', '-')}",
            group="before",
            title=QUESTIONS[over.target].format(bench.called(over.thing)),
            text=("It is asked once: by the answer it comes out first, or stays where it is.",),
            answers=(
                AnswerOfStep("clear", "Yes, I can reach it", (clear,)),
                AnswerOfStep("covers", "No, it has to come out", (covers,)),
            ),
        )


def photographs(bench: Bench) -> Iterator[Step]:
    """Photographs of what is about to come apart."""
    ends = [e for e in bench.difference.out if e != owner(e)]
    taken = bench.stands.looked.get((MACHINE, "photographs"), -1) >= bench.stands.begun
    if ends or taken:
        places = dict.fromkeys(bench.stands.where.get(e, UNSEEN) for e in ends)
        seen = tuple(p for p in places if p != UNSEEN)
        owners = list(dict.fromkeys(owner(p) for p in seen))
        yield Step(
            id="photo",
            group="before",
            title="Photograph the wiring as it is",
            text=(
                "Panel, board, card and drives, from two sides.",
                "Each comes back where it is plugged.",
            ),
            acts=(Act("looked at", MACHINE, "photographs"),),
            places=seen,
            shows=tuple(
                Shown(bench.place(o), tuple(p for p in seen if owner(p) == o)) for o in owners[:8]
            )
            if owners[1:]
            else (),
        )


def out_steps(bench: Bench) -> Iterator[Step]:
    """Everything that comes out, one after another; those that are alike at once."""
    order = out_order(bench.difference, bench.machine, bench.stands, bench.known)
    for _, several in groupby(order, key=lambda end: _together(bench, end)):
        yield _out(bench, list(several))


def _together(bench: Bench, end: str) -> str:
    """What is done at once: alike and of one kind; of a supply on the table all its ends."""
    place = bench.stands.where.get(end, "")
    if ">" in end and _is_on_the_table(bench, place):
        return f"table {owner(place)}"
    thing = bench.known.get(owner(end))
    if thing is None or isinstance(thing.of, _CARRIERS):
        return end
    return f"{end.partition('#')[0]} {detail(end)}"


def _is_on_the_table(bench: Bench, port: str) -> bool:
    """Whether a supply is lifted out before its own end of the cables is pulled."""
    supply = owner(port)
    return port != UNSEEN and (supply in bench.difference.out or supply not in bench.stands.where)


def _out(bench: Bench, ends: list[str]) -> Step:
    end = ends[0]
    if end == owner(end):
        return _taken(bench, ends)
    if ">" in end and _is_on_the_table(bench, bench.stands.where[end]):
        return _on_the_table(bench, ends)
    return _unplugged(bench, ends)


def _taken(bench: Bench, things: list[str]) -> Step:
    thing = bench.known.get(things[0])
    hand = hand_of(thing.of if thing else None)
    return Step(
        id=f"out:{things[0]}",
        group="out",
        title=hand.take.format(bench.some(things)),
        text=(*_reason(bench, things[0]), *hand.taking),
        caution=hand.caution,
        acts=tuple(Act("taken out", t, bench.stands.where[t]) for t in things),
    )


def _reason(bench: Bench, end: str) -> Iterator[str]:
    why = bench.difference.out[end]
    if not bench.difference.comes_back(end):
        return
    target: Target | None = next((t for t in WHY if t == why), None)
    because = WHY[target] if target else _REASONS.get(why, "")
    if end != owner(end):
        yield f"{because} It is plugged again later.".strip()
    else:
        yield f"{because} It goes in again later.".strip()


def _on_the_table(bench: Bench, ends: list[str]) -> Step:
    supply = owner(bench.stands.where[ends[0]])
    return Step(
        id=f"out:{supply}>",
        group="out",
        title=f"On the table: unplug the cables of {bench.called(supply)} at its own end",
        text=tuple(
            f"{bench.called(owner(e))} from {_ports(bench, bench.stands.where[e])}" for e in ends
        ),
        looks=(_WARM,),
        acts=tuple(Act("unplugged", e, bench.stands.where[e]) for e in ends),
        places=tuple(bench.stands.where[e] for e in ends),
    )


def _ports(bench: Bench, place: str) -> str:
    supply = bench.known.get(owner(place))
    labels = {p.key: p.label for p in supply.of.ports} if supply else {}
    return " and ".join(labels.get(k, k) for k in detail(place).split("+"))


def _unplugged(bench: Bench, ends: list[str]) -> Step:
    end, place = ends[0], bench.stands.where[ends[0]]
    thing = bench.known.get(owner(end))
    text: tuple[str, ...] = ("Press the latch, hold the plug, not the wires.",)
    if place == UNSEEN:
        title = f"See whether {bench.called(owner(end))}{_plug(end)} is in anything, and pull it"
        text = ("Nobody saw it when the machine was taken over. " + text[0],)
    elif thing is not None and isinstance(thing.of, Gone):
        title = f"Unplug {thing.of.name}"
    elif ">" in end:
        title = f"Unplug {bench.called(owner(end))} from port {_ports(bench, place)}"
    elif detail(end) == "head":
        title = f"Take the head of {bench.called(owner(end))} off the processor"
        text = ("Its screws crosswise, a turn each; turn it a little before you lift it.",)
    elif thing is not None and isinstance(thing.of, _CARRIERS):
        title = f"Unplug {bench.called(owner(end))}{_plug(end)}, from {bench.place(place)}"
    else:
        lead = _lead_words(bench, [owner(e) for e in ends], detail(end))
        title = f"Unplug {lead} from {_on(bench, [bench.stands.where[e] for e in ends])}"
        text = ("Hold the plug, not the wires; note where it was.",)
    return Step(
        id=f"out:{end}",
        group="out",
        title=title,
        text=(*_reason(bench, end), *text),
        looks=(_WARM,) if place != UNSEEN else (),
        joint=_joint(bench, end, place),
        acts=tuple(Act("unplugged", e, bench.stands.where[e]) for e in ends),
        places=tuple(bench.stands.where[e] for e in ends),
    )


def _plug(end: str) -> str:
    plug = detail(end).partition(".")[0]
    return f", plug {plug}" if plug else ""


def _lead_words(bench: Bench, things: list[str], lead: str) -> str:
    whose = bench.known.get(things[0])
    if whose is not None and isinstance(whose.of, Supply):
        return f"the telemetry lead of {bench.called(things[0])}"
    if whose is None or isinstance(whose.of, Case):
        return "the leads of the front panel" if lead not in FRONT else f"the {FRONT[lead]}"
    words = {"data": "the data lead of", "usb": "the USB lead of", "lead": "the lead of"}
    said = words.get(lead, f"the {lead.replace('_', ' ').replace('-', ' ')} lead of")
    if things[1:]:
        said = said.replace(" lead of", " leads of")
    return f"{said} {bench.some(things)}"


def _on(bench: Bench, places: list[str]) -> str:
    place, headers = places[0], list(dict.fromkeys(map(detail, places)))
    header = ", ".join(headers)
    whose = bench.called(owner(place)) if owner(place) in bench.known else "the board"
    plain = headers[0] in ("data", "usb", "telemetry", "front-panel") or headers[0].startswith(
        "front_"
    )
    return whose if plain or not header else f"{header} of {whose}"


def _joint(bench: Bench, end: str, place: str) -> Joint | None:
    """The plug that is pulled, as its face is drawn."""
    thing = bench.known.get(owner(end))
    key, _, half = detail(end).partition(".")
    plug = (
        next((p for p in getattr(thing.of, "plugs", ()) if p.key == key), None) if thing else None
    )
    if plug is None or place == UNSEEN or thing is None:
        return None
    shape = PLUGS[plug.kind]
    face = shape.marked if half == "marked" and shape.marked else shape.whole
    into = bench.machine.of.get(owner(place))
    return Joint(
        key=end,
        kind="plug",
        cable=thing.key if owner(end) in bench.machine.of else "",
        name=thing.of.name,
        port="",
        plug=plug.key,
        face=face,
        latch=CONNECTORS[face].latch,
        socket=f"{into.key}#{into.instance}/{detail(place)}" if into else "",
        where=bench.place(place),
        looks=(),
    )


# -- where it goes -------------------------------------------------------------------------------


def away_steps(bench: Bench) -> Iterator[Step]:
    """What came out, or does, and is in use no longer: into its bag, or out of the build for
    good."""
    leave = dict.fromkeys((*(owner(e) for e in bench.difference.out), *bench.stands.loose))
    used = {owner(e) for e in bench.machine.where}
    bag = [t for t in leave if t in bench.machine.of and t not in used]
    gone = [
        t
        for t in leave
        if t in bench.known
        and t not in bench.machine.of
        and not isinstance(bench.known[t].of, Gone)
    ]
    if bag:
        yield _into_the_bag(bench, bag)
    done: set[str] = set()
    for thing in sorted(gone, key=lambda t: not isinstance(bench.known[t].of, Supply)):
        if thing not in done:
            together = _with_its_own(bench, thing, gone)
            done |= {*together}
            yield _goes(bench, together)


def _into_the_bag(bench: Bench, things: list[str]) -> Step:
    families: dict[str, list[str]] = {}
    for thing in things:
        family = getattr(bench.known[thing].of, "family", "")
        families.setdefault(family, []).append(bench.called(thing))
    return Step(
        id="bag",
        group="away",
        title="Into their bags, by family",
        text=tuple(
            f"Into the bag of {family}: {', '.join(names)}"
            if family
            else f"Aside: {', '.join(names)}"
            for family, names in families.items()
        ),
        caution="A cable in another supply’s bag is plugged into that supply one day.",
        acts=tuple(Act("put away", t, "bag") for t in things),
    )


def _with_its_own(bench: Bench, thing: str, gone: list[str]) -> list[str]:
    """A supply with its cables; what is alike; or a thing by itself."""
    one = bench.known[thing].of
    if isinstance(one, Supply):
        cables = [t for t in gone if isinstance(bench.known[t].of, Cable)]
        return [thing, *(t for t in cables if bench.known[t].of.family == one.family)]
    return next(group for group in alike(gone) if thing in group)


def is_for_drawer(thing: object) -> bool:
    """Whether the drawer holds such things."""
    return isinstance(thing, Supply | Cable | Adapter | Extension | Bracket)


def _goes(bench: Bench, things: list[str]) -> Step:
    one = bench.known[things[0]].of
    cables = len(things) - 1 if isinstance(one, Supply) else 0
    name = bench.called(things[0]) if cables else bench.some(things)
    several = f" with its {cables} cable{'s' if cables > 1 else ''}" if cables else ""
    # What the drawer holds goes there; of the rest nobody keeps count.
    first = ("drawer", "Into the drawer") if is_for_drawer(one) else ("aside", "Kept aside")
    others = (("another build", "Into another build"), ("bin", "To be thrown away"))
    return Step(
        id=f"away:{things[0]}",
        group="away",
        title=f"Where {'do' if things[1:] and not cables else 'does'} {name}{several} go?",
        text=("Into one bag, with the name of its family on it.",) if cables else (),
        caution="A browned plug, and what it was in, go into no drawer." if cables else "",
        answers=tuple(
            AnswerOfStep(where, words, tuple(Act("put away", t, where) for t in things))
            for where, words in (first, *others)
        ),
    )
