"""A case's inside to scale, in two views of one drawing: from the side (rear at the left, slots
downwards) and from the front (slot at the left, side panel at the right).

What has no measure is not drawn, and named. Nothing is judged here but by the checks of `fit`.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from ...standards.forms import FACES, FAN_MM, SLOT_PITCH_MM
from ...things.case import Case
from ...things.parts import Card, Cooler
from ...wiring import Wired
from .fit import cards_of, coolers_of, places_of, plug_room
from .room import PLUG_ROOM_MM

View = Literal["side", "front"]
ShapeKind = Literal[
    "card", "plug", "bend", "radiator", "fans", "supply", "supply plugs", "limit", "place"
]
#: A thin card, and the gap between the slots and a supply below them [mm]. Source: assumption.
THIN_MM, GAP_MM = 4.0, 12.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Shape:
    """A rectangle [mm]; a limit has no width. `collides`: it reaches beyond its room."""

    view: View
    kind: ShapeKind
    x: float
    y: float
    w: float
    h: float
    label: str = ""
    collides: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Drawing:
    """Shapes of both views, and names of what has no measure."""

    shapes: tuple[Shape, ...]
    missing: tuple[str, ...]


def side_view(wired: Wired, case: Case, collides: frozenset[tuple[str, str]]) -> Drawing:
    """Both views; `collides` holds (check, part) of what fails."""
    deep = (case.slots or 7) * SLOT_PITCH_MM
    stands = [(c, i) for c in cards_of(wired) for i in range(c.count)]
    tops = _tops(wired, [c for c, _ in stands])
    shapes: list[Shape] = []
    missing: list[str] = []
    for (card, _), top in zip(stands, tops, strict=True):
        drawn = list(_card(wired, case, card, top, collides))
        shapes += drawn
        for view, measure in (("side", "length"), ("front", "height")):
            if not any(s.view == view for s in drawn):
                missing.append(f"{card.name}: {measure}")
    deep = max([deep, *(s.y + s.h for s in shapes)])
    for cooler in coolers_of(wired):
        shapes += _radiator(case, cooler, ("radiator", cooler.key) in collides)
    shapes += _places(case)
    shapes += _supply(wired, case, deep, collides)
    shapes += _limits(case, deep)
    return Drawing(shapes=tuple(shapes), missing=tuple(dict.fromkeys(missing)))


def _tops(wired: Wired, cards: list[Card]) -> list[int]:
    """The place at which each card begins: its slot's, or the next that is free below."""
    tops: list[int] = []
    at = 1
    for card in cards:
        own = places_of(wired, card)
        top = at if own is None else own.start
        tops.append(top)
        at = max(at, top + (card.covers or 1))
    return tops


def _card(
    wired: Wired, case: Case, card: Card, top: int, collides: frozenset[tuple[str, str]]
) -> Iterator[Shape]:
    y, h = (top - 1) * SLOT_PITCH_MM, (card.covers or 1) * SLOT_PITCH_MM - THIN_MM
    bad = bool({(c, card.key) for c in ("card-length", "slots")} & collides)
    side = Shape(
        view="side",
        kind="card",
        x=0,
        y=y,
        w=card.length_mm or 0,
        h=h,
        label=card.name,
        collides=bad,
    )
    if card.length_mm is not None:
        yield side
    front = None
    if card.height_mm is not None:
        front = replace(
            side, view="front", w=card.height_mm, collides=("card-height", card.key) in collides
        )
        yield front
    base = side if card.plugs_face == "front" else front
    takes = plug_room(wired, card)
    if takes is None or base is None or not base.w:
        return
    bend = wired.build.assumptions.bend_radius_mm if takes.straight_mm else 0.0
    bad = ("plug-room", card.key) in collides
    straight = takes.takes_mm - bend
    label = f"plug, {straight:g} mm"
    yield replace(
        base,
        kind="plug",
        x=base.w,
        w=straight,
        y=y + h / 3,
        h=max(h / 3, THIN_MM),
        label=label,
        collides=bad,
    )
    if bend:
        yield replace(
            base,
            kind="bend",
            x=base.w + straight,
            w=bend,
            y=y + h / 3,
            h=h,
            label="bend",
            collides=bad,
        )


def _radiator(case: Case, cooler: Cooler, bad: bool) -> Iterator[Shape]:
    room = case.card_length_mm
    if cooler.radiator_mm is None or cooler.thick_mm is None or room is None:
        return
    if cooler.side == "front":
        body = Shape(
            view="side",
            kind="radiator",
            x=room - cooler.thick_mm,
            y=-cooler.radiator_mm / 2,
            w=cooler.thick_mm,
            h=cooler.radiator_mm,
            label=cooler.name,
            collides=bad,
        )
        yield body
        yield replace(body, kind="fans", x=room, w=FAN_MM, label="")
    elif cooler.side == "top":
        body = Shape(
            view="side",
            kind="radiator",
            x=0,
            y=_TOP,
            w=cooler.radiator_mm,
            h=cooler.thick_mm,
            label=cooler.name,
            collides=bad,
        )
        yield body
        yield replace(body, kind="fans", y=_TOP + cooler.thick_mm, h=FAN_MM, label="")


#: How far above the first slot the top of the drawing lies [mm]: a board's processor part.
_TOP = -190.0


def _places(case: Case) -> Iterator[Shape]:
    """The slot places of the case, at its rear."""
    for n in range(case.slots or 0):
        yield Shape(
            view="side", kind="place", x=-6, y=n * SLOT_PITCH_MM, w=4, h=SLOT_PITCH_MM - THIN_MM
        )


def _supply(
    wired: Wired, case: Case, deep: float, collides: frozenset[tuple[str, str]]
) -> Iterator[Shape]:
    supply = wired.build.supply
    if supply is None or supply.length_mm is None or supply.form is None:
        return
    high = FACES[supply.form].height_mm
    body = Shape(
        view="side",
        kind="supply",
        x=0,
        y=deep + GAP_MM,
        w=supply.length_mm,
        h=high,
        label=supply.name,
        collides=("length", "") in collides,
    )
    yield body
    if supply.modular != "not":
        yield replace(body, kind="supply plugs", x=supply.length_mm, w=PLUG_ROOM_MM, label="plugs")
    if case.supply_length_mm is not None:
        yield replace(
            body,
            kind="limit",
            x=case.supply_length_mm,
            w=0,
            collides=False,
            label=f"room for it {case.supply_length_mm:g} mm",
        )


def _limits(case: Case, deep: float) -> Iterator[Shape]:
    for view, at, label in (
        ("side", case.card_length_mm, "front"),
        ("front", case.card_height_mm, "side panel"),
    ):
        if at is not None:
            yield Shape(
                view="side" if view == "side" else "front",
                kind="limit",
                x=at,
                y=_TOP if view == "side" else -THIN_MM,
                w=0,
                h=deep - (_TOP if view == "side" else -THIN_MM),
                label=f"{label} {at:g} mm",
            )
