"""A line read: every word accounted for, what could be two things asked about."""

from __future__ import annotations

import math
import re
from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from pydantic import TypeAdapter, ValidationError

from ..base.declared import Figure
from ..base.errors import BadInput
from ..base.problems import problems_of
from ..standards.usual import PLAIN_CARD_W, USB_W, usual
from ..things.parts import Board, Card, Hub, Part, UsbLoad
from .heard import TOO_MUCH, heard
from .line import PARTS, PLACES, Item, Lexicon
from .own import NO_WORDS
from .printer import figure_word
from .rows import Row, rows
from .strict.asking import Ask, Entry, ask_bare, ask_open
from .strict.building import amps_of, fields_of
from .strict.lexer import figure, quoted, words_of
from .strict.said import Said
from .strict.sorting import kind_of, sort_words
from .telling import understood
from .words import FIGURES, FLAGS, KINDS, MOST, SUPPLY_WORDS, figures_of, main_figure

#: Longest line that is read, in characters.
MOST_CHARACTERS = 60_000
#: Longest line that is read as talk: nobody says more of one part, nor quotes so often.
MOST_SPOKEN, MOST_QUOTES = 400, 20
#: Lines of a list, characters of one of them, and of all together.
MOST_LINES, MOST_OF_LINE, MOST_OF_LIST = 400, 500, 24_000
#: A run of digits that no figure has.
_ENDLESS = re.compile(r"\d{21}")
#: As a person writes it so many plugs, or so many parts: no line that is printed has it.
_TWO_COUNTS = re.compile(
    r"[0-9][ -]pins?( pcie?)? ?[x×*] ?[0-9]|[0-9] ?[x×*]? ?pcie?\b", re.IGNORECASE
)
#: A mark of thousands, as nobody prints a figure: `1.050 W`.
_THOUSANDS = re.compile(r"(?<![0-9.,'])[1-9][0-9]{0,2}[.,'][0-9]{3} +w", re.IGNORECASE)
#: Data ports of a board, as a person writes them: its sockets are printed `4xsata`.
_SATA_GIVEN = re.compile(
    r"(?<![\w:.,+=-])[0-9]+ *x? +sata(?![-\w])|\bsata *(?:x *[0-9]|:)", re.IGNORECASE
)
_PART: TypeAdapter[Part] = TypeAdapter(Part)
KIND_ASKED = "What kind of part is it?"
_UNIT_WORDS = {"w": "watts", "a": "amperes"}


def parse(line: str, own: Mapping[str, str] = NO_WORDS) -> Entry:
    """Read one line, with somebody's own words. Never raises: what can't be read is in the
    answer."""
    if len(line) > MOST_CHARACTERS:
        return Entry(None, question=f"A line has at most {MOST_CHARACTERS:,} characters.")
    if not line.strip():
        return Entry(None)
    lines, lexicon = rows(line), PARTS.knowing(own)
    if len(lines) == 1 and lines[0].line:
        return _placed(_of_row(lines[0], lexicon), line.find(lines[0].line))
    strict = _parsed(line)
    return strict if _is_taken(strict, line) else _heard(line, strict, lexicon)


def _is_taken(strict: Entry, line: str) -> bool:
    """Whether a line is what its own grammar makes of it."""
    spoken = [_TWO_COUNTS, _THOUSANDS, *([_SATA_GIVEN] if isinstance(strict.part, Board) else [])]
    return strict.part is not None and not any(s.search(line) for s in spoken)


def plain(line: str) -> Entry:
    """A line as it is printed, read by its own grammar and not said back: a fifth of the work where
    thousands are read. What that does not take is read in full."""
    if len(line) <= MOST_CHARACTERS:
        entry = _parsed(line, telling=False)
        if entry.part is not None:
            return entry
    return parse(line)


def _of_row(row: Row, lexicon: Lexicon) -> Entry:
    """A line as it was typed, or else what is left of it without its cells."""
    strict = _parsed(row.typed)
    if strict.part is None and row.line != row.typed:
        strict = replace(_parsed(row.line), dropped=row.dropped)
    if _is_taken(strict, row.line):
        return strict
    heard = _heard(row.line, replace(strict, dropped=()), lexicon)
    return replace(heard, dropped=(*row.dropped, *heard.dropped))


