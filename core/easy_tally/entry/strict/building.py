"""The fields of a part from what a line said of it; figures but those that need working out."""

from __future__ import annotations

import re
from typing import Any

from ...base.errors import BadInput
from ...standards.connectors import CONNECTORS, is_of
from ...things.parts import KINDS as PARTS
from ..words import (
    DETAILS,
    DRIVES,
    GENERATIONS,
    MEASURES,
    NAMES,
    SAID_SOCKETS,
    SIGNALS,
    SOCKETS,
    drive_socket,
)
from . import layout
from .lexer import NUMBER, number, unquoted
from .said import Said

#: How a disk's watts split where only their sum is said: 12 V to 5 V at equal amperes.
SPLIT_12V = 12 / 17
#: A bare number from here on is a fan's size in mm.
LEAST_FAN_MM = 20
#: And a cooler's, which goes into its name.
LEAST_COOLER_MM = 80
#: From here on it is a radiator's: no fan of an air cooler is as large.
LEAST_RADIATOR_MM = 200
#: A bare number from here on is a memory module's speed in MT/s.
LEAST_SPEED_MTS = 800

Fields = dict[str, Any]


def fields_of(kind: str, said: Said) -> Fields:
    """Fields of a part; takes from `said` what it uses."""
    fields: Fields = {"kind": kind, "key": kind, "name": NAMES.get(kind, kind)}
    match kind:
        case "disk" | "drive" | "ssd" | "optical" | "floppy":
            fields = _drive(kind, said)
        case "memory":
            _memory(fields, said)
        case "card":
            _card(fields, said)
        case "processor":
            _spikes(fields, said)
        case "board":
            _board(fields, said)
        case "fan":
            _fan(fields, said)
        case "strip":
            _strip(fields, said)
        case "cooler":
            _cooler(fields, said)
        case "hub":
            _listed(fields, said, "outputs", "out")
        case "pump":
            _watts_as_amps(said, 12)
        case "m2":
            _in_slot(fields, said)
        case "usb":
            if "port" in said.settings:
                fields["port"] = said.settings.pop("port")
        case "other":
            _share(fields, said)
        case _:
            pass
    part = PARTS[fields["kind"]]
    if part.has_sockets:
        _sockets(fields, said)
    if part.hangs:
        _hangs(fields, said)
    _signals(fields, said)
    _measures(fields, said)
    if said.name is not None:
        fields["name"] = said.name
    _details(fields, said)
    fields["count"] = said.counts[0] if said.counts else 1
    _common(fields, said)
    return fields


def _details(fields: Fields, said: Said) -> None:
    """Capacity, speed and the like: one of each, behind the name."""
    for unit, (written, kinds) in DETAILS.items():
        own = [d for d in said.details if d[1] == unit]
        if len(own) == 1 and fields["kind"] in kinds:
            said.details.remove(own[0])
            fields["name"] += f", {own[0][2]:.10g} {written}"


#: Kind → the words of the signal ports that one may be said to have.
_GIVES: dict[str, tuple[str, ...]] = {
    "board": tuple(SIGNALS),
    "card": tuple(SIGNALS),
    "usb": ("usb2-headers",),
}


def _signals(fields: Fields, said: Said) -> None:
    """Signal ports that a part gives, and the USB lead of a controller."""
    for word in _GIVES.get(fields["kind"], ()):
        if word in said.settings:
            fields[SIGNALS[word]] = _number(said, word)
    if any(f.name == "usb_lead" for f in PARTS[fields["kind"]].fields):
        leads = [w for w in ("usb-lead", "no-usb-lead") if w in said.flags]
        if len(leads) == 1 and said.flag(leads[0]):
            fields["usb_lead"] = leads[0] == "usb-lead"


def _measures(fields: Fields, said: Said) -> None:
    """How large a part is, where it is mounted, which way it blows."""
    for word, (field, choices) in MEASURES.get(fields["kind"], {}).items():
        if word not in said.settings:
            continue
        if choices is None:
            said.settings[word] = re.sub(r"(?<=[0-9])(mm|m3h|m³/h)$", "", said.settings[word])
            fields[field] = _number(said, word)
        elif said.settings[word] in choices:
            fields[field] = choices[said.settings.pop(word)]


