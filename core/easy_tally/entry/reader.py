"""A line read: every word accounted for, what could be two things asked about."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from typing import Any

from pydantic import TypeAdapter, ValidationError

from ..base.declared import Figure
from ..base.problems import problems_of
from ..standards.usual import PLAIN_CARD_W, USB_W
from ..things.parts import Card, Hub, Part, UsbLoad
from .building import LEAST_RADIATOR_MM, fields_of
from .lexer import NUMBER, QUOTED, figure, number, quoted, unquoted, words_of
from .rows import Row, rows
from .said import Said
from .talk import Spoken, spoken
from .telling import understood
from .vocabulary import MEANT, PLAUSIBLE
from .words import (
    DETAILS,
    DRIVE_KINDS,
    FED_EITHER_WAY,
    FIGURE_NAMES,
    FIGURES,
    FLAGS,
    GENERATIONS,
    HANG,
    KINDS,
    PLURALS,
    SAME,
    SETTINGS,
    SOCKET_SYNONYMS,
    SOCKETS,
    SUPPLY_WORDS,
    figures_of,
    main_figure,
)

#: Longest line that is read, in characters.
MOST_CHARACTERS = 60_000
#: Longest line that is read as talk: nobody says more of one part.
MOST_SPOKEN = 400
#: A run of digits that no figure has.
_ENDLESS = re.compile(r"\d{21}")
_COUNT = re.compile(r"x([0-9]{1,4})|([0-9]{1,4})x")
_SEVERAL = re.compile(r"([0-9]{1,4}) (\S+)")
_SOCKETS = re.compile(r"(?:([1-9])x)?(\S+)")
_NUMBER = re.compile(NUMBER)
_DETAIL = re.compile(rf"(?:([1-9][0-9]?)x)?({NUMBER})({'|'.join(DETAILS)})")
_PART: TypeAdapter[Part] = TypeAdapter(Part)
KIND_ASKED = "What kind of part is it?"
_UNIT_WORDS = {"w": "watts", "a": "amperes"}


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


class Ask(Exception):
    """Something is open: a question, and the lines that would answer it."""

    def __init__(self, question: str, *choices: list[str]) -> None:
        super().__init__(question)
        self.entry = Entry(None, question=question, choices=tuple(" ".join(c) for c in choices))


def parse(line: str) -> Entry:
    """Read one line. Never raises: what can't be read is in the answer."""
    if len(line) > MOST_CHARACTERS:
        return Entry(None, question=f"A line has at most {MOST_CHARACTERS:,} characters.")
    if not line.strip():
        return Entry(None)
    found = rows(line)
    if len(found) == 1 and found[0].line:
        return _of_row(found[0])
    strict = _parsed(line)
    return strict if strict.part else _heard(line, strict)


def _of_row(row: Row) -> Entry:
    """A line as it was typed, or else what is left of it without its cells."""
    strict = _parsed(row.typed)
    if strict.part is None and row.line != row.typed:
        strict = replace(_parsed(row.line), dropped=row.dropped)
    if strict.part is not None:
        return strict
    heard = _heard(row.line, replace(strict, dropped=()))
    return replace(heard, dropped=(*row.dropped, *heard.dropped))


def _parsed(line: str, talking: bool = False) -> Entry:
    """A line read by the line's own grammar; `talking`, two names of one part are one."""
    said = _sorted(words_of(line), line)
    said.talking = talking
    try:
        return _read(said)
    except Ask as ask:
        # A question does not hide the words that nothing accounts for.
        return replace(ask.entry, unknown=tuple(said.unknown))


def _heard(line: str, strict: Entry) -> Entry:
    """A line read as builders talk, where its own grammar does not take it as it stands."""
    if len(line) > MOST_SPOKEN or _ENDLESS.search(line):
        return strict
    talk = spoken(line)
    if talk.elsewhere:
        return Entry(None, question=talk.elsewhere)
    if talk.two:
        lines = tuple(name.lower() for name in talk.two)
        return Entry(None, question="One kind of part a line: which is it?", choices=lines)
    found = _parsed(talk.line, talking=True)
    if talk.unsure:
        left = tuple(dict.fromkeys((*talk.unsure, *found.unknown)))
        if strict.question and strict.question != found.question:
            return Entry(None, unknown=left)  # it asks of what is understood otherwise
        return replace(strict, unknown=strict.unknown or left)
    described = (*talk.named.split(), *talk.described)
    if found.part is not None:
        part = _called(_usual_watts(found.part, talk.called), talk)
        return Entry(part, understood(part), dropped=talk.dropped, described=described)
    if strict.choices and not strict.unknown:
        return strict
    if found.question and found.choices and not found.unknown:
        called = [quoted(talk.called)] if talk.called and not talk.named else []
        more = [*talk.described, *talk.named.split(), *called]
        choices = tuple(" ".join([c, *more]) for c in found.choices)
        return replace(found, choices=choices, dropped=talk.dropped, described=described)
    if found.question == KIND_ASKED:
        # None of its words says a kind: they are all told.
        return replace(found, unknown=strict.unknown or found.unknown, dropped=talk.dropped)
    return replace(found if found.question else strict, dropped=talk.dropped, described=described)


