"""Units, rails, load states and windows: the words in which every quantity is kept.

Names end in their unit: `_w` watt, `_a` ampere, `_v` volt, `_mm` millimetre,
`_ohm` ohm, `_degc` degree Celsius. Shares are plain ratios: 1.0 is 100 %.
"""

from __future__ import annotations

from typing import Literal

Rail = Literal["v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5"]
RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5")
#: Nominal volts. Source: ATX design guide, DC voltage regulation table.
RAIL_V: dict[Rail, float] = {
    "v12": 12.0,
    "v5": 5.0,
    "v3v3": 3.3,
    "v5sb": 5.0,
    "vneg12": 12.0,
    "vneg5": 5.0,
}
RAIL_WORDS: dict[Rail, str] = {
    "v12": "12 V",
    "v5": "5 V",
    "v3v3": "3.3 V",
    "v5sb": "5 V standby",
    "vneg12": "−12 V",
    "vneg5": "−5 V",
}
#: Rails that are judged on plugs and wires; the negative ones are judged on the supply alone.
RUN_RAILS: tuple[Rail, ...] = ("v12", "v5", "v3v3", "v5sb")

#: A rail, or the ground that carries the sum over the rails.
Line = Literal["v12", "v5", "v3v3", "v5sb", "vneg12", "vneg5", "ground"]
LINES: tuple[Line, ...] = ("v12", "v5", "v3v3", "v5sb", "ground")
GROUND: Line = "ground"

#: Load states; `short` is full with the processor at its short limit, for tens of seconds.
State = Literal["sleep", "idle", "everyday", "full", "start", "short"]
#: Every state that the tally adds up and the supply is held against.
TALLY_STATES: tuple[State, ...] = ("sleep", "idle", "everyday", "full", "start", "short")
#: The states in which a run is judged: asleep nothing flows but on standby, and `full` is with
#: the processor at its short limit, since that lasts tens of seconds.
RUN_STATES: tuple[State, ...] = ("idle", "everyday", "full", "start")
STATE_WORDS: dict[State, str] = {
    "sleep": "sleep",
    "idle": "idle",
    "everyday": "everyday",
    "full": "full load",
    "start": "start",
    "short": "full load with the processor at its short limit",
}

#: The one word for each state that the interface uses.
STATE_NAMES: dict[State, str] = {
    "sleep": "asleep",
    "idle": "idle",
    "everyday": "everyday",
    "full": "full",
    "start": "start",
    "short": "short limit",
}

#: Windows of the spikes, in ms.
Window = Literal["0.1", "1", "10", "100"]
WINDOWS: tuple[Window, ...] = ("0.1", "1", "10", "100")

#: What simulated instruments say is never measured.
Origin = Literal["maker", "measured", "assumed", "simulated"]
