"""What limits a run, worked out a second time: each cable followed to its ends, through adapters
and extensions, by plain sums of what flows there. It shares nothing with the core.
"""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterator
from itertools import pairwise
from typing import Any, NamedTuple

from .oracle import (
    CONTACT_MOHM,
    GRANT_W,
    MARKED,
    MOHM_PER_M,
    PINS,
    RAILS,
    SENSE_W,
    VOLTS,
    WHOLE,
    WIRE_A,
    Doc,
    Held,
    Key,
    connected,
    contact_a,
    demands,
    heat,
    leads_of,
    ref_of,
)

Amps = dict[str, float]
_Local = dict[tuple[str, str, str, float], Held]
_GRAPHICS = {"pcie8", "pcie6", "16pin"}
_PROCESSOR = {"eps8", "eps4"}


class _Plugged(NamedTuple):
    """A plug in an input: of what, what it counts as there, the pins wired both sides, amperes."""

    plug: Doc
    kind: str
    ref: str
    version: str
    pins: dict[str, int]
    amps: Amps


class Machine:
    """A build file with all that is plugged in, at one bound of its figures."""

    def __init__(self, build: Doc, bound: str = "likely") -> None:
        self.build = build
        self.cables = {c["key"]: c for c in build["cables"]}
        self.between = {b["key"]: b for name in ("adapters", "extensions") for b in build[name]}
        self.drawn = demands(build, bound)
        self.plugged = connected(build)
        self.sockets: dict[str, Doc] = {
            f"{p['key']}#{n}/{s['key']}": s
            for p in build["parts"]
            for n in range(1, p["count"] + 1)
            for s in p.get("sockets", ())
        }
        for b in self.between.values():
            for key, lead in leads_of(b).items():
                self.sockets[f"{b['key']}#1/{key}"] = {"version": "revised", **lead}
        #: Input → the plug that is in it.
        self.plug_in: dict[str, Doc] = {}
        carriers = [(self.cables[r["cable"]]["plugs"], r["connections"]) for r in build["runs"]]
        carriers += [(_plugs(b), b["connections"]) for b in self.between.values()]
        for plugs, connections in carriers:
            by_key = {p["key"]: p for p in plugs}
            for c in connections:
                self.plug_in[ref_of(c["socket"])] = by_key[c["plug"]]

    def at(self, plug: Doc, c: Doc) -> _Plugged:
        """A plug in an input."""
        ref = ref_of(c["socket"])
        socket = self.sockets[ref]
        kind = MARKED[plug["kind"]] if c["half"] == "marked" else WHOLE[plug["kind"]]
        usual = PINS[kind][0]
        wired = (usual["v12"], plug.get("pins_12v"), socket.get("pins_12v"))
        pins = usual | {"v12": min(n for n in wired if n is not None)}
        return _Plugged(plug, kind, ref, socket.get("version", "revised"), pins, self.flow(ref))

    def between_at(self, ref: str) -> tuple[Doc, str] | None:
        """What an input is a lead of, and which."""
        key, _, lead = ref.partition("#1/")
        return (self.between[key], lead) if key in self.between else None

    def beyond(self, of: Doc) -> list[_Plugged]:
        """The plugs of something in between that are in something."""
        plugs = {p["key"]: p for p in _plugs(of)}
        return [self.at(plugs[c["plug"]], c) for c in of["connections"]]

    def flow(self, ref: str) -> Amps:
        """Amperes into an input: of a lead its share of all that is fed, by the pins in use."""
        of = self.between_at(ref)
        if of is None:
            return {r: self.drawn[ref][r] / VOLTS[r] for r in RAILS}
        share = self.share(*of)
        return {r: share * sum(x.amps[r] for x in self.beyond(of[0])) for r in RAILS}

    def share(self, of: Doc, lead: str) -> float:
        """What one lead of several carries."""
        pins = {}
        for key, x in leads_of(of).items():
            ref = f"{of['key']}#1/{key}"
            if ref in self.plugged:
                usual = PINS[x["kind"]][0]["v12"]
                stated = (usual, self.plug_in[ref].get("pins_12v"), x.get("pins_12v"))
                pins[key] = min(n for n in stated if n is not None)
        return pins[lead] / sum(pins.values())


def _plugs(of: Doc) -> list[Doc]:
    if "leads" in of:
        return list(of["plugs"])
    return [
        {
            "key": "out",
            "kind": of["kind"],
            "at_mm": of["length_mm"],
            "grade": "standard",
            "contact_a": None,
            "pins_12v": None,
            "sense": None,
        }
    ]


# -- what limits it ------------------------------------------------------------------------------


