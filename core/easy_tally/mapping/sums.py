"""What is found of a way of using a cable, limit by limit, as the solver judges it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from ..base.rounding import TOLERANCE
from ..base.units import GROUND, LINES, RAIL_V, Line
from ..standards.connectors import CONNECTORS, SENSE_GRANT_W, Half, Sense, SocketKind
from ..standards.contacts import contact_limit_a, derating
from ..standards.wires import DROP_OVER
from ..things.assumptions import Assumptions
from ..things.cables import Plug
from ..things.rules import BY_PLUG_W
from ..wiring.wired import Carrier
from .draws import NOTHING, START, Draw, Four
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
    over: bool = False
    unknown: int = 0
    share: float = 0.0
    heats: dict[float | None, float] = field(default_factory=dict)
    #: Lines of draws that were asked for before, with the draw, so that it stays what it is.
    memo: dict[int, tuple[Draw, list[tuple[Line, Four, bool]]]] = field(default_factory=dict)

    def fresh(self) -> Sum:
        """One that stands on the same, with nothing found yet."""
        return Sum(self.assume, self.at_once, self.free, heats=self.heats, memo=self.memo)

    def refuse(self, why: Why) -> None:
        """Something is over, or not to be."""
        self.over = self.over or why not in self.free

    def add(self, other: Sum) -> None:
        """With what another found."""
        self.over = self.over or other.over
        self.unknown += other.unknown
        self.share = max(self.share, other.share)

    def hold(
        self, load: Four, limit: float | None, each: float, start: float, missing: bool,
        why: Why = "rating",
    ) -> None:  # fmt: skip
        """Hold a load in four states against a limit, eased at start."""
        if limit is None:
            self.unknown += 1
            return
        eased = load[START] / start
        worst = max(load[0], load[1], load[2], eased) * each
        if worst > limit * TOLERANCE:
            self.refuse(why)
        elif missing:
            self.unknown += 1
        if limit > 0:
            self.share = max(self.share, worst / limit)

    def heat(self, insulation: float | None) -> float:
        """What heat leaves of a contact's amperes."""
        if insulation not in self.heats:
            a = self.assume
            of = a.insulation_degc if insulation is None else insulation
            self.heats[insulation] = derating(a.room_degc + a.plug_air_rise_degc, of)
        return self.heats[insulation]

    def contacts(
        self,
        pins: Mapping[str, int],
        each_a: float | None,
        kind: str,
        draw: Draw,
        insulation: float | None,
        only: tuple[Line, ...] = LINES,
    ) -> None:
        """Pins of one connector."""
        uneven = self.assume.worst_pin_16pin if kind == "16pin" else 1.0
        rating = None if each_a is None else each_a * self.heat(insulation)
        for line, load, missing in self.lines(draw):
            if line in only:
                n = pins.get(line, 0)
                each, limit = (uneven / n, rating) if n else (1.0, 0.0)
                self.hold(load, limit, each, self.assume.start_factor, missing)

    def lines(self, draw: Draw) -> list[tuple[Line, Four, bool]]:
        """Every line that carries something or whose load is not known."""
        known = self.memo.get(id(draw))
        if known is not None:
            return known[1]
        found = draw.lines(self.at_once)
        missing = draw.missing | {GROUND} if draw.missing else draw.missing
        lines = [
            (line, load, line in missing) for line in LINES
            if any(load := found.get(line, NOTHING)) or line in missing
        ]  # fmt: skip
        if len(self.memo) > _MEMO:
            self.memo.clear()
        self.memo[id(draw)] = (draw, lines)
        return lines

    def loads(self, draw: Draw) -> dict[Line, Four]:
        """Amperes by line, of those that carry something."""
        return {line: load for line, load, _ in self.lines(draw)}

    def grants(self, mated: SocketKind, target: Target, sense: Sense | None) -> None:
        """What a standard grants a socket."""
        row = CONNECTORS[mated]
        if row.grant_w is None and row.grant_rail_a is not None:
            for line, load, missing in self.lines(target.draw):
                if line != GROUND:
                    self.hold(load, row.grant_rail_a, 1.0, 1.0, missing)
        if row.grant_w is None:
            return
        limit: float | None = row.grant_w
        if mated == "16pin":
            limit = None if sense is None else SENSE_GRANT_W[sense, target.version]
        self.watts(target.draw, limit)

    def watts(self, draw: Draw, limit: float | None, why: Why = "rating") -> None:
        """Hold what is drawn at 12 V against watts."""
        load = self.loads(draw).get("v12", NOTHING)
        self.hold(load, limit, RAIL_V["v12"], 1.0, "v12" in draw.missing, why)

    def plug_pins(self, use: Use | Beyond, carrier: Carrier) -> None:
        """Pins of a plug."""
        plug, circuits = use.plug, CONNECTORS[use.mated].circuits
        each = plug.contact_a
        if each is None:
            each = contact_limit_a(use.mated, circuits, carrier.gauge, plug.grade)
        self.contacts(use.pins, each, use.mated, use.target.draw, carrier.insulation_degc)

    def wire(self, carrier: Carrier, draw: Draw) -> None:
        """Conductors of one stretch."""
        gauge, conductors = carrier.gauge, carrier.conductors
        each_a = None if gauge is None else float(getattr(self.assume, f"wire_{gauge}awg_a"))
        for line, load, missing in self.lines(draw):
            n = 1 if conductors is None else conductors.of(line)
            each, limit = (1 / n, each_a) if n else (1.0, 0.0)
            if conductors is None:
                limit = None
            self.hold(load, limit, each, self.assume.start_factor, missing)

    def dropped(self, lost: Mapping[Line, Four | None], draw: Draw, missing: bool) -> None:
        """Volts lost at one plug, out and back; `missing`: a current on the way is not known."""
        back = lost.get(GROUND)
        for line, _, _ in self.lines(draw):
            if line == GROUND:
                continue
            out = lost.get(line)
            if out is None or back is None:
                self.unknown += 1
                continue
            both = (out[0] + back[0], out[1] + back[1], out[2] + back[2], out[3] + back[3])
            limit = DROP_OVER * RAIL_V[line]  # type: ignore[index]
            self.hold(both, limit, 1.0, 1.0, missing)

    def house_rule(self, uses: tuple[Use, ...], whole: Draw, rule: str) -> None:
        """The rule for two and more graphics plugs of one cable."""
        plugs = [u for u in uses if u.mated in ("pcie8", "pcie6")]
        if rule == "as delivered":
            rule = "never" if any(u.target.raised for u in plugs) else "by pins"
        if len(plugs) < 2 or rule == "by pins":
            return
        if rule == "never":
            n = float(len(plugs))
            self.hold((n, n, n, n), 1.0, 1.0, 1.0, False, "rule")
        else:
            self.watts(whole, BY_PLUG_W, "rule")
