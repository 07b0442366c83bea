"""The edit that puts another of the same make in the place of a thing: its figures stay."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field

from ..base.declared import Key
from ..base.errors import NotThere
from ..things.build import Build
from ..things.individuals import another
from .base import EditBase

_SINGLE = ("supply", "case", "bracket")


class Exchange(EditBase):
    """Exchange a thing for another of the same make: it is called and plugged as before, but what
    was done to the old one was not done to it."""

    type: Literal["exchange"] = "exchange"
    of: Literal["supply", "case", "bracket", "part", "cable", "adapter", "extension", "backplane"]
    key: Annotated[Key | None, Field(description="of what there are several of")] = None
    instance: Annotated[int | None, Field(ge=1, le=64, description="one of several alike")] = None

    def apply(self, build: Build) -> Build:
        """With another one in its place."""
        name, thing = self._found(build)
        if self.instance is None:
            changed = another(thing)
        else:
            if self.of != "part" or self.instance > thing.count:
                raise NotThere(f"There is no {self.key} {self.instance} in this build.")
            times = tuple(sorted((*thing.exchanged, self.instance)))
            changed = thing.model_copy(update={"exchanged": times})
        if name == self.of:
            return build.model_copy(update={name: changed})
        things = getattr(build, name)
        return build.model_copy(update={name: tuple(changed if t is thing else t for t in things)})

    def title(self, build: Build) -> str:
        """Its name."""
        return f"exchange {self._found(build)[1].name}"

    def _found(self, build: Build) -> tuple[str, Any]:
        """The field of a build that a thing stands in, and the thing. Raises NotThere."""
        name = self.of if self.of in _SINGLE else f"{self.of}s"
        held = getattr(build, name)
        several = held if isinstance(held, tuple) else (held,)
        for thing in several:
            if thing is not None and (self.of in _SINGLE or thing.key == self.key):
                return name, thing
        raise NotThere(f"There is no {self.key or self.of} in this build.")
