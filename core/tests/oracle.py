"""What limits a run, worked out a second time: from the text of a build file, at full and at
likely, by plain sums, with tables of its own. It shares nothing with the core, so that each proves
the other. Cables direct or into adapters; every figure stated.

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
STANDARD_A = {14: (9, 8, 7, 6), 16: (9, 8, 7, 6), 18: (9, 8, 7, 6), 20: (7, 6, 5, 5),
              22: (5, 4, 4, 4)}  # fmt: skip
HIGH_A = {14: (12, 11, 10, 9), 16: (12, 11, 10, 9), 18: (11, 10, 9, 8)}
WIRE_A = {14: 17.0, 16: 13.0, 18: 10.0, 20: 7.5, 22: 5.0}
MOHM_PER_M = {14: 9.0, 16: 14.6, 18: 23.2, 20: 36.7, 22: 59.4}
CONTACT_MOHM = 5.0
SENSE_W = {"both_grounded": 600.0, "sense0_grounded": 300.0, "sense1_grounded": 450.0,
           "joined": 150.0}  # fmt: skip


class Held(NamedTuple):
    """A load at full, and what it may be for as long as one likes; None: nobody knows."""

    load: float
    limit: float | None


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


def figure(part: Doc, field: str) -> float:
    """A figure of a part, at likely: watts or amperes."""
    return float(part[field]["likely"])


def card_split(card: Doc) -> tuple[float, float, float]:
    """(12 V of the slot, 3.3 V of the slot, the rest by its sockets) of a card at full [W]."""
    power = figure(card, "board_power_w") * card["power_limit"]
    kinds = [s["kind"] for s in card["sockets"]]
    if card["slot_w"] is not None:
        slot = min(figure(card, "slot_w"), power)
        return slot, 0.0, power - slot
    most_12v, most = (66.0, 75.0) if card["lanes"] == 16 else (25.0, 25.0)
    usual = 10.0 if "16pin" in kinds else 50.0
    short = power - sum(WEIGHT_W[k] for k in kinds)
    at_12v = min(max(usual, short), most_12v, power)
    at_3v3 = min(max(short - most_12v, 0.0), max(min(9.9, most - most_12v), 0.0))
    return at_12v, at_3v3, power - at_12v - at_3v3


def demands(build: Doc) -> dict[str, dict[str, float]]:
    """Watts by rail at every socket, by `part#instance/socket`."""
    found: dict[str, dict[str, float]] = defaultdict(lambda: defaultdict(float))
    board = next(p for p in build["parts"] if p["kind"] == "board")
    main = f"{board['key']}#1/main"
    for rail, field in OWN.items():
        found[main][rail] += figure(board, field)
    for p in build["parts"]:
        match p["kind"]:
            case "processor":
                _processor(build, board, p, found)
            case "memory":
                rail = "v5" if p["generation"] == "ddr5" else "v12"
                found[main][rail] += figure(p, "module_w") * p["count"]
            case "m2":
                found[main]["v3v3"] += figure(p, "full_w") * p["count"]
            case "fan":
                found[main]["v12"] += 12.0 * figure(p, "rated_a") * p["count"]
            case "card":
                slot_12v, slot_3v3, rest = card_split(p)
                found[main]["v12"] += slot_12v
                found[main]["v3v3"] += slot_3v3
                weights = {s["key"]: WEIGHT_W[s["kind"]] for s in p["sockets"]}
                for key, weight in weights.items():
                    found[f"{p['key']}#1/{key}"]["v12"] += rest * weight / sum(weights.values())
            case "drive":
                for n in range(1, p["count"] + 1):
                    at = found[f"{p['key']}#{n}/{p['sockets'][0]['key']}"]
                    at["v12"] += 12.0 * figure(p, "run_12v_a")
                    at["v5"] += 5.0 * figure(p, "run_5v_a")
    return found


def _processor(build: Doc, board: Doc, p: Doc, found: dict[str, dict[str, float]]) -> None:
    """Its short limit, behind the board's regulator, over the sockets that are fed or have to be,
    by their pins."""
    watts = figure(p, "package_short_w") / build["assumptions"]["regulator_efficiency"]
    fed = {ref_of(c["socket"]): c for r in build["runs"] for c in r["connections"]}
    pins = {}
    for s in board["sockets"]:
        ref = f"{board['key']}#1/{s['key']}"
        if s["kind"] in ("eps8", "eps4") and (ref in fed or s["required"]):
            pins[ref] = 2 if s["kind"] == "eps4" else 4
    for ref, n in pins.items():
        found[ref]["v12"] += watts * n / sum(pins.values())


def ref_of(socket: Doc) -> str:
    """`part#1/socket`."""
    return f"{socket['part']}#{socket['instance']}/{socket['socket']}"


def _through(
    build: Doc,
    cables: dict[str, Doc],
    adapter: Doc,
    sockets: Doc,
    drawn: dict[str, dict[str, float]],
) -> None:
    """What an adapter's plugs carry comes by its leads that are plugged in, by their 12 V pins."""
    plugs = {
        ref_of(c["socket"]): next(p for p in cables[r["cable"]]["plugs"] if p["key"] == c["plug"])
        for r in build["runs"] for c in r["connections"]
    }  # fmt: skip
    pins = {}
    for lead in adapter["leads"]:
        ref = f"{adapter['key']}#1/{lead['key']}"
        sockets[ref] = {"kind": lead["kind"], "pins_12v": None, "version": "revised"}
        if ref in plugs:
            stated = plugs[ref]["pins_12v"]
            usual = PINS[lead["kind"]][0]["v12"]
            pins[ref] = usual if stated is None else min(usual, stated)
    for c in adapter["connections"]:
        for ref, n in pins.items():
            for rail, watts in drawn[ref_of(c["socket"])].items():
                drawn[ref][rail] += watts * n / sum(pins.values())


