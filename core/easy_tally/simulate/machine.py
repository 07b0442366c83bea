"""A machine as it would be measured: currents through contacts that are not all alike, volts lost
on the way, contacts that warm up. One relation a function; nothing here judges anything.

Contacts of one plug lie side by side between one wire bundle and one socket, so they share a
current by their conductances. Ground is taken as even.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from ..base.arrays import np
from ..base.units import Line
from ..readings import Against, Floats
from ..standards.contacts import RISE_DEGC
from ..standards.wires import WIRE_MOHM_PER_M
from ..things.cables import Cable
from ..wiring import Feed

#: Resistance of a contact as a multiple of a new one. Source: assumptions.
TIRED = 12.0
PART_SEATED = (4.0, 14.0)
OPEN = float("inf")
#: A contact has some resistance, whatever is assumed [mΩ].
LEAST_MOHM = 0.1
#: What a metered contact stands without a figure of its own [A]. Source: the lowest of the tables.
_USUAL_A = 7.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Contacts:
    """The 12 V contacts of one plug in its socket: each one's resistance [mΩ], and that of the
    wire in front of it; the current at which a new one rises by 30 K."""

    contact_mohm: tuple[float, ...]
    wire_mohm: tuple[float, ...]
    new_mohm: float
    rated_a: float

    @property
    def each_mohm(self) -> Floats:
        """Wire and contact of each pin together [mΩ]."""
        mohm: Floats = np.array(self.contact_mohm) + np.array(self.wire_mohm)
        return mohm


def shares(contacts: Contacts) -> Floats:
    """The part of a plug's current that each of its pins carries: by conductance. Source: Ohm's
    law; nothing where every contact is open."""
    conductance = 1 / contacts.each_mohm
    whole = conductance.sum()
    return conductance / whole if whole > 0 else np.zeros(len(conductance))


def together_mohm(contacts: Contacts) -> float:
    """Resistance of all pins of a plug side by side [mΩ]."""
    whole = (1 / contacts.each_mohm).sum()
    return float(1 / whole) if whole > 0 else float("inf")


def rise_k_per_w(contacts: Contacts) -> float:
    """Kelvins a watt of a contact: such that a new one at its rated current rises by 30 K, as the
    tables were measured."""
    return RISE_DEGC / (contacts.rated_a**2 * contacts.new_mohm / 1000)


def heating_w(contacts: Contacts, amps: Floats) -> Floats:
    """Watts in each contact (pins × time) of a plug that carries `amps` [A] in all."""
    mohm = np.array(contacts.contact_mohm)
    live = np.isfinite(mohm)
    each = np.outer(np.where(live, shares(contacts), 0.0), amps)
    heat: Floats = each**2 * np.where(live, mohm, 0.0)[:, None] / 1000
    return heat


def lagged(values: Floats, dt_s: float, tau_s: float, first: float | None = None) -> Floats:
    """A first-order lag: y' = (x − y) ÷ τ, exact for x that holds from sample to sample; `first`:
    where y starts, else at the first x. Works in blocks, since each sample needs the one before."""
    decay = float(np.exp(-dt_s / tau_s))
    size = 512
    powers = decay ** np.arange(1, size + 1)
    gap = np.subtract.outer(np.arange(size), np.arange(size))
    step = np.where(gap >= 0, (1 - decay) * decay ** np.maximum(gap, 0), 0.0)
    out = np.empty_like(values)
    last = float(values[0]) if first is None else first
    for at in range(0, len(values), size):
        x = values[at : at + size]
        n = len(x)
        out[at : at + n] = step[:n, :n] @ x + powers[:n] * last
        last = float(out[at + n - 1])
    return out


@dataclass(slots=True, kw_only=True)
class Wear:
    """What is not as new: factors on the contacts of inputs, and mΩ more in front of a pin."""

    factors: dict[str, tuple[float, ...]] = field(default_factory=dict)
    pinched_mohm: dict[str, tuple[float, ...]] = field(default_factory=dict)


def contacts_of(
    against: Against, feed: Feed, wear: Wear, spread: float, rng: np.random.Generator
) -> Contacts:
    """The 12 V contacts of a plug; new ones differ by `spread` (one standard deviation)."""
    a, n = against.a, feed.pins["v12"]
    new = max(a.build.assumptions.contact_mohm, LEAST_MOHM)
    scatter = np.exp(rng.normal(0.0, spread, n)) if spread else np.ones(n)
    factors = wear.factors.get(feed.input.ref, (1.0,) * n)
    more = wear.pinched_mohm.get(feed.input.ref, (0.0,) * n)
    element = against.pins(feed)
    rated = element.terms.get("contact_a", _USUAL_A) if element else _USUAL_A
    own = own_wire_mohm(against, feed)
    return Contacts(
        contact_mohm=tuple(float(new * s * f) for s, f in zip(scatter, factors, strict=True)),
        wire_mohm=tuple(own + m for m in more),
        new_mohm=new,
        rated_a=rated,
    )


def own_wire_mohm(against: Against, feed: Feed) -> float:
    """mΩ of the wire that one 12 V pin has to itself: the last stretch of a cable with as many
    conductors as the plug has pins. 0 where wires are shared; they are counted further up."""
    cable = feed.cable
    if not isinstance(cable, Cable) or not has_own_wires(feed) or cable.gauge is None:
        return 0.0
    return WIRE_MOHM_PER_M[cable.gauge] * last_stretch_mm(against, feed) / 1000


def has_own_wires(feed: Feed) -> bool:
    """Whether each 12 V pin of a plug has a wire of its own."""
    cable = feed.cable
    conductors = cable.conductors if isinstance(cable, Cable) else None
    return conductors is not None and conductors.v12 == feed.pins["v12"]


def last_stretch_mm(against: Against, feed: Feed) -> float:
    """Length [mm] of the stretch that ends in a plug."""
    for run in against.a.wired.runs:
        if run.cable is feed.cable:
            for s in run.stretches:
                if s.to_mm == feed.plug.mm:
                    return s.to_mm - s.from_mm
    return 0.0


def lost_v(
    against: Against,
    feed: Feed,
    amps: Mapping[str, Floats],
    ground: Mapping[str, Floats],
    contacts: Mapping[str, Contacts],
) -> Floats | None:
    """Volts [V] lost at 12 V, out and back, up to behind a plug of a cable. `amps`: 12 V amperes of
    every input by its ref; `ground`: those of all rails. None where a figure of the cable is
    missing."""
    cable, ref = feed.cable, feed.input.ref
    if not isinstance(cable, Cable) or cable.gauge is None or not cable.conductors:
        return None
    far = feed.pins.get("ground", 0)
    out = _along(against, feed, amps, "v12", shared=has_own_wires(feed))
    back = _along(against, feed, ground, "ground", shared=False)
    own = together_mohm(contacts[ref])
    if out is None or back is None or not far or not np.isfinite(own):
        return None
    new = against.a.build.assumptions.contact_mohm
    lost: Floats = out + back + amps[ref] * own / 1000 + ground[ref] * new / far / 1000
    return lost


def _along(
    against: Against, feed: Feed, amps: Mapping[str, Floats], line: Line, shared: bool
) -> Floats | None:
    """Volts lost on one line from the supply to a plug: its near contacts and its wire; `shared`:
    the last stretch is the pins' own, and is counted with their contacts."""
    run = next((r for r in against.a.wired.runs if r.cable is feed.cable), None)
    if run is None or run.cable.conductors is None or run.cable.gauge is None:
        return None
    cable, wires = run.cable, run.cable.conductors.of(line)
    near = cable.supply_end.pins.of(line) if cable.needs else 0
    if not wires or (cable.needs and not near):
        return None
    new, per_m = against.a.build.assumptions.contact_mohm, WIRE_MOHM_PER_M[run.cable.gauge]
    amps_along = np.zeros_like(amps[feed.input.ref])
    if near:
        amps_along = (
            amps_along
            + sum(amps[f.input.ref] for f in run.feeds if f.input.ref in amps) * new / near / 1000
        )
    for s in run.stretches:
        if s.to_mm > feed.plug.mm or (shared and s.to_mm == feed.plug.mm):
            break
        beyond = sum(amps[f.input.ref] for f in s.beyond if f.input.ref in amps)
        amps_along = amps_along + beyond * per_m * (s.to_mm - s.from_mm) / 1000 / wires / 1000
    return amps_along
