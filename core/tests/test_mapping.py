"""Mapping: held against exhaustive search goal by goal, against the checker, and worked by hand."""

from __future__ import annotations

import unittest
from pathlib import Path
from typing import Any
from unittest.mock import patch

from easy_tally.advice import map_goals
from easy_tally.analysis import analyse
from easy_tally.base.errors import Refused
from easy_tally.editing import TakeMap
from easy_tally.files import build_file, print_map
from easy_tally.mapping import (
    InStock,
    Mapping,
    Progress,
    Wish,
    bill,
    goals_of,
    program,
    repairs,
    solve,
    swaps,
    why_not,
)
from easy_tally.publishing import MapAnswer
from easy_tally.things.build import Build
from easy_tally.things.cables import Connection, Plug
from easy_tally.things.parts import Board, Fan, Socket
from easy_tally.things.supply import PortGroup
from hypothesis import example, given, settings
from hypothesis import strategies as st

from .helpers import (
    board,
    board_cable,
    build,
    card,
    disk,
    exact,
    graphics_cable,
    map_said,
    processor,
    processor_cable,
    ref,
    rules,
    run,
    sata_cable,
    supply,
)
from .small import made_up
from .test_between import adapter

ROOT = Path(__file__).resolve().parents[2]
DEMO = sorted((ROOT / "demo/builds").glob("*.json"))


def _board(**more: Any) -> Board:
    """A board with its main socket alone."""
    return board(**({"sockets": (Socket(key="main", kind="atx24"),)} | more))


def _demo(name: str) -> Build:
    return build_file.read((ROOT / f"demo/builds/{name}.tally.json").read_text(encoding="utf-8"))


def _laid(b: Build, found: Mapping) -> Build:
    """With the map laid as the product lays it: validated, as one edit."""
    return TakeMap(runs=found.runs, between=found.between).apply(b)


class AgainstTheChecker(unittest.TestCase):
    def _holds(self, b: Build, found: Mapping) -> None:
        a = analyse(_laid(b, found))
        self.assertEqual([r.wired.cable.key for r in a.runs if r.verdict == "over"], [])
        counted = map_goals(a)
        self.assertEqual(
            {g.id: g.value for g in found.goals if g.id in counted},
            {g.id: counted[g.id] for g in found.goals if g.id in counted},
        )

    @settings(max_examples=60, deadline=None)
    @given(st.integers(0, 100_000))
    @example(90_950)  # a pinned run of both plugs of a chain, against the house rule
    def test_what_is_mapped_passes_and_comes_to_what_was_said(self, seed: int) -> None:
        b = made_up(seed)
        for wish in (Wish(partial=True), Wish(partial=True, prefer=True)):
            found = solve(b, wish)
            if found is None:  # only where what stays is over by itself
                stays = tuple(r for r in b.runs if r.pinned)
                alone = analyse(b.model_copy(update={"runs": stays}))
                self.assertIn("over", [r.verdict for r in alone.runs])
                continue
            self._holds(b, found)

    def test_the_demo_builds_and_sixty_sockets(self) -> None:
        sixty = ROOT / "core/tests/data/sixty.tally.json"
        for path in (*DEMO, sixty):
            with self.subTest(path.name):
                b = build_file.read(path.read_text(encoding="utf-8"))
                found = solve(b, Wish(partial=True))
                assert found is not None
                self.assertTrue(found.proven)
                self._holds(b, found)

    def test_a_program_that_is_none_is_no_answer(self) -> None:
        """It breaks down, and is not taken for a map that was not found in time."""
        limits = (PortGroup(key="g", label="G", limit_a=40),)
        ports = tuple(p.model_copy(update={"group": "g"}) for p in supply().ports)
        b = build(
            _board(),
            disk(3),
            cables=(board_cable(), sata_cable("s", 4)),
            spin_up_at_once=1,
            supply=supply(ports=ports, groups=limits),
        )
        self.assertIsNotNone(solve(b))
        with patch.object(program, "_MANY", 10**6), self.assertRaises(ValueError):
            solve(b)

    def test_the_same_map_each_time(self) -> None:
        b = _demo("heron")
        self.assertEqual(solve(b), solve(b))


