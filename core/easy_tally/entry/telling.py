"""A part in a sentence: what a line was understood as."""

from __future__ import annotations

import re
from collections.abc import Iterable

from ..base.saying import number
from ..standards.connectors import CONNECTORS
from ..standards.signals import SIGNAL_FIELDS, SIGNAL_WORDS, SignalKind
from ..tally.loads import loads
from ..tally.sums import tally
from ..things.build import Build
from ..things.parts import HEADER_WORDS, IN_SLOTS, KINDS, ON_HEADER, Board, Hub, Part
from ..wiring import Wired
from .printer import measures_said
from .words import FIGURES


def understood(part: Part, name: bool = True) -> str:
    """Count, name (unless it stands beside), what feeds it, the figures that are known, and the
    watts of all together."""
    each = f"{part.count} × " if part.count > 1 else ""
    said = [f"{each}{part.name}"] if name else []
    said += [*fed_by(part), *_outputs(part), *figures_told(part), *measures_told(part)]
    end = in_all(part)
    return f"{', '.join(said)}: {end}" if said else end


def in_all(part: Part) -> str:
    """The watts of all of a part together, at full load."""
    watts = full_w((part,))
    return "watts not known yet" if watts is None else f"{number(watts, 'W')} in all"


def full_w(parts: Iterable[Part]) -> float | None:
    """What some parts draw together at full load, likely [W]; None where there are none, or one of
    them is not known."""
    each = [_full_w(part) for part in parts]
    known = [w for w in each if w is not None]
    return sum(known) if each and len(known) == len(each) else None


def _full_w(part: Part) -> float | None:
    bare = part
    if isinstance(part, ON_HEADER):
        bare = part.model_copy(update={"headers": (), "on": None})
    elif isinstance(part, IN_SLOTS):
        bare = part.model_copy(update={"slot": None})
    wired = Wired(Build(name="x", parts=(bare,)))
    full = tally(wired, loads(wired)).total
    return None if full.missing else full.at("full").likely


def fed_by(part: Part) -> list[str]:
    """What feeds a part, in words."""
    if not part.sockets:
        return ["on a header"] if isinstance(part, ON_HEADER) else []
    kinds = [s.kind for s in part.sockets]
    return [
        f"{n} × {CONNECTORS[k].words}" if (n := kinds.count(k)) > 1 else CONNECTORS[k].words
        for k in dict.fromkeys(kinds)
    ]


def _several(kind: SignalKind, n: int) -> str:
    return f"{n or 'no'} {SIGNAL_WORDS[kind][n != 1]}"


def _outputs(part: Part) -> list[str]:
    outputs = []
    if isinstance(part, Board):
        outputs += [f"slots {' '.join(f'x{s.lanes}' for s in part.slots)}"] if part.slots else []
        m2 = None if part.m2_slots is None else len(part.m2_slots)
        outputs += [] if m2 is None else [_several("m2", m2)]
    for signal, field in SIGNAL_FIELDS.items():
        n = getattr(part, field, None)
        outputs += [_several(signal, n)] if isinstance(n, int) else []
    headers = part.headers if isinstance(part, Board) else ()
    headers = part.outputs if isinstance(part, Hub) else headers
    kinds = [h.kind for h in headers]
    for kind in dict.fromkeys(kinds):
        n = kinds.count(kind)
        several = f"{n} header{'' if n == 1 else 's'}"
        lights = kind in ("lights-5v", "lights-12v")
        words = HEADER_WORDS[kind]
        outputs.append(f"{several} for {words}" if lights else several.replace(" ", f" {words} "))
    return outputs


def measures_told(part: Part) -> list[str]:
    """How large a part is, where it is mounted, which way it blows, in words."""
    fields = {f.said: f for f in KINDS[part.kind].fields}
    told = []
    for word, _, value in (w.partition(":") for w in measures_said(part)):
        field = fields[word]
        value = str(dict(field.choices).get(getattr(part, field.name), value))
        told.append(field.told.format(value))
    return told


def figures_told(part: Part) -> list[str]:
    """The figures of a part that are known, in words."""
    words = []
    for named in FIGURES[part.kind]:
        figure = getattr(part, named.field)
        if figure is None:
            continue
        unit = named.unit.upper()
        low, likely, high = (f"{round(x, 3):g}" for x in (figure.low, figure.likely, figure.high))
        value = f"{likely} {unit}"
        if figure.low != figure.high:
            value = f"{low} to {high} {unit}, likely {likely}"
        origin = "" if figure.origin == "maker" else f" {figure.origin}"
        word = re.sub("(?<=[0-9])v$", " V", named.word)
        word = re.sub("^-", "−", word).replace("-", " ")
        words.append(f"{word} {value}{origin}")
    return words
