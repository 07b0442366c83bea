"""From counts of columns to cables, ports and sockets: what stands already stays where the map
has it alike, the rest by panel order and the order of the file."""

from __future__ import annotations

from collections.abc import Iterable

from ..things.cables import Connection, Run, SocketRef
from .model.columns import Column
from .model.targets import Target, Way
from .model.world import World

Connections = dict[str, tuple[Connection, ...]]


class Laying:
    """Gives each column its own cable, ports and inputs."""

    def __init__(self, world: World, columns: Iterable[tuple[Column, int]], ways: dict[int, int]):
        self.world = world
        self.todo = [c for c, n in columns for _ in range(n)]
        self.ways = ways
        self.free: dict[int, list[str]] = {t.id: list(t.refs) for t in world.targets}
        self.ports: dict[int, list[str]] = {}
        self.cables: dict[int, list[str]] = {}
        for c in self.todo:
            self.cables.setdefault(c.cable.id, list(c.cable.keys))
            for p in c.ports:
                self.ports.setdefault(p.id, list(p.keys))
        self.now = {r.cable: r for r in world.build.runs}
        self.between: Connections = {k: () for pool in world.pools for k in pool}
        self.runs: list[Run] = []

    def lay(self) -> tuple[tuple[Run, ...], Connections]:
        """The runs in the order of the cables, and what things in between are plugged into."""
        kept = [c for c in self.todo if c.keep]
        for c in kept:  # what stays takes its own first
            self.cables[c.cable.id].remove(c.keep)
            for p, key in zip(c.ports, c.fixed_ports, strict=True):
                self._claim_port(p.id, key)
            for _, _, ref in c.fixed:
                self._claim(ref)
        self._ways()
        for c in kept:
            self._run(c, c.keep, c.fixed_ports)
        rest = [c for c in self.todo if not c.keep]
        for exact in (True, False):
            rest = [c for c in rest if not self._as_it_is(c, exact)]
        for c in sorted(rest, key=self._order):
            cable = self.cables[c.cable.id].pop(0)
            self._run(c, cable, tuple(self.ports[p.id].pop(0) for p in c.ports))
        order = {c.key: i for i, c in enumerate(self.world.build.cables)}
        return tuple(sorted(self.runs, key=lambda r: order[r.cable])), self.between

    def _order(self, c: Column) -> tuple[int, int, int]:
        panel = [k for p in self.world.wired.free_ports() for k in (p.key,)]
        first = min((panel.index(p.keys[0]) for p in c.ports if p.keys[0] in panel), default=-1)
        return first, c.cable.id, -len(c.uses)

    def _claim(self, ref: str) -> None:
        for refs in self.free.values():
            if ref in refs:
                refs.remove(ref)

    def _claim_port(self, port_class: int, key: str) -> None:
        if key in self.ports[port_class]:
            self.ports[port_class].remove(key)

    def _as_it_is(self, c: Column, exact: bool) -> bool:
        """Lay a column where a run like it stands already; `exact`: with the same inputs."""
        for key in list(self.cables[c.cable.id]):
            run = self.now.get(key)
            if run is None or len(run.ports) != len(c.ports):
                continue
            left = [list(self.ports[p.id]) for p in c.ports]
            if not all(k in there for k, there in zip(run.ports, left, strict=True)):
                continue
            if exact and not self._same(c, run):
                continue
            self.cables[c.cable.id].remove(key)
            for p, k in zip(c.ports, run.ports, strict=True):
                self._claim_port(p.id, k)
            self._run(c, key, run.ports)
            return True
        return False

    def _same(self, c: Column, run: Run) -> bool:
        now = {(x.plug, x.half): str(x.socket) for x in run.connections}
        plugs = self._plugs(c, run.cable)
        return len(now) == len(c.uses) and all(
            now.get((plugs[p], half), "") in self.free.get(t.id, []) for p, half, t in c.uses
        )

    def _plugs(self, c: Column, cable: str) -> dict[str, str]:
        """Plugs of the class's first cable → those of another that is made alike."""
        own, mine = c.cable.cable.plugs, self.world.wired.cables[cable].plugs
        if c.keep:
            return {p.key: p.key for p in mine}
        return {a.key: b.key for a, b in zip(own, mine, strict=True)}

    def _run(self, c: Column, cable: str, ports: tuple[str, ...]) -> None:
        plugs = self._plugs(c, cable)
        run = self.now.get(cable)
        now = {(x.plug, x.half): str(x.socket) for x in run.connections} if run else {}
        fixed = {(p, h): ref for p, h, ref in c.fixed}
        connections = []
        for plug, half, t in c.uses:
            at = (plugs[plug], half)
            ref = fixed.get(at) or self._input(t, now.get(at, ""))
            connections.append(Connection(plug=at[0], half=half, socket=SocketRef.read(ref)))
        order = {p.key: i for i, p in enumerate(self.world.wired.cables[cable].plugs)}
        connections.sort(key=lambda x: (order[x.plug], x.half))
        self.runs.append(
            Run(
                cable=cable,
                ports=ports,
                connections=tuple(connections),
                pinned=bool(run and run.pinned),
            )
        )

    def _input(self, t: Target, liked: str) -> str:
        there = self.free[t.id]
        ref = liked if liked in there else there[0]
        there.remove(ref)
        return ref

    def _ways(self) -> None:
        """Give each way in use a thing of its own, and its leads to those who feed them; those that
        feed sockets before those that feed leads."""
        left = {n: list(pool) for n, pool in enumerate(self.world.pools)}
        taken = {ref for c in self.todo for _, _, ref in c.fixed}
        for way in self.world.ways:
            for _ in range(self.ways.get(way.id, 0)):
                key = self._liked(left[way.pool], way)
                left[way.pool].remove(key)
                self._lay_way(way, key, taken)

    def _lay_way(self, way: Way, key: str, taken: set[str]) -> None:
        own = self.world.wired.betweens[key]
        first = self.world.wired.betweens[self.world.pools[way.pool][0]]
        plugs = {a.key: b.key for a, b in zip(first.plugs, own.plugs, strict=True)}
        leads = {a.key: b.key for a, b in zip(first.sockets, own.sockets, strict=True)}
        now = {c.plug: str(c.socket) for c in own.connections}
        fed = {
            plugs[p.key]: (half, self._input(t, now.get(plugs[p.key], "")))
            for p, half, t in way.feeds
        }
        self.between[key] = tuple(
            Connection(plug=p.key, half=fed[p.key][0], socket=SocketRef.read(fed[p.key][1]))
            for p in own.plugs
            if p.key in fed
        )
        for led in way.leads:
            keys = (f"{key}#1/{leads[k]}" for k in led.leads)
            free = self.free.setdefault(led.target.id, [])
            free += [k for k in keys if k not in taken]

    def _liked(self, keys: list[str], way: Way) -> str:
        """Of things that are alike the one that feeds such a target now, else the first."""
        refs = {r for _, _, t in way.feeds for r in t.refs}
        for key in keys:
            if any(str(c.socket) in refs for c in self.world.wired.betweens[key].connections):
                return key
        return keys[0]
