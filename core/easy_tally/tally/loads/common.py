"""A load and its states: what every kind of part is turned into."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, NamedTuple

from ...base.declared import Figure
from ...base.series import ZERO, Series, Span
from ...base.units import RAIL_V, TALLY_STATES, Rail
from ...things.parts import Part

#: own: the part's own sockets; slot: through a slot; board: through the main plug;
#: processor: the board's processor sockets; header: a header of the board, so the main plug too,
#: or of a hub, so through what feeds the hub.
Feed = Literal["own", "slot", "board", "processor", "header"]


class PerState(NamedTuple):
    """Watts [W] in each state, in the order of `TALLY_STATES`."""

    sleep: Span
    idle: Span
    everyday: Span
    full: Span
    start: Span
    short: Span

    def times(self, factor: float) -> PerState:
        """Scale every state."""
        return PerState._make([s.times(factor) for s in self])

    def series(self, count: int = 1) -> Series:
        """The watts of `count` alike, as a series of the tally."""
        return tuple([w * count for span in self for w in span])


NOTHING = PerState(ZERO, ZERO, ZERO, ZERO, ZERO, ZERO)
if PerState._fields != TALLY_STATES:
    raise ImportError(f"PerState in the order of the tally's states, got {PerState._fields}")

#: The tally's states that a run is judged in, as places: its full is with the short limit.
_RUN_PLACES = tuple(TALLY_STATES.index(s) for s in ("idle", "everyday", "short", "start"))


@dataclass(frozen=True, slots=True, kw_only=True)
class Load:
    """Watts [W] of one instance of a part on one rail by one feed, per state.

    `spans` are what that path may carry; `net` is what it adds to a total. They differ only where
    a card's split between slot and own sockets is uncertain: what the slot does not carry the
    sockets do, so the total is no less certain than the card. `field` is what a builder changes
    to change it; `formula` how it comes about. A `missing` load has a figure missing and no
    honest default: what it has is known, what it touches reads at least that.
    """

    part: str
    instances: tuple[int, ...]
    rail: Rail
    feed: Feed
    spans: PerState
    net: PerState
    field: str
    formula: str
    assumed: bool
    missing: bool = False
    #: What spinning up adds to running, where disks start one after another; else in `start`.
    surge: Span = ZERO

    @property
    def count(self) -> int:
        """How many instances draw this."""
        return len(self.instances)

    @property
    def draws(self) -> bool:
        """Whether it is anything at all."""
        return self.missing or any(self.surge) or any(map(any, self.spans))

    def run_amps(self) -> Series:
        """Amperes [A] of one instance in the states of a run."""
        volts = RAIL_V[self.rail]
        return tuple([w / volts for i in _RUN_PLACES for w in self.spans[i]])


def load(
    part: Part,
    rail: Rail,
    feed: Feed,
    spans: PerState,
    *,
    field: str,
    formula: str,
    assumed: bool,
    net: PerState | None = None,
    surge: Span = ZERO,
    missing: bool = False,
    instances: tuple[int, ...] | None = None,
) -> Load:
    """A load of every instance of a part, or of some."""
    return Load(
        part=part.key,
        instances=tuple(range(1, part.count + 1)) if instances is None else instances,
        rail=rail,
        feed=feed,
        spans=spans,
        net=net or spans,
        field=field,
        formula=formula,
        assumed=assumed,
        missing=missing,
        surge=surge,
    )


def nothing_known(part: Part, rail: Rail, feed: Feed, field: str) -> Load:
    """A load of which nothing is known."""
    return load(
        part, rail, feed, NOTHING, field=field, formula="no figure", assumed=True, missing=True
    )


def states(full: Span, idle: Span, duty: float, start: Span | None = None) -> PerState:
    """Everyday lies at `duty` of the way from idle to full; asleep nothing is drawn; at power-on
    what does not spin up idles."""
    everyday = Span(
        idle.low + duty * (full.low - idle.low),
        idle.likely + duty * (full.likely - idle.likely),
        idle.high + duty * (full.high - idle.high),
    )
    return PerState(
        sleep=ZERO,
        idle=idle,
        everyday=everyday,
        full=full,
        start=idle if start is None else start,
        short=full,
    )


class Known(NamedTuple):
    """A figure at full and at idle as both count, and whether full is assumed."""

    full: Span
    idle: Span
    assumed: bool


def full_and_idle(
    full: Figure | None, default: Span, idle_share: Span, idle: Figure | None = None
) -> Known:
    """Full and idle of a part; a default gives way to what is stated: idle by its share is never
    above full, and an assumed full never below a stated idle."""
    at_full, assumed = or_assumed(full, default)
    if idle is None:
        return Known(at_full, at_full.by(idle_share).least(at_full), assumed)
    at_idle = idle.span()
    return Known(at_full.most(at_idle) if full is None else at_full, at_idle, assumed)


def or_assumed(figure: Figure | None, default: Span) -> tuple[Span, bool]:
    """A figure, or what is assumed for it; and whether it is assumed."""
    if figure is None:
        return default, True
    return figure.span(), figure.is_assumed
