"""Judging one load against one limit."""

from __future__ import annotations

import unittest

from easy_tally.base.rounding import percent
from easy_tally.base.series import Series
from easy_tally.ratings import Limit
from easy_tally.ratings.verdicts import VERDICTS, Judgement, judge, worst
from hypothesis import given
from hypothesis import strategies as st


def _loads(full: float, high: float | None = None, start: float = 0.0) -> Series:
    top = full if high is None else high
    return (0, 0, 0, 0, 0, 0, full, full, top, start, start, start)


def _judge(
    full: float, limit: float | None = 10, high: float | None = None, **more: object
) -> Judgement:
    fields: dict[str, object] = {"within_to": 0.8} | more
    start = float(fields.pop("start", 0.0))  # type: ignore[arg-type]
    held = Limit(limit, at_start=float(fields.pop("start_factor", 1.0)))  # type: ignore[arg-type]
    return judge(_loads(full, high, start), held, **fields)  # type: ignore[arg-type]


class Bounds(unittest.TestCase):
    def test_ratings_are_within_to_80_and_tight_to_100_percent(self) -> None:
        found = [_judge(load).verdict for load in (8, 8.01, 10, 10.01)]
        self.assertEqual(found, ["within", "tight", "tight", "over"])

    def test_grants_are_within_to_100_percent(self) -> None:
        found = [_judge(load, within_to=1.0).verdict for load in (10, 10.01)]
        self.assertEqual(found, ["within", "over"])

    def test_rounding_in_the_last_place_is_forgiven(self) -> None:
        """A relative 1e-9 is not over; 1e-8 is."""
        self.assertEqual(_judge(10 * (1 + 1e-10)).verdict, "tight")
        self.assertEqual(_judge(10 * (1 + 1e-8)).verdict, "over")

    def test_only_the_high_end_over_is_tight_and_says_so(self) -> None:
        found = _judge(5, high=10.5)
        self.assertEqual((found.verdict, found.only_at_high), ("tight", True))

    def test_share_is_of_the_likely_load_and_never_clamped(self) -> None:
        self.assertAlmostEqual(_judge(13).share, 1.3)  # type: ignore[arg-type]


class Start(unittest.TestCase):
    def test_half_as_much_again_for_seconds(self) -> None:
        """Limit 10 A: 15 A at start is tight, 15.1 A over; 10.1 A is tight at best."""
        found = [_judge(0, start=s, start_factor=1.5).verdict for s in (10, 10.1, 15, 15.1)]
        self.assertEqual(found, ["within", "tight", "tight", "over"])

    def test_above_the_continuous_limit_is_marked(self) -> None:
        self.assertTrue(_judge(0, start=10.1, start_factor=1.5).at_start_only)

    def test_grants_do_not_stretch(self) -> None:
        self.assertEqual(_judge(0, start=10.1, within_to=1.0).verdict, "over")


class Missing(unittest.TestCase):
    def test_no_limit_is_unknown(self) -> None:
        found = _judge(1, limit=None)
        self.assertEqual((found.verdict, found.share), ("unknown", None))

    def test_missing_load_is_unknown(self) -> None:
        self.assertEqual(_judge(0, missing=True).verdict, "unknown")

    def test_over_stays_over_with_a_load_missing(self) -> None:
        self.assertEqual(_judge(10.1, missing=True).verdict, "over")

    def test_a_limit_of_zero(self) -> None:
        self.assertEqual(_judge(0, limit=0).verdict, "within")
        self.assertEqual(_judge(0.001, limit=0).verdict, "over")

    def test_worst(self) -> None:
        self.assertEqual(worst(["within", "tight", "unknown"]), "unknown")
        self.assertEqual(worst([]), "within")


class Shown(unittest.TestCase):
    def test_percent_rounds_up(self) -> None:
        self.assertEqual(
            [percent(s) for s in (0.801, 0.8, 1.0, 1.0000001, None)], [81, 80, 100, 101, None]
        )


class Properties(unittest.TestCase):
    @given(
        st.lists(st.floats(0, 100), min_size=4, max_size=4),
        st.floats(0, 50),
        st.floats(0.1, 100),
        st.integers(0, 3),
        st.booleans(),
    )
    def test_more_load_never_improves_a_verdict(
        self, likely: list[float], more: float, limit: float, at: int, missing: bool
    ) -> None:
        def verdict(values: list[float]) -> int:
            series = tuple(x for v in values for x in (v, v, v * 1.1))
            return VERDICTS.index(judge(series, Limit(limit, at_start=1.5), 0.8, missing).verdict)

        raised = [v + more if i == at else v for i, v in enumerate(likely)]
        self.assertLessEqual(verdict(raised), verdict(likely))
