"""Columns: every way of using one make of cable in one kind of ports that is within its rating."""

from __future__ import annotations

from collections import Counter
from collections.abc import Collection, Iterator, Mapping
from dataclasses import dataclass, field, replace
from itertools import combinations, islice, product

from ...base.rounding import up
from ...ratings.limits import port_shares
from ...standards.connectors import CONNECTORS, PINS, PLUGS, Half, SocketKind, is_of
from ...things.cables import Cable, Plug, Run, SocketRef
from ...things.fits import best_half, fit
from ...things.same import nameless
from ...things.supply import Port, port_takes
from ...wiring.never import breaches
from ...wiring.wired import pins_wired
from .draws import START, Draw, Four
from .held import alone, judge, paths, ports_held
from .sums import Sum, Use, Why
from .targets import Beyond, Device, Target, heavier
from .world import World

#: Shares up to this many percents count as this: margin that nobody needs.
ENOUGH_PERCENT = 60
#: Columns of one make of cable that are looked at: of those that go straight into sockets, and of
#: those that go through something in between; and where a quick look is asked for. Beyond it
#: nothing is proven.
MOST_COLUMNS, MOST_THROUGH, MOST_QUICK = 30_000, 3_000, 300
#: Ways of using a cable of which something stays.
MOST_KEPT = 600


@dataclass(frozen=True, slots=True)
class Relaxed:
    """Limits that are left out, to find out which of them forbid a map."""

    rule: str | None = None
    reach: bool = False
    ratings: bool = False


@dataclass(frozen=True, slots=True, eq=False)
class CableClass:
    """Cables that are alike, in the order of the file."""

    id: int
    cable: Cable
    keys: tuple[str, ...]


@dataclass(frozen=True, slots=True, eq=False)
class PortClass:
    """Ports that are alike, in panel order."""

    id: int
    port: Port
    keys: tuple[str, ...]


@dataclass(frozen=True, slots=True, eq=False)
class Column:
    """One way of using a cable, and what it counts towards each goal."""

    cable: CableClass
    ports: tuple[PortClass, ...]
    uses: tuple[tuple[str, Half, Target], ...]
    covers: Mapping[int, int]
    percent: int
    unknown: int
    last_mm: int
    start_tenths: int
    chained: bool
    #: Whether it feeds graphics, and where the drives lie that it feeds.
    graphics: bool
    places: tuple[str, ...]
    fewer: int
    #: Plugs that hang beside those in use; spare plugs of a drive lead do so anyway.
    hanging: int
    groups: tuple[str, ...]
    #: Amperes at 12 V of each group that it is in: without surges, and of each surge, with the
    #: watts by which those that start together are chosen.
    amps: Mapping[str, tuple[Four, tuple[tuple[float, float], ...]]]
    #: A run that is as it is, by its cable, with the number of connections that stay.
    keep: str = ""
    kept: int = 0
    fixed_ports: tuple[str, ...] = ()
    fixed: tuple[tuple[str, Half, str], ...] = ()

    @property
    def moves(self) -> int:
        """Plugs, and port ends of a cable of which no plug stays, that are not where they are."""
        return len(self.uses) - self.kept if self.kept else len(self.uses) + len(self.ports)


def cable_classes(world: World) -> list[CableClass]:
    """The cables that may be used with the supply, by what they are made like."""
    supply = world.build.supply
    alike_cables: dict[str, list[Cable]] = {}
    for cable in world.build.cables:
        if supply is None or cable.family != supply.family:
            continue
        plugs = tuple(
            p.model_copy(update={"key": str(i), "matings": 0}) for i, p in enumerate(cable.plugs)
        )
        alike = nameless(cable, plugs=plugs)
        alike_cables.setdefault(alike.model_dump_json(), []).append(cable)
    return [
        CableClass(i, cables[0], tuple(c.key for c in cables))
        for i, cables in enumerate(alike_cables.values())
    ]


