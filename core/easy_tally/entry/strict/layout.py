"""Sockets, headers and slots in one word each: the usual ones by number, any others by name."""

from __future__ import annotations

import re
from typing import Any

from ...standards.connectors import is_of, of_family
from ...things.parts import HEADER_WORDS, Header, M2Slot, Slot, Socket
from ..words import FED_EITHER_WAY, SAID_SOCKETS, SOCKET_ORDER, socket_kind
from .lexer import figure, split_outside

#: What a part of a kind gets where nothing is said of it.
USUAL_HEADERS = 4
#: Word → whether the speed of what hangs on a header is seen.
SPEEDS: dict[str, bool] = {"speed": True, "no-speed": False}
Fields = list[dict[str, Any]]


def usual_sockets(kind: str, said: list[str]) -> Fields:
    """Sockets of a part by their words, keyed and required as usual for its kind."""
    said = sorted(said, key=SOCKET_ORDER.index)
    kinds = [socket_kind(kind, w) for w in said]
    if kind == "card":
        return [_socket("abcdefghijklmnop"[i], k) for i, k in enumerate(kinds[:16])]
    if kind != "board":
        keys = ["power", *(f"power-{n}" for n in range(2, 17))]
        return [_socket(keys[i], k) for i, k in enumerate(kinds[:16])]
    fields: Fields = []
    for stem, stem_kinds, required in (
        ("main", of_family("main"), 16),
        ("cpu", of_family("processor"), 1),
        ("aux", of_family("auxiliary"), 16),
        ("extra", of_family("graphics", "drive"), 0),
    ):
        own = [k for k in kinds if k in stem_kinds]
        for i, k in enumerate(own):
            key = "main" if stem == "main" and i == 0 else f"{stem}-{i + 1}"
            fields.append(_socket(key, k, required=i < required))
    return fields


def _socket(key: str, kind: str, required: bool = True) -> dict[str, Any]:
    return {"key": key, "kind": kind, "required": required}


def usual_headers(count: int, stem: str, limit: dict[str, Any] | None) -> Fields:
    """So many fan headers, with one limit for each or none known."""
    return [{"key": f"{stem}-{n + 1}", "kind": "fan", "limit_a": limit} for n in range(count)]


def usual_slots(lanes: list[int]) -> Fields:
    """Slots by their lanes."""
    return [{"key": f"slot-{i + 1}", "lanes": n} for i, n in enumerate(lanes)]


# -- reading -------------------------------------------------------------------------------


def read_sockets(text: str) -> Fields | None:
    """`main=atx24,cpu-2=eps8+optional,power=16pin+first,a=pcie6+2`; None where it is no such."""
    fields: Fields = []
    for item in split_outside(text, ","):
        key, _, value = item.partition("=")
        kind, *more = value.split("+")
        socket: dict[str, Any] = {"key": key, "kind": kind}
        for word in more:
            if word == "optional":
                socket["required"] = False
            elif word == "first":
                socket["version"] = "first"
            elif re.fullmatch("[1-6]", word):
                socket["pins_12v"] = int(word)
            else:
                return None
        if not key or not kind:
            return None
        fields.append(socket)
    return fields


def read_headers(text: str, stem: str) -> Fields | None:
    """`6`, `6+1a`, or `fan-1=fan+1a,light-1=lights-5v`; None where it is no such."""
    first, *more = split_outside(text, "+")
    if re.fullmatch("[0-9]{1,2}", first) and len(more) <= 1:
        limit = _amps(more[0]) if more else None
        return None if more and limit is None else usual_headers(int(first), stem, limit)
    fields: Fields = []
    for item in split_outside(text, ","):
        key, _, value = item.partition("=")
        kind, *more = split_outside(value, "+")
        speed = SPEEDS.get(more[-1]) if more else None
        more = more if speed is None else more[:-1]
        limit = _amps(more[0]) if more else None
        if not key or kind not in HEADER_WORDS or len(more) > 1 or (more and limit is None):
            return None
        fields.append({"key": key, "kind": kind, "limit_a": limit, "speed": speed})
    return fields


def _amps(text: str) -> dict[str, Any] | None:
    amps = figure(text)
    return amps[1] if amps and amps[0] == "a" else None


def read_slots(text: str) -> Fields | None:
    """`none`, `x16,x4`, or `slot-1=x16@1,slot-2=x4+extra-1@5`, at places of the case; None where it
    is no such."""
    if text == "none":
        return []
    items = text.split(",")
    if all(re.fullmatch("x[0-9]{1,2}", i) for i in items):
        return usual_slots([int(i[1:]) for i in items])
    fields: Fields = []
    for item in items:
        key, _, value = item.partition("=")
        value, _, place = value.partition("@")
        lanes, *more = value.split("+")
        if not key or not re.fullmatch("x[0-9]{1,2}", lanes) or len(more) > 1:
            return None
        if place and not re.fullmatch("[0-9]{1,2}", place):
            return None
        slot = {"key": key, "lanes": int(lanes[1:]), "fed_by": more[0] if more else None}
        fields.append(slot | ({"place": int(place)} if place else {}))
    return fields