class ByHand(unittest.TestCase):
    def test_thirds_of_an_ampere_that_come_to_just_the_limit_of_a_group(self) -> None:
        """Three sockets of 100 W are 8.33… A each, 25 A in all: a group of 25 A carries them, at
        100 %; one of 24.9 A does not."""
        b = build(
            _board(),
            card(110, "pcie8", slot_w=exact(10), count=3),
            cables=(board_cable(), *(graphics_cable(f"g{i}", 1) for i in range(3))),
        )

        def limited(limit_a: float) -> Build:
            groups = (PortGroup(key="g", label="G", limit_a=limit_a),)
            return b.model_copy(update={"supply": supply(groups=groups)})

        found = solve(limited(25))
        assert found is not None
        self.assertEqual({g.id: g.value for g in found.goals}["groups"], 100)
        self.assertEqual(map_goals(analyse(_laid(limited(25), found)))["groups"], 100)
        self.assertIsNone(solve(limited(24.9)))

    def test_one_disk_at_a_time_is_the_one_of_the_most_watts(self) -> None:
        """Four disks of 0.5 A at 12 V; starting, two add 1.5 A and 1.5 A at 5 V, 25.5 W, two 1.9 A
        and 0.1 A, 23.3 W. One at a time, 2 A and 1.5 A at 12 V are 3.5 A: a group of 3.6 A carries
        them, at 98 %, though 1.9 A would be too much; one of 3.4 A does not."""
        runs = {"run_12v_a": exact(0.5), "run_5v_a": exact(0.5)}
        b = build(
            _board(),
            disk(2, key="a", start_12v_a=exact(2.0), start_5v_a=exact(2.0), **runs),
            disk(2, key="b", start_12v_a=exact(2.4), start_5v_a=exact(0.6), **runs),
            cables=(board_cable(), sata_cable("s", 4)),
            spin_up_at_once=1,
        )
        ports = tuple(
            p.model_copy(update={"group": "d" if p.kind == "drive" else None})
            for p in supply().ports
        )

        def limited(limit_a: float) -> Build:
            groups = (PortGroup(key="d", label="D", limit_a=limit_a),)
            return b.model_copy(update={"supply": supply(ports=ports, groups=groups)})

        for limit_a, share in ((20, 18), (3.6, 98)):
            found = solve(limited(limit_a))
            assert found is not None
            self.assertEqual({g.id: g.value for g in found.goals}["groups"], share)
            self.assertEqual(map_goals(analyse(_laid(limited(limit_a), found)))["groups"], share)
        self.assertIsNone(solve(limited(3.4)))

    def test_a_card_on_cables_of_its_own_before_one_chained(self) -> None:
        """Two sockets of 60 W may share a cable by the rule; there are two cables, so none does."""
        b = build(
            _board(),
            card(170),
            cables=(board_cable(), graphics_cable("one"), graphics_cable("two")),
        )
        found = solve(b)
        assert found is not None
        self.assertEqual(_value(found, "chained"), 0)
        self.assertEqual(_value(found, "runs"), 3)

    def test_one_cable_for_both_where_there_is_no_other(self) -> None:
        b = build(_board(), card(170), cables=(board_cable(), graphics_cable("one")))
        found = solve(b)
        assert found is not None
        self.assertEqual(_value(found, "chained"), 1)

    def test_eight_disks_over_two_cables_start_with_eight_amperes(self) -> None:
        """2 A each: four a cable, 8.0 A; six on one would be 12.0 A."""
        cables = (board_cable(), sata_cable("s1", plugs=6), sata_cable("s2", plugs=6))
        found = solve(build(_board(), disk(8), cables=cables))
        assert found is not None
        self.assertEqual(_value(found, "start"), 80)
        self.assertEqual([len(r.connections) for r in found.runs], [1, 4, 4])

    def test_an_optional_socket_is_fed_where_there_is_a_cable(self) -> None:
        b = build(
            board(),
            processor(200, 240),
            cables=(board_cable(), processor_cable("c1"), processor_cable("c2")),
        )
        found = solve(b)
        assert found is not None
        self.assertEqual(_value(found, "optional"), -_optional(b))

    def test_what_is_pinned_stays_and_parked_plugs_of_it_may_be_used(self) -> None:
        here = run("s1", "d2", p2="disk#1/power").model_copy(update={"pinned": True})
        b = build(_board(), disk(3), cables=(board_cable(), sata_cable("s1")), runs=(here,))
        found = solve(b)
        assert found is not None
        mine = next(r for r in found.runs if r.cable == "s1")
        self.assertEqual((mine.ports, mine.pinned, len(mine.connections)), (("d2",), True, 3))
        self.assertIn(Connection(plug="p2", socket=ref("disk#1/power")), mine.connections)

    def test_pins_that_contradict_are_named(self) -> None:
        """Both plugs in a card of 350 W are against the rule; kept so, there is no map."""
        here = run("g", "g1", a="card#1/a", b="card#1/b").model_copy(update={"pinned": True})
        cables = (board_cable(), graphics_cable("g"), graphics_cable("h"))
        b = build(_board(), card(350), cables=cables, runs=(here,))
        self.assertIsNotNone(solve(b.model_copy(update={"runs": ()})))
        self.assertIsNone(solve(b))
        self.assertIn("keep", [f.id for f in why_not(b)])
        said = map_said(b)
        self.assertEqual(said.status, "impossible")
        self.assertTrue(any("is to stay as it is" in w for w in _whys(said)))

    def test_only_one_parts_sockets(self) -> None:
        b = build(
            _board(),
            card(170),
            disk(2),
            cables=(board_cable(), graphics_cable("one"), sata_cable()),
        )
        refs = frozenset(f"disk#{n}/power" for n in (1, 2))
        found = solve(b, Wish(only=refs))
        assert found is not None
        self.assertEqual([r.cable for r in found.runs], ["sata"])

    def test_cables_of_another_family_are_left(self) -> None:
        b = build(_board(), disk(1), cables=(board_cable(), sata_cable("s", family="Other")))
        self.assertIsNone(solve(b))


