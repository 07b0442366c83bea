"""Resistance of the wires. Amperes a conductor are assumptions (see `assumptions.py`)."""

from __future__ import annotations

#: mΩ a metre of tinned copper strand at 50 °C, by gauge. Source: copper resistivity and the
#: AWG cross-sections, with 12 % for temperature.
WIRE_MOHM_PER_M: dict[int, float] = {14: 9.0, 16: 14.6, 18: 23.2, 20: 36.7, 22: 59.4}

#: Shares of the nominal volts that may be lost on the way. Source: ATX design guide, ±5 %
#: regulation; 3 % as the point where it is worth a look is an assumption.
DROP_WITHIN = 0.03
DROP_OVER = 0.05
