"""The published types of a result. Watts, amperes and shares are unrounded; `percent` is a share
in whole percents, rounded up."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from typing_extensions import TypedDict

from ..analysis.find_out import Meaning, Settles
from ..analysis.finding import Of, Severity
from ..base.units import Origin, State, Window
from ..editing import Edit
from ..ratings.verdicts import UsualEnd, Verdict
from ..standards.signals import SignalKind
from ..supplies.asked import CheckStatus
from ..supplies.buying import BuyOf
from ..supplies.checks import SupplyVerdict
from ..things.forgotten import Topic


@dataclass(frozen=True, slots=True, kw_only=True)
class Amount:
    """Watts [W] with bounds; where `missing` names parts, read it as “at least”."""

    low: float
    likely: float
    high: float
    missing: tuple[str, ...] = ()


class Amounts(TypedDict):
    """Watts [W], or amperes [A] of a rail, in each state."""

    sleep: Amount
    idle: Amount
    everyday: Amount
    full: Amount
    start: Amount
    #: Full with the processor at its short limit, for tens of seconds.
    short: Amount


@dataclass(frozen=True, slots=True, kw_only=True)
class SpikeAmounts:
    """Watts [W] of the spikes in the four windows."""

    ms_0_1: Amount
    ms_1: Amount
    ms_10: Amount
    ms_100: Amount


class Numbers(TypedDict):
    """A number in each state in which a run is judged."""

    idle: float
    everyday: float
    full: float
    start: float


class Percents(TypedDict):
    """A share in whole percents in each state; None where it is not known."""

    sleep: int | None
    idle: int | None
    everyday: int | None
    full: int | None
    start: int | None
    short: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class PriceAnswer:
    """What something costs: money (none: not known) in a currency, plugs and ports that move,
    minutes at the bench (none: no record tells); in a phrase too."""

    money: float | None
    currency: str
    moves: int
    minutes: int | None
    text: str


@dataclass(frozen=True, slots=True, kw_only=True)
class RemedyAnswer:
    """A way to mend, in words; `edit` is an edit that does it, as it is posted, where there is
    one."""

    id: str
    text: str
    edit: Edit | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Mend:
    """A finding in words: a sentence with its numbers, what would mend it, what it is about. `of`
    and `subject` name a thing of the build, `field` the field of it."""

    id: str
    kind: Severity
    title: str
    text: str
    fix: str
    of: Of
    subject: str
    field: str
    remedies: tuple[RemedyAnswer, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class PartWatts:
    """One part's watts [W] in one column (path), all instances, per state."""

    part: str
    path: str
    watts: Amounts
    assumed: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class RuleAnswer:
    """What one sizing rule asks for."""

    id: str
    words: str
    watts: Amount | None
    binding: bool
    governs: bool
    missing: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class SizingAnswer:
    """The sizing rules, what is needed [W], and the next common size."""

    rules: tuple[RuleAnswer, ...]
    needed: Amount | None
    at_least_w: float
    pick_w: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class CheckAnswer:
    """One check of a supply."""

    id: str
    status: CheckStatus
    text: str
    load: float | None = None
    limit: float | None = None
    unit: str = ""
    rail: str | None = None
    state: State | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class RideAnswer:
    """Spikes in one window [W], in all and at 12 V, beside what the supply rides through [W]; None
    where that is not known."""

    window: Window
    watts: Amount
    rides: float | None
    holds: bool | None
    v12_watts: Amount
    v12_rides: float | None
    v12_holds: bool | None
    #: The same by the standard's worst of a card with a 16-pin socket; None where there is none.
    worst: Amount | None = None
    worst_holds: bool | None = None
    v12_worst: Amount | None = None
    v12_worst_holds: bool | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class SupplyAnswer:
    """A supply judged for this build."""

    name: str
    rated_w: float | None
    verdict: SupplyVerdict
    checks: tuple[CheckAnswer, ...]
    percent: Percents
    rides: tuple[RideAnswer, ...]
    #: Watts from the wall everyday, kilowatt-hours and price of a year, whether its fan stands in
    #: everyday use; None where that is not known.
    wall_w: float | None
    year_kwh: float | None
    year_price: float | None
    fan_stands: bool | None
    not_checked: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class SocketAnswer:
    """A socket of the build: who it belongs to, and what feeds it."""

    ref: str
    part: str
    words: str
    #: What tells it from the other sockets of its part; empty where it is the only one.
    own_words: str
    kind: str
    kind_words: str
    required: bool
    #: The cable that feeds it in the end, and the plug that is in it with what that is of.
    cable: str | None = None
    plug: str | None = None
    carrier: str | None = None
    #: By which ports, or cable; and through what stands in between, by its name.
    fed_by: str = ""
    through: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class StepAnswer:
    """A stretch of a current profile: amperes [A] on a rail per state, and their limit [A]."""

    rail: str
    from_mm: float
    to_mm: float
    amps: Numbers
    limit_a: float | None
    #: The adapter or extension whose lead it is, by its key; empty along the cable itself.
    through: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class PlugAnswer:
    """A plug at its place; `socket` is empty where it is parked. `tag` is short for `feeds`."""

    key: str
    kind: str
    face: str
    at_mm: float
    half: str
    socket: str
    feeds: str
    tag: str
    warning: str
    safety: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class OnwardAnswer:
    """A plug of something in between, on the way of a run: from where to where along the whole
    way [mm]."""

    between: str
    name: str
    kind: str
    from_mm: float
    to_mm: float
    plug: PlugAnswer


