"""Supplies side by side for one build, best first."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from typing import Generic, TypeVar

from ..things.cables import Cable
from ..things.supply import Supply
from .asked import Asked
from .checks import SupplyResult, check_supply
from .sizing import size

_Of = TypeVar("_Of")


@dataclass(frozen=True, slots=True, kw_only=True)
class Candidate(Generic[_Of]):
    """A supply judged for a build; `of` is whatever it was found by."""

    of: _Of
    supply: Supply
    result: SupplyResult


def compare(
    supplies: Iterable[tuple[_Of, Supply, tuple[Cable, ...]]], asked: Asked
) -> tuple[Candidate[_Of], ...]:
    """New supplies with the cables in their boxes: those that do first, then those with the fewest
    warnings, then by how close their rating lies to what is needed, then by what they draw from
    the wall in a year."""
    found = [
        Candidate(
            of=of, supply=supply,
            result=check_supply(supply, _as_new(asked, supply, cables)),
        )
        for of, supply, cables in supplies
    ]  # fmt: skip
    sizing = asked.sizing
    needed = sizing.needed.likely if sizing.needed else sizing.at_least_w
    found.sort(key=lambda c: _rank(c, needed))
    return tuple(found)


def _as_new(asked: Asked, supply: Supply, cables: tuple[Cable, ...]) -> Asked:
    """The same for a new supply: the spikes' rule goes by its own design."""
    sizing = size(asked.wired, asked.tally.total, asked.spikes.total, supply)
    return replace(asked, sizing=sizing, cables=cables, new=True)


def _rank(c: Candidate[_Of], needed_w: float) -> tuple[int, int, int, float, float]:
    """What does, what may, what does not; how much fails; warnings and what is not known of it;
    closeness; wall."""
    checks = c.result.checks
    feasible = {"too small": 2, "does not fit": 2, "unknown": 1}.get(c.result.verdict, 0)
    marks = sum(k.status in ("warn", "unknown") for k in checks)
    far = abs((c.supply.rated_w or 0.0) - needed_w)
    kwh = next((k.load for k in checks if k.id == "cost" and k.load is not None), float("inf"))
    fails = sum(k.status == "fail" for k in checks)
    return feasible, fails, marks, far, kwh
