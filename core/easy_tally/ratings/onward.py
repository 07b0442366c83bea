"""What limits a run beyond its own plugs: adapters, extensions, backplanes, lead by lead."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import NamedTuple

from ..base.series import Series, add, scale
from ..base.units import GROUND, Line
from ..tally.demand import Carried
from ..things.adapters import Adapter
from ..things.assumptions import Assumptions
from ..wiring import Between, Feed, Wired, never_allowed, nobody_says
from .elements import (
    Element,
    adapter_grant,
    drop,
    forbidden,
    grants,
    lead_pins,
    path_mohm,
    plug_pins,
    wires,
)
from .flows import CarriedRun, Flow, input_flow, together


@dataclass(frozen=True, slots=True, kw_only=True)
class Onward:
    """A plug of something in between, on the way of a run: `by` the feed into the lead by which the
    run comes, `flow` all that the plug carries, `share` of it by this lead, `mm` its distance from
    the supply along the whole way."""

    by: Feed
    between: Between
    lead: str
    feed: Feed
    flow: Flow
    share: float
    mm: float

    @property
    def at(self) -> str:
        """How it is called where an element says where it is."""
        return f"{self.between.key}/{self.feed.plug.key}"


def onwards(wired: Wired, run: CarriedRun, carried: Carried) -> Iterator[Onward]:
    """Every plug of what stands in between on the way of a run."""
    at_once = wired.build.spin_up_at_once
    for live in run.lives:
        yield from _beyond(wired, carried, live.feed, live.feed.plug.at_mm, at_once)


def _beyond(
    wired: Wired, carried: Carried, feed: Feed, mm: float, at_once: int | None
) -> Iterator[Onward]:
    between = feed.input.between
    if between is None:
        return
    lead = feed.input.socket.key
    for onward in wired.onward(feed.input):
        far = mm + (0.0 if between.is_backplane else onward.plug.at_mm)
        yield Onward(
            by=feed, between=between, lead=lead, feed=onward, mm=far,
            flow=input_flow(wired, carried, onward.input, at_once),
            share=wired.lead_share(onward, lead),
        )  # fmt: skip
        yield from _beyond(wired, carried, onward, far, at_once)


def grants_of(wired: Wired, found: tuple[Onward, ...]) -> Iterator[Element]:
    """What the standard grants the sockets beyond, and what an adapter is coded for."""
    for x in found:
        of = x.between.of
        if isinstance(of, Adapter) and x.feed.mated == "16pin":
            leads = len(wired.leads_in_use(x.between, x.feed.plug.key))
            version = x.feed.input.socket.version
            yield adapter_grant(x.feed.plug, of, leads, version, x.flow)._replace(at=x.at)
            continue
        plug = x.feed.plug
        if x.feed.mated == "16pin" and plug.sense is None:  # an extension leads its cable's code on
            plug = plug.model_copy(update={"sense": _code_of(x)})
        for e in grants(plug, x.feed.mated, x.feed.input.socket, x.flow):
            yield e._replace(at=x.at)


def _code_of(x: Onward) -> object:
    return x.by.plug.sense


def plug_pins_of(found: tuple[Onward, ...], assume: Assumptions) -> Iterator[Element]:
    """Pins of the plugs beyond."""
    for x in found:
        f = x.feed
        for e in plug_pins(f.plug, f.mated, f.pins, x.between, x.flow, assume):
            yield e._replace(at=x.at)


def lead_pins_of(wired: Wired, run: CarriedRun, found: tuple[Onward, ...]) -> Iterator[Element]:
    """Pins of the leads that a run goes into."""
    assume = wired.build.assumptions
    for by, of, flow in _leads(run, found):
        socket = by.input.socket
        for e in lead_pins(socket, by.pins, of, flow, assume):
            yield e._replace(at=f"{of.key}/{socket.key}")


def wires_of(wired: Wired, found: tuple[Onward, ...]) -> Iterator[Element]:
    """Wires of the leads that a run goes into, stretch by stretch."""
    assume, at_once = wired.build.assumptions, wired.build.spin_up_at_once
    for s in lead_stretches(found, at_once):
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
    def at(self) -> str:
        """How the lead is called where an element says where it is."""
        return f"{self.between.key}/{self.lead}"


def lead_stretches(found: tuple[Onward, ...], at_once: int | None) -> Iterator[LeadStretch]:
    """The leads on the way of a run, stretch by stretch; those of a backplane have no length."""
    by_lead: dict[tuple[str, str], list[Onward]] = {}
    for x in found:
        if not x.between.is_backplane:
            by_lead.setdefault((x.between.key, x.lead), []).append(x)
    for (_, lead), of in by_lead.items():
        ends = sorted({x.feed.plug.at_mm for x in of})
        base = of[0].mm - of[0].feed.plug.at_mm
        for start, end in zip([0.0, *ends], ends, strict=False):
            beyond = [x.flow.share(x.share) for x in of if x.feed.plug.at_mm >= end]
            yield LeadStretch(of[0].between, lead, base, start, end, together(beyond, at_once))


def _leads(run: CarriedRun, found: tuple[Onward, ...]) -> Iterator[tuple[Feed, Between, Flow]]:
    """Each lead on the way of a run, with what it carries."""
    for live in run.lives:
        if live.feed.input.between is not None:
            yield live.feed, live.feed.input.between, live.flow
    for x in found:
        if x.feed.input.between is not None:
            yield x.feed, x.feed.input.between, x.flow


# -- volts lost --------------------------------------------------------------------------------

#: Volts lost by line up to behind a plug; None where a figure is missing.
Lost = dict[Line, Series | None]


def drops_of(wired: Wired, found: tuple[Onward, ...], roots: dict[str, Lost]) -> Iterator[Element]:
    """Volts lost at each plug beyond: what is lost up to the plug in the lead (`roots`, by plug of
    the cable), then on the lead's wire and in the plug's own contacts, out and back."""
    mohm = wired.build.assumptions.contact_mohm
    lost: dict[tuple[str, str, str], Lost] = {}
    for x in found:
        before = _before(x, roots, lost)
        here: Lost = {}
        for line, _, _ in x.flow.lines():
            wire = 0.0 if x.between.is_backplane else path_mohm(
                x.between, x.feed.plug.at_mm, line
            )  # fmt: skip
            pins, start = x.feed.pins.get(line, 0), before.get(line)
            if wire is None or not pins or start is None:
                here[line] = None
                continue
            along = scale(x.flow.of(line), x.share * wire / 1000)
            here[line] = add(add(start, along), scale(x.flow.of(line), mohm / pins / 1000))
        lost[x.between.key, x.lead, x.feed.plug.key] = here
        back = here.get(GROUND)
        for line, _, missing in x.flow.lines():
            if line == "ground":
                continue
            out = here.get(line)
            both = add(out, back) if out is not None and back is not None else None
            yield drop(x.feed.plug, line, both, missing)._replace(at=x.at)


def _before(x: Onward, roots: dict[str, Lost], lost: dict[tuple[str, str, str], Lost]) -> Lost:
    if not isinstance(x.by.cable, Between):
        return roots.get(x.by.plug.key, {})
    several = (v for (key, _, plug), v in lost.items()
               if key == x.by.cable.key and plug == x.by.plug.key)  # fmt: skip
    return next(several, {})


# -- what is never allowed ---------------------------------------------------------------------


def forbidden_of(wired: Wired, run: CarriedRun) -> Iterator[Element]:
    """Ways of feeding that are never allowed, and those that may be such."""
    for reason in never_allowed(wired, run.wired):
        yield forbidden(reason)
    for reason in nobody_says(wired, run.wired):
        yield forbidden(reason, known=False)
