"""Records of earlier versions, which tell of steps and not of acts: what they say stays said."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from hashlib import sha256
from typing import Any, NamedTuple

from ..analysis import Analysis
from ..things.cables import Cable
from ..things.individuals import Gone, Individual
from ..things.parts import Board, Card
from ..wiring import Between
from .machine import Machine
from .plan import JOINT, OUT, steps
from .record import MACHINE, Act, owner

#: Steps of earlier versions that are about nothing but the whole.
_OF_NOTHING = ("safe", "photo", "last-look", "power-on", "readings")


class Ticked(NamedTuple):
    """A tick of an earlier version: the step, the mark of the things that it was about (nothing in
    the first), and its words."""

    step: str
    of: str
    words: str


def acts_of_older(
    a: Analysis, ticks: Iterable[Ticked]
) -> tuple[list[tuple[Act, ...]], dict[str, Individual]]:
    """The acts of each tick, in the order of them, and what they tell of that is not in the build.
    A tick on things that the build has is one on those; a plug that it has no longer is one that
    is still to be pulled."""
    older = _Older(a)
    return [older.acts(t) for t in ticks], older.gone


class _Older:
    def __init__(self, a: Analysis) -> None:
        self.a = a
        self.machine = Machine(a.wired)
        self.steps = {s.id: s for s in steps(a)}
        self.gone: dict[str, Individual] = {}
        self.where: dict[str, str] = {}

    def acts(self, tick: Ticked) -> tuple[Act, ...]:
        """What a tick says of individuals."""
        step = self.steps.get(tick.step)
        if step is not None and tick.of in ("", self._mark(tick.step)):
            acts = tuple(act for act in step.acts)
            if tick.step == "power-on":
                over = (Act("tied", MACHINE), Act("looked over", MACHINE))
                acts = (*self._everything(), *over, *acts)
            else:
                acts = (*self._implied(acts), *acts)
        elif tick.step.startswith(JOINT):
            acts = (Act("plugged", *self._joint(tick.step.removeprefix(JOINT), tick.words)),)
        elif tick.step.startswith(OUT):
            acts = (Act("unplugged", *self._joint(tick.step.removeprefix(OUT), tick.words)),)
        else:
            return ()
        self.where |= {
            x.thing: x.place for x in acts if x.act in ("found", "mounted", "plugged", "led")
        }
        return acts

    def _everything(self) -> Iterator[Act]:
        """It runs: whatever no step of then tells of is where it belongs."""
        told = {
            x.thing
            for s in self.steps.values()
            if s.id.startswith((JOINT, "mount:card"))
            for x in s.acts
        }
        for end, place in self.machine.where.items():
            if end not in self.where and end not in told and not end.endswith(">"):
                yield Act("found", end, place)

    def _implied(self, acts: tuple[Act, ...]) -> Iterator[Act]:
        """What a plug goes into, or a lead is of, is mounted."""
        for act in acts:
            for thing in dict.fromkeys((owner(act.thing), owner(act.place))):
                rests = self.machine.rests.get(thing)
                is_in = act.act in ("plugged", "led") and ">" not in act.thing
                if is_in and rests and thing not in self.where:
                    self.where[thing] = rests
                    yield Act("found", thing, rests)

    def _joint(self, key: str, words: str) -> tuple[str, str]:
        """End and place of a joint that the map has no longer, or has of other things."""
        gone = f"0-gone-{sha256(key.encode()).hexdigest()[:12]}"
        place = key.partition(">")[2]
        said = words.removeprefix("Unplug ")[:80] or key[:80]
        self.gone[gone] = Individual(gone, key[:40], Gone(name=said))
        part, _, socket = place.partition("/")
        device, _, number = part.partition("#")
        into = self.machine.wired.parts.get(device)
        if into is None or not number.isdigit() or int(number) > into.count:
            return f"{gone}/plug", f"{gone}/{place}"
        return f"{gone}/plug", f"{self.machine.id(device, int(number))}/{socket}"

    # -- the marks of then -----------------------------------------------------------------

    def _mark(self, step: str) -> str:
        """The mark that a step had: a digest of the names and keys of what it is about."""
        if step in _OF_NOTHING:
            return ""
        wired, build = self.a.wired, self.a.build
        head, _, key = step.partition(":")
        part = wired.parts.get(key.removeprefix("usb:"))
        used = [r.cable for r in wired.runs if r.feeds]
        fed = {id(f.cable) for f in wired.feeds.values()}
        betweens = [b for b in wired.betweens.values() if id(b) in fed]
        match head:
            case "pins" | "sort":
                return _marked(self.a, cables=used, betweens=betweens)
            case "joint":
                return self._mark_of_joint(step)
            case "driver":
                return _marked(self.a, parts=[p for p in build.parts if isinstance(p, Card)])
            case "bracket":
                return _marked(self.a, supply=True)
            case "mount" if not key:
                return _marked(self.a, supply=True)
            case "lead" if key == "telemetry":
                return _marked(self.a, supply=True)
            case "front" | "lead" if part is None:
                return _marked(self.a, case=True)
        return _marked(self.a, parts=[part]) if part is not None else "?"

    def _mark_of_joint(self, step: str) -> str:
        joint = self.steps[step].joint
        if joint is None:
            return "?"
        if joint.kind == "port":
            cable = self.a.wired.cables[joint.cable]
            return _marked(self.a, supply=True, cables=[cable])
        feed = self.a.wired.feeds[joint.socket]
        carrier, into = feed.cable, feed.input.part
        return _marked(
            self.a,
            supply=isinstance(carrier, Cable) and not carrier.needs,
            betweens=[x for x in (carrier, into) if isinstance(x, Between)],
            parts=[] if isinstance(into, Between) else [into],
            cables=[carrier] if isinstance(carrier, Cable) else [],
        )


def _marked(
    a: Analysis,
    *,
    supply: bool = False,
    case: bool = False,
    parts: Iterable[Any] = (),
    cables: Iterable[Cable] = (),
    betweens: Iterable[Between] = (),
) -> str:
    things: list[tuple[str, ...]] = []
    own = a.build.supply
    if supply and own is not None:
        things.append(("supply", own.name, own.family, own.owned))
    if case:
        things.append(("case", a.build.case.name if a.build.case else ""))
        boards = [p for p in a.build.parts if isinstance(p, Board)]
        parts = [*parts, *boards]
    things += sorted(("part", p.key, p.name) for p in parts)
    things += sorted(("cable", c.key, c.name, c.family, c.owned) for c in cables)
    things += sorted(("between", b.key, b.name, getattr(b.of, "owned", "")) for b in betweens)
    return sha256(repr(things).encode()).hexdigest()[:16]