def held(build: Doc, bound: str = "likely") -> dict[Key, Held]:
    """Everything that limits the runs of a build, by where it stands, at one bound."""
    machine = Machine(build, bound)
    ports = {p["key"]: p for p in build["supply"]["ports"]}
    found: dict[Key, Held] = {}
    groups: dict[str, float] = defaultdict(float)
    of_groups: list[tuple[str, str]] = []
    for run in build["runs"]:
        cable = machine.cables[run["cable"]]
        plugs = {p["key"]: p for p in cable["plugs"]}
        several = [machine.at(plugs[c["plug"]], c) for c in run["connections"]]
        several.sort(key=lambda x: float(x.plug["at_mm"]))
        mine = [ports[k] for k in run["ports"]]
        for (kind, line, at, from_mm), value in _of_run(machine, cable, mine, several).items():
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


def _with_ground(amps: Amps) -> Amps:
    """What is not nothing, and ground with the sum."""
    some = {r: a for r, a in amps.items() if a}
    return some | ({"ground": sum(some.values())} if some else {})


def _together(several: list[_Plugged]) -> Amps:
    return {r: sum(x.amps[r] for x in several) for r in RAILS}


def _contacts(
    build: Doc,
    of: Doc,
    kind: str,
    circuits: int,
    grade: str | None,
    pins: dict[str, int],
    amps: Amps,
    stated: float | None = None,
) -> Iterator[tuple[str, Held]]:
    each = contact_a(kind, circuits, of["gauge"], grade) if stated is None else stated
    uneven = 1.1 if kind == "16pin" else 1.0
    for line, a in amps.items():
        if n := pins.get(line, 0):
            limit = None if each is None else each * heat(build, of)
            yield line, Held(a * uneven / n, limit)
        else:
            yield line, Held(a, 0.0)


def _of_run(machine: Machine, cable: Doc, ports: list[Doc], several: list[_Plugged]) -> _Local:
    found: _Local = {}
    build, end = machine.build, cable["supply_end"]
    whole = _together(several)
    for x in several:
        key = x.plug["key"]
        _plug_pins(build, cable, x, key, found)
        if x.kind != "16pin" or machine.between_at(x.ref) is None:
            _granted(x, key, x.plug["sense"], found, build)
    of = "16pin" if cable["needs"] == ["16pin"] else "port"
    for line, value in _contacts(
        build, cable, of, end["circuits"], end["grade"], end["pins"], _with_ground(whole)
    ):
        found["supply-end pins", line, "", 0.0] = value
    for port, share in zip(ports, _shares(ports), strict=True):
        wired = end["pins"]["v12"] if len(ports) == 1 else port["pins_12v"]
        of = "16pin" if port["kind"] == "16pin" else "port"
        if share and whole["v12"]:
            pins = {"v12": min(port["pins_12v"], wired)}
            for line, value in _contacts(
                build,
                cable,
                of,
                port["circuits"],
                end["grade"],
                pins,
                {"v12": whole["v12"] * share},
            ):
                found["port pins", line, port["key"], 0.0] = value
    near = {
        line: a * CONTACT_MOHM / end["pins"][line] if end["pins"][line] else None
        for line, a in _with_ground(whole).items()
    }
    _along(machine, cable, "", several, 1.0, near, cable["plugs"][0]["sense"], found)
    _chained(build, several, found)
    return found


def _plug_pins(build: Doc, of: Doc, x: _Plugged, at: str, found: _Local) -> None:
    values = _contacts(
        build,
        of,
        x.kind,
        PINS[x.kind][1],
        x.plug["grade"],
        x.pins,
        _with_ground(x.amps),
        x.plug["contact_a"],
    )
    for line, value in values:
        found["plug pins", line, at, 0.0] = value


def _granted(x: _Plugged, at: str, sense: Any, found: _Local, build: Doc) -> None:
    watts = x.amps["v12"] * 12.0
    if x.kind in GRANT_W:
        warns = build["house_rules"]["plug_grant"] == "warning"
        found["grant", "v12", at, 0.0] = Held(watts, GRANT_W[x.kind], warns)
    elif x.kind == "16pin":
        found["grant", "v12", at, 0.0] = Held(watts, _sense_w(sense, x.version))
    elif x.kind == "sata":
        for rail, a in x.amps.items():
            if a:
                found["grant", rail, at, 0.0] = Held(a, 4.5)


def _sense_w(sense: Any, version: str) -> float | None:
    """Sense contacts by their name; of an adapter the watts that its leads make of it."""
    if sense is None or isinstance(sense, float):
        return sense
    # Both open: 150 W on the first version, nothing on the revised.
    return SENSE_W.get(sense, 150.0 if version == "first" else 0.0)


