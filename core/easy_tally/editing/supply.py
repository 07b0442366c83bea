"""Edits of the supply."""

from __future__ import annotations

from typing import Any, Literal

from ..base.errors import NotThere, WouldRelease
from ..things.build import Build
from ..things.cables import Cable
from ..things.individuals import another
from ..things.supply import Supply
from ..wiring import Wired
from .base import EditBase, Release
from .valid import fresh_key, remade, set_fields, settle


class TakeSupply(EditBase):
    """Put a supply in, with the cables from its box, in place of the one there is."""

    type: Literal["take supply"] = "take supply"
    supply: Supply
    cables: tuple[Cable, ...] = ()
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the supply and its cables. Cables of the old family leave with their supply; others
        in the bag stay."""
        old = build.supply.family if build.supply else None
        stay = [c for c in build.cables if c.family != old]
        # Keys of the cables that leave are not given again: a key is one thing in a history.
        keys = {c.key for c in build.cables}
        arrive: list[Cable] = []
        for new in self.cables:
            key = fresh_key(new.key, keys)
            keys.add(key)
            arrive.append(another(new, key=key))
        wired = Wired(build)
        plugged = [f"{f.cable.name} from {wired.words(f.input.ref)}" for f in wired.feeds.values()]
        if plugged and not self.release:
            raise WouldRelease(plugged)
        return remade(
            build, "supply", supply=another(self.supply), cables=(*stay, *arrive), runs=()
        )

    def title(self, build: Build) -> str:
        """Its name."""
        return f"take {self.supply.name}"


class ChangeSupply(EditBase):
    """Set some fields of the supply."""

    type: Literal["change supply"] = "change supply"
    changes: dict[str, Any]
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the fields set."""
        if build.supply is None:
            raise NotThere("There is no supply in this build.")
        supply = set_fields(build.supply, self.changes, "supply", ())
        return settle(build, self.release, "supply", supply=supply)

    def title(self, build: Build) -> str:
        """The same for all of these."""
        return "change supply"
