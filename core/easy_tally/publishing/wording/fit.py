"""Room in the case and air through it, in words: a sentence with its numbers for each check."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from ...base.saying import counted
from ...supplies.case.fit import FitCheck, Missing
from ...things.parts import Part

#: A missing measure, as its sentence says it.
MEASURES: dict[str, str] = {
    "length_mm": "length",
    "height_mm": "height above the slot",
    "covers": "slot places it covers",
    "support": "whether it needs a support",
    "side": "where it is mounted",
    "thick_mm": "radiator’s thickness",
    "radiator_mm": "radiator’s size",
    "flow_m3h": "air it moves",
    "blows": "which way it blows",
    "card_length_mm": "room for a card’s length",
    "card_height_mm": "slot to side panel",
    "slots": "slot places",
    "radiators": "places for radiators",
    "bays_35": "3.5-inch bays",
    "bays_25": "2.5-inch places",
    "supply_at": "where its supply stands",
    "feet_mm": "room under its bottom",
    "fan_side": "where its fan is",
    "stands_on": "what it stands on",
}
#: What each check is called in a list.
FIT_WORDS: dict[str, str] = {
    "card-length": "card length",
    "card-height": "card height",
    "plug-room": "room for the plugs",
    "slots": "slot places",
    "free-place": "a free place",
    "support": "a support for the card",
    "radiator": "radiator",
    "bays-35": "3.5-inch bays",
    "bays-25": "2.5-inch places",
    "supply-fan": "the supply’s fan",
    "airflow": "air",
}


def measure_words(missing: Missing, parts: Mapping[str, Part]) -> str:
    """A measure to be taken, and of what."""
    part = parts.get(missing.key)
    owner = {"case": "the case", "supply": "the supply", "place": "the machine"}.get(missing.of)
    return f"{part.name if part else owner or missing.key}: {MEASURES[missing.field]}"


def _mm(value: float | None) -> str:
    return "an unknown length" if value is None else f"{value:g} mm"


def _card_length(c: FitCheck) -> str:
    if c.status == "fail":
        return f"{_mm(c.load)} long, and there is room for {_mm(c.limit)}"
    return f"{_mm(c.load)} long of {_mm(c.limit)}"


def _card_height(c: FitCheck) -> str:
    if c.status == "fail":
        return f"{_mm(c.load)} high, and the side panel is {_mm(c.limit)} from the slot"
    return f"{_mm(c.load)} high of {_mm(c.limit)} to the side panel"


def _plugs(c: FitCheck) -> str:
    takes, to = c.more["takes"], "front" if c.more["face"] == "front" else "side panel"
    beyond = f"{takes.takes_mm:g} mm"
    if takes.straight_mm:
        beyond += f" ({takes.straight_mm:g} mm of it straight before the bend)"
    said = f"its edge at {_mm(c.more['own'])} and its plug and bend, {beyond}, take {_mm(c.load)}"
    if c.status != "fail":
        return f"{said} of {_mm(c.limit)} to the {to}"
    said += f"; the {to} is at {_mm(c.limit)}"
    fits: tuple[str, ...] = c.more["fits_with"]
    return said + (f". It has room with {' or '.join(fits)}" if fits else "")


def _slots(c: FitCheck) -> str:
    clash = c.more["clash"]
    if clash and clash[1]:
        return f"{clash[0]} and {clash[1]} cover the same place"
    if clash:
        return f"{clash[0]} reaches beyond the last place of the case"
    cover = f"the cards cover {counted(c.load or 0, 'slot place')}"
    return cover + (f" of {c.limit:g}" if c.limit is not None else "")


def _free_place(c: FitCheck) -> str:
    if c.status == "warn":
        spare = f"though {counted(c.load or 0, 'place')} of the case would be free"
        return f"the hottest card has {c.more['beside']} right beside its fans, {spare}"
    return "the place beside the hottest card is free, or there is none to spare"


def _support(c: FitCheck) -> str:
    if c.status == "warn" and c.more["support"] is None:
        return "a card of its size may sag: look whether it wants a support, and fit it first"
    if c.status == "warn":
        return "its weight asks for a support: fit one before its cable"
    return "support: " + str(c.more["support"])


def _radiator(c: FitCheck) -> str:
    sides = " or ".join(c.more["sides"])
    if c.status == "pass":
        return f"its radiator goes to the {sides}"
    where = f"at the {c.more['side']} " if c.more["side"] else ""
    if c.limit is None:
        return f"the case has no place for a radiator {where}".rstrip()
    if c.more["by"] == "size":
        return f"its radiator is {_mm(c.load)}, and {where}there is room for {_mm(c.limit)}"
    return f"radiator and fans are {_mm(c.load)} thick, and {where}there is room for {_mm(c.limit)}"


def _bays(c: FitCheck) -> str:
    kind = "3.5-inch drives" if c.id == "bays-35" else "2.5-inch drives"
    return f"{kind}: {c.load or 0:g}, and room for {c.limit or 0:g}"


def _supply_fan(c: FitCheck) -> str:
    way, why, rule = c.more["way"], c.more["why"], c.more["rule"]
    if way == "as it stands":
        return f"the supply’s fan: as the case has it, {why}"
    if c.status == "warn":
        return f"the supply’s fan looks {rule} by your house rule; here {way} is better: {why}"
    return f"the supply’s fan looks {way}: {why}"


def _airflow(c: FitCheck) -> str:
    least, most = c.limit or 0.0, c.more["most"]
    fans = f"{least:.0f}" if least == most else f"{least:.0f} to {most:.0f}"
    return (
        f"air: {c.more['heat_w']:.0f} W at full, {c.more['rise']:g} °C warmer, take "
        f"{c.load or 0:.0f} m³/h; the fans move {fans} m³/h in the case" + _lacking(c)
    )


def _lacking(c: FitCheck) -> str:
    """How many fans of which size would do."""
    n, size = c.more["lacking"], c.more["size_mm"]
    if not n:
        return ""
    return f": {counted(n, 'more fan')} of {size} mm would do"


_SAYS: dict[str, Callable[[FitCheck], str]] = {
    "card-length": _card_length,
    "card-height": _card_height,
    "plug-room": _plugs,
    "slots": _slots,
    "free-place": _free_place,
    "support": _support,
    "radiator": _radiator,
    "bays-35": _bays,
    "bays-25": _bays,
    "supply-fan": _supply_fan,
    "airflow": _airflow,
}


def fit_words(check: FitCheck, parts: Mapping[str, Part]) -> str:
    """A check of room in one sentence, without the name of what it is of."""
    if check.status == "unknown":
        lacks = ", ".join(measure_words(m, parts) for m in check.missing)
        known = f"{check.load or 0:.0f} m³/h are needed; " if check.id == "airflow" else ""
        if check.usual:
            return f"{_SAYS[check.id](check)}; assumed, by usual measures: measure it"
        lacks = lacks or "a figure of a part"
        return f"{FIT_WORDS[check.id]}: {known}not known without {lacks}"
    said = _SAYS[check.id](check)
    if check.usual == "breaks":
        return f"{said}; assumed, by usual measures, and not so at their cautious end"
    return f"{said}; assumed, by usual measures" if check.usual else said
