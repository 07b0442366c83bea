"""Tally, sizing rules and the checks of one supply."""

from __future__ import annotations

import unittest

from easy_tally.analysis.analyse import Analysis, analyse
from easy_tally.base.units import TALLY_STATES
from easy_tally.supplies.checks import SupplyCheck
from easy_tally.things.build import Build
from easy_tally.things.parts import Fan, Processor

from .helpers import board, build, card, disk, exact, processor, rules, supply, wide


def _check(a: Analysis, check: str, rail: str | None = None) -> SupplyCheck:
    assert a.supply is not None
    return next(c for c in a.supply.checks if c.id == check and c.rail == rail)


class TallySums(unittest.TestCase):
    def test_full_load_of_a_small_build(self) -> None:
        """Board 12 + 6 + 7, processor 100, card 320, two disks 2 × 8.5: 462 W."""
        a = analyse(build(board(), processor(), card(), disk(2)))
        self.assertAlmostEqual(a.tally.total.at("full").likely, 462)

    def test_start(self) -> None:
        """Board 0.6 × 25 = 15, processor 10, card 0.06 × 320 = 19.2, disks 2 × 29 = 58: 102.2 W."""
        a = analyse(build(board(), processor(), card(), disk(2)))
        self.assertAlmostEqual(a.tally.total.at("start").likely, 102.2)

    def test_rails(self) -> None:
        """12 V: 12 + 100 + 320 + 12 = 444; 5 V: 6 + 5 = 11; 3.3 V: 7."""
        a = analyse(build(board(), processor(), card(), disk(2)))
        found = [a.tally.by_rail[r].at("full").likely for r in ("v12", "v5", "v3v3", "v5sb")]
        for value, expected in zip(found, (444, 11, 7, 0), strict=True):
            self.assertAlmostEqual(value, expected)

    def test_paths_hold_each_watt_once(self) -> None:
        """Board lead 25 + 50 by the slot; processor 100; card 270; drives 17."""
        a = analyse(build(board(), processor(), card(), disk(2)))
        found = {p: a.tally.by_path[p].at("full").likely for p in a.tally.by_path}
        expected = {"board lead": 75, "processor leads": 100, "card leads": 270, "drive leads": 17}
        for path, value in expected.items():
            self.assertAlmostEqual(found[path], value)

    def test_rows_add_up_in_every_state(self) -> None:
        a = analyse(build(board(), processor(), card(), disk(3)))
        for i, state in enumerate(TALLY_STATES):
            rows = sum(r.watts[3 * i + 1] for r in a.tally.rows)
            self.assertAlmostEqual(rows, a.tally.total.at(state).likely)

    def test_missing_figure_names_its_part(self) -> None:
        a = analyse(build(board(), Processor(key="p", name="Plover chip")))
        self.assertEqual(a.tally.total.missing, ("Plover chip",))


class Rules(unittest.TestCase):
    def _rules(self, b: Build) -> dict[str, tuple[float | None, bool]]:
        sizing = analyse(b).sizing
        return {r.id: (r.watts.likely if r.watts else None, r.governs) for r in sizing.rules}

    def test_sum_governs_without_a_floor(self) -> None:
        """(25 + 100 + 320) × 1.2 = 534 W; next common size 550."""
        a = analyse(build(board(), processor(), card()))
        self.assertAlmostEqual(a.sizing.needed.likely, 534)  # type: ignore[union-attr]
        self.assertEqual(a.sizing.pick_w, 550)

    def test_headroom_is_the_builders(self) -> None:
        """445 × 1.5 = 667.5 W."""
        b = build(board(), processor(), card(), house_rules=rules(headroom=0.5))
        self.assertAlmostEqual(self._rules(b)["sum"][0], 667.5)  # type: ignore[arg-type]

    def test_the_largest_floor_governs(self) -> None:
        found = self._rules(
            build(
                board(),
                processor(),
                card(system_floor_w=exact(600)),
                card(key="card-2", name="C2", system_floor_w=exact(750)),
            )
        )
        self.assertEqual(found["floor"], (750, False))
        self.assertAlmostEqual(found["sum"][0], 918)  # (25 + 100 + 640) × 1.2

    def test_floor_above_the_sum_governs(self) -> None:
        found = self._rules(build(board(), processor(), card(system_floor_w=exact(750))))
        self.assertEqual(found["floor"], (750, True))

    def test_floor_and_a_fifth_binds_only_by_house_rule(self) -> None:
        """750 × 1.2 = 900 W."""
        b = build(
            board(),
            processor(),
            card(system_floor_w=exact(750)),
            house_rules=rules(maker_floor="keep and add a fifth"),
        )
        value, governs = self._rules(b)["floor and a fifth"]
        self.assertAlmostEqual(value, 900)  # type: ignore[arg-type]
        self.assertTrue(governs)

    def test_ignored_floor_does_not_bind(self) -> None:
        b = build(
            board(),
            processor(),
            card(system_floor_w=exact(750)),
            house_rules=rules(maker_floor="ignore"),
        )
        self.assertTrue(self._rules(b)["sum"][1])

    def test_quiet_point_is_everyday_over_a_half_and_advice(self) -> None:
        b = build(board(), processor(), card())
        everyday = analyse(b).tally.total.at("everyday").likely
        rule = next(r for r in analyse(b).sizing.rules if r.id == "quiet")
        self.assertAlmostEqual(rule.watts.likely, everyday / 0.5)  # type: ignore[union-attr]
        self.assertFalse(rule.binding)

    def test_missing_figure_leaves_the_need_unknown(self) -> None:
        sizing = analyse(build(board(), processor(), card(board_power_w=None))).sizing
        self.assertIsNone(sizing.needed)
        self.assertIsNone(sizing.pick_w)
        self.assertAlmostEqual(sizing.at_least_w, 150)  # 125 × 1.2


