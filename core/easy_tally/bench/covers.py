"""What lies over what: which things have to be out before a plug can be reached. Worked out from
what they are and how large, and asked once where that does not tell."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from typing import Any, Literal, NamedTuple

from ..standards.connectors import is_of
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


def overs(
    target: Target, place: str, stands: Standing, known: Known, closed: Iterable[str]
) -> Iterator[Over]:
    """What stands and lies over a target at a place, or may. `closed`: cards whose plugs are known
    not to be reached once they stand."""
    if target == "own plug":
        yield from _own(owner(place), stands, known, closed)
        return
    board = owner(place)
    for end, at in stands.where.items():
        if owner(at) != board:
            continue
        thing = known.get(owner(end))
        if thing is None:
            continue
        if isinstance(thing.of, Cooler) and target in ("seat", "processor plug"):
            if (end == thing.id) == is_on_board(thing.of) and detail(end) in ("", "head"):
                yield from _of_cooler(end, thing, target, stands)
        elif (
            isinstance(thing.of, Card) and end == thing.id and target in ("data ports", "M.2 slots")
        ):
            yield _of_card(thing, target, stands)


def _own(thing: str, stands: Standing, known: Known, closed: Iterable[str]) -> Iterator[Over]:
    one = known.get(thing)
    if one is None or thing not in stands.where:
        return
    covers = thing in closed if isinstance(one.of, Card) else _said(one, "own plug", stands)
    in_bay = owner(stands.where[thing])
    in_cage = in_bay in known and type(known[in_bay].of).__name__ == "Backplane"
    if isinstance(one.of, Drive) and (one.of.form != "3.5" or in_cage):
        covers = False
    yield Over(thing, thing, "own plug", covers)


def _of_cooler(end: str, thing: Individual, target: Target, stands: Standing) -> Iterator[Over]:
    if target == "seat":
        yield Over(thing.id, end, target, True)
    elif is_on_board(thing.of):
        yield Over(thing.id, end, target, _said(thing, target, stands))


def _of_card(thing: Individual, target: Target, stands: Standing) -> Over:
    is_short = thing.of.length_mm is not None and thing.of.length_mm <= SHORT_CARD_MM
    covers = False if is_short else _said(thing, target, stands)
    return Over(thing.id, thing.id, target, covers)


def _said(thing: Individual, target: Target, stands: Standing) -> bool | None:
    """What a person said of a thing, or of another of those that are alike."""
    return stands.reach.get((alike(thing.id), target))


def alike(thing: str) -> str:
    """An individual without its number among those alike: they stand alike."""
    return thing.partition("#")[0]
