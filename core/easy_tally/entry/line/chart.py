"""The heaviest ways to cover a line by slots, each token in one of them."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from typing import NamedTuple

from .amounts import Line
from .patterns import Slot

#: How many ways are kept at each place, and at the end.
_KEPT, _AT_THE_END = 10, 40


class Way(NamedTuple):
    """Slots that cover a line, and what they weigh together."""

    weight: float
    slots: tuple[Slot, ...]


def ways(line: Line, slots_at: Callable[[Line, int], Iterable[Slot]]) -> list[Way]:
    """The heaviest rows of slots that cover a line from its beginning to its end."""
    n = len(line.tokens)
    best: list[list[Way]] = [[] for _ in range(n + 1)]
    best[0] = [Way(0.0, ())]
    for i in range(n):
        if not best[i]:
            continue
        here = sorted(best[i], key=lambda w: -w.weight)[:_KEPT]
        for slot in _merged(slots_at(line, i)):
            for way in here:
                best[slot.to].append(Way(way.weight + slot.weight, (*way.slots, slot)))
    return sorted(best[n], key=lambda w: -w.weight)[:_AT_THE_END]


def _merged(every: Iterable[Slot]) -> Iterator[Slot]:
    """Slots that say the same of the same words once, at their heaviest."""
    kept: dict[tuple[object, ...], Slot] = {}
    for slot in every:
        key = (slot.role, slot.value, slot.to)
        if key not in kept or kept[key].weight < slot.weight:
            kept[key] = slot
    yield from kept.values()
