"""What is sold by itself, said in a line: adapters, extensions, brackets."""

from __future__ import annotations

from typing import Any, get_args

from ...standards.connectors import PlugKind
from ...standards.forms import SupplyForm
from ...things.adapters import Adapter, Bracket, CodeAt, Extension, Lead
from ...wiring import never_made
from .cables import read_pins, read_plugs, say_pins, say_plug
from .lines import (
    Unread,
    Word,
    fields_of,
    line_of,
    listed,
    made,
    numbers,
    one_of,
    pairs_of,
    said_yes,
    several,
    values_of,
    whole,
    yes,
)


def _lead(text: str) -> dict[str, Any]:
    key, _, kind = text.partition("=")
    kind, _, pins = kind.partition("!")
    return {"key": key, "kind": kind} | ({"pins_12v": whole(pins)} if pins else {})


def _say_lead(lead: Lead) -> str:
    pins = "" if lead.pins_12v is None else f"!{lead.pins_12v}"
    return f"{lead.key}={lead.kind}{pins}"


def _code(text: str) -> dict[str, int]:
    leads, _, watts = text.partition("=")
    return {"leads": whole(leads), "watts": whole(watts)}


def _say_code(c: CodeAt) -> str:
    return f"{c.leads}={c.watts}"


_WIRES: tuple[Word, ...] = (
    Word("key", "key"),
    Word("awg", "gauge", "", whole, str),
    Word("wires", "conductors", "", read_pins, say_pins),
    numbers("insulation", "insulation_degc", "°C"),
    Word("note", "note"),
)
ADAPTER_WORDS: tuple[Word, ...] = (
    Word("leads", "leads", "", several(_lead), listed(_say_lead)),
    Word("plugs", "plugs", "", read_plugs, listed(say_plug)),
    Word("codes", "codes", "", several(_code), listed(_say_code)),
    Word("moulded", "moulded", "", yes, said_yes),
    *_WIRES,
)
EXTENSION_WORDS: tuple[Word, ...] = (
    Word("kind", "kind", "", one_of(*get_args(PlugKind))),
    numbers("length", "length_mm", "mm"),
    *_WIRES,
)
_form = one_of(*get_args(SupplyForm))
BRACKET_WORDS: tuple[Word, ...] = (
    Word("form", "form", "", _form),
    Word("place", "place", "", _form),
)

Loose = Adapter | Extension | Bracket
_KINDS: dict[str, tuple[type[Any], tuple[Word, ...]]] = {
    "adapter": (Adapter, ADAPTER_WORDS),
    "extension": (Extension, EXTENSION_WORDS),
    "bracket": (Bracket, BRACKET_WORDS),
}


def read_loose(kind: str, line: str) -> Loose:
    """An adapter, an extension or a bracket. Raises Unread."""
    kind_of_thing, words = _KINDS[kind]
    values, rest = pairs_of(line, words)
    if rest:
        said = ", ".join(w.word for w in words)
        raise Unread([(rest[:60], f"a name in quotes, and words of {said}", "no such word")])
    fields = fields_of(words, values) | {"name": values.get("name", "")}
    if "key" in kind_of_thing.model_fields:
        fields.setdefault("key", kind)
    loose: Loose = made(kind_of_thing, fields)
    if isinstance(loose, Adapter) and (reason := never_made(loose)):
        raise Unread(
            [(loose.name, "a thing that may be plugged in", f"one that never may; {reason}")]
        )
    return loose


def say_loose(thing: Loose) -> str:
    """The line of one; it reads back to the same."""
    _, words = _KINDS[type(thing).__name__.lower()]
    return line_of(thing.name, values_of(words, thing))
