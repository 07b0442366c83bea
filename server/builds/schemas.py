"""What goes in and out of the interface. Computed things are the core's own result types."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Literal

from easy_tally import Build
from easy_tally.editing import Edit
from easy_tally.publishing import (
    Compact,
    Overall,
    PriceAnswer,
    RowAnswer,
    RunAnswer,
    SpikeRowAnswer,
    Strip,
    SupplyAnswer,
)
from easy_tally.things import Cable, HouseRules, Part, Supply
from easy_tally.wiring import Offers
from ninja import Schema
from pydantic import Field


class ActIn(Schema):
    """An edit, and the version that it was made on."""

    base_version: int
    action: Edit


class BaseIn(Schema):
    """The version that an undo or redo was asked for on."""

    base_version: int


class TakeIn(Schema):
    """Take a supply of the catalogue."""

    base_version: int
    slug: str
    release: bool = False


class NewIn(Schema):
    """A new, empty build."""

    name: str = Field(min_length=1, max_length=80)


class BackOut(Schema):
    """A build that came out of the bin, by its key."""

    key: str


class OpenIn(Schema):
    """A build file's text."""

    text: str


class History(Schema):
    """What undo and redo would do; None where there is nothing."""

    undo: str | None
    redo: str | None


class BuildCard(Schema):
    """A build in the list. One that can't be read has no strip, and says why in `problem`."""

    key: str
    name: str
    note: str
    changed_at: datetime
    group: str
    #: Of a variant: the key of the build that it began as.
    began_as: str
    strip: Strip | None
    overall: Overall | None
    problem: str


class NameIn(Schema):
    """A name for a copy, or for a variant; none: one is given."""

    name: str = Field(default="", max_length=80)


class TakeVariantIn(Schema):
    """Make the build what a variant of it is."""

    base_version: int
    variant: str


class GroupIn(Schema):
    """The group that a build is put into; empty: none."""

    group: str = Field(max_length=80)


class BuildOut(Schema):
    """A build, whole, with its result. Of a variant: the build that it began as."""

    key: str
    version: int
    began_as: str
    began_name: str
    doc: Build
    result: Compact
    history: History


class ChangedOut(Schema):
    """An entity as it is now; no value where it is gone."""

    entity: str
    value: dict[str, Any] | None


class OrderOut(Schema):
    """Keys of the things of a build, in their order."""

    parts: list[str]
    cables: list[str]
    adapters: list[str]
    extensions: list[str]
    backplanes: list[str]
    runs: list[str]


class WrittenOut(Schema):
    """What a write did. Where edits of others went in with it: what they changed between them, the
    version that the last of them made, and its result."""

    key: str
    version: int
    changed: list[ChangedOut]
    order: OrderOut
    result: Compact
    history: History


class PreviewOut(Schema):
    """The result that an edit would have."""

    version: int
    result: Compact


class WhyOut(Schema):
    """Every element of one run."""

    version: int
    run: RunAnswer


class RowsOut(Schema):
    """The rows of the tally, and of the spikes."""

    version: int
    rows: list[RowAnswer]
    spike_rows: list[SpikeRowAnswer]


class LinesOut(Schema):
    """The parts of a build, one a line."""

    lines: list[str]


class OffersOut(Schema):
    """Both ends of a connection: what fits, what does not and why."""

    version: int
    offers: Offers


class CandidateOut(Schema):
    """A supply that may be taken, judged for a build; `builds`: keys of those that it is in."""

    slug: str
    source: Literal["owned", "catalogue", "looked at"]
    builds: list[str]
    condition: str
    lies: str
    price: float | None
    in_build: bool
    supply: Supply
    cables: list[Cable]
    answer: SupplyAnswer


class EffectOut(Schema):
    """What a position of a house rule would make of a build, in words."""

    rule: str
    value: str
    text: str


class RulesOut(Schema):
    """House rules of new builds; `changed`: how many builds were brought to them; `left`: keys of
    those for which there was no time."""

    house_rules: HouseRules
    changed: int = 0
    left: list[str] = []


class RulesIn(Schema):
    """House rules for new builds; `everywhere`: for those that are there too, all or by key."""

    house_rules: HouseRules
    everywhere: bool | Annotated[list[str], Field(max_length=10_000)] = False


class WayOut(Schema):
    """What would let the supply in place stay, in words, what it costs, and the edit that does
    it."""

    id: str
    text: str
    price: PriceAnswer
    edit: Edit


class ConnectorOut(Schema):
    """A connector's face: rows of letters, a letter a pin."""

    kind: str
    words: str
    face: list[str]
    side: str
    #: Whether its latch stands on the side of the last row.
    latch: bool
    #: Sense contacts say what it is granted: it comes in two versions.
    coded: bool
    #: Boards and cards are known that wire fewer 12 V pins of it.
    may_lack_pins: bool


class TemplateOut(Schema):
    """A part to start from."""

    id: str
    words: str
    also: str
    part: Part


class ChoiceOut(Schema):
    """A value that a field may have, and what it is called."""

    value: str | int | bool | None
    words: str


class OnlyOut(Schema):
    """A field, and the value of it at which another means nothing."""

    field: str
    value: str


class FieldOut(Schema):
    """A field of a part kind, as declared: a figure with bounds, or a plain one."""

    name: str
    label: str
    text: str
    unit: str
    shape: Literal["figure", "choice", "tick", "whole", "number"]
    choices: list[ChoiceOut]
    minimum: float | None
    maximum: float | None
    may_miss: bool
    #: The title of those that stand together.
    group: str
    only: OnlyOut | None
    #: Names of the assumptions, one of which stands in where the figure is missing.
    default_from: list[str]
    needed: bool


class SoughtOut(Schema):
    """A word that parts of a kind are looked for by, and how a list of them is headed."""

    word: str
    several: str


class AssumptionOut(Schema):
    """An assumption, as declared."""

    name: str
    text: str
    unit: str
    kind: Literal["bounds", "number"]
    default: Any


class PositionOut(Schema):
    """A position of a house rule."""

    value: str
    words: str
    text: str


class RuleOut(Schema):
    """A house rule, by how it is called, with its positions."""

    rule: str
    words: str
    positions: list[PositionOut]
    #: Whether a map is another by it.
    maps: bool


class WordsOut(Schema):
    """The one word for each rail, state, port, header, path and kind of finding, in order."""

    states: dict[str, str]
    findings: dict[str, str]
    rails: dict[str, str]
    ports: dict[str, str]
    headers: dict[str, str]
    paths: list[str]


class OftenOut(Schema):
    """A part that adds what is often forgotten, in words."""

    words: str
    part: Part


class StarterOut(Schema):
    """A machine to start from: what it is for, and its parts, one a line."""

    id: str
    words: str
    text: str
    lines: list[str]


class ReferenceOut(Schema):
    """What does not change while the application runs."""

    connectors: list[ConnectorOut]
    plugs: dict[str, str]
    plug_faces: dict[str, str]
    templates: list[TemplateOut]
    #: What is often forgotten → parts that add it.
    often: dict[str, list[OftenOut]]
    starters: list[StarterOut]
    fields: dict[str, list[FieldOut]]
    sought: list[SoughtOut]
    assumptions: list[AssumptionOut]
    sizes_w: list[int]
    presets: dict[str, dict[str, float]]
    words: WordsOut
    house_rules: list[RuleOut]
