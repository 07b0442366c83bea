"""What is done to the whole: before a hand is in it, and after."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator

from ..base.rounding import up
from ..standards.connectors import is_coded
from ..things.cables import Cable
from ..things.parts import Card, Pump
from .hands import PUMP
from .joints import Look
from .record import MACHINE, Act, owner
from .steps import Bench, Step, counted

_SAFE = (
    Look(id="switch", text="The supply’s switch is off, and its mains lead is out of the wall."),
    Look(id="drain", text="The power button was pressed once for five seconds, with the lead out."),
    Look(id="static", text="You touched bare metal of the case, and do so again now and then."),
)


def safe_step(bench: Bench) -> Step:
    """What makes safe."""
    return Step(
        id="safe",
        group="before",
        title="Make it safe",
        looks=_SAFE,
        caution="Never open a supply, never cut its cables, never force a plug that resists.",
        acts=(Act("made safe", MACHINE),),
    )


def cable_steps(bench: Bench) -> Iterator[Step]:
    """What is looked at of every cable that is to be plugged, and of what is between."""
    cables = list(dict.fromkeys(_to_be_plugged(bench)))
    if not cables:
        return
    names = [str(bench.machine.of[t].of.name) for t in cables]
    yield Step(
        id="pins",
        group="cables",
        title="Look into every plug",
        text=(counted(names),),
        looks=(
            Look(id="straight", text="No pin is pushed in, bent or browned, in both ends of each."),
        ),
        acts=tuple(Act("looked at", t, "plugs") for t in cables),
    )
    sorted_out = tuple(_sorted_out(bench, cables))
    if not sorted_out:  # cables that are fixed to their supply need no sorting
        return
    yield Step(
        id="sort",
        group="cables",
        title="Sort the cables by their family",
        text=sorted_out,
        caution="Never use a cable of another supply unless its maker states the same pinout.",
        looks=(Look(id="family", text="No cable of another supply lies among them."),),
        acts=tuple(Act("looked at", t, "family") for t in cables),
    )


def _to_be_plugged(bench: Bench) -> Iterator[str]:
    """Cables, and what is between, of which an end goes in, or that were looked at in the work that
    is under way."""
    for end, link in bench.machine.links.items():
        thing = owner(end)
        if link.kind not in ("port", "plug") or thing not in bench.machine.of:
            continue
        looked = bench.stands.looked.get((thing, "plugs"), -1)
        if end in bench.difference.into or looked >= bench.stands.begun:
            yield thing


def _sorted_out(bench: Bench, cables: list[str]) -> Iterator[str]:
    """Which cables come onto the table, which go back into their bag."""
    used = [bench.machine.of[t].of for t in cables]
    for family, n in Counter(c.family for c in used if isinstance(c, Cable) and c.needs).items():
        yield f"Out on the table: {n} {'cable' if n == 1 else 'cables'} of {family}"
    plugged = {owner(end) for end in bench.machine.links}
    left = Counter(
        (i.of.family, i.of.name)
        for i in bench.machine.of.values()
        if isinstance(i.of, Cable) and i.of.needs and i.id not in plugged
    )
    for (family, name), n in left.items():
        several = f", {n} of them" if n > 1 else ""
        yield f"Back into the bag of {family}: {name}{several}"
    yield from (f"Beside them: {c.name}" for c in used if not isinstance(c, Cable))


def after_steps(bench: Bench) -> Iterator[Step]:
    """Tied, looked over, switched on, measured."""
    yield from _tied(bench)
    yield from _loop(bench)
    coded = any(is_coded(f.mated) for f in bench.wired.feeds.values())
    looks = [
        Look(id="clicks", text="Every latch is over its edge: go along all of them once more."),
        Look(id="gaps", text="No plug shows a gap, seen from its side."),
        Look(id="fans", text="No lead can reach a fan; each blade turns freely by hand."),
        Look(id="panel", text="The side panel closes without pressing on a plug or its cable."),
        Look(id="screws", text="No screw is left over, or lies in the case."),
    ]
    if coded:
        straight = "Each 16-pin cable runs straight before its bend, and nothing pulls at it."
        looks.insert(2, Look(id="straight", text=straight))
    yield Step(
        id="last-look",
        group="after",
        title="A last look",
        looks=tuple(looks),
        acts=(Act("looked over", MACHINE),),
    )
    yield _switched_on(bench)
    yield from _driver(bench)
    watts = up(bench.a.tally.total.at("full").likely) or 0
    yield Step(
        id="readings",
        group="after",
        title="Take readings",
        text=(f"Idle, everyday and full: the tally says {watts} W at full.",),
        note="What the wall meter or the supply says",
        acts=(Act("measured", MACHINE),),
    )


def _tied(bench: Bench) -> Iterator[Step]:
    hanging = [
        f"plug {plug.key} of {run.cable.name}"
        for run in bench.wired.runs
        if run.feeds
        for plug in run.cable.plugs
        if not bench.wired.uses_of(run.cable.key, plug.key)
    ]
    left = f"Left over: {', '.join(hanging)}." if hanging else "No plug of a cable is left over."
    if bench.machine.links:
        yield Step(
            id="ties",
            group="after",
            title="Tie the leads where no fan reaches them",
            text=(left, "Loosely: a plug is not pulled aside by its tie."),
            acts=(Act("tied", MACHINE),),
        )


def _loop(bench: Bench) -> Iterator[Step]:
    """A loop that is filled by hand: before anything of it is near power."""
    pumps = [i.id for i in bench.machine.of.values() if isinstance(i.of, Pump)]
    if not pumps:
        return
    yield Step(
        id="loop:fill",
        group="after",
        title="Fill and bleed the loop",
        text=(
            "By its maker’s own procedure, with the board and the cards without power.",
            "Turn the machine to each side until no more air comes.",
        ),
        caution=PUMP,
        looks=(
            Look(id="full", text="The reservoir stays full, and the pump is heard to run even."),
            Look(id="bled", text="No air goes round any more."),
        ),
        acts=tuple(Act("looked at", p, "filled") for p in pumps),
    )
    yield Step(
        id="loop:dry",
        group="after",
        title="An hour without a drop",
        text=(
            "Dry paper under every joint of the loop, its pump running, the rest without power.",
        ),
        caution="One drop: off, dry it, find where it came from. Nothing is powered until then.",
        looks=(Look(id="dry", text="After an hour every paper is dry."),),
        acts=tuple(Act("looked at", p, "an hour dry") for p in pumps),
    )


def _switched_on(bench: Bench) -> Step:
    cards = [p for p in bench.a.build.parts if isinstance(p, Card) and p.use == "graphics"]
    text = [
        "Mains lead in, the supply’s switch on, then the power button.",
        "The first start may take minutes and restart by itself: let it.",
        "If nothing happens: off, lead out, and look at the board’s main plug, the processor’s "
        "plug, the supply’s switch and the front panel leads, in this order.",
    ]
    if cards:
        text.insert(1, "The monitor’s lead goes into the card, not into the board.")
    return Step(
        id="power-on",
        group="after",
        title="Switch on",
        text=tuple(text),
        caution="Smoke, a smell, a warm, browned or loose plug: off at the wall, and stop. It is "
        "not to be used again.",
        looks=(
            Look(id="runs", text="Fans turn, and a picture or the board’s sign of life comes."),
            Look(id="warm", text="After five minutes no plug is warm."),
        ),
        acts=(Act("started", MACHINE),),
    )


def _driver(bench: Bench) -> Iterator[Step]:
    cards = [i.id for i in bench.machine.of.values() if isinstance(i.of, Card)]
    if cards:
        yield Step(
            id="driver",
            group="after",
            title="Install the card’s driver",
            text=("Before that it may run at its least.",),
            acts=tuple(Act("looked at", c, "driver") for c in cards),
        )
