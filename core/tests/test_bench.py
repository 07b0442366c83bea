"""The bench: an order that holds whatever the map, joints with their looks, and what stands of what
was done when the map changes."""

from __future__ import annotations

import unittest
from datetime import UTC, datetime, timedelta
from pathlib import Path

from easy_tally.analysis import analyse
from easy_tally.bench import Done, Noted, Step, joint_words, plan, sittings, steps
from easy_tally.editing import ChangeBuild, ChangeCable
from easy_tally.files import bench_pdf, build_file
from easy_tally.mapping import Wish, applied, solve
from easy_tally.things.build import Build
from easy_tally.things.parts import Fan, Header
from hypothesis import given, settings
from hypothesis import strategies as st
from reportlab.platypus import Table

from .helpers import board, build
from .small import made_up

DEMO = Path(__file__).resolve().parents[2] / "demo/builds"
ORDER = ("before", "supply", "board", "card", "drives", "small", "after")


def _demo(name: str) -> Build:
    return build_file.read((DEMO / f"{name}.tally.json").read_text(encoding="utf-8"))


def _ids(b: Build) -> list[str]:
    return [s.id for s in steps(analyse(b, 2026))]


def _all_done(b: Build) -> list[Done]:
    return [
        Done(step=s.id, words=joint_words(s.joint) if s.joint else s.title)
        for s in steps(analyse(b, 2026))
    ]


class Order(unittest.TestCase):
    @settings(max_examples=25, deadline=None)
    @given(st.integers(0, 10_000))
    def test_it_holds_whatever_the_map(self, seed: int) -> None:
        b = made_up(seed)
        found = solve(b, Wish(partial=True))
        assert found is not None
        made = steps(analyse(applied(b, found), 2026))
        groups = [ORDER.index(s.group) for s in made]
        self.assertEqual(groups, sorted(groups))
        self.assertEqual(len({s.id for s in made}), len(made))
        self.assertEqual(
            (made[0].id, [s.id for s in made if s.id == "power-on"]), ("safe", ["power-on"])
        )

    @settings(max_examples=25, deadline=None)
    @given(st.integers(0, 10_000))
    def test_every_end_of_every_run_is_a_joint(self, seed: int) -> None:
        b = made_up(seed)
        found = solve(b, Wish(partial=True))
        assert found is not None
        laid = applied(b, found)
        joints = [s.joint for s in steps(analyse(laid, 2026)) if s.joint]
        ports = [j for j in joints if j.kind == "port"]
        plugs = sum(len(r.connections) for r in laid.runs)
        plugs += sum(len(t.connections) for t in (*laid.adapters, *laid.extensions))
        self.assertEqual(len(ports), sum(bool(r.ports) for r in laid.runs))
        self.assertEqual(len(joints) - len(ports), plugs)

    def test_thick_before_thin_and_the_card_before_its_plugs(self) -> None:
        ids = _ids(_demo("heron"))
        main = ids.index("joint:board/main>board#1/main")
        eps = next(i for i, x in enumerate(ids) if x.startswith("joint:processor-1/"))
        card = ids.index("mount:card-1")
        plug = next(i for i, x in enumerate(ids) if x.startswith("joint:sixteen-1/"))
        self.assertLess(main, eps)
        self.assertLess(eps, card)
        self.assertLess(card, plug)

    def test_plugged_before_it_is_mounted_by_the_house_rule_or_where_it_can_not_be_reached(
        self,
    ) -> None:
        b = ChangeBuild(house_rules={"card_first": "plug then mount"}).apply(_demo("heron"))
        ids = _ids(b)
        plug = next(i for i, x in enumerate(ids) if x.startswith("joint:sixteen-1/"))
        self.assertLess(plug, ids.index("mount:card-1"))
        tight = _demo("heron")
        assert tight.case is not None
        case = tight.case.model_copy(update={"card_height_mm": 150.0})
        made = steps(analyse(tight.model_copy(update={"case": case}), 2026))
        mount = next(s for s in made if s.id == "mount:card-1")
        self.assertTrue(any("can’t be reached once it stands" in t for t in mount.text))


