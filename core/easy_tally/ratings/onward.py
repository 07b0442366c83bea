"""What limits a run beyond its own plugs: adapters, extensions, backplanes, lead by lead."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import NamedTuple

from ..base.series import Series, add
from ..base.units import GROUND, Line
from ..standards.connectors import is_coded
from ..tally.demand import Carried
from ..things.adapters import Adapter
from ..things.assumed.assumptions import Assumptions
from ..wiring import Between, Feed
from .elements import Element, adapter_grant, drop, forbidden, grants, lead_pins, plug_pins, wires
from .flows import CarriedRun, Flow, Flows, together
from .limits import contacts_ohm, lost_more, wire_ohm
from .places import Place


@dataclass(frozen=True, slots=True)
class Onward:
    """A plug of something in between, on the way of a run: `by` the feed into the `lead` by which
    the run comes, `before` the plug of something in between that this feed is, `flow` all that the
    plug carries, `share` of it by this lead, one of `leads` that are plugged in; `mm` its distance
    from the supply along the whole way."""

    lead: str
    share: float
    leads: int
    mm: float
    by: Feed
    before: Onward | None
    between: Between
    feed: Feed
    flow: Flow

    @property
    def at(self) -> Place:
        """Where it is."""
        return Place(self.feed.plug.key, self.between.key)


def onwards(flows: Flows, run: CarriedRun, carried: Carried) -> Iterator[Onward]:
    """Every plug of what stands in between on the way of a run."""
    for live in run.lives:
        yield from _beyond(flows, carried, live.feed, None)


def _beyond(flows: Flows, carried: Carried, feed: Feed, before: Onward | None) -> Iterator[Onward]:
    wired, between = flows.wired, feed.input.between
    if between is None:
        return
    lead = feed.input.socket.key
    mm = feed.plug.mm if before is None else before.mm
    for onward in wired.onward(feed.input):
        far = mm + (0.0 if between.is_backplane else onward.plug.mm)
        leads = len(wired.leads_in_use(between, onward.plug.key))
        things = (feed, before, between, onward, flows.into(carried, onward.input))
        plain = (lead, wired.lead_share(onward, lead), leads, far)
        here = wired.memory.of(Onward, things, plain)
        yield here
        yield from _beyond(flows, carried, onward, here)


def grants_of(onwards: tuple[Onward, ...], rule: str) -> Iterator[Element]:
    """What the standard grants the sockets beyond by a house `rule`, and what adapters are coded
    for."""
    for x in onwards:
        if is_coded(x.feed.mated):
            # What its sense contacts say goes on to the card's own socket, and is judged there.
            if x.feed.input.between is None:
                yield _coded(x, rule)._replace(at=x.at)
            continue
        for e in grants(x.feed.plug, x.feed.mated, x.feed.input.socket, x.flow, rule):
            yield e._replace(at=x.at)


def _coded(x: Onward, rule: str) -> Element:
    """What a card's 16-pin socket is granted, by the nearest on the way that says a code: an
    adapter, an extension, or the cable; those in between hand it on."""
    socket, at = x.feed.input.socket, x
    while True:
        thing, plug = at.between.of, at.feed.plug
        if isinstance(thing, Adapter):
            return adapter_grant(plug, thing, at.leads, socket.version, x.flow)
        if plug.sense is None:
            plug = at.by.plug
        if plug.sense is not None or at.before is None:
            return next(grants(plug, x.feed.mated, socket, x.flow, rule))
        at = at.before


def plug_pins_of(onwards: tuple[Onward, ...], assume: Assumptions) -> Iterator[Element]:
    """Pins of the plugs beyond."""
    for x in onwards:
        f = x.feed
        for e in plug_pins(f.plug, f.mated, f.pins, x.between, x.flow, assume):
            yield e._replace(at=x.at)


def lead_pins_of(
    assume: Assumptions, run: CarriedRun, onwards: tuple[Onward, ...]
) -> Iterator[Element]:
    """Pins of the leads that a run goes into."""
    for by, lead_of, flow in _leads(run, onwards):
        socket = by.input.socket
        for e in lead_pins(socket, by.pins, lead_of, flow, assume):
            yield e._replace(at=Place(socket.key, lead_of.key))


def wires_of(
    assume: Assumptions, at_once: int | None, onwards: tuple[Onward, ...]
) -> Iterator[Element]:
    """Wires of the leads that a run goes into, stretch by stretch."""
    for s in lead_stretches(onwards, at_once):
        for e in wires(s.between, s.from_mm, s.to_mm, s.flow, assume):
            yield e._replace(at=s.at)


class LeadStretch(NamedTuple):
    """A length of a lead of something in between [mm from the plug that is in it], with what flows
    in it; `base_mm` is how far from the supply the lead begins."""

    between: Between
    lead: str
    base_mm: float
    from_mm: float
    to_mm: float
    flow: Flow

    @property
    def at(self) -> Place:
        """Where the lead is."""
        return Place(self.lead, self.between.key)


def lead_stretches(onwards: tuple[Onward, ...], at_once: int | None) -> Iterator[LeadStretch]:
    """The leads on the way of a run, stretch by stretch; those of a backplane have no length."""
    for onward in _by_lead(onwards).values():
        yield from _stretches(onward, at_once)


def _by_lead(onwards: tuple[Onward, ...]) -> dict[tuple[int, str], list[Onward]]:
    """What is fed by each lead that has wires, by what it comes after and the lead."""
    by_lead: dict[tuple[int, str], list[Onward]] = {}
    for x in onwards:
        if not x.between.is_backplane:
            by_lead.setdefault((id(x.before), f"{x.between.key}/{x.lead}"), []).append(x)
    return by_lead


def _stretches(onwards: list[Onward], at_once: int | None) -> Iterator[LeadStretch]:
    """One lead, stretch by stretch: each carries all that is fed beyond it."""
    ends = sorted({x.feed.plug.mm for x in onwards})
    first = onwards[0]
    base = first.mm - first.feed.plug.mm
    for start, end in zip([0.0, *ends], ends, strict=False):
        beyond = [x.flow.share(x.share) for x in onwards if x.feed.plug.mm >= end]
        flow = together(beyond, at_once)
        yield LeadStretch(first.between, first.lead, base, start, end, flow)


def _leads(run: CarriedRun, onwards: tuple[Onward, ...]) -> Iterator[tuple[Feed, Between, Flow]]:
    """Each lead on the way of a run, with what it carries."""
    for live in run.lives:
        if live.feed.input.between is not None:
            yield live.feed, live.feed.input.between, live.flow
    for x in onwards:
        if x.feed.input.between is not None:
            yield x.feed, x.feed.input.between, x.flow


# -- volts lost --------------------------------------------------------------------------------

#: Volts lost by line up to behind a plug; None where a figure is missing.
Lost = dict[Line, Series | None]


def drops_of(
    assume: Assumptions,
    at_once: int | None,
    onwards: tuple[Onward, ...],
    roots: dict[str, Lost],
    missing: bool,
) -> Iterator[Element]:
    """Volts lost at each plug beyond, out and back: up to the plug in the lead (`roots`, by plug of
    the cable), on the lead's wire by all that flows there, and in the plug's own contacts. They
    are no better known than every current on the way: `missing` tells that of the cable."""
    by_lead = {key: list(_stretches(onward, at_once)) for key, onward in _by_lead(onwards).items()}
    lost: dict[int, Lost] = {}
    for x in onwards:
        before = roots[x.by.plug.key] if x.before is None else lost[id(x.before)]
        wire = by_lead.get((id(x.before), f"{x.between.key}/{x.lead}"), [])
        here = {
            line: _lost_at(x, before.get(line), wire, assume, line) for line, _, _ in x.flow.lines()
        }
        lost[id(x)] = here
        back = here.get(GROUND)
        for line, _, _ in x.flow.lines():
            if line == "ground":
                continue
            out = here[line]
            both = add(out, back) if out is not None and back is not None else None
            unknown = missing or GROUND in x.flow.missing
            yield drop(x.feed.plug, line, both, unknown)._replace(at=x.at)


def _lost_at(
    x: Onward, lost: Series | None, wire: list[LeadStretch], assume: Assumptions, line: Line
) -> Series | None:
    """Volts [V] lost on one line up to behind a plug's own contacts, of those lost up to its lead;
    None where a figure is missing."""
    for s in wire:
        if s.to_mm <= x.feed.plug.mm:
            ohm = wire_ohm(s.between, s.to_mm - s.from_mm, line)
            lost = lost_more(lost, s.flow.of(line), ohm)
    return lost_more(lost, x.flow.of(line), contacts_ohm(x.feed.pins.get(line, 0), assume))


# -- what is never allowed ---------------------------------------------------------------------


def forbidden_of(never: tuple[str, ...], unsaid: tuple[str, ...]) -> Iterator[Element]:
    """Ways of feeding that are never allowed, and those that may be such."""
    for reason in never:
        yield forbidden(reason)
    for reason in unsaid:
        yield forbidden(reason, known=False)
