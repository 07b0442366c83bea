"""Which part the kinds come to that are said of one thing."""

from __future__ import annotations

import re
from itertools import pairwise
from typing import NamedTuple

from ..strict.building import LEAST_RADIATOR_MM
from ..words import KINDS, PLURALS
from .lexicon import ONE_OF
from .patterns import Slot

_CALLED = re.compile(r'called:"([^"]*)"')


class Misread(Exception):
    """Slots that do not go together."""


class Head(NamedTuple):
    """What a thing is: its kind, its words in the line, the name that goes with them, where they
    stand, and what the reading loses by names that stand far from each other."""

    kind: str
    words: tuple[str, ...]
    called: str = ""
    at: int = -1
    to: int = -1
    is_plural: bool = False
    has_radiator: bool = False
    is_liquid: bool = False
    weight: float = 0.0


def kind_of(slot: Slot) -> str:
    """The kind of part that a slot names."""
    word = str(slot.value).split(" ")[0]
    return KINDS[PLURALS.get(word, word)]


def head_of(kinds: list[Slot], slots: list[Slot]) -> Head:
    """What the kinds of one thing come to, with its other slots. Raises Misread."""
    if not kinds:
        return _fans_alone(slots)
    weight = 0.0
    if all(kind_of(k) == "usb" for k in kinds) and _is_fed_by_sata(slots):
        weight -= len(kinds) - 1
        kinds = [k._replace(value=str(k.value).replace("usb", "hub", 1)) for k in kinds]
    meant = _meant(kinds)
    own = [k for k in kinds if kind_of(k) == meant]
    head = max(own, key=lambda k: len(str(k.value)))
    word, _, rest = str(head.value).partition(" ")
    if meant == "memory":  # its generation by one name, that it is registered by another
        rest = " ".join(str(k.value).partition(" ")[2] for k in [head, *own])
    sizes = [s.value.likely for s in slots if s.role == "length"]
    return Head(
        kind=meant,
        words=(PLURALS.get(word, word), *_CALLED.sub("", rest).split()),
        called=_called(kinds, meant),
        at=head.at,
        to=max(k.to for k in kinds),
        is_plural=word in PLURALS,
        has_radiator=any("radiator" in str(k.value) for k in kinds),
        is_liquid=str(head.value) != "cooler" or any(mm >= LEAST_RADIATOR_MM for mm in sizes),
        weight=weight - _apart(kinds),
    )


def _fans_alone(slots: list[Slot]) -> Head:
    """`four 120s`: fans, though no word says so."""
    if sum(s.role in ("fans", "sized") for s in slots) != 1:
        raise Misread
    return Head("fan", ("fan",))


def _is_fed_by_sata(slots: list[Slot]) -> bool:
    return any(s.value in ("sata", (("sata", 1),)) for s in slots)


def _meant(kinds: list[Slot]) -> str:
    """The kind that several names of one thing come to. Raises Misread."""
    names = {kind_of(k) for k in kinds}
    if "cooler" in names:  # what it has, and what it cools
        names -= {"fan", "pump", "hub", "processor"}
    meant = next(iter(names)) if len(names) == 1 else ONE_OF.get(frozenset(names))
    # A card and its fans are told apart before; a drive on a card is an adapter or a drive: asked.
    if meant is None or names == {"card", "fan"} or (meant == "m2" and "card" in names):
        raise Misread
    return meant


def _called(kinds: list[Slot], meant: str) -> str:
    called = [c[1] for k in kinds if (c := _CALLED.search(str(k.value)))]
    if "Front panel" in called:
        return "Front panel"
    if meant == "usb":
        return " and ".join(dict.fromkeys(called))
    return called[0] if called else ""


def _apart(kinds: list[Slot]) -> float:
    """What two names of different kinds cost, the more the further they stand apart."""
    return sum(
        1.0 + 0.6 * (other.at - one.to)
        for one, other in pairwise(kinds)
        if kind_of(one) != kind_of(other)
    )
