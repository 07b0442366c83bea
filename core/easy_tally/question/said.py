"""What is asked in a line: read by the entry line's own readers, clause by clause, and made a
change. Nothing is guessed: what is open is asked."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import NamedTuple

from ..advice import put_in
from ..base.errors import BadInput, EasyTallyError, NotThere, Refused
from ..editing import AddBetween, AddCable, ChangePart, Edit, RemovePart, TakeSupply
from ..editing.valid import set_fields
from ..entry import parse, read_boxed, read_case_line
from ..entry.kits import read_cable, read_supply
from ..entry.line import in_digits
from ..entry.own import NO_WORDS
from ..mapping import InStock
from ..supplies.kits import Kit
from ..things.build import Build
from ..things.buying import to_be_had
from ..things.cables import Cable
from ..things.case import Case
from ..things.parts import Card, Part
from .change import BESIDE, MOST_EDITS, Change, Instead, house, instead_of, put

#: Characters of a question at the most: nobody asks more in a line.
MOST_CHARACTERS = 400
ASK = "What would you change? A card, a supply, a case, disks: as you would say it."


class Shelf(NamedTuple):
    """What may be asked about by its name: of the catalogue, of the drawer."""

    parts: tuple[Part, ...] = ()
    kits: tuple[Kit, ...] = ()
    cases: tuple[Case, ...] = ()
    loose: tuple[InStock, ...] = ()


_EMPTY = Shelf()


@dataclass(frozen=True, slots=True, kw_only=True)
class Heard:
    """What a line asks: a change; or what is open of it, with whole lines that would answer, and
    the words that nothing accounts for. `instead`: what its part may come in place of, that first
    which was taken. `left_out`: what was said and does not count."""

    change: Change | None = None
    question: str = ""
    choices: tuple[str, ...] = ()
    unknown: tuple[str, ...] = ()
    instead: tuple[Instead, ...] = ()
    taken: str = ""
    left_out: tuple[str, ...] = ()


class _Open(Exception):
    """Something has to be asked first."""

    def __init__(self, heard: Heard) -> None:
        super().__init__(heard.question)
        self.heard = heard


#: What a question begins and ends with, and that says nothing of what is asked about.
_FRONT = re.compile(
    r"^(?:(?:so|and|hi|please|ok|okay)\s+)*"
    r"(?:(?:will|would|does|do|can|could|may|might|shall|should|is|are|what|how|if|i|we|it|this|"
    r"that|about|my|want to|like to|to|there|room|for|enough|put|add|fit|use|take(?! out| away)|"
    r"have|get|mount|install|run|go with|upgrade to|change to|swap in|swap to|possible|ok|okay|"
    r"happens|when)\s+)+",
    re.IGNORECASE,
)
_BACK = re.compile(
    r"(?:[\s,]+(?:(?:be able to\s+)?(?:go|fit|work|run|do)(?: in| into| with| inside)?|in there|"
    r"in here|(?:in|into|inside|for|with)\s+(?:it|here|there|(?:my|this|the)\s+(?:machine|build|pc|"
    r"computer|box|system|rig|one))|be ok|be okay|be fine|be enough|suffice|and what would it take|"
    r"what would it take|instead))+\s*$",
    re.IGNORECASE,
)
_INSTEAD = re.compile(r"\b(?:instead of|in place of|replacing|rather than)\s+", re.IGNORECASE)
_WITHOUT = re.compile(r"^(?:without|take out|take away|remove|minus|no more)\s+", re.IGNORECASE)
_LIMITED = re.compile(
    r"^(?:(?:hold|limit|cap|throttle|set)\s+)?(?P<name>.+?)\s+"
    r"(?:(?:is\s+)?(?:held|limited|capped|throttled|set)\s+)?(?:at|to|down to)\s+"
    r"(?P<n>[0-9]+(?:[.,][0-9]+)?)\s*(?P<unit>w|watts?|%|percent)$",
    re.IGNORECASE,
)
_HOLDS = re.compile(r"\b(?:hold|held|limit|limited|cap|capped|throttled?|set)\b", re.IGNORECASE)
_ARTICLE = re.compile(r"^(?:the|my|its|a|an|one|another|some|that|this)\s+", re.IGNORECASE)
_PARTS_OF = re.compile(r"\s*;\s*|\s+(?:and|plus|\+|also|together with)\s+|,\s*(?=without\b)", re.I)
_ELSEWHERE = {
    "supply": re.compile(r"\b(?:supply|supplies|psu)\b", re.IGNORECASE),
    "case": re.compile(r"\b(?:case|chassis|enclosure|cabinet)\b(?!\s+fans?)", re.IGNORECASE),
    "loose": re.compile(r"\b(?:adapters?|extensions?|bracket|y-piece|splitter)\b", re.IGNORECASE),
    "cable": re.compile(r"\bcables?\b", re.IGNORECASE),
}


def heard(
    text: str,
    build: Build,
    shelf: Shelf = _EMPTY,
    own: Mapping[str, str] = NO_WORDS,
    instead: str = "",
) -> Heard:
    """What a line asks of a build, by what is on the shelf and somebody's own words; `instead`:
    what its part is to come in place of, by key, where that was chosen. Never raises."""
    line = " ".join(text.split())
    if len(line) > MOST_CHARACTERS:
        return Heard(question=f"A question has at most {MOST_CHARACTERS} characters.")
    bare = _bare(line)
    if not bare:
        return Heard(question=ASK)
    try:
        return _Reader(build, shelf, own, instead).read(bare)
    except _Open as asked:
        return asked.heard
    except EasyTallyError as error:
        return Heard(question=f"{error}".rstrip(".") + ".")


def _bare(line: str) -> str:
    """A question without what asks: what it is about."""
    line = _FRONT.sub("", f"{line.strip(' ?!.')} ").strip()
    return _BACK.sub("", line).strip(" ?!.,")


class _Reader:
    """Reads the clauses of a question, one after another, each on what the one before made."""

    def __init__(self, build: Build, shelf: Shelf, own: Mapping[str, str], instead: str) -> None:
        self.build, self.shelf, self.own = build, shelf, own
        self.wanted = instead
        self.edits: list[Edit] = []
        self.words: list[str] = []
        self.instead: tuple[Instead, ...] = ()
        self.taken = ""
        self.left_out: list[str] = []
        self.line = ""

    def read(self, line: str) -> Heard:
        """The change that a line asks about. Raises _Open, EasyTallyError."""
        self.line = line
        for clause in self._clauses(line):
            self._clause(clause)
        if not 1 <= len(self.edits) <= MOST_EDITS:
            raise BadInput([("question", f"1 to {MOST_EDITS} things", str(len(self.edits)))])
        change = Change(words="; ".join(self.words)[:300], edits=tuple(self.edits))
        change.to(self.build)
        return Heard(
            change=change, instead=self.instead, taken=self.taken, left_out=tuple(self.left_out)
        )

    def _clauses(self, line: str) -> list[str]:
        """The things that a line asks about, each read by itself: where all of it are parts the
        entry line knows where one ends."""
        pieces = [p for p in _PARTS_OF.split(line) if p]
        apart = any(_is_apart(p) or self._named(p) for p in pieces)
        return pieces if len(pieces) > 1 and apart else [line]

    def _clause(self, clause: str) -> None:
        if _WITHOUT.match(clause):
            return self._remove(_WITHOUT.sub("", clause))
        limited = _LIMITED.match(clause) if _HOLDS.search(clause) else None
        if limited and self._limit(limited):
            return None
        said, *target = _INSTEAD.split(clause, maxsplit=1)
        place = self._one(target[0]) if target else None
        if not said.strip():
            raise _Open(Heard(question=ASK))
        self._thing(_ARTICLE.sub("", said.strip(" ,")), place)
        return None

    # -- what is there -----------------------------------------------------------------------

    def _answering(self, said: str) -> list[Part]:
        """The parts of the build that are called so."""
        words = _ARTICLE.sub("", said.strip(" .,")).lower()
        named = [p for p in self.build.parts if p.name.lower() == words]
        asked = [w for w in re.findall(r"[\w.-]+", words) if w not in ("old", "present")]
        return named or [p for p in self.build.parts if _answers_to(p, asked)]

    def _one(self, said: str) -> Part:
        """The part of the build that is meant. Raises _Open."""
        named = self._answering(said)
        if len(named) == 1:
            return named[0]
        several = named or list(self.build.parts)
        question = (
            f"“{said.strip()}”: which one is meant?"
            if named
            else (f"There is nothing called “{said.strip()}” in this build. What is meant?")
        )
        lines = self._with(said.strip(), (p.name for p in several[:8]))
        raise _Open(Heard(question=question, choices=lines, unknown=(said.strip(),)))

    def _with(self, said: str, answers: Iterable[str]) -> tuple[str, ...]:
        """The whole line, with each of some answers in the place of what is open."""
        return tuple(dict.fromkeys(self.line.replace(said, a) for a in answers if a))

    def _remove(self, said: str) -> None:
        part = self._one(said)
        self._take(RemovePart(part=part.key, release=True), f"without {part.name}")

    def _limit(self, limited: re.Match[str]) -> bool:
        """Hold a card of the build to so many watts; False: it is of none that is there. Raises
        _Open where it may be of several."""
        if not self._answering(limited["name"]):
            return False
        part = self._one(limited["name"])
        power = part.board_power_w if isinstance(part, Card) else None
        if power is None:
            raise Refused(f"{part.name} draws nothing that is known, or can’t be held lower.")
        n = float(limited["n"].replace(",", "."))
        share = n / 100 if limited["unit"][0] in "%p" else n / power.likely
        edit = ChangePart(part=part.key, changes={"power_limit": share})
        self._take(edit, f"{part.name} held to {share * power.likely:.0f} W")
        return True

    # -- what comes --------------------------------------------------------------------------

    def _thing(self, said: str, place: Part | None) -> None:
        if named := self._named(said):
            return self._bring(*named, place)
        kind = _elsewhere(said)
        if kind == "supply":
            supply = read_supply(said, self.own)
            return self._take(TakeSupply(supply=supply, release=True), supply.name)
        if kind == "case":
            case = read_case_line(said, self.own)
            return self._take(house(case), f"into {case.name}")
        if kind == "loose":
            return self._boxed(said)
        if kind == "cable":
            return self._cables(said)
        entry = parse(said, self.own)
        if not entry.taken:
            choices = self._with(said, entry.choices)
            question = entry.question or "Not understood: what is it?"
            raise _Open(Heard(question=question, choices=choices, unknown=entry.unknown))
        self.left_out += entry.dropped
        for part in entry.taken:
            self._part(part, place)
        return None

    def _bring(self, thing: Part | Kit | Case | InStock, count: int, place: Part | None) -> None:
        match thing:
            case Kit():
                bought = to_be_had(thing.source == "owned", thing.price)
                supply = thing.supply.model_copy(update={"to_buy": bought})
                taken = TakeSupply(supply=supply, cables=thing.cables, release=True)
                self._take(taken, supply.name)
            case Case():
                self._take(house(thing), f"into {thing.name}")
            case InStock():
                bought = to_be_had(thing.owned, thing.price)
                one = thing.thing.model_copy(update={"to_buy": bought})
                edit = AddCable(cable=one) if isinstance(one, Cable) else AddBetween(thing=one)
                for _ in range(count):
                    self._take(edit, f"{count} × {one.name}" if count > 1 else one.name)
            case _:
                self._part(set_fields(thing, {"count": count}, thing.key, ()), place)

    def _part(self, part: Part, place: Part | None) -> None:
        where = instead_of(self.build, part)
        chosen = place.key if place is not None else where[0].key
        if place is not None and place.kind != part.kind:
            self.edits.append(RemovePart(part=place.key, release=True))
            chosen = BESIDE
        elif place is None and not self.instead and where[1:]:
            # Of several things it is the first that may be put elsewhere.
            if self.wanted in {i.key for i in where}:
                chosen = self.wanted
            self.instead, self.taken = where, chosen
        part = _called(part)
        words = f"{part.count} × {part.name}" if part.count > 1 else part.name
        gives_way = place or self.build.part(chosen)
        self._take(
            put(part, chosen), f"{words} in place of {gives_way.name}" if gives_way else words
        )

    def _boxed(self, said: str) -> None:
        thing = read_boxed(said, self.own)
        edit = put_in(thing)
        if edit is None:
            raise Refused(f"{thing.name} changes nothing that is worked out.")
        self._take(edit, thing.name)

    def _cables(self, said: str) -> None:
        if self.build.supply is None:
            raise NotThere("There is no supply in this build whose cable it could be.")
        count, cable = read_cable(said, self.build.supply.family, self.own)
        for _ in range(count):
            self._take(AddCable(cable=cable), cable.name)

    def _take(self, edit: Edit, words: str) -> None:
        self.edits.append(edit)
        if words not in self.words:
            self.words.append(words)

    # -- by name -----------------------------------------------------------------------------

    def _named(self, said: str) -> tuple[Part | Kit | Case | InStock, int] | None:
        """What on the shelf is called so, and how many of it; None: nothing, or what is said of it
        is more than its name."""
        words = " ".join(in_digits(_ARTICLE.sub("", said).lower()).replace('"', "").split())
        for name, thing in self._shelf():
            before, is_there, after = words.partition(name)
            rest = re.sub(r"\b(?:card|supply|psu|case|disks?|drives?|x|×)\b", "", before + after)
            if is_there and re.fullmatch(r"\s*(?:(\d{1,2})\s*[x×]?)?\s*", rest.strip(" ,")):
                n = re.search(r"\d+", rest)
                return thing, int(n[0]) if n else 1
        return None

    def _shelf(self) -> Iterable[tuple[str, Part | Kit | Case | InStock]]:
        """What there is by name, the longest first; one's own before what is sold."""
        several: list[tuple[str, Part | Kit | Case | InStock]] = [
            *((k.supply.name.lower(), k) for k in self.shelf.kits if not k.builds),
            *((p.name.lower(), p) for p in self.shelf.parts),
            *((c.name.lower(), c) for c in self.shelf.cases),
            *((s.thing.name.lower(), s) for s in self.shelf.loose),
        ]
        return sorted((x for x in several if x[0]), key=lambda x: -len(x[0]))


def _elsewhere(said: str) -> str:
    """What a clause is of, that is no part: its first such word decides; nothing: a part."""
    places = {k: m.start() for k, p in _ELSEWHERE.items() if (m := p.search(said))}
    return min(places, key=lambda k: places[k], default="")


def _called(part: Part) -> Part:
    """A part that nobody named, by what it draws: “Card” alone is no name beside another."""
    power = part.board_power_w if isinstance(part, Card) else None
    if power is None or part.name != "Card":
        return part
    return part.model_copy(update={"name": f"{power.likely:g} W card"})


def _is_apart(clause: str) -> bool:
    """Whether a clause is of something that is no part, or of what is there."""
    return bool(
        _WITHOUT.match(clause)
        or _INSTEAD.search(clause)
        or (_HOLDS.search(clause) and _LIMITED.match(clause))
        or any(p.search(clause) for p in _ELSEWHERE.values())
    )


def _answers_to(part: Part, words: list[str]) -> bool:
    """Whether a part is called by all of some words: of its name, its kind."""
    known = {*re.findall(r"[\w.-]+", part.name.lower()), part.kind, part.key}
    return bool(words) and all(w in known or w.rstrip("s") in known for w in words)