def usual_m2(count: int) -> Fields:
    """So many M.2 slots that switch nothing off."""
    return [{"key": f"m2-{n + 1}", "off": ()} for n in range(count)]


def read_m2(text: str) -> Fields | None:
    """`2`, `none`, or `m2-1,m2-2=5+6`: the SATA data ports that a used slot switches off; None
    where it is no such."""
    if text == "none" or re.fullmatch("[0-9]{1,2}", text):
        return usual_m2(0 if text == "none" else int(text))
    fields: Fields = []
    for item in text.split(","):
        key, _, value = item.partition("=")
        if not key or (value and not re.fullmatch(r"[0-9]{1,2}(\+[0-9]{1,2})*", value)):
            return None
        fields.append({"key": key, "off": [int(n) for n in value.split("+")] if value else []})
    return fields


# -- printing ------------------------------------------------------------------------------


def socket_words(kind: str, sockets: tuple[Socket, ...], usual: tuple[str, ...]) -> list[str]:
    """The words that say these sockets: nothing where they are the usual ones of the kind."""

    def made(words: list[str]) -> tuple[Socket, ...]:
        return tuple(Socket.model_validate(s) for s in usual_sockets(kind, words))

    # These would ask, where nothing is said.
    asked = kind in ("card", "board", *FED_EITHER_WAY)
    if sockets == made(list(usual)) and not asked:
        return []
    names: dict[str, str] = {}
    for word in SOCKET_ORDER:
        if word in SAID_SOCKETS[kind]:
            names.setdefault(socket_kind(kind, word), word)
    several = kind == "drive" and len(sockets) > 1  # `2xsata` of a drive says two drives
    short = sorted((names[s.kind] for s in sockets if s.kind in names), key=SOCKET_ORDER.index)
    if short and not several and sockets == made(short):
        counted = [(short.count(w), w) for w in dict.fromkeys(short)]
        no_cpu = kind == "board" and not any(is_of(s.kind, "processor") for s in sockets)
        return ["no-cpu"] * no_cpu + [f"{n}x{w}" if n > 1 else w for n, w in counted]
    if not sockets:
        return [
            {"card": "slot-only"}.get(kind, "header" if asked and kind != "board" else "no-socket")
        ]
    return ["sockets:" + ",".join(_socket_item(s) for s in sockets)]


def _socket_item(s: Socket) -> str:
    more = ("+optional" if not s.required else "") + ("+first" if s.version == "first" else "")
    return f"{s.key}={s.kind}{more}{f'+{s.pins_12v}' if s.pins_12v is not None else ''}"


def header_words(word: str, stem: str, headers: tuple[Header, ...], amps: Any) -> list[str]:
    """The word that says these headers; `amps` writes a figure in amperes."""
    if headers == tuple(Header.model_validate(h) for h in usual_headers(len(headers), stem, None)):
        return [] if len(headers) == USUAL_HEADERS else [f"{word}:{len(headers)}"]
    items = [
        f"{h.key}={h.kind}"
        + (f"+{amps(h.limit_a)}" if h.limit_a is not None else "")
        + ("" if h.speed is None else f"+{next(w for w, s in SPEEDS.items() if s == h.speed)}")
        for h in headers
    ]
    limits = {i.partition("+")[2] for i in items}
    usual = all(
        h.kind == "fan" and h.key == f"{stem}-{i + 1}" and h.speed is None
        for i, h in enumerate(headers)
    )
    if usual and len(limits) == 1 and all("+" in i for i in items):
        return [f"{word}:{len(headers)}+{limits.pop()}"]
    return [f"{word}:" + ",".join(items)]


def m2_words(slots: tuple[M2Slot, ...] | None) -> list[str]:
    """The word that says these M.2 slots; nothing where they are not known."""
    if slots is None:
        return []
    if slots == tuple(M2Slot.model_validate(s) for s in usual_m2(len(slots))):
        return [f"m2-slots:{len(slots)}"]
    # `7` alone is a number of slots, `7=` one that is called so.
    each = (
        s.key + ("=" + "+".join(map(str, s.off)) if s.off or len(slots) == 1 else "") for s in slots
    )
    return ["m2-slots:" + ",".join(each)]


def slot_words(slots: tuple[Slot, ...]) -> list[str]:
    """The word that says these slots; nothing for one of 16 lanes."""
    if slots == tuple(Slot.model_validate(s) for s in usual_slots([s.lanes for s in slots])):
        if [s.lanes for s in slots] == [16]:
            return []
        return ["slots:" + (",".join(f"x{s.lanes}" for s in slots) or "none")]
    return [
        "slots:"
        + ",".join(
            f"{s.key}=x{s.lanes}"
            + (f"+{s.fed_by}" if s.fed_by is not None else "")
            + (f"@{s.place}" if s.place is not None else "")
            for s in slots
        )
    ]
