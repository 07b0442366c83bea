"""What goes in and out of the catalogue's part of the interface."""

from __future__ import annotations

from easy_tally.files import parts_csv
from easy_tally.things import Part
from ninja import Schema
from pydantic import Field


class SayIn(Schema):
    """A line being typed."""

    text: str = Field(max_length=500)


class ListIn(Schema):
    """A list of parts, one a line."""

    text: str = Field(max_length=60_000)


class EntryOut(Schema):
    """What a line was understood as; `part` where it can be added as it stands."""

    part: Part | None
    understood: str
    unknown: list[str]
    question: str
    choices: list[str]
    #: The line with the words left over as the part's name; empty where they can't be one.
    named: str
    #: What says nothing of a part, and was left out: prices, links.
    dropped: list[str]
    #: Words that went into the name.
    described: list[str]
    #: Of those the words that nobody knows.
    loose: list[str]
    #: The things of a line that speaks of several, where each can be added as it stands.
    parts: list[Part]
    #: Where a thing belongs that is no part: `supply`, `case`, `cable`, `adapter`, `extension`,
    #: `bracket`; empty where it is one.
    goes: str
    #: What proves a row of a list: its count and its figure give the total that it says.
    proof: str


class SlotOut(Schema):
    """A slot of what a line is taken as, and the characters that say it; both 0 where none do."""

    name: str
    words: str
    at: int
    to: int


class OwnWordOut(Schema):
    """A word of one's own, and what it means, in words."""

    word: str
    means: str
    label: str


class LineOut(Schema):
    """One line of a list, and what it was understood as."""

    line: str
    entry: EntryOut
    slots: list[SlotOut]
    #: One's own words that stand in it.
    own: list[OwnWordOut]
    #: What its parts draw together at full load, likely [W]; none where that is not known.
    watts: float | None
    #: What each of `entry.choices` is understood as; empty where it asks something itself.
    meant: list[str]


class FoundOut(Schema):
    """An entry: its part as it would go into a build, in words, and what its page leaves out."""

    slug: str
    revision: int
    own: bool
    part: Part
    words: str
    #: The same without its name.
    rest: str
    lacks: list[str]


class WordIn(Schema):
    """A word to be learned, and what it means: the entry line's own word, or nothing."""

    word: str = Field(max_length=100)
    means: str = Field(max_length=40)


class MeaningOut(Schema):
    """Something that a word may mean, and what it is of."""

    means: str
    label: str
    group: str


class OwnWordsOut(Schema):
    """One's own words, and all that a word may mean."""

    words: list[OwnWordOut]
    meanings: list[MeaningOut]


class SayOut(Schema):
    """What a line was understood as, and the entries that its words find."""

    said: EntryOut
    slots: list[SlotOut]
    #: One's own words that stand in the line.
    own: list[OwnWordOut]
    offers: list[FoundOut]
    #: What each of `said.choices` is understood as; empty where it asks something itself.
    meant: list[str]


class CatalogueOut(Schema):
    """Entries found, and how many there are."""

    found: list[FoundOut]
    entries: int
    own: int


class FileIn(Schema):
    """A CSV file's text."""

    text: str = Field(max_length=parts_csv.MOST_CHARACTERS)


class ChangesOut(Schema):
    """What a CSV file would do, or did, line by line."""

    changes: list[parts_csv.Change]


class KeepIn(Schema):
    """A part to keep as an entry of one's own."""

    part: Part
