"""Efficiency grades: what a supply converts at the least, by share of its rating and mains volts.

Source: the grades' published floors at 20, 50 and 100 % load (10 % too of titanium), 115 V
internal and 230 V desktop.
"""

from __future__ import annotations

from typing import Literal

Grade = Literal["base", "bronze", "silver", "gold", "platinum", "titanium"]
Mains = Literal[115, 230]
#: (share of the rating, efficiency) in rising order.
Points = tuple[tuple[float, float], ...]


def _at(low: float, half: float, full: float, tenth: float | None = None) -> Points:
    start: Points = () if tenth is None else ((0.1, tenth),)
    return (*start, (0.2, low), (0.5, half), (1.0, full))


GRADES: dict[tuple[Grade, Mains], Points] = {
    ("base", 115): _at(0.80, 0.80, 0.80),
    ("bronze", 115): _at(0.82, 0.85, 0.82),
    ("silver", 115): _at(0.85, 0.88, 0.85),
    ("gold", 115): _at(0.87, 0.90, 0.87),
    ("platinum", 115): _at(0.90, 0.92, 0.89),
    ("titanium", 115): _at(0.92, 0.94, 0.90, tenth=0.90),
    ("base", 230): _at(0.82, 0.85, 0.82),
    ("bronze", 230): _at(0.85, 0.88, 0.85),
    ("silver", 230): _at(0.87, 0.90, 0.87),
    ("gold", 230): _at(0.90, 0.92, 0.89),
    ("platinum", 230): _at(0.92, 0.94, 0.90),
    ("titanium", 230): _at(0.94, 0.96, 0.94, tenth=0.90),
}

#: Below the first point x₁ the loss falls to this part of the loss there, the rest in step with
#: the load: loss = loss(x₁) × (0.4 + 0.6 x ÷ x₁). Source: assumption.
LOSS_AT_NOTHING = 0.4
#: Efficiency of the small converter that feeds 5 V standby while all else is off. Source:
#: assumption.
STANDBY = 0.6
#: BTU/h of a watt. Source: definition.
BTU_H_PER_W = 3.412
#: Of the volt-amperes that a supply with power-factor correction draws, the part that is watts.
#: Source: assumption, of a supply that corrects its power factor.
POWER_FACTOR = 0.95
#: The part of a circuit's breaker that a load of hours may take. Source: the usual rule of thumb;
#: local codes decide.
CIRCUIT_SHARE = 0.8
#: How long a supply holds its outputs when the mains is gone, at the least [ms]: at up to 80 %
#: load, and at full load by design. Source: ATX 3.0 and 3.1 design guides, hold-up time; a classic
#: design as ATX 2.x.
HOLD_UP_80_MS = 17.0
HOLD_UP_FULL_MS: dict[str, float] = {"classic": 16.0, "3.0": 16.0, "3.1": 12.0}
HOLD_UP_SHARE = 0.8
#: From this age on a supply is worth a look [years]. Source: assumption.
OLD_YEARS = 8
