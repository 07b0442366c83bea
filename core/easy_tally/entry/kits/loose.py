"""What is sold by itself, said in a line: adapters, extensions, brackets."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any, Literal, cast, get_args

from ...standards.connectors import CONNECTORS, PLUGS, PlugKind, SocketKind, is_coded
from ...standards.forms import SupplyForm
from ...things.adapters import Adapter, Backplane, Bracket, CodeAt, Extension, Lead
from ...wiring import never_made
from ..line import Amount, Line, Misread, Rows
from ..own import NO_WORDS
from .cables import read_pins, read_plugs, say_pins, say_plug, usual_pins
from .heard import Grammar, Told, lengths, read_by
from .lexicon import BY_USE, KITS
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


# -- as people say it ----------------------------------------------------------------------


def _mm(x: Amount, *_: Any) -> float:
    return round(x.likely * 25.4) if x.unit == "in" else x.likely


def _several(n: int | None, kind: str, *_: Any) -> tuple[int, str]:
    return (1 if n is None else n), kind


def _by_use(n: int | None, use: str, pins: float, *_: Any) -> tuple[int, str] | None:
    kind = BY_USE.get((use, int(pins)))
    return None if kind is None else _several(n, kind)


_WIRES_SAID = (
    ("length", "Q.mm,in", 2.0, _mm),
    ("awg", "Q.awg", 2.2, lambda x: f"{x.likely:g}"),
    ("awg", "awg _ N", 2.2, lambda n: f"{n:g}"),
    ("insulation", "N ° c", 2.4, lambda n: f"{n:g}"),
    ("insulation", "N c", 2.0, lambda n: f"{n:g}"),
    ("plugs", "I? x? <plug> <plugs>?", 2.4, _several),
    ("plugs", "I? x? <plug> <cable>", 2.4, _several),
    ("plugs", "<multiple> <plug> <plugs>?", 3.4, lambda n, kind, _: (int(n), kind)),
    ("plugs", "I? x? <plug> <use> <plugs>?", 3.0, _several),
    ("plugs", "I? x? <use> N <pins>? <plugs>?", 3.4, _by_use),
    ("plugs", "I? x? N <pins> <use> <plugs>?", 3.4, lambda n, p, _, u, __: _by_use(n, u, p)),
    ("plugs", "<plug> x I", 3.0, lambda kind, n: (n, kind)),
    ("use", "<use>", 1.4, str),
    ("told", "<cable>", 0.4, lambda _: ""),
    ("told", "<plugs>", 0.2, lambda _: ""),
    ("told", "<native>", 0.2, lambda _: ""),
    ("told", "<adapter>", 1.4, lambda _: ""),
    ("told", "<extension>", 1.4, lambda _: ""),
)
_ADAPTER = Grammar(
    Rows(
        *_WIRES_SAID,
        ("to", "<to>", 1.4, lambda _: ""),
        ("from", "<from>", 1.2, lambda _: ""),
        ("ways", "I <to> I", 3.4, lambda n, _, m: m if n == 1 else None),
        ("ways", "I way|ways|- way", 2.4, int),
        ("splitter", "<splitter>", 1.6, lambda _: ""),
        ("code", "Q.w", 1.8, lambda x: f"{x.likely:g}"),
        ("moulded", "<moulded>", 1.8, str),
    ),
    "words of an adapter: 2 x 8-pin to 16-pin, mm, awg, W",
    (lengths,),
)
_EXTENSION = Grammar(
    # What it is sold for limits it nowhere here: its plugs and wires do; it is kept as a note.
    Rows(*_WIRES_SAID, ("loose", "Q.w", 0.6, lambda _: "")),
    "words of an extension: its plug, mm, awg",
)
_BRACKET = Grammar(
    Rows(
        ("form", "<form>", 2.0, str),
        ("place", "<form> opening|place|case|bay|slot", 3.6, str),
        ("held", "<form> <supply>", 3.6, lambda form, _: form),
        ("to", "<to>", 1.0, lambda _: ""),
        ("to", "in|into|inside", 1.0, lambda: ""),
        ("for", "for|holds|of", 2.0, lambda: ""),
        ("told", "<bracket>", 1.4, lambda _: ""),
        ("told", "<supply>", 0.6, lambda _: ""),
        ("told", "place|case|adapter|plate|opening", 0.6, lambda: ""),
    ),
    "words of a bracket: SFX to ATX",
)


def _adapter_said(told: Told) -> dict[str, Any]:
    """Fields of an adapter. Raises Misread, Unread."""
    ways = told.one("ways")
    ends = _ends(told)
    if told.of("splitter") or (ways and len(ends[0]) == 1 and not ends[1]):
        kinds = ends[0] or ends[1]
        if len(set(kinds)) != 1:
            raise Misread
        leads, plugs = kinds[:1], kinds[:1] * (ways.value if ways else 2)
    else:
        leads, plugs = ends
        if ways:
            raise Misread
    if not leads or not plugs:
        wanted = "what goes into what, as 2 x 8-pin to 16-pin"
        raise Unread([("adapter", wanted, repr(told.line.raw)[:60])])
    return _adapter_of(told, leads, plugs)


def _ends(told: Told) -> tuple[list[str], list[str]]:
    """Kinds of plugs that go into an adapter, and its own: before and behind `to`, or the other way
    round with `from`. Raises Misread."""
    turns = told.of("to", "from")
    if len(turns) > 1:
        raise Misread
    sides: tuple[list[str], list[str]] = ([], [])
    ends = told.of("plugs", "use")
    for at, slot in enumerate(ends):
        if at and slot.role == "use" and slot.at == ends[at - 1].to:
            continue  # `6 pin pcie`
        n, kind = slot.value if slot.role == "plugs" else (1, slot.value)
        sides[bool(turns) and slot.at > turns[0].at].extend([kind] * n)
    return (sides[1], sides[0]) if turns and turns[0].role == "from" else sides


#: A plug that is said → the lead that takes it.
_LEADS = {
    **dict.fromkeys(("8", "pcie8", "pcie6+2"), "pcie8"),
    **dict.fromkeys(("4", "per4"), "per4"),
    **{kind: kind for kind in ("pcie6", "sata", "fdd4")},
}
#: Keys of an adapter's leads and of its plugs: as many as it has of them.
_LEAD_KEYS, _PLUG_KEYS = "abcd", "xyzuvwst"


def _adapter_of(told: Told, leads: list[str], plugs: list[str]) -> dict[str, Any]:
    """Fields of an adapter by its ends. Raises Unread."""
    for things, keys, got in (("leads", _LEAD_KEYS, leads), ("plugs", _PLUG_KEYS, plugs)):
        if len(got) > len(keys):
            raise Unread([(things, f"at most {len(keys)} of an adapter", str(len(got)))])
    taken = [_LEADS.get(kind) for kind in leads]
    if None in taken:
        wanted = "leads of 8-pin, 6-pin, peripheral, SATA or floppy"
        raise Unread([("leads", wanted, f"{leads[taken.index(None)]}")])
    kinds = [_plug_kind(kind) for kind in plugs]
    said = [s.value for s in told.of("length")]
    for slot in told.of("lengths"):
        said += slot.value
    if said and len(said) not in (1, len(kinds)):
        raise Unread([("length", f"one, or {len(kinds)} as it has plugs", str(len(said)))])
    away = said if len(said) == len(kinds) else (said or [None]) * len(kinds)
    ends = zip(_PLUG_KEYS, kinds, away, strict=False)
    own: list[dict[str, Any]] = [{"key": key, "kind": k, "at_mm": mm} for key, k, mm in ends]
    for plug in own:
        plug |= {"grade": "high"} if is_coded(PLUGS[plug["kind"]].whole) else {}
    code = told.one("code")
    lead = CONNECTORS[cast("SocketKind", taken[0])]
    return {
        "name": _name(leads, plugs),
        "leads": [{"key": key, "kind": k} for key, k in zip(_LEAD_KEYS, taken, strict=False)],
        "plugs": own,
        "conductors": usual_pins(lead),
        "codes": [{"leads": len(leads), "watts": int(code.value)}] if code else [],
    }


def _plug_kind(kind: str) -> str:
    """The plug of an adapter. Raises Unread for 8 pins that may be either's."""
    if kind == "8":
        wanted = "whose plug it is, as processor 8-pin or graphics 8-pin"
        raise Unread([("8-pin", wanted, "one that may be either")])
    return "per4" if kind == "4" else kind


