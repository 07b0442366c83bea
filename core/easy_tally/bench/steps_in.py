"""What goes in, in the order of the hands: at the supply, on the board, into the case, plug by
plug."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from typing import Any

from ..analysis import Analysis
from ..analysis.of_fit import fit_checks
from ..publishing.wording.fit import fit_words
from ..standards.connectors import is_coded, is_of
from ..things.adapters import Backplane, Bracket
from ..things.case import Area
from ..things.parts import Card, Drive, Pump
from ..things.supply import Supply
from ..wiring import Between, Feed
from ..wiring.areas import place_of
from .covers import WHY
from .hands import HANDS, PUMP, SEALED, hand_of
from .joints import MOST_MATINGS, WARN_MATINGS, Joint, Look, plug_joint, port_joint
from .machine import FRONT, Link, has_pump
from .order import Group, Item, in_order
from .record import UNSEEN, Act, detail, owner
from .steps import Bench, Step

#: Where in a case the leads of an area go through. Source: its usual openings; assumption.
OPENINGS: dict[Area, str] = {
    "main plug": "through the opening in front of the board, beside its main socket",
    "processor": "through the opening at the board’s top corner, before anything else goes there",
    "card": "through the opening in front of the board, below the card",
    "board extra": "through the opening nearest to its socket",
    "3.5-inch bays": "behind the tray, to the back of the bays",
    "2.5-inch places": "behind the tray",
    "optical bay": "behind the tray, up to the bay",
    "fans and hubs": "behind the tray",
}
#: What is plugged once it can be reached no more, or only after something else is out.
_UNSEEN = "Nobody saw it when the machine was taken over: look whether it is there already."


#: The same for a flag, in a few letters.
_BY: dict[Area, str] = {
    "main plug": "by the board’s front",
    "processor": "by the top corner",
    "card": "by the board’s front",
    "board extra": "by the nearest opening",
    "3.5-inch bays": "behind the tray",
    "2.5-inch places": "behind the tray",
    "optical bay": "behind the tray",
    "fans and hubs": "behind the tray",
}


def opening_of(a: Analysis, ref: str) -> str:
    """The opening of the case that the lead to an input goes through, in a few letters; empty where
    it needs none."""
    into = a.wired.inputs.get(ref)
    area = place_of(into) if into is not None else None
    return _BY[area] if area is not None else ""


def in_steps(bench: Bench) -> Iterator[Step]:
    """Everything that is wanted in place, done or not; those that are alike at once."""
    items = in_order(bench.machine, bench.stands, bench.known, bench.closed)
    groups: dict[str, list[Item]] = {}
    for item in items:
        # At the place of the last: whatever has to be before one of them is before all.
        key = _step_id(bench, item)
        groups[key] = [*groups.pop(key, []), item]
    for id, several in groups.items():
        yield _in(bench, id, several)


def _step_id(bench: Bench, item: Item) -> str:
    link = item.link
    if link is None:
        thing = bench.machine.of[item.end]
        if isinstance(thing.of, Supply):
            return "mount"
        if isinstance(thing.of, Bracket):
            return "bracket"
        if isinstance(thing.of, Drive) and isinstance(_cage(bench, item), Backplane):
            return f"mount:{thing.key}@{owner(item.place)}"
        return f"mount:{thing.key}"
    if link.kind == "port":
        return f"joint:{_port(bench, link).key}"
    if link.feed is not None:
        return f"joint:{plug_joint(bench.a, link.feed).key}"
    whose = bench.machine.of.get(owner(item.end))
    key = whose.key if whose else "case"
    lead = detail(item.end)
    if link.kind in ("header", "data", "head"):
        return f"{link.kind}:{key}"
    if lead == "front-panel":
        return "front"
    return f"lead:usb:{key}" if lead == "usb" else f"lead:{lead}"


def _cage(bench: Bench, item: Item) -> Any:
    base = bench.machine.of.get(owner(item.place))
    return base.of if base else None


def _port(bench: Bench, link: Link) -> Joint:
    run = next(
        r
        for r in bench.wired.runs
        if bench.machine.cable(r.cable.key) == owner(link.end) and r.ports
    )
    return port_joint(bench.wired, run)


def _in(bench: Bench, id: str, items: list[Item]) -> Step:
    link = items[0].link
    if link is None:
        return _mounted(bench, id, items)
    if link.kind == "port" or link.feed is not None:
        return _joined(bench, id, items[0])
    return _led(bench, id, items)


def _open(bench: Bench, items: Iterable[Item]) -> list[Item]:
    """Those that are not in place yet; all where all are."""
    listed = list(items)
    into = bench.difference.into
    return [i for i in listed if i.end in into] or listed


def _early(bench: Bench, items: list[Item]) -> Iterator[str]:
    over = next((i.over for i in items if i.over), None)
    if over is not None:
        name = bench.called(over.thing)
        why = WHY[over.target]
        yield f"Before {name} goes in, by reach: {why[:1].lower()}{why[1:]}"
    if any(bench.stands.where.get(i.end) == UNSEEN for i in items):
        yield _UNSEEN


# -- mounted -------------------------------------------------------------------------------------


def _mounted(bench: Bench, id: str, items: list[Item]) -> Step:
    thing = bench.machine.of[items[0].end]
    hand = hand_of(thing.of)
    shown = [i.end for i in _open(bench, items)]
    acts = [Act("mounted", i.end, i.place) for i in items]
    if isinstance(thing.of, Supply):
        acts += [Act("plugged", e, p) for e, p in bench.machine.fixed.items()]
    return Step(
        id=id,
        group=items[0].group,
        title=hand.put.format(bench.some(shown)),
        text=(*_early(bench, items), *_mount_text(bench, thing.of, items), *hand.putting),
        caution=_caution(thing.of) or hand.caution,
        looks=hand.seen,
        acts=tuple(acts),
    )


def _caution(part: Any) -> str:
    if not has_pump(part):
        return ""
    return PUMP if isinstance(part, Pump) else SEALED


def _mount_text(bench: Bench, part: Any, items: list[Item]) -> Iterator[str]:
    match part:
        case Supply():
            fan = next((c for c in fit_checks(bench.a) if c.id == "supply-fan"), None)
            way = fit_words(fan, bench.wired.parts) if fan else "its fan towards a free vent"
            yield f"{way[:1].upper()}{way[1:]}."
        case Bracket():
            yield f"It holds the {part.form} supply in a place for {part.place}."
        case Card():
            yield from _card_text(bench, part, items[0].end)
        case Drive():
            if isinstance(_cage(bench, items[0]), Backplane):
                yield f"Into its bay of {bench.called(owner(items[0].place))}."


def _card_text(bench: Bench, part: Card, end: str) -> Iterator[str]:
    if part.covers:
        places = "1 slot cover" if part.covers == 1 else f"{part.covers} slot covers"
        yield f"Take {places} out first."
    slot = bench.wired.slot_of(part)
    if slot is not None:
        yield f"It stands in {slot.key.replace('-', ' ')} of the board."
    elif part.use == "graphics":
        yield "Into the long slot nearest to the processor."
    if part.support:
        yield "Set its support under it before you let go."
    plugs = [x for x in bench.machine.links.values() if owner(x.place) == end]
    first = bench.wired.build.house_rules.card_first == "mount then plug"
    if plugs and end in bench.closed:
        yield "It was plugged first: in this case its plugs can’t be reached once it stands."
    elif plugs and first:
        yield "By your house rule it is mounted first, then plugged."
    elif plugs:
        yield "By your house rule it was plugged first."


# -- plugged -------------------------------------------------------------------------------------


def _joined(bench: Bench, id: str, item: Item) -> Step:
    link = item.link
    assert link is not None
    feed = link.feed
    joint = _port(bench, link) if feed is None else plug_joint(bench.a, feed)
    port = f" from {joint.port}" if feed is not None and joint.port else ""
    name = bench.called(owner(item.end))
    acts = [Act("plugged", item.end, item.place)]
    return Step(
        id=id,
        group=item.group,
        title=f"{name}{port} into {joint.where}",
        joint=joint,
        looks=joint.looks,
        caution=_worn(bench, joint, item.end),
        text=(*_early(bench, [item]), *_plug_text(bench, item, feed)),
        acts=tuple(acts),
        places=(item.place,),
    )


def _worn(bench: Bench, joint: Joint, end: str) -> str:
    if joint.matings is None or joint.matings < WARN_MATINGS:
        return ""
    return f"This plug was mated {joint.matings} times of {MOST_MATINGS}: have another one ready."


def _plug_text(bench: Bench, item: Item, feed: Feed | None) -> Iterator[str]:
    if feed is None:
        stands = bench.stands.is_at(bench.machine.supply, bench.machine.rests[bench.machine.supply])
        lifted = bench.machine.supply in bench.difference.out
        if stands and not lifted:
            yield "The supply stands: a torch shows the panel; count the ports."
        else:
            yield "Outside the case, where you can see the panel."
        return
    if is_of(feed.mated, "main", "processor"):
        yield "Route it behind the tray first, then plug it."
    area = place_of(feed.input)
    if area is not None and not isinstance(feed.cable, Between):
        yield f"Lead it {OPENINGS[area]}."
    if is_coded(feed.mated):
        yield "Bend the lead before it goes in, not after."


# -- led -----------------------------------------------------------------------------------------

_PINS = Look(id="pins", text="Every pin is in a hole of the plug; none is bent.")


def _led(bench: Bench, id: str, items: list[Item]) -> Step:
    link = items[0].link
    assert link is not None
    shown = _open(bench, items)
    acts = tuple(Act("led", i.end, i.place) for i in items)
    places = tuple(i.place for i in items)
    if link.kind == "header":
        return _header(bench, id, items, shown, acts, places)
    whose = [owner(i.end) for i in shown]
    title, group, text, note, looks = _lead_words(bench, link, whose)
    return Step(
        id=id,
        group=group,
        title=title,
        text=(*_early(bench, items), *text),
        note=note,
        looks=looks,
        acts=acts,
        places=places,
    )


def _lead_words(
    bench: Bench, link: Link, whose: list[str]
) -> tuple[str, Group, tuple[str, ...], str, tuple[Look, ...]]:
    lead = detail(link.end)
    if link.kind == "head":
        cooler = HANDS[type(bench.machine.of[whose[0]].of)]
        return (
            f"Set the head of {bench.some(whose)} on the processor",
            "board",
            cooler.putting,
            "",
            cooler.seen,
        )
    if link.kind == "data":
        home = Look(id="home", text="Each is pushed home at both ends.")
        title = f"Data leads of {bench.some(whose)}"
        return title, "small", (), "Which port each is on", (home,)
    if lead == "front-panel":
        look = Look(id="manual", text="Plus and minus of the lights are as the manual has them.")
        text = ("Power and reset switch, lights: by the board’s manual.",)
        return "Front panel leads", "small", text, "Their pins, from the manual", (look,)
    if lead in FRONT:
        n = getattr(bench.wired.build.case, lead)
        title = FRONT[lead] if n == 1 else f"{n} × {FRONT[lead]}"
    elif lead == "telemetry":
        title = "The supply’s own telemetry lead, onto an internal USB 2 header"
    else:
        title = f"USB lead of {bench.some(whose)}, onto an internal header"
    return title, "small", (), "Its header and pins", (_PINS,)


def _header(
    bench: Bench, id: str, items: list[Item], shown: list[Item], acts: tuple[Act, ...], places: Any
) -> Step:
    thing = bench.machine.of[owner(items[0].end)]
    hub = bench.called(owner(items[0].place)) if owner(items[0].place) in bench.machine.of else ""
    headers = [detail(i.place) for i in shown if detail(i.place) != "header"]
    named = f": {_each_on(shown, headers, bench)}" if headers else ""
    names = [owner(i.end) for i in shown]
    return Step(
        id=id,
        group="drives",
        title=f"{bench.some(names)} onto {hub or 'a header'}{named}",
        text=tuple(_early(bench, items)),
        looks=(Look(id="blades", text="Its lead is clear of every blade."),),
        caution=_caution(thing.of),
        acts=acts,
        places=places,
    )


def _each_on(shown: list[Item], headers: list[str], bench: Bench) -> str:
    """Which of several goes on which header."""
    if len(set(headers)) == 1:
        return headers[0]
    numbers = [bench.machine.of[owner(i.end)].instance for i in shown]
    return ", ".join(f"{n} on {header}" for n, header in zip(numbers, headers, strict=True))
