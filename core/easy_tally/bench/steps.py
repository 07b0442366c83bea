"""The work from the map to a machine that runs, step by step, in an order that holds whatever the
map."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from hashlib import sha256
from typing import Literal

from ..analysis import Analysis
from ..analysis.of_fit import fit_checks
from ..base.rounding import up
from ..publishing.wording.fit import fit_words
from ..standards.connectors import CONNECTORS, is_coded, is_of
from ..things.cables import Cable
from ..things.parts import (
    ON_HEADER,
    PART_KINDS,
    Board,
    Card,
    Cooler,
    Drive,
    Hub,
    Part,
    Pump,
    UsbLoad,
)
from ..wiring import Between, Feed
from .joints import MOST_MATINGS, WARN_MATINGS, Joint, Look, plug_joint, port_joint

Group = Literal["before", "supply", "board", "card", "drives", "small", "after"]
GROUP_WORDS: dict[Group, str] = {
    "before": "Before you begin",
    "supply": "At the supply",
    "board": "Board and processor",
    "card": "Cards",
    "drives": "Drives, hubs, cooling",
    "small": "Small leads",
    "after": "Looking over and switching on",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Step:
    """One step: a stable id, what to do, why, what may hurt, what to look at, and the joint that it
    makes where it makes one. `note`: what is to be noted there, as its label."""

    id: str
    group: Group
    title: str
    text: tuple[str, ...] = ()
    caution: str = ""
    looks: tuple[Look, ...] = ()
    joint: Joint | None = None
    note: str = ""
    #: Which very things it is about: done to others it is not done to these.
    of: str = ""


def steps(a: Analysis, gone: tuple[tuple[str, str], ...] = ()) -> tuple[Step, ...]:
    """Every step. `gone`: (key, words) of joints that were made and that the map no longer has:
    they are undone first."""
    return (
        *_before(a, gone),
        *_supply(a),
        *_board(a),
        *_cards(a),
        *_drives(a),
        *_small(a),
        *_after(a),
    )


# -- which very things ---------------------------------------------------------------------------


def marked(
    a: Analysis,
    *,
    supply: bool = False,
    case: bool = False,
    parts: Iterable[Part] = (),
    cables: Iterable[Cable] = (),
    betweens: Iterable[Between] = (),
) -> str:
    """A mark of the very things that a step is about. No edit of a figure changes it; another
    supply, card or cable has another, though it takes the place and the key of the one before. Two
    of one name under one key are told apart only where they are of the drawer."""
    things: list[tuple[str, ...]] = []
    build_supply = a.build.supply
    if supply and build_supply is not None:
        things.append(("supply", build_supply.name, build_supply.family, build_supply.owned))
    if case:
        things.append(("case", a.build.case.name if a.build.case else ""))
        parts = [*parts, *([a.wired.board] if a.wired.board else ())]
    things += sorted(("part", p.key, p.name) for p in parts)
    things += sorted(("cable", c.key, c.name, c.family, c.owned) for c in cables)
    things += sorted(("between", b.key, b.name, getattr(b.of, "owned", "")) for b in betweens)
    return sha256(repr(things).encode()).hexdigest()[:16]


def _of_feed(a: Analysis, feed: Feed) -> str:
    """Of a plug: what it is of, and what it is in; of a fixed cable the supply too."""
    carrier, into = feed.cable, feed.input.part
    ends = [x for x in (carrier, into) if isinstance(x, Between)]
    return marked(
        a,
        supply=isinstance(carrier, Cable) and not carrier.needs,
        betweens=ends,
        parts=[] if isinstance(into, Between) else [into],
        cables=[carrier] if isinstance(carrier, Cable) else [],
    )


# -- before --------------------------------------------------------------------------------------

_SAFE = (
    Look(id="switch", text="The supply’s switch is off, and its mains lead is out of the wall."),
    Look(id="drain", text="The power button was pressed once for five seconds, with the lead out."),
    Look(id="static", text="You touched bare metal of the case, and do so again now and then."),
)


def _before(a: Analysis, gone: tuple[tuple[str, str], ...]) -> Iterator[Step]:
    yield Step(
        id="safe",
        group="before",
        title="Make it safe",
        looks=_SAFE,
        caution="Never open a supply, never cut its cables, never force a plug that resists.",
    )
    if gone:
        yield from _unplugging(gone)
    used = [r.cable for r in a.wired.runs if r.feeds]
    fed = {id(f.cable) for f in _feeds(a)}
    betweens = [b for b in a.wired.betweens.values() if id(b) in fed]
    mine = marked(a, cables=used, betweens=betweens)
    names = Counter([*(c.name for c in used), *(b.name for b in betweens)])
    yield Step(
        id="pins",
        group="before",
        title="Look into every plug",
        of=mine,
        text=(", ".join(f"{k}, {n} of them" if n > 1 else k for k, n in names.items()),),
        looks=(
            Look(id="straight", text="No pin is pushed in, bent or browned, in both ends of each."),
        ),
    )
    yield Step(
        id="sort",
        group="before",
        title="Sort the cables by their family",
        of=mine,
        text=tuple(_sorted_out(a, used, betweens)),
        caution="Never use a cable of another supply unless its maker states the same pinout.",
        looks=(Look(id="family", text="No cable of another supply lies among them."),),
    )


def _unplugging(gone: tuple[tuple[str, str], ...]) -> Iterator[Step]:
    yield Step(
        id="photo",
        group="before",
        title="Photograph the wiring as it is",
        text=("Panel, board, card and drives, from two sides: to plug it back if need be.",),
    )
    for key, words in gone:
        yield Step(
            id=f"out:{key}",
            group="before",
            title=f"Unplug {words}",
            text=("The map no longer has it. Press the latch, hold the plug, not the wires.",),
            looks=(Look(id="warm", text="It is neither browned, warm nor loose."),),
        )


def _sorted_out(a: Analysis, used: list[Cable], betweens: list[Between]) -> Iterator[str]:
    """Which cables come onto the table, which go back into their bag."""
    for family, n in Counter(c.family for c in used if c.needs).items():
        yield f"Out on the table: {n} cables of {family}"
    left = Counter((c.family, c.name) for c in a.build.cables if c not in used and c.needs)
    for (family, name), n in left.items():
        several = f", {n} of them" if n > 1 else ""
        yield f"Back into the bag of {family}: {name}{several}"
    yield from (f"Beside them: {b.name}" for b in betweens)


def _feeds(a: Analysis) -> list[Feed]:
    return list(a.wired.feeds.values())


# -- at the supply -------------------------------------------------------------------------------


def _supply(a: Analysis) -> Iterator[Step]:
    runs = [r for r in a.wired.runs if r.ports and r.feeds]
    # Lower rows are the hardest to reach once the supply stands: assumption.
    for run in sorted(runs, key=lambda r: (-max(p.row for p in r.ports), r.ports[0].column)):
        joint = port_joint(a.wired, run)
        yield Step(
            id=f"joint:{joint.key}",
            group="supply",
            title=f"{joint.name} into {joint.where}",
            joint=joint,
            of=marked(a, supply=True, cables=[run.cable]),
            text=("Outside the case, where you can see the panel.",),
            looks=joint.looks,
        )
    bracket = a.build.bracket
    if bracket is not None:
        yield Step(
            id="bracket",
            group="supply",
            title=f"Screw on {bracket.name}",
            of=marked(a, supply=True),
            text=(f"It holds the {bracket.form} supply in a place for {bracket.place}.",),
        )
    if a.build.supply is not None:
        fan = next((c for c in fit_checks(a) if c.id == "supply-fan"), None)
        way = fit_words(fan, a.wired.parts) if fan else "its fan towards a free vent"
        yield Step(
            id="mount",
            group="supply",
            title="Mount the supply",
            of=marked(a, supply=True),
            text=(f"{way[:1].upper()}{way[1:]}.",),
            looks=(Look(id="screws", text="All its screws are in; no cable is caught behind it."),),
        )


# -- parts ---------------------------------------------------------------------------------------


def _joint(a: Analysis, feed: Feed, group: Group, text: tuple[str, ...] = ()) -> Step:
    joint = plug_joint(a, feed)
    caution = ""
    if joint.matings is not None and joint.matings >= WARN_MATINGS:
        caution = (
            f"This plug was mated {joint.matings} times of {MOST_MATINGS}: have another one ready."
        )
    port = f" from {joint.port}" if joint.port else ""
    return Step(
        id=f"joint:{joint.key}",
        group=group,
        title=f"{joint.name}{port} into {joint.where}",
        joint=joint,
        looks=joint.looks,
        caution=caution,
        text=text,
        of=_of_feed(a, feed),
    )


def _of(a: Analysis, *kinds: type) -> list[Feed]:
    """Plugs in parts of some kinds, with those of what stands in between on their way first."""
    feeds: dict[str, Feed] = {}
    for f in _feeds(a):
        if f.input.between is None and isinstance(f.input.part, kinds):
            for x in _way(a, f):
                feeds.setdefault(x.input.ref, x)
    return list(feeds.values())


def _way(a: Analysis, feed: Feed) -> Iterator[Feed]:
    """A plug in a socket, after the plugs in the leads of what it is of."""
    between = a.wired.betweens.get(feed.cable.key)
    if between is not None:
        for lead in a.wired.leads_in_use(between, feed.plug.key):
            yield from _way(a, a.wired.feeds[f"{between.key}#1/{lead}"])
    yield feed


def _board(a: Analysis) -> Iterator[Step]:
    feeds = _of(a, Board)
    feeds.sort(key=lambda f: CONNECTORS[f.input.socket.kind].thickness)
    for f in feeds:
        text = (
            ("Route it behind the tray first, then plug it.",)
            if is_of(f.mated, "main", "processor")
            else ()
        )
        yield _joint(a, f, "board", text)


def _cards(a: Analysis) -> Iterator[Step]:
    rule = a.build.house_rules.card_first == "mount then plug"
    closed = {c.part for c in fit_checks(a) if c.id == "plug-room" and c.status == "fail"}
    for part in a.build.parts:
        if not isinstance(part, Card):
            continue
        first = rule and part.key not in closed  # what can't be reached later is plugged before
        feeds = [f for f in _of(a, Card) if part.key in _reaches(a, f)]
        plugs = [_joint(a, f, "card") for f in feeds]
        mount = Step(
            id=f"mount:{part.key}",
            group="card",
            title=f"Mount {part.name}",
            of=marked(a, parts=[part]),
            text=tuple(_card_text(a, part, bool(feeds), first, part.key in closed)),
            looks=(
                Look(id="slot", text="It is level in its slot, and the slot’s catch has closed."),
                Look(id="screws", text="Its bracket is screwed to the case."),
            ),
        )
        yield from (mount, *plugs) if first else (*plugs, mount)


def _reaches(a: Analysis, f: Feed) -> set[str]:
    """Parts that a plug feeds in the end."""
    if f.input.between is None:
        return {f.input.at.part}
    return {k for x in a.wired.onward(f.input) for k in _reaches(a, x)}


def _card_text(a: Analysis, part: Card, fed: bool, first: bool, closed: bool) -> Iterator[str]:
    if part.covers:
        places = "1 slot cover" if part.covers == 1 else f"{part.covers} slot covers"
        yield f"Take {places} out first."
    slot = a.wired.slot_of(part)
    if slot is not None:
        yield f"It stands in {slot.key.replace('-', ' ')} of the board."
    if part.support:
        yield "Set its support under it before you let go."
    if fed and closed:
        yield "It was plugged first: in this case its plugs can’t be reached once it stands."
    elif fed:
        yield (
            "By your house rule it is mounted first, then plugged."
            if first
            else "By your house rule it was plugged first."
        )


def _drives(a: Analysis) -> Iterator[Step]:
    first, others = (Drive, Hub), tuple({*PART_KINDS} - {Board, Card, Drive, Hub})
    plugs = {f.input.ref: f for f in (*_of(a, *first), *_of(a, *others))}
    for f in plugs.values():
        yield _joint(a, f, "drives")
    for part in a.build.parts:
        if isinstance(part, ON_HEADER) and not part.sockets:
            hub = a.wired.parts.get(part.on) if part.on else a.wired.board
            on = hub.name if hub else "a header"
            headers = [h.key for h in a.wired.hung.get(part.key, ())]
            named = f": {_each_on(headers)}" if headers else ""
            times = f"{part.count} × " if part.count > 1 else ""
            yield Step(
                id=f"header:{part.key}",
                group="drives",
                of=marked(a, parts=[part]),
                title=f"{times}{part.name} onto {on}{named}",
                looks=(Look(id="blades", text="Its lead is clear of every blade."),),
                caution=_LOOP if isinstance(part, Pump) else "",
            )


def _each_on(headers: list[str]) -> str:
    """Which of several goes on which header."""
    if len(set(headers)) == 1:
        return headers[0]
    return ", ".join(f"{n} on {header}" for n, header in enumerate(headers, 1))


_LOOP = (
    "A loop that is filled off the board: follow its maker’s own procedure, and no other; never "
    "start a supply off its board except by that."
)


# -- small leads, and after ----------------------------------------------------------------------


def _small(a: Analysis) -> Iterator[Step]:
    for part in a.build.parts:
        if isinstance(part, Drive) and part.data != "expander":
            times = f", {part.count} of them" if part.count > 1 else ""
            yield Step(
                id=f"data:{part.key}",
                group="small",
                title=f"Data leads of {part.name}{times}",
                of=marked(a, parts=[part]),
                note="Which port each is on",
                looks=(Look(id="home", text="Each is pushed home at both ends."),),
            )
    yield Step(
        id="front",
        group="small",
        title="Front panel leads",
        of=marked(a, case=True),
        text=("Power and reset switch, lights: by the board’s manual.",),
        note="Their pins, from the manual",
        looks=(Look(id="manual", text="Plus and minus of the lights are as the manual has them."),),
    )
    case = a.build.case
    for name, n, words in (
        ("front_usb2", case.front_usb2 if case else None, "USB 2 lead of the front panel"),
        ("front_usb3", case.front_usb3 if case else None, "USB 3 lead of the front panel"),
        ("front_usbc", case.front_usbc if case else None, "USB-C lead of the front panel"),
        ("front_audio", case.front_audio if case else None, "Audio lead of the front panel"),
    ):
        if n:
            yield _lead(name, words if n == 1 else f"{n} × {words}", marked(a, case=True))
    for part in a.build.parts:
        if isinstance(part, UsbLoad) and part.port != "outside":
            onto = f"{part.name} onto its internal header"
            yield _lead(f"usb:{part.key}", onto, marked(a, parts=[part]))
        if isinstance(part, Hub | Cooler) and part.usb_lead:
            yield _lead(f"usb:{part.key}", f"USB lead of {part.name}", marked(a, parts=[part]))
    if a.build.supply is not None and a.build.supply.telemetry_lead:
        onto = "The supply’s own telemetry lead, onto an internal USB 2 header"
        yield _lead("telemetry", onto, marked(a, supply=True))


def _lead(id: str, title: str, mark: str) -> Step:
    return Step(
        id=f"lead:{id}",
        group="small",
        title=title,
        of=mark,
        note="Its header and pins",
        looks=(Look(id="pins", text="Every pin is in a hole of the plug; none is bent."),),
    )


def _after(a: Analysis) -> Iterator[Step]:
    looks = [
        Look(id="clicks", text="Every latch is over its edge: go along all of them once more."),
        Look(id="gaps", text="No plug shows a gap, seen from its side."),
        Look(id="fans", text="No lead can reach a fan; each blade turns freely by hand."),
        Look(id="panel", text="The side panel closes without pressing on a plug or its cable."),
        Look(id="screws", text="No screw is left over, or lies in the case."),
    ]
    if any(is_coded(f.mated) for f in _feeds(a)):
        straight = "Each 16-pin cable runs straight before its bend, and nothing pulls at it."
        looks.insert(2, Look(id="straight", text=straight))
    yield Step(id="last-look", group="after", title="A last look", looks=tuple(looks))
    yield Step(
        id="power-on",
        group="after",
        title="Switch on",
        text=(
            "Mains lead in, the supply’s switch on, then the power button.",
            "If nothing happens: off, lead out, and look at the board’s main plug, the processor’s "
            "plug, the supply’s switch and the front panel leads, in this order.",
        ),
        caution="Smoke, a smell, a warm, browned or loose plug: off at the wall, and stop. It is "
        "not to be used again.",
        looks=(
            Look(id="runs", text="Fans turn, and a picture or the board’s sign of life comes."),
            Look(id="warm", text="After five minutes no plug is warm."),
        ),
    )
    if any(isinstance(p, Card) for p in a.build.parts):
        yield Step(
            id="driver",
            group="after",
            title="Install the card’s driver",
            of=marked(a, parts=[p for p in a.build.parts if isinstance(p, Card)]),
            text=("Before that it may run at its least.",),
        )
    watts = up(a.tally.total.at("full").likely) or 0
    yield Step(
        id="readings",
        group="after",
        title="Take readings",
        text=(f"Idle, everyday and full: the tally says {watts} W at full.",),
        note="What the wall meter or the supply says",
    )