def _placed(entry: Entry, at: int) -> Entry:
    """An entry with its slots where they stand in the line as it was typed, what was read of it
    beginning `at` a character; without them where that was put together from cells."""
    spans = [
        tuple((name, start + at, end + at) for name, start, end in of_thing)
        for of_thing in (entry.spans if at >= 0 else ())
    ]
    return replace(entry, spans=tuple(spans))


def _parsed(line: str, telling: bool = True) -> Entry:
    """A line read by the line's own grammar; `telling`, it is said back what was understood."""
    said = sort_words(words_of(line), line)
    said.telling = telling
    try:
        return _read(said)
    except Ask as ask:
        # A question does not hide the words that nothing accounts for.
        return replace(ask.entry, unknown=tuple(said.unknown))


def _heard(line: str, strict: Entry, lexicon: Lexicon) -> Entry:
    """A line read as builders talk, where its own grammar does not take it as it stands."""
    if len(line) > MOST_SPOKEN or line.count('"') > MOST_QUOTES or _ENDLESS.search(line):
        return strict
    return heard(line, strict, _of_item, lexicon)


def _of_item(item: Item) -> Entry:
    """A thing of a line in the line's own words, with its name and what describes it."""
    entry = _parsed(item.said, telling=False)
    if entry.part is None:
        return entry
    if _implausible(entry.part):
        return Entry(None, question=TOO_MUCH)
    part = _usual_watts(entry.part, item.called)
    name = part.name
    if item.called and '"' not in item.said:
        details = name.partition(", ")[2]
        name = f"{item.called}, {details}" if details else item.called
    described = (*item.described, *item.loose)
    part = part.model_copy(update={"name": ", ".join([name, *described])[:80]})
    return Entry(
        part, understood(part), dropped=item.dropped, described=described, loose=item.loose
    )


def _implausible(part: Part) -> bool:
    """Whether no such part draws as much as its main figure says: it was meant of another."""
    high = MOST.get(part.kind, math.inf)
    mains = (main_figure(part.kind, unit) for unit in ("w", "a"))
    figures: list[Figure | None] = [getattr(part, m.field) for m in mains if m]
    return any(f is not None and f.likely > high for f in figures)


def _usual_watts(part: Part, called: str) -> Part:
    """What is usual for a plain card or a thing on USB of which nobody said any, assumed."""
    if isinstance(part, Card) and part.use == "plain" and part.board_power_w is None:
        watts = PLAIN_CARD_W.get(called)
        return part if watts is None else part.model_copy(update={"board_power_w": usual(watts)})
    if isinstance(part, Hub) and part.own_w is None and called in USB_W:
        return part.model_copy(update={"own_w": usual(USB_W[called])})
    if isinstance(part, UsbLoad) and part.draw_w is None:
        each = [USB_W.get(c) for c in _several(called or "USB load")]
        low, likely, high = (sum(w[i] for w in each if w) for i in range(3))
        watts = (round(low, 6), round(likely, 6), round(high, 6))
        return part.model_copy(update={"draw_w": usual(watts)}) if all(each) else part
    return part


def _several(called: str) -> list[str]:
    """The names that a joined one is made of."""
    return [called] if called in USB_W else called.split(" and ")


def parse_list(text: str, own: Mapping[str, str] = NO_WORDS) -> tuple[tuple[str, Entry], ...]:
    """Read a list with somebody's own words, one part a line; empty lines are left out. A line that
    speaks of no part (the heads of columns, a sum, a link) comes back with nothing but what is
    dropped. Raises BadInput for more than a list has."""
    lines = text.splitlines()
    longest = max(map(len, lines), default=0)
    for things, most, got in (
        ("lines", MOST_LINES, len(lines)),
        ("characters a line", MOST_OF_LINE, longest),
        ("characters", MOST_OF_LIST, len(text)),
    ):
        if got > most:
            raise BadInput([("text", f"at most {most:,} {things}: paste it in parts", f"{got:,}")])
    lexicon = PARTS.knowing(own)
    return tuple(
        (
            row.typed,
            replace(_of_row(row, lexicon), proof=row.proof)
            if row.line
            else Entry(None, dropped=row.dropped),
        )
        for row in rows(text)
    )


