"""What has to be asked before a part can be made: one question, and the lines that answer it."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any, NamedTuple

from ...things.parts import Part
from ..words import DRIVE_KINDS, FED_EITHER_WAY, GENERATIONS, HANG, Spans, main_figure
from .building import LEAST_RADIATOR_MM
from .lexer import number, quoted
from .said import SOCKETS_SAID, Said, socket_said


@dataclass(frozen=True, slots=True)
class Entry:
    """What a line was understood as. `part` only when every word is accounted for and nothing
    is open; `unknown` are the words that are not; `question` asks, `choices` are whole lines;
    `named` is the line with the unknown words as the part's name, where nothing else is open."""

    part: Part | None
    understood: str = ""
    unknown: tuple[str, ...] = ()
    question: str = ""
    choices: tuple[str, ...] = ()
    named: str = ""
    #: What was left out since it says nothing of a part: prices, links.
    dropped: tuple[str, ...] = ()
    #: Words that say nothing of the draw and went into the name: an entry may be called so.
    described: tuple[str, ...] = ()
    #: Of those the words that nobody knows: kept as a note, and marked.
    loose: tuple[str, ...] = ()
    #: The things of a line that speaks of several, where each can be added as it stands.
    parts: tuple[Part, ...] = ()
    #: Where a thing belongs that is no part: `supply`, `case`, `cable`, `adapter`, `extension`,
    #: `bracket`.
    goes: str = ""
    #: What proves a row of a list: its total.
    proof: str = ""
    #: Thing by thing where in the line each of its slots stands, where it was read by its tokens.
    spans: tuple[Spans, ...] = field(default=(), compare=False)

    @property
    def taken(self) -> tuple[Part, ...]:
        """The parts that it is taken as: one, several, or none."""
        return self.parts or ((self.part,) if self.part else ())

    @property
    def takes_bytes(self) -> int:
        """About what it takes where it is kept: most of it the part."""
        return 500 if self.part is None else 5_000


class Ask(Exception):
    """Something is open: a question, and the lines that would answer it."""

    def __init__(self, question: str, *choices: list[str]) -> None:
        super().__init__(question)
        self.entry = Entry(None, question=question, choices=tuple(" ".join(c) for c in choices))


def ask_open(kind: str, said: Said) -> None:
    """Ask what has to be known before a part can be made."""
    if kind in DRIVE_KINDS:
        _ask_drive(kind, said)
    if kind in HANG:
        _ask_4pin(said)
    explicit = "sockets" in said.settings or "no-socket" in said.flags
    if kind == "cooler" and not (said.sockets or explicit or _is_liquid(said)):
        _ask_air_or_liquid(said)
    if kind in _ASKED and not _ASKED[kind].is_told(said, explicit):
        asked = _ASKED[kind]
        raise Ask(asked.question, *([*said.words, word] for word in asked.words))
    if kind in FED_EITHER_WAY and not (said.sockets or explicit or "header" in said.flags):
        question = "What feeds it: a SATA plug, a 4-pin peripheral plug, or a header?"
        raise Ask(question, *([*said.words, w] for w in ("sata", "peripheral", "header")))


class _Asked(NamedTuple):
    """What is asked of a kind where a line does not tell it, and the words that answer."""

    question: str
    words: tuple[str, ...]
    is_told: Callable[[Said, bool], bool]


def _tells_its_sockets(said: Said, explicit: bool) -> bool:
    return bool(said.sockets) or explicit or "slot-only" in said.flags


def _tells_how_its_processor_is_fed(said: Said, explicit: bool) -> bool:
    told = {"8pin", "cpu8", "4pin", "cpu4"} & set(said.sockets)
    return bool(told) or explicit or "no-cpu" in said.flags


def _tells_its_generation(said: Said, _: bool) -> bool:
    return bool(said.flags & set(GENERATIONS))


def _tells_its_volts(said: Said, _: bool) -> bool:
    return any(unit == "v" for _, unit, _ in said.figures)


