"""Readings held against the tally and the ratings: what differs and what is over, as data, most
serious first. What was not measured is named; without it nothing reads fine."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, field, replace
from typing import Literal

from ..analysis import Analysis
from ..base.arrays import np
from ..base.rounding import TOLERANCE
from ..base.series import span_at
from ..base.units import RAIL_V, RUN_STATES, State
from ..ratings import Place
from ..standards.connectors import SENSE_GRANT_W, is_coded
from ..supplies.energy import efficiency_at, points_of
from .channels import METERED, Channel
from .expected import Against
from .held import Named, Readings
from .segments import recognise
from .stats import Stats, all_stats

#: Worst first. `note` says nothing bad.
Severity = Literal["over", "unknown", "tight", "note"]
SEVERITIES: tuple[Severity, ...] = ("over", "unknown", "tight", "note")
#: The order in which findings are listed: what was found before what was not looked for.
LISTED: tuple[Severity, ...] = ("over", "tight", "unknown", "note")
#: States that a machine is to be measured in before it may read within.
WANTED: tuple[State, ...] = ("idle", "everyday", "full")
#: A pin with less than this part of its plug's mean carries next to nothing; worst ÷ mean from
#: which a plug is to be taken out and looked at; amps a pin below which the shape says nothing.
#: Source: assumptions.
NEXT_TO_NOTHING, UNEVEN_STOP, LEAST_A = 0.25, 1.5, 0.5
#: A pin with less than this part of its plug's mean is told. Source: assumption.
LITTLE = 0.75
#: How much more volts may be lost than the wires explain, as a factor and in volts; how far below
#: its curve an efficiency may lie. Source: assumptions.
LOST_FACTOR, LOST_V, BELOW_CURVE = 1.25, 0.03, 0.03
#: How near a card must come to what a code allows, and how far below the tally, to look coded for
#: it. Source: assumption.
AS_CODED, BELOW_TALLY = 0.06, 0.85
#: Meters are no better than this. Source: assumption, of a usual wall meter.
METER_SHARE = 0.02


@dataclass(frozen=True, slots=True, kw_only=True)
class Read:
    """One thing that readings say: a stable id, what of, in which state, with its numbers."""

    id: str
    severity: Severity
    channel: Channel
    state: State | None
    numbers: Mapping[str, float] = field(default_factory=dict)
    among: tuple[str, ...] = ()
    #: Other states in which the same was found, less badly.
    also: tuple[State, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Held:
    """Readings as held against a build: spans, statistics, findings, most serious first."""

    named: tuple[Named, ...]
    stats: Mapping[tuple[State, Channel], Stats]
    found: tuple[Read, ...]

    @property
    def verdict(self) -> Literal["over", "unknown", "tight", "within"]:
        """The worst of what was found; within only where nothing is missing."""
        worst = min((SEVERITIES.index(f.severity) for f in self.found), default=3)
        return ("over", "unknown", "tight", "within")[worst]


@dataclass(frozen=True, slots=True, kw_only=True)
class _Ground:
    against: Against
    stats: Mapping[tuple[State, Channel], Stats]

    @property
    def a(self) -> Analysis:
        return self.against.a

    def at(self, state: State, channel: Channel) -> Stats | None:
        return self.stats.get((state, channel))

    @property
    def states(self) -> list[State]:
        return list(dict.fromkeys(s for s, _ in self.stats))

    def pins(self, state: State, ref: str) -> dict[int, Stats]:
        """The metered pins of a plug, by their numbers."""
        own = (x for (s, c), x in self.stats.items() if s == state and c.at == ref and c.pin)
        return {x.channel.pin or 0: x for x in own}


def hold(a: Analysis, r: Readings, named: tuple[Named, ...] | None = None) -> Held:
    """Hold readings against a build; `named`: spans that a builder named, else recognised."""
    against = Against(a)
    spans = named or recognise(against, r)
    ground = _Ground(against=against, stats=all_stats(r, spans))
    reads = [f for rule in RULES for f in rule(ground)]
    reads.sort(key=_order)
    return Held(named=spans, stats=ground.stats, found=tuple(_once(reads)))


def _once(reads: list[Read]) -> list[Read]:
    """Findings, worst first, with what was found of the same channel in other states in the one
    where it is worst."""
    first: dict[tuple[str, Severity, str], Read] = {}
    for i, f in enumerate(reads):
        apart = f.severity in ("note", "unknown")
        key = (f.id, f.severity, f"{i}" if apart else f"{f.channel.at} {f.channel.unit}")
        old = first.get(key)
        if old is None:
            first[key] = f
        elif f.state and f.state != old.state and f.state not in old.also:
            first[key] = replace(old, also=(*old.also, f.state))
    return list(first.values())


def _order(f: Read) -> tuple[int, float, float]:
    """Worst first: by severity, then by how far from its limit, to a tenth; of the same in several
    states the one in which most is carried."""
    limit, value = f.numbers.get("limit"), f.numbers.get("value")
    weight = abs(value / limit) if limit and value is not None else 0.0
    return LISTED.index(f.severity), -round(weight, 1), -f.numbers.get("mean", 0.0)


# -- against limits ---------------------------------------------------------------------------


def _limits(g: _Ground) -> Iterator[Read]:
    for (state, c), x in g.stats.items():
        limit = g.against.limit(c)
        if limit is None:
            continue
        least, most, tight = limit.least, limit.most, limit.tight
        if least is not None and x.mean < least / TOLERANCE:
            yield _crossed("volts low", "over", state, x, least)
        if most is None:
            continue
        worst = x.worst if limit.worst_counts else x.mean
        if x.mean > most * TOLERANCE:
            yield _crossed(f"{limit.called} over", "over", state, x, most)
        elif tight is not None and x.mean > tight * TOLERANCE:
            yield _crossed(f"{limit.called} tight", "tight", state, x, most)
        elif worst > most * TOLERANCE:
            yield _crossed(f"{limit.called} over", "over", state, x, most)


def _crossed(id: str, severity: Severity, state: State, x: Stats, limit: float) -> Read:
    numbers = {"mean": x.mean, "worst": x.worst, "top": x.top, "value": x.mean, "limit": limit}
    return Read(id=id, severity=severity, channel=x.channel, state=state, numbers=numbers)


def _uneven(g: _Ground) -> Iterator[Read]:
    for state in g.states:
        for ref in dict.fromkeys(c.at for _, c in g.stats if c.pin):
            pins = g.pins(state, ref)
            means = {n: x.mean for n, x in pins.items()}
            mean = float(np.mean(list(means.values())))
            if len(means) < 2 or mean < LEAST_A:
                continue
            top, low = max(means, key=means.__getitem__), min(means, key=means.__getitem__)
            share = means[top] / mean
            feed = g.a.wired.feeds.get(ref)
            usual = g.a.build.assumptions.worst_pin_16pin if feed and is_coded(feed.mated) else 1.1
            numbers = {
                "mean": mean,
                "worst": means[top],
                "share": share,
                "pin": float(top),
                "value": share,
                "limit": usual,
                "low": means[low],
                "low pin": float(low),
            }
            c = Channel(ref, f"pin{top}", "a")
            if means[low] < NEXT_TO_NOTHING * mean:
                away = Channel(ref, f"pin{low}", "a")
                yield Read(
                    id="pin away", severity="over", channel=away, state=state, numbers=numbers
                )
            elif share > UNEVEN_STOP:
                yield Read(
                    id="uneven stop", severity="over", channel=c, state=state, numbers=numbers
                )
            elif means[low] < LITTLE * mean and 1 - means[low] / mean > share - 1:
                away = Channel(ref, f"pin{low}", "a")
                more = numbers | {"value": 1 / max(means[low] / mean, 0.01)}
                yield Read(id="pin low", severity="tight", channel=away, state=state, numbers=more)
            elif share > usual + METER_SHARE:
                yield Read(id="uneven", severity="tight", channel=c, state=state, numbers=numbers)


def _lost(g: _Ground) -> Iterator[Read]:
    for (state, c), x in g.stats.items():
        if c.unit != "v" or "/" not in c.at or c.rail is None:
            continue
        supply = g.at(state, Channel("dc", c.rail, "v"))
        feed = g.a.wired.feeds.get(c.at)
        drop = next(
            (
                e
                for run in g.a.runs
                for e in run.elements
                if feed
                and run.wired.cable.key == feed.cable.key
                and e.kind == "drop"
                and e.at == Place(feed.plug.key)
                and e.line == c.rail
            ),
            None,
        )
        if supply is None or drop is None or drop.judged.limit is None:
            continue
        run: State = "full" if state == "short" else state
        if run not in RUN_STATES:
            continue
        explained = span_at(drop.judged.loads, run, RUN_STATES).high
        lost, most = supply.mean - x.mean, LOST_FACTOR * explained + LOST_V
        numbers = {"value": lost, "limit": most, "expected": explained}
        if lost > most:
            yield Read(id="volts lost", severity="tight", channel=c, state=state, numbers=numbers)


# -- against the tally --------------------------------------------------------------------------


def _tally(g: _Ground) -> Iterator[Read]:
    for (state, c), x in g.stats.items():
        band = g.against.expected(c, state)
        if band is None or c.pin is not None or band.high <= 0:
            continue
        low, high = band.low * (1 - METER_SHARE), band.high * (1 + METER_SHARE)
        numbers = {
            "value": x.mean,
            "limit": band.likely,
            "low": band.low,
            "high": band.high,
            "likely": band.likely,
        }
        floor = 0.1 if c.unit == "a" else 1.0
        if x.mean > high + floor:
            yield Read(id="above tally", severity="tight", channel=c, state=state, numbers=numbers)
        elif x.mean < low - floor:
            yield Read(id="below tally", severity="tight", channel=c, state=state, numbers=numbers)
        elif c.unit == "w":
            yield Read(id="as tallied", severity="note", channel=c, state=state, numbers=numbers)


def _dead(g: _Ground) -> Iterator[Read]:
    """Plugs that are in the map, and carry next to nothing of what they should."""
    for state in g.states:
        for ref in dict.fromkeys(c.at for _, c in g.stats if c.pin):
            pins = g.pins(state, ref)
            band = g.against.at_input(ref, "v12", state)
            whole = sum(x.mean for x in pins.values())
            if band is None or band.likely < 1.0 or whole > 0.1 * band.likely:
                continue
            yield Read(
                id="carries nothing",
                severity="over",
                channel=Channel(ref, "v12", "a"),
                state=state,
                numbers={"value": whole, "expected": band.likely, "limit": band.likely},
            )


def _coded(g: _Ground) -> Iterator[Read]:
    """A card that stops near what a sense code allows, and below what it should draw."""
    states: tuple[State, ...] = ("full", "short")
    for state in states:
        for ref, feed in g.a.wired.feeds.items():
            if not is_coded(feed.mated) or feed.input.between is not None:
                continue
            band = g.against.at_input(ref, "v12", state)
            pins = g.pins(state, ref)
            if band is None or len(pins) < feed.pins["v12"]:
                continue
            watts = sum(x.mean for x in pins.values()) * RAIL_V["v12"]
            grants = sorted(
                {w for w in SENSE_GRANT_W.values() if 0 < w < band.likely * RAIL_V["v12"]}
            )
            near = [w for w in grants if abs(watts - w) <= AS_CODED * w]
            if near and watts < BELOW_TALLY * band.likely * RAIL_V["v12"]:
                yield Read(
                    id="as coded",
                    severity="tight",
                    channel=Channel(ref, "v12", "w"),
                    state=state,
                    numbers={"value": watts, "limit": near[0], "expected": band.likely * 12.0},
                )


def _efficiency(g: _Ground) -> Iterator[Read]:
    supply = g.a.build.supply
    for state in g.states:
        wall, dc = g.at(state, Channel("wall", "", "w")), g.at(state, Channel("dc", "", "w"))
        if wall is None or dc is None or wall.mean <= 0:
            continue
        efficiency = dc.mean / wall.mean
        numbers = {"value": efficiency, "wall": wall.mean, "dc": dc.mean}
        c = Channel("wall", "", "w")
        if efficiency > 1 + METER_SHARE:
            yield Read(
                id="more out than in", severity="over", channel=c, state=state, numbers=numbers
            )
            continue
        points = points_of(supply, g.a.build.place.mains_v) if supply else None
        if points is None or supply is None or not supply.rated_w:
            continue
        curve = efficiency_at(points, dc.mean / supply.rated_w)
        numbers |= {"limit": curve}
        below = efficiency < curve - BELOW_CURVE
        yield Read(
            id="below curve" if below else "efficiency",
            severity="tight" if below else "note",
            channel=c,
            state=state,
            numbers=numbers,
        )


# -- what was not measured ----------------------------------------------------------------------


def _unmeasured(g: _Ground) -> Iterator[Read]:
    none = Channel("dc", "", "w")
    if not g.stats:
        yield Read(id="no state", severity="unknown", channel=none, state=None)
        return
    for state in WANTED:
        if state not in g.states:
            yield Read(id="state missing", severity="unknown", channel=none, state=state)
    for state in g.states:
        if not any(g.at(state, Channel(at, "", "w")) for at in ("wall", "dc")):
            yield Read(id="total missing", severity="unknown", channel=none, state=state)
    for ref, feed in g.a.wired.feeds.items():
        if feed.input.between is not None or feed.mated not in METERED:
            continue
        lacks = tuple(w for w, is_it in _OF_PLUG if not _in_each(g, ref, is_it))
        if lacks:
            c = Channel(ref, "v12", "v")
            yield Read(id="plug missing", severity="unknown", channel=c, state=None, among=lacks)


#: What is to be measured at a plug, in words, and how its channels are told.
_OF_PLUG: tuple[tuple[str, Callable[[Channel], bool]], ...] = (
    ("amps a pin", lambda c: c.pin is not None),
    ("volts", lambda c: c.unit == "v"),
    ("temperature", lambda c: c.unit == "degc"),
)


def _in_each(g: _Ground, ref: str, is_it: Callable[[Channel], bool]) -> bool:
    """Whether something of a plug was measured in each state that was measured and is wanted."""
    states = {s for s, c in g.stats if c.at == ref and is_it(c)}
    return bool(states) and states >= {s for s in g.states if s in WANTED}


def _not_held(g: _Ground) -> Iterator[Read]:
    """What was measured, and there is nothing to hold it against: no figure, no limit, no map."""
    a, totals = g.a, [Channel(at, "", "w") for at in ("dc", "wall")]
    for state in g.states:
        read = [c for c in totals if g.at(state, c)]
        if read and not any(g.against.expected(c, state) for c in read):
            yield Read(id="no band", severity="unknown", channel=read[0], state=state)
    for ref in dict.fromkeys(c.at for _, c in g.stats if c.pin):
        c = Channel(ref, "pin1", "a")
        if g.against.limit(c) is None:
            yield Read(id="no limit", severity="unknown", channel=c, state=None)
    needed = a.needed - a.wired.live
    unfed = tuple(a.wired.words(r) for r in a.wired.inputs if r in needed)
    # A part that draws and has no way in is measured in the whole, and at no plug.
    unfed += tuple(dict.fromkeys(a.wired.parts[x.load.part].name for x in a.carried.adrift))
    if g.stats and (unfed or not a.wired.live):
        yield Read(id="no map", severity="unknown", channel=totals[0], state=None, among=unfed)


RULES: tuple[Callable[[_Ground], Iterator[Read]], ...] = (
    _limits,
    _uneven,
    _dead,
    _coded,
    _lost,
    _tally,
    _efficiency,
    _unmeasured,
    _not_held,
)
