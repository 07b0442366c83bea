"""What is published of readings held against a build: sentences, a row a channel and state, bars a
pin, and the bands and limits that pictures are drawn against."""

from __future__ import annotations

from dataclasses import dataclass

from ..analysis import Analysis
from ..base.series import Span
from ..base.units import STATE_NAMES, State
from ..standards.connectors import is_coded
from ..things.cables import Device
from .channels import UNIT_WORDS, Channel, instrument_of, words
from .expected import Against
from .held import Named
from .judged import Held, Read
from .stats import Stats
from .wording import say


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingSaid:
    """One finding in words: what was found, what to look at."""

    id: str
    severity: str
    channel: str
    state: str
    text: str
    look: str


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingBand:
    """A channel as it is drawn in a state: expected low, likely and high; limits."""

    channel: str
    state: str
    low: float | None
    likely: float | None
    high: float | None
    least: float | None
    most: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class ChannelFigures:
    """A channel in a state: its statistics in its unit, and what the tally expects."""

    channel: str
    words: str
    instrument: str
    unit: str
    state: str
    mean: float
    high: float
    top: float
    worst: float
    settle_s: float
    band: ReadingBand


@dataclass(frozen=True, slots=True, kw_only=True)
class PinBar:
    """One pin of a plug: its mean [A]."""

    pin: int
    mean: float


@dataclass(frozen=True, slots=True, kw_only=True)
class PlugBars:
    """The metered pins of a plug in a state, with the limit of each [A]."""

    ref: str
    words: str
    state: str
    pins: tuple[PinBar, ...]
    mean: float
    share: float
    limit: float | None
    tight: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class NamedAnswer:
    """A span of time in a state, recognised or named."""

    from_s: float
    to_s: float
    state: State
    recognised: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class HeldAnswer:
    """Readings held against a build."""

    verdict: str
    named: tuple[NamedAnswer, ...]
    found: tuple[ReadingSaid, ...]
    figures: tuple[ChannelFigures, ...]
    plugs: tuple[PlugBars, ...]


def answer(a: Analysis, held: Held, sentences: bool = True) -> HeldAnswer:
    """What is published; without sentences for somebody who is to find it by the numbers."""
    against = Against(a)
    return HeldAnswer(
        verdict=held.verdict if sentences else "",
        named=tuple(_span(n) for n in held.named),
        found=tuple(_said(a, f) for f in held.found) if sentences else (),
        figures=tuple(_figures(against, x) for x in held.stats.values()),
        plugs=_plugs(against, held, worst_first=sentences),
    )


def _span(n: Named) -> NamedAnswer:
    return NamedAnswer(from_s=n.from_s, to_s=n.to_s, state=n.state, recognised=n.recognised)


def _said(a: Analysis, f: Read) -> ReadingSaid:
    text, look = say(a.wired, f)
    return ReadingSaid(
        id=f.id,
        severity=f.severity,
        channel=str(f.channel),
        state=STATE_NAMES[f.state] if f.state else "",
        text=text,
        look=look,
    )


def band(against: Against, c: Channel, state: State) -> ReadingBand:
    """What a channel is drawn against in a state."""
    span: Span | None = against.expected(c, state)
    limit = against.limit(c)
    low, likely, high = span if span else (None, None, None)
    return ReadingBand(
        channel=str(c),
        state=state,
        low=low,
        likely=likely,
        high=high,
        least=limit.least if limit else None,
        most=limit.most if limit else None,
    )


def _figures(against: Against, x: Stats) -> ChannelFigures:
    c = x.channel
    return ChannelFigures(
        channel=str(c),
        words=words(against.a.wired, c),
        instrument=instrument_of(c),
        unit=UNIT_WORDS[c.unit],
        state=x.state,
        mean=x.mean,
        high=x.high,
        top=x.top,
        worst=x.worst,
        settle_s=x.settle_s,
        band=band(against, c, x.state),
    )


def _plugs(against: Against, held: Held, worst_first: bool) -> tuple[PlugBars, ...]:
    """In the order of the map, or the most uneven first, to a twentieth: less is noise."""
    by_plug: dict[tuple[str, State], list[Stats]] = {}
    for (state, c), x in held.stats.items():
        if c.pin:
            by_plug.setdefault((c.at, state), []).append(x)
    bars = []
    for (ref, state), pins in by_plug.items():
        pins.sort(key=lambda x: x.channel.pin or 0)
        mean = sum(x.mean for x in pins) / len(pins)
        limit = against.limit(pins[0].channel)
        bars.append(
            PlugBars(
                ref=ref,
                words=against.a.wired.words(ref),
                state=state,
                mean=mean,
                pins=tuple(PinBar(pin=x.channel.pin or 0, mean=x.mean) for x in pins),
                share=max(x.mean for x in pins) / mean if mean else 0.0,
                limit=limit.most if limit else None,
                tight=limit.tight if limit else None,
            )
        )
    return tuple(sorted(bars, key=lambda b: -round(20 * b.share)) if worst_first else bars)


@dataclass(frozen=True, slots=True, kw_only=True)
class ChannelWords:
    """A channel that can be measured of a build."""

    channel: str
    words: str
    instrument: str
    unit: str


def channel_words(a: Analysis, channels: list[Channel] | tuple[Channel, ...]) -> list[ChannelWords]:
    """Channels with their words."""
    return [
        ChannelWords(
            channel=str(c),
            words=words(a.wired, c),
            instrument=instrument_of(c),
            unit=UNIT_WORDS[c.unit],
        )
        for c in channels
    ]


def one_card(a: Analysis) -> str:
    """The card that `card power` means: the one graphics card that there is, or the first."""
    return next((str(Device(p.key)) for p in a.build.parts if p.kind == "card"), "")


def one_plug(a: Analysis) -> str:
    """The plug that `pin 1` means: the one 16-pin plug in use; none where there are several."""
    coded = [r for r, f in a.wired.feeds.items() if is_coded(f.mated)]
    return coded[0] if len(coded) == 1 else ""