class Joints(unittest.TestCase):
    def _step(self, b: Build, start: str) -> Step:
        return next(s for s in steps(analyse(b, 2026)) if s.id.startswith(start))

    def test_a_16_pin_plug_clicks_shows_no_gap_and_runs_straight(self) -> None:
        looks = {x.id: x.text for x in self._step(_demo("heron"), "joint:sixteen-1/").looks}
        self.assertEqual(list(looks), ["clicked", "gap", "straight", "pull"])
        self.assertIn("35 mm", looks["straight"])

    def test_from_25_of_30_matings_on_it_is_told(self) -> None:
        for times, told in ((24, False), (25, True)):
            b = _demo("heron")
            cable = b.cable("sixteen-1")
            assert cable is not None
            plug = cable.plugs[0].model_copy(update={"matings": times})
            edit = ChangeCable(cable="sixteen-1", changes={"plugs": (plug,)})
            caution = self._step(edit.apply(b), "joint:sixteen-1/").caution
            self.assertEqual("mated 25 times of 30" in caution, told)

    def test_look_alikes_and_the_floppy_plug(self) -> None:
        ids = [x.id for x in self._step(_demo("heron"), "joint:processor-1/").looks]
        self.assertEqual(ids[0], "like")
        floppy = next(
            s for s in steps(analyse(_demo("godwit"), 2026)) if s.joint and s.joint.face == "fdd4"
        )
        self.assertIn("one-off", [x.id for x in floppy.looks])


class Replanned(unittest.TestCase):
    def test_what_is_done_stays_and_what_the_map_lost_is_unplugged_first(self) -> None:
        b = _demo("heron")
        found = solve(b)
        assert found is not None
        then = applied(b, found)
        p = plan(analyse(then, 2026), _all_done(b))
        titles = [s.title for s in p.steps if s.id not in p.done]
        # It ran: it is made safe anew, and photographed before anything is pulled.
        self.assertEqual(titles[:2], ["Make it safe", "Photograph the wiring as it is"])
        self.assertTrue(titles[2].startswith("Unplug Graphics cable 1, chained, plug b"))
        self.assertEqual(titles[-3:], ["A last look", "Switch on", "Take readings"])
        kept = [s.id for s in p.steps if s.joint and s.id in p.done]
        self.assertIn("joint:board/main>board#1/main", kept)

    def test_the_same_map_leaves_nothing_to_do(self) -> None:
        b = _demo("heron")
        p = plan(analyse(b, 2026), _all_done(b))
        self.assertEqual((p.left, p.next, p.stopped), (0, "", ""))

    def test_what_was_done_to_one_thing_is_not_done_to_another(self) -> None:
        """Ticked to the end, then another supply with its cables, and another card: theirs is all
        to be done, and what was done to the old ones stays with them."""
        b = _demo("heron")
        assert b.supply is not None
        done = [Done(step=s.id, of=s.of, words=s.title) for s in steps(analyse(b, 2026))]
        self.assertEqual(plan(analyse(b, 2026), done).left, 0)
        figure = b.model_copy(update={"supply": b.supply.model_copy(update={"rated_w": 1100})})
        self.assertEqual(plan(analyse(figure, 2026), done).left, 0)
        other = b.supply.model_copy(update={"name": "Another supply"})
        cables = tuple(c.model_copy(update={"name": f"New {c.name}"}) for c in b.cables)
        then = b.model_copy(update={"supply": other, "cables": cables})
        p = plan(analyse(then, 2026), done)
        for step in ("safe", "pins", "sort", "mount", "last-look", "power-on"):
            self.assertNotIn(step, p.done)
        self.assertEqual([s.id for s in p.steps if s.joint and s.id in p.done], [])
        self.assertIn("mount:card-1", p.done)
        card = next(x for x in b.parts if x.key == "card-1")
        swapped = card.model_copy(update={"name": "Another card"})
        parts = tuple(swapped if x is card else x for x in b.parts)
        p = plan(analyse(b.model_copy(update={"parts": parts}), 2026), done)
        for step in ("safe", "mount:card-1", "driver", "power-on"):
            self.assertNotIn(step, p.done)
        self.assertIn("mount", p.done)

    def test_a_record_of_an_earlier_version_counts_as_it_did(self) -> None:
        b = _demo("heron")
        self.assertEqual(plan(analyse(b, 2026), _all_done(b)).left, 0)

    def test_a_warm_plug_stops_the_work_and_says_why(self) -> None:
        p = plan(analyse(_demo("heron"), 2026), [], {"joint:x": "browned"})
        self.assertIn("it was too hot", p.stopped)


