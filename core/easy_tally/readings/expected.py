"""What the tally and the ratings say of a channel: the band it should lie in, the limit it must not
cross, and where both come from."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from functools import cached_property
from typing import NamedTuple

from ..analysis import Analysis
from ..base.series import Span, span_at
from ..base.units import RAIL_V, RUN_STATES, Rail, State
from ..ratings import Element, Place
from ..standards.contacts import TERMINAL_DEGC
from ..standards.margins import WITHIN_RATING
from ..supplies.energy import points_of, wall_w
from ..tally.demand import Carried, demands
from ..things.cables import Device
from ..wiring import Feed
from .channels import Channel, Sort

#: Least and most volts of a rail at a plug, as shares of the nominal. Source: ATX design guides:
#: ±5 %; 12 V may fall to 11.2 V in 3.x.
VOLTS_SHARE = 0.05
V12_LEAST_3X = 11.2
#: How far below the limit of its insulation a plug is told as hot [K]. Source: assumption.
HOT_MARGIN_K = 15.0


class Limit(NamedTuple):
    """What a channel must not cross: at the least, at the most; from where it is tight; whose
    figure it is. `called`: what is over where it is crossed; `worst_counts`: by its worst moment
    already, not by its mean alone."""

    called: str
    least: float | None
    most: float | None
    tight: float | None
    source: str
    worst_counts: bool = False


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
        of_sort = _EXPECTED.get(c.sort)
        return None if of_sort is None else of_sort(self, c, state)

    def of_supply(self, c: Channel, state: State) -> Span | None:
        """What the supply gives on a rail or in all [W or A]."""
        tally = self.a.tally
        sum_ = tally.by_rail[c.rail] if c.rail else tally.total
        if sum_.missing:
            return None
        span = sum_.at(state)
        return span.times(1 / RAIL_V[c.rail]) if c.rail and c.unit == "a" else span

    def of_wall(self, c: Channel, state: State) -> Span | None:
        """What the supply takes from the wall [W]."""
        dc, supply = self.of_supply(Channel("dc", "", "w"), state), self.a.build.supply
        if dc is None or supply is None or not supply.rated_w:
            return None
        points = points_of(supply, self.a.build.place.mains_v)
        if points is None:
            return None
        return Span(*(wall_w(x, supply.rated_w, points) for x in dc))

    def of_part(self, c: Channel, state: State) -> Span | None:
        """What one instance of a part draws [W]."""
        part, instance = Device.read(c.at)
        rows = [x for x in self.a.loads if x.part == part and instance in x.instances]
        if not rows or any(x.missing for x in rows):
            return None
        span = Span(0.0, 0.0, 0.0)
        for row in rows:
            span = span.plus(span_at(row.net.series(), state))
        return span

    def of_plug(self, c: Channel, state: State) -> Span | None:
        """What a plug carries on a rail, 12 V where none is named [W or A]."""
        rail = c.rail or "v12"
        span = self.at_input(c.at, rail, state) if c.at in self.a.wired.feeds else None
        return span.times(RAIL_V[rail]) if span is not None and c.unit == "w" else span

    def of_pin(self, c: Channel, state: State) -> Span | None:
        """What a 12 V pin carries where all carry alike [A]."""
        feed = self.a.wired.feeds.get(c.at)
        span = self.at_input(c.at, "v12", state) if feed is not None else None
        if feed is None or span is None or not feed.pins["v12"]:
            return None
        return span.times(1 / feed.pins["v12"])

    def limit(self, c: Channel) -> Limit | None:
        """What a channel must not cross; None where nothing limits it."""
        of_sort = _LIMITS.get(c.sort)
        return None if of_sort is None else of_sort(self, c)

    def limit_of_volts(self, c: Channel) -> Limit:
        """The volts of a rail, at the supply or at a plug."""
        supply, volts = self.a.build.supply, RAIL_V[c.rail or "v12"]
        least = volts * (1 - VOLTS_SHARE)
        if c.rail == "v12" and supply is not None and supply.design in ("3.0", "3.1"):
            least = V12_LEAST_3X
        most = volts * (1 + VOLTS_SHARE)
        return Limit("volts high", least, most, None, "ATX design guide, volts of a rail")

    def limit_of_supply(self, c: Channel) -> Limit | None:
        """What the supply is rated for, in all or on a rail."""
        rated = self._rated(c)
        called = "rail" if c.unit == "a" else "supply"
        return Limit(called, None, rated, None, "the supply’s label") if rated else None

    def limit_of_warmth(self, c: Channel) -> Limit | None:
        """How warm a plug and its wires may be."""
        feed = self.a.wired.feeds.get(c.at)
        if feed is None:
            return None
        own = feed.cable.insulation_degc
        most = min(TERMINAL_DEGC, self.a.build.assumptions.insulation_degc if own is None else own)
        source = "terminal and insulation, the lower"
        return Limit("hot", None, most, most - HOT_MARGIN_K, source, worst_counts=True)

    def limit_of_pin(self, c: Channel) -> Limit | None:
        """What the checker rates a 12 V pin of the plug for."""
        feed = self.a.wired.feeds.get(c.at)
        element = self.pins(feed) if feed is not None else None
        rated = element.judged.rated if element else None
        if element is None or not rated:
            return None
        return Limit("pin", None, rated, WITHIN_RATING * rated, element.source)

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
    def _pins(self) -> dict[tuple[str, Place], Element]:
        return {
            (r.wired.cable.key, e.at): e
            for r in self.a.runs
            for e in r.elements
            if e.kind == "plug pins" and e.line == "v12"
        }

    def pins(self, feed: Feed) -> Element | None:
        """The checker's element of the 12 V pins of the plug that feeds an input; None where it is
        a plug of something in between."""
        return self._pins.get((feed.cable.key, Place(feed.plug.key)))


#: Sort of channel → its band by the tally.
_EXPECTED: dict[Sort, Callable[[Against, Channel, State], Span | None]] = {
    Sort("wall", "whole", "w"): Against.of_wall,
    Sort("dc", "whole", "w"): Against.of_supply,
    Sort("dc", "rail", "w"): Against.of_supply,
    Sort("dc", "rail", "a"): Against.of_supply,
    Sort("part", "whole", "w"): Against.of_part,
    Sort("plug", "whole", "w"): Against.of_plug,
    Sort("plug", "whole", "a"): Against.of_plug,
    Sort("plug", "rail", "w"): Against.of_plug,
    Sort("plug", "rail", "a"): Against.of_plug,
    Sort("plug", "pin", "a"): Against.of_pin,
}
#: Sort of channel → what it must not cross.
_LIMITS: dict[Sort, Callable[[Against, Channel], Limit | None]] = {
    Sort("dc", "rail", "v"): Against.limit_of_volts,
    Sort("plug", "rail", "v"): Against.limit_of_volts,
    Sort("dc", "whole", "w"): Against.limit_of_supply,
    Sort("dc", "rail", "w"): Against.limit_of_supply,
    Sort("dc", "rail", "a"): Against.limit_of_supply,
    Sort("plug", "whole", "degc"): Against.limit_of_warmth,
    Sort("plug", "pin", "a"): Against.limit_of_pin,
}
