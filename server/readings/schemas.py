"""What the readings' interface takes and gives."""

from __future__ import annotations

from typing import Annotated, Any

from base.formats import BusyOut
from easy_tally.base import State
from easy_tally.editing import Edit
from easy_tally.readings import ChannelWords, Drawn
from ninja import Schema
from pydantic import Field

#: What is said of a set: bounded before anything is made of it.
_Text = Annotated[str, Field(max_length=200)]
#: A time asked for in an address [s].
Seconds = Annotated[float, Field(allow_inf_nan=False)]


class TakenOut(Schema):
    """A set of readings: what it is, how many samples, whether it still comes in."""

    key: str
    name: str
    source: str
    state: str
    said: str
    channels: list[ChannelWords]
    samples: int
    seconds: float
    began: str
    at: str
    problems: list[dict[str, Any]]


class PlaceOut(Schema):
    """A kind of fault, in words, and where in this build it can sit."""

    kind: str
    words: str
    places: list[tuple[str, str]]


class ReadingsOut(Schema):
    """The sets of a build, newest first; what can be measured of it; faults it can have."""

    sets: list[TakenOut]
    channels: list[ChannelWords]
    faults: list[PlaceOut]


class TypedIn(Schema):
    """Figures read off, each of a channel in a state."""

    name: _Text = ""
    rows: list[tuple[_Text, State, float]]


class SimulateIn(Schema):
    """Simulated instruments: how long each state lasts [s], samples a second, from which seed, with
    which fault where."""

    states: list[tuple[State, float]] = [("idle", 30.0), ("everyday", 60.0), ("full", 120.0)]
    rate_hz: float = 10.0
    seed: int = 1
    fault: _Text = ""
    at: _Text = ""


class StreamIn(Schema):
    """Instruments on a local socket, or simulated ones that are started for it."""

    address: _Text = ""
    simulated: bool = False
    name: _Text = ""
    speed: float = 1.0
    seed: int = 1
    fault: _Text = ""
    at: _Text = ""


class NamedIn(Schema):
    """A span of time in a state."""

    from_s: float
    to_s: float
    state: State


class HeadIn(Schema):
    """The first lines of a file."""

    text: str


class ColumnOut(Schema):
    """A column of a file, and what it is taken for; empty: not recognised."""

    head: str
    means: str


class ReadingOut(Schema):
    """A file that is being read. Where it waits for long: why, or on what its reader is."""

    key: str
    state: str
    done: int
    of: int
    taken: str
    problems: list[dict[str, Any]]
    of_problems: int
    error: str
    waits: str
    busy: list[BusyOut]


class DrawnOut(Schema):
    """A channel between two times."""

    channel: str
    drawn: Drawn


class SettledOut(Schema):
    """A figure that readings settle, and the edit that takes it over."""

    of: str
    name: str
    field: str
    now: tuple[float, float, float] | None
    origin: str
    then: tuple[float, float, float]
    unit: str
    instrument: str
    edit: Edit


class NamesIn(Schema):
    """What columns mean, by their heads."""

    names: dict[str, str]
