"""What a builder owns, or is looking at: supplies with their cables, loose cables, adapters,
extensions, brackets. One thing is in one build at a time."""

from __future__ import annotations

from collections import Counter
from collections.abc import Collection, Mapping
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Key, Model, Note
from ..entry.kits import head_noun, read_kit_lines, say_cable, say_supply
from ..entry.own import NO_WORDS
from ..standards.connectors import CONNECTORS, PLUGS
from ..things.adapters import Adapter, Backplane, Bracket, Extension
from ..things.build import Build
from ..things.cables import Cable, Plug
from ..things.supply import PORT_WORDS, Supply
from .loose import NO_FAMILY, LooseKind, LooseThing, kind_of, read_thing, say_thing

DrawerKind = Literal["supply"] | LooseKind


class DrawerThing(Model):
    """A thing in the drawer: what it is, how many, how old, in what condition, where it lies."""

    key: Key
    standing: Annotated[
        Literal["owned", "looked at"], Field(description="owned, or one that one is looking at")
    ] = "owned"
    count: Annotated[int, Field(ge=1, le=64)] = 1
    condition: Literal["good", "worn", "not to be used"] = "good"
    since: Annotated[int | None, Field(ge=1990, le=2200, description="year it was bought")] = None
    lies: Annotated[str, Field(max_length=80, description="where it lies")] = ""
    note: Note = ""
    supply: Supply | None = None
    cables: Annotated[tuple[Cable, ...], Field(max_length=40)] = ()
    thing: LooseThing | None = None

    @model_validator(mode="after")
    def _one_thing(self) -> Self:
        if (self.supply is None) == (self.thing is None):
            raise ValueError("a supply, or a thing sold by itself: one of them")
        if self.supply is not None and self.count != 1:
            raise ValueError("a count of 1 for a supply: each has its own age and build")
        if self.standing == "looked at" and self.supply is None:
            raise ValueError("a supply, to be looked at")
        if self.supply is not None and any(c.family != self.supply.family for c in self.cables):
            raise ValueError("cables of the supply's own pinout family")
        return self

    @property
    def kind(self) -> DrawerKind:
        """What kind of thing it is."""
        return "supply" if self.thing is None else kind_of(self.thing)

    @property
    def name(self) -> str:
        """Its name."""
        thing = self.supply or self.thing
        return thing.name if thing else ""

    @property
    def family(self) -> str:
        """Its pinout family; `any` where its ends are standard."""
        return getattr(self.supply or self.thing, "family", NO_FAMILY)


def read_drawer(
    kind: DrawerKind, text: str, own: Mapping[str, str] = NO_WORDS
) -> tuple[Supply | None, tuple[Cable, ...], object]:
    """Supply and cables, or the thing, that a text says, with somebody's own words. Its head noun
    decides what it is, whatever it was begun as. Raises BadInput."""
    if kind == "supply":
        return (*read_kit_lines(text, own), None)
    return None, (), read_thing(head_noun(text) or kind, text, NO_FAMILY, own)


def say_drawer(drawer_thing: DrawerThing) -> str:
    """The lines of a thing; they read back to the same."""
    if drawer_thing.thing is not None:
        family = f' family:"{drawer_thing.family}"' if drawer_thing.kind == "cable" else ""
        return say_thing(drawer_thing.thing) + family
    if drawer_thing.supply is None:
        return ""
    return "\n".join([say_supply(drawer_thing.supply), *map(say_cable, drawer_thing.cables)])


def used_of(build: Build) -> Counter[str]:
    """Keys of the drawer's things that a build uses, and how many of each."""
    owned = [c.owned for c in build.cables]
    owned += [build.supply.owned] if build.supply else []
    owned += [build.bracket.owned] if build.bracket else []
    owned += [t.owned for t in build.adapters] + [t.owned for t in build.extensions]
    owned += [t.owned for t in build.backplanes]
    return Counter(key for key in owned if key)


