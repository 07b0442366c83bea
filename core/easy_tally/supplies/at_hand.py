"""What is at hand for a build: in the boxes of its parts, its case and its supply, and not in use
yet."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from typing import Literal, NamedTuple

from ..things.adapters import Adapter, Bracket, Extension
from ..things.boxed import Boxed, LoosePart, alike
from ..things.build import Build
from ..things.supply import Supply


class AtHand(NamedTuple):
    """A thing in a box, and whose box that is: of a part by its key, of the case, the supply."""

    thing: Boxed
    whose: str
    of: Literal["part", "case", "supply"] = "part"
    key: str = ""


def boxes_of(build: Build, supply: Supply | None) -> Iterator[AtHand]:
    """Everything in the boxes of a build, with another supply where that is asked."""
    for part in build.parts:
        for thing in part.in_box * part.count:
            yield AtHand(thing, part.name, "part", part.key)
    if build.case is not None:
        yield from (AtHand(thing, build.case.name, "case") for thing in build.case.in_box)
    if supply is not None:
        yield from (AtHand(thing, supply.name, "supply") for thing in supply.in_box)


def at_hand(build: Build, supply: Supply | None) -> tuple[AtHand, ...]:
    """What of it is not in the build already."""
    there: list[Boxed] = [*build.adapters, *build.extensions, *build.backplanes]
    there += [build.bracket] if build.bracket is not None else []
    lying: list[AtHand] = []
    for boxed in boxes_of(build, supply):
        same = next((t for t in there if alike(t, boxed.thing)), None)
        if same is not None:
            there.remove(same)
        elif not (isinstance(boxed.thing, LoosePart) and _is_in(build, boxed.thing)):
            lying.append(boxed)
    return tuple(lying)


def _is_in(build: Build, loose: LoosePart) -> bool:
    """Whether a part of its name has been put into the build."""
    return any(p.kind == loose.kind and p.name == loose.name for p in build.parts)


def adapters(lying: Iterable[AtHand]) -> tuple[Adapter, ...]:
    """The adapters among them."""
    return tuple(x.thing for x in lying if isinstance(x.thing, Adapter))


def extensions(lying: Iterable[AtHand]) -> tuple[Extension, ...]:
    """The extensions among them."""
    return tuple(x.thing for x in lying if isinstance(x.thing, Extension))


def brackets(lying: Iterable[AtHand]) -> tuple[Bracket, ...]:
    """The brackets among them."""
    return tuple(x.thing for x in lying if isinstance(x.thing, Bracket))
