"""A build: parts, supply, cables, map, and the rules and assumptions it is judged by."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Annotated, Literal, Self

from pydantic import Field, model_validator

from ..base.declared import Model, Name, Note
from .adapters import Adapter, Backplane, Bracket, Extension
from .assumed.assumptions import Assumptions
from .cables import Cable, Run, SocketRef
from .case import Case
from .forgotten import Topic
from .integrity import problems
from .parts import Board, Part, Socket
from .place import Place
from .rules import HouseRules
from .supply import Supply

FORMAT = "easy-tally-build"
FORMAT_VERSION = 2
#: Sockets of all instances of all parts at the most; every list has its own bound.
MOST_SOCKETS = 2_000


class Build(Model):
    """Everything that one build file holds. References are checked when it is made.

    What is plugged into what is worked out in `wiring.Wired`, once; here things are looked up by
    their key only.
    """

    format: Literal["easy-tally-build"] = "easy-tally-build"
    version: Literal[2] = 2
    name: Name
    note: Note = ""
    house_rules: HouseRules = HouseRules()
    assumptions: Assumptions = Assumptions()
    spin_up_at_once: Annotated[
        int | None,
        Field(ge=1, le=64, description="disks that spin up at a time; none: all at once"),
    ] = None
    none_here: Annotated[
        tuple[Topic, ...], Field(max_length=20, description="what the build is known not to have")
    ] = ()
    case: Case | None = None
    place: Place = Place()
    bracket: Annotated[
        Bracket | None, Field(description="by which the supply is mounted, if any")
    ] = None
    parts: Annotated[tuple[Part, ...], Field(max_length=400)] = ()
    supply: Supply | None = None
    cables: Annotated[tuple[Cable, ...], Field(max_length=200)] = ()
    adapters: Annotated[tuple[Adapter, ...], Field(max_length=60)] = ()
    extensions: Annotated[tuple[Extension, ...], Field(max_length=60)] = ()
    backplanes: Annotated[tuple[Backplane, ...], Field(max_length=20)] = ()
    runs: Annotated[tuple[Run, ...], Field(max_length=200)] = ()

    def part(self, key: str) -> Part | None:
        """The part called `key`."""
        return next((p for p in self.parts if p.key == key), None)

    def cable(self, key: str) -> Cable | None:
        """The cable called `key`."""
        return next((c for c in self.cables if c.key == key), None)

    def run(self, cable: str) -> Run | None:
        """The run of the cable called `cable`, if it is plugged in."""
        return next((r for r in self.runs if r.cable == cable), None)

    def board(self) -> Board | None:
        """The build's board."""
        return next((p for p in self.parts if isinstance(p, Board)), None)

    def sockets(self) -> Iterator[tuple[SocketRef, Socket]]:
        """Every socket of every instance, in the order of the parts."""
        for part in self.parts:
            for instance in range(1, part.count + 1):
                for socket in part.sockets:
                    yield (
                        SocketRef.model_construct(
                            part=part.key, instance=instance, socket=socket.key
                        ),
                        socket,
                    )

    def sockets_in_all(self) -> int:
        """How many sockets all instances of its parts have."""
        return sum(p.count * len(p.sockets) for p in self.parts)

    def problems(self) -> list[str]:
        """What does not hold between the things of this build; empty when all does."""
        return list(problems(self))

    @model_validator(mode="after")
    def _references_hold(self) -> Self:
        sockets = self.sockets_in_all()
        if sockets > MOST_SOCKETS:
            raise ValueError(
                f"at most {MOST_SOCKETS:,} sockets in a build; these parts have {sockets:,}"
            )
        problem = next(problems(self), None)
        if problem is not None:
            raise ValueError(problem)
        return self
