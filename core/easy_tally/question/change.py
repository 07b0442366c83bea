"""A change that is asked about: edits, one after another, as whoever takes it makes them."""

from __future__ import annotations

from typing import Annotated, NamedTuple

from pydantic import Field

from ..base.declared import Model
from ..editing import AddPart, ChangeBuild, Edit, TakeEntry
from ..things.build import Build
from ..things.case import Case
from ..things.parts import Board, Card, Cooler, Part, Processor

#: Stands for "in place of nothing": what is asked about comes in beside what is there.
BESIDE = "beside"
#: Edits of one question at the most.
MOST_EDITS = 40
#: Kinds of which a machine has one.
_SINGLE = (Board, Processor, Cooler)


class Change(Model):
    """What is asked about, in a phrase, and the edits that make it."""

    words: Annotated[str, Field(max_length=300)]
    edits: Annotated[tuple[Edit, ...], Field(min_length=1, max_length=MOST_EDITS)]

    def to(self, build: Build) -> Build:
        """The build with it, whatever that unplugs. Raises as the edits do."""
        for edit in self.edits:
            build = edit.apply(build)
        return build


class Instead(NamedTuple):
    """What a part may come in place of: the key of a part, or BESIDE, and in words."""

    key: str
    words: str


def instead_of(build: Build, part: Part) -> tuple[Instead, ...]:
    """What a part may come in place of in a build, the likeliest first: a graphics card of the one
    that draws most, what a machine has once of that, all else beside what is there."""
    alike = [p for p in build.parts if _is_like(p, part)]
    if isinstance(part, Card):
        alike.sort(key=lambda c: -_watts(c))
    those = [Instead(p.key, f"in place of {p.name}") for p in alike]
    beside = Instead(BESIDE, "beside what is there")
    takes_over = isinstance(part, _SINGLE) or (isinstance(part, Card) and part.use == "graphics")
    if isinstance(part, _SINGLE) and those:
        return tuple(those)
    return (*those, beside) if takes_over else (beside, *those)


def _is_like(one: Part, other: Part) -> bool:
    if isinstance(one, Card) and isinstance(other, Card):
        return one.use == other.use
    return one.kind == other.kind


def _watts(part: Part) -> float:
    figure = part.board_power_w if isinstance(part, Card) else None
    return figure.likely if figure else 0.0


def put(part: Part, instead: str) -> Edit:
    """The edit that brings a part in, in place of the one of a key, or beside."""
    if instead == BESIDE:
        return AddPart(part=part)
    return TakeEntry(part=instead, entry=part, release=True)


def house(case: Case) -> Edit:
    """The edit that puts all of it into another case."""
    return ChangeBuild(changes={"case": case.model_dump(mode="json")})