def _called(part: Part, talk: Spoken) -> Part:
    """The part with the name that was given, and what describes it behind."""
    name = part.name
    if '"' not in talk.line and (talk.named or talk.called):
        details = name.partition(", ")[2]
        name = talk.named or talk.called
        name = f"{name}, {details}" if details else name
    return part.model_copy(update={"name": ", ".join([name, *talk.described])[:80]})


def _usual_watts(part: Part, called: str) -> Part:
    """What is usual for a plain card or a thing on USB of which nobody said any, assumed."""
    if isinstance(part, Card) and part.use == "plain" and part.board_power_w is None:
        watts = PLAIN_CARD_W.get(called)
        return part if watts is None else part.model_copy(update={"board_power_w": _assumed(watts)})
    if isinstance(part, Hub) and part.own_w is None and called in USB_W:
        return part.model_copy(update={"own_w": _assumed(USB_W[called])})
    if isinstance(part, UsbLoad) and part.draw_w is None:
        each = [USB_W.get(c) for c in _several(called or "USB load")]
        low, likely, high = (sum(w[i] for w in each if w) for i in range(3))
        watts = (round(low, 6), round(likely, 6), round(high, 6))
        return part.model_copy(update={"draw_w": _assumed(watts)}) if all(each) else part
    return part


def _several(called: str) -> list[str]:
    """The names that a joined one is made of."""
    return [called] if called in USB_W else called.split(" and ")


def _assumed(watts: tuple[float, float, float]) -> Figure:
    low, likely, high = watts
    return Figure(low=low, likely=likely, high=high, origin="assumed", note="usual for its kind")


def parse_list(text: str) -> tuple[tuple[str, Entry], ...]:
    """Read a list, one part a line; empty lines are left out. A line that speaks of no part (the
    heads of columns, a sum, a link) comes back with nothing but what is dropped."""
    return tuple(
        (row.typed, _of_row(row) if row.line else Entry(None, dropped=row.dropped))
        for row in rows(text)
    )


def _read(said: Said) -> Entry:
    kind = _kind(said)
    if kind is None:
        if set(SUPPLY_WORDS) & set(said.words):
            return Entry(None, question="The supply is chosen on the Supply page.")
        if said.details and {u for _, u, _ in said.details} <= {"tb", "gb"}:
            ways = [[*said.words, w] for w in ("disk", "m.2")] + [[*said.words, "ssd", "2.5in"]]
            raise Ask(KIND_ASKED, *ways)
        return Entry(None, unknown=tuple(said.unknown), question=KIND_ASKED)
    own = figures_of(kind)
    _pair_labels(said, own)
    _origin_words(said)
    _ask_open(kind, said)
    fields = fields_of(kind, said)
    _give_units(own, said)
    _figures(own, said, fields)
    _ask_bare(own, said, fields)
    if left := said.left():
        return Entry(None, unknown=tuple(left), named=_as_name(said, left))
    try:
        part = _PART.validate_python(fields)
    except ValidationError as error:
        where, required, got = problems_of(error)[0]
        told = "" if got.startswith("{") else f", got {got}"
        raise Ask(f"{_words_of_field(where)} needs {required}{told}.") from error
    return Entry(part, understood(part))


def _as_name(said: Said, left: list[str]) -> str:
    """The line with the words left over as the part's name, as they were typed; nothing where
    they are no plain words, or a name is said."""
    plain = all(w in said.unknown and re.fullmatch(r"[^\W\d_][\w.'-]*", w) for w in left)
    if said.name is not None or not plain:
        return ""
    typed = {w.lower(): w for w in said.line.replace(",", " ").split()}
    return " ".join([*said.without(*left), quoted(" ".join(typed.get(w, w) for w in left))])


