"""The edit that makes a build what another one is: a variant, an answer, taken in one step."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from ..base.errors import Refused
from ..things.build import Build
from .base import EditBase


class Become(EditBase):
    """Make a build what another one is; it keeps its own name and note."""

    type: Literal["become"] = "become"
    build: Build
    words: Annotated[str, Field(max_length=300, description="what that is, for the history")] = ""

    def apply(self, build: Build) -> Build:
        """The other one under this one's name. Raises Refused where that is nothing new."""
        then = self.build.model_copy(update={"name": build.name, "note": build.note})
        if then == build:
            raise Refused("It is that already; nothing would change.")
        return then

    def title(self, build: Build) -> str:
        """What it becomes."""
        return f"take {self.words or self.build.name}"
