"""A week under a tariff: stretches of the day, bands of price, a year; by hand."""

from __future__ import annotations

import unittest
from itertools import pairwise
from typing import Any

from easy_tally.supplies.energy import billed, day_of, year
from easy_tally.things.place import WEEK, Band, Hours, Place
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

WALL = {"sleep": 2.0, "idle": 50.0, "everyday": 100.0, "full": 400.0}
DAY = Band(name="day", from_h=6, to_h=22, price_kwh=0.40)
NIGHT = Band(name="night", from_h=22, to_h=6, price_kwh=0.20)


def _year(**place: Any) -> tuple[float, float | None]:
    return year(WALL, Place(**place))  # type: ignore[arg-type]


class Days(unittest.TestCase):
    def test_a_day_in_stretches_by_the_clock(self) -> None:
        """From 20:00: six hours everyday to 2:00, full to 4:00, idle to 6:00, asleep to 20:00."""
        found = [tuple(s) for s in day_of(Place(begins_h=20), "Mon")]
        self.assertEqual(
            found,
            [
                ("everyday", 0, 2),
                ("full", 2, 4),
                ("idle", 4, 6),
                ("sleep", 6, 20),
                ("everyday", 20, 24),
            ],
        )

    def test_what_is_left_of_the_day_it_is_off(self) -> None:
        place = Place(hours=Hours(sleep=0, idle=0, everyday=3, full=0), begins_h=8)
        self.assertEqual([tuple(s) for s in day_of(place, "Sun")], [("everyday", 8, 11)])

    def test_a_weekend_of_its_own(self) -> None:
        place = Place(weekend=Hours(sleep=24, idle=0, everyday=0, full=0))
        self.assertEqual([s.state for s in day_of(place, "Sat")], ["sleep", "sleep"])
        self.assertEqual(len(day_of(place, "Fri")), 5)


class Bands(unittest.TestCase):
    def test_a_flat_price(self) -> None:
        """28 + 100 + 600 + 800 = 1.528 kWh a day, 557.72 a year; × 0.30 = 167.32."""
        kwh, cost = _year(price_kwh=0.3)
        self.assertAlmostEqual(kwh, 557.72)
        self.assertAlmostEqual(cost or 0, 167.316)
        self.assertIsNone(_year()[1])

    def test_by_time_of_use(self) -> None:
        """From 16:00: everyday to 22:00 by day, full to midnight and idle to 2:00 by night, asleep
        2:00 to 6:00 by night and to 16:00 by day: 0.62 × 0.40 + 0.908 × 0.20 = 0.4296 a day."""
        kwh, cost = _year(begins_h=16, tariff=(DAY, NIGHT))
        self.assertAlmostEqual(kwh, 557.72)
        self.assertAlmostEqual(cost or 0, 0.4296 * 365)
        mon = billed(Place(begins_h=16, tariff=(DAY, NIGHT)), "Mon", WALL)  # type: ignore[arg-type]
        self.assertAlmostEqual(sum(b.kwh for b in mon), 1.528)

    def test_gaps_and_overlaps_are_told_with_their_day_and_hours(self) -> None:
        for bands, text in (
            ((DAY,), "a price for Mon 00:00 to 06:00"),
            ((DAY, Band(name="late", from_h=22, to_h=24, price_kwh=1)), "Mon 00:00 to 06:00"),
            (
                (DAY, Band(name="night", from_h=21, to_h=6, price_kwh=1)),
                "day and night meet Mon 21:00 to 22:00",
            ),
            ((DAY, Band(name="night", from_h=23, to_h=6, price_kwh=1)), "Mon 22:00 to 23:00"),
            ((DAY, NIGHT.model_copy(update={"days": ("Mon", "Tue")})), "Mon 00:00 to 06:00"),
        ):
            with self.assertRaisesRegex(ValidationError, text):
                Place(tariff=bands)

    def test_a_band_over_midnight_belongs_to_the_day_it_begins_on(self) -> None:
        """Friday's night reaches to Saturday 6:00, where the weekend's price takes over."""
        week = ("Mon", "Tue", "Wed", "Thu", "Fri")
        bands = (
            Band(name="day", days=week, from_h=6, to_h=22, price_kwh=3),
            Band(name="night", days=week, from_h=22, to_h=6, price_kwh=2),
            Band(name="Saturday", days=("Sat",), from_h=6, to_h=24, price_kwh=1),
            Band(name="Sunday", days=("Sun",), from_h=0, to_h=24, price_kwh=1),
            Band(name="early", days=("Mon",), from_h=0, to_h=6, price_kwh=1),
        )
        place = Place(tariff=bands)
        names = {b.name for b in place.tariff if b.on("Sat")}
        self.assertEqual(names, {"night", "Saturday"})

    @given(st.floats(0, 23.75), st.integers(1, 23))
    def test_every_hour_is_billed_once(self, begins: float, cut: int) -> None:
        bands = (
            Band(name="a", from_h=0, to_h=cut, price_kwh=1),
            Band(name="b", from_h=cut, to_h=24, price_kwh=1),
        )
        place = Place(begins_h=begins, tariff=bands)
        for day in WEEK:
            found = billed(place, day, WALL)  # type: ignore[arg-type]
            self.assertAlmostEqual(sum(b.to_h - b.from_h for b in found), 24)
            self.assertTrue(all(a.to_h <= b.from_h + 1e-9 for a, b in pairwise(found)))
        self.assertAlmostEqual(_year(begins_h=begins, tariff=bands)[0], 557.72, places=6)