def _along(
    machine: Machine,
    of: Doc,
    lead: str,
    several: list[_Plugged],
    share: float,
    near: dict[str, float | None],
    sense: Any,
    found: _Local,
) -> None:
    """One cable, or one lead of something in between: each stretch carries all that is plugged in
    beyond it, and what that loses is lost at every plug beyond."""
    gauge, wires, start = of["gauge"], of["conductors"], 0.0
    name = f"{of['key']}/{lead}" if lead else ""
    lost = dict(near)
    for end in sorted({x.plug["at_mm"] for x in several}):
        amps = _together([x for x in several if x.plug["at_mm"] >= end])
        beyond = _with_ground({r: a * share for r, a in amps.items()})
        for line, a in beyond.items():
            n = wires[line]
            found["wire", line, name, start] = Held(a / n, WIRE_A[gauge]) if n else Held(a, 0.0)
        for line in lost:
            so_far = lost[line]
            if so_far is not None:
                mohm = MOHM_PER_M[gauge] * (end - start) / 1000
                a = beyond.get(line, 0.0)
                lost[line] = so_far + a * mohm / wires[line] if wires[line] else None
        for x in several:
            if x.plug["at_mm"] == end:
                _at_plug(machine, of, lead, x, dict(lost), sense, found)
        start = end


def _at_plug(
    machine: Machine,
    of: Doc,
    lead: str,
    x: _Plugged,
    lost: dict[str, float | None],
    sense: Any,
    found: _Local,
) -> None:
    """A plug: the volts lost behind it, and what it goes into."""
    at = f"{of['key']}/{x.plug['key']}" if lead else x.plug["key"]
    own, mine = x.plug["sense"], _with_ground(x.amps)
    behind: dict[str, float | None] = {}
    for line, a in mine.items():
        so_far = lost.get(line)
        behind[line] = None
        if so_far is not None and x.pins.get(line):
            behind[line] = so_far + a * CONTACT_MOHM / x.pins[line]
    into = machine.between_at(x.ref)
    for rail in mine:
        if rail == "ground":
            continue
        out, back = behind[rail], behind["ground"]
        value = Held(0.0, None)
        if out is not None and back is not None:
            value = Held((out + back) / 1000, 0.05 * VOLTS[rail])
        before = found.get(("drop", rail, at, 0.0), value)
        found["drop", rail, at, 0.0] = max(before, value, key=lambda h: h.load)
    if lead:
        if "leads" in of:
            sense = _adapter_w(machine, of, x)
        elif own is not None:
            sense = own
        _plug_pins(machine.build, of, x, at, found)
        if x.kind != "16pin" or into is None:
            _granted(x, at, sense, found, machine.build)
    elif own is not None or x.kind == "16pin":
        sense = own
    if into is not None:
        _lead_pins(machine.build, x, into, found)
        further = machine.beyond(into[0])
        _along(machine, into[0], into[1], further, machine.share(*into), behind, sense, found)


def _adapter_w(machine: Machine, of: Doc, x: _Plugged) -> float | None:
    """What an adapter's 16-pin plug may give: by its code with the leads that are plugged in, and
    150 W a lead; by its sense contacts where no code is stated."""
    leads = sum(f"{of['key']}#1/{k}" in machine.plugged for k in leads_of(of))
    if of["codes"]:
        code = max((float(c["watts"]) for c in of["codes"] if c["leads"] <= leads), default=0.0)
        return min(code, 150.0 * leads)
    version, ref = x.version, x.ref
    while (into := machine.between_at(ref)) is not None:  # the card's own socket decides
        further = machine.beyond(into[0])
        if not further:
            break
        version, ref = further[0].version, further[0].ref
    code_w = _sense_w(x.plug["sense"], version)
    return None if code_w is None else min(code_w, 150.0 * leads)


def _lead_pins(build: Doc, x: _Plugged, into: tuple[Doc, str], found: _Local) -> None:
    of, lead = into
    if x.kind == "16pin" and contact_a("16pin", 12, of["gauge"], "standard") is None:
        return
    for line, value in _contacts(
        build, of, x.kind, PINS[x.kind][1], "standard", x.pins, _with_ground(x.amps)
    ):
        found["lead pins", line, f"{of['key']}/{lead}", 0.0] = value


def _chained(build: Doc, several: list[_Plugged], found: _Local) -> None:
    """The house rule for a cable of which two graphics plugs or more are in use."""
    plugs = [x for x in several if x.kind in ("pcie8", "pcie6")]
    rule = build["house_rules"]["chained_graphics"]
    if rule == "as delivered":
        cards = {p["key"]: p for p in build["parts"]}
        of = (cards.get(x.ref.partition("#")[0], {}) for x in plugs)
        rule = "never" if any(c.get("power_limit", 1) > 1 for c in of) else "by pins"
    if len(plugs) < 2 or rule == "by pins":
        return
    if rule == "never":
        found["house rule", "v12", "", 0.0] = Held(float(len(plugs)), 1.0)
    else:
        watts = sum(x.amps["v12"] for x in several) * 12.0
        found["house rule", "v12", "", 0.0] = Held(watts, 150.0)