def _in_slot(fields: Fields, said: Said) -> None:
    if "in" in said.settings:
        fields["slot"] = said.settings.pop("in")


def _common(fields: Fields, said: Said) -> None:
    for word, field in (("note", "note"), ("key", "key"), ("from", "catalogue")):
        if word in said.settings:
            text = said.settings.pop(word)
            fields[field] = unquoted(text) if text.startswith('"') else text
    if "boxed" in said.settings:
        _in_box(fields, said)


def _in_box(fields: Fields, said: Said) -> None:
    """What its box brings, lines with semicolons between; one that says nothing stays a word."""
    # What a box holds is read by the lines of boxes, which stand above this grammar.
    from ..kits.boxed import box_of

    try:
        fields["in_box"] = box_of(unquoted(said.settings["boxed"]))
    except BadInput:
        return
    del said.settings["boxed"]


def _sockets(fields: Fields, said: Said) -> None:
    """Explicit ones, those said by their words, none where that is said, or the usual ones."""
    kind = fields["kind"]
    text = said.settings.get("sockets")
    if text is not None and (sockets := layout.read_sockets(text)) is not None:
        del said.settings["sockets"]
        fields["sockets"] = sockets
        return
    usual = (drive_socket(fields["form"], fields.get("data")),) if kind == "drive" else ()
    words = [w for w in said.sockets if w in SAID_SOCKETS[kind]]
    none = said.flag("no-socket", "slot-only" if kind == "card" else "header")
    if none and words:
        said.flags.add("no-socket")  # a plug and none: not accounted for
    elif kind == "board" and not none:
        said.flag("no-cpu")
        has_main = any(is_of(SOCKETS[w], "main") for w in words)
        words = words if has_main else [CONNECTORS["atx24"].said[0], *words]
    elif not none:
        words = words or list(usual)
    said.sockets = [w for w in said.sockets if w not in words]
    fields["sockets"] = layout.usual_sockets(kind, words)


def _hangs(fields: Fields, said: Said) -> None:
    if "on" in said.settings:
        fields["on"] = said.settings.pop("on")
    if "at" in said.settings:
        fields["headers"] = said.settings.pop("at").split(",")


def _listed(fields: Fields, said: Said, word: str, stem: str) -> None:
    """Headers of a board, outputs of a hub."""
    text = said.settings.get(word)
    headers = None if text is None else layout.read_headers(text, stem)
    if headers is not None:
        del said.settings[word]
    fields[word] = (
        layout.usual_headers(layout.USUAL_HEADERS, stem, None) if headers is None else headers
    )


def _board(fields: Fields, said: Said) -> None:
    _listed(fields, said, "headers", "fan")
    text = said.settings.get("slots")
    slots = None if text is None else layout.read_slots(text)
    if slots is not None:
        del said.settings["slots"]
    fields["slots"] = layout.usual_slots([16]) if slots is None else slots
    text = said.settings.get("m2-slots")
    if text is not None and (m2 := layout.read_m2(text)) is not None:
        del said.settings["m2-slots"]
        fields["m2_slots"] = m2
    fields["eps4_in_eps8"] = said.flag("eps4-in-eps8")


def _memory(fields: Fields, said: Said) -> None:
    generations = said.flags & set(GENERATIONS)
    generation = generations.pop() if len(generations) == 1 else "ddr5"
    said.flags -= {generation}
    fields["name"] = f"Memory {generation.upper()} module"
    if speed := _large(said, LEAST_SPEED_MTS):
        said.details.append((f"{speed:g}", "mt/s", speed))
    # Earlier kinds come from 12 V registered or not; the word changes nothing there.
    if said.flag("registered") and generation == "ddr5":
        generation = "ddr5-registered"
    fields["generation"] = generation


def _card(fields: Fields, said: Said) -> None:
    if said.flag("plain"):
        fields["use"] = "plain"
    if lanes := said.take("lanes"):
        fields["lanes"] = lanes["likely"]
    elif "lanes" in said.settings:
        fields["lanes"] = _number(said, "lanes")
    _in_slot(fields, said)
    if "m2-slots" in said.settings:
        fields["m2_slots"] = _number(said, "m2-slots")
    if "limit" in said.settings:
        fields["power_limit"] = _number(said, "limit")
    _spikes(fields, said)