# -- in all, and how large a supply that takes ------------------------------------------------


class InAll(NamedTuple):
    """Watts of a build at full, sustained; with the processor at its short limit; and in a spike of
    0.1, 1, 10 and 100 ms."""

    full: float
    short: float
    spikes: tuple[float, float, float, float]


CARD_SPIKES = (2.0, 1.7, 1.4, 1.15)
SUSTAINED_SPIKES, SHORT_SPIKES = (1.5, 1.3, 1.2, 1.1), (1.2, 1.1, 1.0, 1.0)
COMMON_W = (300, 350, 400, 450, 500, 550, 600, 650, 700, 750, 800, 850, 1000, 1200, 1300, 1600,
            2000)  # fmt: skip


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


# -- what limits it ------------------------------------------------------------------------------


class _Plugged(NamedTuple):
    plug: Doc
    socket: Doc
    amps: dict[str, float]

    @property
    def kind(self) -> str:
        """What counts is what it is mated with."""
        return str(self.socket["kind"])

    @property
    def pins(self) -> dict[str, int]:
        """Pins by line that are wired on both sides."""
        usual = PINS[self.kind][0]
        wired = (usual["v12"], self.plug["pins_12v"], self.socket["pins_12v"])
        return usual | {"v12": min(n for n in wired if n is not None)}


def held(build: Doc) -> dict[Key, Held]:
    """Everything that limits the runs of a build, by where it stands."""
    drawn = demands(build)
    sockets = {
        f"{p['key']}#{n}/{s['key']}": s
        for p in build["parts"] for n in range(1, p["count"] + 1) for s in p.get("sockets", ())
    }  # fmt: skip
    cables = {c["key"]: c for c in build["cables"]}
    for adapter in build["adapters"]:
        _through(build, cables, adapter, sockets, drawn)
    ports = {p["key"]: p for p in build["supply"]["ports"]}
    found: dict[Key, Held] = {}
    groups: dict[str, float] = defaultdict(float)
    of_groups: list[tuple[str, str]] = []
    for run in build["runs"]:
        cable = cables[run["cable"]]
        plugs = {p["key"]: p for p in cable["plugs"]}
        several = sorted(
            (
                _Plugged(
                    plugs[c["plug"]], sockets[ref_of(c["socket"])],
                    {r: drawn[ref_of(c["socket"])][r] / VOLTS[r] for r in RAILS},
                )
                for c in run["connections"]
            ),
            key=lambda x: float(x.plug["at_mm"]),
        )  # fmt: skip
        mine = [ports[k] for k in run["ports"]]
        for (kind, line, at, from_mm), value in _of_run(build, cable, mine, several).items():
            found[cable["key"], kind, line, at, from_mm] = value
        whole = sum(x.amps["v12"] for x in several)
        for port, share in zip(mine, _shares(mine), strict=True):
            if port["group"]:
                groups[port["group"]] += whole * share
                if several:
                    of_groups.append((cable["key"], port["group"]))
    limits = {g["key"]: g["limit_a"] for g in build["supply"]["groups"]}
    for key, group in of_groups:
        if limits[group] is not None:
            found[key, "group", "v12", group, 0.0] = Held(groups[group], limits[group])
    return found


def _shares(ports: list[Doc]) -> list[float]:
    pins = [p["pins_12v"] for p in ports]
    return [n / sum(pins) if sum(pins) else 1 / len(pins) for n in pins]


def _with_ground(amps: dict[str, float]) -> dict[str, float]:
    """What is not nothing, and ground with the sum."""
    some = {r: a for r, a in amps.items() if a}
    return some | ({"ground": sum(some.values())} if some else {})


def _together(several: list[_Plugged]) -> dict[str, float]:
    return {r: sum(x.amps[r] for x in several) for r in RAILS}


_Local = dict[tuple[str, str, str, float], Held]