def _words_of_field(path: str) -> str:
    """The last name of a path, in words."""
    names = [p for p in path.split(".") if not p.isdigit()]
    return names[-1].removesuffix("_w").removesuffix("_a").replace("_", " ")


# -- sorting words -------------------------------------------------------------------------


def _sorted(words: list[str], line: str) -> Said:
    said = Said(words, line)
    for at, word in enumerate(words):
        _sort(said, at, word)
    return said


def _sort(said: Said, at: int, word: str) -> None:
    label, colon, value = word.partition(":")
    socket = _SOCKETS.fullmatch(word)
    if re.fullmatch(QUOTED, word) and said.name is None:
        said.name = unquoted(word)
    elif found := figure(word):
        said.figures.append((word, *found))
        if word in FIGURE_NAMES:
            said.labels.append((at, word))  # `12v`: volts, or the name of a figure
    elif colon and not word.startswith('"'):
        _setting(said, word, label, value)
    elif detail := _DETAIL.fullmatch(word):
        said.details.append((word, detail[3], number(detail[2])))
        said.counts += [int(detail[1])] if detail[1] else []  # `2x16gb`: two, of 16 GB each
    elif count := _COUNT.fullmatch(word):
        said.counts.append(int(count[1] or count[2]))
    elif (several := _SEVERAL.fullmatch(word)) and several[2] in PLURALS:
        said.several.append((int(several[1]), PLURALS[several[2]]))
        said.kinds.append(KINDS[PLURALS[several[2]]])
        if PLURALS[several[2]] == "fan":
            said.labels.append((at, "fan"))  # of a cooler: `3 fans 0.2a`
    elif socket and (name := _socket(socket, word)):
        said.sockets += [name] * int(socket[1] or 1)
    elif _NUMBER.fullmatch(word):
        said.bare.append(word)
    elif counted := re.fullmatch(r"([0-9]{1,2})(headers|outputs)", word):
        said.settings[counted[2]] = counted[1]
    else:
        _plain_word(said, at, word)


def _socket(match: re.Match[str], word: str) -> str | None:
    name = SOCKET_SYNONYMS.get(match[2], match[2])
    # A number alone says a socket only behind its `2x`.
    if name not in SOCKETS or word in ("8", "6", "16"):
        return None
    return name


def _setting(said: Said, word: str, label: str, value: str) -> None:
    found = figure(value)
    if found and label in FIGURE_NAMES and label not in said.named:
        said.named[label] = {"unit": found[0]} | found[1]
    elif label in SETTINGS and (label not in said.settings or label == "spikes") and value:
        # The spikes of a card may be said twice: the standard's worst, and factors of its own.
        said.settings[label] = "+".join(filter(None, (said.settings.get(label), value)))
    else:
        said.unknown.append(word)


def _plain_word(said: Said, at: int, word: str) -> None:
    known = False
    word = SAME.get(word, word)
    if word in KINDS or PLURALS.get(word) in KINDS:
        said.kinds.append(KINDS[PLURALS.get(word, word)])
        known = True
    if word in FLAGS and not (word in said.flags and word not in GENERATIONS):
        said.flags.add(word)
        known = True
    if word in FIGURE_NAMES:
        said.labels.append((at, word))
        known = True
    if not known:
        said.unknown.append(word)


#: What is offered for a plural without a count.
_USUAL_COUNTS = (2, 3, 4, 5, 6)


def _kind_word(word: str) -> str | None:
    """The kind that a word says, alone or behind its number."""
    several = _SEVERAL.fullmatch(word)
    return KINDS.get(PLURALS.get(several[2], "")) if several else KINDS.get(PLURALS.get(word, word))


def _kind(said: Said) -> str | None:
    kinds = set(said.kinds)
    if kinds == {"fan", "hub"} and not said.several:
        kinds = {"hub"}  # a fan controller
    if "cooler" in kinds:
        kinds -= {"fan", "pump", "hub", "processor"}  # what a cooler has, and what it cools
    if "m2" in kinds:
        kinds -= {"ssd"}  # what an M.2 drive is
    if len(kinds) > 1 and said.talking and (meant := MEANT.get(frozenset(kinds))):
        kinds = {meant}  # one part by two names
    if len(kinds) > 1:
        names = {w for w in said.words if _kind_word(w) in kinds}
        lines = [said.without(*(n for n in names if n != k)) for k in sorted(names)]
        raise Ask("One kind of part a line: which is it?", *lines)
    if not kinds:
        return None
    kind = kinds.pop()
    own = [n for n, w in said.several if KINDS[w] == kind]
    said.several = [(n, w) for n, w in said.several if KINDS[w] != kind]
    said.counts += own
    if len(said.counts) > 1:
        raise Ask("There are two counts; say one of them.")
    if not said.counts and any(KINDS.get(PLURALS.get(w, "")) == kind for w in said.words):
        raise Ask("How many?", *([*said.words, f"x{n}"] for n in _USUAL_COUNTS))
    return kind


