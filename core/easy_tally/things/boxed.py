"""What comes in the box of a part, a case or a supply beside itself: at hand, though in no use."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Discriminator, Field, Tag

from ..base.declared import Model, Name
from .adapters import Adapter, Backplane, Bracket, Extension


class LoosePart(Model):
    """Fans, a hub, or a support that lie in a box."""

    kind: Literal["fan", "hub", "support"]
    name: Name
    count: Annotated[int, Field(ge=1, le=12)] = 1
    size_mm: Annotated[int | None, Field(ge=20, le=400, description="of fans")] = None
    outputs: Annotated[int | None, Field(ge=1, le=32, description="of a hub, for fans")] = None


Boxed = Adapter | Extension | Backplane | Bracket | LoosePart
#: Field that one kind alone has → how the path to it is called.
_TELLS = {"leads": "adapter", "length_mm": "extension", "inputs": "cage", "form": "bracket"}
_NAMES: dict[type, str] = {
    Adapter: "adapter",
    Extension: "extension",
    Backplane: "cage",
    Bracket: "bracket",
    LoosePart: "loose",
}


def _called(given: Any) -> str:
    """Which of them something is, by what it has."""
    if not isinstance(given, dict):
        return _NAMES.get(type(given), "loose")
    if given.get("kind") in ("fan", "hub", "support"):
        return "loose"
    kind = next((called for name, called in _TELLS.items() if name in given), "")
    return kind or ("extension" if "kind" in given else "loose")


_Boxed = Annotated[
    Annotated[Adapter, Tag("adapter")]
    | Annotated[Extension, Tag("extension")]
    | Annotated[Backplane, Tag("cage")]
    | Annotated[Bracket, Tag("bracket")]
    | Annotated[LoosePart, Tag("loose")],
    Discriminator(_called),
]
#: What a box holds, in the order of its page.
InBox = Annotated[
    tuple[_Boxed, ...], Field(max_length=20, description="what comes in its box beside itself")
]
#: Fields in which two things that are the same may differ.
_APART = {"key", "connections", "owned", "individual", "to_buy"}


def alike(a: Boxed, b: Boxed) -> bool:
    """Whether two are the same thing, whatever they are called by and plugged into."""
    return type(a) is type(b) and a.model_dump(exclude=_APART) == b.model_dump(exclude=_APART)