def _value(found: Mapping, goal: str) -> int:
    return next(g.value for g in found.goals if g.id == goal)


def _optional(b: Build) -> int:
    return sum(not s.required and s.kind in ("eps8", "eps4") for _, s in b.sockets())


class NoMap(unittest.TestCase):
    def test_nothing_to_feed_and_no_supply_have_their_own_reasons(self) -> None:
        nothing = map_said(build(Fan(key="fan", name="Fan")))
        self.assertEqual((nothing.status, nothing.edit), ("nothing", None))
        self.assertEqual(nothing.why, ("Nothing in this build has a socket that a cable feeds.",))
        without = map_said(build(_board(), disk(1), cables=(board_cable(),), supply=None))
        self.assertEqual(without.status, "impossible")
        self.assertEqual(without.why, ("There is no supply to plug anything into.",))

    def test_many_sockets_and_one_cable(self) -> None:
        """More of such cables would do: it is the sockets and the one cable, not that none fits."""
        many = [disk(64, key=f"disk-{i}") for i in range(8)]
        b = build(_board(), *many, cables=(board_cable(), sata_cable("s", 1)))
        facts = {f.id: len(f.refs) for f in why_not(b)}
        self.assertEqual(facts, {"need": 512, "cables": 1})

    def test_too_few_things_to_go_in_between(self) -> None:
        """Two cards by adapters, and one adapter."""
        b = build(
            _board(),
            card(150, "16pin", count=2),
            adapters=(adapter(1, ((1, 150),), connections=()),),
            cables=(board_cable(), graphics_cable("g1", 1), graphics_cable("g2", 1)),
        )
        self.assertEqual(sorted(f.id for f in why_not(b)), ["between", "need"])
        self.assertIn("There is 1 like Adapter to go in between.", _whys(map_said(b)))

    def test_one_cable_short_the_facts_are_the_sockets_and_the_cables(self) -> None:
        """Three disks, one cable of two plugs: two can be fed."""
        b = build(_board(), disk(3), cables=(board_cable(), sata_cable("s", plugs=2)))
        facts = {f.id: len(f.refs) for f in why_not(b)}
        self.assertEqual(facts, {"need": 3, "cables": 1})
        found = solve(b, Wish(partial=True))
        assert found is not None
        self.assertEqual(len(found.unfed), 1)
        self.assertEqual(_value(found, "unfed"), 1)

    def test_no_port_left(self) -> None:
        ports = tuple(p for p in supply().ports if p.key != "d2")
        cables = (board_cable(), sata_cable("s1", plugs=1), sata_cable("s2", plugs=1))
        b = build(_board(), disk(2), cables=cables, supply=supply(ports=ports))
        facts = [f.id for f in why_not(b)]
        self.assertEqual(sorted(facts), ["need", "ports"])

    def test_a_fact_left_out_and_there_is_a_map(self) -> None:
        """The set is a smallest one: with one cable more, or a socket less, all can be fed."""
        b = build(_board(), disk(3), cables=(board_cable(), sata_cable("s", plugs=2)))
        self.assertEqual(why_not(build(_board(), disk(2), cables=b.cables)), ())
        more = (*b.cables, sata_cable("t", plugs=2))
        self.assertEqual(why_not(build(_board(), disk(3), cables=more)), ())

    def test_curlew_says_why_and_each_repair_gives_a_whole_map(self) -> None:
        b = _demo("curlew")
        said = map_said(b)
        self.assertEqual((said.status, said.unfed), ("impossible", ("Whimbrel XL · c",)))
        self.assertEqual(len(_whys(said)), 3)
        for way in said.repairs:
            with self.subTest(way.text):
                a = analyse(TakeMap.model_validate(way.edit).apply(b))
                self.assertEqual([r for r in a.needed if r not in a.wired.live], [])
                self.assertNotIn("over", [r.verdict for r in a.runs])

    def test_the_power_limit_is_the_highest_that_does(self) -> None:
        """Three sockets, two cables of two plugs: two plugs of (P − 50) ÷ 3 W on one cable carry
        150 W at P = 275 W; of 330 W stated that is 275 W, one watt more is refused."""
        b = build(
            _board(),
            card(330, "pcie8 pcie8 pcie8"),
            cables=(board_cable(), graphics_cable("one"), graphics_cable("two")),
            house_rules=rules(chained_graphics="by plug"),
        )
        partial = solve(b, Wish(partial=True))
        assert partial is not None
        found = {r.id: r for r in repairs(b, partial.unfed, ())}
        self.assertEqual(found["power-limit"].steps[0].watts, 275)

    def test_a_cable_of_its_family_from_the_drawer_before_one_to_be_had(self) -> None:
        b = build(_board(), disk(5), cables=(board_cable(), sata_cable("s")))
        partial = solve(b, Wish(partial=True))
        assert partial is not None
        stock = [
            InStock(thing=sata_cable("bought", plugs=2), owned=False),
            InStock(thing=sata_cable("mine", plugs=3), owned=True, free=1),
            InStock(thing=sata_cable("other", family="Other"), owned=True, free=1),
        ]
        found = [
            (s.name, s.count, s.owned) for r in repairs(b, partial.unfed, stock) for s in r.steps
        ]
        self.assertEqual(found, [("mine", 1, True), ("bought", 1, False)])