# -- figures -------------------------------------------------------------------------------


def _pair_labels(said: Said, kind: str) -> None:
    """A word that names a figure of the kind, with the number that follows it."""
    units = {n.word: n.unit for n in FIGURES[kind]}
    labels, said.labels = said.labels, []
    for at, word in labels:
        following = said.words[at + 1] if at + 1 < len(said.words) else ""
        own = next((f for f in said.figures if f[0] == following), None)
        if word not in units:
            if word not in KINDS and word not in FLAGS and not figure(word):
                said.labels.append((at, word))  # of no use here: not accounted for
            continue
        if own is not None and own[1] == units[word] and word not in said.named:
            said.figures.remove(own)
            said.figures = [f for f in said.figures if f[0] != word]
            said.named[word] = {"unit": own[1]} | own[2]
        elif not figure(word) and not (kind == "cooler" and word in ("pump", "fan")):
            of_unit = [f[0] for f in said.figures if f[1] == units[word]]
            raise Ask(
                f"Which figure is {word}? Say its {_UNIT_WORDS[units[word]]} behind the word.",
                *([*said.without(word, f), f"{word}:{f}"] for f in of_unit),
            )


def _origin_words(said: Said) -> None:
    """`measured` or `assumed` said of the one figure that there is."""
    for word in ("measured", "assumed"):
        if not said.flag(word):
            continue
        own = [f[2] for f in said.figures if f[1] in ("w", "a")] + list(said.named.values())
        if len(own) != 1:
            texts = [w for w in said.words if (f := figure(w.split(":")[-1])) and f[0] in "wa"]
            raise Ask(
                f"Which figure is {word}? Put it right behind, as in 230w({word}).",
                *([*said.without(word, t), f"{t}({word})"] for t in texts if "(" not in t),
            )
        own[0]["origin"] = word


def _figures(kind: str, said: Said, fields: dict[str, Any]) -> None:
    """Put the figures of a kind in their fields: those named, then the main one of each unit."""
    for named in FIGURES[kind]:
        found = said.named.get(named.word)
        if found is not None and found["unit"] == named.unit and named.field not in fields:
            del said.named[named.word]
            fields[named.field] = {k: v for k, v in found.items() if k != "unit"}
    for unit in ("w", "a"):
        main = main_figure(kind, unit)
        own = [f for f in said.figures if f[1] == unit]
        if main is None or not own or main.field in fields:
            continue
        if len(own) == 2 and kind == "processor" and "package_short_w" not in fields:
            less, more = sorted(own, key=lambda f: f[2]["likely"])
            rest = said.without(less[0], more[0])
            raise Ask(
                f"{less[0]} sustained and {more[0]} for a short time?",
                [*rest, less[0], f"short:{more[0]}"],
                *([*rest, one[0]] for one in (more, less)),
            )
        if len(own) > 1:
            raise Ask(
                f"{' and '.join(f[0] for f in own)}: which is it?",
                *(said.without(*(f[0] for f in own if f is not one)) for one in own),
            )
        fields[main.field] = said.take(unit)
    _ask_figures(kind, said, fields)


def _ask_figures(kind: str, said: Said, fields: dict[str, Any]) -> None:
    """A number that no word names, where several figures of its unit are left."""
    for word, unit, _ in said.figures:
        ways = [n.word for n in FIGURES[kind] if n.unit == unit and n.field not in fields]
        if ways:
            lines = ([*said.without(word), f"{way}:{word}"] for way in ways)
            raise Ask(f"{word}: which is it?", *lines)


# -- what has to be asked ------------------------------------------------------------------


