"""Supplies side by side for one build, best first."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Generic, TypeVar

from ..things.supply import Supply
from .checks import Asked, SupplyResult, check_supply

_Of = TypeVar("_Of")
_ORDER = ("right size", "too big", "unknown", "too small")


@dataclass(frozen=True, slots=True, kw_only=True)
class Candidate(Generic[_Of]):
    """A supply judged for a build; `of` is whatever it was found by."""

    of: _Of
    supply: Supply
    result: SupplyResult


def compare(supplies: Iterable[tuple[_Of, Supply]], asked: Asked) -> tuple[Candidate[_Of], ...]:
    """Those that do first, then by how close their rating lies to what is needed."""
    found = [
        Candidate(of=of, supply=supply, result=check_supply(supply, asked))
        for of, supply in supplies
    ]
    sizing = asked.sizing
    needed = sizing.needed.likely if sizing.needed else sizing.at_least_w
    found.sort(
        key=lambda c: (_ORDER.index(c.result.verdict), abs((c.supply.rated_w or 0.0) - needed))
    )
    return tuple(found)
