"""Joints: each end of each run, with what to look at before it is called made."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from ..analysis import Analysis
from ..standards.connectors import CONNECTORS, PLUGS, is_coded, is_of
from ..supplies.case.fit import room_of
from ..things.supply import PORT_WORDS, Port
from ..wiring import Feed, Wired, WiredRun

JointKind = Literal["port", "plug"]
#: Times that a 16-pin plug may be mated, and from when it is told. Source: PCI Express CEM 5.x; the
#: warning is an assumption.
MOST_MATINGS, WARN_MATINGS = 30, 25


@dataclass(frozen=True, slots=True, kw_only=True)
class Look:
    """One thing to look at: a stable id, and what to see."""

    id: str
    text: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Joint:
    """One end of a run in its port or its socket. `key` stays the same while the two ends do:
    what is done is found by it, whatever else the map changes."""

    key: str
    kind: JointKind
    cable: str
    name: str
    port: str
    plug: str
    face: str
    latch: bool
    socket: str
    where: str
    looks: tuple[Look, ...]
    matings: int | None = None


def port_joint(wired: Wired, run: WiredRun) -> Joint:
    """The supply end of a modular cable, in all its ports."""
    cable = run.cable
    labels = " and ".join(p.label for p in run.ports)
    kinds = " and ".join(dict.fromkeys(PORT_WORDS[p.kind] for p in run.ports))
    looks = [
        Look(id="place", text=f"It is in {labels}, marked {kinds}: count the ports on the panel."),
        Look(id="end", text="It is the supply’s end of the cable, not the end for the part."),
        Look(id="clicked", text="It clicked, and its latch is over the edge."),
        Look(id="pull", text="It stays when you pull gently at the plug, not at the wires."),
    ]
    if {p.kind for p in run.ports} & {"processor", "graphics", "processor-graphics"}:
        looks.insert(2, Look(id="like", text=_alike(run)))
    return Joint(
        key=f"{cable.key}>{'+'.join(p.key for p in run.ports)}",
        kind="port",
        cable=cable.key,
        name=cable.name,
        port=labels,
        plug="",
        face="",
        latch=True,
        socket="",
        where=f"port {labels}",
        looks=tuple(looks),
    )


def _alike(run: WiredRun) -> str:
    if any(is_of(PLUGS[f.plug.kind].whole, "processor") for f in run.feeds):
        return "Its other end is the processor’s 4+4 plug: a card’s 6+2 cable looks alike here."
    return "Its other end is for the card: a processor’s cable looks alike here."


def plug_joint(a: Analysis, feed: Feed) -> Joint:
    """A plug of a cable, or of something in between, in what it feeds."""
    wired, plug = a.wired, feed.plug
    half = "" if feed.half == "whole" else f"/{feed.half}"
    ports = next((r.ports for r in wired.runs if r.cable is feed.cable), ())
    key = f"{feed.cable.key}/{plug.key}{half}>{feed.input.ref}"
    where = wired.words(feed.input.ref)
    if feed.input.between is not None:
        where = f"{feed.input.between.name}, lead {feed.input.socket.key}"
    shape = CONNECTORS[feed.mated]
    return Joint(
        key=key,
        kind="plug",
        cable=feed.cable.key,
        name=feed.cable.name,
        port=_labels(ports),
        plug=plug.key,
        face=feed.mated,
        latch=shape.latch,
        socket=feed.input.ref,
        where=where,
        looks=tuple(_looks(a, feed)),
        matings=plug.matings if is_coded(feed.mated) else None,
    )


def _labels(ports: tuple[Port, ...]) -> str:
    return " and ".join(p.label for p in ports)


def _looks(a: Analysis, feed: Feed) -> Iterator[Look]:
    connector, plug = CONNECTORS[feed.mated], feed.plug
    own = dict(connector.looks)
    if "like" in own:
        yield Look(id="like", text=own.pop("like"))
    if PLUGS[plug.kind].marked is not None:
        yield Look(id="half", text=_half(feed))
    for name, text in own.items():
        yield Look(id=name, text=text)
    if connector.pushed_home:
        yield Look(id="home", text="It is pushed home as far as it goes, and straight.")
    else:
        yield Look(id="clicked", text="It clicked, and its latch is over the edge.")
        yield Look(id="gap", text="There is no gap anywhere between plug and socket.")
    if connector.coded:
        mm = room_of(a.wired, plug.straight_mm).straight_mm
        yield Look(id="straight", text=f"Its cable runs straight for {mm:.0f} mm before any bend.")
    yield Look(id="pull", text="It stays when you pull gently at the plug, not at the wires.")


def _half(feed: Feed) -> str:
    shape = PLUGS[feed.plug.kind]
    whole = CONNECTORS[shape.whole].words
    if feed.half == "whole":
        return f"Both parts of the plug are joined, flush, for the {whole} socket."
    if feed.half == "loose":
        return "It is the second part of the plug; the first is in its own socket."
    part = CONNECTORS[shape.marked].words if shape.marked else whole
    return f"Only the marked part of the plug, {part}, is in; the rest hangs free of every socket."