def without(build: Build, keys: Collection[str]) -> Build:
    """The build with its own copies in place of the drawer's things: a file says what it is of, but
    the thing itself is in one build."""
    gone = set(keys)
    changes: dict[str, object] = {
        "cables": tuple(
            c.model_copy(update={"owned": ""}) if c.owned in gone else c for c in build.cables
        )
    }
    for name in ("adapters", "extensions", "backplanes"):
        changes[name] = tuple(
            t.model_copy(update={"owned": ""}) if t.owned in gone else t
            for t in getattr(build, name)
        )
    if build.supply and build.supply.owned in gone:
        changes["supply"] = build.supply.model_copy(update={"owned": ""})
    if build.bracket and build.bracket.owned in gone:
        changes["bracket"] = build.bracket.model_copy(update={"owned": ""})
    return build.model_copy(update=changes)


# -- words ---------------------------------------------------------------------------------


def drawer_words(drawer_thing: DrawerThing) -> tuple[str, ...]:
    """What a thing is, in a few phrases: of a supply its label, its ports, its cables."""
    if drawer_thing.thing is not None:
        return (thing_words(drawer_thing.thing),)
    s = drawer_thing.supply
    if s is None:
        return ()
    label = [
        f"{s.rated_w:g} W" if s.rated_w is not None else "rating not known",
        f"{s.v12_a:g} A at 12 V" if s.v12_a is not None else "12 V not known",
        s.form or "form not known",
        f"design {s.design}" if s.design else "design not known",
        *([f"{s.length_mm:g} mm"] if s.length_mm is not None else []),
        *([s.grade] if s.grade else []),
        *([f"{s.modular} modular"] if s.modular else []),
        *([f"fan off to {100 * s.fan_off_share:g} %"] if s.fan_off_share else []),
        *([f"made {s.made}"] if s.made is not None else []),
    ]
    kinds = Counter(p.kind for p in s.ports)
    ports = [f"{n} {PORT_WORDS[k]}" for k, n in kinds.items()]
    return (
        ", ".join(label),
        f"ports: {', '.join(ports) or 'none, its cables are fixed'}",
        *(f"{c.name}: {thing_words(c)}" for c in drawer_thing.cables),
    )


def thing_words(thing: LooseThing | Backplane) -> str:
    """A cable, an adapter, an extension, a bracket or a drive cage in a few words."""
    match thing:
        case Backplane():
            inputs = Counter((CONNECTORS[i.kind].words, len(i.bays)) for i in thing.inputs)
            return ", ".join(
                f"{n} × {w}, each for {bays} bays" if n > 1 else f"{w} for {bays} bays"
                for (w, bays), n in inputs.items()
            )
        case Cable():
            ends = _plugs(thing.plugs, "at")
            by = " and ".join(PORT_WORDS[n] for n in thing.needs)
            return f"{ends}{_gauge(thing.gauge)}; {f'in {by}' if by else 'fixed'}"
        case Adapter():
            leads = Counter(CONNECTORS[lead.kind].words for lead in thing.leads)
            said = " and ".join(f"{n} × {w}" for w, n in leads.items())
            codes = ", ".join(f"{c.watts} W with {c.leads} leads" for c in thing.codes)
            return f"from {said} to {_plugs(thing.plugs, 'after')}" + (
                f"; {codes}" if codes else ""
            )
        case Extension():
            words = PLUGS[thing.kind].words
            long = "" if thing.length_mm is None else f", {thing.length_mm:g} mm"
            return f"{words}{long}{_gauge(thing.gauge)}"
        case Bracket():
            return f"holds {thing.form} in a place for {thing.place}"


def _gauge(gauge: int | None) -> str:
    return f", {gauge} AWG" if gauge is not None else ", gauge as usual"


def _plugs(plugs: tuple[Plug, ...], at: str) -> str:
    kinds = Counter(PLUGS[p.kind].words for p in plugs)
    said = " and ".join(f"{n} × {w}" if n > 1 else w for w, n in kinds.items())
    away = [p.at_mm for p in plugs]
    if all(mm is None for mm in away):
        return said
    return f"{said} {at} {', '.join('?' if mm is None else f'{mm:g}' for mm in away)} mm"
