"""What comes in a box, said in lines: `adapter, three 8-pin to 16-pin`, `3 fans 120 mm`, `support`,
a drive cage, a bracket."""

from __future__ import annotations

import re
from collections.abc import Mapping
from typing import Any

from ...base.errors import BadInput
from ...things.adapters import Adapter, Backplane, Bracket, Extension
from ...things.boxed import Boxed, LoosePart
from ..own import NO_WORDS
from ..strict.lexer import quoted
from .lines import made
from .loose import head_noun, is_cage, read_cage, read_loose, say_loose

_FANS = re.compile(r"(?:(\d+)\s*(?:x|×)?\s*)?fans?\s*,?\s*(?:(\d+)\s*mm)?", re.IGNORECASE)
_HUB = re.compile(r"(?:fan )?hub(?:\s*(?:for|with)?\s*(\d+)(?: fans| outputs)?)?", re.IGNORECASE)
_NAMED = re.compile(r'"([^"]+)"\s*(.*)')


def read_box(text: str, own: Mapping[str, str] = NO_WORDS) -> tuple[Boxed, ...]:
    """What a box holds, a line each. Raises BadInput."""
    return tuple(read_boxed(line.strip(), own) for line in text.split("\n") if line.strip())


def read_boxed(line: str, own: Mapping[str, str] = NO_WORDS) -> Boxed:
    """One thing of a box. Raises BadInput."""
    kind, _, rest = line.partition(":")
    if kind in ("adapter", "extension", "bracket"):
        return read_loose(kind, rest.strip(), own)
    named = _NAMED.fullmatch(line)
    name, said = (named[1], named[2]) if named else ("", line)
    if (loose := _loose_part(said, name)) is not None:
        return loose
    if is_cage(line):
        return read_cage(line, own)
    noun = head_noun(line)
    if noun is None or noun == "cable":
        need = "an adapter, an extension, a bracket, a drive cage, fans, a hub or a support"
        raise BadInput([("in box", need, repr(line)[:60])])
    return read_loose(noun, line, own)


def _loose_part(said: str, name: str) -> LoosePart | None:
    fields: dict[str, Any] | None = None
    if fans := _FANS.fullmatch(said):
        fields = {"kind": "fan", "name": name or "Fans", "count": int(fans[1] or 1)}
        fields["size_mm"] = int(fans[2]) if fans[2] else None
    elif hub := _HUB.fullmatch(said):
        fields = {"kind": "hub", "name": name or "Fan hub"}
        fields["outputs"] = int(hub[1]) if hub[1] else None
    elif said.lower() in ("support", "card support", "a support"):
        fields = {"kind": "support", "name": name or "Support"}
    return None if fields is None else made(LoosePart, fields)


def say_box(things: tuple[Boxed, ...]) -> str:
    """The lines of a box; they read back to the same."""
    return "\n".join(map(say_boxed, things))


def box_of(text: str) -> tuple[Boxed, ...]:
    """The same of one line, semicolons between. Raises BadInput."""
    return read_box(text.replace("; ", "\n"))


def say_in_line(things: tuple[Boxed, ...]) -> str:
    """The lines of a box in one, semicolons between."""
    return "; ".join(map(say_boxed, things))


def say_boxed(thing: Boxed) -> str:
    """The line of one thing."""
    match thing:
        case LoosePart(kind="fan"):
            size = f" {thing.size_mm} mm" if thing.size_mm else ""
            return f"{quoted(thing.name)} {thing.count} fans{size}"
        case LoosePart(kind="hub"):
            outputs = f" for {thing.outputs} fans" if thing.outputs else ""
            return f"{quoted(thing.name)} hub{outputs}"
        case LoosePart():
            return f"{quoted(thing.name)} support"
        case Backplane():
            return _say_cage(thing)
        case Adapter() | Extension() | Bracket():
            return f"{type(thing).__name__.lower()}: {say_loose(thing)}"


def _say_cage(cage: Backplane) -> str:
    words = {"sata": "sata", "per4": "peripheral"}
    kinds = [words[i.kind] for i in cage.inputs]
    bays = sum(len(i.bays) for i in cage.inputs)
    inputs = ", ".join(f"{kinds.count(k)} {k} plugs" for k in dict.fromkeys(kinds))
    return f"{quoted(cage.name)} cage with {bays} bays, {inputs}"