def _read(said: Said) -> Entry:
    kind = kind_of(said)
    if kind is None:
        if set(SUPPLY_WORDS) & set(said.words):
            return Entry(None, question=PLACES["supply"], goes="supply")
        if said.details and {u for _, u, _ in said.details} <= {"tb", "gb"}:
            ways = [[*said.words, w] for w in ("disk", "m.2")] + [[*said.words, "ssd", "2.5in"]]
            raise Ask(KIND_ASKED, *ways)
        return Entry(None, unknown=tuple(said.unknown), question=KIND_ASKED)
    own = figures_of(kind)
    _pair_labels(said, own)
    _origin_words(said)
    ask_open(kind, said)
    fields = fields_of(kind, said)
    _figures(own, said, fields)
    ask_bare(own, said, fields)
    if left := said.left():
        return Entry(None, unknown=tuple(left), named=_as_name(said, left))
    try:
        part = _PART.validate_python(fields)
    except ValidationError as error:
        where, required, got = problems_of(error)[0]
        told = "" if got.startswith("“") else f", got {got}"
        raise Ask(f"{_words_of_field(where)} needs {required}{told}.") from error
    return Entry(part, understood(part) if said.telling else "")


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


# -- figures -------------------------------------------------------------------------------


def _pair_labels(said: Said, kind: str) -> None:
    """A word that names a figure of the kind, with the number that follows it."""
    units = {n.word: n.unit for n in FIGURES[kind]}
    labels = [(at, word) for at, word in said.labels if word in units]
    said.labels = [
        (at, word)  # of no use here: not accounted for
        for at, word in said.labels
        if word not in units and word not in KINDS and word not in FLAGS and not figure(word)
    ]
    for at, word in labels:
        following = "".join(said.words[at + 1 : at + 2])
        own = next((f for f in said.figures if f[0] == following), None)
        if own is not None and own[1] == units[word] and word not in said.named:
            said.figures.remove(own)
            said.figures = [f for f in said.figures if f[0] != word]
            said.named[word] = {"unit": own[1]} | own[2]
        elif not figure(word) and not (kind == "cooler" and word in ("pump", "fan")):
            raise _asking_figure(said, word, units[word])


def _asking_figure(said: Said, word: str, unit: str) -> Ask:
    of_unit = [f[0] for f in said.figures if f[1] == unit]
    return Ask(
        f"Which figure is {word}? Say its {_UNIT_WORDS[unit]} behind the word.",
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
        told = said.named.get(named.word)
        if told is not None and told["unit"] == named.unit and named.field not in fields:
            del said.named[named.word]
            fields[named.field] = {k: v for k, v in told.items() if k != "unit"}
    for unit in ("w", "a"):
        main = main_figure(kind, unit)
        own = [f for f in said.figures if f[1] == unit]
        if main is not None and own and main.field not in fields:
            if len(own) > 1:
                _ask_which(kind, said, own, fields)
            fields[main.field] = said.take(unit)
    _ask_figures(kind, said, fields)


def _ask_which(
    kind: str, said: Said, own: list[tuple[str, str, dict[str, Any]]], fields: dict[str, Any]
) -> None:
    """Of several figures of a unit which is meant; of a processor's two both may be. Raises Ask."""
    if len(own) == 2 and kind == "processor" and "package_short_w" not in fields:
        less, more = (f[0] for f in sorted(own, key=lambda f: f[2]["likely"]))
        rest = said.without(less, more)
        raise Ask(
            f"{less} sustained and {more} for a short time?",
            [*rest, less, f"short:{more}"],
            *([*rest, one] for one in (more, less)),
        )
    raise Ask(
        f"{' and '.join(f[0] for f in own)}: which is it?",
        *(said.without(*(f[0] for f in own if f is not one)) for one in own),
    )


def _ask_figures(kind: str, said: Said, fields: dict[str, Any]) -> None:
    """A number that no word names, where several figures of its unit are left."""
    for word, unit, values in said.figures:
        ways = [n.word for n in FIGURES[kind] if n.unit == unit and n.field not in fields]
        if kind == "cooler" and unit == "w" and not fields.keys() & {"pump_a", "fan_a"}:
            rest, amps = said.without(word), Figure(**amps_of(values, 12))
            question = f"{word}: all that it draws, or its controller alone?"
            all_of_it = [f"pump:{figure_word(amps, 'a')}", "fan:0a", "controller:0w"]
            raise Ask(question, [*rest, *all_of_it], [*rest, f"controller:{word}"])
        if ways:
            lines = ([*said.without(word), f"{way}:{word}"] for way in ways)
            raise Ask(f"{word}: which is it?", *lines)
