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


@dataclass(frozen=True, slots=True)
class Offered(Generic[_Of]):
    """A supply with the cables that come with it; one that is not new has an age."""

    of: _Of
    supply: Supply
    cables: tuple[Cable, ...]
    new: bool = True


@dataclass(frozen=True, slots=True, kw_only=True)
class Candidate(Generic[_Of]):
    """A supply judged for a build; `of` is whatever it was found by."""

    of: _Of
    supply: Supply
    result: SupplyResult


def compare(supplies: Iterable[Offered[_Of]], asked: Asked) -> tuple[Candidate[_Of], ...]:
    """Supplies with the cables in their boxes: those that do first, then those with the fewest
    warnings, then by how close their rating lies to what is needed, then by what they draw from
    the wall in a year."""
    candidates = [
        Candidate(of=o.of, supply=o.supply, result=check_supply(o.supply, asked_of(asked, o)))
        for o in supplies
    ]
    sizing = asked.sizing
    needed = sizing.needed.likely if sizing.needed else sizing.at_least_w
    candidates.sort(key=lambda c: _rank(c, needed))
    return tuple(candidates)


def asked_of(asked: Asked, offered: Offered[_Of]) -> Asked:
    """The same for another supply: the spikes' rule goes by its own design."""
    sizing = size(asked.wired, asked.tally.total, asked.spikes.total, offered.supply)
    return replace(asked, sizing=sizing, cables=offered.cables, new=offered.new)


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
