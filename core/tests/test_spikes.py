"""Spikes in four windows, what the sizing makes of them, and what a supply rides through."""

from __future__ import annotations

import math
import unittest
from pathlib import Path

from easy_tally.analysis.analyse import analyse
from easy_tally.base.saying import number
from easy_tally.base.units import WINDOWS
from easy_tally.files import build_file
from easy_tally.supplies.sizing import ride_through
from easy_tally.tally.loads import loads
from easy_tally.tally.spikes import spike_rows
from easy_tally.things.assumed.assumptions import Assumptions
from easy_tally.things.parts import Card, Socket
from easy_tally.wiring import Wired

from .helpers import board, build, card, processor, supply


def _likely(*parts: object, **more: object) -> list[float]:
    found = analyse(build(*parts, **more)).spikes.total  # type: ignore[arg-type]
    return [found[w].likely for w in ("0.1", "1", "10", "100")]


class Windows(unittest.TestCase):
    def _near(self, found: list[float], expected: list[float]) -> None:
        for a, b in zip(found, expected, strict=True):
            self.assertAlmostEqual(a, b, places=6)

    def test_one_card(self) -> None:
        """320 W × 2.0, 1.7, 1.4, 1.15."""
        self._near(_likely(card()), [640, 544, 448, 368])

    def test_standards_worst_with_a_16_pin_socket(self) -> None:
        """320 W × 3.0, 2.5, 2.0, 1.5."""
        big = card(sockets="16pin", spikes="by-standard worst")
        self._near(_likely(big), [960, 800, 640, 480])

    def test_own_factors(self) -> None:
        own = card(spike_factors=(1.5, 1.4, 1.3, 1.2))
        self._near(_likely(own), [480, 448, 416, 384])

    def test_processor_takes_the_larger_of_its_two(self) -> None:
        """Sustained 100 × 1.5, 1.3, 1.2, 1.1; short 120 × 1.2, 1.1, 1, 1: the larger each."""
        plain = board(own_12v_w=None, own_5v_w=None, own_3v3_w=None)
        rest = analyse(build(plain)).tally.total.at("full").likely
        self._near([w - rest for w in _likely(plain, processor())], [150, 132, 120, 120])

    def test_a_processors_own_factors_never_below_its_short_load(self) -> None:
        """Sustained 100 × 1.6, 1.3, 1.1, 1: the short 120 W last longer than any window."""
        plain = board(own_12v_w=None, own_5v_w=None, own_3v3_w=None)
        rest = analyse(build(plain)).tally.total.at("full").likely
        own = processor().model_copy(update={"spike_factors": (1.6, 1.3, 1.1, 1.0)})
        self._near([w - rest for w in _likely(plain, own)], [160, 130, 120, 120])

    def test_a_processors_factors_are_assumptions(self) -> None:
        """Sustained 100 × 2 at 0.1 ms, short 120 × 1.5 at 100 ms; between them as assumed."""
        plain = board(own_12v_w=None, own_5v_w=None, own_3v3_w=None)
        rest = analyse(build(plain)).tally.total.at("full").likely
        assume = Assumptions(spike_sustained_0_1ms=2.0, spike_short_100ms=1.5)
        found = analyse(build(plain, processor(), assumptions=assume)).spikes.total
        self._near([found[w].likely - rest for w in WINDOWS], [200, 132, 120, 180])

    def test_excesses_add_as_squares_in_the_short_windows_only(self) -> None:
        """Two cards of 320 W: 640 + √(320² + 320²), 640 + √(224² + 224²), then plain sums."""
        two = (card(), card(key="card-2", name="C2"))
        self._near(_likely(*two), [640 + 320 * math.sqrt(2), 640 + 224 * math.sqrt(2), 896, 736])

    def test_slot_and_sockets_of_one_card_spike_as_one(self) -> None:
        """The split by slot and sockets changes nothing: 320 W of excess, not √(50² + 270²)."""
        self._near(_likely(card(slot_w=None))[:1], [640])

    def test_a_graphics_card_fed_by_its_slot_alone_spikes(self) -> None:
        bare = card(30, "", slot_w=None)
        self._near(_likely(bare), [60, 51, 42, 34.5])

    def test_a_plain_card_does_not_spike(self) -> None:
        self._near(_likely(card(30, "", slot_w=None, use="plain")), [30, 30, 30, 30])
        self._near(_likely(card(48, "pcie6", slot_w=None, use="plain")), [48, 48, 48, 48])

    def test_standards_worst_needs_its_socket(self) -> None:
        with self.assertRaisesRegex(ValueError, "a 16-pin socket"):
            card(spikes="by-standard worst")

    def test_missing_board_power_is_named(self) -> None:
        self.assertEqual(analyse(build(card(board_power_w=None))).spikes.missing, ("Card",))


