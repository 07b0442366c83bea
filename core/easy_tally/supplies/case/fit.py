"""Whether what stands in a case has room there: cards, their plugs, radiators, drives.

Each check reads unknown where a measure is missing, and names it; where a known part is already
too much it fails. Source: `model.md` section 9; the usual measures of the field.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field, replace
from typing import Any, Literal, NamedTuple

from ...base.rounding import exceeds
from ...ratings.verdicts import UsualEnd
from ...standards.connectors import PLUGS, is_coded
from ...standards.forms import FAN_MM, Side
from ...things.case import Case, RadiatorPlace
from ...things.parts import Card, Cooler, Drive
from ...things.rules import STRAIGHT_MM
from ...things.supply import Supply
from ...wiring import Wired
from ..asked import CheckStatus

FitUnit = Literal["mm", "places", "bays", "m³/h", ""]
#: From this length on, or over this many slot places, a card may sag. Source: assumption.
LONG_CARD_MM, THICK_CARD = 250.0, 3


class Missing(NamedTuple):
    """A measure that is missing: of a part by its key, of the case, the supply or the place."""

    of: Literal["part", "case", "supply", "place"]
    key: str
    field: str


@dataclass(frozen=True, slots=True, kw_only=True)
class FitCheck:
    """One check of room: of a part, or of the case where `part` is empty."""

    id: str
    status: CheckStatus
    part: str = ""
    load: float | None = None
    limit: float | None = None
    unit: FitUnit = "mm"
    missing: tuple[Missing, ...] = ()
    more: Mapping[str, Any] = field(default_factory=dict)
    #: Where a measure is as usual: whether the check passes at its cautious end too.
    usual: UsualEnd = ""


def at_both_ends(usual: FitCheck, cautious: Iterable[FitCheck], is_assumed: bool) -> FitCheck:
    """A check by usual measures, beside the same at the cautious ends. What would fail by a measure
    of a part that is only assumed is not known."""
    others = [c for c in cautious if (c.status, c.load, c.limit) != _numbers(usual)]
    if is_assumed and usual.status == "fail" and not usual.more.get("certain"):
        return replace(usual, status="unknown", usual="breaks")
    if not others and not is_assumed:
        return usual
    breaks = usual.status == "pass" and any(c.status != "pass" for c in others)
    return replace(usual, usual="breaks" if breaks else "holds")


def _numbers(c: FitCheck) -> tuple[CheckStatus, float | None, float | None]:
    return c.status, c.load, c.limit


def _held(
    load: float | None, limit: float | None, missing: tuple[Missing, ...] = ()
) -> CheckStatus:
    """Fails where what is known is too much; else unknown where something is missing."""
    if load is not None and limit is not None and exceeds(load, limit):
        return "fail"
    return "unknown" if missing or load is None or limit is None else "pass"


def _lacks(*facts: tuple[bool, Missing]) -> tuple[Missing, ...]:
    return tuple(dict.fromkeys(missing for lacking, missing in facts if lacking))


def cards_of(wired: Wired) -> Iterator[Card]:
    """Cards of the build."""
    return (p for p in wired.build.parts if isinstance(p, Card))


def coolers_of(wired: Wired) -> Iterator[Cooler]:
    """Coolers of the build that have a radiator, or may have one."""
    return (p for p in wired.build.parts if isinstance(p, Cooler) and p.radiator_mm != 0)


# -- length ------------------------------------------------------------------------------------


class Room(NamedTuple):
    """Room for a card's length [mm]: at the least and at the most, and what would settle it."""

    least: float | None
    most: float | None
    missing: tuple[Missing, ...]


def card_room(wired: Wired, case: Case) -> Room:
    """Room in front of the slots, less the radiators that are there or may be."""
    room = case.card_length_mm
    missing = list(_lacks((room is None, Missing("case", "", "card_length_mm"))))
    least, most = room, room
    may_front = case.radiators is None or any(r.side == "front" for r in case.radiators)
    for cooler in coolers_of(wired):
        if cooler.side is None and may_front:
            missing.append(Missing("part", cooler.key, "side"))
        elif cooler.side != "front":
            continue
        if cooler.thick_mm is None:
            missing.append(Missing("part", cooler.key, "thick_mm"))
            least = None
        elif least is not None:
            least -= cooler.thick_mm
        if cooler.side == "front" and most is not None:
            most -= cooler.thick_mm or 0.0
    return Room(least, most, tuple(missing))


