"""Power excursions: what parts draw and what supplies ride through, at 0.1, 1, 10 and 100 ms."""

from __future__ import annotations

from ..base.units import Window

#: Factors of the worst that a card with a 16-pin connector may draw. Source: PCI Express CEM 5.x,
#: power excursions.
CARD_WORST: tuple[float, ...] = (3.0, 2.5, 2.0, 1.5)
#: Windows in which several parts hardly spike together: their excesses add as squares.
#: Source: assumption.
SQUARED: tuple[Window, ...] = ("0.1", "1")

#: What a supply of a 3.x design rides through, as multiples of its rating: over `LARGE_W` with a
#: 16-pin port, and every other. What a classic one does is an assumption of the builder's map.
#: Source: ATX 3.0 and 3.1 design guides, power excursions.
LARGE_W = 450.0
RIDE_LARGE_16PIN: tuple[float, ...] = (2.00, 1.80, 1.60, 1.20)
RIDE_3X: tuple[float, ...] = (1.50, 1.45, 1.35, 1.10)
#: The smallest rating [W] that is over `LARGE_W`, beyond every tolerance of a comparison.
JUST_LARGE_W = LARGE_W * (1 + 1e-6)
