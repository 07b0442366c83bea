"""The second computation, further: disks at start, staggered and in cages; slots and headers."""

from __future__ import annotations

from collections import defaultdict
from typing import NamedTuple

from .oracle import PINS, Doc, Held, Key, card_split, figure, ref_of

# -- disks at start ------------------------------------------------------------------------------


class Disk(NamedTuple):
    """Amperes at 12 V and 5 V that a disk draws running, and more of them spinning up; by how many
    watts more it is chosen among those that start together, at likely."""

    running: tuple[float, float]
    surge: tuple[float, float]
    rank: tuple[float, ...]
    #: What its label says of start, where all start at once: not cut, though it be below running.
    start: tuple[float, float]


def together(disks: list[Disk], at_once: int | None) -> dict[str, float]:
    """Amperes at start of disks on one set of wires, by rail and ground: all run, and so many spin
    up, those that add the most watts. Which ones start together is the controller's choice."""
    if at_once is None:
        v12, v5 = (sum(d.start[i] for d in disks) for i in (0, 1))
    else:
        up = sorted(disks, key=lambda d: d.rank, reverse=True)[:at_once]
        v12, v5 = (sum(d.running[i] for d in disks) + sum(d.surge[i] for d in up) for i in (0, 1))
    return {"v12": v12, "v5": v5, "ground": v12 + v5}


def at_start(build: Doc, bound: str = "likely") -> dict[Key, float]:
    """Loads at start of the runs of a build that has nothing but disks on them, at one bound:
    directly, or in the bays of cages."""
    at_once = build["spin_up_at_once"]
    by_ref = {
        f"{p['key']}#{n}/{s['key']}": [_disk(p, bound)]
        for p in build["parts"]
        if p["kind"] == "drive"
        for n in range(1, p["count"] + 1)
        for s in p["sockets"]
    }
    for cage in build["backplanes"]:
        stands = {c["plug"]: by_ref[ref_of(c["socket"])] for c in cage["connections"]}
        for i in cage["inputs"]:
            disks = [d for bay in i["bays"] for d in stands.get(bay, [])]
            by_ref[f"{cage['key']}#1/{i['key']}"] = disks
    cables = {c["key"]: c for c in build["cables"]}
    ports = {p["key"]: p for p in build["supply"]["ports"]}
    found: dict[Key, float] = {}
    groups: dict[str, list[Disk]] = defaultdict(list)
    for run in build["runs"]:
        cable, port = cables[run["cable"]], ports[run["ports"][0]]
        at = {p["key"]: float(p["at_mm"]) for p in cable["plugs"]}
        plugs = sorted(
            (at[c["plug"]], c["plug"], by_ref[ref_of(c["socket"])]) for c in run["connections"]
        )
        every = [d for _, _, disks in plugs for d in disks]
        groups[port["group"]] += every
        key, start = cable["key"], 0.0
        for mm, plug, disks in plugs:
            for line, amps in together(disks, at_once).items():
                found[key, "plug pins", line, plug, 0.0] = amps / PINS["sata"][0][line]
                if line != "ground":
                    found[key, "grant", line, plug, 0.0] = amps
            beyond = [d for other, _, of in plugs if other >= mm for d in of]
            for line, amps in together(beyond, at_once).items():
                found[key, "wire", line, "", start] = amps / cable["conductors"][line]
            start = mm
        for line, amps in together(every, at_once).items():
            found[key, "supply-end pins", line, "", 0.0] = amps / cable["supply_end"]["pins"][line]
        in_port = min(port["pins_12v"], cable["supply_end"]["pins"]["v12"])
        whole = together(every, at_once)["v12"]
        found[key, "port pins", "v12", port["key"], 0.0] = whole / in_port
    for run in build["runs"]:
        group = ports[run["ports"][0]]["group"]
        whole = together(groups[group], at_once)["v12"]
        found[run["cable"], "group", "v12", group, 0.0] = whole
    return found


def _disk(p: Doc, bound: str) -> Disk:
    running = figure(p, "run_12v_a", bound), figure(p, "run_5v_a", bound)
    start = figure(p, "start_12v_a", bound), figure(p, "start_5v_a", bound)
    surge = max(start[0] - running[0], 0.0), max(start[1] - running[1], 0.0)
    low, likely, high = (
        [max(figure(p, f"start_{v}_a", b) - figure(p, f"run_{v}_a", b), 0.0) for v in ("12v", "5v")]
        for b in ("low", "likely", "high")
    )
    # Of equal watts those with more at 12 V, then those that may come to more.
    watts = round(12 * likely[0] + 5 * likely[1], 6)
    rank = (
        watts,
        round(likely[0], 6),
        round(12 * high[0] + 5 * high[1], 6),
        12 * low[0] + 5 * low[1],
    )
    return Disk(running, surge, rank, start)


# -- what comes through the board ----------------------------------------------------------------

#: Kind of part → kinds of header that it may hang on, the usual one first.
HANGS_ON = {"fan": ("fan", "pump"), "pump": ("pump", "fan")}
#: Lanes → 12 V of a slot, and all of it [W].
SLOT_W = {16: (66.0, 75.0), 8: (25.0, 25.0), 4: (25.0, 25.0), 1: (10.0, 10.0)}


def through_board(build: Doc) -> dict[tuple[str, str, str], list[Held]]:
    """Limits of slots and headers at full: (kind, part, where) → loads and limits. Parts that name
    no header take, instance by instance, the first of their kind on which the fewest hang, behind
    all that name one."""
    board = next(p for p in build["parts"] if p["kind"] == "board")
    found: dict[tuple[str, str, str], list[Held]] = {}
    for p in build["parts"]:
        if p["kind"] == "card":
            at_12v, at_3v3, _ = card_split(p)
            most_12v, most = SLOT_W[p["lanes"]]
            found["slot", p["key"], p["slot"] or ""] = [Held(at_12v, most_12v)]
            if at_12v + at_3v3 > most * (1 + 1e-9):
                found["slot", p["key"], p["slot"] or ""].append(Held(at_12v + at_3v3, most))
    amps: dict[str, float] = defaultdict(float)
    hanging: dict[str, int] = defaultdict(int)
    for p in sorted(build["parts"], key=lambda p: not p.get("headers")):
        kinds = HANGS_ON.get(p["kind"], ())
        if p["kind"] == "strip":
            kinds = (f"lights-{p['volts']}v",)
        several: list[str] = p.get("headers") or next(
            (
                fitting
                for kind in kinds
                if (fitting := [h["key"] for h in board["headers"] if h["kind"] == kind])
            ),
            [],
        )
        for n in range(p["count"] if kinds else 0):
            if several:
                key = several[n % len(several)]
                if not p.get("headers"):
                    fewest = min(hanging[k] for k in several)
                    key = next(k for k in several if hanging[k] == fewest)
                hanging[key] += 1
                amps[key] += figure(p, "rated_a")
            else:
                found["header", p["key"], ""] = [Held(figure(p, "rated_a") * p["count"], None)]
    limits = {h["key"]: h["limit_a"] and float(h["limit_a"]["likely"]) for h in board["headers"]}
    for key, load in amps.items():
        found["header", board["key"], key] = [Held(load, limits[key])]
    return found
