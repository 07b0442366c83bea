"""What goes in and out of the catalogue's part of the interface."""

from __future__ import annotations

from builds.schemas import EntryOut
from easy_tally.files.parts_csv import MOST_CHARACTERS, Change
from easy_tally.parts import Part
from ninja import Schema
from pydantic import Field


class SayIn(Schema):
    """A line being typed."""

    text: str = Field(max_length=20_000)


class ListIn(Schema):
    """A list of parts, one a line."""

    text: str = Field(max_length=60_000)


class LineOut(Schema):
    """One line of a list, and what it was understood as."""

    line: str
    entry: EntryOut


class FoundOut(Schema):
    """An entry: its part as it would go into a build, in words, and what its page leaves out."""

    slug: str
    revision: int
    own: bool
    part: Part
    words: str
    lacks: list[str]


class SayOut(Schema):
    """What a line was understood as, and the entries that its words find."""

    said: EntryOut
    offers: list[FoundOut]


class CatalogueOut(Schema):
    """Entries found, and how many there are."""

    found: list[FoundOut]
    entries: int
    own: int


class FileIn(Schema):
    """A CSV file's text."""

    text: str = Field(max_length=MOST_CHARACTERS)


class ChangesOut(Schema):
    """What a CSV file would do, or did, line by line."""

    changes: list[Change]


class KeepIn(Schema):
    """A part to keep as an entry of one's own."""

    part: Part