def _ask_open(kind: str, said: Said) -> None:
    """Ask what has to be known before a part can be made."""
    words = said.words
    explicit = "sockets" in said.settings or "no-socket" in said.flags
    if kind in DRIVE_KINDS and len(said.sockets) > 1:
        n = len(said.sockets)
        rest = said.without(*(w for w in words if (m := _SOCKETS.fullmatch(w)) and _socket(m, w)))
        raise Ask(f"{n} drives, each with one plug?", [*rest, said.sockets[0], f"x{n}"])
    if kind == "drive" and not said.form():
        raise Ask("Which drive: 3.5-inch or 2.5-inch?", [*words, "3.5in"], [*words, "2.5in"])
    if kind == "ssd" and not (said.form() or said.sockets):
        rest = [re.sub(r"^([0-9]+) ssds$", r"x\1", w) for w in said.without("ssd", "ssds")]
        raise Ask("A 2.5-inch drive, or one in an M.2 slot?", [*words, "2.5in"], [*rest, "m.2"])
    if kind == "card" and not (said.sockets or explicit or "slot-only" in said.flags):
        ways = ("16pin", "2x8pin", "8pin", "slot-only")
        raise Ask("Which power sockets does the card have?", *([*words, w] for w in ways))
    cpu = {"8pin", "cpu8", "4pin", "cpu4"} & set(said.sockets) or "no-cpu" in said.flags
    if kind == "board" and not (cpu or explicit):
        raise Ask("How many 8-pin processor sockets?", [*words, "8pin"], [*words, "2x8pin"])
    if kind == "memory" and not said.flags & set(GENERATIONS):
        kinds = ("ddr5", "ddr5 registered", "ddr4", "ddr3")
        raise Ask("Which generation is it?", *([*words, w] for w in kinds))
    if kind in HANG:
        _ask_4pin(said)
    fed = said.sockets or explicit or "header" in said.flags
    if kind == "cooler" and not (said.sockets or explicit or _is_liquid(said)):
        _ask_air_or_liquid(said)
    if kind in FED_EITHER_WAY and not fed:
        feeds = ("sata", "peripheral", "header")
        raise Ask("What feeds it: a SATA plug, a 4-pin peripheral plug, or a header?",
                  *([*words, w] for w in feeds))  # fmt: skip
    if kind == "strip" and not any(u == "v" for _, u, _ in said.figures):
        raise Ask("A strip at 5 V or at 12 V?", [*words, "5v"], [*words, "12v"])


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
    air = ["fan", *said.without(*no_air), *name, *count]
    liquid = ["aio", *said.without("cooler", "coolers", "cpu", "processor")]
    feeds = ("header",) if "header" in said.flags else ("sata", "peripheral", "header")
    raise Ask(
        "An air cooler, or a liquid one, and what feeds it?",
        air, *([*(w for w in liquid if w != f), f] for f in feeds),
    )  # fmt: skip


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


#: From here on a bare number of a processor or a card is watts, and no count of them. Source: the
#: field: nobody builds with more, and none draws less.
_LEAST_WATTS = {"processor": 10, "card": 10}


def _give_units(kind: str, said: Said) -> None:
    """A number without a unit where only one unit is possible: amperes or watts of the main
    figure, and too large, or too broken, to be a count."""
    units = [u for u in ("w", "a") if main_figure(kind, u)]
    if len(units) != 1 or len(said.bare) != 1 or any(f[1] == units[0] for f in said.figures):
        return
    value = number(said.bare[0])
    low, high = PLAUSIBLE.get(kind, (0.0, 0.0))
    no_count = not value.is_integer() or value > 64 or value >= _LEAST_WATTS.get(kind, 1e9)
    if no_count and low <= value <= high:
        word = said.bare.pop()
        exact = {"low": value, "likely": value, "high": value, "origin": "maker", "note": ""}
        said.figures.append((word, units[0], exact))


def _ask_bare(kind: str, said: Said, fields: dict[str, Any]) -> None:
    """A number without a unit that nothing has taken."""
    if not said.bare:
        return
    value = said.bare[0]
    said_of = {unit for _, unit, _ in said.figures}
    mains = {u: m for u in ("w", "a") if (m := main_figure(kind, u))}
    units = [u for u, m in mains.items() if u not in said_of and m.field not in fields]
    ways = [f"{value}{u}" for u in units]
    if number(value).is_integer() and 2 <= number(value) <= 64:
        ways.append(f"x{int(number(value))}")
    at = said.words.index(value)
    raise Ask(f"{value} of what?", *([*said.words[:at], w, *said.words[at + 1 :]] for w in ways))