def _name(leads: list[str], plugs: list[str]) -> str:
    def side(kinds: list[str]) -> str:
        words = {k: _SHORT.get(k, k) for k in kinds}
        counted = ((kinds.count(k), w) for k, w in words.items())
        return " and ".join(w if n == 1 else f"{n} × {w}" for n, w in counted)

    return f"{side(leads)} to {side(plugs)}"


_SHORT = {
    "8": "8-pin",
    "4": "4-pin",
    "pcie8": "8-pin",
    "pcie6+2": "8-pin",
    "pcie6": "6-pin",
    "16pin": "16-pin",
    "per4": "4-pin",
    "sata": "SATA",
    "fdd4": "floppy",
}


def _extension_said(told: Told) -> dict[str, Any]:
    """Fields of an extension. Raises Misread, Unread."""
    uses = [s.value for s in told.of("use")]
    kinds = [s.value[1] for s in told.of("plugs")]
    length = told.one("length")
    if len(kinds) > 1 or (kinds and any(s.value[0] != 1 for s in told.of("plugs"))):
        raise Misread
    kind = kinds[0] if kinds else next(iter(uses), "")
    if kind.isdigit():
        by_use = (BY_USE.get((use, int(kind))) for use in uses)
        kind = next((k for k in by_use if k), "") or _plug_kind(kind)
    if not kind:
        raise Unread([("plug", "which plug it is of", repr(told.line.raw)[:60])])
    shape = PLUGS[cast("PlugKind", kind)]
    return {
        "name": f"{shape.words[0].upper()}{shape.words[1:]} extension"
        + (f", {length.value:g} mm" if length else ""),
        "kind": kind,
        "length_mm": length and length.value,
        "conductors": usual_pins(CONNECTORS[shape.whole]),
    }


