"""What is said of a supply, a cable, an adapter or a case, read by its tokens: rows of their own,
the same readings, weighed."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from itertools import accumulate, chain, pairwise
from typing import NamedTuple, TypeVar

from pydantic import BaseModel

from ..line import SURE, Line, Misread, Rows, Slot, unit_at, ways
from ..own import NO_WORDS
from .lexicon import KITS
from .lines import Unread

_T = TypeVar("_T")
#: A word that the tables don't know, and a number that nothing is said with.
_LOOSE, _BARE = -1.6, -2.5
#: As many words that nobody knows are kept as a note.
_KEPT_WORDS = 6


class Told(NamedTuple):
    """The slots of a reading that say something, and the words that nobody knows."""

    slots: tuple[Slot, ...]
    line: Line

    def of(self, *roles: str) -> list[Slot]:
        """Its slots of some roles."""
        return [s for s in self.slots if s.role in roles]

    def one(self, role: str) -> Slot | None:
        """Its only slot of a role. Raises Misread for two that differ."""
        own = self.of(role)
        if len({str(s.value) for s in own}) > 1:
            raise Misread
        return own[0] if own else None

    def text(self, slot: Slot) -> str:
        """A slot as it was typed."""
        return self.line.typed(slot.at, slot.to)

    @property
    def name(self) -> str:
        """The name in quotes, or the words before all else that is said."""
        quoted = self.one("quoted")
        if quoted is not None:
            return str(quoted.value)
        first = next((s for s in self.slots if s.role not in _OF_NAMES), None)
        own = [s for s in self.of(*_OF_NAMES) if first is None or s.to <= first.at]
        return " ".join(self.text(s) for s in own).strip()

    @property
    def note(self) -> str:
        """Words that nobody knows, but those of the name."""
        name = self.name
        words = [self.text(s) for s in self.of("loose", "name")]
        return " ".join(w for w in words if w not in name)


_OF_NAMES = ("loose", "name")


def unknown_words(text: str, own: Mapping[str, str] = NO_WORDS) -> tuple[str, ...]:
    """The plain words of a text that no table has, each once."""
    line = Line(text, KITS.knowing(own))
    words = (t.text for i, t in enumerate(line.tokens) if t.text.isalpha() and not line.knows(i))
    return tuple(dict.fromkeys(words))


class Grammar(NamedTuple):
    """What may stand in a line of some kind of thing, and what the words of one are."""

    rows: Rows
    words: str
    rules: tuple[Callable[[Line, int], Iterator[Slot]], ...] = ()

    def slots(self, line: Line, i: int) -> Iterator[Slot]:
        """What may begin at a place."""
        rules = [rule(line, i) for rule in self.rules]
        for slot in chain(self.rows.slots(line, i), _common(line, i), *rules):
            yield slot.by_length()


def read_by(
    line: str, grammar: Grammar, make: Callable[[Told], _T], own: Mapping[str, str] = NO_WORDS
) -> _T:
    """The thing that a line says by its grammar. Raises Unread: what is missing, what is not
    understood, or that it may be two things."""
    tokens = Line(line, KITS.knowing(own))
    taken: list[tuple[float, _T]] = []
    for way in ways(tokens, grammar.slots):
        if taken and taken[0][0] - way.weight >= SURE:
            break
        told = Told(way.slots, tokens)
        try:
            _refuse_unknown(told, grammar.words)
            taken.append((way.weight, make(told)))
        except Misread:
            continue
        except Unread:
            if not taken:  # the heaviest that goes together decides
                raise
    if not taken:
        raise Unread([(line[:60], grammar.words, "not understood")])
    if len({_but_for_its_words(thing) for _, thing in taken}) > 1:
        raise Unread([(line[:60], "words that say one thing", "two that it may be")])
    return taken[0][1]


def _but_for_its_words(thing: object) -> str:
    """What a thing is, but for its name and its note."""
    things = thing if isinstance(thing, tuple) else (thing,)
    words = ("name", "note")
    bare = (
        t.model_copy(update={w: "" for w in words if hasattr(t, w)})
        if isinstance(t, BaseModel)
        else t
        for t in things
    )
    return repr(list(bare))


def _refuse_unknown(told: Told, words: str) -> None:
    wrong = [(told.text(s), words, "not understood") for s in told.of("bare", "no")]
    loose = [s for s in told.of("loose") if told.text(s) not in told.name]
    if len(loose) > _KEPT_WORDS:
        wrong += [(told.text(s), words, "not understood") for s in loose]
    if wrong:
        raise Unread(wrong)


def _common(line: Line, i: int) -> Iterator[Slot]:
    token = line.tokens[i]
    if token.is_quoted:
        yield Slot("quoted", line.raw[token.at + 1 : token.to - 1], i, i + 1, 3.0)
    elif not token.text[0].isalnum():
        yield Slot("mark", "", i, i + 1, 0.0)
    elif token.number is not None:
        yield Slot("bare", token.number, i, i + 1, _BARE)
        for to, _ in line.of_role(i + 1, "money"):
            yield Slot("told", "", i, to, 2.0)
        if line.of_role(i - 1, "money") if i else False:
            yield Slot("told", "", i, i + 1, 2.0)
    elif not line.is_unit(i):
        known = bool(line.senses[i]) and not line.corrected[i]
        yield Slot("loose", token.text, i, i + 1, _LOOSE - 1.2 * known)
    for role in ("filler", "told", "no"):
        for to, _ in line.of_role(i, role):
            yield Slot(role, "", i, to, 0.4)
    yield from _names(line, i)


def lengths(line: Line, i: int) -> Iterator[Slot]:
    """`600/750 mm` from the supply, `600 + 150 + 150 mm` from plug to plug."""
    lengths: list[float] = []
    marks: set[str] = set()
    at, factor = i, 0.0
    while (n := line.number(at)) is not None and n >= _LEAST_MM:
        lengths.append(n)
        at += 1
        units = [(to, factor) for to, own, factor in unit_at(line, at) if own == "mm"]
        at, factor = units[0] if units else (at, 0.0)
        if line.text(at) == "," and line.text(at + 1) == "and":
            at += 1
        if line.text(at) not in ("/", "+", ",", "and") or line.number(at + 1) is None:
            break
        marks.add(line.text(at))
        at += 1
    is_list = marks == {"+"} or marks <= {"/", ",", "and"}
    is_without = not factor and min(lengths, default=0) >= _LEAST_BARE_MM
    if len(lengths) > 1 and (factor or is_without) and is_list:
        # No plug hangs before the one that was said before it: then they are steps.
        are_steps = marks == {"+"} or any(b < a for a, b in pairwise(lengths))
        away = list(accumulate(lengths)) if are_steps else lengths
        every = tuple(x * (factor or 1.0) for x in away)
        yield Slot("lengths", every, i, at, 3.0 + len(every))


#: No cable is shorter [mm]; several numbers without a unit, each at least so much, are distances.
_LEAST_MM, _LEAST_BARE_MM = 1, 80


def _names(line: Line, i: int) -> Iterator[Slot]:
    """Words with a capital that nobody knows, a number behind: `Sandling 750`."""
    token = line.tokens[i]
    known = bool(line.senses[i])
    is_glued = token.at > 0 and line.raw[token.at - 1] == "-"  # the end of another word
    if token.number is not None or known or is_glued or not line.raw[token.at].isupper():
        return
    at, weight = i + 1, 0.9
    yield Slot("name", "", i, at, weight)
    while at < len(line.tokens):
        behind = line.tokens[at]
        is_word = behind.number is None and line.raw[behind.at].isupper() and not line.senses[at]
        is_number = behind.number is not None and not line.of_role(at + 1, "unit")
        if not (is_word or is_number):
            return
        weight += 0.4 if is_word else 0.7
        at += 1
        yield Slot("name", "", i, at, weight)
