"""A machine as it is wanted: each individual with what it rests on, and each end with where it
goes."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Any, Literal

from ..things.adapters import Backplane, Bracket
from ..things.build import Build
from ..things.cables import Cable
from ..things.case import Case
from ..things.individuals import Individual, individuals
from ..things.parts import (
    ON_HEADER,
    Card,
    Cooler,
    Drive,
    Hub,
    M2Drive,
    Memory,
    Processor,
    Pump,
    UsbLoad,
)
from ..things.parts.common import PartOfBuild
from ..things.supply import Supply
from ..wiring import Between, Feed, Wired
from .record import FIXED

LinkKind = Literal["port", "plug", "head", "header", "data", "lead"]
#: Fields of a case that count leads of its front panel → how its lead is called.
FRONT = {
    "front_usb2": "USB 2 lead of the front panel",
    "front_usb3": "USB 3 lead of the front panel",
    "front_usbc": "USB-C lead of the front panel",
    "front_audio": "Audio lead of the front panel",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Link:
    """An end and where it goes: a plug in a socket, a supply end in its ports, a small lead on its
    header. `feed`: of a plug."""

    end: str
    place: str
    kind: LinkKind
    feed: Feed | None = None


class Machine:
    """A build as individuals, where each stands and where each end goes."""

    def __init__(self, wired: Wired) -> None:
        self.wired = wired
        self.build: Build = wired.build
        self.of: dict[str, Individual] = {i.id: i for i in individuals(self.build)}
        #: Parts and what is between share their keys; cables have keys of their own.
        self._ids = {_called(i.of, i.key, i.instance): i.id for i in self.of.values()}
        self.links: dict[str, Link] = {link.end: link for link in self._links()}
        #: Individual → what it rests on.
        self.rests: dict[str, str] = {
            i.id: place for i in self.of.values() if (place := self._rests(i))
        }
        self.fixed: dict[str, str] = {
            f"{self.cable(c.key)}>": f"{self.supply}/{FIXED}"
            for c in self.build.cables
            if not c.needs and self.build.supply is not None
        }

    def id(self, key: str, instance: int = 1) -> str:
        """The part, or what is between, that the build calls by a key now."""
        return self._ids[PartOfBuild, key, instance]

    def cable(self, key: str) -> str:
        """The cable that the build calls by a key now."""
        return self._ids[Cable, key, 1]

    def _single(self, kind: type) -> str:
        name = kind.__name__.lower()
        return self._ids.get((kind, name, 1), name)

    @cached_property
    def case(self) -> str:
        """The case."""
        return self._single(Case)

    @cached_property
    def supply(self) -> str:
        """The supply."""
        return self._single(Supply)

    @cached_property
    def board(self) -> str:
        """The board."""
        return self.id(self.wired.board.key) if self.wired.board else "board"

    @cached_property
    def where(self) -> Mapping[str, str]:
        """Every end and every individual → where it goes."""
        ends = {end: link.place for end, link in self.links.items()}
        return self.rests | self.fixed | ends

    def instances(self, key: str) -> list[str]:
        """Every individual of a part."""
        part = self.wired.parts.get(key)
        return [self.id(key, n) for n in range(1, (part.count if part else 0) + 1)]

    # -- what rests on what --------------------------------------------------------------

    def _rests(self, i: Individual) -> str:
        thing = i.of
        match thing:
            case Processor() | Memory():
                return self.board
            case M2Drive() | Card():
                return f"{self.board}/{thing.slot}" if thing.slot else self.board
            case Cooler():
                return self.board if is_on_board(thing) else self.case
            case Drive():
                return self._cage_of(i) or self.case
            case Bracket():
                return self.supply if self.build.supply else ""
            case UsbLoad() | Case() | Cable():
                return ""
            case Backplane() | Supply() | PartOfBuild():
                return self.case
        return ""

    def _cage_of(self, i: Individual) -> str:
        """The cage in whose bay a drive stands, if any."""
        for ref in self.wired.inputs_of(i.key, i.instance):
            feed = self.wired.feeds.get(ref.ref)
            carrier = feed.cable if feed else None
            if isinstance(carrier, Between) and carrier.is_backplane:
                return self.id(carrier.key)
        return ""

    # -- what is plugged into what -------------------------------------------------------

    def _links(self) -> Iterator[Link]:
        for run in self.wired.runs:
            if run.ports and run.feeds:
                ports = "+".join(p.key for p in run.ports)
                end = f"{self.cable(run.cable.key)}>"
                yield Link(end=end, place=f"{self.supply}/{ports}", kind="port")
        for feed in self.wired.feeds.values():
            yield self.plug(feed)
        for part in self.wired.parts.values():
            for n in range(1, part.count + 1):
                yield from self._small(part, n)
        if self.build.case is not None:
            for name in FRONT:
                if getattr(self.build.case, name):
                    yield self._lead(self.case, name)
        yield self._lead(self.case, "front-panel")
        if self.build.supply is not None and self.build.supply.telemetry_lead:
            yield self._lead(self.supply, "telemetry")

    def plug(self, feed: Feed) -> Link:
        """A plug, or the half of it that is mated, in its socket."""
        half = "" if feed.half == "whole" else f".{feed.half}"
        at = feed.input.at
        place = f"{self.id(at.part, at.instance)}/{at.socket}"
        end = f"{self.carrier(feed)}/{feed.plug.key}{half}"
        return Link(end=end, place=place, kind="plug", feed=feed)

    def carrier(self, feed: Feed) -> str:
        """What a plug is of: a cable, or what is between."""
        key = feed.cable.key
        return self.cable(key) if isinstance(feed.cable, Cable) else self.id(key)

    def _small(self, part: Any, instance: int) -> Iterator[Link]:
        mine = self.id(part.key, instance)
        if isinstance(part, ON_HEADER) and not part.sockets:
            headers = self.wired.hung.get(part.key, ())
            at = self.id(part.on) if part.on else self.board
            header = headers[instance - 1].key if instance <= len(headers) else "header"
            yield Link(end=f"{mine}/lead", place=f"{at}/{header}", kind="header")
        if isinstance(part, Cooler) and not is_on_board(part):
            yield Link(end=f"{mine}/head", place=f"{self.board}/seat", kind="head")
        if isinstance(part, Drive) and part.data != "expander":
            yield Link(end=f"{mine}/data", place=f"{self.board}/data", kind="data")
        if isinstance(part, UsbLoad) and part.port != "outside":
            yield self._lead(mine, "usb")
        if isinstance(part, Hub | Cooler) and part.usb_lead:
            yield self._lead(mine, "usb")

    def _lead(self, whose: str, name: str) -> Link:
        return Link(end=f"{whose}/{name}", place=f"{self.board}/{name}", kind="lead")


def _called(thing: Any, key: str, instance: int) -> tuple[type, str, int]:
    kind = type(thing)
    return (kind if kind in (Cable, Case, Supply, Bracket) else PartOfBuild), key, instance


def is_on_board(part: Any) -> bool:
    """Whether something is borne by the board alone and comes out of the case with it."""
    if isinstance(part, Cooler):
        return part.radiator_mm == 0
    return isinstance(part, Processor | Memory | M2Drive)


def rides(part: Any) -> bool:
    """Whether something stays on what it rests on while that is moved."""
    return is_on_board(part) or isinstance(part, Drive | Bracket)


def has_pump(part: Any) -> bool:
    """Whether water moves in it."""
    return isinstance(part, Pump) or (isinstance(part, Cooler) and not is_on_board(part))