def port_classes(world: World) -> list[PortClass]:
    """The supply's ports, by kind, pins and group, each in panel order."""
    alike_ports: dict[object, list[Port]] = {}
    for p in sorted(world.wired.ports.values(), key=lambda p: (p.row, p.column, p.key)):
        alike_ports.setdefault((p.kind, p.circuits, p.pins_12v, p.group), []).append(p)
    return [
        PortClass(i, ports[0], tuple(p.key for p in ports))
        for i, ports in enumerate(alike_ports.values())
    ]


@dataclass
class Columns:
    """Makes the columns of a world."""

    world: World
    classes: list[CableClass]
    relaxed: Relaxed = field(default_factory=Relaxed)
    quick: bool = False
    every: bool = True
    #: What was found of ways of using cables that are alike, and of one plug of theirs alone.
    _seen: dict[object, tuple[Sum, Draw] | None] = field(default_factory=dict)
    _alone: dict[object, Sum] = field(default_factory=dict)

    def __post_init__(self) -> None:
        self._alike = {k: c.id for c in self.classes for k in c.keys}
        build = self.world.build
        free: frozenset[Why] = frozenset({"rating"} if self.relaxed.ratings else ())
        self.sum = Sum(build.assumptions, build.spin_up_at_once, free, build.house_rules.plug_grant)

    def of(self, cable: CableClass, ports: list[PortClass]) -> list[Column]:
        """The columns of one make of cable."""
        best: dict[object, list[Column]] = {}
        places = list(_places(cable.cable, ports))
        if not places:
            return []
        for uses in self._looked_at(cable.cable):
            judged = self._judged(cable.cable, uses)
            if judged is None:
                continue
            for place in places:
                column = self._column(cable, place, uses, *judged)
                if column is not None:
                    _keep_best(best, column)
        return [c for columns in best.values() for c in columns]

    def kept(
        self, run: Run, cable: CableClass, ports: list[PortClass], whole: bool
    ) -> list[Column]:
        """The columns in which a run stays as it is, or (not `whole`) something of it; its other
        plugs may be used."""
        own = self.world.wired.cables[run.cable]
        by_key = {k: c for c in ports for k in c.keys}
        place = tuple(by_key[k] for k in run.ports if k in by_key)
        if len(place) != len(run.ports):
            return []
        fixed: dict[str, list[tuple[Half, str]]] = {}
        for c in run.connections:
            fixed.setdefault(c.plug, []).append((c.half, str(c.socket)))
        best: dict[object, list[Column]] = {}
        ways = self._with_fixed(own, fixed) if whole else self._near(own, fixed)
        for uses in ways:
            stay = tuple(
                (c.plug, c.half, ref)
                for c in run.connections
                if (ref := str(c.socket))
                and any(
                    (u.plug.key, u.half) == (c.plug, c.half) and self._is_at(u.target, ref)
                    for u in uses
                )
            )
            judged = self._judged_once(cable, own, uses) if stay or whole else None
            column = judged and self._column(cable, place, uses, *judged)
            if column:
                kept = _with(
                    column, keep=run.cable, kept=len(stay), fixed_ports=run.ports, fixed=stay
                )
                _keep_best(best, kept)
        return [c for columns in best.values() for c in columns]

    def _judged_once(
        self, alike: CableClass, own: Cable, uses: tuple[Use, ...]
    ) -> tuple[Sum, Draw] | None:
        """What is found of a way of using a cable: of those alike once."""
        at = {p.key: i for i, p in enumerate(own.plugs)}
        key = alike.id, tuple((at[u.plug.key], u.half, u.target.id) for u in uses)
        if key not in self._seen:
            self._seen[key] = self._judged(own, uses)
        return self._seen[key]

    # -- sequences ---------------------------------------------------------------------------

    def _looked_at(self, cable: Cable) -> Iterator[tuple[Use, ...]]:
        """Sequences up to what may be looked at, those without anything in between first."""
        options = [self._options(cable, p) for p in cable.plugs]
        plain = [[o for o in option if not _through(o)] for option in options]
        yield from self._first(self._walked(cable, plain), MOST_COLUMNS)
        if plain != options:
            through = (uses for uses in self._walked(cable, options) if _through(uses))
            yield from self._first(through, MOST_QUICK if self.quick else MOST_THROUGH)

    def _first(self, several: Iterator[tuple[Use, ...]], most: int) -> Iterator[tuple[Use, ...]]:
        yield from islice(several, most)
        if next(several, None) is not None:
            self.every = False

    def _walked(
        self, cable: Cable, options: list[list[tuple[Use, ...]]], ordered: bool = True
    ) -> Iterator[tuple[Use, ...]]:
        """What its plugs may feed, nearest first; `ordered`: not what another order beats."""
        # With routes a nearer plug may not reach where a farther one does.
        ordered = ordered and not any(t.placed for t in self.world.targets)
        return _walk(cable.plugs, options, ordered, (), Counter(), self._limits())

    def _with_fixed(
        self, cable: Cable, fixed: Mapping[str, list[tuple[Half, str]]]
    ) -> Iterator[tuple[Use, ...]]:
        """The same of a cable of which some plugs stay where they are."""
        options: list[list[tuple[Use, ...]]] = [
            [*self._held(cable, p, fixed[p.key]), None]  # type: ignore[list-item]
            if p.key in fixed
            else self._options(cable, p)
            for p in cable.plugs
        ]
        return self._walked(cable, options, ordered=not fixed)

    def _near(
        self, cable: Cable, fixed: Mapping[str, list[tuple[Half, str]]]
    ) -> Iterator[tuple[Use, ...]]:
        """Ways of using a cable of which something may stay where it is, those first of which the
        fewest plugs go elsewhere."""
        hangs: list[tuple[Use, ...]] = [()]
        held = [
            [*self._held(cable, p, fixed[p.key]), *hangs] if p.key in fixed else hangs
            for p in cable.plugs
        ]
        others = [
            [
                o
                for o in self._options(cable, p)
                if o not in stays and not (self.quick and _through(o))
            ]
            for p, stays in zip(cable.plugs, held, strict=True)
        ]
        most = self._limits()

        def every() -> Iterator[tuple[Use, ...]]:
            plugs = range(len(cable.plugs))
            for n in range(len(cable.plugs) + 1):
                for moved in combinations(plugs, n):
                    for choice in product(*(others[i] if i in moved else held[i] for i in plugs)):
                        uses = tuple(u for of_plug in choice for u in of_plug)
                        counts = Counter(_counts_as(u.target) for u in uses)
                        if uses and all(k <= most[t] for t, k in counts.items()):
                            yield uses

        return self._first(every(), MOST_QUICK if self.quick else MOST_KEPT)

    def _limits(self) -> dict[int, int]:
        """How often a cable may feed a class, by its number; and a pool, by -1 and less: of things
        with several leads a cable feeds one."""
        pools, betweens = self.world.pools, self.world.wired.betweens
        most = {t.id: len(t.refs) for t in self.world.targets if t.refs}
        for n, pool in enumerate(pools):
            most[-1 - n] = 1 if len(betweens[pool[0]].sockets) > 1 else len(pool)
        return most

    def _options(self, cable: Cable, plug: Plug) -> list[tuple[Use, ...]]:
        allows = self.world.wired.eps4_in_eps8
        options: list[tuple[Use, ...]] = []
        for t in self.world.targets:
            half = best_half(plug.kind, t.kind, allows)
            answer = fit(plug.kind, half, t.kind, allows)
            if answer.fits and answer.mated is not None:
                use = self._use(cable, plug, half, t, answer.mated)
                fits = t.pins_12v is None or t.pins_12v == use.pins["v12"]
                if fits and not (use.alone and use.alone.over) and not breaches(paths((use,))):
                    options.append((use,))
        return options

    def _held(self, cable: Cable, plug: Plug, to: list[tuple[Half, str]]) -> list[tuple[Use, ...]]:
        """What a plug that stays is in."""
        allows = self.world.wired.eps4_in_eps8
        choices: list[list[Use]] = []
        for half, ref in to:
            uses = []
            for t in self.world.targets:
                own = self._is_at(t, ref)
                answer = fit(plug.kind, half, t.kind, allows)
                if own and answer.fits and answer.mated is not None:
                    use = self._use(cable, plug, half, t, answer.mated)
                    if t.pins_12v is None or t.pins_12v == use.pins["v12"]:
                        uses.append(use)
            choices.append(uses)
        return [tuple(c) for c in product(*choices)]

    def _is_at(self, t: Target, ref: str) -> bool:
        """Whether a class of inputs has this one."""
        return ref in t.refs or (not t.refs and self._is_lead(t, SocketRef.read(ref).part, ref))

    def _is_lead(self, t: Target, device: str, ref: str) -> bool:
        """Whether a class of leads has this one, or one like it of the same thing."""
        lead = self.world.wired.inputs[ref].socket
        plain = {"key": "k"}
        return (
            t.pool is not None
            and device in self.world.pools[t.pool]
            and t.socket.model_copy(update=plain) == lead.model_copy(update=plain)
        )

    def _use(self, cable: Cable, plug: Plug, half: Half, t: Target, mated: SocketKind) -> Use:
        use = Use(plug, half, t, mated, pins_wired(mated, plug, t.socket))
        key = self._alike[cable.key], _spec(plug), half, t.id
        if key not in self._alone:
            self._alone[key] = alone(self.sum.fresh(), cable, use)
        return replace(use, alone=self._alone[key])

    # -- judging -------------------------------------------------------------------------------

    def _judged(self, cable: Cable, uses: tuple[Use, ...]) -> tuple[Sum, Draw] | None:
        build = self.world.build
        rule = self.relaxed.rule or build.house_rules.chained_graphics
        sum_ = self.sum.fresh()
        routed = build.case is not None and not self.relaxed.reach
        whole = judge(sum_, cable, uses, rule, routed)
        return None if sum_.over else (sum_, whole)

    def _column(
        self,
        cable: CableClass,
        place: tuple[PortClass, ...],
        uses: tuple[Use, ...],
        sum_: Sum,
        whole: Draw,
    ) -> Column | None:
        a_cable = cable.cable
        ports = tuple(p.port for p in place)
        here = self.sum.fresh()
        here.share, here.unknown = sum_.share, sum_.unknown
        ports_held(here, a_cable, ports, whole)
        if here.over:
            return None
        starts = 0
        if any(u.target.drive for u in uses):
            flow = self.sum.loads(whole).get("v12")
            starts = up((flow[START] if flow else 0.0) * 10) or 0
        covers = Counter(u.target.id for u in uses)
        graphics = {u.plug.key for u in uses if is_of(u.target.kind, "graphics")}
        return Column(
            cable=cable,
            ports=place,
            uses=tuple((u.plug.key, u.half, u.target) for u in uses),
            covers=dict(covers),
            percent=max(ENOUGH_PERCENT, up(here.share * 100) or 0),
            unknown=here.unknown,
            last_mm=round(max(u.plug.mm for u in uses)),
            start_tenths=starts,
            chained=len(graphics) > 1,
            graphics=bool(graphics),
            places=tuple(p for u in uses for p in u.target.places),
            fewer=sum(has_fewer(u) for u in uses),
            hanging=_hanging(a_cable, {u.plug.key for u in uses}),
            groups=tuple(dict.fromkeys(p.group for p in ports if p.group is not None)),
            amps=_amps(ports, whole),
        )


