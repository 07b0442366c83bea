"""Supplies that a build may take, with the cables that come with each, and which do best."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Literal, NamedTuple

from ..things.cables import Cable
from ..things.supply import Supply
from .asked import Asked
from .compare import Candidate, Offered, compare

Source = Literal["owned", "catalogue", "looked at"]
_NOT = ("too small", "does not fit")
_ORDER: dict[Source, int] = {"owned": 0, "catalogue": 1, "looked at": 2}


class Kit(NamedTuple):
    """A supply and its cables, by its slug; `builds`: keys of those that it is in."""

    slug: str
    source: Source
    supply: Supply
    cables: tuple[Cable, ...]
    builds: tuple[str, ...] = ()
    condition: str = ""
    lies: str = ""
    #: In the builder's currency; None: not known, or one's own.
    price: float | None = None


def ranked(kits: Iterable[Kit], asked: Asked) -> list[Candidate[Kit]]:
    """Kits judged for a build: those that do before those that do not, of each what one owns before
    the catalogue, that before what one is looking at."""
    offered = (Offered(k, k.supply, k.cables, new=k.source != "owned") for k in kits)
    candidates = compare(offered, asked)
    return sorted(candidates, key=lambda c: (c.result.verdict in _NOT, _ORDER[c.of.source]))