class RideThrough(unittest.TestCase):
    def test_designs(self) -> None:
        usual = Assumptions()
        self.assertEqual(ride_through("3.1", 1000, True, usual), (2.0, 1.8, 1.6, 1.2))
        self.assertEqual(ride_through("3.1", 450, True, usual), (1.5, 1.45, 1.35, 1.1))
        self.assertEqual(ride_through("3.0", 1000, False, usual), (1.5, 1.45, 1.35, 1.1))
        self.assertEqual(ride_through("classic", 1000, True, usual), (1.3, 1.2, 1.1, 1.05))
        self.assertEqual(ride_through(None, 1000, True, usual), (1.3, 1.2, 1.1, 1.05))
        braver = Assumptions(ride_classic_0_1ms=2.5)  # no more than any design is known to
        self.assertEqual(ride_through(None, 400, True, braver), (1.5, 1.2, 1.1, 1.05))

    def test_what_a_classic_one_rides_through_is_an_assumption(self) -> None:
        """665 W at 0.1 ms: 450 W rides 585 W at 1.3 and 675 W at 1.5."""
        assume = Assumptions(ride_classic_0_1ms=1.5)
        old = supply(rated_w=450, design="classic")
        a = analyse(build(board(), card(), supply=old, assumptions=assume))
        check = next(c for c in a.supply.checks if c.id == "spikes")  # type: ignore[union-attr]
        self.assertEqual((check.status, check.window), ("fail", "1"))

    def _status(self, **more: object) -> tuple[str, str | None]:
        a = analyse(build(board(), card(), supply=supply(**more)))
        assert a.supply is not None
        check = next(c for c in a.supply.checks if c.id == "spikes")
        return check.status, check.window

    def test_old_design_trips_where_a_new_one_rides_through(self) -> None:
        """25 W + 640 W at 0.1 ms = 665 W: 450 W classic rides 585 W, 450 W of 3.1 675 W."""
        self.assertEqual(self._status(rated_w=450, design="classic"), ("fail", "0.1"))
        self.assertEqual(self._status(rated_w=450, design="3.1")[0], "pass")

    def test_12_v_is_held_by_itself(self) -> None:
        """12 V at 0.1 ms: 12 + 640 = 652 W; 36 A × 12 V × 1.5 = 648 W."""
        self.assertEqual(self._status(rated_w=450, v12_a=36)[0], "fail")
        self.assertEqual(self._status(rated_w=450, v12_a=37)[0], "pass")

    def test_without_its_design_it_is_held_against_the_older_one(self) -> None:
        """665, 569, 473 and 393 W: 450 W ride 585 at 0.1 ms; 550 W ride 715, 660, 605 and 577.5."""
        self.assertEqual(self._status(rated_w=450, design=None), ("fail", "0.1"))
        self.assertEqual(self._status(rated_w=550, design=None)[0], "pass")
        needs = analyse(build(board(), card(), supply=supply(design=None))).sizing
        rule = next(r for r in needs.rules if r.id == "spikes")
        self.assertAlmostEqual(rule.watts.likely, 665 / 1.3)  # type: ignore[union-attr]

    def test_sizing_rule(self) -> None:
        """665 ÷ 1.5 = 443.3, 569 ÷ 1.45 = 392.4, 473 ÷ 1.35 = 350.4, 393 ÷ 1.1 = 357.3 W."""
        ports = tuple(p for p in supply().ports if p.kind != "16pin")
        a = analyse(build(board(), card(), supply=supply(ports=ports)))
        rule = next(r for r in a.sizing.rules if r.id == "spikes")
        self.assertAlmostEqual(rule.watts.likely, 665 / 1.5)  # type: ignore[union-attr]

    def test_without_a_supply_the_sockets_decide_the_design(self) -> None:
        """A 16-pin card, worst by the standard: 25 + 960 W ÷ 2.0 = 492.5, 825 ÷ 1.8 = 458.3,
        665 ÷ 1.6 = 415.6, 505 ÷ 1.2 = 420.8 W. Without such a socket 665 ÷ 1.5 W."""
        self.assertAlmostEqual(
            self._needs(card(sockets="16pin", spikes="by-standard worst")), 492.5
        )
        self.assertAlmostEqual(self._needs(card()), 665 / 1.5)

    def test_up_to_450_w_the_smaller_multiples_count(self) -> None:
        """16-pin, 25 + 640 W: 332.5 W at twice its rating, but so small a supply rides through
        1.5 times: 443.3 W. 25 + 720 W: 496.7 W by the smaller, 372.5 W by the larger multiples,
        which begin above 450 W."""
        self.assertAlmostEqual(self._needs(card(sockets="16pin")), 665 / 1.5)
        worst = card(240, sockets="16pin", spikes="by-standard worst")
        self.assertEqual(number(self._needs(worst), "W"), "451 W")
        self.assertGreater(self._needs(worst), 450 * (1 + 1e-9))

    def _needs(self, one: Card) -> float:
        bare = board(sockets=(Socket(key="main", kind="atx24"),))
        rules = analyse(build(bare, one, supply=None)).sizing.rules
        found = next(r for r in rules if r.id == "spikes").watts
        assert found is not None
        return found.likely


class Opened(unittest.TestCase):
    """The rows of a spike add up to its figure, at every bound."""

    def test_two_cards_and_a_processor(self) -> None:
        """Excesses at 0.1 ms: 320, 320 and 50 W: √(320² + 320² + 50²) = 455.3 W; the processor's
        row counts 50² ÷ 455.3 = 5.49 W."""
        b = build(board(), processor(), card(), card(key="card-2", name="C2"))
        rows = spike_rows(Wired(b), loads(Wired(b)))
        own = next(r for r in rows if r.part == "processor" and r.rail is None)
        self.assertAlmostEqual(own.watts["0.1"].likely, 2500 / math.sqrt(320**2 * 2 + 2500))
        self.assertAlmostEqual(own.watts["10"].likely, 20)
        self.assertIn("sustained × 1.5 / 1.3 / 1.2 / 1.1", own.formula)

    def test_they_add_up_in_every_build_that_ships(self) -> None:
        root = Path(__file__).resolve().parents[2]
        files = [*(root / "demo/builds").glob("*.json"), *(root / "core/tests/data").glob("*.json")]
        for file in files:
            b = build_file.read(file.read_text(encoding="utf-8"))
            found = analyse(b)
            rows = spike_rows(found.wired, found.loads)
            for window, span in found.spikes.total.items():
                for k in range(3):
                    added = sum(r.watts[window][k] for r in rows)
                    self.assertAlmostEqual(added, span[k], places=6, msg=f"{b.name} {window}")