def has_fewer(u: Use | Beyond) -> bool:
    """Whether a plug has fewer pins than its socket."""
    usual = u.target.socket.pins_12v or PINS[u.mated]["v12"]
    return CONNECTORS[u.mated].circuits < CONNECTORS[u.target.kind].circuits or u.pins["v12"] < min(
        usual, PINS[u.mated]["v12"]
    )


def _hanging(cable: Cable, used: Collection[str]) -> int:
    """Plugs of a cable that hang beside those that are used; spare plugs of drives' kinds apart."""
    return sum(p.key not in used and not is_of(PLUGS[p.kind].whole, "drive") for p in cable.plugs)


def _amps(
    ports: tuple[Port, ...], whole: Draw
) -> dict[str, tuple[Four, tuple[tuple[float, float], ...]]]:
    amps: dict[str, tuple[Four, tuple[tuple[float, float], ...]]] = {}
    for port, share in zip(ports, port_shares(ports), strict=True):
        if port.group is None:
            continue
        part = whole.share(share)
        base = part.base.get("v12", (0.0, 0.0, 0.0, 0.0))
        surges = tuple((s.watts, s.amps.get("v12", 0.0)) for s in part.surges)
        old = amps.get(port.group)
        if old is not None:
            a, b = old[0], base
            base = (a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3])
            surges = (*old[1], *surges)
        amps[port.group] = (base, surges)
    return amps