def _of_run(build: Doc, cable: Doc, ports: list[Doc], several: list[_Plugged]) -> _Local:
    found: _Local = {}
    warm, gauge, end = heat(build, cable), cable["gauge"], cable["supply_end"]
    whole = _together(several)

    def contacts(
        kind: str,
        at: str,
        of: str,
        circuits: int,
        grade: str | None,
        pins: dict[str, int],
        amps: dict[str, float],
        stated: float | None = None,
    ) -> None:
        each = contact_a(of, circuits, gauge, grade) if stated is None else stated
        uneven = 1.1 if of == "16pin" else 1.0
        for line, a in amps.items():
            if n := pins.get(line, 0):
                limit = None if each is None else each * warm
                found[kind, line, at, 0.0] = Held(a * uneven / n, limit)
            else:
                found[kind, line, at, 0.0] = Held(a, 0.0)

    for x in several:
        key = x.plug["key"]
        contacts("plug pins", key, x.kind, PINS[x.kind][1], x.plug["grade"], x.pins,
                 _with_ground(x.amps), x.plug["contact_a"])  # fmt: skip
        watts = x.amps["v12"] * 12.0
        if x.kind in GRANT_W:
            found["grant", "v12", key, 0.0] = Held(watts, GRANT_W[x.kind])
        elif x.kind == "16pin":
            found["grant", "v12", key, 0.0] = Held(
                watts, _sense_w(x.plug["sense"], x.socket["version"])
            )
        elif x.kind == "sata":
            for rail, a in x.amps.items():
                if a:
                    found["grant", rail, key, 0.0] = Held(a, 4.5)
    of = "16pin" if cable["needs"] == ["16pin"] else "port"
    contacts(
        "supply-end pins", "", of, end["circuits"], end["grade"], end["pins"], _with_ground(whole)
    )
    for port, share in zip(ports, _shares(ports), strict=True):
        wired = end["pins"]["v12"] if len(ports) == 1 else port["pins_12v"]
        of = "16pin" if port["kind"] == "16pin" else "port"
        if share and whole["v12"]:
            pins = {"v12": min(port["pins_12v"], wired)}
            contacts("port pins", port["key"], of, port["circuits"], end["grade"], pins,
                     {"v12": whole["v12"] * share})  # fmt: skip
    _wires(cable, several, found)
    _chained(build, several, found)
    return found


def _sense_w(sense: str | None, version: str) -> float | None:
    if sense is None:
        return None
    # Both open: 150 W on the first version, nothing on the revised.
    return SENSE_W.get(sense, 150.0 if version == "first" else 0.0)


def _wires(cable: Doc, several: list[_Plugged], found: _Local) -> None:
    """Each stretch carries all that is plugged in beyond it; volts are lost on it and in the
    contacts at both ends, there and back."""
    gauge, wires, near = cable["gauge"], cable["conductors"], cable["supply_end"]["pins"]
    whole = _with_ground(_together(several))
    lost = {
        line: a * CONTACT_MOHM / near[line] if near[line] else None for line, a in whole.items()
    }
    start = 0.0
    for end in sorted({x.plug["at_mm"] for x in several}):
        beyond = _with_ground(_together([x for x in several if x.plug["at_mm"] >= end]))
        for line, a in beyond.items():
            n = wires[line]
            found["wire", line, "", start] = Held(a / n, WIRE_A[gauge]) if n else Held(a, 0.0)
        for line in lost:
            so_far = lost[line]
            if so_far is not None:
                mohm = MOHM_PER_M[gauge] * (end - start) / 1000
                a = beyond.get(line, 0.0)
                lost[line] = so_far + a * mohm / wires[line] if wires[line] else None
        for x in several:
            if x.plug["at_mm"] == end:
                _drop(x, dict(lost), found)
        start = end


def _drop(x: _Plugged, lost: dict[str, float | None], found: _Local) -> None:
    mine = _with_ground(x.amps)

    def at(line: str) -> float | None:
        so_far = lost.get(line)
        if so_far is None or not x.pins.get(line):
            return None
        return so_far + mine[line] * CONTACT_MOHM / x.pins[line]

    for rail in mine:
        if rail == "ground":
            continue
        out, back = at(rail), at("ground")
        key = ("drop", rail, x.plug["key"], 0.0)
        if out is None or back is None:
            found[key] = Held(0.0, None)
        else:
            found[key] = Held((out + back) / 1000, 0.05 * VOLTS[rail])


def _chained(build: Doc, several: list[_Plugged], found: _Local) -> None:
    """The house rule for a cable of which two graphics plugs or more are in use."""
    plugs = [x for x in several if x.kind in ("pcie8", "pcie6")]
    rule = build["house_rules"]["chained_graphics"]
    if len(plugs) < 2 or rule == "by pins":
        return
    if rule == "never":
        found["house rule", "v12", "", 0.0] = Held(float(len(plugs)), 1.0)
    else:
        watts = sum(x.amps["v12"] for x in several) * 12.0
        found["house rule", "v12", "", 0.0] = Held(watts, 150.0)
