"""What the tally and the ratings say of a channel: the band it should lie in, the limit it must not
cross, and where both come from."""

from __future__ import annotations

from dataclasses import replace
from functools import cached_property
from typing import NamedTuple

from ..analysis import Analysis
from ..base.series import Span, span_at
from ..base.units import RAIL_V, RUN_STATES, Rail, State
from ..ratings import Element
from ..standards.contacts import TERMINAL_DEGC
from ..standards.margins import WITHIN_RATING
from ..supplies.energy import points_of, wall_w
from ..tally.demand import Carried, demands
from ..wiring import Feed
from .channels import Channel

#: Least and most volts of a rail at a plug, as shares of the nominal. Source: ATX design guides:
#: ±5 %; 12 V may fall to 11.2 V in 3.x.
VOLTS_SHARE = 0.05
V12_LEAST_3X = 11.2
#: How far below the limit of its insulation a plug is told as hot [K]. Source: assumption.
HOT_MARGIN_K = 15.0


class Limit(NamedTuple):
    """What a channel must not cross: at the least, at the most; from where it is tight; whose
    figure it is."""

    least: float | None
    most: float | None
    tight: float | None
    source: str


class Against:
    """What readings of one build are held against. Made once for it; nothing of it changes."""

    def __init__(self, a: Analysis) -> None:
        self.a = a

    @cached_property
    def _sustained(self) -> Carried:
        loads = (replace(x, spans=x.spans._replace(short=x.spans.full)) for x in self.a.loads)
        return demands(self.a.wired, tuple(loads))

    def carried(self, state: State) -> Carried:
        """What inputs carry; at full with the processor at its sustained limit, at `short` at its
        short one."""
        return self._sustained if state == "full" else self.a.carried

    def at_input(self, ref: str, rail: Rail, state: State) -> Span | None:
        """Amperes [A] of an input on a rail in a state; None: a figure is missing, or it sleeps."""
        demand = self.carried(state).of(ref)
        run: State = "full" if state == "short" else state
        if run not in RUN_STATES or rail in demand.missing:
            return None
        span = Span(0.0, 0.0, 0.0)
        for series in (demand.amps.get(rail), demand.surge.get(rail)):
            if series is not None:
                span = span.plus(span_at(series, run, RUN_STATES))
        return span

    def expected(self, c: Channel, state: State) -> Span | None:
        """The band of a channel in a state by the tally; None where it says nothing of it."""
        if c.unit not in ("w", "a"):
            return None
        if c.at in ("wall", "dc", "supply"):
            return self._of_supply(c, state)
        if "/" not in c.at:
            return self._of_part(c, state)
        feed = self.a.wired.feeds.get(c.at)
        if feed is None:
            return None
        rail = c.rail or "v12"
        span = self.at_input(c.at, rail, state)
        if span is None:
            return None
        if c.pin is not None:
            return span.times(1 / feed.pins["v12"]) if feed.pins["v12"] else None
        return span.times(RAIL_V[rail]) if c.unit == "w" else span

    def _of_supply(self, c: Channel, state: State) -> Span | None:
        tally = self.a.tally
        of = tally.by_rail[c.rail] if c.rail else tally.total
        if of.missing or c.at == "supply":
            return None
        span = of.at(state)
        if c.at == "dc":
            if c.unit == "w":
                return span
            return span.times(1 / RAIL_V[c.rail]) if c.rail else None
        supply = self.a.build.supply
        if c.unit != "w" or supply is None or not supply.rated_w:
            return None
        points = points_of(supply, self.a.build.place.mains_v)
        if points is None:
            return None
        return Span(*(wall_w(x, supply.rated_w, points) for x in span))

    def _of_part(self, c: Channel, state: State) -> Span | None:
        part, _, instance = c.at.partition("#")
        rows = [x for x in self.a.loads if x.part == part and int(instance) in x.instances]
        if c.unit != "w" or not rows or any(x.missing for x in rows):
            return None
        span = Span(0.0, 0.0, 0.0)
        for row in rows:
            span = span.plus(span_at(row.net.series(), state))
        return span

    def limit(self, c: Channel) -> Limit | None:
        """What a channel must not cross; None where nothing limits it."""
        supply = self.a.build.supply
        if c.unit == "v" and c.rail:
            volts = RAIL_V[c.rail]
            least = volts * (1 - VOLTS_SHARE)
            if c.rail == "v12" and supply is not None and supply.design in ("3.0", "3.1"):
                least = V12_LEAST_3X
            most = volts * (1 + VOLTS_SHARE)
            return Limit(least, most, None, "ATX design guide, volts of a rail")
        if c.at == "dc" and c.unit in ("w", "a"):
            rated = self._rated(c)
            return Limit(None, rated, None, "the supply’s label") if rated else None
        feed = self.a.wired.feeds.get(c.at)
        if feed is None:
            return None
        if c.unit == "degc":
            own = feed.cable.insulation_degc
            most = min(
                TERMINAL_DEGC, self.a.build.assumptions.insulation_degc if own is None else own
            )
            return Limit(None, most, most - HOT_MARGIN_K, "terminal and insulation, the lower")
        if c.pin is not None:
            element = self.pins(feed)
            most_a = element.judged.rated if element else None
            if element is not None and most_a:
                return Limit(None, most_a, WITHIN_RATING * most_a, element.source)
        return None

    def _rated(self, c: Channel) -> float | None:
        supply = self.a.build.supply
        if supply is None:
            return None
        if c.rail is None:
            return supply.rated_w if c.unit == "w" else None
        amps = getattr(supply, f"{c.rail}_a", None)
        if amps is None:
            return None
        return float(amps) if c.unit == "a" else float(amps) * RAIL_V[c.rail]

    @cached_property
    def _pins(self) -> dict[tuple[str, str], Element]:
        return {
            (r.wired.cable.key, e.at): e
            for r in self.a.runs
            for e in r.elements
            if e.kind == "plug pins" and e.line == "v12"
        }

    def pins(self, feed: Feed) -> Element | None:
        """The checker's element of the 12 V pins of the plug that feeds an input; None where it is
        a plug of something in between."""
        return self._pins.get((feed.cable.key, feed.plug.key))