class SupplyChecks(unittest.TestCase):
    def test_right_size(self) -> None:
        a = analyse(build(board(), processor(), card(), supply=supply(rated_w=534)))
        self.assertEqual(_check(a, "watts").status, "pass")
        self.assertEqual(a.supply.verdict, "right size")  # type: ignore[union-attr]

    def test_one_watt_short_is_a_little_short(self) -> None:
        """445 W and 17 % are 520.65 W: what has no more than that is too small."""
        for rated, status, verdict in ((533, "warn", "a little short"), (520, "fail", "too small")):
            a = analyse(build(board(), processor(), card(), supply=supply(rated_w=rated)))
            self.assertEqual(_check(a, "watts").status, status)
            self.assertEqual(a.supply.verdict, verdict)  # type: ignore[union-attr]

    def test_over_twice_the_need_is_too_big(self) -> None:
        """2 × 534 = 1068 W."""
        for rated, verdict in ((1068, "right size"), (1069, "too big")):
            a = analyse(build(board(), processor(), card(), supply=supply(rated_w=rated)))
            self.assertEqual(a.supply.verdict, verdict)  # type: ignore[union-attr]

    def test_only_the_high_end_over_makes_a_warning(self) -> None:
        """Likely 445 × 1.2 = 534 W; high (445 + 40) × 1.2 = 582 W against 550 W."""
        wider = card(board_power_w=wide(320, 320, 360))
        a = analyse(build(board(), processor(), wider, supply=supply(rated_w=550)))
        check = _check(a, "watts")
        self.assertEqual((check.status, check.only_at_high), ("warn", True))
        self.assertAlmostEqual(check.load, 582)  # type: ignore[arg-type]

    def test_12_v_rail(self) -> None:
        """432 W and 20 W more at the processor's short limit: 452 W ÷ 12 V = 37.67 A."""
        for amps, status in ((452 / 12, "pass"), (37.6, "fail")):
            a = analyse(build(board(), processor(), card(), supply=supply(v12_a=amps)))
            self.assertEqual(_check(a, "rail", "v12").status, status)
            self.assertAlmostEqual(_check(a, "rail", "v12").load, 452 / 12)  # type: ignore[arg-type]

    def test_combined_5_and_3_3_v(self) -> None:
        """6 W + 7 W = 13 W."""
        for watts, status in ((13, "pass"), (12.9, "fail")):
            a = analyse(build(board(), processor(), supply=supply(combined_w=watts)))
            self.assertEqual(_check(a, "combined").status, status)

    def test_spin_up_counts_on_the_5_v_rail(self) -> None:
        """Ten disks: 10 × 1 A at spin-up and 0.6 × 6 W ÷ 5 V = 0.72 A of the board: 10.72 A."""
        a = analyse(build(board(), disk(10), supply=supply(v5_a=10)))
        check = _check(a, "rail", "v5")
        self.assertEqual(check.status, "fail")
        self.assertAlmostEqual(check.load, 10.72)  # type: ignore[arg-type]

    def test_missing_label_figure_is_unknown(self) -> None:
        a = analyse(build(board(), processor(), supply=supply(v12_a=None)))
        self.assertEqual(_check(a, "rail", "v12").status, "unknown")
        self.assertEqual(a.supply.verdict, "unknown")  # type: ignore[union-attr]

    def test_missing_part_figure_is_unknown_but_never_hides_a_failure(self) -> None:
        short = analyse(build(board(), card(board_power_w=None), supply=supply(rated_w=20)))
        self.assertEqual(_check(short, "watts").status, "fail")
        enough = analyse(build(board(), card(board_power_w=None)))
        self.assertEqual(_check(enough, "watts").status, "unknown")

    def test_share_is_never_clamped(self) -> None:
        """445 ÷ 300 = 148.3 %."""
        a = analyse(build(board(), processor(), card(), supply=supply(rated_w=300)))
        self.assertAlmostEqual(a.supply.share["full"], 445 / 300)  # type: ignore[union-attr, arg-type]

    def test_empty_build_needs_nothing_and_proves_nothing(self) -> None:
        a = analyse(build(Fan(key="f", name="F", rated_a=exact(0))))
        self.assertIsNone(a.sizing.needed)
        self.assertEqual(_check(a, "watts").status, "unknown")
