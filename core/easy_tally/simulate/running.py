"""A machine over time: states one after another, with noise, duty and spikes, through its contacts,
at the instruments. The same seed gives the same readings, whichever channels are asked for."""

from __future__ import annotations

import zlib
from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from functools import cached_property

from ..analysis import Analysis
from ..base.arrays import np
from ..base.units import RAIL_V, Rail, State
from ..readings import Against, Channel, Floats, Named, Readings, Sort
from ..standards.connectors import is_of
from ..supplies.energy import points_of, wall_w
from ..things.cables import Device
from ..things.parts import Card
from ..wiring import Feed
from .machine import Contacts, Wear, contacts_of, heating_w, lagged, lost_v, rise_k_per_w, shares

#: Noise of a load and of a meter, as a share (one standard deviation); how long a load's noise
#: holds [s]; how far a busy part's duty swings. Source: assumptions.
NOISE, METER, NOISE_TAU_S, DUTY = 0.012, 0.002, 0.8, 0.03
#: Spikes a second of a card or processor at work. Source: assumption.
SPIKES_A_SECOND = 0.2
#: How quickly a contact and a supply's inside warm up [s], as first-order lags. Source:
#: assumptions.
CONTACT_TAU_S, SUPPLY_TAU_S = 40.0, 300.0
_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb")


@dataclass(frozen=True, slots=True, kw_only=True)
class Scene:
    """How long each state lasts [s], how often it is measured [Hz], from which seed; how contacts
    differ; what is worn."""

    states: tuple[tuple[State, float], ...] = (("idle", 30.0), ("everyday", 60.0), ("full", 120.0))
    rate_hz: float = 10.0
    seed: int = 1
    spread: float = 0.02
    wear: Wear = field(default_factory=Wear)
    #: Loads of inputs that are not as the tally has them: a factor by input and state.
    factors: dict[tuple[str, State], float] = field(default_factory=dict)


