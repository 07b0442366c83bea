"""A case said in a line."""

from __future__ import annotations

from typing import Any, get_args

from ...standards.forms import Side, SupplyForm
from ...things.case import Area, Case, RadiatorPlace, Route, Vent
from ..printer import number_word
from .lines import (
    Unread,
    Word,
    fields_of,
    line_of,
    listed,
    made,
    number,
    numbers,
    one_of,
    pairs_of,
    several,
    values_of,
    whole,
)

_form = one_of(*get_args(SupplyForm))
_side = one_of(*get_args(Side))
_area = one_of(*get_args(Area))


def _vent(text: str) -> dict[str, Any]:
    side, _, filtered = text.partition("+")
    if filtered not in ("", "filtered"):
        raise ValueError("a side, or a side+filtered")
    return {"side": _side(side), "filtered": bool(filtered)}


def _say_vent(v: Vent) -> str:
    return v.side + ("+filtered" if v.filtered else "")


def _radiator(text: str) -> dict[str, Any]:
    side, size, *room = text.split("+")
    if len(room) > 1 or not size:
        raise ValueError("side+size, or side+size+room, in mm")
    more = {"room_mm": number(room[0])} if room else {}
    return {"side": _side(side), "up_to_mm": whole(size), **more}


def _say_radiator(r: RadiatorPlace) -> str:
    room = "" if r.room_mm is None else f"+{number_word(r.room_mm)}"
    return f"{r.side}+{r.up_to_mm}{room}"


def _route(text: str) -> dict[str, Any]:
    area, _, length = text.rpartition("+")
    return {"area": _area(area), "length_mm": number(length)}


def _say_route(r: Route) -> str:
    return f"{r.area}+{number_word(r.length_mm)}"


def _count(word: str, field: str) -> Word:
    return Word(word, field, "", whole, str)


#: Every word of a case; the columns of its CSV.
CASE_WORDS: tuple[Word, ...] = (
    Word("forms", "supply_forms", "", several(_form), listed(str)),
    Word("brackets", "brackets", "", several(_form), listed(str)),
    numbers("supply-room", "supply_length_mm", "mm"),
    Word("supply-at", "supply_at", "", one_of("bottom", "top", "front")),
    numbers("card-room", "card_length_mm", "mm"),
    numbers("panel", "card_height_mm", "mm"),
    _count("slots", "slots"),
    _count("bays-35", "bays_35"),
    _count("bays-25", "bays_25"),
    _count("usb2-leads", "front_usb2"),
    _count("usb3-leads", "front_usb3"),
    _count("usbc-leads", "front_usbc"),
    _count("audio-leads", "front_audio"),
    numbers("feet", "feet_mm", "mm"),
    Word("vents", "vents", "", several(_vent), listed(_say_vent)),
    Word("radiators", "radiators", "", several(_radiator), listed(_say_radiator)),
    Word("routes", "routes", "", several(_route), listed(_say_route)),
    Word("note", "note"),
)


def read_case_line(line: str) -> Case:
    """`"My case" forms:ATX,SFX supply-room:180 card-room:340 panel:160 slots:7`. Raises Unread."""
    values, rest = pairs_of(line, CASE_WORDS)
    if rest:
        words = ", ".join(w.word for w in CASE_WORDS)
        raise Unread([(rest[:60], f"a name in quotes, and words of {words}", "no such word")])
    return case_of(values)


def case_of(values: dict[str, str]) -> Case:
    """A case by its words' values. Raises Unread."""
    fields = fields_of(CASE_WORDS, values) | {"name": values.get("name", "")}
    return made(Case, fields)


def say_case(case: Case) -> str:
    """The line of a case."""
    return line_of(case.name, values_of(CASE_WORDS, case))
