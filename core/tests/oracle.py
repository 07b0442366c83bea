"""What a build draws, worked out a second time: from the text of a build file, at full and at each
bound, by plain sums, with tables of its own. It shares nothing with the core, so that each proves
the other. What limits a run stands in `oracle_runs`.

Source of the figures: PCI Express CEM, the ATX design guides, terminal makers' data, and the
assumptions that the product declares.
"""

from __future__ import annotations

import math
from collections import defaultdict
from typing import Any, NamedTuple

Doc = dict[str, Any]
#: (cable, kind, line, at, from mm).
Key = tuple[str, str, str, str, float]

VOLTS = {"v12": 12.0, "v5": 5.0, "v3v3": 3.3}
RAILS = tuple(VOLTS)
#: Fields of the board's own draw.
OWN = {"v12": "own_12v_w", "v5": "own_5v_w", "v3v3": "own_3v3_w"}
#: Mated kind → pins by line, circuits.
PINS: dict[str, tuple[dict[str, int], int]] = {
    "atx24": ({"v12": 2, "v5": 5, "v3v3": 4, "ground": 8}, 24),
    "eps8": ({"v12": 4, "ground": 4}, 8),
    "eps4": ({"v12": 2, "ground": 2}, 4),
    "pcie8": ({"v12": 3, "ground": 3}, 8),
    "pcie6": ({"v12": 3, "ground": 2}, 6),
    "16pin": ({"v12": 6, "ground": 6}, 12),
    "sata": ({"v12": 3, "v5": 3, "v3v3": 3, "ground": 5}, 15),
    "per4": ({"v12": 1, "v5": 1, "ground": 2}, 4),
}
GRANT_W = {"pcie6": 75.0, "pcie8": 150.0}
#: What sockets of a card share its load by [W].
WEIGHT_W = {"pcie6": 75.0, "pcie8": 150.0, "16pin": 600.0, "per4": 54.0, "sata": 54.0}
STANDARD_A = {
    14: (9, 8, 7, 6),
    16: (9, 8, 7, 6),
    18: (9, 8, 7, 6),
    20: (7, 6, 5, 5),
    22: (5, 4, 4, 4),
}
HIGH_A = {14: (12, 11, 10, 9), 16: (12, 11, 10, 9), 18: (11, 10, 9, 8)}
WIRE_A = {14: 17.0, 16: 13.0, 18: 10.0, 20: 7.5, 22: 5.0}
MOHM_PER_M = {14: 9.0, 16: 14.6, 18: 23.2, 20: 36.7, 22: 59.4}
CONTACT_MOHM = 5.0
SENSE_W = {
    "both_grounded": 600.0,
    "sense0_grounded": 300.0,
    "sense1_grounded": 450.0,
    "joined": 150.0,
}


#: Kind of plug → what all of it is, and what its marked half is.
WHOLE = {
    "atx20+4": "atx24",
    "eps4+4": "eps8",
    "pcie6+2": "pcie8",
    "pcie8": "pcie8",
    "pcie6": "pcie6",
    "eps8": "eps8",
    "eps4": "eps4",
    "16pin": "16pin",
    "sata": "sata",
    "per4": "per4",
}
MARKED = {"atx20+4": "atx20", "eps4+4": "eps4", "pcie6+2": "pcie6"}
BOUNDS = ("low", "likely", "high")


class Held(NamedTuple):
    """A load at full, and what it may be for as long as one likes; None: nobody knows. Of a limit
    that `warns` more is no fault."""

    load: float
    limit: float | None
    warns: bool = False


def contact_a(kind: str, circuits: int, gauge: int, grade: str | None) -> float | None:
    """What one contact carries before heat takes from it [A]; None: unknown."""
    if kind == "sata":
        return 1.5
    if kind == "per4":
        return 11.0
    if kind == "16pin":
        return {16: 9.2, 18: 5.5}.get(gauge)
    if grade is None:
        return None
    row = (STANDARD_A if grade == "standard" else HIGH_A).get(gauge)
    column = 0 if circuits <= 3 else 1 if circuits <= 6 else 2 if circuits <= 10 else 3
    return None if row is None else float(row[column])


def heat(build: Doc, cable: Doc) -> float:
    """What is left of a contact's rating in warm air: the wire's insulation or the terminal's
    105 °C, whichever gives way first, against the room and 15 °C more."""
    most = min(105.0, cable["insulation_degc"] or 80.0)
    left = most - (build["assumptions"]["room_degc"] + 15.0)
    return min(1.0, math.sqrt(left / 30.0)) if left > 0 else 0.0


# -- what flows ----------------------------------------------------------------------------------


def figure(part: Doc, field: str, bound: str = "likely") -> float:
    """A figure of a part at one of its bounds: watts or amperes."""
    return float(part[field][bound])


