"""What is true of every part of a kind, beside its fields: names, and what feeds it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ...standards.connectors import Family


@dataclass(frozen=True, slots=True)
class Called:
    """A name that a part goes by: the words that say it, the one that is printed first; `several`:
    how a list of them is headed, where they are looked for by it."""

    words: tuple[str, ...]
    several: str = ""


@dataclass(frozen=True, slots=True)
class Traits:
    """A kind's row.

    `names`: by what it goes; `name`: what one is called that nobody named, empty where that follows
    from its fields. `fed_by`: families of sockets that one may say it has, none: any.
    `asked_how_fed`: nothing is usual enough to be taken. `has_main_figure`: a number that stands
    alone is its first figure of that unit.
    """

    names: Mapping[str, Called]
    name: str = ""
    fed_by: tuple[Family, ...] = ()
    asked_how_fed: bool = False
    has_main_figure: bool = True

    @property
    def printed(self) -> str:
        """The word that begins its line."""
        return next(iter(self.names.values())).words[0]