def _places(cable: Cable, ports: list[PortClass]) -> Iterator[tuple[PortClass, ...]]:
    """Kinds of ports that its supply end goes into."""
    seen: set[object] = set()
    takes = [[p for p in ports if port_takes(p.port.kind, need)] for need in cable.needs]
    for place in product(*takes):
        used = Counter(p.id for p in place)
        alike = tuple(sorted(zip(cable.needs, (p.id for p in place), strict=True)))
        if alike not in seen and all(n <= len(ports[i].keys) for i, n in used.items()):
            seen.add(alike)
            yield place


def _walk(
    plugs: tuple[Plug, ...],
    options: list[list[tuple[Use, ...]]],
    ordered: bool,
    done: tuple[tuple[Use, ...] | None, ...],
    used: Counter[int],
    most: Mapping[int, int],
) -> Iterator[tuple[Use, ...]]:
    at = len(done)
    if at == len(plugs):
        uses = tuple(u for d in done if d for u in d)
        if uses:
            yield uses
        return
    mine = options[at]
    held = mine[-1:] == [None]
    choices: list[tuple[Use, ...] | None] = list(mine[:-1]) if held else [None, *mine]
    for choice in choices:
        if choice is not None:
            if ordered and _beaten(plugs, options, done, choice):
                continue
            more = Counter(_counts_as(u.target) for u in choice)
            if any(used[k] + n > most[k] for k, n in more.items()):
                continue
            yield from _walk(plugs, options, ordered, (*done, choice), used + more, most)
        else:
            yield from _walk(plugs, options, ordered, (*done, None), used, most)


