"""What plugs go into, as the solver sees it: classes of inputs that are alike in every figure."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import NamedTuple

from ...base.units import RAIL_V, Line
from ...standards.connectors import Half, SocketKind, SocketVersion
from ...things.cables import Plug
from ...things.parts import Socket
from ...wiring import Between
from ...wiring.never import Path
from .draws import NOTHING, Draw, Four

#: A device whose cables the group rule looks at: part, instance, and which way of the board's.
Device = tuple[str, int, str]
#: What lies on from an input that is an end.
_END = (Path("", (), ()),)


@dataclass(frozen=True, slots=True, eq=False)
class Beyond:
    """A plug (or bay) of something in between, and what it feeds; `share` of that comes by each
    lead, of which `leads` are plugged in."""

    of: Between
    plug: Plug
    half: Half
    target: Target
    mated: SocketKind
    pins: Mapping[str, int]
    share: float
    leads: int

    @property
    def is_bay(self) -> bool:
        """Whether it has no wire of ours."""
        return self.of.is_backplane


@dataclass(frozen=True, slots=True, eq=False)
class Target:
    """Inputs that are alike: `refs` in the order of the file, none of a lead, which stands for the
    leads of whichever adapter takes its part. `pins_12v` is how many 12 V pins have to be wired
    both sides, where loads are shared by them."""

    id: int
    kind: SocketKind
    version: SocketVersion
    socket: Socket
    draw: Draw
    refs: tuple[str, ...]
    #: Whether it is left where not everything can be fed, by itself and not by the scenario.
    needed: bool
    devices: tuple[Device, ...]
    #: Whether its devices are named, since they have several inputs.
    named: bool
    #: Devices that are fed by it, and named by nothing.
    unnamed: int
    placed: bool
    way_mm: float | None
    drive: bool = False
    #: Where the drives behind it lie, one for each.
    places: tuple[str, ...] = ()
    #: A card fed here runs above its maker's power limit.
    raised: bool = False
    pins_12v: int | None = None
    #: What it is a lead or an input of, and what stands beyond it.
    of: Between | None = None
    beyond: tuple[Beyond, ...] = ()
    #: Which of several of its make a lead is of; those of one number are of one thing, of its own
    #: where no other is made like it.
    pool: int | None = None
    #: The ways from it on, by kinds: what may never be connected is told by where they end.
    paths: tuple[Path, ...] = _END
    #: Volts lost behind it, by rail and state as a share of what may be, at the worst of its ends.
    inner: Mapping[Line, Four] = field(default_factory=dict)
    #: Elements that nobody can judge, because nobody says whether an adapter is moulded.
    unsaid: int = 0

    @property
    def is_lead(self) -> bool:
        """Whether it is a lead or an input of something in between."""
        return self.of is not None


def heavier(a: Target, b: Target) -> bool:
    """Whether what feeds one had better be nearer to the supply than what feeds another like it:
    it draws at least as much on every rail and in every state, and more in one; of two that draw
    the same the class that stands first. Nothing is said where the other loses more volts behind
    itself, or has other pins."""
    if a.draw.missing or b.draw.missing or not _loses_no_less(a, b):
        return False
    if (a.kind, a.socket.pins_12v, a.pins_12v) != (b.kind, b.socket.pins_12v, b.pins_12v):
        return False
    one, two = _flat(a.draw), _flat(b.draw)
    if one == two:
        return a.id < b.id
    return all(one.get(k, 0.0) >= x for k, x in two.items())


def _loses_no_less(a: Target, b: Target) -> bool:
    return all(
        x <= y
        for rail, losses in b.inner.items()
        for x, y in zip(losses, a.inner.get(rail, NOTHING), strict=True)
    )


def _flat(draw: Draw) -> dict[str, float]:
    lines = draw.lines(None)
    return {f"{r}{i}": x for r in RAIL_V if r in lines for i, x in enumerate(lines[r]) if x}


class Led(NamedTuple):
    """Leads of one way that are alike, the pins included that are wired in them: by their keys."""

    target: Target
    leads: tuple[str, ...]


@dataclass(frozen=True, slots=True, eq=False)
class Way:
    """One way of using something in between: the leads in use, and the class at each of its plugs.
    `pool` are those of its make that are alike; `things` how many of each pool it takes, with those
    that it feeds."""

    id: int
    pool: int
    leads: tuple[Led, ...]
    feeds: tuple[tuple[Plug, Half, Target], ...]
    extension: bool
    things: Mapping[int, int]

    @property
    def beyond(self) -> tuple[Beyond, ...]:
        """What its plugs feed."""
        return self.leads[0].target.beyond

    @property
    def hanging(self) -> int:
        """Leads that hang; of an extension, which has one, none."""
        first = self.leads[0].target.of
        return (
            0 if first is None else len(first.sockets) - sum(len(led.leads) for led in self.leads)
        )
