"""What goes in and out of the drawer's part of the interface."""

from __future__ import annotations

from typing import Any, Literal

from catalogue.schemas import OwnWordOut
from easy_tally.catalogue import DrawerKind, DrawerThing, LooseEntry, LooseKind
from easy_tally.files import kits_csv
from easy_tally.things import Adapter, Backplane, Boxed, Cable, Extension
from ninja import Schema
from pydantic import Field

Condition = Literal["good", "worn", "not to be used"]


class ThingOut(Schema):
    """A thing: what it is, its lines, the builds that its units are in, and how many are free."""

    thing: DrawerThing
    kind: DrawerKind
    name: str
    family: str
    words: str
    lines: str
    builds: list[str]
    free: int


class PutIn(Schema):
    """A thing to put in: by its lines, or by its slug in the catalogue."""

    kind: DrawerKind
    text: str = Field(default="", max_length=8_000)
    slug: str = Field(default="", max_length=60)
    standing: Literal["owned", "looked at"] = "owned"
    count: int = 1
    condition: Condition = "good"
    since: int | None = None
    lies: str = Field(default="", max_length=80)
    note: str = Field(default="", max_length=2_000)


class ChangeIn(Schema):
    """Fields to set; `text` says the thing anew."""

    changes: dict[str, Any]
    text: str = Field(default="", max_length=8_000)


class FileIn(Schema):
    """A CSV file's text, and what its supplies are."""

    text: str = Field(max_length=kits_csv.MOST_CHARACTERS)
    standing: Literal["owned", "looked at"] = "looked at"


class ReadIn(Schema):
    """Lines being typed."""

    kind: DrawerKind
    text: str = Field(max_length=8_000)


class ReadOut(Schema):
    """What lines were understood as, in words; or what they need."""

    words: list[str]
    problems: list[str]
    #: Words that nobody knows: kept as a note, or in the way.
    loose: list[str]
    unknown: list[str]
    #: One's own words that stand in them.
    own: list[OwnWordOut]


class SaidIn(Schema):
    """A cable, an adapter, an extension or a drive cage being typed; the family of a cable."""

    text: str = Field(max_length=500)
    family: str = Field(max_length=60)


class SaidOut(ReadOut):
    """The same with the thing itself, where it is understood."""

    thing: Cable | Adapter | Extension | Backplane | None
    name: str


class PricesIn(Schema):
    """Prices to set or, none, to take back, by what they are of; the currency, where it changes."""

    prices: dict[str, float | None] = Field(default={}, max_length=2_000)
    currency: str | None = Field(default=None, max_length=8)


class PricesOut(Schema):
    """What things cost that could be had: by the slug of a supply, `drawer:` and the key of one
    looked at, `loose:` and the slug of what is sold by itself."""

    currency: str
    prices: dict[str, float]


class BoxedIn(Schema):
    """A thing of a box being typed."""

    text: str = Field(max_length=500)


class BoxedOut(Schema):
    """What lies in a box."""

    thing: Boxed


class LooseOut(Schema):
    """A thing that is sold by itself, in words."""

    entry: LooseEntry
    kind: LooseKind
    family: str
    words: str