@dataclass(frozen=True, slots=True, kw_only=True)
class Lane:
    """One cable in its ports: verdict, governing element in words, profile, plugs."""

    cable: str
    name: str
    ports: tuple[str, ...]
    port_labels: tuple[str, ...]
    verdict: Verdict
    percent: int | None
    refused: bool
    cause: str
    steps: tuple[StepAnswer, ...]
    plugs: tuple[PlugAnswer, ...]
    onward: tuple[OnwardAnswer, ...]
    pinned: bool
    #: By figures that nobody measured.
    usual: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class LeadAnswer:
    """A lead of something in between: its input, and the cable that feeds it."""

    ref: str
    kind: str
    kind_words: str
    words: str
    fed_by: str
    cable: str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class BetweenAnswer:
    """An adapter, an extension or a backplane: its leads, its plugs (or bays), the cables that it
    hangs on; `wrong` says why it is never allowed by itself."""

    key: str
    kind: str
    name: str
    leads: tuple[LeadAnswer, ...]
    plugs: tuple[PlugAnswer, ...]
    cables: tuple[str, ...]
    wrong: str


@dataclass(frozen=True, slots=True, kw_only=True)
class ElementAnswer:
    """One limit on a run. `share` 1.0 is 100 %; `loads` are of every state."""

    kind: str
    line: str
    at: str
    title: str
    state: State
    load: float
    limit: float | None
    unit: str
    share: float | None
    percent: int | None
    verdict: Verdict
    formula: str
    cause: str
    source: str
    loads: Numbers
    refused: bool
    #: By a figure that nobody measured: whether it holds at the cautious end of what is usual.
    usual: UsualEnd