def _bracket_said(told: Told) -> dict[str, Any]:
    """Fields of a bracket: what it holds, and the place. Raises Unread."""
    forms = told.of("form", "place", "held")
    if len(forms) != 2 or forms[0].role == forms[1].role != "form":
        wanted = "two forms, the supply's and the place's, as SFX to ATX"
        raise Unread([("form", wanted, repr(told.line.raw)[:60])])
    held, place = (f.value for f in forms)
    turned = any(forms[0].at < s.at < forms[1].at for s in told.of("for"))
    if turned or forms[0].role == "place" or forms[1].role == "held":
        held, place = place, held
    return {"name": f"Bracket, {held} in an {place} place", "form": held, "place": place}


_SAID: dict[str, tuple[Grammar, Callable[[Told], dict[str, Any]]]] = {
    "adapter": (_ADAPTER, _adapter_said),
    "extension": (_EXTENSION, _extension_said),
    "bracket": (_BRACKET, _bracket_said),
}


# -- reading, printing ---------------------------------------------------------------------


_CAGE = Grammar(
    Rows(
        ("bays", "I bay|bays|drive|drives|disk|disks", 2.6, int),
        ("bays", "I <bays>", 2.8, lambda n, _: n),
        ("inputs", "I? x? <plug> <plugs>?", 2.4, _several),
        ("inputs", "I? x? <plug> input|inputs", 2.8, _several),
        ("told", "<cage>", 1.4, lambda _: ""),
        ("told", "<from>", 0.4, lambda _: ""),
        ("told", "hot|swap|plug", 0.6, lambda: ""),
    ),
    "words of a drive cage: its bays, its plugs",
)


def is_cage(line: str) -> bool:
    """Whether a line speaks of a drive cage."""
    return any("cage" in senses for senses in Line(line, KITS).senses)


def read_cage(line: str, own: Mapping[str, str] = NO_WORDS) -> Backplane:
    """A drive cage: `cage with 4 bays, two sata plugs`; its bays as evenly over its plugs as may
    be. Raises Unread."""
    return read_by(line, _CAGE, _cage_said, own)


def _cage_said(told: Told) -> Backplane:
    bays = told.one("bays")
    kinds = [kind for s in told.of("inputs") for kind in [s.value[1]] * s.value[0]]
    if bays is None or not kinds:
        wanted = "how many bays, and what it is plugged in with, as 4 bays, two SATA plugs"
        raise Unread([("cage", wanted, repr(told.line.raw)[:60])])
    kinds = ["per4" if kind == "4" else kind for kind in kinds]
    if not set(kinds) <= {"sata", "per4"} or not len(kinds) <= bays.value:
        raise Unread([("plugs", "SATA or peripheral plugs, no more than bays", ", ".join(kinds))])
    keys = [f"bay-{i + 1}" for i in range(bays.value)]
    share, more = divmod(len(keys), len(kinds))
    inputs, at = [], 0
    for i, kind in enumerate(kinds):
        n = share + (i < more)
        inputs.append({"key": f"in-{i + 1}", "kind": kind, "bays": keys[at : at + n]})
        at += n
    name = told.name or f"Drive cage, {bays.value} bays"
    return made(Backplane, {"key": "cage", "name": name, "note": told.note, "inputs": inputs})


def head_noun(line: str) -> Literal["cable", "adapter", "extension", "bracket"] | None:
    """What a line says by its head noun: an adapter or a splitter, an extension, a bracket; else a
    cable, where it says one. None where it says none of them."""
    senses = [role for senses in Line(line, KITS).senses for role in senses]
    if '"' in line or ":" in line:
        return None  # in the line's own words: it is what it was begun as
    if "extension" in senses:
        return "extension"
    if "bracket" in senses:
        return "bracket"
    if "adapter" in senses or "splitter" in senses:
        return "adapter"
    return "cable" if "cable" in senses else None


def read_loose(kind: str, line: str, own: Mapping[str, str] = NO_WORDS) -> Loose:
    """An adapter, an extension or a bracket. Raises Unread."""
    kind_of_thing, words = _KINDS[kind]
    values, rest = pairs_of(line, words)
    if not rest:
        return _made(kind, fields_of(words, values) | {"name": values.get("name", "")})
    grammar, fields_said = _SAID[kind]

    def make(told: Told) -> Loose:
        fields = fields_said(told)
        spoken = {s.role: str(s.value) for s in told.of("awg", "insulation", "moulded")}
        fields |= fields_of(words, spoken | values)
        fields["name"] = values.get("name") or told.name or fields["name"]
        if "note" in kind_of_thing.model_fields:
            fields.setdefault("note", told.note)
        return _made(kind, fields)

    return read_by(rest, grammar, make, own)


def _made(kind: str, fields: dict[str, Any]) -> Loose:
    kind_of_thing, _ = _KINDS[kind]
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