def card_split(card: Doc) -> tuple[float, float, float]:
    """(12 V of the slot, 3.3 V of the slot, the rest by its sockets) of a card at full [W]."""
    power = figure(card, "board_power_w") * card["power_limit"]
    kinds = [s["kind"] for s in card["sockets"]]
    stated = card["slot_w"] is not None
    slot = figure(card, "slot_w") if stated else 10.0 if "16pin" in kinds else 50.0
    return _split(card, power, slot, stated)


def _split(card: Doc, power: float, slot: float, stated: bool) -> tuple[float, float, float]:
    if stated:
        return min(slot, power), 0.0, power - min(slot, power)
    most_12v, most = (66.0, 75.0) if card["lanes"] == 16 else (25.0, 25.0)
    short = power - sum(WEIGHT_W[s["kind"]] for s in card["sockets"])
    at_12v = min(max(slot, short), most_12v, power)
    at_3v3 = min(max(short - most_12v, 0.0), max(min(9.9, most - most_12v), 0.0))
    return at_12v, at_3v3, power - at_12v - at_3v3


def split_at(card: Doc, bound: str) -> tuple[float, float, float]:
    """The same at a bound: of every bound of its load split at every bound of the slot's share the
    least, or the most. A share that nobody states lies between nothing and all that a slot may."""
    if bound == "likely":
        return card_split(card)
    stated = card["slot_w"] is not None
    usual = 10.0 if any(s["kind"] == "16pin" for s in card["sockets"]) else 50.0
    slots = [figure(card, "slot_w", b) for b in BOUNDS] if stated else [0.0, usual, 66.0]
    powers = [figure(card, "board_power_w", b) * card["power_limit"] for b in BOUNDS]
    each = [_split(card, power, slot, stated) for power in powers for slot in slots]
    pick = min if bound == "low" else max
    return pick(x[0] for x in each), pick(x[1] for x in each), pick(x[2] for x in each)


def connected(build: Doc) -> dict[str, Doc]:
    """What is plugged into what: input → the connection, of what the supply feeds in the end."""
    plugged = {ref_of(c["socket"]): c for r in build["runs"] for c in r["connections"]}
    between = [(b, leads_of(b)) for name in ("adapters", "extensions") for b in build[name]]
    while True:
        more = {
            ref_of(c["socket"]): c
            for b, leads in between
            if any(f"{b['key']}#1/{k}" in plugged for k in leads)
            for c in b["connections"]
        }
        if more.keys() <= plugged.keys():
            return plugged
        plugged |= more


def leads_of(between: Doc) -> dict[str, Doc]:
    """The leads of an adapter or an extension, by their keys: kind and stated 12 V pins."""
    if "leads" in between:
        return {x["key"]: x for x in between["leads"]}
    return {"in": {"kind": WHOLE[between["kind"]], "pins_12v": None}}


def shared(sockets: list[Doc], at: str, plugged: dict[str, Doc]) -> list[Doc]:
    """The sockets of one thing that its load divides over: those that are connected; before any is,
    those that have to be."""
    fed = [s for s in sockets if f"{at}/{s['key']}" in plugged]
    return fed or [s for s in sockets if s["required"]]


def demands(build: Doc, bound: str = "likely") -> dict[str, dict[str, float]]:
    """Watts by rail at every socket, by `part#instance/socket`, at one bound."""
    found: dict[str, dict[str, float]] = defaultdict(lambda: defaultdict(float))
    board = next(p for p in build["parts"] if p["kind"] == "board")
    plugged = connected(build)
    main = f"{board['key']}#1/main"
    for rail, field in OWN.items():
        found[main][rail] += figure(board, field, bound)
    for p in build["parts"]:
        match p["kind"]:
            case "processor":
                _processor(build, board, p, found, plugged, bound)
            case "memory":
                rail = "v5" if p["generation"] == "ddr5" else "v12"
                found[main][rail] += figure(p, "module_w", bound) * p["count"]
            case "m2":
                found[main]["v3v3"] += figure(p, "full_w", bound) * p["count"]
            case "fan":
                found[main]["v12"] += 12.0 * figure(p, "rated_a", bound) * p["count"]
            case "card":
                slot_12v, slot_3v3, rest = split_at(p, bound)
                found[main]["v12"] += slot_12v
                found[main]["v3v3"] += slot_3v3
                over = shared(p["sockets"], f"{p['key']}#1", plugged)
                weights = {s["key"]: WEIGHT_W[s["kind"]] for s in over}
                for key, weight in weights.items():
                    found[f"{p['key']}#1/{key}"]["v12"] += rest * weight / sum(weights.values())
            case "drive":
                for n in range(1, p["count"] + 1):
                    at = found[f"{p['key']}#{n}/{p['sockets'][0]['key']}"]
                    at["v12"] += 12.0 * figure(p, "run_12v_a", bound)
                    at["v5"] += 5.0 * figure(p, "run_5v_a", bound)
    return found


