"""What is found of a way of using a cable, limit by limit, as the solver judges it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ...base.units import GROUND, LINES, RAIL_V, Line
from ...ratings import limits
from ...ratings.limits import Contact, Limit
from ...standards.connectors import CONNECTORS, Half, Sense, SocketKind
from ...things.assumed.assumptions import Assumptions
from ...things.cables import Plug
from ...wiring import Carrier
from .draws import NOTHING, Draw, Four
from .targets import Beyond, Target

#: Draws whose lines are remembered at the most.
_MEMO = 60_000


@dataclass(frozen=True, slots=True)
class Use:
    """A plug (or a half of it) in an input of some kind of target."""

    plug: Plug
    half: Half
    target: Target
    mated: SocketKind
    pins: Mapping[str, int]
    #: What is found of it alone, whatever else its cable feeds.
    alone: Sum | None = None


#: Why a way of using a cable is no way: by a rating, by the way that its plugs have to go, by the
#: rule for chained plugs, or never at all.
Why = Literal["rating", "reach", "rule", "never"]


@dataclass(slots=True)
class Sum:
    """What is found on the way. `free`: what may be over all the same; all else ends the search."""

    assume: Assumptions
    at_once: int | None
    free: frozenset[Why] = frozenset()
    #: The house rule for what a standard grants a plug.
    grant: str = "limit"
    over: bool = False
    unknown: int = 0
    share: float = 0.0
    #: Lines of draws that were asked for before, with the draw, so that it stays what it is.
    memo: dict[int, tuple[Draw, list[tuple[Line, Four, bool]]]] = field(default_factory=dict)

    def fresh(self) -> Sum:
        """One that stands on the same, with nothing found yet."""
        return Sum(self.assume, self.at_once, self.free, self.grant, memo=self.memo)

    def refuse(self, why: Why) -> None:
        """Something is over, or not to be."""
        self.over = self.over or why not in self.free

    def add(self, other: Sum) -> None:
        """With what another found."""
        self.over = self.over or other.over
        self.unknown += other.unknown
        self.share = max(self.share, other.share)

    def hold(self, load: Four, limit: Limit, missing: bool, why: Why = "rating") -> None:
        """Hold a load in four states against a limit."""
        rated = limit.rated
        if rated is None:
            self.unknown += 1
            return
        held = limit.held(load)
        if limit.exceeded(held) and not limit.warns:
            self.refuse(why)
        elif missing:
            self.unknown += 1
        if rated > 0:
            self.share = max(self.share, held / rated)

    def contacts(
        self, one: Contact, pins: Mapping[str, int], draw: Draw, only: tuple[Line, ...] = LINES
    ) -> None:
        """Pins of one connector."""
        for line, load, missing in self.lines(draw):
            if line in only:
                self.hold(load, one.limit(pins.get(line, 0)), missing)

    def lines(self, draw: Draw) -> list[tuple[Line, Four, bool]]:
        """Every line that carries something or whose load is not known."""
        known = self.memo.get(id(draw))
        if known is not None:
            return known[1]
        by_line = draw.lines(self.at_once)
        missing = draw.missing | {GROUND} if draw.missing else draw.missing
        lines = [
            (line, load, line in missing)
            for line in LINES
            if any(load := by_line.get(line, NOTHING)) or line in missing
        ]
        if len(self.memo) > _MEMO:
            self.memo.clear()
        self.memo[id(draw)] = (draw, lines)
        return lines

    def loads(self, draw: Draw) -> dict[Line, Four]:
        """Amperes by line, of those that carry something."""
        return {line: load for line, load, _ in self.lines(draw)}

    def grants(self, mated: SocketKind, target: Target, sense: Sense | None) -> None:
        """What a standard grants a socket."""
        each = limits.granted_a(mated)
        if each is not None:
            for line, load, missing in self.lines(target.draw):
                if line != GROUND:
                    self.hold(load, each, missing)
        watts = limits.granted_w(mated, sense, target.version, self.grant)
        if watts is not None:
            self.watts(target.draw, watts)

    def watts(self, draw: Draw, limit: Limit, why: Why = "rating") -> None:
        """Hold what is drawn at 12 V against watts."""
        a, b, c, d = self.loads(draw).get("v12", NOTHING)
        volts = RAIL_V["v12"]
        watts = (a * volts, b * volts, c * volts, d * volts)
        self.hold(watts, limit, "v12" in draw.missing, why)

    def plug_pins(self, use: Use | Beyond, carrier: Carrier) -> None:
        """Pins of a plug."""
        one = limits.plug_contact(use.plug, use.mated, carrier, self.assume)
        self.contacts(one, use.pins, use.target.draw)

    def wire(self, carrier: Carrier, draw: Draw) -> None:
        """Conductors of one stretch."""
        for line, load, missing in self.lines(draw):
            self.hold(load, limits.conductor(carrier, line, self.assume), missing)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        """Volts lost at one plug, out and back; `missing`: a current on the way is not known."""
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == "ground":
                continue
            out = lost.get(line)
            if out is None or back is None:
                self.unknown += 1
                continue
            both = (out[0] + back[0], out[1] + back[1], out[2] + back[2], out[3] + back[3])
            self.hold(both, limits.drop_v(line), missing)

    def house_rule(self, uses: tuple[Use, ...], whole: Draw, rule: str) -> None:
        """The rule for two and more graphics plugs of one cable."""
        plugs = [u for u in uses if CONNECTORS[u.mated].chains]
        held = limits.chained(rule, len(plugs), any(u.target.raised for u in plugs))
        if held is None:
            return
        unit, limit = held
        if unit == "W":
            self.watts(whole, limit, "rule")
        else:
            n = float(len(plugs))
            self.hold((n, n, n, n), limit, False, "rule")
