"""What is sold, or lies in a drawer, by itself: cables, adapters, extensions, brackets."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field

from ..base.declared import Model
from ..base.errors import BadInput
from ..entry.kits import head_noun, is_cage, read_cable, read_cage, read_loose, say_cable, say_loose
from ..entry.own import NO_WORDS
from ..things.adapters import Adapter, Backplane, Bracket, Extension
from ..things.cables import Cable
from .entries import Slug

LooseKind = Literal["cable", "adapter", "extension", "bracket"]
LooseThing = Cable | Adapter | Extension | Bracket
#: Of what no family is: its ends are standard.
NO_FAMILY = "any"


class LooseEntry(Model):
    """A thing sold by itself, by slug and revision."""

    slug: Slug
    revision: Annotated[int, Field(ge=1, le=9999)] = 1
    thing: LooseThing

    @property
    def kind(self) -> LooseKind:
        """Which of them it is."""
        return kind_of(self.thing)


def kind_of(thing: LooseThing) -> LooseKind:
    """Which of them a thing is."""
    match thing:
        case Cable():
            return "cable"
        case Adapter():
            return "adapter"
        case Extension():
            return "extension"
        case Bracket():
            return "bracket"


def read_thing(kind: str, line: str, family: str, own: Mapping[str, str] = NO_WORDS) -> LooseThing:
    """A thing by its kind, its line, and of a cable its pinout family, with somebody's own words.
    Raises BadInput."""
    if kind == "cable":
        return read_cable(line, family, own)[1]
    return read_loose(kind, line, own)


def read_said(
    line: str, family: str, own: Mapping[str, str] = NO_WORDS
) -> Cable | Adapter | Extension | Backplane:
    """What goes between a supply and its sockets, by the head noun of a line: a drive cage, an
    adapter, an extension, else a cable of a pinout family. Raises BadInput."""
    if is_cage(line):
        return read_cage(line, own)
    thing = read_thing(head_noun(line) or "cable", line, family, own)
    if isinstance(thing, Bracket):
        raise BadInput([("bracket", "to be chosen with the case, on Fit", repr(line)[:60])])
    return thing


def say_thing(thing: LooseThing) -> str:
    """The line of a thing."""
    return say_cable(thing) if isinstance(thing, Cable) else say_loose(thing)
