"""Every way of using what stands in between: which of its leads, with how many pins, and what each
plug feeds; one after another too."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator
from dataclasses import dataclass, field
from itertools import count, product

from ...base.units import Line
from ...standards.connectors import PLUGS, Half, SocketKind, is_of
from ...things.adapters import Extension
from ...things.cables import Plug
from ...things.fits import best_half, fit
from ...things.parts import Socket
from ...things.same import nameless
from ...wiring import Between, Wired
from ...wiring.never import Path, Step, breaches, may_be_moulded, never
from ...wiring.wired import pins_wired
from .draws import Four, together
from .scenarios import pins_by_plugs
from .targets import Beyond, Led, Target, Way, heavier
from .volts import inner_of

#: Ways that are looked at: beyond it nothing is decided.
MOST_WAYS = 3_000
#: Choices of one thing's plugs that are looked at.
_MOST_CHOICES = 60_000

Feeds = tuple[tuple[Plug, Half, Target], ...]


def pools(wired: Wired, keep: frozenset[str], apart: frozenset[str]) -> tuple[tuple[str, ...], ...]:
    """Things in between that are alike, by their keys; not those never to be used. Alone stand
    those kept or told `apart`, and those of several leads: two leads of one thing share no cable,
    and which of several a lead is of is then known. An adapter for graphics shares with nothing."""
    alike_betweens: dict[object, list[str]] = {}
    for b in wired.betweens.values():
        if b.is_backplane or never(b):
            continue
        spec = nameless(b.of, connections=())
        graphics = any(is_of(PLUGS[p.kind].whole, "graphics") for p in b.plugs)
        alone = b.key in keep | apart or (len(b.sockets) > 1 and not graphics)
        alike = (type(b.of).__name__, spec.model_dump_json(), b.key if alone else "")
        alike_betweens.setdefault(alike, []).append(b.key)
    return tuple(tuple(keys) for keys in alike_betweens.values())


@dataclass
class Ways:
    """Makes the ways of a world, those that feed sockets first, then those that feed leads."""

    wired: Wired
    targets: list[Target]
    pools: tuple[tuple[str, ...], ...]
    keep: frozenset[str]
    ids: count[int]
    complete: bool = True
    made: list[Way] = field(default_factory=list)
    #: Class of leads → the way that they are of, and how many of them it takes.
    _leads_of: dict[int, tuple[Way, int]] = field(default_factory=dict)

    def all(self) -> tuple[tuple[Way, ...], bool]:
        """Every way, and whether these are all."""
        last = list(self.targets)
        things = sum(map(len, self.pools))
        for _ in range(things):
            new = [w for n in range(len(self.pools)) for w in self._of(n, last)]
            if not new or not self.complete:
                break
            last = [led.target for w in new for led in w.leads]
        return tuple(self.made), self.complete

    def _of(self, pool: int, last: list[Target]) -> list[Way]:
        """Ways of one pool of which one plug at least feeds one of the `last` that were made."""
        b = self.wired.betweens[self.pools[pool][0]]
        new = {t.id for t in last}
        full = len(self.pools[pool])
        leads = [led.target for w in self.made if w.things.get(pool, 0) < full for led in w.leads]
        options = [self._options(b, p, [*self.targets, *leads]) for p in b.plugs]
        ways: list[Way] = []
        seen: set[object] = set()
        specs = {p.key: _spec(p) for p in b.plugs}
        for n, feeds in enumerate(_choices(b, options, self._ordered(b), b.key in self.keep)):
            if n > _MOST_CHOICES or len(self.made) > MOST_WAYS:
                self.complete = False
                break
            alike = tuple(sorted((specs[p.key], h, t.id) for p, h, t in feeds))
            if alike in seen or not any(t.id in new for _, _, t in feeds):
                continue
            seen.add(alike)
            things = self._things(pool, feeds)
            if things is None:
                continue
            for in_use in self._leads(b):
                way = self._way(b, pool, feeds, in_use, things)
                if way is not None:
                    ways.append(way)
                    self.made.append(way)
                    for led in way.leads:
                        self._leads_of[led.target.id] = way, len(led.leads)
        return ways

    def _ordered(self, b: Between) -> bool:
        """Whether a nearer plug does whatever a farther one like it does: not with routes."""
        return b.key not in self.keep and not any(t.placed for t in self.targets)

    def _options(self, b: Between, plug: Plug, to: list[Target]) -> list[tuple[Half, Target]]:
        kept = {c.plug: c for c in b.connections}.get(plug.key) if b.key in self.keep else None
        if b.key in self.keep and kept is None:
            return []
        options: list[tuple[Half, Target]] = []
        easy = self.wired.eps4_in_eps8
        for t in to:
            half = best_half(plug.kind, t.kind, easy)
            if kept is not None:
                ref = str(kept.socket)
                there = ref in t.refs or (t.of is not None and t.of.key == kept.socket.part)
                if not there:
                    continue
                half = kept.half
            answer = fit(plug.kind, half, t.kind, easy)
            if answer.fits and answer.mated and _pins_agree(answer.mated, plug, t):
                options.append((half, t))
        return options

    def _things(self, pool: int, feeds: Feeds) -> Counter[int] | None:
        """How many of each pool a way takes; None where it takes more than there are."""
        things = Counter({pool: 1})
        fed = Counter(t.id for _, _, t in feeds)
        for t in {t.id: t for _, _, t in feeds}.values():
            if t.id not in self._leads_of:
                if fed[t.id] > len(t.refs):
                    return None
                continue
            way, each = self._leads_of[t.id]
            for k, m in way.things.items():
                things[k] += m * -(-fed[t.id] // each)
        if any(n > len(self.pools[k]) for k, n in things.items()):
            return None
        return things

    def _leads(self, b: Between) -> Iterator[tuple[tuple[Socket, int | None], ...]]:
        """Which leads are plugged in, with how many 12 V pins; of leads alike the first ones."""
        options: list[list[int | None]] = []
        for into in self.wired.leads_of(b):
            pins = pins_by_plugs(self.wired, into)
            options.append([None, *([pins[0]] if pins and len(b.sockets) == 1 else pins)])
        seen: set[object] = set()
        for choice in product(*options):
            used = tuple((s, n) for s, n in zip(b.sockets, choice, strict=True) if n is not None)
            alike = tuple(sorted((_spec_of(s), n) for s, n in used))
            if used and alike not in seen:
                seen.add(alike)
                yield used

    def _way(
        self,
        b: Between,
        pool: int,
        feeds: Feeds,
        in_use: tuple[tuple[Socket, int | None], ...],
        things: Counter[int],
    ) -> Way | None:
        whole = sum(n or 0 for _, n in in_use)
        classes: dict[tuple[str, int | None], list[Socket]] = {}
        for s, n in in_use:
            classes.setdefault((_spec_of(s), n), []).append(s)
        led = []
        for (_, n), alike in classes.items():
            share = (n or 0) / whole if whole else 1 / len(in_use)
            target = self._lead(b, pool, feeds, alike[0], n, share, len(in_use))
            if any(breaches([Path("", (alike[0].kind, *p.kinds), p.steps)]) for p in target.paths):
                return None
            led.append(Led(target, tuple(s.key for s in alike)))
        return Way(next(self.ids), pool, tuple(led), feeds, isinstance(b.of, Extension), things)

    def _lead(
        self,
        b: Between,
        pool: int,
        feeds: Feeds,
        lead: Socket,
        pins: int | None,
        share: float,
        leads: int,
    ) -> Target:
        beyond = []
        for plug, half, t in feeds:
            mated = fit(plug.kind, half, t.kind, True).mated or t.kind
            wired = pins_wired(mated, plug, t.socket)
            beyond.append(Beyond(b, plug, half, t, mated, wired, share, leads))
        devices = tuple(dict.fromkeys(d for _, _, t in feeds for d in t.devices))
        return Target(
            id=next(self.ids),
            kind=lead.kind,
            version=lead.version,
            socket=lead,
            refs=(),
            needed=False,
            draw=together([t.draw for _, _, t in feeds]).share(share),
            devices=devices,
            named=leads > 1 or any(t.named for _, _, t in feeds),
            unnamed=sum(t.unnamed for _, _, t in feeds),
            placed=False,
            way_mm=None,
            drive=any(t.drive for _, _, t in feeds),
            places=tuple(p for _, _, t in feeds for p in t.places),
            raised=any(t.raised for _, _, t in feeds),
            pins_12v=pins if leads > 1 else None,
            of=b,
            beyond=tuple(beyond),
            inner=self._inner(tuple(beyond)),
            pool=pool,
            paths=tuple(_paths(b, lead, beyond)),
            unsaid=int(may_be_moulded(b)) + sum(t.unsaid for _, _, t in feeds),
        )

    def _inner(self, beyond: tuple[Beyond, ...]) -> dict[Line, Four]:
        build = self.wired.build
        return inner_of(build.assumptions, build.spin_up_at_once, beyond)


def _paths(b: Between, lead: Socket, beyond: list[Beyond]) -> Iterator[Path]:
    """The ways on from a lead. Each use of something alike is another thing: told by its number."""
    step = Step(b, lead.key, b.key)
    for i, x in enumerate(beyond):
        for p in x.target.paths:
            steps = tuple(s._replace(one=f"{s.one} {i}", lead=f"{s.lead} {i}") for s in p.steps)
            yield Path("", (x.mated, *p.kinds), (step, *steps))


def _choices(
    b: Between, options: list[list[tuple[Half, Target]]], ordered: bool, held: bool
) -> Iterator[Feeds]:
    """What the plugs feed, nearest first; `ordered`: not what another order of like plugs beats;
    `held`: each feeds what it may."""
    plugs = sorted(zip(b.plugs, options, strict=True), key=lambda x: x[0].mm)
    kinds = {p.key: _spec(p.model_copy(update={"at_mm": 1.0})) for p in b.plugs}

    def walk(at: int, done: Feeds, parked: frozenset[str]) -> Iterator[Feeds]:
        if at == len(plugs):
            if done:
                yield done
            return
        plug, mine = plugs[at]
        kind = kinds[plug.key]
        for half, t in () if ordered and kind in parked else mine:
            like = (x for p, _, x in done if kinds[p.key] == kind)
            if not (ordered and any(t.id != x.id and heavier(t, x) for x in like)):
                yield from walk(at + 1, (*done, (plug, half, t)), parked)
        if not (held and mine):
            yield from walk(at + 1, done, parked | {kind})

    yield from walk(0, (), frozenset())


def _spec(plug: Plug) -> str:
    return plug.model_copy(update={"key": "k", "matings": 0}).model_dump_json()


def _spec_of(lead: Socket) -> str:
    return lead.model_copy(update={"key": "k"}).model_dump_json()


def _pins_agree(mated: SocketKind, plug: Plug, t: Target) -> bool:
    return t.pins_12v is None or pins_wired(mated, plug, t.socket)["v12"] == t.pins_12v