@dataclass(frozen=True, slots=True, kw_only=True)
class RunAnswer:
    """Every element of one run, worst first."""

    cable: str
    name: str
    ports: tuple[str, ...]
    verdict: Verdict
    percent: int | None
    cause: str
    usual: bool
    elements: tuple[ElementAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class BoardAnswer:
    """One limit on what comes through the board: its pins, a slot, a header, a hub's output."""

    kind: str
    title: str
    load: float
    limit: float | None
    unit: str
    share: float | None
    percent: int | None
    verdict: Verdict
    state: State
    cause: str
    fix: str
    part: str
    field: str
    usual: UsualEnd


@dataclass(frozen=True, slots=True, kw_only=True)
class MoverAnswer:
    """The figure that moves the total most, in words, with the part and field to find it out."""

    text: str
    part: str
    field: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Strip:
    """The few figures that stand on every page of a build."""

    watts: Amounts
    spikes: SpikeAmounts
    supply: str | None
    supply_w: float | None
    supply_percent: int | None
    supply_verdict: SupplyVerdict | Literal["none"]
    sockets_needed: int
    sockets_fed: int
    ports_left: int
    tight: int
    mend: dict[Severity, int]
    find_out: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Overall:
    """The verdict on the build as a whole: `proven` where each limit is known; `holds, by usual
    figures` where some are not, and are taken as usual; `not proven` while something is unknown,
    or not checked."""

    verdict: Literal["to mend", "not proven", "holds, by usual figures", "proven"]
    text: str
    #: Usual figures that something is judged by, and how many of them could break it.
    usual: int = 0
    could_break: int = 0


@dataclass(frozen=True, slots=True, kw_only=True)
class FoundAnswer:
    """What may be found: a value in the unit of its field, what it would mean, and the edit that
    says so. `how`: the value is the least, or the most, that means so."""

    label: str
    value: float
    unit: str
    how: Literal["", "at_least", "at_most"]
    means: Meaning
    edit: Edit | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class FindOutAnswer:
    """One thing to find out, ranked by what it settles; `where` it is printed or measured, `means`
    what each answer would mean. `subject` and `field` lead to its place."""

    id: str
    settles: Settles
    title: str
    text: str
    where: str
    means: str
    of: Of
    subject: str
    field: str
    #: How many things there are of which the same is not known.
    alike: int
    answers: tuple[FoundAnswer, ...] = ()
    #: Of what nobody says: what would tell it, with an edit where one does.
    remedies: tuple[RemedyAnswer, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class RowAnswer:
    """A row of the tally: watts [W] per state, how they come about, where they are set."""

    part: str
    name: str
    count: int
    rail: str
    path: str
    watts: Amounts
    field: str
    formula: str
    origin: Origin


@dataclass(frozen=True, slots=True, kw_only=True)
class SpikeRowAnswer:
    """A row of the spikes: watts [W] in each window, how they come about, where they are set."""

    part: str
    name: str
    count: int
    rail: str | None
    watts: SpikeAmounts
    field: str
    formula: str
    origin: Origin


@dataclass(frozen=True, slots=True, kw_only=True)
class UnspokenAnswer:
    """What the build neither has nor is said to be without; `draws`: it nearly always draws."""

    id: Topic
    words: str
    look: str
    draws: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class SignalAnswer:
    """Signal ports of one kind: how many are needed and there, at least and at most (None: nobody
    knows), who needs them, and the board's field that says how many it has."""

    kind: SignalKind
    words: str
    field: str
    needed: int
    needed_most: int | None
    there: int
    there_most: int | None
    verdict: Literal["enough", "short", "unknown"]
    needed_by: str


@dataclass(frozen=True, slots=True, kw_only=True)
class AtHandAnswer:
    """What lies in a box of the build and is in no use: its name, whose box, the edit that puts it
    in; none of what is only mounted."""

    name: str
    whose: str
    of: Literal["part", "case", "supply"]
    key: str
    edit: Edit | None


@dataclass(frozen=True, slots=True, kw_only=True)
class BuyAnswer:
    """A thing of the build that is yet to be bought; `price`: none where it is not known."""

    of: BuyOf
    key: str
    name: str
    price: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Buying:
    """What is yet to be bought, the sum of what has a price, in a sentence too; `without`: how many
    have none."""

    items: tuple[BuyAnswer, ...]
    sum: float
    without: int
    currency: str
    text: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Compact:
    """What every edit returns."""

    name: str
    strip: Strip
    overall: Overall
    by_rail: dict[str, Amounts]
    rail_amps: dict[str, Amounts]
    by_path: dict[str, Amounts]
    parts: tuple[PartWatts, ...]
    sizing: SizingAnswer
    supply: SupplyAnswer | None
    sockets: tuple[SocketAnswer, ...]
    lanes: tuple[Lane, ...]
    betweens: tuple[BetweenAnswer, ...]
    #: Of cables that nobody measured: how far each plug hangs as usual [mm].
    usual_mm: dict[str, dict[str, float]]
    #: What lies in the boxes of its parts, its case, its supply, and is not in the build.
    at_hand: tuple[AtHandAnswer, ...]
    to_buy: Buying
    through_board: tuple[BoardAnswer, ...]
    moves_most: MoverAnswer | None
    mend: tuple[Mend, ...]
    #: What to find out, that first which could change the verdict.
    find_out: tuple[FindOutAnswer, ...]
    #: Worth knowing, nothing to mend.
    notes: tuple[Mend, ...]
    not_checked: tuple[str, ...]
    #: Signal ports, of every kind.
    signals: tuple[SignalAnswer, ...]
    #: What is often forgotten, and neither added nor declared absent.
    unspoken: tuple[UnspokenAnswer, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Report:
    """The whole result: `compact` and everything behind it."""

    format: str
    version: int
    result: Compact
    rows: tuple[RowAnswer, ...]
    spike_rows: tuple[SpikeRowAnswer, ...]
    runs: tuple[RunAnswer, ...]
