"""The edit that lays a whole map, with what it needs to be added: one step of the history."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field

from ..base.declared import Key, Model
from ..base.errors import NotThere, Refused
from ..things.adapters import Adapter, Extension
from ..things.build import Build
from ..things.cables import Cable, Connection, Run
from ..things.individuals import another
from ..things.parts import Card
from ..things.same import connected
from ..things.supply import Supply
from .base import EditBase
from .supply import TakeSupply
from .valid import keys_of, remade, set_fields


class Added(Model):
    """What a map stands on beyond the build: cables, adapters, extensions, a house rule, power
    limits of cards as shares of their maker's."""

    cables: Annotated[tuple[Cable, ...], Field(max_length=20)] = ()
    adapters: Annotated[tuple[Adapter, ...], Field(max_length=20)] = ()
    extensions: Annotated[tuple[Extension, ...], Field(max_length=20)] = ()
    house_rules: dict[str, Any] = {}
    power_limits: dict[Key, float] = {}
    supply: Annotated[Supply | None, Field(description="another supply, with `box`")] = None
    box: Annotated[tuple[Cable, ...], Field(max_length=60)] = ()

    def to(self, build: Build) -> Build:
        """The build with it, as it is mapped. Raises BadInput, Refused, NotThere."""
        if self.supply is not None:
            other = TakeSupply(supply=self.supply, cables=self.box, release=True)
            build = other.apply(build)
        taken = {c.key for c in build.cables} | keys_of(build)
        new: tuple[Cable | Adapter | Extension, ...]
        new = (*self.cables, *self.adapters, *self.extensions)
        for thing in new:
            if thing.key in taken:
                raise Refused(f"There is a {thing.key} in this build already; map it again.")
        parts = {p.key: p for p in build.parts}
        for key, limit in self.power_limits.items():
            if not isinstance(parts.get(key), Card):
                raise NotThere(f"There is no card {key} in this build.")
            parts[key] = set_fields(parts[key], {"power_limit": limit}, key, ())
        rules = set_fields(build.house_rules, self.house_rules, "house_rules", ())
        return remade(
            build,
            cables=(*build.cables, *map(another, self.cables)),
            adapters=(*build.adapters, *map(another, self.adapters)),
            extensions=(*build.extensions, *map(another, self.extensions)),
            parts=tuple(parts.values()),
            house_rules=rules,
        )


class TakeMap(EditBase):
    """Lay a map: every run as it is given, and what adapters and extensions are plugged into."""

    type: Literal["take map"] = "take map"
    runs: Annotated[tuple[Run, ...], Field(max_length=200)]
    between: dict[Key, tuple[Connection, ...]] = {}
    added: Added = Added()

    def apply(self, build: Build) -> Build:
        """With the map laid, and what it stands on."""
        whole = self.added.to(build)

        def laid(things: tuple[Any, ...]) -> tuple[Any, ...]:
            return tuple(connected(t, self.between.get(t.key, t.connections)) for t in things)

        return remade(
            whole,
            "map",
            runs=self.runs,
            adapters=laid(whole.adapters),
            extensions=laid(whole.extensions),
        )

    def title(self, build: Build) -> str:
        """The same for all."""
        return "lay the map"