def _spikes(fields: Fields, said: Said) -> None:
    """A card's or a processor's own factors; of a card, or the standard's worst."""
    for text in said.settings.pop("spikes", "").split("+"):
        if text == "worst" and fields["kind"] == "card":
            fields["spikes"] = "by-standard worst"
        elif re.fullmatch(rf"{NUMBER}(/{NUMBER}){{3}}", text):
            fields["spike_factors"] = [number(n) for n in text.split("/")]
        elif text:
            said.unknown.append(f"spikes:{text}")


def _number(said: Said, word: str) -> float | str:
    """A setting's number; what is none is given as it is, for the declaration to refuse."""
    text = said.settings.pop(word)
    percent = text.endswith("%") and re.fullmatch(NUMBER, text[:-1])
    if percent:
        return number(text[:-1]) / 100
    return number(text) if re.fullmatch(NUMBER, text) else text


def _fan(fields: Fields, said: Said) -> None:
    sized = said.take("mm")
    size = sized["likely"] if sized else _large(said, LEAST_FAN_MM)
    size = 120 if size is None else size
    fields |= {"size_mm": size, "name": f"Fan {size:g} mm"}
    _watts_as_amps(said, 12)


def _large(said: Said, least: float) -> float | None:
    """The only bare number from `least` on, taken out."""
    own = [b for b in said.bare if number(b) >= least]
    if len(own) != 1:
        return None
    said.bare.remove(own[0])
    return number(own[0])


def _watts_as_amps(said: Said, volts: float) -> None:
    """Watts are amperes × volts; taken so where no amperes are said."""
    watts = None if any(u == "a" for _, u, _ in said.figures) else said.take("w")
    if watts:
        said.figures.append((f"{watts['likely']:g}w", "a", amps_of(watts, volts)))


def amps_of(watts: dict[str, Any], volts: float) -> dict[str, Any]:
    """A figure in watts, as it is said, in amperes."""
    return watts | {k: round(watts[k] / volts, 6) for k in ("low", "likely", "high")}


def _strip(fields: Fields, said: Said) -> None:
    volts = said.take("v")
    at = volts["likely"] if volts else 5
    fields |= {"volts": at, "name": f"Light strip {at:g} V"}
    _watts_as_amps(said, at or 5)


def _cooler(fields: Fields, said: Said) -> None:
    sized = said.take("mm")
    size = sized["likely"] if sized else _large(said, LEAST_COOLER_MM)
    if size:
        said.details.append((f"{size:g}mm", "mm", size))
    several = [n for n, w in said.several if w == "fan"]
    if len(several) == 1:
        said.several = [s for s in said.several if s[1] != "fan"]
        fields["fans"] = several[0]
    elif "fans" in said.settings:
        fields["fans"] = _number(said, "fans")


def _share(fields: Fields, said: Said) -> None:
    if "idle-share" in said.settings:
        fields["idle_share"] = _number(said, "idle-share")


def _drive(kind: str, said: Said) -> Fields:
    stated = said.form()
    form = {"disk": "3.5", "optical": "optical", "floppy": "floppy"}.get(kind, stated or "2.5")
    if stated == form and stated in said.bare:
        said.bare.remove(stated)
    elif stated == form:
        said.take("in")
    _, key, name, _ = DRIVES[form]
    fields: Fields = {"kind": "drive", "key": key, "name": name, "form": form}
    fields["power_disable"] = said.flag("power-disable")
    if "data" in said.settings:
        fields["data"] = said.settings.pop("data")
    watts = None if {"12v", "5v"} & said.named.keys() else said.take("w")
    if watts:
        shares = ((SPLIT_12V, 12.0, "run_12v_a"), (1 - SPLIT_12V, 5.0, "run_5v_a"))
        for share, volts, target in shares if form != "2.5" else ((1.0, 5.0, "run_5v_a"),):
            note = "" if share == 1 else f"{watts['likely']:g} W in all, split at equal amperes"
            scaled = {k: round(watts[k] * share / volts, 4) for k in ("low", "likely", "high")}
            fields[target] = scaled | {
                "origin": watts["origin"] if share == 1 else "assumed",
                "note": note or watts["note"],
            }
    return fields
