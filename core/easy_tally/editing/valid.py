"""A valid build made of one that is there: whole, or not at all."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, TypeVar

from pydantic import ValidationError

from ..base.declared import Figure, Model
from ..base.errors import BadInput, WouldRelease
from ..base.problems import problems_of
from ..things.build import Build
from ..things.cables import Run
from ..things.integrity import Plugging
from ..wiring import Wired
from .released import BETWEEN, let_go, replugged, surviving, unplugged

#: Fields that no builder sets.
_GIVEN = ("individual", "exchanged")
_M = TypeVar("_M", bound=Model)


def remade(build: Build, where: str = "", **changes: Any) -> Build:
    """A copy with `changes`, validated as a whole. Raises BadInput."""
    fields = {name: getattr(build, name) for name in Build.model_fields} | changes
    return _valid(lambda: Build.model_validate(fields), where)


def _valid(make: Callable[[], _M], where: str) -> _M:
    """What `make` makes; what it finds wrong as BadInput, its fields under `where`."""
    try:
        return make()
    except ValidationError as error:
        raise BadInput(problems_of(error, where)) from error


def set_fields(thing: _M, changes: dict[str, Any], where: str, fixed: tuple[str, ...]) -> _M:
    """A copy of `thing` with `changes`; those in `fixed` may not change. Raises BadInput."""
    for name in changes:
        if name in (*fixed, *_GIVEN) or name not in type(thing).model_fields:
            known = ", ".join(f for f in type(thing).model_fields if f not in (*fixed, *_GIVEN))
            raise BadInput([(f"{where}.{name}", f"one of {known}", name)])
    merged = {n: getattr(thing, n) for n in type(thing).model_fields} | changes
    changed = _valid(lambda: type(thing).model_validate(merged), where)
    for name in changes:
        _not_measured(getattr(thing, name), getattr(changed, name), f"{where}.{name}")
    return changed


def _not_measured(was: Any, now: Any, where: str) -> None:
    """Raises BadInput where a figure of simulated instruments is called measured."""
    if not (isinstance(was, Figure) and isinstance(now, Figure)):
        return
    if (was.origin, now.origin) == ("simulated", "measured") and now.span() == was.span():
        need = "a figure that was read off the machine: this one was simulated"
        raise BadInput([(where, need, f"{now.likely:g}, measured")])


def settle(build: Build, release: bool, where: str, **changes: Any) -> Build:
    """Like `remade`, but let go of what the change leaves without ground: connections, and
    parts that hang on a hub, a header or stand in a slot that is no longer there.

    Raises BadInput, or WouldRelease where something would be let go without `release`."""
    parts, lost = let_go(build, changes.get("parts", build.parts))
    changes |= {"parts": parts}
    if not lost:
        try:
            return remade(build, where, **changes)  # the usual case: everything holds
        except BadInput:
            pass  # what was plugged in may be what does not hold: it is taken out
    between = {name: changes.get(name, getattr(build, name)) for name in BETWEEN}
    alone = {name: tuple(map(unplugged, things)) for name, things in between.items()}
    bare = remade(build, where, **changes | alone | {"runs": ()})
    runs: tuple[Run, ...] = changes.get("runs", build.runs)
    before, plugging = Wired(build), Plugging(bare)
    stays, gone = replugged(plugging, between, before)
    lost += gone
    kept: list[Run] = []
    for run in runs:
        held, gone = surviving(plugging, run, before)
        kept += [held] if held is not None else []
        lost += gone
    if lost and not release:
        raise WouldRelease(lost)
    return remade(bare, where, **stays, runs=tuple(kept))


def keys_of(build: Build) -> set[str]:
    """Keys by which an input may be named: of parts, and of what stands in between."""
    several = (build.parts, *(getattr(build, name) for name in BETWEEN))
    return {thing.key for things in several for thing in things}


def fresh_key(wanted: str, taken: set[str]) -> str:
    """The key wanted, or one like it that is not taken."""
    if wanted not in taken:
        return wanted
    stem = wanted[:36].rstrip("-0123456789") or wanted
    return next(k for n in range(2, 10_000) if (k := f"{stem}-{n}") not in taken)
