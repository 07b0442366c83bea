"""The order of a person's hands: out, and in. What has to be before what always holds; among what
is free of that the ranks of the work decide, and the house rules."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Collection, Iterable, Iterator, Mapping
from dataclasses import dataclass
from heapq import heappop, heappush
from typing import Any, Literal

from ..standards.connectors import CONNECTORS
from ..things.adapters import Backplane, Bracket
from ..things.parts import Board, Card, Cooler, Drive, Fan, Hub, M2Drive, Memory, Processor, Pump
from ..things.supply import Supply
from ..wiring import Feed
from .covers import Known, Over, Overs, target_of
from .difference import Difference, hanging
from .machine import Link, Machine, is_on_board
from .record import UNSEEN, Standing, owner

Group = Literal[
    "before",
    "out",
    "away",
    "cables",
    "supply",
    "seat",
    "case",
    "board",
    "small",
    "card",
    "drives",
    "after",
]
GROUP_WORDS: dict[Group, str] = {
    "before": "Before you begin",
    "out": "Out",
    "away": "Where it goes",
    "cables": "The cables",
    "supply": "At the supply",
    "seat": "On the board",
    "case": "Into the case",
    "board": "Board and processor",
    "small": "Small leads",
    "card": "Cards",
    "drives": "Drives, hubs, cooling",
    "after": "Looking over and switching on",
}
Rank = tuple[float, ...]
#: Of what is mounted: its rank, and the group that it stands in.
_MOUNTED: dict[type, tuple[float, Group]] = {
    Bracket: (12, "supply"),
    Supply: (15, "supply"),
    Processor: (20, "seat"),
    Memory: (21, "seat"),
    M2Drive: (22, "seat"),
    Board: (25, "seat"),
    Backplane: (30, "case"),
    Drive: (31, "case"),
    Cooler: (32, "case"),
    Pump: (33, "case"),
    Fan: (34, "case"),
    Hub: (35, "case"),
    Card: (60, "card"),
}
_OTHERS: tuple[float, Group] = (36, "case")
_ON_BOARD: tuple[float, Group] = (23, "seat")
_SUPPLY_LAST, _SMALL, _SMALL_LAST = 37.0, 50.0, 75.0


@dataclass(frozen=True, slots=True)
class Item:
    """Something that goes in: an individual or an end of one, where it goes, its group; `over`:
    for whose sake it goes before its time."""

    end: str
    place: str
    group: Group
    link: Link | None = None
    over: Over | None = None


def sequence(
    items: Iterable[str], before: Iterable[tuple[str, str]], rank: Mapping[str, Rank]
) -> list[str]:
    """Items by their ranks, none before what has to be before it. Where that can't be met all
    round, the lowest rank breaks the round."""
    left = dict.fromkeys(items)
    waits: dict[str, set[str]] = defaultdict(set)
    frees: dict[str, list[str]] = defaultdict(list)
    for first, then in before:
        if first in left and then in left and first != then and first not in waits[then]:
            waits[then].add(first)
            frees[first].append(then)
    ready = [(rank[i], n, i) for n, i in enumerate(left) if not waits[i]]
    places = {i: n for n, i in enumerate(left)}
    ready.sort()
    ordered: list[str] = []
    while left:
        if not ready:
            stuck = min(left, key=lambda i: (rank[i], places[i]))
            ready = [(rank[stuck], places[stuck], stuck)]
        item = heappop(ready)[2]
        if item not in left:
            continue
        del left[item]
        ordered.append(item)
        for then in frees[item]:
            waits[then].discard(item)
            if not waits[then] and then in left:
                heappush(ready, (rank[then], places[then], then))
    return ordered


# -- out ---------------------------------------------------------------------------------------


def out_order(d: Difference, machine: Machine, stands: Standing, known: Known) -> list[str]:
    """What comes out, part ends first and what lies on top first; a supply before its own end of
    the cables."""
    where = stands.where
    rank = {end: _out_rank(end, where.get(end, ""), d, known) for end in d.out}
    return sequence(d.out, _out_before(d, where, known), rank)


def _out_rank(end: str, place: str, d: Difference, known: Known) -> Rank:
    thing, into = known.get(owner(end)), known.get(owner(place))
    if place == UNSEEN:
        return (5.0,)
    part, socket_of = (getattr(t, "of", None) for t in (thing, into))
    if ">" in end:
        return (90.0 if owner(place) in d.out else 37.0,)
    if end == owner(end):
        ranks: dict[type, float] = {Card: 20, Supply: 60, Bracket: 61, Board: 70}
        if is_on_board(part):
            return (75.0 if owner(place) in d.out else 55.0,)
        return (ranks.get(type(part), 50.0),)
    if isinstance(socket_of, Card):
        return (10.0,)
    return (30.0 if "lead" not in end and "data" not in end else 40.0,)


def _out_before(d: Difference, where: Mapping[str, str], known: Known) -> Iterator[tuple[str, str]]:
    hangs = hanging(where, known)
    for end in d.out:
        for over in d.over.get(end, ()):
            if over.covers:
                yield over.end, end
        if ">" in end:
            yield owner(where[end]), end
            continue
        if end == owner(end):
            base = owner(where[end])
            part = getattr(known.get(end), "of", None)
            if not is_on_board(part):
                yield end, base
            continue
        carrier = owner(end)
        for side in (carrier, owner(where[end]), *_carriers(hangs, carrier)):
            yield end, side
            # What it is plugged into may stand on something that is lifted with it.
            yield end, owner(where.get(side, ""))
        yield end, f"{carrier}>"


def _carriers(hangs: Mapping[str, str], thing: str) -> Iterator[str]:
    """What something hangs on, one after another, up to the supply."""
    seen = {thing}
    while (thing := hangs.get(thing, "")) and thing not in seen:
        seen.add(thing)
        yield thing


# -- in ----------------------------------------------------------------------------------------


def in_order(
    machine: Machine, stands: Standing, known: Known, closed: Collection[str]
) -> list[Item]:
    """Everything that is wanted, in the order in which it goes in: done or not."""
    rules = machine.build.house_rules
    whole = Standing(where=dict(machine.where), reach=stands.reach)
    on_top = Overs(whole, known, closed)
    covering: dict[str, list[Over]] = {}
    for end, place in machine.where.items():
        target = target_of(end, place, known)
        if target is not None:
            covering[end] = [o for o in on_top.of(target, place) if o.covers and o.end != end]
    ranks: dict[str, Rank] = {}
    groups: dict[str, Group] = {}
    for end in machine.where:
        if end in machine.fixed:
            continue
        ranks[end], groups[end] = _in_rank(machine, end, rules)
    ends = sequence(ranks, _in_before(machine, covering, rules), ranks)
    position = {end: n for n, end in enumerate(ends)}
    items = []
    for end in ends:
        early = next(
            (o for o in covering.get(end, ()) if ranks[o.end] < ranks[end] and o.end in position),
            None,
        )
        place = machine.where[end]
        items.append(Item(end, place, groups[end], machine.links.get(end), early))
    return items


def _in_rank(machine: Machine, end: str, rules: Any) -> tuple[Rank, Group]:
    def supply(rank: float) -> float:
        """Where the supply comes after the board, its steps follow on each other there."""
        return _SUPPLY_LAST + rank / 100 if rules.first_in == "board first" else rank

    link = machine.links.get(end)
    if link is None:
        part = machine.of[end].of
        rank, group = _ON_BOARD if _is_air_cooler(part) else _MOUNTED.get(type(part), _OTHERS)
        return (supply(rank) if group == "supply" else rank, *_card_place(machine, end)), group
    if link.kind == "port":
        row, column = _panel_place(machine, link)
        # Lower rows are the hardest to reach once the supply stands: assumption.
        return (supply(10), -row, column), "supply"
    if link.kind == "head":
        return (39,), "board"
    if link.kind == "header":
        return (72,), "drives"
    if link.kind in ("data", "lead"):
        return (_SMALL_LAST if rules.small_leads == "last" else _SMALL,), "small"
    assert link.feed is not None
    return _plug_rank(machine, link.feed)


def _plug_rank(machine: Machine, feed: Feed) -> tuple[Rank, Group]:
    """Of a plug by what it feeds in the end; thick ones before thin."""
    first = feed
    while first.input.between is not None:
        onward = machine.wired.onward(first.input)
        if not onward:
            break
        first = onward[0]
    into = first.input.part
    if isinstance(into, Board):
        # The thickest first: a table of the standard's connectors has them by that.
        return (40, CONNECTORS[first.input.socket.kind].thickness), "board"
    if isinstance(into, Card):
        return (60, *_card_place(machine, machine.id(into.key))), "card"
    return (70 if isinstance(into, Drive | Hub) or feed.input.between else 71,), "drives"


def _card_place(machine: Machine, thing: str) -> tuple[float, ...]:
    part = machine.of[thing].of if thing in machine.of else None
    if not isinstance(part, Card):
        return ()
    cards = [p.key for p in machine.build.parts if isinstance(p, Card)]
    return (float(cards.index(part.key)),)


def _panel_place(machine: Machine, link: Link) -> tuple[int, int]:
    keys = link.place.partition("/")[2].split("+")
    ports = [machine.wired.ports[k] for k in keys]
    return max(p.row for p in ports), ports[0].column


def _is_air_cooler(part: Any) -> bool:
    return isinstance(part, Cooler) and is_on_board(part)


def _in_before(
    machine: Machine, covering: Mapping[str, list[Over]], rules: Any
) -> Iterator[tuple[str, str]]:
    for end, several in covering.items():
        yield from ((end, over.end) for over in several)
    for thing, place in machine.rests.items():
        base = owner(place)
        if isinstance(machine.of[thing].of, Bracket):
            yield thing, base
        elif not is_on_board(machine.of[thing].of):
            yield base, thing
    for end, link in machine.links.items():
        into = owner(link.place)
        if link.kind == "port":
            yield end, into
            continue
        is_own = any(o.thing == into for o in covering.get(end, ()))
        if link.kind == "plug" and not is_own and _plugs_first(machine, into, rules):
            yield end, into
        elif not is_own:
            yield into, end
        carrier = owner(end)
        if carrier in machine.rests:
            yield carrier, end
        elif link.kind == "plug":
            yield f"{carrier}>", end
            yield machine.supply, end
            for lead in _leads_of(machine, carrier):
                yield lead, end


def _plugs_first(machine: Machine, into: str, rules: Any) -> bool:
    thing = machine.of.get(into)
    is_card = thing is not None and isinstance(thing.of, Card)
    return is_card and rules.card_first == "plug then mount"


def _leads_of(machine: Machine, carrier: str) -> Iterator[str]:
    """Ends in the leads of what a plug is of."""
    thing = machine.of.get(carrier)
    between = machine.wired.betweens.get(thing.key) if thing else None
    if between is None or thing is None:
        return
    for into in machine.wired.leads_of(between):
        feed = machine.wired.feeds.get(into.ref)
        if feed is not None:
            yield machine.plug(feed).end