# -- how far it reaches ----------------------------------------------------------------------------


def reaches(build: Doc) -> dict[tuple[str, str], tuple[float, float, bool]]:
    """The way to each plug's place with 40 mm of slack, how far it reaches, and whether that is too
    short; between two of a chain where it is, what their ways differ by, and the wire."""
    machine = Machine(build)
    routes = {r["area"]: float(r["length_mm"]) for r in build["case"]["routes"]}
    found = {}
    for run in build["runs"]:
        cable = machine.cables[run["cable"]]
        plugs = {p["key"]: p for p in cable["plugs"]}
        chain = []
        several = [machine.at(plugs[c["plug"]], c) for c in run["connections"]]
        for x, at, mm, own in _reaching(machine, several, "", 0.0):
            route = routes[_area(build, x)]
            found[cable["key"], at] = route + 40, mm, route + 40 > mm
            if own:
                chain.append((mm, route, at))
        chain.sort()
        for (near, a, _), (far, b, at) in pairwise(chain):
            if abs(a - b) > far - near:
                found[cable["key"], f"{at} span"] = abs(a - b), far - near, True
    return found


def _reaching(
    machine: Machine, several: list[_Plugged], before: str, mm: float
) -> Iterator[tuple[_Plugged, str, float, bool]]:
    """Plugs that end at a socket: where, how far from the supply, and whether of the cable."""
    for x in several:
        far = mm + x.plug["at_mm"]
        into = machine.between_at(x.ref)
        if into is None:
            yield x, before + x.plug["key"], far, not before
        else:
            of = into[0]
            yield from _reaching(machine, machine.beyond(of), f"{of['key']}/", far)


def _area(build: Doc, x: _Plugged) -> str:
    of = {p["key"]: p for p in build["parts"]}[x.ref.partition("#")[0]]
    if of["kind"] == "board":
        socket = x.ref.partition("/")[2]
        return "main plug" if socket == "main" else "processor"
    if of["kind"] == "card":
        return "card"
    return "3.5-inch bays" if of["form"] == "3.5" else "2.5-inch places"


# -- what may never be connected -----------------------------------------------------------------

#: The kinds that a path is mated with, and the (thing, lead) that it goes through between them.
_Way = tuple[tuple[str, ...], tuple[tuple[str, str], ...]]


def forbidden(build: Doc) -> dict[str, bool]:
    """Whether what each cable is plugged into is never allowed, told by the ends of every way."""
    machine = Machine(build)
    found = {}
    for run in build["runs"]:
        plugs = {p["key"]: p for p in machine.cables[run["cable"]]["plugs"]}
        ways = [
            way
            for c in run["connections"]
            for way in _ways(machine, machine.at(plugs[c["plug"]], c))
        ]
        found[run["cable"]] = any(_bad(machine, w) for w in ways) or _crowded(machine, ways)
    return found


def _ways(machine: Machine, x: _Plugged) -> Iterator[_Way]:
    into = machine.between_at(x.ref)
    if into is None:
        yield (x.kind,), ()
        return
    of, lead = into
    used = {c["plug"] for c in of["connections"]}
    for p in _plugs(of):
        if p["key"] not in used:
            yield (x.kind, WHOLE[p["kind"]]), ((of["key"], lead),)
    for y in machine.beyond(of):
        for kinds, through in _ways(machine, y):
            yield (x.kind, *kinds), ((of["key"], lead), *through)


def _bad(machine: Machine, way: _Way) -> bool:
    kinds, through = way
    if _PROCESSOR & set(kinds) and _GRAPHICS & set(kinds):
        return True
    if "sata" in kinds and _GRAPHICS & set(kinds[kinds.index("sata") :]):
        return True
    pairs = zip(kinds, kinds[1:], through, strict=False)
    return any(
        (a, b) == ("per4", "sata") and machine.between[key].get("moulded") is True
        for a, b, (key, _) in pairs
    )


def _crowded(machine: Machine, ways: list[_Way]) -> bool:
    leads: dict[str, set[str]] = defaultdict(set)
    for _, through in ways:
        for key, lead in through:
            leads[key].add(lead)
    if any(len(n) > 1 for key, n in leads.items() if "leads" in machine.between[key]):
        return True
    for kinds, through in ways:
        for i, (key, _) in enumerate(through):
            if "leads" in machine.between[key] and _GRAPHICS & set(kinds[i + 1 :]):
                others = (k for k, t in ways if key not in [x for x, _ in t])
                if any(_GRAPHICS & set(k) for k in others):
                    return True
    return False
