"""Every map of a small build, one after another: what the solver's answers are held against."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import product
from typing import Any, cast

from easy_tally.advice.goals import map_goals
from easy_tally.analysis.facts import Analysis
from easy_tally.mapping import Fact, Mapping, goals_of, moved
from easy_tally.ratings import RunResult, check_runs
from easy_tally.standards.connectors import PLUGS
from easy_tally.tally.demand import Carried, demands
from easy_tally.tally.loads import loads
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Connection, Plug, Run
from easy_tally.things.fits import fit
from easy_tally.things.supply import port_takes
from easy_tally.wiring import Input, Wired

Goals = tuple[int, ...]
#: What a plug is in: which half of it, and the input.
_Into = tuple[str, Input]


class TooMany(Exception):
    """More maps than are looked at."""


@dataclass(frozen=True)
class Asked:
    """What has to hold of a map: how many maps are looked at, how many needed inputs may be left,
    which of them and which limits do not count."""

    most: int = 4000
    left: int = 0
    needless: frozenset[str] = frozenset()
    without: frozenset[str] = frozenset()
    #: Cables and ports that are alike are told apart.
    apart: bool = False


@dataclass(frozen=True)
class Laid:
    """A map with what the checker and the goals say of it."""

    build: Build
    wired: Wired
    carried: Carried
    runs: tuple[RunResult, ...]

    @property
    def needed(self) -> frozenset[str]:
        """Inputs that have to be fed."""
        return self.wired.needed | self.carried.only_ways

    @property
    def unfed(self) -> frozenset[str]:
        """Those of them that are not."""
        return self.needed - self.wired.live


def best(b: Build, most: int = 4000) -> Goals | None:
    """The least goals of any legal whole map, in their order; None where there is none."""
    found = [_goals(x) for x in legal(b, Asked(most=most))]
    return min(found, default=None)


def values(found: Mapping | None) -> Goals | None:
    """What a map that the solver found comes to in the same goals."""
    return None if found is None else tuple(g.value for g in found.goals if g.id != "moves")


def fewest_moves(b: Build, most: int = 4000) -> int:
    """The fewest plugs and port ends that move, of the maps that are best in all else. Raises
    TooMany."""
    every = [(_goals(x), moved(b, x.build.runs)) for x in legal(b, Asked(most=most, apart=True))]
    return min(every)[1]


def best_part(b: Build, most: int = 4000) -> Goals:
    """The same of the maps that leave as few needed inputs as may be; how many comes first."""
    for left in range(len(Wired(b).inputs) + 1):
        found = [(len(x.unfed), *_goals(x)) for x in legal(b, Asked(most=most, left=left))]
        if found:
            return min(found)
    raise AssertionError("nothing at all plugged in is a map")


def any_map(b: Build, asked: Asked) -> bool:
    """Whether there is a map."""
    return next(legal(b, asked), None) is not None


def _goals(x: Laid) -> Goals:
    goals = map_goals(cast(Analysis, x))
    return tuple(goals[g.id] for g in goals_of(x.build.house_rules) if g.id != "unfed")


def legal(b: Build, asked: Asked) -> Iterator[Laid]:
    """Every map that holds. Raises TooMany."""
    must = Wired(b).needed - asked.needless
    for n, laid in enumerate(every_map(b, must, asked.left, asked.apart)):
        if n >= asked.most:
            raise TooMany
        x = _look(laid)
        if any(_over(r, asked.without) for r in x.runs):
            continue
        if len(x.unfed - asked.needless) <= asked.left:
            yield x


def _look(build: Build) -> Laid:
    wired = Wired(build)
    carried = demands(wired, loads(wired))
    return Laid(build, wired, carried, check_runs(wired, carried, {}))


_OF = {"reach": ("reach",), "rule": ("house rule",), "group": ("group",), "never": ("forbidden",)}


def _over(r: RunResult, without: frozenset[str]) -> bool:
    """Whether something of a run is over that counts."""
    for e in r.elements:
        if e.judged.verdict == "over":
            of = next((k for k, kinds in _OF.items() if e.kind in kinds), "ratings")
            if of not in without:
                return True
    return False


# -- every way of plugging -----------------------------------------------------------------------


class _Ends:
    """The plugs of a build in their order, what each may be in, and what is kept."""

    def __init__(self, b: Build, must: frozenset[str], left: int, apart: bool) -> None:
        self.b, self.wired, self.must, self.left = b, Wired(b), must, left
        self.apart = apart
        #: Ways that are begun at the most.
        self.steps = 25_000
        self.inputs = list(self.wired.inputs.values())
        carriers = [*self.wired.cables.values(), *self.wired.betweens.values()]
        self.ends: list[tuple[str, Plug]] = [(c.key, p) for c in carriers for p in c.plugs]
        self.kept = {
            (r.cable, c.plug): (c.half, self.wired.inputs[str(c.socket)])
            for r in b.runs
            if r.pinned
            for c in r.connections
        }
        self.fixed = {i.part.key for _, i in self.kept.values() if i.between is not None}
        for t in (*b.adapters, *b.extensions):
            if t.key in self.fixed:
                self.kept |= {
                    (t.key, c.plug): (c.half, self.wired.inputs[str(c.socket)])
                    for c in t.connections
                }
        pinned = {r.cable for r in b.runs if r.pinned}
        self.alike: dict[str, str] = {}
        for c in b.cables:
            spec = _spec(c)
            self.alike[c.key] = c.key if c.key in pinned or apart else spec

    def options(self, key: str, plug: Plug, used: set[str]) -> Iterator[_Into]:
        """What a plug may be in."""
        halves = ["whole", "marked"] if PLUGS[plug.kind].marked else ["whole"]
        easy = self.wired.eps4_in_eps8
        for i in self.inputs:
            if i.ref in used or (i.between is not None and i.between.key == key):
                continue
            for half in halves:
                if fit(plug.kind, half, i.socket.kind, easy).fits:  # type: ignore[arg-type]
                    yield half, i
                    break


_Done = dict[tuple[str, str], _Into]


def every_map(
    b: Build, must: frozenset[str] = frozenset(), left: int = 99, apart: bool = False
) -> Iterator[Build]:
    """Every way of plugging in which at most `left` of what `must` be fed is not, each cable alike
    in others' places once, where they are not told `apart`; plugs that park in ports are left
    out."""
    ends = _Ends(b, must, left, apart)
    yield from _plugs(ends, 0, {}, set())


def _plugs(of: _Ends, at: int, done: _Done, used: set[str]) -> Iterator[Build]:
    if len(of.must - used) - of.left > len(of.ends) - at:
        return
    of.steps -= 1
    if of.steps < 0:
        raise TooMany
    ended = at and (at == len(of.ends) or of.ends[at][0] != of.ends[at - 1][0])
    if ended and not _first_of_alike(of, done):
        return
    if at == len(of.ends):
        yield from _ports(of, done)
        return
    key, plug = of.ends[at]
    if (key, plug.key) in of.kept:
        half, i = of.kept[key, plug.key]
        if i.ref not in used:
            more = done | {(key, plug.key): (half, i)}
            yield from _plugs(of, at + 1, more, used | {i.ref})
        return
    yield from _plugs(of, at + 1, done, used)
    for half, i in of.options(key, plug, used) if key not in of.fixed else ():
        more = done | {(key, plug.key): (half, i)}
        yield from _plugs(of, at + 1, more, used | {i.ref})


def _first_of_alike(of: _Ends, done: _Done) -> bool:
    """Whether of cables that are alike each feeds what comes no earlier than what the next one
    does: the others only change places."""
    order = {i.ref: n for n, i in enumerate(of.inputs)}
    before: dict[str, tuple[int, ...]] = {}
    for c in of.b.cables:
        feeds = tuple(
            order[done[c.key, p.key][1].ref] if (c.key, p.key) in done else 999 for p in c.plugs
        )
        spec = of.alike[c.key]
        if spec in before and feeds < before[spec]:
            return False
        before[spec] = feeds
    return True


def _spec(c: Cable) -> str:
    plugs = tuple(p.model_copy(update={"key": str(i)}) for i, p in enumerate(c.plugs))
    return c.model_copy(update={"key": "k", "name": "n", "plugs": plugs}).model_dump_json()


def _ports(of: _Ends, done: _Done) -> Iterator[Build]:
    b = of.b
    pinned = {r.cable: r.ports for r in b.runs if r.pinned}
    in_use = [c for c in b.cables if any(k == c.key for k, _ in done) or c.key in pinned]
    ports = list(of.wired.ports.values())
    ways = [
        [
            chosen
            for chosen in product(ports, repeat=len(c.needs))
            if len({p.key for p in chosen}) == len(chosen)
            and all(port_takes(p.kind, n) for p, n in zip(chosen, c.needs, strict=True))
            and pinned.get(c.key, keys := tuple(p.key for p in chosen)) == keys
        ]
        for c in in_use
    ]
    seen: set[object] = set()
    for choice in product(*ways):
        keys = [p.key for chosen in choice for p in chosen]
        if len(set(keys)) < len(keys):
            continue
        alike = tuple(tuple((p.kind, p.circuits, p.pins_12v, p.group) for p in c) for c in choice)
        if alike in seen and not of.apart:
            continue
        seen.add(alike)
        runs = tuple(
            Run(
                cable=c.key,
                ports=tuple(p.key for p in chosen),
                connections=_of(c.key, done),
                pinned=c.key in pinned,
            )
            for c, chosen in zip(in_use, choice, strict=True)
        )

        def laid(things: tuple) -> tuple:  # type: ignore[type-arg]
            return tuple(t.model_copy(update={"connections": _of(t.key, done)}) for t in things)

        yield b.model_copy(
            update={"runs": runs, "adapters": laid(b.adapters), "extensions": laid(b.extensions)}
        )


def _of(key: str, done: _Done) -> tuple[Connection, ...]:
    return tuple(
        Connection(plug=p, half=half, socket=i.at)  # type: ignore[arg-type]
        for (k, p), (half, i) in done.items()
        if k == key
    )


# -- reasons -------------------------------------------------------------------------------------

_LIMITS = ("reach", "rule", "group", "ratings")


def wrong_with(b: Build, reason: tuple[Fact, ...], most: int) -> str:
    """What is wrong with a reason for there being no map; empty where it holds: with all else let
    go there is none, and with any one of its facts let go too there is one. Raises TooMany."""
    if _map_by(b, reason, most):
        return "there is a map all the same"
    for fact in reason:
        if not _map_by(b, tuple(f for f in reason if f is not fact), most):
            return f"there is none without {fact.id} {fact.refs} either"
    return ""


def _map_by(b: Build, facts: tuple[Fact, ...], most: int) -> bool:
    """Whether there is a map where these facts hold and no others: other limits do not count, what
    else is needed may be left, and of other cables, ports and things in between there are more."""
    held = {f.id for f in facts}
    of = {i: {k for f in facts if f.id == i for k in f.refs} for i in _COUNTED}
    b = _let_go(b, of["keep"])
    needed = _look(b).needed
    if "rule" not in held:
        rules = b.house_rules.model_copy(update={"chained_graphics": "by pins"})
        b = b.model_copy(update={"house_rules": rules})
    b = _with_more(b, of, len(needed & of["need"]))
    asked = Asked(most=most, needless=needed - of["need"], without=frozenset(set(_LIMITS) - held))
    return any_map(b, asked)


_COUNTED = ("need", "cables", "ports", "between", "keep")


def _let_go(b: Build, kept: set[str]) -> Build:
    """A build in which only these runs stay as they are."""
    runs = tuple(r for r in b.runs if r.pinned and r.cable in kept)
    onward = {c.socket.part for r in runs for c in r.connections}
    for _ in (*b.adapters, *b.extensions):
        onward |= {
            c.socket.part
            for t in (*b.adapters, *b.extensions)
            if t.key in onward
            for c in t.connections
        }

    def left(things: tuple[Any, ...]) -> tuple[Any, ...]:
        return tuple(
            t if t.key in onward else t.model_copy(update={"connections": ()}) for t in things
        )

    return b.model_copy(
        update={"runs": runs, "adapters": left(b.adapters), "extensions": left(b.extensions)}
    )


def _with_more(b: Build, of: dict[str, set[str]], copies: int) -> Build:
    """With as many copies as could be used of what a reason does not count, one of each kind."""
    several: dict[str, int] = {}
    seen: set[str] = set()
    things: list[tuple[str, Any]] = [("cables", c) for c in b.cables]
    things += [("between", t) for t in (*b.adapters, *b.extensions)]
    things += [("ports", p) for p in b.supply.ports] if b.supply else []
    for what, t in things:
        if t.key in of[what] or (what == "cables" and b.run(t.key)):
            continue
        alike = (
            _spec(t)
            if what == "cables"
            else t.model_copy(
                update={"key": "k", "name": "n"}
                if what == "between"
                else {"key": "k", "label": "l", "row": 0, "column": 0}
            ).model_dump_json()
        )
        if alike not in seen:
            seen.add(alike)
            several[f"{what}/{t.key}"] = copies
    return _with_copies(b, several)


def _with_copies(b: Build, copies: dict[str, int]) -> Build:
    def several(what: str, things: tuple[Any, ...]) -> list[Any]:
        found = []
        for t in things:
            found.append(t)
            found += [
                t.model_copy(update={"key": f"{t.key}-x{n}", "connections": ()})
                if hasattr(t, "connections")
                else t.model_copy(update={"key": f"{t.key}-x{n}"})
                for n in range(copies.get(f"{what}/{t.key}", 0))
            ]
        return found

    supply = b.supply
    if supply is not None:
        ports = several("ports", supply.ports)
        places = [
            p.model_copy(update={"row": i // 20, "column": i % 20}) for i, p in enumerate(ports)
        ]
        supply = supply.model_copy(update={"ports": tuple(places)})
    return b.model_copy(
        update={
            "supply": supply,
            "cables": tuple(several("cables", b.cables)),
            "adapters": tuple(several("between", b.adapters)),
            "extensions": tuple(several("between", b.extensions)),
        }
    )
