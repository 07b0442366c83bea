"""What mends a map of which some plugs do not reach, each way proven by mapping again."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from contextlib import suppress
from itertools import islice

from ..analysis.facts import Analysis
from ..mapping import InStock, Repair, Stopped, repairs_of_reach
from ..ratings.elements import Element
from ..ratings.places import Place
from ..ratings.runs import RunResult
from ..supplies.at_hand import at_hand, extensions
from .mapped import by_price

#: Ways that are worked out at the most.
MOST_WAYS = 4


def ways_to_reach(
    a: Analysis, stock: Iterable[InStock] = (), stop: Callable[[], bool] | None = None
) -> tuple[Repair, ...]:
    """Another way round, a longer cable, extensions: of the boxes of the build and of `stock`. None
    where all reaches, or where nothing of that does."""
    far = dict(_out_of_reach(a))
    if not far:
        return ()
    over = frozenset(r.wired.cable.key for r in a.runs if r.verdict == "over")
    lying = extensions(at_hand(a.build, a.build.supply))
    boxed = [InStock(thing=t, owned=True, free=1, is_boxed=True) for t in lying]
    ways = repairs_of_reach(a.build, over, far, [*boxed, *stock], stop)
    ways_found: list[Repair] = []
    with suppress(Stopped):
        ways_found += islice(ways, MOST_WAYS)
    return by_price(a.build, ways_found)


def _out_of_reach(a: Analysis) -> Iterator[tuple[str, float]]:
    """Inputs whose plug does not reach, each with the way to it [mm]; 0 where it is another plug of
    its chain that it is too far from."""
    for run in a.runs:
        for e in run.elements:
            if e.kind == "reach" and e.judged.verdict == "over":
                yield from ((ref, _way_mm(e)) for ref in _fed_at(run, e.at))


def _way_mm(e: Element) -> float:
    return 0.0 if e.at.is_span else e.judged.load


def _fed_at(run: RunResult, at: Place) -> Iterator[str]:
    """What a plug feeds: of the cable, or of something in between."""
    plug = at._replace(is_span=False)
    yield from (f.input.ref for f in run.wired.feeds if Place(f.plug.key) == plug)
    yield from (x.feed.input.ref for x in run.beyond if x.at == plug)
