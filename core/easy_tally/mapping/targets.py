"""What plugs go into, as the solver sees it: classes of inputs that are alike in every figure."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..standards.connectors import Half, SocketKind, SocketVersion
from ..things.cables import Plug
from ..things.parts import Socket
from ..wiring import Between
from .draws import Draw

#: A device whose cables the group rule looks at: part, instance, and which way of the board's.
Device = tuple[str, int, str]


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
    needed: bool
    devices: tuple[Device, ...]
    #: Whether its devices are named, since they have several inputs.
    named: bool
    placed: bool
    way_mm: float | None
    slack_mm: float
    drive: bool = False
    #: A card fed here runs above its maker's power limit.
    raised: bool = False
    pins_12v: int | None = None
    #: What it is a lead or an input of, and what stands beyond it.
    of: Between | None = None
    beyond: tuple[Beyond, ...] = ()
    graphics_lead: bool = False
    #: Elements that nobody can judge, because nobody says whether an adapter is moulded.
    unsaid: int = 0

    @property
    def is_lead(self) -> bool:
        """Whether it is a lead or an input of something in between."""
        return self.of is not None


@dataclass(frozen=True, slots=True, eq=False)
class Way:
    """One way of using something in between: `lead` is the class of its leads in use, `leads` how
    many, `feeds` the class at each of its plugs. `pool` are those of its make that are alike."""

    id: int
    pool: int
    lead: Target
    leads: int
    feeds: tuple[tuple[Plug, Half, Target], ...]
    extension: bool