def _whys(answer: MapAnswer) -> list[str]:
    return [*answer.why, *(w for left in answer.left for w in left.why)]


class Swapped(unittest.TestCase):
    def test_as_little_change_as_may_be(self) -> None:
        """A third disk beside two that are plugged: nothing is unplugged."""
        here = run("s1", "d1", p3="disk#1/power", p4="disk#2/power")
        b = build(
            _board(),
            disk(3),
            cables=(board_cable(), sata_cable("s1")),
            runs=(run("board", "b1 b2", main="board#1/main"), here),
        )
        found = solve(b, Wish(prefer=True))
        assert found is not None
        said = swaps(b, _laid(b, found))
        moved = [e for s in said for e in s.plugs]
        self.assertEqual([(e.out_of, e.into) for e in moved], [("", "disk#3/power")])
        self.assertEqual(
            [(s.key, s.does, s.stays) for s in said], [("s1", "changes", 2), ("board", "stays", 1)]
        )

    def test_out_before_in_and_what_is_not_used_goes_to_its_bag(self) -> None:
        here = run("g", "g1", a="card#1/a", b="card#1/b")
        b = build(
            _board(),
            card(350),
            cables=(board_cable(), graphics_cable("g"), graphics_cable("h"), sata_cable("s")),
            runs=(run("board", "b1 b2", main="board#1/main"), here, run("s", "d1")),
        )
        found = solve(b, Wish(prefer=True))
        assert found is not None
        said = [(s.key, s.does, s.ends, s.stays) for s in swaps(b, _laid(b, found))]
        self.assertEqual(
            said,
            [
                ("s", "goes out", 1, 0),
                ("g", "changes", 1, 1),
                ("board", "stays", 0, 1),
                ("h", "comes in", 2, 0),
            ],
        )

    def test_no_plug_is_left_hanging_where_another_cable_does(self) -> None:
        """Two sockets by two cables: of two single and two chained ones the single ones, though the
        chained ones are shorter; with one of each, one plug hangs."""
        chained = [graphics_cable(k) for k in ("c1", "c2")]
        far = (Plug(key="a", kind="pcie6+2", at_mm=700),)
        single = [graphics_cable(k, plugs=far) for k in ("s1", "s2")]
        for cables, used, hang in (
            ([*chained, *single], ["s1", "s2"], 0),
            ([*chained, single[0]], ["c1", "s1"], 1),
        ):
            found = solve(build(_board(), card(320), cables=(board_cable(), *cables)))
            assert found is not None
            keys = sorted(r.cable for r in found.runs if r.cable != "board")
            self.assertEqual(keys, used)
            self.assertIn(("hanging", hang), [(g.id, g.value) for g in found.goals])

    def test_the_bill_says_where_each_cable_comes_from(self) -> None:
        mine = sata_cable("mine").model_copy(update={"owned": "lead"})
        b = build(_board(), disk(1), cables=(board_cable(), mine))
        found = solve(b)
        assert found is not None
        said = {n.key: n.source for n in bill(b, found, frozenset({"board"}))}
        self.assertEqual(said, {"board": "buy", "mine": "drawer"})


