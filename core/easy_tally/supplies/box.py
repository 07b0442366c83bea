"""Ports and cables in the box against the sockets of a build: counted, kind by kind.

A count, and no map: enough of each kind is needed, and not all that is needed. The mapping
solver's proof takes its place.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from ..base.memory import NO_MEMORY, Memory
from ..standards.connectors import CONNECTORS, PlugKind, PortKind, SocketKind
from ..things.adapters import Adapter
from ..things.cables import Cable
from ..things.fits import goes_into
from ..things.supply import Supply
from ..wiring import Input


def _leads_counted() -> Iterator[tuple[str, frozenset[SocketKind]]]:
    every = CONNECTORS.values()
    for lead in dict.fromkeys(c.lead for c in every):
        yield lead, frozenset(c.kind for c in every if c.lead == lead)
        yield from (
            (c.narrow_lead, frozenset({c.kind})) for c in every if c.lead == lead and c.narrow_lead
        )


#: What is counted as one kind of lead, and the sockets that it is counted for. The wider kind
#: first: what is short of it is not told again of the narrower.
LEADS = tuple(_leads_counted())


@dataclass(frozen=True, slots=True, kw_only=True)
class LeadCount:
    """Leads of one kind: how many sockets need one, how many can be plugged in at once."""

    kind: str
    needed: int
    there: int

    @property
    def short(self) -> int:
        """How many are short."""
        return max(0, self.needed - self.there)


def leads(
    supply: Supply,
    cables: tuple[Cable, ...],
    needed: Iterable[Input],
    adapters: Iterable[Adapter] = (),
    *,
    one_each: bool,
    eps4_in_eps8: bool = False,
    memory: Memory = NO_MEMORY,
) -> tuple[tuple[LeadCount, ...], tuple[Adapter, ...]]:
    """Count leads of each kind that something needs. `one_each`: of a graphics cable one plug
    counts (the house rule *never*). Cables of another pinout family count for nothing. Where leads
    are short a socket that an adapter has a plug for asks for the adapter's own inputs instead:
    those that help are told too."""
    kinds, rules = [i.socket.kind for i in needed], (one_each, eps4_in_eps8)
    counts = _counted(supply, cables, kinds, rules, memory)
    helpful: list[Adapter] = []
    for adapter in adapters:
        through = _through(adapter, kinds, {c.kind for c in counts if c.short})
        then = _counted(supply, cables, through, rules, memory)
        if sum(c.short for c in then) < sum(c.short for c in counts):
            kinds, counts = through, then
            helpful.append(adapter)
    return counts, tuple(helpful)


def _counted(
    supply: Supply,
    cables: tuple[Cable, ...],
    kinds: Iterable[SocketKind],
    rules: tuple[bool, bool],
    memory: Memory,
) -> tuple[LeadCount, ...]:
    return memory.of(_leads, (supply, *cables), (frozenset(Counter(kinds).items()), *rules))


def _through(adapter: Adapter, kinds: list[SocketKind], short: set[str]) -> list[SocketKind]:
    """Sockets that ask for leads, those that an adapter feeds replaced by its own inputs."""
    of_short = {k for lead, of_lead in LEADS if lead in short for k in of_lead}
    left = list(kinds)
    for plug in adapter.plugs:
        fed = next((k for k in left if k in of_short and goes_into(plug.kind, k, False)), None)
        if fed is not None:
            left.remove(fed)
    return left if len(left) == len(kinds) else [*left, *(lead.kind for lead in adapter.leads)]


def _leads(
    sockets: frozenset[tuple[SocketKind, int]],
    one_each: bool,
    eps4_in_eps8: bool,
    supply: Supply,
    *cables: Cable,
) -> tuple[LeadCount, ...]:
    own = [c for c in cables if c.family == supply.family]
    lead_counts = []
    for kind, lead_kinds in LEADS:
        asked = {k: n for k, n in sockets if k in lead_kinds}
        if not asked:
            continue
        gains = _gains(own, frozenset(asked), eps4_in_eps8)
        if one_each and all(CONNECTORS[k].chains for k in lead_kinds):
            gains = {key: min(n, 1) for key, n in gains.items()}
        useful = [c for c in own if gains[c.key]]
        lead_counts.append(
            LeadCount(kind=kind, needed=sum(asked.values()), there=_most(supply, useful, gains))
        )
    return tuple(lead_counts)


def _gains(cables: list[Cable], kinds: frozenset[SocketKind], eps4_in_eps8: bool) -> dict[str, int]:
    """How many sockets of some kinds each cable feeds, by its key; a 4+4-pin plug may go into two
    of 4 pins."""
    plugs = {p.kind for c in cables for p in c.plugs}
    each = {k: _sockets_of(k, kinds, eps4_in_eps8) for k in plugs}
    return {c.key: sum([each[p.kind] for p in c.plugs]) for c in cables}


def _sockets_of(plug: PlugKind, kinds: frozenset[SocketKind], eps4_in_eps8: bool) -> int:
    fits = [k for k in kinds if goes_into(plug, k, eps4_in_eps8)]
    return 2 if plug == "eps4+4" and fits == ["eps4"] else bool(fits)


def _most(supply: Supply, cables: list[Cable], gains: dict[str, int]) -> int:
    """The most plugs that some cables give with the ports that there are, the cables with the most
    plugs first."""
    free: Counter[PortKind] = Counter(p.kind for p in supply.ports)
    total = 0
    for cable in sorted(cables, key=lambda c: (-gains[c.key], len(c.needs), c.key)):
        left = _with_it(free, cable.needs)
        if left is not None:
            free = left
            total += gains[cable.key]
    return total


def _with_it(free: Counter[PortKind], needs: tuple[PortKind, ...]) -> Counter[PortKind] | None:
    """The ports left with a cable in them, its own kind before a shared one; None where it does
    not go in."""
    left = free.copy()
    for need in needs:
        ports: tuple[PortKind, ...] = (need,)
        if need in ("processor", "graphics"):
            ports = (need, "processor-graphics")
        port = next((p for p in ports if left[p] > 0), None)
        if port is None:
            return None
        left[port] -= 1
    return left
