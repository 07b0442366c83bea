"""What a device may do: every operation that is not named here takes one that may do everything,
and the door itself is the desk's alone."""

from __future__ import annotations

import re
from typing import NamedTuple

_BUILD = "/builds/{key}"
#: What the stations of one build ask for to be looked at, and what they print.
_LOOK = {
    "/here",
    "/reference",
    "/loose",
    "/news/{key}",
    _BUILD,
    *(
        f"{_BUILD}/{end}"
        for end in (
            "rows",
            "candidates",
            "sizes",
            "fit",
            "week",
            "stay",
            "runs/{cable}",
            "offers",
            "positions",
            "assumptions",
            "map",
            "reach",
            "feeds",
            "bench",
            "found",
            "record",
            "photos/{photo}",
            "readings",
            "readings/{taken}",
            "readings/{taken}/held",
            "readings/{taken}/series",
            "readings/{taken}/settled",
            "readings/{taken}/picture.svg",
            "loom.svg",
            "loom.pdf",
            "map.csv",
            "tally.pdf",
            "machine.pdf",
            "bench.pdf",
            "bench.csv",
            "handover.pdf",
            "flags.pdf",
        )
    ),
}
#: What one does at the bench: steps, photos with their bin, readings that are typed.
_BENCH = {
    ("POST", f"{_BUILD}/bench"),
    ("POST", f"{_BUILD}/photos"),
    ("DELETE", f"{_BUILD}/photos/{{photo}}"),
    ("GET", f"{_BUILD}/bin/photos"),
    ("POST", f"{_BUILD}/bin/photos/{{photo}}"),
    ("POST", f"{_BUILD}/readings/typed"),
}
#: What only the desk does, whatever a device may.
_DESK = "/door"


class Operation(NamedTuple):
    """A method and the path of an operation, as the interface's description has it, with the key of
    the build that it is asked for."""

    method: str
    path: str
    build: str = ""


def path_of(route: str) -> str:
    """The path of a Django route, as the interface's description has it."""
    return "/" + re.sub(r"<(?:\w+:)?(\w+)>", r"{\1}", route).removeprefix("api/v1/").lstrip("/")


def may(allows: str, asked: Operation, build: str) -> bool:
    """Whether a device that may do this much, at the door of this build, may do that."""
    if asked.path == _DESK or asked.path.startswith(f"{_DESK}/"):
        return False
    if allows == "everything":
        return True
    if asked.build not in ("", build):
        return False
    if asked.method in ("GET", "HEAD") and asked.path in _LOOK:
        return True
    return allows == "bench" and (asked.method, asked.path) in _BENCH
