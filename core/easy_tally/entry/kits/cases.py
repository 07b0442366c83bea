"""A case said in a line."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, get_args

from ...standards.forms import Side, SupplyForm
from ...things.case import Area, Case, RadiatorPlace, Route, Vent
from ..line import Amount, Misread, Rows, dimensions
from ..own import NO_WORDS
from ..printer import number_word
from .boxed import box_of, say_in_line
from .heard import Grammar, Told, read_by
from .lines import (
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
    Word("size", "size", "", one_of("small", "mid", "large")),
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
    Word("boxed", "in_box", "", box_of, say_in_line),
    Word("note", "note"),
)


def _room(word: str, x: Amount) -> tuple[str, str]:
    return word, number_word(x.likely)


def _vent_said(side: str, filtered: str | None = None) -> str:
    return side if filtered is None else f"{side}+filtered"


def _radiator_said(side: str, size: float | Amount) -> str:
    return f"{side}+{size.likely if isinstance(size, Amount) else size:g}"


def _radiators_said(size: float | Amount, _: str, side: str, *more: Any) -> str:
    """`360 radiator on top and 280 in front`, `420 radiator front and top`."""
    other, at = (more[0], more[1]) if len(more) > 1 else (size, more[0])
    return f"{_radiator_said(side, size)},{_radiator_said(at, other)}"


#: As its page or a tape measure says it.
_SPOKEN = Grammar(
    Rows(
        ("words", "<room> _ <up_to>? _ Q.mm", 4.0, lambda word, _, x: _room(word, x)),
        ("noted", "cooler|coolers|heatsink _ <up_to>? _ Q.mm", 4.0, lambda *_: ""),
        ("words", "<room> _ N mm", 3.0, lambda word, n: (word, number_word(n))),
        ("words", "Q.mm <up_to>? <room>", 3.4, lambda x, _, word: _room(word, x)),
        ("words", "Q.mm _ <room>", 3.2, lambda x, word: _room(word, x)),
        ("words", "I x? <bays>", 3.6, lambda n, word: (word, str(n))),
        ("words", "I x? <slots>", 3.0, lambda n, _: ("slots", str(n))),
        ("words", "<slots> : I", 5.0, lambda _, n: ("slots", str(n))),
        ("words", "<bays> : I", 5.0, lambda word, n: (word, str(n))),
        ("words", "I bay|bays for <bays>", 6.0, lambda n, word: (word, str(n))),
        ("words", "N <slots>", 2.0, lambda n, _: ("slots", str(int(n)))),
        ("sized room", "<room> _ <up_to>? _ N x Q.mm", 9.0, lambda w, _, n, x: (w, n, x)),
        ("noted", "fan|fans _ I x? N _ <side>", 6.0, lambda *_: ""),
        ("noted", "I x N _ <side>", 4.0, lambda *_: ""),
        ("words", "I x? <lead_to> <side>?", 3.4, lambda n, word, _: (word, str(n))),
        ("words", "<lead_to> <side>?", 2.0, lambda word, _: (word, "1")),
        ("words", "<side> <lead_to>", 2.4, lambda _, word: (word, "1")),
        ("words", "<size> <case>?", 3.0, lambda size, _: ("size", size)),
        ("words", "<supply_at>", 3.0, lambda side: ("supply-at", side)),
        ("formed", "<supply> <form> _ <up_to>? _ Q.mm", 6.0, lambda _, f, __, x: (f, x)),
        ("formed", "<form> <supply> _ <up_to>? _ Q.mm", 6.0, lambda f, _, __, x: (f, x)),
        ("form", "<form> <supply>", 3.4, lambda form, _: form),
        ("form", "<form> and|or|, <form> <supply>", 6.0, lambda one, two, _: f"{one},{two}"),
        ("form", "<form> / <form> <supply>", 6.0, lambda one, two, _: f"{one},{two}"),
        ("told", "<form>", 1.0, lambda _: ""),
        ("radiator", "N <radiator> _ <side>", 4.0, lambda n, _, side: _radiator_said(side, n)),
        ("radiator", "Q.mm <radiator> _ <side>", 4.4, lambda x, _, at: _radiator_said(at, x)),
        ("radiator", "<side> N <radiator>", 3.6, lambda side, n, _: _radiator_said(side, n)),
        ("radiator", "<side> Q.mm <radiator>", 4.0, lambda side, x, _: _radiator_said(side, x)),
        ("radiator", "<side> <radiator> N", 3.4, lambda side, _, n: _radiator_said(side, n)),
        ("radiator", "<side> <radiator> Q.mm", 3.8, lambda side, _, x: _radiator_said(side, x)),
        ("radiator", "N <radiator> _ <side> and <side>", 6.0, _radiators_said),
        ("radiator", "Q.mm <radiator> _ <side> and <side>", 6.4, _radiators_said),
        ("radiator", "N <radiator> _ <side> and N _ <side>", 9.0, _radiators_said),
        ("radiator", "Q.mm <radiator> _ <side> and N _ <side>", 9.4, _radiators_said),
        ("radiator", "<radiator> N _ <side>", 3.8, lambda _, n, side: _radiator_said(side, n)),
        ("radiator", "<radiator> Q.mm _ <side>", 4.2, lambda _, x, at: _radiator_said(at, x)),
        ("vent", "<filtered>? <side> <vents>", 3.0, lambda f, side, _: _vent_said(side, f)),
        ("vent", "<vents> _ <side> <filtered>?", 3.0, lambda _, side, f: _vent_said(side, f)),
        ("vent", "<side> and|,|& <side> <vents>", 4.0, lambda one, two, _: f"{one},{two}"),
        ("vent", "<vents> _ <side> and|,|& <side>", 4.0, lambda _, one, two: f"{one},{two}"),
        ("told", "<case>", 1.4, lambda _: ""),
        ("told", "mini|micro itx|atx", 1.8, lambda: ""),
        ("told", "itx|matx|eatx|microatx", 1.4, lambda: ""),
    ),
    "words of a case: its forms, mm for supply and cards, slots, bays",
    (dimensions,),
)


def read_case_line(line: str, own: Mapping[str, str] = NO_WORDS) -> Case:
    """`"My case" forms:ATX,SFX supply-room:180 card-room:340 panel:160 slots:7`, or as people say
    it: `tower, supply up to 180 mm, cards 360 mm, 7 slots, 360 radiator on top`. Raises Unread."""
    given, rest = pairs_of(line, CASE_WORDS)
    if not rest:
        return case_of(given)

    def make(told: Told) -> Case:
        return case_of({"name": told.name or "Case"} | _said(told) | given)

    return read_by(rest, _SPOKEN, make, own)


def _said(told: Told) -> dict[str, str]:
    """Word → value of what is said. Raises Misread."""
    values: dict[str, str] = {}
    for slot in told.of("words"):
        word, value = slot.value
        if values.setdefault(word, value) != value:
            raise Misread
    for slot in told.of("sized room"):
        word, long, high = slot.value
        values[word] = number_word(long)
        if word == "card-room":
            values.setdefault("panel", number_word(high.likely))
    for slot in told.of("formed"):
        form, x = slot.value
        values |= {"forms": form, "supply-room": number_word(x.likely)}
    for role, word in (("form", "forms"), ("radiator", "radiators"), ("vent", "vents")):
        if own := [s.value for s in told.of(role)]:
            values[word] = ",".join(dict.fromkeys(own))
    note = [told.text(s) for s in told.of("dimensions", "noted")] + (
        [told.note] if told.note else []
    )
    return values | ({"note": ", ".join(note)} if note else {})


def case_of(values: dict[str, str]) -> Case:
    """A case by its words' values. Raises Unread."""
    fields = fields_of(CASE_WORDS, values) | {"name": values.get("name", "")}
    return made(Case, fields)


def say_case(case: Case) -> str:
    """The line of a case."""
    return line_of(case.name, values_of(CASE_WORDS, case))