class Running:
    """One run of a machine. What is not asked for is not worked out."""

    def __init__(self, a: Analysis, scene: Scene) -> None:
        self.a, self.scene, self.against = a, scene, Against(a)
        self.dt_s = 1 / scene.rate_hz
        self.counts = [max(1, round(s * scene.rate_hz)) for _, s in scene.states]
        self.times: Floats = np.arange(sum(self.counts), dtype=np.float64) * self.dt_s

    def _rng(self, purpose: str) -> np.random.Generator:
        return np.random.default_rng([self.scene.seed, zlib.crc32(purpose.encode())])

    @cached_property
    def feeds(self) -> dict[str, Feed]:
        """Every fed input of a part: nothing else draws."""
        live = self.a.wired.live
        return {
            r: f for r, f in self.a.wired.feeds.items() if r in live and f.input.between is None
        }

    @cached_property
    def contacts(self) -> dict[str, Contacts]:
        """The 12 V contacts of every plug that has some."""
        return {
            ref: contacts_of(
                self.against, f, self.scene.wear, self.scene.spread, self._rng(f"contacts {ref}")
            )
            for ref, f in self.feeds.items()
            if f.pins["v12"]
        }

    @cached_property
    def amps(self) -> dict[Rail, dict[str, Floats]]:
        """Amperes of every input over time, by rail."""
        busy = {ref: self._busy(ref) for ref in self.feeds}
        amps: dict[Rail, dict[str, Floats]] = {}
        for rail in _RAILS:
            amps[rail] = {ref: self._level(ref, rail) * busy[ref] for ref in self.feeds}
        return amps

    @cached_property
    def ground(self) -> dict[str, Floats]:
        """Amperes that come back from every input: the sum over its rails."""
        none = np.zeros(len(self.times))
        return {ref: sum((self.amps[r][ref] for r in _RAILS), none) for ref in self.feeds}

    def _level(self, ref: str, rail: Rail) -> Floats:
        levels = []
        for state, _ in self.scene.states:
            span = self.against.at_input(ref, rail, state)
            levels.append(
                (span.likely if span else 0.0) * self.scene.factors.get((ref, state), 1.0)
            )
        return np.repeat(levels, self.counts)

    def _busy(self, ref: str) -> Floats:
        """What a load does around its level; on average, over each state, just that."""
        rng, n = self._rng(f"load {ref}"), len(self.times)
        noise = lagged(rng.normal(0.0, 1.0, n), self.dt_s, NOISE_TAU_S)
        noise *= NOISE / max(float(noise.std()), 1e-9)
        busy = 1.0 + noise
        feed = self.feeds[ref]
        spiky = isinstance(feed.input.part, Card) or is_of(feed.mated, "processor")
        if spiky:
            busy += DUTY * np.sign(np.sin(2 * np.pi * self.times / 7.3 + rng.uniform(0, 6.28)))
            busy *= np.where(rng.random(n) < SPIKES_A_SECOND * self.dt_s, self._spike(feed), 1.0)
        at = 0
        for count in self.counts:
            busy[at : at + count] /= busy[at : at + count].mean()
            at += count
        return busy

    def _spike(self, feed: Feed) -> float:
        """The factor of a spike that is as long as a sample."""
        assume = self.a.build.assumptions
        card = isinstance(feed.input.part, Card)
        names = ("0_1ms", "1ms", "10ms", "100ms")
        kind = "card" if card else "sustained"
        i = min(3, max(0, round(float(np.log10(self.dt_s / 1e-4)))))
        return float(getattr(assume, f"spike_{kind}_{names[i]}"))

    # -- instruments ------------------------------------------------------------------------

    def readings(self, channels: Iterable[Channel], began: str = "") -> Readings:
        """What instruments read; a channel that can't be worked out is left out."""
        columns = {}
        for c in channels:
            value = self.value(c)
            if value is not None:
                meter = self._rng(f"meter {c}").normal(0.0, METER, len(value))
                columns[c] = value * (1 + meter)
        at, named = 0.0, []
        for (state, _), count in zip(self.scene.states, self.counts, strict=True):
            named.append(Named(from_s=at, to_s=at + (count - 1) * self.dt_s, state=state))
            at += count * self.dt_s
        return Readings(
            times=self.times, columns=columns, named=tuple(named), began=began, simulated=True
        )

    def value(self, c: Channel) -> Floats | None:
        """A channel over time without its meter's noise; None where it can't be worked out."""
        stand_in = _STAND_INS.get(c.sort)
        if stand_in is None or (c.sort.where == "plug" and c.at not in self.feeds):
            return None
        return stand_in(self, c)

    def part_w(self, c: Channel) -> Floats | None:
        """Watts of a part, by its plugs and its slot."""
        device = Device.read(c.at)
        own = [w for r, w in self._watts.items() if self.feeds[r].input.at.device == device]
        slot = self._slot(device)
        return sum(own, slot) if own or slot.any() else None

    def plug_a(self, c: Channel) -> Floats | None:
        """Amperes of a plug on a rail."""
        return self.amps[c.rail][c.at] if c.rail in self.amps else None

    def pin_a(self, c: Channel) -> Floats | None:
        """Amperes of a 12 V pin, by its contact."""
        if c.at not in self.contacts:
            return None
        each = shares(self.contacts[c.at])
        return self.amps["v12"][c.at] * each[c.pin - 1] if c.pin and c.pin <= len(each) else None

    def plug_v(self, c: Channel) -> Floats | None:
        """12 V at a plug: what the supply gives, less what is lost on the way."""
        if c.rail != "v12" or c.at not in self.contacts:
            return None
        feed, amps = self.feeds[c.at], self.amps["v12"]
        lost = lost_v(self.against, feed, amps, self.ground, self.contacts)
        return None if lost is None else self.volts - lost

    def plug_degc(self, c: Channel) -> Floats | None:
        """The warmth of a plug's hottest contact [°C]."""
        if c.at not in self.contacts:
            return None
        return self._degc(self.contacts[c.at], self.amps["v12"][c.at])

    def _degc(self, contacts: Contacts, amps: Floats) -> Floats:
        """Of the hottest contact [°C]."""
        assume = self.a.build.assumptions
        air = assume.room_degc + assume.plug_air_rise_degc
        heat = heating_w(contacts, amps)
        hottest = heat[int(heat.mean(axis=1).argmax())]
        rise = rise_k_per_w(contacts) * lagged(hottest, self.dt_s, CONTACT_TAU_S, first=0.0)
        return air + rise

    @cached_property
    def volts(self) -> Floats:
        """12 V at the supply: a little over the nominal, a little less under load."""
        whole = sum(self.amps["v12"].values(), np.zeros(len(self.times)))
        rated = (self.a.build.supply.v12_a if self.a.build.supply else None) or 100.0
        return 12.08 - 0.08 * whole / rated

    @cached_property
    def _watts(self) -> dict[str, Floats]:
        """Watts of each input over time."""
        return {
            ref: sum((self.amps[r][ref] * RAIL_V[r] for r in _RAILS), np.zeros(len(self.times)))
            for ref in self.feeds
        }

    def _slot(self, device: Device) -> Floats:
        """Watts that a card takes from its slot: the tally's, in step with its board."""
        rows = [x for x in self.a.loads if x.part == device.part and x.feed == "slot"]
        rows = [x for x in rows if device.instance in x.instances]
        levels = [sum(getattr(x.net, state).likely for x in rows) for state, _ in self.scene.states]
        return np.repeat(np.array(levels, dtype=float), self.counts)

    def rail(self, c: Channel) -> Floats | None:
        """Amperes, volts or watts of a rail at the supply."""
        if c.rail not in self.amps:
            return None
        amps = sum(self.amps[c.rail].values(), np.zeros(len(self.times)))
        volts = self.volts if c.rail == "v12" else np.full(len(self.times), RAIL_V[c.rail])
        return {"a": amps, "v": volts, "w": amps * RAIL_V[c.rail]}.get(c.unit)

    def dc_w(self, c: Channel) -> Floats:
        """What the supply gives in all [W]."""
        return sum(self._watts.values(), np.zeros(len(self.times)))

    def wall_v(self, c: Channel) -> Floats:
        """Volts of the mains."""
        return np.full(len(self.times), float(self.a.build.place.mains_v))

    def wall_w(self, c: Channel) -> Floats | None:
        """What the supply takes, by its efficiency [W]."""
        supply, dc = self.a.build.supply, self.dc_w(c)
        points = points_of(supply, self.a.build.place.mains_v) if supply else None
        if supply is None or not supply.rated_w or points is None:
            return None
        grid = np.linspace(0.0, max(float(dc.max()), 1.0), 400)
        wall = [wall_w(float(x), supply.rated_w, points) for x in grid]
        return np.interp(dc, grid, wall)

    def supply_degc(self, c: Channel) -> Floats | None:
        """The warmth of the supply [°C], behind its load."""
        rated = self.a.build.supply.rated_w if self.a.build.supply else None
        if not rated:
            return None
        return lagged(32 + 30 * self.dc_w(c) / rated, self.dt_s, SUPPLY_TAU_S, first=32.0)

    def supply_rpm(self, c: Channel) -> Floats | None:
        """Turns of the supply's fan, which stands below a share of its load."""
        supply, dc = self.a.build.supply, self.dc_w(c)
        if supply is None or not supply.rated_w:
            return None
        share = dc / supply.rated_w
        return np.where(share <= (supply.fan_off_share or 0.0), 0.0, 500 + 900 * share)


#: Sort of channel → what stands in for its instrument.
_STAND_INS: dict[Sort, Callable[[Running, Channel], Floats | None]] = {
    Sort("wall", "whole", "w"): Running.wall_w,
    Sort("wall", "whole", "v"): Running.wall_v,
    Sort("dc", "whole", "w"): Running.dc_w,
    Sort("dc", "rail", "w"): Running.rail,
    Sort("dc", "rail", "v"): Running.rail,
    Sort("dc", "rail", "a"): Running.rail,
    Sort("supply", "whole", "degc"): Running.supply_degc,
    Sort("supply", "whole", "rpm"): Running.supply_rpm,
    Sort("part", "whole", "w"): Running.part_w,
    Sort("plug", "rail", "a"): Running.plug_a,
    Sort("plug", "rail", "v"): Running.plug_v,
    Sort("plug", "pin", "a"): Running.pin_a,
    Sort("plug", "whole", "degc"): Running.plug_degc,
}