def _through(uses: tuple[Use, ...]) -> bool:
    """Whether one of some uses is a lead of something in between."""
    return any(u.target.pool is not None for u in uses)


def _counts_as(t: Target) -> int:
    return t.id if t.pool is None else -1 - t.pool


def _beaten(
    plugs: tuple[Plug, ...],
    options: list[list[tuple[Use, ...]]],
    done: tuple[tuple[Use, ...] | None, ...],
    choice: tuple[Use, ...],
) -> bool:
    """Whether what a plug is to feed had better be fed by a plug like it, nearer to the supply."""
    own = plugs[len(done)]
    for near, there in zip(plugs, done, strict=False):
        if _spec(near) != _spec(own):
            continue
        if there is None or heavier(choice[0].target, there[0].target):
            return True
    return False


def _spec(plug: Plug) -> tuple[object, ...]:
    """All of a plug but where it hangs."""
    return plug.kind, plug.grade, plug.pins_12v, plug.contact_a, plug.sense


def _keep_best(best: dict[object, list[Column]], c: Column) -> None:
    """Of the columns that use, cover and occupy the same, those that no other beats."""
    key = (
        tuple(p.id for p in c.ports),
        tuple(sorted(c.covers.items())),
        c.chained,
        c.fewer,
        c.start_tenths,
        c.fixed,
    )
    there = best.setdefault(key, [])
    if any(_no_worse(o, c) for o in there):
        return
    there[:] = [o for o in there if not _no_worse(c, o)] + [c]


def _no_worse(a: Column, b: Column) -> bool:
    return (
        a.percent <= b.percent
        and a.unknown <= b.unknown
        and a.hanging <= b.hanging
        and a.last_mm <= b.last_mm
    )


def _with(c: Column, **more: object) -> Column:
    fields = {name: getattr(c, name) for name in Column.__dataclass_fields__}
    return Column(**(fields | more))


def devices_of(c: Column) -> tuple[Device, ...]:
    """Named devices that a column feeds."""
    return tuple(dict.fromkeys(d for _, _, t in c.uses for d in t.devices if t.named))
