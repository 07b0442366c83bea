"""A line sorted into what each of its words says."""

from __future__ import annotations

import re
from dataclasses import dataclass, field
from typing import Any

from ..words import SOCKET_SYNONYMS, SOCKETS

SOCKETS_SAID = re.compile(r"(?:([1-9])x)?(\S+)")


def socket_said(match: re.Match[str], word: str) -> str | None:
    name = SOCKET_SYNONYMS.get(match[2], match[2])
    # A number alone says a socket only behind its `2x`.
    if name not in SOCKETS or word in ("8", "6", "16"):
        return None
    return name


@dataclass(slots=True)
class Said:
    """A line sorted: what each of its words says. Building a part takes out what it uses."""

    words: list[str]
    #: As it was typed.
    line: str = ""
    kinds: list[str] = field(default_factory=list)
    flags: set[str] = field(default_factory=set)
    counts: list[int] = field(default_factory=list)
    several: list[tuple[int, str]] = field(default_factory=list)
    sockets: list[str] = field(default_factory=list)
    figures: list[tuple[str, str, dict[str, Any]]] = field(default_factory=list)
    named: dict[str, dict[str, Any]] = field(default_factory=dict)
    settings: dict[str, str] = field(default_factory=dict)
    bare: list[str] = field(default_factory=list)
    labels: list[tuple[int, str]] = field(default_factory=list)
    #: (word, unit, number) of what goes into the name.
    details: list[tuple[str, str, float]] = field(default_factory=list)
    unknown: list[str] = field(default_factory=list)
    name: str | None = None
    #: Whether it is said back what was understood.
    telling: bool = True

    def take(self, unit: str) -> dict[str, Any] | None:
        """The only figure of a unit, taken out; two of one unit stay, to be asked about."""
        own = [f for f in self.figures if f[1] == unit]
        if len(own) != 1:
            return None
        self.figures.remove(own[0])
        return own[0][2]

    def flag(self, *flags: str) -> bool:
        """Whether one of some words was said; takes it out."""
        said = self.flags & set(flags)
        self.flags -= said
        return bool(said)

    def without(self, *words: str) -> list[str]:
        """The line's words less some, each once."""
        left = list(self.words)
        for word in words:
            if word in left:
                left.remove(word)
        return left

    def left(self) -> list[str]:
        """Words that nothing has taken."""
        return [
            *self.unknown,
            *self.bare,
            *(w for w, _, _ in self.figures),
            *self.named,
            *(w for w, _, _ in self.details),
            *(w for _, w in self.labels),
            *(f"{n}:{v}" for n, v in self.settings.items()),
            *self.sockets,
            *sorted(self.flags),
            *(f"{n} {w}" for n, w in self.several),
        ]

    def form(self) -> str:
        """A drive's form that the line says in inches, or nothing."""
        inches = {f"{f['likely']:g}" for _, unit, f in self.figures if unit == "in"}
        return next((v for v in ("3.5", "2.5") if v in inches or v in self.bare), "")
