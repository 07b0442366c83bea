"""What a map comes to in the goals of mapping, counted off the checker's own results.

The solver counts them in its own way; that both agree is tested. Source: model, section 5.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator

from ..analysis.facts import Analysis
from ..analysis.of_rules import device_groups
from ..base.rounding import percent, up
from ..base.series import likelies
from ..base.units import RUN_STATES
from ..mapping.goals import goals_of, group_rule
from ..ratings.elements import Element
from ..ratings.runs import RunResult
from ..standards.connectors import CONNECTORS, PINS, PLUGS, is_of
from ..things.adapters import Extension
from ..things.parts import Drive
from ..wiring import Feed, Wired
from ..wiring.areas import drive_places

#: Elements that are no share of a rating: a reach, what is never allowed; groups stand aside.
_ASIDE = ("group", "group spike", "reach", "forbidden")
_EASED = ("plug pins", "supply-end pins", "port pins", "wire", "lead pins")
_LEAST_PERCENT = 60


def map_goals(a: Analysis) -> dict[str, int]:
    """Goal → what the map of a build comes to in it, the less the better."""
    return {goal.id: _COUNTS[goal.id](a) for goal in goals_of(a.build.house_rules)}


def _used(a: Analysis) -> list[RunResult]:
    """Runs that feed something."""
    return [r for r in a.runs if r.wired.feeds]


def _own(a: Analysis) -> list[Element]:
    """Elements of the runs themselves, without the groups' they are in."""
    every = (e for r in a.runs for e in r.elements)
    return [e for e in every if e.kind not in ("group", "group spike")]


def _unknown(a: Analysis) -> int:
    return sum(e.judged.verdict == "unknown" for e in _own(a))


def _worst(a: Analysis) -> int:
    shares = (s for e in _own(a) if e.kind not in _ASIDE for s in _shares(a, e))
    return max([_LEAST_PERCENT, *((percent(s) or 0) for s in shares)])


def _length(a: Analysis) -> int:
    return sum(round(max(f.plug.mm for f in r.wired.feeds)) for r in _used(a))


def _hanging(a: Analysis) -> int:
    """Plugs that are in nothing, of cables in use; of those for drives nobody minds."""
    count = 0
    for r in _used(a):
        loose = {p.key: p for p in r.wired.cable.plugs}
        for f in r.wired.feeds:
            loose.pop(f.plug.key, None)
        count += sum(not is_of(PLUGS[p.kind].whole, "drive") for p in loose.values())
    return count


def _graphics(r: RunResult) -> int:
    """Plugs in graphics inputs."""
    return len({f.plug.key for f in r.wired.feeds if is_of(f.input.socket.kind, "graphics")})


def _places(a: Analysis, r: RunResult) -> list[str]:
    """Where the drives lie that a run feeds, one for each."""
    return [p for f in r.wired.feeds for p in drive_places(a.wired, f.input)]


def _by_place(a: Analysis) -> int:
    """Places beyond the first of a cable, and cables beyond the first of a place."""
    there = {p for i in a.wired.inputs.values() for p in drive_places(a.wired, i)}
    by_cable = [places for r in _used(a) if (places := set(_places(a, r)))]
    of_cables = sum(len(places) - 1 for places in by_cable)
    return of_cables + sum(sum(p in places for places in by_cable) - 1 for p in there)


def _leads(a: Analysis) -> int:
    """Leads of adapters in use that hang."""
    wired = a.wired
    keys = _in_use(wired, extension=False)
    return sum(f"{k}#1/{s.key}" not in wired.live for k in keys for s in wired.betweens[k].sockets)


def _in_use(wired: Wired, extension: bool) -> list[str]:
    return [
        b.key
        for b in wired.betweens.values()
        if not b.is_backplane
        and isinstance(b.of, Extension) == extension
        and any(f"{b.key}#1/{s.key}" in wired.live for s in b.sockets)
        and b.connections
    ]


def _in_bay(wired: Wired, f: Feed) -> bool:
    b = wired.betweens.get(f.cable.key)
    return b is not None and b.is_backplane


def _optional(a: Analysis, f: Feed) -> bool:
    into = f.input
    if into.between is not None or into.ref in a.needed or _in_bay(a.wired, f):
        return False
    carried = a.carried.of(into.ref)
    return bool(carried.missing) or any(map(any, carried.amps.values()))


def _shares(a: Analysis, e: Element) -> Iterator[float]:
    limit = e.judged.rated
    if not limit:
        return
    eased = a.build.assumptions.start_factor if e.kind in _EASED else 1.0
    for state, load in zip(RUN_STATES, likelies(e.judged.loads), strict=True):
        yield load / (limit * eased if state == "start" else limit)


def _fewer(f: Feed) -> bool:
    usual = f.input.socket.pins_12v or PINS[f.mated]["v12"]
    return CONNECTORS[f.mated].circuits < CONNECTORS[f.input.socket.kind].circuits or f.pins[
        "v12"
    ] < min(usual, PINS[f.mated]["v12"])


def _start(a: Analysis, r: RunResult) -> int:
    """12 V at start of a cable that feeds a drive, in tenths of an ampere."""
    if not any(_drives(a.wired, f) for f in r.wired.feeds):
        return 0
    first = [s for s in r.steps if s.line == "v12" and s.from_mm == 0 and not s.through]
    return up(first[0].amps["start"] * 10) or 0 if first else 0


def _drives(wired: Wired, f: Feed) -> bool:
    if isinstance(f.input.part, Drive):
        return True
    return any(_drives(wired, x) for x in wired.onward(f.input))


def _groups(a: Analysis) -> int:
    rule = group_rule(a.build)
    if rule == "by amperes":
        supply = a.build.supply
        limits = {g.key: g.limit_a for g in supply.groups} if supply else {}
        elements = (e for r in a.runs for e in r.elements if e.kind == "group")
        shares = (
            max(likelies(e.judged.loads)) / limit
            for e in elements
            if (limit := limits.get(e.at.key))
        )
        return max(((percent(s) or 0) for s in shares), default=0)
    pairs = [len(set(groups)) for groups in device_groups(a.wired).values() if groups]
    return -sum(pairs) if rule == "spread" else sum(n - 1 for n in pairs)


#: Goal → what a map comes to in it, by the checker.
_COUNTS: dict[str, Callable[[Analysis], int]] = {
    "unfed": lambda a: sum(r not in a.wired.live for r in a.needed),
    "graphics": lambda a: sum(_graphics(r) > 0 for r in _used(a)),
    "chained": lambda a: sum(_graphics(r) > 1 for r in _used(a)),
    "leads": _leads,
    "balance": lambda a: max((len(_places(a, r)) for r in _used(a)), default=0),
    "places": _by_place,
    "adapters": lambda a: len(_in_use(a.wired, extension=False)),
    "extensions": lambda a: len(_in_use(a.wired, extension=True)),
    "optional": lambda a: -sum(_optional(a, f) for f in a.wired.feeds.values()),
    "unknown": _unknown,
    "worst": _worst,
    "groups": _groups,
    "fewer": lambda a: sum(_fewer(f) for f in a.wired.feeds.values() if not _in_bay(a.wired, f)),
    "runs": lambda a: len(_used(a)),
    "start": lambda a: max((_start(a, r) for r in _used(a)), default=0),
    "hanging": _hanging,
    "length": _length,
}
