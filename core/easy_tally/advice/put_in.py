"""Putting in what lies in a box: the edit that does it."""

from __future__ import annotations

from ..editing import AddBetween, AddPart, ChangeBuild, Edit
from ..things.adapters import Bracket
from ..things.boxed import Boxed, LoosePart
from ..things.parts import Fan, Hub, Part
from ..things.parts.common import Header


def put_in(thing: Boxed) -> Edit | None:
    """The edit; None of what is only mounted: a support."""
    if isinstance(thing, Bracket):
        return ChangeBuild(changes={"bracket": thing.model_dump(mode="json")})
    if not isinstance(thing, LoosePart):
        return AddBetween(thing=thing)
    part = _part(thing)
    return None if part is None else AddPart(part=part)


def _part(loose: LoosePart) -> Part | None:
    match loose.kind:
        case "fan":
            fans = Fan(key="fan", name=loose.name, count=loose.count)
            sized = {} if loose.size_mm is None else {"size_mm": loose.size_mm}
            return fans.model_copy(update=sized)
        case "hub":
            outputs = tuple(Header(key=f"out-{n + 1}") for n in range(loose.outputs or 0))
            return Hub(key="hub", name=loose.name, outputs=outputs)
    return None
