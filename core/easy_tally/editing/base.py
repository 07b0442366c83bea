"""What every edit is: a build in, a build out, or an error and nothing changed."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from ..base.declared import Model
from ..base.errors import EasyTallyError
from ..things.build import Build

Release = Annotated[
    bool, Field(description="consent to unplug what the edit takes the ground from")
]


class EditBase(Model):
    """An edit as a pure function. One that may unplug something has a field `release`, the
    builder's consent; without it `WouldRelease` names what would go."""

    def apply(self, build: Build) -> Build:
        """Return `build` with this edit made. Raises BadInput, NotThere, Refused, WouldRelease."""
        raise NotImplementedError(type(self).__name__)

    def where_it_goes(self, build: Build) -> Build | None:
        """`build` with this edit made; None where it is refused."""
        try:
            return self.apply(build)
        except EasyTallyError:
            return None

    def title(self, build: Build) -> str:
        """What it does to `build`, for the history: a short phrase."""
        raise NotImplementedError(type(self).__name__)

    def asks_for(self) -> tuple[str, ...]:
        """Uses of plugs, sockets and ports that it asks for, met or not."""
        return ()
