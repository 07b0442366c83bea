"""The edit of a figure that somebody found out: printed on a wire, read off a tape measure."""

from __future__ import annotations

from typing import Annotated, Any, Literal, get_args

from pydantic import Field

from ..base.declared import Key, Model
from ..base.errors import NotThere
from ..things.build import Build
from ..things.case import Area, Route
from ..usual import WHOLE, FactOf
from .base import EditBase
from .valid import remade, set_fields

#: Fields that are found out, as a file calls them.
FoundField = Literal[
    "gauge",
    "at_mm",
    "length_mm",
    "height_mm",
    "routes",
    "headers",
    "outputs",
    "flow_m3h",
    "covers",
    "card_length_mm",
    "card_height_mm",
    "supply_length_mm",
    "slots",
    "bays_35",
    "bays_25",
]
_LISTS: dict[FactOf, str] = {
    "cable": "cables",
    "adapter": "adapters",
    "extension": "extensions",
    "part": "parts",
}
_WORDS: dict[FoundField, str] = {
    "gauge": "the gauge",
    "at_mm": "how far a plug reaches",
    "length_mm": "the length",
    "routes": "a way through the case",
    "headers": "what a header gives",
    "outputs": "what an output gives",
    "flow_m3h": "the air it moves",
    "covers": "the slot places",
    "height_mm": "the height",
    "card_length_mm": "the room for a card’s length",
    "card_height_mm": "the room for a card’s height",
    "supply_length_mm": "the room for the supply",
    "slots": "the slot places",
    "bays_35": "the 3.5-inch bays",
    "bays_25": "the 2.5-inch places",
}


class FindOut(EditBase):
    """Set one figure that nobody had measured, of one thing or of several that are alike; `at`: of
    a plug, a header or an area. In the unit of the field."""

    type: Literal["find out"] = "find out"
    of: FactOf
    keys: Annotated[tuple[Key, ...], Field(max_length=200)] = ()
    at: Annotated[str, Field(max_length=60)] = ""
    field: FoundField
    value: Annotated[float, Field(gt=0, le=5000)]

    def apply(self, build: Build) -> Build:
        """With the figure set. Raises BadInput, NotThere."""
        if self.of in ("case", "supply"):
            thing = getattr(build, self.of)
            if thing is None:
                raise NotThere(f"There is no {self.of} in this build.")
            told = set_fields(thing, self._changes(thing), self.of, ())
            return remade(build, self.of, **{self.of: told})
        name = _LISTS[self.of]
        things = {t.key: t for t in getattr(build, name)}
        for key in self.keys:
            if key not in things:
                raise NotThere(f"There is no {self.of} {key} in this build.")
            things[key] = set_fields(things[key], self._changes(things[key]), key, ("key",))
        return remade(build, self.keys[0] if self.keys else name, **{name: tuple(things.values())})

    def title(self, build: Build) -> str:
        """What is found, and of what."""
        things = getattr(build, _LISTS[self.of]) if self.of in _LISTS else ()
        names = [t.name for t in things if t.key in self.keys]
        whose = f" of {names[0]}" if len(names) == 1 else f" of {len(names)}" if names else ""
        return f"find out {_WORDS[self.field]}{whose}"

    def _changes(self, thing: Model) -> dict[str, Any]:
        match self.field:
            case "at_mm":
                return {"plugs": self._in_list(thing, "plugs", "at_mm", self.value)}
            case "headers" | "outputs":
                amps = {"low": self.value, "likely": self.value, "high": self.value}
                return {self.field: self._in_list(thing, self.field, "limit_a", amps)}
            case "routes":
                return {"routes": self._routes(thing)}
        return {self.field: int(self.value) if self.field in WHOLE else self.value}

    def _in_list(self, thing: Model, name: str, field: str, value: Any) -> list[Any]:
        """Its plugs or headers, with the figure of one of them. Raises NotThere."""
        things = getattr(thing, name, ())
        if self.at not in {t.key for t in things}:
            raise NotThere(f"There is no {self.at} of it in this build.")
        return [t.model_dump() | ({field: value} if t.key == self.at else {}) for t in things]

    def _routes(self, thing: Model) -> list[Any]:
        if self.at not in get_args(Area):
            raise NotThere(f"There is no way to {self.at!r} in a case.")
        there: tuple[Route, ...] = getattr(thing, "routes", ())
        others = [r.model_dump() for r in there if r.area != self.at]
        return [*others, {"area": self.at, "length_mm": self.value}]
