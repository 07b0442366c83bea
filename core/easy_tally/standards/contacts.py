"""What a contact carries, by housing, wire and grade, and how heat takes from it."""

from __future__ import annotations

import math
from typing import Literal

from .connectors import CONNECTORS

Grade = Literal["standard", "high"]
Gauge = Literal[14, 16, 18, 20, 22]

#: Amperes a contact of 4.2 mm pitch, for 2–3 / 4–6 / 7–10 / 11–24 circuits, every contact
#: loaded, 30 °C rise. Source: terminal makers' data, the usual figures of the field.
CONTACT_A: dict[tuple[str | None, int], tuple[float, float, float, float]] = {
    ("standard", 14): (9.0, 8.0, 7.0, 6.0),
    ("standard", 16): (9.0, 8.0, 7.0, 6.0),
    ("standard", 18): (9.0, 8.0, 7.0, 6.0),
    ("standard", 20): (7.0, 6.0, 5.0, 5.0),
    ("standard", 22): (5.0, 4.0, 4.0, 4.0),
    ("high", 14): (12.0, 11.0, 10.0, 9.0),
    ("high", 16): (12.0, 11.0, 10.0, 9.0),
    ("high", 18): (11.0, 10.0, 9.0, 8.0),
}

#: Where a terminal stops, whatever its wire stands. Source: terminal makers' data.
TERMINAL_DEGC = 105.0
#: The rise at which the figures above were taken. Source: as above.
RISE_DEGC = 30.0


def contact_limit_a(kind: str, circuits: int, gauge: int | None, grade: str | None) -> float | None:
    """Amperes [A] that one contact carries before derating, or None where no figure is known.

    Parameters: `kind` a connector kind or `"port"`; `circuits` contacts in the housing;
    `gauge` [AWG]; `grade` of the terminal. Source: the tables above, and the connector's own row.
    """
    connector = CONNECTORS.get(kind)
    if connector is not None and connector.contact_a is not None:
        return connector.contact_a
    if gauge is None:
        return None
    if connector is not None and connector.contact_by_gauge_a is not None:
        return connector.contact_by_gauge_a.get(gauge)
    row = CONTACT_A.get((grade, gauge))
    if row is None or not 2 <= circuits <= 24:
        return None
    column = 0 if circuits <= 3 else 1 if circuits <= 6 else 2 if circuits <= 10 else 3
    return float(row[column])


def derating(air_degc: float, insulation_degc: float) -> float:
    """Share of a contact's amperes left at `air_degc` [°C]; 0 once the air reaches the limit.

    limit × min(1, √((T_lim − T) ÷ 30)), T_lim the lower of terminal and insulation. Source:
    heat grows with the square of the current; the tables hold for a rise of 30 °C.
    """
    spare = min(TERMINAL_DEGC, insulation_degc) - air_degc
    return 0.0 if spare <= 0 else min(1.0, math.sqrt(spare / RISE_DEGC))
