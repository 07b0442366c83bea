"""Readings: what instruments measure, held against the tally and the ratings, and taken over."""

from __future__ import annotations

from .answer import (
    ChannelWords,
    HeldAnswer,
    ReadingBand,
    answer,
    band,
    channel_words,
    one_card,
    one_plug,
)
from .calibrate import Settled, settle
from .channels import (
    METERED,
    UNIT_WORDS,
    Channel,
    Instrument,
    Sort,
    channels_of,
    instrument_of,
    parse,
    words,
)
from .drawn import Drawn, drawn
from .expected import Against, Limit
from .held import Floats, Named, Readings, Typed, of_typed
from .judged import Held, Read, hold
from .segments import recognise, settled
from .stats import Stats, stats
from .wording import say

__all__ = [
    "METERED",
    "UNIT_WORDS",
    "Against",
    "Channel",
    "ChannelWords",
    "Drawn",
    "Floats",
    "Held",
    "HeldAnswer",
    "Instrument",
    "Limit",
    "Named",
    "Read",
    "ReadingBand",
    "Readings",
    "Settled",
    "Sort",
    "Stats",
    "Typed",
    "answer",
    "band",
    "channel_words",
    "channels_of",
    "drawn",
    "hold",
    "instrument_of",
    "of_typed",
    "one_card",
    "one_plug",
    "parse",
    "recognise",
    "say",
    "settle",
    "settled",
    "stats",
    "words",
]
