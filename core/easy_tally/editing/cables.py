"""Edits of the cables in the bag."""

from __future__ import annotations

from typing import Any, Literal

from ..base.declared import Key
from ..base.errors import NotThere
from ..things.build import Build
from ..things.cables import Cable
from ..things.individuals import another
from .base import EditBase, Release
from .valid import fresh_key, remade, set_fields, settle


class AddCable(EditBase):
    """Add a cable to the bag."""

    type: Literal["add cable"] = "add cable"
    cable: Cable

    def apply(self, build: Build) -> Build:
        """With the cable last."""
        key = fresh_key(self.cable.key, {c.key for c in build.cables})
        cable = another(self.cable, key=key)
        return remade(build, key, cables=(*build.cables, cable))

    def title(self, build: Build) -> str:
        """Its name."""
        return f"add {self.cable.name}"


class ChangeCable(EditBase):
    """Set some fields of a cable."""

    type: Literal["change cable"] = "change cable"
    cable: Key
    changes: dict[str, Any]
    release: Release = False

    def apply(self, build: Build) -> Build:
        """With the fields set."""
        cable = cable_of(build, self.cable)
        changed = set_fields(cable, self.changes, cable.key, fixed=("key",))
        cables = tuple(changed if c.key == cable.key else c for c in build.cables)
        return settle(build, self.release, cable.key, cables=cables)

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"change {name_of(build, self.cable)}"


class RemoveCable(EditBase):
    """Take a cable out of the bag."""

    type: Literal["remove cable"] = "remove cable"
    cable: Key
    release: Release = False

    def apply(self, build: Build) -> Build:
        """Without the cable."""
        cable = cable_of(build, self.cable)
        cables = tuple(c for c in build.cables if c.key != cable.key)
        return settle(build, self.release, cable.key, cables=cables)

    def title(self, build: Build) -> str:
        """The cable's name."""
        return f"remove {name_of(build, self.cable)}"


def cable_of(build: Build, key: str) -> Cable:
    """The cable called `key`. Raises NotThere."""
    cable = build.cable(key)
    if cable is None:
        raise NotThere(f"There is no cable {key} in this build.")
    return cable


def name_of(build: Build, key: str) -> str:
    """The cable's name, or its key where it is gone."""
    cable = build.cable(key)
    return cable.name if cable else key