def _processor(
    build: Doc,
    board: Doc,
    p: Doc,
    found: dict[str, dict[str, float]],
    plugged: dict[str, Doc],
    bound: str,
) -> None:
    """Its short limit, behind the board's regulator, over its sockets by their pins: by half of
    them where a plug fills half of a socket."""
    watts = figure(p, "package_short_w", bound) / build["assumptions"]["regulator_efficiency"]
    sockets = [s for s in board["sockets"] if s["kind"] in ("eps8", "eps4")]
    pins = {}
    for s in shared(sockets, f"{board['key']}#1", plugged):
        ref = f"{board['key']}#1/{s['key']}"
        half = plugged.get(ref, {}).get("half") == "marked"
        pins[ref] = 2 if s["kind"] == "eps4" or half else 4
    for ref, n in pins.items():
        found[ref]["v12"] += watts * n / sum(pins.values())


def ref_of(socket: Doc) -> str:
    """`part#1/socket`."""
    return f"{socket['part']}#{socket['instance']}/{socket['socket']}"


# -- in all, and how large a supply that takes ------------------------------------------------


class InAll(NamedTuple):
    """Watts of a build at full, sustained; with the processor at its short limit; and in a spike of
    0.1, 1, 10 and 100 ms."""

    full: float
    short: float
    spikes: tuple[float, float, float, float]


CARD_SPIKES = (2.0, 1.7, 1.4, 1.15)
SUSTAINED_SPIKES, SHORT_SPIKES = (1.5, 1.3, 1.2, 1.1), (1.2, 1.1, 1.0, 1.0)
COMMON_W = (
    300,
    350,
    400,
    450,
    500,
    550,
    600,
    650,
    700,
    750,
    800,
    850,
    1000,
    1200,
    1300,
    1600,
    2000,
)


def in_all(build: Doc) -> InAll:
    """Everything added up: sustained at full, and what goes above it, the fastest as squares."""
    full, more, above = 0.0, 0.0, [[0.0] for _ in range(4)]
    for p in build["parts"]:
        watts = _full_w(build, p)
        full += watts
        if p["kind"] == "card" and p["use"] == "graphics":
            factors = p["spike_factors"] or CARD_SPIKES
            for window, factor in zip(above, factors, strict=True):
                window.append(watts * (factor - 1))
        if p["kind"] == "processor":
            short = figure(p, "package_short_w") / build["assumptions"]["regulator_efficiency"]
            more += max(short - watts, 0.0)
            both = zip(above, SUSTAINED_SPIKES, SHORT_SPIKES, strict=True)
            for window, sustained_by, short_by in both:
                window.append(max(watts * sustained_by, short * short_by) - watts)
    fast = [full + math.sqrt(sum(x * x for x in window)) for window in above[:2]]
    slow = [full + sum(window) for window in above[2:]]
    return InAll(full, full + more, (fast[0], fast[1], slow[0], slow[1]))


def _full_w(build: Doc, p: Doc) -> float:
    match p["kind"]:
        case "board":
            return sum(figure(p, field) for field in OWN.values())
        case "processor":
            efficiency: float = build["assumptions"]["regulator_efficiency"]
            return figure(p, "package_w") / efficiency
        case "memory":
            return figure(p, "module_w") * p["count"]
        case "m2":
            return figure(p, "full_w") * p["count"]
        case "fan":
            return 12.0 * figure(p, "rated_a") * p["count"]
        case "drive":
            return (12.0 * figure(p, "run_12v_a") + 5.0 * figure(p, "run_5v_a")) * p["count"]
    return figure(p, "board_power_w") * p["power_limit"] * p["count"]


def smallest_w(build: Doc) -> int | None:
    """The smallest common rating of the supply's design that carries a fifth more than full, the
    processor's short limit, and rides through every spike; None: there is none. Found by trying
    each."""
    found, design = in_all(build), build["supply"]["design"]
    has_16pin = any(p["kind"] == "16pin" for p in build["supply"]["ports"])
    for rated in COMMON_W:
        ride = (1.5, 1.45, 1.35, 1.1)
        if design == "classic":
            ride = (1.3, 1.2, 1.1, 1.05)
        elif has_16pin and rated > 450:
            ride = (2.0, 1.8, 1.6, 1.2)
        rides = all(s <= rated * r * (1 + 1e-9) for s, r in zip(found.spikes, ride, strict=True))
        if rides and max(found.full * 1.2, found.short) <= rated * (1 + 1e-9):
            return rated
    return None
