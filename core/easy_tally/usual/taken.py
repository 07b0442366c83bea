"""A build as it is taken: what nobody measured filled in, at one end of what is usual."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import Any, Literal, TypeVar

from ..base.declared import Figure, Model
from ..base.memory import NO_MEMORY, Memory
from ..standards.unmeasured import CASE_TAKES
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Plug
from ..things.case import Case, Route
from ..things.parts import Part
from ..things.supply import Supply
from .facts import (
    Fact,
    Leads,
    leads_of,
    of_adapter,
    of_cable,
    of_case,
    of_extension,
    of_part,
    of_supply,
)

#: As is usual; or every fact at its cautious end: plugs `short` of it, which may not reach, or as
#: `long` as is usual, which loses more volts.
End = Literal["likely", "short", "long"]
#: The cautious ends.
CORNERS: tuple[End, ...] = ("short", "long")
#: Facts of length: less of them is worse to reach, more of them for the volts.
LENGTHS = frozenset({"at_mm", "length_mm"})

#: Facts that are counted, or named by whole numbers.
WHOLE = frozenset({"gauge", "covers", "slots", "bays_35", "bays_25"})
_M = TypeVar("_M", bound=Model)
_P = TypeVar("_P", Cable, Adapter)


def taken(build: Build, end: End = "likely", memory: Memory = NO_MEMORY) -> Build:
    """A build in which nothing is missing that has a usual figure; itself where nothing is."""
    kept = memory.of
    changes: dict[str, Any] = {}
    for name, make in (("adapters", _adapter), ("extensions", _extension), ("parts", _part)):
        changes[name] = [kept(make, (x,), (end,)) for x in getattr(build, name)]
    changes["cables"] = list(taken_cables(build.cables, build.supply, end, memory))
    changes = {
        name: tuple(things)
        for name, things in changes.items()
        if any(a is not b for a, b in zip(things, getattr(build, name), strict=True))
    }
    if build.supply is not None:
        supply = taken_supply(build.supply, end, memory)
        changes |= {"supply": supply} if supply is not build.supply else {}
    if build.case is not None:
        case = taken_case(build.case, end, memory)
        changes |= {"case": case} if case is not build.case else {}
    return build.model_copy(update=changes) if changes else build


def taken_cables(
    cables: tuple[Cable, ...], supply: Supply | None, end: End, memory: Memory = NO_MEMORY
) -> tuple[Cable, ...]:
    """Cables that come with a supply, as they are taken."""
    leads = leads_of(supply)
    return tuple([memory.of(_cable, (c,), (end, leads)) for c in cables])


def taken_case(case: Case, end: End, memory: Memory = NO_MEMORY) -> Case:
    """A case as it is taken."""
    return memory.of(_case, (case,), (end,))


def taken_supply(supply: Supply, end: End, memory: Memory = NO_MEMORY) -> Supply:
    """A supply as it is taken."""
    return memory.of(_supply, (supply,), (end,))


def with_found(build: Build, figures: Mapping[Fact, float]) -> Build:
    """A build in which some facts are known."""
    changes: dict[str, Any] = {}
    for name, kind in (
        ("cables", "cable"),
        ("adapters", "adapter"),
        ("extensions", "extension"),
        ("parts", "part"),
    ):
        own: dict[str, dict[Fact, float]] = {}
        for fact, value in figures.items():
            if fact.of == kind:
                own.setdefault(fact.key, {})[fact] = value
        if own:
            things = getattr(build, name)
            changes[name] = tuple(_with(t, own.get(t.key, {}), "maker") for t in things)
    for single in ("case", "supply"):
        own_facts = {f: v for f, v in figures.items() if f.of == single}
        if own_facts and (thing := getattr(build, single)) is not None:
            changes[single] = _with(thing, own_facts, "maker")
    return build.model_copy(update=changes)


# -- thing by thing ------------------------------------------------------------------------


def _cable(end: End, leads: Leads, cable: Cable) -> Cable:
    filled = _with(cable, _at(end, of_cable(leads, cable)))
    end_grade = filled.supply_end.grade
    if end_grade is None and filled.needs:
        supply_end = filled.supply_end.model_copy(update={"grade": "standard"})
        filled = filled.model_copy(update={"supply_end": supply_end})
    return _graded(filled)


def _adapter(end: End, adapter: Adapter) -> Adapter:
    return _graded(_with(adapter, _at(end, of_adapter(adapter))))


def _extension(end: End, extension: Extension) -> Extension:
    return _with(extension, _at(end, of_extension(extension)))


def _case(end: End, case: Case) -> Case:
    filled = _with(case, _at(end, of_case(case)))
    if filled.supply_forms or filled.size is None:
        return filled
    return filled.model_copy(update={"supply_forms": CASE_TAKES.get(filled.size, ())})


def _supply(end: End, supply: Supply) -> Supply:
    return _with(supply, _at(end, of_supply(supply)))


def _part(end: End, part: Part) -> Part:
    return _with(part, _at(end, of_part(part)))


def _at(end: End, facts: Iterable[Fact]) -> dict[Fact, float]:
    def value(fact: Fact) -> float:
        long = end == "long" and fact.field in LENGTHS and fact.of not in ("part", "supply")
        return fact.band.likely if long or end == "likely" else fact.band.cautious

    return {fact: value(fact) for fact in facts}


def _graded(thing: _P) -> _P:
    """Contacts of which nobody says the grade are of the standard one: nothing less is sold."""
    if all(p.grade is not None for p in thing.plugs):
        return thing
    plugs = (
        p if p.grade is not None else p.model_copy(update={"grade": "standard"})
        for p in thing.plugs
    )
    return thing.model_copy(update={"plugs": tuple(plugs)})


# -- putting a figure in its place -----------------------------------------------------------


def _with(thing: _M, figures: Mapping[Fact, float], origin: str = "assumed") -> _M:
    """A thing with some facts filled in; itself where there are none."""
    if not figures:
        return thing
    changes: dict[str, Any] = {}
    away = {f.at: value for f, value in figures.items() if f.field == "at_mm"}
    if away:
        plugs: tuple[Plug, ...] = getattr(thing, "plugs")  # noqa: B009 - of several types
        changes["plugs"] = tuple(
            p.model_copy(update={"at_mm": away[p.key]}) if p.key in away else p for p in plugs
        )
    routes = [
        Route(area=f.at, length_mm=value)  # type: ignore[arg-type]
        for f, value in figures.items()
        if f.field == "routes"
    ]
    if routes:
        changes["routes"] = (*getattr(thing, "routes"), *routes)  # noqa: B009
    for field in ("headers", "outputs"):
        amps = {f.at: value for f, value in figures.items() if f.field == field}
        if amps:
            changes[field] = tuple(
                h.model_copy(update={"limit_a": _exact(amps[h.key], origin)})
                if h.key in amps
                else h
                for h in getattr(thing, field)
            )
    for f, value in figures.items():
        if f.field in WHOLE:
            changes[f.field] = int(value)
        elif not f.at:
            changes[f.field] = value
    return thing.model_copy(update=changes)


def _exact(value: float, origin: str) -> Figure:
    return Figure(low=value, likely=value, high=value, origin=origin)  # type: ignore[arg-type]