class Stopping(unittest.TestCase):
    def test_asked_to_stop_it_gives_what_it_has_not_proven(self) -> None:
        n = iter(range(100))
        found = solve(_demo("heron"), Wish(), Progress(stop=lambda: next(n) > 3))
        assert found is not None
        self.assertFalse(found.proven)
        a = analyse(_laid(_demo("heron"), found))
        self.assertNotIn("over", [r.verdict for r in a.runs])

    def test_progress_is_told_goal_by_goal(self) -> None:
        told: list[tuple[int, int]] = []
        b = _demo("dunlin")
        solve(b, Wish(), Progress(tell=lambda done, of, _: told.append((done, of))))
        goals = len(goals_of(b.house_rules)) - 1  # a whole map leaves none unfed
        self.assertEqual(told, [(n, goals) for n in range(goals)])


class Taken(unittest.TestCase):
    def test_a_key_that_is_taken_meanwhile_is_refused(self) -> None:
        b = build(_board(), disk(1), cables=(board_cable(),))
        edit = TakeMap.model_validate(
            {"runs": [], "added": {"cables": [board_cable().model_dump(mode="json")]}}
        )
        with self.assertRaisesRegex(Refused, "map it again"):
            edit.apply(b)

    def test_in_print(self) -> None:
        text = print_map(map_said(_demo("curlew")))
        for words in ("Not everything can be fed.", "Why Whimbrel XL · c", "Hold Whimbrel XL to"):
            self.assertIn(words, text)
