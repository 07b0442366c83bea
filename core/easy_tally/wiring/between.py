"""What stands between a cable and a socket, in one shape: leads that plugs go into, and plugs (or
bays) that some of them feed. Adapters, extensions and backplanes are all such.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from ..base.memory import Memory
from ..standards.connectors import PLUGS, SocketKind
from ..standards.contacts import Gauge
from ..things.adapters import Adapter, Backplane, Extension
from ..things.build import Build
from ..things.cables import Connection, Plug, RailPins
from ..things.parts import Socket

#: What the lead and the plug of an extension are called.
LEAD, PLUG = "in", "out"
#: A bay lies behind a board of its own: there is no wire of ours, and no way to measure [mm].
_AT_BAY_MM = 1.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Between:
    """A thing between cable and socket. `fed_by` names the leads that feed each of its plugs;
    `conductors` are those of one lead, None where they are not known or it has no wires."""

    key: str
    name: str
    of: Adapter | Extension | Backplane
    sockets: tuple[Socket, ...]
    plugs: tuple[Plug, ...]
    fed_by: Mapping[str, tuple[str, ...]]
    gauge: Gauge | None
    conductors: RailPins | None
    insulation_degc: float | None
    connections: tuple[Connection, ...]

    @property
    def count(self) -> int:
        """There is one of it."""
        return 1

    @property
    def is_backplane(self) -> bool:
        """Whether drives stand in it."""
        return isinstance(self.of, Backplane)


def betweens(build: Build, memory: Memory) -> Iterator[Between]:
    """Everything of a build that stands between a cable and a socket."""
    several: tuple[Adapter | Extension | Backplane, ...]
    several = (*build.adapters, *build.extensions, *build.backplanes)
    for thing in several:
        yield memory.of(between_of, (thing,))


def between_of(thing: Adapter | Extension | Backplane) -> Between:
    """One thing in between."""
    match thing:
        case Adapter():
            return _adapter(thing)
        case Extension():
            return _extension(thing)
        case Backplane():
            return _backplane(thing)


def _adapter(adapter: Adapter) -> Between:
    leads = tuple(lead.key for lead in adapter.leads)
    return Between(
        key=adapter.key,
        name=adapter.name,
        of=adapter,
        sockets=tuple(_socket(x.key, x.kind, x.pins_12v) for x in adapter.leads),
        plugs=adapter.plugs,
        fed_by={p.key: leads for p in adapter.plugs},
        gauge=adapter.gauge,
        conductors=_known(adapter.conductors),
        insulation_degc=adapter.insulation_degc,
        connections=adapter.connections,
    )


def _extension(extension: Extension) -> Between:
    kind = PLUGS[extension.kind].whole
    plug = Plug(key=PLUG, kind=extension.kind, at_mm=extension.length_mm, grade="standard")
    return Between(
        key=extension.key,
        name=extension.name,
        of=extension,
        sockets=(_socket(LEAD, kind),),
        plugs=(plug,),
        fed_by={PLUG: (LEAD,)},
        gauge=extension.gauge,
        conductors=_known(extension.conductors),
        insulation_degc=extension.insulation_degc,
        connections=extension.connections,
    )


def _backplane(backplane: Backplane) -> Between:
    bays = {bay: (i.key,) for i in backplane.inputs for bay in i.bays}
    return Between(
        key=backplane.key,
        name=backplane.name,
        of=backplane,
        sockets=tuple(_socket(i.key, i.kind) for i in backplane.inputs),
        plugs=tuple(Plug(key=bay, kind="sata", at_mm=_AT_BAY_MM) for bay in bays),
        fed_by=bays,
        gauge=None,
        conductors=None,
        insulation_degc=None,
        connections=backplane.connections,
    )


def _known(pins: RailPins) -> RailPins | None:
    """Conductors, or None where nobody says any."""
    return None if pins == RailPins() else pins


def _socket(key: str, kind: SocketKind, pins_12v: int | None = None) -> Socket:
    return Socket(key=key, kind=kind, required=False, pins_12v=pins_12v)