def card_length(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Each card's length against the room, the radiator in front taken off."""
    room = card_room(wired, case)
    for card in cards_of(wired):
        yield _within_room("card-length", card, card.length_mm, room, "length_mm")


def _within_room(
    id: str, card: Card, long: float | None, room: Room, field: str, **more: Any
) -> FitCheck:
    own = _lacks((long is None, Missing("part", card.key, field)))
    fits = long is not None and room.least is not None and not exceeds(long, room.least)
    missing = own if fits else (*own, *room.missing)
    status = _held(long, room.most, missing)
    return FitCheck(
        id=id,
        part=card.key,
        status=status,
        load=long,
        missing=missing,
        limit=room.least if room.least is not None else room.most,
        more=more,
    )


# -- height and the plugs ------------------------------------------------------------------------


def card_height(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Each card's height against the side panel, without its plugs."""
    for card in cards_of(wired):
        missing = _lacks(
            (card.height_mm is None, Missing("part", card.key, "height_mm")),
            (case.card_height_mm is None, Missing("case", "", "card_height_mm")),
        )
        yield FitCheck(
            id="card-height",
            part=card.key,
            load=card.height_mm,
            limit=case.card_height_mm,
            status=_held(card.height_mm, case.card_height_mm, missing),
            missing=missing,
        )


class PlugRoom(NamedTuple):
    """What a plug and its cable's bend take beyond a card's edge [mm], and of which cable."""

    takes_mm: float
    straight_mm: float
    cable: str


def plug_room(wired: Wired, card: Card) -> PlugRoom | None:
    """The most that any plug of a card takes; None where it has no socket."""
    rooms = [
        _plug_takes(wired, f"{card.key}#{n}/{s.key}", s.kind)
        for n in range(1, card.count + 1)
        for s in card.sockets
    ]
    return max(rooms, default=None)


def _plug_takes(wired: Wired, ref: str, kind: str) -> PlugRoom:
    assume = wired.build.assumptions
    feed = wired.feeds.get(ref)
    name = feed.cable.name if feed else ""
    if not is_coded(kind):
        return PlugRoom(assume.plug_8pin_mm, 0.0, name)
    return room_of(wired, feed.plug.straight_mm if feed else None, name)


def room_of(wired: Wired, stated_mm: float | None, name: str = "") -> PlugRoom:
    """What a 16-pin plug takes: its body, the straight length by the house rule, the bend."""
    assume, rule = wired.build.assumptions, wired.build.house_rules.straight_length
    straight = {"40 mm": 40.0, "35 mm": 35.0}.get(rule, stated_mm)
    straight = STRAIGHT_MM if straight is None else straight
    return PlugRoom(assume.plug_stands_mm + straight + assume.bend_radius_mm, straight, name)


def plugs(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Room for the plugs of each card, straight and bent, to what they stand out to; where it does
    not do, the cables at hand with which it does."""
    for card in cards_of(wired):
        takes = plug_room(wired, card)
        if takes is None:
            continue
        front = card.plugs_face == "front"
        own = card.length_mm if front else card.height_mm
        field = "length_mm" if front else "height_mm"
        room = card_room(wired, case) if front else _to_panel(case)
        load = None if own is None else own + takes.takes_mm
        check = _within_room(
            "plug-room",
            card,
            load,
            room,
            field,
            own=own,
            takes=takes,
            face=card.plugs_face,
            fits_with=_fits_with(wired, own, room.least, takes),
        )
        yield check


def _to_panel(case: Case) -> Room:
    missing = _lacks((case.card_height_mm is None, Missing("case", "", "card_height_mm")))
    return Room(case.card_height_mm, case.card_height_mm, missing)


def _fits_with(
    wired: Wired, own: float | None, room: float | None, takes: PlugRoom
) -> tuple[str, ...]:
    """Names of the 16-pin cables in the build with which the plug has room."""
    if (
        own is None
        or room is None
        or not takes.straight_mm
        or not exceeds(own + takes.takes_mm, room)
    ):
        return ()
    plugged = [
        (c.name, p.straight_mm)
        for c in wired.build.cables
        for p in c.plugs
        if is_coded(PLUGS[p.kind].whole)
    ]
    return tuple(
        name
        for name, straight in plugged
        if not exceeds(own + room_of(wired, straight).takes_mm, room)
    )


def support(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Whether a heavy card is held up: small ones need no support."""
    for card in cards_of(wired):
        small = (
            card.length_mm is not None
            and not exceeds(card.length_mm, LONG_CARD_MM)
            and card.covers is not None
            and card.covers < THICK_CARD
        )
        if card.use == "plain" or (card.support is None and small):
            continue
        # Of a card of this size of which nobody says so it is worth a look, and no more.
        to_look = card.support in ("needed", None)
        yield FitCheck(
            id="support",
            part=card.key,
            status="warn" if to_look else "pass",
            unit="",
            more={"support": card.support},
        )


# -- slots ---------------------------------------------------------------------------------------


def slots(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Slot places that the cards cover, against those of the case; by place where it is known."""
    cards = list(cards_of(wired))
    if not cards:
        return
    missing = _lacks(
        (case.slots is None, Missing("case", "", "slots")),
        *((c.covers is None, Missing("part", c.key, "covers")) for c in cards),
    )
    known = float(sum((c.covers or 1) * c.count for c in cards))
    stated = [c for c in wired.stated.parts if isinstance(c, Card)]
    # Of a card of which nobody says it, it is one place at the least.
    least = sum((c.covers or 1) * c.count for c in stated)
    sure = wired.stated.case is not None and wired.stated.case.slots is not None
    limit = None if case.slots is None else float(case.slots)
    clash = _clash(wired, cards, case.slots)
    certain = sure and limit is not None and exceeds(least, limit)
    # Of places as usual two cards may meet; where each covers one place at the least they do.
    certain = certain or _clash(wired, stated, case.slots if sure else None, at_least=1) is not None
    status: CheckStatus = "fail" if clash else _held(known, limit, missing)
    yield FitCheck(
        id="slots",
        status=status,
        load=known,
        limit=limit,
        unit="places",
        missing=missing,
        more={"clash": clash, "certain": certain},
    )


def places_of(wired: Wired, card: Card, at_least: int | None = None) -> range | None:
    """The slot places that a card covers, from its slot's on: `at_least` so many where nobody says
    how many; None where that is not known."""
    slots = wired.board.slots if wired.board else ()
    place = next((s.place for s in slots if s.key == card.slot), None)
    covers = at_least if card.covers is None else card.covers
    return None if place is None or covers is None else range(place, place + covers)


def _clash(
    wired: Wired, cards: list[Card], last: int | None, at_least: int | None = None
) -> tuple[str, str] | None:
    """Two cards that cover one place, or a card and the end of the case."""
    taken: dict[int, str] = {}
    for card in cards:
        for place in places_of(wired, card, at_least) or ():
            if place in taken:
                return card.name, taken[place]
            if last is not None and place > last:
                return card.name, ""
            taken[place] = card.name
    return None


def beside_hot(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Whether the place below the hottest card is free, where one could be."""
    placed = [(c, p) for c in cards_of(wired) if (p := places_of(wired, c)) is not None]
    hot = [(c.board_power_w.likely, c, p) for c, p in placed if c.board_power_w is not None]
    if not hot or case.slots is None or len(placed) < 2:
        return
    _, card, own = max(hot, key=lambda x: x[0])
    taken = {place for c, p in placed if c is not card for place in p}
    spare = case.slots - sum(len(p) for _, p in placed)
    beside = next((c.name for c, p in placed if own.stop in p), "")
    tight = own.stop in taken and spare > 0
    yield FitCheck(
        id="free-place",
        part=card.key,
        status="warn" if tight else "pass",
        unit="places",
        load=float(spare),
        more={"beside": beside},
    )


# -- radiators and drives --------------------------------------------------------------------------


def radiators(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Each radiator against the places that the case has for one."""
    for cooler in coolers_of(wired):
        missing = _lacks(
            (case.radiators is None, Missing("case", "", "radiators")),
            (cooler.radiator_mm is None, Missing("part", cooler.key, "radiator_mm")),
        )
        size = None if cooler.radiator_mm is None else float(cooler.radiator_mm)
        if missing:
            yield FitCheck(
                id="radiator", part=cooler.key, status="unknown", load=size, missing=missing
            )
            continue
        yield _radiator(cooler, case, size or 0.0)


def _radiator(cooler: Cooler, case: Case, size: float) -> FitCheck:
    """By its length first; of the places that are long enough by its thickness, with its fans."""
    places = [r for r in case.radiators or () if cooler.side in (None, r.side)]
    long = [r for r in places if r.up_to_mm >= size]
    if not long:
        most = max((float(r.up_to_mm) for r in places), default=None)
        return _radiator_check(cooler, "fail", places, "size", size, most)
    thick = None if cooler.thick_mm is None else cooler.thick_mm + FAN_MM
    rooms = [(r, r.room_mm) for r in long if r.room_mm is not None]
    unknown = [r for r in long if thick is None or r.room_mm is None]
    sure = [] if thick is None else [r for r, room in rooms if not exceeds(thick, room)]
    most = max((room for _, room in rooms), default=None)
    if sure:
        return _radiator_check(cooler, "pass", sure, "thickness", thick, most)
    if not unknown:
        return _radiator_check(cooler, "fail", long, "thickness", thick, most)
    missing = _lacks(
        (thick is None, Missing("part", cooler.key, "thick_mm")),
        (len(rooms) < len(long), Missing("case", "", "radiators")),
    )
    return _radiator_check(cooler, "unknown", unknown, "thickness", thick, most, missing)


def _radiator_check(
    cooler: Cooler,
    status: Literal["pass", "unknown", "fail"],
    places: list[RadiatorPlace],
    by: str,
    load: float | None,
    limit: float | None,
    missing: tuple[Missing, ...] = (),
) -> FitCheck:
    sides: tuple[Side, ...] = tuple(r.side for r in places)
    return FitCheck(
        id="radiator",
        part=cooler.key,
        missing=missing,
        status=status,
        load=load,
        limit=limit,
        more={"sides": sides, "side": cooler.side, "by": by},
    )


def bays(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Drives against bays; a 2.5-inch drive may stand in a 3.5-inch bay, not the other way."""
    drives = [p for p in wired.build.parts if isinstance(p, Drive)]
    large = sum(d.count for d in drives if d.form == "3.5")
    small = sum(d.count for d in drives if d.form == "2.5")
    for id, load, limit, lacks in (
        ("bays-35", large, case.bays_35, ("bays_35",)),
        (
            "bays-25",
            small,
            _small_bays(case, large),
            tuple(n for n in ("bays_35", "bays_25") if getattr(case, n) is None),
        ),
    ):
        if not load:
            continue
        missing = tuple(Missing("case", "", n) for n in lacks) if limit is None else ()
        most = None if limit is None else float(limit)
        yield FitCheck(
            id=id,
            status=_held(float(load), most, missing),
            load=float(load),
            limit=most,
            unit="bays",
            missing=missing,
        )


def _small_bays(case: Case, large: int) -> int | None:
    if case.bays_25 is None or case.bays_35 is None:
        return None
    return case.bays_25 + max(0, case.bays_35 - large)


# -- the supply's fan ------------------------------------------------------------------------------


def supply_fan(wired: Wired, case: Case) -> Iterator[FitCheck]:
    """Which way the supply's fan looks: down on a filtered, raised vent; up on carpet or without
    one. Source: house rule; assumption."""
    supply, build = wired.build.supply, wired.build
    wide = supply is not None and (supply.fan_side == "wide" or _is_usually_wide(supply))
    if not wide or case.supply_at is None:
        return
    vent = next((v for v in case.vents if v.side == "bottom"), None)
    way, why = _fan_way(case, vent is not None, bool(vent and vent.filtered), build.place.stands_on)
    rule = build.house_rules.supply_fan
    against = way != "as it stands" and rule not in ("by the case", way)
    yield FitCheck(
        id="supply-fan",
        status="warn" if against else "pass",
        unit="",
        more={"way": way, "why": why, "rule": rule},
    )


def _is_usually_wide(supply: Supply) -> bool:
    """Whether its fan is in a wide face, as that of every ATX supply of today is: assumption."""
    return supply.fan_side is None and supply.form == "ATX"


def _fan_way(case: Case, vent: bool, filtered: bool, stands_on: str | None) -> tuple[str, str]:
    if case.supply_at != "bottom":
        return "as it stands", f"the supply stands at the {case.supply_at}"
    if not vent:
        return "up", "the case has no vent below it"
    if not filtered:
        return "up", "the vent below it has no filter"
    if case.feet_mm == 0:
        return "up", "the case does not stand raised"
    if stands_on == "carpet":
        return "up", "it stands on carpet"
    raised = f"raised by {case.feet_mm:g} mm" if case.feet_mm else "raised by feet, as usual"
    floor = "" if stands_on else "; on carpet it would look up"
    return "down", f"a filtered vent, {raised}{floor}"
