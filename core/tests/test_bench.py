"""The bench: an order that holds whatever the map, joints with their looks, and what stands of what
was done when the map changes."""

from __future__ import annotations

import unittest
from datetime import UTC, date, datetime, timedelta
from pathlib import Path

from easy_tally.analysis import analyse
from easy_tally.bench import Act, Noted, Step, plan, sittings, steps
from easy_tally.editing import ChangeBuild, ChangeCable
from easy_tally.files import Edition, build_file, flags_pdf, handover_pdf, work_pdf
from easy_tally.mapping import Wish, applied, solve
from easy_tally.things.build import Build
from easy_tally.things.parts import Fan, Header
from hypothesis import given, settings
from hypothesis import strategies as st
from reportlab.platypus import Table

from .helpers import board, build
from .small import made_up

DEMO = Path(__file__).resolve().parents[2] / "demo/builds"
ORDER = ("before", "cables", "supply", "seat", "case", "board", "small", "card", "drives", "after")


def _demo(name: str) -> Build:
    return build_file.read((DEMO / f"{name}.tally.json").read_text(encoding="utf-8"))


def _ids(b: Build) -> list[str]:
    return [s.id for s in steps(analyse(b, 2026))]


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


class Stopped(unittest.TestCase):
    def test_a_warm_plug_stops_the_work_and_says_why(self) -> None:
        p = plan(analyse(_demo("heron"), 2026), bad={"joint:x": "browned"})
        self.assertIn("it was too hot", p.stopped)


class Printed(unittest.TestCase):
    def test_what_is_printed_is_pages_and_the_same_each_time(self) -> None:
        a = analyse(_demo("heron"), 2026)
        work = plan(a)
        on = Edition(3, date(2026, 12, 1))
        for make in (
            lambda: work_pdf.sheet(a, work, edition=on),
            lambda: work_pdf.sheet(a, work, "letter"),
            lambda: flags_pdf.flags(a, edition=on),
            lambda: flags_pdf.flags(a, "letter", 90, 40),
            lambda: handover_pdf.handover(a, work, edition=on),
        ):
            page = make()
            self.assertEqual((page[:5], page), (b"%PDF-", make()))

    def test_what_makes_safe_stands_first_and_steps_follow_in_their_order(self) -> None:
        a = analyse(_demo("heron"), 2026)
        work = plan(a)
        story = work_pdf.story(a, work)
        tables = [x for x in story if isinstance(x, Table)]
        titles = [row[1][0].text for x in tables for row in x._cellvalues]
        self.assertEqual(titles[0], "Make it safe")
        self.assertEqual(titles, [p.step.title for p in work.steps])
        # Nothing but the name, the supply and the cautions stands above it.
        self.assertEqual(story.index(tables[0]), 4)

    def test_a_handover_has_room_on_one_page(self) -> None:
        for name in ("heron", "curlew", "godwit"):
            a = analyse(_demo(name), 2026)
            page = handover_pdf.handover(a, plan(a), edition=Edition(3, date(2026, 12, 1)))
            self.assertEqual(page.count(b"/Type /Page\n"), 1, name)

    def test_a_flag_for_both_ends_of_every_run(self) -> None:
        """Six runs with nine plugs in use: fifteen flags, beside those of what is on headers."""
        found = list(flags_pdf.flags_of(analyse(_demo("heron"), 2026)))
        self.assertEqual(len(found), 15 + 6)
        way = "by the board’s front"
        self.assertIn(("Knot R · b", "C5  Graphics cable 1, chained", way), found)

    def test_each_fans_header_on_its_flag_and_in_its_step(self) -> None:
        """Three fans on a board with two fan headers and the processor's own: the processor's goes
        last, so that the third takes it."""
        headers = [Header(key=k, kind="fan") for k in ("cpu-fan", "fan-1", "fan-2")]
        fans = Fan(key="fans", name="Teal", count=3)
        b = build(board(headers=tuple(headers)), fans)
        a = analyse(b, 2026)
        hung = ["fan-1", "fan-2", "cpu-fan"]
        flags = [(f"{h}  Board", f"Teal ({n})", "") for n, h in enumerate(hung, 1)]
        self.assertEqual(list(flags_pdf.flags_of(a)), flags)
        step = next(s for s in steps(a) if s.id == "header:fans")
        self.assertIn("1 on fan-1, 2 on fan-2, 3 on cpu-fan", step.title)

    def test_a_build_of_nothing_prints_too(self) -> None:
        a = analyse(Build(name="<Empty & new>"), 2026)
        self.assertTrue(work_pdf.sheet(a, plan(a)).startswith(b"%PDF-"))
        self.assertTrue(flags_pdf.flags(a).startswith(b"%PDF-"))


class Histories(unittest.TestCase):
    """Sittings off a record."""

    def _noted(self, hours: float, step: str, kind: str = "done", who: str = "EM") -> Noted:
        at = datetime(2026, 11, 26, tzinfo=UTC) + timedelta(hours=hours)
        what, _, end = step.partition(":")
        acts = {
            "joint": (Act("plugged", end.partition(">")[0], end),),
            "out": (Act("unplugged", end.partition(">")[0], end),),
            "readings": (Act("measured", "machine"),),
        }[what]
        return Noted(step, kind, at, who, 1 + int(hours), step, acts if kind == "done" else ())

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