_ASKED: dict[str, _Asked] = {
    "card": _Asked(
        "Which power sockets does the card have?",
        ("16pin", "2x8pin", "8pin", "slot-only"),
        _tells_its_sockets,
    ),
    "board": _Asked(
        "How many 8-pin processor sockets?", ("8pin", "2x8pin"), _tells_how_its_processor_is_fed
    ),
    "memory": _Asked(
        "Which generation is it?",
        ("ddr5", "ddr5 registered", "ddr4", "ddr3"),
        _tells_its_generation,
    ),
    "strip": _Asked("A strip at 5 V or at 12 V?", ("5v", "12v"), _tells_its_volts),
}


def _ask_drive(kind: str, said: Said) -> None:
    words = said.words
    if len(said.sockets) > 1:
        n = len(said.sockets)
        rest = said.without(
            *(w for w in words if (m := SOCKETS_SAID.fullmatch(w)) and socket_said(m, w))
        )
        raise Ask(f"{n} drives, each with one plug?", [*rest, said.sockets[0], f"x{n}"])
    if kind == "drive" and not said.form():
        raise Ask("Which drive: 3.5-inch or 2.5-inch?", [*words, "3.5in"], [*words, "2.5in"])
    if kind == "ssd" and not (said.form() or said.sockets):
        rest = [re.sub(r"^([0-9]+) ssds$", r"x\1", w) for w in said.without("ssd", "ssds")]
        raise Ask("A 2.5-inch drive, or one in an M.2 slot?", [*words, "2.5in"], [*rest, "m.2"])


def _is_liquid(said: Said) -> bool:
    """Whether a cooler is said to be a liquid one: by its name, its radiator, its pump."""
    sizes = [f["likely"] for _, u, f in said.figures if u == "mm"]
    sizes += [number(b) for b in said.bare]
    names = {"aio", "radiator", "pump"} & {w.partition(":")[0] for w in said.words}
    figures = {"pump", "controller"} & said.named.keys()
    sized = any(size >= LEAST_RADIATOR_MM for size in sizes)
    return bool(names or figures or sized or "fans" in said.settings)


def _ask_air_or_liquid(said: Said) -> None:
    """Of a cooler by air its fan draws; a liquid one has a pump too."""
    fans = [f"{n} {w}s" for n, w in said.several if w == "fan"]
    count = [f"x{n}" for n, w in said.several if w == "fan" and n > 1]
    no_air = ("cooler", "coolers", "cpu", "processor", "header", "fan", *fans)
    name = [] if said.name is not None else [quoted("Air cooler")]
    own = (w.removeprefix("fan:") for w in said.without(*no_air))
    air = ["fan", *own, *name, *count]
    liquid = ["aio", *said.without("cooler", "coolers", "cpu", "processor")]
    feeds = ("header",) if "header" in said.flags else ("sata", "peripheral", "header")
    raise Ask(
        "An air cooler, or a liquid one, and what feeds it?",
        air,
        *([*(w for w in liquid if w != f), f] for f in feeds),
    )


def _ask_4pin(said: Said) -> None:
    """A 4-pin plug of a fan is a peripheral plug or a fan header's; `header` tells."""
    if "4pin" not in said.sockets:
        return
    if "header" in said.flags:
        said.sockets = [w for w in said.sockets if w != "4pin"]
        return
    plugs = [w for w in said.words if re.fullmatch("([1-9]x)?4-?pin", w)]
    rest, count = said.without(*plugs), said.sockets.count("4pin")
    named = "peripheral" if count == 1 else f"{count}xperipheral"
    raise Ask("A header, or a 4-pin peripheral plug?", [*rest, "header"], [*rest, named])


def ask_bare(kind: str, said: Said, fields: dict[str, Any]) -> None:
    """A number without a unit that nothing has taken."""
    if not said.bare:
        return
    value = said.bare[0]
    said_of = {unit for _, unit, _ in said.figures}
    mains = {u: m for u in ("w", "a") if (m := main_figure(kind, u))}
    units = [u for u, m in mains.items() if u not in said_of and m.field not in fields]
    if units == ["a"]:
        units = ["a", "w"]  # as often said in watts
    ways = [f"{value}{u}" for u in units]
    if number(value).is_integer() and 2 <= number(value) <= 64:
        ways.append(f"x{int(number(value))}")
    at = said.words.index(value)
    raise Ask(f"{value} of what?", *([*said.words[:at], w, *said.words[at + 1 :]] for w in ways))
