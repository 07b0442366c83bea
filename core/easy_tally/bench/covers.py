"""What lies over what: which things have to be out before a plug can be reached. Worked out from
what they are and how large, and asked once where that does not tell."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from typing import Any, Literal, NamedTuple

from ..standards.connectors import is_of
from ..things.adapters import Backplane
from ..things.individuals import Individual
from ..things.parts import Board, Card, Cooler, Drive, M2Drive, Processor
from .machine import is_on_board
from .record import Standing, detail, owner

Target = Literal["seat", "processor plug", "data ports", "M.2 slots", "own plug"]
#: A card up to this length ends behind the board's data ports and M.2 slots [mm]. Source: they lie
#: in front of the slots, on boards of 170 mm and more; assumption.
SHORT_CARD_MM = 170.0
#: What is asked of one that may lie over something.
QUESTIONS: dict[Target, str] = {
    "processor plug": "Can the processor’s plugs be reached with {} in its place?",
    "data ports": "Can the data ports of the board be reached with {} in its slot?",
    "M.2 slots": "Can the M.2 slot be reached with {} in its slot?",
    "own plug": "Can the plug of {} be reached where it stands?",
}
WHY: dict[Target, str] = {
    "seat": "It sits on the processor.",
    "processor plug": "It lies over the processor’s plugs.",
    "data ports": "It lies over the board’s data ports.",
    "M.2 slots": "It lies over the M.2 slot.",
    "own plug": "Its plug can’t be reached where it stands.",
}

Known = Mapping[str, Individual]


class Over(NamedTuple):
    """Something that stands and lies over a target, or may: `covers` is None where nobody said.
    `end` is what comes out: itself, or the head that it has on the processor."""

    thing: str
    end: str
    target: Target
    covers: bool | None


def target_of(end: str, place: str, known: Known) -> Target | None:
    """What has to be in reach for an end to be moved there, or away from there."""
    thing, into = known.get(owner(end)), known.get(owner(place))
    if end == owner(end):
        if thing is not None and isinstance(thing.of, M2Drive):
            return "M.2 slots"
        return "seat" if thing is not None and isinstance(thing.of, Processor) else None
    if detail(end) == "data":
        return "data ports"
    if into is None or ">" in end:
        return None
    if isinstance(into.of, Drive | Card) and detail(end) not in ("lead", "usb"):
        return "own plug"
    socket = _socket(into.of, detail(place))
    is_processors = socket is not None and is_of(socket.kind, "processor")
    return "processor plug" if isinstance(into.of, Board) and is_processors else None


def _socket(part: Any, key: str) -> Any:
    return next((s for s in getattr(part, "sockets", ()) if s.key == key), None)


class Overs:
    """What lies over what, in a machine as it stands. `closed`: cards whose plugs are known not to
    be reached once they stand."""

    def __init__(self, stands: Standing, known: Known, closed: Iterable[str]) -> None:
        self.stands, self.known, self.closed = stands, known, frozenset(closed)
        #: Coolers and cards that stand, by what they stand on: (end, the thing).
        self._on: dict[str, list[tuple[str, Individual]]] = {}
        for end, at in stands.where.items():
            thing = known.get(owner(end))
            if thing is not None and isinstance(thing.of, Cooler | Card):
                self._on.setdefault(owner(at), []).append((end, thing))

    def of(self, target: Target, place: str) -> Iterator[Over]:
        """What stands and lies over a target at a place, or may."""
        if target == "own plug":
            yield from self._own(owner(place))
            return
        for end, thing in self._on.get(owner(place), ()):
            # A cooler of its own bears on the board; of one with a radiator the head does.
            is_head = end == (thing.id if is_on_board(thing.of) else f"{thing.id}/head")
            if isinstance(thing.of, Cooler) and is_head:
                if target in ("seat", "processor plug"):
                    yield from self._of_cooler(end, thing, target)
                continue
            is_card = isinstance(thing.of, Card) and end == thing.id
            if is_card and target in ("data ports", "M.2 slots"):
                yield self._of_card(thing, target)

    def _own(self, thing: str) -> Iterator[Over]:
        one = self.known.get(thing)
        if one is None or thing not in self.stands.where:
            return
        is_card = isinstance(one.of, Card)
        covers = thing in self.closed if is_card else self._said(one, "own plug")
        under = self.known.get(owner(self.stands.where[thing]))
        in_cage = under is not None and isinstance(under.of, Backplane)
        if isinstance(one.of, Drive) and (one.of.form != "3.5" or in_cage):
            covers = False
        yield Over(thing, thing, "own plug", covers)

    def _of_cooler(self, end: str, thing: Individual, target: Target) -> Iterator[Over]:
        if target == "seat":
            yield Over(thing.id, end, target, True)
        elif is_on_board(thing.of):
            yield Over(thing.id, end, target, self._said(thing, target))

    def _of_card(self, thing: Individual, target: Target) -> Over:
        is_short = thing.of.length_mm is not None and thing.of.length_mm <= SHORT_CARD_MM
        covers = False if is_short else self._said(thing, target)
        return Over(thing.id, thing.id, target, covers)

    def _said(self, thing: Individual, target: Target) -> bool | None:
        """What a person said of a thing, or of another of those that are alike."""
        return self.stands.reach.get((alike(thing.id), target))


def alike(thing: str) -> str:
    """An individual without its number among those alike: they stand alike."""
    return thing.partition("#")[0]