class Printed(unittest.TestCase):
    def test_the_sheet_and_the_flags_are_pages_and_the_same_each_time(self) -> None:
        a = analyse(_demo("heron"), 2026)
        for make in (
            lambda: bench_pdf.sheet(a),
            lambda: bench_pdf.sheet(a, "letter"),
            lambda: bench_pdf.flags(a),
            lambda: bench_pdf.flags(a, "letter", 90, 40),
        ):
            page = make()
            self.assertEqual((page[:5], page), (b"%PDF-", make()))

    def test_what_makes_safe_stands_first(self) -> None:
        """Above the panel and every joint; what comes after them below."""
        tables = [x for x in bench_pdf.story(analyse(_demo("heron"), 2026)) if isinstance(x, Table)]
        self.assertEqual(len(tables), 4)
        self.assertEqual(tables[0]._cellvalues[0][1].text, "Make it safe")
        self.assertEqual(tables[2]._cellvalues[0][1], "Joint")
        self.assertEqual(tables[3]._cellvalues[-1][1].text, "Take readings")

    def test_lines_are_filled_with_whole_pieces_and_what_is_longer_is_cut(self) -> None:
        """In Courier of 10 pt each letter is 6 pt wide: ten to a line of 60."""
        font = ("Courier", 10.0)
        for pieces, lines in (
            (["ab cd", "ef"], "ab cd  ef"),  # nine
            (["ab cd", "efg"], "ab cd  efg"),  # ten
            (["ab cd", "efgh"], "ab cd\nefgh"),
            (["0123456789ab", "c"], "0123456789\nab  c"),
            (["a", "0123456789012345678901"], "a\n0123456789\n0123456789\n01"),
            ([], ""),
        ):
            with self.subTest(pieces):
                self.assertEqual(bench_pdf._filled(pieces, "  ", font, 60.0), lines)
        self.assertEqual(bench_pdf._filled(["ab"], "  ", font, 3.0), "a\nb")

    def test_a_flag_for_both_ends_of_every_run(self) -> None:
        """Six runs with nine plugs in use: fifteen flags, beside those of what is on headers."""
        found = list(bench_pdf.flags_of(analyse(_demo("heron"), 2026)))
        self.assertEqual(len(found), 15 + 6)
        self.assertIn(("Knot R · b", "C5  Graphics cable 1, chained"), found)

    def test_each_fans_header_on_its_flag_and_in_its_step(self) -> None:
        """Three fans on a board with two fan headers and the processor's own: the processor's goes
        last, so that the third takes it."""
        headers = [Header(key=k, kind="fan") for k in ("cpu-fan", "fan-1", "fan-2")]
        fans = Fan(key="fans", name="Teal", count=3)
        b = build(board(headers=tuple(headers)), fans)
        a = analyse(b, 2026)
        hung = ["fan-1", "fan-2", "cpu-fan"]
        flags = [(f"{h}  Board", f"Teal ({n})") for n, h in enumerate(hung, 1)]
        self.assertEqual(list(bench_pdf.flags_of(a)), flags)
        step = next(s for s in steps(a) if s.id == "header:fans")
        self.assertIn("1 on fan-1, 2 on fan-2, 3 on cpu-fan", step.title)

    def test_a_build_of_nothing_prints_too(self) -> None:
        a = analyse(Build(name="<Empty & new>"), 2026)
        self.assertTrue(bench_pdf.sheet(a).startswith(b"%PDF-"))
        self.assertTrue(bench_pdf.flags(a).startswith(b"%PDF-"))


class Histories(unittest.TestCase):
    """Sittings off a record."""

    def _noted(self, hours: float, step: str, kind: str = "done", who: str = "EM") -> Noted:
        at = datetime(2026, 11, 26, tzinfo=UTC) + timedelta(hours=hours)
        return Noted(step=step, kind=kind, who=who, at=at, version=1 + int(hours))

    def test_a_machine_is_built_measured_replugged_and_swapped(self) -> None:
        found = sittings(
            [
                self._noted(0, "joint:a>1"),
                self._noted(1, "joint:b>2", who="JK"),
                self._noted(2, "readings"),
                self._noted(30, "joint:a>1"),
                self._noted(60, "out:b>2"),
                self._noted(61, "joint:b>3"),
                self._noted(90, "joint:a>1", "warm"),
            ]
        )
        self.assertEqual(
            [s.what for s in found],
            [("built", "measured"), ("re-plugged",), ("swapped",), ("stopped",)],
        )
        self.assertEqual(found[0].who, ("EM", "JK"))
        self.assertEqual((found[0].made, found[2].made, found[2].apart), (2, 1, 1))
        self.assertEqual(found[2].versions, (61, 62))

    def test_twelve_hours_apart_is_one_sitting_and_more_is_two(self) -> None:
        first = self._noted(0, "joint:a>1")
        self.assertEqual(len(sittings([first, self._noted(12, "joint:b>2")])), 1)
        self.assertEqual(len(sittings([first, self._noted(12.01, "joint:b>2")])), 2)

    def test_what_was_not_done_after_all_is_no_joint(self) -> None:
        found = sittings([self._noted(0, "joint:a>1"), self._noted(1, "joint:a>1", "undone")])
        self.assertEqual((found[0].what, found[0].made), (("looked at",), 0))
        self.assertEqual(sittings([]), ())
