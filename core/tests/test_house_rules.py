"""House rules that limit nothing, the one that depends on the card, and where assumptions count."""

from __future__ import annotations

import unittest

from easy_tally.advice import Uses, assumption_uses, effects
from easy_tally.analysis import analyse
from easy_tally.base.errors import Refused
from easy_tally.editing import Pin, PlugIn
from easy_tally.publishing import effect_words, uses_words
from easy_tally.things.build import Build
from easy_tally.things.cables import Cable, Plug
from easy_tally.things.parts import Fan
from easy_tally.things.rules import RULES, HouseRules

from .helpers import board, build, card, disk, graphics_cable, processor, run, sata_cable
from .test_between import by_adapter


def _chained(rule: str, limit: float) -> Build:
    """A card of 275 W by both plugs of one cable: 225 W at its own sockets as delivered."""
    one = card(275, power_limit=limit)
    return build(
        board(),
        one,
        cables=(graphics_cable("g"),),
        runs=(run("g", "g1", a="card#1/a", b="card#1/b"),),
        house_rules=HouseRules(chained_graphics=rule),
    )


class AsDelivered(unittest.TestCase):
    def test_by_pins_at_the_makers_limit_and_never_above_it(self) -> None:
        for limit, refused in ((0.9, False), (1.0, False), (1.1, True)):
            with self.subTest(limit=limit):
                found = analyse(_chained("as delivered", limit)).runs[0].governing
                self.assertEqual(found is not None and found.refused, refused)


class Told(unittest.TestCase):
    def test_an_adapter_where_a_native_cable_is_free(self) -> None:
        b = by_adapter(290, 2, 2)
        self.assertEqual(_ids(b, "rule.adapter_16pin"), 0)
        native = Cable(
            key="n",
            name="16-pin cable",
            family=b.cables[0].family,
            needs=("graphics",),
            plugs=(Plug(key="a", kind="16pin", at_mm=600),),
        )
        b = b.model_copy(update={"cables": (*b.cables, native)})
        self.assertEqual(_ids(b, "rule.adapter_16pin"), 1)
        fine = b.house_rules.model_copy(update={"adapter_16pin": "fine"})
        self.assertEqual(_ids(b.model_copy(update={"house_rules": fine}), "rule.adapter_16pin"), 0)

    def test_fans_on_the_board_where_the_rule_says_a_hub(self) -> None:
        b = build(board(), Fan(key="fan", name="Fan", count=3))
        told = {
            e.value: effect_words(analyse(b), e) for e in effects(analyse(b)) if e.rule == "fans"
        }
        self.assertIn("nothing to move", told["headers first"])
        self.assertIn("3 fans to move to a hub", told["on a hub"])

    def test_every_rule_has_positions_and_every_position_words(self) -> None:
        a = analyse(_chained("never", 1.0))
        said = {(e.rule, e.value): effect_words(a, e) for e in effects(a)}
        self.assertEqual(set(RULES), set(HouseRules.model_fields) - {"headroom"})
        # Of some a map alone tells.
        self.assertTrue(all(words or RULES[rule].maps for (rule, _), words in said.items()))


def _ids(b: Build, wanted: str) -> int:
    return sum(f.id == wanted for f in analyse(b).findings)


class WhereAssumptionsCount(unittest.TestCase):
    def test_a_default_counts_and_a_stated_figure_does_not(self) -> None:
        b = build(
            board(),
            disk(),
            processor(),
            cables=(sata_cable(),),
            runs=(run("sata", "d1", p1="disk#1/power"),),
        )
        uses = dict(assumption_uses(analyse(b)))
        self.assertEqual(uses["optical_12v_a"], Uses())
        self.assertEqual(uses_words(uses["wire_18awg_a"]), ("1 run",))
        self.assertEqual(uses["wire_22awg_a"], Uses())


class Pinned(unittest.TestCase):
    def test_kept_and_let_go_and_a_cable_in_the_bag_can_not_be(self) -> None:
        b = build(board(), disk(), cables=(sata_cable(),), runs=(run("sata", "d1"),))
        kept = Pin(cable="sata").apply(b)
        self.assertTrue(kept.runs[0].pinned)
        self.assertFalse(Pin(cable="sata", pinned=False).apply(kept).runs[0].pinned)
        self.assertTrue(PlugIn(cable="sata").apply(kept).runs[0].pinned)
        bare = b.model_copy(update={"runs": ()})
        with self.assertRaisesRegex(Refused, "in the bag"):
            Pin(cable="sata").apply(bare)
